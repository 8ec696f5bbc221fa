import { spawnSync } from 'node:child_process';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import pg from 'pg';
import { afterAll, beforeAll, expect, it } from 'vitest';
import { startApp, type AppProcess } from '@server/testing/app-process';
import { databaseUrl } from '@server/testing/database';
import { scene } from '@server/testing/browserless';

let app: AppProcess;
const folder = mkdtempSync(path.join(tmpdir(), 'fen-backup-'));
const file = path.join(folder, 'monday.dump');
const elsewhere = path.join(folder, 'data');
interface Started {
  url: string;
  stop: () => Promise<void>;
}
let other: Started | undefined;
beforeAll(async () => {
  app = await startApp(databaseUrl());
});
afterAll(async () => {
  await app.stop();
  await other?.stop();
  rmSync(folder, { recursive: true, force: true });
});

/** One of the two commands, as a person types it. */
function run(command: 'backup' | 'restore', args: string[], env: Record<string, string>) {
  const { DATABASE_URL: _, ...rest } = process.env;
  const done = spawnSync(process.execPath, [`scripts/${command}.mjs`, ...args], {
    env: { ...rest, ...env },
    encoding: 'utf8',
  });
  return { status: done.status, said: done.stdout + done.stderr };
}

/** Every table with the digest of all of its rows. */
async function contents(url: string): Promise<Record<string, string>> {
  const client = new pg.Client({ connectionString: url });
  await client.connect();
  const tables = await client.query<{ name: string }>(
    `select table_name as name from information_schema.tables where table_schema = 'public' order by 1`,
  );
  const found: Record<string, string> = {};
  for (const { name } of tables.rows) {
    const { rows } = await client.query<{ digest: string }>(
      `select count(*) || ' ' || coalesce(md5(string_agg(t::text, '|' order by t::text)), '') as digest from "${name}" t`,
    );
    found[name] = rows[0]?.digest ?? '';
  }
  await client.end();
  return found;
}

it('a backup of a running Fen is restored into an empty one row for row, and never over anybody’s work', async () => {
  const { student, runId } = await scene(app.base);
  await student.act(runId, 1, { kind: 'fill', toMl: 0 });
  await student.answer(runId);
  const source = { DATABASE_URL: databaseUrl() };
  expect(run('backup', [], source)).toMatchObject({
    status: 1,
    said: expect.stringContaining('Say where to') as string,
  });
  expect(run('backup', [file], source)).toMatchObject({
    status: 0,
    said: expect.stringContaining('All of it is in') as string,
  });
  expect(run('backup', [file], source)).toMatchObject({
    status: 1,
    said: expect.stringContaining('already') as string,
  });
  const before = await contents(source.DATABASE_URL);
  expect(Object.keys(before).length).toBeGreaterThan(12);
  expect(before.acts).not.toMatch(/^0 /);

  const rubbish = path.join(folder, 'rubbish.dump');
  writeFileSync(rubbish, 'no dump at all');
  expect(run('restore', [rubbish], { FEN_DATA: elsewhere })).toMatchObject({
    status: 1,
    said: expect.stringContaining('Nothing was changed') as string,
  });
  expect(run('restore', ['not-there.dump'], { FEN_DATA: elsewhere }).status).toBe(1);
  expect(run('restore', [file], { FEN_DATA: elsewhere })).toMatchObject({
    status: 0,
    said: expect.stringContaining('All of it is back') as string,
  });
  expect(run('restore', [file], { FEN_DATA: elsewhere })).toMatchObject({
    status: 1,
    said: expect.stringContaining('There is work in this Fen already') as string,
  });

  const { startPostgres } = (await import(new URL('./lib/postgres.mjs', import.meta.url).href)) as {
    startPostgres: (data: string) => Promise<Started>;
  };
  other = await startPostgres(elsewhere);
  expect(await contents(other.url)).toEqual(before);
}, 120_000);
