import { describe, expect, it } from 'vitest';
import { countImpacts, growNumber } from './practised-student';
import { everyoneFinds } from './statistics';

describe('impacts, and numbers from one to a thousand, of a hundred students each', { timeout: 600_000 }, () => {
  it('tells the gas by single impacts, and what becomes of their number and their push', async () => {
    const found = await everyoneFinds('where-pressure-comes-from', {}, countImpacts, [
      'molarMass',
      'pressure',
      'pushHot',
      'rateHot',
      'rateSmall',
      'pushSmall',
      'rateMore',
    ]);
    expect(found.done).toBe(100);
    expect(found.named).toBeGreaterThanOrEqual(99);
  });

  it('shows what wavers a tenth as much of a hundred times as many, and what stays', async () => {
    const { done } = await everyoneFinds('one-to-many', {}, growNumber, ['energy', 'wavering', 'above', 'speeds']);
    expect(done).toBe(100);
  });
});
