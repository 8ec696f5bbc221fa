import type { SourceKey } from './sources';

/** A salt, by the heat that it takes up or gives out when it dissolves in much water. */
export interface Salt {
  id: string;
  name: string;
  formula: string;
  molarMassGPerMol: number;
  /** Enthalpy of solution at 25 °C and infinite dilution, kJ/mol: positive where it cools. */
  enthalpyKJPerMol: number;
  /** What 100 g of water dissolve at 25 °C, g. */
  solubilityG: number;
  source: SourceKey;
}

const salt = (
  id: string,
  name: string,
  formula: string,
  molarMassGPerMol: number,
  enthalpyKJPerMol: number,
  solubilityG: number,
): Salt => ({ id, name, formula, molarMassGPerMol, enthalpyKJPerMol, solubilityG, source: 'parker' });

/** Enthalpies of one source, so that they can be held against one another; solubilities by the CRC Handbook. */
export const SALTS: readonly Salt[] = [
  salt('ammonium-nitrate', 'ammonium nitrate', 'NH4NO3', 80.043, 25.69, 213),
  salt('ammonium-chloride', 'ammonium chloride', 'NH4Cl', 53.491, 14.78, 39.5),
  salt('ammonium-bromide', 'ammonium bromide', 'NH4Br', 97.943, 16.78, 78.3),
  salt('ammonium-thiocyanate', 'ammonium thiocyanate', 'NH4SCN', 76.121, 22.59, 181),
  salt('lithium-chloride', 'lithium chloride', 'LiCl', 42.39, -37.03, 84.5),
  salt('lithium-chloride-1-water', 'lithium chloride monohydrate', 'LiCl·H2O', 60.409, -19.08, 130),
  salt('lithium-bromide', 'lithium bromide', 'LiBr', 86.845, -48.83, 181),
  salt('lithium-nitrate', 'lithium nitrate', 'LiNO3', 68.944, -2.51, 102),
  salt('sodium-chloride', 'sodium chloride', 'NaCl', 58.443, 3.88, 36),
  salt('sodium-bromide', 'sodium bromide', 'NaBr', 102.894, -0.6, 94.6),
  salt('sodium-bromide-2-water', 'sodium bromide dihydrate', 'NaBr·2H2O', 138.924, 18.64, 190),
  salt('sodium-iodide', 'sodium iodide', 'NaI', 149.894, -7.53, 184),
  salt('sodium-iodide-2-water', 'sodium iodide dihydrate', 'NaI·2H2O', 185.925, 16.13, 300),
  salt('sodium-nitrate', 'sodium nitrate', 'NaNO3', 84.994, 20.5, 91.2),
  salt('sodium-nitrite', 'sodium nitrite', 'NaNO2', 68.995, 13.89, 84.8),
  salt('sodium-acetate', 'sodium acetate', 'NaCH3CO2', 82.034, -17.32, 50.4),
  salt('sodium-acetate-3-water', 'sodium acetate trihydrate', 'NaCH3CO2·3H2O', 136.079, 19.66, 125),
  salt('sodium-thiocyanate', 'sodium thiocyanate', 'NaSCN', 81.072, 6.83, 151),
  salt('sodium-chlorate', 'sodium chlorate', 'NaClO3', 106.44, 21.72, 100),
  salt('sodium-perchlorate', 'sodium perchlorate', 'NaClO4', 122.44, 13.88, 205),
  salt('potassium-chloride', 'potassium chloride', 'KCl', 74.551, 17.22, 35.5),
  salt('potassium-bromide', 'potassium bromide', 'KBr', 119.002, 19.87, 67.8),
  salt('potassium-iodide', 'potassium iodide', 'KI', 166.003, 20.33, 148),
  salt('potassium-nitrate', 'potassium nitrate', 'KNO3', 101.103, 34.89, 38.3),
  salt('potassium-nitrite', 'potassium nitrite', 'KNO2', 85.104, 13.35, 312),
  salt('potassium-chlorate', 'potassium chlorate', 'KClO3', 122.55, 41.38, 8.61),
  salt('potassium-thiocyanate', 'potassium thiocyanate', 'KSCN', 97.181, 24.23, 238),
  salt('potassium-fluoride', 'potassium fluoride', 'KF', 58.097, -17.73, 102),
  salt('potassium-fluoride-2-water', 'potassium fluoride dihydrate', 'KF·2H2O', 94.127, 6.97, 349),
  salt('potassium-acetate', 'potassium acetate', 'KCH3CO2', 98.142, -15.33, 269),
  salt('rubidium-chloride', 'rubidium chloride', 'RbCl', 120.921, 17.28, 94),
  salt('caesium-chloride', 'caesium chloride', 'CsCl', 168.359, 17.78, 191),
]; // prettier-ignore

export const SALT_IDS = SALTS.map(({ id }) => id) as [string, ...string[]];

/** @throws RangeError for a name that is not in the data book */
export function saltOf(id: string): Salt {
  const found = SALTS.find((entry) => entry.id === id);
  if (!found) throw new RangeError(`no salt is called "${id}"`);
  return found;
}

/** Heat that a gram takes up when it dissolves, J/g. */
export const solutionJPerG = ({ enthalpyKJPerMol, molarMassGPerMol }: Salt): number =>
  (1000 * enthalpyKJPerMol) / molarMassGPerMol;

const GAS_CONSTANT = 8.314462618;

/** Ions that all salts here give: their product is what the enthalpy governs, so that each grows by half of it. */
const IONS = 2;

/** mol that a gram of water dissolves, by van 't Hoff's equation with the enthalpy at infinite dilution. */
export function solubleMolPerG(salt: Salt, tempC: number): number {
  const at25 = salt.solubilityG / 100 / salt.molarMassGPerMol;
  const by =
    ((1000 * salt.enthalpyKJPerMol) / (IONS * GAS_CONSTANT)) * (1 / 298.15 - 1 / (Math.max(tempC, -20) + 273.15));
  return at25 * Math.exp(Math.max(-2, Math.min(2, by)));
}
