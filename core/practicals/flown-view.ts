import type { BenchSlot, Reading } from '../notebook/readings';
import type { Filled } from '../physics/hard-spheres';
import type { Pace } from './bench-clock';
import type { Step } from './contract';

/** What moves of a bench whose particles browsers let fly themselves. */
export interface FlownMoving<Family extends string> {
  family: Family;
  timeS: number;
  running: boolean;
}

/** What every view of such a bench tells: what the vessel was filled with and what was done since, from which a browser finds the rest. */
export interface FlownView<Family extends string, Change> extends FlownMoving<Family> {
  movesInBrowser: true;
  standsAtS?: number;
  paused: boolean;
  pace: Pace;
  filling: Filled;
  fills: number;
  changes: readonly Change[];
  task: string;
  readings: Reading[];
  trial: number;
  leftOut: Readonly<Record<number, string>>;
  logged: [];
  recordableTrial: number;
  slots: BenchSlot[];
  steps: Step[];
}
