import { recordingsSeen } from '../recordings-seen';
import type { BenchSlot, Reading } from '../../notebook/readings';
import type { Flight } from '../../physics/flight';
import type { Pace } from '../bench-clock';
import type { Step } from '../contract';
import { running, type Bench } from './bench';
import { dueTrial, gaugeText } from './gauges';
import { SLOT_KEYS, SLOTS, type Slot } from './plan';

export interface Moving {
  family: 'particles';
  timeS: number;
  running: boolean;
}

/** All of the bench: how the particle flies is hidden from nobody, so that browsers let it fly themselves. */
export interface View extends Moving {
  movesInBrowser: true;
  paused: boolean;
  pace: Pace;
  flight: Flight | null;
  /** What the gauges show; null of an empty vessel. */
  gauges: Record<Slot, string> | null;
  /** What this student is to begin with. */
  task: string;
  readings: Reading[];
  trial: number;
  leftOut: Readonly<Record<number, string>>;
  logged: [];
  recordableTrial: number;
  slots: BenchSlot[];
  steps: Step[];
}

export const movingOf = (bench: Bench): Moving => ({
  family: 'particles',
  timeS: bench.timeS,
  running: running(bench),
});

export function viewOf(bench: Bench, steps: Step[]): View {
  const gauge = (slot: Slot) => gaugeText(bench, slot);
  return {
    ...movingOf(bench),
    movesInBrowser: true,
    flight: bench.flight,
    gauges: bench.flight && { T: gauge('T'), E: gauge('E'), v: gauge('v') },
    task: `Your first temperature: ${bench.sample.startK} K`,
    ...recordingsSeen(bench, {
      slots: SLOTS,
      here: SLOT_KEYS,
      due: (slot) => dueTrial(bench, slot),
      trial: bench.trial + 1,
      steps,
    }),
    logged: [],
  };
}
