import { z } from 'zod';
import { maybeRow, pool } from './db';
import { forgetOwners } from './owners';
import { newToken, tokenHash } from './secrets';

export const SESSION_DAYS = 60;

interface Teacher {
  id: string;
  name: string;
  email: string;
}

interface Student {
  id: string;
  name: string;
  classId: string;
  className: string;
}

/** Opens a session and gives the token for its cookie. */
export async function openSession(who: { teacherId: string } | { studentId: string }): Promise<string> {
  const token = newToken('teacherId' in who ? 'teacher' : 'student');
  await pool().query(
    `insert into sessions (token_hash, teacher_id, student_id, expires_at)
     values ($1, $2, $3, now() + make_interval(days => $4))`,
    [
      tokenHash(token),
      'teacherId' in who ? who.teacherId : null,
      'studentId' in who ? who.studentId : null,
      SESSION_DAYS,
    ],
  );
  await pool().query('delete from sessions where expires_at < now()');
  return token;
}

export async function closeSession(token: string): Promise<void> {
  await pool().query('delete from sessions where token_hash = $1', [tokenHash(token)]);
  forgetOwners();
}

const teacherRow = z.object({ id: z.uuid(), name: z.string(), email: z.string() });

export function teacherOf(token: string): Promise<Teacher | undefined> {
  return maybeRow(
    pool(),
    teacherRow,
    `select t.id, t.name, t.email from sessions s join teachers t on t.id = s.teacher_id
     where s.token_hash = $1 and s.expires_at > now()`,
    [tokenHash(token)],
  );
}

const studentRow = z.object({ id: z.uuid(), name: z.string(), classId: z.uuid(), className: z.string() });

export function studentOf(token: string): Promise<Student | undefined> {
  return maybeRow(
    pool(),
    studentRow,
    `select st.id, st.name, c.id as "classId", c.name as "className"
     from sessions s join students st on st.id = s.student_id join classes c on c.id = st.class_id
     where s.token_hash = $1 and s.expires_at > now()`,
    [tokenHash(token)],
  );
}
