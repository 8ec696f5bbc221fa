import { describe, expect, it } from 'vitest';
import { expectAsSure, expectShare, foundOf, students, type Found } from '../careful-students';
import { gridText } from '../../report/grid';
import { mixSeries, nameBottles } from './practised-student';
import type { Plan } from './plan';
import { growCarbonate, weighSolid } from './practised-student';
import { begun, type Run, type SolutionsId } from './testing';

/** Careful students by the dozen: what they find is right as often as they say, and no fewer name their bottles. */

describe('careful students', { timeout: 120_000 }, () => {
  it('name every bottle, and see of every pair what is there', async () => {
    const right: boolean[] = [];
    for (let index = 0; index < students(60, 24); index++) {
      const run = begun('which-bottle', { seed: `class ${index % 7}`, index });
      const { names, seen } = await nameBottles(run.hands, run.plan);
      const truths = run.bench().truths();
      expect(gridText(seen.map((one) => [one]))).toBe(truths['seen']);
      right.push(gridText(names.map((one) => [one])) === truths['names']);
    }
    expectShare(right, Boolean, 58 / 60, 'named');
  });

  it.each([['slip'], ['thermometer'], ['colorimeter']] as const)(
    'find the ratio by the %s, and are as sure of it as they say',
    async (tool) => {
      const all: Found[] = [];
      for (let index = 0; index < students(80); index++) {
        const run = begun('which-react', {
          seed: `by ${tool} ${index}`,
          index,
          setup: { tools: tool === 'slip' ? [tool, 'thermometer', 'plate'] : [tool, 'plate'] },
        });
        const pair = await mixSeries(run.hands, run.plan);
        const letters = Object.entries(run.bench().truths()).filter(
          ([key, value]) => /^k[A-H]$/.test(key) && value !== 0,
        );
        expect(letters.map(([key]) => key.charCodeAt(1) - 65)).toEqual([...pair].sort((a, b) => a - b));
        all.push(foundOf(run.bench(), 'ratio'));
      }
      expectAsSure(all, `ratio by the ${tool}`);
      // Nearest ratio of two whole numbers up to five.
      expectShare(all, ({ value, truth }) => nearest(value) === nearest(truth), 0.95, 'whole numbers');
    },
  );
});

const RATIOS = [1, 2, 3, 4, 5].flatMap((a) => [1, 2, 3, 4, 5].map((b) => a / b));
const nearest = (ratio: number): number =>
  RATIOS.reduce((best, one) => (Math.abs(Math.log(one / ratio)) < Math.abs(Math.log(best / ratio)) ? one : best), 1);

describe('careful students who weigh', { timeout: 240_000 }, () => {
  /** As sure as they say, and this share of them within the widest of their bands. */
  async function expectFound(
    id: SolutionsId,
    quantity: string,
    count: number,
    near: number,
    work: (run: Run) => Promise<void>,
  ) {
    const all: Found[] = [];
    for (let index = 0; index < count; index++) {
      const run = begun(id, { seed: `${id} ${index}`, index });
      await work(run);
      all.push(foundOf(run.bench(), quantity));
    }
    expectAsSure(all, quantity);
    expectShare(all, ({ value, truth }) => Math.abs(value / truth - 1) <= 0.04, near, 'within the widest band');
  }

  it('a solid find its yield, and are as sure of it as they say', async () => {
    await expectFound('solid-yield', 'yield', students(100), 0.98, (run) =>
      weighSolid(run.hands, run.plan as Plan, run.sample.weighed?.volumes ?? [20, 20]),
    );
  });

  it('a solid find the concentration, and are as sure of it as they say', async () => {
    await expectFound('solid-found', 'molar', students(100), 0.98, (run) =>
      weighSolid(run.hands, run.plan as Plan, [20, 30]),
    );
  });

  it('a gas find the ratio by the bend, and are as sure of it as they say', async () => {
    await expectFound('runs-out', 'perMol', students(100), 0.93, (run) =>
      growCarbonate(run.hands, [0.5, 1, 1.5, 2, 2.5, 3, 3.5, 4]),
    );
  });
});
