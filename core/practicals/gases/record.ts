import { fixed } from '../../analysis/quantity';
import type { Names } from '../common-acts';
import type { BenchRecord } from '../contract';
import { recordedReadings } from '../recordings';
import type { Bench } from './bench';
import { MASSES, PRESSURE_UNITS, isPressure, slotsOf, type Slot } from './plan';

const SLOTS = slotsOf({ unit: 'kPa', syringes: [], gear: 'syringe' });
const nameOf = (slot: string): string | undefined =>
  (SLOTS as Record<string, { label: string } | undefined>)[slot]?.label;

export const NAMES: Names = {
  reading: (which) => `the ${nameOf(which) ?? 'reading'}`,
  step: (key) =>
    ({
      room: 'of the room',
      home: 'of the tube',
      points: 'of the points',
      range: 'of how far they reach',
      jar: 'of the cold jar',
      close: 'of the points that lie close',
      inject: 'of the injector',
      vapour: 'of the vapour',
      again: 'of more trials',
      strip: 'of the strip',
      gas: 'of the gas',
    })[key] ?? 'of the method',
};

/** Everything that a teacher may compare: what was read beside what was there, and what the sample is. */
export function recordOf(bench: Bench, sample: BenchRecord['truth'], results: readonly string[]): BenchRecord {
  const slots = slotsOf(bench.plan);
  const decimals = (slot: Slot) =>
    MASSES.includes(slot) ? 4 : isPressure(slot) ? PRESSURE_UNITS[bench.plan.unit].decimals + 1 : 2;
  return {
    readings: recordedReadings(bench.readings, (r) => ({
      label: `${slots[r.which].label}, trial ${r.trial}`.replace(/^./, (c) => c.toUpperCase()),
      unit: slots[r.which].unit,
      shown: fixed(r.shown, decimals(r.which)),
    })),
    results: [...results],
    truth: [
      ...sample,
      { label: 'The room', text: `${fixed(bench.sample.roomKPa, 2)} kPa, ${fixed(bench.sample.roomC, 1)} °C` },
    ],
  };
}
