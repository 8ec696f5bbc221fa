import { createHash } from 'node:crypto';
import { readdirSync, readFileSync } from 'node:fs';
import path from 'node:path';
import pg from 'pg';
import { ROOT, Sentence } from './config.mjs';
import { runLocal } from './install.mjs';

const folder = path.join(ROOT, 'scripts/demo');

/** The name of the piece that says that all of this demo is loaded: another demo has another. */
function wholeDemo() {
  const hash = createHash('sha256');
  for (const file of readdirSync(folder).sort()) hash.update(readFileSync(path.join(folder, file)));
  return `whole ${hash.digest('hex').slice(0, 12)}`;
}

/** Loads what is missing of the demo; a demo that is there whole is not looked through again. */
export async function ensureDemo(url) {
  const client = new pg.Client({ connectionString: url });
  await client.connect();
  try {
    const { rowCount } = await client.query('select 1 from demo_pieces where piece = $1', [wholeDemo()]);
    if (rowCount) return;
    console.log('Loading the demo, once: half a minute or so…');
    if (!runLocal('tsx', ['scripts/demo/load.ts'], { env: { ...process.env, DATABASE_URL: url } }))
      throw new Sentence(
        'The demo could not be loaded; what went wrong is printed above. FEN_DEMO=0 npm start leaves it out.',
      );
    await client.query('insert into demo_pieces (piece) values ($1) on conflict do nothing', [wholeDemo()]);
  } finally {
    await client.end();
  }
}
