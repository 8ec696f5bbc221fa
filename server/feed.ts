import pg from 'pg';
import { pool } from './db';

/**
 * What teachers watch: a word through PostgreSQL that something moved in an assignment. It carries no data; whoever
 * hears it asks for what they may see. Words are gathered, so that thirty busy students cost a few notices a second.
 */
const CHANNEL = 'fen_assignment';
const GATHER_MS = 250;

let waiting = new Set<string>();
let timer: NodeJS.Timeout | undefined;

/** Says, soon, that something moved in this assignment. */
export function tellClass(assignmentId: string): void {
  waiting.add(assignmentId);
  timer ??= setTimeout(() => {
    const ids = [...waiting];
    waiting = new Set();
    timer = undefined;
    // A lost word is made good by the next, and by the watcher's own look every half minute.
    pool()
      .query(`select pg_notify('${CHANNEL}', id) from unnest($1::text[]) as id`, [ids])
      .catch(() => {});
  }, GATHER_MS);
}

type Hearer = () => void;
const hearers = new Map<string, Set<Hearer>>();
let listening: Promise<void> | undefined;

async function listen(): Promise<void> {
  const client = new pg.Client({ connectionString: process.env.DATABASE_URL });
  client.on('notification', ({ payload }) => {
    for (const hear of hearers.get(payload ?? '') ?? []) hear();
  });
  const again = () => {
    listening = undefined;
    setTimeout(() => void ensureListening(), 1000).unref();
  };
  client.on('error', again);
  await client.connect();
  await client.query(`listen ${CHANNEL}`);
}

function ensureListening(): Promise<void> {
  listening ??= listen().catch(() => {
    listening = undefined;
  });
  return listening;
}

/** Calls back whenever something moved in the assignment, until the returned function is called. */
export async function hearClass(assignmentId: string, hear: Hearer): Promise<() => void> {
  await ensureListening();
  const group = hearers.get(assignmentId) ?? new Set();
  hearers.set(assignmentId, group.add(hear));
  return () => {
    group.delete(hear);
    if (group.size === 0) hearers.delete(assignmentId);
  };
}
