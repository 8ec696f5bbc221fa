import { useEffect, useState } from 'react';
import type { AnyLabels, AnyView } from '@core/practicals/registry';
import { asSent, type SentShown, type Shown } from '@core/practicals/shown';
import { loadDrawing } from '@app/bench/every-drawing';
import { Backoff } from '@app/ui/backoff';

export interface ShownHere extends Shown<AnyView> {
  labels: AnyLabels;
}

const AWAY = 'The server cannot be reached. The step is asked for again.';
const GONE = 'This step cannot be shown now. You may be signed out here: load the page again.';
const ENDED = 'The step could not be had. Close this and try again later.';

/** What is there, 'not yet' where it is still being done, or why it cannot be had. @throws where the server cannot be reached */
async function fetchShown(runId: string, step: string): Promise<ShownHere | 'not yet' | { refused: string }> {
  const response = await fetch(`/runs/${runId}/shown?step=${encodeURIComponent(step)}`);
  if (response.status === 202 || response.status === 503) return 'not yet';
  if (response.status === 410) return { refused: String(await response.json().catch(() => ENDED)) };
  if (response.status >= 500) throw new Error(String(response.status));
  // Such as signed out meanwhile: asking again would change nothing.
  if (!response.ok) return { refused: GONE };
  const { labels, ...sent } = (await response.json()) as SentShown<AnyView> & { labels: AnyLabels };
  await loadDrawing(labels.family);
  return { ...asSent(sent), labels };
}

/** A step as it is shown, once it is there, or a sentence why it is not. */
export function useShown(runId: string, step: string): ShownHere | string | null {
  const [state, setState] = useState<ShownHere | string | null>(null);
  useEffect(() => {
    let gone = false;
    const backoff = new Backoff(() => void ask());
    const notYet = (sentence: string | null) => setState(backoff.failed() ? sentence : ENDED);
    const ask = () =>
      fetchShown(runId, step).then(
        (got) => {
          if (gone) return;
          if (got === 'not yet') notYet(null);
          else setState('refused' in got ? got.refused : got);
        },
        () => !gone && notYet(AWAY),
      );
    void ask();
    return () => {
      gone = true;
      backoff.reset();
    };
  }, [runId, step]);
  return state;
}
