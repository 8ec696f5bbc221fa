import type { Step } from '../contract';
import type { Bench } from './bench';
import { massesOf, rowsOf } from './rows';

/** The method, each step done when the bench shows it or the student has ticked it; in no forced order. */
export function stepsOf(bench: Bench): Step[] {
  const rows = rowsOf(bench);
  const { ticked } = bench;
  const step = (key: string, label: string, isDone: boolean): Step => ({
    key,
    label,
    done: isDone || ticked.includes(key),
  });
  const has = (slot: 'm0' | 'm1' | 'h1') => rows.some(({ readings }) => readings[slot]);
  const isAgain = rows.some(
    (row) => massesOf(row) && Object.keys(row.readings).filter((slot) => slot.startsWith('h')).length > 1,
  );
  return [
    step('m0', 'Heat the empty crucible, let it cool; weigh and record it, with its lid or without', has('m0')),
    step('m1', 'Put the salt in; weigh and record it in the same way', has('m1')),
    step('h1', 'Heat it gently, then harder; let it cool; weigh and record it', has('h1')),
    step('again', 'Heat, cool and weigh again, until the mass stays the same', isAgain),
  ];
}
