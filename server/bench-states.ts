import { createHash, randomUUID } from 'node:crypto';
import { readFileSync } from 'node:fs';
import { deserialize, serialize } from 'node:v8';
import { z } from 'zod';
import { pool, rows, type Db } from './db';

/** Benches as they stood after some of their acts, kept in the database so that a long run is soon there again. */

/** A state is of one build: another might hold its benches otherwise. */
const BUILD =
  process.env.NODE_ENV === 'production'
    ? createHash('sha256').update(readFileSync('build/server/index.js')).digest('base64url').slice(0, 20)
    : randomUUID();

/** No state is larger than this; a run without one is folded from its acts. */
const BYTES_AT_MOST = 8e6;

interface BenchState {
  number: number;
  skipped: number;
  kept: unknown;
}

const underWay = new Set<string>();

/**
 * Keeps a bench as it stood after an act, in place of the one before; one at a time for each run.
 * @returns whether it is on its way
 */
export function keepState(runId: string, { number, skipped, kept }: BenchState): boolean {
  if (underWay.has(runId)) return false;
  const state = serialize({ skipped, kept });
  if (state.length > BYTES_AT_MOST) return false;
  underWay.add(runId);
  pool()
    .query(
      `with older as (delete from bench_states where run_id = $1 and number < $2)
       insert into bench_states (run_id, number, build, state)
       select id, $2, $3, $4 from runs where id = $1 and closed_at is null
       on conflict (run_id, number) do update set build = excluded.build, state = excluded.state`,
      [runId, number, BUILD, state],
    )
    .catch((error: unknown) => console.error('a state of a bench was not kept:', error))
    .finally(() => underWay.delete(runId));
  return true;
}

const stateRow = z.object({ runId: z.uuid(), number: z.number(), state: z.instanceof(Buffer) });

/** The last states of runs that this build can go on from, no later than an act. */
export async function keptStates(
  db: Db,
  runIds: readonly string[],
  atMost = 1_000_000,
): Promise<Map<string, BenchState>> {
  const found = await rows(
    db,
    stateRow,
    `select distinct on (run_id) run_id as "runId", number, state from bench_states
     where run_id = any($1) and build = $2 and number <= $3 order by run_id, number desc`,
    [runIds, BUILD, atMost],
  );
  return new Map(
    found.map(({ runId, number, state }) => {
      const { skipped, kept } = deserialize(state) as Omit<BenchState, 'number'>;
      return [runId, { number, skipped, kept }];
    }),
  );
}
