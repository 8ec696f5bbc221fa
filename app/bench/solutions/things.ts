import type { Plan } from '@core/practicals/solutions/plan';
import type { Dipped } from '@core/practicals/solutions/bench';
import { PAPER_NAMES } from '@core/practicals/solutions/solids/paper-kinds';
import type { SeenVessel, View } from '@core/practicals/solutions/view';
import { isOneOf, whichOf, type OneOf } from '../one-of';

/** What a solid is filtered, dried and weighed with. */
const STATIONS = ['balance', 'funnel', 'hotPlate', 'oven', 'desiccator', 'jar', 'boat'] as const;
export type Station = (typeof STATIONS)[number];

/** Everything on the bench and the tray that can be taken, pressed or looked at; vessels by their number. */
export type Thing =
  | OneOf<'vessel', number>
  | OneOf<'sheet', number>
  | Station
  | 'cellulose'
  | 'glass'
  | Dipped
  | 'analysis'
  | 'colorimeter'
  | 'paper'
  | 'tube'
  | 'beaker'
  | 'plate';

export const vesselThing = (number: number): Thing => `vessel:${number}`;
export const sheetThing = (number: number): Thing => `sheet:${number}`;
const isSheet = isOneOf('sheet');
/** The number of a paper that something is filtered with; null of anything else. */
export const sheetOf = (thing: Thing): number | null => (isSheet(thing) ? Number(whichOf(thing)) : null);
const isVessel = isOneOf('vessel');
/** The number of a vessel; null of anything else. */
export const numberOf = (thing: Thing): number | null => (isVessel(thing) ? Number(whichOf(thing)) : null);

/** What of that stands on this bench. */
export function stationsOf({ balance, papers, hotPlate, desiccator, jar }: Plan): Station[] {
  const here: Record<Station, boolean> = {
    balance: balance !== null,
    funnel: papers.length > 0,
    hotPlate,
    oven: papers.length > 0,
    desiccator: desiccator && papers.length > 0,
    jar: jar !== null,
    boat: jar !== null,
  };
  return STATIONS.filter((one) => here[one]);
}

/** What lies on the tray. */
export const onTray = (labels: Plan): Thing[] => [
  ...labels.papers,
  ...(labels.vessels.includes('tube') ? (['tube'] as const) : []),
  ...(labels.vessels.includes('beaker') ? (['beaker'] as const) : []),
  ...(labels.paper ? (['paper'] as const) : []),
  ...(labels.spotPlate ? (['plate'] as const) : []),
];

/** Instruments that stand on the bench. */
export const instruments = (labels: Plan): Thing[] => [
  ...(labels.thermometer ? (['thermometer'] as const) : []),
  ...(labels.probe ? (['probe'] as const) : []),
  ...(labels.cell ? (['cell'] as const) : []),
  ...(labels.colorimeter ? (['colorimeter'] as const) : []),
  ...(labels.slip ? (['analysis'] as const) : []),
];

/** Everything, in the order in which arrows go from one to the next. */
export const thingsOf = (view: View, labels: Plan): Thing[] => [
  ...view.vessels.flatMap(({ isAway }, i) => (isAway ? [] : [vesselThing(i + 1)])),
  ...view.papers.flatMap(({ at }, i) => (at === 'away' ? [] : [sheetThing(i + 1)])),
  ...stationsOf(labels),
  ...instruments(labels),
  ...onTray(labels),
];

const NAMES: Record<Exclude<Thing, OneOf<'vessel' | 'sheet', number>>, string> = {
  balance: 'balance',
  funnel: 'funnel and wash bottle',
  hotPlate: 'hot plate',
  oven: 'drying oven',
  desiccator: 'desiccator',
  jar: 'jar',
  boat: 'weighing boat',
  cellulose: 'filter paper',
  glass: 'glass-fibre paper',
  thermometer: 'precision thermometer',
  probe: 'pH meter',
  cell: 'conductivity cell',
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

export const sheetName = ({ papers }: Pick<View, 'papers'>, number: number): string =>
  `${PAPER_NAMES[papers[number - 1]?.of ?? 'cellulose']} ${number}`;

const DIPPED: readonly string[] = ['thermometer', 'probe', 'cell'] satisfies Dipped[];
/** Whether a thing is a tool that is dipped in. */
export const isDipped = (thing: Thing): thing is Dipped => DIPPED.includes(thing);

export const thingName = (thing: Thing, view: View): string => {
  const number = numberOf(thing);
  if (number !== null) return labelledName(view, number);
  const sheet = sheetOf(thing);
  return sheet === null ? NAMES[thing as keyof typeof NAMES] : sheetName(view, sheet);
};

export const isOwn = ({ type }: SeenVessel): boolean => type !== 'bottle' && type !== 'water';

/** Numbers of bottles and water: what can be poured from without thinking. */
export const sourcesOf = ({ vessels }: View): number[] =>
  vessels.flatMap(({ type }, i) => (type === 'bottle' || type === 'water' ? [i + 1] : []));
