import { useCallback, useEffect, useRef, useState } from 'react';

/** How far a press must move to be a carry and not a press, px. */
const SLACK = 6;

export interface Carry<Thing extends string> {
  thing: Thing;
  x: number;
  y: number;
  over: Thing | null;
}

/**
 * Carrying things by hand: press, drag, let go over another thing. What lies under the hand is found by its
 * `data-thing`, in drawing and tray alike.
 */
export function useCarry<Thing extends string>(
  onSelect: (thing: Thing) => void,
  onPut: (thing: Thing, to: Thing) => void,
) {
  const [carry, setCarry] = useState<Carry<Thing> | null>(null);
  const end = useRef<(() => void) | null>(null);
  useEffect(() => () => end.current?.(), []);

  const lift = useCallback(
    (thing: Thing) => (event: React.PointerEvent) => {
      if (event.button !== 0) return;
      const [startX, startY] = [event.clientX, event.clientY];
      let now: Carry<Thing> | null = null;
      onSelect(thing);
      const under = (x: number, y: number) => {
        for (const element of document.elementsFromPoint(x, y)) {
          const found = element.closest('[data-thing]')?.getAttribute('data-thing');
          if (found && found !== thing) return found as Thing;
        }
        return null;
      };
      const move = (e: PointerEvent) => {
        if (!now && Math.hypot(e.clientX - startX, e.clientY - startY) < SLACK) return;
        const over = under(e.clientX, e.clientY);
        now = { thing, x: e.clientX, y: e.clientY, over };
        setCarry(now);
      };
      const stop = () => {
        window.removeEventListener('pointermove', move);
        window.removeEventListener('pointerup', up);
        window.removeEventListener('pointercancel', stop);
        end.current = null;
        setCarry(null);
      };
      const up = () => {
        const put = now?.over;
        stop();
        if (put) onPut(thing, put);
      };
      window.addEventListener('pointermove', move);
      window.addEventListener('pointerup', up);
      window.addEventListener('pointercancel', stop);
      end.current = stop;
    },
    [onSelect, onPut],
  );
  return { carry, lift };
}
