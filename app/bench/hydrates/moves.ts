import type { Act } from '@core/practicals/hydrates/acts';
import type { Place } from '@core/practicals/hydrates/bench';
import type { View } from '@core/practicals/hydrates/view';
import type { AmountVerb } from '../use-amounts';
import type { Thing } from './things';

/** What is meant when one thing is put to another, or Enter is pressed on one: an act, or an amount that is still to be typed. */

export type Amount = 'gas' | 'air' | 'fill';
type Move = Act | Amount | null;

export const AMOUNTS: Record<Amount, AmountVerb<Act>> = {
  gas: { verb: 'Set the gas to', unit: 'of 10', act: (to) => ({ kind: 'gas', to }) },
  air: { verb: 'Set the air to', unit: 'of 10', act: (to) => ({ kind: 'air', to }) },
  fill: { verb: 'Put salt in, about', unit: 'g', act: (g) => ({ kind: 'fill', g }) },
};

const PLACE_OF: Partial<Record<Thing, Place>> = {
  mat: 'mat',
  triangle: 'triangle',
  gauze: 'gauze',
  desiccator: 'desiccator',
  balance: 'pan',
};

export type Grip = 'tongs' | 'hand';

/** What putting one thing to another does; null where the two have nothing to do with each other. */
export function putMove(thing: Thing, to: Thing, by: Grip): Move {
  const place = PLACE_OF[to];
  if (thing === 'crucible') return place ? { kind: 'put', at: place, by } : null;
  if (thing === 'lid')
    return to === 'crucible' ? { kind: 'lid', to: 'on' } : to === 'mat' ? { kind: 'lid', to: 'off' } : null;
  if (thing === 'jar') return to === 'crucible' ? 'fill' : null;
  if (thing === 'fresh') return to === 'crucible' || to === 'mat' ? { kind: 'fresh' } : null;
  if (thing === 'lighter') return to === 'burner' ? { kind: 'light' } : null;
  if (thing === 'burner')
    return to === 'triangle' || to === 'gauze' ? { kind: 'slide', under: true } : { kind: 'slide', under: false };
  return null;
}

const NEXT_LID = { on: 'ajar', ajar: 'off', off: 'on' } as const;
export const nextLid = ({ crucible }: View): Act => ({ kind: 'lid', to: NEXT_LID[crucible.lid] });

/** Lights the burner, or shuts its gas. */
export const fireMove = ({ flame }: View): Act => (flame === 'none' ? { kind: 'light' } : { kind: 'gas', to: 0 });

/** What is done with a thing most; null where it is only looked at. */
export function enterMove(thing: Thing, view: View, by: Grip): Move {
  const place = PLACE_OF[thing];
  if (thing === 'balance' && view.crucible.at === 'pan') return { kind: 'tare' };
  if (place) return { kind: 'put', at: place, by };
  switch (thing) {
    case 'lid':
      return nextLid(view);
    case 'burner':
      return 'gas';
    case 'lighter':
      return { kind: 'light' };
    case 'jar':
      return 'fill';
    case 'fresh':
      return { kind: 'fresh' };
    case 'crucible':
      return { kind: 'put', at: view.crucible.at === 'pan' ? 'mat' : 'pan', by };
    default:
      return null;
  }
}
