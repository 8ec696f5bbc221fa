import { withCommonActs } from '../with-common-acts';
import { displacement } from './kinds/displacement';
import { liquidDensity } from './kinds/liquids';
import { regularSolids } from './kinds/regular';
import { readingAScale } from './kinds/scale';
import { measuring } from './practical';

/** The practicals of measuring, each of its own on the same bench. */
export const MEASURINGS = {
  scale: withCommonActs(measuring(readingAScale)),
  regular: withCommonActs(measuring(regularSolids)),
  displacement: withCommonActs(measuring(displacement)),
  liquids: withCommonActs(measuring(liquidDensity)),
};
