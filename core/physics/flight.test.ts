import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { chance } from '../random';
import { anyDirection, anyPlace, atSpeed, flownTo, placeAt, type Flight, type Room, type Vector } from './flight';
import { energyAt, energyOf, kelvinOf, molarMassOf, speedOf } from './kinetic';

const begun = (seed: string, room: Room, speed: number): Flight => {
  const source = chance(seed, 'flight');
  return { at: anyPlace(source, room), direction: anyDirection(source), speed, sincePs: 0, hits: 0 };
};

const flights = fc.record({
  seed: fc.nat(1000).map(String),
  edgeNm: fc.double({ min: 2, max: 40, noNaN: true }),
  speed: fc.double({ min: 0, max: 6, noNaN: true }),
  ps: fc.double({ min: 0, max: 2000, noNaN: true }),
  part: fc.double({ min: 0, max: 1, noNaN: true }),
});

/** Straight on through mirrored vessels, folded back into the first: where it is, and how many walls lie behind it. */
function folded(flight: Flight, ps: number, { edgeNm, radiusNm }: Room): { place: number[]; hits: number } {
  const width = edgeNm - 2 * radiusNm;
  let hits = 0;
  const place = flight.at.map((start, axis) => {
    const far = start - radiusNm + (flight.direction[axis] as number) * flight.speed * ps;
    hits += Math.abs(Math.floor(far / width));
    const back = ((far % (2 * width)) + 2 * width) % (2 * width);
    return radiusNm + (back > width ? 2 * width - back : back);
  });
  return { place, hits };
}

describe('a particle between walls', () => {
  it('is where the closed form has it, and has hit as many walls', () => {
    fc.assert(
      fc.property(flights, ({ seed, edgeNm, speed, ps }) => {
        const room = { edgeNm, radiusNm: 0.2 };
        const start = begun(seed, room, speed);
        const end = flownTo(start, ps, room);
        const expected = folded(start, ps, room);
        placeAt(end, ps).forEach((x, axis) => expect(x).toBeCloseTo(expected.place[axis] as number, 7));
        // Within rounding of a hit, both counts are right.
        if (Math.abs(ps - end.sincePs) > 1e-6 && flownTo(start, ps + 1e-6, room).hits === end.hits)
          expect(end.hits).toBe(expected.hits);
      }),
    );
  });

  it('keeps its speed, stays inside, and does not care how its time is split: to the last bit', () => {
    fc.assert(
      fc.property(flights, ({ seed, edgeNm, speed, ps, part }) => {
        const room = { edgeNm, radiusNm: 0.2 };
        const start = begun(seed, room, speed);
        const once = flownTo(start, ps, room);
        expect(flownTo(flownTo(start, part * ps, room), ps, room)).toEqual(once);
        expect(once.speed).toBe(speed);
        expect(Math.hypot(...once.direction)).toBeCloseTo(1, 12);
        for (const x of placeAt(once, ps)) {
          expect(x).toBeGreaterThan(0.2 - 1e-9);
          expect(x).toBeLessThan(edgeNm - 0.2 + 1e-9);
        }
        // At another speed it goes on from where it is, the same way.
        const slower = atSpeed(once, ps, speed / 2);
        expect(placeAt(slower, ps)).toEqual(placeAt(once, ps));
        expect(slower.direction).toEqual(once.direction);
      }),
    );
  });

  it('comes off a corner, and stands still when it has no speed', () => {
    const room = { edgeNm: 10, radiusNm: 1 };
    const d = 1 / Math.sqrt(3);
    const corner: Flight = { at: [7, 7, 7], direction: [d, d, d], speed: 1, sincePs: 0, hits: 0 };
    const after = flownTo(corner, 100, room);
    expect(after.hits % 3).toBe(0);
    const [x, y, z] = placeAt(after, 100);
    expect([y, z]).toEqual([x, x]);
    expect(flownTo({ ...corner, speed: 0 }, 1e6, room)).toEqual({ ...corner, speed: 0 });
  });

  it('begins in any direction alike', () => {
    const source = chance('all round', 'directions');
    const count = 30_000;
    const all = Array.from({ length: count }, () => anyDirection(source));
    for (const axis of [0, 1, 2]) {
      const of = (power: number) => all.reduce((sum, d: Vector) => sum + (d[axis] as number) ** power, 0) / count;
      // Mean 0 and mean square 1/3; four standard deviations of such means.
      expect(Math.abs(of(1))).toBeLessThan(4 * Math.sqrt(1 / 3 / count));
      expect(Math.abs(of(2) - 1 / 3)).toBeLessThan(4 * Math.sqrt(4 / 45 / count));
    }
  });
});

describe('energy, speed and temperature', () => {
  // G. W. C. Kaye, T. H. Laby, Tables of Physical and Chemical Constants: root mean square speeds at 0 °C, m/s.
  it.each([
    ['hydrogen', 2.016, 1838],
    ['nitrogen', 28.014, 493],
    ['oxygen', 31.998, 461],
    ['carbon dioxide', 44.009, 393],
  ])('of %s agree with the published speed', (_name, molarMass, published) => {
    expect(Math.abs(1000 * speedOf(energyAt(273.15), molarMass) - published)).toBeLessThan(1);
  });

  it('go back and forth', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 1, max: 3000, noNaN: true }),
        fc.double({ min: 2, max: 200, noNaN: true }),
        (T, M) => {
          const speed = speedOf(energyAt(T), M);
          expect(kelvinOf(energyOf(speed, M)) / T).toBeCloseTo(1, 12);
          expect(molarMassOf(energyAt(T), speed) / M).toBeCloseTo(1, 12);
          // Twice the temperature: twice the energy, √2 of the speed.
          expect(energyAt(2 * T) / energyAt(T)).toBeCloseTo(2, 12);
          expect(speedOf(energyAt(2 * T), M) / speed).toBeCloseTo(Math.SQRT2, 12);
        },
      ),
    );
  });
});
