import { gramsPerMol } from '../../chemistry/molar-mass';
import { hydrateOf, WATER_G_PER_MOL, type Hydrate } from '../../databook/hydrates';
import { gramsOf, SOLID_J_PER_G_K, waterMolIn } from '../../physics/drying';
import type { Bench, Crucible, Ring } from './bench';

/** What a crucible holds, in sums. */

const PORCELAIN_J_PER_G_K = 0.85;

export const saltIn = ({ sample }: Pick<Bench, 'sample'>): Hydrate => hydrateOf(sample.hydrateId);

/** All rings together, mol at each stage. */
export const amountsIn = ({ rings }: Pick<Crucible, 'rings'>): number[] =>
  (rings[0]?.amounts ?? []).map((_, stage) => rings.reduce((sum, { amounts }) => sum + (amounts[stage] ?? 0), 0));

export const molIn = ({ rings }: Pick<Crucible, 'rings'>): number =>
  rings.reduce((sum, { amounts }) => sum + amounts.reduce((a, b) => a + b, 0), 0);

export const sampleG = (salt: Hydrate, crucible: Pick<Crucible, 'rings' | 'inertG'>): number =>
  gramsOf(salt, amountsIn(crucible)) + crucible.inertG;

export const waterG = (salt: Hydrate, crucible: Pick<Crucible, 'rings'>): number =>
  waterMolIn(salt, amountsIn(crucible)) * WATER_G_PER_MOL;

/** What it would weigh whole and dry, g. */
export const dryG = (salt: Hydrate, crucible: Pick<Crucible, 'rings' | 'inertG'>): number =>
  molIn(crucible) * gramsPerMol(salt.dryFormula) + crucible.inertG;

/** A thing to stand: nothing weighs nothing, so that it always has a temperature. */
const LEAST_J_PER_K = 0.02;

/** @param perMol grams of a mole at each stage */
export function ringJPerK(perMol: readonly number[], { amounts }: Pick<Ring, 'amounts'>, inertG: number): number {
  let grams = inertG;
  for (let stage = 0; stage < amounts.length; stage++) grams += (perMol[stage] ?? 0) * (amounts[stage] ?? 0);
  return LEAST_J_PER_K + SOLID_J_PER_G_K * grams;
}

/** Of the crucible; its lid is thin, and follows. */
export const porcelainJPerK = ({ massG }: Pick<Crucible, 'massG'>): number => PORCELAIN_J_PER_G_K * massG;
