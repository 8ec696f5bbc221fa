import { z } from 'zod';
import { VESSEL_IDS } from '../../databook/vessels';
import { TOOLS } from '../../instruments/length';
import { WATER_TAP } from '../../instruments/pouring';
import type { Outcome } from '../contract';
import { trialNumber, type CommonAct } from '../common-acts';
import { offPan, recordMass, tare, weigh, weighPieces, wipePan } from './balance-acts';
import { weighedAnew, type Bench } from './bench';
import { closeJaws, dryPieces, fish, knock, measure, put, sinker, tie } from './piece-acts';
import { MASS_SLOTS, TYPED_SLOTS } from './plan';
import { eye, look, record } from './reading-acts';
import { ALONG } from './edges';
import {
  drops,
  dry,
  empty,
  haveAgain,
  label,
  pipette,
  pour,
  putAway,
  squirt,
  stopper,
  take,
  tap,
  tilt,
} from './vessel-acts';

const vessel = z.number().int().min(1).max(60);
const lot = z.number().int().min(1).max(8);
const trial = trialNumber;

export const PIPETTES_HERE = ['volumetric 10', 'volumetric 25', 'graduated'] as const;

export const actSchema = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('take'), type: z.enum(VESSEL_IDS) }),
  z.object({ kind: z.literal('away'), vessel }),
  z.object({ kind: z.literal('name'), vessel, text: z.string().max(30) }),
  z.object({ kind: z.literal('tap'), into: vessel, opening: z.enum(WATER_TAP) }),
  z.object({ kind: z.literal('tilt'), from: vessel, to: vessel, degrees: z.number() }),
  z.object({ kind: z.literal('pour'), from: vessel, to: vessel, ml: z.number() }),
  z.object({ kind: z.literal('drops'), from: vessel, to: vessel, drops: z.number() }),
  z.object({
    kind: z.literal('pipette'),
    with: z.enum(PIPETTES_HERE),
    from: vessel,
    to: vessel,
    ml: z.number(),
  }),
  z.object({ kind: z.literal('squirt'), into: vessel, ml: z.number() }),
  z.object({ kind: z.literal('empty'), vessel }),
  z.object({ kind: z.literal('dry'), vessel }),
  z.object({ kind: z.literal('stopper'), vessel, on: z.boolean() }),
  z.object({ kind: z.literal('weigh'), vessel }),
  z.object({ kind: z.literal('weighPieces'), lot, count: z.number() }),
  z.object({ kind: z.literal('offPan') }),
  z.object({ kind: z.literal('tare') }),
  z.object({ kind: z.literal('wipePan') }),
  z.object({
    kind: z.literal('put'),
    lot,
    count: z.number(),
    into: vessel,
    how: z.enum(['lower', 'drop', 'tied']),
  }),
  z.object({ kind: z.literal('sinker'), vessel, on: z.boolean() }),
  z.object({ kind: z.literal('tie'), vessel }),
  z.object({ kind: z.literal('fish'), vessel }),
  z.object({ kind: z.literal('dryPieces'), lot }),
  z.object({ kind: z.literal('knock'), vessel }),
  z.object({ kind: z.literal('measure'), lot, tool: z.enum(TOOLS), along: z.enum(ALONG) }),
  z.object({ kind: z.literal('closeJaws') }),
  z.object({ kind: z.literal('haveAgain') }),
  z.object({ kind: z.literal('look'), at: z.enum(['vessel', 'tool', 'thermometer']), n: z.number().int() }),
  z.object({ kind: z.literal('eye'), mm: z.number() }),
  z.object({ kind: z.literal('record'), trial, which: z.enum(TYPED_SLOTS), text: z.string().max(60) }),
  z.object({ kind: z.literal('recordMass'), trial, which: z.enum(MASS_SLOTS) }),
]);

export type OwnAct = z.infer<typeof actSchema>;
/** All that can be done at this bench. */
export type Act = OwnAct | CommonAct;

function performed(bench: Bench, act: OwnAct): Outcome<Bench> {
  switch (act.kind) {
    case 'take':
      return take(bench, act);
    case 'away':
      return putAway(bench, act);
    case 'name':
      return label(bench, act);
    case 'tap':
      return tap(bench, act);
    case 'tilt':
      return tilt(bench, act);
    case 'pour':
      return pour(bench, act);
    case 'drops':
      return drops(bench, act);
    case 'pipette':
      return pipette(bench, act);
    case 'squirt':
      return squirt(bench, act);
    case 'empty':
      return empty(bench, act);
    case 'dry':
      return dry(bench, act);
    case 'stopper':
      return stopper(bench, act);
    case 'weigh':
      return weigh(bench, act);
    case 'weighPieces':
      return weighPieces(bench, act);
    case 'offPan':
      return offPan(bench);
    case 'tare':
      return tare(bench);
    case 'wipePan':
      return wipePan(bench);
    case 'put':
      return put(bench, act);
    case 'sinker':
      return sinker(bench, act);
    case 'tie':
      return tie(bench, act);
    case 'fish':
      return fish(bench, act);
    case 'dryPieces':
      return dryPieces(bench, act);
    case 'knock':
      return knock(bench, act);
    case 'measure':
      return measure(bench, act);
    case 'closeJaws':
      return closeJaws(bench);
    case 'haveAgain':
      return haveAgain(bench);
    case 'look':
      return look(bench, act);
    case 'eye':
      return eye(bench, act);
    case 'record':
      return record(bench, act);
    case 'recordMass':
      return recordMass(bench, act);
  }
}

const PLACES = new Set(['weigh', 'weighPieces', 'offPan', 'put', 'fish', 'wipePan', 'pour', 'pipette', 'drops']);

/** One act at the bench: what it leaves, or the sentence that says why it cannot be done. */
export function perform(bench: Bench, act: OwnAct): Outcome<Bench> {
  const outcome = performed(bench, act);
  if ('refusal' in outcome) return outcome;
  return { ...outcome, bench: weighedAnew(bench, outcome.bench, PLACES.has(act.kind)) };
}
