import { molFilling } from '../../physics/gas-law';
import { drawThermometer } from '../../instruments/thermometer';
import { chance, withinTolerance } from '../../random';
import { COMMON_AT_START } from '../common-acts';
import { drawBalance } from '../../instruments/balance';
import { BARE_PAN } from '../../instruments/weighing';
import { begunTube } from './collected';
import { barrelParts } from './enclosed';
import { BAROMETER_TOLERANCE_KPA, ROOM_TOLERANCE_C, SCALE_TOLERANCE, SPAN_TOLERANCE } from './pieces';
import type { Plan } from './plan';
import { drawInjector } from './injector';
import type { Sample } from './sample';
import { filledSyringe } from './free';
import type { Bench } from './bench';

/** A bench of gases as a student comes to it. */

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
