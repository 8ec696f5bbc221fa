import fc from 'fast-check';
import { expect, it } from 'vitest';
import { apart } from './names-shown';

it('leaves names where they are that cover none, and puts others below, so that none covers another', () => {
  expect(
    apart(
      [
        { thing: 'a', x: 0, y: 0 },
        { thing: 'b', x: 200, y: 0 },
      ],
      () => 40,
    ),
  ).toEqual([
    { thing: 'a', x: 0, y: 0 },
    { thing: 'b', x: 200, y: 0 },
  ]);
  // Where things stand in a drawing is no whole pixel.
  const along = fc.integer({ min: 0, max: 300_000 }).map((thousandths) => thousandths / 1000);
  const place = fc.record({ x: along, y: along });
  fc.assert(
    fc.property(fc.array(place, { maxLength: 16 }), (places) => {
      const put = apart(
        places.map((at, i) => ({ thing: String(i), ...at })),
        () => 60,
      );
      expect(put).toHaveLength(places.length);
      for (const one of put)
        for (const other of put)
          if (one !== other) expect(Math.abs(one.x - other.x) >= 60 || Math.abs(one.y - other.y) >= 18).toBe(true);
      for (const { thing, x, y } of put) {
        expect(x).toBe(places[Number(thing)]?.x);
        expect(y).toBeGreaterThanOrEqual(Math.round(places[Number(thing)]?.y ?? Infinity));
      }
    }),
  );
});
