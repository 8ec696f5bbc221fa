import { spawn, type ChildProcess } from 'node:child_process';
import { mkdirSync, mkdtempSync, readFileSync, rmSync } from 'node:fs';
import path from 'node:path';
import { afterAll, beforeAll, expect, it, vi } from 'vitest';
import { freePort } from '@server/testing/app-process';
import { scene } from '@server/testing/browserless';

const ROOT = path.resolve(import.meta.dirname, '..');
let data: string;
let fen: ChildProcess;
let base: string;
let said = '';
let env: NodeJS.ProcessEnv;

beforeAll(async () => {
  mkdirSync(path.join(ROOT, '.fen-test'), { recursive: true });
  data = mkdtempSync(path.join(ROOT, '.fen-test', 'start-'));
  const port = await freePort();
  base = `http://127.0.0.1:${port}`;
  env = {
    ...process.env,
    FEN_DATA: data,
    FEN_DEMO: '0',
    PORT: String(port),
    HOST: '127.0.0.1',
  };
  delete env['DATABASE_URL'];
  fen = spawn(process.execPath, ['scripts/start.mjs'], { cwd: ROOT, env, stdio: ['ignore', 'pipe', 'pipe'] });
  for (const stream of [fen.stdout, fen.stderr]) stream?.on('data', (text) => (said += String(text)));
  await vi.waitFor(() => expect(said).toContain('Ctrl-C stops it'), { timeout: 60_000, interval: 200 });
}, 90_000);

afterAll(async () => {
  const gone = new Promise((resolve) => fen.once('exit', resolve));
  fen.kill('SIGTERM');
  await gone;
  rmSync(data, { recursive: true, force: true });
}, 60_000);

const isThere = () =>
  fetch(`${base}/join`).then(
    (response) => response.status,
    () => 0,
  );
const times = (sentence: string) => said.split(sentence).length - 1;
/** The app's process: the one that start.mjs began. */
const appPid = () => Number(readFileSync(`/proc/${fen.pid}/task/${fen.pid}/children`, 'utf8').trim().split(' ').at(-1));
const databasePid = () => Number(readFileSync(path.join(data, 'postgres/postmaster.pid'), 'utf8').split('\n')[0]);

it('keeps its data to itself: whoever starts a second time is told so each time, and nothing ends by it', async () => {
  for (let round = 0; round < 2; round++) {
    const second = spawn(process.execPath, ['scripts/start.mjs'], {
      cwd: ROOT,
      env,
      stdio: ['ignore', 'pipe', 'pipe'],
    });
    let told = '';
    second.stderr.on('data', (text) => (told += String(text)));
    expect(await new Promise((resolve) => second.once('exit', resolve))).toBe(1);
    expect(told).toContain(`Fen is running on this data already (process ${fen.pid})`);
  }
  expect(await isThere()).toBe(200);
  expect(said).not.toContain('ended by itself');
}, 60_000);

it('comes back by itself, and says so: after its app is killed, killed again while it starts, and after its database is', async () => {
  const { student, runId } = await scene(base);
  expect((await student.act(runId, 1, { kind: 'fill', toMl: 0 })).status).toBe(200);

  process.kill(appPid(), 'SIGKILL');
  await expect.poll(() => times('The app ended by itself'), { timeout: 10_000 }).toBe(1);
  // As soon as the next one is there, before it listens.
  await expect.poll(() => appPid() > 0 && appPid() !== databasePid(), { timeout: 10_000, interval: 5 }).toBe(true);
  process.kill(appPid(), 'SIGKILL');
  await expect.poll(() => times('The app ended by itself. It is started again in 1 s'), { timeout: 10_000 }).toBe(1);
  await expect.poll(isThere, { timeout: 40_000 }).toBe(200);
  expect((await student.act(runId, 2, { kind: 'drawSample' })).status).toBe(200);

  process.kill(databasePid(), 'SIGKILL');
  await expect.poll(() => times('The database is there again'), { timeout: 60_000 }).toBe(1);
  // The app itself was not ended by it, and goes on.
  await expect
    .poll(async () => (await student.act(runId, 3, { kind: 'drainPipette' })).status, { timeout: 40_000 })
    .toBe(200);
  expect(times('The app ended by itself')).toBe(2);
}, 180_000);
