import { expect } from 'vitest';
import { chance } from '../../random';
import type { TimedAct } from '../influences';
import type { OpenPractical } from '../live-bench';
import { movedIn } from '../testing-run';
import type { Act } from './acts';
import type { Plan } from './plan';
import { workThrough, type Habits, type Perform } from './practised-student';
import type { Moving, View } from './view';

/** What the tests of the bench of titration share: runs driven as the server drives them, right or with one fault. */

export const PERFECT: Habits = { indicator: 'phenolphthalein', trials: 2, readingErrorMl: 0, lateDrops: 0 };

export type AnyPractical = OpenPractical<View, Moving, Plan>;

export interface Run {
  practical: AnyPractical;
  setup: unknown;
  sample: unknown;
  seed: string;
  acts: TimedAct[];
  bench: ReturnType<AnyPractical['open']>;
}

/** How a student departs from what is planned: another act in the place of one, or some before it. */
export interface Deviation {
  setup?: object;
  seed?: string;
  change?: (act: Act, view: View) => Act;
  before?: (act: Act, view: View) => Act[];
}

/** A run driven as the server drives it, its acts kept with their times; refusals fail the test. */
export async function rehearsed(
  practical: AnyPractical,
  sample: object,
  work: (perform: Perform, plan: Plan) => Promise<unknown>,
  { setup = {}, seed = 'rehearsed', change = (act: Act) => act, before = () => [] }: Deviation = {},
): Promise<Run> {
  const chosen = practical.setup.parse(setup);
  const acts: TimedAct[] = [];
  let bench = practical.open(chosen, sample, seed);
  const perform: Perform = async (planned, afterS = 0) => {
    bench = bench.advance(afterS);
    for (const act of [...before(planned, bench.view()), change(planned, bench.view())]) {
      const outcome = bench.perform(act);
      if ('refusal' in outcome) throw new Error(`${act.kind}: ${outcome.refusal}`);
      acts.push({ atS: bench.clockS, act });
      bench = outcome.bench;
    }
    return bench.view();
  };
  await work(perform, practical.labels(chosen));
  return { practical, setup: chosen, sample, seed, acts, bench };
}

export const byIndicator =
  (habits: Partial<Habits> = {}) =>
  (perform: Perform, plan: Plan) =>
    workThrough(perform, plan, { ...PERFECT, ...habits }, chance('rehearsed', 'hand'));

/** What moved a value that was worked out rightly from the readings, or with a slip of that factor. */
export function moved(run: Run, quantity: string, factor = 1) {
  const truth = truthOf(run, quantity);
  const value = (run.bench.results()[quantity] as number) * factor;
  const influences = movedIn(run, quantity, value, truth);
  return { ...influences, truth, off: value / truth - 1, part: (key: string) => influences.share(key) / truth };
}

export function truthOf({ practical, setup, sample, seed }: Run, quantity: string): number {
  const truth = practical.open(setup, sample, seed).truths()[quantity];
  if (typeof truth !== 'number') throw new Error(`${quantity} is no number`);
  return truth;
}

/** The share of a fault beside what the same fault is known to do, to within a tenth. */
export function expectShare(actual: number, expected: number) {
  expect(Math.abs(actual / expected - 1)).toBeLessThan(0.1);
}
