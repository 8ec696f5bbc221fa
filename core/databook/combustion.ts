import { compositionOf } from '../chemistry/formula';
import type { SourceKey } from './sources';

/** A substance of C, H, N and O that burns, by the heat in which it is made of its elements. */
export interface Combustible {
  id: string;
  name: string;
  formula: string;
  /** Standard enthalpy of formation at 25 °C in the state that it has there, kJ/mol. */
  formationKJPerMol: number;
  source: SourceKey;
}

const burns = (id: string, name: string, formula: string, formationKJPerMol: number): Combustible => ({
  id,
  name,
  formula,
  formationKJPerMol,
  source: 'crcFormation',
});

/** Solids that can be pressed and burnt in oxygen. */
export const SOLID_FUELS: readonly Combustible[] = [
  burns('benzoic-acid', 'benzoic acid', 'C7H6O2', -385.2),
  burns('salicylic-acid', 'salicylic acid', 'C7H6O3', -589.9),
  burns('phthalic-acid', 'phthalic acid', 'C8H6O4', -782.0),
  burns('phthalic-anhydride', 'phthalic anhydride', 'C8H4O3', -460.1),
  burns('naphthalene', 'naphthalene', 'C10H8', 78.5),
  burns('anthracene', 'anthracene', 'C14H10', 129.2),
  burns('phenanthrene', 'phenanthrene', 'C14H10', 116.2),
  burns('biphenyl', 'biphenyl', 'C12H10', 99.4),
  burns('benzophenone', 'benzophenone', 'C13H10O', -34.5),
  burns('acetanilide', 'acetanilide', 'C8H9NO', -209.4),
  burns('benzamide', 'benzamide', 'C7H7NO', -202.6),
  burns('hexamine', 'hexamine', 'C6H12N4', 125.5),
  burns('hydroquinone', 'hydroquinone', 'C6H6O2', -364.5),
  burns('camphor', 'camphor', 'C10H16O', -319.4),
  burns('sucrose', 'sucrose', 'C12H22O11', -2226.1),
  burns('lactose', 'lactose, dry', 'C12H22O11', -2236.7),
  burns('glucose', 'glucose', 'C6H12O6', -1273.3),
  burns('fructose', 'fructose', 'C6H12O6', -1265.6),
  burns('glycine', 'glycine', 'C2H5NO2', -528.5),
  burns('alanine', 'alanine', 'C3H7NO2', -604.0),
  burns('urea', 'urea', 'CH4N2O', -333.1),
  burns('succinic-acid', 'succinic acid', 'C4H6O4', -940.5),
  burns('adipic-acid', 'adipic acid', 'C6H10O4', -994.3),
  burns('fumaric-acid', 'fumaric acid', 'C4H4O4', -811.7),
  burns('citric-acid', 'citric acid', 'C6H8O7', -1543.8),
  burns('palmitic-acid', 'palmitic acid', 'C16H32O2', -891.5),
  burns('stearic-acid', 'stearic acid', 'C18H36O2', -947.7),
]; // prettier-ignore

/** A liquid that burns on a wick. */
export interface LampFuel extends Combustible {
  /** What a flame of it on the wick of these lamps uses up, mg/s: model value. */
  burnsMgPerS: number;
  /** What a wick that does not burn gives off to the air, mg/s: model value, falling with the boiling point. */
  evaporatesMgPerS: number;
  /** Part of its heat that the flame gives: the rest goes up as soot. Model value. */
  cleanPart: number;
}

const lamp = (
  id: string, name: string, formula: string, formationKJPerMol: number, burnsMgPerS: number, evaporatesMgPerS: number, cleanPart: number,
): LampFuel => ({ ...burns(id, name, formula, formationKJPerMol), burnsMgPerS, evaporatesMgPerS, cleanPart }); // prettier-ignore

export const LAMP_FUELS: readonly LampFuel[] = [
  lamp('methanol', 'methanol', 'CH4O', -239.2, 7, 0.35, 1),
  lamp('ethanol', 'ethanol', 'C2H6O', -277.6, 5.6, 0.16, 1),
  lamp('propan-1-ol', 'propan-1-ol', 'C3H8O', -302.6, 4.8, 0.06, 0.995),
  lamp('propan-2-ol', 'propan-2-ol', 'C3H8O', -318.1, 5.2, 0.12, 0.99),
  lamp('butan-1-ol', 'butan-1-ol', 'C4H10O', -327.3, 4.3, 0.02, 0.985),
  lamp('butan-2-ol', 'butan-2-ol', 'C4H10O', -342.6, 4.6, 0.05, 0.985),
  lamp('pentan-1-ol', 'pentan-1-ol', 'C5H12O', -351.6, 3.9, 0.01, 0.98),
  lamp('hexan-1-ol', 'hexan-1-ol', 'C6H14O', -377.5, 3.5, 0.005, 0.975),
  lamp('acetone', 'acetone', 'C3H6O', -248.4, 6.6, 0.5, 0.99),
  lamp('ethyl-acetate', 'ethyl acetate', 'C4H8O2', -479.3, 6.4, 0.3, 0.99),
  lamp('hexane', 'hexane', 'C6H14', -198.7, 4.4, 0.4, 0.96),
  lamp('heptane', 'heptane', 'C7H16', -224.2, 4, 0.14, 0.955),
  lamp('octane', 'octane', 'C8H18', -250.1, 3.6, 0.05, 0.95),
  lamp('cyclohexane', 'cyclohexane', 'C6H12', -156.4, 4.2, 0.25, 0.93),
]; // prettier-ignore

export const SOLID_FUEL_IDS = SOLID_FUELS.map(({ id }) => id) as [string, ...string[]];
export const LAMP_FUEL_IDS = LAMP_FUELS.map(({ id }) => id) as [string, ...string[]];

/** @throws RangeError for a name that is not in the data book */
export function solidFuelOf(id: string): Combustible {
  const found = SOLID_FUELS.find((entry) => entry.id === id);
  if (!found) throw new RangeError(`no solid fuel is called "${id}"`);
  return found;
}

/** @throws RangeError for a name that is not in the data book */
export function lampFuelOf(id: string): LampFuel {
  const found = LAMP_FUELS.find((entry) => entry.id === id);
  if (!found) throw new RangeError(`no lamp fuel is called "${id}"`);
  return found;
}

/** Conventional standard atomic weights, IUPAC 2021. */
const WEIGHTS: Record<string, number> = { C: 12.011, H: 1.008, N: 14.007, O: 15.999 };
/** Enthalpies of formation of what burning leaves, kJ/mol. CODATA Key Values, 1989. */
const CO2_KJ = -393.51;
const WATER_KJ = -285.83;
/** What a mole of water takes along as steam at 25 °C, kJ/mol. CODATA Key Values, 1989. */
const STEAM_KJ = 44.01;
/** R T at 25 °C, kJ/mol. */
const RT_KJ = 8.314462618e-3 * 298.15;

const atomsOf = ({ formula }: Pick<Combustible, 'formula'>) => {
  const { atoms } = compositionOf(formula);
  return { C: atoms['C'] ?? 0, H: atoms['H'] ?? 0, N: atoms['N'] ?? 0, O: atoms['O'] ?? 0 };
};

/** g/mol */
export const molarMassOf = (fuel: Combustible): number =>
  Object.entries(atomsOf(fuel)).reduce((sum, [symbol, count]) => sum + count * (WEIGHTS[symbol] as number), 0);

/** mol of oxygen that a mole takes to burn to CO₂, water and N₂. */
export function oxygenMolPerMol(fuel: Combustible): number {
  const { C, H, O } = atomsOf(fuel);
  return C + H / 4 - O / 2;
}

/** Heat that a mole gives out at constant pressure with its water as a liquid, kJ/mol: by Hess's law. */
export function combustionKJPerMol(fuel: Combustible): number {
  const { C, H } = atomsOf(fuel);
  return fuel.formationKJPerMol - C * CO2_KJ - (H / 2) * WATER_KJ;
}

/** Heat that a gram gives out in a sealed vessel, its water as a liquid, kJ/g: no work is done by the gas that comes or goes. */
export function sealedKJPerG(fuel: Combustible): number {
  const { C, N } = atomsOf(fuel);
  const gasMol = C + N / 2 - oxygenMolPerMol(fuel);
  return (combustionKJPerMol(fuel) + gasMol * RT_KJ) / molarMassOf(fuel);
}

/** Heat that a gram gives out in the open, its water as steam, kJ/g. */
export function openKJPerG(fuel: Combustible): number {
  return (combustionKJPerMol(fuel) - (atomsOf(fuel).H / 2) * STEAM_KJ) / molarMassOf(fuel);
}

/** A wire that lights a pellet, and burns with it. */
interface FuseWire {
  id: string;
  name: string;
  diameterMm: number;
  densityGPerMl: number;
  /** Heat of a gram that burns to its oxide, kJ/g. */
  kJPerG: number;
  source: SourceKey;
}

export const FUSE_WIRES: readonly FuseWire[] = [
  { id: 'iron-wire', name: 'iron wire', diameterMm: 0.2, densityGPerMl: 7.87, kJPerG: 1118.4 / (3 * 55.845), source: 'crcFormation' },
  { id: 'nickel-wire', name: 'nickel wire', diameterMm: 0.2, densityGPerMl: 8.9, kJPerG: 239.7 / 58.693, source: 'crcFormation' },
]; // prettier-ignore
export const FUSE_WIRE_IDS = FUSE_WIRES.map(({ id }) => id) as [string, ...string[]];

/** @throws RangeError for a name that is not in the data book */
export function fuseWireOf(id: string): FuseWire {
  const found = FUSE_WIRES.find((entry) => entry.id === id);
  if (!found) throw new RangeError(`no fuse wire is called "${id}"`);
  return found;
}

/** Heat of a centimetre that burns, J/cm, to the tenth that the data book prints: results are worked out with that. */
export const wireJPerCm = ({ diameterMm, densityGPerMl, kJPerG }: FuseWire): number =>
  Math.round(10 * 1000 * kJPerG * densityGPerMl * (Math.PI / 4) * (diameterMm / 10) ** 2) / 10;
