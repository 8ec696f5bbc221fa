import { z } from 'zod';
import { PRACTICAL_IDS, PRACTICALS } from '@core/practicals/registry';

/** What a rehearsal file holds; everything but the acts has a default. */
const rehearsalSchema = z.object({
  practical: z.enum(PRACTICAL_IDS).default('acid-concentration'),
  setup: z.record(z.string(), z.unknown()).default({}),
  seed: z.string().default('rehearsal'),
  /** Which sample of the seed. */
  index: z.number().int().min(0).default(0),
  /** Each act, and how many seconds of bench time pass before it. */
  acts: z.array(z.looseObject({ kind: z.string(), afterS: z.number().min(0).optional() })),
  answers: z.record(z.string(), z.object({ text: z.string(), unit: z.string().optional() })).optional(),
});

/** Runs a rehearsal: the view after each act or the sentence that refused it, the record, the sample, the check. */
export function rehearse(json: unknown) {
  const file = rehearsalSchema.parse(json);
  const practical = PRACTICALS[file.practical];
  const setup = practical.setup.parse(file.setup);
  const sample = practical.sample(setup, file.seed, file.index);
  let bench = practical.open(setup, sample, file.seed);
  const steps = file.acts.map(({ afterS = 0, ...sent }) => {
    bench = bench.advance(afterS);
    const act = practical.readAct(sent);
    if (!act) return { act: sent, refusal: 'This is no act of this practical.' };
    const outcome = bench.perform(act);
    if ('refusal' in outcome) return { act, refusal: outcome.refusal };
    bench = outcome.bench;
    return { act, note: outcome.note, view: bench.view() };
  });
  // A rehearsal is held against what it answers; the rest of the report is not its business.
  const asks = practical.asks(setup).filter((ask) => Object.hasOwn(file.answers ?? {}, ask.key));
  return {
    sample,
    steps,
    record: bench.record(),
    check: file.answers ? bench.check(file.answers, asks) : undefined,
  };
}
