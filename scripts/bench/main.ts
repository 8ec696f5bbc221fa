// npm run bench: measured figures and ratios, with what is aimed for. Nothing here passes or fails.
import { spawn } from 'node:child_process';
import { randomUUID } from 'node:crypto';
import { PRACTICALS } from '@core/practicals/registry';
import { performAct } from '@server/acts';
import { rulesSchema, setAssignment } from '@server/assignments';
import { forgetBenches, presentBench } from '@server/benches';
import { makeClass } from '@server/classes';
import { closePool, pool } from '@server/db';
import { startRun } from '@server/runs';
import { newToken, tokenHash } from '@server/secrets';
import { openSession } from '@server/sessions';
import { signUpTeacher } from '@server/teachers';
import { freePort, startApp } from '@server/testing/app-process';
import { benchAnalysis, benchNotebookPage } from './notebook';
import { benchInfluences } from './influences';
import { benchLiveCurve } from './live-curve';
import { benchSolver } from './solver';
import { load, type Client } from './load';

const RUNS = 200;
const ROUND_MS = Number(process.env.FEN_BENCH_MS ?? 5000);
const practical = PRACTICALS['acid-concentration'];
const databaseUrl = process.env.DATABASE_URL as string;

/** A titration without end, as students do it: waits that bring frames, drops, openings of the tap. */
function act(number: number): unknown {
  const start = [
    { kind: 'fill', toMl: 0 },
    { kind: 'drawSample' },
    { kind: 'drainPipette' },
    { kind: 'indicator', id: 'phenolphthalein', drops: 2 },
  ];
  const course = [
    { kind: 'tap', opening: 'fast drops' },
    { kind: 'wait' },
    { kind: 'wait' },
    { kind: 'tap', opening: 'closed' },
    { kind: 'swirl' },
    { kind: 'drop' },
    { kind: 'drop' },
    { kind: 'record', trial: 1, which: 'last', text: '12.34' },
  ];
  return start[number - 1] ?? course[number % course.length];
}

/** A run with the probe for pH. */
const probeRun = async () => (await students(1, { probe: 'pH' }))[0] as { runId: string; token: string };

async function students(count: number, settings = {}): Promise<{ runId: string; token: string }[]> {
  const teacherId = await signUpTeacher('Bench', `${randomUUID()}@example.org`, 'a long password', 'bench');
  const classId = await makeClass(teacherId, 'Bench');
  const setup = practical.setup.parse(settings);
  const dates = { opensAt: new Date(Date.now() - 1000), closesAt: null };
  const assignmentId = await setAssignment(
    classId,
    'acid-concentration',
    setup,
    rulesSchema.parse({}),
    dates,
  );
  const made: { runId: string; token: string }[] = [];
  for (let i = 0; i < count; i++) {
    // Without the password hash, which is not what is measured.
    const { rows } = await pool().query<{ id: string }>(
      'insert into students (class_id, name, name_key, words_hash) values ($1, $2, $2, $3) returning id',
      [classId, `s${i}`, newToken('student')],
    );
    const studentId = rows[0]?.id as string;
    made.push({ runId: await startRun(studentId, assignmentId), token: await openSession({ studentId }) });
  }
  return made;
}

/** The cookie as the app itself makes it: base64 of the JSON of the token. */
const cookieOf = (token: string) =>
  `fen_student=${encodeURIComponent(Buffer.from(JSON.stringify(token)).toString('base64'))}`;

async function benchActs(base: string, runs: { runId: string; token: string }[]): Promise<void> {
  const port = await freePort();
  const bare = spawn('node_modules/.bin/tsx', ['scripts/bench/bare.ts'], {
    env: { ...process.env, PORT: String(port), NODE_ENV: 'production' },
    stdio: ['ignore', 'inherit', 'inherit', 'ipc'],
  });
  await new Promise((resolve) => bare.once('message', resolve));
  const body = (number: number) =>
    JSON.stringify({ number, actId: randomUUID(), atS: 1e6, act: act(number) });
  const clients: Client[] = runs.map(({ runId, token }) => ({
    url: new URL(`${base}/runs/${runId}/acts`),
    cookie: cookieOf(token),
    body,
  }));
  const bareClients: Client[] = runs.map(({ token }) => ({
    url: new URL(`http://127.0.0.1:${port}/insert`),
    cookie: cookieOf(token),
    body,
  }));
  const [counters, bareCounters] = [[] as number[], [] as number[]];
  await load(clients, 2000, counters);
  await load(bareClients, 2000, bareCounters);
  const rates: number[] = [];
  for (let round = 0; round < 3; round++) {
    const ours = await load(clients, ROUND_MS, counters);
    const theirs = await load(bareClients, ROUND_MS, bareCounters);
    rates.push(ours.perSecond / theirs.perSecond);
    console.log(
      `acts through the HTTP action, ${RUNS} runs at once: ${ours.perSecond.toFixed(0)} /s, 95th percentile ${ours.p95Ms.toFixed(0)} ms, errors ${ours.errors}`,
    );
    console.log(
      `  bare action with one INSERT: ${theirs.perSecond.toFixed(0)} /s, 95th percentile ${theirs.p95Ms.toFixed(0)} ms, errors ${theirs.errors}; ratio ${(ours.perSecond / theirs.perSecond).toFixed(2)} (aim 0.7)`,
    );
  }
  rates.sort((a, b) => a - b);
  console.log(`  median ratio ${rates[1]?.toFixed(2)}`);
  bare.kill();
}

async function benchRebuild(run: { runId: string; token: string }): Promise<void> {
  const tokens = [tokenHash(run.token)];
  let { number } = await presentBench(run.runId);
  for (number++; number <= 2000; number++) {
    await performAct(run.runId, { number, actId: randomUUID(), atS: 1e6, act: act(number) }, tokens);
  }
  const times = Array.from({ length: 5 }, async () => 0);
  const taken: number[] = [];
  for (const _ of times) {
    forgetBenches();
    const start = performance.now();
    await presentBench(run.runId);
    taken.push(performance.now() - start);
  }
  taken.sort((a, b) => a - b);
  console.log(
    `rebuilding a run of 2,000 acts from the database: median ${taken[2]?.toFixed(0)} ms, worst ${taken[4]?.toFixed(0)} ms (aim under 100)`,
  );
}

// `npm run bench -- acts` measures the acts alone, `-- notebook` the notebook, `-- moved` the influences, `-- curve` the live curve.
const only = process.argv[2];
if (!only) benchSolver();
if (only !== 'acts') benchAnalysis();
if (!only || only === 'moved') await benchInfluences();
if (only === 'moved') process.exit(0);
const app = await startApp(databaseUrl);
const runs = await students(RUNS);
const first = runs[0] as (typeof runs)[number];
const cookie = { name: 'fen_student', value: cookieOf(first.token).slice('fen_student='.length) };
if (!only || only === 'curve') await benchLiveCurve(app.base, await probeRun(), cookieOf);
if (only !== 'acts' && only !== 'curve') await benchNotebookPage(app.base, first.runId, cookie);
if (only !== 'notebook' && only !== 'curve') await benchActs(app.base, runs);
await app.stop();
if (only !== 'notebook' && only !== 'curve') await benchRebuild(first);
await closePool();
