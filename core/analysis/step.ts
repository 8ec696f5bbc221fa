import { varianceAt } from './crossing';
import { valueAt, type LineFit, type Point } from './line-fit';

/** How far one line lies over another at a moment: two stretches of a curve drawn to the moment of a step between them. */
export interface Step {
  x: number;
  /** Second less first, in the unit of y. */
  step: number;
  /** Standard uncertainty that both lines leave it; undefined when one of them has none. */
  error: number | undefined;
}

/**
 * The step from one fitted line to another at x. The lines are taken as independent of each other.
 * Source: JCGM 100:2008 (GUM), 5.1: variances of a difference add.
 */
export function stepAt(one: LineFit, two: LineFit, x: number): Step {
  const [a, b] = [varianceAt(one, x), varianceAt(two, x)];
  const error = a === undefined || b === undefined ? undefined : Math.sqrt(a + b);
  return { x, step: valueAt(two, x) - valueAt(one, x), error };
}

/** The area between a curve and a line from one x to another, by trapezia over the points between. */
function areaUnder(points: readonly Point[], line: LineFit): number {
  let sum = 0;
  for (let i = 1; i < points.length; i++) {
    const [a, b] = [points[i - 1] as Point, points[i] as Point];
    sum += ((b.x - a.x) * (a.y - valueAt(line, a.x) + b.y - valueAt(line, b.x))) / 2;
  }
  return sum;
}

/** A point of a curve at x, on the straight way between its neighbours. */
function pointAt(points: readonly Point[], x: number): Point {
  const after = points.findIndex((point) => point.x >= x);
  const [a, b] = [points[Math.max(after - 1, 0)] as Point, points[Math.max(after, 0)] as Point];
  return { x, y: b.x === a.x ? b.y : a.y + ((b.y - a.y) * (x - a.x)) / (b.x - a.x) };
}

/**
 * The moment of a slow step: where the curve encloses as much with the line before it, up to that moment, as with the line after
 * it from then on.
 * @param points of the curve between the two stretches and their ends, by growing x
 * @returns undefined where there is no such moment between the first point and the last
 * Source: H. C. Dickinson, Bull. Bur. Standards 11 (1914) 189; as in ASTM D 240, appendix.
 */
export function equalAreasAt(points: readonly Point[], before: LineFit, after: LineFit): number | undefined {
  const [first, last] = [points[0], points.at(-1)];
  if (!first || !last || points.length < 3) return undefined;
  const excess = (x: number) => {
    const middle = pointAt(points, x);
    const left = [...points.filter((point) => point.x < x), middle];
    const right = [middle, ...points.filter((point) => point.x > x)];
    return areaUnder(left, before) + areaUnder(right, after);
  };
  let [low, high] = [first.x, last.x];
  const atLow = excess(low);
  if (Math.sign(atLow) === Math.sign(excess(high))) return undefined;
  for (let i = 0; i < 60; i++) {
    const middle = (low + high) / 2;
    if (Math.sign(excess(middle)) === Math.sign(atLow)) low = middle;
    else high = middle;
  }
  return (low + high) / 2;
}
