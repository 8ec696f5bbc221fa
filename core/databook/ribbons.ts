import { gramsPerMol } from '../chemistry/molar-mass';

/** Metals that dissolve in dilute hydrochloric acid, and the hydrogen that a mole of each gives, mol. */
interface Ribbon {
  id: string;
  name: string;
  symbol: string;
  hydrogen: number;
  equation: string;
  /** How soon two thirds of a thin strip are dissolved, s. Model value. */
  takesS: number;
}

export const RIBBONS: readonly Ribbon[] = [
  { id: 'magnesium', name: 'magnesium', symbol: 'Mg', hydrogen: 1, equation: 'Mg + 2 HCl -> MgCl2 + H2', takesS: 20 },
  { id: 'aluminium', name: 'aluminium', symbol: 'Al', hydrogen: 1.5, equation: '2 Al + 6 HCl -> 2 AlCl3 + 3 H2', takesS: 70 },
  { id: 'zinc', name: 'zinc', symbol: 'Zn', hydrogen: 1, equation: 'Zn + 2 HCl -> ZnCl2 + H2', takesS: 60 },
  { id: 'iron', name: 'iron', symbol: 'Fe', hydrogen: 1, equation: 'Fe + 2 HCl -> FeCl2 + H2', takesS: 110 },
]; // prettier-ignore

export const RIBBON_IDS = RIBBONS.map(({ id }) => id) as [string, ...string[]];

/** @throws RangeError for an id that is not in the data book */
export function ribbonOf(id: string): Ribbon {
  const found = RIBBONS.find((entry) => entry.id === id);
  if (!found) throw new RangeError(`no ribbon is of "${id}"`);
  return found;
}

/** Grams of the metal that give a mole of hydrogen. */
export const gPerMolHydrogen = ({ symbol, hydrogen }: Ribbon): number => gramsPerMol(symbol) / hydrogen;
