import { rmSync } from 'node:fs';
import path from 'node:path';
import { ROOT } from './config.mjs';
import { openDatabase } from './database.mjs';
import { startPostgres } from './postgres.mjs';

/**
 * An empty, migrated database in a folder of its own that git ignores. What an interrupted run left there is stopped
 * and removed first. Never touches the database that DATABASE_URL names.
 */
export async function freshDatabase(name) {
  const folder = path.join(ROOT, '.fen-test', name);
  delete process.env.DATABASE_URL;
  const left = await startPostgres(folder);
  await left.stop();
  rmSync(folder, { recursive: true, force: true });
  return openDatabase(folder);
}
