import type { TimedAct } from '../influences';
import type { OpenPractical } from '../live-bench';
import type { Act } from './acts';
import type { Plan } from './plan';
import { carryMetal, dissolveSalt, mixPortions, neutralise, runInBase, type Hands } from './practised-student';
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

interface Start {
  setup?: object;
  seed?: string;
  index?: number;
  /** What of the sample is to be otherwise than drawn. */
  sample?: Partial<Sample>;
}

/** A run that is worked by hand, act by act. */
export function begun(id: HeatId, { setup = {}, seed = 'heat', index = 0, sample: given = {} }: Start = {}) {
  const practical = practicalOf(id);
  const chosen = practical.setup.parse(setup);
  const sample = { ...(practical.sample(chosen, seed, index) as Sample), ...given };
  let bench = practical.open(chosen, sample, seed);
  const acts: TimedAct[] = [];
  const told: string[] = [];
  const act = (json: Act, afterS = 0): string | undefined => {
    bench = bench.advance(afterS);
    const read = practical.readAct(json);
    if (!read) throw new Error(`no act: ${JSON.stringify(json)}`);
    const outcome = bench.perform(read);
    if ('refusal' in outcome) return outcome.refusal;
    acts.push({ atS: bench.clockS, act: json });
    bench = outcome.bench;
    if (outcome.note) told.push(outcome.note);
    return outcome.note;
  };
  const hands: Hands = {
    act: (json, afterS) => {
      const before = acts.length;
      const said = act(json, afterS);
      if (acts.length === before) throw new Error(`${json.kind}: ${said}`);
    },
    view: () => bench.view(),
  };
  return {
    practical,
    setup: chosen,
    sample,
    seed,
    acts,
    told,
    act,
    hands,
    view: () => bench.view(),
    bench: () => bench,
  };
}
export type Run = ReturnType<typeof begun>;

/** A whole run by a practised student, with the habits that are given. */
export async function worked(
  id: HeatId,
  start: Start = {},
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
export function moved({ practical, setup, sample, seed, acts, bench }: Run, quantity: string) {
  const trueValue = bench().truths()[quantity] as number;
  const ask = (value: number) =>
    practical.influences({ setup, sample, seed }, acts, [{ quantity, value, trueValue }])[0];
  const value = bench().results()[quantity] as number;
  const influences = ask(value);
  if (!influences) throw new Error('no influences');
  const share = (key: string) => influences.shares.find((entry) => entry.key === key)?.share ?? 0;
  return { value, trueValue, share, shares: influences.shares, rest: influences.rest };
}
