import type { Solution } from '../chemistry/solution';
import { densityAt, liquidOf } from '../databook/liquids';

/** What a liquid weighs. What is dissolved in it is counted into the water, as it is in its volume. */

/** mL of each liquid that was poured together, by id, water among them. */
export function volumesIn({ volumeMl, others }: Solution): Readonly<Record<string, number>> {
  if (!others) return { water: volumeMl };
  let rest = volumeMl;
  for (const id in others) rest -= others[id] as number;
  // What rounding leaves of a volume without water is none.
  return Math.abs(rest) < 1e-12 * volumeMl ? others : { water: rest, ...others };
}

/** g */
export function massOf(liquid: Solution, tempC: number): number {
  const volumes = volumesIn(liquid);
  let mass = 0;
  for (const id in volumes) mass += (volumes[id] as number) * densityAt(liquidOf(id), tempC);
  return mass;
}

/** g/mL; 0 of nothing. */
export const densityOf = (liquid: Solution, tempC: number): number =>
  liquid.volumeMl > 0 ? massOf(liquid, tempC) / liquid.volumeMl : 0;
