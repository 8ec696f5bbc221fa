import { fixed } from '../analysis/quantity';
import { chance, withinTolerance } from '../random';
import { sensedAfter } from './lag';
import type { Scale } from './scale';

/** Thermometers: how fast they follow, how far off they are, and what is read on them. Temperatures in °C. */

interface Kind {
  name: string;
  /** Time constant in a liquid that is stirred, and in one that is not, s. */
  lagS: { stirred: number; still: number };
  /** How far one of its kind may be off, K. */
  toleranceC: number;
  /** Standard deviation of what the display wavers by, K; a glass one does not. */
  noiseC: number;
  /** What it takes to warm its tip, J/K: heat that is lost to the liquid. */
  jPerK: number;
  minC: number;
  maxC: number;
  /** One is read by eye, between divisions; the other shows steps. */
  reads: { divisionC: number } | { stepC: number };
}

export const THERMOMETERS = {
  'glass 1': { name: 'thermometer', lagS: { stirred: 6, still: 15 }, toleranceC: 0.2, noiseC: 0, jPerK: 1.2, minC: -10, maxC: 60, reads: { divisionC: 1 } },
  'glass 0.2': { name: 'thermometer, 0.2 °C', lagS: { stirred: 6, still: 15 }, toleranceC: 0.2, noiseC: 0, jPerK: 1.4, minC: -5, maxC: 105, reads: { divisionC: 0.2 } },
  'digital 0.1': { name: 'digital thermometer', lagS: { stirred: 3, still: 8 }, toleranceC: 0.3, noiseC: 0.03, jPerK: 0.8, minC: -20, maxC: 150, reads: { stepC: 0.1 } },
  'digital 0.01': { name: 'precision thermometer', lagS: { stirred: 2, still: 6 }, toleranceC: 0.05, noiseC: 0.004, jPerK: 0.6, minC: -20, maxC: 150, reads: { stepC: 0.01 } },
} as const satisfies Record<string, Kind>; // prettier-ignore
export type ThermometerKind = keyof typeof THERMOMETERS;

/** The thermometer of one run. */
export interface ThermometerPiece {
  kind: ThermometerKind;
  errorC: number;
}

export const drawThermometer = (kind: ThermometerKind, seed: string, exact = false): ThermometerPiece => {
  const error = withinTolerance(THERMOMETERS[kind].toleranceC, chance(seed, 'thermometer'));
  return { kind, errorC: exact ? 0 : error };
};

/** What its tip has come to after some seconds in a liquid of one temperature. */
export function followed(
  sensedC: number,
  thereC: number,
  seconds: number,
  kind: ThermometerKind,
  isStirred: boolean,
): number {
  const { lagS } = THERMOMETERS[kind];
  return sensedAfter(sensedC, thereC, seconds, isStirred ? lagS.stirred : lagS.still);
}

/** The temperature that the tip of one of these shows, with its own error, before anything is rounded. */
export const indicatedC = ({ errorC }: ThermometerPiece, sensedC: number): number => sensedC + errorC;

/**
 * What a digital one shows at one of its looks; null of a glass one, which is read by eye.
 * @param seed of its wavering; null where that is left out @param look counts its looks, so that the same look wavers the same
 */
export function shownText(piece: ThermometerPiece, sensedC: number, seed: string | null, look: number): string | null {
  const { reads, noiseC, minC, maxC } = THERMOMETERS[piece.kind];
  if (!('stepC' in reads)) return null;
  const indicated = indicatedC(piece, sensedC);
  if (indicated < minC || indicated > maxC) return 'out of range';
  const wavers = seed === null ? 0 : Math.max(-3, Math.min(3, chance(seed, `look ${look}`).normal())) * noiseC;
  return fixed(Math.round((indicated + wavers) / reads.stepC) * reads.stepC, Math.round(-Math.log10(reads.stepC)));
}

/** The scale of a glass one. @throws TypeError of a digital one */
export function scaleOf(kind: ThermometerKind): Scale {
  const { name, reads, minC, maxC } = THERMOMETERS[kind];
  if (!('divisionC' in reads)) throw new TypeError(`a ${name} has no scale`);
  return {
    instrument: name,
    min: minC,
    max: maxC,
    division: reads.divisionC,
    decimals: reads.divisionC >= 1 ? 1 : 2,
    unit: '°C',
  };
}
