import { onceAlone } from '../once-per-bench';
import type { About, Bench, KeptReading } from './bench';
import { bySlot, carriedTo, countingTrials, standingBoth, standingIn } from '../standing';
import { CARRIED, isPressure, MASSES, PRESSURE_UNITS, SLOTS_OF, type Slot } from './plan';

/** What the readings of the trials come to. */

interface RowReading {
  /** In kPa, mL or °C, whatever unit it was recorded in. */
  value: number;
  about: About;
}

/** The readings of one trial that counts; what was read once stands in every row from there on. */
export interface Row {
  trial: number;
  readings: Readonly<Partial<Record<Slot, RowReading>>>;
  /** Moved to see what hangs on it: how far a bend is from where it is taken to be, as a part of the gap that it lies in. */
  bendPart?: number;
}

/** A trial's own reading, or that of the last trial before it that counts of what is read once. */
const live = (bench: Bench, trial: number, which: Slot): KeptReading | undefined =>
  standingIn(bench, trial, which) ?? (CARRIED.includes(which) ? carriedTo(bench, trial, which) : undefined);

/** Which cause stands behind what an instrument made of a reading: its last digit, its wavering. */
const READ_BY: Partial<Record<Slot, string>> = {
  bar: 'barometer',
  room: 'barometer',
  open: 'gauge',
  p: 'gauge',
  pj: 'gauge',
  t: 'probe',
};

/** The same reading in a bench that differs by a cause that is off: what the eye or a last digit made of it is kept. */
function asBefore({ off }: Bench, now: KeptReading, was: KeptReading): number {
  // A balance shows its load with errors of its own: without one of them it shows another mass.
  if (MASSES.includes(now.which)) return now.value;
  const cause = READ_BY[now.which];
  return now.shown + (cause && off.includes(cause) ? 0 : was.value - was.shown);
}

/** As if the needle had been stoppered the same way at both weighings: by what the stopper weighs. */
function withStopper(readings: Row['readings']): Row['readings'] {
  const { m1, m2 } = readings;
  const [first, last] = [m1?.about.stopper, m2?.about.stopper];
  if (!m2 || !first || !last || first.on === last.on) return readings;
  return { ...readings, m2: { ...m2, value: m2.value + (first.on ? last.g : -last.g) } };
}

/** What was not read at a gas tube, as it was: how high the water stood in it, and the air that was left. */
function withTubeRead(off: readonly string[], readings: Row['readings']): Row['readings'] {
  const there = readings.v1?.about.overWater;
  if (!readings.v1 || !there) return readings;
  const { about } = readings.v1;
  return {
    ...readings,
    ...(off.includes('level') && !readings.h && { h: { value: there.mm, about } }),
    ...(off.includes('air') && !readings.v0 && { v0: { value: there.airMl, about } }),
  };
}

const withMistakesMended = ({ off }: Bench, readings: Row['readings']): Row['readings'] =>
  withTubeRead(off, off.includes('stopper') ? withStopper(readings) : readings);

/** @param was the bench with all its errors on, when `bench` is the same with causes switched off */
export const rowsOf: (bench: Bench, was?: Bench) => readonly Row[] = onceAlone(rowsIn);

function rowsIn(bench: Bench, was?: Bench): Row[] {
  const perUnit = PRESSURE_UNITS[bench.plan.unit].kPa;
  return countingTrials(bench).map((trial) => {
    const both = standingBoth(bench, was, SLOTS_OF[bench.plan.gear], (of, slot) => live(of, trial, slot));
    const readings = bySlot(both, ({ slot, now, then }): RowReading => {
      const value = then ? asBefore(bench, now, then) : now.value;
      return { value: isPressure(slot) ? value * perUnit : value, about: now.about };
    });
    return { trial, readings: was ? withMistakesMended(bench, readings) : readings };
  });
}

/** Values of one slot, by row. */
export const valueOf = (row: Row, slot: Slot): number | undefined => row.readings[slot]?.value;

/** The row with one reading moved. */
export function shifted(row: Row, slot: Slot, by: number): Row {
  const reading = row.readings[slot];
  return reading ? { ...row, readings: { ...row.readings, [slot]: { ...reading, value: reading.value + by } } } : row;
}
