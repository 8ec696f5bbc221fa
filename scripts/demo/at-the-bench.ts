import { readFileSync } from 'node:fs';
import path from 'node:path';
import { fileURLToPath } from 'node:url';
import { randomUUID } from 'node:crypto';
import { PRACTICALS, type PracticalId } from '@core/practicals/registry';
import type { Edit } from '@core/notebook/edits';
import { performAct } from '@server/acts';
import { setAssignment } from '@server/assignments';
import { rulesSchema } from '@server/rules';
import { pool } from '@server/db';
import { handIn } from '@server/hand-ins';
import { keepEdits } from '@server/notebooks';
import { ownRun, standingView, startRun } from '@server/runs';
import { tokenHash } from '@server/secrets';
import { closeSession, openSession } from '@server/sessions';

/** What loading the demo stands on: pieces that are loaded once, assignments, and students at their benches. */

const here = path.dirname(fileURLToPath(import.meta.url));
export const people = JSON.parse(readFileSync(path.join(here, 'people.json'), 'utf8')) as {
  teacher: { name: string; email: string; password: string };
  student: { name: string; words: string };
  classes: { name: string; code: string; students: string[] }[];
};
export async function piece(name: string, load: () => Promise<void>): Promise<void> {
  const done = await pool().query('select 1 from demo_pieces where piece = $1', [name]);
  if (done.rowCount) return;
  await load();
  await pool().query('insert into demo_pieces (piece) values ($1) on conflict do nothing', [name]);
}

export async function idOf(text: string, values: unknown[]): Promise<string | undefined> {
  const result = await pool().query<{ id: string }>(text, values);
  return result.rows[0]?.id;
}

export const teacherId = () => idOf('select id from teachers where email = $1', [people.teacher.email]);
export const classId = (code: string) => idOf('select class_id as id from class_codes where code = $1', [code]);

export async function loadAssignment(code: string, id: PracticalId, chosen: object, handIns: number): Promise<void> {
  const owner = (await classId(code)) as string;
  const setup = PRACTICALS[id].setup.parse(chosen);
  const dates = { opensAt: new Date(), closesAt: null };
  await setAssignment(owner, id, setup, rulesSchema.parse({ handIns }), dates);
}

/** A demo student at the bench, acting through the same function that the server's action calls. */
export async function atTheBench(code: string, name: string, id: PracticalId) {
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
  let { number, view } = await standingView(runId, 'shown');
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

/** Acts at a bench with time between them: it is believed as far as somebody can have watched, so that long waits are several. */
export const patiently =
  (here: { act(act: object, afterS?: number): Promise<void> }, view: () => { timeS: number }) =>
  async (next: object, afterS = 0): Promise<void> => {
    for (let leftS = afterS, before = -1; leftS > 0.01 && view().timeS > before;) {
      before = view().timeS;
      await here.act({ kind: 'wait' }, leftS);
      leftS -= view().timeS - before;
    }
    await here.act(next);
  };
