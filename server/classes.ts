import { z } from 'zod';
import { brokenConstraint, maybeRow, pool, rows, transaction } from './db';
import { newClassCode } from './secrets';
import { cleanName, NotFound } from './sentences';

const classRow = z.object({
  id: z.uuid(),
  name: z.string(),
  code: z.string(),
  students: z.number(),
  assignments: z.number(),
});
export type ClassSummary = z.infer<typeof classRow>;

const CLASS_COLUMNS = `c.id, c.name,
  (select code from class_codes k where k.class_id = c.id and k.expires_at is null) as code,
  (select count(*)::int from students s where s.class_id = c.id) as students,
  (select count(*)::int from assignments a where a.class_id = c.id) as assignments`;

export function classesOf(teacherId: string): Promise<ClassSummary[]> {
  return rows(
    pool(),
    classRow,
    `select ${CLASS_COLUMNS} from classes c where c.teacher_id = $1 order by c.name`,
    [teacherId],
  );
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
        await db.query(
          'update class_codes set expires_at = now() where class_id = $1 and expires_at is null',
          [classId],
        );
        await db.query('insert into class_codes (code, class_id) values ($1, $2)', [newClassCode(), classId]);
      });
      return;
    } catch (error) {
      if (!brokenConstraint(error)) throw error;
    }
  }
}

export async function makeClass(teacherId: string, typedName: string): Promise<string> {
  const name = cleanName(typedName, 'a name for the class', 'name');
  const row = await maybeRow(
    pool(),
    z.object({ id: z.uuid() }),
    'insert into classes (teacher_id, name) values ($1, $2) returning id',
    [teacherId, name],
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
  const result = await pool().query('delete from classes where id = $1 and teacher_id = $2', [
    classId,
    teacherId,
  ]);
  if (result.rowCount === 0) throw new NotFound();
}
