import { short } from '@core/analysis/quantity';
import { SLOTS, volumeOf, type Plan, type Slot } from '@core/practicals/cylinder/plan';
import { DRAWN_RADIUS_NM } from '@core/practicals/film';
import type { View } from '@core/practicals/cylinder/view';
import { joined, toldReadings } from '../telling';

/** What can be selected. */
export const THINGS = ['cylinder', 'piston', 'jacket', 'valve', 'counters'] as const;
export type Thing = (typeof THINGS)[number];

export const thingName = (thing: Thing): string => thing;

/** Edge and height of the cylinder, and how large its particles are drawn, nm: their middles have the room that the plan says. */
export function roomIn({ filling }: Pick<View, 'filling'>, { edgeNm, topNm }: Plan) {
  const radius = filling?.kinds[0]?.radiusNm ?? DRAWN_RADIUS_NM;
  return { edge: edgeNm + 2 * radius, top: topNm + 2 * radius, radius };
}

const counterWords = ({ counters, uncertainties }: Pick<View, 'counters' | 'uncertainties'>, slot: Slot): string => {
  const sure = uncertainties[slot];
  return `${SLOTS[slot].short} ${counters[slot]} ${SLOTS[slot].unit}`.trim() + (sure ? `, uncertain by ${sure}` : '');
};

function stateOf(thing: Thing, view: View, labels: Plan): string {
  const { fitted, counters } = view;
  switch (thing) {
    case 'cylinder':
      return view.running ? 'they are flying' : 'they stand still';
    case 'piston':
      return fitted.pinNm === null
        ? `a load of ${short(fitted.loadKPa ?? 0)} kPa presses on it, the pin is out`
        : `pinned at ${short(Math.round(volumeOf(labels, fitted.pinNm)))} nm³`;
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
export const heard = (thing: Thing, view: View, labels: Plan): string =>
  joined([thingName(thing), stateOf(thing, view, labels)]);

/** What changed between two views, in sentences. What moves is told when it has come to rest. */
export function told(before: View, after: View, labels: Plan): string[] {
  const sentences = toldReadings(before, after);
  const [was, is] = [before.fitted, after.fitted];
  if (before.fills !== after.fills) sentences.push('The cylinder is filled afresh.');
  if (was.jacketK !== is.jacketK)
    sentences.push(
      is.jacketK === null ? 'The jacket is off.' : `A jacket of ${short(is.jacketK)} K is around the cylinder.`,
    );
  if (was.pinNm !== is.pinNm || was.loadKPa !== is.loadKPa)
    sentences.push(`Piston: ${stateOf('piston', after, labels)}.`);
  if (was.count !== is.count) sentences.push(`There are ${is.count} of them now.`);
  if (before.running && !after.running)
    sentences.push(`They stand still. Counters: ${stateOf('counters', after, labels)}.`);
  if (before.since !== after.since && after.since !== '') sentences.push(after.since);
  return sentences;
}
