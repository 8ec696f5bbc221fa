import { useCallback, useState, useSyncExternalStore } from 'react';
import { useKept } from '@app/ui/use-kept';

const [LEAST, MOST] = [35, 75];

const clamp = (percent: number) => Math.min(Math.max(Math.round(percent) || 60, LEAST), MOST);

const NARROW = '(max-width: 719px)';

function useNarrow(): boolean {
  return useSyncExternalStore(
    (changed) => {
      const query = window.matchMedia(NARROW);
      query.addEventListener('change', changed);
      return () => query.removeEventListener('change', changed);
    },
    () => window.matchMedia(NARROW).matches,
    () => false,
  );
}

/** Two facing pages with a seam that can be dragged, or moved with the arrow keys. */
export function useSeam() {
  const [kept, keep] = useKept('fen-seam', '60');
  // What is wanted where there is room for both, and where there is room for one, are two things: a tablet that is
  // turned finds both pages again.
  const [wanted, setWanted] = useState<'both' | 'bench' | 'notebook'>('both');
  const [one, setOne] = useState<'bench' | 'notebook'>('bench');
  const narrow = useNarrow();
  const whole = narrow ? one : wanted;
  const percent = clamp(Number(kept));
  const move = useCallback((to: number) => keep(String(clamp(to))), [keep]);
  const turn = useCallback(
    () => setWanted((now) => (now === 'both' ? 'bench' : now === 'bench' ? 'notebook' : 'both')),
    [],
  );
  const other = useCallback(() => {
    if (narrow) setOne((now) => (now === 'bench' ? 'notebook' : 'bench'));
    else setWanted((now) => (now === 'bench' ? 'notebook' : 'bench'));
  }, [narrow]);
  return { percent, whole, narrow, move, turn, other };
}

export function Seam({ percent, onMove }: { percent: number; onMove: (to: number) => void }) {
  return (
    <div
      role="separator"
      aria-label="Seam between bench and notebook"
      aria-orientation="vertical"
      aria-valuenow={percent}
      aria-valuemin={LEAST}
      aria-valuemax={MOST}
      tabIndex={0}
      className="border-line bg-mist hover:bg-line after:bg-line-strong relative z-[6] w-[7px] shrink-0 cursor-col-resize touch-none border-x before:absolute before:inset-y-0 before:-left-[9px] before:w-6 after:absolute after:top-1/2 after:left-1/2 after:h-11 after:w-[5px] after:-translate-1/2 after:rounded pointer-coarse:before:-left-[19px] pointer-coarse:before:w-11"
      onKeyDown={(event) => {
        if (event.key === 'ArrowLeft') onMove(percent - 2);
        if (event.key === 'ArrowRight') onMove(percent + 2);
      }}
      onPointerDown={(event) => event.currentTarget.setPointerCapture(event.pointerId)}
      onPointerMove={(event) => {
        if (event.currentTarget.hasPointerCapture(event.pointerId)) onMove((100 * event.clientX) / window.innerWidth);
      }}
    />
  );
}
