import { newId } from '@app/ui/new-id';
import type { Outbox, WaitingAct } from './outbox';
import { Playback, type Blend, type Timed } from './playback';

/** What the server answers to an act; see server/acts.ts. */
export interface Answer<View, Frame> {
  number: number;
  view: View;
  frames: Frame[];
  refusal?: string;
  note?: string;
  conflict?: true;
}

export interface Message {
  text: string;
  tone: 'refused' | 'note' | 'trouble';
}

export interface BenchState<View> {
  view: View;
  /** Acts that are not acknowledged yet. */
  waiting: number;
  /** False while the server cannot be reached. */
  online: boolean;
  /** Set when nothing more can be done here: closed, removed, signed out. */
  ended: boolean;
  /** Something was running when the page was left: held back until the person comes back to it. */
  resting: boolean;
  message: Message | null;
}

/** Sends one act. Rejects only when the server cannot be reached. */
export type Send<View, Frame> = (
  act: WaitingAct,
) => Promise<{ status: number; answer?: Answer<View, Frame>; sentence?: string }>;

interface Parts<View, Frame> {
  runId: string;
  number: number;
  view: View;
  outbox: Outbox;
  send: Send<View, Frame>;
  blend: Blend<Frame>;
  onChange: (state: BenchState<View>) => void;
}

/** A view that runs is asked on for after so much of its frames has played, s. */
const ASK_ON_AFTER_S = 1;
const RETRY_MS = [500, 1000, 2000, 4000];
const OTHER_TAB = 'Something was done at this bench in another tab or on another machine first.';

/**
 * One tab's line to the bench on the server: acts get their number, wait in the outbox, and go one by one; answers
 * bring the view and the frames that follow. Nothing leaves the outbox before it is acknowledged.
 */
export class BenchLine<Frame extends Timed, View extends Frame> {
  private state: BenchState<View>;
  private queue: WaitingAct[] = [];
  private nextNumber: number;
  private answered: number;
  private sending = false;
  private failures = 0;
  private retry: ReturnType<typeof setTimeout> | undefined;
  private closed = false;
  private readonly playback: Playback<Frame>;

  constructor(private readonly parts: Parts<View, Frame>) {
    this.playback = new Playback(parts.blend);
    this.nextNumber = parts.number + 1;
    this.answered = parts.number;
    this.state = {
      view: parts.view,
      waiting: 0,
      online: true,
      ended: false,
      resting: parts.view.running,
      message: null,
    };
    this.playback.play([parts.view], parts.view.timeS, 0);
  }

  /** Takes up what an earlier page of this browser left unsent. */
  async start(): Promise<void> {
    const left = await this.unsent();
    if (this.closed) return;
    if (this.state.resting)
      this.tell('The bench clock stood still while you were away. Any act, or P, lets it go on.', 'note');
    this.queue = [...left, ...this.queue];
    this.nextNumber = Math.max(this.nextNumber, ...this.queue.map((act) => act.number + 1));
    this.change({ waiting: this.queue.length });
    void this.pump();
  }

  /** Asking for more frames is no deed: what was asked last by a page that is gone is not asked again. */
  private async unsent(): Promise<WaitingAct[]> {
    const left = await this.parts.outbox.waiting(this.parts.runId);
    const deeds = left.findLastIndex((entry) => !isWait(entry.act)) + 1;
    await this.parts.outbox.remove(left.slice(deeds).map((entry) => entry.actId));
    return left.slice(0, deeds);
  }

  stop(): void {
    this.closed = true;
    clearTimeout(this.retry);
  }

  /** Does something at the bench, at the bench time that shows now. */
  act(act: { kind: string } & Record<string, unknown>, nowMs: number): void {
    if (this.state.ended) return;
    const waiting: WaitingAct = {
      runId: this.parts.runId,
      number: this.nextNumber++,
      actId: newId(),
      atS: this.playback.timeAt(nowMs),
      act,
    };
    this.queue.push(waiting);
    this.change({ waiting: this.queue.length, resting: false, ...(isWait(act) ? {} : { message: null }) });
    void this.parts.outbox.put(waiting).then(() => this.pump());
  }

  /** The view to draw now; asks for more frames in good time. */
  viewAt(nowMs: number): View {
    const { view } = this.state;
    const frame = this.playback.frameAt(nowMs);
    const time = this.playback.timeAt(nowMs);
    const quiet =
      this.queue.length === 0 &&
      !this.sending &&
      this.state.online &&
      !this.state.ended &&
      !this.state.resting;
    if (quiet && view.running && time - view.timeS >= ASK_ON_AFTER_S) this.act({ kind: 'wait' }, nowMs);
    return frame ? { ...view, ...frame } : view;
  }

  /** The last act that the server has answered, and the bench time that shows. */
  moment(nowMs: number): { act: number; atS: number } {
    return { act: this.answered, atS: this.playback.timeAt(nowMs) };
  }

  /** Tries again at once: the network is back, or somebody asks. */
  async pump(): Promise<void> {
    clearTimeout(this.retry);
    if (this.sending || this.closed) return;
    this.sending = true;
    while (this.queue.length > 0 && !this.closed) {
      const next = this.queue[0] as WaitingAct;
      const reached = await this.sendOne(next);
      if (!reached) break;
    }
    this.sending = false;
  }

  private async sendOne(act: WaitingAct): Promise<boolean> {
    let result: Awaited<ReturnType<Send<View, Frame>>>;
    try {
      result = await this.parts.send(act);
      if (result.status >= 500) throw new Error(String(result.status));
    } catch {
      this.failed();
      return false;
    }
    this.failures = 0;
    if (!result.answer) {
      await this.end(result.status, result.sentence);
      return true;
    }
    const isConflict = result.answer.conflict === true;
    const gone = isConflict ? this.queue : [act];
    this.queue = isConflict ? [] : this.queue.filter((entry) => entry.actId !== act.actId);
    await this.parts.outbox.remove(gone.map((entry) => entry.actId));
    this.take(act, result.answer, gone);
    return true;
  }

  private take(act: WaitingAct, answer: Answer<View, Frame>, gone: WaitingAct[]): void {
    const nowMs = performance.now();
    this.answered = answer.number;
    const carriesOn = isWait(act.act) && !answer.conflict;
    const shown = this.playback.timeAt(nowMs);
    const from = carriesOn ? Math.max(shown, answer.view.timeS) : answer.view.timeS;
    if (this.state.resting) {
      // Nobody is watching: the bench stands where the stretch ends.
      const end = answer.frames.at(-1) ?? answer.view;
      this.playback.play([end], end.timeS, nowMs);
    } else {
      this.playback.play([answer.view, ...answer.frames], from, nowMs);
    }
    if (answer.conflict || this.queue.length === 0) this.nextNumber = answer.number + 1;
    this.change({ view: answer.view, online: true, waiting: this.queue.length });
    if (answer.conflict) {
      const lost = gone.filter((entry) => !isWait(entry.act)).length;
      this.change({ resting: answer.view.running });
      const what = lost === 1 ? 'Your last act was not done.' : `Your last ${lost} acts were not done.`;
      this.tell(`${OTHER_TAB} ${lost > 0 ? `${what} ` : ''}You see the bench as it is now.`, 'trouble');
    } else if (answer.refusal) this.tell(answer.refusal, 'refused');
    else if (answer.note) this.tell(answer.note, 'note');
  }

  private failed(): void {
    this.change({ online: false });
    const wait = RETRY_MS[Math.min(this.failures, RETRY_MS.length - 1)] as number;
    this.failures++;
    if (!this.closed) this.retry = setTimeout(() => void this.pump(), wait);
  }

  private async end(status: number, sentence: string | undefined): Promise<void> {
    await this.parts.outbox.remove(this.queue.map((act) => act.actId));
    this.queue = [];
    const gone =
      'This bench is no longer yours to work at. You may be signed out here: go to My work and come back.';
    this.change({ ended: true, online: true, waiting: 0 });
    this.tell(
      sentence ?? (status === 400 ? 'The bench did not understand this page. Load it again.' : gone),
      'trouble',
    );
  }

  private tell(text: string, tone: Message['tone']): void {
    this.change({ message: { text, tone } });
  }

  private change(part: Partial<BenchState<View>>): void {
    this.state = { ...this.state, ...part };
    if (!this.closed) this.parts.onChange(this.state);
  }
}

function isWait(act: unknown): boolean {
  return typeof act === 'object' && act !== null && 'kind' in act && act.kind === 'wait';
}
