import pg from 'pg';
import { pool } from './db';

/**
 * What teachers watch: a word through PostgreSQL that something moved in one of their assignments. It carries no data;
 * whoever hears it asks for what they may see. Words are gathered, so that thirty busy students cost a few a second.
 */
const CHANNEL = 'fen_teacher';
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
      .query(
        `select pg_notify('${CHANNEL}', c.teacher_id || ' ' || a.id) from assignments a
           join classes c on c.id = a.class_id where a.id = any($1)`,
        [ids],
      )
      .catch((error: unknown) => console.error('a class was not told:', error));
  }, GATHER_MS);
}

/** Hears the id of the assignment in which something moved, or undefined when anything may have. */
type Hearer = (assignmentId?: string) => void;
const hearers = new Map<string, Set<Hearer>>();
let listening: Promise<void> | undefined;
let again: NodeJS.Timeout | undefined;
let failures = 0;

async function listen(): Promise<void> {
  const client = new pg.Client({ connectionString: process.env.DATABASE_URL, keepAlive: true });
  client.on('notification', ({ payload }) => {
    const [teacherId = '', assignmentId] = (payload ?? '').split(' ');
    for (const hear of hearers.get(teacherId) ?? []) hear(assignmentId);
  });
  let isLost = false;
  const lose = () => {
    if (isLost) return;
    isLost = true;
    client.end().catch(() => {});
    listening = undefined;
    listenAgain();
  };
  client.on('error', lose);
  client.on('end', lose);
  try {
    await client.connect();
    await client.query(`listen ${CHANNEL}`);
  } catch (error) {
    console.error('the feed could not listen, and tries again:', error instanceof Error ? error.message : error);
    return lose();
  }
  // What was said meanwhile was not heard, so everybody looks.
  if (failures > 0) for (const group of hearers.values()) for (const hear of group) hear();
  failures = 0;
}

/** The database was away: tries until it is back, each time after longer, for as long as anybody wants to hear. */
function listenAgain(): void {
  const wait = Math.min(500 * 2 ** failures++, 30_000);
  clearTimeout(again);
  again = setTimeout(() => {
    if (hearers.size > 0) void ensureListening();
  }, wait).unref();
}

function ensureListening(): Promise<void> {
  listening ??= listen();
  return listening;
}

/** Calls back whenever something moved in one of a teacher's assignments, until the returned function is called. */
export async function hearTeacher(teacherId: string, hear: Hearer): Promise<() => void> {
  const group = hearers.get(teacherId) ?? new Set();
  hearers.set(teacherId, group.add(hear));
  await ensureListening();
  return () => {
    group.delete(hear);
    if (group.size === 0) hearers.delete(teacherId);
  };
}
