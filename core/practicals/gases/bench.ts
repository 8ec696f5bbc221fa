import { molFilling } from '../../physics/gas-law';
import { drawThermometer, type ThermometerPiece } from '../../instruments/thermometer';
import { chance, withinTolerance } from '../../random';
import { COMMON_AT_START, type CommonBench } from '../common-acts';
import { drawBalance, type BalancePiece } from '../../instruments/balance';
import { BARE_PAN, type Pan } from '../../instruments/weighing';
import type { Handled } from '../hands';
import type { KeptReading as Kept } from '../recordings';
import { begunTube, type Collected } from './collected';
import { barrelParts } from './enclosed';
import { BAROMETER_TOLERANCE_KPA, ROOM_TOLERANCE_C, SCALE_TOLERANCE, SPAN_TOLERANCE } from './pieces';
import type { Joint, Place, Plan, Slot } from './plan';
import { drawInjector, type Injector } from './injector';
import type { Sample } from './sample';
import { filledSyringe, type Free } from './free';

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
  /** How much higher the water stood in a gas tube than outside, mm, and the air that was left in it, mL. */
  overWater: { mm: number; airMl: number } | null;
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

export function begin(plan: Plan, sample: Sample, seed: string, off: readonly string[] = []): Bench {
  const pieces = chance(seed, 'pieces');
  const span = withinTolerance(SPAN_TOLERANCE, pieces);
  const barometerErrorKPa = withinTolerance(BAROMETER_TOLERANCE_KPA, pieces);
  const roomErrorC = withinTolerance(ROOM_TOLERANCE_C, pieces);
  const scale = withinTolerance(SCALE_TOLERANCE, pieces);
  const isOff = (key: string) => off.includes(key);
  const first = { plan, sample, joint: 'loose' as const, plungerMl: 50, gasC: sample.roomC };
  const hasFree = plan.gear === 'syringes' || plan.gear === 'injected';
  const gasMol = hasFree || plan.gear === 'collected' ? 0 : molFilling(sample.roomKPa, barrelParts(first));
  return {
    ...COMMON_AT_START,
    ...first,
    at: 'air',
    seed,
    off,
    draws: 0,
    gasMol,
    fills: 1,
    moves: 0,
    bath: { tempC: sample.roomC, iceG: 0, heat: 0, sensedC: sample.roomC },
    free: sample.gases.map(({ id, mol }, i) => {
      const free = filledSyringe({ id, mol, vapourId: sample.vapourId }, sample, chance(seed, `syringe ${i}`));
      return isOff('scale') ? { ...free, scale: 0 } : free;
    }),
    span: isOff('gauge') ? 0 : span,
    barometerErrorKPa: isOff('barometer') ? 0 : barometerErrorKPa,
    roomErrorC: isOff('barometer') ? 0 : roomErrorC,
    scale: isOff('scale') ? 0 : scale,
    thermometer: drawThermometer('digital 0.1', seed, isOff('probe')),
    collected: plan.gear === 'collected' ? begunTube(sample, seed, isOff('scale')) : null,
    injector: plan.gear === 'injected' ? drawInjector(seed) : null,
    balance: plan.balance && drawBalance(plan.balance, seed, isOff('balance')),
    pan: BARE_PAN,
    inMol: gasMol,
    outMol: 0,
    readings: [],
  };
}
