import { data } from 'react-router';
import { filmOf } from '@server/films';
import { found, idIn, tokensOf } from '../session';
import type { Route } from './+types/run-film';

/** Pictures of what flies on a bench, from a bench time on. */
export async function loader({ request, params }: Route.LoaderArgs) {
  const runId = idIn(params.runId);
  const fromS = Number(new URL(request.url).searchParams.get('from') || NaN);
  if (!(fromS >= 0 && fromS <= 1e9)) throw data(null, { status: 404 });
  const film = await found(filmOf(runId, await tokensOf(request), fromS));
  return Response.json(film, { headers: { 'Cache-Control': 'no-store' } });
}
