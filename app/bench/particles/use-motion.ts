import { useEffect, useRef } from 'react';
import { flownTo, placeAt, type Flight, type Room } from '@core/physics/flight';
import { psAt } from '@core/practicals/particles/plan';
import type { Said, Shown } from './motion.worker';

/** Where the particle is on a bench that stands still. */
export function shownAt(flight: Flight, timeS: number, room: Room): Shown {
  const ps = psAt(timeS);
  const now = flownTo(flight, ps, room);
  return { ps, place: placeAt(now, ps), flight: now };
}

/** How often it is shown where the reader wants little motion, ms. */
const SELDOM_MS = 500;
/** After so long a question is asked again, ms. */
const UNANSWERED_MS = 100;

/**
 * Has the particle fly in a worker, and tells where it is sixty times a second, by the bench clock.
 * @param atS the bench time that shows now
 */
export function useMotion(flight: Flight | null, room: Room, atS: () => number, onShown: (shown: Shown) => void): void {
  const worker = useRef<Worker>(null);
  const tell = useRef({ atS, onShown });
  useEffect(() => {
    tell.current = { atS, onShown };
  });
  const { edgeNm, radiusNm } = room;

  useEffect(() => {
    const made = new Worker(new URL('./motion.worker.ts', import.meta.url), { type: 'module' });
    let frame = 0;
    let askedMs: number | null = null;
    let lastMs = -Infinity;
    const isQuiet = window.matchMedia('(prefers-reduced-motion: reduce)');
    const tick = (nowMs: number) => {
      frame = requestAnimationFrame(tick);
      // One question at a time; of an empty vessel there is no answer.
      if (askedMs !== null && nowMs - askedMs < UNANSWERED_MS) return;
      if (isQuiet.matches && nowMs - lastMs < SELDOM_MS) return;
      askedMs = lastMs = nowMs;
      made.postMessage({ ps: psAt(tell.current.atS()) } satisfies Said);
    };
    made.addEventListener('message', ({ data }: MessageEvent<Shown>) => {
      askedMs = null;
      tell.current.onShown(data);
    });
    worker.current = made;
    frame = requestAnimationFrame(tick);
    return () => {
      cancelAnimationFrame(frame);
      made.terminate();
      worker.current = null;
    };
  }, []);

  useEffect(() => {
    if (flight) worker.current?.postMessage({ flight, room: { edgeNm, radiusNm } } satisfies Said);
  }, [flight, edgeNm, radiusNm]);
}
