/** Straight lines through points: ordinary least squares in y, with what is known about their uncertainty. */

export interface Point {
  x: number;
  y: number;
}

/** y = intercept + slope · x. Standard errors are undefined where no degree of freedom is left. */
export interface LineFit {
  slope: number;
  intercept: number;
  slopeError: number | undefined;
  interceptError: number | undefined;
  /** Covariance of slope and intercept. */
  covariance: number | undefined;
  /** Residual standard deviation, in the unit of y. */
  residualDeviation: number | undefined;
  rSquared: number;
  count: number;
  throughOrigin: boolean;
}

/** Sums of squares and products about the means. */
interface Moments {
  meanX: number;
  meanY: number;
  sxx: number;
  sxy: number;
  syy: number;
}

/**
 * Two passes: rough means first, then deviations from them, whose own small sums mend the means and the moments. It
 * keeps its digits where the textbook formula with Σx² − (Σx)²/n loses them.
 * Source: T. F. Chan, G. H. Golub, R. J. LeVeque, The American Statistician 37 (1983) 242, the corrected two-pass algorithm.
 */
function momentsOf(points: readonly Point[]): Moments {
  const count = points.length;
  let sumX = 0;
  let sumY = 0;
  for (const { x, y } of points) {
    sumX += x;
    sumY += y;
  }
  const roughX = sumX / count;
  const roughY = sumY / count;
  let dx = 0;
  let dy = 0;
  let sxx = 0;
  let sxy = 0;
  let syy = 0;
  for (const { x, y } of points) {
    const u = x - roughX;
    const v = y - roughY;
    dx += u;
    dy += v;
    sxx += u * u;
    sxy += u * v;
    syy += v * v;
  }
  return {
    meanX: roughX + dx / count,
    meanY: roughY + dy / count,
    sxx: sxx - (dx * dx) / count,
    sxy: sxy - (dx * dy) / count,
    syy: syy - (dy * dy) / count,
  };
}

/**
 * Least squares about the means, which keeps its digits where the textbook formula with sums of squares loses them.
 * Through the origin, R² is taken about zero, as is usual for that model.
 *
 * @returns undefined for fewer than two points (one through the origin) or when all x are the same
 * Source: N. R. Draper, H. Smith, Applied Regression Analysis, 3rd ed., Wiley 1998, chapter 1.
 */
export function fitLine(points: readonly Point[], throughOrigin = false): LineFit | undefined {
  const count = points.length;
  if (throughOrigin) return fitThroughOrigin(points);
  if (count < 2) return undefined;
  const { meanX, meanY, sxx, sxy, syy } = momentsOf(points);
  if (!(sxx > 0)) return undefined;
  const slope = sxy / sxx;
  const intercept = meanY - slope * meanX;
  let residuals = 0;
  for (const { x, y } of points) residuals += (y - meanY - slope * (x - meanX)) ** 2;
  const variance = count > 2 ? residuals / (count - 2) : undefined;
  return {
    slope,
    intercept,
    slopeError: variance === undefined ? undefined : Math.sqrt(variance / sxx),
    interceptError: variance === undefined ? undefined : Math.sqrt(variance * (1 / count + (meanX * meanX) / sxx)),
    covariance: variance === undefined ? undefined : (-variance * meanX) / sxx,
    residualDeviation: variance === undefined ? undefined : Math.sqrt(variance),
    rSquared: syy > 0 ? 1 - residuals / syy : 1,
    count,
    throughOrigin: false,
  };
}

function fitThroughOrigin(points: readonly Point[]): LineFit | undefined {
  const count = points.length;
  let sxx = 0;
  let sxy = 0;
  let syy = 0;
  for (const { x, y } of points) {
    sxx += x * x;
    sxy += x * y;
    syy += y * y;
  }
  if (!(sxx > 0)) return undefined;
  const slope = sxy / sxx;
  let residuals = 0;
  for (const { x, y } of points) residuals += (y - slope * x) ** 2;
  const variance = count > 1 ? residuals / (count - 1) : undefined;
  return {
    slope,
    intercept: 0,
    slopeError: variance === undefined ? undefined : Math.sqrt(variance / sxx),
    interceptError: variance === undefined ? undefined : 0,
    covariance: variance === undefined ? undefined : 0,
    residualDeviation: variance === undefined ? undefined : Math.sqrt(variance),
    rSquared: syy > 0 ? 1 - residuals / syy : 1,
    count,
    throughOrigin: true,
  };
}

export const valueAt = (line: LineFit, x: number) => line.intercept + line.slope * x;
