import { z } from 'zod';
import type { BenchRecord, Step } from '@core/practicals/contract';
import type { AnyBench, AnyView } from '@core/practicals/registry';
import { maybeRow, pool, type Db } from './db';

/** A bench as it was when a report was handed in or a run closed: read afterwards, never worked out anew. */
interface KeptBench {
  /** Number of its last act. */
  number: number;
  view: AnyView;
  record: BenchRecord;
  steps: Step[];
}

/** What this server has written itself. */
const isObject = (value: unknown) => typeof value === 'object' && value !== null;
export const keptRecord = z.custom<BenchRecord>(isObject);
export const keptSteps = z.custom<Step[]>(Array.isArray);
export const keptView = z.custom<AnyView>(isObject);
const keptBench = z.custom<KeptBench>(isObject);

export const benchToKeep = (number: number, bench: AnyBench): KeptBench => ({
  number,
  view: bench.view(),
  record: bench.record(),
  steps: bench.steps(),
});

/** What is seen at a moment, without all readings and lines of a log so far, which are in the notebook anyway, and without steps. */
export const pictureOf = (view: AnyView): AnyView => ({ ...view, logged: [], readings: [], steps: [] });

/** The bench of a run that is closed, as it was then; undefined of others, and of those closed before benches were kept. */
export async function closedBench(runId: string, db: Db = pool()): Promise<KeptBench | undefined> {
  const row = await maybeRow(
    db,
    z.object({ kept: keptBench.nullable() }),
    'select kept from runs where id = $1 and closed_at is not null',
    [runId],
  );
  return row?.kept ?? undefined;
}

/** Closes a run with its bench as it is. */
export async function closeRun(db: Db, runId: string, bench: KeptBench, finished: boolean): Promise<void> {
  await db.query(
    `update runs set closed_at = coalesce(closed_at, now()), kept = coalesce(kept, $2), finished = finished or $3 where id = $1`,
    [runId, JSON.stringify(bench), finished],
  );
  // It is read from now on, never folded.
  await db.query('delete from bench_states where run_id = $1', [runId]);
}
