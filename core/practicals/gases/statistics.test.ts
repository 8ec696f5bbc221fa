import { describe, it } from 'vitest';
import { expectAsSure, expectShare, foundOf, students } from '../careful-students';
import type { Plan } from './plan';
import { workWithGas, type Habits, type Hands } from './practised-student';
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

const expectSure = (runs: readonly Run[], quantity: string) =>
  expectAsSure(
    runs.map((run) => foundOf(run.bench(), quantity)),
    quantity,
  );

const isNamed = (run: Run): boolean => {
  const left = run.bench().leftOpen()['name'] ?? [];
  return left.length === 1 && left[0] === run.bench().truths()['name'];
};

const UNITS = ['kPa', 'bar', 'atm', 'mmHg'] as const;
const gaugeOf = (i: number) => ({ gauge: i % 2 ? 'over' : 'absolute', unit: UNITS[i % 4] });

describe('careful students', { timeout: 600_000 }, () => {
  it('find the coil, the amount and the zero within what they say', async () => {
    const runs = await classOf('pressure-volume', workWithGas, students(300), gaugeOf);
    for (const quantity of ['inner', 'amount', 'zero']) {
      expectSure(runs, quantity);
    }
  });

  it('find absolute zero and the jar within what they say', async () => {
    const runs = await classOf('pressure-temperature', workWithGas, students(300), gaugeOf);
    for (const quantity of ['absoluteZero', 'jar']) expectSure(runs, quantity);
  });

  it('find a molar mass within what they say, and name the liquid', async () => {
    const runs = await classOf('vapour-molar-mass', workWithGas, students(300), () => ({}));
    expectSure(runs, 'molarMass');
    expectShare(runs, isNamed, 0.95, 'named');
  });

  it('find the hydrogen of a gram within what they say, and name the metal', async () => {
    const runs = await classOf('gas-over-water', workWithGas, students(300), () => ({}));
    expectSure(runs, 'perMol');
    expectShare(runs, isNamed, 0.95, 'named');
  });

  it('find where lines meet and where a vapour condenses, and name it', async () => {
    const runs = await classOf('volume-temperature', workWithGas, students(100, 20), () => ({}));
    expectSure(runs, 'absoluteZero');
    expectSure(runs, 'condenses');
    expectShare(runs, isNamed, 0.95, 'named');
  });
});
