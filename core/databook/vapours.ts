import type { Antoine, Critical } from '../physics/gas-law';
import type { SourceKey } from './sources';

/** Volatile liquids and their vapours, and how far gases depart from the ideal one. */

export interface Vapour {
  id: string;
  name: string;
  formula: string;
  gPerMol: number;
  /** At 101.325 kPa, °C. */
  boilsC: number;
  antoine: Antoine;
  critical: Critical;
  /** Density of the liquid at 20 °C, g/mL. */
  gPerMl: number;
  source: SourceKey;
}

const vapour = (id: string, name: string, formula: string, gPerMol: number, boilsC: number, antoine: Antoine, critical: readonly [number, number, number], gPerMl: number): Vapour => ({
  id, name, formula, gPerMol, boilsC, antoine, gPerMl,
  critical: { tempK: critical[0], pressureMPa: critical[1], acentric: critical[2] },
  source: 'reid',
}); // prettier-ignore

/** By boiling point. Critical temperature in K, critical pressure in MPa, acentric factor. */
export const VAPOURS: readonly Vapour[] = [
  vapour('isopentane', '2-methylbutane', 'C5H12', 72.15, 27.8, [6.83315, 1040.73, 235.45], [460.4, 3.38, 0.227], 0.62),
  vapour('diethyl-ether', 'diethyl ether', 'C4H10O', 74.12, 34.5, [6.92032, 1064.07, 228.8], [466.7, 3.64, 0.281], 0.713),
  vapour('pentane', 'pentane', 'C5H12', 72.15, 36.1, [6.85296, 1064.84, 232.012], [469.7, 3.37, 0.251], 0.626),
  vapour('cyclopentane', 'cyclopentane', 'C5H10', 70.13, 49.3, [6.88676, 1124.162, 231.361], [511.7, 4.51, 0.196], 0.745),
  vapour('acetone', 'acetone', 'C3H6O', 58.08, 56.1, [7.11714, 1210.595, 229.664], [508.1, 4.7, 0.304], 0.79),
  vapour('hexane', 'hexane', 'C6H14', 86.18, 68.7, [6.87601, 1171.17, 224.41], [507.5, 3.01, 0.299], 0.659),
  vapour('ethyl-acetate', 'ethyl acetate', 'C4H8O2', 88.11, 77.1, [7.10179, 1244.95, 217.88], [523.2, 3.83, 0.362], 0.9),
  vapour('cyclohexane', 'cyclohexane', 'C6H12', 84.16, 80.7, [6.8413, 1201.53, 222.65], [553.5, 4.07, 0.212], 0.778),
]; // prettier-ignore

export const VAPOUR_IDS = VAPOURS.map(({ id }) => id) as [string, ...string[]];

/** @throws RangeError for an id that is not in the data book */
export function vapourOf(id: string): Vapour {
  const found = VAPOURS.find((entry) => entry.id === id);
  if (!found) throw new RangeError(`no vapour is called "${id}"`);
  return found;
}

/** Gases that stay gases on a bench, by the id of `gases.ts`: what their departure from the ideal one follows from. */
export const GAS_CRITICAL: Readonly<Record<string, Critical>> = {
  air: { tempK: 132.5, pressureMPa: 3.77, acentric: 0.035 },
  hydrogen: { tempK: 33.2, pressureMPa: 1.3, acentric: -0.22 },
  helium: { tempK: 5.19, pressureMPa: 0.227, acentric: -0.39 },
  methane: { tempK: 190.6, pressureMPa: 4.6, acentric: 0.008 },
  neon: { tempK: 44.4, pressureMPa: 2.76, acentric: -0.029 },
  nitrogen: { tempK: 126.2, pressureMPa: 3.39, acentric: 0.04 },
  oxygen: { tempK: 154.6, pressureMPa: 5.05, acentric: 0.021 },
  argon: { tempK: 150.8, pressureMPa: 4.87, acentric: -0.004 },
  'carbon-dioxide': { tempK: 304.2, pressureMPa: 7.38, acentric: 0.225 },
}; // prettier-ignore
