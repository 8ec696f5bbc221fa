import { useCallback, useEffect, useRef, useState } from 'react';
import type { AnyDrawing } from './every-drawing';
import type { Doubt } from './notices';
import type { AnyAct, Bench } from './use-bench';
import type { Message } from './bench-answers';

/** A click of the same verb within this time is likely to be a second click of one. */
const TWICE_MS = 500;
/** Acts that one seldom wants twice in a moment, each time with another amount of what is there. */
const ONCE = ['put', 'weigh', 'pipette'];

/**
 * What is said about the bench, the newest alone: the bench's own word, the page's, or a question before an act that
 * would destroy work.
 */
export function useWords(bench: Bench, doubts: AnyDrawing['doubts']) {
  const [spoken, setSpoken] = useState<{ text: string; after: Message | null } | null>(null);
  const [doubt, setDoubt] = useState<Doubt | null>(null);
  const last = useRef({ act: '', at: 0 });
  const { act: send, message, view } = bench;
  const now = useRef(message);
  useEffect(() => {
    now.current = message;
  });
  const say = useCallback((text: string) => setSpoken({ text, after: now.current }), []);

  const act = (next: AnyAct) => {
    setSpoken(null);
    setDoubt(null);
    const text = JSON.stringify(next);
    const isSecond =
      ONCE.includes(next.kind) && last.current.act === text && performance.now() - last.current.at < TWICE_MS;
    last.current = { act: text, at: performance.now() };
    if (isSecond)
      return setDoubt({
        sentence: 'That was pressed twice in a moment, and was done once.',
        verb: 'Do it again',
        goOn: () => send(next),
      });
    const found = doubts(view, next);
    if (found) return setDoubt({ ...found, goOn: () => send(next) });
    send(next);
  };
  return {
    act,
    say,
    said: spoken && spoken.after === message ? spoken.text : null,
    doubt,
    dropDoubt: useCallback(() => setDoubt(null), []),
  };
}
