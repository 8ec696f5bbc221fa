import { LRUCache } from 'lru-cache';
import { z } from 'zod';
import {
  PRACTICAL_IDS,
  PRACTICALS,
  type AnyBench,
  type AnyPractical,
  type PracticalId,
} from '@core/practicals/registry';
import { stretchS, UNATTENDED_S } from '@core/practicals/bench-clock';
import { askBench } from './bench-line';
import { keepState, keptStates } from './bench-states';
import { maybeRow, pool, rows, type Db } from './db';
import { folded, isOfModel, type KeptAct } from './fold';
import { foldInTurns } from './folding';
import { METHOD_BEFORE, toldMethod, type ToldMethod } from './rules';
import { NotFound, Unreadable } from './sentences';
import { sizeOf } from './size-of';
import { watchedTo } from './stretch';

/** A run's bench in memory. Benches are values: nobody changes one in place. */
export interface HeldBench {
  id: PracticalId;
  practical: AnyPractical;
  run: { setup: unknown; sample: unknown; seed: string };
  /** The model of the practical under which the run was begun. */
  model: number;
  /** Acts that were done once and cannot be done any more. */
  skipped: number;
  /** How far its student is told the method. */
  method: ToldMethod;
  /** Number of the last act folded in. */
  number: number;
  /** The bench right after that act: the next act is folded onto this one. */
  bench: AnyBench;
  /** The same as far as it has been watched since, and when this process knew of that, ms. */
  shown: AnyBench;
  knownMs: number;
  /** The act after which a state was last kept, and what work has gone into it since, ms. */
  kept: { number: number; workMs: number };
}

const weigh = ({ bench }: HeldBench) => 4_000 + sizeOf(bench.inside());

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

/** Benches whose rules have changed are looked up again. */
export const forgetBenchesOf = (runIds: readonly string[]) => {
  for (const id of runIds) inMemory.delete(id);
};

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
  method: toldMethod.nullable(),
});

const actRow = z.object({
  runId: z.uuid(),
  number: z.number(),
  at: z.number(),
  act: z.unknown(),
  readings: z.array(z.object({ text: z.string(), value: z.number() })).nullable(),
  logged: z.array(z.unknown()).nullable(),
});
type ActRow = z.infer<typeof actRow>;

const keptAct = ({ at, act, readings, logged }: ActRow): KeptAct => ({
  at,
  act,
  added: readings || logged ? { readings: readings ?? [], logged: logged ?? [] } : null,
});

/** A bench right after an act, which nobody has watched since. @param workMs what it took to work it out */
export const afterAct = (run: HeldBench, number: number, bench: AnyBench, workMs: number): HeldBench => ({
  ...run,
  number,
  bench,
  shown: bench,
  knownMs: Date.now(),
  kept: { ...run.kept, workMs: run.kept.workMs + workMs },
});

/** A rebuild has no more to do than this: so many acts, or so much work, ms. */
const KEPT_EVERY = { acts: 250, workMs: 120 };

/** Keeps a state, where there is enough to be done again without it. */
export function keepWhereDue(runId: string, run: HeldBench): HeldBench {
  const { kept, number, skipped, bench } = run;
  if (number - kept.number < KEPT_EVERY.acts && kept.workMs < KEPT_EVERY.workMs) return run;
  const isKept = keepState(runId, { number, skipped, kept: bench.kept() });
  return isKept ? { ...run, kept: { number, workMs: 0 } } : run;
}

/** So many acts go to the worker at once, so that others have their turn. */
const ACTS_AT_ONCE = 20;

/** The same where an act is a long piece of work: in the worker. */
async function foldedAway(runId: string, start: HeldBench, acts: readonly ActRow[]): Promise<HeldBench> {
  const { id, practical, run, model } = start;
  const began = performance.now();
  let [kept, skipped] = [start.number === 0 ? null : start.bench.kept(), start.skipped];
  for (let from = 0; from < acts.length; from += ACTS_AT_ONCE) {
    const part = acts.slice(from, from + ACTS_AT_ONCE).map(keptAct);
    ({ kept, skipped } = await askBench(runId, { practical: id, run, model, kept, skipped, acts: part }));
  }
  const bench = practical.resume(run.setup, run.sample, run.seed, kept);
  return { ...afterAct(start, acts.at(-1)?.number ?? 0, bench, performance.now() - began), skipped };
}

/** A bench with the acts that came after it. */
async function withActs(
  runId: string,
  start: HeldBench,
  acts: readonly ActRow[],
  each: (run: HeldBench) => void = () => {},
): Promise<HeldBench> {
  if (acts.length === 0) return start;
  if (start.practical.worksLong) return foldedAway(runId, start, acts);
  return foldInTurns(acts, start, (before, act) => {
    const began = performance.now();
    const { bench, skipped } = folded(before.practical, before.model, before, keptAct(act));
    const after = { ...afterAct(before, act.number, bench, performance.now() - began), skipped };
    each(after);
    return after;
  });
}

/** The benches of runs before their first act, or as a state of them was kept; those of runs that are not there, or cannot be read, left out. */
async function startBenches(db: Db, runIds: readonly string[], atMost?: number): Promise<Map<string, HeldBench>> {
  if (runIds.length === 0) return new Map();
  const found = await rows(
    db,
    seedRow,
    `select id, practical, setup, sample, seed, model, rules->>'method' as method from runs where id = any($1)`,
    [runIds],
  );
  const states = await keptStates(db, runIds, atMost);
  return new Map(
    found.flatMap(({ id, practical: practicalId, model, method, ...run }) => {
      const practical = PRACTICALS[practicalId];
      const { setup, sample, seed } = run;
      const state = states.get(id);
      try {
        const bench = state ? practical.resume(setup, sample, seed, state.kept) : practical.open(setup, sample, seed);
        const number = state?.number ?? 0;
        const held: HeldBench = {
          ...{ id: practicalId, practical, run, model, number, bench, shown: bench },
          method: method ?? METHOD_BEFORE,
          skipped: state?.skipped ?? 0,
          knownMs: Date.now(),
          kept: { number, workMs: 0 },
        };
        return [[id, held] as const];
      } catch (error) {
        console.error(`run ${id} cannot be opened:`, error);
        return [];
      }
    }),
  );
}

const ACTS = `select a.run_id as "runId", a.number, a.at_s as at, a.readings, a.logged,
    case when a.refusal is null then a.act end as act
  from unnest($1::uuid[], $2::integer[]) as k(id, after) join acts a on a.run_id = k.id and a.number > k.after`;

/**
 * The benches of runs after their last kept acts: from memory, brought up to date with what other processes have added,
 * or rebuilt from their last kept state on. Does not ask who wants them.
 */
export async function presentBenches(runIds: readonly string[], db: Db = pool()): Promise<Map<string, HeldBench>> {
  // Looked up once: what is put out of memory meanwhile is here still.
  const known = new Map(runIds.map((id) => [id, inMemory.get(id)]));
  const fresh = await startBenches(
    db,
    runIds.filter((id) => !known.get(id)),
  );
  const starts = runIds.flatMap((id) => {
    const start = known.get(id) ?? fresh.get(id);
    return start ? [[id, start] as const] : [];
  });
  const acts = await rows(db, actRow, `${ACTS} order by a.run_id, a.number`, [
    starts.map(([id]) => id),
    starts.map(([, { number }]) => number),
  ]);
  const byRun = new Map<string, ActRow[]>();
  for (const act of acts) {
    const own = byRun.get(act.runId);
    if (own) own.push(act);
    else byRun.set(act.runId, [act]);
  }
  const present = new Map<string, HeldBench>();
  for (const [id, start] of starts) {
    const stands = await withActs(id, start, byRun.get(id) ?? []);
    present.set(id, byRun.has(id) ? keepWhereDue(id, stands) : stands);
  }
  const watched = await rows(db, waitRow, WAITS, [[...present.keys()]]);
  for (const wait of watched)
    present.set(wait.runId, await watchedOn(wait.runId, present.get(wait.runId) as HeldBench, wait));
  for (const [id, bench] of present) hold(id, bench);
  return present;
}

const waitRow = z.object({
  runId: z.uuid(),
  after: z.number(),
  atS: z.number(),
  agoS: z.number(),
  logged: z.array(z.unknown()).nullable(),
});
const WAITS = `select id as "runId", waited_after as after, waited_s as "atS",
    extract(epoch from now() - waited_at)::float8 as "agoS", waited_logged as logged
  from runs where id = any($1) and waited_after is not null`;

/** A bench at a later time: what is long to work out, in the worker. */
export async function advancedTo(runId: string, held: HeldBench, from: AnyBench, atS: number): Promise<AnyBench> {
  if (!held.practical.worksLong) return watchedTo(from, atS);
  const { id: practical, run, model, skipped } = held;
  const asked = { practical, run, model, kept: from.kept(), skipped, acts: [], now: { at: atS, act: null } };
  const { kept } = await askBench(runId, asked);
  return held.practical.resume(run.setup, run.sample, run.seed, kept);
}

/** A bench as far as another process has seen it watched; what was logged then stays so under a newer model. */
async function watchedOn(
  runId: string,
  held: HeldBench,
  { after, atS, agoS, logged }: z.infer<typeof waitRow>,
): Promise<HeldBench> {
  if (after !== held.number || atS <= held.shown.clockS) return held;
  const there = await advancedTo(runId, held, held.shown, atS);
  const isKept = logged && !isOfModel(held.practical, held.model);
  const shown = isKept ? there.asRecorded(held.bench, { readings: [], logged }) : there;
  return { ...held, shown, knownMs: Date.now() - 1000 * agoS };
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
async function heldAfter(runId: string, act: number): Promise<HeldBench> {
  const present = inMemory.get(runId);
  if (present?.number === act) return present;
  const key = (number: number) => `${runId} ${number}`;
  const nearest = Math.floor(act / PAST_EVERY) * PAST_EVERY;
  let start: HeldBench | undefined;
  for (let number = nearest; number > 0 && !start; number -= PAST_EVERY) start = past.get(key(number));
  start ??= (await startBenches(pool(), [runId], act)).get(runId);
  if (!start) throw await missing(runId);
  const acts = await rows(pool(), actRow, `${ACTS} and a.number <= $3 order by a.number`, [
    [runId],
    [start.number],
    act,
  ]);
  return withActs(runId, start, acts, (after) => {
    if (after.number % PAST_EVERY === 0) past.set(key(after.number), after);
  });
}

export const benchAfter = async (runId: string, act: number): Promise<AnyBench> => (await heldAfter(runId, act)).bench;

/** Where a bench stands for someone who comes to it now: at the end of the stretch that was promised last. */
export function atRest({ practical, shown }: HeldBench): AnyBench {
  // Of what is long to work out browsers know themselves how it goes on.
  return shown.running && !practical.worksLong ? shown.advance(stretchS(shown.pace)) : shown;
}

const untilRow = z.object({ next: z.number().nullable(), waited: z.number().nullable() });

/** The bench of a run so far into the time that followed one of its acts, as far as that was watched. @throws NotFound */
export async function benchAt(runId: string, act: number, atS: number): Promise<AnyBench> {
  const held = await heldAfter(runId, act);
  const { bench } = held;
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
  return bench.running && laterS > 0 ? advancedTo(runId, held, bench, bench.clockS + laterS) : bench;
}
