import { describe, expect, it } from 'vitest';
import { isUnit } from './unit-spellings';

describe('a unit as it is typed', () => {
  it.each([
    ['ml', 'mL'],
    ['cm³', 'mL'],
    ['cm3', 'mL'],
    ['CM^3', 'mL'],
    [' g ', 'g'],
    ['c', '°C'],
    ['kpa', 'kPa'],
  ])('%s is %s', (typed, unit) => expect(isUnit(typed, unit)).toBe(true));

  it.each([
    ['L', 'mL'],
    ['cm', 'mL'],
    ['dm³', 'mL'],
    ['mL', 'g'],
    ['K', '°C'],
    ['', 'g'],
  ])('%s is not %s', (typed, unit) => expect(isUnit(typed, unit)).toBe(false));
});
