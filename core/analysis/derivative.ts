import type { Point } from './line-fit';

/**
 * First or second derivative at each point, from the parabola of least squares through its `window` nearest
 * neighbours in order (itself in the middle; at the ends, the first or last window). With a window of 3 that is the
 * parabola through three points, exact for uneven spacing; wider windows quieten noise.
 * Points are taken in order of x; of points with the same x, the mean.
 *
 * @param window odd, at least 3
 * @returns points of (x, dy/dx) or (x, d²y/dx²); empty for fewer points than the window
 * Source: A. Savitzky, M. J. E. Golay, Anal. Chem. 36 (1964) 1627, taken to uneven spacing as in P. A. Gorry,
 * Anal. Chem. 63 (1991) 534.
 */
export function derivative(points: readonly Point[], order: 1 | 2, window = 3): Point[] {
  const sorted = inOrder(points);
  const width = Math.max(3, Math.floor(window) | 1);
  if (sorted.length < width) return [];
  const half = (width - 1) / 2;
  const result: Point[] = [];
  for (let i = 0; i < sorted.length; i++) {
    const start = Math.min(Math.max(i - half, 0), sorted.length - width);
    const { x } = sorted[i] as Point;
    const y = parabolaAt(sorted, start, width, x, order);
    if (Number.isFinite(y)) result.push({ x, y });
  }
  return result;
}

/** Points by growing x, those of the same x as one with their mean y. */
export function inOrder(points: readonly Point[]): Point[] {
  const sorted = [...points].sort((a, b) => a.x - b.x);
  const result: Point[] = [];
  for (let i = 0; i < sorted.length;) {
    const { x } = sorted[i] as Point;
    let sum = 0;
    let count = 0;
    for (; i < sorted.length && (sorted[i] as Point).x === x; i++, count++) sum += (sorted[i] as Point).y;
    result.push({ x, y: sum / count });
  }
  return result;
}

/**
 * Derivative at x of y = c₀ + c₁u + c₂u², u = (x − at)/scale, fitted to a stretch. The normal equations of three
 * unknowns are solved by Cramer's rule; the scaling keeps them well conditioned.
 */
function parabolaAt(points: readonly Point[], start: number, width: number, at: number, order: 1 | 2): number {
  const first = (points[start] as Point).x;
  const last = (points[start + width - 1] as Point).x;
  const scale = last - first;
  const base = (points[start] as Point).y;
  let s1 = 0;
  let s2 = 0;
  let s3 = 0;
  let s4 = 0;
  let t0 = 0;
  let t1 = 0;
  let t2 = 0;
  for (let i = start; i < start + width; i++) {
    const point = points[i] as Point;
    const u = (point.x - at) / scale;
    const y = point.y - base;
    s1 += u;
    s2 += u * u;
    s3 += u * u * u;
    s4 += u * u * u * u;
    t0 += y;
    t1 += u * y;
    t2 += u * u * y;
  }
  const determinant = width * (s2 * s4 - s3 * s3) - s1 * (s1 * s4 - s2 * s3) + s2 * (s1 * s3 - s2 * s2);
  if (order === 1) {
    const c1 = width * (t1 * s4 - t2 * s3) - t0 * (s1 * s4 - s2 * s3) + s2 * (s1 * t2 - s2 * t1);
    return c1 / determinant / scale;
  }
  const c2 = width * (s2 * t2 - s3 * t1) - s1 * (s1 * t2 - s2 * t1) + t0 * (s1 * s3 - s2 * s2);
  return (2 * c2) / determinant / scale ** 2;
}
