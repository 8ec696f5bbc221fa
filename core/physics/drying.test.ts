import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { compositionOf } from '../chemistry/formula';
import { gramsPerMol } from '../chemistry/molar-mass';
import { hydrateGPerMol, hydrateOf, HYDRATES, waterPart, type Hydrate } from '../databook/hydrates';
import { flameOf, heatingBy, sootAfter, staysLit } from './burner';
import { beginsC, goesOver, gramsOf, lossJPerMol, lossPerS, waterMolIn } from './drying';

/** Parts of their mass that are water, %: by the CRC Handbook's molar masses of hydrate and dry salt. */
const PARTS: [string, number][] = [
  ['copper-sulfate-5', 36.08], ['magnesium-sulfate-7', 51.16], ['zinc-sulfate-7', 43.86], ['iron-sulfate-7', 45.36], ['nickel-sulfate-6', 41.12],
  ['calcium-sulfate-2', 20.93], ['cobalt-chloride-6', 45.43], ['barium-chloride-2', 14.75], ['strontium-chloride-6', 40.54],
  ['magnesium-chloride-6', 53.17], ['copper-chloride-2', 21.13], ['sodium-carbonate-10', 62.96], ['sodium-acetate-3', 39.72], ['alum-12', 45.57],
]; // prettier-ignore

const atoms = (formula: string, mol: number, into: Record<string, number>) => {
  for (const [symbol, count] of Object.entries(compositionOf(formula).atoms))
    into[symbol] = (into[symbol] ?? 0) + count * mol;
};

describe('a hydrate of the data book', () => {
  it.each(PARTS)('%s has the part of water that is tabulated', (id, percent) => {
    expect(100 * waterPart(hydrateOf(id))).toBeCloseTo(percent, 1);
  });

  it.each(HYDRATES)('$name loses and makes no atom in any step', ({ stages, losses, dry, dryFormula, waters }) => {
    expect(losses).toHaveLength(stages.length - 1);
    losses.forEach((loss, i) => {
      const [before, after]: Record<string, number>[] = [{}, {}];
      atoms(stages[i]?.formula ?? '', stages[i]?.per ?? 0, before as Record<string, number>);
      atoms(stages[i + 1]?.formula ?? '', stages[i + 1]?.per ?? 0, after as Record<string, number>);
      for (const [gas, mol] of Object.entries(loss.gases)) atoms(gas, mol, after as Record<string, number>);
      for (const symbol of Object.keys(before as object))
        expect(after?.[symbol], symbol).toBeCloseTo(before?.[symbol] ?? NaN, 9);
      // Each step begins later than the one before.
      if (i > 0) expect(loss.halfC).toBeGreaterThan(losses[i - 1]?.halfC ?? NaN);
    });
    const whole: Record<string, number> = {};
    atoms(dryFormula, 1, whole);
    atoms('H2O', waters, whole);
    const first: Record<string, number> = {};
    atoms(stages[0]?.formula ?? '', 1, first);
    expect(first).toEqual(whole);
    if (dry !== null) expect(stages[dry]?.formula).toBe(dryFormula);
  });

  it('keeps what is left when all its water has gone, and three lose parts within 0.3 % of one another', () => {
    const magnesium = hydrateOf('magnesium-sulfate-7');
    expect(Math.abs((100 * gramsPerMol('MgSO4')) / hydrateGPerMol(magnesium) - 48.84)).toBeLessThan(0.01);
    const alike = ['iron-sulfate-7', 'cobalt-chloride-6', 'alum-12'].map((id) => 100 * waterPart(hydrateOf(id)));
    expect(Math.max(...alike) - Math.min(...alike)).toBeLessThan(0.3);
    expect(new Set(HYDRATES.flatMap(({ stages }) => stages.map(({ look }) => look))).size).toBeGreaterThan(12);
  });
});

describe('a step that goes over', () => {
  const salt = hydrateOf('copper-sulfate-5');
  const loss = salt.losses[0] as Hydrate['losses'][number];

  it('is by half in a minute at its temperature, and slower by its activation energy below', () => {
    expect(lossPerS(loss, loss.halfC) * 60).toBeCloseTo(Math.LN2, 12);
    const [warm, cool] = [60, 50];
    const arrhenius = ((1000 * loss.kJPerMol) / 8.314462618) * (1 / (cool + 273.15) - 1 / (warm + 273.15));
    expect(Math.log(lossPerS(loss, warm) / lossPerS(loss, cool))).toBeCloseTo(arrhenius, 9);
    // So much heat in reserve that it stays as warm as it is: an exponential.
    let mol = 1;
    for (let i = 0; i < 120; i++) mol -= goesOver(loss, mol, loss.halfC, 1e12, 0.5, 1).mol;
    expect(mol).toBeCloseTo(0.5, 6);
  });

  it('keeps at rest in a room, and begins where a stage would take days', () => {
    for (const one of HYDRATES)
      for (const each of one.losses) {
        expect(beginsC(each)).toBeGreaterThanOrEqual(35);
        expect(beginsC(each)).toBeLessThan(each.halfC);
        if (beginsC(each) > 35) expect(lossPerS(each, beginsC(each)) / 1e-6).toBeCloseTo(1, 6);
      }
  });

  it('takes its heat out of what stays, and no more goes than that bears', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 1e-5, max: 0.05, noNaN: true }),
        fc.double({ min: 20, max: 400, noNaN: true }),
        fc.double({ min: 0.02, max: 5, noNaN: true }),
        fc.double({ min: 0.1, max: 5, noNaN: true }),
        (mol, tempC, jPerK, seconds) => {
          const over = goesOver(loss, mol, tempC, jPerK, seconds, 1);
          expect(over.mol).toBeGreaterThanOrEqual(0);
          expect(over.mol).toBeLessThanOrEqual(mol);
          expect((tempC - over.tempC) * jPerK).toBeCloseTo(over.mol * lossJPerMol(loss), 6);
          // At the temperature that is left it would just have gone so far.
          const at = mol * -Math.expm1(-lossPerS(loss, over.tempC) * seconds);
          if (over.mol > 0 && over.mol < mol) expect(Math.abs(at / over.mol - 1)).toBeLessThan(1e-3);
        },
      ),
    );
  });

  it('counts the water that is left in every stage', () => {
    const all = salt.stages.map((_, i) => salt.stages.map((__, j) => (i === j ? 1 : 0)));
    expect(all.map((amounts) => waterMolIn(salt, amounts))).toEqual([5, 3, 1, 0, 0]);
    expect(gramsOf(salt, [1, 0, 0, 0, 0])).toBeCloseTo(249.68, 1);
  });
});

describe('a burner', () => {
  it('has the flame that gas and air make, and none without a lighter', () => {
    expect(flameOf(5, 0, false)).toBe('none');
    expect([0, 1, 2.5, 4, 5.5].map((air) => flameOf(5, air, true))).toEqual([
      'yellow',
      'yellow',
      'blue',
      'blue',
      'roaring',
    ]);
    // Too much air for so little gas blows it out, and so does none.
    expect(flameOf(1, 4, true)).toBe('none');
    expect(staysLit(0.1, 0)).toBe(false);
    const [yellow, blue, roaring] = [heatingBy(8, 1, true), heatingBy(8, 5, true), heatingBy(8, 8, true)];
    expect(heatingBy(8, 5, false)).toBeNull();
    expect(yellow?.tempC).toBeLessThan(blue?.tempC ?? NaN);
    expect(blue?.wPerK).toBeLessThan(roaring?.wPerK ?? NaN);
    expect([yellow, blue].map((one) => sootAfter(0, one as NonNullable<typeof one>, 300, 100) > 0)).toEqual([
      true,
      false,
    ]);
    // A clear flame burns soot off what is red hot.
    expect(sootAfter(0.01, blue as NonNullable<typeof blue>, 600, 300)).toBeLessThan(0.001);
  });
});
