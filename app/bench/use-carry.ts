import { useCallback, useEffect, useRef, useState } from 'react';

/** How far a press must move to be a carry and not a press, px. */
const SLACK = 6;

/** Half of the breadth that a finger needs, px. */
const FINGER_PX = 22;

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

  /** A press on nothing takes what lies within a finger's breadth of it. @param take what lifting a thing is here */
  const near =
    (take: (thing: Thing) => (event: React.PointerEvent) => void) => (event: React.PointerEvent<HTMLElement>) => {
      const target = event.target as Element;
      if (target.closest('[data-thing], [data-tap], button, input, select, label, figure')) return;
      let best: { thing: Thing; away: number } | null = null;
      for (const element of event.currentTarget.querySelectorAll('[data-thing]')) {
        // Its own room to be grasped: what is drawn of it may reach further.
        const room = element.querySelector(':scope > rect') ?? element;
        const { left, right, top, bottom } = room.getBoundingClientRect();
        const away = Math.max(left - event.clientX, event.clientX - right, top - event.clientY, event.clientY - bottom);
        if (away <= FINGER_PX && (best === null || away < best.away))
          best = { thing: element.getAttribute('data-thing') as Thing, away };
      }
      if (best) take(best.thing)(event);
    };
  return { carry, lift, near };
}
