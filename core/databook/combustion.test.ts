import { describe, expect, it } from 'vitest';
import {
  combustionKJPerMol,
  FUSE_WIRES,
  LAMP_FUELS,
  lampFuelOf,
  molarMassOf,
  openKJPerG,
  oxygenMolPerMol,
  sealedKJPerG,
  SOLID_FUELS,
  solidFuelOf,
  wireJPerCm,
} from './combustion';

/**
 * Heats of combustion at 25 °C as they were published, kJ/mol: J. B. Pedley, R. D. Naylor, S. P. Kirby, Thermochemical Data of Organic
 * Compounds, 2nd ed., 1986; sugars and amino acids: J. D. Cox, G. Pilcher, Thermochemistry of Organic Compounds, 1970.
 */
const SOLIDS: [string, number][] = [
  ['benzoic-acid', 3226.9], ['salicylic-acid', 3022.0], ['naphthalene', 5156.3], ['anthracene', 7067.5], ['phenanthrene', 7054.9],
  ['biphenyl', 6251.3], ['benzophenone', 6510.4], ['acetanilide', 4224.9], ['benzamide', 3552.1], ['hexamine', 4200.1],
  ['sucrose', 5640.9], ['glucose', 2803.0], ['glycine', 973.1], ['urea', 631.6], ['succinic-acid', 1491.0], ['adipic-acid', 2795.9],
  ['fumaric-acid', 1334.0], ['citric-acid', 1960.6], ['palmitic-acid', 9977.6], ['stearic-acid', 11280.6],
]; // prettier-ignore
const LIQUIDS: [string, number][] = [
  ['methanol', 726.1], ['ethanol', 1366.8], ['propan-1-ol', 2021.3], ['propan-2-ol', 2005.8], ['butan-1-ol', 2675.9],
  ['butan-2-ol', 2660.6], ['pentan-1-ol', 3330.9], ['hexan-1-ol', 3984.4], ['acetone', 1789.9], ['ethyl-acetate', 2238.1],
  ['hexane', 4163.2], ['heptane', 4817.0], ['octane', 5470.3], ['cyclohexane', 3919.6],
]; // prettier-ignore

describe('heats of combustion of the data book', () => {
  it.each(SOLIDS)('%s burns with the heat that was measured, within 0.1 %%', (id, published) => {
    expect(Math.abs(combustionKJPerMol(solidFuelOf(id)) / published - 1)).toBeLessThan(1e-3);
  });

  it.each(LIQUIDS)('%s burns with the heat that was measured, within 0.1 %%', (id, published) => {
    expect(Math.abs(combustionKJPerMol(lampFuelOf(id)) / published - 1)).toBeLessThan(1e-3);
  });

  it('covers as many solids, liquids and wires as a school has', () => {
    for (const [all, least] of [
      [SOLID_FUELS, 16],
      [LAMP_FUELS, 10],
      [FUSE_WIRES, 2],
    ] as const)
      // prettier-ignore
      expect(new Set(all.map(({ id }) => id)).size).toBeGreaterThanOrEqual(least);
  });

  it('benzoic acid gives in a sealed vessel what its certificates say, 26.434 kJ/g, within 0.1 %', () => {
    expect(Math.abs(sealedKJPerG(solidFuelOf('benzoic-acid')) / 26.434 - 1)).toBeLessThan(1e-3);
  });

  it('at constant volume the work of the gas is missing: none where as much gas comes as goes', () => {
    // C12H22O11 + 12 O2 → 12 CO2 + 11 H2O; C10H8 + 12 O2 → 10 CO2 + 4 H2O; CH4N2O + 1.5 O2 → CO2 + N2 + 2 H2O
    const perMol = (id: string) => sealedKJPerG(solidFuelOf(id)) * molarMassOf(solidFuelOf(id));
    expect(perMol('sucrose')).toBeCloseTo(combustionKJPerMol(solidFuelOf('sucrose')), 9);
    expect(perMol('naphthalene')).toBeCloseTo(combustionKJPerMol(solidFuelOf('naphthalene')) - 2 * 2.479, 2);
    expect(perMol('urea')).toBeCloseTo(combustionKJPerMol(solidFuelOf('urea')) + 0.5 * 2.479, 2);
    expect(oxygenMolPerMol(solidFuelOf('benzoic-acid'))).toBe(7.5);
  });

  it('in the open its water leaves as steam: the lower values that fuels are sold by, MJ/kg', () => {
    // Published lower heating values.
    const sold: [string, number][] = [['methanol', 19.9], ['ethanol', 26.8], ['hexane', 44.75], ['octane', 44.4], ['butan-1-ol', 33.1]]; // prettier-ignore
    for (const [id, value] of sold) expect(Math.abs(openKJPerG(lampFuelOf(id)) / value - 1)).toBeLessThan(5e-3);
  });

  it('a fuse wire is worth what its oxide is, by the centimetre', () => {
    // 3 Fe + 2 O2 → Fe3O4: 6.68 kJ/g, of a wire that weighs 2.47 mg/cm.
    const iron = FUSE_WIRES.find(({ id }) => id === 'iron-wire');
    expect(wireJPerCm(iron as (typeof FUSE_WIRES)[0])).toBeCloseTo(6.68 * 2.47, 0);
  });
});
