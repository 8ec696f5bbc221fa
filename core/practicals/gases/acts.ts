import { z } from 'zod';
import type { Outcome } from '../contract';
import { trialNumber, type CommonAct } from '../common-acts';
import { heat, ice } from './bath-acts';
import type { Bench } from './bench';
import { cut, freshOne, hang, lift, weighStrip } from './collected-acts';
import { joint, plunger, put, turn } from './gas-acts';
import { draw, emptied, inject, stopper, tare, weigh } from './injector-acts';
import { JOINTS, PLACES, SLOT_IDS } from './plan';
import { record, recordShown } from './reading-acts';

export const actSchema = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('joint'), to: z.enum(JOINTS) }),
  z.object({ kind: z.literal('plunger'), ml: z.number() }),
  z.object({ kind: z.literal('put'), at: z.enum(PLACES) }),
  z.object({ kind: z.literal('turn'), n: z.number().int().min(1).max(4) }),
  z.object({ kind: z.literal('cut'), mg: z.number() }),
  z.object({ kind: z.literal('hang') }),
  z.object({ kind: z.literal('lift'), mm: z.number() }),
  z.object({ kind: z.literal('draw'), ml: z.number() }),
  z.object({ kind: z.literal('stopper'), on: z.boolean() }),
  z.object({ kind: z.literal('weigh'), on: z.boolean() }),
  z.object({ kind: z.literal('tare') }),
  z.object({ kind: z.literal('inject'), ml: z.number() }),
  z.object({ kind: z.literal('empty') }),
  z.object({ kind: z.literal('heat'), to: z.number() }),
  z.object({ kind: z.literal('ice'), g: z.number() }),
  z.object({ kind: z.literal('record'), trial: trialNumber, which: z.enum(SLOT_IDS), text: z.string().max(60) }),
  z.object({ kind: z.literal('recordShown'), trial: trialNumber, which: z.enum(SLOT_IDS) }),
]);

export type OwnAct = z.infer<typeof actSchema>;
/** All that can be done at this bench. */
export type Act = OwnAct | CommonAct;
export type Of<K extends OwnAct['kind']> = Extract<OwnAct, { kind: K }>;

/** One act at the bench: what it leaves, or the sentence that says why it cannot be done. */
export function perform(bench: Bench, act: OwnAct): Outcome<Bench> {
  switch (act.kind) {
    case 'joint':
      return joint(bench, act);
    case 'plunger':
      return plunger(bench, act);
    case 'put':
      return put(bench, act);
    case 'turn':
      return turn(bench, act);
    case 'cut':
      return cut(bench, act);
    case 'hang':
      return hang(bench);
    case 'lift':
      return lift(bench, act);
    case 'draw':
      return draw(bench, act);
    case 'stopper':
      return stopper(bench, act);
    case 'weigh':
      return bench.collected ? weighStrip(bench, act.on) : weigh(bench, act);
    case 'tare':
      return tare(bench);
    case 'inject':
      return inject(bench, act);
    case 'empty':
      return bench.collected ? freshOne(bench) : emptied(bench);
    case 'heat':
      return heat(bench, act);
    case 'ice':
      return ice(bench, act);
    case 'record':
      return record(bench, act);
    case 'recordShown':
      return recordShown(bench, act);
  }
}
