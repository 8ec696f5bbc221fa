import type { SourceKey } from './sources';

/** A substance that is melted and frozen, pure or with something dissolved in it. */
export interface Freezing {
  id: string;
  name: string;
  formula: string;
  molarMassGPerMol: number;
  /** At the pressure of the room, °C. */
  freezesC: number;
  /** Cryoscopic constant, K kg/mol: the heat of fusion of the model follows from it, for published ones disagree. */
  kfKKgPerMol: number;
  /** Specific heats of what is molten and what is frozen, J/(g K). */
  liquidJPerGK: number;
  solidJPerGK: number;
  densityGPerMl: number;
  /** What goes into it: what water dissolves, or what the others do; in those without hydrogen bonds acids go in pairs. */
  kind: 'water' | 'polar' | 'apolar';
  source: SourceKey;
}

const freezing = (
  id: string, name: string, formula: string, molarMassGPerMol: number, freezesC: number, kfKKgPerMol: number,
  liquidJPerGK: number, solidJPerGK: number, densityGPerMl: number, kind: Freezing['kind'],
): Freezing => ({
  id, name, formula, molarMassGPerMol, freezesC, kfKKgPerMol, liquidJPerGK, solidJPerGK, densityGPerMl, kind, source: 'crcFreezing',
}); // prettier-ignore

/** Gas constant, J/(mol K), and 0 °C in K. */
const [R, ZERO_K] = [8.314462618, 273.15];

/** The same of what no cryoscopic constant is tabulated for: it follows from the molar heat of fusion, kJ/mol. */
const byFusion = (
  id: string, name: string, formula: string, molarMassGPerMol: number, freezesC: number, fusionKJPerMol: number,
  liquidJPerGK: number, solidJPerGK: number, densityGPerMl: number, kind: Freezing['kind'],
): Freezing => ({
  id, name, formula, molarMassGPerMol, freezesC, liquidJPerGK, solidJPerGK, densityGPerMl, kind, source: 'crcFusion',
  kfKKgPerMol: Number(((R * (freezesC + ZERO_K) ** 2 * molarMassGPerMol) / (1e6 * fusionKJPerMol)).toPrecision(3)),
}); // prettier-ignore

export const FREEZING: readonly Freezing[] = [
  freezing('water', 'water', 'H2O', 18.015, 0, 1.86, 4.18, 2.09, 1.0, 'water'),
  freezing('cyclohexane', 'cyclohexane', 'C6H12', 84.16, 6.59, 20.8, 1.84, 1.6, 0.78, 'apolar'),
  freezing('dioxane', '1,4-dioxane', 'C4H8O2', 88.106, 11.85, 4.63, 1.74, 1.5, 1.03, 'polar'),
  freezing('p-xylene', 'p-xylene', 'C8H10', 106.165, 13.25, 4.31, 1.71, 1.5, 0.86, 'apolar'),
  freezing('acetic-acid', 'acetic acid', 'C2H4O2', 60.052, 16.64, 3.63, 2.05, 1.8, 1.05, 'polar'),
  freezing('dimethyl-sulfoxide', 'dimethyl sulfoxide', 'C2H6OS', 78.133, 18.52, 3.85, 1.96, 1.6, 1.1, 'polar'),
  freezing('phenol', 'phenol', 'C6H6O', 94.111, 40.89, 6.84, 2.1, 1.4, 1.06, 'polar'),
  freezing('benzophenone', 'benzophenone', 'C13H10O', 182.217, 47.9, 8.58, 1.7, 1.3, 1.09, 'polar'),
  freezing('dichlorobenzene', 'p-dichlorobenzene', 'C6H4Cl2', 147.002, 53.09, 7.57, 1.2, 1.0, 1.25, 'apolar'),
  freezing('diphenylamine', 'diphenylamine', 'C12H11N', 169.222, 53.2, 8.38, 1.8, 1.4, 1.06, 'polar'),
  freezing('succinonitrile', 'succinonitrile', 'C4H4N2', 80.088, 58.06, 19.3, 2.0, 1.8, 0.99, 'polar'),
  freezing('p-toluidine', 'p-toluidine', 'C7H9N', 107.153, 43.6, 4.91, 2.1, 1.6, 0.96, 'polar'),
  freezing('naphthalene', 'naphthalene', 'C10H8', 128.171, 80.26, 7.45, 1.72, 1.5, 0.97, 'apolar'),
  byFusion('phenyl-salicylate', 'phenyl salicylate', 'C13H10O3', 214.22, 41.8, 18.3, 1.8, 1.3, 1.18, 'polar'),
  byFusion('lauric-acid', 'lauric acid', 'C12H24O2', 200.32, 43.8, 36.3, 2.1, 1.9, 0.87, 'polar'),
  byFusion('docosane', 'docosane', 'C22H46', 310.61, 44.0, 48.8, 2.2, 1.9, 0.78, 'apolar'),
  byFusion('biphenyl', 'biphenyl', 'C12H10', 154.212, 68.93, 18.57, 1.74, 1.29, 0.99, 'apolar'),
  byFusion('stearic-acid', 'stearic acid', 'C18H36O2', 284.48, 69.3, 61.2, 2.2, 1.8, 0.85, 'polar'),
]; // prettier-ignore

/** Something that is dissolved in one of these. */
export interface Dissolving {
  id: string;
  name: string;
  formula: string;
  molarMassGPerMol: number;
  /** What it goes into. */
  into: 'water' | 'organic';
  /** Particles that one unit of it comes apart into in water; 1 where it stays whole. */
  splitsInto: number;
  /** Constant of two that go together where nothing else bonds them, kg/mol; null where none do. */
  pairsKgPerMol: number | null;
  /** How the last of its solution freezes: see {@link Alone}. */
  alone: Alone;
  source: SourceKey;
}

/** What tells how much of a solute a solvent holds: where it melts by itself, with its heat of fusion, or where the two freeze together. */
type Alone = { meltsC: number; fusionKJPerMol: number } | { eutecticC: number };

const meltsAt = (meltsC: number, fusionKJPerMol: number): Alone => ({ meltsC, fusionKJPerMol });
const withWater = (eutecticC: number): Alone => ({ eutecticC });

const whole = (id: string, name: string, formula: string, molarMassGPerMol: number, alone: Alone, into: Dissolving['into'] = 'organic'): Dissolving => ({
  id, name, formula, molarMassGPerMol, into, splitsInto: 1, pairsKgPerMol: null, alone, source: 'iupacWeights',
}); // prettier-ignore

/** What melts and freezes by itself too: so it melts as it does there. */
export const aloneOf = ({ freezesC, kfKKgPerMol, molarMassGPerMol }: Freezing): Alone =>
  meltsAt(freezesC, (R * (freezesC + ZERO_K) ** 2 * molarMassGPerMol) / (1e6 * kfKKgPerMol));
const asAbove = (id: string): Alone => aloneOf(freezingOf(id));

export const DISSOLVING: readonly Dissolving[] = [
  whole('urea', 'urea', 'CH4N2O', 60.056, withWater(-11.5), 'water'),
  whole('acetamide', 'acetamide', 'C2H5NO', 59.068, meltsAt(80.16, 15.6), 'water'),
  whole('glycine', 'glycine', 'C2H5NO2', 75.067, withWater(-3.6), 'water'),
  whole('glucose', 'glucose', 'C6H12O6', 180.156, withWater(-5.3), 'water'),
  whole('mannitol', 'mannitol', 'C6H14O6', 182.172, withWater(-1.5), 'water'),
  whole('sucrose', 'sucrose', 'C12H22O11', 342.297, withWater(-13.9), 'water'),
  { ...whole('sodium-chloride', 'sodium chloride', 'NaCl', 58.44, withWater(-21.1), 'water'), splitsInto: 2 },
  { ...whole('potassium-chloride', 'potassium chloride', 'KCl', 74.548, withWater(-10.7), 'water'), splitsInto: 2 },
  { ...whole('calcium-chloride', 'calcium chloride', 'CaCl2', 110.978, withWater(-49.8), 'water'), splitsInto: 3 },
  whole('naphthalene', 'naphthalene', 'C10H8', 128.174, asAbove('naphthalene')),
  whole('dichlorobenzene', 'p-dichlorobenzene', 'C6H4Cl2', 146.998, asAbove('dichlorobenzene')),
  whole('camphor', 'camphor', 'C10H16O', 152.237, meltsAt(178.8, 6.84)),
  whole('biphenyl', 'biphenyl', 'C12H10', 154.212, asAbove('biphenyl')),
  whole('diphenylamine', 'diphenylamine', 'C12H11N', 169.227, asAbove('diphenylamine')),
  whole('benzophenone', 'benzophenone', 'C13H10O', 182.222, asAbove('benzophenone')),
  whole('benzil', 'benzil', 'C14H10O2', 210.232, meltsAt(94.87, 23.5)),
  whole('triphenylmethane', 'triphenylmethane', 'C19H16', 244.337, meltsAt(92.1, 22.0)),
  whole('docosane', 'docosane', 'C22H46', 310.61, asAbove('docosane')),
  { ...whole('benzoic-acid', 'benzoic acid', 'C7H6O2', 122.123, meltsAt(122.35, 18.0)), pairsKgPerMol: 60 },
  { ...whole('phenylacetic-acid', 'phenylacetic acid', 'C8H8O2', 136.15, meltsAt(76.7, 16.3)), pairsKgPerMol: 45 },
]; // prettier-ignore

export const FREEZING_IDS = FREEZING.map(({ id }) => id) as [string, ...string[]];
export const DISSOLVING_IDS = DISSOLVING.map(({ id }) => id) as [string, ...string[]];

/** @throws RangeError for a name that is not in the data book */
export function freezingOf(id: string): Freezing {
  const found = FREEZING.find((entry) => entry.id === id);
  if (!found) throw new RangeError(`nothing that is frozen is called "${id}"`);
  return found;
}

/** @throws RangeError for a name that is not in the data book */
export function dissolvingOf(id: string): Dissolving {
  const found = DISSOLVING.find((entry) => entry.id === id);
  if (!found) throw new RangeError(`nothing that is dissolved is called "${id}"`);
  return found;
}

/** Pairs of solids that melt within a degree of one another, and mix when they are molten. */
const LOOK_ALIKE = {
  'dichlorobenzene-diphenylamine': ['dichlorobenzene', 'diphenylamine'],
  'phenol-phenyl-salicylate': ['phenol', 'phenyl-salicylate'],
  'docosane-lauric-acid': ['docosane', 'lauric-acid'],
  'biphenyl-stearic-acid': ['biphenyl', 'stearic-acid'],
} as const;
export const LOOK_ALIKE_IDS = Object.keys(LOOK_ALIKE) as [string, ...string[]];

/** @throws RangeError for a pair that is not in the data book */
export function lookAlikeOf(id: string): readonly [string, string] {
  const found = Object.entries(LOOK_ALIKE).find(([key]) => key === id)?.[1];
  if (!found) throw new RangeError(`no two that melt alike are called "${id}"`);
  return found;
}
