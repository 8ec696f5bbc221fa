import { fitLine } from '@core/analysis/line-fit';
import { GAS_CONSTANT, kelvin } from '@core/physics/gas-law';
import type { Plan } from '@core/practicals/gases/plan';
import { workWithGas, type Habits } from '@core/practicals/gases/practised-student';
import type { View } from '@core/practicals/gases/view';
import { PRACTICALS } from '@core/practicals/registry';
import { atTheBench, patiently } from './at-the-bench';
import { answered } from './solutions';

/** Runs of the demo at the bench of gases: the coil of the fog signal, by some of a class with more care and by some with less. */

/** One left the tube on lightly, one did not wait, one took half of the points. */
const HABITS: Readonly<Record<number, Habits>> = {
  5: { home: false },
  8: { waitS: 1 },
  11: { points: 5, toMl: 45 },
};

/** Some of the class have found what the coil holds. */
export async function loadCoil(code: string, name: string, index: number): Promise<void> {
  if (index % 3 !== 2) return;
  const here = await atTheBench(code, name, 'pressure-volume');
  if (!here) return;
  const view = (): View => {
    const now = here.view();
    if (now.family !== 'gases') throw new Error('this run is none of gases');
    return now;
  };
  const hands = { act: patiently(here, view), view };
  const plan = PRACTICALS['pressure-volume'].labels(here.setup) as Plan;
  await workWithGas(hands, plan, HABITS[index] ?? {});
  const { readings, trial } = view();
  const of = (slot: string, at: number) =>
    Number(readings.findLast((r) => r.slot === slot && r.trial === at && r.struck === null)?.text ?? NaN);
  const zero = of('open', 1) - of('bar', 1);
  const points = Array.from({ length: trial }, (_, i) => ({ x: 1 / (of('p', i + 1) - zero), y: of('vol', i + 1) }));
  const fit = fitLine(points);
  const inner = -(fit?.intercept ?? NaN);
  const mmol = (1000 * (fit?.slope ?? NaN)) / (GAS_CONSTANT * kelvin(of('room', 1)));
  await here.write(
    answered([
      ['measured', { text: 'V against 1/P' }],
      ['hypothesis', { text: index % 2 ? 'less than twice as large' : 'exactly twice as large' }],
      ['inner', { text: inner.toFixed(1), unit: 'mL' }],
      ['zero', { text: zero.toFixed(1), unit: 'kPa' }],
      ['amount', { text: mmol.toPrecision(3), unit: 'mmol' }],
      ['working', { text: 'The zero taken off each pressure; V against 1/P; slope over R T, and the intercept.' }],
      ['claim', { text: `The coil holds ${inner.toFixed(1)} mL, which no scale showed.` }],
      [
        'reasoning',
        { text: 'The points lie on one line at both ends, which they would not if the gauge’s zero were wrong.' },
      ],
      ['aim', { text: 'Find from a line what no scale shows' }],
      ['aimWhy', { text: 'I had only the intercept to go by.' }],
    ]),
  );
  await here.handIn();
  await here.leave();
}
