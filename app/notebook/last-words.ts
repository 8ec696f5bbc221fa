import type { Outbox, WaitingEdit } from '@app/bench/outbox';

/**
 * What a page still had in hand when it was closed. The browser's database may not get to write it any more; what is
 * written here is written before the page is gone.
 */

const keyOf = (runId: string) => `fen-last-words-${runId}`;

/** @param edits all that are not acknowledged; nothing is left behind where there are none */
export function leaveWords(runId: string, edits: readonly WaitingEdit[], store: Storage = localStorage): void {
  try {
    if (edits.length === 0) store.removeItem(keyOf(runId));
    else store.setItem(keyOf(runId), JSON.stringify(edits));
  } catch {
    // A full or forbidden store: what the database has is what is kept.
  }
}

/** An outbox that first takes up what an earlier page left behind: the same edit further typed is the later one. */
export function withLastWords(
  outbox: Outbox<WaitingEdit>,
  store: () => Storage = () => localStorage,
): Outbox<WaitingEdit> {
  const heard = (runId: string): WaitingEdit[] => {
    try {
      const text = store().getItem(keyOf(runId));
      store().removeItem(keyOf(runId));
      return text === null ? [] : (JSON.parse(text) as WaitingEdit[]);
    } catch {
      return [];
    }
  };
  return {
    ...outbox,
    waiting: async (runId) => {
      const left = heard(runId);
      await Promise.all(left.map((edit) => outbox.put(edit)));
      return outbox.waiting(runId);
    },
  };
}
