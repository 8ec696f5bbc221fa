import { z } from 'zod';
import { PRACTICAL_IDS } from '@core/practicals/registry';
import type { Ask } from '@core/report/asks';
import { MAY_PRACTISE, OPEN } from './assignments';
import { maybeRow, pool, rows, transaction, type Db } from './db';
import { otherSample } from './other-sample';
import { insertRun } from './runs-insert';
import { rulesSchema, type Rules } from './rules';
import { newSeed } from './secrets';
import { NotFound, Refused } from './sentences';

/** Runs that a student practises on: a sample of its own, told when it is handed in, and nothing of it counts. */

/** What is told of a practice run, whatever the assignment's rules are: everything, after one hand-in. */
const PRACTICE_RULES: Rules = rulesSchema.parse({
  handIns: 1,
  tellBand: true,
  tellTrueValue: true,
  tellInfluences: 'when-done',
  freshStart: true,
});

/** The same questions, of which only those are needed that have an answer to be checked. */
export const asksOfPractice = (asks: readonly Ask[]): Ask[] =>
  asks.map((ask) => ({ ...ask, required: ask.required && 'quantity' in ask && ask.quantity !== null }));

/** So many practice runs of one sample are kept for each student: the newest. */
const KEPT = 2;

const setRow = z.object({
  practical: z.enum(PRACTICAL_IDS),
  setup: z.unknown(),
  place: z.number(),
  mayPractise: z.boolean(),
  rules: rulesSchema,
  isOpen: z.boolean(),
});

/**
 * A new practice run of one sample of an assignment.
 * @throws NotFound when it was not set for the student's class, Refused where or when it may not be practised
 */
export const startPractice = (studentId: string, assignmentId: string, wanted: number | null): Promise<string> =>
  transaction(async (db) => {
    const set = await maybeRow(
      db,
      setRow,
      `select p.practical, p.setup, p.place, a.rules,
         ${MAY_PRACTISE} as "mayPractise", ${OPEN} as "isOpen"
       from students s join assignments a on a.class_id = s.class_id
         join assignment_samples p on p.assignment_id = a.id and p.place = coalesce($3,
           (select min(place) from assignment_samples where assignment_id = a.id))
       where s.id = $1 and a.id = $2 for update of s`,
      [studentId, assignmentId, wanted],
    );
    if (!set) throw new NotFound();
    if (!set.mayPractise) throw new Refused('Your teacher has set this without practising.');
    if (!set.isOpen) throw new Refused('This assignment is not open, so there is nothing to practise for.');
    const { practical, place } = set;
    const made = otherSample(practical, set.setup, newSeed());
    await forgetOlder(db, studentId, assignmentId, place);
    const id = await insertRun(db, {
      assignmentId: null,
      practiceOf: assignmentId,
      studentId,
      teacherId: null,
      place,
      practical,
      ...made,
      // What is not told of the method where it counts is not told before.
      rules: { ...PRACTICE_RULES, method: set.rules.method },
    });
    return id as string;
  });

/** All but the newest go before another comes. */
async function forgetOlder(db: Db, studentId: string, assignmentId: string, place: number): Promise<void> {
  await db.query(
    `delete from runs where id in (select id from runs where practice_of = $1 and student_id = $2 and place = $3
       order by started_at desc offset $4)`,
    [assignmentId, studentId, place, KEPT - 1],
  );
}

const practisedRow = z.object({ runId: z.uuid(), assignmentId: z.uuid(), place: z.number() });

/** Practice runs of a student that are not handed in yet, the newest of each sample. */
export const unfinishedPractice = (studentId: string) =>
  rows(
    pool(),
    practisedRow,
    `select distinct on (practice_of, place) id as "runId", practice_of as "assignmentId", place from runs
     where student_id = $1 and practice_of is not null and closed_at is null
     order by practice_of, place, started_at desc`,
    [studentId],
  );
