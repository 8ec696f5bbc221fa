import type { Plan } from '@core/practicals/gases/plan';
import type { SeenBath, SeenInjector, SeenTube, View } from '@core/practicals/gases/view';
import { capital } from '@app/ui/capital';
import { joined, near, toldReadings } from '../telling';
import { placeOf, syringeThing, thingName, type Thing } from './things';

/** The bench of gases in words: what a thing holds and shows, and what changed. As fine as the drawing, no finer. */

const number = (text: string) => text.replace('\u2212', 'minus ');
const JOINTS = { off: 'off, open to the room', loose: 'pushed on lightly', home: 'pushed home' } as const;
const PLACES = { air: 'on its stand', bath: 'in the bath', jar: 'in the cold jar' } as const;

const bathState = ({ ice, boils }: SeenBath): string =>
  joined([ice === 0 ? '' : ice > 12 ? 'much ice in it' : 'some ice in it', boils && 'boils']) || 'water';

const STRIPS = {
  none: 'none is cut',
  mat: 'on the mat',
  pan: 'on the balance',
  tube: 'in the tube',
} as const;

/** How high the water stands, as an eye tells across a jar. */
function levelWords({ heightMm }: SeenTube): string {
  if (Math.abs(heightMm) < 2) return 'the water stands as high inside as outside';
  return `the water stands near ${near(Math.abs(heightMm), 5)} mm ${heightMm > 0 ? 'higher' : 'lower'} inside`;
}

const tubeState = (view: View, tube: SeenTube): string =>
  joined([`gas near ${near(view.plungers[0] ?? 0, 1)} mL`, levelWords(tube), tube.fizzes && 'it fizzes']);

const injectorState = ({ at, isStoppered, ml }: SeenInjector): string =>
  joined([
    ml === 0 ? 'empty' : `holds near ${near(ml, 0.1)} mL`,
    isStoppered ? 'its needle stoppered' : 'its needle open',
    at === 'pan' ? 'on the balance' : 'on the mat',
  ]);

/** What a thing holds and shows; empty where there is nothing to say. */
function stateOf(thing: Thing, view: View, labels: Plan): string {
  const place = placeOf(thing);
  if (view.tube && thing === 'gastube') return tubeState(view, view.tube);
  if (place !== null) return `plunger near ${near(view.plungers[place] ?? 0, 1)} mL`;
  switch (thing) {
    case 'tube':
      return JOINTS[view.joint];
    case 'gauge':
      return `shows ${number(view.gauge ?? '')} ${labels.unit}`;
    case 'barometer':
      return `shows ${view.barometer} ${labels.unit}`;
    case 'room':
      return `shows ${view.room} °C`;
    case 'bulb':
      return PLACES[view.at];
    case 'bath':
      return view.bath ? bathState(view.bath) : '';
    case 'thermometer':
      return `shows ${number(view.bath?.shown ?? view.tube?.water ?? '')} °C`;
    case 'ruler':
      return view.tube ? levelWords(view.tube) : '';
    case 'strip':
      return view.tube ? STRIPS[view.tube.strip ?? 'none'] : '';
    case 'injector':
      return view.injector ? injectorState(view.injector) : '';
    case 'balance':
      return `shows ${number(view.balance ?? '')} g`;
    case 'plate':
      return view.bath && view.bath.heat > 0 ? `set to ${near(view.bath.heat, 0.5)} of 10` : 'off';
    default:
      return '';
  }
}

/** A thing with its name and what it holds and shows, for who hears it. */
export const heard = (thing: Thing, view: View, labels: Plan): string =>
  joined([thingName(thing, labels), stateOf(thing, view, labels)]);

/** What changed between two views, each a sentence. What moves is told when it has come to rest. */
export function told(before: View, after: View, labels: Plan): string[] {
  const sentences = toldReadings(before, after);
  const changing: Thing[] = [
    'tube',
    'bulb',
    'plate',
    'bath',
    ...(labels.gear === 'syringe' ? (['plunger'] as const) : labels.syringes.map((_, i) => syringeThing(i))),
    'gauge',
    'gastube',
    'strip',
    'injector',
    'balance',
    'thermometer',
  ];
  const isHere = (thing: Thing): boolean => {
    if (thing === 'tube' || thing === 'gauge') return after.gauge !== null;
    if (thing === 'bulb') return labels.gear === 'bulb';
    if (thing === 'gastube' || thing === 'strip') return after.tube !== null;
    if (thing === 'injector') return after.injector !== null;
    if (thing === 'balance') return after.balance !== null;
    if (placeOf(thing) !== null) return after.tube === null;
    return after.bath !== null;
  };
  for (const thing of changing.filter(isHere)) {
    const now = stateOf(thing, after, labels);
    if (stateOf(thing, before, labels) !== now) sentences.push(capital(`${thingName(thing, labels)}: ${now}.`));
  }
  return sentences;
}
