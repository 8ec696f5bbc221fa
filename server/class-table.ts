import { answerSchema } from '@core/notebook/document';
import { z } from 'zod';
import { short, significant } from '@core/analysis/quantity';
import { reportSchema } from '@core/report/asks';
import { recordingsOf } from '@core/notebook/readings';
import { PRACTICAL_IDS, PRACTICALS, type AnyPractical } from '@core/practicals/registry';
import type { ClassItem, ClassLine } from '@core/report/class-results';
import { checkedItemSchema, type CheckedItem } from '@core/report/checked-item';
import { amissText, cellsAmiss } from '@core/report/grid';
import { differenceOf, isGood, verdictOn } from '@core/report/verdict';
import { assignmentOf, titleOf, type Assignment } from './assignments';
import { atRest, presentBench, presentBenches, type HeldBench } from './benches';
import { maybeRow, pool, rows } from './db';
import { foldInTurns, look, sharing } from './folding';
import { frozenNotebook, handInsOf, written } from './hand-ins';
import { classCauses, influencesOf } from './influences';
import { benchToKeep, closedBench, keptRecord, keptSteps } from './kept';
import { presentNotebook } from './notebooks';
import { asksFor } from './runs';
import { NotFound, Unreadable } from './sentences';

const lineRow = z.object({
  studentId: z.uuid(),
  name: z.string(),
  place: z.number(),
  practical: z.enum(PRACTICAL_IDS),
  runId: z.uuid().nullable(),
  sampleNumber: z.string().nullable(),
  closed: z.boolean(),
  record: keptRecord.nullable(),
  steps: keptSteps.nullable(),
  handIns: z.number(),
  lastActSeconds: z.number().nullable(),
  lastHandInSeconds: z.number().nullable(),
  last: z
    .object({
      checked: z.array(checkedItemSchema),
      answers: z.record(z.string(), answerSchema),
      asks: reportSchema,
    })
    .nullable(),
});

const judged = (item: CheckedItem): boolean => (item.kind === 'number' ? item.trueValue !== null : item.right !== null);

function classItem(item: CheckedItem, last: NonNullable<z.infer<typeof lineRow>['last']>): ClassItem {
  const typed = last.answers[item.key];
  const ask = last.asks.find(({ key }) => key === item.key);
  const label = ask?.label ?? '';
  const base = { key: item.key, label, answer: written(typed), amiss: '', verdict: verdictOn(item, 'teacher') ?? '' };
  if (item.kind === 'match')
    return { ...base, truth: item.trueText ?? '', difference: null, isGood: item.right === true || item.isOpen };
  if (item.kind === 'grid') {
    const held = [typed?.text ?? '', item.trueText ?? ''] as const;
    const cells = ask?.kind === 'grid' ? cellsAmiss(...held, ask) : [];
    const amiss = ask?.kind === 'grid' ? amissText(...held, ask) : '';
    const answer = cells.length === 0 ? 'every cell' : `not ${cells.map(({ cell }) => cell).join('; ')}`;
    return { ...base, answer, amiss, truth: '', difference: null, isGood: item.right === item.of };
  }
  const { trueValue, unit, exact } = item;
  const difference = differenceOf(item);
  const truth = trueValue === null ? '' : exact ? short(trueValue) : significant(trueValue, 4);
  return {
    ...base,
    truth: `${truth} ${trueValue === null ? '' : unit}`.trim(),
    difference: difference === null || exact ? null : `${difference.value > 0 ? '+' : ''}${difference.text}`,
    isGood: isGood(item),
  };
}

/** So many of a sample's truths stand in the table; the rest, such as errors of glassware, in the look at a run. */
const TRUTHS_TOLD = 2;

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

function classLine(line: z.infer<typeof lineRow>, rank: number, present: HeldBench | undefined): ClassLine {
  const bench = present && atRest(present);
  // A closed run is what it was.
  const record = line.record ?? bench?.record();
  const { last } = line;
  return {
    studentId: line.studentId,
    name: line.name,
    place: line.place,
    rank,
    title: PRACTICALS[line.practical].title,
    runId: line.runId,
    sampleNumber: line.sampleNumber,
    state: stateOf(line),
    steps: line.steps ?? bench?.steps() ?? [],
    handIns: line.handIns,
    truth: record?.truth.slice(0, TRUTHS_TOLD).map((entry) => entry.text) ?? [],
    items: last ? last.checked.filter(judged).map((item) => classItem(item, last)) : [],
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
       r.closed_at is not null as closed, r.kept->'record' as record, r.kept->'steps' as steps,
       (select count(*)::int from hand_ins h where h.run_id = r.id) as "handIns",
       (select extract(epoch from now() - k.created_at)::float8 from acts k where k.run_id = r.id
         order by k.number desc limit 1) as "lastActSeconds",
       (select extract(epoch from now() - max(h.created_at))::float8 from hand_ins h where h.run_id = r.id) as "lastHandInSeconds",
       (select jsonb_build_object('checked', h.checked, 'answers', h.answers, 'asks', h.asks) from hand_ins h
         where h.run_id = r.id order by h.number desc limit 1) as last
     from students s cross join assignment_samples p
       left join runs r on r.student_id = s.id and r.assignment_id = p.assignment_id and r.place = p.place
     where s.class_id = $2 and p.assignment_id = $1 order by s.name_key, s.id, p.place`,
    [assignmentId, assignment.classId],
  );
  const benches = await presentBenches(lines.flatMap(({ runId, record }) => (runId && !record ? runId : [])));
  const table = await foldInTurns(lines, [] as ClassLine[], (done, line) => {
    const rank = 1 + assignment.samples.findIndex(({ place }) => place === line.place);
    done.push(classLine(line, rank, benches.get(line.runId ?? '')));
    return done;
  });
  const causes = [];
  for (const { place, practical } of assignment.samples)
    causes.push({ title: PRACTICALS[practical].title, ...(await classCauses(assignmentId, place)) });
  return { table, causes };
}

const lookedAtRow = z.object({
  studentName: z.string().nullable(),
  className: z.string().nullable(),
  assignmentId: z.uuid().nullable(),
  timeZone: z.string(),
  practical: z.enum(PRACTICAL_IDS),
  setup: z.unknown(),
  report: reportSchema.nullable(),
  sampleNumber: z.string(),
});

const actRow = z.object({
  number: z.number(),
  atS: z.number(),
  act: z.unknown(),
  refusal: z.string().nullable(),
  note: z.string().nullable(),
  at: z.date(),
});

/** How many lines of a log are shown at first. */
const ACTS_SHOWN = 200;

/** An act in words, as a line of the log. */
type Logged = Omit<z.infer<typeof actRow>, 'act'> & { text: string };

/** The bench of a run as it was closed, or as it stands. */
async function benchOf(runId: string) {
  const kept = await closedBench(runId);
  if (kept) return { ...kept, skipped: 0 };
  const present = await presentBench(runId);
  return { ...benchToKeep(present.number, atRest(present)), skipped: present.skipped };
}

function inWords(practical: AnyPractical, act: unknown): string {
  try {
    return practical.describe(act);
  } catch {
    return 'did what this version of Fen does not know any more';
  }
}

/** The same act again and again, without a word said to it, is one line with a count; mere watching is none. */
function gathered(acts: readonly Logged[]): (Logged & { times: number })[] {
  const lines: (Logged & { times: number })[] = [];
  for (const act of acts) {
    if (act.text === 'watched') continue;
    const last = lines.at(-1);
    const isSame = last && last.text === act.text && last.refusal === act.refusal && last.note === act.note;
    if (isSame) last.times++;
    else lines.push({ ...act, times: 1 });
  }
  return lines;
}

/** One student's run, or a try of the teacher's own, as the teacher reads it: readings beside what was there, acts in order, hand-ins. @throws NotFound */
export const lookAtRun = (teacherId: string, runId: string, allActs = false) =>
  look(() => runLookedAt(teacherId, runId, allActs));

async function runLookedAt(teacherId: string, runId: string, allActs: boolean) {
  const run = await maybeRow(
    pool(),
    lookedAtRow,
    `select s.name as "studentName", c.name as "className", r.assignment_id as "assignmentId", r.practical,
       r.setup, p.report, r.sample_number as "sampleNumber", coalesce(c.time_zone, 'UTC') as "timeZone"
     from runs r left join assignment_samples p on p.assignment_id = r.assignment_id and p.place = r.place
       left join students s on s.id = r.student_id left join classes c on c.id = s.class_id
     where r.id = $2 and (c.teacher_id = $1 or r.teacher_id = $1)`,
    [teacherId, runId],
  );
  if (!run) throw new NotFound();
  if (!PRACTICALS[run.practical].setup.safeParse(run.setup).success) throw new Unreadable();
  const acts = await rows(
    pool(),
    actRow,
    'select number, at_s as "atS", act, refusal, note, created_at as at from acts where run_id = $1 order by number',
    [runId],
  );
  const practical = PRACTICALS[run.practical];
  const log = gathered(acts.map(({ act, ...entry }) => ({ ...entry, text: inWords(practical, act) })));
  const { record, steps, view, skipped } = await benchOf(runId);
  const frozen = await frozenNotebook(runId);
  return {
    ...run,
    runId,
    asks: asksFor(run),
    labels: practical.labels(run.setup),
    recordings: recordingsOf(view),
    notebook: frozen ?? (await presentNotebook(runId)).notebook,
    isFrozen: frozen !== undefined,
    title: practical.title,
    record,
    steps,
    skipped,
    handIns: await handInsOf(runId),
    moved: await influencesOf(runId),
    acts: log.slice(allActs ? 0 : -ACTS_SHOWN),
    actsBefore: allActs ? 0 : Math.max(log.length - ACTS_SHOWN, 0),
  };
}
