import { useRef } from 'react';
import type { Bench } from './use-bench';

interface BenchKeys<Thing extends string> {
  /** In the order in which arrows go from one to the next. */
  things: readonly Thing[];
  selected: Thing;
  onSelect: (thing: Thing) => void;
  /** Enter does with a thing what is done with it most. */
  enter: (thing: Thing) => void;
  /** What each letter does, unless letters are turned off. */
  letters: Readonly<Record<string, () => void>>;
  lettersOn: boolean;
}

const ARROWS: Readonly<Record<string, 1 | -1>> = { ArrowRight: 1, ArrowDown: 1, ArrowLeft: -1, ArrowUp: -1 };

/** Working a bench by keyboard: from thing to thing, Enter, letters. Whoever types into a field is left alone. */
export function useBenchKeys<Thing extends string>({
  things,
  selected,
  onSelect,
  enter,
  letters,
  lettersOn,
}: BenchKeys<Thing>) {
  const area = useRef<HTMLDivElement>(null);
  const onKeyDown = (event: React.KeyboardEvent) => {
    const target = event.target as HTMLElement;
    if (target.matches('select, input') || event.ctrlKey || event.metaKey || event.altKey) {
      // A slider takes arrows for itself, and letters go on to the bench.
      if (!target.matches('input[type=range]') || event.key in ARROWS) return;
    }
    const isThing = target.hasAttribute('data-thing');
    const step = ARROWS[event.key];
    const letter = lettersOn ? letters[event.key.toLowerCase()] : undefined;
    if (step && isThing) {
      const next = things[(things.indexOf(selected) + step + things.length) % things.length] as Thing;
      onSelect(next);
      area.current?.querySelector<HTMLElement>(`[data-thing="${next}"]`)?.focus();
    } else if (event.key === 'Enter' && isThing) enter(selected);
    else if (letter) letter();
    else return;
    event.preventDefault();
  };
  return { area, onKeyDown };
}

/** The key that stops the bench clock and starts it. @param isGoing whether anything goes on that can be stopped */
export const clockKey = (
  bench: Pick<Bench, 'resting' | 'goOn' | 'act'> & { view: { paused: boolean } },
  isGoing: boolean,
  say: (sentence: string) => void,
) => {
  // A clock that was stopped before the page was left is started by the same key as ever.
  if (bench.resting && !bench.view.paused) bench.goOn();
  else if (bench.view.paused || isGoing) bench.act({ kind: 'clock', stopped: !bench.view.paused });
  else say('Nothing is going on that could be stopped.');
};
