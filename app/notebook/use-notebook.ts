import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import type { Notebook } from '@core/notebook/document';
import type { Edit } from '@core/notebook/edits';
import { openEditOutbox, type Outbox, type WaitingEdit } from '@app/bench/outbox';
import { mistakeOf } from '@app/ui/mistake-of';
import { leaveWords, withLastWords } from './last-words';
import { NotebookLine, type EditsAnswer, type NotebookState, type SendEdits } from './notebook-line';

const LOOK_MS = 20_000;

function sender(runId: string): SendEdits {
  return async (body) => {
    const response = await fetch(`/runs/${runId}/notebook`, {
      method: 'POST',
      headers: { 'Content-Type': 'application/json' },
      body: JSON.stringify(body),
      // A page that is left sends its last words; larger ones wait in the outbox for the next page.
      keepalive: body.edits.length > 0 && JSON.stringify(body).length < 60_000,
      signal: AbortSignal.timeout(20_000),
    });
    if (response.ok) return { status: response.status, answer: (await response.json()) as EditsAnswer };
    return { status: response.status, ...(await mistakeOf(response)) };
  };
}

/** An outbox that can be used while the browser's database is still being opened. */
function openingOutbox(): Outbox<WaitingEdit> {
  const opened = openEditOutbox();
  return {
    waiting: async (runId) => (await opened).waiting(runId),
    put: async (edit) => (await opened).put(edit),
    remove: async (ids) => (await opened).remove(ids),
  };
}

export interface LiveNotebook extends NotebookState {
  edit: (edit: Edit) => boolean;
  /** Settles when all is kept, or when it is clear that it cannot be just now. @returns whether all is kept */
  flush: () => Promise<boolean>;
  tryAgain: () => void;
  /** Takes the last change made in this tab back. */
  undo: () => void;
  leaveOvertaken: () => void;
}

/** The notebook of a run, alive: as it stands here, kept on the server, and in step with other tabs. */
export function useNotebook(runId: string, initial: { number: number; notebook: Notebook }): LiveNotebook {
  const [state, setState] = useState<NotebookState>({
    notebook: initial.notebook,
    keeping: 'kept',
    refusal: null,
    undoes: null,
    overtaken: null,
  });
  const line = useRef<NotebookLine>(null);
  const start = useRef(initial);

  useEffect(() => {
    const channel = typeof BroadcastChannel === 'undefined' ? undefined : new BroadcastChannel(`fen-notebook-${runId}`);
    const look = () => {
      if (document.visibilityState === 'visible') void made.flush();
    };
    const leave = () => void made.flush();
    const close = () => {
      leaveWords(runId, made.unsent());
      leave();
    };
    const again = () => void made.tryAgain();
    const made = new NotebookLine({
      runId,
      ...start.current,
      outbox: withLastWords(openingOutbox()),
      send: sender(runId),
      onChange: setState,
      onKept: () => channel?.postMessage('kept'),
    });
    line.current = made;
    void made.start();
    channel?.addEventListener('message', leave);
    window.addEventListener('online', again);
    window.addEventListener('focus', look);
    document.addEventListener('visibilitychange', look);
    window.addEventListener('pagehide', close);
    const timer = setInterval(look, LOOK_MS);
    return () => {
      void made.flush().finally(() => made.stop());
      line.current = null;
      channel?.close();
      clearInterval(timer);
      window.removeEventListener('online', again);
      window.removeEventListener('focus', look);
      document.removeEventListener('visibilitychange', look);
      window.removeEventListener('pagehide', close);
    };
  }, [runId]);

  const edit = useCallback((next: Edit) => line.current?.edit(next) ?? false, []);
  const flush = useCallback(async () => {
    await line.current?.flush();
    return line.current?.isKept ?? false;
  }, []);
  const tryAgain = useCallback(() => void line.current?.tryAgain(), []);
  const undo = useCallback(() => line.current?.undo(), []);
  const leaveOvertaken = useCallback(() => line.current?.leaveOvertaken(), []);
  return useMemo(
    () => ({ ...state, edit, flush, tryAgain, undo, leaveOvertaken }),
    [state, edit, flush, tryAgain, undo, leaveOvertaken],
  );
}
