import type { OpenPractical } from '../live-bench';
import { movedRightly, runOf, type Start } from '../testing-run';
import type { Act } from './acts';
import type { Bench } from './bench';
import type { Plan } from './plan';
import { dryOut, type Habits } from './practised-student';
import type { Sample } from './sample';
import type { Moving, View } from './view';
import { PRACTICALS } from '../registry';

/** What the tests of the bench of hydrates share: runs driven as the server drives them. */

export type HydrateId = 'water-in-hydrate' | 'which-hydrate' | 'part-of-hydrate';

/** A run that is worked by hand, act by act. */
export const begun = (id: HydrateId, start: Start<Sample> = {}) =>
  runOf<Act, Sample, Bench, View, Moving, Plan>(PRACTICALS[id] as unknown as OpenPractical<View, Moving, Plan>, {
    seed: 'hydrates',
    ...start,
  });
export type Run = ReturnType<typeof begun>;

/** A whole trial by a practised student, with the habits that are given. */
export async function dried(id: HydrateId, start: Start<Sample> = {}, habits: Habits = {}): Promise<Run> {
  const run = begun(id, start);
  await dryOut(run.hands, run.plan, habits);
  return run;
}

/** What moved a value that was worked out rightly from the readings. */
export const moved = (run: Run, quantity: string) => movedRightly(run, quantity);
