import type { Point } from './line-fit';

/** Sums of points, from which what a line leaves over follows without going through them again. */
class Sums {
  private n = 0;
  private x = 0;
  private y = 0;
  private xx = 0;
  private xy = 0;
  private yy = 0;

  add({ x, y }: Point, sign: 1 | -1 = 1): void {
    this.n += sign;
    this.x += sign * x;
    this.y += sign * y;
    this.xx += sign * x * x;
    this.xy += sign * x * y;
    this.yy += sign * y * y;
  }

  /** Sum of the squares that the best line leaves over; undefined where all lie over one x. */
  left(): number | undefined {
    const sxx = this.xx - this.x ** 2 / this.n;
    if (!(sxx > 1e-12 * this.xx) || this.n < 2) return undefined;
    const sxy = this.xy - (this.x * this.y) / this.n;
    return Math.max(this.yy - this.y ** 2 / this.n - sxy ** 2 / sxx, 0);
  }
}

/**
 * Where a series bends: the split into two lines, one before and one after, that leaves least over.
 * @param points by growing x @param least points that each line goes through at least
 * @returns the place of the first point of the second line; undefined where there are too few
 */
export function splitAtBend(points: readonly Point[], least = 3): number | undefined {
  const n = points.length;
  if (n < 2 * least) return undefined;
  // From the middle, so that squares of large numbers do not drown what is left over.
  const middle = points.reduce((sum, p) => ({ x: sum.x + p.x / n, y: sum.y + p.y / n }), { x: 0, y: 0 });
  const centred = points.map(({ x, y }) => ({ x: x - middle.x, y: y - middle.y }));
  const [before, after] = [new Sums(), new Sums()];
  centred.forEach((point) => after.add(point));
  let [best, fewest]: [number | undefined, number] = [undefined, Infinity];
  for (let split = 1; split <= n - least; split++) {
    const moved = centred[split - 1] as Point;
    before.add(moved);
    after.add(moved, -1);
    if (split < least) continue;
    const [one, two] = [before.left(), after.left()];
    if (one === undefined || two === undefined || one + two >= fewest) continue;
    [best, fewest] = [split, one + two];
  }
  return best;
}
