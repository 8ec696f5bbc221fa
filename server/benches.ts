import { LRUCache } from 'lru-cache';
import { z } from 'zod';
import { PRACTICAL_IDS, PRACTICALS, type AnyBench, type AnyPractical } from '@core/practicals/registry';
import { pool, rows, type Db } from './db';
import { foldInTurns } from './folding';
import { NotFound } from './sentences';

/** Bench time that one answer covers with frames, s: how far a silent client's bench runs on. */
export const STRETCH_S = 2;
export const FRAME_S = 0.2;

/** A run's bench after its last act, in memory. Benches are values: nobody changes one in place. */
export interface HeldBench {
  practical: AnyPractical;
  /** Number of the last act folded in. */
  number: number;
  bench: AnyBench;
}

/** What a bench takes up, near enough: its things, and what its acts have left in notes, readings and logs. */
const weigh = ({ number }: HeldBench) => 8_000 + 250 * number;

const held = new LRUCache<string, HeldBench>({ maxSize: 200e6, sizeCalculation: weigh });

/** Keeps a bench, unless a later one is kept already. */
export function hold(runId: string, next: HeldBench): void {
  const present = held.get(runId);
  if (!present || present.number < next.number) held.set(runId, next);
}

export const heldBench = (runId: string) => held.get(runId);

/** Benches of the past, each so many acts, so that a moment is not folded from the first act on each time. */
const past = new LRUCache<string, HeldBench>({ maxSize: 100e6, sizeCalculation: weigh });
const PAST_EVERY = 200;

export const forgetBenches = () => {
  held.clear();
  past.clear();
};

const seedRow = z.object({
  id: z.uuid(),
  practical: z.enum(PRACTICAL_IDS),
  setup: z.unknown(),
  sample: z.unknown(),
  seed: z.string(),
});

const actRow = z.object({ runId: z.uuid(), number: z.number(), at: z.number(), act: z.unknown() });
type ActRow = z.infer<typeof actRow>;

/** One kept act folded in: time up to it, then the act. */
export function fold(bench: AnyBench, act: unknown, atS: number): AnyBench {
  const arrived = bench.advance(atS - bench.clockS);
  const outcome = arrived.perform(act);
  if ('refusal' in outcome) throw new Error(`a kept act was refused when folded again: ${outcome.refusal}`);
  return outcome.bench;
}

const folded = (held: HeldBench, { number, at, act }: ActRow): HeldBench => ({
  practical: held.practical,
  number,
  bench: act === null ? held.bench : fold(held.bench, act, at),
});

/** The benches of runs before their first act, those of runs that are not there left out. */
async function freshBenches(db: Db, runIds: readonly string[]): Promise<Map<string, HeldBench>> {
  if (runIds.length === 0) return new Map();
  const found = await rows(
    db,
    seedRow,
    'select id, practical, setup, sample, seed from runs where id = any($1)',
    [runIds],
  );
  return new Map(
    found.map((run) => {
      const practical = PRACTICALS[run.practical];
      return [run.id, { practical, number: 0, bench: practical.open(run.setup, run.sample, run.seed) }];
    }),
  );
}

const ACTS = `select a.run_id as "runId", a.number, a.at_s as at, case when a.refusal is null then a.act end as act
  from unnest($1::uuid[], $2::integer[]) as k(id, after) join acts a on a.run_id = k.id and a.number > k.after`;

/**
 * The benches of runs after their last kept acts: from memory, brought up to date with what other processes have added,
 * or rebuilt from the first act on; with two queries for all of them. Does not ask who wants them.
 */
export async function presentBenches(
  runIds: readonly string[],
  db: Db = pool(),
): Promise<Map<string, HeldBench>> {
  const fresh = await freshBenches(
    db,
    runIds.filter((id) => !held.has(id)),
  );
  const starts = runIds.flatMap((id) => {
    const start = held.get(id) ?? fresh.get(id);
    return start ? [[id, start] as const] : [];
  });
  const acts = await rows(db, actRow, `${ACTS} order by a.run_id, a.number`, [
    starts.map(([id]) => id),
    starts.map(([, { number }]) => number),
  ]);
  const present = await foldInTurns(acts, new Map(starts), (benches, act) =>
    benches.set(act.runId, folded(benches.get(act.runId) as HeldBench, act)),
  );
  for (const [id, bench] of present) hold(id, bench);
  return present;
}

/** The bench of a run after its last kept act. Does not ask who wants it. @throws NotFound */
export async function presentBench(runId: string, db: Db = pool()): Promise<HeldBench> {
  const present = (await presentBenches([runId], db)).get(runId);
  if (!present) throw new NotFound();
  return present;
}

/** The bench as it was after one of its acts. Does not ask who wants it. @throws NotFound */
export async function benchAfter(runId: string, act: number): Promise<AnyBench> {
  const key = (number: number) => `${runId} ${number}`;
  const nearest = Math.floor(act / PAST_EVERY) * PAST_EVERY;
  let start: HeldBench | undefined;
  for (let number = nearest; number > 0 && !start; number -= PAST_EVERY) start = past.get(key(number));
  start ??= (await freshBenches(pool(), [runId])).get(runId);
  if (!start) throw new NotFound();
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
export function atRest(bench: AnyBench): AnyBench {
  return bench.running ? bench.advance(STRETCH_S) : bench;
}
