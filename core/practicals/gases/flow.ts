import { volumePerKelvin, GAS_CONSTANT } from '../../physics/gas-law';
import { followed } from '../../instruments/thermometer';
import { advanceBySteps } from '../time-passes';
import { bathAfter, bathBoilsC } from './bath';
import type { Bench } from './bench';
import { asOpen, barrelParts, withMol } from './enclosed';
import { stepped } from './free';

/** What goes on by itself: by steps at fixed moments, each in closed form, so that it does not matter how time is split. */

/** Length of a step, s. */
const STEP_S = 0.5;
/** How soon a gas is as warm as what is around it, s: in a syringe, in a bulb in air, in water, in the jar. Model values. */
const SYRINGE_S = 1.6;
const BULB_S = { air: 150, bath: 22, jar: 30 } as const;
/** A syringe in a bath. */
const FREE_S = 35;
/** What a joint lets through that sits loosely, as a part of what is enclosed, for each second and each time the room's pressure. */
const LOOSE_PER_S = 0.004;

const part = (seconds: number, timeConstantS: number) => 1 - Math.exp(-seconds / timeConstantS);
const PARTS = {
  syringe: part(STEP_S, SYRINGE_S),
  air: part(STEP_S, BULB_S.air),
  bath: part(STEP_S, BULB_S.bath),
  jar: part(STEP_S, BULB_S.jar),
  free: part(STEP_S, FREE_S),
};

/** What is around the gas, °C. */
export function aroundC({ plan, at, bath, sample }: Bench): number {
  if (plan.gear === 'syringe' || at === 'air') return sample.roomC;
  return at === 'bath' ? bath.tempC : sample.jarC;
}

/** What leaked: the pressure falls to that of the room with the volume that is open to it. */
function leaked(bench: Bench): Bench {
  if (bench.joint === 'off') return asOpen(bench);
  if (bench.joint === 'home' || bench.off.includes('leak')) return bench;
  const open = (bench.sample.roomKPa * volumePerKelvin(barrelParts(bench))) / GAS_CONSTANT;
  return withMol(bench, open + (bench.gasMol - open) * Math.exp(-LOOSE_PER_S * STEP_S));
}

function step(bench: Bench): Bench {
  const { plan, sample, off } = bench;
  const boilsC = bathBoilsC(sample.roomKPa);
  const hasBath = plan.gear !== 'syringe';
  const warmed = hasBath ? bathAfter(bench.bath, STEP_S, sample.roomC, boilsC) : bench.bath;
  const sensedC = off.includes('lag')
    ? warmed.tempC
    : followed(warmed.sensedC, warmed.tempC, STEP_S, bench.thermometer.kind, true);
  const bath = hasBath ? { ...warmed, sensedC } : warmed;
  const now = { ...bench, bath };
  if (plan.gear === 'syringes') {
    const around = { kPa: sample.roomKPa, celsius: bath.tempC, part: PARTS.free, off };
    return { ...now, free: now.free.map((one) => stepped(one, around)) };
  }
  const there = aroundC(now);
  const share = plan.gear === 'syringe' ? PARTS.syringe : PARTS[now.at];
  const gasC = off.includes('lag') ? there : now.gasC + share * (there - now.gasC);
  return leaked({ ...now, gasC });
}

/** Nearer than this to what is around it a gas is as warm as it, K. */
const QUIET_K = 0.01;

/** Whether anything goes on: what is warm or cold, a gauge that creeps, a joint that lets gas through. */
export function running(bench: Bench): boolean {
  const { plan, bath, sample, joint, free } = bench;
  const isBathGoing =
    plan.gear !== 'syringe' && (bath.heat > 0 || bath.iceG > 0 || Math.abs(bath.tempC - sample.roomC) > QUIET_K);
  if (isBathGoing) return true;
  if (plan.gear === 'syringes') return free.some(({ gasC }) => Math.abs(gasC - bath.tempC) > QUIET_K);
  if (Math.abs(bench.gasC - aroundC(bench)) > QUIET_K) return true;
  if (joint !== 'loose' || bench.off.includes('leak')) return false;
  const open = (sample.roomKPa * volumePerKelvin(barrelParts(bench))) / GAS_CONSTANT;
  return Math.abs(bench.gasMol / open - 1) > 1e-4;
}

/** Time passes. A bench on which nothing goes on stays as it is. */
export const advance = (bench: Bench, seconds: number): Bench => advanceBySteps(bench, seconds, STEP_S, step);
