import { describe, expect, it } from 'vitest';
import type { Outbox, WaitingEdit } from '@app/bench/outbox';
import { leaveWords, withLastWords } from './last-words';

/** What was typed a moment before a page is closed, in a browser whose database was not quick enough. */

function memory(items: Map<string, WaitingEdit>): Outbox<WaitingEdit> {
  return {
    waiting: async (runId) => [...items.values()].filter((item) => item.runId === runId),
    put: async (item) => void items.set(item.editId, item),
    remove: async (ids) => ids.forEach((id) => items.delete(id)),
  };
}

function storage(limit = Infinity): Storage {
  const held = new Map<string, string>();
  return {
    getItem: (key: string) => held.get(key) ?? null,
    setItem: (key: string, value: string) => {
      if (value.length > limit) throw new DOMException('full', 'QuotaExceededError');
      held.set(key, value);
    },
    removeItem: (key: string) => void held.delete(key),
    clear: () => held.clear(),
    key: () => null,
    get length() {
      return held.size;
    },
  };
}

const typed = (editId: string, text: string, runId = 'r'): WaitingEdit => ({
  runId,
  editId,
  number: 0,
  edit: { kind: 'answer', key: 'working', answer: { text }, was: '' },
});

describe('last words', () => {
  it('are taken up once, over what the database has of them, and only by their own run', async () => {
    const store = storage();
    const outbox = withLastWords(memory(new Map([['a', typed('a', 'half a thoug')]])), () => store);
    leaveWords('r', [typed('a', 'half a thought'), typed('b', 'more')], store);
    leaveWords('other', [typed('c', 'elsewhere', 'other')], store);
    expect(await outbox.waiting('r')).toEqual([typed('a', 'half a thought'), typed('b', 'more')]);
    await outbox.remove(['a', 'b']);
    expect(await outbox.waiting('r')).toEqual([]);
    expect(await outbox.waiting('other')).toHaveLength(1);
  });

  it('leave nothing where all is kept, and lose nothing else where there is no room', async () => {
    const store = storage(10);
    const outbox = withLastWords(memory(new Map([['a', typed('a', 'kept')]])), () => store);
    leaveWords('r', [typed('b', 'too long for this store')], store);
    leaveWords('r', [], store);
    expect(store.length).toBe(0);
    store.setItem('fen-last-words-r', '{rubbish');
    expect(await outbox.waiting('r')).toEqual([typed('a', 'kept')]);
  });
});
