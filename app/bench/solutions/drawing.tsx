import type { Plan } from '@core/practicals/solutions/plan';
import type { View } from '@core/practicals/solutions/view';
import type { Drawing } from '../drawing';
import { still } from '../still';
import { BenchPage } from './bench-page';
import { Loupe } from './loupe';
import { Scene } from './scene';
import { doubtsOf } from './doubts';
import { told } from './tell';

/** The drawing of the practicals of solutions. */
export const SOLUTIONS: Drawing<View, Plan> = {
  Page: BenchPage,
  Still: still(Scene),
  Loupe,
  loupeCaption: 'What something had been put into last then, from near.',
  due: (view) => ({ trial: view.recordableTrial, slot: 'T' }),
  doubts: doubtsOf,
  told,
  keys: [
    ['1 to 9', 'chooses the bottle that is taken from; so does Enter on it'],
    ['Enter', 'puts some of it into the vessel that is chosen'],
    ['D', 'drops it in'],
    ['M', 'pipette, cylinder, by eye'],
    ['S', 'stirs'],
    ['T', 'takes a clean tube'],
    ['H, K, G', 'thermometer, pH probe, conductivity cell into the vessel'],
    ['I, N', 'dips indicator paper in, smells at it'],
    ['C', 'fills the cuvette from the vessel'],
    ['X', 'hands a portion over for analysis'],
    ['R', 'records volumes, a display or a slip'],
    ['E', 'empties the vessel'],
    ['B, Z', 'what is chosen on the balance or off it; sets it to zero'],
    ['U, O, V, A', 'the paper into the funnel, the oven, the desiccator, aside'],
    ['J, G', 'the beaker under the funnel, on the hot plate, or back'],
    ['Q', 'filters what is in the beaker'],
    ['Y', 'tips the boat into the beaker'],
    ['W', 'says what is in sight, and what you put in'],
  ],
};
