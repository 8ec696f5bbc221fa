import pg from 'pg';
import type { z } from 'zod';

let shared: pg.Pool | undefined;

/** Nobody waits longer than this for a connection, a statement, or somebody who has begun something and forgot it. */
const LIMITS = {
  connectionTimeoutMillis: 10_000,
  statement_timeout: 30_000,
  idle_in_transaction_session_timeout: 60_000,
} satisfies pg.PoolConfig;

let lossTold = -Infinity;

/** The database is away: said once, not for every connection. */
function noteLoss(error: Error): void {
  if (performance.now() - lossTold < 5_000) return;
  lossTold = performance.now();
  console.error(`A connection to the database was lost (${error.message}). It is made anew when it is needed.`);
}

/** One pool a process, on the database that DATABASE_URL names. */
export function pool(): pg.Pool {
  if (!shared) {
    const connectionString = process.env.DATABASE_URL;
    if (!connectionString) throw new Error('DATABASE_URL is not set: start Fen with npm start.');
    shared = new pg.Pool({ connectionString, max: Number(process.env.FEN_DB_CONNECTIONS ?? 16), ...LIMITS });
    // A connection that the server ends is replaced at the next query, whether it was idle or somebody had it: what they
    // ask of it next is refused, and that is where they hear of it.
    shared.on('error', noteLoss);
    shared.on('connect', (client) => client.on('error', noteLoss));
  }
  return shared;
}

export async function closePool(): Promise<void> {
  await shared?.end();
  shared = undefined;
}

/** What a query runs on: the pool, or one connection inside a transaction. */
export type Db = pg.Pool | pg.PoolClient;

/** Rows of a query, each checked where it enters. */
export async function rows<T>(db: Db, row: z.ZodType<T>, text: string, values: unknown[] = []): Promise<T[]> {
  const result = await db.query(text, values);
  return result.rows.map((entry) => row.parse(entry));
}

export async function maybeRow<T>(
  db: Db,
  row: z.ZodType<T>,
  text: string,
  values: unknown[] = [],
): Promise<T | undefined> {
  return (await rows(db, row, text, values))[0];
}

/** Runs all in one transaction; any error undoes it. */
export async function transaction<T>(work: (db: pg.PoolClient) => Promise<T>): Promise<T> {
  const client = await pool().connect();
  try {
    await client.query('begin');
    const result = await work(client);
    await client.query('commit');
    client.release();
    return result;
  } catch (error) {
    // A rollback that fails too says nothing of why; its connection is not used again.
    const broken = await client.query('rollback').then(
      () => undefined,
      (failure: Error) => failure,
    );
    client.release(broken);
    throw error;
  }
}

/** The name of the constraint that an error broke, if it is such an error. */
export function brokenConstraint(error: unknown): string | undefined {
  return error instanceof pg.DatabaseError && error.code === '23505' ? error.constraint : undefined;
}
