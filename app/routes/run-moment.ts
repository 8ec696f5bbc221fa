import { data } from 'react-router';
import { viewAtMoment, type Moment } from '@server/moments';
import { found, idIn, tokensOf } from '../session';
import type { Route } from './+types/run-moment';

const whole = (text: string | null) => (text !== null && /^\d{1,7}$/.test(text) ? Number(text) : undefined);

function momentIn(url: URL): Moment | undefined {
  const reading = whole(url.searchParams.get('reading'));
  if (reading !== undefined) return { reading };
  const act = whole(url.searchParams.get('act'));
  const atS = Number(url.searchParams.get('at') ?? NaN);
  return act === undefined || !Number.isFinite(atS) ? undefined : { act, atS };
}

/** The bench as it looked at one moment of the run: for snapshots, and for the way back from a reading. */
export async function loader({ request, params }: Route.LoaderArgs) {
  const runId = idIn(params.runId);
  const moment = momentIn(new URL(request.url));
  if (!moment) throw data(null, { status: 404 });
  const view = await found(viewAtMoment(runId, moment, await tokensOf(request)));
  // What was seen at a moment does not change any more.
  return Response.json(view, { headers: { 'Cache-Control': 'private, max-age=3600' } });
}
