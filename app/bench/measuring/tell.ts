import { vesselOf } from '@core/databook/vessels';
import type { Plan } from '@core/practicals/measuring/plan';
import type { SeenVessel, View } from '@core/practicals/measuring/view';
import { joined, near, toldReadings } from '../telling';
import {
  isEyeNeeded,
  isLot,
  isNew,
  isVessel,
  numberIn,
  vesselsOnBench,
  thingName,
  vesselName,
  type Thing,
} from './things';

/** The bench of measuring in words: what a thing holds and shows, and what changed. As fine as the drawing, no finer. */

const NO_LEVEL = 'holds liquid';

/** Where the surface stands, as one sees it from across the bench: to the nearest division. */
function levelIn(vessel: SeenVessel, view: View): string {
  if (vessel.empty && vessel.lying.length === 0) return vessel.wet ? 'empty, wet inside' : 'empty';
  if (vessel.empty) return 'no liquid';
  if (vessel.type === 'supply') return NO_LEVEL;
  const { divisionMl, capacityMl } = vesselOf(vessel.type);
  if (divisionMl === null) return vessel.stoppered ? NO_LEVEL : `${NO_LEVEL}, not stoppered`;
  const level = view.levels[vessel.number - 1] ?? 0;
  return level > capacityMl ? 'liquid above the scale' : `liquid near ${near(level, divisionMl)} mL`;
}

function lyingIn(vessel: SeenVessel, view: View): string {
  return joined(
    vessel.lying.map(({ lot, count, floats, tied }) => {
      const letter = view.lots[lot]?.letter;
      const what =
        letter === undefined ? 'the sinker' : count === 1 ? `a piece of ${letter}` : `${count} pieces of ${letter}`;
      return `${what}${floats ? ' floating' : tied ? ' tied under' : ' in it'}`;
    }),
  );
}

function vesselState(vessel: SeenVessel, view: View): string {
  return joined([
    levelIn(vessel, view),
    lyingIn(vessel, view),
    vessel.bubbles && 'bubbles under them',
    vessel.stoppered && 'stoppered',
    vessel.tilt !== null && vessel.tilt.degrees > 0 && `tilted by ${near(vessel.tilt.degrees, 10)} degrees`,
    vessel.tap !== 'off' && `water running in, ${vessel.tap}`,
    view.pan.vessel === vessel.number && 'on the balance',
  ]);
}

const shows = (view: View) =>
  view.balance === 'overload' ? 'overload' : `${(view.balance ?? '').replace('\u2212', 'minus ')} g`;

/** What a thing holds and shows; empty where there is nothing to say. */
function stateOf(thing: Thing, view: View): string {
  if (isVessel(thing)) {
    const vessel = view.vessels[numberIn(thing) - 1];
    return vessel && !vessel.away ? vesselState(vessel, view) : '';
  }
  if (isLot(thing)) {
    const lot = view.lots[numberIn(thing) - 1];
    if (!lot) return '';
    const dish =
      lot.pieces === 1
        ? lot.onDish === 1
          ? 'on its dish'
          : 'not on its dish'
        : `${lot.onDish} of ${lot.pieces} on the dish`;
    return joined([dish, lot.onPan > 0 && `${lot.onPan} on the balance`, lot.wet && 'wet']);
  }
  if (isNew(thing)) return '';
  if (thing === 'balance') return joined([`shows ${shows(view)}`, view.pan.wet && 'its pan is wet']);
  if (thing === 'tap') {
    const under = vesselsOnBench(view).find((vessel) => vessel.tap !== 'off');
    return under ? `${under.tap} into ${vesselName(under)}` : 'closed';
  }
  if (thing === 'sinker') return view.sinkerAt === null ? 'on the tray' : `in vessel ${view.sinkerAt}`;
  if ((thing === 'calliper' || thing === 'ruler') && view.held?.tool === thing)
    return view.held.along === 'zero'
      ? 'its jaws closed'
      : `holding the ${view.held.along} of ${view.lots[view.held.lot]?.letter}`;
  return '';
}

/** A thing with its name and what it holds and shows, for who hears it. */
export const heard = (thing: Thing, view: View): string => joined([thingName(thing, view), stateOf(thing, view)]);

function eyeIn(mm: number): string {
  if (mm === 0) return 'The eye is level with the surface.';
  return `The eye is ${Math.abs(mm)} millimetres ${mm > 0 ? 'above' : 'below'} the surface.`;
}

/** What changed between two views, each a sentence. What moves is told when it has come to rest. */
export function told(before: View, after: View, _labels: Plan): string[] {
  const sentences = toldReadings(before, after);
  // Told wherever one looks anew: looking and bringing the eye level may come within one breath.
  const looksAnew = before.look.at !== after.look.at || before.look.n !== after.look.n;
  if ((looksAnew || before.eyeMm !== after.eyeMm) && isEyeNeeded(after)) sentences.push(eyeIn(after.eyeMm));
  if (after.held && JSON.stringify(before.held) !== JSON.stringify(after.held)) {
    const { tool, along, lot } = after.held;
    sentences.push(
      along === 'zero'
        ? 'The jaws of the calliper are closed on nothing.'
        : `The ${tool} holds the ${along} of ${after.lots[lot]?.letter}.`,
    );
  }
  after.vessels.forEach((vessel, i) => {
    const was = before.vessels[i];
    if (vessel.away) return was && !was.away ? sentences.push(`${vesselName(was)} is back on the tray.`) : undefined;
    if (!was) return sentences.push(`Taken from the tray: ${vesselName(vessel)}.`);
    const [then, now] = [vesselState(was, before), vesselState(vessel, after)];
    if (then !== now) sentences.push(`${vesselName(vessel)}: ${now}.`);
  });
  after.lots.forEach((lot, i) => {
    const was = before.lots[i];
    if (was && (was.onDish !== lot.onDish || was.wet !== lot.wet))
      sentences.push(`${lot.letter}: ${stateOf(`lot:${i + 1}`, after)}.`);
  });
  if (before.sinkerAt !== after.sinkerAt) sentences.push(`The sinker is ${stateOf('sinker', after)}.`);
  if (after.balance !== null && before.balance !== after.balance) sentences.push(`The balance shows ${shows(after)}.`);
  return sentences;
}
