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
  const held = useRef<AnyAct[]>([]);
  const last = useRef({ act: '', at: 0 });
  const { act: send, message, view, waiting, online } = bench;
  const now = useRef(message);
  useEffect(() => {
    now.current = message;
  });
  const say = useCallback((text: string) => setSpoken({ text, after: now.current }), []);

  // What is under way may be the answer: nobody is asked before it is there, and what is done after that comes after it.
  const isComing = waiting > 0 && online;
  const decide = (next: AnyAct, behind: readonly AnyAct[] = []) => {
    const found = doubts(view, next);
    if (found && isComing) held.current = [next, ...behind];
    else {
      const goOn = () => {
        held.current = [...behind];
        send(next);
      };
      if (found) setDoubt({ ...found, about: next, goOn });
      else goOn();
    }
  };
  const act = (next: AnyAct) => {
    setSpoken(null);
    setDoubt(null);
    const text = JSON.stringify(next);
    const isSecond = isOnce(next) && last.current.act === text && performance.now() - last.current.at < TWICE_MS;
    last.current = { act: text, at: performance.now() };
    if (isSecond)
      return setDoubt({
        sentence: 'That was pressed twice in a moment, and was done once.',
        verb: 'Do it again',
        goOn: () => send(next),
      });
    if (held.current.length > 0) held.current = [...held.current, next];
    else decide(next);
  };
  useEffect(() => {
    const [next, ...behind] = held.current;
    if (next === undefined || isComing) return;
    held.current = [];
    decide(next, behind);
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
