import { done } from '../hands';
import { z } from 'zod';
import { type Outcome } from '../contract';
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
import { PLACES } from './probe';

const trial = trialNumber;

export const actSchema = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('fill'), toMl: z.number() }),
  z.object({ kind: z.literal('pour'), on: z.boolean() }),
  z.object({ kind: z.literal('tap'), opening: z.enum(TAP_OPENINGS) }),
  z.object({ kind: z.literal('drop') }),
  z.object({ kind: z.literal('partDrop') }),
  z.object({ kind: z.literal('letIn'), ml: z.number() }),
  z.object({ kind: z.literal('wipeTip') }),
  z.object({ kind: z.literal('emptyBurette') }),
  z.object({ kind: z.literal('rinseBurette'), with: z.enum(['water', 'titrant']) }),
  z.object({ kind: z.literal('drawSample') }),
  z.object({ kind: z.literal('drainPipette') }),
  z.object({ kind: z.literal('takeFlask') }),
  z.object({ kind: z.literal('drainToVolumetric') }),
  z.object({ kind: z.literal('makeUp') }),
  z.object({ kind: z.literal('drawDiluted') }),
  z.object({ kind: z.literal('emptyVolumetric') }),
  z.object({ kind: z.literal('runOut') }),
  z.object({ kind: z.literal('funnelOut') }),
  z.object({ kind: z.literal('indicator'), id: z.string().max(40), drops: z.number() }),
  z.object({ kind: z.literal('water'), ml: z.number() }),
  z.object({ kind: z.literal('swirl') }),
  z.object({ kind: z.literal('keepSwirling'), on: z.boolean() }),
  z.object({ kind: z.literal('emptyFlask') }),
  z.object({ kind: z.literal('record'), trial, which: z.enum(WHICH), text: z.string().max(60) }),
  z.object({ kind: z.literal('weigh'), g: z.number() }),
  z.object({ kind: z.literal('tip') }),
  z.object({ kind: z.literal('wipeBoat') }),
  z.object({ kind: z.literal('recordMass'), which: z.enum(WEIGHED) }),
  z.object({ kind: z.literal('warm') }),
  z.object({ kind: z.literal('recordMeter') }),
  z.object({ kind: z.literal('probe'), place: z.enum(PLACES) }),
  z.object({ kind: z.literal('calibrate') }),
  z.object({ kind: z.literal('log'), every: z.number(), by: z.enum(['mL', 's']) }),
]);

export type OwnAct = z.infer<typeof actSchema>;
/** All that can be done at this bench. */
export type Act = OwnAct | CommonAct;

/** Acts that bring titrant into the burette or let it out elsewhere than into the flask, with the tap closed. */
const BRINGS: readonly OwnAct['kind'][] = ['fill', 'emptyBurette', 'rinseBurette', 'runOut'];

/** One act at the bench: what it leaves, or the sentence that says why it cannot be done. */
export function perform(bench: Bench, act: OwnAct): Outcome<Bench> {
  const outcome = performed(bench, act);
  if ('refusal' in outcome || !BRINGS.includes(act.kind)) return outcome;
  const { burette } = outcome.bench;
  const filledInMl = burette.filledInMl + burette.liquid.volumeMl - bench.burette.liquid.volumeMl;
  return { ...outcome, bench: { ...outcome.bench, burette: { ...burette, filledInMl } } };
}

function performed(bench: Bench, act: OwnAct): Outcome<Bench> {
  switch (act.kind) {
    case 'fill':
      return fill(bench, act);
    case 'pour':
      return pour(bench, act);
    case 'tap':
      return tap(bench, act);
    case 'drop':
      return drop(bench);
    case 'partDrop':
      return partDrop(bench);
    case 'letIn':
      return letIn(bench, act);
    case 'wipeTip':
      return wipeTip(bench);
    case 'emptyBurette':
      return done(advance(emptied(bench), TAKES_S.empty));
    case 'rinseBurette':
      return rinseBurette(bench, act);
    case 'drawSample':
      return drawSampleUp(bench);
    case 'drainPipette':
      return drainPipette(bench);
    case 'takeFlask':
      return takeFlask(bench);
    case 'drainToVolumetric':
      return drainToVolumetric(bench);
    case 'makeUp':
      return makeUp(bench);
    case 'drawDiluted':
      return drawDiluted(bench);
    case 'emptyVolumetric':
      return emptyVolumetric(bench);
    case 'runOut':
      return runOut(bench);
    case 'funnelOut':
      return funnelOut(bench);
    case 'indicator':
      return indicator(bench, act);
    case 'water':
      return rinseWalls(bench, act);
    case 'swirl':
      return swirl(bench);
    case 'keepSwirling':
      return done({ ...bench, flask: { ...bench.flask, keepSwirling: act.on, swirlUntilS: 0 } });
    case 'emptyFlask':
      return emptyFlask(bench);
    case 'record':
      return record(bench, act);
    case 'weigh':
      return weigh(bench, act);
    case 'tip':
      return tip(bench);
    case 'wipeBoat':
      return wipeBoat(bench);
    case 'recordMass':
      return recordMass(bench, act);
    case 'warm':
      return warm(bench);
    case 'recordMeter':
      return recordMeter(bench);
    case 'probe':
      return moveProbe(bench, act.place);
    case 'calibrate':
      return calibrate(bench);
    case 'log':
      return setLog(bench, act.every, act.by);
  }
}
