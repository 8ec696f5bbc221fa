import path from 'node:path';
import { setTimeout as sleep } from 'node:timers/promises';
import { ROOT, Sentence } from './config.mjs';
import { startPostgres } from './postgres.mjs';

/** Brings the database to the newest migration; waits for another process that is at it. */
export async function migrate(url) {
  const { runner } = await import('node-pg-migrate');
  const { default: pg } = await import('pg');
  for (let attempt = 1; ; attempt++) {
    // A connection of our own, closed before anybody stops the server: one that still hangs would bring the process down.
    const client = new pg.Client({ connectionString: url });
    try {
      await client.connect();
      await runner({
        dbClient: client,
        dir: path.join(ROOT, 'server/migrations'),
        direction: 'up',
        migrationsTable: 'migrations',
        log: () => {},
      });
      return;
    } catch (error) {
      const busy = /already running/.test(error.message);
      if (!busy || attempt > 100) throw new Sentence(`The database could not be brought up to date: ${error.message}`);
      await sleep(200);
    } finally {
      await client.end().catch(() => {});
    }
  }
}

/** The database that DATABASE_URL names, or one of our own in the data folder; migrated. @param onLost see startPostgres */
export async function openDatabase(data, onLost) {
  const named = process.env.DATABASE_URL;
  const database = named ? { url: named, stop: async () => {} } : await startPostgres(data, onLost);
  try {
    await migrate(database.url);
  } catch (error) {
    await database.stop();
    throw error;
  }
  return database;
}
