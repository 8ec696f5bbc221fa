import { commonView, type CommonBench } from './common-acts';
import type { Step } from './contract';
import { seenReadings, slotsHere, type KeptReading, type SlotEntry } from './recordings';

/** What of a view tells of trials and readings, as the Readings page, the box under the loupe and the tables show it. */

type Read<Which extends string> = KeptReading & { which: Which; instrument?: string };
interface Recorded<Which extends string> extends CommonBench {
  readings: readonly Read<Which>[];
}

/**
 * @param slots all readings of the family @param here those that this bench has @param carries those that hold for later trials
 * @param due the trial that the next reading of each belongs to @param trial the last that can be recorded in
 */
export const recordingsSeen = <Which extends string>(
  bench: Recorded<Which>,
  {
    slots,
    here,
    due,
    trial,
    steps,
    carries = [],
  }: {
    slots: Readonly<Record<Which, SlotEntry>>;
    here: readonly Which[];
    due: (slot: Which) => number;
    trial: number;
    steps: Step[];
    carries?: readonly Which[];
  },
) => ({
  ...commonView(bench),
  readings: seenReadings(bench.readings, ({ which, instrument = slots[which].instrument }) => ({
    instrument,
    unit: slots[which].unit,
    ...(carries.includes(which) ? { carries: true as const } : {}),
  })),
  recordableTrial: trial,
  slots: slotsHere(slots, here, due),
  steps,
});
