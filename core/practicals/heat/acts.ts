import type { Outcome } from '../contract';
import { weighedAnew } from './reading/balance-acts';
import { broughtUp } from './going-on/flow';
import type { Bench } from './bench';
import { HAND_ACTS } from './hand-acts';
import { ready } from './freezing/ready';
import { actsOn, actTable, type ActOf } from '../act-table';
import type { CommonAct } from '../common-acts';

/** What can be done at the bench of heat: by hand, and a whole series that a practised hand takes. */

const ACTS = {
  ...HAND_ACTS,
  ready: actsOn<Bench>()({}, (bench): Outcome<Bench> => ready(bench, perform), 'took the ready series'),
};
export type OwnAct = ActOf<typeof ACTS>;

/** All that can be done at this bench. */
export type Act = OwnAct | CommonAct;

const own = actTable<Bench, typeof ACTS>(ACTS);

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
function perform(bench: Bench, act: OwnAct): Outcome<Bench> {
  const present = { ...broughtUp(bench), actedS: bench.timeS };
  const outcome = own.perform(present, act);
  if ('refusal' in outcome) return outcome;
  return { ...outcome, bench: weighedAnew(present, outcome.bench, CHANGES_LOAD.has(act.kind)) };
}

export const OWN_ACTS = { ...own, perform };
