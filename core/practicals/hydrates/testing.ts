import type { TimedAct } from '../influences';
import type { OpenPractical } from '../live-bench';
import { HYDRATE_PRACTICALS } from '.';
import type { Act } from './acts';
import type { Bench } from './bench';
import type { Plan } from './plan';
import { dryOut, type Habits, type Hands } from './practised-student';
import type { Sample } from './sample';
import type { Moving, View } from './view';
import { PRACTICALS } from '../registry';

/** What the tests of the bench of hydrates share: runs driven as the server drives them. */

export type HydrateId = 'water-in-hydrate' | 'which-hydrate' | 'part-of-hydrate';

interface Start {
  setup?: object;
  seed?: string;
  index?: number;
  sample?: Partial<Sample>;
}

/** A run that is worked by hand, act by act. */
export function begun(id: HydrateId, { setup = {}, seed = 'hydrates', index = 0, sample: given = {} }: Start = {}) {
  const practical = PRACTICALS[id] as unknown as OpenPractical<View, Moving, Plan>;
  const chosen = practical.setup.parse(setup);
  const sample = { ...(practical.sample(chosen, seed, index) as Sample), ...given };
  let bench = practical.open(chosen, sample, seed);
  const acts: TimedAct[] = [];
  const act = (json: Act, afterS = 0): string | undefined => {
    bench = bench.advance(afterS);
    const read = practical.readAct(json);
    if (!read) throw new Error(`no act: ${JSON.stringify(json)}`);
    const outcome = bench.perform(read);
    if ('refusal' in outcome) return outcome.refusal;
    acts.push({ atS: bench.clockS, act: json });
    bench = outcome.bench;
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
  const wait = (seconds: number) => hands.act({ kind: 'wait' }, seconds);
  const does = (...all: Act[]) => all.forEach((one) => hands.act(one));
  const plan = practical.labels(chosen);
  const own = Object.values(HYDRATE_PRACTICALS).find((one) => one.id === id) as (typeof HYDRATE_PRACTICALS)['water'];
  /** What the readings come to, by quantity. */
  const results = () => own.results(chosen as never, sample, bench.inside() as Bench);
  return {
    results,
    practical,
    setup: chosen,
    sample,
    seed,
    acts,
    act,
    does,
    wait,
    hands,
    plan,
    view: () => bench.view(),
    bench: () => bench,
    inside: () => bench.inside() as Bench,
  };
}
export type Run = ReturnType<typeof begun>;

/** A whole trial by a practised student, with the habits that are given. */
export async function dried(id: HydrateId, start: Start = {}, habits: Habits = {}): Promise<Run> {
  const run = begun(id, start);
  await dryOut(run.hands, run.plan, habits);
  return run;
}

/** What moved a value that was worked out rightly from the readings. */
export function moved({ practical, setup, sample, seed, acts, bench, results }: Run, quantity: string) {
  const trueValue = bench().truths()[quantity] as number;
  const ask = (value: number) =>
    practical.influences({ setup, sample, seed }, acts, [{ quantity, value, trueValue }])[0];
  const value = results()[quantity] as number;
  const influences = ask(value);
  if (!influences) throw new Error('no influences');
  const share = (key: string) => influences.shares.find((entry) => entry.key === key)?.share ?? 0;
  return { value, trueValue, share, shares: influences.shares, rest: influences.rest };
}
