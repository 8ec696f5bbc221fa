import { z } from 'zod';
import { HEAT_VESSEL_IDS } from '../../databook/heat-vessels';
import type { Outcome } from '../contract';
import { trialNumber, type CommonAct } from '../common-acts';
import { knock, scoop, tip } from './boat-acts';
import { flame, gap, refill, screen, stand } from './lamp-acts';
import { offPan, recordMass, tare, weigh, weighedAnew } from './balance-acts';
import { PIECE_PLACES, STIRS, THERMOMETER_PLACES, VESSELS, type Bench } from './bench';
import { bend, clean, discard, fill, fire, place, press, recordLength, seal, sink, vent, wire } from './sealed-acts';
import { ready } from './ready';
import { charge, emptyTube, jacket, seed, tubeStir, tubeTo } from './tube-acts';
import { TUBE_PLACES } from './tube';
import { STUFFS } from './sealed';
import { LENGTH_SLOTS, MASS_SLOTS, TEMP_SLOTS, VOLUME_SLOTS } from './plan';
import { log, look, record, recordPoint, recordTemp, thermometer } from './reading-acts';
import { broughtUp } from './flow';
import { dry, put } from './piece-acts';
import { empty, fresh, lid, pour, seat, stir, warm } from './vessel-acts';

const vessel = z.enum(VESSELS);
const piece = z.number().int().min(1).max(8);
const trial = trialNumber;
const nth = z.number().int().min(1).max(4);

export const actSchema = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('fresh'), type: z.enum(HEAT_VESSEL_IDS) }),
  z.object({ kind: z.literal('pour'), bottle: nth, to: vessel, ml: z.number() }),
  z.object({ kind: z.literal('tipOver'), from: vessel, to: vessel, ml: z.number() }),
  z.object({ kind: z.literal('empty'), vessel }),
  z.object({ kind: z.literal('lid'), vessel, on: z.boolean() }),
  z.object({ kind: z.literal('stir'), vessel, how: z.enum(STIRS) }),
  z.object({ kind: z.literal('seat'), at: z.enum(['bench', 'bath']) }),
  z.object({ kind: z.literal('warm'), what: z.enum(['bath', 'block', 'cold']), tempC: z.number() }),
  z.object({ kind: z.literal('put'), piece, to: z.enum(PIECE_PLACES) }),
  z.object({ kind: z.literal('dry'), piece }),
  z.object({ kind: z.literal('scoop'), g: z.number() }),
  z.object({ kind: z.literal('tip') }),
  z.object({ kind: z.literal('tapBoat') }),
  z.object({
    kind: z.literal('weigh'),
    what: z.enum(['cup', 'beaker', 'boat', 'piece', 'pellet', 'lamp', 'tube']),
    piece,
  }),
  z.object({ kind: z.literal('charge'), g: z.number(), of: nth.optional() }),
  z.object({ kind: z.literal('emptyTube') }),
  z.object({ kind: z.literal('tubeTo'), at: z.enum(TUBE_PLACES) }),
  z.object({ kind: z.literal('jacket'), on: z.boolean() }),
  z.object({ kind: z.literal('tubeStir'), how: z.enum(STIRS) }),
  z.object({ kind: z.literal('seed') }),
  z.object({ kind: z.literal('ready') }),
  z.object({ kind: z.literal('press'), of: z.enum(STUFFS), g: z.number() }),
  z.object({ kind: z.literal('discard') }),
  z.object({ kind: z.literal('place'), to: z.enum(['dish', 'vessel']) }),
  z.object({ kind: z.literal('wire'), cm: z.number() }),
  z.object({ kind: z.literal('bend') }),
  z.object({ kind: z.literal('seal'), closed: z.boolean() }),
  z.object({ kind: z.literal('fill'), bar: z.number() }),
  z.object({ kind: z.literal('vent') }),
  z.object({ kind: z.literal('sink'), to: z.enum(['pail', 'stand']) }),
  z.object({ kind: z.literal('fire') }),
  z.object({ kind: z.literal('clean') }),
  z.object({ kind: z.literal('flame'), n: nth, to: z.enum(['lit', 'open', 'capped']) }),
  z.object({ kind: z.literal('stand'), n: nth, at: z.enum(['can', 'mat']) }),
  z.object({ kind: z.literal('gap'), mm: z.number() }),
  z.object({ kind: z.literal('screen'), on: z.boolean() }),
  z.object({ kind: z.literal('refill'), n: nth }),
  z.object({ kind: z.literal('recordLength'), trial, which: z.enum(LENGTH_SLOTS) }),
  z.object({ kind: z.literal('offPan') }),
  z.object({ kind: z.literal('tare') }),
  z.object({ kind: z.literal('thermometer'), n: nth, at: z.enum(THERMOMETER_PLACES) }),
  z.object({ kind: z.literal('look'), n: nth }),
  z.object({ kind: z.literal('log'), everyS: z.number() }),
  z.object({
    kind: z.literal('record'),
    trial,
    which: z.enum([...VOLUME_SLOTS, ...TEMP_SLOTS]),
    text: z.string().max(60),
  }),
  z.object({ kind: z.literal('recordTemp'), trial, which: z.enum(TEMP_SLOTS) }),
  z.object({ kind: z.literal('recordPoint'), trial }),
  z.object({ kind: z.literal('recordMass'), trial, which: z.enum(MASS_SLOTS) }),
]);

export type OwnAct = z.infer<typeof actSchema>;
/** All that can be done at this bench. */
export type Act = OwnAct | CommonAct;

function performed(bench: Bench, act: OwnAct): Outcome<Bench> {
  switch (act.kind) {
    case 'fresh':
      return fresh(bench, act);
    case 'pour':
      return pour(bench, { ...act, from: act.bottle });
    case 'tipOver':
      return pour(bench, act);
    case 'empty':
      return empty(bench, act);
    case 'lid':
      return lid(bench, act);
    case 'stir':
      return stir(bench, act);
    case 'seat':
      return seat(bench, act);
    case 'warm':
      return warm(bench, act);
    case 'put':
      return put(bench, act);
    case 'dry':
      return dry(bench, act);
    case 'scoop':
      return scoop(bench, act);
    case 'tip':
      return tip(bench);
    case 'tapBoat':
      return knock(bench);
    case 'weigh':
      return weigh(bench, act);
    case 'charge':
      return charge(bench, act);
    case 'emptyTube':
      return emptyTube(bench);
    case 'tubeTo':
      return tubeTo(bench, act);
    case 'jacket':
      return jacket(bench, act);
    case 'tubeStir':
      return tubeStir(bench, act);
    case 'seed':
      return seed(bench);
    case 'ready':
      return ready(bench, perform);
    case 'press':
      return press(bench, act);
    case 'discard':
      return discard(bench);
    case 'place':
      return place(bench, act);
    case 'wire':
      return wire(bench, act);
    case 'bend':
      return bend(bench);
    case 'seal':
      return seal(bench, act);
    case 'fill':
      return fill(bench, act);
    case 'vent':
      return vent(bench);
    case 'sink':
      return sink(bench, act);
    case 'fire':
      return fire(bench);
    case 'clean':
      return clean(bench);
    case 'flame':
      return flame(bench, act);
    case 'stand':
      return stand(bench, act);
    case 'gap':
      return gap(bench, act);
    case 'screen':
      return screen(bench, act);
    case 'refill':
      return refill(bench, act);
    case 'recordLength':
      return recordLength(bench, act);
    case 'offPan':
      return offPan(bench);
    case 'tare':
      return tare(bench);
    case 'thermometer':
      return thermometer(bench, act);
    case 'look':
      return look(bench, act);
    case 'log':
      return log(bench, act);
    case 'record':
      return record(bench, act);
    case 'recordTemp':
      return recordTemp(bench, act);
    case 'recordPoint':
      return recordPoint(bench, act);
    case 'recordMass':
      return recordMass(bench, act);
  }
}

/** Acts that put something on the pan or take it off, or change what lies there. */
const CHANGES_LOAD = new Set([
  'weigh',
  'offPan',
  'pour',
  'tipOver',
  'empty',
  'put',
  'tip',
  'tapBoat',
  'scoop',
  'fresh',
  'charge',
  'emptyTube',
  'tubeTo',
  'discard',
  'place',
  'stand',
  'sink',
  'refill',
]);

/** One act at the bench: what it leaves, or the sentence that says why it cannot be done. */
export function perform(bench: Bench, act: OwnAct): Outcome<Bench> {
  const present = { ...broughtUp(bench), actedS: bench.timeS };
  const outcome = performed(present, act);
  if ('refusal' in outcome) return outcome;
  return { ...outcome, bench: weighedAnew(present, outcome.bench, CHANGES_LOAD.has(act.kind)) };
}
