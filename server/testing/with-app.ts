import pg from 'pg';
import { afterAll, beforeAll } from 'vitest';
import { startApp, type AppProcess } from './app-process';
import { databaseUrl } from './database';

/** The built app for the tests of a file, beside the database that it works on. Both end when they are over. */
export function withApp(): AppProcess & { database: pg.Pool } {
  const database = new pg.Pool({ connectionString: databaseUrl() });
  // Connections that a test ends end here, too.
  database.on('error', () => {});
  let running: AppProcess | undefined;
  const app = () => {
    if (!running) throw new Error('the app runs while tests do');
    return running;
  };
  beforeAll(async () => {
    // What a test asks of the server's own code is asked of the same database.
    process.env.DATABASE_URL = databaseUrl();
    running = await startApp(databaseUrl());
  });
  afterAll(async () => {
    await running?.stop();
    await database.end();
  });
  return {
    database,
    get base() {
      return app().base;
    },
    pid: () => app().pid(),
    killAndRestart: () => app().killAndRestart(),
    stop: () => app().stop(),
  };
}
