import { expect } from 'vitest';
import type { Answers } from '../../report/check';
import type { TimedAct } from '../influences';
import type { OpenPractical } from '../live-bench';
import { movedRightly } from '../testing-run';
import type { Act } from './acts';
import type { Plan } from './plan';
import type { Hands } from './practised-student';
import type { Sample } from './sample';
import type { Moving, View } from './view';

/** What the tests of the bench of measuring share: runs driven as the server drives them. */

export type AnyPractical = OpenPractical<View, Moving, Plan>;

/** A run driven as the server drives it; refusals fail the test. */
export async function rehearsed(
  practical: AnyPractical,
  work: (hands: Hands, plan: Plan) => Promise<unknown>,
  { setup = {}, seed = 'rehearsed', sample: given }: { setup?: object; seed?: string; sample?: Sample } = {},
) {
  const chosen = practical.setup.parse(setup);
  const sample = given ?? (practical.sample(chosen, seed, 0) as Sample);
  let bench = practical.open(chosen, sample, seed);
  const acts: TimedAct[] = [];
  const notes: string[] = [];
  await work(
    {
      act: (act: Act, afterS = 0) => {
        bench = bench.advance(afterS);
        const outcome = bench.perform(act);
        if ('refusal' in outcome) throw new Error(`${act.kind}: ${outcome.refusal}`);
        acts.push({ atS: bench.clockS, act });
        if (outcome.note) notes.push(outcome.note);
        bench = outcome.bench;
      },
      view: () => bench.view(),
    },
    practical.labels(chosen),
  );
  return { practical, setup: chosen, sample, seed, bench, acts, notes };
}
export type Run = Awaited<ReturnType<typeof rehearsed>>;

/** What moved a value that was worked out rightly from the readings. */
export function moved({ bench, ...run }: Run, quantity: string) {
  const found = movedRightly({ ...run, bench: () => bench }, quantity);
  return { ...found, first: found.shares[0]?.key };
}

/** The check of one quantity with its unit. */
export function held({ practical, setup, bench }: Run, quantity: string, text: string) {
  const asks = practical.asks(setup).filter((ask) => 'quantity' in ask && ask.quantity === quantity);
  const [ask] = asks;
  const unit = ask?.kind === 'number' ? ask.unit : undefined;
  const answers: Answers = { [ask?.key ?? '']: unit ? { text, unit } : { text } };
  const checked = bench.check(answers, asks);
  if (!checked.ok) throw new Error(checked.problems[0]?.sentence);
  return checked.items[0];
}

const BLOCK = { kind: 'block', length: 41.237, width: 22.461, height: 11.873 } as const;
export const blockOf = (materialId: string): Sample => ({
  tempC: 20,
  lots: [{ materialId, shape: BLOCK, volumesMl: [(41.237 * 22.461 * 11.873) / 1000] }],
  bottles: [],
  targetMl: null,
});
export const ALUMINIUM_PIECES: Sample = {
  tempC: 20,
  lots: [
    {
      materialId: 'aluminium',
      shape: { kind: 'small pieces' },
      volumesMl: Array.from({ length: 30 }, (_, i) => 0.4 + 0.001 * i),
    },
  ],
  bottles: [],
  targetMl: null,
};

/** The share of a fault beside what the same fault is known to do, to within a tenth. */
export const expectShare = (actual: number, expected: number) =>
  expect(Math.abs(actual / expected - 1)).toBeLessThan(0.1);
