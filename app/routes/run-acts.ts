import { data } from 'react-router';
import { performAct, sentActSchema, sentWaitSchema, watchOn } from '@server/acts';
import { ownRun, requireOwner, standingView } from '@server/runs';
import { found, idIn, jsonIn, tokensOf, tried } from '../session';
import type { Route } from './+types/run-acts';

/** The bench as it stands, for a tab that comes back to it. */
export async function loader({ request, params }: Route.LoaderArgs) {
  const runId = idIn(params.runId);
  const { rules } = await found(ownRun(runId, await tokensOf(request)));
  return Response.json(await found(standingView(runId, rules.method)), { headers: { 'Cache-Control': 'no-store' } });
}

/** One act, as JSON: the answer means that it is committed. Or somebody who watches, and asks what goes on. */
export function action({ request, params }: Route.ActionArgs) {
  return tried(async () => {
    const runId = idIn(params.runId);
    const tokens = await tokensOf(request);
    await requireOwner(runId, tokens);
    const json = await jsonIn(request);
    const wait = sentWaitSchema.safeParse(json);
    if (wait.success) return watchOn(runId, wait.data);
    const sent = sentActSchema.safeParse(json);
    if (!sent.success) return data({ mistake: { sentence: 'That was not an act.', field: 'form' } }, { status: 400 });
    return performAct(runId, sent.data, tokens);
  });
}
