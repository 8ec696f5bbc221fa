import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { mixed, solutionFrom } from '../../../chemistry/contents';
import { driedFor, LAST_G, type Around } from './drying';
import { ovenC, thereAtS, type Oven } from './oven';
import { freshPaper, onPaper, paperG, type Paper } from './paper';
import type { PaperKind } from './paper-kinds';

const hot = (setC: number): Oven => ({ setC, fromC: setC, sinceS: 0 });
const around = (setC: number, humid = 1): Around => ({ oven: hot(setC), roomC: 21, humid });
const wet = (waterG: number, more: Partial<Paper> = {}, of: PaperKind = 'cellulose'): Paper => ({
  ...freshPaper(of, 'drying', 1, 1),
  at: 'oven',
  waterG,
  ...more,
});
const oxalate = mixed(solutionFrom('calcium-chloride', 0.1, 20), solutionFrom('potassium-oxalate', 0.1, 20)).contents;

describe('a paper that dries', () => {
  it('loses water evenly at 105 °C, 7.2 g in an hour, and the last of it ever more slowly', () => {
    expect(wet(3).waterG - driedFor(wet(3), 0, 600, around(105)).waterG).toBeCloseTo(0.002 * 600, 10);
    // From 0.25 g on to a third in 125 s.
    const evenS = (3 - LAST_G) / 0.002;
    expect(driedFor(wet(3), 0, evenS + 250, around(105)).waterG).toBeCloseTo(0.25 * Math.exp(-2), 10);
    // Twice as fast for each 28 K.
    const faster = 3 - driedFor(wet(3), 0, 200, around(105 + Math.LN2 / 0.025)).waterG;
    expect(faster).toBeCloseTo(2 * 0.002 * 200, 10);
  });

  it('hardly dries in the air, or in a desiccator', () => {
    for (const at of ['mat', 'desiccator', 'funnel'] as const)
      expect(driedFor(wet(2, { at }), 0, 3600, around(105)).waterG).toBeGreaterThan(1.85);
  });

  it('gives its damp off in the oven, takes it up in the air in a quarter of an hour to a third, and not in the desiccator', () => {
    const fresh = freshPaper('cellulose', 'damp', 1, 1);
    expect(fresh.dampG / fresh.dryG).toBeCloseTo(0.055, 10);
    expect(freshPaper('glass', 'damp', 1, 1).dampG).toBeLessThan(0.0011);
    const dry = driedFor({ ...fresh, at: 'oven' }, 0, 1800, around(105));
    expect(dry.dampG / fresh.dampG).toBeCloseTo(Math.exp(-7.5), 8);
    const air = driedFor({ ...dry, at: 'mat' }, 0, 900, around(105));
    expect((fresh.dampG - air.dampG) / (fresh.dampG - dry.dampG)).toBeCloseTo(Math.exp(-1), 8);
    expect(driedFor({ ...dry, at: 'desiccator' }, 0, 5000, around(105)).dampG).toBe(dry.dampG);
    // In damper air it comes to more.
    expect(driedFor({ ...dry, at: 'mat' }, 0, 1e5, around(105, 1.5)).dampG / fresh.dampG).toBeCloseTo(1.5, 6);
  });

  it('chars where it is cellulose and the oven is hot, and not where it is glass fibre', () => {
    const at = (of: PaperKind, setC: number) => driedFor(wet(0, {}, of), 0, 3600, around(setC)).scorched;
    expect(at('cellulose', 105)).toBe(0);
    expect(at('cellulose', 220)).toBeCloseTo(1 - Math.exp(-1), 8);
    expect(at('glass', 300)).toBe(0);
  });

  it('with calcium oxalate keeps the water of its crystals at 105 °C, and loses it at 200 °C: 18.015 of 146.11', () => {
    const kept = driedFor(wet(0, { held: oxalate }, 'glass'), 0, 7200, around(105));
    expect(kept.turned).toBe(0);
    const lost = driedFor(wet(0, { held: oxalate }, 'glass'), 0, 7200, around(200));
    const { solidG, turnedG } = onPaper(lost);
    expect(turnedG / solidG).toBeCloseTo(18.015 / 146.11, 4);
    // A wet one loses nothing of its own before it is dry.
    expect(driedFor(wet(10, { held: oxalate }, 'glass'), 0, 300, around(200)).turned).toBe(0);
  });

  it('weighs what it is made of', () => {
    const paper = wet(0.5, { held: oxalate, dampG: 0.02, scorched: 0.1 });
    const { solidG, saltsG } = onPaper(paper);
    // Some 5 micromoles of it stay dissolved.
    expect(solidG).toBeLessThan(0.002 * 146.11);
    expect(solidG).toBeGreaterThan(0.001993 * 146.11);
    // 4 mmol of potassium chloride, and the little oxalate beside it.
    expect(Math.abs(saltsG - 0.004 * 74.55)).toBeLessThan(0.001);
    expect(paperG(paper)).toBeCloseTo(0.9 * paper.dryG + 0.02 + 0.5 + solidG + saltsG, 12);
  });

  it('does not care how time is split, wherever it lies and while the oven is on its way', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 4, noNaN: true }),
        fc.constantFrom(...(['mat', 'funnel', 'oven', 'desiccator', 'pan'] as const)),
        fc.record({
          setC: fc.double({ min: 40, max: 300, noNaN: true }),
          fromC: fc.double({ min: 20, max: 300, noNaN: true }),
          sinceS: fc.constant(0),
        }),
        fc.array(fc.double({ min: 0.1, max: 900, noNaN: true }), { minLength: 1, maxLength: 6 }),
        (waterG, at, oven, parts) => {
          const here = { oven, roomC: 21, humid: 1 };
          const start = wet(waterG, { at, held: oxalate, turned: 0.1 });
          const all = parts.reduce((a, b) => a + b, 0);
          const once = driedFor(start, 0, all, here);
          let twice = start;
          let timeS = 0;
          for (const part of parts) {
            twice = driedFor(twice, timeS, part, here);
            timeS += part;
          }
          for (const key of ['waterG', 'dampG', 'warmerK', 'turned', 'scorched'] as const)
            expect(twice[key]).toBeCloseTo(once[key], 8);
        },
      ),
    );
  });
});

describe('the oven', () => {
  it('comes to what it is set to, warming faster than it cools', () => {
    const up: Oven = { setC: 105, fromC: 21, sinceS: 10 };
    expect(thereAtS(up)).toBeCloseTo(10 + 84 / 0.6, 10);
    expect(ovenC(up, 10)).toBe(21);
    expect(ovenC(up, 10 + 42 / 0.6)).toBeCloseTo(63, 8);
    expect(ovenC(up, 1e5)).toBe(105);
    expect(thereAtS({ setC: 21, fromC: 105, sinceS: 0 })).toBeCloseTo(420, 10);
  });
});
