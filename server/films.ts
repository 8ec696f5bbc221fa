import { LRUCache } from 'lru-cache';
import { PICTURES_PER_S, type Film } from '@core/practicals/film';
import { askBench } from './bench-line';
import { heldBench, presentBench } from './benches';
import { requireReader } from './runs';
import { NotFound } from './sentences';
import { sizeOf } from './size-of';

/** What flies on a bench, for whoever watches it: worked out in the worker, a little ahead of what is seen. */

/** How far a film has come: what follows begins there, not at the last act. */
interface Reached {
  /** The act after which it goes. */
  number: number;
  atS: number;
  kept: unknown;
}

const reached = new LRUCache<string, Reached>({ maxSize: 60e6, sizeCalculation: ({ kept }) => 1_000 + sizeOf(kept) });

/** Pictures of a run's bench from a bench time on. @throws NotFound where nothing flies that is shown in pictures; Busy */
export async function filmOf(runId: string, tokens: Buffer[], fromS: number): Promise<Film> {
  await requireReader(runId, tokens);
  const held = heldBench(runId) ?? (await presentBench(runId));
  const { id: practical, run, model, skipped, number, bench } = held;
  if (!held.practical.films) throw new NotFound();
  // Who has seen more than this process knows of, since it began, is shown what follows; a stretch bounds the work.
  const from = Math.max(fromS, bench.clockS);
  const before = reached.get(runId);
  const goesOn = before?.number === number && before.atS <= from + 1e-6;
  const asked = { practical, run, model, kept: goesOn ? before.kept : bench.kept(), skipped, acts: [] };
  const { kept, film } = await askBench(runId, { ...asked, filmFromS: from });
  if (!film) throw new NotFound();
  const atS = from + ((film.pictures.length - 1) * bench.pace) / PICTURES_PER_S;
  reached.set(runId, { number, atS, kept });
  return film;
}
