import type { SourceKey } from './sources';

/** A gas whose particles fly alone: what tells them apart is their mass. */
interface GasEntry {
  id: string;
  name: string;
  formula: string;
  molarMassGPerMol: number;
  source: SourceKey;
}

const gas = (id: string, name: string, formula: string, molarMassGPerMol: number): GasEntry => ({
  id,
  name,
  formula,
  molarMassGPerMol,
  source: 'iupacWeights',
});

/** Molar masses from the standard atomic weights. */
export const GASES: readonly GasEntry[] = [
  gas('hydrogen', 'hydrogen', 'H2', 2.016),
  gas('helium', 'helium', 'He', 4.0026),
  gas('methane', 'methane', 'CH4', 16.043),
  gas('neon', 'neon', 'Ne', 20.18),
  gas('nitrogen', 'nitrogen', 'N2', 28.014),
  gas('oxygen', 'oxygen', 'O2', 31.998),
  gas('argon', 'argon', 'Ar', 39.948),
  gas('carbon-dioxide', 'carbon dioxide', 'CO2', 44.009),
  gas('chlorine', 'chlorine', 'Cl2', 70.9),
  gas('krypton', 'krypton', 'Kr', 83.798),
  gas('xenon', 'xenon', 'Xe', 131.293),
  gas('sulfur-hexafluoride', 'sulfur hexafluoride', 'SF6', 146.06),
]; // prettier-ignore

export const GAS_IDS = GASES.map((entry) => entry.id) as [string, ...string[]];

/** @throws RangeError for a name that is not in the data book */
export function gasOf(id: string): GasEntry {
  const found = GASES.find((entry) => entry.id === id);
  if (!found) throw new RangeError(`no gas is called "${id}"`);
  return found;
}

/** What a gas is called, by its id; air has no entry by molar mass, and is called by that. */
export const gasName = (id: string): string => GASES.find((entry) => entry.id === id)?.name ?? id;
