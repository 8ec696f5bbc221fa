import type { Act } from '@core/practicals/gases/acts';
import type { Slot } from '@core/practicals/gases/plan';
import type { View } from '@core/practicals/gases/view';
import type { AmountVerb } from '../use-amounts';
import type { Thing } from './things';
import { placeOf } from './things';

/** What is meant when one thing is put to another, or Enter is pressed on one: an act, or an amount that is still to be typed. */

export type Amount = 'plunger' | 'heat' | 'ice' | 'draw' | 'inject' | 'cut' | 'lift';
type Move = Act | Amount | null;

export const AMOUNTS: Record<Amount, AmountVerb<Act>> = {
  plunger: { verb: 'Set the plunger to', unit: 'mL', act: (ml) => ({ kind: 'plunger', ml }) },
  heat: { verb: 'Set the hot plate to', unit: 'of 10', act: (to) => ({ kind: 'heat', to }) },
  ice: { verb: 'Put ice in', unit: 'g', act: (g) => ({ kind: 'ice', g }) },
  draw: { verb: 'Draw liquid up', unit: 'mL', act: (ml) => ({ kind: 'draw', ml }) },
  cut: { verb: 'Cut a strip of about', unit: 'mg', act: (mg) => ({ kind: 'cut', mg }) },
  lift: { verb: 'Set its top, over the water, to', unit: 'mm', act: (mm) => ({ kind: 'lift', mm }) },
  inject: { verb: 'Inject into the syringe', unit: 'mL', act: (ml) => ({ kind: 'inject', ml }) },
};

/** What putting one thing to another does; null where the two have nothing to do with each other. */
export function putMove(thing: Thing, to: Thing): Move {
  if (thing === 'ice') return to === 'bath' ? 'ice' : null;
  if (thing === 'injector') {
    if (to === 'balance') return { kind: 'weigh', on: true };
    if (placeOf(to) !== null || to === 'bath') return 'inject';
    return to === 'bottle' ? 'draw' : null;
  }
  if (thing === 'roll') return to === 'strip' || to === 'balance' ? 'cut' : null;
  if (thing === 'fresh') return to === 'gastube' ? { kind: 'empty' } : null;
  if (thing === 'strip') {
    if (to === 'balance') return { kind: 'weigh', on: true };
    return to === 'gastube' ? { kind: 'hang' } : null;
  }
  if (thing === 'bottle') return to === 'injector' ? 'draw' : null;
  if (thing === 'bulb') {
    if (to === 'bath' || to === 'plate') return { kind: 'put', at: 'bath' };
    return { kind: 'put', at: to === 'jar' ? 'jar' : 'air' };
  }
  if (thing === 'tube' || thing === 'gauge')
    return to === 'plunger' || to === 'bulb' ? { kind: 'joint', to: 'loose' } : null;
  return null;
}

/** On lightly, home, off, and so on. */
const NEXT_JOINT = { off: 'loose', loose: 'home', home: 'off' } as const;
export const nextJoint = ({ joint }: View): Act => ({ kind: 'joint', to: NEXT_JOINT[joint] });
const NEXT_PLACE = { air: 'bath', bath: 'jar', jar: 'air' } as const;

/** The weighing that is due: before anything was injected, and after; null where the injector is not on the balance. */
export const dueMass = ({ injector, tube }: View): Slot | null =>
  tube !== null ? (tube.strip === 'pan' ? 'm' : null) : injector?.at !== 'pan' ? null : injector.hasShot ? 'm2' : 'm1';

/** The reading that a thing shows by itself, of those that are taken here. */
export function shownSlot(thing: Thing, view: View): Slot | null {
  const here = (slot: Slot) => (view.slots.some((one) => one.slot === slot) ? slot : null);
  switch (thing) {
    case 'barometer':
      return here('bar');
    case 'room':
      return here('room');
    case 'thermometer':
    case 'bath':
      return here('t');
    case 'strip':
      return here('m');
    case 'balance':
    case 'injector':
      return dueMass(view);
    case 'gauge':
    case 'bulb':
    case 'tube':
      if (view.joint === 'off') return here('open');
      return view.at === 'jar' ? here('pj') : here('p');
    default:
      return null;
  }
}

/** Recording what an instrument shows, in the trial that it is due in. */
export const recordMove = (slot: Slot, view: View): Act => ({
  kind: 'recordShown',
  trial: view.slots.find((one) => one.slot === slot)?.due ?? view.trial,
  which: slot,
});

/** What is done with a thing most; null where it is only looked at. */
export function enterMove(thing: Thing, view: View): Move {
  const place = placeOf(thing);
  if (thing === 'plunger' || thing === 'ice') return thing;
  if (thing === 'bottle') return 'draw';
  if (thing === 'roll') return 'cut';
  if (thing === 'gastube') return 'lift';
  if (thing === 'fresh') return { kind: 'empty' };
  if (thing === 'strip') return view.tube?.strip === 'mat' ? { kind: 'weigh', on: true } : { kind: 'hang' };
  if (thing === 'injector') return { kind: 'weigh', on: view.injector?.at !== 'pan' };
  if (thing === 'balance' && dueMass(view) === null) return { kind: 'tare' };
  if (place !== null) return { kind: 'turn', n: place + 1 };
  if (thing === 'tube') return nextJoint(view);
  if (thing === 'plate') return 'heat';
  if (thing === 'bath') return 'ice';
  if (thing === 'bulb') return { kind: 'put', at: NEXT_PLACE[view.at] };
  if (thing === 'jar') return { kind: 'put', at: 'jar' };
  const slot = shownSlot(thing, view);
  return slot && recordMove(slot, view);
}
