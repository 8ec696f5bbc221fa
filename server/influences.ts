import { z } from 'zod';
import type { Cause } from '@core/practicals/contract';
import type { Handed, TimedAct } from '@core/practicals/influences';
import { median } from '@core/analysis/repeats';
import { PRACTICAL_IDS, PRACTICALS } from '@core/practicals/registry';
import { reportSchema } from '@core/report/asks';
import { checkedItemSchema } from '@core/report/checked-item';
import { convert } from '@core/report/check-number';
import type { ClassCause } from '@core/report/class-results';
import { movedSchema, type Moved, type MovedState } from '@core/report/moved';
import { isOfModel } from './fold';
import { maybeRow, pool, rows } from './db';
import { noteTruthTold, type Knowledge } from './knowledge';
import { tellClass } from './feed';
import { askWorker } from './influences-line';

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
  lastAct: z.number().nullable(),
  kept: z.array(movedSchema).nullable(),
  /** Whether it has failed, and is not to be tried again yet. */
  failed: z.boolean(),
});

/** A failure is tried again after an hour, and each time after twice as long. */
const FAILED = `coalesce(i.failed_at + interval '1 hour' * power(2, least(i.failures - 1, 10)) > now(), false)`;

const actRow = z.object({ atS: z.number(), act: z.unknown() });

/** Hand-ins that are being worked out. */
const underWay = new Set<string>();

/**
 * What moved the numbers of a run's last hand-in; undefined before the first. Nothing is waited for: what is not there yet is
 * begun. Does not ask who wants to know.
 */
export async function influencesOf(runId: string): Promise<MovedState | undefined> {
  const row = await maybeRow(
    pool(),
    handedRow,
    `select r.practical, r.setup, r.sample, r.seed, r.model, h.number, h.checked, h.asks, h.created_at as at, h.last_act as "lastAct",
       r.assignment_id as "assignmentId", i.result as kept, ${FAILED} as failed
     from runs r join hand_ins h on h.run_id = r.id left join influences i on i.run_id = r.id and i.hand_in = h.number
     where r.id = $1 order by h.number desc limit 1`,
    [runId],
  );
  if (!row) return undefined;
  if (row.kept) return row.kept;
  // Another model would tell what moved another bench.
  if (row.failed || !isOfModel(PRACTICALS[row.practical], row.model)) return 'not found';
  const key = `${runId} ${row.number}`;
  if (!underWay.has(key)) {
    underWay.add(key);
    workOut(runId, row)
      .catch((error: unknown) => noteFailure(runId, row.number, error))
      .catch((error: unknown) => console.error('a failure was not kept:', error))
      .finally(() => underWay.delete(key));
  }
  return 'on its way';
}

/** Keeps that it failed, so that it is told, and not tried again with each look. */
async function noteFailure(runId: string, handIn: number, error: unknown): Promise<void> {
  console.error(`what moved run ${runId} could not be worked out:`, error);
  await pool().query(
    `insert into influences as i (run_id, hand_in, failures, failed_at) values ($1, $2, 1, now())
     on conflict (run_id, hand_in) do update set failures = i.failures + 1, failed_at = now()`,
    [runId, handIn],
  );
}

/** The same as a student may read it, once it may be told; it is noted before. */
export async function movedFor(runId: string, { moved }: Knowledge): Promise<MovedState | undefined> {
  if (!moved) return undefined;
  const found = await influencesOf(runId);
  if (Array.isArray(found)) await noteTruthTold(runId);
  return found;
}

async function workOut(runId: string, row: z.infer<typeof handedRow>): Promise<void> {
  const acts = await rows(
    pool(),
    actRow,
    `select at_s as "atS", act from acts where run_id = $1 and refusal is null
       and case when $3::integer is null then created_at <= $2 else number <= $3 end order by number`,
    // Of hand-ins of before it was kept which act was the last, those of before its time.
    [runId, row.at, row.lastAct],
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
      together:
        result.together?.map(({ of: [a, b], share }) => ({ labels: [a.label, b.label], share: share / factor })) ??
        null,
      rest: result.rest / factor,
      inUnit: item.difference !== null,
    };
  });
  await pool().query(
    `insert into influences (run_id, hand_in, result) values ($1, $2, $3)
     on conflict (run_id, hand_in) do update set result = excluded.result`,
    [runId, row.number, JSON.stringify(moved)],
  );
  if (row.assignmentId) tellClass(row.assignmentId);
}

/** Begins to work out what moved a hand-in, so that it is there when it is asked for. */
export function prepareInfluences(runId: string): void {
  influencesOf(runId).catch((error: unknown) => console.error('influences of a run failed:', error));
}

const keptRow = z.object({
  runId: z.uuid(),
  number: z.number(),
  practical: z.enum(PRACTICAL_IDS),
  model: z.number(),
  result: z.array(movedSchema).nullable(),
  failed: z.boolean(),
});

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
    `select r.id as "runId", h.number, r.practical, r.model, i.result, ${FAILED} as failed from runs r
       join lateral (select number from hand_ins h where h.run_id = r.id order by number desc limit 1) h on true
       left join influences i on i.run_id = r.id and i.hand_in = h.number
     where r.assignment_id = $1 and r.place = $2`,
    [assignmentId, place],
  );
  const causes = new Map<string, Cause & { sizes: number[]; largestFor: number }>();
  const isComing = ({ result, failed, practical, model }: z.infer<typeof keptRow>) =>
    result === null && !failed && isOfModel(PRACTICALS[practical], model);
  let runs = 0;
  for (const row of found) {
    const { runId, number, result } = row;
    if (isComing(row) && !underWay.has(`${runId} ${number}`)) prepareInfluences(runId);
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
    pending: found.filter(isComing).length,
  };
}
