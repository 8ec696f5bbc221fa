import { chance } from '../random';

/** One balance: what it weighs and how finely. */
export interface BalancePiece {
  readabilityG: number;
  capacityG: number;
  /** Relative error of its scale. */
  scaleError: number;
  /** Of its drift, as multiples of the readability and in s. */
  drift: { swing: number; periodS: number; phase: number };
}

/** Standard deviation of one weighing, as a multiple of the readability. */
const REPEATABILITY = 0.6;
/** Standard uncertainty of one weighing, g: its noise, its last digit, and how far the zero wanders in half a minute. */
export const weighingUncertaintyG = (readabilityG: number): number =>
  readabilityG * Math.hypot(REPEATABILITY, 1 / Math.sqrt(12), 0.15 / Math.SQRT2);

/** The display has come to rest after so long, s. */
export const SETTLED_AFTER_S = 2;

/** Grades as schools have them, and one as colleges have it. */
export const BALANCES = {
  '0.01': { readabilityG: 0.01, capacityG: 400 },
  '0.001': { readabilityG: 0.001, capacityG: 220 },
  '0.0001': { readabilityG: 0.0001, capacityG: 120 },
} as const;
export type Readability = keyof typeof BALANCES;

/** What balances bear that are made for vessels full of water, g. */
const HEAVY_G = 1200;

/** Relative tolerance of the scale: one division at half its capacity. */
const scaleTolerance = (readability: Readability) =>
  BALANCES[readability].readabilityG / (BALANCES[readability].capacityG / 2);

/** @param heavy whether it is one of those that bear {@link HEAVY_G} */
export function drawBalance(readability: Readability, seed: string, exact = false, heavy = false): BalancePiece {
  const source = chance(seed, 'balance');
  const scaleError = Math.max(-1, Math.min(1, source.normal() / 2)) * scaleTolerance(readability);
  const drift = {
    swing: 0.3 + 0.6 * source.uniform(),
    periodS: 200 + 300 * source.uniform(),
    phase: 6 * source.uniform(),
  };
  return {
    ...BALANCES[readability],
    ...(heavy && { capacityG: HEAVY_G }),
    scaleError: exact ? 0 : scaleError,
    drift: exact ? { ...drift, swing: 0 } : drift,
  };
}

/** The error of one weighing, the same for the same count of weighings, g. */
export function weighingError(piece: BalancePiece, seed: string, weighing: number): number {
  const error = chance(seed, `weighing ${weighing}`).normal();
  return Math.max(-3, Math.min(3, error)) * REPEATABILITY * piece.readabilityG;
}

/** Slow wandering of the zero, g. */
export function driftG({ drift, readabilityG }: BalancePiece, timeS: number): number {
  const { swing, periodS, phase } = drift;
  return swing * readabilityG * Math.sin((2 * Math.PI * timeS) / periodS + phase);
}

/** What the display shows on its way from one load to another, g: fast at first, and exactly there in the end. */
export function settling(fromG: number, toG: number, sinceS: number): number {
  const left = Math.max(1 - sinceS / SETTLED_AFTER_S, 0);
  return toG + (fromG - toG) * left ** 5;
}
