import { createHash } from 'node:crypto';
import { z } from 'zod';
import { PRACTICAL_IDS, PRACTICALS, type AnyBench } from '@core/practicals/registry';

/** A run that was recorded once, and what its bench was: whoever changes how a bench behaves learns it from these. */
export const goldenSchema = z.object({
  practical: z.enum(PRACTICAL_IDS),
  /** The model of the practical that it was recorded under. */
  model: z.number(),
  setup: z.unknown(),
  seed: z.string(),
  index: z.number(),
  /** Each act, with the seconds of bench time before it. */
  acts: z.array(z.tuple([z.number(), z.unknown()])),
  digests: z.record(z.string(), z.string()),
});
export type Golden = z.infer<typeof goldenSchema>;

/** Neither the order in which an object was put together says anything, nor the last bits of a number. */
function plainly(_: string, value: unknown): unknown {
  if (typeof value === 'number') return Number(value.toPrecision(12));
  return typeof value === 'object' && value !== null && !Array.isArray(value)
    ? Object.fromEntries(Object.entries(value).sort(([a], [b]) => (a < b ? -1 : 1)))
    : value;
}

const digest = (value: unknown) =>
  createHash('sha256').update(JSON.stringify(value, plainly)).digest('hex').slice(0, 16);

/** What goes on by itself over the next two seconds. */
function framesOf(bench: AnyBench): unknown[] {
  const frames: unknown[] = [];
  let now = bench;
  for (let i = 0; i < 10 && now.running; i++) {
    now = now.advance(0.2 * bench.pace);
    frames.push(now.frame());
  }
  return frames;
}

/** After how many acts the view is taken into account again. */
const EACH = 5;

/** What its bench is under the present model: views on the way, and at the end record, truths and report. */
export function digestsOf({
  practical: id,
  setup,
  seed,
  index,
  acts,
}: Omit<Golden, 'digests' | 'model'>): Golden['digests'] {
  const practical = PRACTICALS[id];
  let bench: AnyBench = practical.open(setup, practical.sample(setup, seed, index), seed);
  const views: unknown[] = [];
  const outcomes: unknown[] = [];
  acts.forEach(([afterS, sent], i) => {
    bench = bench.advance(afterS);
    const act = practical.readAct(sent);
    const outcome = act ? bench.perform(act) : { refusal: 'no act' };
    outcomes.push('refusal' in outcome ? outcome.refusal : (outcome.note ?? null));
    if (!('refusal' in outcome)) bench = outcome.bench;
    if (i % EACH === 0 || i === acts.length - 1) views.push(bench.view(), framesOf(bench));
  });
  return {
    sample: digest(practical.sample(setup, seed, index)),
    outcomes: digest(outcomes),
    views: digest(views),
    record: digest(bench.record()),
    truths: digest(bench.truths()),
    check: digest(bench.check({})),
  };
}
