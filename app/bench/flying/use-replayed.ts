import { useMemo } from 'react';
import { psIn, type Stretch } from '@core/practicals/stretches';
import type { Told } from './replay';
import { useFlyingWorker } from './use-flying-worker';

interface Replayed<Filling, Change, Shown> {
  told: Told<Filling, Change>;
  stretch: Stretch;
  psPerS: number;
  /** The bench time that shows now. */
  atS: () => number;
  make: () => Worker;
  onShown: (shown: Shown) => void;
  /** What else the drawing depends on. */
  also: string;
}

/** Has a filling fly in a worker, by what was done to it. @returns whether that cannot be had any more */
export function useReplayed<Filling extends { seed: number }, Change, Shown>({
  told: { fills, filling, changes },
  stretch,
  psPerS,
  atS,
  make,
  onShown,
  also,
}: Replayed<Filling, Change, Shown>): boolean {
  const { seed } = filling;
  const said = useMemo(
    () => ({ fills, filling, changes }),
    // The filling is the same as long as its number and its seed are.
    // eslint-disable-next-line react-hooks/exhaustive-deps
    [fills, seed, changes],
  );
  return useFlyingWorker<Told<Filling, Change>, Shown>({
    make,
    said,
    psNow: () => psIn(stretch, atS(), psPerS),
    onShown,
    also,
  });
}
