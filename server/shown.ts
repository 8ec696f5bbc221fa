import { LRUCache } from 'lru-cache';
import { PRACTICALS, type AnyLabels, type AnyView } from '@core/practicals/registry';
import type { Shown } from '@core/practicals/shown';
import { Busy } from './folding';
import { sampleToShow } from './practice';
import { ownRun } from './runs';
import { NotFound, Refused } from './sentences';
import type { ShownAsked } from './shown-worker';
import { sizeOf } from './size-of';
import { LineFull, WorkerLine } from './worker-line';

/** A step of the method, done before a student’s eyes where their teacher allows it: see core/practicals/shown.ts. */

export interface ShownAnswer extends Shown<AnyView> {
  labels: AnyLabels;
}

/** A method of particles that fly takes some seconds. */
const line = new WorkerLine<ShownAsked, Shown<AnyView> | null>('shown', 30_000, 2);

/** A class has one setup, so that what was shown to one is shown to all. */
const shownBefore = new LRUCache<string, ShownAnswer>({ maxSize: 60e6, sizeCalculation: (shown) => sizeOf(shown) });
/** What could not be shown is not tried again for a while. */
const failed = new LRUCache<string, true>({ max: 500, ttl: 600_000 });
const underWay = new Set<string>();

async function work(key: string, runId: string, asked: ShownAsked): Promise<void> {
  try {
    const shown = await line.ask(runId, asked);
    if (!shown) throw new Error('no such step');
    shownBefore.set(key, { ...shown, labels: PRACTICALS[asked.practical].labels(asked.run.setup) });
  } catch (error) {
    // Who asks while too much waits may ask again.
    if (error instanceof LineFull) return;
    console.error(`${asked.practical}, ${asked.step} cannot be shown:`, error);
    failed.set(key, true);
  } finally {
    underWay.delete(key);
  }
}

/**
 * A step of the method of a run’s practical, done on a bench beside it with another sample, the same each time; undefined while
 * it is being done: nobody’s page waits for that.
 * @throws NotFound for all but the run’s owner, and where there is no such step; Refused where the teacher does not allow it,
 *   or it could not be done; Busy
 */
export async function shownStep(runId: string, step: string, tokens: Buffer[]): Promise<ShownAnswer | undefined> {
  const { practical, setup, rules } = await ownRun(runId, tokens);
  if (rules.method !== 'shown') throw new Refused('Your teacher has set this without showing how it is done.');
  if (!PRACTICALS[practical].method(setup).some(({ key }) => key === step)) throw new NotFound();
  const key = JSON.stringify([practical, setup, step]);
  const before = shownBefore.get(key);
  if (before) return before;
  if (failed.has(key)) throw new Refused('This step cannot be shown here. Do it as the brief says.');
  if (!underWay.has(key)) {
    if (underWay.size > 200) throw new Busy();
    underWay.add(key);
    void work(key, runId, { practical, run: { ...sampleToShow(practical, setup), seed: 'shown' }, step });
  }
  return undefined;
}
