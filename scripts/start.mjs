// npm start, npm run dev: installs what is missing, starts PostgreSQL, migrates, loads the demo once, builds, serves.
import { spawn } from 'node:child_process';
import { mkdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { setTimeout as sleep } from 'node:timers/promises';
import { dataFolder, HOST, PORT, ROOT, Sentence } from './lib/config.mjs';
import { openDatabase } from './lib/database.mjs';
import { growingWaits } from './lib/growing-waits.mjs';
import { ensureBuild, ensurePackages } from './lib/install.mjs';

const dev = process.argv.includes('--dev');
const data = dataFolder();
const lock = path.join(data, 'start.pid');

function isAlive(pid) {
  try {
    process.kill(pid, 0);
    return true;
  } catch {
    return false;
  }
}

/** Whether this data is ours: what another start holds is left to it. */
let hasLock = false;

function takeLock() {
  mkdirSync(data, { recursive: true });
  let holder = NaN;
  try {
    holder = Number(readFileSync(lock, 'utf8'));
  } catch {
    // No lock: nobody has started here, or they stopped in order.
  }
  if (holder && holder !== process.pid && isAlive(holder)) {
    throw new Sentence(
      `Fen is running on this data already (process ${holder}). Stop it there first, or set FEN_DATA and PORT for a second one.`,
    );
  }
  writeFileSync(lock, String(process.pid));
  hasLock = true;
}

function printWelcome() {
  const people = JSON.parse(readFileSync(path.join(ROOT, 'scripts/demo/people.json'), 'utf8'));
  const address = `http://${HOST === '0.0.0.0' ? 'localhost' : HOST}:${PORT}`;
  console.log(`\nFen is at ${address}\n`);
  if (process.env.FEN_DEMO !== '0') {
    const { teacher, student } = people;
    console.log(`  Demo teacher   ${address}/prep/sign-in   ${teacher.email}   ${teacher.password}`);
    console.log(
      `  Demo student   ${address}/return         class code ${people.code}, ${student.name}, words: ${student.words}`,
    );
    console.log(`  A new student  ${address}/join           class code ${people.code}, any name\n`);
  }
  console.log('Ctrl-C stops it.');
}

let database;
let server;
let stopping = false;

async function stop(code) {
  if (stopping) return;
  stopping = true;
  if (server && server.exitCode === null) {
    const gone = new Promise((resolve) => server.once('exit', resolve));
    server.kill('SIGTERM');
    await gone;
  }
  await database?.stop();
  if (hasLock) rmSync(lock, { force: true });
  process.exit(code);
}

for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP']) process.on(signal, () => void stop(0));

async function main() {
  takeLock();
  ensurePackages();
  if (!dev) ensureBuild();
  database = await openDatabase(data, () => void startDatabaseAgain());
  // What talks to the database is there only once packages are.
  const { ensureDemo } = await import('./lib/demo.mjs');
  const env = { ...process.env, DATABASE_URL: database.url };
  if (process.env.FEN_DEMO !== '0') await ensureDemo(database.url);
  serve(env, true);
}

const databaseWaits = growingWaits();

/** The database has ended by itself: what is committed is kept, and the app finds it again on the same port. */
async function startDatabaseAgain() {
  while (!stopping) {
    const waitMs = databaseWaits();
    console.error(
      `The database ended by itself. It is started again in ${waitMs / 1000} s; nothing that was kept is lost.`,
    );
    await sleep(waitMs);
    if (stopping) return;
    try {
      await database.again();
      return console.error('The database is there again.');
    } catch (error) {
      console.error(error instanceof Sentence ? error.message : error);
    }
  }
}

const appWaits = growingWaits();

/** The app as a process of its own. One that dies in the middle of a lesson is started again: it holds nothing. */
function serve(env, isFirst) {
  let listened = false;
  server = spawn(process.execPath, ['scripts/serve.mjs', ...(dev ? ['--dev'] : [])], {
    cwd: ROOT,
    env,
    stdio: ['ignore', 'inherit', 'inherit', 'ipc'],
  });
  server.on('message', () => {
    listened = true;
    if (isFirst) printWelcome();
    else console.error('The app is there again.');
  });
  server.on('exit', (code) => {
    if (stopping) return;
    // What cannot begin at all, such as on a port that is in use, has said why.
    if (isFirst && !listened) return void stop(code ?? 1);
    const waitMs = appWaits();
    console.error(`The app ended by itself. It is started again in ${waitMs / 1000} s.`);
    setTimeout(() => !stopping && serve(env, false), waitMs);
  });
}

main().catch((error) => {
  console.error(error instanceof Sentence ? error.message : error);
  void stop(1);
});
