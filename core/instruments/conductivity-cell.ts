import type { Chance } from '../random';

/** Conductivity of the standard that a cell is calibrated in: 0.01 mol/L potassium chloride at 25 °C, mS/cm. */
export const STANDARD_MS = 1.413;

/** A dipping cell: its constant is off by some percent until it is calibrated, and it follows at once. */
export interface CellPiece {
  /** What it shows uncalibrated, as a part of what is there. */
  factor: number;
  responseS: number;
}

export function drawCell(source: Chance): CellPiece {
  return { factor: 1 + 0.12 * (2 * source.uniform() - 1), responseS: 0.3 + 0.2 * source.uniform() };
}

/** Relative standard deviation of the noise of cell and meter. */
export const CELL_NOISE = 0.0008;

/** The meter shows four digits at most, and nothing finer than a thousandth: how many decimals. */
export const decimalsOf = (milliSiemens: number) => (milliSiemens < 10 ? 3 : milliSiemens < 100 ? 2 : 1);
