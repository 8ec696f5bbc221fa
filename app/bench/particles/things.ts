import { SLOT_KEYS, SLOTS, type Slot } from '@core/practicals/particles/plan';
import type { View } from '@core/practicals/particles/view';
import { toldReadings } from '../telling';

/** What can be selected: the vessel, then the gauges. */
export type Thing = 'vessel' | Slot;
export const THINGS: readonly Thing[] = ['vessel', ...SLOT_KEYS];

export const thingName = (thing: Thing): string => (thing === 'vessel' ? 'vessel' : `${SLOTS[thing].short} gauge`);

/** A thing with what it holds and shows, for who hears it. */
export function heard(thing: Thing, view: View): string {
  if (thing === 'vessel')
    return view.flight === null
      ? 'vessel, empty'
      : `vessel, with a particle that has hit its walls ${view.flight.hits} times`;
  return `${thingName(thing)}, ${view.gauges ? `shows ${view.gauges[thing]} ${SLOTS[thing].unit}` : 'shows nothing'}`;
}

/** What changed between two views, in sentences. */
export function told(before: View, after: View): string[] {
  const sentences = toldReadings(before, after);
  if (!before.flight && after.flight) sentences.push('A particle is in the vessel.');
  const { gauges } = after;
  if (gauges && gauges.E !== before.gauges?.E)
    sentences.push(
      `The gauges show ${SLOT_KEYS.map((slot) => `${SLOTS[slot].short} ${gauges[slot]} ${SLOTS[slot].unit}`).join(', ')}.`,
    );
  return sentences;
}
