import { fixed } from '../../analysis/quantity';
import { toldOfSlot } from '../recordings';
import type { BenchRecord } from '../contract';
import type { Bench } from './bench';
import { MASSES, PRESSURE_UNITS, isPressure, slotsOf, type Slot } from './plan';

/** Readings by what they are, wherever it does not matter in which unit. */
export const SLOTS = slotsOf({ unit: 'kPa', syringes: [], gear: 'syringe' });

/** A reading as the teacher sees it. */
export const toldReading = ({ plan }: Bench) =>
  toldOfSlot(slotsOf(plan), (slot: Slot) =>
    MASSES.includes(slot) ? 4 : isPressure(slot) ? PRESSURE_UNITS[plan.unit].decimals + 1 : 2,
  );

/** What a teacher may compare besides what the sample is. */
export const besides = ({ sample }: Bench): BenchRecord['truth'] => [
  { label: 'The room', text: `${fixed(sample.roomKPa, 2)} kPa, ${fixed(sample.roomC, 1)} °C` },
];
