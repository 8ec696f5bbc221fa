import { z } from 'zod';
import { brokenConstraint, maybeRow, pool, rows } from './db';
import { hashSecret, matchesSecret, newReturnWords, plainWords } from './secrets';
import { forgetOwners } from './owners';
import { cleanName, NotFound, Refused } from './sentences';
import { countNewcomer, trying, type Trier } from './tries';

const nameKey = (name: string) => name.normalize('NFKC').toLocaleLowerCase('en');

/** The class behind a code, however it was typed. @throws Refused when there is none, or none any more */
async function classBehind(typed: string): Promise<{ id: string; name: string }> {
  const code = typed.toUpperCase().replace(/[^A-Z0-9]/g, '');
  if (code === '') throw new Refused('Type the class code that your teacher gave you.', 'code');
  const row = await maybeRow(
    pool(),
    z.object({ id: z.uuid(), name: z.string(), live: z.boolean() }),
    `select c.id, c.name, (k.expires_at is null or k.expires_at > now()) as live
     from class_codes k join classes c on c.id = k.class_id where k.code = $1`,
    [code.slice(0, 20)],
  );
  if (!row)
    throw new Refused('No class has this code. Look at it again, letter by letter, or ask your teacher.', 'code');
  if (!row.live) throw new Refused('This class code is no longer in use. Ask your teacher for the new one.', 'code');
  return row;
}

/**
 * @param words for demo students, whose words are printed; drawn for everyone else
 * @returns the student's id, and the return words, which are told once and kept only as a hash
 */
export async function joinClass(
  code: string,
  typedName: string,
  address: string,
  words = newReturnWords(),
): Promise<{ studentId: string; words: string; name: string; className: string }> {
  await countNewcomer(address);
  const found = await classBehind(code);
  const name = cleanName(typedName, 'the name by which your teacher knows you', 'name');
  if (name.includes('@')) throw new Refused('Fen does not want your e-mail address. Type your name.', 'name');
  try {
    const row = await maybeRow(
      pool(),
      z.object({ id: z.uuid() }),
      'insert into students (class_id, name, name_key, words_hash) values ($1, $2, $3, $4) returning id',
      [found.id, name, nameKey(name), await hashSecret(plainWords(words))],
    );
    return { studentId: row?.id as string, words, name, className: found.name };
  } catch (error) {
    if (!brokenConstraint(error)) throw error;
    throw new Refused(
      `There is a ${name} in ${found.name} already. If that is you, come back with your return words; if not, add an initial.`,
      'name',
    );
  }
}

/** @returns the student's id, which tries are counted for. @throws Refused, also with how long to wait */
export async function returnToClass(code: string, typedName: string, words: string, trier: Trier): Promise<string> {
  const found = await classBehind(code);
  const name = cleanName(typedName, 'your name as you gave it when you joined', 'name');
  if (plainWords(words) === '') throw new Refused('Type your three return words.', 'words');
  const row = await maybeRow(
    pool(),
    z.object({ id: z.uuid(), hashed: z.string() }),
    'select id, words_hash as hashed from students where class_id = $1 and name_key = $2',
    [found.id, nameKey(name)],
  );
  if (!row)
    throw new Refused(`Nobody called ${name} is in ${found.name}. Type the name as you did when you joined.`, 'name');
  const right = await trying(row.id, trier, async () =>
    (await matchesSecret(row.hashed, plainWords(words).slice(0, 100))) ? true : undefined,
  );
  if (!right) throw new Refused('These are not your return words. Your teacher can give you new ones.', 'words');
  return row.id;
}

const studentRow = z.object({ id: z.uuid(), name: z.string() });
type StudentEntry = z.infer<typeof studentRow>;

export function studentsOf(teacherId: string, classId: string): Promise<StudentEntry[]> {
  return rows(
    pool(),
    studentRow,
    `select s.id, s.name from students s join classes c on c.id = s.class_id
     where c.teacher_id = $1 and c.id = $2 order by s.name_key`,
    [teacherId, classId],
  );
}

/** @throws NotFound for a class of somebody else; Refused for a student who is not in it any more */
async function requireInClass(teacherId: string, classId: string, studentId: string): Promise<void> {
  const row = await maybeRow(
    pool(),
    z.object({ isThere: z.boolean() }),
    `select exists (select 1 from students where id = $3 and class_id = c.id) as "isThere"
     from classes c where c.id = $2 and c.teacher_id = $1`,
    [teacherId, classId, studentId],
  );
  if (!row) throw new NotFound();
  if (!row.isThere)
    throw new Refused('This student is not in the class any more. They may have been removed in another tab.');
}

/** New return words; the old ones stop working and sessions opened with them end. */
export async function renewWords(
  teacherId: string,
  classId: string,
  studentId: string,
): Promise<{ name: string; words: string }> {
  await requireInClass(teacherId, classId, studentId);
  const words = newReturnWords();
  const row = await maybeRow(
    pool(),
    z.object({ name: z.string() }),
    'update students set words_hash = $2 where id = $1 returning name',
    [studentId, await hashSecret(plainWords(words))],
  );
  if (!row) throw new NotFound();
  await pool().query('delete from sessions where student_id = $1', [studentId]);
  forgetOwners();
  return { name: row.name, words };
}

/** Removes a student with all their runs. */
export async function removeStudent(teacherId: string, classId: string, studentId: string): Promise<void> {
  await requireInClass(teacherId, classId, studentId);
  await pool().query('delete from students where id = $1', [studentId]);
  forgetOwners();
}
