import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { readScale } from './scale';
import { drawThermometer, followed, scaleOf, shownText, THERMOMETERS, type ThermometerKind } from './thermometer';

const KINDS = Object.keys(THERMOMETERS) as ThermometerKind[];
const temp = fc.double({ min: 0, max: 59, noNaN: true });

describe('a thermometer', () => {
  it.each(KINDS)(
    '%s nears what is there as e to the −t/τ, however its time is cut, and slower where nothing stirs',
    (kind) => {
      fc.assert(
        fc.property(
          temp,
          temp,
          fc.double({ min: 0, max: 60, noNaN: true }),
          fc.double({ min: 0, max: 60, noNaN: true }),
          (from, to, a, b) => {
            const { stirred } = THERMOMETERS[kind].lagS;
            expect(followed(from, to, a, kind, true)).toBeCloseTo(to + (from - to) * Math.exp(-a / stirred), 12);
            expect(followed(followed(from, to, a, kind, true), to, b, kind, true)).toBeCloseTo(
              followed(from, to, a + b, kind, true),
              9,
            );
            const away = (isStirred: boolean) => Math.abs(followed(from, to, a, kind, isStirred) - to);
            expect(away(false)).toBeGreaterThanOrEqual(away(true));
          },
        ),
      );
    },
  );

  it.each(KINDS)('%s is off by no more than its kind may be, and not at all when that is switched off', (kind) => {
    const errors = Array.from({ length: 500 }, (_, i) => drawThermometer(kind, `seed ${i}`).errorC);
    expect(Math.max(...errors.map(Math.abs))).toBeLessThanOrEqual(THERMOMETERS[kind].toleranceC);
    // As often above as below: four standard deviations of the mean.
    expect(Math.abs(errors.reduce((a, b) => a + b, 0) / 500)).toBeLessThan(
      (4 * 0.44 * THERMOMETERS[kind].toleranceC) / Math.sqrt(500),
    );
    expect(drawThermometer(kind, 'seed', true).errorC).toBe(0);
  });

  it.each([
    ['digital 0.1', 1],
    ['digital 0.01', 2],
  ] as const)(
    '%s shows steps of its last place, wavers as much as it is said to, and says when it is too hot',
    (kind, decimals) => {
      const piece = drawThermometer(kind, 'steps', true);
      const { noiseC, reads } = THERMOMETERS[kind];
      const shown = Array.from({ length: 2000 }, (_, look) => shownText(piece, 23.456, 'steps', look) ?? '');
      for (const text of shown) expect(text).toMatch(new RegExp(`^\\d+\\.\\d{${decimals}}$`));
      const mean = shown.reduce((sum, text) => sum + Number(text), 0) / shown.length;
      expect(Math.abs(mean - 23.456)).toBeLessThan(reads.stepC / 2);
      // Its noise, and that it has steps.
      const spread = Math.sqrt(shown.reduce((sum, text) => sum + (Number(text) - 23.456) ** 2, 0) / shown.length);
      expect(spread).toBeLessThan(1.3 * Math.hypot(noiseC, reads.stepC / 2));
      expect(spread).toBeGreaterThan(0.7 * noiseC);
      expect(shownText(piece, 23.456, 'steps', 7)).toBe(shown[7]);
      expect(shownText(piece, 151, 'steps', 1)).toBe('out of range');
      expect(shownText({ kind, errorC: 0 }, -3.04, 'cold', 1)).toMatch(/^\u2212/u);
    },
  );

  it('of glass is read by eye, to a tenth of its division', () => {
    expect(shownText(drawThermometer('glass 0.2', 's'), 20, 's', 1)).toBeNull();
    expect(readScale('23.46', scaleOf('glass 0.2'))).toMatchObject({ ok: true, value: 23.46, digitsNote: null });
    expect(readScale('23.5', scaleOf('glass 0.2'))).toMatchObject({
      ok: true,
      digitsNote: expect.stringContaining('0.02') as string,
    });
    expect(readScale('110', scaleOf('glass 0.2'))).toMatchObject({ ok: false });
    expect(readScale('21.4', scaleOf('glass 1'))).toMatchObject({ ok: true, digitsNote: null });
    expect(() => scaleOf('digital 0.1')).toThrow(TypeError);
  });
});
