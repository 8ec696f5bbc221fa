import type { ThermometerPiece } from '../../instruments/thermometer';
import type { CommonBench } from '../common-acts';
import type { BalancePiece } from '../../instruments/balance';
import type { Pan } from '../../instruments/weighing';
import type { Handled } from '../hands';
import type { KeptReading as Kept } from '../recordings';
import type { Joint, Place, Plan, Slot } from './plan';
import type { Sample } from './sample';
import type { Free } from './free';
import type { Tube } from '../../physics/over-water';

export interface Bath {
  tempC: number;
  iceG: number;
  /** Setting of the hot plate, from 0 to 10. */
  heat: number;
  /** What the thermometer in it has come to. */
  sensedC: number;
}

/** What was there beside a reading. Never in a view. */
export interface About {
  /** How often the gas was enclosed anew. */
  fill: number;
  /** What is enclosed, mol, its temperature and its pressure. */
  mol: number;
  gasC: number;
  kPa: number;
  bathC: number;
  /** How much higher the water stood in a gas tube than outside, mm, the air that was left in it, mL, and whether the strip was dissolved. */
  overWater: { mm: number; airMl: number; isDissolved: boolean } | null;
  /** How the tube of the gauge sat, where the bulb was, and what the grease of a plunger held back, mL. */
  joint: Joint;
  at: Place;
  heldBackMl: number;
  /** Whether the injector's needle was stoppered, and what the stopper weighs, g. */
  stopper: { on: boolean; g: number } | null;
}

export interface KeptReading extends Kept {
  which: Slot;
  about: About;
  /** Counts what was moved before it: a reading with the same number was taken of the same. */
  moves: number;
}

export interface Bench extends CommonBench, Handled {
  plan: Plan;
  sample: Sample;
  joint: Joint;
  /** Where the bulb is. */
  at: Place;
  /** Where the plunger of the syringe stands. */
  plungerMl: number;
  /** What syringe or bulb hold, with tube and gauge while they are joined. */
  gasMol: number;
  gasC: number;
  fills: number;
  moves: number;
  bath: Bath;
  /** The syringes that stand in the bath, in their order. */
  free: readonly Free[];
  /** True errors of the pieces: see above. */
  span: number;
  barometerErrorKPa: number;
  roomErrorC: number;
  scale: number;
  thermometer: ThermometerPiece;
  /** The gas tube over water; null where there is none. */
  collected: Collected | null;
  /** The injector with its balance; null where nothing is injected. */
  injector: Injector | null;
  balance: BalancePiece | null;
  pan: Pan;
  /** The other side of the account: what came in, and what went out. */
  inMol: number;
  outMol: number;
  readings: readonly KeptReading[];
}

export interface Collected {
  tube: Tube;
  /** Air that was left when it was filled, hydrogen that came since, and what is still in the metal, mol. */
  airMol: number;
  hydrogenMol: number;
  pendingMol: number;
  gasC: number;
  /** The strip, g, and where it is; null where none is cut. */
  strip: { g: number; at: 'mat' | 'pan' | 'tube' } | null;
  /** Of the tube's scale, as a part. */
  scale: number;
  /** What was dissolved in tubes before this one, and was cut in all, g. */
  spentG: number;
  cutG: number;
}

export interface Injector {
  /** Empty, with its plunger; and the stopper of its needle, g. */
  emptyG: number;
  stopperG: number;
  liquidG: number;
  isStoppered: boolean;
  at: 'mat' | 'pan';
  /** Whether some was injected since the syringe was emptied. */
  hasShot: boolean;
  /** What has evaporated from its needle so far, g. */
  evaporatedG: number;
}
