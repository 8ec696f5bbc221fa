import { fixed, short } from '../../analysis/quantity';
import { recordedReadings, type SlotEntry } from '../recordings';
import type { Names } from '../common-acts';
import type { BenchRecord } from '../contract';
import type { OwnAct } from './acts';
import type { Bench } from './bench';
import { SLOTS, type Slot } from './plan';

const nameOf = (slot: string) => (SLOTS[slot as Slot] as SlotEntry | undefined)?.label;

export const NAMES: Names = {
  reading: (which) => `the ${nameOf(which) ?? 'reading'}`,
  step: (key) => `on the ${nameOf(key) ?? 'heating'}`,
};

const PUT = {
  mat: 'onto the mat', triangle: 'onto the triangle', gauze: 'onto the gauze', desiccator: 'into the desiccator', pan: 'onto the balance',
} as const; // prettier-ignore

/** An act as a line of the teacher's log. */
export function describe(act: OwnAct): string {
  switch (act.kind) {
    case 'put':
      return `put the crucible ${PUT[act.at]}, by ${act.by}`;
    case 'lid':
      return { on: 'put the lid on', ajar: 'set the lid ajar', off: 'took the lid off' }[act.to];
    case 'fill':
      return `put about ${short(act.g)} g into the crucible`;
    case 'fresh':
      return 'took a fresh crucible';
    case 'gas':
      return `set the gas to ${short(act.to)}`;
    case 'air':
      return `set the air to ${short(act.to)}`;
    case 'light':
      return 'lit the burner';
    case 'slide':
      return act.under ? 'slid the burner under the tripod' : 'slid the burner aside';
    case 'tare':
      return 'tared the balance';
    case 'recordMass':
      return `recorded the ${SLOTS[act.which].label}, trial ${act.trial}`;
  }
}

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
