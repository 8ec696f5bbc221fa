import { readScale, type Scale } from '../instruments/scale';
import { done, refuse } from './hands';
import { outOfTurn } from './notes';
import type { Outcome } from './outcome';
import { shownReading, typedReading, withRecorded, type KeptReading } from './recordings';

/** How a reading comes into the notebook, typed or as it was shown: the same at every bench. */

interface Recording {
  timeS: number;
  trial: number;
  readings: readonly KeptReading[];
}
type ReadingOf<B extends Recording> = B['readings'][number];
/** What a bench keeps of a reading beside what all keep. */
export type Beside<B extends Recording> = Omit<ReadingOf<B>, keyof KeptReading>;
interface Place<B extends Recording> {
  trial: number;
  which: ReadingOf<B>['which'];
}

/** The bench with a reading. */
const withEntry = <B extends Recording>(
  bench: B,
  entry: Omit<KeptReading, 'which'>,
  { which }: Place<B>,
  beside: Beside<B>,
) => withRecorded(bench, { ...entry, which, ...beside } as ReadingOf<B>);

/**
 * What a student read by eye, kept as they typed it.
 * @param last the trial that it can be of at the latest @param shown what stood there @param note what is told of it, where its digits are in order
 */
export function recordTyped<B extends Recording>(
  bench: B,
  act: Place<B> & { text: string },
  { last, scale, shown, note }: { last: number; scale: Scale; shown: number; note?: string },
  beside: Beside<B>,
): Outcome<B> {
  const early = outOfTurn(act.trial, last);
  if (early) return refuse(early);
  const read = readScale(act.text, scale);
  if (!read.ok) return refuse(read.sentence);
  return done(withEntry(bench, typedReading(bench, act, read, shown), act, beside), read.digitsNote ?? note);
}

/** What an instrument shows, kept as it shows it. @param text as it stands there @param shown finer than that */
export function recordShown<B extends Recording>(
  bench: B,
  place: Place<B>,
  { last, text, shown, note }: { last: number; text: string; shown: number; note?: string },
  beside: Beside<B>,
): Outcome<B> {
  const early = outOfTurn(place.trial, last);
  return early ? refuse(early) : done(withEntry(bench, shownReading(bench, place, text, shown), place, beside), note);
}
