import { crossing } from '../../../analysis/crossing';
import { fitLine, type Point } from '../../../analysis/line-fit';

/** Where something that is warmed has melted, by its log, as a careful student finds it: two lines and their crossing. */

export interface MeltedAt {
  tempC: number;
  /** Standard uncertainty of the crossing, K. */
  errorK: number;
}

/** What of the melting is followed, s before the last crystal; and how far above that the warming, K. */
const PLATEAU_S = [8, 105] as const;
const ABOVE_K = [0.4, 5] as const;
/** The warming is looked for no later, s. */
const LATEST_S = 240;
const LEAST = 4;

/**
 * @param log time in s and temperature in °C
 * @param moltenS when the last crystal was seen to go, on the same clock
 */
export function meltedAt(log: readonly Point[], moltenS: number): MeltedAt | undefined {
  const points = log.filter(({ y }) => Number.isFinite(y));
  const melting = points.filter(({ x }) => x > moltenS - PLATEAU_S[1] && x < moltenS - PLATEAU_S[0]);
  const last = melting.at(-1);
  if (!last || melting.length < LEAST) return undefined;
  const after = points.filter(({ x }) => x > moltenS && x < moltenS + LATEST_S);
  // Warming ends where it is taken out of the bath: there it grows colder again.
  const ends = after.findIndex(({ y }, i) => y < (after[i - 1]?.y ?? -Infinity) - 0.3);
  const warming = after
    .slice(0, ends < 0 ? undefined : ends)
    .filter(({ y }) => y > last.y + ABOVE_K[0] && y < last.y + ABOVE_K[1]);
  if (warming.length < LEAST) return undefined;
  const [one, two] = [fitLine(melting), fitLine(warming)];
  const cross = one && two && crossing(one, two);
  return cross && Number.isFinite(cross.y) ? { tempC: cross.y, errorK: cross.yError ?? 0 } : undefined;
}
