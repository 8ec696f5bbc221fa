import { pool } from './db';

/**
 * How far benches have been watched since their last acts, and what a logger wrote down until then. It is no act and makes
 * no row: it is gathered for all runs and written onto them every few seconds, so that a bench stands where it was left when
 * its page is opened again.
 */
const GATHER_MS = 5_000;

/** Lines of a log that are kept of the time since the last act: hours of it. */
const LINES_AT_MOST = 5_000;

interface Waited {
  /** The last act. */
  after: number;
  atS: number;
  logged: readonly unknown[];
}

let waiting = new Map<string, Waited>();
let timer: NodeJS.Timeout | undefined;

/** Notes that the bench of a run was watched until then, after that act. */
export function noteWaited(runId: string, waited: Waited): void {
  waiting.set(runId, waited);
  timer ??= setTimeout(() => void keepWaits(), GATHER_MS).unref();
}

/** Writes down what was gathered. What cannot be written is lost: the page that watches says it again. */
async function keepWaits(): Promise<void> {
  clearTimeout(timer);
  timer = undefined;
  const entries = [...waiting];
  waiting = new Map();
  if (entries.length === 0) return;
  await pool()
    .query(
      `update runs r set waited_after = k.after, waited_s = k.at_s, waited_at = now(), waited_logged = k.logged
       from unnest($1::uuid[], $2::integer[], $3::float8[], $4::jsonb[]) as k(id, after, at_s, logged)
       where r.id = k.id and r.closed_at is null
         and (r.waited_after is null or (r.waited_after, r.waited_s) < (k.after, k.at_s))`,
      [
        entries.map(([id]) => id),
        entries.map(([, one]) => one.after),
        entries.map(([, one]) => one.atS),
        entries.map(([, { logged }]) => (logged.length > 0 ? JSON.stringify(logged.slice(0, LINES_AT_MOST)) : null)),
      ],
    )
    .catch((error: unknown) => console.error('how far benches were watched was not kept:', error));
}
