import { describe, expect, it } from 'vitest';
import { fitLine } from '../analysis/line-fit';
import { crossing } from '../analysis/crossing';
import { conductivity, molarConductivity } from './conductivity';
import { mix, solutionOf } from './solution';

const of = (id: string, molPerL: number) => conductivity(solutionOf(id, molPerL, 100), true);

describe('conductivity', () => {
  // CRC Handbook, 97th ed., section 5: equivalent conductivity of electrolytes, 25 °C; molar conductivities in S cm² mol⁻¹.
  it.each([
    ['hydrochloric-acid', 0.001, 421.15],
    ['hydrochloric-acid', 0.01, 411.8],
    ['hydrochloric-acid', 0.1, 391.13],
    ['sodium-chloride', 0.001, 123.68],
    ['sodium-chloride', 0.01, 118.45],
    ['sodium-chloride', 0.1, 106.69],
    ['sodium-hydroxide', 0.001, 244.6],
    ['sodium-hydroxide', 0.01, 237.9],
  ])('is that of %s at %d mol/L within two percent', (id, molPerL, molar) => {
    expect(Math.abs(of(id, molPerL) / molPerL / molar - 1)).toBeLessThan(0.02);
  });

  it('is that of the potassium chloride that cells are calibrated with', () => {
    // 0.01 mol/L: 1.4127 mS/cm at 25 °C.
    const strength = 0.01;
    const sum = molarConductivity(73.48, 1, strength) + molarConductivity(76.31, -1, strength);
    expect(Math.abs(sum * strength - 1.4127)).toBeLessThan(0.005);
  });

  it('is that of a weak acid by what has come apart', () => {
    // Acetic acid at 0.01 mol/L: molar conductivity 16.2 (CRC).
    expect(Math.abs(of('acetic-acid', 0.01) / 0.01 - 16.2)).toBeLessThan(0.4);
  });

  it('falls and rises again about the equivalence point of a strong acid, whose lines cross there', () => {
    const at = (ml: number) =>
      conductivity(mix(solutionOf('hydrochloric-acid', 0.01, 100), solutionOf('sodium-hydroxide', 0.1, ml)), true);
    const points = Array.from({ length: 41 }, (_, i) => ({
      x: 0.5 * i,
      y: (at(0.5 * i) * (100 + 0.5 * i)) / 100,
    }));
    const one = fitLine(points.filter(({ x }) => x < 9));
    const two = fitLine(points.filter(({ x }) => x > 11));
    expect(one && two && one.slope < 0 && two.slope > 0).toBe(true);
    expect(Math.abs(((one && two ? crossing(one, two)?.x : NaN) as number) - 10)).toBeLessThan(0.05);
  });
});
