import type { LineFit, Point } from './line-fit';

export interface Crossing extends Point {
  /** Standard uncertainties; undefined when one of the lines has none. */
  xError: number | undefined;
  yError: number | undefined;
}

/**
 * Where two fitted lines cross, with the uncertainty that their standard errors give it to first order. The lines are
 * taken as independent of each other; slope and intercept of one line are not, and their covariance is used.
 *
 * x = (a₂ − a₁)/(b₁ − b₂) with intercepts a and slopes b, so ∂x/∂a₁ = −1/(b₁ − b₂) and ∂x/∂b₁ = −x/(b₁ − b₂).
 *
 * @returns undefined for parallel lines
 * Source: JCGM 100:2008 (GUM), 5.1 and 5.2.
 */
export function crossing(one: LineFit, two: LineFit): Crossing | undefined {
  const apart = one.slope - two.slope;
  if (apart === 0 || !Number.isFinite(1 / apart)) return undefined;
  const x = (two.intercept - one.intercept) / apart;
  const y = one.intercept + one.slope * x;
  const one2 = varianceAt(one, x);
  const two2 = varianceAt(two, x);
  if (one2 === undefined || two2 === undefined) return { x, y, xError: undefined, yError: undefined };
  // y moves with line 1 itself and along it as x moves: ∂y = δ₁ − b₁/(b₁ − b₂)·(δ₁ − δ₂), δ being each line's shift at x.
  const share = one.slope / apart;
  return {
    x,
    y,
    xError: Math.sqrt(one2 + two2) / Math.abs(apart),
    yError: Math.sqrt((1 - share) ** 2 * one2 + share ** 2 * two2),
  };
}

/** Variance of a line's own value at x. */
export function varianceAt(line: LineFit, x: number): number | undefined {
  const { slopeError, interceptError, covariance } = line;
  if (slopeError === undefined || interceptError === undefined || covariance === undefined) return undefined;
  return Math.max(interceptError ** 2 + 2 * x * covariance + (x * slopeError) ** 2, 0);
}
