import { parentPort } from 'node:worker_threads';
import type { Film } from '@core/practicals/film';
import { PRACTICALS, type AnyPractical, type PracticalId } from '@core/practicals/registry';
import { folded, type KeptAct, type Stood } from './fold';

/** What the worker is asked: a bench as it was kept, or from its beginning, and what was done and how long was waited since. */
export interface BenchAsked {
  practical: PracticalId;
  run: { setup: unknown; sample: unknown; seed: string };
  model: number;
  /** Null for a bench at its beginning. */
  kept: unknown;
  skipped: number;
  /** Acts that were done before. */
  acts: readonly KeptAct[];
  /** An act that is to be done now, at a bench time, or only that time. */
  now?: { at: number; act: unknown };
  /** Pictures of what flies are wanted from this bench time on. */
  filmFromS?: number;
}

export interface BenchAnswer {
  /** The bench after all of it; with an act that was refused, as it stood when it was. */
  kept: unknown;
  skipped: number;
  refusal?: string;
  note?: string;
  /** With pictures, the bench is that at the last of them. */
  film?: Film;
}

function answer({ practical: id, run, model, kept, skipped, acts, now, filmFromS }: BenchAsked): BenchAnswer {
  const practical: AnyPractical = PRACTICALS[id];
  const { setup, sample, seed } = run;
  const bench = kept === null ? practical.open(setup, sample, seed) : practical.resume(setup, sample, seed, kept);
  let stood: Stood = { bench, skipped };
  for (const act of acts) stood = folded(practical, model, stood, act);
  if (filmFromS !== undefined) {
    const filmed = stood.bench.film(filmFromS);
    return {
      kept: (filmed?.bench ?? stood.bench).kept(),
      skipped: stood.skipped,
      ...(filmed && { film: filmed.film }),
    };
  }
  if (!now) return { kept: stood.bench.kept(), skipped: stood.skipped };
  const arrived = stood.bench.advance(now.at - stood.bench.clockS);
  if (now.act === null) return { kept: arrived.kept(), skipped: stood.skipped };
  const outcome = arrived.perform(now.act);
  if ('refusal' in outcome) return { kept: arrived.kept(), skipped: stood.skipped, refusal: outcome.refusal };
  return { kept: outcome.bench.kept(), skipped: stood.skipped, ...(outcome.note && { note: outcome.note }) };
}

parentPort?.on('message', (asked: BenchAsked) => {
  try {
    parentPort?.postMessage({ result: answer(asked) });
  } catch (error) {
    parentPort?.postMessage({ error: String(error) });
  }
});
