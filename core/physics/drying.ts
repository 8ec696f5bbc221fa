import { zeroBetween } from '../analysis/zero';
import { gramsPerMol } from '../chemistry/molar-mass';
import { type Hydrate, type Loss } from '../databook/hydrates';

/**
 * What heating makes of a salt that holds water: an amount at each of its stages, mol of the salt, each going over to the next at a rate
 * that grows with the temperature. Temperatures in °C, energies in J, times in s.
 */

const GAS_CONSTANT = 8.314462618;
const ZERO_K = 273.15;

/** How fast a stage goes over to the next at a temperature, 1/s. */
export const lossPerS = ({ halfC, kJPerMol }: Loss, tempC: number): number =>
  (Math.LN2 / 60) *
  Math.exp(((1000 * kJPerMol) / GAS_CONSTANT) * (1 / (halfC + ZERO_K) - 1 / Math.max(tempC + ZERO_K, 50)));

/** Slower than this nothing goes over, 1/s; and nothing colder than this, for the damp of the room holds it, °C. */
const SLOWEST_PER_S = 1e-6;
const HELD_TO_C = 35;

/** From so warm on a stage goes over, °C. */
export const beginsC = ({ halfC, kJPerMol }: Loss): number => {
  const later = (GAS_CONSTANT / (1000 * kJPerMol)) * Math.log(Math.LN2 / 60 / SLOWEST_PER_S);
  return Math.max(1 / (1 / (halfC + ZERO_K) + later) - ZERO_K, HELD_TO_C);
};

/** Heat that a mole of each gas takes along, J: that of water out of a crystal, some 52 kJ; of acids and oxides by and large. */
const TAKES_J: Readonly<Record<string, number>> = {
  H2O: 52_000,
  HCl: 75_000,
  SO3: 210_000,
  SO2: 190_000,
  Cl2: 160_000,
  C3H6O: 60_000,
};
export const lossJPerMol = ({ gases }: Loss): number =>
  Object.entries(gases).reduce((sum, [gas, mol]) => sum + mol * (TAKES_J[gas] ?? 60_000), 0);

/** What a solid takes up, J/(g K): by and large, for all of them. */
export const SOLID_J_PER_G_K = 0.95;

/** Grams of so many mol at a stage. */
export const stageG = ({ stages }: Hydrate, stage: number, mol: number): number => {
  const one = stages[stage];
  return one ? mol * one.per * gramsPerMol(one.formula) : 0;
};

export const gramsOf = (salt: Hydrate, amounts: readonly number[]): number =>
  amounts.reduce((sum, mol, stage) => sum + stageG(salt, stage, mol), 0);

/** Water that is still in it, mol: what would come off until it is dry. */
export function waterMolIn(salt: Hydrate, amounts: readonly number[]): number {
  let left = 0;
  let sum = 0;
  for (let stage = salt.losses.length; stage >= 0; stage--) {
    if (stage < salt.losses.length) left += salt.losses[stage]?.gases['H2O'] ?? 0;
    sum += (amounts[stage] ?? 0) * left;
  }
  return sum;
}

/** Gases that came off, mol. */
export type Gases = Readonly<Record<string, number>>;

export const added = (gases: Gases, loss: Loss, mol: number): Gases => {
  const sum: Record<string, number> = { ...gases };
  for (const [gas, per] of Object.entries(loss.gases)) sum[gas] = (sum[gas] ?? 0) + per * mol;
  return sum;
};

/**
 * How much of a stage goes over in a step, mol: as much as belongs to the temperature that is left when it has gone, for it takes its heat
 * out of what stays.
 * @param mol what there is @param jPerK of all that cools by it @param held the part of the rate that vapour over it lets through
 */
export function goesOver(
  loss: Loss,
  mol: number,
  tempC: number,
  jPerK: number,
  seconds: number,
  held: number,
): { mol: number; tempC: number } {
  const perMol = lossJPerMol(loss);
  const wants = (atC: number) => mol * -Math.expm1(-held * lossPerS(loss, atC) * seconds);
  // Nothing worth a thought goes over here.
  if (mol < 1e-15 || wants(tempC) < 1e-12 * mol) return { mol: 0, tempC };
  const most = wants(tempC);
  const lacks = (x: number) => wants(tempC - (perMol * x) / jPerK) - x;
  const found = zeroBetween(lacks, 0, most, { close: 1e-9 * mol, small: 1e-9 * mol });
  // The last of a stage goes whole.
  const gone = mol - found < 1e-8 * mol ? mol : found;
  return { mol: gone, tempC: tempC - (perMol * gone) / jPerK };
}
