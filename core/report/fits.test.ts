import { describe, expect, it } from 'vitest';
import { PRACTICALS } from '../practicals/registry';
import { askSchema, type Ask, type SampleQuantity } from './asks';
import { misfit } from './fits';

const QUANTITIES: SampleQuantity[] = [
  { key: 'molar', label: 'Concentration', kind: 'number', unit: 'mol/L', digits: 3 },
  { key: 'name', label: 'Metal', kind: 'name', options: ['zinc', 'lead', 'tin'] },
];
const common = { key: 'q', label: 'Q', when: 'result', required: true };
const ask = (more: object): Ask => askSchema.parse({ ...common, ...more });
const number = (unit: string, quantity = 'molar') => ask({ kind: 'number', quantity, unit, bandsPercent: [2] });
const name = (options: string[], quantity = 'name') => ask({ kind: 'name', quantity, options });

describe('a question that is checked', () => {
  it('can be answered in every practical as it comes', () => {
    for (const { id, setup, asks, quantities } of Object.values(PRACTICALS)) {
      const chosen = setup.parse({});
      for (const one of asks(chosen))
        expect([id, one.key, misfit(one, quantities(chosen))]).toEqual([id, one.key, undefined]);
    }
  });

  it.each([
    [number('mol/L'), undefined],
    [number('mmol/L'), undefined],
    [number('g'), 'unit'],
    [number('mol/L', 'gone'), 'quantity'],
    [number('g', 'name'), 'quantity'],
    [name(['Tin', 'lead ', 'zinc', 'gold']), undefined],
    [name(['zinc', 'lead']), 'options'],
    [name(['zinc', 'tin'], 'molar'), 'quantity'],
  ])('%#: what is in the way of a right answer is found', (one, field) => {
    expect(misfit(one, QUANTITIES)?.field).toBe(field);
  });
});
