import { describe, expect, it } from 'vitest';
import { SOLIDS } from './solids';
import { SOLUTES } from './solutes';

/** Conventional atomic weights (IUPAC 2021). */
const WEIGHTS: Record<string, number> = { H: 1.008, B: 10.81, C: 12.011, N: 14.007, O: 15.999, Na: 22.99, Mg: 24.305, P: 30.974, S: 32.06, Cl: 35.45, K: 39.098, Ca: 40.078, Br: 79.904 }; // prettier-ignore

/** Mass of a formula such as (HOCH2)3CNH2 or H2C2O4·2H2O. */
function massOf(formula: string): number {
  return formula
    .split('·')
    .map((part) => {
      const [, count, rest] = /^(\d*)(.*)$/.exec(part) as unknown as [string, string, string];
      return Number(count || 1) * groupMass(rest);
    })
    .reduce((a, b) => a + b);
}

function groupMass(formula: string): number {
  let mass = 0;
  for (const [, group, groupCount, symbol, count] of formula.matchAll(/\(([^)]*)\)(\d*)|([A-Z][a-z]?)(\d*)/g)) {
    if (group !== undefined) mass += groupMass(group) * Number(groupCount || 1);
    else {
      const weight = WEIGHTS[symbol as string];
      if (weight === undefined) throw new Error(`no weight of ${symbol}`);
      mass += weight * Number(count || 1);
    }
  }
  return mass;
}

describe('the data book', () => {
  it.each([...SOLUTES, ...SOLIDS].map(({ name, formula, molarMassGPerMol }) => [name, formula, molarMassGPerMol] as const))(
    'weighs %s by the atoms of %s',
    (_name, formula, molarMass) => {
      expect(Math.abs(molarMass - massOf(formula))).toBeLessThan(0.006);
    },
  ); // prettier-ignore

  it('orders the constants of every acid, and names nothing twice', () => {
    for (const { pKas } of SOLUTES) expect([...pKas].sort((a, b) => a - b)).toEqual([...pKas]);
    expect(new Set(SOLUTES.map((entry) => entry.id)).size).toBe(SOLUTES.length);
    expect(new Set(SOLIDS.map((entry) => entry.id)).size).toBe(SOLIDS.length);
  });

  it('charges every acid and base so that it is neutral as it comes out of its bottle', () => {
    // The protons counted as given or taken agree with charge and ions: what is neutral in its bottle stays so.
    for (const { id, kind, charge, spectators, pKas } of SOLUTES) {
      const ions = spectators.reduce((sum, ion) => sum + ion.charge * ion.count, 0);
      const forms = pKas.map((_, k) => charge - k).concat(charge - pKas.length);
      if (kind === 'salt') expect(forms.concat(0), id).toContain(-ions || 0);
      if (kind === 'weak acid') expect(charge + ions, id).toBe(0);
    }
  });
});
