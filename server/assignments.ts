import { z } from 'zod';
import { reportSchema, type Ask } from '@core/report/asks';
import { PRACTICAL_IDS, PRACTICALS, type PracticalId } from '@core/practicals/registry';
import { maybeRow, pool, rows } from './db';
import { newSeed } from './secrets';
import { NotFound } from './sentences';

/** What a teacher decides about an assignment, whatever the practical. */
export const rulesSchema = z.object({
  handIns: z
    .number()
    .int()
    .min(1, 'At least one.')
    .max(20, 'At most 20.')
    .default(3)
    .meta({ label: 'Hand-ins allowed' }),
  tellBand: z.boolean().default(true).meta({
    label: 'Tell the band reached',
    help: 'After each hand-in, the student reads how close it was.',
  }),
  tellTrueValue: z
    .boolean()
    .default(false)
    .meta({ label: 'Tell the true value at the end', help: 'Only when no hand-in is left.' }),
});
export type Rules = z.infer<typeof rulesSchema>;

const assignmentRow = z.object({
  id: z.uuid(),
  classId: z.uuid(),
  className: z.string(),
  practical: z.enum(PRACTICAL_IDS),
  setup: z.unknown(),
  rules: rulesSchema,
  report: reportSchema.nullable(),
  opensAt: z.date(),
  closesAt: z.date().nullable(),
});
export type Assignment = z.infer<typeof assignmentRow>;

const COLUMNS = `a.id, a.class_id as "classId", c.name as "className", a.practical, a.setup, a.rules, a.report,
  a.opens_at as "opensAt", a.closes_at as "closesAt"`;

/** @param dates checked by the caller: it opens before it closes */
export async function setAssignment(
  classId: string,
  practical: PracticalId,
  setup: unknown,
  rules: Rules,
  dates: { opensAt: Date; closesAt: Date | null },
): Promise<string> {
  // prettier-ignore
  const row = await maybeRow(
    pool(),
    z.object({ id: z.uuid() }),
    `insert into assignments (class_id, practical, setup, rules, seed, opens_at, closes_at)
     values ($1, $2, $3, $4, $5, $6, $7) returning id`,
    [classId, practical, JSON.stringify(setup), JSON.stringify(rules), newSeed(), dates.opensAt, dates.closesAt],
  );
  return row?.id as string;
}

export function assignmentsOfClass(teacherId: string, classId: string): Promise<Assignment[]> {
  return rows(
    pool(),
    assignmentRow,
    `select ${COLUMNS} from assignments a join classes c on c.id = a.class_id
     where c.teacher_id = $1 and c.id = $2 order by a.created_at desc`,
    [teacherId, classId],
  );
}

/** @throws NotFound when it is not this teacher's */
export async function assignmentOf(teacherId: string, assignmentId: string): Promise<Assignment> {
  const found = await maybeRow(
    pool(),
    assignmentRow,
    `select ${COLUMNS} from assignments a join classes c on c.id = a.class_id where c.teacher_id = $1 and a.id = $2`,
    [teacherId, assignmentId],
  );
  if (!found) throw new NotFound();
  return found;
}

/** Asks for something else from now on; what was answered before stays with its question. @throws NotFound */
export async function composeReport(
  teacherId: string,
  assignmentId: string,
  report: Ask[] | null,
): Promise<void> {
  await assignmentOf(teacherId, assignmentId);
  await pool().query('update assignments set report = $2 where id = $1', [
    assignmentId,
    report === null ? null : JSON.stringify(report),
  ]);
}

/** Closes an assignment now, or opens it again without an end. */
export async function closeAssignment(
  teacherId: string,
  assignmentId: string,
  closed: boolean,
): Promise<void> {
  await assignmentOf(teacherId, assignmentId);
  await pool().query(`update assignments set closes_at = ${closed ? 'now()' : 'null'} where id = $1`, [
    assignmentId,
  ]);
}

const workRow = z.object({
  id: z.uuid(),
  practical: z.enum(PRACTICAL_IDS),
  opensAt: z.date(),
  closesAt: z.date().nullable(),
  isOpen: z.boolean(),
  runId: z.uuid().nullable(),
  handIns: z.number(),
  handInsAllowed: z.number(),
});

/** All that a student has been set, newest first. */
export async function workOf(studentId: string) {
  const found = await rows(
    pool(),
    workRow,
    `select a.id, a.practical, a.opens_at as "opensAt", a.closes_at as "closesAt",
       (now() >= a.opens_at and (a.closes_at is null or now() < a.closes_at)) as "isOpen", r.id as "runId",
       (select count(*)::int from hand_ins h where h.run_id = r.id) as "handIns",
       (a.rules->>'handIns')::int as "handInsAllowed"
     from students s join assignments a on a.class_id = s.class_id
       left join runs r on r.assignment_id = a.id and r.student_id = s.id
     where s.id = $1 order by a.created_at desc`,
    [studentId],
  );
  return found.map((work) => ({ ...work, title: PRACTICALS[work.practical].title }));
}
