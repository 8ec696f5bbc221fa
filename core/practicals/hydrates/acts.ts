import { actTable, type ActOf } from '../act-table';
import type { CommonAct } from '../common-acts';
import type { Outcome } from '../contract';
import type { Bench } from './bench';
import { BURNER_ACTS } from './burner-acts';
import { CRUCIBLE_ACTS } from './crucible-acts';
import { broughtUp } from './flow';
import { WEIGHING_ACTS, weighedAnew } from './weighing';

const ACTS = { ...CRUCIBLE_ACTS, ...BURNER_ACTS, ...WEIGHING_ACTS };
export type OwnAct = ActOf<typeof ACTS>;
/** All that can be done at this bench. */
export type Act = OwnAct | CommonAct;

const own = actTable<Bench, typeof ACTS>(ACTS);

/** Gas that flows unlit for so long is said, s. */
const LEAKS_S = 20;
const LEAKS = 'Gas has come out without a flame. Shut it, and air the room before you light it.';

/** One act at the bench: what it leaves, or the sentence that says why it cannot be done. */
function perform(bench: Bench, act: OwnAct): Outcome<Bench> {
  const present = broughtUp(bench);
  const outcome = own.perform(present, act);
  if ('refusal' in outcome) return outcome;
  const now = weighedAnew(present, outcome.bench);
  const { leaksSinceS } = now.burner;
  const isTold = leaksSinceS !== null && now.timeS - leaksSinceS > LEAKS_S && !now.isLeakTold;
  return isTold ? { bench: { ...now, isLeakTold: true }, note: LEAKS } : { ...outcome, bench: now };
}

export const OWN_ACTS = { ...own, perform };
