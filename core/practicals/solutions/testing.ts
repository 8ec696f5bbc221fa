import type { TimedAct } from '../influences';
import type { OpenPractical } from '../live-bench';
import { PRACTICALS } from '../registry';
import { SOLUTION_PRACTICALS } from '.';
import type { Act } from './acts';
import type { Bench } from './bench';
import type { Plan } from './plan';
import type { Hands } from './practised-student';
import type { Sample } from './sample';
import type { Moving, View } from './view';

/** What the tests of the bench of solutions share: runs driven as the server drives them. */

export type SolutionsId = 'which-react' | 'which-bottle' | 'solid-yield' | 'solid-found' | 'runs-out';

interface Start {
  setup?: object;
  seed?: string;
  index?: number;
  sample?: Partial<Sample>;
}

/** A run that is worked by hand, act by act. */
export function begun(id: SolutionsId, { setup = {}, seed = 'solutions', index = 0, sample: given = {} }: Start = {}) {
  const practical = PRACTICALS[id] as unknown as OpenPractical<View, Moving, Plan>;
  const chosen = practical.setup.parse(setup);
  const sample = { ...(practical.sample(chosen, seed, index) as Sample), ...given };
  let bench = practical.open(chosen, sample, seed);
  const acts: TimedAct[] = [];
  /** @returns the refusal, or what was said of what was done */
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
  const does = (...all: Act[]) => all.forEach((one) => hands.act(one));
  const own = Object.values(SOLUTION_PRACTICALS).find((one) => one.id === id) as (typeof SOLUTION_PRACTICALS)['ratio'];
  return {
    practical,
    setup: chosen,
    sample,
    seed,
    acts,
    act,
    does,
    hands,
    wait: (seconds: number) => hands.act({ kind: 'wait' }, seconds),
    plan: practical.labels(chosen),
    view: () => bench.view(),
    bench: () => bench,
    inside: () => bench.inside() as Bench,
    /** How uncertain a result is by what was read. */
    uncertainty: (quantity = 'ratio') =>
      own.support?.(chosen as never, sample, bench.inside() as Bench)[quantity]?.uncertainty ?? NaN,
    /** What the readings come to, by quantity. */
    results: () => own.results(chosen as never, sample, bench.inside() as Bench),
  };
}
export type Run = ReturnType<typeof begun>;

/** What moved a value that was worked out rightly from the readings. */
export function moved({ practical, setup, sample, seed, acts, bench, results }: Run, quantity = 'ratio') {
  const trueValue = bench().truths()[quantity] as number;
  const value = results()[quantity] as number;
  const [influences] = practical.influences({ setup, sample, seed }, acts, [{ quantity, value, trueValue }]);
  if (!influences) throw new Error('no influences');
  const share = (key: string) => influences.shares.find((entry) => entry.key === key)?.share ?? 0;
  return { value, trueValue, share, shares: influences.shares, rest: influences.rest };
}
