import { gramsPerMol } from '../../core/chemistry/molar-mass';
import { WATER_G_PER_MOL } from '@core/databook/hydrates';
import { PRACTICALS } from '@core/practicals/registry';
import type { Plan } from '@core/practicals/hydrates/plan';
import { dryOut, type Habits } from '@core/practicals/hydrates/practised-student';
import type { View } from '@core/practicals/hydrates/view';
import type { Answer } from '@core/notebook/document';
import type { Edit } from '@core/notebook/edits';
import { atTheBench, patiently } from './at-the-bench';

/** Runs of the demo at the bench of hydrates: copper sulfate, dried by some of a class with more patience and by some with less. */

const HABITS: Readonly<Record<number, Habits>> = {
  1: { rounds: 1, heatS: 120, gas: 4, air: 3 },
  4: { rounds: 2, on: 'triangle', gas: 10, air: 9 },
  10: { rounds: 1, gas: 8, air: 1, on: 'triangle', heatS: 1500 },
  13: { heatsEmpty: false },
};

function notebookOf(view: View): Edit[] {
  const of = (slot: string) => Number(view.readings.findLast((r) => r.slot === slot && r.struck === null)?.text);
  const last = ['h5', 'h4', 'h3', 'h2', 'h1'].find((slot) => Number.isFinite(of(slot))) ?? 'h1';
  const waters = (of('m1') - of(last)) / WATER_G_PER_MOL / ((of(last) - of('m0')) / gramsPerMol('CuSO4'));
  const answers: [string, Answer][] = [
    ['measured', { text: 'The mass that is left when it has been heated to constant mass' }],
    ['hypothesis', { text: 'too small' }],
    ['waters', { text: waters.toPrecision(3), unit: '' }],
    ['working', { text: 'What was lost over 18.015 g/mol, what was left over 159.6 g/mol; their ratio.' }],
    ['claim', { text: `For each formula unit there are ${Math.round(waters)} molecules of water.` }],
    ['reasoning', { text: 'The mass had come to rest within two digits, and the colour was greyish white throughout.' }],
    ['aim', { text: 'Tell when a mass stays the same' }],
    ['aimWhy', { text: 'I weighed until nothing changed any more.' }],
  ]; // prettier-ignore
  return answers.map(([key, answer]): Edit => ({ kind: 'answer', key, answer, was: '' }));
}

/** One of three of the class has worked. */
export async function loadHydrate(code: string, name: string, index: number): Promise<void> {
  if (index % 3 !== 1) return;
  const here = await atTheBench(code, name, 'water-in-hydrate');
  if (!here) return;
  const view = () => {
    const now = here.view();
    if (now.family !== 'hydrates') throw new Error('this run is none of hydrates');
    return now;
  };
  await here.act({ kind: 'pace', times: 60 });
  const act = patiently(here, view);
  await dryOut({ act, view }, PRACTICALS['water-in-hydrate'].labels(here.setup) as Plan, HABITS[index] ?? {});
  await here.write(notebookOf(view()));
  await here.handIn();
  await here.leave();
}
