import type { CommonAct } from './common-acts';
import type { TimedAct } from './influences';
import type { OpenPractical } from './live-bench';

/** A run as tests work it, driven as the server drives it: act by act, with what came of each. The same for every family. */

export interface Start<Sample> {
  setup?: object;
  seed?: string;
  index?: number;
  /** What of the sample is to be otherwise than drawn. */
  sample?: Partial<Sample>;
}

/** @param seed where none is given, any will do */
export function runOf<Act extends { kind: string }, Sample extends object, Bench, View, Moving, Plan>(
  practical: OpenPractical<View, Moving, Plan>,
  { setup: settings = {}, seed = 'run', index = 0, sample: given = {} }: Start<Sample>,
) {
  const setup = practical.setup.parse(settings);
  const sample = { ...(practical.sample(setup, seed, index) as Sample), ...given };
  let bench = practical.open(setup, sample, seed);
  const acts: TimedAct[] = [];
  const told: string[] = [];
  /** @returns the refusal, or what was said of what was done */
  const act = (json: Act | CommonAct, afterS = 0): string | undefined => {
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
  const hands = {
    /** What is refused fails. */
    act: (json: Act | CommonAct, afterS?: number): void => {
      const before = acts.length;
      const said = act(json, afterS);
      if (acts.length === before) throw new Error(`${json.kind}: ${said}`);
    },
    view: () => bench.view(),
  };
  return {
    practical,
    setup,
    sample,
    seed,
    plan: practical.labels(setup),
    acts,
    told,
    act,
    does: (...all: (Act | CommonAct)[]) => all.forEach((one) => hands.act(one)),
    wait: (seconds: number) => hands.act({ kind: 'wait' }, seconds),
    hands,
    view: () => bench.view(),
    bench: () => bench,
    inside: () => bench.inside() as Bench,
    /** What the readings come to, by quantity; how sure that is, and which names it leaves open. */
    results: () => bench.results(),
    support: () => bench.support(),
    leftOpen: () => bench.leftOpen(),
  };
}

interface Worked {
  practical: Pick<OpenPractical<unknown, unknown, unknown>, 'influences'>;
  setup: unknown;
  sample: unknown;
  seed: string;
  acts: readonly TimedAct[];
}

/** What moved a value, asked as a closed run is asked. */
export function movedIn(
  { practical, setup, sample, seed, acts }: Worked,
  quantity: string,
  value: number,
  trueValue: number,
) {
  const [influences] = practical.influences({ setup, sample, seed }, acts, [{ quantity, value, trueValue }]);
  if (!influences) throw new Error('no influences');
  const share = (key: string) => influences.shares.find((entry) => entry.key === key)?.share ?? 0;
  return { ...influences, value, trueValue, share };
}

/** The same of a value that was worked out rightly from the readings. */
export const movedRightly = (
  run: Worked & {
    bench: () => { truths(): Readonly<Record<string, unknown>>; results(): Readonly<Record<string, number>> };
  },
  quantity: string,
) => movedIn(run, quantity, run.bench().results()[quantity] as number, run.bench().truths()[quantity] as number);
