import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { GAS_CONSTANT, kelvin } from './gas-law';
import { KPA_PER_MM, levelMm, volumeOverWater } from './over-water';
import { vapourPressureKPa } from './vapour';

const double = (min: number, max: number) => fc.double({ min, max, noNaN: true });

describe('a gas over water', () => {
  it('has the pressure of the room less the column in the tube, of which water vapour is a part', () => {
    fc.assert(
      fc.property(double(1e-6, 0.003), double(95, 105), double(5, 35), double(0, 300), (mol, kPa, celsius, topMm) => {
        const tube = { topMm, mmPerMl: 5 };
        const ml = volumeOverWater(mol, kPa, celsius, tube);
        const dry = kPa - KPA_PER_MM * levelMm(ml, tube) - vapourPressureKPa(celsius);
        expect((dry * ml) / (mol * GAS_CONSTANT * kelvin(celsius))).toBeCloseTo(1, 9);
      }),
    );
  });

  it('takes the volume of a dry gas and its share of vapour where the levels are the same', () => {
    // 1.000 mmol at 20 °C and 101.325 kPa: 24.055 mL dry; water's 2.339 kPa make it 24.624 mL.
    const ml = 24.624;
    expect(volumeOverWater(0.001, 101.325, 20, { topMm: 5 * ml, mmPerMl: 5 })).toBeCloseTo(ml, 2);
    // Lifted by 100 mm it grows by about a hundredth: a column of that height is 0.979 kPa.
    const lifted = volumeOverWater(0.001, 101.325, 20, { topMm: 5 * ml + 100, mmPerMl: 5 });
    expect(lifted / ml).toBeGreaterThan(1.008);
    expect(lifted / ml).toBeLessThan(1.01);
    expect(levelMm(lifted, { topMm: 5 * ml + 100, mmPerMl: 5 })).toBeLessThan(100);
  });
});
