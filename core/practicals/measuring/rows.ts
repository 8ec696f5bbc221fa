import { onceAlone } from '../once-per-bench';
import type { Bench, KeptReading } from './bench';
import { correctionsFor } from './mistakes';
import { bySlot, carriedTo, countingTrials, standingBoth, standingIn, standingOf } from '../standing';
import type { Slot } from './plan';
import type { Shape } from './sample';

/** What the readings of the rows come to. */

/** The readings of one row that counts, by slot. */
export interface Row {
  trial: number;
  /** Which unknown it is of: what most of its readings were taken on. */
  lot: number;
  /** The shape of its pieces; null of liquids. */
  shape: Shape['kind'] | null;
  readings: Readonly<Partial<Record<Slot, RowReading>>>;
}

export interface RowReading {
  value: number;
  text: string;
  instrument: string;
  /** Which of the kept readings it is: one that carries on is the same in several rows. */
  index: number;
}

/** A trial's own reading, or that of the last trial before it of the same unknown, where such a reading carries on. */
function live(bench: Bench, trial: number, which: Slot): KeptReading | undefined {
  const here = standingIn(bench, trial, which);
  if (here || !bench.plan.carries.includes(which)) return here;
  const lot = lotOfRow(bench, trial);
  if (standingOf(bench, trial).length === 0) return undefined;
  return carriedTo(bench, trial, which, (before) => lotOfRow(bench, before) === lot);
}

/**
 * The same reading in a bench that is the same but for one cause: the student's own error of reading is kept, and the
 * place where the eye was.
 */
function asBefore(bench: Bench, now: KeptReading, was: KeptReading): number {
  if (now.instrument === 'balance') return now.value;
  const misread = bench.off.includes('reading') ? 0 : was.value - was.shown - was.parallax;
  const parallax = bench.off.includes('parallax') ? 0 : was.parallax;
  return now.shown + misread + parallax;
}

/** The unknown that the live readings of a row were taken on; null when they do not tell. */
export function lotOfRow(bench: Bench, trial: number): number | null {
  const readings = standingOf(bench, trial);
  return readings.some((r) => r.lot !== null) ? lotOf(readings) : null;
}

/** The unknown that a row's readings were taken on. */
function lotOf(readings: readonly KeptReading[]): number {
  const counts = new Map<number, number>();
  for (const { lot } of readings) if (lot !== null) counts.set(lot, (counts.get(lot) ?? 0) + 1);
  return [...counts].sort((a, b) => b[1] - a[1])[0]?.[0] ?? 0;
}

/** @param was the bench with all its errors on, when `bench` is the same with causes switched off */
export const rowsOf: (bench: Bench, was?: Bench) => readonly Row[] = onceAlone(rowsIn);

function rowsIn(bench: Bench, was?: Bench): Row[] {
  return countingTrials(bench).map((trial) => {
    const both = standingBoth(bench, was, bench.plan.slots, (of, slot) => live(of, trial, slot));
    const kept = bySlot(both, ({ now }) => now);
    const lot = lotOf(both.map(({ now }) => now));
    const corrections = was ? correctionsFor(bench, kept, lot) : {};
    const readings = bySlot(both, ({ slot, now, then, index }) => ({
      value: (then ? asBefore(bench, now, then) : now.value) + (corrections[slot] ?? 0),
      text: now.text,
      instrument: now.instrument,
      index,
    }));
    return { trial, lot, shape: bench.sample.lots[lot]?.shape.kind ?? null, readings };
  });
}
