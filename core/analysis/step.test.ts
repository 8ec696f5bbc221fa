import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { chance } from '../random';
import { fitLine, type LineFit, type Point } from './line-fit';
import { equalAreasAt, stepAt } from './step';

const exact = (intercept: number, slope: number): LineFit =>
  fitLine([0, 1, 2].map((x) => ({ x, y: intercept + slope * x }))) as LineFit;

describe('two stretches drawn to one moment', () => {
  it('differ there by the step, whatever their slopes', () => {
    const within = (low: number, high: number) => fc.double({ min: low, max: high, noNaN: true });
    fc.assert(
      fc.property(within(-50, 50), within(-0.2, 0.2), within(-0.2, 0.2), within(0, 300), (size, a, b, moment) => {
        const before = exact(20, a);
        const after = exact(20 + size + moment * (a - b), b);
        expect(stepAt(before, after, moment).step).toBeCloseTo(size, 6);
      }),
    );
  });

  it('leave the step an uncertainty that covers it as often as it should', () => {
    let within = 0;
    const rounds = 2000;
    for (let i = 0; i < rounds; i++) {
      const source = chance('step', String(i));
      const noisy = (from: number, to: number, y: (x: number) => number) =>
        fitLine(
          Array.from({ length: to - from + 1 }, (_, k) => ({ x: from + k, y: y(from + k) + 0.05 * source.normal() })),
        ) as LineFit;
      const { step, error } = stepAt(
        noisy(0, 20, (x) => 20 + 0.004 * x),
        noisy(40, 70, (x) => 26.5 - 0.01 * (x - 25)),
        25,
      );
      const truth = 26.5 - 20.1;
      if (Math.abs(step - truth) <= 2 * (error as number)) within++;
    }
    // Student's t with 19 and 29 degrees of freedom: 94.6 in 100 lie within two; three standard deviations of the count.
    expect(within / rounds).toBeGreaterThan(0.93);
    expect(within / rounds).toBeLessThan(0.965);
  });

  it('has no uncertainty where a stretch is two points', () => {
    expect(
      stepAt(
        fitLine([
          { x: 0, y: 1 },
          { x: 1, y: 1 },
        ]) as LineFit,
        exact(3, 0),
        1,
      ),
    ).toEqual({ x: 1, step: 2, error: undefined });
  });
});

describe('the moment of a slow step', () => {
  // Between two level lines a rise as 1 − exp(−t/τ) has equal areas at t = τ: ∫₀^τ (1 − e^(−t/τ)) dt = ∫_τ^∞ e^(−t/τ) dt = τ/e.
  it.each([3, 10, 25])('is the time constant of an exponential rise, %d s', (tau) => {
    const points: Point[] = Array.from({ length: 3001 }, (_, i) => ({
      x: i / 5,
      y: 20 + 5 * (1 - Math.exp(-i / 5 / tau)),
    }));
    expect(equalAreasAt(points, exact(20, 0), exact(25, 0))).toBeCloseTo(tau, 1);
  });

  it('is the middle of a straight rise, between lines that drift as well', () => {
    const points: Point[] = Array.from({ length: 41 }, (_, i) => {
      const x = 10 + i;
      return { x, y: 20 + 0.01 * x + ((x - 10) / 40) * 6 };
    });
    expect(equalAreasAt(points, exact(20, 0.01), exact(26, 0.01))).toBeCloseTo(30, 6);
  });

  it('is none where the curve never lies between its lines, or there is no curve', () => {
    const high = [0, 1, 2, 3].map((x) => ({ x, y: 30 }));
    expect(equalAreasAt(high, exact(20, 0), exact(25, 0))).toBeUndefined();
    expect(equalAreasAt([], exact(20, 0), exact(25, 0))).toBeUndefined();
    expect(equalAreasAt(high.slice(0, 2), exact(20, 0), exact(25, 0))).toBeUndefined();
  });
});
