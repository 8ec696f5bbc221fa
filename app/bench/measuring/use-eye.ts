import { useEffect, useRef, useState } from 'react';
import type { Act } from '@core/practicals/measuring/acts';
import type { View } from '@core/practicals/measuring/view';

/** So long after its last move the eye is where it was brought, ms. */
const EYE_RESTS_MS = 180;

/**
 * Where the eye is: as the student is just moving it, until the bench has answered. However its slider is set, by hand,
 * finger, key or by what reads the screen aloud, the bench is told when it rests, or before whatever is done next.
 */
export function useEye(view: View, waiting: number, send: (act: Act) => void) {
  const [moving, setMoving] = useState<{ mm: number; of: number } | null>(null);
  const due = useRef<{ timer: ReturnType<typeof setTimeout>; mm: number } | null>(null);
  const tell = useRef(send);
  useEffect(() => {
    tell.current = send;
  });
  if (moving !== null && (moving.of !== view.look.n || (waiting === 0 && view.eyeMm === moving.mm))) setMoving(null);
  const settle = () => {
    if (!due.current) return;
    clearTimeout(due.current.timer);
    const { mm } = due.current;
    due.current = null;
    tell.current({ kind: 'eye', mm });
  };
  useEffect(() => () => clearTimeout(due.current?.timer), []);
  const bring = (mm: number) => {
    setMoving({ mm, of: view.look.n });
    clearTimeout(due.current?.timer);
    due.current = { mm, timer: setTimeout(settle, EYE_RESTS_MS) };
  };
  return { eye: moving?.mm ?? view.eyeMm, bring, settle };
}
