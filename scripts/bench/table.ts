import { randomUUID } from 'node:crypto';
import { performAct } from '@server/acts';
import { forgetBenches, presentBench } from '@server/benches';
import { tokenHash } from '@server/secrets';
import type { AppProcess } from '@server/testing/app-process';
import { act, cookieOf, students, type BenchRun } from './class';
import { cpuS } from './minute';

/** Acts of each run, and how often its table is looked at. */
const ACTS = 40;
const LOOKS = 20;

/** Posts acts to a run, one by one, through the server. */
async function acted(base: string, run: BenchRun, from: number, count: number): Promise<void> {
  for (let number = from; number < from + count; number++) {
    const body = { number, actId: randomUUID(), atS: 3 * number, act: act(number) };
    const cookie = cookieOf(run.token);
    const headers = { 'Content-Type': 'application/json', cookie };
    await (
      await fetch(`${base}/runs/${run.runId}/acts`, { method: 'POST', headers, body: JSON.stringify(body) })
    ).text();
  }
}

/** What a look at a class's table costs while its students act: CPU of the server, ms, for classes of two sizes. */
export async function benchTable(app: AppProcess): Promise<void> {
  for (const size of [30, 300]) {
    const { runs, assignmentId, teacherToken } = await students(size);
    for (let i = 0; i < runs.length; i += 10)
      await Promise.all(runs.slice(i, i + 10).map((run) => acted(app.base, run, 1, ACTS)));
    const look = async () => {
      const headers = { cookie: cookieOf(teacherToken, 'teacher') };
      const response = await fetch(`${app.base}/prep/assignments/${assignmentId}.data`, { headers });
      if (response.status !== 200) throw new Error(`the table answered with ${response.status}`);
      await response.text();
    };
    await look();
    const taken: number[] = [];
    for (let i = 0; i < LOOKS; i++) {
      // Somebody has done something: what a live notice is for.
      await acted(app.base, runs[i % size] as BenchRun, ACTS + 1 + Math.floor(i / size), 1);
      const before = cpuS(app.pid());
      await look();
      taken.push(1000 * (cpuS(app.pid()) - before));
    }
    const mean = taken.reduce((a, b) => a + b, 0) / LOOKS;
    console.log(
      `a look at the table of ${size} runs of ${ACTS} acts under live notices: server CPU ${mean.toFixed(0)} ms (aim under 30)`,
    );
  }
}

/** Rebuilding a run of 2,000 acts in which a probe has logged 2,000 lines. */
export async function benchLoggedRebuild(): Promise<void> {
  const { runs } = await students(1, { probe: 'pH' });
  const { runId, token } = runs[0] as BenchRun;
  const tokens = [tokenHash(token)];
  const start = [
    { kind: 'fill', toMl: 0 },
    { kind: 'drawSample' },
    { kind: 'drainPipette' },
    { kind: 'probe', place: 'flask' },
    { kind: 'log', every: 1, by: 's' },
    { kind: 'tap', opening: 'drop by drop' },
    { kind: 'pace', times: 60 },
  ];
  // The bench clock is believed as far as real time reaches at its pace, so that the log grows as fast as that.
  const began = Date.now();
  let atS = 0;
  for (let number = 1; number <= 2000; number++) {
    const deed = start[number - 1] ?? { kind: 'drop' };
    if (number > start.length) atS = ((Date.now() - began) / 1000) * 60;
    await performAct(runId, { number, actId: randomUUID(), atS, act: deed }, tokens);
  }
  const taken: number[] = [];
  let lines = 0;
  for (let i = 0; i < 5; i++) {
    forgetBenches();
    const began = performance.now();
    const { bench } = await presentBench(runId);
    taken.push(performance.now() - began);
    lines = bench.view().logged.length;
  }
  taken.sort((a, b) => a - b);
  console.log(
    `rebuilding a run of 2,000 acts with ${lines} logged lines: median ${taken[2]?.toFixed(0)} ms, worst ${taken[4]?.toFixed(0)} ms (aim under 100)`,
  );
}
