import { describe, expect, it } from 'vitest';
import type { Bench } from '../bench';
import { heatOfPair } from '../kinds/neutral';
import { dissolvedJ } from '../matter';
import { begun, moved, worked } from '../testing';
import { mix, solutionOf } from '../../../chemistry/solution';

const inside = (run: ReturnType<typeof begun>) => run.bench().inside() as Bench;
const bottles = (acid: string, base: string, molPerL = 1) => [
  { liquidId: 'water', molPerL: { [acid]: molPerL } },
  { liquidId: 'water', molPerL: { [base]: molPerL } },
];
const sampleOf = (acid: string, base: string) => ({
  roomC: 20, boilsC: 100, metal: null, saltId: null, solidFuelId: null, lampFuelIds: [], freezingId: null, dissolvingId: null, otherFreezingId: null, bottles: bottles(acid, base), task: null, capacity: 1,
}); // prettier-ignore

describe('an acid with a base', () => {
  // CODATA 1989 and NBS 1982 by enthalpies of formation; weak ones: Christensen, Hansen, Izatt 1976. kJ/mol given out.
  it.each([
    ['hydrochloric-acid', 'sodium-hydroxide', 55.8],
    ['nitric-acid', 'potassium-hydroxide', 55.8],
    ['acetic-acid', 'sodium-hydroxide', 56.1],
    ['formic-acid', 'sodium-hydroxide', 55.9],
    ['hydrochloric-acid', 'ammonia', 52.2],
    ['acetic-acid', 'ammonia', 52.5],
    ['hydrochloric-acid', 'methylamine', 55.3],
    ['hydrochloric-acid', 'tris', 47.5],
    ['hydrochloric-acid', 'ethanolamine', 50.5],
    ['lactic-acid', 'sodium-hydroxide', 56.1],
  ])('%s with %s gives out the published heat', (acid, base, kJ) => {
    expect(Math.abs(heatOfPair(sampleOf(acid, base)) - kJ)).toBeLessThan(0.6);
  });

  it('gives out nothing when it meets itself, or water, but for what it dissociates more', () => {
    const mixed = (a: Parameters<typeof mix>[0], b: Parameters<typeof mix>[1]) =>
      dissolvedJ(a) + dissolvedJ(b) - dissolvedJ(mix(a, b));
    const acid = solutionOf('hydrochloric-acid', 1, 50);
    expect(Math.abs(mixed(acid, acid))).toBeLessThan(1e-6);
    expect(Math.abs(mixed(acid, { volumeMl: 50, amounts: {} }))).toBeLessThan(1e-3);
    const weak = solutionOf('acetic-acid', 1, 50);
    // The part that dissociates grows from 0.42 % to 0.59 %: less than a joule.
    expect(Math.abs(mixed(weak, { volumeMl: 50, amounts: {} }))).toBeLessThan(1);
  });

  it('is the same in two portions as in one, and stops when one of the two has run out', () => {
    const heats = [10, 20, 40, 60, 80].map((ml) => {
      const [a, b] = [solutionOf('acetic-acid', 1, 40), solutionOf('sodium-hydroxide', 1, ml)];
      return dissolvedJ(a) + dissolvedJ(b) - dissolvedJ(mix(a, b));
    });
    const [ten, twenty, forty, sixty, eighty] = heats as [number, number, number, number, number];
    expect(twenty / ten).toBeCloseTo(2, 2);
    expect(forty / ten).toBeCloseTo(4, 2);
    expect(sixty - forty).toBeLessThan(0.001 * forty);
    expect(eighty - sixty).toBeLessThan(0.001 * forty);
  });

  it('keeps its account of energy while it dries in an open cup, whose forms shift as it grows stronger', () => {
    const run = begun('acid-with-base', { sample: { bottles: bottles('acetic-acid', 'ammonia') } });
    run.hands.act({ kind: 'pour', bottle: 1, to: 'cup', ml: 12 });
    run.hands.act({ kind: 'pour', bottle: 2, to: 'cup', ml: 20 });
    const before = run.bench().accounts();
    const after = run.bench().advance(7200).accounts();
    expect((run.bench().advance(7200).inside() as Bench).vapourG).toBeGreaterThan(0.5);
    for (const [name, total] of Object.entries(after)) expect(Math.abs(total - (before[name] ?? 0))).toBeLessThan(1e-7);
  });

  it('knows which of the two ran out by what was really in the cup', async () => {
    for (const [acidMl, baseMl, ranOut] of [
      [50, 60, 'the acid'],
      [60, 50, 'the base'],
      [50, 50, 'both at once'],
    ] as const) {
      const run = await worked(
        'acid-with-base',
        { sample: { bottles: bottles('nitric-acid', 'sodium-hydroxide') } },
        { acidMl, baseMl },
        1,
      );
      expect(run.bench().truths()['ranOut']).toBe(ranOut);
    }
  });

  it('comes out over a second or two when it is stirred, and over many when it is not', () => {
    const after = (how: 'off' | 'motor') => {
      const run = begun('acid-with-base', { setup: { losses: false } });
      run.hands.act({ kind: 'pour', bottle: 1, to: 'cup', ml: 50 });
      run.hands.act({ kind: 'stir', vessel: 'cup', how });
      run.hands.act({ kind: 'pour', bottle: 2, to: 'cup', ml: 50 });
      run.hands.act({ kind: 'wait' }, 2);
      return inside(run).vessels.cup.lateJ / 2500;
    };
    expect(after('motor')).toBeLessThan(0.1);
    expect(after('off')).toBeGreaterThan(0.5);
  });

  it('takes a volume as it was read, and none of what is not there', () => {
    const run = begun('acid-with-base');
    expect(run.act({ kind: 'record', trial: 1, which: 'VA', text: '50.00' })).toBe(
      'Nothing of it has been measured into this cup yet.',
    );
    run.hands.act({ kind: 'pour', bottle: 1, to: 'cup', ml: 50 });
    expect(run.act({ kind: 'record', trial: 1, which: 'VA', text: '50' })).toMatch(/one digit further, to 0\.01 mL/u);
    expect(run.act({ kind: 'record', trial: 1, which: 'VA', text: '50.00 g' })).toMatch(/divided in mL, not “g”/u);
    expect(run.act({ kind: 'record', trial: 1, which: 'VA', text: '50.00' })).toBeUndefined();
    expect(run.act({ kind: 'record', trial: 2, which: 'VA', text: '50.00' })).toBe('Trial 1 comes before trial 2.');
  });

  it('divided by what was in excess, or by both, is told as that', async () => {
    const run = await worked(
      'acid-with-base',
      { setup: { thermometer: 'digital 0.01' } },
      { acidMl: 40, baseMl: 70 },
      1,
    );
    const { value, trueValue } = moved(run, 'perMole');
    const [acid = 0, base = 0] = run.sample.bottles.map(
      ({ molPerL }, i) => (Object.values(molPerL)[0] ?? 0) * (i === 0 ? 40 : 70),
    );
    for (const [wrong, key] of [
      [(value * acid) / base, 'excess'],
      [(value * acid) / (acid + base), 'both'],
      [value * 1000, 'joule'],
      [-value, 'sign'],
    ] as const) {
      const [told] = run.practical.influences(run, run.acts, [{ quantity: 'perMole', value: wrong, trueValue }]);
      expect(told?.shares.find((one) => one.key === key)?.share).toBeCloseTo(wrong - value, 6);
    }
  });
});
