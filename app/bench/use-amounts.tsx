import { useState } from 'react';
import { amountOf, TypedAmount } from './typed-amount';

/** What can be done with an amount that is typed: the verb before its field, its unit, and the act that it comes to. */
export interface AmountVerb<Act> {
  verb: string;
  unit: string;
  act: (value: number) => Act;
  after?: React.ReactNode;
}

export interface Amounts<Name extends string, Act> {
  /** What stands in a field. */
  text: (name: Name) => string;
  setText: (name: Name, text: string) => void;
  /** Does what an amount is for: what is no amount gets a sentence, and nothing is sent. */
  use: (name: Name, but?: Partial<AmountVerb<Act>>) => void;
  /** Its verb with its field. */
  field: (name: Name, but?: Partial<AmountVerb<Act>>) => React.ReactNode;
}

/**
 * The amounts of a bench, by name: a table of what each is for, and the texts in their fields, kept while other things are
 * selected. @param first what stands in a field before anything was typed
 */
export function useAmounts<Name extends string, Act>(
  table: Readonly<Record<Name, AmountVerb<Act>>>,
  first: Readonly<Partial<Record<Name, string>>>,
  act: (act: Act) => void,
  say: (sentence: string) => void,
): Amounts<Name, Act> {
  const [texts, setTexts] = useState(first);
  const text = (name: Name) => texts[name] ?? '';
  const setText = (name: Name, to: string) => setTexts((all) => ({ ...all, [name]: to }));
  const use = (name: Name, but: Partial<AmountVerb<Act>> = {}) => {
    const { unit, act: make } = { ...table[name], ...but };
    const amount = amountOf(text(name), unit);
    if ('sentence' in amount) say(amount.sentence);
    else act(make(amount.value));
  };
  const field = (name: Name, but: Partial<AmountVerb<Act>> = {}) => {
    const { verb, unit, after } = { ...table[name], ...but };
    return (
      <TypedAmount
        key={`${name} ${verb}`}
        verb={verb}
        unit={unit}
        text={text(name)}
        onText={(to) => setText(name, to)}
        onDo={() => use(name, but)}
        onTwice={() => say('That was pressed twice in a moment, and was done once. Press again for more.')}
        after={after}
      />
    );
  };
  return { text, setText, use, field };
}
