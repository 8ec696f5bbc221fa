/** A gas burner with two controls, each from 0 to 10: what flame it has, how hot it is, what it leaves behind. */

export type Flame = 'none' | 'yellow' | 'blue' | 'roaring';

/** Less gas than this does not burn; air for so much gas makes it blue, and roar; more than that blows it out. */
const LEAST_GAS = 0.4;
const BLUE_FROM = 0.35;
const ROARS_FROM = 0.9;
/** Air that a flame bears: more of it the more gas there is. */
const mostAir = (gas: number): number => 1 + 1.2 * gas;

/** Whether a flame stays alight with so much gas and air. */
export const staysLit = (gas: number, air: number): boolean => gas >= LEAST_GAS && air <= mostAir(gas);

export function flameOf(gas: number, air: number, isLit: boolean): Flame {
  if (!isLit || !staysLit(gas, air)) return 'none';
  const ratio = air / gas;
  return ratio < BLUE_FROM ? 'yellow' : ratio < ROARS_FROM ? 'blue' : 'roaring';
}

/**
 * Temperature of the gases that meet a crucible, °C, and what they give to it, W/K with the gas full on. Model values, chosen so that an
 * empty crucible on its triangle comes to 330 °C (yellow), 590 °C (blue) and 690 °C (roaring): dull red at the most.
 */
const HEATS: Readonly<Record<Exclude<Flame, 'none'>, { tempC: number; wPerK: number }>> = {
  yellow: { tempC: 900, wPerK: 0.055 },
  blue: { tempC: 1250, wPerK: 0.15 },
  roaring: { tempC: 1400, wPerK: 0.2 },
};

/** Soot that a yellow flame leaves on what stands in it, g/s with the gas full on; what burns off in a clear flame, 1/s. Model values: minutes of it are centigrams, which a balance shows. */
const SOOT_G_PER_S = 5e-5;
const BURNS_OFF_PER_S = 1 / 90;
/** It burns off only where it is red hot, °C. */
const RED_C = 480;

export interface Heating {
  tempC: number;
  wPerK: number;
  sootGPerS: number;
}

export function heatingBy(gas: number, air: number, isLit: boolean): Heating | null {
  const flame = flameOf(gas, air, isLit);
  if (flame === 'none') return null;
  const { tempC, wPerK } = HEATS[flame];
  return { tempC, wPerK: (wPerK * gas) / 10, sootGPerS: flame === 'yellow' ? (SOOT_G_PER_S * gas) / 10 : 0 };
}

/** Soot after some seconds in a flame, g. */
export function sootAfter(sootG: number, heating: Heating, tempC: number, seconds: number): number {
  if (heating.sootGPerS > 0) return sootG + heating.sootGPerS * seconds;
  return tempC > RED_C ? sootG * Math.exp(-BURNS_OFF_PER_S * seconds) : sootG;
}
