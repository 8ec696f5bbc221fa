import type { BenchAnswer, BenchAsked } from './bench-worker';
import { Busy } from './folding';
import { LineFull, WorkerLine } from './worker-line';

/** Half a minute for one question: an act makes half a second of work, and some acts go with it. */
const line = new WorkerLine<BenchAsked, BenchAnswer>('bench', 30_000, 12);

/**
 * Works out a bench in the worker, in turn with other runs.
 * @throws Busy when too much of this run waits already; where it fails, or takes longer than its deadline
 */
export async function askBench(runId: string, asked: BenchAsked): Promise<BenchAnswer> {
  try {
    return await line.ask(runId, asked);
  } catch (error) {
    throw error instanceof LineFull ? new Busy() : error;
  }
}
