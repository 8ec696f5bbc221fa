import type { SourceKey } from './sources';

/** A substance that can be dissolved: the protolyte it gives, and the ions that come with it. */
export interface Solute {
  id: string;
  name: string;
  formula: string;
  molarMassGPerMol: number;
  kind: 'strong acid' | 'weak acid' | 'strong base' | 'weak base' | 'salt';
  /** Protons that a strong base takes up in a titration. */
  protons: number;
  /** pKa's at 25 °C of the fully protonated form, zero ionic strength. */
  pKas: readonly number[];
  /** Enthalpies of dissociation in kJ/mol, for pKa at other temperatures; null where none is tabulated. */
  enthalpiesKJPerMol: readonly (number | null)[];
  /** Charge of the fully protonated form. */
  charge: number;
  /** Ions that take no part, per formula unit. */
  spectators: readonly { charge: number; count: number }[];
  /** Largest concentration that dissolves at 25 °C, mol/L, where a practical could meet it. */
  solubleToMolPerL?: number;
  source: SourceKey;
}

type Entry = [id: string, name: string, formula: string, molarMass: number];

function strongAcid([id, name, formula, molarMassGPerMol]: Entry): Solute {
  const spectators = [{ charge: -1, count: 1 }];
  return { id, name, formula, molarMassGPerMol, kind: 'strong acid', protons: 1, pKas: [], enthalpiesKJPerMol: [], charge: 0, spectators, source: 'crcAcids' }; // prettier-ignore
}

function weakAcid(
  [id, name, formula, molarMassGPerMol]: Entry,
  pKas: number[],
  enthalpiesKJPerMol: (number | null)[],
  source: SourceKey,
  solubleToMolPerL?: number,
): Solute {
  // prettier-ignore
  return { id, name, formula, molarMassGPerMol, kind: 'weak acid', protons: pKas.length, pKas, enthalpiesKJPerMol, charge: 0, spectators: [], source, solubleToMolPerL }; // prettier-ignore
}

function base([id, name, formula, molarMassGPerMol]: Entry, ion: number, count: number): Solute {
  const spectators = [{ charge: ion, count }];
  return { id, name, formula, molarMassGPerMol, kind: 'strong base', protons: -ion * count, pKas: [], enthalpiesKJPerMol: [], charge: 0, spectators, source: 'crcAcids' }; // prettier-ignore
}

/** Molar masses from the standard atomic weights of IUPAC; constants as each entry's source. */
export const SOLUTES = [
  strongAcid(['hydrochloric-acid', 'hydrochloric acid', 'HCl', 36.458]),
  strongAcid(['nitric-acid', 'nitric acid', 'HNO3', 63.012]),
  strongAcid(['perchloric-acid', 'perchloric acid', 'HClO4', 100.45]),
  strongAcid(['hydrobromic-acid', 'hydrobromic acid', 'HBr', 80.912]),
  weakAcid(['sulfamic-acid', 'sulfamic acid', 'H3NSO3', 97.088], [1.05], [null], 'crcAcids'),
  weakAcid(['acetic-acid', 'acetic acid', 'CH3COOH', 60.052], [4.756], [-0.41], 'goldberg'),
  weakAcid(['formic-acid', 'formic acid', 'HCOOH', 46.025], [3.75], [-0.04], 'crcAcids'),
  weakAcid(['propanoic-acid', 'propanoic acid', 'C2H5COOH', 74.079], [4.87], [-0.96], 'crcAcids'),
  weakAcid(['lactic-acid', 'lactic acid', 'C3H6O3', 90.078], [3.86], [-0.33], 'crcAcids'),
  weakAcid(['benzoic-acid', 'benzoic acid', 'C6H5COOH', 122.123], [4.204], [0.59], 'crcAcids', 0.028),
  weakAcid(['oxalic-acid', 'oxalic acid', 'H2C2O4', 90.034], [1.27, 4.266], [-3.9, -7.0], 'goldberg'),
  weakAcid(['succinic-acid', 'succinic acid', 'C4H6O4', 118.088], [4.207, 5.636], [3.0, -0.5], 'goldberg'),
  weakAcid(['tartaric-acid', 'tartaric acid', 'C4H6O6', 150.086], [3.036, 4.366], [3.19, 0.93], 'goldberg'),
  weakAcid(['phosphoric-acid', 'phosphoric acid', 'H3PO4', 97.994], [2.148, 7.198, 12.35], [-8.0, 3.6, 16.0], 'goldberg'), // prettier-ignore
  weakAcid(['citric-acid', 'citric acid', 'C6H8O7', 192.123], [3.128, 4.761, 6.396], [4.07, 2.23, -3.38], 'goldberg'), // prettier-ignore
  weakAcid(['carbonic-acid', 'carbonic acid (with dissolved CO2)', 'H2CO3', 62.024], [6.351, 10.329], [9.15, 14.7], 'goldberg'), // prettier-ignore
  weakAcid(['phthalic-acid', 'phthalic acid', 'C8H6O4', 166.132], [2.95, 5.408], [-2.7, -2.17], 'goldberg', 0.036), // prettier-ignore
  weakAcid(['boric-acid', 'boric acid', 'B(OH)3', 61.831], [9.237], [13.8], 'goldberg'),
  base(['sodium-hydroxide', 'sodium hydroxide', 'NaOH', 39.997], 1, 1),
  base(['potassium-hydroxide', 'potassium hydroxide', 'KOH', 56.105], 1, 1),
  { id: 'ammonia', name: 'ammonia', formula: 'NH3', molarMassGPerMol: 17.031, kind: 'weak base', protons: -1, pKas: [9.245], enthalpiesKJPerMol: [51.95], charge: 1, spectators: [], source: 'goldberg' }, // prettier-ignore
] as const satisfies readonly Solute[];

export type SoluteId = (typeof SOLUTES)[number]['id'];

const BY_ID = new Map<string, Solute>(SOLUTES.map((entry) => [entry.id, entry]));

/** @throws RangeError for a name that is not in the data book */
export function soluteOf(id: string): Solute {
  const found = BY_ID.get(id);
  if (!found) throw new RangeError(`no solute is called "${id}"`);
  return found;
}
