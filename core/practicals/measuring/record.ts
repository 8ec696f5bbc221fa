import { fixed } from '../../analysis/quantity';
import { vesselOf } from '../../databook/vessels';
import type { Names } from '../common-acts';
import type { BenchRecord } from '../contract';
import type { Bench } from './bench';
import { recordedReadings, type SlotEntry } from '../recordings';
import { SLOTS, slotName, type Slot } from './plan';

const nameOf = (slot: string) => (SLOTS[slot as Slot] as SlotEntry | undefined)?.label;

export const NAMES: Names = {
  reading: (which) => `the ${nameOf(which) ?? 'reading'}`,
  step: (key) => (key === 'again' ? 'of doing it again' : `on the ${nameOf(key) ?? 'readings'}`),
};

/** Everything that a teacher may compare: what was read beside what was there, and what the sample is. */
export function recordOf(bench: Bench, sample: BenchRecord['truth'], results: readonly string[]): BenchRecord {
  const { plan } = bench;
  const unitless = bench.vessels.filter((vessel) => !vessel.away && vesselOf(vessel.type).divisionMl !== null);
  return {
    readings: recordedReadings(bench.readings, (r) => ({
      label: `${slotName(plan, r.which)}, ${r.instrument}, trial ${r.trial}`.replace(/^./, (c) => c.toUpperCase()),
      unit: SLOTS[r.which].unit,
      shown:
        fixed(r.shown, r.instrument === 'balance' ? 4 : 3) +
        (Math.abs(r.parallax) > 0.004 ? `; by parallax ${fixed(r.shown + r.parallax, 2)}` : ''),
    })),
    results: [...results],
    truth: [
      ...sample,
      { label: 'Temperature of the room', text: `${fixed(bench.sample.tempC, 1)} °C` },
      ...unitless.slice(0, 4).map((vessel) => ({
        label: `${vesselOf(vessel.type).name.replace(/^./, (c) => c.toUpperCase())}, ${vesselOf(vessel.type).capacityMl} mL read, holds`,
        text: `${fixed(vesselOf(vessel.type).capacityMl * (1 + vessel.scaleError), 2)} mL`,
      })),
      ...(plan.tools.includes('calliper')
        ? [{ label: 'Calliper, closed, shows', text: `${fixed(bench.calliperErrorMm, 3)} mm` }]
        : []),
      ...(bench.spiltMl > 0.01 ? [{ label: 'Spilt', text: `${fixed(bench.spiltMl, 2)} mL` }] : []),
    ],
  };
}
