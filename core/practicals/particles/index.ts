import { withCommonActs } from '../with-common-acts';
import { oneParticle } from './practical';

/** The practicals with particles. */
export const PARTICLES = { one: withCommonActs(oneParticle) };
