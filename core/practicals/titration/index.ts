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
  acid: titration(acidConcentration),
  base: titration(baseConcentration),
  polyprotic: titration(polyproticAcid),
  weighed: titration(percentByMass),
  standardised: titration(standardisedBase),
  unknown: titration(unknownAcid),
  back: titration(backTitration),
  inBurette: titration(unknownInBurette),
};
