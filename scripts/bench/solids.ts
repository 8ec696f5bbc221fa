import { growCarbonate, taskVolumes, weighSolid } from '@core/practicals/solutions/practised-student';
import { begun, type Run } from '@core/practicals/solutions/testing';
import type { Plan } from '@core/practicals/solutions/plan';
import { text, timed } from './timed';

/** What it costs to dry a solid for an hour, and to tell what moved a run in which one was weighed, or a gas. */
export async function benchSolids(): Promise<void> {
  const runs = [
    {
      id: 'solid-yield',
      quantity: 'yield',
      work: (run: Run) => weighSolid(run.hands, run.plan as Plan, taskVolumes(run.view())),
    },
    { id: 'solid-found', quantity: 'molar', work: (run: Run) => weighSolid(run.hands, run.plan as Plan, [20, 30]) },
    {
      id: 'runs-out',
      quantity: 'perMol',
      work: (run: Run) => growCarbonate(run.hands, [0.5, 1, 1.5, 2, 2.5, 3, 3.5, 4]),
    },
  ] as const;
  for (const { id, quantity, work } of runs) {
    const run = begun(id, { seed: 'bench' });
    await work(run);
    const bench = run.bench();
    const trueValue = Number(bench.truths()[quantity]);
    const ask = () => run.practical.influences(run, run.acts, [{ quantity, value: trueValue * 1.01, trueValue }]);
    console.log(`an hour of bench time of ${id}: ${text(timed(() => bench.advance(3600)))} (aim 5)`);
    console.log(`what moved a run of ${id}, ${run.acts.length} acts: ${text(timed(ask, 3))} (aim 1000)`);
  }
}
