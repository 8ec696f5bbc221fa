import type { Act } from '@core/practicals/solutions/acts';
import type { View } from '@core/practicals/solutions/view';
import { isOwn, numberOf, type Thing } from './things';

/** What is meant when one thing is put to another, or Enter is pressed on one: an act, or an amount that is still to be typed. */

export const WAYS = ['pipette', 'cylinder', 'eye'] as const;
export type Way = (typeof WAYS)[number];
export type Amounts = 'drops' | 'ml' | 'portion' | 'label' | 'nm';

/** How liquids are moved now, and from where. */
export interface Hand {
  from: number;
  way: Way;
}

/** Something of one vessel into another, by the amount that stands in its field. */
export interface Give {
  amount: 'drops' | 'ml' | 'portion' | 'nm';
  from: number;
  to: number;
}
export type Move = Act | Give;

/** By drops where the vessel is a well, or nothing else is there; else with what measures. */
export const giveMove = (view: View, from: number, to: number, measures: boolean): Give => ({
  amount: !measures || view.vessels[to - 1]?.type === 'well' ? 'drops' : 'ml',
  from,
  to,
});

/** What putting one thing to another does; null where the two have nothing to do with each other. */
export function putMove(thing: Thing, to: Thing, view: View, measures: boolean): Move | null {
  const [one, other] = [numberOf(thing), numberOf(to)];
  if (thing === 'paper' && other !== null) return { kind: 'paper', vessel: other };
  if ((thing === 'thermometer' || thing === 'probe') && other !== null)
    return { kind: 'dip', tool: thing, into: other };
  if (thing === 'colorimeter' && other !== null) return { kind: 'fillCuvette', vessel: other };
  if (one === null) return null;
  if (other !== null) return giveMove(view, one, other, measures);
  if (to === 'colorimeter') return { kind: 'fillCuvette', vessel: one };
  if (to === 'analysis') return { amount: 'portion', from: one, to: one };
  if (to === 'thermometer' || to === 'probe') return { kind: 'dip', tool: to, into: one };
  const seen = view.vessels[one - 1];
  return seen && (to === 'tube' || to === 'beaker') && isOwn(seen) && seen.type !== 'well'
    ? { kind: 'away', vessel: one }
    : null;
}

/** What is done with a thing most; null where it is only looked at. */
export function enterMove(thing: Thing, view: View, hand: Hand, measures: boolean): Move | null {
  const number = numberOf(thing);
  if (number !== null) {
    const seen = view.vessels[number - 1];
    return seen && isOwn(seen) && number !== hand.from ? giveMove(view, hand.from, number, measures) : null;
  }
  if (thing === 'tube' || thing === 'beaker') return { kind: 'take', type: thing };
  if (thing === 'plate') return { kind: 'rinsePlate' };
  if ((thing === 'thermometer' || thing === 'probe') && view.into[thing] !== null) return recordTool(thing, view);
  if (thing === 'colorimeter') return recordAbsorbance(view);
  return null;
}

/** Records what the colorimeter shows, of the mixture that is in its cuvette. */
export const recordAbsorbance = (view: View): Act => ({
  kind: 'recordAbsorbance',
  trial: view.colorimeter?.trial ?? view.recordableTrial,
});

/** Records what a tool shows: in a bottle it is the temperature before. */
export function recordTool(tool: 'thermometer' | 'probe', view: View): Act {
  const into = view.into[tool];
  const type = into === null ? undefined : view.vessels[into - 1]?.type;
  const which = tool === 'probe' ? 'pH' : type === 'bottle' || type === 'water' ? 'T0' : 'T';
  const trial =
    into === null || which === 'T0' ? view.recordableTrial : (view.vessels[into - 1]?.trial ?? view.recordableTrial);
  return { kind: 'recordTool', trial, which };
}
