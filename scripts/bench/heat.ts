import { freezePure, freezeSamples, freezeSolution } from '@core/practicals/heat/freezing/student';
import type { Hands } from '@core/practicals/heat/practised-student';
import { begun, worked, type HeatId } from '@core/practicals/heat/testing';
import { begun as heated, dried } from '@core/practicals/hydrates/testing';
import { text, timed } from './timed';

/** The benches of heat and of hydrates: an hour with hot metal, hot water and a log, half an hour over a flame, what moved a long run. */

const RUNS: readonly [HeatId, string][] = [
  ['two-portions', 'capacity'],
  ['metal-by-heat', 'specificHeat'],
  ['salt-by-heat', 'perGram'],
  ['acid-with-base', 'perMole'],
  ['acid-by-temperature', 'concentration'],
  ['pellet-in-oxygen', 'perGram'],
  ['lamp-fuels', 'perGram'],
];

const FREEZING: readonly { id: HeatId; quantity: string; work: (hands: Hands) => Promise<void> }[] = [
  { id: 'freezing-point', quantity: 'freezes', work: (hands) => freezePure(hands, 1) },
  { id: 'molar-mass-by-freezing', quantity: 'molarMass', work: (hands) => freezeSolution(hands, 53.09) },
  { id: 'mixture-melting', quantity: 'mixture', work: (hands) => freezeSamples(hands) },
];

export async function benchHeat(): Promise<void> {
  for (const [id] of RUNS) {
    const run = await worked(id, { seed: 'bench' }, {}, 1);
    run.hands.act({ kind: 'log', everyS: 5 });
    const bench = run.bench();
    console.log(
      `an hour of bench time of ${id}, a line logged every 5 s: ${text(timed(() => bench.advance(3600)))} (aim 50)`,
    );
  }
  for (const { id, work, quantity } of FREEZING) {
    const run = begun(id, { seed: 'bench' });
    await work(run.hands);
    const bench = run.bench();
    console.log(
      `an hour of bench time of ${id}, what is in the tube freezing: ${text(timed(() => bench.advance(3600)))} (aim 50)`,
    );
    const trueValue = Number(run.bench().truths()[quantity]);
    const ask = () => run.practical.influences(run, run.acts, [{ quantity, value: trueValue * 1.01, trueValue }]);
    console.log(
      `what moved a run of ${id}, ${run.acts.length} acts, ${run.bench().clockS.toFixed(0)} s of bench time: ${text(timed(ask, 3))} (aim 1000)`,
    );
    const ready = begun(id, { seed: 'bench', setup: { isReady: true } }).bench();
    console.log(`a ready series of ${id}: ${text(timed(() => ready.perform({ kind: 'ready' })))}`);
  }
  for (const id of ['water-in-hydrate', 'which-hydrate', 'part-of-hydrate'] as const) {
    const hot = heated(id, { seed: 'bench' });
    hot.does({ kind: 'fill', g: 2.5 }, { kind: 'put', at: 'gauze', by: 'tongs' });
    hot.does({ kind: 'gas', to: 5 }, { kind: 'air', to: 3.6 }, { kind: 'light' });
    const bench = hot.bench();
    console.log(
      `half an hour of bench time of ${id}, over a flame: ${text(timed(() => bench.advance(1800)))} (aim 50)`,
    );
    const run = await dried(id, { seed: 'bench' });
    const quantity = id === 'water-in-hydrate' ? 'waters' : 'part';
    const trueValue = Number(run.bench().truths()[quantity]);
    const ask = () => run.practical.influences(run, run.acts, [{ quantity, value: trueValue * 1.01, trueValue }]);
    console.log(
      `what moved a run of ${id}, ${run.acts.length} acts, ${run.bench().clockS.toFixed(0)} s of bench time: ${text(timed(ask, 3))} (aim 1000)`,
    );
  }
  for (const [id, quantity] of RUNS) {
    const run = await worked(id, { seed: 'bench' }, {}, id === 'lamp-fuels' ? 3 : 4);
    while (run.acts.length < 200)
      run.hands.act({ kind: 'wait' }, Math.max(3000 - run.bench().clockS, 200) / (201 - run.acts.length));
    const trueValue = Number(run.bench().truths()[quantity]);
    const ask = () => run.practical.influences(run, run.acts, [{ quantity, value: trueValue * 1.01, trueValue }]);
    console.log(
      `what moved a run of ${id}, ${run.acts.length} acts, ${run.bench().clockS.toFixed(0)} s of bench time: ${text(timed(ask, 3))} (aim 1000)`,
    );
  }
}
