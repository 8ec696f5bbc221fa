import { z } from 'zod';
import { brokenConstraint, maybeRow, pool, rows, transaction } from './db';
import { newClassCode } from './secrets';
import { cleanName, NotFound, Refused } from './sentences';

const classRow = z.object({
  id: z.uuid(),
  name: z.string(),
  code: z.string(),
  timeZone: z.string(),
  students: z.number(),
  assignments: z.number(),
});
type ClassSummary = z.infer<typeof classRow>;

const CLASS_COLUMNS = `c.id, c.name, coalesce(c.time_zone, 'UTC') as "timeZone",
  (select code from class_codes k where k.class_id = c.id and k.expires_at is null) as code,
  (select count(*)::int from students s where s.class_id = c.id) as students,
  (select count(*)::int from assignments a where a.class_id = c.id) as assignments`;

export function classesOf(teacherId: string): Promise<ClassSummary[]> {
  return rows(pool(), classRow, `select ${CLASS_COLUMNS} from classes c where c.teacher_id = $1 order by c.name`, [
    teacherId,
  ]);
}

/** @throws NotFound when it is not this teacher's class */
export async function classOf(teacherId: string, classId: string): Promise<ClassSummary> {
  const found = await maybeRow(
    pool(),
    classRow,
    `select ${CLASS_COLUMNS} from classes c where c.teacher_id = $1 and c.id = $2`,
    [teacherId, classId],
  );
  if (!found) throw new NotFound();
  return found;
}

async function addCode(classId: string): Promise<void> {
  for (;;) {
    try {
      await transaction(async (db) => {
        await db.query('update class_codes set expires_at = now() where class_id = $1 and expires_at is null', [
          classId,
        ]);
        await db.query('insert into class_codes (code, class_id) values ($1, $2)', [newClassCode(), classId]);
      });
      return;
    } catch (error) {
      if (!brokenConstraint(error)) throw error;
    }
  }
}

/** Whether it is a time zone of the IANA database, such as Europe/Lisbon. */
function isTimeZone(name: string): boolean {
  try {
    return name !== '' && name.length <= 60 && Boolean(new Intl.DateTimeFormat('en', { timeZone: name }));
  } catch {
    return false;
  }
}

/** The clock that a class's dates are told by. @throws NotFound, Refused for what is no time zone */
export async function setTimeZone(teacherId: string, classId: string, timeZone: string): Promise<void> {
  if (!isTimeZone(timeZone)) throw new Refused('That is not a time zone. Choose one of the list.', 'timeZone');
  const result = await pool().query('update classes set time_zone = $3 where id = $1 and teacher_id = $2', [
    classId,
    teacherId,
    timeZone,
  ]);
  if (result.rowCount === 0) throw new NotFound();
}

/** @param timeZone that of the teacher's browser; UTC when it is none */
export async function makeClass(teacherId: string, typedName: string, timeZone = 'UTC'): Promise<string> {
  const name = cleanName(typedName, 'a name for the class', 'name');
  const row = await maybeRow(
    pool(),
    z.object({ id: z.uuid() }),
    'insert into classes (teacher_id, name, time_zone) values ($1, $2, $3) returning id',
    [teacherId, name, isTimeZone(timeZone) ? timeZone : 'UTC'],
  );
  const id = row?.id as string;
  await addCode(id);
  return id;
}

/** The old code stops working; who has joined stays. */
export async function renewCode(teacherId: string, classId: string): Promise<void> {
  await classOf(teacherId, classId);
  await addCode(classId);
}

/** Removes the class with its students, assignments and runs. */
export async function deleteClass(teacherId: string, classId: string): Promise<void> {
  const result = await pool().query('delete from classes where id = $1 and teacher_id = $2', [classId, teacherId]);
  if (result.rowCount === 0) throw new NotFound();
}
