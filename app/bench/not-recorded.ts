import { ownReading, type BenchRecordings, type BenchSlot } from '@core/notebook/readings';

/** What is asked before a reading is lost for good. */
const lossOf = (label: string, trial: number) => ({
  sentence: `The ${label} of trial ${trial} is not recorded yet, and cannot be had back then.`,
  verb: 'Go on',
});

/**
 * What is asked before an act that takes readings away for good: about the first of them that is not recorded in the trial
 * that it is due in; null when all are, or are not taken at this bench.
 */
export function notRecorded(view: BenchRecordings & { slots: readonly BenchSlot[] }, keys: readonly string[]) {
  for (const key of keys) {
    const slot = view.slots.find((one) => one.slot === key);
    if (slot && !ownReading(view, slot.due, key)) return lossOf(slot.label, slot.due);
  }
  return null;
}
