import { useMemo } from 'react';
import { PS_PER_S } from '@core/practicals/cylinder/plan';
import type { View } from '@core/practicals/cylinder/view';
import { psIn } from '@core/practicals/stretches';
import { useFlyingWorker } from '../flying/use-flying-worker';
import type { Said, Shown } from './fly.worker';

export const psOf = ({ stretch }: Pick<View, 'stretch'>, timeS: number): number => psIn(stretch, timeS, PS_PER_S);

/** Has the gas fly in a worker. @param atS the bench time that shows now @returns whether that cannot be had any more */
export function useGas(view: View, atS: () => number, onShown: (shown: Shown) => void): boolean {
  const { fills, filling, changes } = view;
  const { seed } = filling;
  const said = useMemo<Said>(
    () => ({ fills, filling, changes }),
    // The filling is the same as long as its number and its seed are.
    // eslint-disable-next-line react-hooks/exhaustive-deps
    [fills, seed, changes],
  );
  return useFlyingWorker<Said, Shown>({
    make: () => new Worker(new URL('./fly.worker.ts', import.meta.url), { type: 'module' }),
    said,
    psNow: () => psOf(view, atS()),
    onShown,
  });
}
