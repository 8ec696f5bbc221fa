// npm run restore -- <file>: a backup into a Fen that holds nothing yet, brought up to date where it is of an older one.
import { spawnSync } from 'node:child_process';
import { existsSync } from 'node:fs';
import { Sentence } from './lib/config.mjs';
import { migrate } from './lib/database.mjs';
import { programOf } from './lib/postgres.mjs';
import { withServer } from './lib/with-server.mjs';

/** Whether anybody's work is in it: then it is not touched. */
async function isEmpty(url) {
  const { default: pg } = await import('pg');
  const client = new pg.Client({ connectionString: url });
  await client.connect();
  try {
    const { rows } = await client.query(`select to_regclass('public.teachers') is not null as made`);
    if (!rows[0].made) return true;
    const held = await client.query('select exists (select 1 from teachers) as held');
    return !held.rows[0].held;
  } finally {
    await client.end();
  }
}

await withServer(async (url) => {
  const [file] = process.argv.slice(2);
  if (!file || !existsSync(file)) throw new Sentence('Say which backup: npm run restore -- fen-monday.dump');
  if (!(await isEmpty(url)))
    throw new Sentence(
      'There is work in this Fen already, so nothing was restored. Give the backup a data folder of its own: FEN_DATA=<folder> npm run restore -- <file>',
    );
  const restored = spawnSync(
    programOf('pg_restore'),
    [
      '--clean',
      '--if-exists',
      '--no-owner',
      '--no-privileges',
      '--exit-on-error',
      '--single-transaction',
      `--dbname=${url}`,
      file,
    ],
    { stdio: ['ignore', 'inherit', 'inherit'] },
  );
  if (restored.status !== 0)
    throw new Sentence('The backup could not be restored; what went wrong is printed above. Nothing was changed.');
  await migrate(url);
  console.log('All of it is back. npm start serves it; FEN_DEMO=0 npm start leaves the demo out.');
});
