import { z } from 'zod';
import type { AnyView } from '@core/practicals/registry';
import { benchAfter, benchAt } from './benches';
import { maybeRow, pool } from './db';
import { look } from './folding';
import { keptView } from './kept';
import { requireReader } from './runs';
import { NotFound } from './sentences';

/** A moment of a run: after an act and so far into the time that follows it, or when a reading was recorded. */
export type Moment = { act: number; atS: number } | { reading: number };

/** What could be seen at the bench at a moment, for the run's owner or the teacher of its class. @throws NotFound */
export async function viewAtMoment(
  runId: string,
  moment: Moment,
  tokens: Buffer[],
): Promise<{ view: AnyView; act: number }> {
  await requireReader(runId, tokens);
  const kept = await ('act' in moment ? keptSnapshot(runId, moment) : keptReading(runId, moment.reading));
  const { act } = kept;
  // Steps are no part of a picture: whether they are told is a rule of the run as it is now.
  if (kept.view) return { view: { ...kept.view, steps: [] }, act };
  const bench = await look(() => ('act' in moment ? benchAt(runId, act, moment.atS) : benchAfter(runId, act)));
  return { view: { ...bench.view(), steps: [] }, act };
}

interface Kept {
  act: number;
  /** What was seen then; null of moments before this was kept. */
  view: AnyView | null;
}

const keptRow = z.object({ act: z.number(), view: keptView.nullable() });

/** The act that recorded a reading, counted from 0 in the order taken, and what was seen; an act can make several. @throws NotFound */
async function keptReading(runId: string, index: number): Promise<Kept> {
  const row = await maybeRow(
    pool(),
    keptRow,
    `select act, view from (
       select number as act, view, sum(coalesce(jsonb_array_length(readings), 1)) over (order by number) as so_far
       from acts where run_id = $1 and refusal is null and (readings is not null or act->>'kind' like 'record%')
         and number > (select coalesce(max(number), 0) from acts where run_id = $1 and act->>'kind' = 'startAnew' and refusal is null)
     ) read where so_far > $2 order by act limit 1`,
    [runId, index],
  );
  if (!row) throw new NotFound();
  return row;
}

/** What a snapshot shows, if there is one of this moment. */
async function keptSnapshot(runId: string, { act, atS }: { act: number; atS: number }): Promise<Kept> {
  const row = await maybeRow(
    pool(),
    z.object({ view: keptView }),
    `select view from notebook_edits where run_id = $1 and view is not null
       and edit->'sketch'->>'act' = $2::text and (edit->'sketch'->>'atS')::float8 = $3 limit 1`,
    [runId, act, atS],
  );
  return { act, view: row?.view ?? null };
}
