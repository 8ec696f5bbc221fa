import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import type { AnyFrame, AnyView } from '@core/practicals/registry';
import { mistakeOf } from '@app/ui/mistake-of';
import { blend } from './blend';
import type { Answer, BenchState, Send } from './bench-answers';
import { BenchLine } from './bench-line';
import { openOutbox } from './outbox';
import { Steady } from './steady';

/** How often a tab looks whether another machine has done something. */
const LOOK_MS = 20_000;

/** Posts one act, or that somebody watches, to the run's own address. */
function sender(runId: string): Send<AnyView> {
  return async ({ has, ...sent }) => {
    const body =
      'after' in sent
        ? { after: sent.after, atS: sent.atS, has }
        : { number: sent.number, actId: sent.actId, atS: sent.atS, act: sent.act, has };
    const response = await fetch(`/runs/${runId}/acts`, {
      method: 'POST',
      headers: { 'Content-Type': 'application/json' },
      body: JSON.stringify(body),
      signal: AbortSignal.timeout(10_000),
    });
    // An answer that was cut off on its way rejects here, and the act is sent again.
    if (response.ok) return { status: response.status, answer: (await response.json()) as Answer<AnyView> };
    return { status: response.status, ...(await mistakeOf(response)) };
  };
}

/** An act as it goes out: what it may be is the practical's to say. */
export type AnyAct = { kind: string } & Record<string, unknown>;

export interface Bench<View = AnyView> extends BenchState<View> {
  act: (act: AnyAct) => void;
  /** What a person can say to acts that wait. */
  doOffered: () => void;
  leaveOffered: () => void;
  tryAgain: () => void;
  leaveFirst: () => void;
  /** Somebody is back: what was held still while nobody was here goes on. */
  goOn: () => void;
  /** What the bench shows now: after which act, and at what bench time. */
  moment: () => { act: number; atS: number };
}

/**
 * The bench of a run, alive: the view as it moves, and the way to act on it.
 * @param isFixed whether nothing more can be done there
 */
export function useBench(runId: string, initial: { number: number; view: AnyView }, isFixed: boolean): Bench {
  const [state, setState] = useState<BenchState<AnyView>>({
    view: initial.view,
    answered: initial.number,
    waiting: 0,
    online: true,
    gaveUp: false,
    offered: 0,
    ended: false,
    resting: initial.view.running,
    message: null,
  });
  const [moving, setMoving] = useState<AnyView>(initial.view);
  const line = useRef<BenchLine<AnyFrame, AnyView>>(null);
  const start = useRef(initial);
  const fixed = useRef(isFixed);
  useEffect(() => {
    fixed.current = isFixed;
    line.current?.fix(isFixed);
  }, [isFixed]);

  useEffect(() => {
    let frame = 0;
    let made: BenchLine<AnyFrame, AnyView> | undefined;
    let gone = false;
    let last: AnyView | undefined;
    const steady = new Steady<AnyView>();
    const show = () => {
      const moved = made?.viewAt(performance.now());
      const now = moved && steady.of(moved);
      if (now && !sameView(now, last)) setMoving((last = now));
    };
    const again = () => made?.tryAgain();
    const look = () => {
      if (document.visibilityState === 'visible') void made?.refresh();
    };
    const channel = typeof BroadcastChannel === 'undefined' ? undefined : new BroadcastChannel(`fen-bench-${runId}`);
    channel?.addEventListener('message', look);
    const timer = setInterval(look, LOOK_MS);
    void openOutbox().then((outbox) => {
      if (gone) return;
      made = new BenchLine<AnyFrame, AnyView>({
        runId,
        ...start.current,
        outbox,
        send: sender(runId),
        blend,
        // What the bench answers and what it looks like are seen together: not the one a frame before the other.
        onChange: (next) => {
          setState(next);
          show();
        },
        look: async () => {
          const response = await fetch(`/runs/${runId}/acts`, { signal: AbortSignal.timeout(10_000) });
          if (!response.ok) throw new Error(String(response.status));
          return (await response.json()) as { number: number; view: AnyView };
        },
        onActed: () => channel?.postMessage('acted'),
      });
      line.current = made;
      made.fix(fixed.current);
      void made.start();
      const tick = () => {
        show();
        frame = requestAnimationFrame(tick);
      };
      frame = requestAnimationFrame(tick);
    });
    window.addEventListener('online', again);
    window.addEventListener('focus', look);
    document.addEventListener('visibilitychange', look);
    return () => {
      gone = true;
      made?.stop();
      line.current = null;
      cancelAnimationFrame(frame);
      channel?.close();
      clearInterval(timer);
      window.removeEventListener('online', again);
      window.removeEventListener('focus', look);
      document.removeEventListener('visibilitychange', look);
    };
  }, [runId]);

  const act = useCallback((act: AnyAct) => line.current?.act(act, performance.now()), []);
  const moment = useCallback(
    () => line.current?.moment(performance.now()) ?? { act: start.current.number, atS: start.current.view.timeS },
    [],
  );
  const ways = useMemo(
    () => ({
      doOffered: () => line.current?.doOffered(performance.now()),
      leaveOffered: () => line.current?.leaveOffered(),
      tryAgain: () => line.current?.tryAgain(),
      leaveFirst: () => void line.current?.leaveFirst(),
      goOn: () => line.current?.goOn(),
    }),
    [],
  );
  return { ...state, ...ways, view: moving, act, moment };
}

/** Whether drawing one instead of the other would change nothing. */
function sameView(a: AnyView, b: AnyView | undefined): boolean {
  if (!b) return false;
  const was = new Map<string, unknown>(Object.entries(b));
  return Object.entries(a).every(([key, value]) => key === 'timeS' || same(value, was.get(key)));
}

/** The same, or lists of the same numbers: those of a frame between two are made anew each time. */
function same(a: unknown, b: unknown): boolean {
  if (a === b) return true;
  return Array.isArray(a) && Array.isArray(b) && a.length === b.length && a.every((one, i) => one === b[i]);
}
