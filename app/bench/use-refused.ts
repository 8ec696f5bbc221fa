import { useState } from 'react';
import type { Message } from './bench-line';

/** Where the bench's words stand: a field that is refused is linked to them. */
export const WORDS_ID = 'bench-words';

/**
 * A field whose text goes to the bench: taken, it is empty for the next; refused, what was typed stands there again and
 * is marked, with the sentence that says why.
 */
export function useRefused(message: Message | null) {
  const [text, setText] = useState('');
  const [sent, setSent] = useState<{ text: string; after: Message | null } | null>(null);
  const [refused, setRefused] = useState(false);
  if (sent && message !== sent.after) {
    setSent(null);
    if (message?.tone === 'refused') {
      setText(sent.text);
      setRefused(true);
    }
  }
  return {
    text,
    type: (next: string) => {
      setText(next);
      setRefused(false);
    },
    /** To be called when the text was sent. */
    isSent: () => {
      setSent({ text, after: message });
      setText('');
      setRefused(false);
    },
    field: { 'aria-invalid': refused || undefined, 'aria-describedby': refused ? WORDS_ID : undefined },
  } as const;
}
