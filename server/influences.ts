import { resolve } from 'node:path';
import { pathToFileURL } from 'node:url';
import { Worker } from 'node:worker_threads';
import { z } from 'zod';
import type { Cause } from '@core/practicals/contract';
import type { Handed, Influences, TimedAct } from '@core/practicals/influences';
import { median } from '@core/analysis/repeats';
import { PRACTICAL_IDS, PRACTICALS } from '@core/practicals/registry';
import { reportSchema } from '@core/report/asks';
import { checkedItemSchema } from '@core/report/check';
import { convert } from '@core/report/check-number';
import type { ClassCause } from '@core/report/class-results';
import { movedSchema, type Moved } from '@core/report/moved';
import { isOfModel } from './benches';
import { maybeRow, pool, rows } from './db';
import { noteTruthTold, type Knowledge } from './knowledge';
import { tellClass } from './feed';
import type { Asked } from './influences-worker';

let worker: Worker | undefined;
let asked = 0;
const waiting = new Map<number, { done: (result: Influences[]) => void; failed: (error: Error) => void }>();

/** The worker as it stands in the source, for `npm run dev` and the benchmarks. */
function fromSource(): Worker {
  const file = pathToFileURL(resolve('server/influences-worker.ts')).href;
  return new Worker(`import('tsx/esm/api').then(({ register }) => { register(); return import('${file}'); })`, {
    eval: true,
  });
}

/** The one worker, begun when it is first needed and again when it has died. */
function theWorker(): Worker {
  if (worker) return worker;
  const started =
    process.env.NODE_ENV === 'production' ? new Worker(resolve('build/server/influences.js')) : fromSource();
  const lose = (error: Error) => {
    if (worker === started) worker = undefined;
    for (const { failed } of waiting.values()) failed(error);
    waiting.clear();
  };
  started.on('message', ({ id, result, error }: { id: number; result: Influences[]; error?: string }) => {
    const entry = waiting.get(id);
    waiting.delete(id);
    if (error !== undefined) entry?.failed(new Error(error));
    else entry?.done(result);
  });
  started.on('error', lose);
  started.on('exit', () => lose(new Error('the worker ended')));
  started.unref();
  return (worker = started);
}

/** Does a run again, cause by cause, in the worker. */
export function askWorker(question: Omit<Asked, 'id'>): Promise<Influences[]> {
  const id = ++asked;
  return new Promise((done, failed) => {
    waiting.set(id, { done, failed });
    theWorker().postMessage({ ...question, id });
  });
}

const handedRow = z.object({
  practical: z.enum(PRACTICAL_IDS),
  setup: z.unknown(),
  sample: z.unknown(),
  seed: z.string(),
  number: z.number(),
  checked: z.array(checkedItemSchema),
  asks: reportSchema,
  at: z.date(),
  assignmentId: z.uuid().nullable(),
  model: z.number(),
  kept: z.array(movedSchema).nullable(),
});

const actRow = z.object({ atS: z.number(), act: z.unknown() });

/** Questions on their way, so that two who ask for the same run wait for one answer. */
const underWay = new Map<string, Promise<Moved[]>>();

/** What moved the numbers of a run's last hand-in; undefined before the first, and where it is too late to work it out. Does not ask who wants to know. */
export async function influencesOf(runId: string): Promise<Moved[] | undefined> {
  const row = await maybeRow(
    pool(),
    handedRow,
    `select r.practical, r.setup, r.sample, r.seed, r.model, h.number, h.checked, h.asks, h.created_at as at,
       r.assignment_id as "assignmentId", i.result as kept
     from runs r join hand_ins h on h.run_id = r.id left join influences i on i.run_id = r.id and i.hand_in = h.number
     where r.id = $1 order by h.number desc limit 1`,
    [runId],
  );
  if (!row) return undefined;
  if (row.kept) return row.kept;
  // Another model would tell what moved another bench.
  if (!isOfModel(PRACTICALS[row.practical], row.model)) return undefined;
  const key = `${runId} ${row.number}`;
  const working = underWay.get(key) ?? workOut(runId, row).finally(() => underWay.delete(key));
  underWay.set(key, working);
  return working;
}

/** A page does not wait longer for it, ms: it is shown without, and asks again. */
const PAGE_WAITS_MS = 2_000;

/** The same for a page: what is not worked out in a moment is on its way. */
export async function influencesSoon(runId: string): Promise<Moved[] | undefined | 'on its way'> {
  let timer: NodeJS.Timeout | undefined;
  const late = new Promise<'on its way'>((done) => {
    timer = setTimeout(() => done('on its way'), PAGE_WAITS_MS);
  });
  const found = influencesOf(runId);
  // Whoever does not wait any more does not hear of a failure either: it is begun anew when it is asked for again.
  found.catch((error: unknown) => console.error('influences of a run failed:', error));
  return Promise.race([found, late]).finally(() => clearTimeout(timer));
}

/** The same as a student may read it, once it may be told; it is noted before. */
export async function movedFor(runId: string, { moved }: Knowledge): Promise<Moved[] | undefined> {
  if (!moved) return undefined;
  const found = await influencesOf(runId);
  if (found) await noteTruthTold(runId);
  return found;
}

async function workOut(runId: string, row: z.infer<typeof handedRow>): Promise<Moved[]> {
  const acts = await rows(
    pool(),
    actRow,
    `select at_s as "atS", act from acts where run_id = $1 and refusal is null and created_at <= $2 order by number`,
    [runId, row.at],
  );
  const quantities = PRACTICALS[row.practical].quantities(row.setup);
  const numbers = row.checked.flatMap((item) => {
    const ask = row.asks.find((entry) => entry.key === item.key);
    if (item.kind !== 'number' || item.exact || ask?.kind !== 'number' || ask.quantity === null || !item.trueValue)
      return [];
    const quantity = quantities.find(({ key }) => key === ask.quantity);
    if (quantity?.kind !== 'number') return [];
    // From the unit that is asked for to that of the practical.
    const truth = convert(item.trueValue, item.unit, quantity.unit);
    if (truth === null) return [];
    const factor = truth / item.trueValue;
    const handed: Handed = {
      quantity: ask.quantity,
      value: item.value * factor,
      trueValue: truth,
      half: item.half * factor,
    };
    return [{ ask, item, factor, handed }];
  });
  const results = await askWorker({
    practical: row.practical,
    run: { setup: row.setup, sample: row.sample, seed: row.seed },
    acts: acts as TimedAct[],
    handed: numbers.map(({ handed }) => handed),
  });
  const moved = results.map((result, i): Moved => {
    const { ask, item, factor } = numbers[i] as (typeof numbers)[number];
    return {
      key: ask.key,
      label: ask.label,
      unit: ask.unit,
      value: item.value,
      trueValue: item.trueValue as number,
      fromReadings: result.fromReadings === null ? null : result.fromReadings / factor,
      shares: result.shares.map((share) => ({ ...share, share: share.share / factor })),
      rest: result.rest / factor,
    };
  });
  await pool().query('insert into influences (run_id, hand_in, result) values ($1, $2, $3) on conflict do nothing', [
    runId,
    row.number,
    JSON.stringify(moved),
  ]);
  if (row.assignmentId) tellClass(row.assignmentId);
  return moved;
}

/** Begins to work out what moved a hand-in, so that it is there when it is asked for. */
export function prepareInfluences(runId: string): void {
  influencesOf(runId).catch((error: unknown) => console.error('influences of a run failed:', error));
}

const keptRow = z.object({ runId: z.uuid(), result: z.array(movedSchema).nullable() });

/**
 * Which causes cost a class most, over the last hand-ins of one sample. What is not worked out yet is begun, and the
 * class's page is told when it is there.
 */
export async function classCauses(
  assignmentId: string,
  place: number,
): Promise<{ causes: ClassCause[]; runs: number; pending: number }> {
  const found = await rows(
    pool(),
    keptRow,
    `select r.id as "runId", i.result from runs r
       join lateral (select number from hand_ins h where h.run_id = r.id order by number desc limit 1) h on true
       left join influences i on i.run_id = r.id and i.hand_in = h.number
     where r.assignment_id = $1 and r.place = $2`,
    [assignmentId, place],
  );
  const causes = new Map<string, Cause & { sizes: number[]; largestFor: number }>();
  let runs = 0;
  for (const { runId, result } of found) {
    if (result === null) prepareInfluences(runId);
    for (const moved of result ?? []) {
      if (moved.shares.length === 0) continue;
      runs++;
      const largest = moved.shares.reduce((a, b) => (Math.abs(b.share) > Math.abs(a.share) ? b : a));
      for (const { key, label, share } of moved.shares) {
        const cause = causes.get(key) ?? { key, label, sizes: [], largestFor: 0 };
        cause.sizes.push(Math.abs(share / moved.trueValue) * 100);
        if (key === largest.key) cause.largestFor++;
        causes.set(key, cause);
      }
    }
  }
  return {
    causes: [...causes.values()]
      .map(({ sizes, ...cause }) => {
        // Who does not have a cause among theirs was not touched by it.
        const all = [...sizes, ...Array.from({ length: Math.max(runs - sizes.length, 0) }, () => 0)];
        return { ...cause, medianPercent: median(all), mostPercent: Math.max(...all) };
      })
      .sort((a, b) => b.largestFor - a.largestFor || b.medianPercent - a.medianPercent),
    runs,
    pending: found.filter(({ result }) => result === null).length,
  };
}
