import { answerSchema } from '@core/notebook/document';
import { z } from 'zod';
import { significant, fixed } from '@core/analysis/quantity';
import { reportSchema } from '@core/report/asks';
import type { Step } from '@core/practicals/contract';
import { PRACTICAL_IDS, PRACTICALS } from '@core/practicals/registry';
import { checkedItemSchema, type CheckedItem, type CheckedNumber, digitsHandedIn } from '@core/report/check';
import { assignmentOf, titleOf, type Assignment } from './assignments';
import { atRest, presentBench, presentBenches, type HeldBench } from './benches';
import { maybeRow, pool, rows } from './db';
import { foldInTurns, look, sharing } from './folding';
import { frozenNotebook, handInsOf } from './hand-ins';
import { classCauses, influencesOf } from './influences';
import { presentNotebook } from './notebooks';
import { asksFor } from './runs';
import { NotFound } from './sentences';

const lineRow = z.object({
  studentId: z.uuid(),
  name: z.string(),
  place: z.number(),
  practical: z.enum(PRACTICAL_IDS),
  runId: z.uuid().nullable(),
  sampleNumber: z.string().nullable(),
  closed: z.boolean(),
  handIns: z.number(),
  lastActSeconds: z.number().nullable(),
  lastHandInSeconds: z.number().nullable(),
  last: z
    .object({ checked: z.array(checkedItemSchema), answers: z.record(z.string(), answerSchema) })
    .nullable(),
});

/** One sample of one student. */
export interface ClassLine {
  studentId: string;
  name: string;
  place: number;
  /** What is to be found in it. */
  title: string;
  runId: string | null;
  sampleNumber: string | null;
  state: 'not started' | 'at it' | 'paused' | 'handed in' | 'done';
  steps: Step[];
  handIns: number;
  value: string | null;
  trueValue: string | null;
  truth: string | null;
  difference: string | null;
  bandPercent: number | null;
  results: string[];
}

type AgainstTruth = CheckedNumber & { trueValue: number; differencePercent: number };
const hasTruth = (item: CheckedItem): item is AgainstTruth =>
  item.kind === 'number' && item.trueValue !== null && item.differencePercent !== null;

/** A student who acted this recently is at it. */
const AT_IT_S = 90;

function stateOf(line: z.infer<typeof lineRow>): ClassLine['state'] {
  if (!line.runId) return 'not started';
  if (line.closed) return 'done';
  const { lastActSeconds, lastHandInSeconds } = line;
  if (lastHandInSeconds !== null && lastHandInSeconds <= (lastActSeconds ?? Infinity)) return 'handed in';
  if (lastActSeconds !== null && lastActSeconds < AT_IT_S) return 'at it';
  return line.handIns > 0 ? 'handed in' : 'paused';
}

function classLine(line: z.infer<typeof lineRow>, present: HeldBench | undefined): ClassLine {
  const bench = present && atRest(present.bench);
  const record = bench?.record();
  const number = line.last?.checked.find(hasTruth);
  const truth = record?.truth.map((entry) => entry.text) ?? [];
  return {
    studentId: line.studentId,
    name: line.name,
    place: line.place,
    title: PRACTICALS[line.practical].title,
    runId: line.runId,
    sampleNumber: line.sampleNumber,
    state: stateOf(line),
    steps: bench?.steps() ?? [],
    handIns: line.handIns,
    value: number
      ? `${significant(number.value, digitsHandedIn(line.last?.answers[number.key]?.text ?? ''))} ${number.unit}`
      : null,
    trueValue: truth[1] ?? null,
    truth: truth[0] ?? null,
    difference: number
      ? `${number.differencePercent > 0 ? '+' : ''}${fixed(number.differencePercent, 2)} %`
      : null,
    bandPercent: number?.bandPercent ?? null,
    results: record?.results ?? [],
  };
}

/** A class is looked at by several tabs, and after each notice: all of them get one answer. */
const shared = sharing<Awaited<ReturnType<typeof worked>>>(400);

/** A line for each sample of each student of the class, with what they have done so far. @throws NotFound */
export async function classTable(teacherId: string, assignmentId: string) {
  const assignment = await assignmentOf(teacherId, assignmentId);
  const found = await shared(assignmentId, () => look(() => worked(assignment)));
  return { ...found, assignment, title: titleOf(assignment) };
}

async function worked(assignment: Assignment) {
  const assignmentId = assignment.id;
  const lines = await rows(
    pool(),
    lineRow,
    `select s.id as "studentId", s.name, p.place, p.practical, r.id as "runId", r.sample_number as "sampleNumber",
       r.closed_at is not null as closed,
       (select count(*)::int from hand_ins h where h.run_id = r.id) as "handIns",
       (select extract(epoch from now() - k.created_at)::float8 from acts k where k.run_id = r.id
         order by k.number desc limit 1) as "lastActSeconds",
       (select extract(epoch from now() - max(h.created_at))::float8 from hand_ins h where h.run_id = r.id) as "lastHandInSeconds",
       (select jsonb_build_object('checked', h.checked, 'answers', h.answers) from hand_ins h
         where h.run_id = r.id order by h.number desc limit 1) as last
     from students s cross join assignment_samples p
       left join runs r on r.student_id = s.id and r.assignment_id = p.assignment_id and r.place = p.place
     where s.class_id = $2 and p.assignment_id = $1 order by s.name_key, s.id, p.place`,
    [assignmentId, assignment.classId],
  );
  const benches = await presentBenches(lines.flatMap(({ runId }) => runId ?? []));
  const table = await foldInTurns(lines, [] as ClassLine[], (done, line) => {
    done.push(classLine(line, benches.get(line.runId ?? '')));
    return done;
  });
  const causes = [];
  for (const { place, practical } of assignment.samples)
    causes.push({ title: PRACTICALS[practical].title, ...(await classCauses(assignmentId, place)) });
  return { table, causes };
}

const lookedAtRow = z.object({
  studentName: z.string(),
  className: z.string(),
  assignmentId: z.uuid(),
  practical: z.enum(PRACTICAL_IDS),
  setup: z.unknown(),
  report: reportSchema.nullable(),
  sampleNumber: z.string(),
});

const actRow = z.object({ number: z.number(), atS: z.number(), act: z.unknown(), refusal: z.string().nullable(), note: z.string().nullable(), at: z.date() }); // prettier-ignore

/** One student's run as the teacher reads it: readings beside what was there, acts in order, hand-ins. @throws NotFound */
export async function lookAtRun(teacherId: string, runId: string) {
  const run = await maybeRow(
    pool(),
    lookedAtRow,
    `select s.name as "studentName", c.name as "className", r.assignment_id as "assignmentId", r.practical,
       r.setup, p.report, r.sample_number as "sampleNumber"
     from runs r join assignment_samples p on p.assignment_id = r.assignment_id and p.place = r.place join students s on s.id = r.student_id join classes c on c.id = s.class_id
     where r.id = $2 and c.teacher_id = $1`,
    [teacherId, runId],
  );
  if (!run) throw new NotFound();
  const acts = await rows(
    pool(),
    actRow,
    'select number, at_s as "atS", act, refusal, note, created_at as at from acts where run_id = $1 order by number',
    [runId],
  );
  const practical = PRACTICALS[run.practical];
  const bench = atRest((await presentBench(runId)).bench);
  const { readings, trial, leftOut, logged } = bench.view();
  const frozen = await frozenNotebook(runId);
  return {
    ...run,
    runId,
    asks: asksFor(run),
    labels: practical.labels(run.setup),
    recordings: { readings, trial, leftOut, logged },
    notebook: frozen ?? (await presentNotebook(runId)).notebook,
    isFrozen: frozen !== undefined,
    title: practical.title,
    record: bench.record(),
    steps: bench.steps(),
    handIns: await handInsOf(runId),
    moved: await influencesOf(runId),
    acts: acts.map(({ act, ...entry }) => ({ ...entry, text: practical.describe(act) })),
  };
}
