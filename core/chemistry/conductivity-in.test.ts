import { describe, expect, it } from 'vitest';
import { IONS } from '../databook/ions';
import { chargeOf, mobilityOf } from '../databook/ion-mobilities';
import { BOUND, COMPONENTS } from '../databook/precipitates';
import { conductivityIn } from './conductivity';
import { mixed, solutionFrom } from './contents';

describe('what a mixture of salts conducts', () => {
  // Molar conductivities at 25 °C, S cm² mol⁻¹ (CRC Handbook, 97th ed., section 5, equivalent conductivity of electrolytes).
  it.each([
    ['sodium-chloride', 0.1, 106.69, 1],
    ['potassium-nitrate', 0.1, 120.34, 1],
    ['silver-nitrate', 0.1, 109.09, 1],
    ['hydrochloric-acid', 0.1, 391.13, 1],
    ['sodium-sulfate', 0.05, 97.71, 2],
    ['barium-chloride', 0.05, 105.14, 2],
    ['potassium-iodide', 0.1, 131.05, 1],
  ] as const)('of %s at %f mol/L is near %f for each equivalent', (id, molPerL, equivalent, each) => {
    const found = conductivityIn(solutionFrom(id, molPerL, 10)) / molPerL / each;
    // Ion pairs beyond those that are known here, and Onsager's law at a tenth: within 6 %.
    expect(Math.abs(found / equivalent - 1)).toBeLessThan(0.06);
  });

  it('falls while silver gives way to sodium, and rises beyond: two lines that meet where both run out', () => {
    const at = (ml: number) =>
      conductivityIn(
        mixed(solutionFrom('silver-nitrate', 0.1, 10 - ml), solutionFrom('sodium-chloride', 0.1, ml)).contents,
      );
    const [a, b, c, d, e] = [1, 3, 5, 7, 9].map(at) as [number, number, number, number, number];
    // Sodium takes the place of silver, and conducts less; beyond the ratio chloride comes on top.
    expect(a).toBeGreaterThan(b);
    expect(b).toBeGreaterThan(c);
    expect(d).toBeGreaterThan(c);
    expect(e).toBeGreaterThan(d);
    expect(Math.abs((a - b) / (b - c) - 1)).toBeLessThan(0.1);
  });

  it('has a value for each ion, and the sign of its charge is that of its formula', () => {
    for (const { formula, charge } of COMPONENTS) {
      expect(chargeOf(formula)).toBe(charge);
      expect(mobilityOf(formula) > 0).toBe(charge !== 0);
    }
    for (const { formula } of BOUND) expect(mobilityOf(formula)).toBeGreaterThanOrEqual(0);
    expect(mobilityOf('Na^+')).toBe(IONS.Na);
    expect(mobilityOf('SO4^2-')).toBe(160);
    expect(mobilityOf('AgCl')).toBe(0);
  });
});
