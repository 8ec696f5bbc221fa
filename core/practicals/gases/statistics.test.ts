import { describe, expect, it } from 'vitest';
import type { Plan } from './plan';
import {
  collectGas,
  injectVapour,
  pressTogether,
  warmBulb,
  warmSyringes,
  type Habits,
  type Hands,
} from './practised-student';
import { begun, type Run } from './testing';

/** What careful students find, each with a sample, a gauge and hands of their own: as sure as they say. */

type Work = (hands: Hands, plan: Plan, habits?: Habits) => Promise<void>;

async function classOf(id: string, work: Work, students: number, setup: (i: number) => object): Promise<Run[]> {
  const runs: Run[] = [];
  for (let i = 0; i < students; i++) {
    const run = begun(id, { index: i, seed: `student ${i}`, setup: setup(i) });
    await work(run.hands, run.plan);
    runs.push(run);
  }
  return runs;
}

const coverage = (runs: readonly Run[], quantity: string) =>
  runs.filter((run) => {
    const off = (run.results()[quantity] ?? NaN) - Number(run.bench().truths()[quantity]);
    return Math.abs(off) <= 2 * (run.support()[quantity]?.uncertainty ?? NaN);
  }).length / runs.length;

const isNamed = (run: Run): boolean => {
  const left = run.leftOpen()['name'] ?? [];
  return left.length === 1 && left[0] === run.bench().truths()['name'];
};

const UNITS = ['kPa', 'bar', 'atm', 'mmHg'] as const;
const gaugeOf = (i: number) => ({ gauge: i % 2 ? 'over' : 'absolute', unit: UNITS[i % 4] });

describe('careful students', { timeout: 600_000 }, () => {
  it('find the coil, the amount and the zero within what they say', async () => {
    const runs = await classOf('pressure-volume', pressTogether, 300, gaugeOf);
    for (const quantity of ['inner', 'amount', 'zero']) {
      expect(coverage(runs, quantity), quantity).toBeGreaterThanOrEqual(0.93);
      expect(coverage(runs, quantity), quantity).toBeLessThan(0.999);
    }
  });

  it('find absolute zero and the jar within what they say', async () => {
    const runs = await classOf('pressure-temperature', warmBulb, 300, gaugeOf);
    for (const quantity of ['absoluteZero', 'jar'])
      expect(coverage(runs, quantity), quantity).toBeGreaterThanOrEqual(0.93);
  });

  it('find a molar mass within what they say, and name the liquid', async () => {
    const runs = await classOf('vapour-molar-mass', injectVapour, 300, () => ({}));
    expect(coverage(runs, 'molarMass')).toBeGreaterThanOrEqual(0.93);
    expect(runs.filter(isNamed).length / runs.length).toBeGreaterThanOrEqual(0.95);
  });

  it('find the hydrogen of a gram within what they say, and name the metal', async () => {
    const runs = await classOf('gas-over-water', collectGas, 300, () => ({}));
    expect(coverage(runs, 'perMol')).toBeGreaterThanOrEqual(0.93);
    expect(runs.filter(isNamed).length / runs.length).toBeGreaterThanOrEqual(0.95);
  });

  it('find where lines meet and where a vapour condenses, and name it', async () => {
    const runs = await classOf('volume-temperature', warmSyringes, 100, () => ({}));
    expect(coverage(runs, 'absoluteZero')).toBeGreaterThanOrEqual(0.93);
    expect(coverage(runs, 'condenses')).toBeGreaterThanOrEqual(0.93);
    expect(runs.filter(isNamed).length / runs.length).toBeGreaterThanOrEqual(0.95);
  });
});
