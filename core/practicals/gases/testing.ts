import type { TimedAct } from '../influences';
import type { OpenPractical } from '../live-bench';
import { PRACTICALS } from '../registry';
import { GAS_PRACTICALS } from '.';
import type { Act } from './acts';
import type { Bench } from './bench';
import type { Plan } from './plan';
import type { Hands } from './practised-student';
import type { Sample } from './sample';
import type { Moving, View } from './view';

/** What the tests of the bench of gases share: runs driven as the server drives them. */

export type GasesId = (typeof GAS_PRACTICALS)[keyof typeof GAS_PRACTICALS]['id'];

export interface Start {
  setup?: object;
  seed?: string;
  index?: number;
  sample?: Partial<Sample>;
}

/** A run that is worked by hand, act by act. */
export function begun(id: string, { setup = {}, seed = 'gases', index = 0, sample: given = {} }: Start = {}) {
  const practical = PRACTICALS[id as 'pressure-volume'] as unknown as OpenPractical<View, Moving, Plan>;
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
  const own = Object.values(GAS_PRACTICALS).find((one) => one.id === id) as (typeof GAS_PRACTICALS)['pressureVolume'];
  return {
    /** What the readings come to, by quantity. */
    results: () => own.results(chosen as never, sample, bench.inside() as Bench),
    support: () => own.support?.(chosen as never, sample, bench.inside() as Bench) ?? {},
    slips: () => own.slips(chosen as never, sample, bench.inside() as Bench),
    leftOpen: () => own.leftOpen?.(chosen as never, sample, bench.inside() as Bench) ?? {},
    practical,
    setup: chosen,
    sample,
    seed,
    acts,
    act,
    wait: (seconds: number) => hands.act({ kind: 'wait' }, seconds),
    hands,
    plan: practical.labels(chosen),
    view: () => bench.view(),
    bench: () => bench,
    inside: () => bench.inside() as Bench,
  };
}
export type Run = ReturnType<typeof begun>;

/** What moved a value that was worked out rightly from the readings. */
export function moved({ practical, setup, sample, seed, acts, bench, results }: Run, quantity: string) {
  const trueValue = bench().truths()[quantity] as number;
  const value = results()[quantity] as number;
  const [influences] = practical.influences({ setup, sample, seed }, acts, [{ quantity, value, trueValue }]);
  if (!influences) throw new Error('no influences');
  const share = (key: string) => influences.shares.find((entry) => entry.key === key)?.share ?? 0;
  return { value, trueValue, share, shares: influences.shares, rest: influences.rest };
}
