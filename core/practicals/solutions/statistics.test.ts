import { describe, expect, it } from 'vitest';
import { gridText } from '../../report/grid';
import { mixSeries, nameBottles } from './practised-student';
import type { Plan } from './plan';
import { growCarbonate, weighSolid } from './solids-student';
import { begun, type Run, type SolutionsId } from './testing';

/** Careful students by the dozen: what they find is right as often as they say, and no fewer name their bottles. */

describe('careful students', { timeout: 120_000 }, () => {
  it('name every bottle, and see of every pair what is there', async () => {
    let right = 0;
    for (let index = 0; index < 60; index++) {
      const run = begun('which-bottle', { seed: `class ${index % 7}`, index });
      const { names, seen } = await nameBottles(run.hands, run.plan);
      const truths = run.bench().truths();
      expect(gridText(seen.map((one) => [one]))).toBe(truths['seen']);
      if (gridText(names.map((one) => [one])) === truths['names']) right++;
    }
    expect(right).toBeGreaterThanOrEqual(58);
  });

  it.each([['slip'], ['thermometer'], ['colorimeter']] as const)(
    'find the ratio by the %s, and are as sure of it as they say',
    async (tool) => {
      let covered = 0;
      let isWhole = 0;
      const students = 80;
      for (let index = 0; index < students; index++) {
        const run = begun('which-react', {
          seed: `by ${tool} ${index}`,
          index,
          setup: { tools: tool === 'slip' ? [tool, 'thermometer', 'plate'] : [tool, 'plate'] },
        });
        const pair = await mixSeries(run.hands, run.plan);
        const found = run.results()['ratio'] as number;
        const truth = run.bench().truths()['ratio'] as number;
        const letters = Object.entries(run.bench().truths()).filter(
          ([key, value]) => /^k[A-H]$/.test(key) && value !== 0,
        );
        expect(letters.map(([key]) => key.charCodeAt(1) - 65)).toEqual([...pair].sort((a, b) => a - b));
        if (Math.abs(found - truth) <= 2 * run.uncertainty()) covered++;
        // Nearest ratio of two whole numbers up to five.
        if (nearest(found) === nearest(truth)) isWhole++;
      }
      expect(covered).toBeGreaterThanOrEqual(0.93 * students);
      expect(isWhole).toBeGreaterThanOrEqual(0.95 * students);
    },
  );
});

const RATIOS = [1, 2, 3, 4, 5].flatMap((a) => [1, 2, 3, 4, 5].map((b) => a / b));
const nearest = (ratio: number): number =>
  RATIOS.reduce((best, one) => (Math.abs(Math.log(one / ratio)) < Math.abs(Math.log(best / ratio)) ? one : best), 1);

describe('careful students who weigh', { timeout: 240_000 }, () => {
  /** How many of them come within twice what they are uncertain by, and within the widest of their bands. */
  async function share(
    id: SolutionsId,
    quantity: string,
    students: number,
    work: (run: Run) => Promise<void>,
    setup: object = {},
  ) {
    let [covered, near] = [0, 0];
    for (let index = 0; index < students; index++) {
      const run = begun(id, { seed: `${id} ${index}`, index, setup });
      await work(run);
      const [found, truth] = [run.results()[quantity] as number, run.bench().truths()[quantity] as number];
      if (Math.abs(found - truth) <= 2 * run.uncertainty(quantity)) covered++;
      if (Math.abs(found / truth - 1) <= 0.04) near++;
    }
    return { covered: covered / students, near: near / students };
  }

  it('a solid find its yield, and are as sure of it as they say', async () => {
    const found = await share('solid-yield', 'yield', 100, (run) =>
      weighSolid(run.hands, run.plan as Plan, run.sample.weighed?.volumes ?? [20, 20]),
    );
    expect(found.covered).toBeGreaterThanOrEqual(0.93);
    expect(found.near).toBeGreaterThanOrEqual(0.98);
  });

  it('a solid find the concentration, and are as sure of it as they say', async () => {
    const found = await share('solid-found', 'molar', 100, (run) => weighSolid(run.hands, run.plan as Plan, [20, 30]));
    expect(found.covered).toBeGreaterThanOrEqual(0.93);
    expect(found.near).toBeGreaterThanOrEqual(0.98);
  });

  it('a gas find the ratio by the bend, and are as sure of it as they say', async () => {
    const found = await share('runs-out', 'perMol', 100, (run) =>
      growCarbonate(run.hands, [0.5, 1, 1.5, 2, 2.5, 3, 3.5, 4]),
    );
    expect(found.covered).toBeGreaterThanOrEqual(0.93);
    expect(found.near).toBeGreaterThanOrEqual(0.93);
  });
});
