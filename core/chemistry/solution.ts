import { soluteOf } from '../databook/solutes';
import type { Conditions, Equilibrium, Mixture, Protolyte } from './equilibrium';
import { equilibrium } from './equilibrium';
import { pKaAt } from './water';

/**
 * A liquid: its volume, what is dissolved in it, and liquids other than water that were poured into it. Volumes add: the
 * shrinking of some mixtures is left out. Amounts are kept.
 */
export interface Solution {
  volumeMl: number;
  /** mol of each solute, by its id in the data book. */
  amounts: Readonly<Record<string, number>>;
  /** Of its volume, what is not water: mL by the liquid's id in the data book; left out of water alone. */
  others?: Readonly<Record<string, number>>;
}

export const EMPTY: Solution = { volumeMl: 0, amounts: {} };

/** Pure water. */
export const water = (volumeMl: number): Solution => ({ volumeMl, amounts: {} });

/** So many mL of one pure liquid. */
export const pure = (liquidId: string, volumeMl: number): Solution =>
  liquidId === 'water' ? water(volumeMl) : { volumeMl, amounts: {}, others: { [liquidId]: volumeMl } };

/** So many mL of a solution of one solute. */
export function solutionOf(soluteId: string, molPerL: number, volumeMl: number): Solution {
  return { volumeMl, amounts: { [soluteId]: (molPerL * volumeMl) / 1000 } };
}

type Named = Readonly<Record<string, number>>;

function sumOf(a: Named, b: Named): Named {
  const sum: Record<string, number> = { ...a };
  for (const id in b) sum[id] = (sum[id] ?? 0) + (b[id] as number);
  return sum;
}

function partOf(all: Named, part: number): Named {
  const some: Record<string, number> = {};
  for (const id in all) some[id] = (all[id] as number) * part;
  return some;
}

/** Two liquids poured together. */
export function mix(a: Solution, b: Solution): Solution {
  const mixed: Solution = { volumeMl: a.volumeMl + b.volumeMl, amounts: sumOf(a.amounts, b.amounts) };
  return a.others || b.others ? { ...mixed, others: sumOf(a.others ?? {}, b.others ?? {}) } : mixed;
}

/** A share of a well-mixed liquid, 0 to 1. */
export function share(liquid: Solution, part: number): Solution {
  const some: Solution = { volumeMl: liquid.volumeMl * part, amounts: partOf(liquid.amounts, part) };
  return liquid.others ? { ...some, others: partOf(liquid.others, part) } : some;
}

/** So many mL taken from a well-mixed liquid, and what is left of it. Never takes more than there is. */
export function drawOff(liquid: Solution, volumeMl: number): { taken: Solution; left: Solution } {
  const part = liquid.volumeMl > 0 ? Math.min(Math.max(volumeMl / liquid.volumeMl, 0), 1) : 0;
  return { taken: share(liquid, part), left: share(liquid, 1 - part) };
}

/** The mixture of the equilibrium model that a liquid is, with constants at its temperature. */
export function mixtureOf(liquid: Solution, tempC: number): Mixture {
  const litres = liquid.volumeMl / 1000;
  const protolytes: Protolyte[] = [];
  let spectatorCharge = 0;
  let spectatorStrength = 0;
  for (const [id, amount] of Object.entries(liquid.amounts)) {
    if (amount === 0) continue;
    const solute = soluteOf(id);
    const molar = amount / litres;
    for (const ion of solute.spectators) {
      spectatorCharge += ion.charge * ion.count * molar;
      spectatorStrength += ion.charge ** 2 * ion.count * molar;
    }
    if (solute.pKas.length > 0) {
      const pKas = solute.pKas.map((pKa, i) => pKaAt(pKa, solute.enthalpiesKJPerMol[i] ?? 0, tempC));
      protolytes.push({ molar, charge: solute.charge, pKas });
    }
  }
  return { protolytes, spectatorCharge, spectatorStrength };
}

/**
 * Equilibrium of a liquid.
 * @throws RangeError when there is no liquid
 */
export function settle(liquid: Solution, conditions: Conditions, near?: number): Equilibrium {
  if (!(liquid.volumeMl > 0)) throw new RangeError('there is no liquid to settle');
  return equilibrium(mixtureOf(liquid, conditions.tempC), conditions, near);
}
