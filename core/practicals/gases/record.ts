import { fixed, short } from '../../analysis/quantity';
import type { Names } from '../common-acts';
import type { BenchRecord } from '../contract';
import { recordedReadings } from '../recordings';
import type { OwnAct } from './acts';
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

const JOINTS = {
  off: 'pulled the tube off',
  loose: 'pushed the tube on lightly',
  home: 'pushed the tube home',
} as const;
const PUT = { air: 'out into the air', bath: 'into the bath', jar: 'into the cold jar' } as const;

/** An act as a line of the teacher's log. */
export function describe(act: OwnAct): string {
  switch (act.kind) {
    case 'joint':
      return JOINTS[act.to];
    case 'plunger':
      return `set the plunger to ${short(act.ml)} mL`;
    case 'put':
      return `put the bulb ${PUT[act.at]}`;
    case 'turn':
      return `turned the plunger of syringe ${act.n}`;
    case 'cut':
      return `cut a strip of about ${short(act.mg)} mg`;
    case 'hang':
      return 'hung the strip into the tube';
    case 'lift':
      return `set the top of the tube to ${short(act.mm)} mm over the water`;
    case 'draw':
      return `drew up about ${short(act.ml)} mL of the liquid`;
    case 'stopper':
      return act.on ? 'stoppered the needle' : 'took the stopper off the needle';
    case 'weigh':
      return act.on ? 'put it on the balance' : 'took it off the balance';
    case 'tare':
      return 'tared the balance';
    case 'inject':
      return `injected about ${short(act.ml)} mL`;
    case 'empty':
      return 'began with a fresh filling';
    case 'heat':
      return `set the hot plate to ${short(act.to)}`;
    case 'ice':
      return `put ${short(act.g)} g of ice into the bath`;
    case 'record':
      return `recorded the ${SLOTS[act.which].label}, trial ${act.trial}, as ${act.text}`;
    case 'recordShown':
      return `recorded the ${SLOTS[act.which].label}, trial ${act.trial}`;
  }
}

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
