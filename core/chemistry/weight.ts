import { COMPONENTS, SOLIDS_THAT_FALL, type ComponentId } from '../databook/precipitates';
import { inSolids, settledIn, WATER_G_PER_ML, type Contents } from './contents';
import { gramsPerMol } from './molar-mass';

/** What the contents of a vessel weigh, and what is left of them when their water has gone. Masses in g. */

const G_PER_MOL = new Map(COMPONENTS.map(({ id, formula }) => [id, gramsPerMol(formula.replace(/\^.*$/u, ''))]));
const SOLID_FORMULAS = new Map(SOLIDS_THAT_FALL.map(({ id, formula }) => [id, formula]));
export const solidFormula = (id: string): string => SOLID_FORMULAS.get(id) ?? '';

const gramsOf = (amounts: Contents['amounts']): number =>
  (Object.entries(amounts) as [ComponentId, number][]).reduce(
    (sum, [id, mol]) => sum + mol * (G_PER_MOL.get(id) ?? 0),
    0,
  );

/** The mass of all that is in it: kept by whatever reacts there, but for what leaves as a gas. */
export const gramsIn = ({ volumeMl, amounts }: Contents): number => volumeMl * WATER_G_PER_ML + gramsOf(amounts);

/** Solids that lie in it, each with the water of its own crystals, by id. */
export function solidGrams(contents: Contents): Record<string, number> {
  if (contents.volumeMl <= 0) return {};
  return Object.fromEntries(
    Object.entries(settledIn(contents).solids).map(([id, mol]) => [id, mol * gramsPerMol(solidFormula(id))]),
  );
}

/** What was dissolved, and stays as salts when the water has gone: acids that are volatile go with it. */
export function saltsG(contents: Contents): number {
  if (contents.volumeMl <= 0) return 0;
  const fallen = inSolids(contents);
  const left = Object.fromEntries(
    (Object.entries(contents.amounts) as [ComponentId, number][]).map(([id, mol]) => [id, mol - (fallen[id] ?? 0)]),
  ) as Partial<Record<ComponentId, number>>;
  const protons = left.H ?? 0;
  // Protons that were taken away are hydroxide that stays.
  if (protons <= 0) return Math.max(gramsOf(left) - protons * gramsPerMol('H2O'), 0);
  const chloride = Math.min(protons, left.Cl ?? 0);
  const nitrate = Math.min(protons - chloride, left.NO3 ?? 0);
  const gone = { H: chloride + nitrate, Cl: chloride, NO3: nitrate };
  return Math.max(gramsOf(left) - gramsOf(gone), 0);
}
