import { describe, expect, it } from 'vitest';
import { isOutlier, meanText, pooled } from './pooled';

describe('values of a class taken together', () => {
  it('give mean, deviation and quartiles as worked by hand', () => {
    // 2, 4, 4, 4, 5, 5, 7, 9: mean 5, sample deviation √(32/7); quartiles 4 and 5.5 by interpolation.
    const pool = pooled([2, 4, 4, 4, 5, 5, 7, 9]);
    expect(pool?.mean).toBe(5);
    expect(pool?.deviation).toBeCloseTo(Math.sqrt(32 / 7), 12);
    expect(pool?.quartiles).toEqual([4, 5.5]);
    expect(pool?.fences).toEqual([1.75, 7.75]);
  });

  it('mark what lies more than one and a half widths of the middle half beyond it', () => {
    const values = [2.69, 2.7, 2.71, 2.7, 2.72, 2.68, 2.9];
    const pool = pooled(values);
    if (!pool) throw new Error('nothing pooled');
    expect(values.filter((value) => isOutlier(value, pool))).toEqual([2.9]);
  });

  it('have a mean with no more places than its deviation bears', () => {
    expect(meanText({ mean: 8.63637, deviation: 0.1712 })).toBe('8.64');
    expect(meanText({ mean: 2.7, deviation: 0.0158 })).toBe('2.700');
    expect(meanText({ mean: 1234.5, deviation: 42 })).toBe('1235');
    expect(meanText({ mean: -0.123, deviation: 0.5 })).toBe('−0.12');
    expect(meanText({ mean: 2.7, deviation: undefined })).toBe('2.700');
  });

  it('mark nothing among fewer than five, and give nothing of none', () => {
    const pool = pooled([1, 1, 1, 50]);
    expect(pool && isOutlier(50, pool)).toBe(false);
    expect(pooled([])).toBeUndefined();
  });
});
