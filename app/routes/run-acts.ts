import { data } from 'react-router';
import { performAct, sentActSchema } from '@server/acts';
import { ownRun, standingView } from '@server/runs';
import { found, idIn, tokensOf, tried } from '../session';
import type { Route } from './+types/run-acts';

/** The bench as it stands, for a tab that comes back to it. */
export async function loader({ request, params }: Route.LoaderArgs) {
  const runId = idIn(params.runId);
  await found(ownRun(runId, await tokensOf(request)));
  return Response.json(await standingView(runId), { headers: { 'Cache-Control': 'no-store' } });
}

/** One act, as JSON. The answer means that it is committed. */
export function action({ request, params }: Route.ActionArgs) {
  return tried(async () => {
    const sent = sentActSchema.safeParse(await request.json().catch(() => null));
    if (!sent.success)
      return data({ mistake: { sentence: 'That was not an act.', field: 'form' } }, { status: 400 });
    return performAct(idIn(params.runId), sent.data, await tokensOf(request));
  });
}
