import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { BOOK_PART_IDS, BOOK_PARTS, BOOK_SOURCES, citedIn, foundInBook } from '.';

const all = BOOK_PART_IDS.flatMap((part) => BOOK_PARTS[part].tables().map((table) => ({ part, ...table })));

describe('the data book', () => {
  it.each(all)('$title has a text in each cell of each row, and no row twice', ({ columns, rows }) => {
    expect(rows.length).toBeGreaterThan(0);
    for (const row of rows) {
      expect(row).toHaveLength(columns.length);
      for (const cell of row) expect(cell).not.toMatch(/undefined|\bNaN\b|null|^\s*$/);
    }
    expect(new Set(rows.map((row) => row[0])).size).toBe(rows.length);
  });

  it('cites sources that it has', () => {
    for (const part of BOOK_PART_IDS) {
      const numbers = citedIn(BOOK_PARTS[part].tables());
      if (part !== 'constants') expect(numbers.length, part).toBeGreaterThan(0);
      for (const number of numbers) expect(BOOK_SOURCES[number - 1]).toMatch(/\w{3}/);
    }
  });

  it('finds each of its rows by the words in it, however they are typed, and only rows that have them', () => {
    fc.assert(
      fc.property(fc.constantFrom(...all.flatMap((table) => table.rows.map((row) => ({ table, row })))), (one) => {
        const typed = one.row.slice(0, 2).join('  ').toUpperCase();
        const found = foundInBook(typed).flatMap(({ tables }) => tables.flatMap(({ rows }) => rows));
        expect(found).toContainEqual(one.row);
        // Tables differ in how they write the numbers of a formula.
        const flat = (text: string) =>
          text.toLowerCase().replace(/[₀-₉]/gu, (digit) => String('₀₁₂₃₄₅₆₇₈₉'.indexOf(digit)));
        const first = flat(typed).split(/\s+/)[0] ?? '';
        for (const row of found)
          expect(all.some(({ title }) => flat(title).includes(first) || flat(row.join(' ')).includes(first))).toBe(
            true,
          );
      }),
    );
  });

  it('takes formulas with numbers on the line, and finds nothing for nothing', () => {
    const names = (text: string) =>
      foundInBook(text).flatMap(({ tables }) => tables.flatMap(({ rows }) => rows.map((row) => row[0])));
    expect(names('co2')).toContain('carbon dioxide');
    expect(names('copper density')).toContain('copper');
    expect(names('unobtainium')).toEqual([]);
    expect(names('   ')).toEqual([]);
    expect(names('a '.repeat(5000)).length).toBeGreaterThan(0);
  });
});
