import { useMemo } from 'react';
import type { Film, Picture } from '@core/practicals/film';
import { psIn, type Stretch } from '@core/practicals/stretches';
import { useRun } from '@app/notebook/run-context';
import { FilmHand, type Seen, type Watched } from './film-hand';
import { useFlyingWorker } from './use-flying-worker';

interface Filmed<P extends Picture> {
  /** What is seen now. */
  still: Film<P>;
  stretch: Stretch;
  /** Whether it goes on by itself. */
  running: boolean;
  psPerS: number;
  /** The bench time that shows now. */
  atS: () => number;
  onShown: (seen: Seen<P>) => void;
}

async function filmFrom<P extends Picture>(runId: string, fromS: number, signal: AbortSignal): Promise<Film<P>> {
  const response = await fetch(`/runs/${runId}/film?from=${fromS}`, { signal });
  if (!response.ok) throw new Error(`no film: ${response.status}`);
  return (await response.json()) as Film<P>;
}

/** Shows what the server lets fly, picture by picture. @returns whether that cannot be had just now */
export function useFilm<P extends Picture>({ still, stretch, running, psPerS, atS, onShown }: Filmed<P>): boolean {
  const { runId } = useRun();
  const told = useMemo<Watched<P>>(
    () => ({ still, stretch: running ? stretch : null, psPerS }),
    [still, stretch, running, psPerS],
  );
  return useFlyingWorker<Watched<P>, Seen<P>>({
    make: () => new FilmHand<P>((fromS, signal) => filmFrom<P>(runId, fromS, signal)),
    said: told,
    psNow: () => psIn(stretch, atS(), psPerS),
    onShown,
    also: '',
  });
}
