import { vesselOf } from '@core/databook/vessels';
import { isOneOf, whichOf, type OneOf } from '../one-of';
import type { Plan } from '@core/practicals/measuring/plan';
import type { SeenVessel, View } from '@core/practicals/measuring/view';

/** What can be selected: on the bench from left to right, then on the tray. */
export type Thing =
  | OneOf<'vessel', number>
  | OneOf<'lot', number>
  | OneOf<'new', string>
  | 'tap'
  | 'balance'
  | 'wash'
  | 'dropper'
  | 'pipette'
  | 'ruler'
  | 'calliper'
  | 'thermometer'
  | 'sinker';

export const isVessel = isOneOf('vessel');
export const isLot = isOneOf('lot');
export const isNew = isOneOf('new');
/** The number of a vessel or of a dish. */
export const numberIn = (thing: OneOf<'vessel' | 'lot', number>): number => Number(whichOf(thing));
/** The kind of a clean vessel on the tray. */
export const typeIn = (thing: OneOf<'new', string>): string => whichOf(thing);

export const vesselsOnBench = (view: View): SeenVessel[] => view.vessels.filter((vessel) => !vessel.away);

/** Whether a vessel has something to read: a scale, or what is engraved on it. */
export const hasScale = (view: View, number: number): boolean => {
  const vessel = view.vessels[number - 1];
  return (
    vessel !== undefined && !vessel.away && (vesselOf(vessel.type).divisionMl !== null || vessel.engraved !== null)
  );
};

/** Whether what is looked at is read with the eye level with a surface. */
export const isEyeNeeded = (view: View): boolean =>
  view.look.at === 'vessel' && hasScale(view, view.look.n) && view.vessels[view.look.n - 1]?.engraved === null;

export function thingsOf(view: View, labels: Plan): Thing[] {
  const tray: (Thing | false)[] = [
    labels.bottles.length + labels.vessels.length > 0 && 'dropper',
    labels.water && 'wash',
    labels.pipettes && 'pipette',
    ...labels.tools,
    labels.thermometer && 'thermometer',
    labels.sinker && 'sinker',
    ...labels.vessels.map((type): Thing => `new:${type}`),
  ];
  return [
    ...(labels.water ? (['tap'] as const) : []),
    ...(labels.balance ? (['balance'] as const) : []),
    ...vesselsOnBench(view).map(({ number }): Thing => `vessel:${number}`),
    ...view.lots.map((_, i): Thing => `lot:${i + 1}`),
    ...tray.filter((thing) => thing !== false),
  ];
}

/** "25 mL cylinder 3", "bottle A": what a vessel is called on this bench. */
export function vesselName(vessel: SeenVessel): string {
  if (vessel.type === 'supply') return vessel.name.length > 1 ? `bottle of ${vessel.name}` : `bottle ${vessel.name}`;
  return `${vesselOf(vessel.type).name.replace('measuring ', '')} ${vessel.number}${vessel.name ? ` “${vessel.name}”` : ''}`;
}

export function thingName(thing: Thing, view: View): string {
  if (isVessel(thing)) {
    const vessel = view.vessels[numberIn(thing) - 1];
    return vessel ? vesselName(vessel) : 'vessel';
  }
  if (isLot(thing)) {
    const lot = view.lots[numberIn(thing) - 1];
    return lot ? `${lot.letter}: ${lot.shape}, ${lot.look}` : 'dish';
  }
  if (isNew(thing)) return `clean ${vesselOf(typeIn(thing)).name.replace('measuring ', '')}`;
  const names: Record<string, string> = {
    tap: 'water tap',
    pipette: 'pipettes',
    calliper: 'vernier calliper',
  };
  return names[thing] ?? thing;
}

/** A thing as it stands in a sentence: "the balance", "A", "a clean 25 mL cylinder". */
export function inSentence(thing: Thing, view: View): string {
  if (isLot(thing)) return view.lots[numberIn(thing) - 1]?.letter ?? 'the dish';
  return `${isNew(thing) ? 'a' : 'the'} ${thingName(thing, view)}`;
}
