import { onceAlone } from '../once-per-bench';
import type { Bench, Fitted } from './bench';
import { bySlot, countingTrials, standingOf } from '../standing';
import type { Slot } from './plan';

/** What is recorded of a stretch. */
export interface Row {
  trial: number;
  readings: Readonly<Partial<Record<Slot, number>>>;
  /** What was fitted when it was recorded. */
  fitted: Fitted;
  isDisturbed: boolean;
}

/** Trials that count. */
export const rowsOf: (bench: Bench, was?: Bench) => readonly Row[] = onceAlone(rowsIn);

function rowsIn(bench: Bench): Row[] {
  return countingTrials(bench).flatMap((trial) => {
    const own = standingOf(bench, trial);
    const last = own.at(-1);
    if (!last) return [];
    const readings = bySlot(
      own.map((r) => ({ slot: r.which, value: r.value })),
      ({ value }) => value,
    );
    return [{ trial, readings, fitted: last.fitted, isDisturbed: own.some((r) => r.isDisturbed) }];
  });
}

/** A mean of what rows come to, each by its weight; undefined of none. */
export function weighted(rows: readonly Row[], of: (row: Row) => number | undefined, weight: (row: Row) => number) {
  let [sum, all] = [0, 0];
  for (const row of rows) {
    const value = of(row);
    if (value === undefined || !Number.isFinite(value)) continue;
    sum += weight(row) * value;
    all += weight(row);
  }
  return all > 0 ? sum / all : undefined;
}
