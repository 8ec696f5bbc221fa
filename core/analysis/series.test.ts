import fc from 'fast-check';
import { expect, it } from 'vitest';
import { isSeries } from './series';

it('tells what was made to grow from repeats of one thing', () => {
  expect(isSeries([26.0, 28.1, 30.1, 32.2, 34.3])).toBe(true);
  expect(isSeries([45, 22.4, 11.1, 5])).toBe(true);
  // Four titres that happen to rise are repeats still; three volumes are too few to tell; two alike are no series.
  expect(isSeries([21.3, 21.35, 21.4, 21.45])).toBe(false);
  expect(isSeries([1, 2, 3])).toBe(false);
  expect(isSeries([1, 2, 2, 3])).toBe(false);
  expect(isSeries([1, 3, 2, 4])).toBe(false);
});

it('does not depend on the unit nor on the way that it is read', () => {
  const values = fc.array(fc.double({ min: 0.1, max: 100, noNaN: true }), { maxLength: 12 });
  fc.assert(
    fc.property(values, fc.constantFrom(2, 0.5, 1024), (list, factor) => {
      const is = isSeries(list);
      expect(isSeries(list.map((value) => value * factor))).toBe(is);
      expect(isSeries([...list].reverse())).toBe(is);
    }),
  );
});
