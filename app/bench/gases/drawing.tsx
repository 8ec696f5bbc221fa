import { CARRIED, TYPED, type Plan, type Slot } from '@core/practicals/gases/plan';
import type { View } from '@core/practicals/gases/view';
import { ownReading } from '@core/notebook/readings';
import type { Drawing } from '../drawing';
import { notRecorded } from '../not-recorded';
import { still } from '../still';
import { BenchPage } from './bench-page';
import { Loupe } from './loupe';
import { Scene } from './scene';
import { told } from './tell';

const slotOf = (view: View, slot: Slot) => view.slots.find((one) => one.slot === slot);
const isThere = (view: View, slot: Slot) => {
  const due = slotOf(view, slot)?.due ?? view.trial;
  return ownReading(view, due, slot) !== undefined;
};

/** The reading that a moved plunger takes away: one of volume and pressure, where the other is recorded at that place. */
function halfPoint(view: View): Slot[] {
  const at = (slot: Slot) => ownReading(view, view.trial, slot) !== undefined;
  if (slotOf(view, 'vol')?.due !== view.trial) return [];
  if (at('vol') === at('p')) return [];
  return at('vol') ? ['p'] : ['vol'];
}

/** What injecting, or emptying the syringe, takes away: the readings before it. */
function losingByNeedle(view: View, act: { kind: string }): Slot[] {
  if (act.kind === 'inject') return ['v0', 'm1'];
  const began = isThere(view, 'm2') && slotOf(view, 'm2')?.due === view.trial;
  return act.kind === 'empty' && began ? ['v1', 't'] : [];
}

/** What hanging a strip, or a fresh tube, takes away. */
function losingByTube(view: View, act: { kind: string }): Slot[] {
  if (act.kind === 'hang') return ['v0', 'm'];
  return act.kind === 'empty' && view.tube?.strip === 'tube' ? ['v1', 'h', 't'] : [];
}

/** What opening the tube takes away: the point that is half read; what is enclosed is another amount then. */
function losing(view: View, act: { kind: string; [key: string]: unknown }): Slot[] {
  if (view.injector) return losingByNeedle(view, act);
  if (view.tube) return losingByTube(view, act);
  if (view.joint === 'off' || !slotOf(view, 'vol')) return [];
  if (act.kind === 'plunger' || (act.kind === 'joint' && act['to'] === 'off')) return halfPoint(view);
  return [];
}

/** The drawing of the practicals of gases. */
export const GASES: Drawing<View, Plan> = {
  Page: BenchPage,
  Still: still(Scene),
  Loupe,
  loupeCaption: 'Where the plunger stood then, or what the gauge showed.',
  due: (view) => {
    const here = view.slots.map(({ slot }) => slot as Slot).filter((slot) => !CARRIED.includes(slot));
    const typed = here.filter((slot) => TYPED.includes(slot));
    const next = typed.find((slot) => !isThere(view, slot)) ?? typed[0] ?? here[0] ?? 'p';
    return { trial: slotOf(view, next)?.due ?? view.trial, slot: next };
  },
  doubts: (view, act) => notRecorded(view, losing(view, act)),
  told,
  keys: [
    ['R', 'records what the selected instrument shows; at a syringe, goes to the field for what you read'],
    ['G', 'records the gauge'],
    ['O', 'tube on lightly, home, off'],
    ['T', 'turns the plunger that is looked at'],
    ['H, C', 'hot plate up and down'],
    ['S', 'stoppers the injector’s needle, or takes the stopper off'],
    ['B, Z', 'injector or strip on the balance and off; tares'],
  ],
};
