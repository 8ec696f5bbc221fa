import { fixed } from '../../analysis/quantity';
import { recordedReadings, type SlotEntry } from '../recordings';
import type { Names } from '../common-acts';
import type { BenchRecord } from '../contract';
import type { Bench } from './bench';
import { SLOTS, type Slot } from './plan';

const nameOf = (slot: string) => (SLOTS[slot as Slot] as SlotEntry | undefined)?.label;

export const NAMES: Names = {
  reading: (which) => `the ${nameOf(which) ?? 'reading'}`,
  step: (key) => `on the ${nameOf(key) ?? 'heating'}`,
};

/** Everything that a teacher may compare: what was read beside what was there, and what the sample is. */
export function recordOf(bench: Bench, sample: BenchRecord['truth'], results: readonly string[]): BenchRecord {
  const last = bench.readings.at(-1)?.about;
  return {
    readings: recordedReadings(bench.readings, (r) => ({
      label: `${SLOTS[r.which].label}, trial ${r.trial}`.replace(/^./, (c) => c.toUpperCase()),
      unit: 'g',
      shown: fixed(r.shown, 4),
    })),
    results: [...results],
    truth: [
      ...sample,
      ...(last && last.sampleG > 0
        ? [{ label: 'Water still in it when it was weighed last', text: `${fixed(last.waterG, 4)} g` }]
        : []),
      ...(bench.burns > 0
        ? [{ label: 'Hot crucible taken by hand', text: bench.burns === 1 ? 'once' : `${bench.burns} times` }]
        : []),
    ],
  };
}
