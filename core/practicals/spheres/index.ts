import { withCommonActs } from '../with-common-acts';
import { lightAndHeavy } from './practical';

/** The practicals with many particles. */
export const SPHERES = { lightAndHeavy: withCommonActs(lightAndHeavy) };
