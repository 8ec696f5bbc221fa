// Loads the demo once: people, classes, assignments, and runs that a practised student drives act by act through the
// same function that the server's action calls. Each piece is marked when whole, so an interrupted start goes on.
import { significant } from '@core/analysis/quantity';
import { workThrough, type Perform } from '@core/practicals/titration/practised-student';
import { displace } from '@core/practicals/measuring/practised-student';
import { PRACTICALS, type AnyView } from '@core/practicals/registry';
import { fitLine } from '@core/analysis/line-fit';
import { SAME_FOR_ALL, slopeNotebook } from './slope-notebook';
import type { Answer } from '@core/notebook/document';
import type { Edit } from '@core/notebook/edits';
import { chance } from '@core/random';
import { makeClass } from '@server/classes';
import { closePool, pool } from '@server/db';
import { leaveOut, setPool } from '@server/pools';
import { joinClass } from '@server/students';
import { signUpTeacher } from '@server/teachers';
import { atTheBench, classId, idOf, loadAssignment, people, piece, teacherId } from './at-the-bench';
import { loadFreezing } from './freezing';
import { loadMetal } from './heat';
import { loadLaw } from './cylinder';
import { loadCoil } from './gases';
import { loadHydrate } from './hydrates';
import { loadRunsOut, loadYield } from './solids';
import { loadBottles, loadRatio } from './solutions';

const practical = PRACTICALS['acid-concentration'];

async function loadClass(entry: (typeof people.classes)[number]): Promise<void> {
  const owner = (await teacherId()) as string;
  let id = await classId(entry.code);
  if (!id) {
    id = await makeClass(owner, entry.name, 'Europe/London');
    await pool().query('update class_codes set code = $1 where class_id = $2', [entry.code, id]);
  }
  for (const name of entry.students) {
    const known = await idOf('select id from students where class_id = $1 and name = $2', [id, name]);
    const words = name === people.student.name ? people.student.words : undefined;
    if (!known) await joinClass(entry.code, name, 'demo', words);
  }
}

/** How far a demo student gets. */
interface Progress {
  trials: number;
  handsIn: boolean;
  lateDrops: number;
  slip: number;
}

/** Every other student has worked; some are part-way, one mixed up a factor. */
function progressOf(index: number): Progress | null {
  if (index % 2 === 0) return null;
  const source = chance('demo', `progress ${index}`);
  return {
    trials: index % 8 === 3 ? 1 : 2,
    handsIn: index % 8 !== 3,
    lateDrops: Math.floor(source.uniform() * 4),
    slip: index === 13 ? 2 : 1,
  };
}

const CLAIMS = [
  'My acid is a little less concentrated than I thought at the start.',
  'The bottle holds an acid about as concentrated as the titrant, as I expected.',
  'The acid is of the strength of a kitchen cleaner, near a tenth of a mole per litre.',
];

/** What a student who knows the method writes: a calculation from the mean titre, picked into the report. */
function notebookOf(
  labels: ReturnType<typeof practical.labels>,
  titrant: string,
  molPerL: number,
  progress: Progress,
  index: number,
): Edit[] {
  const slip = progress.slip === 1 ? '' : ` * ${progress.slip}`;
  const text = `c = ${titrant} mol/L * mean(V_T) / ${labels.pipetteMl}.00 mL${slip}`;
  const answers: [string, Answer][] = [
    ['measured', { text: 'The volume of titrant that just reacts with the sample' }],
    ['hypothesis', { text: ['More concentrated', 'About as concentrated', 'Less concentrated'][index % 3] ?? '' }],
    [
      'concentration',
      { text: significant(molPerL * progress.slip, 4), unit: labels.unit, from: { kind: 'calculation', id: 'c' } },
    ],
    [
      'working',
      {
        text: `n(OH−) is c times V of the titrant; the acid gives one proton for each, so n is the same, and it was in ${labels.pipetteMl} mL.`,
      },
    ],
    ['claim', { text: CLAIMS[index % CLAIMS.length] ?? '' }],
    [
      'reasoning',
      {
        text: 'My careful titres agree to within a few hundredths of a millilitre, and each titre was read to a tenth of a division, so the mean is good to about 0.02 mL.',
      },
    ],
    ['aim', { text: 'Catch an end point to a drop' }],
    ['aimWhy', { text: 'The flask stayed faintly coloured after a single drop, twice.' }],
  ];
  return [
    { kind: 'putCalculation', calculation: { id: 'c', text } },
    ...answers
      .slice(0, progress.handsIn ? answers.length : 4)
      .map(([key, answer]): Edit => ({ kind: 'answer', key, answer, was: '' })),
  ];
}

function titrationOf(view: AnyView) {
  if (view.family !== 'titration') throw new Error('this run is no titration');
  return view;
}

async function loadTitration(code: string, name: string, index: number): Promise<void> {
  const progress = progressOf(index);
  const here = progress && (await atTheBench(code, name, 'acid-concentration'));
  if (!here) return;
  const perform: Perform = async (act, afterS) => {
    await here.act(act, afterS);
    return titrationOf(here.view());
  };
  const habits = {
    indicator: index % 10 === 5 ? 'bromothymol-blue' : 'phenolphthalein',
    trials: progress.trials,
    readingErrorMl: 0.015,
    lateDrops: progress.lateDrops,
  };
  const labels = practical.labels(here.setup);
  const { molPerL } = await workThrough(perform, labels, habits, chance('demo', `student ${index}`));
  if (molPerL !== null) {
    await here.write(notebookOf(labels, titrationOf(here.view()).titrantLabel, molPerL, progress, index));
    if (progress.handsIn) await here.handIn();
  }
  await here.leave();
}

/** Some look from too high, some do not knock the air out, one divides the wrong way round. */
async function loadDisplacement(code: string, name: string, index: number): Promise<void> {
  if (index % 4 === 3) return;
  const here = await atTheBench(code, name, 'displacement');
  if (!here) return;
  const view = () => {
    const now = here.view();
    if (now.family !== 'measuring') throw new Error('this run is none of measuring');
    return now;
  };
  const points = await displace(
    { act: here.act, view },
    {
      vessel: 1,
      lot: 1,
      row: 1,
      amounts: [4, 4, 4, 4, 4, 4],
      knocks: index % 5 !== 1,
      how: index % 5 === 1 ? 'drop' : 'lower',
      eyeMm: index % 6 === 2 ? 35 : 0,
    },
  );
  const fit = fitLine(points.map(({ volumeMl, massG }) => ({ x: volumeMl, y: massG })));
  if (fit) await here.write(slopeNotebook(fit.slope, fit.slopeError ?? 0, index));
  if (index !== 4) await here.handIn();
  await here.leave();
}

async function main(): Promise<void> {
  const { name, email, password } = people.teacher;
  await piece('teacher', async () => {
    if (!(await teacherId())) await signUpTeacher(name, email, password, 'demo');
  });
  for (const entry of people.classes) {
    await piece(`class ${entry.code}`, () => loadClass(entry));
    await piece(`assignment ${entry.code}`, () => loadAssignment(entry.code, 'acid-concentration', {}, 3));
  }
  const main = people.classes[0];
  if (!main) return;
  for (const [index, student] of main.students.entries()) {
    await piece(`run ${student}`, () => loadTitration(main.code, student, index));
  }
  await piece(`displacement ${main.code}`, () => loadAssignment(main.code, 'displacement', SAME_FOR_ALL, 1));
  for (const [index, student] of main.students.entries()) {
    await piece(`displacement of ${student}`, () => loadDisplacement(main.code, student, index));
  }
  await piece(`metal ${main.code}`, () => loadAssignment(main.code, 'metal-by-heat', {}, 2));
  for (const [index, student] of main.students.entries())
    await piece(`metal of ${student}`, () => loadMetal(main.code, student, index));
  await piece(`freezing ${main.code}`, () => loadAssignment(main.code, 'freezing-point', { isReady: true }, 2));
  for (const [index, student] of main.students.entries())
    await piece(`freezing of ${student}`, () => loadFreezing(main.code, student, index));
  await piece(`mixture ${main.code}`, () => loadAssignment(main.code, 'mixture-melting', {}, 2));
  await piece(`hydrate ${main.code}`, () => loadAssignment(main.code, 'water-in-hydrate', {}, 2));
  for (const [index, student] of main.students.entries())
    await piece(`hydrate of ${student}`, () => loadHydrate(main.code, student, index));
  await piece(`bottles ${main.code}`, () => loadAssignment(main.code, 'which-bottle', {}, 3));
  for (const [index, student] of main.students.entries())
    await piece(`bottles of ${student}`, () => loadBottles(main.code, student, index));
  await piece(`ratio ${main.code}`, () => loadAssignment(main.code, 'which-react', {}, 2));
  for (const [index, student] of main.students.entries())
    await piece(`ratio of ${student}`, () => loadRatio(main.code, student, index));
  const silver = { solids: ['silver-chloride'] };
  await piece(`yield ${main.code}`, () => loadAssignment(main.code, 'solid-yield', silver, 2));
  for (const [index, student] of main.students.entries())
    await piece(`yield of ${student}`, () => loadYield(main.code, student, index));
  await piece(`runs out ${main.code}`, () => loadAssignment(main.code, 'runs-out', {}, 2));
  for (const [index, student] of main.students.entries())
    await piece(`runs out of ${student}`, () => loadRunsOut(main.code, student, index));
  await piece(`coil ${main.code}`, () => loadAssignment(main.code, 'pressure-volume', {}, 2));
  for (const [index, student] of main.students.entries())
    await piece(`coil of ${student}`, () => loadCoil(main.code, student, index));
  await piece(`four gases ${main.code}`, () => loadAssignment(main.code, 'volume-temperature', {}, 2));
  await piece(`particle ${main.code}`, () => loadAssignment(main.code, 'one-particle', {}, 3));
  await piece(`law ${main.code}`, () => loadAssignment(main.code, 'one-law', {}, 2));
  for (const [index, student] of main.students.entries())
    await piece(`law of ${student}`, () => loadLaw(main.code, student, index));
  await piece('pool', async () => {
    const assignmentId = await idOf(
      "select a.id from assignments a join class_codes k on k.class_id = a.class_id join assignment_samples p on p.assignment_id = a.id where k.code = $1 and p.practical = 'displacement'",
      [main.code],
    );
    const owner = await teacherId();
    if (!owner || !assignmentId) return;
    await setPool(owner, assignmentId, 1, { shown: true, named: false, withAssignment: null });
    const runId = await idOf(
      'select r.id from runs r join students s on s.id = r.student_id where r.assignment_id = $1 and s.name = $2',
      [assignmentId, main.students[13]],
    );
    if (runId) await leaveOut(owner, assignmentId, { runId, key: 'densityA', reason: 'volume divided by mass' });
  });
}

await main();
await closePool();
