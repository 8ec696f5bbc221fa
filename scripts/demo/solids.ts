import { growCarbonate, taskVolumes, weighSolid, type SolidHabits } from '@core/practicals/solutions/practised-student';
import { answered, begins } from './solutions';

/** Runs of the demo in which a solid of the darkroom's silver is weighed, and soda from the kitchen meets descaler. */

/** One washed nothing, one was in a hurry with the oven, one did not dry the paper. */
const HABITS: Readonly<Record<number, SolidHabits>> = {
  4: { washes: 0, rinses: 1 },
  7: { driesS: 1100, rounds: 1 },
  10: { driesPaper: false },
};

const sum = (all: readonly number[]) => all.reduce((a, b) => a + b, 0);

/** Some of the class have weighed their solid. */
export async function loadYield(code: string, name: string, index: number): Promise<void> {
  if (index % 3 !== 1) return;
  const at = await begins(code, name, 'solid-yield');
  if (!at) return;
  const volumes = taskVolumes(at.view());
  await weighSolid(at.hands, at.plan, volumes, HABITS[index] ?? {});
  const { readings, vessels } = at.view();
  const of = (slot: string) => Number(readings.findLast((r) => r.slot === slot && r.struck === null)?.text ?? NaN);
  const mmol = volumes.map((ml, i) => ml * Number(/([\d.]+) mol/u.exec(vessels[i]?.says ?? '')?.[1] ?? NaN));
  // Silver chloride of silver nitrate and sodium chloride, one to one.
  const theory = (Math.min(...mmol) / 1000) * 143.32;
  const found = ((of('h2') || of('h1')) - of('mP')) / theory;
  const isA = (mmol[0] ?? NaN) < (mmol[1] ?? NaN);
  await at.here.write(
    answered([
      ['measured', { text: 'The one of whose substance the amount, by the equation, is used up first' }],
      ['first', { text: isA ? 'Bottle A' : 'Bottle B' }],
      ['theory', { text: theory.toPrecision(3), unit: 'g' }],
      ['yield', { text: (100 * found).toPrecision(3), unit: '%' }],
      ['working', { text: 'Both amounts; the smaller one times the molar mass; what I weighed divided by that.' }],
      [
        'claim',
        {
          text: `Bottle ${isA ? 'A' : 'B'} ran out first, and ${(100 * found).toFixed(0)} % of the solid was weighed.`,
        },
      ],
      [
        'reasoning',
        {
          text: 'The mass came to rest in the end; what is over or missing must be salts, water or what clung to the glass.',
        },
      ],
      ['aim', { text: 'Filter, wash and dry to constant mass' }],
      ['aimWhy', { text: 'I weighed it more than once.' }],
    ]),
  );
  await at.here.handIn();
  await at.here.leave();
}

/** Where two lines cross: one from nothing on through the first half, and the level of the rest. */
function bendOf(points: readonly { x: number; y: number }[]): number {
  const most = Math.max(...points.map(({ y }) => y));
  const level = points.filter(({ y }) => y > 0.93 * most);
  const rising = points.filter(({ y }) => y <= 0.93 * most);
  const [x, y] = [sum(rising.map((p) => p.x)) / rising.length, sum(rising.map((p) => p.y)) / rising.length];
  const slope = sum(rising.map((p) => (p.x - x) * (p.y - y))) / sum(rising.map((p) => (p.x - x) ** 2));
  return x + (sum(level.map((p) => p.y)) / level.length - y) / slope;
}

/** Some of the class have found where acid and carbonate run out together. */
export async function loadRunsOut(code: string, name: string, index: number): Promise<void> {
  if (index % 4 !== 3) return;
  const at = await begins(code, name, 'runs-out');
  if (!at) return;
  await growCarbonate(at.hands, [0.4, 0.8, 1.2, 1.6, 2, 2.5, 3, 3.5], index === 7 ? { waitsS: 10, stirs: false } : {});
  const { readings, vessels, task } = at.view();
  const of = (slot: string, trial: number) =>
    Number(readings.findLast((r) => r.slot === slot && r.trial === trial && r.struck === null)?.text ?? NaN);
  const molar = Number(/([\d.]+) mol/u.exec(vessels[0]?.says ?? '')?.[1] ?? NaN);
  const gPerMol = Number(/([\d.]+) g\/mol/u.exec(task ?? '')?.[1] ?? NaN);
  const points = [1, 2, 3, 4, 5, 6, 7, 8].map((trial) => {
    const x = of('mB', trial) - of('mE', trial);
    return { x, y: of('m1', trial) + x - of('m2', trial) };
  });
  const perMol = (molar * 0.02) / (bendOf(points) / gPerMol);
  const whole = [0.5, 1, 2].reduce((best, one) =>
    Math.abs(Math.log(one / perMol)) < Math.abs(Math.log(best / perMol)) ? one : best,
  );
  await at.here.write(
    answered([
      ['measured', { text: 'The mass of the gas that leaves, and of the damp that leaves with it' }],
      ['hypothesis', { text: 'as much gas leaves as before' }],
      ['perMol', { text: perMol.toPrecision(3), unit: 'mol' }],
      ['ratio', { text: whole < 1 ? '1 : 2' : `${whole} : 1` }],
      [
        'working',
        { text: 'Two lines through the gas against the carbonate; where they cross, the acid is just used up.' },
      ],
      ['claim', { text: `One mole of the carbonate uses up about ${perMol.toPrecision(2)} mol of the acid.` }],
      [
        'reasoning',
        { text: 'At first the gas grew with the carbonate, and then no more: from there on the acid had run out.' },
      ],
      ['aim', { text: 'Find a bend from two lines' }],
      ['aimWhy', { text: 'My points lie well on both lines.' }],
    ]),
  );
  await at.here.handIn();
  await at.here.leave();
}
