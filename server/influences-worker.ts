import { parentPort } from 'node:worker_threads';
import { PRACTICALS, type PracticalId } from '@core/practicals/registry';
import type { Handed, TimedAct } from '@core/practicals/influences';

/** What the worker is asked: a run from its first act on, and the numbers that were handed in. */
export interface Asked {
  practical: PracticalId;
  run: { setup: unknown; sample: unknown; seed: string };
  acts: TimedAct[];
  handed: Handed[];
}

/** Does runs again, one after the other, away from the event loop that answers students. */
parentPort?.on('message', ({ practical, run, acts, handed }: Asked) => {
  try {
    parentPort?.postMessage({ result: PRACTICALS[practical].influences(run, acts, handed) });
  } catch (error) {
    parentPort?.postMessage({ error: String(error) });
  }
});
