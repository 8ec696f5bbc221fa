import type { Plan } from '@core/practicals/gases/plan';
import {
  collectGas,
  injectVapour,
  pressTogether,
  warmBulb,
  warmSyringes,
  type Hands,
} from '@core/practicals/gases/practised-student';
import { begun } from '@core/practicals/gases/testing';
import { text, timed } from './timed';

const RUNS: readonly [id: string, quantity: string, work: (hands: Hands, plan: Plan) => Promise<void>][] = [
  ['pressure-volume', 'inner', pressTogether],
  ['pressure-temperature', 'jar', warmBulb],
  ['volume-temperature', 'condenses', warmSyringes],
  ['vapour-molar-mass', 'molarMass', injectVapour],
  ['gas-over-water', 'perMol', collectGas],
];

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
