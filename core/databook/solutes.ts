import type { Ion } from './ions';
import type { SourceKey } from './sources';

/** A substance that can be dissolved: the protolyte it gives, and the ions that come with it. */
export interface Solute {
  id: string;
  name: string;
  formula: string;
  molarMassGPerMol: number;
  kind: 'strong acid' | 'weak acid' | 'strong base' | 'weak base' | 'salt';
  /** Protons that it gives in a titration with strong base; negative for those that it takes up from strong acid. */
  protons: number;
  /** pKa's at 25 °C of the fully protonated form, zero ionic strength. */
  pKas: readonly number[];
  /** Enthalpies of dissociation in kJ/mol, for pKa at other temperatures; null where none is tabulated. */
  enthalpiesKJPerMol: readonly (number | null)[];
  /** Charge of the fully protonated form. */
  charge: number;
  /** Ions that take no part, per formula unit. */
  spectators: readonly { ion: Ion; charge: number; count: number }[];
  /** Largest concentration that dissolves at 25 °C, mol/L, where a practical could meet it. */
  solubleToMolPerL?: number;
  source: SourceKey;
}

type Entry = [id: string, name: string, formula: string, molarMass: number];
type Spectator = Solute['spectators'][number];

function strongAcid([id, name, formula, molarMassGPerMol]: Entry, ion: Ion): Solute {
  const spectators = [{ ion, charge: -1, count: 1 }];
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

function base([id, name, formula, molarMassGPerMol]: Entry, ion: Ion, charge: number): Solute {
  const spectators = [{ ion, charge, count: 1 }];
  return { id, name, formula, molarMassGPerMol, kind: 'strong base', protons: -charge, pKas: [], enthalpiesKJPerMol: [], charge: 0, spectators, source: 'crcAcids' }; // prettier-ignore
}

function weakBase(
  [id, name, formula, molarMassGPerMol]: Entry,
  pKas: number[],
  enthalpiesKJPerMol: (number | null)[],
  source: SourceKey,
): Solute {
  // Named by its fully protonated form, whose charge is the number of protons that the base takes up.
  return { id, name, formula, molarMassGPerMol, kind: 'weak base', protons: -pKas.length, pKas, enthalpiesKJPerMol, charge: pKas.length, spectators: [], source }; // prettier-ignore
}

/** A salt whose anion or cation gives or takes protons, named by its fully protonated form. */
function salt(
  [id, name, formula, molarMassGPerMol]: Entry,
  protons: number,
  of: Pick<Solute, 'pKas' | 'enthalpiesKJPerMol' | 'charge' | 'source'>,
  spectator: Spectator,
): Solute {
  const { pKas, enthalpiesKJPerMol, charge, source } = of;
  return { id, name, formula, molarMassGPerMol, kind: 'salt', protons, pKas, enthalpiesKJPerMol, charge, spectators: [spectator], source }; // prettier-ignore
}

const PHTHALIC = weakAcid(['phthalic-acid', 'phthalic acid', 'C8H6O4', 166.132], [2.95, 5.408], [-2.7, -2.17], 'goldberg', 0.036); // prettier-ignore
const CARBONIC = weakAcid(['carbonic-acid', 'carbonic acid (with dissolved CO2)', 'H2CO3', 62.024], [6.351, 10.329], [9.15, 14.7], 'goldberg'); // prettier-ignore
const SULFURIC = weakAcid(['hydrogensulfate', 'hydrogensulfate ion', 'HSO4', 97.07], [1.99], [-22.4], 'goldberg'); // prettier-ignore
const TARTARIC = weakAcid(['tartaric-acid', 'tartaric acid', 'C4H6O6', 150.086], [3.036, 4.366], [3.19, 0.93], 'goldberg'); // prettier-ignore

/** Enthalpy of ionisation of water at 25 °C, kJ/mol. Source: Goldberg 2002 (see `sources.ts`). */
export const WATER_IONISES_KJ = 55.815;

/** Molar masses from the standard atomic weights of IUPAC; constants as each entry's source. */
export const SOLUTES = [
  strongAcid(['hydrochloric-acid', 'hydrochloric acid', 'HCl', 36.458], 'Cl'),
  strongAcid(['nitric-acid', 'nitric acid', 'HNO3', 63.012], 'NO3'),
  strongAcid(['perchloric-acid', 'perchloric acid', 'HClO4', 100.45], 'ClO4'),
  strongAcid(['hydrobromic-acid', 'hydrobromic acid', 'HBr', 80.912], 'Br'),
  // The first proton of sulfuric acid is strong: hydrogensulfate, and H⁺ counted as a charge that is missing.
  { id: 'sulfuric-acid', name: 'sulfuric acid', formula: 'H2SO4', molarMassGPerMol: 98.072, kind: 'strong acid', protons: 2, pKas: [1.99], enthalpiesKJPerMol: SULFURIC.enthalpiesKJPerMol, charge: -1, spectators: [], source: 'goldberg' }, // prettier-ignore
  weakAcid(['sulfamic-acid', 'sulfamic acid', 'H3NSO3', 97.088], [1.05], [null], 'crcAcids'),
  weakAcid(['acetic-acid', 'acetic acid', 'CH3COOH', 60.052], [4.756], [-0.41], 'goldberg'),
  weakAcid(['formic-acid', 'formic acid', 'HCOOH', 46.025], [3.75], [-0.04], 'crcAcids'),
  weakAcid(['propanoic-acid', 'propanoic acid', 'C2H5COOH', 74.079], [4.87], [-0.96], 'crcAcids'),
  weakAcid(['lactic-acid', 'lactic acid', 'C3H6O3', 90.078], [3.86], [-0.33], 'crcAcids'),
  weakAcid(['benzoic-acid', 'benzoic acid', 'C6H5COOH', 122.123], [4.204], [0.59], 'crcAcids', 0.028),
  weakAcid(['salicylic-acid', 'salicylic acid', 'C6H4(OH)COOH', 138.122], [2.98], [null], 'crcAcids', 0.016),
  weakAcid(['mandelic-acid', 'mandelic acid', 'C6H5CH(OH)COOH', 152.149], [3.41], [null], 'crcAcids'),
  weakAcid(['phenoxyacetic-acid', 'phenoxyacetic acid', 'C6H5OCH2COOH', 152.149], [3.17], [null], 'crcAcids', 0.07), // prettier-ignore
  weakAcid(['phenylacetic-acid', 'phenylacetic acid', 'C6H5CH2COOH', 136.15], [4.31], [null], 'crcAcids', 0.12),
  weakAcid(['acetylsalicylic-acid', 'acetylsalicylic acid', 'C9H8O4', 180.159], [3.48], [null], 'crcAcids', 0.018), // prettier-ignore
  weakAcid(['hippuric-acid', 'hippuric acid', 'C9H9NO3', 179.175], [3.62], [null], 'crcAcids', 0.02),
  weakAcid(['ascorbic-acid', 'ascorbic acid', 'C6H8O6', 176.124], [4.04, 11.7], [null, null], 'crcAcids'),
  weakAcid(['glycolic-acid', 'glycolic acid', 'HOCH2COOH', 76.051], [3.83], [null], 'crcAcids'),
  weakAcid(['chloroacetic-acid', 'chloroacetic acid', 'ClCH2COOH', 94.494], [2.87], [null], 'crcAcids'),
  weakAcid(['bromoacetic-acid', 'bromoacetic acid', 'BrCH2COOH', 138.948], [2.9], [null], 'crcAcids'),
  weakAcid(['cyanoacetic-acid', 'cyanoacetic acid', 'NCCH2COOH', 85.062], [2.47], [null], 'crcAcids'),
  weakAcid(['furoic-acid', '2-furoic acid', 'C4H3OCOOH', 112.084], [3.16], [null], 'crcAcids'),
  weakAcid(['levulinic-acid', 'levulinic acid', 'CH3COC2H4COOH', 116.116], [4.64], [null], 'crcAcids'),
  weakAcid(['crotonic-acid', 'trans-crotonic acid', 'C3H5COOH', 86.09], [4.69], [null], 'crcAcids'),
  weakAcid(['pivalic-acid', 'pivalic acid', '(CH3)3CCOOH', 102.133], [5.03], [null], 'crcAcids', 0.2),
  weakAcid(['oxalic-acid', 'oxalic acid', 'H2C2O4', 90.034], [1.27, 4.266], [-3.9, -7.0], 'goldberg'),
  weakAcid(['malonic-acid', 'malonic acid', 'CH2(COOH)2', 104.061], [2.85, 5.7], [null, null], 'crcAcids'),
  weakAcid(['maleic-acid', 'maleic acid', 'C2H2(COOH)2', 116.072], [1.92, 6.23], [null, null], 'crcAcids'),
  weakAcid(['succinic-acid', 'succinic acid', 'C4H6O4', 118.088], [4.207, 5.636], [3.0, -0.5], 'goldberg'),
  weakAcid(['itaconic-acid', 'itaconic acid', 'C5H6O4', 130.099], [3.85, 5.45], [null, null], 'crcAcids'),
  weakAcid(['glutaric-acid', 'glutaric acid', 'C3H6(COOH)2', 132.115], [4.32, 5.42], [null, null], 'crcAcids'),
  weakAcid(['malic-acid', 'malic acid', 'C4H6O5', 134.087], [3.4, 5.11], [null, null], 'crcAcids'),
  TARTARIC,
  weakAcid(['phosphoric-acid', 'phosphoric acid', 'H3PO4', 97.994], [2.148, 7.198, 12.35], [-8.0, 3.6, 16.0], 'goldberg'), // prettier-ignore
  weakAcid(['citric-acid', 'citric acid', 'C6H8O7', 192.123], [3.128, 4.761, 6.396], [4.07, 2.23, -3.38], 'goldberg'), // prettier-ignore
  CARBONIC,
  PHTHALIC,
  weakAcid(['boric-acid', 'boric acid', 'B(OH)3', 61.831], [9.237], [13.8], 'goldberg'),
  salt(['potassium-hydrogen-phthalate', 'potassium hydrogen phthalate', 'KHC8H4O4', 204.222], 1, PHTHALIC, { ion: 'K', charge: 1, count: 1 }), // prettier-ignore
  salt(['potassium-hydrogen-tartrate', 'potassium hydrogen tartrate', 'KHC4H4O6', 188.177], 1, TARTARIC, { ion: 'K', charge: 1, count: 1 }), // prettier-ignore
  // Hydrogensulfate carries its charge in its acid form; the ion that came with it makes up for it.
  salt(['sodium-hydrogensulfate', 'sodium hydrogensulfate', 'NaHSO4', 120.054], 1, { ...SULFURIC, charge: -1 }, { ion: 'Na', charge: 1, count: 1 }), // prettier-ignore
  { id: 'sodium-chloride', name: 'sodium chloride', formula: 'NaCl', molarMassGPerMol: 58.443, kind: 'salt', protons: 0, pKas: [], enthalpiesKJPerMol: [], charge: 0, spectators: [{ ion: 'Na', charge: 1, count: 1 }, { ion: 'Cl', charge: -1, count: 1 }], source: 'iupacWeights' }, // prettier-ignore
  base(['sodium-hydroxide', 'sodium hydroxide', 'NaOH', 39.997], 'Na', 1),
  base(['potassium-hydroxide', 'potassium hydroxide', 'KOH', 56.105], 'K', 1),
  base(['calcium-hydroxide', 'calcium hydroxide', 'Ca(OH)2', 74.092], 'Ca', 2),
  base(['magnesium-hydroxide', 'magnesium hydroxide', 'Mg(OH)2', 58.319], 'Mg', 2),
  weakBase(['ammonia', 'ammonia', 'NH3', 17.031], [9.245], [51.95], 'goldberg'),
  weakBase(['methylamine', 'methylamine', 'CH3NH2', 31.058], [10.645], [55.34], 'goldberg'),
  weakBase(['ethylamine', 'ethylamine', 'C2H5NH2', 45.085], [10.636], [57.2], 'crcAcids'),
  weakBase(['ethanolamine', 'ethanolamine', 'HOC2H4NH2', 61.084], [9.498], [50.52], 'goldberg'),
  weakBase(['tris', 'tris(hydroxymethyl)methylamine', '(HOCH2)3CNH2', 121.136], [8.072], [47.45], 'goldberg'),
  weakBase(['triethanolamine', 'triethanolamine', '(HOC2H4)3N', 149.19], [7.762], [33.6], 'goldberg'),
  weakBase(['pyridine', 'pyridine', 'C5H5N', 79.102], [5.23], [20.1], 'crcAcids'),
  salt(['sodium-carbonate', 'sodium carbonate', 'Na2CO3', 105.988], -2, CARBONIC, {
    ion: 'Na',
    charge: 1,
    count: 2,
  }),
  salt(['sodium-hydrogencarbonate', 'sodium hydrogencarbonate', 'NaHCO3', 84.006], -1, CARBONIC, { ion: 'Na', charge: 1, count: 1 }), // prettier-ignore
] as const satisfies readonly Solute[];

export type SoluteId = (typeof SOLUTES)[number]['id'];

const BY_ID = new Map<string, Solute>(SOLUTES.map((entry) => [entry.id, entry]));

/** @throws RangeError for a name that is not in the data book */
export function soluteOf(id: string): Solute {
  const found = BY_ID.get(id);
  if (!found) throw new RangeError(`no solute is called "${id}"`);
  return found;
}
