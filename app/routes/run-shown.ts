import { data } from 'react-router';
import { shownStep } from '@server/shown';
import { found, idIn, tokensOf } from '../session';
import type { Route } from './+types/run-shown';

/** A step of the method, done on a bench beside one's own. */
export async function loader({ request, params }: Route.LoaderArgs) {
  const runId = idIn(params.runId);
  const step = new URL(request.url).searchParams.get('step') ?? '';
  if (step === '' || step.length > 20) throw data(null, { status: 404 });
  const shown = await found(shownStep(runId, step, await tokensOf(request)));
  // Who asks while it is being done asks again.
  if (!shown) return new Response(null, { status: 202, headers: { 'Cache-Control': 'no-store' } });
  return Response.json(shown, { headers: { 'Cache-Control': 'private, max-age=600' } });
}
