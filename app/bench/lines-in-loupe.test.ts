import fc from 'fast-check';
import { expect, it } from 'vitest';
import { LINE, linesNear, NUMBERED_EACH } from './lines-in-loupe';

/** How far from the middle a number can stand and still be seen whole, in units of the loupe. */
const IN_VIEW = 102;

it('two numbers of a scale are in view, wherever it is read', () => {
  fc.assert(
    fc.property(fc.double({ min: 0, max: 100, noNaN: true }), (at) => {
      const numbered = linesNear(at).filter(
        (line) => line % NUMBERED_EACH === 0 && Math.abs(line - at) * LINE <= IN_VIEW,
      );
      expect(numbered.length).toBeGreaterThanOrEqual(2);
      expect(numbered.length).toBeLessThanOrEqual(3);
    }),
  );
});

it('no line is shown that the scale has not', () => {
  expect(linesNear(1, { least: 0, most: 3 })).toEqual([0, 1, 2, 3]);
});
