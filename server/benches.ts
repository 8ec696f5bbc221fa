import { z } from 'zod';
import { PRACTICAL_IDS, PRACTICALS, type AnyBench, type AnyPractical } from '@core/practicals/registry';
import { maybeRow, pool, rows } from './db';
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

const held = new Map<string, HeldBench>();
const HELD_AT_MOST = 2000;

/** Keeps a bench, unless a later one is kept already. */
export function hold(runId: string, next: HeldBench): void {
  const present = held.get(runId);
  if (present && present.number >= next.number) return;
  held.delete(runId);
  held.set(runId, next);
  if (held.size > HELD_AT_MOST) held.delete(held.keys().next().value as string);
}

export const heldBench = (runId: string) => held.get(runId);
export const forgetBenches = () => held.clear();

const seedRow = z.object({
  practical: z.enum(PRACTICAL_IDS),
  setup: z.unknown(),
  sample: z.unknown(),
  seed: z.string(),
});

const actRow = z.object({ number: z.number(), at: z.number(), act: z.unknown() });

/** One kept act folded in: time up to it, then the act. */
export function fold(bench: AnyBench, act: unknown, atS: number): AnyBench {
  const arrived = bench.advance(atS - bench.clockS);
  const outcome = arrived.perform(act);
  if ('refusal' in outcome) throw new Error(`a kept act was refused when folded again: ${outcome.refusal}`);
  return outcome.bench;
}

/**
 * The bench of a run after its last kept act: from memory, brought up to date with what other processes have
 * added, or rebuilt from the first act on. Does not ask who wants it.
 */
export async function presentBench(runId: string): Promise<HeldBench> {
  const present = await brought(runId, held.get(runId) ?? (await freshBench(runId)));
  hold(runId, present);
  return present;
}

/** The bench as it was after one of its acts. Does not ask who wants it. */
export async function benchAfter(runId: string, act: number): Promise<AnyBench> {
  return (await brought(runId, await freshBench(runId), act)).bench;
}

async function freshBench(runId: string): Promise<HeldBench> {
  const run = await maybeRow(
    pool(),
    seedRow,
    'select practical, setup, sample, seed from runs where id = $1',
    [runId],
  );
  if (!run) throw new NotFound();
  const practical = PRACTICALS[run.practical];
  return { practical, number: 0, bench: practical.open(run.setup, run.sample, run.seed) };
}

/** A bench with the acts after its own folded in, up to the last or to one of them. */
async function brought(runId: string, start: HeldBench, last = 2 ** 31 - 1): Promise<HeldBench> {
  const acts = await rows(
    pool(),
    actRow,
    `select number, at_s as at, case when refusal is null then act end as act from acts
     where run_id = $1 and number > $2 and number <= $3 order by number`,
    [runId, start.number, last],
  );
  let { bench, number } = start;
  for (const entry of acts) {
    if (entry.act !== null) bench = fold(bench, entry.act, entry.at);
    number = entry.number;
  }
  return { practical: start.practical, number, bench };
}

/** Where a bench stands for someone who comes to it now: at the end of the stretch that was promised last. */
export function atRest(bench: AnyBench): AnyBench {
  return bench.running ? bench.advance(STRETCH_S) : bench;
}
