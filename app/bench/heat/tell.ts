import { heatVesselOf } from '@core/databook/heat-vessels';
import type { Plan } from '@core/practicals/heat/plan';
import type { SeenPiece, SeenThermometer, SeenVessel, View } from '@core/practicals/heat/view';
import { capital } from '@app/ui/capital';
import { joined, near, toldReadings } from '../telling';
import { tubeState } from './tell-tube';
import { burningState, isBurning } from './tell-burning';
import { isBottle, isPiece, isThermo, numberIn, thingName, type Thing } from './things';

/** The bench of heat in words: what a thing holds and shows, and what changed. As fine as the drawing, no finer. */

const PLACES = {
  dish: 'on its dish', tongs: 'in the tongs', bath: 'in the hot bath', block: 'in the dry block', cup: 'in the cup',
  pan: 'on the balance', beaker: 'in the beaker', stand: 'on its stand', tube: 'in the tube', cold: 'in the cold bath', bench: '',
} as const; // prettier-ignore

const STIRRED = { off: '', hand: 'stirred by hand', motor: 'stirred by motor' };

function vesselState({ levelMl, lid, stir, steams, lying, at, type }: SeenVessel, isOnPan: boolean): string {
  return joined([
    levelMl < 1 ? 'empty' : `about ${near(levelMl, 10)} mL in it`,
    lying > 0 && 'salt lies in it',
    lid && `its ${heatVesselOf(type).lid} on`,
    STIRRED[stir],
    steams && 'steam over it',
    PLACES[at],
    isOnPan && 'on the balance',
  ]);
}

const pieceState = ({ at, wet }: SeenPiece) => joined([PLACES[at], wet && at !== 'cup' && at !== 'bath' && 'wet']);

/** Of one of glass the column as one sees it from across the bench. */
const thermometerShows = ({ text, columnC }: SeenThermometer) =>
  text !== null ? `shows ${text.replace('\u2212', 'minus ')} °C` : `its column near ${near(columnC ?? 0, 1)} °C`;

const set = (tempC: number | null) => (tempC === null ? 'off' : `set to ${tempC} °C`);

/** What a thing holds and shows; empty where there is nothing to say. */
function stateOf(thing: Thing, view: View): string {
  if (thing === 'cup' || thing === 'beaker') return vesselState(view.vessels[thing], view.pan.on === thing);
  if (isPiece(thing)) {
    const piece = view.pieces[numberIn(thing) - 1];
    return piece ? joined([view.look, pieceState(piece)]) : '';
  }
  if (isThermo(thing)) {
    const one = view.thermometers[numberIn(thing) - 1];
    return one ? joined([PLACES[one.at], thermometerShows(one)]) : '';
  }
  if (thing === 'bath')
    return joined([set(view.bath.setC), view.bath.boils ? 'boiling' : view.bath.warms && 'warming up']);
  if (thing === 'block') return joined([set(view.block.setC), view.block.warms && 'warming up']);
  if (thing === 'balance')
    return view.balance === 'overload' ? 'shows overload' : `shows ${view.balance.replace('\u2212', 'minus ')} g`;
  if (thing === 'boat')
    return joined([
      view.boat.holds > 0
        ? `about ${near(view.boat.holds, 1)} g in it`
        : view.boat.clings
          ? 'some of it clings there'
          : 'empty',
      view.pan.on === 'boat' && 'on the balance',
    ]);
  if (thing === 'tube') return tubeState(view);
  if (thing === 'cold') return set(view.cold.setC);
  if (isBurning(thing)) return burningState(thing, view);
  if (isBottle(thing)) return view.given ? `given so far ${view.given[numberIn(thing) - 1]} mL` : '';
  if (thing === 'log') return view.log === null ? 'off' : `a line every ${view.log} s`;
  return '';
}

/** A thing with its name and what it holds and shows, for who hears it. */
export const heard = (thing: Thing, view: View, labels: Plan): string =>
  joined([thingName(thing, view, labels), stateOf(thing, view)]);

/** What changed between two views, each a sentence. What moves is told when it has come to rest. */
export function told(before: View, after: View, labels: Plan): string[] {
  const sentences = toldReadings(before, after);
  const changed = (thing: Thing, of: (view: View) => string) => {
    const now = of(after);
    if (of(before) !== now && now !== '') sentences.push(capital(`${thingName(thing, after, labels)}: ${now}.`));
  };
  const things: Thing[] = [
    'cup', 'beaker', 'bath', 'block', 'boat', 'log', 'sealed', 'pellet', 'hanger', 'tube', 'cold', ...labels.lamps.map((_, i): Thing => `lamp:${i + 1}`),
  ]; // prettier-ignore
  if (before.cups !== after.cups) sentences.push(`A fresh ${heatVesselOf(after.vessels.cup.type).name} stands there.`);
  for (const thing of things) changed(thing, (view) => stateOf(thing, view));
  after.pieces.forEach((_, i) => changed(`piece:${i + 1}`, (view) => pieceState(view.pieces[i] as SeenPiece)));
  after.thermometers.forEach((one, i) => {
    const was = before.thermometers[i];
    // Displays waver: what is told is where one stands, and what it shows in whole degrees.
    const coarse = (seen: SeenThermometer | undefined) =>
      seen
        ? joined([
            PLACES[seen.at],
            `near ${near(Number((seen.text ?? '').replace('\u2212', '-') || seen.columnC || 0), 1)} °C`,
          ])
        : '';
    if (coarse(was) !== coarse(one))
      sentences.push(capital(`${thingName(`thermo:${i + 1}`, after, labels)}: ${coarse(one)}.`));
  });
  if (before.balance !== after.balance) sentences.push(`The balance: ${stateOf('balance', after)}.`);
  return sentences;
}
