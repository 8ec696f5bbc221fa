import { fixed } from '../../analysis/quantity';
import { vesselOf } from '../../databook/vessels';
import type { BenchRecord } from '../contract';
import type { Bench, KeptReading } from './bench';
import { toldOfSlot } from '../recordings';
import { SLOTS, slotName } from './plan';

/** A reading as the teacher sees it: of what was read askew, as it looked from there, too. */
export const toldReading =
  ({ plan }: Bench) =>
  (reading: KeptReading) => {
    const told = toldOfSlot(
      SLOTS,
      () => (reading.instrument === 'balance' ? 4 : 3),
      ({ which }) => `${slotName(plan, which)}, ${reading.instrument}`,
    )(reading);
    const askew =
      Math.abs(reading.parallax) > 0.004 ? `; by parallax ${fixed(reading.shown + reading.parallax, 2)}` : '';
    return { ...told, shown: told.shown + askew };
  };

/** What a teacher may compare besides what the sample is. */
export function besides({ plan, sample, vessels, calliperErrorMm, spiltMl }: Bench): BenchRecord['truth'] {
  const divided = vessels.filter((vessel) => !vessel.away && vesselOf(vessel.type).divisionMl !== null);
  return [
    { label: 'Temperature of the room', text: `${fixed(sample.tempC, 1)} °C` },
    ...divided.slice(0, 4).map((vessel) => ({
      label: `${vesselOf(vessel.type).name.replace(/^./, (c) => c.toUpperCase())}, ${vesselOf(vessel.type).capacityMl} mL read, holds`,
      text: `${fixed(vesselOf(vessel.type).capacityMl * (1 + vessel.scaleError), 2)} mL`,
    })),
    ...(plan.tools.includes('calliper')
      ? [{ label: 'Calliper, closed, shows', text: `${fixed(calliperErrorMm, 3)} mm` }]
      : []),
    ...(spiltMl > 0.01 ? [{ label: 'Spilt', text: `${fixed(spiltMl, 2)} mL` }] : []),
  ];
}
