import { fitLine } from '../../analysis/line-fit';
import { t95 } from '../../analysis/student-t';
import { distinct, pointsOf } from './laws';
import { LAW_PARTS, type Law } from './plan';
import type { Row } from './rows';

/** What the points of a law come to: how what is watched goes with what is set, the slope of their line, and k. */

/** The least that a line is drawn through. */
export const LEAST_POINTS = 3;
/** 1 kPa nm³, zJ. */
export const ZJ = 0.001;

/** Whether what is watched falls as what is set grows. */
export const isInverse = (law: Law) => law === 'pressure-volume';

/** x and y of a straight line through the origin. */
function pointOf(law: Law, { readings }: Row): { x: number; y: number } {
  const { watched, set } = LAW_PARTS[law];
  const [x, y] = [readings[set] ?? NaN, readings[watched] ?? NaN];
  return { x: isInverse(law) ? 1 / x : x, y };
}

interface Fits {
  values: Record<string, number>;
  uncertainties: Record<string, number>;
}

/** k by each row whose four counters were read. */
const constants = (rows: readonly Row[]): number[] =>
  rows.flatMap(({ readings: { P, V, T, N } }) => (P && V && T && N ? [(ZJ * P * V) / (N * T)] : []));

/** A piston that trembles stands higher by one part in as many as there are, in the mean: of that the law of very many knows nothing. */
const trembling = (rows: readonly Row[]): number =>
  rows.reduce((sum, { readings: { N } }) => sum + 1 / (N ?? 1), 0) / Math.max(rows.length, 1);

export function foundByLaw(law: Law, rows: readonly Row[]): Fits {
  const [values, uncertainties]: [Record<string, number>, Record<string, number>] = [{}, {}];
  const put = (key: string, value: number, standard: number | undefined, freedom: number, part = 0) => {
    values[key] = value;
    // Two of them cover 95 in 100, however few the points are.
    if (standard !== undefined) uncertainties[key] = Math.hypot((standard * t95(freedom)) / 2, part * value);
  };
  const putMean = (key: string, all: readonly number[], part: number) => {
    const mean = all.reduce((sum, one) => sum + one, 0) / all.length;
    const square = all.reduce((sum, one) => sum + (one - mean) ** 2, 0);
    const freedom = all.length - 1;
    put(key, mean, freedom > 1 ? Math.sqrt(square / freedom / all.length) : undefined, freedom, part);
  };
  const points = pointsOf(law, rows);
  const at = points.map((row) => pointOf(law, row));
  if (distinct(at.map(({ x }) => x)) >= LEAST_POINTS) {
    const power = fitLine(at.map(({ x, y }) => ({ x: Math.log(x), y: Math.log(y) })));
    const factor = power && 2 ** ((isInverse(law) ? -1 : 1) * power.slope);
    if (factor) put('factor', factor, power.slopeError && Math.LN2 * factor * power.slopeError, at.length - 2);
    // Counters waver by a part of what they show: each point tells the slope as well as any other.
    const ratios = at.map(({ x, y }) => y / x);
    putMean('slope', ratios, LAW_PARTS[law].watched === 'V' ? trembling(points) : 0);
  }
  const steady = rows.filter(({ isDisturbed }) => !isDisturbed);
  const all = constants(steady);
  if (all.length > 0) putMean('constant', all, trembling(steady.filter(({ fitted: { pinNm } }) => pinNm === null)));
  return { values, uncertainties };
}
