import { fitLine } from '@core/analysis/line-fit';
import { findLaw } from '@core/practicals/cylinder/practised-student';
import type { View } from '@core/practicals/cylinder/view';
import { atTheBench, patiently } from './at-the-bench';
import { answered } from './solutions';

/** Runs of the demo at the cylinder: pressure and volume from particles, by some of a class, one of them with half of the points. */

const POINTS: Readonly<Record<number, number>> = { 7: 5 };

const free = { min: '', max: '' };
/** P against 1/V, with a line through the origin. */
const GRAPH = {
  id: 'g',
  name: 'P against 1/V',
  series: [{ id: 's', table: 'rows', x: 'c0', y: 'P', shape: 'points' as const, window: 3 }],
  lines: [{ id: 'l', series: 's', from: null, to: null, also: [], not: [], throughOrigin: true }],
  x: free,
  y: free,
  residuals: false,
};

/** Some of the class have found the law. */
export async function loadLaw(code: string, name: string, index: number): Promise<void> {
  if (index % 3 !== 1) return;
  const here = await atTheBench(code, name, 'one-law');
  if (!here) return;
  const view = (): View => {
    const now = here.view();
    if (now.family !== 'cylinder') throw new Error('this run is none at the cylinder');
    return now;
  };
  await here.act({ kind: 'pace', times: 60 });
  await findLaw({ act: patiently(here, view), view }, 'pressure-volume', POINTS[index]);
  const { readings, trial } = view();
  const of = (slot: string, at: number) =>
    Number(readings.findLast((r) => r.slot === slot && r.trial === at && r.struck === null)?.text ?? NaN);
  const rows = Array.from({ length: trial }, (_, i) => ({
    P: of('P', i + 1),
    V: of('V', i + 1),
    T: of('T', i + 1),
    N: of('N', i + 1),
  }));
  const power = fitLine(rows.map(({ P, V }) => ({ x: Math.log(V), y: Math.log(P) })))?.slope ?? NaN;
  const mean = (values: number[]) => values.reduce((sum, value) => sum + value, 0) / values.length;
  const product = mean(rows.map(({ P, V }) => P * V));
  const k = mean(rows.map(({ P, V, T, N }) => (P * V) / (N * T) / 1000));
  await here.write([
    { kind: 'addGraph', graph: GRAPH },
    ...answered([
      ['measured', { text: 'Else nobody can tell which of them did it' }],
      ['hypothesis', { text: index % 2 ? 'halves' : 'falls by less than half' }],
      ['factor', { text: (2 ** power).toPrecision(3) }],
      ['slope', { text: product.toPrecision(3), unit: 'kPa·nm³' }],
      ['constant', { text: k.toPrecision(3), unit: 'zJ/K' }],
      ['graph', { text: GRAPH.id }],
      ['working', { text: 'P · V of each stretch and its mean; divided by N and T for k.' }],
      ['claim', { text: 'Twice the volume gives half of the pressure, within what the counters waver.' }],
      [
        'reasoning',
        {
          text: 'The points of P against 1/V lie on a line through the origin; each wavers by some percent, as the counters say themselves.',
        },
      ],
      ['aim', { text: 'Hold all but two things still, and know what holds them' }],
      ['aimWhy', { text: 'I read from the line above the bench what was held.' }],
    ]),
  ]);
  await here.handIn();
  await here.leave();
}
