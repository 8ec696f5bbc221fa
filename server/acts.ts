import { z } from 'zod';
import { START_ANEW } from '@core/practicals/live-bench';
import type { AnyBench } from '@core/practicals/registry';
import { OPEN } from './assignments';
import { answerTo, type ActAnswer, type WholeAnswer } from './answers';
import { askBench } from './bench-line';
import { advancedTo, afterAct, heldBench, hold, keepWhereDue, latestS, presentBench, type HeldBench } from './benches';
import { maybeRow, pool } from './db';
import { tellClass } from './feed';
import { isOfModel } from './fold';
import { NotFound, Refused } from './sentences';
import { pictureOf } from './kept';
import { noteWaited } from './waits';

/** What of the bench a client holds already: the name of the answer that it had last. */
const has = z.string().max(40).optional();

/** An act as a client sends it. */
export const sentActSchema = z.object({
  number: z.number().int().min(1).max(1_000_000),
  actId: z.uuid(),
  /** Bench time that the client showed when it was done, s. */
  atS: z.number().min(0).max(1e9),
  act: z.unknown(),
  has,
});
type SentAct = z.infer<typeof sentActSchema>;

/** Somebody who watches: after which act, and up to which bench time. */
export const sentWaitSchema = z.object({
  after: z.number().int().min(0).max(1_000_000),
  atS: z.number().min(0).max(1e9),
  has,
});
type SentWait = z.infer<typeof sentWaitSchema>;

/** How many acts a run holds. Nobody's lesson comes near it; a script would, and every look at the run pays for it. */
const ACTS_AT_MOST = 20_000;
/** How many readings a run holds; each is kept with what was seen when it was taken. */
const READINGS_AT_MOST = 1_500;
const isRecording = ({ kind }: { kind: string }) => kind.startsWith('record');

const keptRow = z.object({ assignmentId: z.uuid().nullable() });

/**
 * Writes the act if the run is open and belongs to one of the sessions, and if its number is free. One statement: who may
 * write is decided where it is written. The run's row is shared while it does, so that a hand-in, which closes it, comes
 * before or after but never between.
 */
const KEEP = `
  insert into acts (run_id, number, act_id, at_s, act, refusal, note, readings, logged, view)
  select r.id, $2, $3, $4, $5, $6, $7, $9, $10, $11 from runs r left join assignments a on a.id = r.assignment_id
  where r.id = $1 and r.closed_at is null
    and ${OPEN}
    and exists (select 1 from sessions s where s.token_hash = any($8) and s.expires_at > now()
      and (s.student_id = r.student_id or s.teacher_id = r.teacher_id))
  for share of r
  on conflict (run_id, number) do nothing
  returning (select assignment_id from runs where id = $1) as "assignmentId"`;

const whereItStandsRow = z.object({
  mine: z.boolean(),
  closed: z.boolean(),
  open: z.boolean(),
  actId: z.uuid().nullable(),
  refusal: z.string().nullable(),
  note: z.string().nullable(),
  deeds: z.number(),
});

/** Why nothing was written, found out only then. */
const WHERE_IT_STANDS = `
  select exists (select 1 from sessions s where s.token_hash = any($3) and s.expires_at > now()
      and (s.student_id = r.student_id or s.teacher_id = r.teacher_id)) as mine,
    r.closed_at is not null as closed,
    ${OPEN} as open,
    k.act_id as "actId", k.refusal, k.note,
    (select count(*)::int from acts d where d.run_id = r.id and d.number >= $2 and d.act->>'kind' <> 'wait') as deeds
  from runs r left join assignments a on a.id = r.assignment_id
    left join acts k on k.run_id = r.id and k.number = $2
  where r.id = $1`;

/**
 * Who is told that a run or its assignment is closed needs no bench for that. An act that is kept already is told of
 * all the same.
 * @throws NotFound, Refused
 */
async function refuseWhereShut(runId: string, sent: SentAct, tokens: Buffer[]) {
  const whereItStands = await maybeRow(pool(), whereItStandsRow, WHERE_IT_STANDS, [runId, sent.number, tokens]);
  if (!whereItStands?.mine) throw new NotFound();
  const isKept = whereItStands.actId === sent.actId;
  if (!isKept && whereItStands.closed)
    throw new Refused('This run is handed in and closed. Nothing more was done at the bench.', 'closed');
  if (!isKept && !whereItStands.open)
    throw new Refused('This assignment is closed. What you did before is kept; nothing more was done.', 'closed');
  return { ...whereItStands, isKept };
}

async function notKept(runId: string, sent: SentAct, tokens: Buffer[]): Promise<ActAnswer> {
  const whereItStands = await refuseWhereShut(runId, sent, tokens);
  const present = await presentBench(runId);
  if (whereItStands.isKept) {
    return answerTo(runId, present, sent.has, {
      refusal: whereItStands.refusal ?? undefined,
      note: whereItStands.note ?? undefined,
    });
  }
  return answerTo(runId, present, sent.has, { conflict: true, deeds: whereItStands.deeds });
}

/** @throws Refused where the teacher has not allowed it; a try may always begin anew */
async function mayStartAnew(runId: string): Promise<void> {
  const row = await maybeRow(
    pool(),
    z.object({ allowed: z.boolean() }),
    `select assignment_id is null or coalesce((rules->>'freshStart')::boolean, false) as allowed from runs where id = $1`,
    [runId],
  );
  if (!row?.allowed) throw new Refused('Your teacher has not allowed to begin anew here. Ask for it.');
}

/**
 * One act: folded into the bench, committed, answered with what can be seen. The same act sent again gives the same
 * answer; a number that another act holds gives a conflict.
 *
 * @param tokens hashes of the session tokens that came with the request
 * @throws NotFound when none of them owns the run, Refused when the run or its assignment is closed
 */
export function performAct(runId: string, sent: SentAct & { has?: undefined }, tokens: Buffer[]): Promise<WholeAnswer>;
export function performAct(runId: string, sent: SentAct, tokens: Buffer[]): Promise<ActAnswer>;
export async function performAct(runId: string, sent: SentAct, tokens: Buffer[]): Promise<ActAnswer> {
  if (tokens.length === 0) throw new NotFound();
  let present = heldBench(runId);
  if (!present || present.number !== sent.number - 1) {
    await refuseWhereShut(runId, sent, tokens);
    present = await presentBench(runId);
  }
  if (present.number !== sent.number - 1) return notKept(runId, sent, tokens);
  if (sent.number > ACTS_AT_MOST)
    throw new Refused(`A run holds ${ACTS_AT_MOST} acts, and this one is full. Hand in what you have.`);
  const act = present.practical.readAct(sent.act);
  if (!act) throw new Refused('The bench does not know this act. Load the page again.');
  if (act.kind === START_ANEW.kind) await mayStartAnew(runId);
  const { bench, shown } = present;
  if (isRecording(act) && bench.counted().readings >= READINGS_AT_MOST)
    throw new Refused(`A run holds ${READINGS_AT_MOST} readings, and this one is full. Hand in what you have.`);
  // Time goes forward, and no further than the client can have seen.
  const atS = Math.min(Math.max(sent.atS, shown.clockS), latestS(present));
  const { arrived, after, refusal, note, workMs } = await stepped(runId, present, atS, act);
  const values = [
    runId,
    sent.number,
    sent.actId,
    atS,
    JSON.stringify(act),
    refusal ?? null,
    note ?? null,
    tokens,
    ...whatWasAdded(bench, after ?? arrived),
  ];
  // Prepared once a connection: planning it costs more than running it.
  const written = await pool().query({ name: 'keep-act', text: KEEP, values });
  const kept = keptRow.optional().parse(written.rows[0]);
  if (!kept) return notKept(runId, sent, tokens);
  const stands = after ?? (present.model === 0 ? bench : arrived);
  const next = keepWhereDue(runId, afterAct(present, sent.number, stands, workMs));
  hold(runId, next);
  if (kept.assignmentId !== null) tellClass(kept.assignmentId);
  return answerTo(runId, next, sent.has, { refusal, note });
}

interface Stepped {
  /** The bench when the act was done, before it. */
  arrived: AnyBench;
  /** After it, unless it was refused. */
  after?: AnyBench;
  refusal?: string;
  note?: string;
  workMs: number;
}

/** One act done at a bench time: here, or, where that is a long piece of work, in the worker. */
async function stepped(runId: string, present: HeldBench, atS: number, act: { kind: string }): Promise<Stepped> {
  const { id, practical, run, model, skipped, bench } = present;
  const began = performance.now();
  const workMs = () => performance.now() - began;
  if (practical.worksLong) {
    const asked = { practical: id, run, model, kept: bench.kept(), skipped, acts: [], now: { at: atS, act } };
    const { kept, refusal, note } = await askBench(runId, asked);
    const stands = practical.resume(run.setup, run.sample, run.seed, kept);
    return { arrived: stands, ...(refusal === undefined && { after: stands }), refusal, note, workMs: workMs() };
  }
  // Under a newer model what was logged since the last act stays as it was seen.
  const from = isOfModel(practical, model) ? bench : present.shown;
  const arrived = from.advance(atS - from.clockS);
  const outcome = arrived.perform(act);
  if ('refusal' in outcome) return { arrived, refusal: outcome.refusal, workMs: workMs() };
  return { arrived, after: outcome.bench, note: outcome.note, workMs: workMs() };
}

/** What an act, and the time before it, added to readings and log; and what was seen when something was read. */
function whatWasAdded(before: AnyBench, after: AnyBench): (string | null)[] {
  const { readings, logged } = after.addedSince(before);
  const kept = (list: readonly unknown[]) => (list.length > 0 ? JSON.stringify(list) : null);
  return [kept(readings), kept(logged), readings.length > 0 ? JSON.stringify(pictureOf(after.view())) : null];
}

/**
 * Somebody watches what goes on by itself: the bench as it is then, and the frames of the next stretch. Nothing is done
 * and nothing stored, but how far it was watched. Does not ask who it is.
 */
export async function watchOn(runId: string, sent: SentWait): Promise<ActAnswer> {
  const present = heldBench(runId) ?? (await presentBench(runId));
  if (present.number !== sent.after) return answerTo(runId, await presentBench(runId), sent.has);
  const { shown } = present;
  const atS = Math.min(Math.max(sent.atS, shown.clockS), latestS(present));
  if (atS === shown.clockS) return answerTo(runId, present, sent.has);
  const next = { ...present, shown: await advancedTo(runId, present, shown, atS), knownMs: Date.now() };
  hold(runId, next);
  noteWaited(runId, { after: next.number, atS, logged: next.shown.addedSince(next.bench).logged });
  return answerTo(runId, next, sent.has);
}
