import { useCallback, useState } from 'react';
import { amountOf } from './typed-amount';

/**
 * The amounts that stand in the fields of a bench's verbs, and doing something with one of them: what is no amount gets a
 * sentence, and nothing is sent.
 */
export function useAmounts<Name extends string, Act>(
  first: Readonly<Record<Name, string>>,
  act: (act: Act) => void,
  say: (sentence: string) => void,
) {
  const [amounts, setAmounts] = useState(first);
  const onAmount = useCallback((name: Name, text: string) => setAmounts((all) => ({ ...all, [name]: text })), []);
  const amountAct = useCallback(
    (name: Name, unit: string, make: (value: number) => Act) => {
      const amount = amountOf(amounts[name], unit);
      if ('sentence' in amount) say(amount.sentence);
      else act(make(amount.value));
    },
    [amounts, act, say],
  );
  return { amounts, onAmount, amountAct };
}
