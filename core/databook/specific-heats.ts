import type { SourceKey } from './sources';

/** How much heat a gram of something takes up for each kelvin, at constant pressure and 25 °C. */
export interface SpecificHeat {
  id: string;
  name: string;
  jPerGK: number;
  /** Digits that the source supports. */
  decimals: number;
  /** Molar mass, where it is one substance, g/mol; null of alloys and solutions. */
  molarMassGPerMol: number | null;
  source: SourceKey;
}

const of =
  (source: SourceKey) =>
  (id: string, name: string, jPerGK: number, molarMassGPerMol: number | null, decimals = 3): SpecificHeat => ({
    id,
    name,
    jPerGK,
    decimals,
    molarMassGPerMol,
    source,
  });
const element = of('crcElementHeats');
const alloy = of('crcAlloys');
const liquid = of('crcLiquidHeats');

/** Metals, by what a gram of them holds. */
export const METAL_HEATS: readonly SpecificHeat[] = [
  element('beryllium', 'beryllium', 1.825, 9.0122),
  element('magnesium', 'magnesium', 1.023, 24.305),
  element('aluminium', 'aluminium', 0.897, 26.982),
  element('titanium', 'titanium', 0.524, 47.867),
  element('manganese', 'manganese', 0.479, 54.938),
  element('iron', 'iron', 0.449, 55.845),
  element('chromium', 'chromium', 0.449, 51.996),
  element('nickel', 'nickel', 0.444, 58.693),
  element('cobalt', 'cobalt', 0.421, 58.933),
  element('zinc', 'zinc', 0.388, 65.38),
  element('copper', 'copper', 0.385, 63.546),
  element('zirconium', 'zirconium', 0.278, 91.224),
  element('molybdenum', 'molybdenum', 0.251, 95.95),
  element('silver', 'silver', 0.235, 107.868),
  element('indium', 'indium', 0.233, 114.818),
  element('cadmium', 'cadmium', 0.232, 112.414),
  element('tin', 'tin', 0.227, 118.71),
  element('antimony', 'antimony', 0.207, 121.76),
  element('platinum', 'platinum', 0.133, 195.084),
  element('tungsten', 'tungsten', 0.132, 183.84),
  element('gold', 'gold', 0.129, 196.967),
  element('lead', 'lead', 0.13, 207.2),
  element('bismuth', 'bismuth', 0.122, 208.98),
  alloy('stainless-steel', 'stainless steel (18 % Cr, 8 % Ni)', 0.5, null, 2),
  alloy('brass', 'brass (70 % Cu, 30 % Zn)', 0.38, null, 2),
  alloy('bronze', 'bronze (90 % Cu, 10 % Sn)', 0.38, null, 2),
]; // prettier-ignore

/** Liquids, by the same id as their density. */
export const LIQUID_HEATS: readonly SpecificHeat[] = [
  liquid('water', 'water', 4.18, 18.015),
  liquid('propan-2-ol', 'propan-2-ol', 2.604, 60.096),
  liquid('methanol', 'methanol', 2.531, 32.042),
  liquid('propane-1-2-diol', 'propane-1,2-diol', 2.507, 76.095),
  liquid('ethanol', 'ethanol', 2.438, 46.069),
  liquid('ethane-1-2-diol', 'ethane-1,2-diol', 2.407, 62.068),
  liquid('propan-1-ol', 'propan-1-ol', 2.395, 60.096),
  liquid('butan-1-ol', 'butan-1-ol', 2.391, 74.122),
  liquid('glycerol', 'glycerol', 2.377, 92.094),
  liquid('hexane', 'hexane', 2.27, 86.178),
  liquid('heptane', 'heptane', 2.242, 100.205),
  liquid('octane', 'octane', 2.229, 114.232),
  liquid('acetone', 'acetone', 2.175, 58.08),
  liquid('ethyl-acetate', 'ethyl acetate', 1.937, 88.106),
  liquid('cyclohexane', 'cyclohexane', 1.841, 84.162),
  liquid('toluene', 'toluene', 1.707, 92.141),
]; // prettier-ignore
