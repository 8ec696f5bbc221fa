import { useEffect, useRef, useState } from 'react';
import { FlyingLine, type Hand } from './flying-line';

interface Flies<Said, Shown> {
  /** Starts the worker. */
  make: () => Hand;
  /** What the worker is told of what flies; again whenever it is another object. Nothing is asked for as long as it is null. */
  said: Said | null;
  /** The time of the flight that shows now, ps. */
  psNow: () => number;
  onShown: (shown: Shown) => void;
  /** What else the drawing depends on: when it is another, it is drawn once more though nothing moves. */
  also: string;
}

/** What who looks is told when no worker stays alive. */
export const LOST =
  'What flies cannot be shown here just now. Nothing is lost: what is recorded is worked out by the server. Reload the page to see it again.';

/**
 * Has what flies fly in a worker, and tells where it is sixty times a second while it moves, by the bench clock; once more when it has come to
 * stand, and then no more.
 * @returns whether that cannot be had any more
 */
export function useFlyingWorker<Said extends object, Shown>({
  make,
  said,
  psNow,
  onShown,
  also,
}: Flies<Said, Shown>): boolean {
  const [isLost, setLost] = useState(false);
  const line = useRef<FlyingLine<Said, Shown>>(null);
  const tell = useRef({ psNow, onShown });
  useEffect(() => {
    tell.current = { psNow, onShown };
  });

  useEffect(() => {
    const quiet = window.matchMedia('(prefers-reduced-motion: reduce)');
    const own = new FlyingLine<Said, Shown>({
      make,
      psNow: () => tell.current.psNow(),
      onShown: (shown) => tell.current.onShown(shown),
      onLost: () => setLost(true),
      onBack: () => setLost(false),
      isQuiet: () => quiet.matches,
    });
    line.current = own;
    let frame = 0;
    const tick = (nowMs: number) => {
      frame = requestAnimationFrame(tick);
      own.frame(nowMs);
    };
    frame = requestAnimationFrame(tick);
    const again = () => own.again();
    window.addEventListener('online', again);
    return () => {
      window.removeEventListener('online', again);
      cancelAnimationFrame(frame);
      own.close();
      line.current = null;
    };
    // One line for as long as the bench is shown.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, []);

  useEffect(() => {
    if (said) line.current?.tell(said);
  }, [said]);
  useEffect(() => {
    line.current?.drawAnew();
  }, [also]);
  return isLost;
}
