import { fixed, short } from '../../analysis/quantity';
import { vesselOf } from '../../databook/vessels';
import type { Names } from '../common-acts';
import type { BenchRecord } from '../contract';
import type { OwnAct } from './acts';
import type { Bench } from './bench';
import { recordedReadings, type SlotEntry } from '../recordings';
import { LETTERS, SLOTS, slotName, type Slot } from './plan';

const nameOf = (slot: string) => (SLOTS[slot as Slot] as SlotEntry | undefined)?.label;

export const NAMES: Names = {
  reading: (which) => `the ${nameOf(which) ?? 'reading'}`,
  step: (key) => (key === 'again' ? 'of doing it again' : `on the ${nameOf(key) ?? 'readings'}`),
};

/** An act as a line of the teacher's log. */
export function describe(act: OwnAct): string {
  const pieces = (n: number) => (n === 1 ? 'one piece' : `${n} pieces`);
  const letter = 'lot' in act ? (LETTERS[act.lot - 1] ?? '') : '';
  switch (act.kind) {
    case 'take':
      return `took a ${vesselOf(act.type).name} from the tray`;
    case 'away':
      return `put vessel ${act.vessel} back on the tray`;
    case 'name':
      return `labelled vessel ${act.vessel}: ${act.text}`;
    case 'tap':
      return act.opening === 'off'
        ? `closed the tap over vessel ${act.into}`
        : `ran water into vessel ${act.into}: ${act.opening}`;
    case 'tilt':
      return act.degrees === 0
        ? `set vessel ${act.from} upright`
        : `tilted vessel ${act.from} over vessel ${act.to} by ${Math.round(act.degrees)}°`;
    case 'pour':
      return `poured ${short(act.ml)} mL from vessel ${act.from} into vessel ${act.to}`;
    case 'drops':
      return `${short(act.drops)} drops from vessel ${act.from} into vessel ${act.to}`;
    case 'pipette':
      return `pipetted from vessel ${act.from} into vessel ${act.to}: ${act.with}${act.with === 'graduated' ? `, ${short(act.ml)} mL` : ''}`;
    case 'squirt':
      return `${short(act.ml)} mL of water from the wash bottle into vessel ${act.into}`;
    case 'empty':
      return `emptied vessel ${act.vessel}`;
    case 'dry':
      return `dried vessel ${act.vessel}`;
    case 'stopper':
      return act.on ? `stoppered vessel ${act.vessel}` : `took the stopper out of vessel ${act.vessel}`;
    case 'weigh':
      return `put vessel ${act.vessel} on the balance`;
    case 'weighPieces':
      return `put ${pieces(act.count)} of ${letter} on the balance`;
    case 'offPan':
      return 'took all off the balance';
    case 'tare':
      return 'tared the balance';
    case 'wipePan':
      return 'wiped the pan';
    case 'put':
      return `${act.how === 'drop' ? 'dropped' : act.how === 'tied' ? 'tied to the sinker' : 'lowered'} ${pieces(act.count)} of ${letter} into vessel ${act.into}`;
    case 'sinker':
      return act.on ? `lowered the sinker into vessel ${act.vessel}` : `took the sinker out of vessel ${act.vessel}`;
    case 'tie':
      return `tied what floats in vessel ${act.vessel} to the sinker`;
    case 'fish':
      return `took out what lay in vessel ${act.vessel}`;
    case 'dryPieces':
      return `dried ${letter}`;
    case 'knock':
      return `knocked at vessel ${act.vessel}`;
    case 'measure':
      return `held ${letter} in the ${act.tool}: ${act.along}`;
    case 'closeJaws':
      return 'closed the jaws of the calliper';
    case 'haveAgain':
      return 'had the liquid of the bottles again';
    case 'look':
      return act.at === 'vessel' ? `looked at vessel ${act.n}` : `looked at the ${act.at}`;
    case 'eye':
      return `brought the eye to ${fixed(act.mm, 0)} mm above the surface`;
    case 'record':
      return `read the ${SLOTS[act.which].label}, trial ${act.trial}: ${act.text}`;
    case 'recordMass':
      return `recorded the ${SLOTS[act.which].label}, trial ${act.trial}`;
  }
}

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
