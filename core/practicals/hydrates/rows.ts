import { onceAlone } from '../once-per-bench';
import type { About, Bench, KeptReading } from './bench';
import { bySlot, countingTrials, standingBoth, standingIn } from '../standing';
import { HEATED, SLOT_IDS, type Slot } from './plan';

/** What the readings of the trials come to. */

interface RowReading {
  value: number;
  /** Which of the kept readings it is. */
  index: number;
  about: About;
}

/** The readings of one trial that counts; of those after heating the last is the one that tells. */
export interface Row {
  trial: number;
  readings: Readonly<Partial<Record<Slot, RowReading>>>;
}

type Kept = Partial<Record<Slot, KeptReading>>;

export const lastHeated = (has: (slot: Slot) => boolean): Slot | undefined => HEATED.findLast(has);

const isCovered = ({ lid }: About): boolean => lid !== 'off';

/** What has to be added to a reading, without one mistake, by its closed form. */
function correctionOf(off: readonly string[], kept: Kept, slot: Slot): number {
  const reading = kept[slot];
  if (!reading) return 0;
  let sum = 0;
  const { waterG, sampleG, dryG, lidG } = reading.about;
  if (slot === lastHeated((one) => kept[one] !== undefined)) {
    if (off.includes('water')) sum -= waterG;
    if (off.includes('broken')) sum += dryG - (sampleG - waterG);
  }
  const first = kept.m0?.about;
  if (off.includes('lid') && first && isCovered(first) !== isCovered(reading.about))
    sum += isCovered(first) ? lidG : -lidG;
  return sum;
}

/** @param was the bench with all its errors on, when `bench` is the same with causes switched off */
export const rowsOf: (bench: Bench, was?: Bench) => readonly Row[] = onceAlone(rowsIn);

function rowsIn(bench: Bench, was?: Bench): Row[] {
  return countingTrials(bench).map((trial) => {
    const both = standingBoth(bench, was, SLOT_IDS, (of, slot) => standingIn(of, trial, slot));
    const kept = bySlot(both, ({ now }) => now);
    const readings = bySlot(both, ({ slot, now, index }) => ({
      value: now.value + (was ? correctionOf(bench.off, kept, slot) : 0),
      index,
      about: now.about,
    }));
    return { trial, readings };
  });
}

/** Mass of the crucible, of what was put in, and of what was left of it, g; undefined where one of them is missing. */
export function massesOf({ readings }: Row): { m0: number; m1: number; dry: number } | undefined {
  const last = lastHeated((slot) => readings[slot] !== undefined);
  const dry = last && readings[last];
  const { m0, m1 } = readings;
  return m0 && m1 && dry ? { m0: m0.value, m1: m1.value, dry: dry.value } : undefined;
}

/** The mean of what each row comes to; undefined where none comes to anything. */
export function meanOf(
  rows: readonly Row[],
  of: (masses: NonNullable<ReturnType<typeof massesOf>>) => number,
): number | undefined {
  const found = rows.flatMap((row) => {
    const masses = massesOf(row);
    const value = masses ? of(masses) : NaN;
    return Number.isFinite(value) ? [value] : [];
  });
  return found.length > 0 ? found.reduce((a, b) => a + b, 0) / found.length : undefined;
}
