import { useEffect, useRef, useState } from 'react';
import { AT_IT } from './replay';

/** How often it is shown where the reader wants little motion, ms. */
const SELDOM_MS = 500;
/** A worker that is told much may have a whole run to make up for; one that is silent for so long is taken for dead, ms. */
const DEAD_MS = 12_000;
/** So often another takes its place, each after a longer wait, ms. */
const OTHERS = 4;
const WAIT_MS = 500;

interface Flies<Said, Shown> {
  /** Starts the worker. */
  make: () => Worker;
  /** What the worker is told of what flies; again whenever it is another object. Nothing is asked for as long as it is null. */
  said: Said | null;
  /** The time of the flight that shows now, ps. */
  psNow: () => number;
  onShown: (shown: Shown) => void;
}

/** What who looks is told when no worker stays alive. */
export const LOST =
  'What flies cannot be shown here just now. Nothing is lost: what is recorded is worked out by the server. Reload the page to see it again.';

/**
 * Has what flies fly in a worker, and tells where it is sixty times a second while it moves, by the bench clock; once more when it has come to
 * stand, and then no more. The worker is told what flies, and answers `{ ps }`. One that dies is replaced.
 * @returns whether none can be had any more
 */
export function useFlyingWorker<Said extends object, Shown>({
  make,
  said,
  psNow,
  onShown,
}: Flies<Said, Shown>): boolean {
  const [isLost, setLost] = useState(false);
  const worker = useRef<Worker>(null);
  const tell = useRef({ psNow, onShown, said });
  const isFresh = useRef(true);
  useEffect(() => {
    tell.current = { psNow, onShown, said };
    isFresh.current = true;
  });

  useEffect(() => {
    let frame = 0;
    let askedMs: number | null = null;
    let lastMs = -Infinity;
    let lastPs = -1;
    let others = 0;
    let waiting: ReturnType<typeof setTimeout> | undefined;
    const isQuiet = window.matchMedia('(prefers-reduced-motion: reduce)');
    const start = () => {
      const made = make();
      made.addEventListener('message', ({ data }: MessageEvent<Shown | typeof AT_IT>) => {
        if (data === AT_IT) {
          if (askedMs !== null) askedMs = performance.now();
          return;
        }
        askedMs = null;
        others = 0;
        tell.current.onShown(data);
      });
      made.addEventListener('error', replace);
      worker.current = made;
      if (tell.current.said) made.postMessage(tell.current.said);
      isFresh.current = true;
    };
    const replace = () => {
      worker.current?.terminate();
      worker.current = null;
      askedMs = null;
      if (++others > OTHERS) setLost(true);
      else waiting = setTimeout(start, WAIT_MS * 2 ** (others - 1));
    };
    const tick = (nowMs: number) => {
      frame = requestAnimationFrame(tick);
      if (!worker.current || !tell.current.said) return;
      // One question at a time.
      if (askedMs !== null) {
        if (nowMs - askedMs > DEAD_MS) replace();
        return;
      }
      if (isQuiet.matches && nowMs - lastMs < SELDOM_MS) return;
      const ps = tell.current.psNow();
      // Nothing is asked for that is drawn already.
      if (ps === lastPs && !isFresh.current) return;
      isFresh.current = false;
      lastPs = ps;
      askedMs = lastMs = nowMs;
      worker.current.postMessage({ ps });
    };
    start();
    frame = requestAnimationFrame(tick);
    return () => {
      cancelAnimationFrame(frame);
      clearTimeout(waiting);
      worker.current?.terminate();
      worker.current = null;
    };
    // One worker for as long as the bench is shown.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, []);

  const isFirst = useRef(true);
  useEffect(() => {
    // What stands there at first was told when the worker was made.
    if (isFirst.current) {
      isFirst.current = false;
      return;
    }
    if (said) worker.current?.postMessage(said);
    isFresh.current = true;
  }, [said]);
  return isLost;
}
