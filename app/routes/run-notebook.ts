import { data } from 'react-router';
import { keepEdits, sentEditsSchema } from '@server/notebooks';
import { requireOwner } from '@server/runs';
import { idIn, jsonIn, tokensOf, tried } from '../session';
import type { Route } from './+types/run-notebook';

/** Edits of the notebook, as JSON. The answer means that they are committed, and brings what other tabs did. */
export function action({ request, params }: Route.ActionArgs) {
  return tried(async () => {
    const runId = idIn(params.runId);
    const tokens = await tokensOf(request);
    await requireOwner(runId, tokens);
    const sent = sentEditsSchema.safeParse(await jsonIn(request));
    if (!sent.success) {
      const isLong = sent.error.issues.some((issue) => issue.code === 'too_big');
      const sentence = isLong
        ? 'This is longer than a notebook can hold, so it was not kept.'
        : 'The notebook did not understand this change. Load the page again.';
      return data({ mistake: { sentence, field: 'form' } }, { status: isLong ? 422 : 400 });
    }
    return Response.json(await keepEdits(runId, sent.data, tokens));
  });
}
