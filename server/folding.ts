import pLimit from 'p-limit';

/** Work that folds acts for somebody who looks, beside which the acts of thirty students must stay quick. */

/** So long the event loop may be held before others have their turn, ms. */
const TURN_MS = 8;

const turn = () => new Promise<void>((resolve) => setImmediate(resolve));

/** Folds item by item, giving way to whatever waits each few milliseconds. */
export async function foldInTurns<T, S>(items: readonly T[], start: S, step: (state: S, item: T) => S): Promise<S> {
  let state = start;
  let since = performance.now();
  for (const item of items) {
    state = step(state, item);
    if (performance.now() - since < TURN_MS) continue;
    await turn();
    since = performance.now();
  }
  return state;
}

const looks = pLimit({ concurrency: 2 });

/** How many looks may wait; whoever comes after them is told to come again. */
const WAITING_AT_MOST = 400;

/** Too many look at once: a sentence and a 503, never a server that stands still. */
export class Busy extends Error {
  constructor() {
    super('Many are looking at this moment. Load the page again in a little while.');
  }
}

/** Queues a look: moments of the past, one run for the teacher, class tables, prints. @throws Busy */
export function look<T>(work: () => Promise<T>): Promise<T> {
  if (looks.pendingCount > WAITING_AT_MOST) throw new Busy();
  return looks(work);
}

/** Gives the same answer to all who ask for the same thing while it is being worked out, and a little longer. */
export function sharing<T>(keepMs: number) {
  const underWay = new Map<string, Promise<T>>();
  return (key: string, work: () => Promise<T>): Promise<T> => {
    const known = underWay.get(key);
    if (known) return known;
    const forget = () => void underWay.delete(key);
    const asked = work();
    underWay.set(key, asked);
    asked.then(() => setTimeout(forget, keepMs).unref(), forget);
    return asked;
  };
}

/** What is under way for a run and has to go one after the other. */
const lines = new Map<string, { last: Promise<unknown>; length: number }>();
const LINE_AT_MOST = 40;

/**
 * Does work that locks a run's row, one after the other for each run: whoever sends many at once waits for themselves, and
 * not on connections to the database that everybody shares.
 * @throws Busy when far too many wait
 */
export async function inLine<T>(runId: string, work: () => Promise<T>): Promise<T> {
  const line = lines.get(runId) ?? { last: Promise.resolve(), length: 0 };
  if (line.length >= LINE_AT_MOST) throw new Busy();
  lines.set(runId, line);
  line.length++;
  const mine = line.last.then(work, work);
  line.last = mine.catch(() => {});
  try {
    return await mine;
  } finally {
    if (--line.length === 0) lines.delete(runId);
  }
}
