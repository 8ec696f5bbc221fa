import type { Act } from '@core/practicals/heat/acts';
import { hasBalance, type Plan } from '@core/practicals/heat/plan';
import type { View } from '@core/practicals/heat/view';
import { chargeOf, pourOf, type Amount } from './amounts';
import { isBottle, isFresh, isLamp, isPiece, isStuff, isThermo, numberIn, stuffIn, typeIn, type Thing } from './things';

/** What is meant when one thing is put to another, or Enter is pressed on one: an act, or an amount that is still to be typed. */

export type Move = Act | Amount | null;

/** Of what is burnt; null where the two have nothing to do with each other. */
function burningMove(thing: Thing, to: Thing, view: View): Move {
  if (thing === 'pellet') {
    if (to === 'balance') return { kind: 'weigh', what: 'pellet', piece: 1 };
    if (to === 'sealed') return { kind: 'place', to: 'vessel' };
    return view.pan.on === 'pellet' ? { kind: 'offPan' } : to === 'press' ? { kind: 'place', to: 'dish' } : null;
  }
  if (isStuff(thing)) return to === 'press' || to === 'pellet' ? stuffIn(thing) : null;
  if (thing === 'wire') return to === 'sealed' ? 'wire' : null;
  if (thing === 'oxygen') return to === 'sealed' ? 'oxygen' : null;
  if (thing === 'switch') return to === 'sealed' || to === 'cup' ? { kind: 'fire' } : null;
  if (thing === 'sealed') {
    if (to === 'cup') return { kind: 'sink', to: 'pail' };
    return view.sealed?.at === 'pail' ? { kind: 'sink', to: 'stand' } : null;
  }
  if (isLamp(thing)) {
    const n = numberIn(thing);
    if (to === 'balance') return { kind: 'weigh', what: 'lamp', piece: n };
    if (to === 'cup' || to === 'hanger') return { kind: 'stand', n, at: 'can' };
    return to === 'mat' ? { kind: 'stand', n, at: 'mat' } : null;
  }
  return null;
}

function tubeMove(to: Thing, view: View): Move {
  if (to === 'balance') return { kind: 'weigh', what: 'tube', piece: 1 };
  if (to === 'bath' || to === 'cold') return { kind: 'tubeTo', at: to };
  return view.tube?.at === 'stand'
    ? null
    : view.pan.on === 'tube'
      ? { kind: 'offPan' }
      : { kind: 'tubeTo', at: 'stand' };
}

/** What putting one thing to another does; null where the two have nothing to do with each other. */
export function putMove(thing: Thing, to: Thing, view: View): Move {
  const isVessel = to === 'cup' || to === 'beaker';
  if (isBottle(thing)) return isVessel ? pourOf(numberIn(thing)) : null;
  if (thing === 'jar') return to === 'boat' || to === 'cup' ? 'scoop' : null;
  if (thing === 'substance' || thing === 'second') return to === 'tube' ? chargeOf(thing) : null;
  if (thing === 'tube') return tubeMove(to, view);
  if (thing === 'boat') {
    if (to === 'cup' || to === 'tube') return { kind: 'tip' };
    if (to === 'balance') return { kind: 'weigh', what: 'boat', piece: 1 };
    return view.pan.on === 'boat' ? { kind: 'offPan' } : null;
  }
  if (isPiece(thing)) {
    const piece = numberIn(thing);
    if (to === 'balance') return { kind: 'weigh', what: 'piece', piece };
    return to === 'bath' || to === 'block' || to === 'cup' || to === 'dish' ? { kind: 'put', piece, to } : null;
  }
  if (isThermo(thing))
    return isVessel || to === 'bath' || to === 'block' || to === 'stand' || to === 'tube' || to === 'cold'
      ? { kind: 'thermometer', n: numberIn(thing), at: to }
      : null;
  if (isFresh(thing)) return to === 'cup' ? { kind: 'fresh', type: typeIn(thing) } : null;
  if (thing === 'cup' || thing === 'beaker') {
    if (to === 'balance') return { kind: 'weigh', what: thing, piece: 1 };
    if (thing === 'beaker' && to === 'bath') return { kind: 'seat', at: 'bath' };
    if (isVessel) return { kind: 'tipOver', from: thing, to, ml: 999 };
    if (view.pan.on === thing) return { kind: 'offPan' };
  }
  return burningMove(thing, to, view);
}

/** The flame that is due: the firing switch, or the lamp under the can put out or lit. */
export function fireMove(view: View, labels: Plan): Act | null {
  if (labels.sealed) return { kind: 'fire' };
  const under = view.fire?.lamps.findIndex(({ at }) => at === 'can') ?? -1;
  if (under < 0) return labels.lamps.length > 0 ? { kind: 'stand', n: 1, at: 'can' } : null;
  const isLit = view.fire?.lamps[under]?.state === 'lit';
  return { kind: 'flame', n: under + 1, to: isLit ? 'capped' : 'lit' };
}

function sealedMove({ sealed }: View): Move {
  if (!sealed) return null;
  if (sealed.at === 'pail') return { kind: 'sink', to: 'stand' };
  if (sealed.isOpen) return { kind: 'seal', closed: true };
  return sealed.gaugeBar > 0 ? { kind: 'sink', to: 'pail' } : 'oxygen';
}

/** What is done with a thing most; null where it is only looked at. */
export function enterMove(thing: Thing, view: View, labels: Plan): Move {
  if (isPiece(thing)) {
    const at = view.pieces[numberIn(thing) - 1]?.at;
    const heater = labels.bath ? 'bath' : 'block';
    const to = at === 'bath' || at === 'block' || at === 'tongs' ? 'cup' : at === 'cup' ? 'dish' : heater;
    return { kind: 'put', piece: numberIn(thing), to };
  }
  if (isThermo(thing)) return { kind: 'thermometer', n: numberIn(thing), at: labels.tube ? 'tube' : 'cup' };
  if (isBottle(thing)) return pourOf(numberIn(thing));
  if (isFresh(thing)) return { kind: 'fresh', type: typeIn(thing) };
  if (isStuff(thing)) return stuffIn(thing);
  if (isLamp(thing)) {
    const n = numberIn(thing);
    const lamp = view.fire?.lamps[n - 1];
    if (lamp?.at === 'pan') return { kind: 'offPan' };
    if (lamp?.at !== 'can') return { kind: 'stand', n, at: 'can' };
    return { kind: 'flame', n, to: lamp.state === 'lit' ? 'capped' : 'lit' };
  }
  switch (thing) {
    case 'bath':
    case 'block':
    case 'wire':
    case 'oxygen':
    case 'cold':
    case 'log':
      return thing;
    case 'jar':
      return 'scoop';
    case 'substance':
    case 'second':
      return chargeOf(thing);
    case 'tube':
      return { kind: 'tubeTo', at: view.tube?.at === 'cold' ? 'bath' : 'cold' };
    case 'boat':
      return { kind: 'tip' };
    case 'balance':
      return { kind: 'tare' };
    case 'press':
      return 'unknown';
    case 'switch':
      return { kind: 'fire' };
    case 'hanger':
      return 'gap';
    case 'sealed':
      return sealedMove(view);
    case 'pellet':
      if (!view.sealed?.pellet) return null;
      return { kind: 'place', to: view.sealed.pellet.at === 'vessel' ? 'dish' : 'vessel' };
    case 'cup':
    case 'beaker':
      if (!hasBalance(labels)) return null;
      return view.pan.on === thing ? { kind: 'offPan' } : { kind: 'weigh', what: thing, piece: 1 };
    default:
      return null;
  }
}
