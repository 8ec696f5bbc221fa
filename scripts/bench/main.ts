// npm run bench: measured figures and ratios, with what is aimed for. Nothing here passes or fails.
import { spawn } from 'node:child_process';
import { randomUUID } from 'node:crypto';
import { performAct } from '@server/acts';
import { forgetBenches, presentBench } from '@server/benches';
import { closePool } from '@server/db';
import { tokenHash } from '@server/secrets';
import { act, cookieOf, students, type BenchRun } from './class';
import { benchHeldUp } from './held-up';
import { benchHostile } from './hostile';
import { freePort, startApp } from '@server/testing/app-process';
import { benchAnalysis, benchNotebookPage } from './notebook';
import { benchGases, benchPiston, benchTwoGases } from './gases';
import { benchHeat } from './heat';
import { benchSolids } from './solids';
import { benchRivals } from './rivals';
import { benchSpheres } from './spheres';
import { benchInfluences } from './influences';
import { benchLesson } from './lesson';
import { benchLiveCurve, HEAT_CURVE } from './live-curve';
import { benchLiveFlame } from './live-flame';
import { benchLiveParticles } from './live-particles';
import { benchMinute } from './minute';
import { benchLoggedRebuild, benchTable } from './table';
import { benchMixture, benchSolver } from './solver';
import { load, type Client } from './load';

const RUNS = 200;
const ROUND_MS = Number(process.env.FEN_BENCH_MS ?? 5000);
const databaseUrl = process.env.DATABASE_URL as string;

/** A run with the probe for pH. */
const probeRun = async () => (await students(1, { probe: 'pH' })).runs[0] as { runId: string; token: string };

async function benchActs(base: string, runs: { runId: string; token: string }[]): Promise<void> {
  const port = await freePort();
  const bare = spawn('node_modules/.bin/tsx', ['scripts/bench/bare.ts'], {
    env: { ...process.env, PORT: String(port), NODE_ENV: 'production' },
    stdio: ['ignore', 'inherit', 'inherit', 'ipc'],
  });
  await new Promise((resolve) => bare.once('message', resolve));
  const body = (number: number) => JSON.stringify({ number, actId: randomUUID(), atS: 1e6, act: act(number) });
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

// `npm run bench -- acts` measures the acts alone, `-- notebook` the notebook, `-- moved` the influences, `-- curve` live curves and a live flame, `-- flying` particles before one's eyes,
// `-- mixture` solutions that react, `-- spheres` a gas of hard spheres, `-- gases` gases on apparatus, `-- heat` an hour at the bench of heat and what moved it, `-- lesson` an act at the start and at the end of an hour's lesson,
// `-- minute` a student-minute of each family, `-- table` looks at class tables, and a run with a long log,
// `-- hostile` what one attacker and one clumsy class do to the acts of everybody else.
const only = process.argv[2];
if (!only) benchSolver();
if (!only || only === 'mixture') {
  benchMixture();
  await benchSolids();
}
if (!only || only === 'spheres') {
  benchSpheres();
  await benchRivals();
}
if (!only || only === 'gases') {
  await benchGases();
  await benchTwoGases();
  await benchPiston();
}
if (only === 'mixture' || only === 'spheres' || only === 'gases') process.exit(0);
if (!['acts', 'heat', 'hostile', 'lesson', 'minute', 'table'].includes(only ?? '')) benchAnalysis();
if (!only || only === 'moved') await benchInfluences();
if (!only || only === 'heat') await benchHeat();
if (only === 'moved' || only === 'heat') process.exit(0);
const app = await startApp(databaseUrl);
if (only === 'hostile' || only === 'lesson' || only === 'minute' || only === 'table') {
  if (only === 'hostile') {
    await benchHeldUp(app);
    await benchHostile(app);
  } else if (only === 'minute') await benchMinute(app);
  else if (only === 'table') await benchTable(app);
  else await benchLesson(app.base, (await students(1)).runs[0] as BenchRun, cookieOf);
  await app.stop();
  if (only === 'table') await benchLoggedRebuild();
  await closePool();
  process.exit(0);
}
const { runs } = await students(RUNS);
const first = runs[0] as (typeof runs)[number];
const cookie = { name: 'fen_student', value: cookieOf(first.token).slice('fen_student='.length) };
if (!only) await benchMinute(app);
if (!only) await benchTable(app);
if (!only) {
  await benchHeldUp(app);
  await benchHostile(app);
}
if (!only) await benchLesson(app.base, (await students(1)).runs[0] as BenchRun, cookieOf);
if (!only || only === 'curve') {
  await benchLiveCurve(app.base, await probeRun(), cookieOf);
  const [metal] = (await students(1, {}, 'metal-by-heat')).runs;
  await benchLiveCurve(app.base, metal as BenchRun, cookieOf, HEAT_CURVE);
  const [hydrate] = (await students(1, {}, 'water-in-hydrate')).runs;
  await benchLiveFlame(app.base, hydrate as BenchRun, cookieOf);
}
if (!only || only === 'flying') {
  const [many] = (await students(1, {}, 'one-to-many')).runs;
  await benchLiveParticles(app.base, many as BenchRun, cookieOf);
}
const isWatched = only === 'curve' || only === 'flying';
if (only !== 'acts' && !isWatched) await benchNotebookPage(app.base, first.runId, cookie);
if (only !== 'notebook' && !isWatched) await benchActs(app.base, runs);
await app.stop();
if (only !== 'notebook' && !isWatched) await benchRebuild(first);
if (!only) await benchLoggedRebuild();
await closePool();
