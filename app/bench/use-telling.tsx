import { useEffect, useRef, useState } from 'react';
import type { AnyLabels, AnyView } from '@core/practicals/registry';
import { drawingOf } from './every-drawing';

/** Between two sentences so long, ms: one is read out before the next stands there. */
const GAP_MS = 700;
/** More than so many are not read out one after the other: the newest are. */
const AT_MOST = 4;
/** A bench that has not moved for so long is at rest, ms. */
const RESTS_MS = 250;

/**
 * What changed at the bench, one sentence at a time, for a region that is read out. What is recorded or done is told at
 * once; what moves is told when it has come to rest.
 */
function useTelling(view: AnyView, labels: AnyLabels): string {
  const [sentence, setSentence] = useState('');
  const known = useRef(view);
  const waiting = useRef<string[]>([]);
  const speaking = useRef<ReturnType<typeof setTimeout> | null>(null);

  useEffect(() => {
    const speak = () => {
      const next = waiting.current.shift();
      speaking.current = next === undefined ? null : setTimeout(speak, GAP_MS);
      if (next !== undefined) setSentence(next);
    };
    const tell = () => {
      const sentences = drawingOf(view.family).told(known.current, view, labels);
      known.current = view;
      waiting.current = [...waiting.current, ...sentences].slice(-AT_MOST);
      if (speaking.current === null && waiting.current.length > 0) speak();
    };
    if (view.readings !== known.current.readings) tell();
    if (view.running && !view.paused) return;
    const timer = setTimeout(tell, RESTS_MS);
    return () => clearTimeout(timer);
  }, [view, labels]);
  useEffect(() => () => void (speaking.current !== null && clearTimeout(speaking.current)), []);
  return sentence;
}

/** The region that is read out: never seen, always there. */
export function Telling({ view, labels }: { view: AnyView; labels: AnyLabels }) {
  return (
    <p role="status" className="sr-only" data-testid="telling">
      {useTelling(view, labels)}
    </p>
  );
}
