import { withCommonActs } from '../with-common-acts';
import { acidConcentration } from './kinds/acid';
import { backTitration } from './kinds/back';
import { baseConcentration } from './kinds/base';
import { unknownInBurette } from './kinds/in-burette';
import { polyproticAcid } from './kinds/polyprotic';
import { standardisedBase } from './kinds/standardised';
import { unknownAcid } from './kinds/unknown';
import { percentByMass } from './kinds/weighed';
import { titration } from './practical';

/** The kinds of titration, each a practical of its own on the same bench. */
export const TITRATIONS = {
  acid: withCommonActs(titration(acidConcentration)),
  base: withCommonActs(titration(baseConcentration)),
  polyprotic: withCommonActs(titration(polyproticAcid)),
  weighed: withCommonActs(titration(percentByMass)),
  standardised: withCommonActs(titration(standardisedBase)),
  unknown: withCommonActs(titration(unknownAcid)),
  back: withCommonActs(titration(backTitration)),
  inBurette: withCommonActs(titration(unknownInBurette)),
};
