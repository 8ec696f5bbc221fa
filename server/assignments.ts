import { z } from 'zod';
import { reportSchema, type Ask } from '@core/report/asks';
import { PRACTICAL_IDS, PRACTICALS, type PracticalId } from '@core/practicals/registry';
import { forgetBenchesOf } from './benches';
import { maybeRow, pool, rows, transaction, type Db } from './db';
import { tellClass } from './feed';
import { rulesSchema, type Rules } from './rules';
import { newSeed } from './secrets';
import { NotFound, Refused } from './sentences';

/** Whether the time of an assignment a is over; and whether it takes work now, or there is none since it is a try. */
export const OVER = 'coalesce(least(a.closes_at, a.closed_early_at) <= now(), false)';
export const OPEN = `(a.id is null or (now() >= a.opens_at and not ${OVER}))`;
/** Whether students may practise for an assignment a; those set before there was practice allow it. */
export const MAY_PRACTISE = "coalesce((a.rules->>'practice')::boolean, true)";

const sampleRow = z.object({
  place: z.number(),
  practical: z.enum(PRACTICAL_IDS),
  setup: z.unknown(),
  report: reportSchema.nullable(),
});
/** One of the samples that each student of an assignment is given. */
type AssignedSample = z.infer<typeof sampleRow>;

const assignmentRow = z.object({
  id: z.uuid(),
  classId: z.uuid(),
  className: z.string(),
  samples: z.array(sampleRow),
  rules: rulesSchema,
  opensAt: z.date(),
  closesAt: z.date().nullable(),
  /** When it was closed before its time, or without one. */
  closedEarlyAt: z.date().nullable(),
  isOver: z.boolean(),
  timeZone: z.string(),
  /** What its teacher calls it; null where it is called by what is to be found. */
  name: z.string().nullable(),
});
export type Assignment = z.infer<typeof assignmentRow>;

const COLUMNS = `a.id, a.class_id as "classId", c.name as "className", a.rules, a.opens_at as "opensAt",
  a.closes_at as "closesAt", a.closed_early_at as "closedEarlyAt", ${OVER} as "isOver", coalesce(c.time_zone, 'UTC') as "timeZone", a.name,
  (select jsonb_agg(jsonb_build_object('place', s.place, 'practical', s.practical,
    'setup', s.setup, 'report', s.report) order by s.place)
    from assignment_samples s where s.assignment_id = a.id) as samples`;

/** A student does not want more bottles than this at once. */
export const SAMPLES_AT_MOST = 6;

/** What an assignment is called: as its teacher says, or by what is to be found in each of its samples. */
export const titleOf = (assignment: { name: string | null; samples: readonly { practical: PracticalId }[] }): string =>
  assignment.name ?? assignment.samples.map(({ practical }) => PRACTICALS[practical].title).join(' · ');

/** The sample of a place, the first that is there when none is named. @throws NotFound */
export function sampleAt(assignment: Assignment, place: number | null): AssignedSample {
  const found = place === null ? assignment.samples[0] : assignment.samples.find((sample) => sample.place === place);
  if (!found) throw new NotFound();
  return found;
}

async function insertSample(
  db: Db,
  assignmentId: string,
  place: number,
  practical: PracticalId,
  setup: unknown,
): Promise<void> {
  await db.query(
    'insert into assignment_samples (assignment_id, place, practical, setup, seed) values ($1, $2, $3, $4, $5)',
    [assignmentId, place, practical, JSON.stringify(setup), newSeed()],
  );
}

/** What one more assignment of a practical is called where the class has one of that name; null where it has none. */
async function nameBeside(db: Db, classId: string, practical: PracticalId): Promise<string | null> {
  const present = await rows(
    db,
    z.object({ name: z.string().nullable(), samples: z.array(z.object({ practical: z.enum(PRACTICAL_IDS) })) }),
    `select a.name, (select jsonb_agg(jsonb_build_object('practical', s.practical) order by s.place)
       from assignment_samples s where s.assignment_id = a.id) as samples
     from assignments a where a.class_id = $1`,
    [classId],
  );
  const taken = new Set(present.map(titleOf));
  const { title } = PRACTICALS[practical];
  if (!taken.has(title)) return null;
  let number = 2;
  while (taken.has(`${title} (${number})`)) number++;
  return `${title} (${number})`;
}

/** @param dates checked by the caller: it opens before it closes */
export function setAssignment(
  classId: string,
  practical: PracticalId,
  setup: unknown,
  rules: Rules,
  dates: { opensAt: Date; closesAt: Date | null },
): Promise<string> {
  return transaction(async (db) => {
    const row = await maybeRow(
      db,
      z.object({ id: z.uuid() }),
      'insert into assignments (class_id, rules, opens_at, closes_at, name) values ($1, $2, $3, $4, $5) returning id',
      [classId, JSON.stringify(rules), dates.opensAt, dates.closesAt, await nameBeside(db, classId, practical)],
    );
    const id = row?.id as string;
    await insertSample(db, id, 1, practical, setup);
    return id;
  });
}

/** One more sample for each student of an assignment. @throws NotFound, Refused when it has as many as it can have */
export async function addSample(
  teacherId: string,
  assignmentId: string,
  practical: PracticalId,
  setup: unknown,
): Promise<void> {
  await assignmentOf(teacherId, assignmentId);
  await transaction(async (db) => {
    await db.query('select id from assignments where id = $1 for update', [assignmentId]);
    const places = await rows(
      db,
      z.object({ place: z.number() }),
      'select place from assignment_samples where assignment_id = $1 order by place',
      [assignmentId],
    );
    if (places.length >= SAMPLES_AT_MOST)
      throw new Refused(`An assignment gives each student at most ${SAMPLES_AT_MOST} samples.`);
    await insertSample(db, assignmentId, (places.at(-1)?.place ?? 0) + 1, practical, setup);
  });
  tellClass(assignmentId);
}

/** Takes a sample out again, while nobody has begun it. @throws NotFound, Refused */
export async function removeSample(teacherId: string, assignmentId: string, wanted: number | null): Promise<void> {
  const assignment = await assignmentOf(teacherId, assignmentId);
  const { place } = sampleAt(assignment, wanted);
  if (assignment.samples.length === 1) throw new Refused('An assignment needs a sample. Close it instead.');
  await transaction(async (db) => {
    await db.query('select id from assignments where id = $1 for update', [assignmentId]);
    const begun = await maybeRow(
      db,
      z.object({ id: z.uuid() }),
      'select id from runs where assignment_id = $1 and place = $2 limit 1',
      [assignmentId, place],
    );
    if (begun) throw new Refused('A student has begun this sample, so it stays.');
    await db.query('delete from assignment_samples where assignment_id = $1 and place = $2', [assignmentId, place]);
  });
  tellClass(assignmentId);
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
  place: number | null,
  report: Ask[] | null,
): Promise<void> {
  const sample = sampleAt(await assignmentOf(teacherId, assignmentId), place);
  await pool().query('update assignment_samples set report = $3 where assignment_id = $1 and place = $2', [
    assignmentId,
    sample.place,
    report === null ? null : JSON.stringify(report),
  ]);
}

/** Deletes an assignment with all that was done for it, to practise too. @returns its class @throws NotFound */
export async function deleteAssignment(teacherId: string, assignmentId: string): Promise<string> {
  const { classId } = await assignmentOf(teacherId, assignmentId);
  await transaction(async (db) => {
    await db.query('delete from runs where assignment_id = $1 or practice_of = $1', [assignmentId]);
    await db.query('delete from assignments where id = $1', [assignmentId]);
  });
  return classId;
}

/** Closes an assignment before its time, or opens it again with the time that was set for it. @throws NotFound */
export async function closeAssignment(teacherId: string, assignmentId: string, closed: boolean): Promise<void> {
  await assignmentOf(teacherId, assignmentId);
  await pool().query(`update assignments set closed_early_at = ${closed ? 'now()' : 'null'} where id = $1`, [
    assignmentId,
  ]);
  tellClass(assignmentId);
}

/**
 * Other rules and dates from now on, for runs that have begun too. A run whose hand-ins were used up opens again when
 * more are allowed, unless its student has ended it or has been told what gives the true value away.
 * @throws NotFound
 */
export async function changeRules(
  teacherId: string,
  assignmentId: string,
  rules: Rules,
  dates: { opensAt: Date | null; closesAt: Date | null },
  name: string | null,
): Promise<void> {
  await assignmentOf(teacherId, assignmentId);
  const touched = await transaction(async (db) => {
    await db.query(
      `update assignments set rules = $2, opens_at = coalesce($3, opens_at), closes_at = $4, closed_early_at = null, name = $5
       where id = $1`,
      [assignmentId, JSON.stringify(rules), dates.opensAt, dates.closesAt, name],
    );
    await db.query('update runs set rules = $2 where assignment_id = $1', [assignmentId, JSON.stringify(rules)]);
    await db.query(`update runs set rules = jsonb_set(rules, '{method}', to_jsonb($2::text)) where practice_of = $1`, [
      assignmentId,
      rules.method,
    ]);
    await db.query(
      // What was kept of a run when it was closed goes when it is opened again.
      `update runs r set
         closed_at = case when n.is_over then coalesce(r.closed_at, now()) end,
         kept = case when n.is_over then r.kept end
       from (
         select o.id as run_id, o.finished or o.truth_told_at is not null or count(*) >= $2 as is_over
         from runs o join hand_ins h on h.run_id = o.id where o.assignment_id = $1 group by o.id
       ) n
       where n.run_id = r.id`,
      [assignmentId, rules.handIns],
    );
    return rows(db, z.object({ id: z.uuid() }), 'select id from runs where assignment_id = $1 or practice_of = $1', [
      assignmentId,
    ]);
  });
  forgetBenchesOf(touched.map(({ id }) => id));
  tellClass(assignmentId);
}

const workRow = z.object({
  id: z.uuid(),
  place: z.number(),
  /** Which of its assignment's samples it is, counted from 1 whatever was taken out. */
  rank: z.number(),
  samples: z.number(),
  practical: z.enum(PRACTICAL_IDS),
  opensAt: z.date(),
  closesAt: z.date().nullable(),
  isOpen: z.boolean(),
  runId: z.uuid().nullable(),
  sampleNumber: z.string().nullable(),
  handIns: z.number(),
  handInsAllowed: z.number(),
  closed: z.boolean(),
  mayPractise: z.boolean(),
  timeZone: z.string(),
  name: z.string().nullable(),
});

/** All that a student has been set, newest first: an entry for each sample. */
export async function workOf(studentId: string) {
  const found = await rows(
    pool(),
    workRow,
    `select a.id, a.name, p.place, p.practical, a.opens_at as "opensAt", least(a.closes_at, a.closed_early_at) as "closesAt",
       row_number() over (partition by a.id order by p.place)::int as rank, coalesce(c.time_zone, 'UTC') as "timeZone",
       count(*) over (partition by a.id)::int as samples, r.closed_at is not null as closed,
       ${OPEN} as "isOpen", r.id as "runId", ${MAY_PRACTISE} as "mayPractise",
       r.sample_number as "sampleNumber",
       (select count(*)::int from hand_ins h where h.run_id = r.id) as "handIns",
       (a.rules->>'handIns')::int as "handInsAllowed"
     from students s join classes c on c.id = s.class_id join assignments a on a.class_id = s.class_id
       join assignment_samples p on p.assignment_id = a.id
       left join runs r on r.assignment_id = a.id and r.student_id = s.id and r.place = p.place
     where s.id = $1 order by a.created_at desc, a.id, p.place`,
    [studentId],
  );
  return found.map((work) => {
    const { title } = PRACTICALS[work.practical];
    const name = work.name ?? title;
    return { ...work, title: name.startsWith(title) ? name : `${name}: ${title}` };
  });
}
