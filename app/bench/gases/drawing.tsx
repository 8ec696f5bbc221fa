import { CARRIED, TYPED, type Plan, type Slot } from '@core/practicals/gases/plan';
import type { View } from '@core/practicals/gases/view';
import { ownReading } from '@core/notebook/readings';
import type { Drawing } from '../drawings';
import { BenchPage } from './bench-page';
import { Loupe } from './loupe';
import { Scene } from './scene';
import { told } from './tell';

const nothing = () => {};

const slotOf = (view: View, slot: Slot) => view.slots.find((one) => one.slot === slot);
const isThere = (view: View, slot: Slot) => {
  const due = slotOf(view, slot)?.due ?? view.trial;
  return ownReading(view, due, slot) !== undefined;
};

/** The reading that a moved plunger takes away: one of volume and pressure, where the other is recorded at that place. */
function halfPoint(view: View): Slot | null {
  const at = (slot: Slot) => ownReading(view, view.trial, slot) !== undefined;
  if (slotOf(view, 'vol')?.due !== view.trial) return null;
  if (at('vol') === at('p')) return null;
  return at('vol') ? 'p' : 'vol';
}

/** What injecting, or emptying the syringe, takes away: the readings before it. */
function losingByNeedle(view: View, act: { kind: string }): Slot | null {
  const missing = (slots: readonly Slot[]) => slots.find((slot) => !isThere(view, slot)) ?? null;
  if (act.kind === 'inject') return missing(['v0', 'm1']);
  const began = isThere(view, 'm2') && slotOf(view, 'm2')?.due === view.trial;
  return act.kind === 'empty' && began ? missing(['v1', 't']) : null;
}

/** What hanging a strip, or a fresh tube, takes away. */
function losingByTube(view: View, act: { kind: string }): Slot | null {
  const missing = (slots: readonly Slot[]) => slots.find((slot) => !isThere(view, slot)) ?? null;
  if (act.kind === 'hang') return missing(['v0', 'm']);
  return act.kind === 'empty' && view.tube?.strip === 'tube' ? missing(['v1', 'h', 't']) : null;
}

/** What opening the tube takes away: the point that is half read; what is enclosed is another amount then. */
function losing(view: View, act: { kind: string; [key: string]: unknown }): Slot | null {
  if (view.injector) return losingByNeedle(view, act);
  if (view.tube) return losingByTube(view, act);
  if (view.joint === 'off' || !slotOf(view, 'vol')) return null;
  if (act.kind === 'plunger' || (act.kind === 'joint' && act['to'] === 'off')) return halfPoint(view);
  return null;
}

/** The drawing of the practicals of gases. */
export const GASES: Drawing<View, Plan> = {
  Page: BenchPage,
  Still: ({ view, labels }) => (
    <Scene
      view={{ ...view, running: false }}
      labels={labels}
      selected={null}
      onSelect={nothing}
      onEnter={nothing}
      lift={() => nothing}
    />
  ),
  Loupe,
  loupeCaption: 'Where the plunger stood then, or what the gauge showed.',
  due: (view) => {
    const here = view.slots.map(({ slot }) => slot as Slot).filter((slot) => !CARRIED.includes(slot));
    const typed = here.filter((slot) => TYPED.includes(slot));
    const next = typed.find((slot) => !isThere(view, slot)) ?? typed[0] ?? here[0] ?? 'p';
    return { trial: slotOf(view, next)?.due ?? view.trial, slot: next };
  },
  doubts: (view, act) => {
    const slot = losing(view, act);
    const entry = slot && slotOf(view, slot);
    if (!entry) return null;
    return {
      sentence: `The ${entry.label} of trial ${view.trial} is not recorded yet, and cannot be had back then.`,
      verb: 'Go on',
    };
  },
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
