import { heatVesselOf, type HeatVesselId } from '@core/databook/heat-vessels';
import { hasBalance, isByEye, type Plan } from '@core/practicals/heat/plan';
import type { Stuff } from '@core/practicals/heat/bodies';
import type { View } from '@core/practicals/heat/view';
import { isOneOf, whichOf, type OneOf } from '../one-of';

/** Everything on the bench and the tray that can be taken, pressed or looked at. */
export type Thing =
  | 'cup'
  | 'beaker'
  | 'bath'
  | 'block'
  | 'balance'
  | 'dish'
  | 'boat'
  | 'stand'
  | 'log'
  | 'jar'
  | 'sealed'
  | 'pellet'
  | 'press'
  | 'oxygen'
  | 'switch'
  | 'wire'
  | 'hanger'
  | 'mat'
  | 'tube'
  | 'cold'
  | 'substance'
  | 'second'
  | OneOf<'of', Stuff>
  | OneOf<'lamp', number>
  | OneOf<'piece', number>
  | OneOf<'thermo', number>
  | OneOf<'bottle', number>
  | OneOf<'fresh', HeatVesselId>;

export const isPiece = isOneOf('piece');
export const isThermo = isOneOf('thermo');
export const isBottle = isOneOf('bottle');
export const isFresh = isOneOf('fresh');
export const isLamp = isOneOf('lamp');
export const isStuff = isOneOf('of');
export const numberIn = (thing: Thing): number => Number(whichOf(thing as OneOf<string, number>));
export const typeIn = (thing: Thing): HeatVesselId => whichOf(thing as OneOf<string, string>) as HeatVesselId;

export const stuffIn = (thing: Thing): Stuff => whichOf(thing as OneOf<string, string>) as Stuff;

const counted = (count: number) => Array.from({ length: count }, (_, i) => i + 1);

/** What lies on the tray: bottles, the jar, fresh cups. */
export const onTray = (labels: Plan): Thing[] => [
  ...counted(labels.bottles.length).map((n): Thing => `bottle:${n}`),
  ...(labels.tube ? (['substance', 'second'] as const).slice(0, labels.tube.jars.length) : []),
  ...(labels.salt ? (['jar'] as const) : []),
  ...(labels.sealed ? (['of:standard', 'of:unknown', 'wire'] as const) : []),
  // There is but one pail, and no cup beside a test tube.
  ...(labels.sealed || labels.tube ? [] : labels.vessels.map((id): Thing => `fresh:${id}`)),
];

/** Everything, in the order in which arrows go from one to the next. */
export const thingsOf = (labels: Plan): Thing[] => [
  ...(labels.tube ? (['tube'] as const) : (['cup'] as const)),
  ...(labels.beaker ? (['beaker'] as const) : []),
  ...(labels.bath ? (['bath'] as const) : []),
  ...(labels.tube ? (['cold'] as const) : []),
  ...(labels.block ? (['block'] as const) : []),
  ...counted(labels.metal?.pieces ?? 0).map((n): Thing => `piece:${n}`),
  ...(labels.metal ? (['dish'] as const) : []),
  ...(labels.salt ? (['boat'] as const) : []),
  ...(labels.sealed ? (['sealed', 'pellet', 'press', 'oxygen', 'switch'] as const) : []),
  ...counted(labels.lamps.length).map((n): Thing => `lamp:${n}`),
  ...(labels.lamps.length > 0 ? (['hanger', 'mat'] as const) : []),
  ...counted(labels.thermometers).map((n): Thing => `thermo:${n}`),
  'stand',
  ...(isByEye(labels) ? [] : (['log'] as const)),
  ...(hasBalance(labels) ? (['balance'] as const) : []),
  ...onTray(labels),
];

export function thingName(thing: Thing, view: View, labels: Plan): string {
  if (isPiece(thing)) return `piece ${numberIn(thing)} of the metal`;
  if (isThermo(thing)) return labels.thermometers === 1 ? 'thermometer' : `thermometer ${numberIn(thing)}`;
  if (isBottle(thing)) return labels.bottles[numberIn(thing) - 1] ?? 'bottle';
  if (isFresh(thing)) return `fresh ${heatVesselOf(typeIn(thing)).name}`;
  if (isLamp(thing)) return labels.lamps[numberIn(thing) - 1] ?? 'lamp';
  if (isStuff(thing)) return stuffIn(thing) === 'standard' ? 'jar of the standard' : 'jar of the unknown';
  switch (thing) {
    case 'tube':
      return 'test tube';
    case 'cold':
      return 'cold bath';
    case 'substance':
    case 'second':
      return `jar of ${labels.tube?.jars[thing === 'substance' ? 0 : 1] ?? ''}`;
    case 'sealed':
      return 'sealed vessel';
    case 'pellet':
      return view.sealed?.pellet ? `pellet of the ${view.sealed.pellet.of}` : 'dish for a pellet';
    case 'press':
      return 'pellet press';
    case 'oxygen':
      return 'oxygen bottle';
    case 'switch':
      return 'firing switch';
    case 'wire':
      return 'reel of fuse wire';
    case 'hanger':
      return `stand of the ${heatVesselOf(view.vessels.cup.type).name}`;
    case 'mat':
      return 'mat of the lamps';
    case 'cup':
      return heatVesselOf(view.vessels.cup.type).name;
    case 'beaker':
      return 'beaker for warm water';
    case 'bath':
      return 'hot bath';
    case 'block':
      return 'dry block';
    case 'dish':
      return 'dish of the metal';
    case 'boat':
      return 'weighing boat';
    case 'stand':
      return 'stand of the thermometers';
    case 'jar':
      return labels.tube ? 'jar of the unknown' : 'jar of salt';
    case 'log':
      return 'logger';
    case 'balance':
      return 'balance';
  }
}
