import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { fixed, parseTyped, significant } from './quantity';
import { repeats } from './repeats';

describe('numbers as typed', () => {
  it.each([
    ['12.35', 12.35, 2, 4, ''],
    ['12,35 mL', 12.35, 2, 4, 'mL'],
    [' 0.0500 mol/L ', 0.05, 4, 3, 'mol/L'],
    ['−1.5', -1.5, 1, 2, ''],
    ['1.2e-3', 0.0012, 1, 2, ''],
    ['.5', 0.5, 1, 1, ''],
    ['007', 7, 0, 1, ''],
  ])('reads “%s”', (text, value, decimals, digits, unit) => {
    expect(parseTyped(text)).toEqual({ value, decimals, significant: digits, unit });
  });

  it.each(['', 'ten', '1.2.3', '1,234,5', '--1', '.', 'NaN', 'Infinity', '1e999'])(
    'takes “%s” for no number',
    (text) => {
      expect(parseTyped(text)).toBeUndefined();
    },
  );

  it('never throws and never gives what is not a number', () => {
    fc.assert(
      fc.property(
        fc.string(),
        (text) => parseTyped(text) === undefined || Number.isFinite(parseTyped(text)?.value),
      ),
    );
  });

  it('writes with a real minus and the digits asked for', () => {
    expect([fixed(-1.005, 1), fixed(-0.001, 2), significant(0.098765, 4), significant(1234.5, 3), significant(0.0999996, 4)]).toEqual([
      '−1.0', '0.00', '0.09877', '1230', '0.1000',
    ]); // prettier-ignore
  });
});

describe('repeats', () => {
  it('gives mean, spread and sample deviation', () => {
    const found = repeats([24.1, 24.2, 24.3]);
    expect(found?.mean).toBeCloseTo(24.2, 12);
    expect(found?.spread).toBeCloseTo(0.2, 12);
    expect(found?.deviation).toBeCloseTo(0.1, 12);
    expect(repeats([])).toBeUndefined();
  });
});
