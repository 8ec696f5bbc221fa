import type { BenchSlot, Reading } from '../notebook/readings';
import type { Pace } from './bench-clock';
import type { Step } from './contract';

/** What moves of a bench whose particles browsers let fly themselves. */
export interface FlownMoving<Family extends string> {
  family: Family;
  timeS: number;
  running: boolean;
}

/** What every view of such a bench tells. */
export interface FlownView<Family extends string> extends FlownMoving<Family> {
  movesInBrowser: true;
  standsAtS?: number;
  paused: boolean;
  pace: Pace;
  fills: number;
  task: string;
  readings: Reading[];
  trial: number;
  leftOut: Readonly<Record<number, string>>;
  logged: [];
  recordableTrial: number;
  slots: BenchSlot[];
  steps: Step[];
}
