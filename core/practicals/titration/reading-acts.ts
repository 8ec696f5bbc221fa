import type { WHICH } from './slots';
import { done, refuse } from '../hands';
import { BURETTE_SCALE } from '../../instruments/burette';
import { readScale } from '../../instruments/scale';
import { type Outcome } from '../contract';
import { typedReading, withRecorded } from '../recordings';
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
  const reading = readScale(act.text, BURETTE_SCALE);
  if (!reading.ok) return refuse(reading.sentence);
  const entry = {
    ...typedReading(bench, act, reading, level),
    flask: bench.flask,
    filledInMl: bench.burette.filledInMl,
  };
  return done(withRecorded(bench, entry), reading.digitsNote ?? undefined);
}
