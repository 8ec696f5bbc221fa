import { PIPETTES_HERE } from './vessel-acts';
import { fixed, short } from '../../analysis/quantity';
import { z } from 'zod';
import { VESSEL_IDS, vesselOf } from '../../databook/vessels';
import { TOOLS } from '../../instruments/length';
import { WATER_TAP } from '../../instruments/pouring';
import { actsOn, actTable, type ActOf } from '../act-table';
import type { Outcome } from '../contract';
import { trialNumber, type CommonAct } from '../common-acts';
import { offPan, recordMass, tare, weigh, weighPieces, wipePan } from './balance-acts';
import { weighedAnew, type Bench } from './bench';
import { closeJaws, dryPieces, fish, knock, measure, put, sinker, tie } from './piece-acts';
import { MASS_SLOTS, TYPED_SLOTS, SLOTS, LETTERS } from './plan';
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

const pieces = (n: number) => (n === 1 ? 'one piece' : `${n} pieces`);
const letterOf = (act: { lot: number }) => LETTERS[act.lot - 1] ?? '';

const on = actsOn<Bench>();

/** All that is done at this bench: of each act its fields, what it does, and its line in the teacher’s log. */
const ACTS = {
  take: on({ type: z.enum(VESSEL_IDS) }, take, (act) => `took a ${vesselOf(act.type).name} from the tray`),
  away: on({ vessel }, putAway, (act) => `put vessel ${act.vessel} back on the tray`),
  name: on({ vessel, text: z.string().max(30) }, label, (act) => `labelled vessel ${act.vessel}: ${act.text}`),
  tap: on({ into: vessel, opening: z.enum(WATER_TAP) }, tap, (act) =>
    act.opening === 'off'
      ? `closed the tap over vessel ${act.into}`
      : `ran water into vessel ${act.into}: ${act.opening}`,
  ),
  tilt: on({ from: vessel, to: vessel, degrees: z.number() }, tilt, (act) =>
    act.degrees === 0
      ? `set vessel ${act.from} upright`
      : `tilted vessel ${act.from} over vessel ${act.to} by ${Math.round(act.degrees)}°`,
  ),
  pour: on(
    { from: vessel, to: vessel, ml: z.number() },
    pour,
    (act) => `poured ${short(act.ml)} mL from vessel ${act.from} into vessel ${act.to}`,
  ),
  drops: on(
    { from: vessel, to: vessel, drops: z.number() },
    drops,
    (act) => `${short(act.drops)} drops from vessel ${act.from} into vessel ${act.to}`,
  ),
  pipette: on(
    { with: z.enum(PIPETTES_HERE), from: vessel, to: vessel, ml: z.number() },
    pipette,
    (act) =>
      `pipetted from vessel ${act.from} into vessel ${act.to}: ${act.with}${act.with === 'graduated' ? `, ${short(act.ml)} mL` : ''}`,
  ),
  squirt: on(
    { into: vessel, ml: z.number() },
    squirt,
    (act) => `${short(act.ml)} mL of water from the wash bottle into vessel ${act.into}`,
  ),
  empty: on({ vessel }, empty, (act) => `emptied vessel ${act.vessel}`),
  dry: on({ vessel }, dry, (act) => `dried vessel ${act.vessel}`),
  stopper: on({ vessel, on: z.boolean() }, stopper, (act) =>
    act.on ? `stoppered vessel ${act.vessel}` : `took the stopper out of vessel ${act.vessel}`,
  ),
  weigh: on({ vessel }, weigh, (act) => `put vessel ${act.vessel} on the balance`),
  weighPieces: on(
    { lot, count: z.number() },
    weighPieces,
    (act) => `put ${pieces(act.count)} of ${letterOf(act)} on the balance`,
  ),
  offPan: on({}, offPan, 'took all off the balance'),
  tare: on({}, tare, 'tared the balance'),
  wipePan: on({}, wipePan, 'wiped the pan'),
  put: on(
    { lot, count: z.number(), into: vessel, how: z.enum(['lower', 'drop', 'tied']) },
    put,
    (act) =>
      `${act.how === 'drop' ? 'dropped' : act.how === 'tied' ? 'tied to the sinker' : 'lowered'} ${pieces(act.count)} of ${letterOf(act)} into vessel ${act.into}`,
  ),
  sinker: on({ vessel, on: z.boolean() }, sinker, (act) =>
    act.on ? `lowered the sinker into vessel ${act.vessel}` : `took the sinker out of vessel ${act.vessel}`,
  ),
  tie: on({ vessel }, tie, (act) => `tied what floats in vessel ${act.vessel} to the sinker`),
  fish: on({ vessel }, fish, (act) => `took out what lay in vessel ${act.vessel}`),
  dryPieces: on({ lot }, dryPieces, (act) => `dried ${letterOf(act)}`),
  knock: on({ vessel }, knock, (act) => `knocked at vessel ${act.vessel}`),
  measure: on(
    { lot, tool: z.enum(TOOLS), along: z.enum(ALONG) },
    measure,
    (act) => `held ${letterOf(act)} in the ${act.tool}: ${act.along}`,
  ),
  closeJaws: on({}, closeJaws, 'closed the jaws of the calliper'),
  haveAgain: on({}, haveAgain, 'had the liquid of the bottles again'),
  look: on({ at: z.enum(['vessel', 'tool', 'thermometer']), n: z.number().int() }, look, (act) =>
    act.at === 'vessel' ? `looked at vessel ${act.n}` : `looked at the ${act.at}`,
  ),
  eye: on({ mm: z.number() }, eye, (act) => `brought the eye to ${fixed(act.mm, 0)} mm above the surface`),
  record: on(
    { trial, which: z.enum(TYPED_SLOTS), text: z.string().max(60) },
    record,
    (act) => `read the ${SLOTS[act.which].label}, trial ${act.trial}: ${act.text}`,
  ),
  recordMass: on(
    { trial, which: z.enum(MASS_SLOTS) },
    recordMass,
    (act) => `recorded the ${SLOTS[act.which].label}, trial ${act.trial}`,
  ),
};
export type OwnAct = ActOf<typeof ACTS>;

/** All that can be done at this bench. */
export type Act = OwnAct | CommonAct;

const own = actTable<Bench, typeof ACTS>(ACTS);

const PLACES = new Set(['weigh', 'weighPieces', 'offPan', 'put', 'fish', 'wipePan', 'pour', 'pipette', 'drops']);

/** One act at the bench: what it leaves, or the sentence that says why it cannot be done. */
function perform(bench: Bench, act: OwnAct): Outcome<Bench> {
  const outcome = own.perform(bench, act);
  if ('refusal' in outcome) return outcome;
  return { ...outcome, bench: weighedAnew(bench, outcome.bench, PLACES.has(act.kind)) };
}

export const OWN_ACTS = { ...own, perform };
