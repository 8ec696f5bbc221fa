import { workBy } from '../method';
import type { Hands } from './by-hand';
import { impactsMethod } from './methods/impacts';
import { lawMethod } from './methods/one-law';
import { manyMethod } from './methods/many';
import type { Law } from './plan';

/** How students work who know the method; used for tests, golden logs and demo runs. */

export type { Hands } from './by-hand';

export const findLaw = (hands: Hands, law: Law, points?: number): Promise<void> =>
  workBy(lawMethod({ law }, points), hands);
export const countImpacts = (hands: Hands): Promise<void> => workBy(impactsMethod, hands);
/** @param most the largest number that is let in */
export const growNumber = (hands: Hands, most?: number): Promise<void> => workBy(manyMethod(most), hands);
