import type { CellPiece } from '../../instruments/conductivity-cell';
import type { CalibrationPoint, ProbePiece } from '../../instruments/ph-probe';

/** The probe of a titration, and what it logged. */

/** Where the probe can be. */
export const PLACES = ['stand', 'flask', 'buffer 4.01', 'buffer 7.00', 'buffer 10.01', 'standard'] as const;

export type Place = (typeof PLACES)[number];

/** One line of the log, as the meter and the counter at the tap wrote it. */
export interface LoggedPoint {
  trial: number;
  deliveredMl: string;
  /** Since the log was started, s. */
  timeS: string;
  /** What the meter showed: pH, or conductivity in mS/cm. */
  shown: string;
}

export interface Probe {
  /** The electrode for pH and the cell for conductivity; one of them is on the tray. */
  piece: ProbePiece;
  cell: CellPiece;
  /** By what the meter divides what the cell gives, once it is calibrated. */
  cellFactor: number | null;
  place: Place;
  /** What the probe senses: pH, where a stored probe sits in buffer, or mS/cm. */
  sensed: number;
  /** Number of the next look; it falls at this many times {@link LOOK_S}. */
  nextLook: number;
  shown: number | null;
  settling: boolean;
  calibration: readonly CalibrationPoint[];
  /** Logging by volume or by time: how often, from where on, the next value due, and looks since it was. */
  log: {
    every: number;
    by: 'mL' | 's';
    startLevelMl: number;
    startS: number;
    due: number;
    since: number;
  } | null;
}
