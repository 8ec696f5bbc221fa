import type { Method } from '../method';
import type { Bench } from './bench';
import type { Hands } from './by-hand';
import { isWholeTrial, type Slot } from './plan';
import type { Row } from './reading/row';
import { rowsOf } from './reading/rows';

/** A method whose trials are made of the same parts: what is asked of each trial is due again as soon as the next is begun. */

export interface Part {
  key: string;
  does: string;
  how?: readonly string[];
  isDone(bench: Bench): boolean;
  /** What is done for it in a trial. */
  each(hands: Hands, trial: number): Promise<void>;
}

const isBegun = ({ readings }: Row) => Object.keys(readings).length > 0;
export const begunRows = (bench: Bench): Row[] => rowsOf(bench).filter(isBegun);
export const has = ({ readings }: Row, ...slots: readonly Slot[]): boolean =>
  slots.every((slot) => readings[slot] !== undefined);

/** Whether every trial that was begun is so. */
export function everyTrial(bench: Bench, is: (row: Row) => boolean): boolean {
  const rows = begunRows(bench);
  return rows.length > 0 && rows.every(is);
}
export const everyHas =
  (...slots: readonly Slot[]) =>
  (bench: Bench): boolean =>
    everyTrial(bench, (row) => has(row, ...slots));

/** Whether there are so many whole trials, of each kind one at least, and none that is half done. */
export function hasWhole(bench: Bench, trials: number): boolean {
  const { plan } = bench;
  const rows = begunRows(bench);
  const isWhole = (row: Row) => isWholeTrial(plan, (slot) => has(row, slot));
  return (
    rows.length >= trials && rows.every(isWhole) && plan.either.every((group) => rows.some((row) => has(row, ...group)))
  );
}

/** One trial, part by part. */
export async function worksTrial(parts: readonly Part[], hands: Hands, trial: number): Promise<void> {
  for (const { each } of parts) await each(hands, trial);
}

/** @param again how the further trials are told */
export const methodOfParts = (
  parts: readonly Part[],
  trials: number,
  again: { does: string; how?: readonly string[] },
): Method<Bench, Hands> => [
  ...parts.map(({ each, ...told }) => ({ ...told, work: (hands: Hands) => each(hands, 1) })),
  {
    key: 'again',
    ...again,
    isDone: (bench) => hasWhole(bench, trials),
    work: async (hands) => {
      for (let trial = 2; trial <= trials; trial++) await worksTrial(parts, hands, trial);
    },
  },
];
