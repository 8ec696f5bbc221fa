import { useMemo } from 'react';
import { flownTo, placeAt, type Flight, type Room } from '@core/physics/flight';
import { psAt } from '@core/practicals/particles/plan';
import { useFlyingWorker } from '../flying/use-flying-worker';
import type { Said, Shown } from './motion.worker';

/** Where the particle is on a bench that stands still. */
export function shownAt(flight: Flight, timeS: number, room: Room): Shown {
  const ps = psAt(timeS);
  const now = flownTo(flight, ps, room);
  return { ps, place: placeAt(now, ps), flight: now };
}

/** Has the particle fly in a worker. @param atS the bench time that shows now @param also what else its drawing depends on @returns whether that cannot be had any more */
export function useMotion(
  flight: Flight | null,
  room: Room,
  atS: () => number,
  onShown: (shown: Shown) => void,
  also: string,
): boolean {
  const { edgeNm, radiusNm } = room;
  const said = useMemo<Said | null>(() => flight && { flight, room: { edgeNm, radiusNm } }, [flight, edgeNm, radiusNm]);
  return useFlyingWorker<Said, Shown>({
    make: () => new Worker(new URL('./motion.worker.ts', import.meta.url), { type: 'module' }),
    said,
    psNow: () => psAt(atS()),
    onShown,
    also,
  });
}
