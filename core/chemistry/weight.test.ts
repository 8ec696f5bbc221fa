import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { BENCH_SOLUTION_IDS } from '../databook/bench-solutions';
import { apart, mixed, NOTHING, part, solutionFrom, type Contents } from './contents';
import { gramsPerMol } from './molar-mass';
import { gramsIn, saltsG, solidGrams } from './weight';

const solution = fc
  .record({
    id: fc.constantFrom(
      ...BENCH_SOLUTION_IDS.filter((id) => !['permanganate', 'iodine', 'iron2-sulfate'].includes(id)),
    ),
    molPerL: fc.double({ min: 0.02, max: 0.3, noNaN: true }),
    ml: fc.double({ min: 0.2, max: 30, noNaN: true }),
  })
  .map(({ id, molPerL, ml }) => solutionFrom(id, molPerL, ml));

describe('the mass of what is in a vessel', () => {
  it('is kept by whatever is put together, less the gas that left', () => {
    fc.assert(
      fc.property(fc.array(solution, { minLength: 2, maxLength: 3 }), (parts) => {
        let now: Contents = NOTHING;
        let goneG = 0;
        for (const one of parts) {
          const { contents, gasMol } = mixed(now, one);
          goneG += gasMol * gramsPerMol('CO2');
          now = contents;
        }
        const before = parts.reduce((sum, one) => sum + gramsIn(one), 0);
        expect(gramsIn(now) + goneG).toBeCloseTo(before, 9);
      }),
      { numRuns: 150 },
    );
  });

  it('is parted without loss, and what is parted holds the solids that were meant', () => {
    const { contents } = mixed(solutionFrom('silver-nitrate', 0.1, 20), solutionFrom('sodium-chloride', 0.2, 20));
    const before = solidGrams(contents)['silver-chloride'] as number;
    const { taken, left } = apart(contents, 0.7, 0.1);
    expect(gramsIn(taken) + gramsIn(left)).toBeCloseTo(gramsIn(contents), 10);
    expect(taken.volumeMl).toBeCloseTo(28, 10);
    expect(solidGrams(taken)['silver-chloride']).toBeCloseTo(0.1 * before, 8);
    expect(solidGrams(left)['silver-chloride']).toBeCloseTo(0.9 * before, 8);
  });

  it('of a solid is its amount times its molar mass: silver chloride by hand', () => {
    const { contents } = mixed(solutionFrom('silver-nitrate', 0.1, 25), solutionFrom('sodium-chloride', 0.2, 20));
    // 2.5 mmol of silver, and 143.32 g/mol.
    expect(solidGrams(contents)['silver-chloride']).toBeCloseTo(0.0025 * 143.318, 4);
  });

  it('of salts that stay when water goes: by hand, and volatile acids go', () => {
    expect(saltsG(solutionFrom('sodium-chloride', 0.1, 100))).toBeCloseTo(0.01 * 58.44, 4);
    expect(saltsG(solutionFrom('sodium-hydroxide', 0.1, 100))).toBeCloseTo(0.01 * 39.997, 4);
    expect(saltsG(solutionFrom('hydrochloric-acid', 0.1, 100))).toBeCloseTo(0, 9);
    expect(saltsG(solutionFrom('sulfuric-acid', 0.1, 100))).toBeCloseTo(0.01 * 98.072, 3);
    expect(saltsG(part(NOTHING, 1))).toBe(0);
  });
});
