import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { LIQUIDS } from '../databook/liquids';
import { LIQUID_HEATS, METAL_HEATS } from '../databook/specific-heats';
import { commonTempC, exchanged, type HeatBody, type HeatLink } from './heat';

/** Steps of one length, one after the other. */
function after(bodies: readonly HeatBody[], links: readonly HeatLink[], seconds: number, stepS: number) {
  let now = [...bodies];
  const taken = bodies.map(() => 0);
  for (let i = 0; i < Math.round(seconds / stepS); i++) {
    const next = exchanged(now, links, stepS);
    now = next.bodies;
    next.takenJ.forEach((joules, k) => (taken[k] = (taken[k] as number) + joules));
  }
  return { bodies: now, taken };
}

const body = fc.record({
  tempC: fc.double({ min: -20, max: 400, noNaN: true }),
  jPerK: fc.double({ min: 0.5, max: 4000, noNaN: true }),
});
const network = fc.array(body, { minLength: 2, maxLength: 6 }).chain((bodies) =>
  fc.record({
    bodies: fc.constant(bodies),
    links: fc.array(
      fc.record({
        between: fc.tuple(fc.nat(bodies.length - 1), fc.nat(bodies.length - 1)).filter(([a, b]) => a !== b),
        wPerK: fc.double({ min: 0, max: 50, noNaN: true }),
      }),
      { maxLength: 8 },
    ),
  }),
);

describe('bodies that exchange heat', () => {
  it('keep it between them to a thousand-millionth of what moved, and never overshoot', () => {
    fc.assert(
      fc.property(network, fc.constantFrom(0.05, 0.25, 1, 30), ({ bodies, links }, stepS) => {
        const { bodies: then, taken } = after(bodies, links, 40 * stepS, stepS);
        const heat = (all: readonly HeatBody[]) => all.reduce((sum, one) => sum + one.tempC * one.jPerK, 0);
        const moved = taken.reduce((sum, joules) => sum + Math.abs(joules), 0);
        expect(Math.abs(heat(then) - heat(bodies))).toBeLessThan(1e-9 * Math.max(moved, Math.abs(heat(bodies)), 1));
        expect(Math.abs(taken.reduce((a, b) => a + b, 0))).toBeLessThan(1e-9 * Math.max(moved, 1));
        const temps = bodies.map(({ tempC }) => tempC);
        for (const { tempC } of then) {
          expect(tempC).toBeLessThan(Math.max(...temps) + 1e-6);
          expect(tempC).toBeGreaterThan(Math.min(...temps) - 1e-6);
        }
      }),
    );
  });

  it('a pair comes together as its closed form has it, however its time is cut', () => {
    fc.assert(
      fc.property(
        body,
        body,
        fc.double({ min: 0.1, max: 20, noNaN: true }),
        fc.constantFrom(0.1, 0.25, 2, 50),
        (a, b, wPerK, stepS) => {
          const seconds = 100;
          const { bodies } = after([a, b], [{ between: [0, 1], wPerK }], seconds, stepS);
          const end = commonTempC([a, b]);
          const tau = 1 / (wPerK * (1 / a.jPerK + 1 / b.jPerK));
          const left = Math.exp(-seconds / tau);
          expect(bodies[0]?.tempC).toBeCloseTo(end + (a.tempC - end) * left, 8);
          expect(bodies[1]?.tempC).toBeCloseTo(end + (b.tempC - end) * left, 8);
        },
      ),
    );
  });

  it('cool towards a room by Newton’s law, and the room has what they lost', () => {
    const cup = { tempC: 80, jPerK: 420 };
    const room = { tempC: 20, jPerK: Infinity };
    for (const stepS of [0.25, 10, 600]) {
      const { bodies, taken } = after([cup, room], [{ between: [0, 1], wPerK: 0.35 }], 1800, stepS);
      const expected = 20 + 60 * Math.exp((-0.35 * 1800) / 420);
      expect(bodies[0]?.tempC).toBeCloseTo(expected, 9);
      expect(bodies[1]?.tempC).toBe(20);
      expect(taken[1]).toBeCloseTo(420 * (80 - expected), 6);
    }
  });

  it('end at the common temperature when nothing is lost: to a millionth of a kelvin', () => {
    // 100 g of copper at 100 °C in 150 g of water at 20 °C, in a cup of 12 J/K.
    const all = [
      { tempC: 100, jPerK: 100 * 0.385 },
      { tempC: 20, jPerK: 150 * 4.18 },
      { tempC: 20, jPerK: 12 },
    ];
    const links = [
      { between: [0, 1], wPerK: 6 },
      { between: [1, 2], wPerK: 9 },
    ] as const;
    const { bodies } = after(all, links, 600, 0.25);
    const end = (100 * 38.5 + 20 * (627 + 12)) / (38.5 + 627 + 12);
    for (const { tempC } of bodies) expect(Math.abs(tempC - end)).toBeLessThan(1e-6);
    expect(commonTempC(all)).toBeCloseTo(end, 12);
  });

  it('three in a row go as a fine integration has them', () => {
    const all = [
      { tempC: 100, jPerK: 40 },
      { tempC: 20, jPerK: 600 },
      { tempC: 22, jPerK: 15 },
    ];
    const links = [
      { between: [0, 1], wPerK: 5 },
      { between: [1, 2], wPerK: 2 },
    ] as const;
    const { bodies } = after(all, links, 20, 0.25);
    // Euler's steps of a tenth of a millisecond, and half of that: their limit.
    const euler = (h: number) => {
      let [a, b, c] = [100, 20, 22];
      for (let i = 0; i < Math.round(20 / h); i++) {
        const [ab, bc] = [5 * (a - b), 2 * (b - c)];
        [a, b, c] = [a - (h * ab) / 40, b + (h * (ab - bc)) / 600, c + (h * bc) / 15];
      }
      return [a, b, c];
    };
    const [rough, fine] = [euler(1e-3), euler(5e-4)];
    bodies.forEach(({ tempC }, i) =>
      expect(Math.abs(tempC - (2 * (fine[i] as number) - (rough[i] as number)))).toBeLessThan(2e-4),
    );
  });
});

describe('specific heats of the data book', () => {
  it('of metals come to what Dulong and Petit found: some 25 joules for each mole and kelvin', () => {
    const light = ['beryllium'];
    for (const { id, jPerGK, molarMassGPerMol } of METAL_HEATS) {
      if (molarMassGPerMol === null) continue;
      const molar = jPerGK * molarMassGPerMol;
      if (light.includes(id)) expect(molar).toBeLessThan(20);
      else expect(Math.abs(molar - 25.2), id).toBeLessThan(2.2);
    }
  });

  // J mol⁻¹ K⁻¹ at 298.15 K: NIST Chemistry WebBook, condensed phase thermochemistry data.
  it.each([
    ['water', 75.3],
    ['methanol', 81.2],
    ['ethanol', 112.4],
    ['propan-1-ol', 143.9],
    ['propan-2-ol', 155.2],
    ['butan-1-ol', 177.1],
    ['acetone', 126.3],
    ['hexane', 195.5],
    ['heptane', 224.7],
    ['octane', 254.7],
    ['cyclohexane', 155.0],
    ['toluene', 157.1],
    ['ethyl-acetate', 170.7],
    ['ethane-1-2-diol', 149.3],
    ['glycerol', 218.9],
  ])('of %s agrees with another table: %d J/(mol K)', (id, published) => {
    const entry = LIQUID_HEATS.find((one) => one.id === id);
    expect(Math.abs(((entry?.jPerGK ?? 0) * (entry?.molarMassGPerMol ?? 0)) / published - 1)).toBeLessThan(0.012);
  });

  it('are there for eighteen metals and ten liquids at least, and for no liquid without a density', () => {
    expect(METAL_HEATS.length).toBeGreaterThanOrEqual(18);
    expect(LIQUID_HEATS.length).toBeGreaterThanOrEqual(10);
    for (const { id } of LIQUID_HEATS)
      expect(
        LIQUIDS.some((one) => one.id === id),
        id,
      ).toBe(true);
  });
});
