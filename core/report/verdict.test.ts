import fc from 'fast-check';
import { expect, it } from 'vitest';
import { askSchema, type SampleQuantity } from './asks';
import { checkReport } from './check';
import { placeOf } from './digits';
import { isGood, missedBy, verdictOn } from './verdict';

/** Verdict and advice of one number never contradict each other, whatever is typed. */

const DENSITY: SampleQuantity = { key: 'density', label: 'Density', kind: 'number', unit: 'g/mL', digits: 3 };
const BANDS = [1, 3, 8];
/** Units that may be typed, with how many of them a g/mL is. */
const UNITS = { 'g/mL': 1, 'kg/m³': 1000, 'mg/mL': 1000 } as const;
type Unit = keyof typeof UNITS;

/** @param support standard uncertainty that the readings give, g/mL; null where they tell none */
function judged(text: string, unit: Unit, truth: number, support: number | null) {
  const ask = askSchema.parse({
    kind: 'number',
    key: 'q',
    label: 'Density',
    when: 'result',
    unit: 'g/mL',
    quantity: 'density',
    digits: 3,
    bandsPercent: BANDS,
  });
  const checked = checkReport({
    asks: [ask],
    answers: { q: { text, unit } },
    quantities: [DENSITY],
    truths: { density: truth },
    support: support === null ? {} : { density: { uncertainty: support, hint: '' } },
  });
  const item = checked.ok ? checked.items[0] : undefined;
  if (item?.kind !== 'number') throw new Error(`“${text}” was not checked`);
  return item;
}

/** A value as somebody writes it who stops at a place. */
const to = (value: number, place: number): string =>
  (Math.round(value / place) * place).toFixed(Math.max(0, Math.round(-Math.log10(place))));

const drawn = fc.record({
  truth: fc.double({ min: 0.2, max: 20, noNaN: true }),
  off: fc.double({ min: -0.12, max: 0.12, noNaN: true }),
  decimals: fc.integer({ min: 0, max: 6 }),
  part: fc.double({ min: 1e-4, max: 0.05, noNaN: true }),
  unit: fc.constantFrom<Unit>('g/mL', 'kg/m³', 'mg/mL'),
});
const bandOf = (item: { bandPercent: number | null }) => item.bandPercent ?? Infinity;

it('rounding as Fen asks never worsens a band, and who does so is asked for nothing more: 10,000 answers', () => {
  fc.assert(
    fc.property(drawn, ({ truth, off, decimals, part, unit }) => {
      const support = part * truth;
      const place = placeOf(support * UNITS[unit]);
      const value = truth * (1 + off) * UNITS[unit];
      const text = value.toFixed(decimals);
      // Zeros at the end of a whole number can be of rounding, too.
      const zeros = decimals > 0 || Number(text) === 0 ? 0 : (/0*$/.exec(text)?.[0].length ?? 0);
      const last = 10 ** -decimals;
      const item = judged(text, unit, truth, support);
      const rounded = judged(to(value, place), unit, truth, support);
      expect(rounded.digitsNote).toBeNull();
      expect(bandOf(rounded)).toBeLessThanOrEqual(bandOf(judged(value.toFixed(9), unit, truth, support)));
      // As much as half the last digit that Fen asks for is allowed, and of a coarser number no more than that.
      const allowed = Math.min(0.5 * place, 0.5 * last * 10 ** zeros) / UNITS[unit] / truth;
      expect(item.bandPercent).toBe(
        BANDS.find((band) => Math.abs(item.value / truth - 1) - allowed <= (band / 100) * (1 + 1e-9)) ?? null,
      );
      // Advice is about digits that are there, or that the readings give.
      if (item.digitsNote?.includes('says little')) expect(last).toBeLessThan(place);
      if (item.digitsNote?.includes('rounded too much')) expect(last).toBeGreaterThan(place);
      expect(verdictOn(item)).toMatch(isGood(item) ? /^within/ : /^outside/);
    }),
    { numRuns: 10_000 },
  );
});

it('what is stated as uncertain is held against the readings at once, and against the truth where that is told', () => {
  const off = judged('0.9304 ± 0.0020', 'g/mL', 0.9003, 0.012);
  expect(off.digitsNote).toBe(
    'Your uncertainty is small. By your readings and instruments it is about 0.01 g/mL. Is the tolerance of an instrument left out?',
  );
  expect(missedBy(off)).toBe('more than twice the stated ± 0.002 g/mL');
  expect(missedBy(judged('930.4 ± 2.0', 'kg/m³', 0.9003, null))).toBe('more than twice the stated ± 0.002 g/mL');
  expect(missedBy(judged('0.9304 ± 0.2 %', 'g/mL', 0.9003, null))).toMatch(/± 0\.0019 g\/mL$/);
  for (const text of ['0.93 ± 0.02', '0.930', '0.9043 ± 0.0020', '0.930 ± 5 %', '0.93 ± 0'])
    expect(missedBy(judged(text, 'g/mL', 0.9003, null)), text).toBeNull();
  // A part of nothing is no uncertainty.
  for (const text of ['0 ± 5 %', '1e300 ± 1e300 %', '0.93 ± 0'])
    expect(judged(text, 'g/mL', 0.9003, 0.012), text).not.toHaveProperty('stated');
  for (const text of ['0.930 ± 0.005', '0.930 ± 0.004', '0.93 ± 0.03'])
    expect(judged(text, 'g/mL', 0.9003, 0.012).digitsNote, text).toBeNull();
});
