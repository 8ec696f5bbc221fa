import type { View } from '@core/practicals/spheres/view';
import { SLOT_IDS, SLOTS } from '@core/practicals/spheres/plan';
import { joined, toldReadings } from '../telling';

/** What can be selected. */
export const THINGS = ['vessel', 'jacket', 'hole', 'counters'] as const;
export type Thing = (typeof THINGS)[number];

export const thingName = (thing: Thing): string =>
  ({ vessel: 'vessel', jacket: 'jacket', hole: 'hole in the right wall', counters: 'counters' })[thing];

function stateOf(thing: Thing, view: View): string {
  switch (thing) {
    case 'vessel':
      return view.running ? 'they are flying' : 'they stand still';
    case 'jacket':
      return view.jacketK === null ? 'none is around the vessel' : `of ${view.jacketK} K`;
    case 'hole':
      return view.isOpen ? 'open' : 'shut';
    case 'counters': {
      const { counters } = view;
      if (!counters) return 'show nothing';
      const there = SLOT_IDS.filter((slot) => counters[slot] !== undefined);
      return joined(there.map((slot) => `${SLOTS[slot].short} ${counters[slot]} ${SLOTS[slot].unit}`.trim()));
    }
  }
}

/** Which of both gases it is filled with, where it is not both. */
const withWhat = ({ of }: View): string =>
  ({ both: '', helium: ', with helium alone', other: ', with the other gas alone' })[of];

/** A thing with what it holds and shows, for who hears it. */
export const heard = (thing: Thing, view: View): string => joined([thingName(thing), stateOf(thing, view)]);

/** What changed between two views, in sentences. What moves is told when it has come to rest. */
export function told(before: View, after: View): string[] {
  const sentences = toldReadings(before, after);
  if (before.fills !== after.fills) sentences.push(`The vessel is filled afresh${withWhat(after)}.`);
  if (before.jacketK !== after.jacketK)
    sentences.push(
      after.jacketK === null ? 'The jacket is off.' : `A jacket of ${after.jacketK} K is around the vessel.`,
    );
  if (before.isOpen !== after.isOpen) sentences.push(after.isOpen ? 'The hole is open.' : 'The hole is shut.');
  if (before.running && !after.running) sentences.push(`They stand still. Counters: ${stateOf('counters', after)}.`);
  return sentences;
}
