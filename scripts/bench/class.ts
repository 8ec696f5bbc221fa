import { randomUUID } from 'node:crypto';
import { PRACTICALS, type PracticalId } from '@core/practicals/registry';
import { setAssignment } from '@server/assignments';
import { rulesSchema } from '@server/rules';
import { makeClass } from '@server/classes';
import { pool } from '@server/db';
import { startRun } from '@server/runs';
import { newToken } from '@server/secrets';
import { openSession } from '@server/sessions';
import { signUpTeacher } from '@server/teachers';

export interface BenchRun {
  runId: string;
  token: string;
}

export interface BenchClass {
  runs: BenchRun[];
  assignmentId: string;
  teacherToken: string;
}

/** A titration without end, as students do it: waits that bring frames, drops, openings of the tap. */
export function act(number: number): unknown {
  const start = [
    { kind: 'fill', toMl: 0 },
    { kind: 'drawSample' },
    { kind: 'drainPipette' },
    { kind: 'indicator', id: 'phenolphthalein', drops: 2 },
  ];
  const course = [
    { kind: 'tap', opening: 'fast drops' },
    { kind: 'wait' },
    { kind: 'wait' },
    { kind: 'tap', opening: 'closed' },
    { kind: 'swirl' },
    { kind: 'drop' },
    { kind: 'drop' },
    { kind: 'record', trial: 1, which: 'last', text: '12.34' },
  ];
  return start[number - 1] ?? course[number % course.length];
}

/** A class whose students have all begun, and its teacher, with their session tokens. */
export async function students(
  count: number,
  settings = {},
  practical: PracticalId = 'acid-concentration',
): Promise<BenchClass> {
  const teacherId = await signUpTeacher('Bench', `${randomUUID()}@example.org`, 'a long password', 'bench');
  const classId = await makeClass(teacherId, 'Bench');
  const setup = PRACTICALS[practical].setup.parse(settings);
  const dates = { opensAt: new Date(Date.now() - 1000), closesAt: null };
  const assignmentId = await setAssignment(classId, practical, setup, rulesSchema.parse({}), dates);
  const made: { runId: string; token: string }[] = [];
  for (let i = 0; i < count; i++) {
    // Without the password hash, which is not what is measured.
    const { rows } = await pool().query<{ id: string }>(
      'insert into students (class_id, name, name_key, words_hash) values ($1, $2, $2, $3) returning id',
      [classId, `s${i}`, newToken('student')],
    );
    const studentId = rows[0]?.id as string;
    made.push({ runId: await startRun(studentId, assignmentId), token: await openSession({ studentId }) });
  }
  return { runs: made, assignmentId, teacherToken: await openSession({ teacherId }) };
}

/** The cookie as the app itself makes it: base64 of the JSON of the token. */
export const cookieOf = (token: string, role: 'student' | 'teacher' = 'student') =>
  `fen_${role}=${encodeURIComponent(Buffer.from(JSON.stringify(token)).toString('base64'))}`;
