import { nameById } from '../../databook/names';
import { fixed, short } from '../../analysis/quantity';
import { done } from '../hands';
import { z } from 'zod';
import { actsOn, actTable, type ActOf } from '../act-table';
import type { Outcome } from '../contract';
import { TAKES_S } from './act-parts';
import { advance } from './advance';
import { type Bench } from './bench';
import { WEIGHED, WHICH } from './slots';
import {
  drop,
  emptied,
  fill,
  letIn,
  partDrop,
  pour,
  rinseBurette,
  tap,
  wipeTip,
  funnelOut,
  runOut,
} from './burette-acts';
import {
  drainPipette,
  drainToVolumetric,
  drawDiluted,
  drawSampleUp,
  emptyFlask,
  emptyVolumetric,
  indicator,
  makeUp,
  rinseWalls,
  swirl,
  takeFlask,
} from './flask-acts';
import { trialNumber, type CommonAct } from '../common-acts';
import { record } from './reading-acts';
import { calibrate, moveProbe, recordMeter, setLog } from './probe-acts';
import { recordMass, tip, warm, weigh, wipeBoat } from './solid-acts';
import { TAP_OPENINGS } from '../../instruments/tap';
import { PLACES } from './probe-state';

const trial = trialNumber;

const on = actsOn<Bench>();

/** All that is done at this bench: of each act its fields, what it does, and its line in the teacher’s log. */
const ACTS = {
  fill: on({ toMl: z.number() }, fill, (act) => `filled the burette to ${fixed(act.toMl, 2)} mL`),
  pour: on({ on: z.boolean() }, pour, (act) =>
    act.on ? 'began to pour titrant into the burette' : 'put the titrant bottle down',
  ),
  tap: on({ opening: z.enum(TAP_OPENINGS) }, tap, (act) =>
    act.opening === 'closed' ? 'closed the tap' : `opened the tap: ${act.opening}`,
  ),
  drop: on({}, drop, 'let one drop fall'),
  partDrop: on({}, partDrop, 'rinsed in part of a drop'),
  letIn: on({ ml: z.number() }, letIn, (act) => `let in ${Number(act.ml.toFixed(3))} mL`),
  wipeTip: on({}, wipeTip, 'wiped the tip'),
  emptyBurette: on({}, (bench) => done(advance(emptied(bench), TAKES_S.empty)), 'emptied the burette'),
  rinseBurette: on(
    { with: z.enum(['water', 'titrant']) },
    rinseBurette,
    (act) => `rinsed the burette with ${act.with}`,
  ),
  drawSample: on({}, drawSampleUp, 'filled the pipette'),
  drainPipette: on({}, drainPipette, 'let the pipette run into the flask'),
  takeFlask: on({}, takeFlask, 'took a flask with its portion'),
  drainToVolumetric: on({}, drainToVolumetric, 'let the pipette run into the volumetric flask'),
  makeUp: on({}, makeUp, 'made the volumetric flask up to its mark'),
  drawDiluted: on({}, drawDiluted, 'filled the pipette from the volumetric flask'),
  emptyVolumetric: on({}, emptyVolumetric, 'emptied the volumetric flask'),
  runOut: on({}, runOut, 'let the tip run full over the waste'),
  funnelOut: on({}, funnelOut, 'took the funnel out'),
  indicator: on(
    { id: z.string().max(40), drops: z.number() },
    indicator,
    (act) => `added ${short(act.drops)} × ${nameById(act.id) ?? act.id}`,
  ),
  water: on({ ml: z.number() }, rinseWalls, (act) => `added ${short(act.ml)} mL of water`),
  swirl: on({}, swirl, 'swirled the flask'),
  keepSwirling: on(
    { on: z.boolean() },
    (bench, act) => done({ ...bench, flask: { ...bench.flask, keepSwirling: act.on, swirlUntilS: 0 } }),
    (act) => (act.on ? 'kept swirling' : 'stopped swirling'),
  ),
  emptyFlask: on({}, emptyFlask, 'emptied and rinsed the flask'),
  record: on(
    { trial, which: z.enum(WHICH), text: z.string().max(60) },
    record,
    (act) => `read the burette, trial ${act.trial} ${act.which}: ${act.text}`,
  ),
  weigh: on({ g: z.number() }, weigh, (act) => `weighed out about ${act.g} g`),
  tip: on({}, tip, 'tipped the solid into the flask'),
  wipeBoat: on({}, wipeBoat, 'wiped the boat clean'),
  recordMass: on({ which: z.enum(WEIGHED) }, recordMass, (act) =>
    act.which === 'boat' ? 'recorded the mass on the boat' : 'recorded what is left on the boat',
  ),
  warm: on({}, warm, 'warmed the flask and cooled it'),
  recordMeter: on({}, recordMeter, 'recorded what the meter shows'),
  probe: on(
    { place: z.enum(PLACES) },
    (bench, act) => moveProbe(bench, act.place),
    (act) => (act.place === 'stand' ? 'put the probe on its stand' : `put the probe into the ${act.place}`),
  ),
  calibrate: on({}, calibrate, 'calibrated the probe'),
  log: on(
    { every: z.number(), by: z.enum(['mL', 's']) },
    (bench, act) => setLog(bench, act.every, act.by),
    (act) => (act.every === 0 ? 'ended the log' : `logged every ${act.every} ${act.by}`),
  ),
};
export type OwnAct = ActOf<typeof ACTS>;

/** All that can be done at this bench. */
export type Act = OwnAct | CommonAct;

/** Acts that bring titrant into the burette or let it out elsewhere than into the flask, with the tap closed. */
const BRINGS: readonly OwnAct['kind'][] = ['fill', 'emptyBurette', 'rinseBurette', 'runOut'];

/** One act at the bench: what it leaves, or the sentence that says why it cannot be done. */
function perform(bench: Bench, act: OwnAct): Outcome<Bench> {
  const outcome = own.perform(bench, act);
  if ('refusal' in outcome || !BRINGS.includes(act.kind)) return outcome;
  const { burette } = outcome.bench;
  const filledInMl = burette.filledInMl + burette.liquid.volumeMl - bench.burette.liquid.volumeMl;
  return { ...outcome, bench: { ...outcome.bench, burette: { ...burette, filledInMl } } };
}

const own = actTable<Bench, typeof ACTS>(ACTS);

export const OWN_ACTS = { ...own, perform };
