import { densityAt, liquidOf } from '../databook/liquids';

/** A liquid as volumes of what was poured together, mL by id. Volumes add up: the shrinking of some mixtures is left out. */
export type Liquid = Readonly<Record<string, number>>;

export const NONE: Liquid = {};

export const volumeOf = (liquid: Liquid): number => {
  let sum = 0;
  for (const id in liquid) sum += liquid[id] as number;
  return sum;
};

export function joined(a: Liquid, b: Liquid): Liquid {
  const sum: Record<string, number> = { ...a };
  for (const id in b) sum[id] = (sum[id] ?? 0) + (b[id] as number);
  return sum;
}

/** Takes so much out, in the proportions in which it is mixed. @param ml clamped to what is there */
export function drawn(liquid: Liquid, ml: number): { taken: Liquid; left: Liquid } {
  const total = volumeOf(liquid);
  if (!(ml > 0) || total <= 0) return { taken: NONE, left: liquid };
  if (ml >= total) return { taken: liquid, left: NONE };
  const part = ml / total;
  const taken: Record<string, number> = {};
  const left: Record<string, number> = {};
  for (const id in liquid) {
    const volume = liquid[id] as number;
    taken[id] = volume * part;
    left[id] = volume - (taken[id] as number);
  }
  return { taken, left };
}

/** g */
export function massOf(liquid: Liquid, tempC: number): number {
  let mass = 0;
  for (const id in liquid) mass += (liquid[id] as number) * densityAt(liquidOf(id), tempC);
  return mass;
}

/** g/mL; 0 of nothing. */
export function densityOf(liquid: Liquid, tempC: number): number {
  const volume = volumeOf(liquid);
  return volume > 0 ? massOf(liquid, tempC) / volume : 0;
}
