import { counted } from '@core/analysis/quantity';
import { liquidColourName } from '@core/chemistry/colour';
import type { Plan } from '@core/practicals/solutions/plan';
import { solidWords } from '@core/practicals/solutions/solid-words';
import { PLATE_C } from '@core/practicals/solutions/vessels';
import type { View } from '@core/practicals/solutions/view';
import { capital } from '@app/ui/capital';
import { joined, toldReadings } from '../telling';
import { PLACE_WORDS, SHEET_WORDS } from './places';
import { isDipped, isOwn, labelledName, numberOf, sheetName, sheetOf, thingName, type Thing } from './things';

/** The bench of solutions in words: what a vessel shows, what went into it, and what changed. As fine as the drawing, no finer. */

const amountWords = (type: string, ml: number): string => (type === 'well' ? `${ml.toFixed(2)} mL` : `${ml} mL`);

/** What is seen in a vessel; whether its solid has come to lie is left out where that moves. */
function seenIn(view: View, number: number, moves: boolean): string {
  const vessel = view.vessels[number - 1];
  if (!vessel) return 'empty';
  const where = vessel.at === 'bench' ? null : PLACE_WORDS[vessel.at];
  if (vessel.ml === 0) return joined(['empty', where]);
  const moving = view.moves[number];
  return joined([
    where,
    moves && vessel.feels !== 'cold' && vessel.feels,
    amountWords(vessel.type, vessel.ml),
    `${liquidColourName(vessel.colour)} liquid`,
    vessel.solid && solidWords(vessel.solid),
    moves && vessel.solid && vessel.type !== 'well' && (moving?.afloat ?? 0) <= 1 && 'it has come to lie on the ground',
    moving?.bubbles && 'gas comes off it',
    view.paper?.vessel === number && `its paper is ${view.paper.shade}`,
  ]);
}

/** What the student put in, as it was measured. */
export const pouredWords = (view: View, number: number): string =>
  (view.vessels[number - 1]?.poured ?? []).map(({ from, amount }) => `${amount} of ${from}`).join(', then ');

/** What is seen of a paper; whether it is still wet is left out where that moves. */
function seenOn(view: View, number: number, moves: boolean): string {
  const paper = view.papers[number - 1];
  if (!paper || paper.at === 'away') return 'thrown away';
  return joined([
    SHEET_WORDS[paper.at],
    moves && paper.damp !== 'dry' ? paper.damp : null,
    moves && paper.damp === 'dry' && paper.solid && 'looks dry',
    moves && paper.isWarm && 'warm',
    ['', 'yellowed', 'brown', 'charred'][paper.brown],
    paper.solid ? solidWords(paper.solid) : 'bare',
  ]);
}

/** What a station holds and shows; undefined of anything else. */
function stationState(thing: Thing, view: View): string | undefined {
  const papersAt = (at: View['papers'][number]['at']) => view.papers.filter((paper) => paper.at === at).length;
  const held = (count: number) => (count === 0 ? 'empty' : counted(count, 'paper'));
  switch (thing) {
    case 'balance':
      return `${view.pan ? view.pan.name : 'nothing'} on it, shows ${view.grams?.replace('\u2212', 'minus ') ?? 'nothing'} g`;
    case 'funnel':
      return joined([
        papersAt('funnel') > 0 ? 'a paper in it' : 'no paper in it',
        view.vessels.some(({ at }) => at === 'funnel') ? 'a beaker under it' : 'nothing under it',
      ]);
    case 'hotPlate':
      return `${PLATE_C} °C, ${counted(view.vessels.filter(({ at }) => at === 'plate').length, 'beaker')} on it`;
    case 'oven':
      return `at ${view.ovenC} °C, set to ${Math.round(view.ovenSetC ?? 0)} °C, ${held(papersAt('oven'))}`;
    case 'desiccator':
      return held(papersAt('desiccator'));
    case 'boat':
      return joined([view.boat?.at === 'pan' && 'on the balance', view.boat?.holds]);
    default:
      return undefined;
  }
}

/** What a thing holds and shows; empty where there is nothing to say. */
export function stateOf(thing: Thing, view: View): string {
  const number = numberOf(thing);
  if (number !== null) {
    const vessel = view.vessels[number - 1];
    return joined([vessel?.says, seenIn(view, number, true)]);
  }
  const sheet = sheetOf(thing);
  if (sheet !== null) return seenOn(view, sheet, true);
  const station = stationState(thing, view);
  if (station !== undefined) return station;
  if (isDipped(thing)) {
    const into = view.into[thing];
    if (into === null) return 'in no vessel';
    const shown = view.shows[thing]?.replace('\u2212', 'minus ') ?? 'nothing';
    return `in ${labelledName(view, into)}, shows ${shown}${{ thermometer: ' °C', probe: '', cell: ' mS/cm' }[thing]}`;
  }
  if (thing === 'colorimeter') {
    const { vessel, nm } = view.colorimeter ?? { vessel: null, nm: 0 };
    const inside = vessel === null ? 'its cuvette empty' : `its cuvette from ${labelledName(view, vessel)}`;
    return `${nm} nm, ${inside}, shows ${view.absorbance?.replace('\u2212', 'minus ') ?? 'nothing'}`;
  }
  if (thing === 'analysis') {
    const waiting = view.slips.filter(({ left }) => left === null).length;
    const there = view.slips.length - waiting;
    return view.slips.length === 0
      ? 'nothing handed over'
      : joined([
          there > 0 && `${counted(there, 'slip')} there`,
          waiting > 0 && `${counted(waiting, 'portion')} under way`,
        ]);
  }
  return '';
}

/** A thing with its name and what it holds and shows, for who hears it. */
export const heard = (thing: Thing, view: View): string => joined([thingName(thing, view), stateOf(thing, view)]);

/** What changed between two views, each a sentence. */
export function told(before: View, after: View, _: Plan): string[] {
  const sentences = toldReadings(before, after);
  after.vessels.forEach((vessel, i) => {
    const number = i + 1;
    const was = before.vessels[i];
    if (!isOwn(vessel) || was === vessel) return;
    if (vessel.isAway !== (was?.isAway ?? true)) {
      sentences.push(
        capital(`${labelledName(after, number)} ${vessel.isAway ? 'is back on the tray' : 'stands there, clean'}.`),
      );
      return;
    }
    const now = seenIn(after, number, false);
    if (seenIn(before, number, false) !== now) sentences.push(capital(`${labelledName(after, number)}: ${now}.`));
    else if (was?.label !== vessel.label) sentences.push(capital(`${labelledName(after, number)} has its label.`));
  });
  after.papers.forEach((_, i) => {
    const [was, now] = [before.papers[i] ? seenOn(before, i + 1, false) : '', seenOn(after, i + 1, false)];
    if (was !== now) sentences.push(capital(`${sheetName(after, i + 1)}: ${now}.`));
  });
  if (before.ovenSetC !== after.ovenSetC) sentences.push(`The oven is set to ${Math.round(after.ovenSetC ?? 0)} °C.`);
  if (before.boat?.holds !== after.boat?.holds || before.boat?.at !== after.boat?.at)
    sentences.push(capital(`${heard('boat', after)}.`));
  for (const tool of ['thermometer', 'probe', 'cell'] as const)
    if (before.into[tool] !== after.into[tool]) sentences.push(capital(`${heard(tool, after)}.`));
  if (before.colorimeter?.vessel !== after.colorimeter?.vessel || before.colorimeter?.nm !== after.colorimeter?.nm)
    sentences.push(capital(`${heard('colorimeter', after)}.`));
  const came = after.slips.filter(({ left }, i) => left !== null && before.slips[i]?.left === null);
  for (const { vessel } of came) sentences.push(`The slip of ${vessel} is there.`);
  return sentences;
}

/** Everything that can be said of a vessel on asking: what is seen, and what went in. */
export const askedOf = (thing: Thing, view: View): string => {
  const number = numberOf(thing);
  const poured = number === null ? '' : pouredWords(view, number);
  return poured === '' ? heard(thing, view) : `${heard(thing, view)}. Put in: ${poured}`;
};
