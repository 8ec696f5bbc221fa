import type { BenchSolutionId } from './bench-solutions';
import type { SourceKey } from './sources';

/** Solids that fall of two solutions and can be dried and weighed. */
interface WeighedSolid {
  id: string;
  name: string;
  equation: string;
  /** Both solutions, and how many formula units of each make one of the solid or `makes` of them. */
  sides: readonly [Side, Side];
  makes: number;
  /** The solid as it falls, as in `precipitates.ts`. */
  solid: string;
  /** The other form that it takes in a hot oven; null where it stays as it falls, as far as an oven goes. */
  loses: Loss | null;
}
interface Side {
  id: BenchSolutionId;
  count: number;
}
/** What a solid becomes in a hot oven: nothing happens to it below `fromC`, and it is soon over at `doneC`. */
interface Loss {
  formula: string;
  fromC: number;
  doneC: number;
}

const side = (id: BenchSolutionId, count = 1): Side => ({ id, count });

/** Temperatures of the losses: {@link WEIGHED_SOURCE}. */
export const WEIGHED_SOLIDS: readonly WeighedSolid[] = [
  { id: 'silver-chloride', name: 'silver chloride', equation: 'AgNO3 + NaCl -> AgCl + NaNO3', sides: [side('silver-nitrate'), side('sodium-chloride')], makes: 1, solid: 'silver-chloride', loses: null },
  { id: 'silver-chromate', name: 'silver chromate', equation: '2 AgNO3 + K2CrO4 -> Ag2CrO4 + 2 KNO3', sides: [side('silver-nitrate', 2), side('potassium-chromate')], makes: 1, solid: 'silver-chromate', loses: null },
  { id: 'silver-aluminium', name: 'silver chloride out of aluminium chloride', equation: '3 AgNO3 + AlCl3 -> 3 AgCl + Al(NO3)3', sides: [side('silver-nitrate', 3), side('aluminium-chloride')], makes: 3, solid: 'silver-chloride', loses: null },
  { id: 'barium-sulfate', name: 'barium sulfate', equation: 'BaCl2 + Na2SO4 -> BaSO4 + 2 NaCl', sides: [side('barium-chloride'), side('sodium-sulfate')], makes: 1, solid: 'barium-sulfate', loses: null },
  { id: 'barium-chromate', name: 'barium chromate', equation: 'BaCl2 + K2CrO4 -> BaCrO4 + 2 KCl', sides: [side('barium-chloride'), side('potassium-chromate')], makes: 1, solid: 'barium-chromate', loses: null },
  { id: 'lead-chromate', name: 'lead chromate', equation: 'Pb(NO3)2 + K2CrO4 -> PbCrO4 + 2 KNO3', sides: [side('lead-nitrate'), side('potassium-chromate')], makes: 1, solid: 'lead-chromate', loses: null },
  { id: 'calcium-carbonate', name: 'calcium carbonate', equation: 'CaCl2 + Na2CO3 -> CaCO3 + 2 NaCl', sides: [side('calcium-chloride'), side('sodium-carbonate')], makes: 1, solid: 'calcium-carbonate', loses: null },
  { id: 'calcium-oxalate', name: 'calcium oxalate', equation: 'CaCl2 + K2C2O4 -> CaC2O4 + 2 KCl', sides: [side('calcium-chloride'), side('potassium-oxalate')], makes: 1, solid: 'calcium-oxalate-1', loses: { formula: 'CaC2O4', fromC: 130, doneC: 200 } },
]; // prettier-ignore

export const WEIGHED_IDS = WEIGHED_SOLIDS.map(({ id }) => id) as [string, ...string[]];

/** @throws RangeError when there is none of this id */
export function weighedOf(id: string): WeighedSolid {
  const found = WEIGHED_SOLIDS.find((one) => one.id === id);
  if (!found) throw new RangeError(`no weighed solid ${id}`);
  return found;
}

/** What becomes of a solid in a hot oven, by its id in `precipitates.ts`. */
export const lossOf = (solid: string): Loss | null => WEIGHED_SOLIDS.find((one) => one.solid === solid)?.loses ?? null;

export const WEIGHED_SOURCE: SourceKey = 'thermogravimetry';

/** Carbonates that stand in a jar, and what they are made of in water. */
export interface Carbonate {
  id: string;
  name: string;
  formula: string;
  of: Readonly<Partial<Record<'Na' | 'K' | 'Ca' | 'H' | 'CO3', number>>>;
  /** Time in which what it gives off falls to a third, s: a powder that dissolves, or one that has to be eaten away. Model values. */
  fizzesS: number;
}
export const CARBONATES = [
  { id: 'sodium-carbonate', name: 'sodium carbonate', formula: 'Na2CO3', of: { Na: 2, CO3: 1 }, fizzesS: 12 },
  { id: 'sodium-hydrogencarbonate', name: 'sodium hydrogencarbonate', formula: 'NaHCO3', of: { Na: 1, H: 1, CO3: 1 }, fizzesS: 12 },
  { id: 'potassium-carbonate', name: 'potassium carbonate', formula: 'K2CO3', of: { K: 2, CO3: 1 }, fizzesS: 12 },
  { id: 'potassium-hydrogencarbonate', name: 'potassium hydrogencarbonate', formula: 'KHCO3', of: { K: 1, H: 1, CO3: 1 }, fizzesS: 12 },
  { id: 'calcium-carbonate', name: 'calcium carbonate', formula: 'CaCO3', of: { Ca: 1, CO3: 1 }, fizzesS: 30 },
] as const satisfies readonly Carbonate[]; // prettier-ignore
export const CARBONATE_IDS = CARBONATES.map(({ id }) => id) as [
  (typeof CARBONATES)[number]['id'],
  ...(typeof CARBONATES)[number]['id'][],
];

/** @throws RangeError when there is none of this id */
export function carbonateOf(id: string): Carbonate {
  const found = CARBONATES.find((one) => one.id === id);
  if (!found) throw new RangeError(`no carbonate ${id}`);
  return found;
}

/** Protons that one formula unit takes until it is all carbon dioxide and water. */
export const protonsTaken = ({ of }: Carbonate): number => 2 * (of.CO3 ?? 0) - (of.H ?? 0);
