import { recordTyped } from '../recording-acts';
import type { WHICH } from './slots';
import { refuse } from '../hands';
import { BURETTE_SCALE } from '../../instruments/burette';
import { type Outcome } from '../contract';
import { type Bench, levelOf, liquidAboveMark } from './bench';

/** What the student reads on the burette. */
export function record(
  bench: Bench,
  act: { trial: number; which: (typeof WHICH)[number]; text: string },
): Outcome<Bench> {
  if (act.trial > bench.trial)
    return refuse(`Trial ${act.trial} has not begun. Empty the flask to begin the next trial.`);
  const above = liquidAboveMark(bench);
  const level = levelOf(bench);
  if (above < 0 || level < 0)
    return refuse('The meniscus is not on the scale, so there is nothing to read. Bring it between 0 and 50 mL.');
  return recordTyped(
    bench,
    act,
    { last: bench.trial, scale: BURETTE_SCALE, shown: level },
    { flask: bench.flask, filledInMl: bench.burette.filledInMl },
  );
}
