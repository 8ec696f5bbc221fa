import { withCommonActs } from '../with-common-acts';
import { partOfHydrate } from './kinds/mixture';
import { waterInHydrate } from './kinds/water';
import { whichHydrate } from './kinds/which';
import { hydrates } from './practical';

/** The practicals of hydrates. */
export const HYDRATE_PRACTICALS = {
  water: withCommonActs(hydrates(waterInHydrate)),
  which: withCommonActs(hydrates(whichHydrate)),
  part: withCommonActs(hydrates(partOfHydrate)),
};
