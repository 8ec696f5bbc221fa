import { z } from 'zod';
import { PRACTICALS, type PracticalId } from '@core/practicals/registry';
import { maybeRow, type Db } from './db';
import { newSampleNumber, newSeed } from './secrets';

const idRow = z.object({ id: z.uuid() });

/** Whose run it is and of what: a student's of an assignment, one to practise for it, or a teacher's try. */
interface NewRun {
  assignmentId: string | null;
  practiceOf?: string;
  studentId: string | null;
  teacherId: string | null;
  place: number;
  practical: PracticalId;
  setup: unknown;
  rules: unknown;
  sample: unknown;
}

/** @returns undefined when another run of the assignment bears the sample number that was drawn */
export async function insertRun(db: Db, run: NewRun): Promise<string | undefined> {
  const row = await maybeRow(
    db,
    idRow,
    `insert into runs (assignment_id, practice_of, student_id, teacher_id, practical, setup, rules, seed, sample, sample_number, place, model)
     values ($1, $2, $3, $4, $5, $6, $7, $8, $9, $10, $11, $12) on conflict do nothing returning id`,
    [
      run.assignmentId,
      run.practiceOf ?? null,
      run.studentId,
      run.teacherId,
      run.practical,
      JSON.stringify(run.setup),
      JSON.stringify(run.rules),
      newSeed(),
      JSON.stringify(run.sample),
      newSampleNumber(),
      run.place,
      PRACTICALS[run.practical].model,
    ],
  );
  return row?.id;
}
