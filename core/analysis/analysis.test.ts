import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { crossing } from './crossing';
import { derivative, inOrder } from './derivative';
import { fitLine, valueAt, type LineFit, type Point } from './line-fit';

const zip = (xs: number[], ys: number[]): Point[] => xs.map((x, i) => ({ x, y: ys[i] as number }));

/** How many digits agree: −log₁₀ of the relative error. */
const digits = (value: number | undefined, certified: number) =>
  value === certified ? 16 : -Math.log10(Math.abs((value as number) - certified) / Math.abs(certified));

/*
 * NIST Statistical Reference Datasets, linear regression: data and certified values of Norris (level of difficulty
 * lower), NoInt1 and NoInt2 (average). Certified values have 15 digits.
 */
const NORRIS = zip(
  [
    0.2, 337.4, 118.2, 884.6, 10.1, 226.5, 666.3, 996.3, 448.6, 777.0, 558.2, 0.4, 0.6, 775.5, 666.9, 338.0, 447.5,
    11.6, 556.0, 228.1, 995.8, 887.6, 120.2, 0.3, 0.3, 556.8, 339.1, 887.2, 999.0, 779.0, 11.1, 118.3, 229.2, 669.1,
    448.9, 0.5,
  ],
  [
    0.1, 338.8, 118.1, 888.0, 9.2, 228.1, 668.5, 998.5, 449.1, 778.9, 559.2, 0.3, 0.1, 778.1, 668.8, 339.3, 448.9, 10.8,
    557.7, 228.3, 998.0, 888.8, 119.6, 0.3, 0.6, 557.6, 339.3, 888.0, 998.5, 778.9, 10.2, 117.6, 228.9, 668.4, 449.2,
    0.2,
  ],
);
const NO_INTERCEPT_1 = zip(
  Array.from({ length: 11 }, (_, i) => 60 + i),
  Array.from({ length: 11 }, (_, i) => 130 + i),
);
const NO_INTERCEPT_2 = zip([4, 5, 6], [3, 4, 4]);

describe('least squares', () => {
  it.each([
    [
      'Norris',
      NORRIS,
      false,
      {
        intercept: -0.262323073774029,
        interceptError: 0.232818234301152,
        slope: 1.00211681802045,
        slopeError: 0.429796848199937e-3,
        residualDeviation: 0.884796396144373,
        rSquared: 0.999993745883712,
      },
    ],
    [
      'NoInt1',
      NO_INTERCEPT_1,
      true,
      {
        slope: 2.07438016528926,
        slopeError: 0.165289256198347e-1,
        residualDeviation: 3.56753034006338,
        rSquared: 0.999365492298663,
      },
    ],
    [
      'NoInt2',
      NO_INTERCEPT_2,
      true,
      {
        slope: 0.727272727272727,
        slopeError: 0.420827318078432e-1,
        residualDeviation: 0.369274472937998,
        rSquared: 0.993348115299335,
      },
    ],
  ] as const)('reproduces the certified values of %s', (_name, points, throughOrigin, certified) => {
    const fit = fitLine(points, throughOrigin) as LineFit;
    for (const [key, value] of Object.entries(certified)) {
      expect(digits(fit[key as 'slope'], value), key).toBeGreaterThan(12);
    }
  });

  it('finds any line again from points on it, wherever they lie', () => {
    const number = (min: number, max: number) => fc.double({ min, max, noNaN: true });
    fc.assert(
      fc.property(
        number(-1e3, 1e3),
        number(-50, 50),
        number(-1e4, 1e4),
        fc.uniqueArray(fc.integer({ min: 0, max: 500 }), { minLength: 3, maxLength: 40 }),
        (intercept, slope, shift, steps) => {
          const points = steps.map((i) => ({ x: shift + i / 10, y: intercept + slope * (shift + i / 10) }));
          const fit = fitLine(points) as LineFit;
          const scale = 1 + Math.abs(intercept) + Math.abs(slope * shift);
          for (const point of points) expect(Math.abs(valueAt(fit, point.x) - point.y) / scale).toBeLessThan(1e-11);
        },
      ),
    );
  });

  it('says nothing where nothing can be said', () => {
    expect(fitLine([])).toBeUndefined();
    expect(fitLine([{ x: 1, y: 2 }])).toBeUndefined();
    expect(fitLine(zip([3, 3, 3], [1, 2, 3]))).toBeUndefined();
    expect(fitLine(zip([0, 1], [1, 3]))).toMatchObject({ slope: 2, intercept: 1, slopeError: undefined });
  });
});

describe('crossing of two lines', () => {
  const line = (points: Point[]) => fitLine(points) as LineFit;

  it('meets where the lines meet, and has no error without scatter', () => {
    const meet = crossing(line(zip([0, 1, 2], [4, 3, 2])), line(zip([5, 6, 7], [5, 6, 7])));
    expect(meet?.x).toBeCloseTo(2, 12);
    expect(meet?.y).toBeCloseTo(2, 12);
    expect(meet?.xError).toBeCloseTo(0, 12);
    expect(crossing(line(zip([0, 1], [0, 1])), line(zip([0, 1], [3, 4])))).toBeUndefined();
  });

  it('states an uncertainty that repeated measurement bears out', () => {
    // The closed form is held against 4,000 repeats with normal scatter of 0.1 from a fixed generator.
    let state = 12345;
    const uniform = () => ((state = (state * 1103515245 + 12345) % 2147483648) + 0.5) / 2147483648;
    const normal = () => Math.sqrt(-2 * Math.log(uniform())) * Math.cos(2 * Math.PI * uniform());
    const xs1 = [0, 1, 2, 3, 4, 5];
    const xs2 = [7, 8, 9, 10, 11];
    const measure = () =>
      crossing(
        line(xs1.map((x) => ({ x, y: 20 - 2 * x + 0.1 * normal() }))),
        line(xs2.map((x) => ({ x, y: 8.6 - 0.1 * x + 0.1 * normal() }))),
      ) as { x: number; y: number; xError: number; yError: number };
    const repeats = Array.from({ length: 4000 }, measure);
    for (const [key, error, truth] of [
      ['x', 'xError', 6],
      ['y', 'yError', 8],
    ] as const) {
      const mean = repeats.reduce((sum, one) => sum + one[key], 0) / repeats.length;
      const seen = Math.sqrt(repeats.reduce((sum, one) => sum + (one[key] - mean) ** 2, 0) / (repeats.length - 1));
      const stated = Math.sqrt(repeats.reduce((sum, one) => sum + one[error] ** 2, 0) / repeats.length);
      expect(Math.abs(mean - truth)).toBeLessThan((4 * seen) / Math.sqrt(repeats.length));
      expect(stated / seen).toBeGreaterThan(0.95);
      expect(stated / seen).toBeLessThan(1.05);
    }
  });
});

describe('derivatives', () => {
  it('are exact for a parabola on uneven points, whatever the window', () => {
    const xs = [0, 0.1, 0.5, 0.6, 1.4, 2, 2.1, 3.3];
    const points = xs.map((x) => ({ x, y: 3 - 2 * x + 1.5 * x * x }));
    for (const window of [3, 5, 7]) {
      for (const { x, y } of derivative(points, 1, window)) expect(y).toBeCloseTo(-2 + 3 * x, 9);
      for (const { y } of derivative(points, 2, window)) expect(y).toBeCloseTo(3, 8);
    }
  });

  it('find the steepest place of a sigmoid, and its second derivative crosses zero there', () => {
    const points = Array.from({ length: 201 }, (_, i) => ({ x: i / 10, y: Math.tanh(i / 10 - 12.34) }));
    const first = derivative(points, 1);
    const steepest = first.reduce((best, point) => (point.y > best.y ? point : best));
    expect(Math.abs(steepest.x - 12.34)).toBeLessThanOrEqual(0.1);
    const second = derivative(points, 2);
    const turn = second.findIndex((point, i) => i > 100 && point.y <= 0);
    expect(Math.abs((second[turn] as Point).x - 12.34)).toBeLessThanOrEqual(0.1);
  });

  it('take points in any order and repeats as one', () => {
    const points = zip([2, 0, 1, 1], [4, 0, 0.5, 1.5]);
    expect(inOrder(points)).toEqual(zip([0, 1, 2], [0, 1, 4]));
    expect(derivative(points, 1).map((p) => p.y)).toEqual([0, 2, 4]);
    expect(derivative(points.slice(0, 2), 1)).toEqual([]);
  });
});
