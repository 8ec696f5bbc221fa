import type { Act } from '@core/practicals/solutions/acts';
import type { Dipped } from '@core/practicals/solutions/bench';
import type { View } from '@core/practicals/solutions/view';
import { isDipped, isOwn, numberOf, sheetOf, type Thing } from './things';

/** What is meant when one thing is put to another, or Enter is pressed on one: an act, or an amount that is still to be typed. */

export const WAYS = ['pipette', 'cylinder', 'eye'] as const;
export type Way = (typeof WAYS)[number];

/** How liquids are moved now, and from where. */
export interface Hand {
  from: number;
  way: Way;
}

export type Amount = 'drops' | 'ml' | 'portion' | 'nm' | 'wash' | 'rinse' | 'oven' | 'scoop';

/** Something of one vessel into another, by the amount that stands in its field. */
export interface Give {
  amount: Amount;
  from: number;
  to: number;
}
type Move = Act | Give;

/** Of an amount that needs no vessel. */
const giveOf = (amount: 'wash' | 'oven' | 'scoop'): Give => ({ amount, from: 0, to: 0 });

/** Where a station is a place for a paper, and for a vessel. */
const SHEET_AT = { funnel: 'funnel', oven: 'oven', desiccator: 'desiccator', balance: 'pan' } as const;
const VESSEL_AT = { hotPlate: 'plate', balance: 'pan' } as const;
const placeIn = <Places extends Readonly<Record<string, string>>>(
  places: Places,
  thing: string,
): Places[keyof Places] | undefined => (thing in places ? places[thing as keyof Places] : undefined);

/** What putting a thing to what a solid is weighed with does; null where neither has to do with it. */
function stationMove(thing: Thing, to: Thing, view: View): Move | null {
  const sheet = sheetOf(thing);
  if (sheet !== null) {
    if (to === 'cellulose' || to === 'glass') return { kind: 'throwPaper', paper: sheet };
    const at = placeIn(SHEET_AT, to) ?? (sheetOf(to) === null ? undefined : ('mat' as const));
    return at ? { kind: 'placePaper', paper: sheet, at } : null;
  }
  const vessel = numberOf(thing);
  if (thing === 'boat') {
    if (to === 'balance') return { kind: 'placeBoat', at: 'pan' };
    const into = numberOf(to);
    return into === null ? null : { kind: 'tip', to: into };
  }
  if (thing === 'jar' && to === 'boat') return giveOf('scoop');
  if (vessel === null) return null;
  if (to === 'funnel') {
    const isUnder = view.vessels.some(({ at }) => at === 'funnel');
    return isUnder ? { kind: 'filter', from: vessel } : { kind: 'placeVessel', vessel, at: 'funnel' };
  }
  // What is poured on a paper in the funnel is filtered.
  const onto = sheetOf(to);
  if (onto !== null) return view.papers[onto - 1]?.at === 'funnel' ? { kind: 'filter', from: vessel } : null;
  const at = placeIn(VESSEL_AT, to);
  return at ? { kind: 'placeVessel', vessel, at } : null;
}

/** By drops where the vessel is a well, or nothing else is there; else with what measures. */
export const giveMove = (view: View, from: number, to: number, measures: boolean): Give => ({
  amount: !measures || view.vessels[to - 1]?.type === 'well' ? 'drops' : 'ml',
  from,
  to,
});

/** What putting one thing to another does; null where the two have nothing to do with each other. */
export function putMove(thing: Thing, to: Thing, view: View, measures: boolean): Move | null {
  const [one, other] = [numberOf(thing), numberOf(to)];
  if (thing === 'paper' && other !== null) return { kind: 'paper', vessel: other };
  if (isDipped(thing) && other !== null) return { kind: 'dip', tool: thing, into: other };
  if (thing === 'colorimeter' && other !== null) return { kind: 'fillCuvette', vessel: other };
  const station = stationMove(thing, to, view);
  if (station) return station;
  if (one === null) return null;
  if (other !== null) return giveMove(view, one, other, measures);
  if (to === 'colorimeter') return { kind: 'fillCuvette', vessel: one };
  if (to === 'analysis') return { amount: 'portion', from: one, to: one };
  if (isDipped(to)) return { kind: 'dip', tool: to, into: one };
  const seen = view.vessels[one - 1];
  return seen && (to === 'tube' || to === 'beaker') && isOwn(seen) && seen.type !== 'well'
    ? { kind: 'away', vessel: one }
    : null;
}

/** What is done with a thing most; null where it is only looked at. */
export function enterMove(thing: Thing, view: View, hand: Hand, measures: boolean): Move | null {
  const number = numberOf(thing);
  if (number !== null) {
    const seen = view.vessels[number - 1];
    return seen && isOwn(seen) && number !== hand.from ? giveMove(view, hand.from, number, measures) : null;
  }
  if (thing === 'tube' || thing === 'beaker') return { kind: 'take', type: thing };
  if (thing === 'cellulose' || thing === 'glass') return { kind: 'takePaper', of: thing };
  if (thing === 'oven') return giveOf('oven');
  if (thing === 'funnel') return giveOf('wash');
  if (thing === 'jar') return giveOf('scoop');
  if (thing === 'boat') return { kind: 'placeBoat', at: view.boat?.at === 'pan' ? 'bench' : 'pan' };
  if (thing === 'balance') return recordMass(view);
  if (thing === 'plate') return { kind: 'rinsePlate' };
  if (isDipped(thing) && view.into[thing] !== null) return recordTool(thing, view);
  if (thing === 'colorimeter') return recordAbsorbance(view);
  return null;
}

/** Records the mass that is on the balance; null while there is none that is asked for. */
export const recordMass = ({ pan }: View): Act | null => (pan?.due ? { kind: 'recordMass', ...pan.due } : null);

/** What takes a thing from the balance, or puts it there. */
export function weighMove(thing: Thing, view: View): Act | null {
  const [sheet, vessel] = [sheetOf(thing), numberOf(thing)];
  if (thing === 'boat') return { kind: 'placeBoat', at: view.boat?.at === 'pan' ? 'bench' : 'pan' };
  if (sheet !== null) {
    const isOn = view.papers[sheet - 1]?.at === 'pan';
    return { kind: 'placePaper', paper: sheet, at: isOn ? 'mat' : 'pan' };
  }
  if (vessel === null) return null;
  const isOn = view.vessels[vessel - 1]?.at === 'pan';
  return { kind: 'placeVessel', vessel, at: isOn ? 'bench' : 'pan' };
}

/** Records what the colorimeter shows, of the mixture that is in its cuvette. */
export const recordAbsorbance = (view: View): Act => ({
  kind: 'recordAbsorbance',
  trial: view.colorimeter?.trial ?? view.recordableTrial,
});

/** Records what a tool shows: in a bottle it is the temperature before. */
export function recordTool(tool: Dipped, view: View): Act {
  const into = view.into[tool];
  const type = into === null ? undefined : view.vessels[into - 1]?.type;
  const which = tool === 'probe' ? 'pH' : tool === 'cell' ? 'K' : type === 'bottle' || type === 'water' ? 'T0' : 'T';
  const trial =
    into === null || which === 'T0' ? view.recordableTrial : (view.vessels[into - 1]?.trial ?? view.recordableTrial);
  return { kind: 'recordTool', trial, which };
}
