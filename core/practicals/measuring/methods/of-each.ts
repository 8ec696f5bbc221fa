import type { Bench } from '../bench';
import type { Hands } from '../by-hand';
import { pairOf } from '../pairs';
import type { Plan, Slot } from '../plan';
import { rowsOf, type Row } from '../rows';

/** Steps that are asked of each unknown: due again as soon as the next one is begun. */

const lettersOf = ({ lots, bottles }: Plan) => (lots.length > 0 ? lots : bottles);
/** Unknowns by number, from 1. */
export const unknownsOf = (plan: Plan): number[] =>
  Array.from({ length: Math.max(lettersOf(plan).length, 1) }, (_, i) => i + 1);

/** " of A, B and C" where there are several unknowns. */
export function ofEach(plan: Plan): string {
  const letters = lettersOf(plan);
  return letters.length < 2 ? '' : ` of ${letters.slice(0, -1).join(', ')} and ${letters.at(-1)}`;
}

/** Read once for all. */
const SHARED: readonly Slot[] = ['T', 'Z'];

/** Rows that have a reading of an unknown. */
export const ownRows = (bench: Bench): Row[] =>
  rowsOf(bench).filter(({ readings }) => bench.plan.slots.some((slot) => !SHARED.includes(slot) && readings[slot]));

/** Whether each trial that was begun has it: what is asked of every trial is due again with the next. */
export const everyRow = (bench: Bench, has: (row: Row) => boolean): boolean => {
  const rows = ownRows(bench);
  return rows.length > 0 && rows.every(has);
};

/** Whether each unknown has so many whole trials, and no trial that counts is half recorded. */
export function hasTrials(bench: Bench, wanted: number): boolean {
  const rows = ownRows(bench);
  const whole = (lot: number) => rows.filter((row) => row.lot === lot - 1 && pairOf(row) !== undefined);
  return (
    rows.every((row) => pairOf(row) !== undefined) && unknownsOf(bench.plan).every((lot) => whole(lot).length >= wanted)
  );
}

/** The first trial that has none of these readings yet. */
export function nextTrial({ view }: Hands, slots: readonly Slot[]): number {
  const taken = view().readings.filter((r) => r.struck === null && (slots as readonly string[]).includes(r.slot));
  return 1 + Math.max(0, ...taken.map(({ trial }) => trial));
}
