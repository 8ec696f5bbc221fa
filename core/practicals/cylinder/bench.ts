import { gasOf } from '../../databook/gases';
import { particleRadiusNm } from '../../databook/particle-sizes';
import type { Filled } from '../../physics/hard-spheres';
import { chance } from '../../random';
import { COMMON_AT_START, type CommonBench } from '../common-acts';
import type { KeptReading as Kept } from '../recordings';
import { flownOn, nextStretch, NO_STRETCH, psIn, type Stretch } from '../stretches';
import { countedOf, type Counted } from './counting';
import { Flying, type Change } from './flying';
import { PS_PER_S, type Plan, type Slot } from './plan';
import type { Sample } from './sample';

/** What holds what: a jacket the temperature, a pin the volume, or, it being out, a load the pressure; the shut valve the number. */
export interface Fitted {
  jacketK: number | null;
  /** Height at which the pin holds the piston, or to which it takes it, nm; null where it is out. */
  pinNm: number | null;
  loadKPa: number | null;
  count: number;
  /** Heat that was given by hand since the filling, less what was taken, zJ. */
  givenZJ: number;
}

interface KeptReading extends Kept {
  which: Slot;
  /** Which stretch it was read of, and what was fitted then. */
  run: number;
  fitted: Fitted;
  /** Whether something moved that should have stood: the pin on its way, the piston against its stop. */
  isDisturbed: boolean;
}

export interface Bench extends CommonBench {
  plan: Plan;
  sample: Sample;
  seed: string;
  /** How often the cylinder was filled; what was done to this filling, in order. */
  fills: number;
  changes: readonly Change[];
  fitted: Fitted;
  stretch: Stretch;
  flying: Flying;
  /** Of `flying`: so that what is told follows from numbers of the bench. */
  nowPs: number;
  /** So many ps of one particle this filling has flown. */
  particlePs: number;
  heightNm: number;
  counted: Counted;
  energyZJ: number;
  suppliedZJ: number;
  /** What the filling began with, zJ. */
  beganZJ: number;
  readings: readonly KeptReading[];
}

/** What of the bench follows from how they fly. */
const seenOf = (flying: Flying) => ({
  flying,
  nowPs: flying.timePs,
  heightNm: flying.heightNm,
  counted: countedOf(flying),
  energyZJ: flying.energyZJ(),
  suppliedZJ: flying.suppliedZJ(),
});

/** A fresh filling. @param number how many were had, from 1 */
export function fillingOf(
  { edgeNm, topNm }: Plan,
  { gasId, count, kelvin }: Sample,
  seed: string,
  number: number,
): Filled {
  const radiusNm = particleRadiusNm(gasId);
  const [edge, top] = [edgeNm + 2 * radiusNm, topNm + 2 * radiusNm];
  return {
    box: [edge, edge, top],
    kinds: [{ gPerMol: gasOf(gasId).molarMassGPerMol, radiusNm, count }],
    kelvin,
    seed: Math.floor(chance(seed, `filling ${number}`).uniform() * 2 ** 31),
  };
}

export function filled(plan: Plan, sample: Sample, seed: string, number: number) {
  const fresh = Flying.filled(fillingOf(plan, sample, seed, number));
  // Impacts are shown one by one where the bench is for them.
  const flying = plan.gear === 'impacts' ? fresh.listen() : fresh;
  const fitted: Fitted = { jacketK: null, pinNm: plan.topNm, loadKPa: null, count: sample.count, givenZJ: 0 };
  const seen = seenOf(flying);
  return {
    fills: number,
    changes: [],
    fitted,
    ...seen,
    particlePs: 0,
    beganZJ: seen.energyZJ - seen.suppliedZJ,
  };
}

export const begin = (plan: Plan, sample: Sample, seed: string): Bench => ({
  plan,
  sample,
  seed,
  ...COMMON_AT_START,
  ...filled(plan, sample, seed, 1),
  stretch: NO_STRETCH,
});

export const running = ({ stretch, timeS }: Bench): boolean => psIn(stretch, timeS, PS_PER_S) < stretch.toPs;

/** With something done to it now, and what is fitted then. @throws RangeError where it cannot be */
export function changed(bench: Bench, change: Change, fitted: Partial<Fitted> = {}): Bench {
  const flying = bench.flying.copy();
  flying.change(change);
  const now = { ...bench.fitted, ...fitted };
  return { ...bench, fitted: now, ...seenOf(flying), changes: [...bench.changes, change] };
}

/** Lets them fly for a stretch from now. @param toImpact whether it ends with an impact on the piston */
export function letFly(bench: Bench, ps: number, toImpact = false): Bench {
  const stretch = nextStretch(bench.stretch, bench.timeS, bench.nowPs, ps);
  const particlePs = bench.particlePs + ps * bench.fitted.count;
  return { ...changed(bench, { atPs: bench.nowPs, runPs: ps, toImpact }), stretch, particlePs };
}

export const advance = (bench: Bench, seconds: number): Bench =>
  flownOn(bench, seconds, bench.stretch, PS_PER_S, seenOf);

/** The bench as plain values: what flies is taken apart. */
export const kept = (bench: Bench): unknown => ({ ...bench, flying: bench.flying.kept() });
export function keptBench(values: unknown): Bench {
  const bench = values as Omit<Bench, 'flying'> & { flying: ReturnType<Flying['kept']> };
  return { ...bench, flying: Flying.from(bench.flying) };
}
