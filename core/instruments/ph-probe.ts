import { withinTolerance, type Chance } from '../random';

/** Slope of a perfect glass electrode at 25 °C, mV per unit of pH: ln 10 · RT/F. */
export const NERNST_MV = 59.16;

/** The electrode of one run: what calibration finds out. */
export interface ProbePiece {
  /** Potential at pH 7, mV. */
  offsetMv: number;
  /** Part of the Nernst slope that it gives. */
  slope: number;
  /** Time constant of its response, s. */
  responseS: number;
}

/** A school electrode some years old: up to 20 mV off at pH 7, 93 to 99 % of the slope. */
export function drawProbe(source: Chance): ProbePiece {
  return {
    offsetMv: withinTolerance(20, source),
    slope: 0.96 + withinTolerance(0.03, source),
    responseS: 0.8 + 0.6 * source.uniform(),
  };
}

/** Standard deviation of the noise of electrode and meter, mV. */
export const NOISE_MV = 0.15;

/** Potential of the electrode where its glass senses this pH, mV. */
export const potentialMv = (piece: ProbePiece, pH: number) => piece.offsetMv - piece.slope * NERNST_MV * (pH - 7);

/** One point of a calibration: the buffer's pH and the potential that was found in it. */
export interface CalibrationPoint {
  pH: number;
  mV: number;
}

/**
 * What a meter makes of a potential. Without calibration it takes the electrode for a perfect one; one point sets its
 * offset, two its slope as well, by the last two different buffers.
 */
export function meteredPh(mV: number, points: readonly CalibrationPoint[]): number {
  const last = points.at(-1);
  if (!last) return 7 - mV / NERNST_MV;
  const other = points.findLast((point) => point.pH !== last.pH);
  const slope = other && other.mV !== last.mV ? (other.mV - last.mV) / (other.pH - last.pH) : -NERNST_MV;
  return last.pH + (mV - last.mV) / slope;
}
