import { randomUUID } from 'node:crypto';
import { readFileSync } from 'node:fs';
import http from 'node:http';
import { performAct } from '@server/acts';
import { presentBench } from '@server/benches';
import { tokenHash } from '@server/secrets';
import type { AppProcess } from '@server/testing/app-process';
import { act, cookieOf, students, type BenchClass } from './class';

/** How long each scene lasts, ms; how many students work quietly meanwhile, and how often each acts, ms. */
const SCENE_MS = Number(process.env.FEN_BENCH_MS ?? 8000);
const CALM = 60;
const EVERY_MS = 1000;

interface Asked {
  path: string;
  method?: string;
  cookie?: string;
  body?: string | Buffer;
  type?: string;
}

/** One request on a connection of the agent's. @returns its status; 0 when the connection was cut */
function ask(
  base: string,
  agent: http.Agent,
  { path, method = 'GET', cookie, body, type = 'application/json' }: Asked,
): Promise<number> {
  return new Promise((resolve) => {
    const headers = {
      ...(cookie ? { cookie } : {}),
      ...(body === undefined ? {} : { 'Content-Type': type, 'Content-Length': Buffer.byteLength(body) }),
    };
    const request = http.request(`${base}${path}`, { method, agent, headers, timeout: 30_000 }, (response) => {
      response.resume();
      response.on('end', () => resolve(response.statusCode ?? 0));
      response.on('error', () => resolve(0));
    });
    request.on('error', () => resolve(0));
    request.on('timeout', () => request.destroy());
    request.end(body);
  });
}

const memoryMb = (pid: number): number =>
  Number(/VmRSS:\s+(\d+)/.exec(readFileSync(`/proc/${pid}/status`, 'utf8'))?.[1] ?? NaN) / 1024;

/** Everybody else: an act each second from each, as in a lesson. */
async function calm(base: string, { runs }: BenchClass, numbers: number[]): Promise<{ times: number[]; bad: number }> {
  const agent = new http.Agent({ keepAlive: true, maxSockets: CALM });
  const times: number[] = [];
  let bad = 0;
  const start = performance.now();
  await Promise.all(
    runs.map(async ({ runId, token }, i) => {
      await new Promise((resolve) => setTimeout(resolve, (EVERY_MS * i) / runs.length));
      while (performance.now() - start < SCENE_MS) {
        const number = (numbers[i] = (numbers[i] ?? 0) + 1);
        const body = JSON.stringify({ number, actId: randomUUID(), atS: 1e6, act: act(number) });
        const sent = performance.now();
        if (
          (await ask(base, agent, { path: `/runs/${runId}/acts`, method: 'POST', cookie: cookieOf(token), body })) !==
          200
        )
          bad++;
        const took = performance.now() - sent;
        times.push(took);
        await new Promise((resolve) => setTimeout(resolve, Math.max(EVERY_MS - took, 0)));
      }
    }),
  );
  agent.destroy();
  return { times: times.sort((a, b) => a - b), bad };
}

/** Asks one after the other, on so many connections at once, until the time is up. @returns how often which status came */
async function storm(base: string, connections: number, next: (n: number) => Asked): Promise<Map<number, number>> {
  const agent = new http.Agent({ keepAlive: true, maxSockets: connections });
  const statuses = new Map<number, number>();
  const start = performance.now();
  let n = 0;
  await Promise.all(
    Array.from({ length: connections }, async () => {
      while (performance.now() - start < SCENE_MS) {
        const status = await ask(base, agent, next(n++));
        statuses.set(status, (statuses.get(status) ?? 0) + 1);
      }
    }),
  );
  agent.destroy();
  return statuses;
}

/** A run of so many acts, for looks that cost. */
async function lengthen({ runId, token }: BenchClass['runs'][number], acts: number): Promise<void> {
  for (let number = (await presentBench(runId)).number + 1; number <= acts; number++)
    await performAct(runId, { number, actId: randomUUID(), atS: 1e6, act: act(number) }, [tokenHash(token)]);
}

const edits = (list: object[]) => JSON.stringify({ after: 0, edits: list.map((edit) => ({ id: randomUUID(), edit })) });

/** What one attacker and one clumsy class do to the acts of everybody else. */
export async function benchHostile(app: AppProcess): Promise<void> {
  const { base } = app;
  const quiet = await students(CALM);
  const loud = await students(30);
  for (const run of loud.runs.slice(0, 6)) await lengthen(run, 1500);
  const [attacker] = loud.runs as [BenchClass['runs'][number]];
  const numbers: number[] = [];
  const deep = '['.repeat(7000) + ']'.repeat(7000);
  const signs = Array.from({ length: 60 }, (_, i) => ({
    kind: 'putCalculation',
    calculation: { id: `c${i}`, text: `${'-'.repeat(299)}1` },
  }));
  const cookie = cookieOf(attacker.token);
  const run = `/runs/${attacker.runId}`;

  const attacks: Asked[] = [
    { path: `${run}/acts`, method: 'POST', body: Buffer.alloc(10_000_000, '[') },
    { path: '/join', method: 'POST', body: Buffer.alloc(5_000_000, 'x'), type: 'application/x-www-form-urlencoded' },
    { path: `${run}/acts`, method: 'POST', cookie, body: deep },
    { path: `${run}/notebook`, method: 'POST', cookie, body: edits(signs) },
    { path: `${run}/print`, cookie },
    { path: `${run}/moment?act=1400&at=0`, cookie },
    {
      path: `${run}/acts`,
      method: 'POST',
      cookie,
      body: JSON.stringify({ number: 999_999, actId: randomUUID(), atS: 0, act: { kind: 'wait' } }),
    },
    { path: `${run}.data`, method: 'POST', cookie, body: '{}' },
    { path: '/', method: 'TRACE' },
    {
      path: '/prep/sign-in',
      method: 'POST',
      body: 'email=a%40b.example&password=guessing',
      type: 'application/x-www-form-urlencoded',
    },
  ];
  const teacher = cookieOf(loud.teacherToken, 'teacher');
  const looks: ((i: number) => Asked)[] = [
    (i) => ({ path: `/runs/${loud.runs[i % 30]?.runId}`, cookie: cookieOf(loud.runs[i % 30]?.token ?? '') }),
    (i) => ({
      path: `/runs/${loud.runs[i % 6]?.runId}/moment?act=${200 + ((i * 37) % 1300)}&at=0`,
      cookie: cookieOf(loud.runs[i % 6]?.token ?? ''),
    }),
    (i) => ({ path: `/runs/${loud.runs[i % 30]?.runId}/print`, cookie: cookieOf(loud.runs[i % 30]?.token ?? '') }),
    () => ({ path: `/prep/assignments/${loud.assignmentId}`, cookie: teacher }),
    (i) => ({ path: `/prep/runs/${loud.runs[i % 6]?.runId}`, cookie: teacher }),
    () => ({ path: `/prep/assignments/${loud.assignmentId}/pooled`, cookie: teacher }),
  ];
  const scenes: [string, (() => Promise<Map<number, number>>) | null][] = [
    ['nobody else', null],
    ['one attacker, on 20 connections', () => storm(base, 20, (n) => attacks[n % attacks.length] as Asked)],
    [
      'a class of 30 that all look at once, with their teacher',
      () => storm(base, 30, (n) => (looks[n % looks.length] as (i: number) => Asked)(n)),
    ],
    [
      'both together',
      () =>
        Promise.all([
          storm(base, 20, (n) => attacks[n % attacks.length] as Asked),
          storm(base, 30, (n) => (looks[n % looks.length] as (i: number) => Asked)(n)),
        ]).then(
          ([a, b]) =>
            new Map(
              [...new Set([...a.keys(), ...b.keys()])].map((status) => [
                status,
                (a.get(status) ?? 0) + (b.get(status) ?? 0),
              ]),
            ),
        ),
    ],
  ];
  console.log(`acts of ${CALM} students, one a second each, beside…`);
  for (const [name, other] of scenes) {
    const [{ times, bad }, statuses] = await Promise.all([calm(base, quiet, numbers), other?.()]);
    const at = (part: number) => (times[Math.floor(part * times.length)] ?? NaN).toFixed(0);
    const said = [...(statuses ?? [])]
      .sort(([a], [b]) => a - b)
      .map(([status, count]) => `${status}: ${count}`)
      .join(', ');
    console.log(
      `  ${name}: median ${at(0.5)} ms, 95th percentile ${at(0.95)} ms (aim under 250), worst ${at(0.9999)} ms, not done ${bad}; memory ${memoryMb(app.pid()).toFixed(0)} MB${said ? `; answered ${said}` : ''}`,
    );
  }
}
