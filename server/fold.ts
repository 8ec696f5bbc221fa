import type { Added } from '@core/practicals/live-bench';
import type { AnyBench, AnyPractical } from '@core/practicals/registry';

/** What acts make of a bench: the same wherever it is worked out. */

/** An act as it is kept; `act` is null where it was refused, so that only time has passed. */
export interface KeptAct {
  at: number;
  act: unknown;
  /** What it added to readings and log, where that is kept. */
  added: Added | null;
}

/** A bench, and how many acts could not be done again on the way to it. */
export interface Stood {
  bench: AnyBench;
  skipped: number;
}

/** Whether a run was begun under the model of today; those of before models were counted behave as the first. */
export const isOfModel = (practical: Pick<AnyPractical, 'model'>, model: number): boolean =>
  Math.max(model, 1) === practical.model;

/** Up to a refused act time passes, but for runs of before models were counted. */
const notDone = (bench: AnyBench, at: number, model: number) =>
  model === 0 ? bench : bench.advance(at - bench.clockS);

function done(bench: AnyBench, at: number, act: unknown): AnyBench | undefined {
  try {
    const outcome = bench.advance(at - bench.clockS).perform(act);
    return 'refusal' in outcome ? undefined : outcome.bench;
  } catch {
    return undefined;
  }
}

/** One kept act folded in: time up to it, then the act. One that this release cannot do any more is left out and counted. */
export function folded(
  practical: Pick<AnyPractical, 'model'>,
  model: number,
  { bench, skipped }: Stood,
  { at, act, added }: KeptAct,
): Stood {
  const next = act === null ? undefined : done(bench, at, act);
  const stands = next ?? notDone(bench, at, model);
  return {
    // What somebody read, or a logger wrote down, stays so, whatever a newer model would show.
    bench: added && !isOfModel(practical, model) ? stands.asRecorded(bench, added) : stands,
    skipped: skipped + (act !== null && !next ? 1 : 0),
  };
}
