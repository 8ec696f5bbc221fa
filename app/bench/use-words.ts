import { useCallback, useEffect, useRef, useState } from 'react';
import type { AnyDrawing } from './every-drawing';
import type { Doubt } from './notices';
import type { AnyAct, Bench } from './use-bench';
import type { Message } from './bench-answers';

/** A click of the same verb within this time is likely to be a second click of one. Of amounts, `typed-amount.tsx` sees to that. */
const TWICE_MS = 500;
/** Acts that one seldom wants twice in a moment, each time with another amount of what is there. */
const ONCE = ['put', 'weigh', 'pipette'];
const isOnce = ({ kind }: AnyAct): boolean => ONCE.includes(kind) || kind.startsWith('record');

/**
 * What is said about the bench, the newest alone: the bench's own word, the page's, or a question before an act that
 * would destroy work.
 */
export function useWords(bench: Bench, doubts: AnyDrawing['doubts']) {
  const [spoken, setSpoken] = useState<{ text: string; after: Message | null } | null>(null);
  const [doubt, setDoubt] = useState<(Doubt & { about?: AnyAct }) | null>(null);
  const held = useRef<AnyAct | null>(null);
  const last = useRef({ act: '', at: 0 });
  const { act: send, message, view, waiting } = bench;
  const now = useRef(message);
  useEffect(() => {
    now.current = message;
  });
  const say = useCallback((text: string) => setSpoken({ text, after: now.current }), []);

  // What is under way may be the answer: nobody is asked before it is there.
  const decide = (next: AnyAct) => {
    const found = doubts(view, next);
    if (!found) send(next);
    else if (waiting > 0) held.current = next;
    else setDoubt({ ...found, about: next, goOn: () => send(next) });
  };
  const act = (next: AnyAct) => {
    setSpoken(null);
    setDoubt(null);
    held.current = null;
    const text = JSON.stringify(next);
    const isSecond = isOnce(next) && last.current.act === text && performance.now() - last.current.at < TWICE_MS;
    last.current = { act: text, at: performance.now() };
    if (isSecond)
      return setDoubt({
        sentence: 'That was pressed twice in a moment, and was done once.',
        verb: 'Do it again',
        goOn: () => send(next),
      });
    decide(next);
  };
  useEffect(() => {
    const next = held.current;
    if (next === null || waiting > 0) return;
    held.current = null;
    decide(next);
  });
  // A question that has been answered meanwhile is asked no more.
  const stands = doubt && (!doubt.about || doubts(view, doubt.about) !== null) ? doubt : null;
  return {
    act,
    say,
    said: spoken && spoken.after === message ? spoken.text : null,
    doubt: stands,
    dropDoubt: useCallback(() => setDoubt(null), []),
  };
}
