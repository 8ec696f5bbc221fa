import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { waterDensity } from '../chemistry/water';
import { densityAt, LIQUIDS } from '../databook/liquids';
import { MATERIALS } from '../databook/materials';
import { VESSELS } from '../databook/vessels';
import { parallaxMm } from '../instruments/sight';
import { pourRate, runsFrom } from '../instruments/pouring';
import { immersedPart, PACKING, surfaceWith } from './immersion';
import { drawOff, EMPTY, mix, pure } from '../chemistry/solution';
import { densityOf, massOf, volumesIn } from './liquid';

describe('density of water', () => {
  // CRC Handbook, 97th ed., section 6: Standard density of water (air-free, 101.325 kPa), g/mL.
  it.each([
    [0, 0.99984],
    [4, 0.99997],
    [10, 0.9997],
    [15, 0.9991],
    [20, 0.99821],
    [25, 0.99705],
    [30, 0.99565],
    [40, 0.99222],
    [50, 0.98803],
    [60, 0.9832],
    [70, 0.97778],
    [80, 0.97182],
    [90, 0.96535],
    [100, 0.9584],
  ])('at %d °C is %d g/mL to a ten-thousandth', (tempC, published) => {
    expect(Math.abs(waterDensity(tempC) - published)).toBeLessThan(0.0001);
  });

  it('is greatest near 4 °C', () => {
    const temperatures = Array.from({ length: 101 }, (_, t) => t / 10);
    const densest = temperatures.reduce((a, b) => (waterDensity(b) > waterDensity(a) ? b : a));
    expect(densest).toBeCloseTo(4, 0);
  });
});

describe('the data book of densities', () => {
  it('holds at least twenty solids and fifteen liquids, each once, as a look-alike of another', () => {
    expect(MATERIALS.length).toBeGreaterThanOrEqual(20);
    expect(LIQUIDS.length).toBeGreaterThanOrEqual(15);
    const all = [...MATERIALS, ...LIQUIDS].map(({ name }) => name);
    expect(new Set(all).size).toBe(all.length);
    const densities = MATERIALS.map((material) => material.densityGPerMl).sort((a, b) => a - b);
    const close = densities.filter((d, i) => i > 0 && d / (densities[i - 1] as number) < 1.05);
    expect(close.length).toBeGreaterThan(6);
  });

  it('gives densities at 25 °C that agree with published ones', () => {
    // CRC Handbook, section 15: Laboratory solvents and other liquid reagents, g/mL at 25 °C.
    const published = {
      methanol: 0.7866,
      ethanol: 0.7849,
      acetone: 0.7845,
      toluene: 0.8622,
      'ethyl-acetate': 0.8946,
      hexane: 0.6548,
      cyclohexane: 0.7739,
      'propan-2-ol': 0.7812,
      'butan-1-ol': 0.8057,
      'ethane-1-2-diol': 1.11,
    };
    for (const [id, density] of Object.entries(published)) {
      const entry = LIQUIDS.find((one) => one.id === id);
      expect(Math.abs(densityAt(entry as NonNullable<typeof entry>, 25) - density), id).toBeLessThan(0.0012);
    }
  });
});

const positive = (least: number, most: number) => fc.double({ min: least, max: most, noNaN: true });

describe('bodies in a liquid', () => {
  it('float so deep that they push aside their own weight, and sink when they are denser', () => {
    fc.assert(
      fc.property(positive(0.1, 2), positive(0.6, 1.3), positive(0.5, 20), (density, liquid, volumeMl) => {
        const body = { volumeMl, massG: density * volumeMl, tied: false };
        const { immersedMl, surfaceMl } = surfaceWith(400, [body], liquid);
        const displaced = immersedMl * liquid;
        if (density < liquid) expect(displaced).toBeCloseTo(body.massG, 9);
        else expect(immersedMl).toBeCloseTo(volumeMl, 9);
        expect(surfaceMl).toBeCloseTo(400 + immersedMl, 9);
        expect(immersedPart(density, liquid)).toBeCloseTo(immersedMl / volumeMl, 9);
      }),
    );
  });

  it('are all under when they are tied to a sinker', () => {
    const cork = { volumeMl: 4, massG: 1, tied: true };
    expect(surfaceWith(50, [cork, { volumeMl: 2, massG: 22, tied: false }], 0.998).immersedMl).toBeCloseTo(6, 12);
  });

  it('displace only what is under water: a heap that is not covered lets the liquid stand in its gaps', () => {
    const heap = [{ volumeMl: 12, massG: 60, tied: false }];
    const gaps = 12 / PACKING - 12;
    const half = surfaceWith(gaps / 2, heap, 1);
    expect(half.immersedMl).toBeCloseTo(6, 9);
    expect(half.surfaceMl).toBeCloseTo(gaps / 2 + 6, 9);
    // No jump where it is just covered.
    expect(surfaceWith(gaps - 1e-9, heap, 1).surfaceMl).toBeCloseTo(surfaceWith(gaps + 1e-9, heap, 1).surfaceMl, 6);
  });

  it('stand higher by the air under them', () => {
    const body = [{ volumeMl: 5, massG: 20, tied: false }];
    expect(surfaceWith(40, body, 1, 0.3).surfaceMl - surfaceWith(40, body, 1).surfaceMl).toBeCloseTo(0.3, 12);
  });
});

describe('liquids that are poured together and apart', () => {
  const liquid = fc.dictionary(fc.constantFrom('water', 'ethanol', 'glycerol'), positive(0.01, 80)).map((volumes) =>
    Object.entries(volumes)
      .map(([id, ml]) => pure(id, ml))
      .reduce(mix, EMPTY),
  );

  it('keep volume and mass, part by part', () => {
    fc.assert(
      fc.property(liquid, liquid, positive(0, 200), (a, b, ml) => {
        const whole = mix(a, b);
        const { taken, left } = drawOff(whole, ml);
        expect(taken.volumeMl + left.volumeMl).toBeCloseTo(whole.volumeMl, 9);
        const parts = Object.values(volumesIn(whole)).reduce((sum, part) => sum + part, 0);
        expect(parts).toBeCloseTo(whole.volumeMl, 9);
        expect(massOf(taken, 20) + massOf(left, 20)).toBeCloseTo(massOf(whole, 20), 9);
        if (ml > 1e-6 && ml < whole.volumeMl) expect(densityOf(taken, 20)).toBeCloseTo(densityOf(whole, 20), 9);
      }),
    );
  });

  it('run faster when a vessel is tilted more, and not at all below the tilt at which it begins', () => {
    for (const { brimMl, innerDiameterMm } of VESSELS) {
      const begins = runsFrom(brimMl / 2, brimMl);
      expect(pourRate(begins, brimMl / 2, brimMl, innerDiameterMm)).toBe(0);
      const rates = [10, 20, 40].map((more) => pourRate(begins + more, brimMl / 2, brimMl, innerDiameterMm));
      expect(rates).toEqual([...rates].sort((a, b) => a - b));
      expect(new Set(rates).size).toBe(3);
    }
  });
});

describe('parallax', () => {
  it('is none for an eye that is level, and by similar triangles otherwise', () => {
    expect(parallaxMm(0, 20)).toBe(0);
    // 250 mm away and 50 mm too high: over a radius of 10 mm the line of sight falls 2 mm.
    expect(parallaxMm(50, 20)).toBeCloseTo(2, 12);
    expect(parallaxMm(-50, 20)).toBeCloseTo(-2, 12);
  });
});
