import { fixed } from '../../analysis/quantity';
import { recordedReadings, type SlotEntry } from '../recordings';
import type { Names } from '../common-acts';
import type { BenchRecord } from '../contract';
import type { Bench } from './bench';
import { isMass, SLOTS, slotName, type Slot } from './plan';

const nameOf = (slot: string) => (SLOTS[slot as Slot] as SlotEntry | undefined)?.label;

export const NAMES: Names = {
  reading: (which) => `the ${nameOf(which) ?? 'reading'}`,
  step: (key) => (key === 'again' ? 'of doing it again' : `on the ${nameOf(key) ?? 'readings'}`),
};

export const PLACES = {
  dish: 'on its dish', tongs: 'in the tongs', bath: 'in the hot bath', block: 'in the dry block', cup: 'in the cup',
  beaker: 'in the beaker', stand: 'on its stand', tube: 'in the test tube', cold: 'in the cold bath', bench: 'on the bench',
} as const; // prettier-ignore

/** Everything that a teacher may compare: what was read beside what was there, and what the sample is. */
export function recordOf(bench: Bench, sample: BenchRecord['truth'], results: readonly string[]): BenchRecord {
  const { plan } = bench;
  return {
    readings: recordedReadings(bench.readings, (r) => ({
      label: `${slotName(plan, r.which)}, ${r.instrument}, trial ${r.trial}`.replace(/^./, (c) => c.toUpperCase()),
      unit: SLOTS[r.which].unit,
      shown: fixed(r.shown, isMass(r.which) ? 4 : 3),
    })),
    results: [...results],
    truth: [
      ...sample,
      {
        label: 'Room, and where water boils today',
        text: `${fixed(bench.sample.roomC, 1)} °C, ${fixed(bench.sample.boilsC, 2)} °C`,
      },
      ...bench.thermometers.map(({ piece }, n) => ({
        label: `Thermometer ${n + 1} is off by`,
        text: `${fixed(piece.errorC, 3)} °C`,
      })),
    ],
  };
}
