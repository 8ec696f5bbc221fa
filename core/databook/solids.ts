import { soluteOf, type SoluteId } from './solutes';

/** What is weighed out of a jar: its formula unit, and what one of them gives in solution. */
export interface Solid {
  id: string;
  name: string;
  formula: string;
  molarMassGPerMol: number;
  gives: Readonly<Partial<Record<SoluteId, number>>>;
  /** Dissolves only in acid. */
  insoluble?: true;
}

/** A solute that is weighed as it is. */
function plain(id: SoluteId): Solid {
  const { name, formula, molarMassGPerMol } = soluteOf(id);
  return { id, name, formula, molarMassGPerMol, gives: { [id]: 1 } };
}

/** Acids that can be weighed and named by molar mass and pKa. */
const ACIDS = [
  'benzoic-acid', 'salicylic-acid', 'mandelic-acid', 'phenoxyacetic-acid', 'phenylacetic-acid', 'acetylsalicylic-acid',
  'hippuric-acid', 'ascorbic-acid', 'glycolic-acid', 'chloroacetic-acid', 'bromoacetic-acid', 'cyanoacetic-acid',
  'furoic-acid', 'levulinic-acid', 'crotonic-acid', 'pivalic-acid', 'malonic-acid', 'maleic-acid', 'succinic-acid',
  'itaconic-acid', 'glutaric-acid', 'malic-acid', 'tartaric-acid', 'sulfamic-acid', 'potassium-hydrogen-phthalate',
  'potassium-hydrogen-tartrate', 'sodium-hydrogensulfate',
] as const satisfies readonly SoluteId[]; // prettier-ignore

const HYDRATES = [
  { id: 'oxalic-acid-dihydrate', name: 'oxalic acid dihydrate', formula: 'H2C2O4·2H2O', molarMassGPerMol: 126.064, gives: { 'oxalic-acid': 1 } },
  { id: 'citric-acid-monohydrate', name: 'citric acid monohydrate', formula: 'C6H8O7·H2O', molarMassGPerMol: 210.138, gives: { 'citric-acid': 1 } },
] as const satisfies readonly Solid[]; // prettier-ignore

/** Carbonates and hydroxides that acid dissolves; a carbonate gives its carbon dioxide with the hydroxide. */
const INSOLUBLE = [
  { id: 'calcium-carbonate', name: 'calcium carbonate', formula: 'CaCO3', molarMassGPerMol: 100.086, gives: { 'calcium-hydroxide': 1, 'carbonic-acid': 1 }, insoluble: true },
  { id: 'magnesium-carbonate', name: 'magnesium carbonate', formula: 'MgCO3', molarMassGPerMol: 84.313, gives: { 'magnesium-hydroxide': 1, 'carbonic-acid': 1 }, insoluble: true },
  { id: 'magnesium-hydroxide', name: 'magnesium hydroxide', formula: 'Mg(OH)2', molarMassGPerMol: 58.319, gives: { 'magnesium-hydroxide': 1 }, insoluble: true },
] as const satisfies readonly Solid[]; // prettier-ignore

type InsolubleId = (typeof INSOLUBLE)[number]['id'];
export type AcidSolidId = (typeof ACIDS)[number] | (typeof HYDRATES)[number]['id'];

export const ACID_SOLIDS: readonly Solid[] = [...ACIDS.map(plain), ...HYDRATES];
export const ACID_SOLID_IDS = ACID_SOLIDS.map((solid) => solid.id) as [AcidSolidId, ...AcidSolidId[]];
export const INSOLUBLE_IDS = INSOLUBLE.map((solid) => solid.id) as [InsolubleId, ...InsolubleId[]];

export const SOLIDS: readonly Solid[] = [...ACID_SOLIDS, plain('sodium-carbonate'), ...INSOLUBLE];

/** @throws RangeError for a name that is not in the data book */
export function solidOf(id: string): Solid {
  const found = SOLIDS.find((solid) => solid.id === id);
  if (!found) throw new RangeError(`no solid is called "${id}"`);
  return found;
}

/** Amounts in solution that one gram of a mixture gives, mol/g, from the parts by mass of its solids. */
export function amountsPerGram(parts: Readonly<Partial<Record<string, number>>>): Record<string, number> {
  const amounts: Record<string, number> = {};
  for (const [id, part] of Object.entries(parts)) {
    const solid = id === 'sodium-chloride' ? plain('sodium-chloride') : solidOf(id);
    for (const [solute, count] of Object.entries(solid.gives)) {
      amounts[solute] = (amounts[solute] ?? 0) + ((part ?? 0) * (count ?? 0)) / solid.molarMassGPerMol;
    }
  }
  return amounts;
}
