import { readFileSync } from 'node:fs';
import { expect, it } from 'vitest';
import { rehearse } from './rehearse';

const example: unknown = JSON.parse(readFileSync(new URL('./example.json', import.meta.url), 'utf8'));

it('runs a practical without the interface, the same each time', () => {
  const result = rehearse(example);
  expect(result.steps.every((step) => 'view' in step)).toBe(true);
  expect(result.record.readings.map((reading) => reading.text)).toEqual(['0.00', '20.90']);
  expect(result.check).toMatchObject({ ok: true, items: [{ value: 0.0836 }] });
  expect(rehearse(example)).toEqual(result);
});

it('gives refusals as sentences and goes on', () => {
  const result = rehearse({ acts: [{ kind: 'drop' }, { kind: 'juggle' }, { kind: 'fill', toMl: 0 }] });
  expect(result.steps.map((step) => step.refusal)).toEqual([
    expect.stringContaining('empty'),
    expect.stringContaining('no act'),
    undefined,
  ]);
});
