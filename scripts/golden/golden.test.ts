import { readdirSync, readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { PRACTICAL_IDS, PRACTICALS } from '@core/practicals/registry';
import { digestsOf, goldenSchema, type Golden } from './logs';

const folder = new URL('logs/', import.meta.url);
const logs = readdirSync(folder).map((file) => ({
  file,
  golden: goldenSchema.parse(JSON.parse(readFileSync(new URL(file, folder), 'utf8'))),
}));

const AGAIN =
  'If the bench is meant to behave otherwise, raise `model` of the practical; then, or where only more is shown than before, record the logs anew: npm run golden';

describe('the golden logs', () => {
  it('are there for every practical, of practised hands and of wild ones', () => {
    for (const id of PRACTICAL_IDS)
      expect(logs.filter(({ golden }) => golden.practical === id).length, id).toBeGreaterThanOrEqual(2);
  });

  it.each(logs)('$file gives the bench that it gave when it was recorded', ({ golden }) => {
    const { model } = PRACTICALS[golden.practical];
    expect(golden.model, 'The model was raised. Record the logs anew: npm run golden').toBe(model);
    expect(digestsOf(golden), `The same acts give another bench than model ${model} gave. ${AGAIN}`).toEqual(
      golden.digests,
    );
  });

  it('tell a bench that differs by one act, or by a second', () => {
    const { golden } = logs.find(({ golden }) => golden.practical === 'acid-concentration') as {
      golden: Golden;
    };
    const longer = golden.acts.map(([afterS, act], i): [number, unknown] => [i === 0 ? afterS + 1 : afterS, act]);
    const fewer = golden.acts.filter((_, i) => i !== 3);
    for (const acts of [longer, fewer]) expect(digestsOf({ ...golden, acts }).views).not.toBe(golden.digests.views);
  });
});
