import fc from 'fast-check';
import { describe, expect, inject, it } from 'vitest';
import { EventHeap } from './event-heap';
import { HardSpheres, WALLS, type Filled } from './hard-spheres';
import { BOLTZMANN_ZJ_PER_K, energyAt, massZJ } from './kinetic';
import { ownLog } from './own-log';

/** A gas of hard spheres against what kinetic theory says of it. Lengths in nm, times in ps, energies in zJ. */

const argon = (count: number, more: Partial<Filled> = {}): Filled => ({
  box: [30, 30, 30],
  kinds: [{ gPerMol: 39.95, radiusNm: 0.18, count }],
  kelvin: 300,
  seed: 7,
  ...more,
});
const impactsOf = (gas: HardSpheres, least: number): HardSpheres => {
  for (let sum = 0; sum < least;) sum += gas.advance(5);
  return gas;
};

describe('the heap of events', () => {
  it('has the soonest on top, whatever was set in whichever order', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 40 }),
        fc.array(fc.tuple(fc.nat(39), fc.double({ min: 0, max: 1e6, noNaN: true })), { maxLength: 200 }),
        (size, changes) => {
          const heap = new EventHeap(size);
          for (const [body, time] of changes) if (body < size) heap.set(body, time);
          expect(heap.at[heap.top()]).toBe(Math.min(...heap.at));
        },
      ),
    );
  });
});

describe('a logarithm of one’s own', () => {
  it('is that of the library to some parts in 10¹⁵', () => {
    fc.assert(
      fc.property(fc.double({ min: 1e-300, max: 1e300, noNaN: true }), (x) => {
        expect(Math.abs(ownLog(x) - Math.log(x))).toBeLessThan(2e-15 * Math.max(1, Math.abs(Math.log(x))));
      }),
    );
    expect([ownLog(1), ownLog(0), ownLog(-1)]).toEqual([0, -Infinity, NaN]);
  });
});

describe('a gas of hard spheres', { timeout: 240_000 }, () => {
  it('keeps its energy to rounding over two hundred thousand impacts (a million in `npm run test:long`), and is the same again from the same seed', () => {
    const gas = new HardSpheres(argon(400, { box: [12, 12, 12] }));
    const before = gas.energyZJ();
    expect(before).toBeCloseTo(400 * energyAt(300), 6);
    impactsOf(gas, inject('isLong') ? 1e6 : 2e5);
    expect(Math.abs(gas.energyZJ() / before - 1)).toBeLessThan(1e-9);
    const [a, b] = [new HardSpheres(argon(60)), new HardSpheres(argon(60))];
    a.advance(400);
    // However time is split, but for the rounding of a moment that nothing happens at.
    for (let i = 0; i < 16; i++) b.advance(25);
    expect(b.velocity).toEqual(a.velocity);
    expect(b.pairImpacts).toBe(a.pairImpacts);
    expect(new HardSpheres(argon(60, { seed: 8 })).velocity).not.toEqual(new HardSpheres(argon(60)).velocity);
  });

  it('never has two in one place, or one outside, whatever the kinds, the box and the walls', () => {
    fc.assert(
      fc.property(
        fc.tuple(...[0, 1, 2].map(() => fc.double({ min: 3, max: 12, noNaN: true }))),
        fc.array(
          fc.record({
            gPerMol: fc.double({ min: 1, max: 200, noNaN: true }),
            radiusNm: fc.double({ min: 0.05, max: 0.3, noNaN: true }),
            count: fc.integer({ min: 1, max: 40 }),
          }),
          { minLength: 1, maxLength: 3 },
        ),
        fc.integer({ min: 0, max: 1e6 }),
        fc.constantFrom(0, 50, 900),
        (edges, kinds, seed, wall) => {
          const box = edges as unknown as Filled['box'];
          const gas = new HardSpheres({ box, kinds, kelvin: 300, seed });
          for (let w = 0; w < WALLS; w++) gas.setWall(w, wall);
          gas.advance(40);
          const at = new Float64Array(3 * gas.count);
          gas.positions(at);
          for (let i = 0; i < gas.count; i++) {
            const radius = gas.radius[i] as number;
            for (let axis = 0; axis < 3; axis++) {
              expect(at[3 * i + axis]).toBeGreaterThan(radius - 1e-9);
              expect(at[3 * i + axis]).toBeLessThan((box[axis] as number) - radius + 1e-9);
            }
            for (let j = 0; j < i; j++) {
              const [x, y, z] = [0, 1, 2].map(
                (axis) => (at[3 * i + axis] as number) - (at[3 * j + axis] as number),
              ) as [number, number, number];
              expect(Math.hypot(x, y, z)).toBeGreaterThan(radius + (gas.radius[j] as number) - 1e-7);
            }
          }
        },
      ),
      { numRuns: 60 },
    );
  });

  it('pushes as the ideal gas law says, with the part that is due to their size', () => {
    const gas = impactsOf(new HardSpheres(argon(1000)), 2e4);
    const [push, from, impacts] = [gas.wallPush.slice(), gas.timePs, gas.wallImpacts.reduce((a, b) => a + b, 0)];
    impactsOf(gas, 3e5);
    // Middles meet a wall that is nearer, and smaller, by their size.
    const area = (30 - 0.36) ** 2;
    const hits = gas.wallImpacts.reduce((a, b) => a + b, 0) - impacts;
    const pressure =
      push.reduce((sum, before, wall) => sum + (gas.wallPush[wall] as number) - before, 0) /
      (WALLS * area * (gas.timePs - from));
    // Middles have a smaller box; B₂ = 2πd³/3 for what they take from one another.
    const density = 1000 / (30 - 0.36) ** 3;
    const ideal = density * BOLTZMANN_ZJ_PER_K * 300;
    const theory = ideal * (1 + ((2 * Math.PI) / 3) * 0.36 ** 3 * density);
    // The push of one impact has a spread of about half its mean.
    expect(Math.abs(pressure / theory - 1)).toBeLessThan(4 * (0.6 / Math.sqrt(hits)) + 0.001);
    // 1.58 bar, as 1000 kPa are a zJ in a nm³.
    expect(1000 * pressure).toBeGreaterThan(150);
    expect(1000 * pressure).toBeLessThan(170);
  });

  it('collides as often as the mean free path says', () => {
    const gas = impactsOf(new HardSpheres(argon(1000, { box: [20, 20, 20] })), 2e4);
    const [pairs, from] = [gas.pairImpacts, gas.timePs];
    impactsOf(gas, 2.5e5);
    const rate = (2 * (gas.pairImpacts - pairs)) / 1000 / (gas.timePs - from);
    const mean = Math.sqrt((8 * BOLTZMANN_ZJ_PER_K * 300) / (Math.PI * massZJ(39.95)));
    const density = 1000 / (20 - 0.36) ** 3;
    const filled = (Math.PI / 6) * 0.36 ** 3 * density;
    // λ = 1/(√2 π d² n), and more often by Carnahan and Starling's value where they touch.
    // Within a diameter of a wall a quarter of what one could meet is not there.
    const near = 1 - (6 * 0.36) / (20 - 0.36) / 4;
    const theory = near * Math.SQRT2 * Math.PI * 0.36 ** 2 * density * mean * ((1 - filled / 2) / (1 - filled) ** 3);
    expect(Math.abs(rate / theory - 1)).toBeLessThan(0.015);
  });

  it('comes to Maxwell’s speeds from equal ones, by chi squared', () => {
    const gas = new HardSpheres(argon(2000, { box: [22, 22, 22], seed: 3 }));
    const bins = 12;
    const counts = new Float64Array(bins);
    const sigma = Math.sqrt((BOLTZMANN_ZJ_PER_K * 300) / massZJ(39.95));
    // Edges between which a twelfth of all speeds lie, by bisection of the distribution function.
    const erf = (x: number) => {
      let sum = 0;
      for (let k = 0, term = x; k < 80; k++) {
        sum += term / (2 * k + 1);
        term *= -(x * x) / (k + 1);
      }
      return (2 / Math.sqrt(Math.PI)) * sum;
    };
    const below = (v: number) =>
      erf(v / (sigma * Math.SQRT2)) - Math.sqrt(2 / Math.PI) * (v / sigma) * Math.exp(-(v * v) / (2 * sigma * sigma));
    const edge = (part: number) => {
      let [low, high] = [0, 5 * sigma];
      for (let i = 0; i < 60; i++) {
        const middle = (low + high) / 2;
        if (below(middle) < part) low = middle;
        else high = middle;
      }
      return low;
    };
    const edges = Array.from({ length: bins - 1 }, (_, i) => edge((i + 1) / bins));
    impactsOf(gas, 6e4);
    const samples = 8;
    for (let s = 0; s < samples; s++) {
      impactsOf(gas, 3e4);
      for (let i = 0; i < gas.count; i++) {
        const v = Math.sqrt((2 * gas.energyOf(i)) / massZJ(39.95));
        const bin = edges.findIndex((one) => v < one);
        counts[bin < 0 ? bins - 1 : bin] = (counts[bin < 0 ? bins - 1 : bin] as number) + 1;
      }
    }
    const expected = (samples * 2000) / bins;
    const chi = counts.reduce((sum, found) => sum + (found - expected) ** 2 / expected, 0);
    // Eleven degrees of freedom: beyond 31.3 one time in a thousand.
    expect(chi).toBeLessThan(31.3);
    // And at the beginning, with equal speeds, it is nothing like it.
    const still = new HardSpheres(argon(2000, { box: [22, 22, 22] }));
    expect(new Set(Array.from({ length: 5 }, (_, i) => still.energyOf(i).toFixed(9))).size).toBe(1);
  });

  it('shares its energy alike between light and heavy', () => {
    const kinds = [
      { gPerMol: 4, radiusNm: 0.13, count: 500 },
      { gPerMol: 131.3, radiusNm: 0.22, count: 500 },
    ];
    const gas = new HardSpheres({ box: [18, 18, 18], kinds, kelvin: 300, seed: 5 });
    // All of it in the light ones at first.
    for (let i = 500; i < 1000; i++) gas.velocity.fill(0, 3 * i, 3 * i + 3);
    impactsOf(gas, 1.5e5);
    let [light, heavy] = [0, 0];
    for (let sample = 0; sample < 12; sample++) {
      impactsOf(gas, 1.5e4);
      for (let i = 0; i < 500; i++) {
        light += gas.energyOf(i);
        heavy += gas.energyOf(500 + i);
      }
    }
    expect(Math.abs(light / heavy - 1)).toBeLessThan(0.04);
  });

  it('comes to the temperature of its walls, and the heat that came in is what it has more', () => {
    const gas = new HardSpheres(argon(500, { box: [15, 15, 15] }));
    const before = gas.energyZJ();
    for (let wall = 0; wall < WALLS; wall++) gas.setWall(wall, 450);
    gas.advance(600);
    let mean = 0;
    for (let i = 0; i < 60; i++) {
      gas.advance(10);
      mean += gas.energyZJ() / 60 / 500;
    }
    expect(gas.energyZJ() - before).toBeCloseTo(gas.heatZJ, 6);
    // 500 of them have a spread of √(2/3/500) at each look, and looks hang together.
    expect(Math.abs(mean / energyAt(450) - 1)).toBeLessThan(0.03);
  });

  it('carries a piston at the height that its pressure asks for, and energy is kept with what lifts it', () => {
    const gas = new HardSpheres(argon(500, { box: [14, 14, 90] }));
    gas.setPiston({ gPerMol: 4000, pressureKPa: 150 });
    const before = gas.energyZJ() + gas.pistonZJ();
    // It falls from the top, swings, and comes to rest but for its trembling: energy of its fall is in the gas then.
    gas.advance(3000);
    expect(Math.abs((gas.energyZJ() + gas.pistonZJ()) / before - 1)).toBeLessThan(1e-9);
    let [height, energy] = [0, 0];
    const looks = 1500;
    for (let i = 0; i < looks; i++) {
      gas.advance(4);
      height += gas.heightNm() / looks;
      energy += gas.energyZJ() / looks;
    }
    expect(Math.abs((gas.energyZJ() + gas.pistonZJ()) / before - 1)).toBeLessThan(1e-9);
    // Middles stand in a smaller vessel by a diameter each way, and their part of it is as the ideal law with B₂ says.
    const kT = (2 * energy) / 3 / 500;
    const force = 0.15 * 14 * 14;
    const ideal = (500 * kT) / force;
    const middles = ideal * (1 + ((2 * Math.PI) / 3) * 0.36 ** 3 * (500 / (ideal * (14 - 0.36) ** 2)));
    expect(Math.abs((height - 0.36) / middles - 1)).toBeLessThan(0.03);
  });

  it('is pressed together by more weight, and stops at the ground and at the top', () => {
    const gas = new HardSpheres(argon(20, { box: [10, 10, 20] }));
    gas.setPiston({ gPerMol: 2000, pressureKPa: 5 });
    gas.advance(2000);
    expect(gas.heightNm()).toBeLessThanOrEqual(20);
    gas.setPiston({ gPerMol: 2000, pressureKPa: 20_000 });
    for (let i = 0; i < 200; i++) {
      gas.advance(10);
      expect(gas.heightNm()).toBeGreaterThan(0.35);
      expect(gas.heightNm()).toBeLessThanOrEqual(20 + 1e-9);
    }
    expect(() => gas.setPiston({ gPerMol: 0, pressureKPa: 100 })).toThrow(/no mass/);
    expect(() => gas.setPiston({ gPerMol: 100, pressureKPa: -1 })).toThrow(/no pressure/);
  });

  it('is refused where it has no room, or none of it is there', () => {
    expect(() => new HardSpheres(argon(0))).toThrow(/no particles/);
    expect(() => new HardSpheres(argon(100, { box: [1, 1, 1] }))).toThrow(/no room/);
    expect(() => new HardSpheres(argon(1, { box: [0.3, 5, 5] }))).toThrow(/too small/);
    const gas = new HardSpheres(argon(2));
    expect(() => gas.setWall(6, 300)).toThrow(/no wall/);
    expect(() => gas.setWall(0, NaN)).toThrow(/no temperature/);
  });

  it('leaks through a small hole at the rate of theory, the light ones sooner', () => {
    const counts = [1500, 1500] as const;
    const gas = new HardSpheres({
      box: [40, 40, 40],
      kinds: [
        { gPerMol: 4.003, radiusNm: 0.13, count: counts[0] },
        { gPerMol: 39.95, radiusNm: 0.18, count: counts[1] },
      ],
      kelvin: 300,
      seed: 11,
    });
    // Walls of the gas's own temperature: what leaves is faster than what stays, and would cool it.
    for (let wall = 0; wall < WALLS; wall++) gas.setWall(wall, 300);
    const before = gas.energyZJ();
    gas.setHole({ wall: 1, radiusNm: 3 });
    const ps = 2500;
    gas.advance(ps);
    const share = [4.003, 39.95].map((gPerMol, kind) => {
      // Middles have a box of their own: n v̄/4 of them come to each square nm of a wall.
      const edge = 40 - 2 * [0.13, 0.18][kind]!;
      const mean = Math.sqrt((8 * BOLTZMANN_ZJ_PER_K * 300) / (Math.PI * massZJ(gPerMol)));
      return 1 - Math.exp((-ps * mean * Math.PI * 9) / (4 * edge ** 3));
    });
    share.forEach((expected, kind) => {
      const all = counts[kind] ?? 0;
      const sigma = Math.sqrt(all * expected * (1 - expected));
      expect(Math.abs((gas.left[kind] ?? 0) - all * expected)).toBeLessThan(4 * sigma);
    });
    expect(gas.left[0]).toBeGreaterThan(2 * (gas.left[1] ?? 0));
    expect(Math.abs(gas.energyZJ() + gas.leftZJ - gas.heatZJ - before) / before).toBeLessThan(1e-9);
    expect(gas.isGone.reduce((sum, one) => sum + one, 0)).toBe((gas.left[0] ?? 0) + (gas.left[1] ?? 0));
    expect(() => gas.setHole({ wall: 7, radiusNm: 1 })).toThrow(RangeError);
    expect(() => gas.setHole({ wall: 1, radiusNm: 20 })).toThrow(RangeError);
  });

  it('goes on from a copy as it goes on itself, to the last bit, and is not touched by it', () => {
    const gas = new HardSpheres(argon(150, { box: [14, 14, 20] }));
    gas.setWall(0, 500);
    gas.setPiston({ gPerMol: 4000, pressureKPa: 200 });
    gas.setHole({ wall: 2, radiusNm: 1.5 });
    gas.advance(300);
    const then = new Float64Array(3 * gas.count);
    gas.positions(then);
    const copy = gas.copy();
    copy.advance(500);
    const still = new Float64Array(3 * gas.count);
    gas.positions(still);
    expect(still).toEqual(then);
    gas.advance(500);
    const [own, other] = [new Float64Array(3 * gas.count), new Float64Array(3 * gas.count)];
    gas.positions(own);
    copy.positions(other);
    expect(other).toEqual(own);
    expect(copy.velocity).toEqual(gas.velocity);
    expect([copy.heightNm(), copy.heatZJ, copy.leftZJ, copy.pairImpacts]).toEqual([
      gas.heightNm(),
      gas.heatZJ,
      gas.leftZJ,
      gas.pairImpacts,
    ]);
    expect(gas.left[0]).toBeGreaterThan(0);
  });
});
