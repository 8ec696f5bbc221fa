import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { BENCH_SOLUTION_IDS, BENCH_SOLUTIONS } from '../databook/bench-solutions';
import { COMPONENTS, type ComponentId } from '../databook/precipitates';
import { logKOf, REACTIONS } from '../databook/reactions';
import { REDOX } from '../databook/redox';
import { imbalance, readEquation } from './chemical-equation';
import { molarOf, part, mixed, settledIn, solutionFrom, together, type Contents } from './contents';
import { absorbanceOf, liquidRgb } from './ion-colour';
import { liquidColourName } from './colour';
import { compositionOf } from './formula';

/** Solutions put together: what falls, what warms, what changes colour, and what is kept whatever comes together. */

const poured = (...all: Contents[]) =>
  all.reduce((sum, one) => {
    const { contents } = mixed(sum, one);
    return contents;
  });
const warmedBy = (a: Contents, b: Contents) => {
  const { heatJ, contents } = mixed(a, b);
  return heatJ / (4.18 * contents.volumeMl);
};

describe('reactions of the data book', () => {
  it('are forty at the least, each balanced, with a constant that follows from those of what it makes', () => {
    expect(REACTIONS.length).toBeGreaterThanOrEqual(40);
    for (const { equation } of [...REACTIONS, ...REDOX]) {
      const read = readEquation(equation);
      if ('sentence' in read) throw new Error(`${equation}: ${read.sentence}`);
      expect(imbalance(read), equation).toBeNull();
    }
    for (const { equation } of REACTIONS) expect(Number.isFinite(logKOf(equation)), equation).toBe(true);
    // Known constants that no entry states: silver chloride in ammonia, the ion product of water, carbonate in acid.
    expect(logKOf('AgCl(s) + 2 NH3 -> Ag(NH3)2^+ + Cl^-')).toBeCloseTo(-2.53, 2);
    expect(logKOf('H^+ + OH^- -> H2O')).toBeCloseTo(13.995, 3);
    expect(logKOf('CO3^2- + 2 H^+ -> CO2(g) + H2O')).toBeCloseTo(18.15, 2);
  });

  it('pass electrons on without losing an element or a charge', () => {
    for (const { id, change } of REDOX) {
      const sum: Record<string, number> = {};
      for (const [component, n] of Object.entries(change) as [ComponentId, number][]) {
        const { formula, charge } = COMPONENTS.find((one) => one.id === component) as (typeof COMPONENTS)[number];
        sum['charge'] = (sum['charge'] ?? 0) + n * charge;
        for (const [symbol, count] of Object.entries(compositionOf(formula).atoms))
          if (symbol !== 'H' && symbol !== 'O') sum[symbol] = (sum[symbol] ?? 0) + n * count;
      }
      for (const [key, value] of Object.entries(sum)) expect(value, `${key} in ${id}`).toBe(0);
    }
  });
});

describe('solutions put together', () => {
  // Heats of reaction by other tables: CRC Handbook (neutralisation −55.8 kJ/mol), enthalpies of solution of the solids reversed.
  it.each([
    ['hydrochloric-acid', 'sodium-hydroxide', 0.1, 55.8, 0.02],
    ['silver-nitrate', 'sodium-chloride', 0.1, 65.5, 0.02],
    ['silver-nitrate', 'potassium-iodide', 0.1, 111, 0.03],
    ['barium-chloride', 'sodium-sulfate', 0.1, 26, 0.06],
    ['silver-nitrate', 'potassium-bromide', 0.1, 84.8, 0.02],
  ])('%s and %s warm by their heat of reaction', (a, b, molar, kJ, closely) => {
    const warmed = warmedBy(solutionFrom(a, molar, 10), solutionFrom(b, molar, 10));
    expect(Math.abs(warmed / ((1000 * kJ * molar) / 2 / 4180) - 1)).toBeLessThan(closely);
  });

  it('thiosulfate takes iodine and permanganate takes iron until one runs out', () => {
    const iodine = solutionFrom('iodine', 0.05, 10);
    const left = (ml: number) => {
      const { amounts } = poured(iodine, solutionFrom('sodium-thiosulfate', 0.1, ml));
      return (amounts.I2 ?? 0) * 1000;
    };
    expect(left(4)).toBeCloseTo(0.5 - 0.2, 9);
    expect(left(10)).toBeCloseTo(0, 9);
    const mixed = poured(solutionFrom('iron2-sulfate', 0.1, 10), solutionFrom('permanganate', 0.02, 4));
    expect((mixed.amounts.Fe2 ?? 0) * 1000).toBeCloseTo(1 - 5 * 0.08, 9);
    expect((mixed.amounts.Mn ?? 0) * 1000).toBeCloseTo(0.08, 9);
    expect(liquidColourName(liquidRgb(solutionFrom('permanganate', 0.001, 10), 20))).toMatch(/red|pink|violet/);
  });

  it('copper(II) and iron(III) make iodine of iodide', () => {
    const copper = poured(solutionFrom('copper-sulfate', 0.1, 10), solutionFrom('potassium-iodide', 0.5, 10));
    expect(1000 * (settledIn(copper).solids['copper-iodide'] ?? 0)).toBeCloseTo(1, 3);
    expect(1000 * (copper.amounts.I2 ?? 0)).toBeCloseTo(0.5, 9);
    const iron = poured(solutionFrom('iron-chloride', 0.1, 10), solutionFrom('potassium-iodide', 0.5, 10));
    expect(1000 * (iron.amounts.I2 ?? 0)).toBeCloseTo(0.5, 9);
    expect(1000 * (iron.amounts.Fe2 ?? 0)).toBeCloseTo(1, 9);
  });

  it('carbonate in acid gives off what water does not hold: at one atmosphere 0.034 mol/L by Henry’s law', () => {
    const carbonate = solutionFrom('sodium-carbonate', 0.5, 10);
    const acid = solutionFrom('hydrochloric-acid', 2, 10);
    const { contents, gasMol } = mixed(carbonate, acid);
    expect(molarOf(contents, 'H2CO3')).toBeCloseTo(10 ** -1.47, 3);
    expect(gasMol * 1000).toBeCloseTo(5 - 20 * 10 ** -1.47, 1);
    // In pure base nothing comes.
    expect(mixed(carbonate, solutionFrom('sodium-hydroxide', 1, 10)).gasMol).toBe(0);
  });

  it('copper in ammonia first falls pale blue, then dissolves deep blue; iron with thiocyanate is red', () => {
    const copper = solutionFrom('copper-sulfate', 0.1, 5);
    const some = poured(copper, solutionFrom('ammonia', 1, 0.7));
    expect(settledIn(some).solids['copper-hydroxide']).toBeGreaterThan(0);
    const much = poured(copper, solutionFrom('ammonia', 2, 10));
    expect(settledIn(much).solids).toEqual({});
    expect(liquidColourName(liquidRgb(much, 30))).toBe('dark blue');
    expect(liquidColourName(liquidRgb(copper, 30))).toBe('deep blue');
    expect(absorbanceOf(much, 600, 1)).toBeGreaterThan(5 * absorbanceOf(copper, 600, 1));
    const red = poured(solutionFrom('iron-chloride', 0.01, 5), solutionFrom('potassium-thiocyanate', 0.01, 5));
    expect(liquidColourName(liquidRgb(red, 10))).toMatch(/red|orange/);
  });

  it('absorb in proportion to concentration and to the way through them', () => {
    const chromate = (molar: number) => solutionFrom('potassium-chromate', molar, 10);
    const one = absorbanceOf(chromate(0.001), 370, 1);
    expect(one).toBeCloseTo(4.8, 1);
    expect(absorbanceOf(chromate(0.001), 370, 2)).toBeCloseTo(2 * one, 9);
    expect(absorbanceOf(part(chromate(0.001), 0.5), 370, 1)).toBeCloseTo(one, 9);
  });

  it('keep every element but those of water, and charge, whatever comes together', () => {
    const solution = fc.record({
      id: fc.constantFrom(...BENCH_SOLUTION_IDS),
      molar: fc.double({ min: 0.01, max: 0.5, noNaN: true }),
      ml: fc.double({ min: 0.1, max: 10, noNaN: true }),
    });
    fc.assert(
      fc.property(fc.array(solution, { minLength: 2, maxLength: 5 }), (all) => {
        const elements = ({ amounts }: Contents, gas = 0) => {
          const sum: Record<string, number> = { charge: 0, C: gas };
          for (const { id, formula, charge } of COMPONENTS) {
            sum['charge'] = (sum['charge'] ?? 0) + charge * (amounts[id] ?? 0);
            for (const [symbol, count] of Object.entries(compositionOf(formula).atoms))
              if (symbol !== 'H' && symbol !== 'O') sum[symbol] = (sum[symbol] ?? 0) + count * (amounts[id] ?? 0);
          }
          return sum;
        };
        const given = all.map(({ id, molar, ml }) => solutionFrom(id, molar, ml));
        let [now, gas] = [given[0] as Contents, 0];
        const before = elements(given.reduce(together));
        for (const next of given.slice(1)) {
          const done = mixed(now, next);
          now = done.contents;
          gas += done.gasMol;
        }
        const after = elements(now, gas);
        for (const key of Object.keys(before)) expect(after[key] ?? 0).toBeCloseTo(before[key] ?? 0, 12);
        for (const mol of Object.values(now.amounts)) expect(Number.isFinite(mol)).toBe(true);
      }),
      { numRuns: 150 },
    );
  });

  it('are each what their label says: clear, and without charge', () => {
    for (const { id, of } of BENCH_SOLUTIONS) {
      const charge = Object.entries(of).reduce(
        (sum, [component, n]) => sum + n * (COMPONENTS.find((one) => one.id === component)?.charge ?? NaN),
        0,
      );
      expect(charge, id).toBe(0);
      const contents = solutionFrom(id, id === 'permanganate' ? 0.02 : 0.1, 10);
      expect(settledIn(contents).solids, id).toEqual({});
      expect(settledIn(contents).gasMol, id).toBe(0);
    }
  });
});
