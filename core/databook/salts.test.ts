import { describe, expect, it } from 'vitest';
import { SALTS, saltOf, solubleMolPerG, solutionJPerG } from './salts';

/** Enthalpies of formation at 25 °C that are not in the data book, kJ/mol. Ions: CODATA 1989; solids: NBS tables, 1982. */
const IONS = { Li: -278.47, Na: -240.34, K: -252.14, NH4: -133.26, Cl: -167.08, Br: -121.41, I: -56.78, NO3: -206.85 };
const SOLIDS: [string, keyof typeof IONS, keyof typeof IONS, number][] = [
  ['lithium-chloride', 'Li', 'Cl', -408.61],
  ['lithium-bromide', 'Li', 'Br', -351.21],
  ['sodium-chloride', 'Na', 'Cl', -411.15],
  ['sodium-bromide', 'Na', 'Br', -361.06],
  ['sodium-iodide', 'Na', 'I', -287.78],
  ['sodium-nitrate', 'Na', 'NO3', -467.85],
  ['potassium-chloride', 'K', 'Cl', -436.75],
  ['potassium-bromide', 'K', 'Br', -393.8],
  ['potassium-iodide', 'K', 'I', -327.9],
  ['potassium-nitrate', 'K', 'NO3', -494.63],
  ['ammonium-chloride', 'NH4', 'Cl', -314.43],
  ['ammonium-bromide', 'NH4', 'Br', -270.83],
  ['ammonium-nitrate', 'NH4', 'NO3', -365.56],
];

/** Conventional atomic weights (IUPAC 2021). */
const WEIGHTS: Record<string, number> = { H: 1.008, Li: 6.94, C: 12.011, N: 14.007, O: 15.999, F: 18.998, Na: 22.99, S: 32.06, Cl: 35.45, K: 39.098, Br: 79.904, Rb: 85.468, I: 126.904, Cs: 132.905 }; // prettier-ignore

const weighed = (formula: string): number =>
  formula
    .split('·')
    .map((part) => {
      const [, count = '', rest = ''] = /^(\d*)(.*)$/u.exec(part) ?? [];
      let mass = 0;
      for (const [, symbol = '', times] of rest.matchAll(/([A-Z][a-z]?)(\d*)/gu))
        mass += (WEIGHTS[symbol] ?? NaN) * Number(times || 1);
      return Number(count || 1) * mass;
    })
    .reduce((a, b) => a + b);

describe('the salts of the data book', () => {
  it.each(SOLIDS)('%s dissolves with the heat that its ions and its crystal differ by', (id, cation, anion, solid) => {
    expect(Math.abs(saltOf(id).enthalpyKJPerMol - (IONS[cation] + IONS[anion] - solid))).toBeLessThan(2);
  });

  it.each(SALTS.map(({ name, formula, molarMassGPerMol }) => [name, formula, molarMassGPerMol] as const))(
    'weighs %s by the atoms of %s',
    (_name, formula, molarMass) => {
      expect(Math.abs(molarMass - weighed(formula))).toBeLessThan(0.01);
    },
  );

  it('are at least 22, each once, with a hydrate beside its dry salt, which always takes up less heat on its own', () => {
    expect(SALTS.length).toBeGreaterThanOrEqual(22);
    expect(new Set(SALTS.map(({ id }) => id)).size).toBe(SALTS.length);
    const hydrates = SALTS.filter(({ formula }) => formula.includes('·'));
    expect(hydrates.length).toBeGreaterThanOrEqual(4);
    for (const hydrate of hydrates) {
      const dry = SALTS.find(({ formula }) => formula === hydrate.formula.split('·')[0]);
      // Binding its water gave out heat that is missing when it dissolves.
      if (dry) expect(hydrate.enthalpyKJPerMol).toBeGreaterThan(dry.enthalpyKJPerMol);
    }
  });

  it('dissolve more where they are warmer if they take up heat, by about what is published', () => {
    // g in 100 g of water: Seidell and Linke, Solubilities, 4th ed.
    const published: [string, number, number][] = [
      ['potassium-chloride', 0, 28.0],
      ['potassium-chloride', 40, 40.0],
      ['ammonium-chloride', 0, 29.4],
      ['ammonium-chloride', 40, 45.8],
      ['sodium-chloride', 0, 35.7],
    ];
    for (const [id, tempC, grams] of published) {
      const model = 100 * solubleMolPerG(saltOf(id), tempC) * saltOf(id).molarMassGPerMol;
      expect(Math.abs(model / grams - 1)).toBeLessThan(0.1);
    }
  });

  it('gives a gram its share of a mole', () => {
    expect(solutionJPerG(saltOf('ammonium-nitrate'))).toBeCloseTo(320.95, 1);
  });
});
