import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { Column } from './document';
import { readFormula } from './formula';
import { ofColumn } from './formula-arithmetic';
import { LIMITS } from './limits';
import { CannotCompute, type Quantity } from './quantity-value';
import { column, tableWith, workbookWith, worked } from './testing';
import { BARE } from './units';

const two: Quantity = { si: 2, dimensions: BARE, last: 0.1 };

/** Works a formula out once, and counts how often a symbol in it was asked for. */
function asked(text: string): { value: number; times: number; nodes: number } {
  const formula = readFormula(text);
  let times = 0;
  let nodes = 0;
  const { si } = formula.evaluate({
    value: () => (times++, two),
    values: () => [two],
    spend: (count) => (nodes += count),
  });
  return { value: si, times, nodes };
}

describe('what a formula may cost', () => {
  it.each([1, 2, 23, 40])('%i minus signs ask for what they stand before once', (signs) => {
    expect(asked(`${'-'.repeat(signs)}x`)).toMatchObject({ value: signs % 2 === 0 ? 2 : -2, times: 1 });
  });

  it.each([
    ['minus signs', `${'-'.repeat(299)}1`],
    ['brackets', `${'('.repeat(149)}1${')'.repeat(149)}`],
    ['brackets that do not close', '('.repeat(300)],
    ['roots in roots', `${'sqrt('.repeat(50)}1${')'.repeat(49)}`],
    ['powers of powers', `2${'^2'.repeat(149)}`],
    ['more signs than there may be', '1+'.repeat(400)],
  ])('a formula of %s is a number or a sentence', (_what, text) => {
    expect(worked(text)).toMatch(/^1$|[.?]$/);
  });

  it('is bounded by the length alone, for ten thousand formulas of any kind', () => {
    const piece = fc.constantFrom(
      '-',
      '+',
      '*',
      '/',
      '^',
      '(',
      ')',
      'x',
      '2',
      '1.50',
      ' ',
      'sqrt(',
      'ln(',
      'mean(x)',
      'mL',
      '−',
      '²',
      '!',
      'e',
      '%',
    );
    const anything = fc.oneof(
      {
        weight: 4,
        arbitrary: fc.array(piece, { maxLength: 200 }).map((pieces) => pieces.join('').slice(0, LIMITS.formula)),
      },
      { weight: 1, arbitrary: fc.string({ unit: 'binary', maxLength: LIMITS.formula }) },
    );
    let read = 0;
    fc.assert(
      fc.property(anything, (text) => {
        try {
          const { times, nodes } = asked(text);
          read++;
          expect(nodes).toBeLessThanOrEqual(LIMITS.formulaNodes);
          expect(times).toBeLessThanOrEqual(text.length);
        } catch (error) {
          if (!(error instanceof CannotCompute)) throw error;
          expect(error.message).toMatch(/[.?]$/);
        }
      }),
      { numRuns: 10_000 },
    );
    // Not all of them may have been refused.
    expect(read).toBeGreaterThan(300);
  });

  it('works a mean out once for all the rows that ask for it', () => {
    const rows = 5000;
    const table = tableWith(
      [column('V', 'mL'), column('d', 'mL', { formula: 'V - mean(V)' })],
      Array.from({ length: rows }, (_, i) => [`${10 + (i % 7)}.0`]),
    );
    const workbook = workbookWith(table);
    const [V, d] = table.columns as [Column, Column];
    const values = workbook.values(table, d);
    expect(values).toHaveLength(rows);
    expect(values.reduce((total, { si }) => total + si, 0)).toBeCloseTo(0, 9);
    expect(ofColumn('mean', workbook.values(table, V))).toBe(ofColumn('mean', workbook.values(table, V)));
  });

  it('stops a notebook whose formulas together would stand a page still', () => {
    const long = Array.from({ length: 70 }, () => 'V').join('+');
    const columns = Array.from({ length: 2 }, (_, i) => column(`c${i}`, 'mL', { formula: long }));
    const table = tableWith(
      [column('V', 'mL', { uncertainty: '0.1' }), ...columns],
      Array.from({ length: 10_000 }, () => ['1.0']),
    );
    const workbook = workbookWith(table);
    const last = table.columns.at(-1) as Column;
    for (const each of table.columns) workbook.values(table, each);
    const row = workbook.rowsOf(table).at(-1);
    expect(row && workbook.cell(table, row, last).problem).toMatch(/too many to be worked out/);
  }, 30_000);
});

describe('spaces in numbers', () => {
  it.each([
    ['2 500', '2500'],
    ['12 000 / 3', '4000'],
    ['12\u2009000 / 3', '4000'],
    ['12\u202f000 + 1', '12001'],
    ['1 250.5 mL + 0.5 mL', '1251.0 mL'],
    ['2 50', 'A sign is missing between two numbers that stand side by side.'],
    ['1.5 000', 'A sign is missing between two numbers that stand side by side.'],
    ['3 1/s', '3 1/s'],
  ])('%s is %s', (text, expected) => {
    expect(worked(text)).toBe(expected);
  });
});
