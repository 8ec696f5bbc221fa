import { z } from 'zod';
import { reportSchema, type Ask } from '@core/report/asks';
import { PRACTICAL_IDS, PRACTICALS, type PracticalId } from '@core/practicals/registry';
import { OPEN, OVER } from './assignments';
import { atRest, presentBench } from './benches';
import { maybeRow, pool, transaction, type Db } from './db';
import { tellClass } from './feed';
import { closedBench } from './kept';
import { mayKnow, viewFor } from './knowledge';
import { isKnownOwner, noteOwner } from './owners';
import { asksOfPractice } from './practice';
import { insertRun } from './runs-insert';
import { rulesSchema, type Rules, type ToldMethod } from './rules';
import { newSeed } from './secrets';
import { NotFound, Refused, Unreadable } from './sentences';

const idRow = z.object({ id: z.uuid() });

const drawnRow = z.object({
  practical: z.enum(PRACTICAL_IDS),
  setup: z.unknown(),
  rules: z.unknown(),
  seed: z.string(),
  index: z.number(),
});

/**
 * The student's run of one sample of an assignment, begun if it was not: a sample of its own is drawn, once.
 * @throws NotFound when it was not set for the student's class, Refused when it is not open
 */
export async function startRun(studentId: string, assignmentId: string, wanted: number | null = null): Promise<string> {
  for (let attempt = 0; attempt < 20; attempt++) {
    const id = await transaction(async (db) => {
      const state = await maybeRow(
        db,
        z.object({ runId: z.uuid().nullable(), place: z.number(), open: z.boolean(), early: z.boolean() }),
        `select r.id as "runId", p.place, not ${OVER} as open, now() < a.opens_at as early
         from students s join assignments a on a.class_id = s.class_id
           join assignment_samples p on p.assignment_id = a.id and p.place = coalesce($3,
             (select min(place) from assignment_samples where assignment_id = a.id))
           left join runs r on r.assignment_id = a.id and r.student_id = s.id and r.place = p.place
         where s.id = $1 and a.id = $2 for update of a`,
        [studentId, assignmentId, wanted],
      );
      if (!state) throw new NotFound();
      const { place } = state;
      if (state.runId) return state.runId;
      if (state.early) throw new Refused('This assignment is not open yet.');
      if (!state.open) throw new Refused('This assignment is closed, so no new run can begin.');
      const drawn = (await maybeRow(
        db,
        drawnRow,
        `update assignment_samples p set drawn = p.drawn + 1 from assignments a
         where a.id = p.assignment_id and p.assignment_id = $1 and p.place = $2
         returning p.practical, p.setup, a.rules, p.seed, p.drawn - 1 as index`,
        [assignmentId, place],
      )) as z.infer<typeof drawnRow>;
      const sample = PRACTICALS[drawn.practical].sample(drawn.setup, drawn.seed, drawn.index);
      const made = await insertRun(db, { ...drawn, assignmentId, studentId, place, teacherId: null, sample });
      // A sample number that another bottle of the class bears: draw again, and leave the sample's place unused.
      return made;
    });
    if (id) {
      tellClass(assignmentId);
      return id;
    }
  }
  throw new Error('no free sample number was found');
}

/** A run of a teacher's own that counts for nothing. */
export async function tryPractical(
  teacherId: string,
  practical: PracticalId,
  setup: unknown,
  rules: Rules,
): Promise<string> {
  const sample = PRACTICALS[practical].sample(setup, newSeed(), 0);
  const id = await insertRun(pool(), {
    assignmentId: null,
    studentId: null,
    teacherId,
    place: 1,
    practical,
    setup,
    rules,
    sample,
  });
  return id as string;
}

const runRow = z.object({
  id: z.uuid(),
  practical: z.enum(PRACTICAL_IDS),
  setup: z.unknown(),
  rules: rulesSchema,
  sampleNumber: z.string(),
  assignmentId: z.uuid().nullable(),
  place: z.number(),
  report: reportSchema.nullable(),
  closed: z.boolean(),
  isTry: z.boolean(),
  /** The assignment that it is to practise for; null of all other runs. */
  practiceOf: z.uuid().nullable(),
  isOpen: z.boolean(),
  isOver: z.boolean(),
  isOwn: z.boolean(),
  truthTold: z.boolean(),
  handIns: z.number(),
  closesAt: z.date().nullable(),
});

/** Whether one of the sessions whose token hashes are $2 owns the run r. */
export const OWNED = `exists (select 1 from sessions s where s.token_hash = any($2) and s.expires_at > now()
  and (s.student_id = r.student_id or s.teacher_id = r.teacher_id))`;

/** Whether they are those of the teacher of its student's class. */
const TAUGHT = `exists (select 1 from sessions s join classes c on c.teacher_id = s.teacher_id
  join students t on t.class_id = c.id where t.id = r.student_id and s.token_hash = any($2) and s.expires_at > now())`;

const RUN = `select r.id, r.practical, r.setup, r.rules, r.sample_number as "sampleNumber", p.report,
    r.assignment_id as "assignmentId", r.place, r.closed_at is not null as closed, r.teacher_id is not null as "isTry", r.practice_of as "practiceOf", a.closes_at as "closesAt",
    ${OPEN} as "isOpen", ${OVER} as "isOver", r.truth_told_at is not null as "truthTold",
    (select count(*)::int from hand_ins h where h.run_id = r.id) as "handIns", ${OWNED} as "isOwn"
  from runs r left join assignments a on a.id = r.assignment_id
    left join assignment_samples p on p.assignment_id = coalesce(r.assignment_id, r.practice_of) and p.place = r.place
  where r.id = $1`;

async function runWhere(mayRead: string, runId: string, tokens: Buffer[], db: Db = pool()) {
  const run = await maybeRow(db, runRow, `${RUN} and (${mayRead})`, [runId, tokens]);
  if (!run) throw new NotFound();
  if (!PRACTICALS[run.practical].setup.safeParse(run.setup).success) throw new Unreadable();
  const asks = asksFor(run);
  return { ...run, asks: run.practiceOf ? asksOfPractice(asks) : asks, knowledge: mayKnow(run) };
}

/** A run as its owner may know it. @throws NotFound for everyone else */
export const ownRun = (runId: string, tokens: Buffer[], db?: Db) => runWhere(OWNED, runId, tokens, db);

/** A run for its owner or the teacher of its class. @throws NotFound for everyone else */
export const readableRun = (runId: string, tokens: Buffer[]) => runWhere(`${OWNED} or ${TAUGHT}`, runId, tokens);

/** Asks whether it is the run's owner or the teacher of its class. @throws NotFound for everyone else */
export async function requireReader(runId: string, tokens: Buffer[]): Promise<void> {
  const readable = `select r.id from runs r where r.id = $1 and (${OWNED} or ${TAUGHT})`;
  if (!(await maybeRow(pool(), idRow, readable, [runId, tokens]))) throw new NotFound();
}

/**
 * Asks who it is before anything that was sent is looked at. What is then written asks again, where it is written.
 * @throws NotFound when none of the sessions owns the run
 */
export async function requireOwner(runId: string, tokens: Buffer[]): Promise<void> {
  if (tokens.length === 0) throw new NotFound();
  if (isKnownOwner(runId, tokens)) return;
  const row = await maybeRow(pool(), idRow, `select r.id from runs r where r.id = $1 and ${OWNED}`, [runId, tokens]);
  if (!row) throw new NotFound();
  noteOwner(runId, tokens);
}

/** What a run's report asks for: as the teacher has composed it for the assignment, or as the practical comes with. */
export function asksFor(run: { practical: PracticalId; setup: unknown; report: Ask[] | null }): Ask[] {
  return run.report ?? PRACTICALS[run.practical].asks(run.setup);
}

/** How many students have begun a sample of an assignment. */
export async function runsBegun(assignmentId: string, place: number): Promise<number> {
  const count = z.object({ count: z.number() });
  const text = 'select count(*)::int from runs where assignment_id = $1 and place = $2';
  const row = await maybeRow(pool(), count, text, [assignmentId, place]);
  return row?.count ?? 0;
}

/** Who works on a run: the student, or the teacher who tries it. Does not ask who wants to know. */
export async function nameOfRunner(runId: string): Promise<string> {
  const row = await maybeRow(
    pool(),
    z.object({ name: z.string() }),
    `select coalesce(s.name, t.name) as name from runs r left join students s on s.id = r.student_id
       left join teachers t on t.id = r.teacher_id where r.id = $1`,
    [runId],
  );
  return row?.name ?? '';
}

/** The bench of an own run as it stands or was closed, with the number of its last act, and how many it could not do again. */
export async function standingView(runId: string, method: ToldMethod) {
  const kept = await closedBench(runId);
  if (kept) return { number: kept.number, view: viewFor(method, kept.view), skipped: 0 };
  const present = await presentBench(runId);
  return { number: present.number, view: viewFor(method, atRest(present).view()), skipped: present.skipped };
}
