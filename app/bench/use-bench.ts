import { useCallback, useEffect, useRef, useState } from 'react';
import type { Act } from '@core/practicals/titration/acts';
import type { Moving, View } from '@core/practicals/titration/view';
import { BenchLine, type Answer, type BenchState, type Send } from './bench-line';
import { openOutbox } from './outbox';

/** Posts one act to the run's own address. */
function sender(runId: string): Send<View, Moving> {
  return async ({ number, actId, atS, act }) => {
    const response = await fetch(`/runs/${runId}/acts`, {
      method: 'POST',
      headers: { 'Content-Type': 'application/json' },
      body: JSON.stringify({ number, actId, atS, act }),
      signal: AbortSignal.timeout(10_000),
    });
    // An answer that was cut off on its way rejects here, and the act is sent again.
    if (response.ok)
      return { status: response.status, answer: (await response.json()) as Answer<View, Moving> };
    const body = (await response.json().catch(() => ({}))) as { mistake?: { sentence: string } };
    return { status: response.status, sentence: body.mistake?.sentence };
  };
}

export interface Bench extends BenchState<View> {
  act: (act: Act) => void;
  /** What the bench shows now: after which act, and at what bench time. */
  moment: () => { act: number; atS: number };
}

/** The bench of a run, alive: the view as it moves, and the way to act on it. */
export function useBench(runId: string, initial: { number: number; view: View }): Bench {
  const [state, setState] = useState<BenchState<View>>({
    view: initial.view,
    waiting: 0,
    online: true,
    ended: false,
    resting: initial.view.running,
    message: null,
  });
  const [moving, setMoving] = useState<View>(initial.view);
  const line = useRef<BenchLine<Moving, View>>(null);
  const start = useRef(initial);

  useEffect(() => {
    let frame = 0;
    let made: BenchLine<Moving, View> | undefined;
    let gone = false;
    const again = () => void made?.pump();
    void openOutbox().then((outbox) => {
      if (gone) return;
      made = new BenchLine<Moving, View>({
        runId,
        ...start.current,
        outbox,
        send: sender(runId),
        onChange: setState,
      });
      line.current = made;
      void made.start();
      let last: View | undefined;
      const tick = () => {
        const now = made?.viewAt(performance.now());
        if (now && !sameView(now, last)) setMoving((last = now));
        frame = requestAnimationFrame(tick);
      };
      frame = requestAnimationFrame(tick);
    });
    window.addEventListener('online', again);
    return () => {
      gone = true;
      made?.stop();
      line.current = null;
      cancelAnimationFrame(frame);
      window.removeEventListener('online', again);
    };
  }, [runId]);

  const act = useCallback((act: Act) => line.current?.act(act, performance.now()), []);
  const moment = useCallback(
    () =>
      line.current?.moment(performance.now()) ?? { act: start.current.number, atS: start.current.view.timeS },
    [],
  );
  return { ...state, view: moving, act, moment };
}

/** Whether drawing one instead of the other would change nothing. */
function sameView(a: View, b: View | undefined): boolean {
  if (!b) return false;
  return (Object.keys(a) as (keyof View)[]).every((key) => key === 'timeS' || a[key] === b[key]);
}
