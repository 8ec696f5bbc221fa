import type { Plan } from '@core/practicals/solutions/plan';
import type { SeenVessel, View } from '@core/practicals/solutions/view';
import { isOneOf, whichOf, type OneOf } from '../one-of';

/** Everything on the bench and the tray that can be taken, pressed or looked at; vessels by their number. */
export type Thing =
  | OneOf<'vessel', number>
  | 'thermometer'
  | 'probe'
  | 'analysis'
  | 'colorimeter'
  | 'paper'
  | 'tube'
  | 'beaker'
  | 'plate';

export const vesselThing = (number: number): Thing => `vessel:${number}`;
const isVessel = isOneOf('vessel');
/** The number of a vessel; null of anything else. */
export const numberOf = (thing: Thing): number | null => (isVessel(thing) ? Number(whichOf(thing)) : null);

/** What lies on the tray. */
export const onTray = (labels: Plan): Thing[] => [
  ...(labels.vessels.includes('tube') ? (['tube'] as const) : []),
  ...(labels.vessels.includes('beaker') ? (['beaker'] as const) : []),
  ...(labels.paper ? (['paper'] as const) : []),
  ...(labels.spotPlate ? (['plate'] as const) : []),
];

/** Instruments that stand on the bench. */
export const instruments = (labels: Plan): Thing[] => [
  ...(labels.thermometer ? (['thermometer'] as const) : []),
  ...(labels.probe ? (['probe'] as const) : []),
  ...(labels.colorimeter ? (['colorimeter'] as const) : []),
  ...(labels.slip ? (['analysis'] as const) : []),
];

/** Everything, in the order in which arrows go from one to the next. */
export const thingsOf = (view: View, labels: Plan): Thing[] => [
  ...view.vessels.flatMap(({ isAway }, i) => (isAway ? [] : [vesselThing(i + 1)])),
  ...instruments(labels),
  ...onTray(labels),
];

const NAMES: Record<Exclude<Thing, OneOf<'vessel', number>>, string> = {
  thermometer: 'precision thermometer',
  probe: 'pH meter',
  analysis: 'analysis',
  colorimeter: 'colorimeter',
  paper: 'indicator paper',
  tube: 'clean test tube',
  beaker: 'clean beaker',
  plate: 'rinse the spot plate',
};

/** What of its kind a vessel is: bottle A, well 3, tube 2. */
export function vesselName({ vessels }: Pick<View, 'vessels'>, number: number): string {
  const vessel = vessels[number - 1];
  if (!vessel) return 'nothing';
  const place = vessels.slice(0, number).filter(({ type }) => type === vessel.type).length;
  if (vessel.type === 'bottle') return `bottle ${String.fromCharCode(64 + place)}`;
  return vessel.type === 'water' ? 'water' : `${vessel.type} ${place}`;
}

/** The same with what is written on it. */
export const labelledName = (view: Pick<View, 'vessels'>, number: number): string => {
  const label = view.vessels[number - 1]?.label ?? '';
  return label === '' ? vesselName(view, number) : `${vesselName(view, number)} “${label}”`;
};

export const thingName = (thing: Thing, view: View): string => {
  const number = numberOf(thing);
  return number === null ? NAMES[thing as keyof typeof NAMES] : labelledName(view, number);
};

export const isOwn = ({ type }: SeenVessel): boolean => type !== 'bottle' && type !== 'water';

/** Numbers of bottles and water: what can be poured from without thinking. */
export const sourcesOf = ({ vessels }: View): number[] =>
  vessels.flatMap(({ type }, i) => (type === 'bottle' || type === 'water' ? [i + 1] : []));
