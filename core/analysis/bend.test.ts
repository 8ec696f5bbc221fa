import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { splitAtBend } from './bend';

describe('where a series bends', () => {
  it('is where two lines meet, whatever their slopes and wherever the points lie', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 4, max: 40 }),
        fc.integer({ min: 4, max: 40 }),
        fc.double({ min: -5, max: 5, noNaN: true }),
        fc.double({ min: 0.5, max: 5, noNaN: true }),
        fc.double({ min: -1e4, max: 1e4, noNaN: true }),
        (before, after, slope, more, far) => {
          const points = Array.from({ length: before + after }, (_, i) => ({
            x: far + i,
            // The bend lies half a step before the first point of the second line.
            y: 20 + slope * i + (i >= before ? more * (i - before + 0.5) : 0),
          }));
          expect(splitAtBend(points)).toBe(before);
        },
      ),
    );
  });

  it('is found in five thousand points, and in none of too few', () => {
    const points = Array.from({ length: 5000 }, (_, i) => ({ x: i, y: i < 3100 ? 80 - i / 100 : 49 }));
    expect(Math.abs((splitAtBend(points) ?? NaN) - 3100)).toBeLessThanOrEqual(1);
    expect(splitAtBend(points.slice(0, 5))).toBeUndefined();
    expect(splitAtBend(points.slice(0, 5), 2)).toBeDefined();
    expect(splitAtBend([])).toBeUndefined();
    expect(splitAtBend(Array.from({ length: 10 }, () => ({ x: 1, y: 2 })))).toBeUndefined();
  });
});
