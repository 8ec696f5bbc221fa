import type { Plan } from '@core/practicals/hydrates/plan';
import type { SeenCrucible, SeenRing, View } from '@core/practicals/hydrates/view';
import { capital } from '@app/ui/capital';
import { joined, near, toldReadings } from '../telling';
import { thingName, type Thing } from './things';

/** The bench of hydrates in words: what a thing holds and shows, and what changed. As fine as the drawing, no finer. */

const PLACES = {
  mat: 'on the mat', triangle: 'on the triangle', gauze: 'on the gauze', desiccator: 'in the desiccator', pan: 'on the balance',
} as const; // prettier-ignore
const LIDS = { on: 'its lid on', ajar: 'its lid ajar', off: 'its lid off' } as const;
const FLAMES = {
  none: 'no flame',
  yellow: 'a yellow flame',
  blue: 'a blue flame',
  roaring: 'a roaring flame',
} as const;

/** The colours of one ring, from the one that has come last. */
const ringWords = (ring: SeenRing): string =>
  [...ring]
    .reverse()
    .map(({ look, tenths }) => (tenths > 8 || ring.length === 1 ? look : `${look} in ${tenths} tenths`))
    .slice(0, 2)
    .join(' and ');

/** How much lies there, as one says it. */
const layer = (fill: number) =>
  fill === 0 ? '' : fill <= 8 ? 'a thin layer' : fill <= 18 ? 'a third full' : 'half full';

/** What is seen from above: from the rim inwards, each colour once. */
export function colours({ lid, rings, fill }: SeenCrucible): string {
  if (lid === 'on') return fill > 0 ? 'its lid hides what is in it' : '';
  const words = rings.map(ringWords).filter(Boolean);
  if (words.length === 0) return 'empty';
  const runs = words.filter((word, i) => word !== words[i - 1]);
  return runs.length === 1
    ? `${runs[0]} throughout`
    : `${runs[0]} at the rim, ${[...runs.slice(1, -1), `${runs.at(-1)} in the middle`].join(', ')}`;
}

function crucibleState(seen: SeenCrucible): string {
  if (seen.isCracked) return joined([PLACES[seen.at], 'cracked']);
  return joined([
    PLACES[seen.at],
    LIDS[seen.lid],
    colours(seen),
    seen.lid !== 'on' && layer(seen.fill),
    seen.steams && (seen.lid === 'off' ? 'vapour over it' : 'mist on its lid'),
    seen.spits && 'it spits',
    seen.spat && 'some has spat beside it',
    seen.soot > 0 && (seen.soot > 1 ? 'black with soot below' : 'a little soot below'),
    seen.glows && 'glowing red',
  ]);
}

/** What a thing holds and shows; empty where there is nothing to say. */
function stateOf(thing: Thing, view: View): string {
  switch (thing) {
    case 'crucible':
      return crucibleState(view.crucible);
    case 'lid':
      return LIDS[view.crucible.lid].replace('its lid ', '');
    case 'burner':
      return joined([
        FLAMES[view.flame],
        `gas ${near(view.burner.gas, 0.5)}, air ${near(view.burner.air, 0.5)}`,
        view.leaks && 'gas flows without a flame',
        view.burner.isUnder ? 'under the tripod' : 'aside',
      ]);
    case 'balance':
      return view.balance === 'overload' ? 'shows overload' : `shows ${view.balance.replace('\u2212', 'minus ')} g`;
    default:
      return '';
  }
}

/** A thing with its name and what it holds and shows, for who hears it. */
export const heard = (thing: Thing, view: View, labels: Plan): string =>
  joined([thingName(thing, view, labels), stateOf(thing, view)]);

/** What changed between two views, each a sentence. What moves is told when it has come to rest. */
export function told(before: View, after: View, labels: Plan): string[] {
  const sentences = toldReadings(before, after);
  for (const thing of ['crucible', 'burner'] as const) {
    const now = stateOf(thing, after);
    if (stateOf(thing, before) !== now) sentences.push(capital(`${thingName(thing, after, labels)}: ${now}.`));
  }
  if (before.balance !== after.balance) sentences.push(`The balance: ${stateOf('balance', after)}.`);
  return sentences;
}
