import { onceAlone } from '../../once-per-bench';
import type { Bench, KeptReading } from '../bench';
import { correctionsFor } from './mistakes';
import { drawnStepK } from './drawn-step';
import { freezingRows } from '../freezing/rows';
import { bySlot, carriedTo, countingTrials, standingBoth, standingIn, standingOf } from '../../standing';
import { isByEye, isTemp, type Slot } from '../plan';
import type { Row } from './row';

/** What the readings of the trials come to. */

/** A trial's own reading, or that of the last trial before it that counts, where such a reading carries on. */
function live(bench: Bench, trial: number, which: Slot): KeptReading | undefined {
  const here = standingIn(bench, trial, which);
  if (here || !bench.plan.carries.includes(which)) return here;
  return standingOf(bench, trial).length > 0 ? carriedTo(bench, trial, which) : undefined;
}

/**
 * The same reading in a bench that differs by a cause that is off: what the eye or the last digit of the display made of it is kept,
 * for a digit that falls the other way tells nothing of the cause.
 */
function asBefore({ off, plan }: Bench, now: KeptReading, was: KeptReading): number {
  if (!isTemp(now.which)) return now.value;
  const isOff = off.includes(isByEye(plan) ? 'reading' : 'probe');
  return now.shown + (isOff ? 0 : was.value - was.shown);
}

/** @param was the bench with all its errors on, when `bench` is the same with causes switched off */
export const rowsOf: (bench: Bench, was?: Bench) => readonly Row[] = onceAlone(rowsIn);

function rowsIn(bench: Bench, was?: Bench): Row[] {
  const rows = weighedRows(bench, was);
  return bench.tube ? freezingRows(bench, rows) : rows;
}

function weighedRows(bench: Bench, was?: Bench): Row[] {
  return countingTrials(bench).map((trial) => {
    const both = standingBoth(bench, was, bench.plan.slots, (of, slot) => live(of, trial, slot));
    const corrections = was
      ? correctionsFor(
          bench,
          bySlot(both, ({ now }) => now),
        )
      : {};
    const readings = bySlot(both, ({ slot, now, then, index }) => ({
      value: (then ? asBefore(bench, now, then) : now.value) + (corrections[slot] ?? 0),
      text: now.text,
      index,
      about: now.about,
    }));
    return { trial, readings, vesselPart: 1, drawnK: was ? undefined : drawnStepK(bench, trial) };
  });
}

/** The row with the step that was drawn in the place of the one that was read. */
export function asDrawn(row: Row): Row | undefined {
  const { T1, T2 } = row.readings;
  if (row.drawnK === undefined || !T1 || !T2) return undefined;
  return { ...row, readings: { ...row.readings, T2: { ...T2, value: T1.value + row.drawnK } } };
}

/** The values of the slots that are asked for; undefined where one is missing. */
export function valuesOf<S extends Slot>(row: Row, slots: readonly S[]): Record<S, number> | undefined {
  const values: Partial<Record<S, number>> = {};
  for (const slot of slots) {
    const reading = row.readings[slot];
    if (!reading) return undefined;
    values[slot] = reading.value;
  }
  return values as Record<S, number>;
}

/** The mean of what each row comes to; undefined where none comes to anything. */
export function meanOf(rows: readonly Row[], of: (row: Row) => number | undefined): number | undefined {
  const found = rows.map(of).filter((value): value is number => value !== undefined && Number.isFinite(value));
  return found.length > 0 ? found.reduce((a, b) => a + b, 0) / found.length : undefined;
}
