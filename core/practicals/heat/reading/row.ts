import type { About } from '../bodies';
import type { FrozenAt } from '../freezing/frozen-at';
import type { Slot } from '../plan';

/** What was read in one trial. */

export interface RowReading {
  value: number;
  text: string;
  /** Which of the kept readings it is: one that carries on is the same in several rows. */
  index: number;
  about: About;
}

/** The readings of one trial that counts, by slot. */
export interface Row {
  trial: number;
  readings: Readonly<Partial<Record<Slot, RowReading>>>;
  /** The heat capacity that the vessel is taken to have, as a part of what the data book says: moved to see what hangs on it. */
  vesselPart: number;
  /** The step of the temperature as the log has it, drawn to the moment of mixing, K; undefined where it was not logged. */
  drawnK: number | undefined;
  /** What the log of this freezing shows. */
  frozen?: FrozenAt;
  /** Which jar the solvent of a solution came from, from 1; what was mixed of two samples, g. */
  jar?: 1 | 2;
  mixed?: { aG: number; bG: number };
}
