import { monitorEventLoopDelay } from 'node:perf_hooks';
import { PRACTICALS } from '@core/practicals/registry';
import type { TimedAct } from '@core/practicals/influences';
import { askWorker } from '@server/influences-line';

const practical = PRACTICALS['acid-concentration'];
const ACTS = 500;

/** A titration of so many acts, single drops for the most part, with readings that give results. */
function longRun() {
  const setup = practical.setup.parse({ mishaps: true, carbonate: true });
  const sample = practical.sample(setup, 'bench', 0);
  const acts: TimedAct[] = [];
  let bench = practical.open(setup, sample, 'bench');
  const act = (next: { kind: string; [key: string]: unknown }) => {
    const outcome = bench.perform(practical.readAct(next));
    if ('refusal' in outcome) return;
    acts.push({ atS: bench.clockS, act: next });
    bench = outcome.bench;
  };
  const read = (which: 'first' | 'last', trial: number) =>
    act({ kind: 'record', trial, which, text: bench.view().levelMl.toFixed(2) });
  for (let trial = 1; acts.length < ACTS; trial++) {
    act({ kind: 'emptyBurette' });
    act({ kind: 'fill', toMl: 0.5 });
    act({ kind: 'funnelOut' });
    read('first', trial);
    act({ kind: 'drawSample' });
    act({ kind: 'drainPipette' });
    act({ kind: 'indicator', id: 'phenolphthalein', drops: 3 });
    act({ kind: 'keepSwirling', on: true });
    act({ kind: 'letIn', ml: 20 });
    for (let i = 0; i < 100 && acts.length < ACTS - 1; i++) act({ kind: 'drop' });
    read('last', trial);
    act({ kind: 'emptyFlask' });
  }
  return { setup, sample, acts: acts.slice(0, ACTS) };
}

/** What moved the result of a run of 500 acts: time of the worker, and how long the event loop was kept meanwhile. */
export async function benchInfluences(): Promise<void> {
  const { setup, sample, acts } = longRun();
  const truth = Number((sample as { molPerL: number }).molPerL);
  const ask = () =>
    askWorker({
      practical: 'acid-concentration',
      run: { setup, sample, seed: 'bench' },
      acts,
      handed: [{ quantity: 'concentration', value: truth * 1.01, trueValue: truth }],
    });
  // The worker does not keep a process alive by itself.
  const alive = setInterval(() => {}, 1000);
  const [first] = await ask();
  const loop = monitorEventLoopDelay({ resolution: 5 });
  const times: number[] = [];
  loop.enable();
  for (let round = 0; round < 7; round++) {
    const start = performance.now();
    await ask();
    times.push(performance.now() - start);
  }
  loop.disable();
  clearInterval(alive);
  times.sort((a, b) => a - b);
  console.log(
    `what moved a run of ${acts.length} acts, ${(first?.shares.length ?? 1) - 1} causes: median ${times[3]?.toFixed(0)} ms, worst ${times[6]?.toFixed(0)} ms in the worker (aim under 1000); event loop held ${(loop.max / 1e6).toFixed(0)} ms at most`,
  );
}
