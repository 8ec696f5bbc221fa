// Loads the demo once: people, classes, assignments, and runs that a practised student drives act by act through the
// same function that the server's action calls. Each piece is marked when whole, so an interrupted start goes on.
import { readFileSync } from 'node:fs';
import path from 'node:path';
import { fileURLToPath } from 'node:url';
import { randomUUID } from 'node:crypto';
import { significant } from '@core/analysis/quantity';
import { workThrough, type Perform } from '@core/practicals/titration/practised-student';
import { PRACTICALS, type AnyView } from '@core/practicals/registry';
import type { Answer } from '@core/notebook/document';
import type { Edit } from '@core/notebook/edits';
import { chance } from '@core/random';
import { performAct } from '@server/acts';
import { rulesSchema, setAssignment } from '@server/assignments';
import { makeClass } from '@server/classes';
import { closePool, pool } from '@server/db';
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
    id = await makeClass(owner, entry.name);
    await pool().query('update class_codes set code = $1 where class_id = $2', [entry.code, id]);
  }
  for (const name of entry.students) {
    const known = await idOf('select id from students where class_id = $1 and name = $2', [id, name]);
    const words = name === people.student.name ? people.student.words : undefined;
    if (!known) await joinClass(entry.code, name, 'demo', words);
  }
}

async function loadAssignment(code: string): Promise<void> {
  const id = (await classId(code)) as string;
  const setup = practical.setup.parse({});
  const dates = { opensAt: new Date(), closesAt: null };
  await setAssignment(id, 'acid-concentration', setup, rulesSchema.parse({}), dates);
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
    ['concentration', { text: significant(molPerL * progress.slip, 4), unit: labels.unit, from: { kind: 'calculation', id: 'c' } }],
    ['working', { text: `n(OH−) is c times V of the titrant; the acid gives one proton for each, so n is the same, and it was in ${labels.pipetteMl} mL.` }],
    ['claim', { text: CLAIMS[index % CLAIMS.length] ?? '' }],
    ['reasoning', { text: 'My careful titres agree to within a few hundredths of a millilitre, and each titre was read to a tenth of a division, so the mean is good to about 0.02 mL.' }],
    ['aim', { text: 'Catch an end point to a drop' }],
    ['aimWhy', { text: 'The flask stayed faintly coloured after a single drop, twice.' }],
  ]; // prettier-ignore
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

async function loadRun(code: string, name: string, index: number): Promise<void> {
  const progress = progressOf(index);
  if (!progress) return;
  const studentId = await idOf('select s.id from students s join class_codes k on k.class_id = s.class_id where k.code = $1 and s.name = $2', [code, name]); // prettier-ignore
  const assignmentId = await idOf('select a.id from assignments a join class_codes k on k.class_id = a.class_id where k.code = $1', [code]); // prettier-ignore
  if (!studentId || !assignmentId) return;
  // What an interrupted start left of this run would be half a story.
  await pool().query('delete from runs where student_id = $1 and assignment_id = $2', [
    studentId,
    assignmentId,
  ]);
  const runId = await startRun(studentId, assignmentId);
  const token = await openSession({ studentId });
  const tokens = [tokenHash(token)];
  const run = await ownRun(runId, tokens);
  let { number, view } = await standingView(runId);
  const perform: Perform = async (act, afterS = 0) => {
    const answer = await performAct(
      runId,
      { number: number + 1, actId: randomUUID(), atS: view.timeS + afterS, act },
      tokens,
    );
    ({ number, view } = answer);
    return titrationOf(view);
  };
  const habits = { indicator: index % 10 === 5 ? 'bromothymol-blue' : 'phenolphthalein', trials: progress.trials, readingErrorMl: 0.015, lateDrops: progress.lateDrops }; // prettier-ignore
  const labels = practical.labels(run.setup);
  const { molPerL } = await workThrough(perform, labels, habits, chance('demo', `student ${index}`));
  if (molPerL !== null) {
    const edits = notebookOf(labels, titrationOf(view).titrantLabel, molPerL, progress, index);
    const sent = edits.map((edit) => ({ id: randomUUID(), edit }));
    await keepEdits(runId, { after: 0, edits: sent }, tokens);
    if (progress.handsIn) await handIn(runId, tokens);
  }
  await closeSession(token);
}

async function main(): Promise<void> {
  const { name, email, password } = people.teacher;
  await piece('teacher', async () => {
    if (!(await teacherId())) await signUpTeacher(name, email, password, 'demo');
  });
  for (const entry of people.classes) {
    await piece(`class ${entry.code}`, () => loadClass(entry));
    await piece(`assignment ${entry.code}`, () => loadAssignment(entry.code));
  }
  const main = people.classes[0];
  if (!main) return;
  for (const [index, student] of main.students.entries()) {
    await piece(`run ${student}`, () => loadRun(main.code, student, index));
  }
}

await main();
await closePool();
