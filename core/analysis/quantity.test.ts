import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { fixed, joinThousands, parseTyped, short, significant } from './quantity';
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
    ['2 500', 2500, 0, 4, ''],
    ['12\u2009000.5 mL', 12000.5, 1, 6, 'mL'],
    ['1\u202f234\u202f567', 1234567, 0, 7, ''],
    ['5 1/s', 5, 0, 1, '1/s'],
  ])('reads “%s”', (text, value, decimals, digits, unit) => {
    expect(parseTyped(text)).toEqual({ value, decimals, significant: digits, unit });
  });

  it.each([
    '',
    'ten',
    '2 50',
    '1.5 000',
    '12 34 567',
    '0.1 0.2',
    '1.2.3',
    '1,234,5',
    '--1',
    '.',
    'NaN',
    'Infinity',
    '1e999',
  ])('takes “%s” for no number', (text) => {
    expect(parseTyped(text)).toBeUndefined();
  });

  it('never throws and never gives what is not a number', () => {
    fc.assert(
      fc.property(fc.string(), (text) => parseTyped(text) === undefined || Number.isFinite(parseTyped(text)?.value)),
    );
  });

  it('writes with a real minus and the digits asked for', () => {
    expect([
      fixed(-1.005, 1),
      fixed(-0.001, 2),
      significant(0.098765, 4),
      significant(1234.5, 3),
      significant(0.0999996, 4),
    ]).toEqual(['−1.0', '0.00', '0.09877', '1230', '0.1000']);
  });
});

describe('numbers in sentences', () => {
  it.each([
    [20.310000000000002, '20.31'],
    [-0.1, '−0.1'],
    [1e-9, '0'],
    [-1e-9, '0'],
    [4, '4'],
    [1234.5678, '1234.568'],
  ])('%f is %s', (value, text) => {
    expect(short(value)).toBe(text);
  });

  it('joins groups of three alone, wherever they stand, and any number so written is read as itself', () => {
    expect(joinThousands('12 000 / 3 and 2 50 and V_1 000')).toBe('12000 / 3 and 2 50 and V_1 000');
    fc.assert(
      fc.property(fc.nat(999_999_999), fc.constantFrom(' ', '\u00a0', '\u2009', '\u202f'), (number, space) => {
        const grouped = String(number).replace(/\B(?=(\d{3})+$)/g, space);
        expect(parseTyped(grouped)?.value).toBe(number);
      }),
    );
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
