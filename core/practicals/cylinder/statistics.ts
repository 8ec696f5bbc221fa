import { expect, inject } from 'vitest';
import type { Hands } from './practised-student';
import { expectAsSure, expectShare, foundOf, students } from '../careful-students';
import { begun, type Id, type Run } from './testing';

/** Careful students, a hundred each in `npm run test:long`: what they find is as sure as it says. */

/** @param work how a student works who knows the method @param quantities what is found */
export async function everyoneFinds(
  id: Id,
  setup: object,
  work: (hands: Hands) => Promise<void>,
  quantities: readonly string[],
  count = students(100, 16),
) {
  const runs: Run[] = [];
  for (let index = 0; index < count; index++) {
    const run = begun(id, { setup, index, seed: `student ${index}` });
    await work(run.hands);
    runs.push(run);
  }
  for (const quantity of quantities) {
    const found = runs.map((run) => foundOf(run.bench(), quantity));
    // Of a hundred whose claim covers 95, fewer than 88 come some two times in a thousand.
    expectAsSure(found, quantity, 0.88);
    // Nor are they off together by a part that comes near to what one of them is uncertain by.
    const mean = average(found.map(({ value, truth }) => value - truth));
    // The mean of so few wavers itself, by the root of their number.
    const most = inject('isLong') ? 0.8 : 0.8 + 2 / Math.sqrt(count);
    expect(Math.abs(mean), quantity).toBeLessThan(most * average(found.map(({ uncertainty }) => uncertainty)));
  }
  expectShare(runs, (run) => run.view().steps.every(({ done }) => done), 0.98, 'all steps done');
  return runs;
}

const average = (all: readonly number[]): number => all.reduce((sum, one) => sum + one, 0) / all.length;
