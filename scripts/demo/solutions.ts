import { PRACTICALS } from '@core/practicals/registry';
import type { Plan } from '@core/practicals/solutions/plan';
import { mixSeries, nameBottles, type Habits } from '@core/practicals/solutions/practised-student';
import type { View } from '@core/practicals/solutions/view';
import { gridText } from '@core/report/grid';
import type { Answer } from '@core/notebook/document';
import type { Edit } from '@core/notebook/edits';
import type { PracticalId } from '@core/practicals/registry';
import { atTheBench, patiently } from './at-the-bench';

/** Runs of the demo at the bench of solutions: bottles from the cleaning cupboard that lost their labels, and two of the darkroom that react. */

const HABITS: Readonly<Record<number, Habits>> = {
  2: { series: [2, 4, 5, 6, 8] },
  5: { series: [3, 5, 7], by: 'eye' },
  8: { series: [2, 5, 8], by: 'cylinder' },
};

export const answered = (answers: readonly [string, Answer][]): Edit[] =>
  answers.map(([key, answer]): Edit => ({ kind: 'answer', key, answer, was: '' }));

export async function begins(code: string, name: string, id: PracticalId) {
  const here = await atTheBench(code, name, id);
  if (!here) return undefined;
  const view = (): View => {
    const now = here.view();
    if (now.family !== 'solutions') throw new Error('this run is none of solutions');
    return now;
  };
  await here.act({ kind: 'pace', times: 60 });
  const plan = PRACTICALS[id].labels(here.setup) as Plan;
  return { here, view, plan, hands: { act: patiently(here, view), view } };
}

/** Some of the class have named their bottles; one took two that look alike for one another. */
export async function loadBottles(code: string, name: string, index: number): Promise<void> {
  if (index % 3 !== 0) return;
  const at = await begins(code, name, 'which-bottle');
  if (!at) return;
  const { names, seen } = await nameBottles(at.hands, at.plan);
  const named = index === 6 ? [names[1] as string, names[0] as string, ...names.slice(2)] : names;
  await at.here.write(
    answered([
      ['measured', { text: 'Which pairs they can be, not which of the two is which' }],
      ['seen', { text: gridText(seen.map((one) => [one])) }],
      ['names', { text: gridText(named.map((one) => [one])) }],
      ['working', { text: 'First the coloured ones and those that gave off gas, then by what fell with them.' }],
      ['claim', { text: 'Each bottle has the one name that fits all that was seen of it.' }],
      [
        'reasoning',
        {
          text: 'Two of them gave white solids with the same others; I could tell them because one dissolved again in excess.',
        },
      ],
      ['aim', { text: 'Rule out names one after the other' }],
      ['aimWhy', { text: 'I wrote down what each pair ruled out.' }],
    ]),
  );
  await at.here.handIn();
  await at.here.leave();
}

/** Some of the class have mixed a series, with more care and with less. */
export async function loadRatio(code: string, name: string, index: number): Promise<void> {
  if (index % 3 !== 2) return;
  const at = await begins(code, name, 'which-react');
  if (!at) return;
  const pair = await mixSeries(at.hands, at.plan, HABITS[index] ?? {});
  const { vessels, readings } = at.view();
  const of = (slot: string, trial: number) =>
    Number(readings.findLast((r) => r.slot === slot && r.trial === trial && r.struck === null)?.text ?? NaN);
  const molar = pair.map((i) => Number(vessels[i]?.says.split(' ')[0]));
  const letters = pair.map((i) => 'ABCDEFGH'[i] ?? '');
  const trials = [...new Set(readings.filter(({ slot }) => slot === 'p').map(({ trial }) => trial))];
  const used = [0, 1].map((side) =>
    trials.reduce((sum, trial) => {
      const volumes = letters.reduce((all, letter) => all + (of(`v${letter}`, trial) || 0), 0);
      const left = (of(`n${letters[side]}`, trial) * volumes) / of('p', trial);
      return sum + (molar[side] ?? NaN) * (of(`v${letters[side]}`, trial) || 0) - left;
    }, 0),
  );
  const ratio = (used[0] ?? NaN) / (used[1] ?? NaN);
  const [a, b] = nearest(ratio);
  await at.here.write(
    answered([
      ['measured', { text: 'In that in which their amounts are in the ratio of the coefficients' }],
      ['hypothesis', { text: 'less reacts, for there is less of the other' }],
      ['ratio', { text: ratio.toPrecision(3), unit: '' }],
      ...'ABCD'
        .split('')
        .map((letter): [string, Answer] => [
          `k${letter}`,
          { text: String([a, b][letters.indexOf(letter)] ?? 0), unit: '' },
        ]),
      [
        'working',
        { text: 'What went in less what the slips left over, for each mixture; then one divided by the other.' },
      ],
      ['claim', { text: `${letters.join(' and ')} react, ${a} to ${b}; the others stay as they are.` }],
      [
        'reasoning',
        { text: 'Of the other two the whole amount was left, in every mixture, and nothing was seen of them.' },
      ],
      ['aim', { text: 'Tell an amount from a concentration' }],
      ['aimWhy', { text: 'I worked with what was in the whole mixture.' }],
    ]),
  );
  await at.here.handIn();
  await at.here.leave();
}

/** The two whole numbers up to five whose ratio is nearest. */
function nearest(ratio: number): [number, number] {
  const all = [1, 2, 3, 4, 5].flatMap((a) => [1, 2, 3, 4, 5].map((b): [number, number] => [a, b]));
  const off = ([a, b]: [number, number]) => Math.abs(Math.log(a / b / ratio)) + 0.001 * (a + b);
  return all.reduce((best, one) => (off(one) < off(best) ? one : best));
}
