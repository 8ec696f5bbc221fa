import { fixed } from '../../analysis/quantity';
import { toldOfSlot } from '../recordings';
import type { BenchRecord } from '../contract';
import type { Bench, KeptReading } from './bench';
import { isMass, SLOTS, slotName } from './plan';

export const PLACES = {
  dish: 'on its dish', tongs: 'in the tongs', bath: 'in the hot bath', block: 'in the dry block', cup: 'in the cup',
  beaker: 'in the beaker', stand: 'on its stand', tube: 'in the test tube', cold: 'in the cold bath', bench: 'on the bench',
} as const; // prettier-ignore

/** A reading as the teacher sees it. */
export const toldReading =
  ({ plan }: Bench): ((reading: KeptReading) => ReturnType<ReturnType<typeof toldOfSlot>>) =>
  (reading) =>
    toldOfSlot(
      SLOTS,
      (slot: KeptReading['which']) => (isMass(slot) ? 4 : 3),
      ({ which }) => `${slotName(plan, which)}, ${reading.instrument}`,
    )(reading);

/** What a teacher may compare besides what the sample is. */
export const besides = ({ sample, thermometers }: Bench): BenchRecord['truth'] => [
  {
    label: 'Room, and where water boils today',
    text: `${fixed(sample.roomC, 1)} °C, ${fixed(sample.boilsC, 2)} °C`,
  },
  ...thermometers.map(({ piece }, n) => ({
    label: `Thermometer ${n + 1} is off by`,
    text: `${fixed(piece.errorC, 3)} °C`,
  })),
];
