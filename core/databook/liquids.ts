import { waterDensity } from '../chemistry/water';
import type { SourceKey } from './sources';

/** A liquid that can be named by its density. */
export interface LiquidEntry {
  id: string;
  name: string;
  /** At 20 °C, g/mL. */
  density20GPerMl: number;
  /** Cubic expansion at 20 °C, 10⁻³ K⁻¹; null where the density has an equation of its own. */
  expansionPerKK: number | null;
  source: SourceKey;
}

const liquid = (
  id: string,
  name: string,
  density20GPerMl: number,
  expansionPerKK: number | null,
  source: SourceKey = 'crcLiquids',
): LiquidEntry => ({ id, name, density20GPerMl, expansionPerKK, source });

export const LIQUIDS: readonly LiquidEntry[] = [
  liquid('water', 'water', 0.99821, null, 'kell'),
  liquid('hexane', 'hexane', 0.6594, 1.38),
  liquid('heptane', 'heptane', 0.6838, 1.26),
  liquid('octane', 'octane', 0.7025, 1.16),
  liquid('cyclohexane', 'cyclohexane', 0.7785, 1.21),
  liquid('propan-2-ol', 'propan-2-ol', 0.7855, 1.08),
  liquid('ethanol', 'ethanol', 0.7893, 1.09),
  liquid('acetone', 'acetone', 0.7900, 1.43),
  liquid('methanol', 'methanol', 0.7914, 1.19),
  liquid('propan-1-ol', 'propan-1-ol', 0.8035, 1.0),
  liquid('butan-1-ol', 'butan-1-ol', 0.8098, 0.95),
  liquid('toluene', 'toluene', 0.8669, 1.07),
  liquid('ethyl-acetate', 'ethyl acetate', 0.9003, 1.35),
  liquid('propane-1-2-diol', 'propane-1,2-diol', 1.0361, 0.7),
  liquid('benzyl-alcohol', 'benzyl alcohol', 1.0454, 0.75),
  liquid('ethane-1-2-diol', 'ethane-1,2-diol', 1.1135, 0.63),
  liquid('glycerol', 'glycerol', 1.2613, 0.5),
  liquid('sucrose-10', 'sugar solution, 10 % by mass', 1.0381, 0.25, 'crcSolutions'),
  liquid('sucrose-20', 'sugar solution, 20 % by mass', 1.081, 0.28, 'crcSolutions'),
  liquid('brine-10', 'salt solution, 10 % by mass', 1.0707, 0.36, 'crcSolutions'),
  liquid('brine-20', 'salt solution, 20 % by mass', 1.1478, 0.42, 'crcSolutions'),
]; // prettier-ignore

export const LIQUID_IDS = LIQUIDS.map((entry) => entry.id) as [string, ...string[]];

/** @throws RangeError for a name that is not in the data book */
export function liquidOf(id: string): LiquidEntry {
  const found = LIQUIDS.find((entry) => entry.id === id);
  if (!found) throw new RangeError(`no liquid is called "${id}"`);
  return found;
}

/**
 * Density of a liquid near room temperature, g/mL: water by Kell's equation, the others by ρ₂₀ (1 − β (t − 20 °C)),
 * which holds for some fifteen degrees around 20 °C.
 */
export function densityAt(entry: LiquidEntry, tempC: number): number {
  if (entry.expansionPerKK === null) return waterDensity(tempC);
  return entry.density20GPerMl * (1 - (entry.expansionPerKK / 1000) * (tempC - 20));
}
