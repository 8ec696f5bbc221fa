import type { Bench, KeptReading } from './bench';
import { correctionsFor } from './mistakes';
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

const own = (bench: Bench, trial: number, which: Slot): KeptReading | undefined =>
  bench.readings.findLast((r) => r.trial === trial && r.which === which && r.struck === null);

/** A trial's own reading, or that of the last trial before it of the same unknown, where such a reading carries on. */
function live(bench: Bench, trial: number, which: Slot): KeptReading | undefined {
  const here = own(bench, trial, which);
  if (here || !bench.plan.carries.includes(which)) return here;
  const lot = lotOfRow(bench, trial);
  if (!bench.readings.some((r) => r.trial === trial && r.struck === null)) return undefined;
  for (let before = trial - 1; before > 0; before--) {
    const found = bench.leftOut[before] === undefined ? own(bench, before, which) : undefined;
    if (found && lotOfRow(bench, before) === lot) return found;
  }
  return undefined;
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
  const readings = bench.readings.filter((r) => r.trial === trial && r.struck === null);
  return readings.some((r) => r.lot !== null) ? lotOf(readings) : null;
}

/** The unknown that a row's readings were taken on. */
function lotOf(readings: readonly KeptReading[]): number {
  const counts = new Map<number, number>();
  for (const { lot } of readings) if (lot !== null) counts.set(lot, (counts.get(lot) ?? 0) + 1);
  return [...counts].sort((a, b) => b[1] - a[1])[0]?.[0] ?? 0;
}

/** @param was the bench with all its errors on, when `bench` is the same with causes switched off */
export function rowsOf(bench: Bench, was?: Bench): Row[] {
  const trials = Array.from({ length: bench.trial }, (_, i) => i + 1);
  return trials
    .filter((trial) => bench.leftOut[trial] === undefined)
    .map((trial) => {
      const kept: Partial<Record<Slot, KeptReading>> = {};
      const values: Partial<Record<Slot, number>> = {};
      for (const slot of bench.plan.slots) {
        const now = live(bench, trial, slot);
        const then = was && live(was, trial, slot);
        if (!now || (was && !then)) continue;
        kept[slot] = now;
        values[slot] = then ? asBefore(bench, now, then) : now.value;
      }
      const lot = lotOf(Object.values(kept));
      const corrections = was ? correctionsFor(bench, kept, lot) : {};
      const readings: Partial<Record<Slot, RowReading>> = {};
      for (const slot of Object.keys(kept) as Slot[]) {
        const reading = kept[slot] as KeptReading;
        const value = (values[slot] ?? 0) + (corrections[slot] ?? 0);
        readings[slot] = {
          value,
          text: reading.text,
          instrument: reading.instrument,
          index: bench.readings.indexOf(reading),
        };
      }
      return { trial, lot, shape: bench.sample.lots[lot]?.shape.kind ?? null, readings };
    });
}
