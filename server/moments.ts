import { z } from 'zod';
import type { AnyView } from '@core/practicals/registry';
import { benchAfter, STRETCH_S } from './benches';
import { maybeRow, pool } from './db';
import { look } from './folding';
import { OWNED, TAUGHT } from './runs';
import { NotFound } from './sentences';

/** A moment of a run: after an act and so far into the time that follows it, or when a reading was recorded. */
export type Moment = { act: number; atS: number } | { reading: number };

/** What could be seen at the bench at a moment, for the run's owner or the teacher of its class. @throws NotFound */
export async function viewAtMoment(
  runId: string,
  moment: Moment,
  tokens: Buffer[],
): Promise<{ view: AnyView; act: number }> {
  const mine = await maybeRow(
    pool(),
    z.object({ id: z.uuid() }),
    `select r.id from runs r where r.id = $1 and (${OWNED} or ${TAUGHT})`,
    [runId, tokens],
  );
  if (!mine) throw new NotFound();
  const act = 'act' in moment ? moment.act : await actOfReading(runId, moment.reading);
  const bench = await look(() => benchAfter(runId, act));
  if (!('act' in moment)) return { view: bench.view(), act };
  const later = Math.min(Math.max(moment.atS - bench.clockS, 0), STRETCH_S);
  return { view: (bench.running ? bench.advance(later) : bench).view(), act };
}

/** The number of the act that recorded a reading, counted from 0 in the order taken. @throws NotFound */
async function actOfReading(runId: string, index: number): Promise<number> {
  const row = await maybeRow(
    pool(),
    z.object({ number: z.number() }),
    `select number from acts where run_id = $1 and refusal is null and act->>'kind' like 'record%'
       and number > (select coalesce(max(number), 0) from acts where run_id = $1 and act->>'kind' = 'startAnew' and refusal is null)
     order by number offset $2 limit 1`,
    [runId, index],
  );
  if (!row) throw new NotFound();
  return row.number;
}
