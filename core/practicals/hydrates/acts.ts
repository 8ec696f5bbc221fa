import { z } from 'zod';
import type { Outcome } from '../contract';
import { trialNumber, type CommonAct } from '../common-acts';
import { LIDS, PLACES, type Bench } from './bench';
import { air, gas, light, slide } from './burner-acts';
import { fill, fresh, lid, put } from './crucible-acts';
import { broughtUp } from './flow';
import { SLOT_IDS } from './plan';
import { recordMass, tare, weighedAnew } from './weighing';

export const actSchema = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('put'), at: z.enum(PLACES), by: z.enum(['tongs', 'hand']) }),
  z.object({ kind: z.literal('lid'), to: z.enum(LIDS) }),
  z.object({ kind: z.literal('fill'), g: z.number() }),
  z.object({ kind: z.literal('fresh') }),
  z.object({ kind: z.literal('gas'), to: z.number() }),
  z.object({ kind: z.literal('air'), to: z.number() }),
  z.object({ kind: z.literal('light') }),
  z.object({ kind: z.literal('slide'), under: z.boolean() }),
  z.object({ kind: z.literal('tare') }),
  z.object({ kind: z.literal('recordMass'), trial: trialNumber, which: z.enum(SLOT_IDS) }),
]);

export type OwnAct = z.infer<typeof actSchema>;
/** All that can be done at this bench. */
export type Act = OwnAct | CommonAct;
export type Of<K extends OwnAct['kind']> = Extract<OwnAct, { kind: K }>;

function performed(bench: Bench, act: OwnAct): Outcome<Bench> {
  switch (act.kind) {
    case 'put':
      return put(bench, act);
    case 'lid':
      return lid(bench, act);
    case 'fill':
      return fill(bench, act);
    case 'fresh':
      return fresh(bench);
    case 'gas':
      return gas(bench, act);
    case 'air':
      return air(bench, act);
    case 'light':
      return light(bench);
    case 'slide':
      return slide(bench, act);
    case 'tare':
      return tare(bench);
    case 'recordMass':
      return recordMass(bench, act);
  }
}

/** Gas that flows unlit for so long is said, s. */
const LEAKS_S = 20;
const LEAKS = 'Gas has been flowing without a flame: shut it, and air the room before you light it.';

/** One act at the bench: what it leaves, or the sentence that says why it cannot be done. */
export function perform(bench: Bench, act: OwnAct): Outcome<Bench> {
  const present = broughtUp(bench);
  const outcome = performed(present, act);
  if ('refusal' in outcome) return outcome;
  const now = weighedAnew(present, outcome.bench);
  const { leaksSinceS } = now.burner;
  const isTold = leaksSinceS !== null && now.timeS - leaksSinceS > LEAKS_S && !now.isLeakTold;
  return isTold ? { bench: { ...now, isLeakTold: true }, note: LEAKS } : { ...outcome, bench: now };
}
