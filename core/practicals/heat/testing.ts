import type { OpenPractical } from '../live-bench';
import { movedRightly, runOf, type Start } from '../testing-run';
import type { Act } from './acts';
import type { Bench } from './bench';
import type { Plan } from './plan';
import { carryMetal, dissolveSalt, mixPortions, neutralise, runInBase } from './practised-student';
import { burnLamp, burnPellet, type BurningHabits } from './burning/student';
import type { Sample } from './sample';
import type { Moving, View } from './view';
import { PRACTICALS } from '../registry';

/** What the tests of the bench of heat share: runs driven as the server drives them. */

export type HeatId =
  | 'freezing-point'
  | 'molar-mass-by-freezing'
  | 'mixture-melting'
  | 'pellet-in-oxygen'
  | 'lamp-fuels'
  | 'two-portions'
  | 'metal-by-heat'
  | 'salt-by-heat'
  | 'acid-with-base'
  | 'acid-by-temperature';
export const practicalOf = (id: HeatId) => PRACTICALS[id] as unknown as OpenPractical<View, Moving, Plan>;

/** A run that is worked by hand, act by act. */
export const begun = (id: HeatId, start: Start<Sample> = {}) =>
  runOf<Act, Sample, Bench, View, Moving, Plan>(practicalOf(id), { seed: 'heat', ...start });
export type Run = ReturnType<typeof begun>;

/** A whole run by a practised student, with the habits that are given. */
export async function worked(
  id: HeatId,
  start: Start<Sample> = {},
  habits: BurningHabits & { acidMl?: number; baseMl?: number } = {},
  trials = 2,
  /** How the known was burnt, where that is what the first trial is about. */
  standard: BurningHabits = {},
  /** What the hands do in the place of what they mean. */
  slip: (act: Act) => Act = (act) => act,
): Promise<Run> {
  const run = begun(id, start);
  const { act } = run.hands;
  run.hands.act = (meant, afterS) => act(slip(meant), afterS);
  const plan = run.practical.labels(run.setup);
  if (id === 'acid-by-temperature') {
    await runInBase(run.hands, plan, habits);
    return run;
  }
  for (let trial = 1; trial <= trials; trial++) {
    if (id === 'metal-by-heat') await carryMetal(run.hands, plan, trial, habits);
    else if (id === 'salt-by-heat') await dissolveSalt(run.hands, plan, trial, habits);
    else if (id === 'pellet-in-oxygen')
      await burnPellet(run.hands, plan, trial, trial === 1 ? 'standard' : 'unknown', trial === 1 ? standard : habits);
    else if (id === 'lamp-fuels')
      await burnLamp(run.hands, plan, trial, trial === 1 ? 1 : 2, trial === 1 ? standard : habits);
    else if (id === 'acid-with-base') await neutralise(run.hands, plan, trial, habits);
    else await mixPortions(run.hands, plan, trial, { coolMl: 80, warmMl: 90, warmC: 60, ...habits });
  }
  return run;
}

/** What moved a value that was worked out rightly from the readings. */
export const moved = (run: Run, quantity: string) => movedRightly(run, quantity);
