import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { applyEdit } from '@core/notebook/apply-edit';
import { emptyNotebook, type Notebook } from '@core/notebook/document';
import type { Edit } from '@core/notebook/edits';
import type { WaitingEdit } from '@app/bench/outbox';
import { NotebookLine, type EditsAnswer, type EditsReply, type NotebookState } from './notebook-line';

/** A server in memory, as server/notebooks.ts behaves: in order, each id once, refusals with a sentence. */
function fakeServer() {
  const kept: EditsAnswer['edits'] = [];
  let notebook: Notebook = emptyNotebook();
  const post = (after: number, edits: { id: string; edit: Edit }[]): EditsAnswer => {
    const refused: EditsAnswer['refused'] = [];
    for (const { id, edit } of edits) {
      if (kept.some((entry) => entry.id === id)) continue;
      const next = applyEdit(notebook, edit);
      if ('sentence' in next) {
        refused.push({ id, sentence: next.sentence });
        continue;
      }
      notebook = next.notebook;
      kept.push({ number: kept.length + 1, id, edit });
    }
    const mine = new Set(edits.map((entry) => entry.id));
    return {
      edits: kept.filter((entry) => entry.number > after),
      kept: kept.filter((entry) => mine.has(entry.id)).map((entry) => entry.id),
      refused,
    };
  };
  return { post, kept, notebook: () => notebook };
}

function tab(
  server: ReturnType<typeof fakeServer>,
  left: WaitingEdit[] = [],
  start: { number: number; notebook: Notebook } = { number: 0, notebook: emptyNotebook() },
) {
  const outbox = new Map(left.map((entry) => [entry.editId, entry]));
  const states: NotebookState[] = [];
  const net = {
    up: true,
    loseAnswer: false,
    posts: 0,
    times: [] as number[],
    refuses: (_ids: string[]): EditsReply | undefined => undefined,
  };
  const line = new NotebookLine({
    runId: 'run',
    ...start,
    outbox: {
      waiting: async () => [...outbox.values()],
      put: async (entry) => void outbox.set(entry.editId, structuredClone(entry)),
      remove: async (ids) => ids.forEach((id) => outbox.delete(id)),
    },
    send: async ({ after, edits }) => {
      net.posts++;
      net.times.push(Date.now());
      const refused = net.refuses(edits.map((entry) => entry.id));
      if (refused) return refused;
      if (!net.up) throw new Error('no network');
      const answer = server.post(after, edits);
      if (net.loseAnswer) {
        net.loseAnswer = false;
        throw new Error('cut off');
      }
      return { status: 200, answer };
    },
    onChange: (state) => states.push(state),
  });
  return { line, net, outbox, state: () => states.at(-1) as NotebookState };
}

const say = (text: string, was: string): Edit => ({ kind: 'answer', key: 'claim', answer: { text }, was });
const work = (id: string, text = '1'): Edit => ({ kind: 'putCalculation', calculation: { id, text } });
const settle = (ms = 15_000) => vi.advanceTimersByTimeAsync(ms);

beforeEach(() => void vi.useFakeTimers());
afterEach(() => void vi.useRealTimers());

describe('a tab’s line to its notebook', () => {
  it('shows an edit at once, and sends typing as one edit after a pause', async () => {
    const server = fakeServer();
    const one = tab(server);
    one.line.edit(say('O', ''));
    one.line.edit(say('On', 'O'));
    one.line.edit(say('One', 'On'));
    expect(one.state().notebook.answers['claim']?.text).toBe('One');
    expect(one.state().keeping).toBe('keeping');
    await settle();
    expect(server.kept.map((entry) => entry.edit)).toEqual([say('One', '')]);
    expect(one.state().keeping).toBe('kept');
    expect(one.outbox.size).toBe(0);
  });

  it('keeps what was done without a network, tells so, and sends it once when it is back', async () => {
    const server = fakeServer();
    const one = tab(server);
    one.net.up = false;
    one.line.edit(work('a'));
    await settle();
    one.line.edit(work('b'));
    expect(one.state().keeping).not.toBe('kept');
    expect(one.outbox.size).toBe(2);
    one.net.up = true;
    await settle();
    expect(server.kept).toHaveLength(2);
    expect(one.state().keeping).toBe('kept');
  });

  it('makes no second edit of one whose answer was lost', async () => {
    const server = fakeServer();
    const one = tab(server);
    one.net.loseAnswer = true;
    one.line.edit(work('a'));
    await settle();
    expect(server.kept).toHaveLength(1);
    expect(one.line.isKept).toBe(true);
  });

  it('puts what another tab did under its own, and both end alike', async () => {
    const server = fakeServer();
    const [one, two] = [tab(server), tab(server)];
    one.line.edit(work('a', '1 + 1'));
    two.line.edit(work('b', '2 + 2'));
    one.line.edit(say('Here', ''));
    await settle();
    two.line.edit(say('There', ''));
    await settle();
    await one.line.flush();
    expect(one.state().notebook).toEqual(server.notebook());
    expect(two.state().notebook).toEqual(server.notebook());
    expect(server.notebook().displaced).toEqual([{ key: 'claim', text: 'Here' }]);
  });

  it('takes back an edit that the server refuses, with its sentence, and keeps the rest', async () => {
    const server = fakeServer();
    const one = tab(server);
    server.post(0, [
      {
        id: 'x',
        edit: {
          kind: 'addGraph',
          graph: {
            id: 'g',
            name: 'G',
            series: [],
            lines: [],
            x: { min: '', max: '' },
            y: { min: '', max: '' },
            residuals: false,
          },
        },
      },
    ]);
    await one.line.flush();
    server.post(1, [{ id: 'y', edit: { kind: 'dropGraph', graph: 'g' } }]);
    expect(one.line.edit({ kind: 'setGraph', graph: 'g', change: { name: 'Mine' } })).toBe(true);
    one.line.edit(work('a'));
    await settle();
    expect(one.state().notebook).toEqual(server.notebook());
    expect(server.notebook().calculations).toHaveLength(1);
    expect(one.outbox.size).toBe(0);
  });

  it('sends what an earlier page left behind', async () => {
    const server = fakeServer();
    const one = tab(server, [{ runId: 'run', number: 0, editId: 'left', edit: work('a') }]);
    await one.line.start();
    await settle();
    expect(server.kept.map((entry) => entry.id)).toEqual(['left']);
    expect(one.state().notebook.calculations).toHaveLength(1);
  });

  it('refuses at once what cannot be done, and says why', () => {
    const one = tab(fakeServer());
    expect(one.line.edit({ kind: 'nameTable', table: 'none', name: 'x' })).toBe(false);
    expect(one.state().refusal).toMatch(/no longer/);
  });

  it('is told that an edit is kept which the page it came with held already, and sends it no more', async () => {
    const server = fakeServer();
    const typed = say('Typed and left', '');
    server.post(0, [{ id: 'left', edit: typed }]);
    const loaded = { number: 1, notebook: server.notebook() };
    const one = tab(server, [{ runId: 'run', number: 0, editId: 'left', edit: typed }], loaded);
    await one.line.start();
    await settle();
    expect([one.net.posts, one.outbox.size, one.line.isKept, one.state().keeping]).toEqual([1, 0, true, 'kept']);
    expect(one.state().notebook.answers['claim']?.text).toBe('Typed and left');
  });

  it('never sends without pause what the server does not settle', async () => {
    const server = fakeServer();
    const one = tab(server);
    one.net.refuses = () => ({ status: 200, answer: { edits: [], kept: [], refused: [] } });
    one.line.edit(work('a'));
    await settle(3_600_000);
    expect(one.net.posts).toBeLessThan(20);
    expect(one.state().keeping).toBe('gave up');
    const waits = one.net.times.slice(1).map((time, i) => time - (one.net.times[i] as number));
    // Each wait is longer than the last until the longest, which is never cut short again.
    for (const [i, wait] of waits.entries()) expect(wait).toBeGreaterThanOrEqual(Math.min(500 * 2 ** i, 60_000));
    one.net.refuses = () => undefined;
    await one.line.tryAgain();
    expect(one.state().keeping).toBe('kept');
  });

  it.each([400, 413, 422])(
    'takes the one edit back that is answered with %i, says why, and keeps the others',
    async (status) => {
      const server = fakeServer();
      const one = tab(server);
      for (const id of ['a', 'b', 'c']) one.line.edit(work(id));
      const bad = [...one.outbox.values()][1]?.editId as string;
      one.net.refuses = (ids) => (ids.includes(bad) ? { status, sentence: 'Not this one.' } : undefined);
      await settle();
      expect(server.notebook().calculations.map(({ id }) => id)).toEqual(['a', 'c']);
      expect([one.outbox.size, one.line.isKept]).toEqual([0, true]);
      expect(one.state().notebook).toEqual(server.notebook());
    },
  );

  it('ends with the sentence of a run that is closed, and asks no more', async () => {
    const one = tab(fakeServer());
    one.net.refuses = () => ({ status: 422, sentence: 'This run is closed.', field: 'closed' });
    one.line.edit(work('a'));
    await settle(600_000);
    expect([one.net.posts, one.state().keeping]).toEqual([1, { sentence: 'This run is closed.' }]);
  });
});

describe('one cell in two tabs', () => {
  const TABLE = {
    id: 't',
    name: 'Table 1',
    origin: 'own' as const,
    columns: [{ id: 'c', name: 'V', unit: 'mL', kind: 'typed' as const }],
    rows: [{ id: 'r', cells: {}, leftOut: null }],
  };
  const cell = (text: string): Edit => ({ kind: 'setCells', table: 't', cells: [{ row: 'r', column: 'c', text }] });

  it('is told to both, whichever came first, and the text that does not hold can be had', async () => {
    const server = fakeServer();
    const [one, two] = [tab(server), tab(server)];
    expect(one.line.edit({ kind: 'addTable', table: TABLE } as unknown as Edit)).toBe(true);
    await settle();
    await two.line.flush();
    one.line.edit(cell('24.10'));
    two.line.edit(cell('24.50'));
    await one.line.flush();
    await two.line.flush();
    // The second of them holds; its tab is told of the first.
    expect(two.state().overtaken).toMatchObject({ mine: '24.50', theirs: '24.10', holds: 'mine' });
    await one.line.flush();
    expect(one.state().overtaken).toMatchObject({ mine: '24.10', theirs: '24.50', holds: 'theirs' });
    one.line.edit(one.state().overtaken?.other as Edit);
    one.line.leaveOvertaken();
    await settle();
    expect(one.state().overtaken).toBeNull();
    // Settled in one tab, it is settled in the other.
    await two.line.flush();
    expect(two.state().overtaken).toBeNull();
    expect(JSON.stringify(server.notebook())).toContain('24.10');
    expect(JSON.stringify(server.notebook())).not.toContain('24.50');
  });

  it('is not told of the same text, of an empty one, or of what was typed long ago', async () => {
    const server = fakeServer();
    const [one, two] = [tab(server), tab(server)];
    one.line.edit({ kind: 'addTable', table: TABLE } as unknown as Edit);
    await settle();
    await two.line.flush();
    for (const [mine, theirs, laterMs] of [
      ['1.0', '1.0', 0],
      ['1.1', '', 0],
      ['1.2', '1.3', 120_000],
    ] as const) {
      one.line.edit(cell(mine));
      await settle();
      await two.line.flush();
      await settle(laterMs);
      two.line.edit(cell(theirs));
      await settle();
      await one.line.flush();
      expect([mine, one.state().overtaken]).toEqual([mine, null]);
    }
  });
});
