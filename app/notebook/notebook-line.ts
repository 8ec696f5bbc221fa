import type { Notebook } from '@core/notebook/document';
import { applyEdit } from '@core/notebook/apply-edit';
import type { Edit } from '@core/notebook/edits';
import { nameOfEdit, undoOf } from '@core/notebook/undo';
import { inParts } from '@core/notebook/weight';
import type { Outbox, WaitingEdit } from '@app/bench/outbox';
import { Backoff } from '@app/ui/backoff';
import { newId } from '@app/ui/new-id';
import { settles, TypedCells, type Overtaken } from './two-tabs';

export type Keeping = 'kept' | 'keeping' | 'not kept yet' | 'gave up' | { sentence: string };

export interface NotebookState {
  notebook: Notebook;
  keeping: Keeping;
  /** Why the last edit was not made; null when it was. */
  refusal: string | null;
  /** What would be taken back, in words; null when there is nothing. */
  undoes: string | null;
  /** A cell that another tab has filled, too; null when there is none. */
  overtaken: Overtaken | null;
}

/** What the server answers to edits; see server/notebooks.ts. */
export interface EditsAnswer {
  edits: { number: number; id: string; edit: Edit }[];
  kept: string[];
  /** Whether there are edits beyond these. */
  more?: boolean;
  refused: { id: string; sentence: string }[];
}

/** Sends edits. Rejects only when the server cannot be reached. */
export type SendEdits = (body: { after: number; edits: { id: string; edit: Edit }[] }) => Promise<EditsReply>;

export interface EditsReply {
  status: number;
  answer?: EditsAnswer;
  sentence?: string;
  /** `closed` when nothing more can be kept. */
  field?: string;
}

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
const UNDO_AT_MOST = 100;
/** The server takes 256 kB; a sign may take more than one byte. */
const POST_AT_MOST = 200_000;

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
  private readonly backoff = new Backoff(() => void this.flush());
  private closed = false;
  private timer: ReturnType<typeof setTimeout> | undefined;
  private sending: Promise<void> | undefined;
  /** How many of the edits that wait are to be sent one at a time. */
  private alone = 0;
  /** Own edits that can be taken back, the last at the end. */
  private done: { edit: Edit; back: Edit[] }[] = [];
  private ended = false;
  private readonly typed = new TypedCells();

  constructor(private readonly parts: Parts) {
    this.base = parts.notebook;
    this.number = parts.number;
    this.state = { notebook: parts.notebook, keeping: 'kept', refusal: null, undoes: null, overtaken: null };
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
    this.backoff.reset();
    clearTimeout(this.timer);
  }

  /** Makes an edit here and now; the server hears of it soon. @returns false when it cannot be made */
  edit(edit: Edit): boolean {
    const before = this.state.notebook;
    const back = undoOf(before, edit);
    if (!inParts(edit).every((part) => this.editPart(part))) return false;
    // Typing that goes on in one field is one thing to take back.
    const last = this.done.at(-1);
    const goesOn = edit.kind === 'answer' && last?.edit.kind === 'answer' && last.edit.key === edit.key;
    if (goesOn) last.edit = edit;
    else if (back.length > 0) this.done = [...this.done.slice(-UNDO_AT_MOST + 1), { edit, back }];
    this.tellUndo();
    return true;
  }

  /** Takes the last edit of this tab back. */
  undo(): void {
    const last = this.done.pop();
    for (const step of last?.back ?? []) {
      const back = step.kind === 'answer' ? { ...step, was: this.state.notebook.answers[step.key]?.text ?? '' } : step;
      inParts(back).forEach((part) => this.editPart(part));
    }
    this.tellUndo();
  }

  private tellUndo(): void {
    const last = this.done.at(-1);
    this.change({ undoes: last ? nameOfEdit(last.edit) : null });
  }

  private editPart(edit: Edit): boolean {
    const next = applyEdit(this.state.notebook, edit);
    if ('sentence' in next) {
      this.change({ refusal: next.sentence });
      return false;
    }
    const merged = this.mergedInto(edit);
    const entry: Pending = merged ?? { id: newId(), edit, number: this.order++ };
    if (!merged) this.pending.push(entry);
    this.typed.note(entry.id, edit, Date.now());
    this.change({ notebook: next.notebook, keeping: 'keeping', refusal: null });
    const { id, number } = entry;
    void this.parts.outbox.put({ runId: this.parts.runId, editId: id, edit: entry.edit, number }).catch(() => {});
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

  /** It is known that a cell was filled in two tabs. */
  leaveOvertaken(): void {
    this.change({ overtaken: null });
  }

  /** Sends all that waits, and asks what is new. Settles when the server has answered or cannot be reached. */
  async flush(): Promise<void> {
    clearTimeout(this.timer);
    this.backoff.pause();
    if (this.sending) await this.sending;
    if (this.closed || this.ended) return;
    this.sending = this.exchange();
    await this.sending;
    this.sending = undefined;
    if (this.pending.length > 0 && this.backoff.failures === 0) await this.flush();
  }

  /** A person asks, or the network is back: tries as if for the first time. */
  async tryAgain(): Promise<void> {
    this.backoff.reset();
    await this.flush();
  }

  /** All that is not acknowledged, as it waits in the outbox. */
  unsent(): WaitingEdit[] {
    return this.pending.map(({ id, edit, number }) => ({
      runId: this.parts.runId,
      editId: id,
      edit,
      number,
    }));
  }

  /** Whether all is with the server. */
  get isKept(): boolean {
    return this.pending.length === 0;
  }

  private soon(ms: number): void {
    clearTimeout(this.timer);
    if (!this.closed) this.timer = setTimeout(() => void this.flush(), ms);
  }

  /** As many as one post holds; one alone while it is being found which of several is refused. */
  private batch(): { id: string; edit: Edit }[] {
    const batch: { id: string; edit: Edit }[] = [];
    let size = 0;
    for (const { id, edit } of this.pending.slice(0, this.alone > 0 ? 1 : 200)) {
      size += JSON.stringify(edit).length * 2 + 100;
      if (batch.length > 0 && size > POST_AT_MOST) break;
      batch.push({ id, edit });
    }
    if (this.alone > 0) this.alone--;
    return batch;
  }

  private async exchange(): Promise<void> {
    const batch = this.batch();
    this.inFlight = new Set(batch.map((entry) => entry.id));
    try {
      const result = await this.parts.send({ after: this.number, edits: batch });
      if (result.status >= 500) throw new Error(String(result.status));
      if (result.answer) await this.take(result.answer, batch);
      else await this.end(result, batch);
      this.backoff.reset();
    } catch {
      this.failed();
    } finally {
      this.inFlight.clear();
    }
  }

  private failed(): void {
    if (this.closed) return;
    const goesOn = this.backoff.failed();
    if (this.pending.length > 0) this.change({ keeping: goesOn ? 'not kept yet' : 'gave up' });
  }

  /** @throws when nothing of what was sent was settled, for then sending it again at once would do no better */
  private async take(answer: EditsAnswer, batch: readonly { id: string }[]): Promise<void> {
    const waiting = new Set(this.pending.map(({ id }) => id));
    for (const { number, id, edit } of answer.edits) {
      if (number !== this.number + 1) continue;
      // Own edits that come later in this answer, or later still, hold.
      if (waiting.has(id)) waiting.delete(id);
      else {
        const overtaken = this.typed.overtakenBy(edit, (own) => waiting.has(own), Date.now());
        if (overtaken) this.change({ overtaken });
        else if (this.state.overtaken && settles(edit, this.state.overtaken)) this.change({ overtaken: null });
      }
      const next = applyEdit(this.base, edit);
      if (!('sentence' in next)) this.base = next.notebook;
      this.number = number;
    }
    const settled = [...answer.edits, ...answer.refused].map((entry) => entry.id);
    const done = new Set([...settled, ...answer.kept]);
    const mine = this.pending.filter((entry) => done.has(entry.id)).map((entry) => entry.id);
    this.pending = this.pending.filter((entry) => !done.has(entry.id));
    this.show(answer.refused[0]?.sentence);
    await this.parts.outbox.remove(mine).catch(() => {});
    if (answer.more && answer.edits.length > 0) this.soon(0);
    if (batch.length > 0) this.parts.onKept?.();
    if (batch.length > 0 && !batch.some(({ id }) => done.has(id))) throw new Error('nothing was settled');
  }

  /** The server will not take it: a closed book ends here; a bad edit leaves the queue, with the reason. */
  private async end({ status, sentence, field }: EditsReply, batch: readonly { id: string }[]): Promise<void> {
    const gone = 'This notebook cannot be kept from here: you may be signed out. What you typed waits in this browser.';
    if (field === 'closed') await this.leave(new Set(this.pending.map((entry) => entry.id)));
    if (field === 'closed' || [401, 403, 404].includes(status)) {
      this.ended = true;
      return this.change({ keeping: { sentence: sentence ?? gone } });
    }
    // Which of several it will not take is found by sending them one at a time.
    if (batch.length > 1) this.alone = batch.length;
    else {
      await this.leave(new Set(batch.map((entry) => entry.id)));
      this.show(sentence ?? 'The server did not understand this change, so it was taken back.');
    }
  }

  private async leave(gone: ReadonlySet<string>): Promise<void> {
    this.pending = this.pending.filter((entry) => !gone.has(entry.id));
    await this.parts.outbox.remove([...gone]).catch(() => {});
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
