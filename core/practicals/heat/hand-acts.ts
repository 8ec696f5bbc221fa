import { short } from '../../analysis/quantity';
import { PLACES } from './record';
import { z } from 'zod';
import { HEAT_VESSEL_IDS, heatVesselOf } from '../../databook/heat-vessels';
import { actsOn, type ActOf } from '../act-table';
import { trialNumber } from '../common-acts';
import { knock, scoop, tip } from './mixing/boat-acts';
import { flame, gap, refill, screen, stand } from './burning/lamp-acts';
import { offPan, recordMass, tare, weigh } from './reading/balance-acts';
import type { Bench } from './bench';
import { PIECE_PLACES, STIRS, THERMOMETER_PLACES, VESSELS, TUBE_PLACES, STUFFS } from './bodies';
import {
  bend,
  clean,
  discard,
  fill,
  fire,
  place,
  press,
  recordLength,
  seal,
  sink,
  vent,
  wire,
} from './burning/sealed-acts';
import { charge, emptyTube, jacket, seed, tubeStir, tubeTo } from './freezing/tube-acts';
import { LENGTH_SLOTS, MASS_SLOTS, TEMP_SLOTS, VOLUME_SLOTS, SLOTS } from './plan';
import { log, look, record, recordPoint, recordTemp, thermometer } from './reading/reading-acts';
import { dry, put } from './mixing/piece-acts';
import { empty, fresh, lid, pour, seat, stir, warm } from './mixing/vessel-acts';

const vessel = z.enum(VESSELS);
const piece = z.number().int().min(1).max(8);
const trial = trialNumber;
const nth = z.number().int().min(1).max(4);

const on = actsOn<Bench>();

/** All that is done at this bench: of each act its fields, what it does, and its line in the teacher’s log. */
export const HAND_ACTS = {
  fresh: on({ type: z.enum(HEAT_VESSEL_IDS) }, fresh, (act) => `took a fresh ${heatVesselOf(act.type).name}`),
  pour: on(
    { bottle: nth, to: vessel, ml: z.number() },
    (bench, act) => pour(bench, { ...act, from: act.bottle }),
    (act) => `poured ${short(act.ml)} mL from bottle ${act.bottle} into the ${act.to}`,
  ),
  tipOver: on(
    { from: vessel, to: vessel, ml: z.number() },
    pour,
    (act) => `poured ${short(act.ml)} mL from the ${act.from} into the ${act.to}`,
  ),
  empty: on({ vessel }, empty, (act) => `emptied the ${act.vessel}`),
  lid: on(
    { vessel, on: z.boolean() },
    lid,
    (act) => `${act.on ? 'put the lid on' : 'took the lid off'} the ${act.vessel}`,
  ),
  stir: on({ vessel, how: z.enum(STIRS) }, stir, (act) =>
    act.how === 'off' ? `stopped stirring the ${act.vessel}` : `stirred the ${act.vessel}: ${act.how}`,
  ),
  seat: on({ at: z.enum(['bench', 'bath']) }, seat, (act) => `stood the beaker ${PLACES[act.at]}`),
  warm: on(
    { what: z.enum(['bath', 'block', 'cold']), tempC: z.number() },
    warm,
    (act) =>
      `set the ${{ bath: 'hot bath', block: 'dry block', cold: 'cold bath' }[act.what]} to ${short(act.tempC)} °C`,
  ),
  put: on({ piece, to: z.enum(PIECE_PLACES) }, put, (act) =>
    act.to === 'tongs' ? `lifted piece ${act.piece} with the tongs` : `laid piece ${act.piece} ${PLACES[act.to]}`,
  ),
  dry: on({ piece }, dry, (act) => `dried piece ${act.piece}`),
  scoop: on({ g: z.number() }, scoop, (act) => `took about ${short(act.g)} g of salt into the boat`),
  tip: on({}, tip, 'tipped the boat into the cup'),
  tapBoat: on({}, knock, 'knocked what clung to the boat into the cup'),
  weigh: on(
    { what: z.enum(['cup', 'beaker', 'boat', 'piece', 'pellet', 'lamp', 'tube']), piece },
    weigh,
    (act) =>
      `put ${act.what === 'piece' || act.what === 'lamp' ? `${act.what} ${act.piece}` : `the ${act.what}`} on the balance`,
  ),
  charge: on(
    { g: z.number(), of: nth.optional() },
    charge,
    (act) => `put about ${short(act.g)} g ${act.of === 2 ? 'of the second jar ' : ''}into the tube`,
  ),
  emptyTube: on({}, emptyTube, 'emptied the tube and took a fresh one'),
  tubeTo: on(
    { at: z.enum(TUBE_PLACES) },
    tubeTo,
    (act) =>
      ({
        stand: 'hung the tube on its stand',
        bath: 'put the tube into the hot bath',
        cold: 'put the tube into the cold bath',
      })[act.at],
  ),
  jacket: on({ on: z.boolean() }, jacket, (act) =>
    act.on ? 'put the air jacket around the tube' : 'took the air jacket off',
  ),
  tubeStir: on({ how: z.enum(STIRS) }, tubeStir, (act) =>
    act.how === 'off' ? 'stopped stirring the tube' : `stirred the tube: ${act.how}`,
  ),
  seed: on({}, seed, 'put in a crystal'),
  press: on(
    { of: z.enum(STUFFS), g: z.number() },
    press,
    (act) => `pressed about ${short(act.g)} g of the ${act.of} into a pellet`,
  ),
  discard: on({}, discard, 'threw the pellet away'),
  place: on({ to: z.enum(['dish', 'vessel']) }, place, (act) =>
    act.to === 'vessel' ? 'laid the pellet into the vessel' : 'took the pellet out again',
  ),
  wire: on({ cm: z.number() }, wire, (act) => `put ${short(act.cm)} cm of wire between the posts`),
  bend: on({}, bend, 'bent the wire down to the pellet'),
  seal: on({ closed: z.boolean() }, seal, (act) => (act.closed ? 'closed the vessel' : 'opened the vessel')),
  fill: on({ bar: z.number() }, fill, (act) => `let in oxygen up to ${short(act.bar)} bar`),
  vent: on({}, vent, 'let the gas out'),
  sink: on({ to: z.enum(['pail', 'stand']) }, sink, (act) =>
    act.to === 'pail' ? 'lowered the vessel into the pail' : 'lifted the vessel out',
  ),
  fire: on({}, fire, 'pressed the firing switch'),
  clean: on({}, clean, 'cleaned the vessel'),
  flame: on(
    { n: nth, to: z.enum(['lit', 'open', 'capped']) },
    flame,
    (act) =>
      ({
        lit: `lit lamp ${act.n}`,
        open: `took the cap off lamp ${act.n}, or blew it out`,
        capped: `put the cap on lamp ${act.n}`,
      })[act.to],
  ),
  stand: on({ n: nth, at: z.enum(['can', 'mat']) }, stand, (act) =>
    act.at === 'can' ? `stood lamp ${act.n} under the can` : `put lamp ${act.n} on its mat`,
  ),
  gap: on({ mm: z.number() }, gap, (act) => `hung the can ${short(act.mm)} mm over the wick`),
  screen: on({ on: z.boolean() }, screen, (act) =>
    act.on ? 'put the screen around the flame' : 'took the screen away',
  ),
  refill: on({ n: nth }, refill, (act) => `filled lamp ${act.n}`),
  recordLength: on(
    { trial, which: z.enum(LENGTH_SLOTS) },
    recordLength,
    (act) => `recorded the ${SLOTS[act.which].label}, trial ${act.trial}`,
  ),
  offPan: on({}, offPan, 'took all off the balance'),
  tare: on({}, tare, 'tared the balance'),
  thermometer: on(
    { n: nth, at: z.enum(THERMOMETER_PLACES) },
    thermometer,
    (act) => `put thermometer ${act.n} ${PLACES[act.at]}`,
  ),
  look: on({ n: nth }, look, (act) => `looked at thermometer ${act.n}`),
  log: on({ everyS: z.number() }, log, (act) =>
    act.everyS === 0 ? 'ended the log' : `logged every ${short(act.everyS)} s`,
  ),
  record: on(
    { trial, which: z.enum([...VOLUME_SLOTS, ...TEMP_SLOTS]), text: z.string().max(60) },
    record,
    (act) => `read the ${SLOTS[act.which].label}, trial ${act.trial}: ${act.text}`,
  ),
  recordTemp: on(
    { trial, which: z.enum(TEMP_SLOTS) },
    recordTemp,
    (act) => `recorded the ${SLOTS[act.which].label}, trial ${act.trial}`,
  ),
  recordPoint: on({ trial }, recordPoint, (act) => `recorded a point: volume and temperature, trial ${act.trial}`),
  recordMass: on(
    { trial, which: z.enum(MASS_SLOTS) },
    recordMass,
    (act) => `recorded the ${SLOTS[act.which].label}, trial ${act.trial}`,
  ),
};
export type HandAct = ActOf<typeof HAND_ACTS>;
