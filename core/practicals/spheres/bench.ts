import { COMMON_AT_START, type CommonBench } from '../common-acts';
import type { KeptReading as Kept } from '../recordings';
import { flownOn, NO_STRETCH, psIn, type Stretch } from '../stretches';
import { fillingOf } from './filling';
import { Flying, type Change, type Tally } from './flying';
import { PS_PER_S, type Filling, type Plan, type Slot } from './plan';
import type { Sample } from './sample';

interface KeptReading extends Kept {
  which: Slot;
  /** Which stretch it was read of. */
  run: number;
  /** How many there were of each gas when it began. */
  there: readonly [number, number];
}

export interface Bench extends CommonBench {
  plan: Plan;
  sample: Sample;
  seed: string;
  /** How often the vessel was filled; what was done to this filling, in order. */
  fills: number;
  /** Which of both gases it was filled with. */
  of: Filling;
  changes: readonly Change[];
  jacketK: number | null;
  isOpen: boolean;
  /** The stretch that they are let fly: when it began, and to where of their flight. */
  run: Stretch;
  flying: Flying;
  /** Of `flying`: so that what is told follows from numbers of the bench. */
  nowPs: number;
  tally: Tally;
  energyZJ: number;
  exchangedZJ: number;
  /** What the filling began with, zJ. */
  beganZJ: number;
  readings: readonly KeptReading[];
}

/** What of the bench follows from how they fly. */
export const seenOf = (flying: Flying) => ({
  flying,
  nowPs: flying.timePs,
  tally: flying.tally,
  energyZJ: flying.energyZJ(),
  exchangedZJ: flying.exchangedZJ(),
});

export function filled(plan: Plan, sample: Sample, seed: string, number: number, of: Filling = 'both') {
  const flying = Flying.filled(fillingOf(plan, sample, seed, number, of));
  return {
    fills: number,
    of,
    changes: [],
    isOpen: false,
    jacketK: null,
    ...seenOf(flying),
    beganZJ: flying.energyZJ(),
  };
}

export const begin = (plan: Plan, sample: Sample, seed: string): Bench => ({
  plan,
  sample,
  seed,
  ...COMMON_AT_START,
  ...filled(plan, sample, seed, 1),
  run: NO_STRETCH,
});

export const running = ({ run, timeS }: Bench): boolean => psIn(run, timeS, PS_PER_S) < run.toPs;

export const advance = (bench: Bench, seconds: number): Bench => flownOn(bench, seconds, bench.run, PS_PER_S, seenOf);

/** The bench as plain values: what flies is taken apart. */
export const kept = (bench: Bench): unknown => ({ ...bench, flying: bench.flying.kept() });
export function keptBench(values: unknown): Bench {
  const bench = values as Omit<Bench, 'flying'> & { flying: ReturnType<Flying['kept']> };
  return { ...bench, flying: Flying.from(bench.flying) };
}
