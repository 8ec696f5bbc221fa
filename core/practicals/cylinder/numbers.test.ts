import { describe, inject, it } from 'vitest';
import { expectShare } from '../careful-students';
import { countImpacts, growNumber } from './practised-student';
import { everyoneFinds } from './statistics';
import type { Run } from './testing';

// In every run the contract suite has five students of each.
describe.runIf(inject('isLong'))(
  'impacts, and numbers from one to a thousand, of careful students',
  { timeout: 600_000 },
  () => {
    it('tells the gas by single impacts, and what becomes of their number and their push', async () => {
      const runs = await everyoneFinds('where-pressure-comes-from', {}, countImpacts, [
        'molarMass',
        'pressure',
        'pushHot',
        'rateHot',
        'rateSmall',
        'pushSmall',
        'rateMore',
      ]);
      const isNamed = (run: Run) => (run.leftOpen()['name'] ?? []).join() === run.bench().truths()['name'];
      expectShare(runs, isNamed, 0.99, 'named');
    });

    it('shows what wavers a tenth as much of a hundred times as many, and what stays', async () => {
      await everyoneFinds('one-to-many', {}, growNumber, ['energy', 'wavering', 'above', 'speeds']);
    });
  },
);
