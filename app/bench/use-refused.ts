import { useState } from 'react';
import type { Message } from './bench-answers';

/** Where the bench's words stand: a field that is refused is linked to them. */
export const WORDS_ID = 'bench-words';

/**
 * A field whose text goes to the bench: taken, it is empty for the next; refused, what was typed stands there again and
 * is marked, with the sentence that says why.
 * @param taken what has been taken so far: another list once the bench has taken what was sent
 */
export function useRefused(message: Message | null, taken: unknown) {
  const [text, setText] = useState('');
  const [sent, setSent] = useState<{ text: string; after: Message | null; taken: unknown } | null>(null);
  const [refused, setRefused] = useState(false);
  if (sent && taken !== sent.taken) setSent(null);
  else if (sent && message !== sent.after && message?.tone === 'refused') {
    setSent(null);
    setText(sent.text);
    setRefused(true);
  }
  return {
    text,
    type: (next: string) => {
      setText(next);
      setRefused(false);
    },
    /** To be called when the text was sent. */
    isSent: () => {
      setSent({ text, after: message, taken });
      setText('');
      setRefused(false);
    },
    field: { 'aria-invalid': refused || undefined, 'aria-describedby': refused ? WORDS_ID : undefined },
  } as const;
}
