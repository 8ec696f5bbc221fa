import { lampFuelOf, openKJPerG, type LampFuel } from '../../../databook/combustion';
import { chance } from '../../../random';
import type { Bench } from '../bench';
import type { Lamp } from '../bodies';

/** Spirit lamps, and what of their flame comes to the can over them. */

export const FULL_G = 40;
/** How far the wick can be from the can, mm, and how far it stands off at the start. */
export const GAPS_MM = [15, 120] as const;
export const FIRST_GAP_MM = 45;
/** The gap that nothing is lost by where the cause "distance" is off, mm. */
const BEST_MM = 30;

export const freshLamps = (count: number, seed: string): Lamp[] =>
  Array.from({ length: count }, (_, n) => ({
    fuelG: FULL_G * (0.85 + 0.15 * chance(seed, `lamp fuel ${n}`).uniform()),
    bodyG: 88 + 6 * chance(seed, `lamp body ${n}`).uniform(),
    at: 'mat',
    state: 'capped',
    usedIn: null,
  }));

export const fuelIn = ({ sample }: Pick<Bench, 'sample'>, n: number): LampFuel =>
  lampFuelOf(sample.lampFuelIds[n] ?? '');

/** Part of a flame's heat that the can takes up: less the further off it burns, more within a screen. Model values. */
export const caughtPart = (gapMm: number, hasScreen: boolean): number =>
  (hasScreen ? 0.58 : 0.5) * Math.exp(-(((gapMm - BEST_MM) / 70) ** 2));

/** Heat that comes to the can from a gram that is burnt, J. */
export function caughtJPerG(
  bench: Pick<Bench, 'sample' | 'off' | 'gapMm' | 'screen' | 'seed' | 'lightings' | 'plan'>,
  n: number,
): number {
  const { off, gapMm, screen, seed, lightings, plan } = bench;
  const fuel = fuelIn(bench, n);
  const clean = off.includes('soot') ? 1 : fuel.cleanPart;
  const caught = !plan.losses ? 1 : off.includes('distance') ? caughtPart(BEST_MM, true) : caughtPart(gapMm, screen);
  // No two flames burn alike in the draught of a room.
  const draught = off.includes('flame') || !plan.losses ? 0 : 0.015 * chance(seed, `flame ${lightings}`).normal();
  return 1000 * openKJPerG(fuel) * clean * caught * (1 + Math.max(-2.5 * 0.015, Math.min(2.5 * 0.015, draught)));
}
