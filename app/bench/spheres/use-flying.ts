import { useEffect, useRef } from 'react';
import type { View } from '@core/practicals/spheres/view';
import { PS_PER_S } from '@core/practicals/spheres/plan';
import type { Said, Shown } from './fly.worker';

/** How often it is shown where the reader wants little motion, ms. */
const SELDOM_MS = 500;
/** After so long a question is asked again, ms. */
const UNANSWERED_MS = 400;

/** The time of their flight at a bench time: they stand when the stretch is over. */
export const psOf = ({ run }: Pick<View, 'run'>, timeS: number): number =>
  Math.max(Math.min(run.toPs, run.fromPs + (timeS - run.beganS) * PS_PER_S), run.fromPs);

/**
 * Has both gases fly in a worker, and tells where they are sixty times a second while they move, by the bench clock; once more when they
 * have come to stand, and then no more.
 * @param atS the bench time that shows now
 */
export function useFlying(view: View, atS: () => number, onShown: (shown: Shown) => void): void {
  const worker = useRef<Worker>(null);
  const tell = useRef({ atS, onShown, view });
  const isFresh = useRef(true);
  useEffect(() => {
    tell.current = { atS, onShown, view };
    isFresh.current = true;
  });

  useEffect(() => {
    const made = new Worker(new URL('./fly.worker.ts', import.meta.url), { type: 'module' });
    let frame = 0;
    let askedMs: number | null = null;
    let lastMs = -Infinity;
    let lastPs = -1;
    const isQuiet = window.matchMedia('(prefers-reduced-motion: reduce)');
    const tick = (nowMs: number) => {
      frame = requestAnimationFrame(tick);
      if (askedMs !== null && nowMs - askedMs < UNANSWERED_MS) return;
      if (isQuiet.matches && nowMs - lastMs < SELDOM_MS) return;
      const ps = psOf(tell.current.view, tell.current.atS());
      // Nothing is asked for that is drawn already.
      if (ps === lastPs && !isFresh.current) return;
      isFresh.current = false;
      lastPs = ps;
      askedMs = lastMs = nowMs;
      made.postMessage({ ps } satisfies Said);
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

  const { fills, filling, changes } = view;
  const seed = filling.seed;
  useEffect(() => {
    worker.current?.postMessage({ fills, filling, changes } satisfies Said);
    isFresh.current = true;
    // The filling is the same as long as its number and its seed are.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [fills, seed, changes]);
}
