import { randomUUID } from 'node:crypto';
import { readFileSync } from 'node:fs';
import type { Pace } from '@core/practicals/bench-clock';
import type { PracticalId } from '@core/practicals/registry';
import { pool } from '@server/db';
import type { AppProcess } from '@server/testing/app-process';
import { cookieOf, students, type BenchRun } from './class';

/** Students of one measurement; each works for a minute of real time, as fast as the server answers. */
const STUDENTS = 10;
const MINUTE_S = 60;

/** What a student does in a minute, each deed with the seconds of real time before it; in between they watch. */
interface Minute {
  practical: PracticalId;
  settings: object;
  deeds: [number, object][];
  /** How often a page says that it watches, s of real time; each second where it is sent frames. */
  tellsEachS?: number;
}
const MINUTES: Record<string, Minute> = {
  titration: {
    practical: 'acid-concentration',
    settings: {},
    deeds: [
      [0, { kind: 'fill', toMl: 0 }],
      [1, { kind: 'drawSample' }],
      [1, { kind: 'drainPipette' }],
      [1, { kind: 'indicator', id: 'phenolphthalein', drops: 3 }],
      [2, { kind: 'keepSwirling', on: true }],
      [2, { kind: 'tap', opening: 'drop by drop' }],
      [30, { kind: 'tap', opening: 'closed' }],
      [5, { kind: 'drop' }],
      [5, { kind: 'drop' }],
      [5, { kind: 'record', trial: 1, which: 'last', text: '12.34' }],
    ],
  },
  'titration, a probe logging each second': {
    practical: 'acid-concentration',
    settings: { probe: 'pH' },
    deeds: [
      [0, { kind: 'fill', toMl: 0 }],
      [1, { kind: 'drawSample' }],
      [1, { kind: 'drainPipette' }],
      [1, { kind: 'probe', place: 'flask' }],
      [2, { kind: 'log', every: 1, by: 's' }],
      [1, { kind: 'tap', opening: 'drop by drop' }],
      [30, { kind: 'tap', opening: 'closed' }],
    ],
  },
  measuring: {
    practical: 'displacement',
    settings: {},
    deeds: [
      [0, { kind: 'tap', into: 1, opening: 'trickle' }],
      [8, { kind: 'tap', into: 1, opening: 'off' }],
      [5, { kind: 'weigh', vessel: 1 }],
      [5, { kind: 'tare' }],
      [5, { kind: 'put', lot: 1, count: 3, into: 1, how: 'lower' }],
      [10, { kind: 'recordMass', trial: 1, which: 'm' }],
    ],
  },
  'heat, with a log': {
    practical: 'salt-by-heat',
    settings: {},
    deeds: [
      [0, { kind: 'pour', bottle: 1, to: 'cup', ml: 80 }],
      [3, { kind: 'thermometer', n: 1, at: 'cup' }],
      [2, { kind: 'stir', vessel: 'cup', how: 'motor' }],
      [1, { kind: 'log', everyS: 1 }],
      [8, { kind: 'scoop', g: 8 }],
      [4, { kind: 'recordTemp', trial: 1, which: 'T1' }],
      [2, { kind: 'tip' }],
      [30, { kind: 'recordTemp', trial: 1, which: 'T2' }],
    ],
  },
  'one particle, which moves in the browser': {
    practical: 'one-particle',
    settings: {},
    tellsEachS: 10,
    deeds: [
      [0, { kind: 'putIn', kelvin: 300 }],
      ...['T', 'E', 'v'].map((which): [number, object] => [2, { kind: 'record', trial: 1, which }]),
      [5, { kind: 'bring', kelvin: 600 }],
      ...['T', 'E', 'v'].map((which): [number, object] => [2, { kind: 'record', trial: 2, which }]),
    ],
  },
};

/** CPU that a process has used, s. */
export function cpuS(pid: number): number {
  const fields = readFileSync(`/proc/${pid}/stat`, 'utf8').split(') ')[1]?.split(' ') ?? [];
  return (Number(fields[11]) + Number(fields[12])) / 100;
}

interface Reply {
  number: number;
  of: string;
  view?: { timeS: number; running: boolean };
  changes?: { parts: { timeS?: number; running?: boolean } };
}

/** One student's minute. @param stores whether watching is an act with a whole answer, as it once was */
async function minute(base: string, run: BenchRun, { deeds, tellsEachS = 1 }: Minute, pace: Pace, stores: boolean) {
  let bytes = 0;
  const seen = { number: 0, of: '', timeS: 0, running: false };
  const post = async (body: object) => {
    const response = await fetch(`${base}/runs/${run.runId}/acts`, {
      method: 'POST',
      headers: { 'Content-Type': 'application/json', cookie: cookieOf(run.token) },
      body: JSON.stringify(body),
    });
    const text = await response.text();
    bytes += text.length;
    const reply = JSON.parse(text) as Reply;
    const { timeS, running } = { ...reply.view, ...reply.changes?.parts };
    seen.number = reply.number;
    seen.of = reply.of;
    seen.timeS = timeS ?? seen.timeS;
    seen.running = running ?? seen.running;
  };
  const has = () => (stores || seen.of === '' ? {} : { has: seen.of });
  const act = (next: object) =>
    post({ number: seen.number + 1, actId: randomUUID(), atS: seen.timeS, act: next, ...has() });
  const watch = () =>
    stores
      ? post({ number: seen.number + 1, actId: randomUUID(), atS: seen.timeS + pace, act: { kind: 'wait' } })
      : post({ after: seen.number, atS: seen.timeS + tellsEachS * pace, ...has() });
  if (pace > 1) await act({ kind: 'pace', times: pace });
  const due = deeds.reduce<{ atS: number; deed: object }[]>(
    (list, [afterS, deed]) => [...list, { atS: (list.at(-1)?.atS ?? 0) + afterS, deed }],
    [],
  );
  for (let s = 0; s < MINUTE_S; s++) {
    for (const { deed } of due.filter(({ atS }) => atS === s)) await act(deed);
    if (seen.running && s % tellsEachS === tellsEachS - 1) await watch();
  }
  return bytes;
}

/** Rows stored, bytes sent and CPU of the server for one student-minute, at each pace and as it was when watching was an act. */
export async function benchMinute(app: AppProcess): Promise<void> {
  for (const [name, one] of Object.entries(MINUTES)) {
    const { practical, settings } = one;
    const cases: [Pace, boolean][] = [
      [1, true],
      [1, false],
      [10, false],
      [60, false],
    ];
    let before = NaN;
    for (const [pace, stores] of cases) {
      const { runs } = await students(STUDENTS, settings, practical);
      await minute(app.base, runs[0] as BenchRun, one, pace, stores);
      const others = runs.slice(1);
      const startS = cpuS(app.pid());
      const bytes = await Promise.all(others.map((run) => minute(app.base, run, one, pace, stores)));
      const usedMs = (1000 * (cpuS(app.pid()) - startS)) / others.length;
      const { rows } = await pool().query<{ rows: number }>(
        'select count(*)::float8 / $2 as rows from acts where run_id = any($1)',
        [others.map(({ runId }) => runId), others.length],
      );
      if (stores) before = usedMs;
      const kB = bytes.reduce((sum, one) => sum + one, 0) / others.length / 1000;
      const what = stores ? 'watching an act, answers whole (as it was)' : `at ${pace} times the pace`;
      console.log(
        `a student-minute of ${name}, ${what}: ${rows[0]?.rows} rows, ${kB.toFixed(0)} kB, server CPU ${usedMs.toFixed(0)} ms${stores ? '' : `, ${(usedMs / before).toFixed(2)} of that`}`,
      );
    }
  }
}
