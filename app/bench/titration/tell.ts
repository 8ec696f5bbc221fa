import { colourName } from '@core/chemistry/colour';
import type { Plan } from '@core/practicals/titration/plan';
import type { View } from '@core/practicals/titration/view';
import { joined, near, toldReadings } from '../telling';
import { thingName, type Thing } from './things';

/** The bench of titration in words: what a thing holds and shows, and what changed. As fine as the drawing, no finer. */

function buretteState(view: View): string {
  const { levelMl, empty } = view;
  const level = empty
    ? 'empty'
    : levelMl < 0
      ? 'filled above its scale'
      : levelMl > 50
        ? 'run below its scale'
        : `level near ${near(levelMl, 1)} mL`;
  return joined([
    level,
    view.tap !== 'closed' && `tap open, ${view.tap}`,
    view.bubble && 'a bubble in the tip',
    view.funnel && 'the funnel in it',
    view.hanging > 2 && view.tap === 'closed' && 'a drop hanging at the tip',
  ]);
}

const dropsIn = (view: View, labels: Plan) =>
  Object.entries(view.drops)
    .filter(([, count]) => count > 0)
    .map(([id, count]) => `${count} drops of ${thingName(`indicator:${id}`, labels)}`);

function flaskState(view: View, labels: Plan): string {
  if (view.flaskMl < 0.6) return view.solid ? 'solid in it, no liquid' : 'empty';
  return joined([
    `about ${near(view.flaskMl, 1)} mL`,
    colourName(view.colour),
    view.cloud && `${colourName(view.cloud.colour)} where it falls`,
    ...dropsIn(view, labels),
    view.solid && 'solid at the bottom',
    view.wall && 'drops on its wall',
    view.keepSwirling && 'swirled',
  ]);
}

const meter = (view: View, labels: Plan) =>
  view.meter === null ? '' : labels.probe === 'conductivity' ? `shows ${view.meter} mS/cm` : `shows pH ${view.meter}`;

/** What a thing holds and shows; empty where there is nothing to say. */
function stateOf(thing: Thing, view: View, labels: Plan): string {
  switch (thing) {
    case 'burette':
      return buretteState(view);
    case 'flask':
      return flaskState(view, labels);
    case 'titrant':
      return view.titrantLabel === '' ? 'nothing on its label' : `label ${view.titrantLabel} ${labels.unit}`;
    case 'pipette':
      return view.pipetteFull ? 'filled to its mark' : 'empty';
    case 'volumetric':
      return view.volumetric === null
        ? ''
        : view.volumetric.madeUp
          ? 'made up to its mark'
          : view.volumetric.full > 0
            ? 'holds liquid below its mark'
            : 'empty';
    case 'balance':
      return joined([view.balance !== null && `shows ${view.balance} g`, view.boatFull && 'solid on the boat']);
    case 'probe':
      return joined([
        view.probe.place === 'stand' ? 'on its stand' : `in the ${view.probe.place}`,
        meter(view, labels),
      ]);
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
  if (before.pipetteFull !== after.pipetteFull)
    sentences.push(
      after.pipetteFull ? `The pipette is filled to its mark, ${labels.pipetteMl} mL.` : 'The pipette has run out.',
    );
  if (before.trial !== after.trial) sentences.push(`Trial ${after.trial} begins.`);
  for (const thing of ['burette', 'flask', 'volumetric', 'probe'] as const) {
    const now = stateOf(thing, after, labels);
    if (now !== '' && now !== stateOf(thing, before, labels))
      sentences.push(
        `${thing === 'probe' ? 'Probe' : thing === 'volumetric' ? 'Volumetric flask' : `${thing.charAt(0).toUpperCase()}${thing.slice(1)}`}: ${now}.`,
      );
  }
  if (after.balance !== null && before.balance !== after.balance)
    sentences.push(`The balance shows ${after.balance} g.`);
  return sentences;
}
