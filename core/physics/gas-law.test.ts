import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { GAS_CRITICAL, VAPOURS, vapourOf } from '../databook/vapours';
import { condensesC, kelvin, molFilling, pressureIn, saturatedKPa, secondVirial, volumePerKelvin } from './gas-law';

describe('an enclosed gas', () => {
  it('takes the molar volume of the standard states', () => {
    // IUPAC: 22.711 L/mol at 273.15 K and 100 kPa, 22.414 at 101.325.
    expect(1 / molFilling(100, [{ ml: 1, tempK: 273.15 }]) / 1000).toBeCloseTo(22.711, 3);
    expect(1 / molFilling(101.325, [{ ml: 1, tempK: 273.15 }]) / 1000).toBeCloseTo(22.414, 3);
  });

  it('has one pressure in parts that are joined, however warm each is', () => {
    const part = fc.record({
      ml: fc.double({ min: 0.1, max: 500, noNaN: true }),
      tempK: fc.double({ min: 200, max: 400, noNaN: true }),
    });
    fc.assert(
      fc.property(
        fc.array(part, { minLength: 1, maxLength: 4 }),
        fc.double({ min: 1, max: 400, noNaN: true }),
        (parts, kPa) => {
          const mol = molFilling(kPa, parts);
          expect(pressureIn(mol, parts)).toBeCloseTo(kPa, 8);
          const apart = parts.reduce((sum, one) => sum + molFilling(kPa, [one]), 0);
          expect(apart).toBeCloseTo(mol, 12);
          expect(volumePerKelvin(parts)).toBeGreaterThan(0);
        },
      ),
    );
  });

  // Measured: J. H. Dymond, E. B. Smith, The Virial Coefficients of Pure Gases and Mixtures, Clarendon 1980.
  it.each([
    ['nitrogen', 300, -4.2, 2],
    ['oxygen', 300, -16, 3],
    ['argon', 300, -15.5, 3],
    ['methane', 300, -42, 4],
    ['carbon-dioxide', 300, -122, 8],
    ['carbon-dioxide', 273.15, -151, 10],
  ])('departs from the ideal one as %s does at %d K', (id, tempK, measured, within) => {
    const critical = GAS_CRITICAL[id];
    if (!critical) throw new Error(id);
    expect(Math.abs(secondVirial(critical, tempK) - measured)).toBeLessThan(within);
  });

  it.each([
    ['pentane', 308, -1110, 90],
    ['hexane', 350, -1220, 110],
    ['diethyl-ether', 323, -930, 110],
  ])('departs as the vapour of %s does', (id, tempK, measured, within) => {
    expect(Math.abs(secondVirial(vapourOf(id).critical, tempK) - measured)).toBeLessThan(within);
  });

  it('boils each volatile liquid of the data book where its table says', () => {
    for (const { antoine, boilsC, name } of VAPOURS) {
      expect(Math.abs(condensesC(antoine, 101.325) - boilsC), name).toBeLessThan(0.2);
      for (const kPa of [20, 60, 110]) expect(saturatedKPa(antoine, condensesC(antoine, kPa))).toBeCloseTo(kPa, 9);
    }
    // CRC Handbook, 97th ed., section 6: pentane 68.3 kPa, hexane 20.2 kPa, acetone 30.8 kPa at 25 °C.
    expect(saturatedKPa(vapourOf('pentane').antoine, 25)).toBeCloseTo(68.3, 0);
    expect(saturatedKPa(vapourOf('hexane').antoine, 25)).toBeCloseTo(20.2, 0);
    expect(saturatedKPa(vapourOf('acetone').antoine, 25)).toBeCloseTo(30.8, 0);
    expect(kelvin(-273.15)).toBe(0);
  });
});
