import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { influencesOn, type Influences } from './influences';

/** A bench whose result is known in closed form: causes that stretch it by factors, and one that nobody knows of. */
interface Bench {
  off: readonly string[];
  timeS: number;
}
const bench = (factors: Readonly<Record<string, number>>, unknown = 0, uncertainty = 0.01) => ({
  begin: (_: unknown, __: unknown, ___: string, off: readonly string[] = []): Bench => ({ off, timeS: 0 }),
  perform: (one: Bench) => ({ bench: one }),
  advance: (one: Bench) => one,
  results: (_: unknown, __: unknown, { off }: Bench) => ({
    x: Object.entries(factors).reduce((value, [key, by]) => (off.includes(key) ? value : value * by), 100) + unknown,
  }),
  slips: () => [],
  causes: () => Object.keys(factors).map((key) => ({ key, label: key })),
  support: () => ({ x: { digits: 3, reading: '', uncertainty } }),
});
const told = (practical: ReturnType<typeof bench>, value: number): Influences => {
  const [found] = influencesOn(
    practical as never,
    { setup: null, sample: null, seed: '' },
    [],
    [{ quantity: 'x', value, trueValue: 100 }],
  );
  if (!found) throw new Error('nothing told');
  return found;
};
const sum = (shares: readonly { share: number }[]) => shares.reduce((all, { share }) => all + share, 0);

describe('what causes do to one another', () => {
  it('is what both did beyond what each did by itself, and leaves nothing over', () => {
    const { shares, together, rest } = told(bench({ wet: 1.5, hot: 1.2 }), 180);
    expect(shares.map(({ key, share }) => [key, Math.round(share)])).toEqual([
      ['wet', 60],
      ['hot', 30],
      ['rounding', 0],
    ]);
    expect(together).toHaveLength(1);
    expect(together?.[0]?.of.map(({ key }) => key)).toEqual(['wet', 'hot']);
    expect(together?.[0]?.share).toBeCloseTo(-10, 9);
    expect(rest).toBeCloseTo(0, 9);
  });

  it('is not looked for where less is left over than half of the uncertainty', () => {
    const { together, rest } = told(bench({ wet: 1.5, hot: 1.2 }, 0, 30), 180);
    expect(together).toBeNull();
    expect(rest).toBeCloseTo(-10, 9);
  });

  it('is not made of what no known cause accounts for', () => {
    const { together, rest } = told(bench({ wet: 1.01, hot: 1.02 }, -40), 100 * 1.01 * 1.02 - 40);
    expect(sum(together ?? [])).toBeCloseTo(-0.02, 6);
    expect(rest).toBeCloseTo(-40, 6);
  });
});

it('a slip is named where it comes to what was handed in, and not because it is the nearest of those known', () => {
  const slips = () => [
    { quantity: 'x', key: 'doubled', label: 'doubled', factor: 2 },
    { quantity: 'x', key: 'halved', label: 'halved', factor: 0.5 },
  ];
  const workings = (value: number, uncertainty: number) =>
    told({ ...bench({}, 0, uncertainty), slips: slips as never }, value).shares.map(({ key }) => key);
  expect(workings(200.5, 0.3)).toEqual(['doubled', 'working']);
  expect(workings(49.8, 0.3)).toEqual(['halved', 'working']);
  // Nearer to twice than to anything else, and yet nonsense of another kind.
  for (const value of [204, 222, 178, 634, 100.5, 60, -50])
    expect(workings(value, 0.3), String(value)).toEqual(['working']);
  // Who reads a graph by eye comes to it less closely.
  expect(workings(202, 1)).toEqual(['doubled', 'working']);
});

it('whatever moved it, all together is what the number is off by', () => {
  const factor = fc.double({ min: 0.5, max: 2, noNaN: true });
  fc.assert(
    fc.property(
      fc.array(factor, { maxLength: 8 }),
      factor,
      fc.double({ min: -50, max: 50, noNaN: true }),
      (all, by, off) => {
        const factors = Object.fromEntries(all.map((one, i) => [`cause ${i}`, one]));
        const { shares, together, rest, value } = told(bench(factors, off), 100 * by);
        expect(sum(shares) + sum(together ?? []) + rest).toBeCloseTo(value - 100, 6);
        expect(together?.length ?? 0).toBeLessThanOrEqual(10);
      },
    ),
  );
});
