import { useState } from 'react';
import { capital } from '@app/ui/capital';
import type { AnyAct, Bench } from './use-bench';
import { useAmounts, type Amounts, type AmountVerb } from './use-amounts';
import { clockKey, useBenchKeys } from './use-bench-keys';
import type { SceneHands } from './scene-thing';
import { useCarry } from './use-carry';

/**
 * What is meant when a thing is put to another, or Enter is pressed on one: an act, or an amount by its name, which is still
 * to be typed; null where nothing is; undefined where all of it is done already.
 */
export type Move<Name extends string, Act> = Act | Name | null | undefined;

interface HandsOf<Thing extends string, Name extends string, Act> {
  bench: Pick<Bench, 'resting' | 'goOn' | 'act'> & { view: { paused: boolean; running: boolean } };
  say: (sentence: string) => void;
  lettersOn: boolean;
  /** In the order in which arrows go from one to the next; the first is selected at first. */
  things: readonly Thing[];
  first?: Thing;
  /** What is done when one is selected, beside that. */
  onSelect?: (thing: Thing) => void;
  /** What is done when one is taken by hand; else it is selected. */
  onGrasp?: (thing: Thing) => void;
  /** How the bench of this family does an act, where that takes more than sending it. */
  act?: (act: Act) => void;
  amounts: Readonly<Record<Name, AmountVerb<Act>>>;
  texts?: Readonly<Partial<Record<Name, string>>>;
  nameOf: (thing: Thing) => string;
  /** A thing with what it holds and shows, as a sentence without its end. */
  heard: (thing: Thing) => string;
  /** What putting one thing to another does; where it is left out, nothing is carried. */
  putMove?: (thing: Thing, to: Thing) => Move<Name, Act>;
  /** What is done with a thing most; where nothing is, it is told of. */
  enterMove: (thing: Thing) => Move<Name, Act>;
  /** Whether anything goes on that the clock key stops, where the view's own word is not all. */
  isGoing?: boolean;
}

export interface Hands<Thing extends string, Name extends string, Act> {
  selected: Thing;
  select: (thing: Thing) => void;
  lettersOn: boolean;
  things: readonly Thing[];
  act: (act: Act) => void;
  amounts: Amounts<Name, Act>;
  put: (thing: Thing, to: Thing) => void;
  enter: (thing: Thing) => void;
  /** Letters that every bench has: its clock, and what the selected thing holds and shows. */
  common: Readonly<Record<string, () => void>>;
  nameOf: (thing: Thing) => string;
  /** Whether the names of all things stand over the bench. */
  names: { shown: boolean; turn: () => void };
  heard: (thing: Thing) => string;
  /** What a scene is given of all this. */
  scene: SceneHands<Thing>;
  carrying: ReturnType<typeof useCarry<Thing>>;
}

/** Hands at a bench, the same for all: what is selected, amounts, putting one thing to another, Enter, what is carried. */
export function useHands<Thing extends string, Name extends string, Act extends AnyAct | { kind: string }>({
  bench,
  say,
  lettersOn,
  things,
  first = things[0] as Thing,
  onSelect,
  onGrasp,
  act = bench.act as (act: Act) => void,
  amounts: table,
  texts = {} as Readonly<Partial<Record<Name, string>>>,
  nameOf,
  heard,
  putMove,
  enterMove,
  isGoing = bench.view.running,
}: HandsOf<Thing, Name, Act>): Hands<Thing, Name, Act> {
  const [chosen, choose] = useState<Thing>(first);
  // What is no longer there is not worked with.
  const selected = things.includes(chosen) ? chosen : first;
  const amounts = useAmounts<Name, Act>(table, texts, act, say);
  const select = (thing: Thing) => {
    choose(thing);
    onSelect?.(thing);
  };
  const tell = (thing: Thing) => say(capital(`${heard(thing)}.`));
  const make = (move: Act | Name) => (typeof move === 'string' ? amounts.use(move) : act(move));
  const put = (thing: Thing, to: Thing) => {
    const move = putMove ? putMove(thing, to) : null;
    if (move === null) say(`${capital(nameOf(thing))} and ${nameOf(to)} have nothing to do with each other.`);
    else if (move !== undefined) make(move);
  };
  const enter = (thing: Thing) => {
    const move = enterMove(thing);
    if (move === null) tell(thing);
    else if (move !== undefined) make(move);
  };
  const grasp = (thing: Thing) => {
    select(thing);
    onGrasp?.(thing);
  };
  const carrying = useCarry<Thing>(grasp, put);
  const [named, setNamed] = useState(false);
  const turnNames = () => setNamed((on) => !on);
  return {
    selected,
    select,
    lettersOn,
    things,
    act,
    amounts,
    put,
    enter,
    nameOf,
    common: { p: () => clockKey(bench, isGoing, say), w: () => tell(selected), a: turnNames },
    names: { shown: named, turn: turnNames },
    heard,
    scene: { selected, onSelect: select, ...(putMove && { onEnter: enter, lift: carrying.lift }) },
    carrying,
  };
}

/** The hands' keys: arrows, Enter, and letters, those of every bench among them. */
export const useHandKeys = <Thing extends string, Name extends string, Act>(
  { selected, select, lettersOn, things, enter, common }: Hands<Thing, Name, Act>,
  letters: Readonly<Record<string, () => void>>,
) => useBenchKeys<Thing>({ things, selected, onSelect: select, enter, lettersOn, letters: { ...common, ...letters } });
