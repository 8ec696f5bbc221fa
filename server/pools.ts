import { z } from 'zod';
import { significant } from '@core/analysis/quantity';
import { isOutlier, pooled, type Pooled } from '@core/analysis/pooled';
import { PRACTICAL_IDS, PRACTICALS } from '@core/practicals/registry';
import { reportSchema } from '@core/report/asks';
import { answerSchema } from '@core/notebook/document';
import { checkedItemSchema } from '@core/report/checked-item';
import { digitsHandedIn } from '@core/report/check-number';
import { differenceOf } from '@core/report/verdict';
import { assignmentOf, sampleAt, titleOf } from './assignments';
import { maybeRow, pool, rows } from './db';
import { noteTruthTold, type Knowledge } from './knowledge';
import { ownRun } from './runs';
import { NotFound, Refused } from './sentences';

/** One student's value of one thing, as it was handed in last. */
interface PoolPoint {
  runId: string;
  key: string;
  name: string;
  className: string;
  value: number;
  /** The value with as many digits as it was handed in with, or a difference in percent to hundredths. */
  text: string;
  /** Why the teacher leaves it out; null while it counts. */
  leftOut: string | null;
  isOutlier: boolean;
}

/** All values of one thing: of one material, or of how far each was from a true value of its own. */
interface PoolGroup {
  title: string;
  unit: string;
  /** True value of the thing. */
  reference: number;
  points: PoolPoint[];
  /** Over the points that count; null while there are none. */
  summary: Pooled | null;
}

const poolRow = z.object({ shown: z.boolean(), named: z.boolean(), withAssignment: z.uuid().nullable() });
type PoolRules = z.infer<typeof poolRow>;

const RULES =
  'select shown, named, with_assignment as "withAssignment" from pools where assignment_id = $1 and place = $2';

const rulesOf = async (assignmentId: string, place: number): Promise<PoolRules> =>
  (await maybeRow(pool(), poolRow, RULES, [assignmentId, place])) ?? {
    shown: false,
    named: false,
    withAssignment: null,
  };

const handedRow = z.object({
  runId: z.uuid(),
  name: z.string(),
  className: z.string(),
  practical: z.enum(PRACTICAL_IDS),
  setup: z.unknown(),
  sample: z.unknown(),
  checked: z.array(checkedItemSchema),
  answers: z.record(z.string(), answerSchema),
  asks: reportSchema,
  leftOut: z.record(z.string(), z.string()).nullable(),
});

/** The last hand-ins of a sample, and of those of the same practical in the assignment that it is pooled with. */
async function groupsOf(assignmentId: string, place: number, withOther: string | null): Promise<PoolGroup[]> {
  const handed = await rows(
    pool(),
    handedRow,
    `select r.id as "runId", s.name, c.name as "className", r.practical, r.setup, r.sample, h.checked, h.answers, h.asks,
       (select jsonb_object_agg(o.key, o.reason) from pool_left_out o where o.assignment_id = $1 and o.run_id = r.id) as "leftOut"
     from runs r join students s on s.id = r.student_id join classes c on c.id = s.class_id
       join lateral (select checked, answers, asks from hand_ins where run_id = r.id order by number desc limit 1) h on true
     where (r.assignment_id = $1 and r.place = $2)
       or (r.assignment_id = $3 and r.practical = (select practical from assignment_samples where assignment_id = $1 and place = $2))
     order by s.name_key, r.id`,
    [assignmentId, place, withOther],
  );
  const groups = new Map<string, PoolGroup>();
  for (const run of handed) {
    const same = PRACTICALS[run.practical].pool(run.setup, run.sample);
    for (const item of run.checked) {
      const ask = run.asks.find(({ key }) => key === item.key);
      if (item.kind !== 'number' || ask?.kind !== 'number' || item.trueValue === null) continue;
      const difference = differenceOf(item);
      if (difference === null) continue;
      const material = ask.quantity === null ? undefined : same[ask.quantity];
      const group = material
        ? { title: material, unit: item.unit, reference: item.trueValue }
        : { title: `${ask.label}: difference from the true value`, unit: difference.unit, reference: 0 };
      const id = `${group.title} ${group.unit}`;
      const known = groups.get(id) ?? { ...group, points: [], summary: null };
      groups.set(id, known);
      known.points.push({
        runId: run.runId,
        key: item.key,
        name: run.name,
        className: run.className,
        value: material ? item.value : difference.value,
        text: material
          ? significant(item.value, digitsHandedIn(run.answers[item.key]?.text ?? ''))
          : difference.text.replace(/ [^ ]+$/, ''),
        leftOut: run.leftOut?.[item.key] ?? null,
        isOutlier: false,
      });
    }
  }
  return [...groups.values()].map(summarised).sort((a, b) => b.points.length - a.points.length);
}

function summarised(group: PoolGroup): PoolGroup {
  const summary = pooled(group.points.filter((point) => point.leftOut === null).map(({ value }) => value)) ?? null;
  const points = group.points.map((point) => ({
    ...point,
    isOutlier: point.leftOut === null && summary !== null && isOutlier(point.value, summary),
  }));
  return { ...group, points, summary };
}

const otherRow = z.object({ id: z.uuid(), className: z.string(), opensAt: z.date() });

/** The pooled results of one sample, and what the teacher can do with them. @throws NotFound */
export async function teacherPool(teacherId: string, assignmentId: string, wanted: number | null) {
  const assignment = await assignmentOf(teacherId, assignmentId);
  const { practical, place } = sampleAt(assignment, wanted);
  const rules = await rulesOf(assignmentId, place);
  const others = await rows(
    pool(),
    otherRow,
    `select distinct a.id, c.name as "className", a.opens_at as "opensAt" from assignments a
       join classes c on c.id = a.class_id join assignment_samples s on s.assignment_id = a.id
     where c.teacher_id = $1 and a.id <> $2 and s.practical = $3 order by a.opens_at desc`,
    [teacherId, assignmentId, practical],
  );
  const groups = await groupsOf(assignmentId, place, rules.withAssignment);
  return {
    assignment,
    place,
    title: titleOf({ name: assignment.name, samples: [sampleAt(assignment, place)] }),
    rules,
    others,
    groups,
    places: assignment.samples.map((sample) => ({
      place: sample.place,
      title: PRACTICALS[sample.practical].title,
    })),
  };
}

/** Who may see a pool, and what it is pooled with. @throws NotFound, also for another teacher's assignment */
export async function setPool(
  teacherId: string,
  assignmentId: string,
  wanted: number | null,
  rules: PoolRules,
): Promise<void> {
  const { place } = sampleAt(await assignmentOf(teacherId, assignmentId), wanted);
  if (rules.withAssignment !== null) await assignmentOf(teacherId, rules.withAssignment);
  await pool().query(
    `insert into pools (assignment_id, place, shown, named, with_assignment) values ($1, $2, $3, $4, $5)
     on conflict (assignment_id, place) do update set shown = $3, named = $4, with_assignment = $5`,
    [assignmentId, place, rules.shown, rules.named, rules.withAssignment],
  );
}

/** Leaves a value out with a reason, or takes it in again with null. @throws NotFound, Refused without a reason */
export async function leaveOut(
  teacherId: string,
  assignmentId: string,
  { runId, key, reason }: { runId: string; key: string; reason: string | null },
): Promise<void> {
  await assignmentOf(teacherId, assignmentId);
  if (reason !== null && reason.trim() === '') throw new Refused('Say in a few words why this value is left out.');
  const run = await maybeRow(
    pool(),
    z.object({ id: z.uuid() }),
    `select r.id from runs r join students s on s.id = r.student_id join classes c on c.id = s.class_id
     where r.id = $2 and c.teacher_id = $1`,
    [teacherId, runId],
  );
  if (!run) throw new NotFound();
  if (reason === null)
    await pool().query('delete from pool_left_out where assignment_id = $1 and run_id = $2 and key = $3', [
      assignmentId,
      runId,
      key,
    ]);
  else
    await pool().query(
      `insert into pool_left_out (assignment_id, run_id, key, reason) values ($1, $2, $3, $4)
       on conflict (assignment_id, run_id, key) do update set reason = $4`,
      [assignmentId, runId, key, reason.trim()],
    );
}

/** Whether a run's owner may see the pool by now. */
export async function poolOpen(run: {
  assignmentId: string | null;
  place: number;
  knowledge: Knowledge;
}): Promise<boolean> {
  if (run.assignmentId === null || !run.knowledge.pooled) return false;
  return (await rulesOf(run.assignmentId, run.place)).shown;
}

/**
 * The pooled results as a student may see them: only of what they were given themselves, once nothing can be handed in
 * any more. Names only if the teacher shows them, and then no more than names.
 * @throws NotFound when it is not theirs, or not yet
 */
export async function studentPool(runId: string, tokens: Buffer[]) {
  const run = await ownRun(runId, tokens);
  if (run.assignmentId === null || !(await poolOpen(run))) throw new NotFound();
  await noteTruthTold(runId);
  const rules = await rulesOf(run.assignmentId, run.place);
  const groups = await groupsOf(run.assignmentId, run.place, rules.withAssignment);
  return {
    title: PRACTICALS[run.practical].title,
    sampleNumber: run.sampleNumber,
    groups: groups
      .filter((group) => group.points.some((point) => point.runId === runId))
      .map((group) => ({
        ...group,
        points: group.points.map((point) => ({
          value: point.value,
          text: point.text,
          leftOut: point.leftOut,
          isOutlier: point.isOutlier,
          own: point.runId === runId,
          name: point.runId === runId ? 'you' : rules.named ? point.name : null,
        })),
      })),
  };
}
