import { LRUCache } from 'lru-cache';
import { PRACTICALS } from '@core/practicals/registry';
import { Busy } from './folding';
import { ownRun } from './runs';
import { NotFound, Refused } from './sentences';
import type { ShownAnswer, ShownAsked } from './shown-worker';
import { sizeOf } from './size-of';
import { LineFull, WorkerLine } from './worker-line';

/** A step of the method, done before a student’s eyes where their teacher allows it: see core/practicals/shown.ts. */

/** A method of particles that fly takes some seconds. */
const line = new WorkerLine<ShownAsked, ShownAnswer>('shown', 30_000, 2);

/** A class has one setup, so that what was shown to one is shown to all. */
const shownBefore = new LRUCache<string, ShownAnswer>({ maxSize: 60e6, sizeCalculation: (shown) => sizeOf(shown) });
/** What could not be shown is not tried again for a while. */
const failed = new LRUCache<string, true>({ max: 500, ttl: 600_000 });
const underWay = new Set<string>();

/** So many steps may be under way or wait, of all who ask. */
const UNDER_WAY_AT_MOST = 200;

/** @param share whose turn in the line it takes */
async function work(key: string, share: string, asked: ShownAsked): Promise<void> {
  try {
    shownBefore.set(key, await line.ask(share, asked));
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
    if (underWay.size >= UNDER_WAY_AT_MOST) throw new Busy();
    underWay.add(key);
    // However many runs somebody has, they have one turn: that of their session.
    void work(key, tokens.map((token) => token.toString('base64')).join(' '), { practical, setup, step });
  }
  return undefined;
}
