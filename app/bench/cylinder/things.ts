import { short } from '@core/analysis/quantity';
import { SLOTS, type Slot } from '@core/practicals/cylinder/plan';
import type { View } from '@core/practicals/cylinder/view';
import { joined, toldReadings } from '../telling';

/** What can be selected. */
export const THINGS = ['cylinder', 'piston', 'jacket', 'valve', 'counters'] as const;
export type Thing = (typeof THINGS)[number];

export const thingName = (thing: Thing): string => thing;

/** The volume under the piston, by its height, nm³. */
export const volumeIn = ({ filling, heightNm }: Pick<View, 'filling' | 'heightNm'>, atNm = heightNm): number => {
  const edge = filling.box[0] - 2 * (filling.kinds[0]?.radiusNm ?? 0);
  return edge * edge * atNm;
};

const counterWords = ({ counters, uncertainties }: Pick<View, 'counters' | 'uncertainties'>, slot: Slot): string => {
  const sure = uncertainties[slot];
  return `${SLOTS[slot].short} ${counters[slot]} ${SLOTS[slot].unit}`.trim() + (sure ? `, uncertain by ${sure}` : '');
};

export function stateOf(thing: Thing, view: View): string {
  const { fitted, counters } = view;
  switch (thing) {
    case 'cylinder':
      return view.running ? 'they are flying' : 'they stand still';
    case 'piston':
      return fitted.pinNm === null
        ? `a load of ${short(fitted.loadKPa ?? 0)} kPa presses on it, the pin is out`
        : `pinned at ${short(Math.round(volumeIn(view, fitted.pinNm)))} nm³`;
    case 'jacket':
      return fitted.jacketK === null ? 'none is around the cylinder' : `of ${short(fitted.jacketK)} K`;
    case 'valve':
      return `shut, ${fitted.count} in the cylinder`;
    case 'counters': {
      const there = view.slots.map(({ slot }) => slot as Slot).filter((slot) => counters[slot] !== undefined);
      return there.length === 0 ? 'show nothing' : joined(there.map((slot) => counterWords(view, slot)));
    }
  }
}

/** A thing with what it holds and shows, for who hears it. */
export const heard = (thing: Thing, view: View): string => joined([thingName(thing), stateOf(thing, view)]);

/** What changed between two views, in sentences. What moves is told when it has come to rest. */
export function told(before: View, after: View): string[] {
  const sentences = toldReadings(before, after);
  const [was, is] = [before.fitted, after.fitted];
  if (before.fills !== after.fills) sentences.push('The cylinder is filled afresh.');
  if (was.jacketK !== is.jacketK)
    sentences.push(
      is.jacketK === null ? 'The jacket is off.' : `A jacket of ${short(is.jacketK)} K is around the cylinder.`,
    );
  if (was.pinNm !== is.pinNm || was.loadKPa !== is.loadKPa) sentences.push(`Piston: ${stateOf('piston', after)}.`);
  if (was.count !== is.count) sentences.push(`There are ${is.count} of them now.`);
  if (before.running && !after.running) sentences.push(`They stand still. Counters: ${stateOf('counters', after)}.`);
  if (before.since !== after.since && after.since !== '') sentences.push(after.since);
  return sentences;
}
