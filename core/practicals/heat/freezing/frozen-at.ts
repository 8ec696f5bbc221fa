import { crossing } from '../../../analysis/crossing';
import { fitLine, type Point } from '../../../analysis/line-fit';

/** Where a melt that cools begins to freeze, by its log, as a careful student finds it: two lines and their crossing. */

export interface FrozenAt {
  tempC: number;
  /** Standard uncertainty of the crossing, K. */
  errorK: number;
  /** Lowest before crystals came, and highest after. */
  dipC: number;
  topC: number;
}

/** How soon after the lowest point the highest is looked for, s. */
const RISES_S = 150;
/** How far above the plateau the cooling is taken from, K, and which part of the freezing is followed, s. */
const ABOVE_K = [0.3, 4.5] as const;
const PLATEAU_S = [10, 105] as const;
/** Going back in time, the cooling ends where it was colder than this before: there it was being warmed, K. */
const WARMED_K = 0.5;
const LEAST = 4;
/** How far last digits waver on a plateau, K. */
const DIGITS_K = 0.25;
/** So many times the scatter of points that all lie on a plateau. */
const BEYOND = 3;

const scatterOf = (points: readonly Point[]): number => fitLine(points)?.residualDeviation ?? Infinity;

/** The cooling that leads to a place of the log, from its hottest on. */
function coolingTo(points: readonly Point[], place: number): Point[] {
  let [first, hottest] = [place, (points[place] as Point).y];
  for (let i = place; i >= 0; i--) {
    const { y } = points[i] as Point;
    if (y < hottest - WARMED_K) break;
    if (y >= hottest) [first, hottest] = [i, y];
  }
  return points.slice(first, place);
}

const extreme = (points: readonly Point[], isBetter: (a: number, b: number) => boolean): Point | undefined =>
  points.reduce<Point | undefined>((best, point) => (!best || isBetter(point.y, best.y) ? point : best), undefined);

/**
 * @param log time in s and temperature in °C
 * @param crystalsS when crystals were seen first, on the same clock
 */
export function frozenAt(log: readonly Point[], crystalsS: number): FrozenAt | undefined {
  const points = log.filter(({ y }) => Number.isFinite(y));
  const near = points.filter(({ x }) => Math.abs(x - crystalsS) < 25);
  const dip = extreme(near, (a, b) => a < b);
  if (!dip) return undefined;
  const top = extreme(
    points.filter(({ x }) => x >= dip.x && x < dip.x + RISES_S),
    (a, b) => a > b,
  ) as Point;
  const cooling = coolingTo(points, points.indexOf(dip)).filter(
    ({ y }) => y > top.y + ABOVE_K[0] && y < top.y + ABOVE_K[1],
  );
  const after = (from: number) => points.filter(({ x }) => x > from + PLATEAU_S[0] && x < from + PLATEAU_S[1]);
  // On a level plateau a last digit late in it may be the highest: then it is taken from where it was first as warm as that, but for its digits.
  const first = points.find(({ x, y }) => x >= dip.x && y > top.y - DIGITS_K) ?? top;
  const [late, early] = [after(top.x), after(first.x)];
  // What lies so much less well on a line reaches beyond the end of the freezing.
  const isBeyond = late.length < LEAST || scatterOf(late) > BEYOND * scatterOf(early);
  const freezing = isBeyond ? early : late;
  if (cooling.length < LEAST || freezing.length < LEAST) return undefined;
  const [one, two] = [fitLine(cooling), fitLine(freezing)];
  const cross = one && two && crossing(one, two);
  if (!cross || !Number.isFinite(cross.y)) return undefined;
  return { tempC: cross.y, errorK: cross.yError ?? 0, dipC: dip.y, topC: top.y };
}
