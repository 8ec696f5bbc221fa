// Loads the demo once: people, classes, assignments, and runs that a practised student drives act by act through the
// same function that the server's action calls. Each piece is marked when whole, so an interrupted start goes on.
import { readFileSync } from 'node:fs';
import path from 'node:path';
import { fileURLToPath } from 'node:url';
import { randomUUID } from 'node:crypto';
import { significant } from '@core/analysis/quantity';
import { workThrough, type Perform } from '@core/practicals/titration/practised-student';
import { displace } from '@core/practicals/measuring/practised-student';
import { PRACTICALS, type AnyView, type PracticalId } from '@core/practicals/registry';
import { fitLine } from '@core/analysis/line-fit';
import { SAME_FOR_ALL, slopeNotebook } from './slope-notebook';
import type { Answer } from '@core/notebook/document';
import type { Edit } from '@core/notebook/edits';
import { chance } from '@core/random';
import { performAct } from '@server/acts';
import { rulesSchema, setAssignment } from '@server/assignments';
import { makeClass } from '@server/classes';
import { closePool, pool } from '@server/db';
import { leaveOut, setPool } from '@server/pools';
import { handIn } from '@server/hand-ins';
import { keepEdits } from '@server/notebooks';
import { ownRun, standingView, startRun } from '@server/runs';
import { tokenHash } from '@server/secrets';
import { closeSession, openSession } from '@server/sessions';
import { joinClass } from '@server/students';
import { signUpTeacher } from '@server/teachers';

const here = path.dirname(fileURLToPath(import.meta.url));
const people = JSON.parse(readFileSync(path.join(here, 'people.json'), 'utf8')) as {
  teacher: { name: string; email: string; password: string };
  student: { name: string; words: string };
  classes: { name: string; code: string; students: string[] }[];
};
const practical = PRACTICALS['acid-concentration'];

async function piece(name: string, load: () => Promise<void>): Promise<void> {
  const done = await pool().query('select 1 from demo_pieces where piece = $1', [name]);
  if (done.rowCount) return;
  await load();
  await pool().query('insert into demo_pieces (piece) values ($1) on conflict do nothing', [name]);
}

async function idOf(text: string, values: unknown[]): Promise<string | undefined> {
  const result = await pool().query<{ id: string }>(text, values);
  return result.rows[0]?.id;
}

const teacherId = () => idOf('select id from teachers where email = $1', [people.teacher.email]);
const classId = (code: string) => idOf('select class_id as id from class_codes where code = $1', [code]);

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

async function loadAssignment(code: string, id: PracticalId, chosen: object, handIns: number): Promise<void> {
  const owner = (await classId(code)) as string;
  const setup = PRACTICALS[id].setup.parse(chosen);
  const dates = { opensAt: new Date(), closesAt: null };
  await setAssignment(owner, id, setup, rulesSchema.parse({ handIns }), dates);
}

/** A demo student at the bench, acting through the same function that the server's action calls. */
async function atTheBench(code: string, name: string, id: PracticalId) {
  const studentId = await idOf(
    'select s.id from students s join class_codes k on k.class_id = s.class_id where k.code = $1 and s.name = $2',
    [code, name],
  );
  const assignmentId = await idOf(
    'select a.id from assignments a join class_codes k on k.class_id = a.class_id join assignment_samples p on p.assignment_id = a.id where k.code = $1 and p.practical = $2',
    [code, id],
  );
  if (!studentId || !assignmentId) return undefined;
  // What an interrupted start left of this run would be half a story.
  await pool().query('delete from runs where student_id = $1 and assignment_id = $2', [studentId, assignmentId]);
  const runId = await startRun(studentId, assignmentId);
  const token = await openSession({ studentId });
  const tokens = [tokenHash(token)];
  const run = await ownRun(runId, tokens);
  let { number, view } = await standingView(runId);
  return {
    setup: run.setup,
    view: () => view,
    act: async (act: object, afterS = 0) => {
      const sent = { number: number + 1, actId: randomUUID(), atS: view.timeS + afterS, act };
      const answer = await performAct(runId, sent, tokens);
      ({ number, view } = answer);
    },
    write: async (edits: Edit[]) => {
      const sent = edits.map((edit) => ({ id: randomUUID(), edit }));
      await keepEdits(runId, { after: 0, edits: sent }, tokens);
    },
    handIn: () => handIn(runId, { id: randomUUID(), number: 1 }, tokens),
    leave: () => closeSession(token),
  };
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
  await piece(`particle ${main.code}`, () => loadAssignment(main.code, 'one-particle', {}, 3));
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
