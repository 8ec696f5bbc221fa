import { expect, it } from 'vitest';
import { airVapourKPa, boilingC, evaporatingGPerS, vaporisationJPerG, vapourPressureKPa } from './vapour';

// NIST/ASME steam tables, saturated water.
it.each([
  [0.01, 0.6117, 2500.9],
  [20, 2.3393, 2453.5],
  [40, 7.3849, 2406.0],
  [60, 19.946, 2357.7],
  [80, 47.414, 2308.0],
  [100, 101.42, 2256.4],
])('at %d °C water has the vapour pressure and the heat of the steam tables', (tempC, kPa, joules) => {
  expect(Math.abs(vapourPressureKPa(tempC) / kPa - 1)).toBeLessThan(0.002);
  expect(Math.abs(vaporisationJPerG(tempC) / joules - 1)).toBeLessThan(0.002);
});

// The same tables, by pressure.
it.each([
  [101.325, 99.974],
  [95, 98.19],
  [70, 89.93],
])('under %d kPa water boils at %d °C', (kPa, tempC) => {
  expect(Math.abs(boilingC(kPa) - tempC)).toBeLessThan(0.06);
});

it('gives off more where it is wider and warmer, and nothing where the air holds as much', () => {
  const air = airVapourKPa(20);
  expect(evaporatingGPerS(80, 60, air) / evaporatingGPerS(40, 60, air)).toBeCloseTo(2, 9);
  // An open cup of 40 cm² at 60 °C loses some 7 to 8 g in an hour.
  expect(3600 * evaporatingGPerS(40, 60, air)).toBeGreaterThan(6);
  expect(3600 * evaporatingGPerS(40, 60, air)).toBeLessThan(9);
  expect(evaporatingGPerS(40, 5, air)).toBe(0);
});
