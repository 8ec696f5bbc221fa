import { describe, expect, it } from 'vitest';
import { HardSpheres, PISTON } from './hard-spheres';
import { BOLTZMANN_ZJ_PER_K, energyAt, kelvinOf, massZJ } from './kinetic';

/** A gas of hard spheres whose wall is driven, whose number is changed, and that is given heat: against closed forms and its accounts. */

const neon = (count: number, box: [number, number, number], seed = 3) =>
  new HardSpheres({ box, kinds: [{ gPerMol: 20.18, radiusNm: 0.13, count }], kelvin: 300, seed });

const supplied = (gas: HardSpheres) => gas.heatZJ + gas.broughtZJ + gas.workZJ();
const held = (gas: HardSpheres) => gas.energyZJ() + gas.pistonZJ();

describe('a gas under a driven wall', { timeout: 60_000 }, () => {
  it('is warmed by being pressed together slowly as an adiabat says, and cooled by the same way back', () => {
    const gas = neon(400, [16, 16, 32]);
    gas.advance(200);
    const [cold, before] = [gas.energyZJ(), held(gas)];
    const inner = (nm: number) => nm - 0.26;
    gas.driveTo(20, 0.002);
    gas.advance(6500);
    expect(gas.heightNm()).toBe(20);
    // T V^(2/3) stays, where it is done so slowly that the energy is shared all the while.
    const warm = gas.energyZJ() / cold;
    expect(Math.abs(warm / (inner(32) / inner(20)) ** (2 / 3) - 1)).toBeLessThan(0.02);
    expect(held(gas) - before).toBeCloseTo(gas.workZJ(), 6);
    gas.driveTo(32, 0.002);
    gas.advance(6500);
    expect(Math.abs(gas.energyZJ() / cold - 1)).toBeLessThan(0.02);
    expect(held(gas) - before).toBeCloseTo(gas.workZJ(), 6);
  });

  it('is pressed by a wall that is driven as fast as it is driven, and stands there then', () => {
    const gas = neon(1, [10, 10, 40]);
    gas.driveTo(10, 0.5);
    expect(gas.drivenUntilPs).toBeCloseTo(60, 9);
    gas.advance(30);
    expect(gas.heightNm()).toBeCloseTo(25, 9);
    gas.advance(100);
    expect(gas.heightNm()).toBe(10);
    expect(gas.drivenUntilPs).toBe(Infinity);
    const places = new Float64Array(3);
    for (let i = 0; i < 200; i++) {
      gas.advance(7);
      gas.positions(places);
      expect(places[2]).toBeLessThanOrEqual(10 - 0.13 + 1e-9);
      expect(places[2]).toBeGreaterThanOrEqual(0.13 - 1e-9);
    }
    for (const nm of [0, 0.2, 41, NaN]) expect(() => gas.driveTo(nm, 0.5)).toThrow(RangeError);
    expect(() => gas.driveTo(20, 0)).toThrow(/no speed/);
  });

  it('keeps its account when wall and piston take turns, whatever presses', () => {
    const gas = neon(150, [16, 16, 40]);
    const before = held(gas);
    gas.setWall(0, 500);
    for (const [kPa, nm] of [
      [40, 12],
      [300, 35],
      [80, 20],
    ] as const) {
      gas.setPiston({ gPerMol: 400, pressureKPa: kPa });
      gas.advance(300);
      gas.driveTo(nm, 0.2);
      gas.advance(300);
      expect(held(gas) - before - supplied(gas)).toBeCloseTo(0, 5);
    }
  });

  it('gives each impact on a wall that stands the push 2 m u, and stops at it when asked', () => {
    const gas = neon(60, [12, 12, 20]);
    gas.driveTo(20, 0.2);
    const mass = massZJ(20.18);
    let [impacts, push] = [0, 0];
    for (let i = 0; i < 50; i++) {
      const [before, pushed, from] = [gas.wallImpacts[PISTON] ?? 0, gas.wallPush[PISTON] ?? 0, gas.timePs];
      gas.advanceTo(from + 500, true);
      expect(gas.wallImpacts[PISTON]).toBe(before + 1);
      expect(gas.lastImpact.ps).toBe(gas.timePs);
      expect(gas.lastImpact.push).toBeCloseTo(2 * mass * gas.lastImpact.speed, 9);
      expect((gas.wallPush[PISTON] ?? 0) - pushed).toBeCloseTo(gas.lastImpact.push, 6);
      impacts++;
      push += gas.lastImpact.push;
    }
    expect(impacts).toBe(50);
    expect(push).toBeGreaterThan(0);
  });

  it('flies the same whether it is stopped at impacts or not', () => {
    const [one, other] = [neon(80, [12, 12, 20]), neon(80, [12, 12, 20])];
    for (const gas of [one, other]) gas.driveTo(20, 0.2);
    one.advanceTo(400);
    while (other.timePs < 400) other.advanceTo(400, true);
    const [a, b] = [new Float64Array(240), new Float64Array(240)];
    one.positions(a);
    other.positions(b);
    expect(b).toEqual(a);
  });

  it('lets more in and out: those that stay fly on from where they are, nothing overlaps, and the account says what came', () => {
    const gas = neon(100, [14, 14, 30]);
    for (let wall = 0; wall < 5; wall++) gas.setWall(wall, 300);
    gas.advance(100);
    const before = held(gas) - supplied(gas);
    const places = new Float64Array(300);
    gas.positions(places);
    const more = gas.withCount(400, 600);
    const now = new Float64Array(1200);
    more.positions(now);
    expect(now.subarray(0, 300)).toEqual(places);
    for (let i = 0; i < 400; i++)
      for (let j = 0; j < i; j++) {
        const square = [0, 1, 2].reduce((sum, k) => sum + ((now[3 * i + k] ?? 0) - (now[3 * j + k] ?? 0)) ** 2, 0);
        if (i >= 100) expect(square).toBeGreaterThan(0.26 ** 2);
      }
    // Three hundred of 600 K came: within four standard deviations of their mean energy.
    const came = more.broughtZJ / 300 / energyAt(600);
    expect(Math.abs(came - 1)).toBeLessThan(4 * Math.sqrt(2 / 3 / 300));
    more.advance(200);
    expect(held(more) - supplied(more)).toBeCloseTo(before, 5);
    const fewer = more.withCount(10, 300);
    expect(fewer.count).toBe(10);
    expect(held(fewer) - supplied(fewer)).toBeCloseTo(before, 5);
    fewer.advance(200);
    expect(held(fewer) - supplied(fewer)).toBeCloseTo(before, 5);
    // The one that it was taken from is as it was.
    expect(gas.count).toBe(100);
    expect(() => gas.withCount(0, 300)).toThrow(RangeError);
    expect(() => neon(2, [2, 2, 2]).withCount(4000, 300)).toThrow(/no room/);
  });

  it('is warmer by what it is given, and has no less than nothing', () => {
    const gas = neon(50, [12, 12, 12]);
    const before = kelvinOf(gas.energyZJ() / 50);
    gas.give(100);
    expect(kelvinOf(gas.energyZJ() / 50) - before).toBeCloseTo(100 / (1.5 * BOLTZMANN_ZJ_PER_K * 50), 6);
    gas.give(-100);
    expect(kelvinOf(gas.energyZJ() / 50)).toBeCloseTo(before, 6);
    expect(gas.broughtZJ).toBeCloseTo(0, 6);
    expect(() => gas.give(-1e6)).toThrow(/not so much/);
  });
});
