import type { Plan } from '@core/practicals/gases/plan';
import { workWithGas, type Hands } from '@core/practicals/gases/practised-student';
import { begun } from '@core/practicals/gases/testing';
import type { CommonAct } from '@core/practicals/common-acts';
import type { OwnAct as PistonAct } from '@core/practicals/cylinder/acts';
import {
  countImpacts,
  findLaw,
  growNumber,
  type Hands as PistonHands,
} from '@core/practicals/cylinder/practised-student';
import { begun as beginsPiston } from '@core/practicals/cylinder/testing';
import type { OwnAct } from '@core/practicals/spheres/acts';
import { compareGases } from '@core/practicals/spheres/practised-student';
import { begun as beginsTwo } from '@core/practicals/spheres/testing';
import { text, timed } from './timed';

const RUNS: readonly [id: string, quantity: string, work: (hands: Hands, plan: Plan) => Promise<void>][] = [
  ['pressure-volume', 'inner', workWithGas],
  ['pressure-temperature', 'jar', workWithGas],
  ['volume-temperature', 'condenses', workWithGas],
  ['vapour-molar-mass', 'molarMass', workWithGas],
  ['gas-over-water', 'perMol', workWithGas],
];

/** What it costs the server to fold a run of two gases in one vessel: its own acts, from the first. */
export async function benchTwoGases(): Promise<void> {
  const acts: [act: OwnAct | CommonAct, afterS: number][] = [];
  const run = beginsTwo({ seed: 'bench' });
  const hands = {
    act: (act: OwnAct | CommonAct, afterS = 0) => {
      acts.push([act, afterS]);
      return run.hands.act(act, afterS);
    },
    view: run.view,
  };
  await compareGases(hands);
  const fold = () => {
    const again = beginsTwo({ seed: 'bench' });
    for (const [act, afterS] of acts) again.act(act, afterS);
  };
  console.log(`a run of two gases in one vessel, ${acts.length} acts, folded from the first: ${text(timed(fold, 5))}`);
}

/** What it costs the server to fold a run under a piston, and what one act of it costs at the most. */
export async function benchPiston(): Promise<void> {
  const runs = [
    [
      'one-law',
      'ten points of volume against temperature',
      { law: 'volume-temperature' },
      (hands: PistonHands) => findLaw(hands, 'volume-temperature'),
    ],
    ['where-pressure-comes-from', 'impacts', {}, countImpacts],
    ['one-to-many', 'one to a thousand', {}, growNumber],
  ] as const;
  for (const [id, name, setup, work] of runs) {
    const acts: [act: PistonAct | CommonAct, afterS: number][] = [];
    const run = beginsPiston(id, { setup, seed: 'bench' });
    let longest = 0;
    const hands = {
      act: (act: PistonAct | CommonAct, afterS = 0) => {
        acts.push([act, afterS]);
        const began = performance.now();
        run.act(act, afterS);
        longest = Math.max(longest, performance.now() - began);
      },
      view: run.view,
    };
    await work(hands);
    const fold = () => {
      const again = beginsPiston(id, { setup, seed: 'bench' });
      for (const [act, afterS] of acts) again.act(act, afterS);
    };
    console.log(
      `a run under a piston, ${name}, ${acts.length} acts, folded from the first: ${text(timed(fold, 5))}; the longest act ${longest.toFixed(0)} ms`,
    );
  }
}

/** What it costs to let six hours pass at the bench of gases, and to tell what moved a run. */
export async function benchGases(): Promise<void> {
  for (const [id, quantity, work] of RUNS) {
    const run = begun(id, { seed: 'bench' });
    await work(run.hands, run.plan);
    const bench = run.bench();
    const trueValue = Number(bench.truths()[quantity]);
    const ask = () => run.practical.influences(run, run.acts, [{ quantity, value: trueValue + 1, trueValue }]);
    const warm = begun(id, { seed: 'bench' });
    warm.act({ kind: 'heat', to: 5 });
    console.log(`six hours of bench time of ${id}: ${text(timed(() => warm.bench().advance(6 * 3600)))} (aim 100)`);
    console.log(`what moved a run of ${id}, ${run.acts.length} acts: ${text(timed(ask, 3))} (aim 1000)`);
  }
}
