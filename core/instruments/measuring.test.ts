import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  BALANCES,
  drawBalance,
  driftG,
  SETTLED_AFTER_S,
  settling,
  weighingUncertaintyG,
  type Readability,
} from './balance';
import { BARE_PAN, changedLoad, displayed, isUnsettled, untaredG, type Pan } from './weighing';
import { vernierMark } from './length';
import { meniscusMm, mmPerMl } from './sight';
import { readScale } from './scale';
import { TOOL_SCALES } from './length';
import { chance, TOLERANCE_DEVIATION, withinTolerance } from '../random';

describe('a balance', () => {
  /** Puts a load on a bare balance that was set to zero, and waits. */
  function put(readability: Readability, seed: string, loadG: number, waitS = 10, exact = false) {
    const balance = drawBalance(readability, seed, exact);
    const at = (pan: Pan, load: number, timeS: number) => ({ balance, pan, loadG: load, timeS, seed, exact });
    const tared = { ...BARE_PAN, tareG: untaredG(at(BARE_PAN, 0, 0)) };
    const pan = { ...tared, ...changedLoad(tared, 0, 20), weighings: 1 };
    return { zero: displayed(at(tared, 0, 0)), shown: displayed(at(pan, loadG, 20 + waitS)), pan };
  }

  it.each(Object.keys(BALANCES) as Readability[])(
    'reads to %s g: zero is zero, a load is shown to some digits of the last place',
    (readability) => {
      const step = Number(readability);
      const decimals = readability.split('.')[1]?.length ?? 0;
      const errors = Array.from({ length: 400 }, (_, i) => {
        const { zero, shown } = put(readability, `balance ${i}`, 3.14159);
        expect(zero).toBe((0).toFixed(decimals));
        expect(shown).toMatch(new RegExp(`^\\d+\\.\\d{${decimals}}$`));
        return (Number(shown) - 3.14159) / step;
      });
      const deviation = Math.sqrt(errors.reduce((sum, error) => sum + error ** 2, 0) / errors.length);
      // Noise of zero and load, the last digit, a drift of some seconds: as large as two weighings are said to be uncertain.
      expect(deviation).toBeGreaterThan(0.6 * Math.SQRT2 * (weighingUncertaintyG(step) / step));
      expect(deviation).toBeLessThan(1.2 * Math.SQRT2 * (weighingUncertaintyG(step) / step));
      expect(Math.max(...errors.map(Math.abs))).toBeLessThan(4);
    },
  );

  it('follows its load, and says so when that is beyond it', () => {
    const early = put('0.01', 'late', 100, 0.3, true);
    expect(isUnsettled(early.pan, 20.3)).toBe(true);
    expect(Number(early.shown)).toBeLessThan(99);
    expect(put('0.01', 'late', 100, 5, true).shown).toBe('100.00');
    expect(isUnsettled(early.pan, 25)).toBe(false);
    expect(put('0.001', 'late', 220.5).shown).toBe('overload');
  });

  it('comes to rest exactly, and never swings beyond where it came from and where it goes', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 400, noNaN: true }),
        fc.double({ min: 0, max: 400, noNaN: true }),
        fc.double({ min: 0, max: 5, noNaN: true }),
        (from, to, since) => {
          const shown = settling(from, to, since);
          expect(shown).toBeGreaterThanOrEqual(Math.min(from, to) - 1e-9);
          expect(shown).toBeLessThanOrEqual(Math.max(from, to) + 1e-9);
          if (since >= SETTLED_AFTER_S) expect(shown).toBe(to);
        },
      ),
    );
  });

  it('wanders by less than its last digit, and not by half of it within ten seconds', () => {
    for (const seed of ['a', 'b', 'c', 'd']) {
      const piece = drawBalance('0.01', seed);
      for (let t = 0; t < 1200; t += 7) {
        expect(Math.abs(driftG(piece, t))).toBeLessThan(0.01);
        expect(Math.abs(driftG(piece, t + 10) - driftG(piece, t))).toBeLessThan(0.005);
      }
    }
  });
});

describe('a vernier', () => {
  it('has its mark in line that tells the twentieths, whatever the whole millimetres', () => {
    for (let mark = 0; mark < 20; mark++) expect(vernierMark(17 + mark * 0.05)).toBe(mark);
    // Where mark k of the vernier stands: at gap + 0.95 k, on a whole millimetre only for that mark.
    for (const gap of [12.35, 8.8, 41.05]) {
      const off = Array.from({ length: 20 }, (_, k) => Math.abs(gap + 0.95 * k - Math.round(gap + 0.95 * k)));
      expect(off.indexOf(Math.min(...off))).toBe(vernierMark(gap));
    }
  });

  it('is read in twentieths, a ruler in tenths, and more or fewer digits are said', () => {
    expect(readScale('12.35', TOOL_SCALES.calliper)).toMatchObject({ ok: true, digitsNote: null });
    expect(readScale('12.3', TOOL_SCALES.calliper)).toMatchObject({
      digitsNote: 'The calliper tells 0.05 mm, so a reading has 2 decimals.',
    });
    expect(readScale('12.3', TOOL_SCALES.ruler)).toMatchObject({ ok: true, digitsNote: null });
    expect(readScale('12', TOOL_SCALES.ruler)).toMatchObject({
      digitsNote: expect.stringContaining('to 0.1 mm'),
    });
    expect(readScale('1.23 cm', TOOL_SCALES.ruler)).toMatchObject({ ok: false });
  });
});

describe('a graduated vessel', () => {
  it('is as long to the millilitre as its width says', () => {
    // A cylinder of 10 cm² has one millimetre to the millilitre.
    expect(mmPerMl(Math.sqrt(4000 / Math.PI))).toBeCloseTo(1, 12);
  });

  it('has a meniscus of some millimetres, higher in a wider one', () => {
    const heights = [12, 17.5, 22, 27.5].map(meniscusMm);
    expect(heights).toEqual([...heights].sort((a, b) => a - b));
    expect(Math.min(...heights)).toBeGreaterThan(2);
    // Not above the capillary length of water times the square root of two.
    expect(Math.max(...heights)).toBeLessThan(3.9);
  });
});

describe('an error within a tolerance', () => {
  it('has the deviation that uncertainties are stated with, and never more than the tolerance', () => {
    const errors = Array.from({ length: 20_000 }, (_, i) => withinTolerance(1, chance('tolerance', String(i))));
    expect(Math.max(...errors.map(Math.abs))).toBeLessThanOrEqual(1);
    const deviation = Math.sqrt(errors.reduce((sum, error) => sum + error ** 2, 0) / errors.length);
    // Four standard errors of a deviation from so many.
    expect(Math.abs(deviation - TOLERANCE_DEVIATION)).toBeLessThan(0.44 * (4 / Math.sqrt(2 * errors.length)));
  });
});
