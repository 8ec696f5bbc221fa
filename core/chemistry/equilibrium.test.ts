import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { SOLUTES } from '../databook/solutes';
import { equilibrium, formFractions, type Conditions, type Mixture } from './equilibrium';
import { mix, mixtureOf, settle, solutionOf } from './solution';
import { pKw, waterDensity } from './water';

const ideal: Conditions = { tempC: 25, activities: false };
const real: Conditions = { tempC: 25, activities: true };
const pH = (parts: [id: string, molPerL: number, ml: number][], conditions = ideal) =>
  settle(parts.map(([id, c, v]) => solutionOf(id, c, v)).reduce(mix), conditions).pH;

describe('water', () => {
  it.each([
    [4, 0.99997],
    [20, 0.99821],
    [25, 0.99705],
  ])('has the density of Kell at %d °C', (tempC, density) => {
    expect(Math.abs(waterDensity(tempC) - density)).toBeLessThan(1e-5);
  });

  // Marshall and Franck's own table, and the round values taught.
  it.each([
    [0, 14.938],
    [25, 13.995],
    [50, 13.275],
    [60, 13.034],
    [100, 12.265],
  ])('has the pKw of Marshall and Franck at %d °C', (tempC, value) => {
    expect(Math.abs(pKw(tempC) - value)).toBeLessThan(0.005);
  });
});

describe('published and closed-form values', () => {
  it('gives the titration of acetic acid with sodium hydroxide', () => {
    expect(pH([['acetic-acid', 0.1, 25]])).toBeCloseTo(2.88, 2);
    expect(
      pH([
        ['acetic-acid', 0.1, 25],
        ['sodium-hydroxide', 0.1, 12.5],
      ]),
    ).toBeCloseTo(4.757, 2);
    const equivalence = pH([
      ['acetic-acid', 0.1, 25],
      ['sodium-hydroxide', 0.1, 25],
    ]);
    expect(equivalence).toBeGreaterThan(8.72);
    expect(equivalence).toBeLessThan(8.73);
  });

  it('gives the equivalence point of ammonia with hydrochloric acid', () => {
    expect(
      pH([
        ['ammonia', 0.1, 25],
        ['hydrochloric-acid', 0.1, 25],
      ]),
    ).toBeCloseTo(5.27, 2);
  });

  it('agrees with the cubic of a weak acid, solved by bisection in exact arithmetic of the charge balance', () => {
    const kw = 10 ** -pKw(25);
    for (const c of [1, 0.1, 1e-3, 1e-6, 1e-9]) {
      const ka = 10 ** -4.756;
      const f = (h: number) => h ** 3 + ka * h ** 2 - (kw + ka * c) * h - ka * kw;
      let [low, high] = [1e-12, 10];
      for (let i = 0; i < 200; i++) {
        const middle = Math.sqrt(low * high);
        if (f(middle) > 0) high = middle;
        else low = middle;
      }
      expect(pH([['acetic-acid', c, 10]])).toBeCloseTo(-Math.log10(low), 8);
    }
  });

  it('has a first step of oxalic acid that is barely visible and a second that is plain', () => {
    const slope = (ml: number) =>
      pH([
        ['oxalic-acid', 0.05, 25],
        ['sodium-hydroxide', 0.1, ml + 0.05],
      ]) -
      pH([
        ['oxalic-acid', 0.05, 25],
        ['sodium-hydroxide', 0.1, ml - 0.05],
      ]);
    expect(slope(12.5)).toBeLessThan(0.05);
    expect(slope(25)).toBeGreaterThan(1);
  });

  // NIST primary standards at 25 °C (molal, here turned into mol/L); R. A. Durst and others, PAC 2002.
  const rho = 0.997;
  const standard = (charge: number, pKas: number[], molal: number, sodium: number): Mixture => ({
    protolytes: [{ molar: molal * rho, charge, pKas }],
    spectatorCharge: sodium * rho,
    spectatorStrength: sodium * rho,
  });
  const phosphoric = [2.148, 7.198, 12.35];
  it.each<[string, number, Mixture]>([
    ['potassium hydrogen phthalate, 0.05', 4.005, standard(0, [2.95, 5.408], 0.05, 0.05)],
    ['phosphate, 0.025 and 0.025', 6.865, standard(0, phosphoric, 0.05, 0.075)],
    ['phosphate, 0.008695 and 0.03043', 7.413, standard(0, phosphoric, 0.039125, 0.069555)],
    ['borax, 0.01', 9.18, standard(0, [9.237], 0.04, 0.02)],
    ['carbonate, 0.025 and 0.025', 10.012, standard(0, [6.351, 10.329], 0.05, 0.075)],
    ['potassium dihydrogen citrate, 0.05', 3.776, standard(0, [3.128, 4.761, 6.396], 0.05, 0.05)],
    ['potassium hydrogen tartrate, saturated', 3.557, standard(0, [3.036, 4.366], 0.0341, 0.0341)],
  ])('finds the primary standard %s mol/kg within 0.03', (_, value, mixture) => {
    expect(Math.abs(equilibrium(mixture, real).pH - value)).toBeLessThan(0.03);
  });

  it('gives 0.1 mol/L hydrochloric acid near 1.1 with activities and 1 without', () => {
    expect(pH([['hydrochloric-acid', 0.1, 10]], real)).toBeCloseTo(1.11, 1);
    expect(pH([['hydrochloric-acid', 0.1, 10]])).toBeCloseTo(1, 6);
  });

  it('keeps its head at the limits', () => {
    const faint = pH([['hydrochloric-acid', 1e-8, 10]]);
    // The quadratic h² − ch − Kw = 0.
    const kw = 10 ** -pKw(25);
    expect(faint).toBeCloseTo(-Math.log10((1e-8 + Math.sqrt(1e-16 + 4 * kw)) / 2), 9);
    expect(faint).toBeLessThan(pKw(25) / 2);
    for (const conditions of [ideal, real]) {
      expect(pH([['hydrochloric-acid', 12, 10]], conditions)).toBeLessThan(-0.9);
      expect(pH([['sodium-hydroxide', 12, 10]], conditions)).toBeGreaterThan(14.9);
      expect(pH([['acetic-acid', 1e-12, 10]], conditions)).toBeCloseTo(pKw(25) / 2, 3);
    }
  });

  it('throws on amounts that mean nothing', () => {
    expect(() => pH([['acetic-acid', -0.1, 10]])).toThrow(RangeError);
    expect(() => pH([['acetic-acid', NaN, 10]])).toThrow(RangeError);
    expect(() => settle({ volumeMl: 0, amounts: {} }, ideal)).toThrow(RangeError);
  });
});

/** Charges of all forms added up from the answer alone: what the solver should have made zero. */
function chargeLeft(mixture: Mixture, conditions: Conditions): { left: number; scale: number } {
  const result = equilibrium(mixture, conditions);
  let positive = result.hydrogen + Math.max(mixture.spectatorCharge, 0);
  let negative = result.hydroxide + Math.max(-mixture.spectatorCharge, 0);
  for (const { molar, charge, pKas } of mixture.protolytes) {
    formFractions(pKas, result.pH).forEach((fraction, k) => {
      const part = (charge - k) * molar * fraction;
      if (part > 0) positive += part;
      else negative -= part;
    });
  }
  return { left: positive - negative, scale: positive + negative };
}

const liquids = fc
  .array(
    fc.tuple(
      fc.constantFrom(...SOLUTES.map((s) => s.id)),
      fc.double({ min: -9, max: 0.9, noNaN: true }),
      fc.double({ min: 0.1, max: 100, noNaN: true }),
    ),
    { minLength: 1, maxLength: 5 },
  )
  .map((parts) => parts.map(([id, logC, ml]) => solutionOf(id, 10 ** logC, ml)).reduce(mix));

describe('any mixture', () => {
  it('ends with no charge left over', () => {
    fc.assert(
      fc.property(liquids, fc.integer({ min: 0, max: 60 }), (liquid, tempC) => {
        const { left, scale } = chargeLeft(mixtureOf(liquid, tempC), { tempC, activities: false });
        expect(Math.abs(left) / scale).toBeLessThan(1e-7);
      }),
      { numRuns: 300 },
    );
  });

  it('gives the same answer from any start', () => {
    fc.assert(
      fc.property(liquids, fc.double({ min: -5, max: 20, noNaN: true }), fc.boolean(), (liquid, near, activities) => {
        const conditions = { tempC: 25, activities };
        const answer = settle(liquid, conditions).pH;
        expect(Number.isFinite(answer)).toBe(true);
        expect(settle(liquid, conditions, near).pH).toBeCloseTo(answer, 6);
      }),
      { numRuns: 300 },
    );
  });

  it('rises in pH with each addition of strong base', () => {
    fc.assert(
      fc.property(liquids, fc.double({ min: 0.01, max: 20, noNaN: true }), (liquid, ml) => {
        const before = settle(liquid, ideal).pH;
        // The same volume of 24 mol/L base: more base than any liquid here is basic, so never a mere dilution.
        const after = settle(mix(liquid, solutionOf('sodium-hydroxide', 24, ml)), ideal).pH;
        expect(after).toBeGreaterThanOrEqual(before - 1e-9);
      }),
      { numRuns: 200 },
    );
  });
});
