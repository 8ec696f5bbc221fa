import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { column, tableWith, texts, workbookWith, worked } from './testing';

describe('significant digits, as taught', () => {
  // Worked cases of the kind printed in every first-year text; each result follows from the rule named.
  it.each([
    ['sums keep the coarsest place', '12.11 g + 18.0 g + 1.013 g', '31.1 g'],
    ['a difference can lose digits', '25.36 mL - 25.11 mL', '0.25 mL'],
    ['products keep the fewest digits', '4.56 * 1.4', '6.4'],
    ['whole numbers count and are exact', '2 * 1.4145', '2.8290'],
    ['quotients, zeros behind the mark count', '0.0500 / 2.000', '0.0250'],
    ['large numbers keep the place that they know', '310.0 * 2.0', '620'],
    ['a logarithm has the digits of its argument behind the mark', '-log10(4.2e-5)', '4.38'],
    ['and back', '10^(-4.38)', '0.000042'],
    ['sum first, then the quotient', '(28.35 g - 20.10 g) / 3.0 mL', '2.8 g/mL'],
    ['squares and roots keep their count', 'sqrt(2.00)', '1.41'],
    ['the titre rule', '0.1000 mol/L * 22.94 mL / 25.00 mL', '0.09176 mol/L'],
    ['zero keeps its place', '1.25 g - 1.25 g', '0.00 g'],
  ])('%s: %s', (_rule, formula, result) => {
    expect(worked(formula)).toBe(result);
  });

  it('never rounds what it goes on with', () => {
    const table = tableWith(
      [
        column('m', 'g'),
        column('V', 'mL'),
        column('d', 'g/mL', { formula: 'm / V' }),
        column('m2', 'g', { formula: 'd * V' }),
      ],
      [
        ['1.00', '3.0'],
        ['2.00', '7.0'],
      ],
    );
    const workbook = workbookWith(table);
    expect(texts(workbook, table, 'd')).toEqual(['0.33', '0.29']);
    expect(texts(workbook, table, 'm2')).toEqual(['1.0', '2.0']);
    const [row] = workbook.rowsOf(table);
    const kept = row && workbook.cell(table, row, table.columns[2] as (typeof table.columns)[number]).quantity?.si;
    expect(kept).toBeCloseTo(1000 / 3, 9);
  });
});

describe('units', () => {
  it.each([
    ['prefixes', '250.0 mL * 0.1000 mol/L -> mmol', '25.00 mmol'],
    ['powers above the line', '8.314 J mol^-1 K^-1 * 298.2 K -> kJ/mol', '2.479 kJ/mol'],
    ['pressure', '1.00 atm -> kPa', '101 kPa'],
    ['a percentage', '1.25 g / 5.00 g -> %', '25.0 %'],
    ['a temperature with degrees', '25.0 °C -> K', '298.2 K'],
    ['a difference of temperatures', '25.0 °C - 20.5 °C -> K', '4.5 K'],
    ['the same in °C', '25.0 °C - 20.5 °C -> °C', '4.5 °C'],
    ['a temperature moved', '20.5 °C + 4.5 K', '25.0 °C'],
    ['the root of a temperature', 'sqrt(400.0 K)', '20.00 K^0.5'],
    ['a rate of cooling', '(25.0 °C - 22.0 °C) / 60 s', '0.050 K/s'],
    ['ideal gas', '2.00 mol * R * 300.0 K / 10.0 L -> kPa', '499 kPa'],
    ['decimal commas', '0,1000 mol/L * 22,94 mL -> mmol', '2.294 mmol'],
  ])('%s: %s', (_what, formula, result) => {
    expect(worked(formula)).toBe(result);
  });

  it.each([
    ['1 g + 1 mL', 'g cannot be added to mL.'],
    ['5.0 mL - 2.0', 'A bare number cannot be subtracted from mL.'],
    ['log10(0.1 mol/L)', 'log10 needs a bare number, not mol/L. Divide by 1 mol/L first.'],
    ['2.0 g / 4.0 mL -> mol', 'The result is of another kind, so it cannot be given in mol.'],
    ['1.0 g -> furlongs per moon', '“furlongs per moon” is not a unit that Fen knows.'],
    ['1.0 / 0', 'This divides by zero.'],
    ['banana * 2', '“banana” is neither a column, a result, a constant nor a unit here.'],
    ['2.0 * (3.0', '“2.0 * (3.0” cannot be read as a formula. Is a bracket or a sign missing?'],
    ['sqrt(-1.0)', 'There is no square root of a negative number.'],
    ['ln(0.0)', 'ln needs a number above zero.'],
    ['mean(3.0)', 'mean takes the symbol of a column.'],
    ['a = ', 'There is no formula yet.'],
    [
      '3.0 °C / 60 s',
      'A temperature in °C cannot be multiplied or divided. Give it in K first, in a column or a result of its own; a difference of temperatures is in K too.',
    ],
    ['x = x + 1', '“x” leads back to itself.'],
    ['c(3)', '“c” is not a function here. For a product, write * before the bracket.'],
  ])('%s gets a sentence', (formula, sentence) => {
    expect(worked(formula)).toBe(sentence);
  });

  it('answers any text with a value or a sentence', () => {
    const part = fc.constantFrom(
      'a',
      '1',
      '2.50',
      'mL',
      'g',
      '+',
      '-',
      '*',
      '/',
      '^',
      '(',
      ')',
      'log10',
      'mean',
      ' ',
      '->',
      '=',
      ',',
      'constructor',
      '[0]',
      ';',
      '"x"',
      'import',
      '°C',
      '⁻¹',
      'e5',
    );
    fc.assert(
      fc.property(fc.array(part, { maxLength: 12 }), fc.string({ maxLength: 30 }), (parts, noise) => {
        for (const text of [parts.join(''), noise]) expect(worked(text).length).toBeGreaterThan(0);
      }),
      { numRuns: 600 },
    );
  });

  it.each(['mean.constructor', 'import("x")', 'f(x)=2', 'evaluate("1")', '[1,2]', 'x[1]', '{a:1}', 'createUnit("q")'])(
    'refuses %s, which is more than a formula',
    (text) => {
      expect(worked(text)).toMatch(/\.$/);
    },
  );
});

describe('uncertainty', () => {
  /** A calculator line over single values with uncertainties. */
  const from = (formula: string, values: [symbol: string, unit: string, value: string, error: string][]) =>
    worked(
      formula,
      tableWith(
        values.map(([symbol, unit, , uncertainty]) => column(symbol, unit, { uncertainty })),
        [values.map(([, , value]) => value)],
      ),
    ).replaceAll('\u202f', ' ');

  it.each([
    // Squares add: √(0.03² + 0.04²) = 0.05.
    [
      'a + b',
      [
        ['a', 'g', '12.00', '0.03'],
        ['b', 'g', '5.00', '0.04'],
      ],
      '17.000 ± 0.050 g',
    ],
    // Relative squares add: 100 · √(0.03² + 0.04²) = 5.
    [
      'a * b',
      [
        ['a', '', '10.0', '0.3'],
        ['b', '', '10.0', '0.4'],
      ],
      '100.0 ± 5.0',
    ],
    // A power multiplies the relative uncertainty: (2.00 ± 0.01)³ = 8 ± 0.12.
    ['a^3 -> m³', [['a', 'm', '2.00', '0.01']], '8.00 ± 0.12 m³'],
    // The same symbol twice is one cause: a − a is exactly nothing, and a + a is 2a.
    ['a + a', [['a', 'g', '1.00', '0.01']], '2.000 ± 0.020 g'],
    // u(ln a) = u(a)/a.
    ['ln(a)', [['a', '', '5.00', '0.10']], '1.609 ± 0.020'],
    // Difference of two burette readings, 0.03 mL each: 0.042 mL.
    [
      'a - b',
      [
        ['a', 'mL', '24.31', '0.03'],
        ['b', 'mL', '1.37', '0.03'],
      ],
      '22.940 ± 0.042 mL',
    ],
  ] as const)('of %s', (formula, values, result) => {
    expect(from(formula, values as never)).toBe(result);
  });
});
