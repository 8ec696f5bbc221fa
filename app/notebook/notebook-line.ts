import type { Notebook } from '@core/notebook/document';
import { applyEdit } from '@core/notebook/apply-edit';
import type { Edit } from '@core/notebook/edits';
import type { Outbox, WaitingEdit } from '@app/bench/outbox';
import { newId } from '@app/ui/new-id';

export type Keeping = 'kept' | 'keeping' | 'not kept yet' | { sentence: string };

export interface NotebookState {
  notebook: Notebook;
  keeping: Keeping;
  /** Why the last edit was not made; null when it was. */
  refusal: string | null;
}

/** What the server answers to edits; see server/notebooks.ts. */
export interface EditsAnswer {
  edits: { number: number; id: string; edit: Edit }[];
  refused: { id: string; sentence: string }[];
}

/** Sends edits. Rejects only when the server cannot be reached. */
export type SendEdits = (body: {
  after: number;
  edits: { id: string; edit: Edit }[];
}) => Promise<{ status: number; answer?: EditsAnswer; sentence?: string }>;

interface Parts {
  runId: string;
  number: number;
  notebook: Notebook;
  outbox: Outbox<WaitingEdit>;
  send: SendEdits;
  onChange: (state: NotebookState) => void;
  /** Tells other tabs of this browser that there is something new. */
  onKept?: () => void;
}

interface Pending {
  id: string;
  edit: Edit;
  number: number;
}

const QUIET_MS = 350;
const RETRY_MS = [500, 1000, 2000, 4000];

/**
 * One tab's line to the notebook on the server. An edit shows at once, waits in the outbox, and goes out after a short
 * pause; what other tabs did comes back with the answer and is put under what is still on its way.
 */
export class NotebookLine {
  private state: NotebookState;
  /** The notebook as the server has it, after its edit of this number. */
  private base: Notebook;
  private number: number;
  private pending: Pending[] = [];
  private inFlight = new Set<string>();
  private order = 0;
  private failures = 0;
  private closed = false;
  private timer: ReturnType<typeof setTimeout> | undefined;
  private sending: Promise<void> | undefined;

  constructor(private readonly parts: Parts) {
    this.base = parts.notebook;
    this.number = parts.number;
    this.state = { notebook: parts.notebook, keeping: 'kept', refusal: null };
  }

  /** Takes up what an earlier page of this browser left unsent. */
  async start(): Promise<void> {
    const left = await this.parts.outbox.waiting(this.parts.runId);
    if (this.closed || left.length === 0) return;
    // What was stored is what this page's earlier self put there, so it is an edit.
    const earlier = left.map(({ editId, edit }) => ({
      id: editId,
      edit: edit as Edit,
      number: this.order++,
    }));
    this.pending = [...earlier, ...this.pending];
    this.show();
    void this.flush();
  }

  stop(): void {
    this.closed = true;
    clearTimeout(this.timer);
  }

  /** Makes an edit here and now; the server hears of it soon. @returns false when it cannot be made */
  edit(edit: Edit): boolean {
    const next = applyEdit(this.state.notebook, edit);
    if ('sentence' in next) {
      this.change({ refusal: next.sentence });
      return false;
    }
    const merged = this.mergedInto(edit);
    const entry: Pending = merged ?? { id: newId(), edit, number: this.order++ };
    if (!merged) this.pending.push(entry);
    this.change({ notebook: next.notebook, keeping: 'keeping', refusal: null });
    const { id, number } = entry;
    void this.parts.outbox
      .put({ runId: this.parts.runId, editId: id, edit: entry.edit, number })
      .catch(() => {});
    this.soon(QUIET_MS);
    return true;
  }

  /** Typing goes on in the same field: one edit grows, instead of one for each pause. */
  private mergedInto(edit: Edit): Pending | undefined {
    const last = this.pending.at(-1);
    if (!last || this.inFlight.has(last.id)) return undefined;
    if (edit.kind !== 'answer' || last.edit.kind !== 'answer' || last.edit.key !== edit.key) return undefined;
    last.edit = { ...edit, was: last.edit.was };
    return last;
  }

  /** Sends all that waits, and asks what is new. Settles when the server has answered or cannot be reached. */
  async flush(): Promise<void> {
    clearTimeout(this.timer);
    if (this.sending) await this.sending;
    if (this.closed) return;
    this.sending = this.exchange();
    await this.sending;
    this.sending = undefined;
    if (this.pending.length > 0 && this.failures === 0) await this.flush();
  }

  /** Whether all is with the server. */
  get isKept(): boolean {
    return this.pending.length === 0;
  }

  private soon(ms: number): void {
    clearTimeout(this.timer);
    if (!this.closed) this.timer = setTimeout(() => void this.flush(), ms);
  }

  private async exchange(): Promise<void> {
    const batch = this.pending.slice(0, 200).map(({ id, edit }) => ({ id, edit }));
    this.inFlight = new Set(batch.map((entry) => entry.id));
    try {
      const result = await this.parts.send({ after: this.number, edits: batch });
      if (result.status >= 500) throw new Error(String(result.status));
      this.failures = 0;
      if (result.answer) await this.take(result.answer, batch.length > 0);
      else await this.end(result.status, result.sentence);
    } catch {
      this.failures++;
      if (this.pending.length > 0) this.change({ keeping: 'not kept yet' });
      this.soon(RETRY_MS[Math.min(this.failures - 1, RETRY_MS.length - 1)] as number);
    } finally {
      this.inFlight.clear();
    }
  }

  private async take(answer: EditsAnswer, hadEdits: boolean): Promise<void> {
    for (const { number, edit } of answer.edits) {
      if (number !== this.number + 1) continue;
      const next = applyEdit(this.base, edit);
      if (!('sentence' in next)) this.base = next.notebook;
      this.number = number;
    }
    const settled = [...answer.edits, ...answer.refused].map((entry) => entry.id);
    const done = new Set(settled);
    const mine = this.pending.filter((entry) => done.has(entry.id)).map((entry) => entry.id);
    this.pending = this.pending.filter((entry) => !done.has(entry.id));
    this.show(answer.refused[0]?.sentence);
    await this.parts.outbox.remove(mine).catch(() => {});
    if (hadEdits) this.parts.onKept?.();
  }

  /** The server will not take it: what is typed stays on the screen, with the reason. */
  private async end(status: number, sentence: string | undefined): Promise<void> {
    if (status === 422 || status === 400) {
      await this.parts.outbox.remove(this.pending.map((entry) => entry.id)).catch(() => {});
      this.pending = [];
    }
    const gone = 'This notebook cannot be kept from here: you may be signed out. What you typed waits in this browser.'; // prettier-ignore
    this.change({ keeping: { sentence: sentence ?? gone } });
  }

  private show(refusal: string | null = null): void {
    let notebook = this.base;
    for (const { edit } of this.pending) {
      const next = applyEdit(notebook, edit);
      if (!('sentence' in next)) notebook = next.notebook;
    }
    this.change({ notebook, refusal, keeping: this.pending.length === 0 ? 'kept' : 'keeping' });
  }

  private change(part: Partial<NotebookState>): void {
    this.state = { ...this.state, ...part };
    if (!this.closed) this.parts.onChange(this.state);
  }
}
