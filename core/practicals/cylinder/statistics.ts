import { expect } from 'vitest';
import type { Hands } from './practised-student';
import { begun, type Id } from './testing';

/** A hundred careful students each: what they find is as sure as it says. */

const STUDENTS = 100;
/** Of a hundred whose claim covers 95, fewer than this come some two times in a thousand. */
const LEAST = 88;

/** @param work how a student works who knows the method @param quantities what is found */
export async function everyoneFinds(
  id: Id,
  setup: object,
  work: (hands: Hands) => Promise<void>,
  quantities: readonly string[],
) {
  const runs = [];
  for (let index = 0; index < STUDENTS; index++) {
    const run = begun(id, { setup, index, seed: `student ${index}` });
    await work(run.hands);
    const [results, support, truths] = [run.results(), run.support(), run.bench().truths()];
    runs.push({
      off: Object.fromEntries(quantities.map((key) => [key, (results[key] ?? NaN) - Number(truths[key])])),
      unsure: Object.fromEntries(quantities.map((key) => [key, support[key]?.uncertainty ?? NaN])),
      isDone: run.view().steps.every(({ done }) => done),
      isNamed: run.leftOpen().join() === String(truths['name'] ?? ''),
    });
  }
  for (const key of quantities) {
    const covered = runs.filter(({ off, unsure }) => Math.abs(off[key] ?? NaN) <= 2 * (unsure[key] ?? NaN));
    expect(covered.length, key).toBeGreaterThanOrEqual(LEAST);
    // Nor is it off by a part of all of them that comes near to what one of them is uncertain by.
    const [mean, typical] = [meanOf(runs, 'off', key), meanOf(runs, 'unsure', key)];
    expect(Math.abs(mean), key).toBeLessThan(0.8 * typical);
  }
  return { done: runs.filter(({ isDone }) => isDone).length, named: runs.filter(({ isNamed }) => isNamed).length };
}

const meanOf = (
  runs: readonly { off: Record<string, number>; unsure: Record<string, number> }[],
  of: 'off' | 'unsure',
  key: string,
): number => runs.reduce((sum, run) => sum + (run[of][key] ?? NaN), 0) / runs.length;
