import { LRUCache } from 'lru-cache';
import { z } from 'zod';
import { PRACTICAL_IDS, PRACTICALS, type AnyBench, type AnyPractical } from '@core/practicals/registry';
import { stretchS, UNATTENDED_S } from '@core/practicals/bench-clock';
import { maybeRow, pool, rows, type Db } from './db';
import { foldInTurns } from './folding';
import { NotFound, Unreadable } from './sentences';

/** A run's bench in memory. Benches are values: nobody changes one in place. */
export interface HeldBench {
  practical: AnyPractical;
  /** The model of the practical under which the run was begun. */
  model: number;
  /** Acts that were done once and cannot be done any more. */
  skipped: number;
  /** Number of the last act folded in. */
  number: number;
  /** The bench right after that act: the next act is folded onto this one. */
  bench: AnyBench;
  /** The same as far as it has been watched since, and when this process knew of that, ms. */
  shown: AnyBench;
  knownMs: number;
}

/** What a bench takes up, near enough: its things, and what its acts have left in notes, readings and logs. */
const weigh = ({ number }: HeldBench) => 8_000 + 250 * number;

const inMemory = new LRUCache<string, HeldBench>({ maxSize: 200e6, sizeCalculation: weigh });

/** Keeps a bench, unless a later one is kept already. */
export function hold(runId: string, next: HeldBench): void {
  const present = inMemory.get(runId);
  const isLater =
    !present ||
    present.number < next.number ||
    (present.number === next.number && present.shown.clockS < next.shown.clockS);
  if (isLater) inMemory.set(runId, next);
}

export const heldBench = (runId: string) => inMemory.get(runId);

/** Benches of the past, each so many acts, so that a moment is not folded from the first act on each time. */
const past = new LRUCache<string, HeldBench>({ maxSize: 100e6, sizeCalculation: weigh });
const PAST_EVERY = 200;

export const forgetBenches = () => {
  inMemory.clear();
  past.clear();
};

const seedRow = z.object({
  id: z.uuid(),
  practical: z.enum(PRACTICAL_IDS),
  setup: z.unknown(),
  sample: z.unknown(),
  seed: z.string(),
  model: z.number(),
});

const actRow = z.object({
  runId: z.uuid(),
  number: z.number(),
  at: z.number(),
  act: z.unknown(),
  reading: z.object({ text: z.string(), value: z.number() }).nullable(),
});
type ActRow = z.infer<typeof actRow>;

/** A bench right after an act, which nobody has watched since. */
export const afterAct = (run: HeldBench, number: number, bench: AnyBench): HeldBench => ({
  ...run,
  number,
  bench,
  shown: bench,
  knownMs: Date.now(),
});

/** Up to a refused act time passes, but for runs of before models were counted. */
const notDone = ({ model, bench }: HeldBench, at: number) => (model === 0 ? bench : bench.advance(at - bench.clockS));

/** Whether a run was begun under the model of today; those of before models were counted behave as the first. */
export const isOfModel = (practical: Pick<AnyPractical, 'model'>, model: number) =>
  Math.max(model, 1) === practical.model;

/** One kept act folded in: time up to it, then the act. One that this release cannot do any more is left out and counted. */
function folded(run: HeldBench, { number, at, act, reading }: ActRow): HeldBench {
  if (act === null) return afterAct(run, number, notDone(run, at));
  const next = done(run, at, act);
  if (!next) return { ...afterAct(run, number, notDone(run, at)), skipped: run.skipped + 1 };
  // What somebody read stays what they read, whatever a newer model would show.
  return afterAct(run, number, reading && !isOfModel(run.practical, run.model) ? next.asRecorded(reading) : next);
}

function done({ bench }: HeldBench, at: number, act: unknown): AnyBench | undefined {
  try {
    const outcome = bench.advance(at - bench.clockS).perform(act);
    return 'refusal' in outcome ? undefined : outcome.bench;
  } catch {
    return undefined;
  }
}

/** The benches of runs before their first act; those of runs that are not there, or cannot be read, left out. */
async function freshBenches(db: Db, runIds: readonly string[]): Promise<Map<string, HeldBench>> {
  if (runIds.length === 0) return new Map();
  const found = await rows(
    db,
    seedRow,
    'select id, practical, setup, sample, seed, model from runs where id = any($1)',
    [runIds],
  );
  return new Map(
    found.flatMap(({ id, model, setup, sample, seed, ...run }) => {
      const practical = PRACTICALS[run.practical];
      try {
        const bench = practical.open(setup, sample, seed);
        return [[id, { practical, model, skipped: 0, number: 0, bench, shown: bench, knownMs: Date.now() }] as const];
      } catch (error) {
        console.error(`run ${id} cannot be opened:`, error);
        return [];
      }
    }),
  );
}

const ACTS = `select a.run_id as "runId", a.number, a.at_s as at, a.reading, case when a.refusal is null then a.act end as act
  from unnest($1::uuid[], $2::integer[]) as k(id, after) join acts a on a.run_id = k.id and a.number > k.after`;

/**
 * The benches of runs after their last kept acts: from memory, brought up to date with what other processes have added,
 * or rebuilt from the first act on; with two queries for all of them. Does not ask who wants them.
 */
export async function presentBenches(runIds: readonly string[], db: Db = pool()): Promise<Map<string, HeldBench>> {
  const fresh = await freshBenches(
    db,
    runIds.filter((id) => !inMemory.has(id)),
  );
  const starts = runIds.flatMap((id) => {
    const start = inMemory.get(id) ?? fresh.get(id);
    return start ? [[id, start] as const] : [];
  });
  const acts = await rows(db, actRow, `${ACTS} order by a.run_id, a.number`, [
    starts.map(([id]) => id),
    starts.map(([, { number }]) => number),
  ]);
  const present = await foldInTurns(acts, new Map(starts), (benches, act) =>
    benches.set(act.runId, folded(benches.get(act.runId) as HeldBench, act)),
  );
  const watched = await rows(db, waitRow, WAITS, [[...present.keys()]]);
  for (const wait of watched) present.set(wait.runId, watchedOn(present.get(wait.runId) as HeldBench, wait));
  for (const [id, bench] of present) hold(id, bench);
  return present;
}

const waitRow = z.object({ runId: z.uuid(), after: z.number(), atS: z.number(), agoS: z.number() });
const WAITS = `select id as "runId", waited_after as after, waited_s as "atS",
    extract(epoch from now() - waited_at)::float8 as "agoS"
  from runs where id = any($1) and waited_after is not null`;

/** A bench as far as another process has seen it watched. */
function watchedOn(run: HeldBench, { after, atS, agoS }: z.infer<typeof waitRow>): HeldBench {
  if (after !== run.number || atS <= run.shown.clockS) return run;
  const shown = run.shown.advance(atS - run.shown.clockS);
  return { ...run, shown, knownMs: Date.now() - 1000 * agoS };
}

/**
 * The latest bench time that somebody at this bench can have seen, s: no further than real time reaches at the pace of
 * the bench clock, and the frames that were sent.
 */
export function latestS({ bench, shown, knownMs }: HeldBench): number {
  if (!shown.running) return shown.clockS;
  const passedS = (Math.max(Date.now() - knownMs, 0) / 1000) * shown.pace + stretchS(shown.pace);
  return Math.max(Math.min(shown.clockS + passedS, bench.clockS + UNATTENDED_S), shown.clockS);
}

/** The bench of a run after its last kept act. Does not ask who wants it. @throws NotFound, Refused when it cannot be read */
export async function presentBench(runId: string, db: Db = pool()): Promise<HeldBench> {
  const present = (await presentBenches([runId], db)).get(runId);
  if (!present) throw await missing(runId, db);
  return present;
}

/** Why there is no bench of a run. */
async function missing(runId: string, db: Db = pool()): Promise<Error> {
  const run = await maybeRow(db, z.object({ id: z.uuid() }), 'select id from runs where id = $1', [runId]);
  return run ? new Unreadable() : new NotFound();
}

/** The bench as it was after one of its acts. Does not ask who wants it. @throws NotFound */
export async function benchAfter(runId: string, act: number): Promise<AnyBench> {
  const key = (number: number) => `${runId} ${number}`;
  const nearest = Math.floor(act / PAST_EVERY) * PAST_EVERY;
  let start: HeldBench | undefined;
  for (let number = nearest; number > 0 && !start; number -= PAST_EVERY) start = past.get(key(number));
  start ??= (await freshBenches(pool(), [runId])).get(runId);
  if (!start) throw await missing(runId);
  const acts = await rows(pool(), actRow, `${ACTS} and a.number <= $3 order by a.number`, [
    [runId],
    [start.number],
    act,
  ]);
  const then = await foldInTurns(acts, start, (before, next) => {
    const after = folded(before, next);
    if (after.number % PAST_EVERY === 0) past.set(key(after.number), after);
    return after;
  });
  return then.bench;
}

/** Where a bench stands for someone who comes to it now: at the end of the stretch that was promised last. */
export function atRest({ shown }: HeldBench): AnyBench {
  return shown.running ? shown.advance(stretchS(shown.pace)) : shown;
}

const untilRow = z.object({ next: z.number().nullable(), waited: z.number().nullable() });

/** The bench of a run so far into the time that followed one of its acts, as far as that was watched. @throws NotFound */
export async function benchAt(runId: string, act: number, atS: number): Promise<AnyBench> {
  const bench = await benchAfter(runId, act);
  const until = await maybeRow(
    pool(),
    untilRow,
    `select (select at_s from acts where run_id = $1 and number = $2 + 1) as next,
       case when waited_after = $2 then waited_s end as waited from runs where id = $1`,
    [runId, act],
  );
  const present = inMemory.get(runId);
  const watched = present?.number === act ? present.shown.clockS : bench.clockS;
  const last = until?.next ?? Math.max(until?.waited ?? 0, watched) + stretchS(bench.pace);
  const laterS = Math.min(atS, last) - bench.clockS;
  return bench.running && laterS > 0 ? bench.advance(laterS) : bench;
}
