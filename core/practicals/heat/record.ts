import { fixed, short } from '../../analysis/quantity';
import { heatVesselOf } from '../../databook/heat-vessels';
import { recordedReadings, type SlotEntry } from '../recordings';
import type { Names } from '../common-acts';
import type { BenchRecord } from '../contract';
import type { OwnAct } from './acts';
import type { Bench } from './bench';
import { isMass, SLOTS, slotName, type Slot } from './plan';

const nameOf = (slot: string) => (SLOTS[slot as Slot] as SlotEntry | undefined)?.label;

export const NAMES: Names = {
  reading: (which) => `the ${nameOf(which) ?? 'reading'}`,
  step: (key) => (key === 'again' ? 'of doing it again' : `on the ${nameOf(key) ?? 'readings'}`),
};

const PLACES = {
  dish: 'on its dish', tongs: 'in the tongs', bath: 'in the hot bath', block: 'in the dry block', cup: 'in the cup',
  beaker: 'in the beaker', stand: 'on its stand', tube: 'in the test tube', cold: 'in the cold bath', bench: 'on the bench',
} as const; // prettier-ignore

/** An act as a line of the teacher's log. */
export function describe(act: OwnAct): string {
  switch (act.kind) {
    case 'fresh':
      return `took a fresh ${heatVesselOf(act.type).name}`;
    case 'pour':
      return `poured ${short(act.ml)} mL from bottle ${act.bottle} into the ${act.to}`;
    case 'tipOver':
      return `poured ${short(act.ml)} mL from the ${act.from} into the ${act.to}`;
    case 'empty':
      return `emptied the ${act.vessel}`;
    case 'lid':
      return `${act.on ? 'put the lid on' : 'took the lid off'} the ${act.vessel}`;
    case 'stir':
      return act.how === 'off' ? `stopped stirring the ${act.vessel}` : `stirred the ${act.vessel}: ${act.how}`;
    case 'seat':
      return `stood the beaker ${PLACES[act.at]}`;
    case 'warm':
      return `set the ${{ bath: 'hot bath', block: 'dry block', cold: 'cold bath' }[act.what]} to ${short(act.tempC)} °C`;
    case 'put':
      return act.to === 'tongs'
        ? `lifted piece ${act.piece} with the tongs`
        : `laid piece ${act.piece} ${PLACES[act.to]}`;
    case 'dry':
      return `dried piece ${act.piece}`;
    case 'scoop':
      return `took about ${short(act.g)} g of salt into the boat`;
    case 'tip':
      return 'tipped the boat into the cup';
    case 'tapBoat':
      return 'knocked what clung to the boat into the cup';
    case 'weigh':
      return `put ${act.what === 'piece' || act.what === 'lamp' ? `${act.what} ${act.piece}` : `the ${act.what}`} on the balance`;
    case 'charge':
      return `put about ${short(act.g)} g ${act.of === 2 ? 'of the second jar ' : ''}into the tube`;
    case 'emptyTube':
      return 'emptied the tube and took a fresh one';
    case 'tubeTo':
      return {
        stand: 'hung the tube on its stand',
        bath: 'put the tube into the hot bath',
        cold: 'put the tube into the cold bath',
      }[act.at];
    case 'jacket':
      return act.on ? 'put the air jacket around the tube' : 'took the air jacket off';
    case 'tubeStir':
      return act.how === 'off' ? 'stopped stirring the tube' : `stirred the tube: ${act.how}`;
    case 'ready':
      return 'took the ready series';
    case 'seed':
      return 'put in a crystal';
    case 'press':
      return `pressed about ${short(act.g)} g of the ${act.of} into a pellet`;
    case 'discard':
      return 'threw the pellet away';
    case 'place':
      return act.to === 'vessel' ? 'laid the pellet into the vessel' : 'took the pellet out again';
    case 'wire':
      return `put ${short(act.cm)} cm of wire between the posts`;
    case 'bend':
      return 'bent the wire down to the pellet';
    case 'seal':
      return act.closed ? 'closed the vessel' : 'opened the vessel';
    case 'fill':
      return `let in oxygen up to ${short(act.bar)} bar`;
    case 'vent':
      return 'let the gas out';
    case 'sink':
      return act.to === 'pail' ? 'lowered the vessel into the pail' : 'lifted the vessel out';
    case 'fire':
      return 'pressed the firing switch';
    case 'clean':
      return 'cleaned the vessel';
    case 'flame':
      return {
        lit: `lit lamp ${act.n}`,
        open: `took the cap off lamp ${act.n}, or blew it out`,
        capped: `put the cap on lamp ${act.n}`,
      }[act.to];
    case 'stand':
      return act.at === 'can' ? `stood lamp ${act.n} under the can` : `put lamp ${act.n} on its mat`;
    case 'gap':
      return `hung the can ${short(act.mm)} mm over the wick`;
    case 'screen':
      return act.on ? 'put the screen around the flame' : 'took the screen away';
    case 'refill':
      return `filled lamp ${act.n}`;
    case 'offPan':
      return 'took all off the balance';
    case 'tare':
      return 'tared the balance';
    case 'thermometer':
      return `put thermometer ${act.n} ${PLACES[act.at]}`;
    case 'look':
      return `looked at thermometer ${act.n}`;
    case 'log':
      return act.everyS === 0 ? 'ended the log' : `logged every ${short(act.everyS)} s`;
    case 'record':
      return `read the ${SLOTS[act.which].label}, trial ${act.trial}: ${act.text}`;
    case 'recordPoint':
      return `recorded a point: volume and temperature, trial ${act.trial}`;
    case 'recordTemp':
    case 'recordLength':
    case 'recordMass':
      return `recorded the ${SLOTS[act.which].label}, trial ${act.trial}`;
  }
}

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
