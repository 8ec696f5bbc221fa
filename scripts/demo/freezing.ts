import { crossing } from '@core/analysis/crossing';
import { splitAtBend } from '@core/analysis/bend';
import { fitLine, type Point } from '@core/analysis/line-fit';
import { FREEZING } from '@core/databook/freezing';
import { freezingPoint } from '@core/practicals/heat/kinds/freezing-point';
import type { View } from '@core/practicals/heat/view';
import type { Answer } from '@core/notebook/document';
import type { Edit } from '@core/notebook/edits';
import { atTheBench } from './at-the-bench';

/** Runs of the demo that freeze: some of a class work out a series that was got ready for them. */

/** Where two lines through a cooling and its freezing cross; one of the class takes the lowest point for it. */
function freezesC({ logged }: View, takesLowest: boolean): number {
  const points = logged.map(({ t, T }): Point => ({ x: Number(t), y: Number(T.replace('\u2212', '-')) }));
  const cooled = points.slice(points.findIndex(({ y }) => y === Math.max(...points.map((one) => one.y))));
  const lowest = cooled.findIndex(({ y }, i) => (cooled[i + 3]?.y ?? -Infinity) > y);
  if (takesLowest && lowest >= 0) return cooled[lowest]?.y ?? NaN;
  // What was colder than the plateau belongs to neither line.
  const plateau = cooled.at(-1)?.y ?? NaN;
  const own = cooled.filter(({ y }) => y > plateau - 0.15);
  const split = splitAtBend(own) ?? 0;
  const [one, two] = [fitLine(own.slice(0, split)), fitLine(own.slice(split))];
  return (one && two && crossing(one, two)?.y) ?? plateau;
}

function notebookOf(view: View, index: number): Edit[] {
  const found = freezesC(view, index === 5);
  const { substances } = freezingPoint.setup.parse({});
  const pool = FREEZING.filter(({ id }) => substances.includes(id));
  const nearest = pool.reduce((a, b) => (Math.abs(b.freezesC - found) < Math.abs(a.freezesC - found) ? b : a));
  const answers: [string, Answer][] = [
    ['measured', { text: 'Freezing gives out as much heat as goes to the bath' }],
    ['hypothesis', { text: index % 4 === 1 ? 'at a higher temperature' : 'at the same temperature' }],
    ['freezes', { text: found.toFixed(1), unit: '°C' }],
    ['name', { text: nearest.name }],
    ['working', { text: 'A line through the last degrees of the cooling, and one through the freezing; they cross there.' }],
    ['claim', { text: `The jar holds ${nearest.name}, by where it freezes.` }],
    ['reasoning', { text: 'Each line runs through points of its own stretch alone, and the crossing lies within a few tenths of this name.' }],
    ['aim', { text: 'Find where two lines cross, with its uncertainty' }],
    ['aimWhy', { text: 'I left out the points between the two stretches, and said why.' }],
  ]; // prettier-ignore
  return answers.map(([key, answer]): Edit => ({ kind: 'answer', key, answer, was: '' }));
}

/** One of three of the class has taken the series and worked it out. */
export async function loadFreezing(code: string, name: string, index: number): Promise<void> {
  if (index % 3 !== 2) return;
  const here = await atTheBench(code, name, 'freezing-point');
  if (!here) return;
  await here.act({ kind: 'ready' });
  const view = here.view();
  if (view.family !== 'heat') throw new Error('this run is none of heat');
  await here.write(notebookOf(view, index));
  if (index !== 8) await here.handIn();
  await here.leave();
}
