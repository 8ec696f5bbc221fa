import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { imbalance, readEquation, sameEquation, type ChemicalEquation } from './chemical-equation';
import { compositionOf } from './formula';

const read = (text: string): ChemicalEquation => {
  const equation = readEquation(text);
  if ('sentence' in equation) throw new Error(equation.sentence);
  return equation;
};
const said = (text: string): string => {
  const equation = readEquation(text);
  return 'sentence' in equation ? equation.sentence : (imbalance(equation) ?? 'balanced');
};

describe('a formula', () => {
  it.each([
    ['H2O', { H: 2, O: 1 }, 0],
    ['H₂O', { H: 2, O: 1 }, 0],
    ['Ca(OH)2', { Ca: 1, O: 2, H: 2 }, 0],
    ['CuSO4·5H2O', { Cu: 1, S: 1, O: 9, H: 10 }, 0],
    ['CuSO4*5H2O', { Cu: 1, S: 1, O: 9, H: 10 }, 0],
    ['KAl(SO4)2.12H2O', { K: 1, Al: 1, S: 2, O: 20, H: 24 }, 0],
    ['[Cu(NH3)4]2+', { Cu: 1, N: 4, H: 12 }, 2],
    ['Ca2+', { Ca: 1 }, 2],
    ['Ca²⁺', { Ca: 1 }, 2],
    ['Ag+', { Ag: 1 }, 1],
    ['NH4+', { N: 1, H: 4 }, 1],
    ['NO3-', { N: 1, O: 3 }, -1],
    ['SO42-', { S: 1, O: 4 }, -2],
    ['SO4^2-', { S: 1, O: 4 }, -2],
    ['SO₄²⁻', { S: 1, O: 4 }, -2],
    ['Fe^3+', { Fe: 1 }, 3],
    ['e-', { e: 1 }, -1],
    ['CH3COOH', { C: 2, H: 4, O: 2 }, 0],
  ])('%s is read', (text, atoms, charge) => {
    expect(compositionOf(text)).toEqual({ atoms, charge });
  });
});

describe('an equation', () => {
  it.each([
    ['2 H2 + O2 -> 2 H2O', 'balanced'],
    ['2H2+O2=2H2O', 'balanced'],
    ['H2 + 1/2 O2 → H2O', 'balanced'],
    ['H₂ + ½ O₂ ⟶ H₂O', 'balanced'],
    ['AgNO3(aq) + NaCl(aq) -> AgCl(s) + NaNO3(aq)', 'balanced'],
    ['Ag+(aq) + Cl-(aq) -> AgCl(s)', 'balanced'],
    ['Zn + 2 Ag+ -> Zn2+ + 2 Ag', 'balanced'],
    ['MnO4- + 8 H+ + 5 e- -> Mn2+ + 4 H2O', 'balanced'],
    ['C3H8 + 5 O2 -> 3 CO2 + 4 H2O', 'balanced'],
    ['CuSO4·5H2O -> CuSO4 + 5 H2O', 'balanced'],
    ['H2 + O2 -> H2O', 'It is not balanced: there are 2 O on the left and 1 on the right.'],
    ['Fe2+ -> Fe3+', 'It is not balanced: the charge is 2 on the left and 3 on the right.'],
    ['H2 + O2', 'Write an equation with one arrow, such as 2 H2 + O2 -> 2 H2O.'],
    ['H2 -> H2 -> H2', 'Write an equation with one arrow, such as 2 H2 + O2 -> 2 H2O.'],
    ['Xy + O2 -> XyO2', '“Xy” is no element.'],
    ['water -> H2O', '“water” cannot be read as a formula.'],
    ['-> H2O', 'A formula is missing.'],
    ['0 H2 -> H2', 'A substance cannot stand there zero times.'],
    ['Ca(OH -> Ca', '“Ca(OH” cannot be read as a formula.'],
  ])('%s: %s', (text, sentence) => {
    expect(said(text)).toBe(sentence);
  });

  it.each([
    ['2 H2 + O2 -> 2 H2O', 'O2 + 2H2 = 2H2O', true],
    ['2 H2 + O2 -> 2 H2O', '4 H2 + 2 O2 -> 4 H2O', true],
    ['2 H2 + O2 -> 2 H2O', 'H2 + 1/2 O2 -> H2O', true],
    ['2 H2 + O2 -> 2 H2O', '2 H2O -> 2 H2 + O2', false],
    ['2 H2 + O2 -> 2 H2O', 'H2 + O2 -> H2O2', false],
    ['NaOH + CH3COOH -> CH3COONa + H2O', 'CH3COOH + NaOH -> NaCH3COO + H2O', true],
    ['Ba2+ + SO4^2- -> BaSO4', 'Ba2+ + SO42- -> BaSO4', true],
    ['Fe3+ + e- -> Fe2+', 'Fe2+ + e- -> Fe3+', false],
  ])('%s and %s: %s', (a, b, same) => {
    expect(sameEquation(read(a), read(b))).toBe(same);
    expect(sameEquation(read(b), read(a))).toBe(same);
  });

  it('is the same in any order and any multiple', () => {
    const terms = ['H2', 'O2', 'Ca(OH)2', 'Fe3+', 'SO4^2-', 'CuSO4·5H2O', 'NH4+', 'e-'];
    const side = fc.array(fc.tuple(fc.integer({ min: 1, max: 9 }), fc.constantFrom(...terms)), {
      minLength: 1,
      maxLength: 5,
    });
    const text = (parts: [number, string][], times = 1) =>
      parts.map(([n, formula]) => `${n * times} ${formula}`).join(' + ');
    fc.assert(
      fc.property(side, side, fc.integer({ min: 1, max: 6 }), (left, right, times) => {
        const once = read(`${text(left)} -> ${text(right)}`);
        const again = read(`${text([...left].reverse(), times)} = ${text([...right].reverse(), times)}`);
        expect(sameEquation(once, again)).toBe(true);
        expect(imbalance(once) === null).toBe(imbalance(again) === null);
      }),
    );
  });

  it('answers any text with an equation or a sentence, at once', () => {
    const piece = fc.constantFrom(
      'H2',
      'O',
      '(',
      ')',
      '[',
      '+',
      '-',
      '->',
      '=',
      '2',
      '^',
      '·',
      ' ',
      'e',
      'Xx',
      '½',
      '/',
      '1000',
      '(aq)',
    );
    fc.assert(
      fc.property(
        fc.oneof(
          fc.array(piece, { maxLength: 120 }).map((all) => all.join('')),
          fc.string({ unit: 'binary' }),
        ),
        (text) => {
          expect(said(text)).toMatch(/\.$|^balanced$/u);
        },
      ),
      { numRuns: 2000 },
    );
  });
});
