import { randomUUID } from 'node:crypto';
import net from 'node:net';
import { pool } from '@server/db';
import type { AppProcess } from '@server/testing/app-process';
import { act, cookieOf, students, type BenchRun } from './class';

/** What one person's bursts do to pages of others, what flown particles cost to have again, and what a student leaves on the disk. */

const PAGES = 60;

const at = (times: readonly number[], part: number) =>
  [...times].sort((a, b) => a - b)[Math.min(Math.floor(part * times.length), times.length - 1)] ?? NaN;

async function page(base: string, { token }: BenchRun): Promise<number> {
  const began = performance.now();
  const response = await fetch(`${base}/work`, { headers: { cookie: cookieOf(token) } });
  await response.arrayBuffer();
  if (response.status !== 200) throw new Error(`a page of somebody else gave ${response.status}`);
  return performance.now() - began;
}

/** Sockets that send one byte of a hundred. */
function slowSockets(base: string, count: number): () => void {
  const { hostname, port } = new URL(base);
  const sockets = Array.from({ length: count }, () => {
    const socket = net.connect(Number(port), hostname);
    socket.on('error', () => {});
    socket.write(
      `POST /join HTTP/1.1\r\nHost: ${hostname}:${port}\r\nContent-Type: application/x-www-form-urlencoded\r\nContent-Length: 100\r\n\r\nx`,
    );
    return socket;
  });
  return () => sockets.forEach((socket) => socket.destroy());
}

async function benchPages({ base }: AppProcess): Promise<void> {
  const others = await students(30);
  const [greedy] = (await students(1)).runs as [BenchRun];
  await Promise.all(others.runs.map((run) => page(base, run)));
  const scenes: [string, () => () => void][] = [
    ['nobody else', () => () => {}],
    ['40 sockets that send one byte of a hundred', () => slowSockets(base, 40)],
    [
      '300 pages at once of one student, again and again',
      () => {
        let goes = true;
        const ask = async () => {
          while (goes) {
            const response = await fetch(`${base}/work`, { headers: { cookie: cookieOf(greedy.token) } }).catch(
              () => null,
            );
            await response?.arrayBuffer().catch(() => null);
          }
        };
        for (let i = 0; i < 300; i++) void ask();
        return () => void (goes = false);
      },
    ],
  ];
  for (const [name, begin] of scenes) {
    const end = begin();
    await new Promise((resolve) => setTimeout(resolve, 1000));
    const times: number[] = [];
    for (let i = 0; i < PAGES; i += 2)
      times.push(...(await Promise.all([0, 1].map((k) => page(base, others.runs[(i + k) % 30] as BenchRun)))));
    end();
    await new Promise((resolve) => setTimeout(resolve, 1500));
    console.log(
      `pages of others beside ${name}: median ${at(times, 0.5).toFixed(0)} ms, 95th percentile ${at(times, 0.95).toFixed(0)} ms (aim 1 s), worst ${at(times, 1).toFixed(0)} ms (aim 3 s)`,
    );
  }
}

async function perform(base: string, { runId, token }: BenchRun, number: number, what: unknown, atS: number) {
  const began = performance.now();
  const response = await fetch(`${base}/runs/${runId}/acts`, {
    method: 'POST',
    headers: { cookie: cookieOf(token), 'Content-Type': 'application/json' },
    body: JSON.stringify({ number, actId: randomUUID(), atS, act: what }),
  });
  const { view } = (await response.json()) as { view?: { timeS: number } };
  if (!view) throw new Error(`act ${number} gave ${response.status}`);
  return { ms: performance.now() - began, timeS: view.timeS };
}

/** 99 acts of a thousand particles; how long others wait meanwhile, and how long it takes to have the bench again after a kill. */
async function benchFlown(app: AppProcess): Promise<void> {
  const { base } = app;
  const [run] = (await students(1, {}, 'one-to-many')).runs as [BenchRun];
  const [other] = (await students(1)).runs as [BenchRun];
  const course = [
    { kind: 'run', ps: 500 },
    { kind: 'pace', times: 60 },
    { kind: 'pace', times: 1 },
  ];
  let timeS = 0;
  const [times, others] = [[] as number[], [] as number[]];
  for (let number = 1; number <= 99; number++) {
    const what = number === 1 ? { kind: 'letIn', count: 998 } : course[(number - 2) % 3];
    const acting = perform(base, run, number, what, timeS + 1e6);
    others.push((await perform(base, other, number, act(number), 1e6)).ms);
    const { ms, timeS: now } = await acting;
    times.push(ms);
    timeS = now;
  }
  console.log(
    `acts at a cylinder of 999 particles: median ${at(times, 0.5).toFixed(0)} ms, worst ${at(times, 1).toFixed(0)} ms; acts of somebody else meanwhile: median ${at(others, 0.5).toFixed(0)} ms, worst ${at(others, 1).toFixed(0)} ms`,
  );
  await app.killAndRestart();
  const began = performance.now();
  await fetch(`${base}/runs/${run.runId}/acts`, { headers: { cookie: cookieOf(run.token) } });
  console.log(
    `the same 99 acts there again after a kill: ${(performance.now() - began).toFixed(0)} ms (aim under 1,000)`,
  );
}

/** What a thousand records leave in the database. */
async function benchDisk({ base }: AppProcess): Promise<void> {
  const [run] = (await students(1)).runs as [BenchRun];
  await perform(base, run, 1, { kind: 'fill', toMl: 1 }, 0);
  const records = 1000;
  for (let i = 0; i < records; i++)
    await perform(base, run, i + 2, { kind: 'record', trial: 1, which: 'first', text: `1.${10 + (i % 80)}` }, 1e6);
  const size = await pool().query<{ bytes: number }>(
    `select sum(pg_column_size(a.*))::float8 as bytes from acts a where run_id = $1`,
    [run.runId],
  );
  console.log(
    `a thousand readings of one run: ${((size.rows[0]?.bytes ?? NaN) / records / 1000).toFixed(1)} kB each on the disk; a run takes 1,500 of them`,
  );
}

/** What one person can do to all others. */
export async function benchHeldUp(app: AppProcess): Promise<void> {
  await benchPages(app);
  await benchFlown(app);
  await benchDisk(app);
}
