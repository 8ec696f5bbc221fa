import { Backoff } from '@app/ui/backoff';
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
  /** With a conflict: how many deeds, beside mere waiting, stand where this act was to stand. */
  deeds?: number;
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
  /** Set when Fen has stopped trying by itself. */
  gaveUp: boolean;
  /** Acts of one's own that something else was faster than: to be done after it, or left. */
  offered: number;
  /** Set when nothing more can be done here: closed, removed, signed out. */
  ended: boolean;
  /** Something was running when the page was left: held back until the person comes back to it. */
  resting: boolean;
  message: Message | null;
}

/** Sends one act. Rejects only when the server cannot be reached. */
export type Send<View, Frame> = (
  act: WaitingAct,
) => Promise<{ status: number; answer?: Answer<View, Frame>; sentence?: string; field?: string }>;

interface Parts<View, Frame> {
  runId: string;
  number: number;
  view: View;
  outbox: Outbox;
  send: Send<View, Frame>;
  blend: Blend<Frame>;
  onChange: (state: BenchState<View>) => void;
  /** The bench as it stands, for a tab that others may have overtaken. */
  look?: () => Promise<{ number: number; view: View }>;
  /** Tells other tabs of this browser that something was done. */
  onActed?: () => void;
}

/** A view that runs is asked on for after so much of its frames has played, s. */
const ASK_ON_AFTER_S = 1;
const OTHER_TAB = 'Something was done at this bench in another tab or on another machine first.';

/**
 * One tab's line to the bench on the server: acts get their number, wait in the outbox, and go one by one; answers
 * bring the view and the frames that follow. Nothing leaves the outbox before it is acknowledged.
 */
export class BenchLine<Frame extends Timed, View extends Frame> {
  private state: BenchState<View>;
  private queue: WaitingAct[] = [];
  private held: WaitingAct[] = [];
  private nextNumber: number;
  private answered: number;
  private sending = false;
  private readonly backoff = new Backoff(() => void this.pump());
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
      gaveUp: false,
      offered: 0,
      ended: false,
      resting: parts.view.running,
      message: null,
    };
    this.playback.play([parts.view], parts.view.timeS, 0);
  }

  /** Takes up what an earlier page of this browser left unsent. */
  async start(): Promise<void> {
    const left = await this.unsent();
    const seen = await this.parts.outbox.benchOf?.(this.parts.runId).catch(() => undefined);
    if (this.closed) return;
    // A page that came without a network may be older than what this browser has seen.
    if (seen && seen.number > this.answered) this.catchUp(seen.number, seen.view as View);
    if (this.state.resting)
      this.tell('The bench clock stood still while you were away. Any act, or P, lets it go on.', 'note');
    this.held = left.filter((entry) => entry.held);
    this.queue = [...left.filter((entry) => !entry.held), ...this.queue];
    this.change({ offered: this.held.length });
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
    this.backoff.reset();
  }

  /** Another tab may have done something: the bench as it stands now, unless something of one's own is under way. */
  async refresh(): Promise<void> {
    const isBusy = () => this.queue.length > 0 || this.sending || this.closed || this.state.ended;
    if (isBusy()) return;
    const found = await this.parts.look?.().catch(() => undefined);
    if (!found || isBusy() || found.number <= this.answered) return;
    this.catchUp(found.number, found.view);
    this.change({ online: true, message: null });
  }

  private catchUp(number: number, view: View): void {
    this.answered = number;
    this.nextNumber = number + 1;
    this.playback.play([view], view.timeS, performance.now());
    this.change({ view, resting: view.running });
  }

  /** Does what was held back, after what was done first. */
  doOffered(nowMs: number): void {
    const again = this.held.map(({ act }, i): WaitingAct => ({
      runId: this.parts.runId,
      number: this.nextNumber + i,
      actId: newId(),
      atS: this.playback.timeAt(nowMs),
      act,
    }));
    const gone = this.held.map((entry) => entry.actId);
    this.held = [];
    this.nextNumber += again.length;
    this.queue.push(...again);
    this.change({ offered: 0, waiting: this.queue.length, resting: false, message: null });
    void Promise.all(again.map((entry) => this.parts.outbox.put(entry)))
      .then(() => this.parts.outbox.remove(gone))
      .then(() => this.pump());
  }

  /** Lets go of what was held back. */
  leaveOffered(): void {
    void this.parts.outbox.remove(this.held.map((entry) => entry.actId));
    this.held = [];
    this.change({ offered: 0, message: null });
  }

  /** A person asks: tries at once, as if for the first time. */
  tryAgain(): void {
    this.backoff.reset();
    this.change({ gaveUp: false });
    void this.pump();
  }

  /** Lets go of the one act that the server cannot take, so that those behind it can go. */
  async leaveFirst(): Promise<void> {
    const first = this.queue[0];
    if (first && !this.sending) await this.drop(first);
    this.tryAgain();
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
    // Somebody is here and acts: what could not be reached is tried at once.
    if (!isWait(act)) this.backoff.reset();
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

  /** Sends what waits, one by one. */
  async pump(): Promise<void> {
    this.backoff.pause();
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
    const { answer, status, sentence, field } = result;
    if (answer?.conflict) return this.overtaken(act, answer);
    this.backoff.reset();
    if (answer) {
      this.queue = this.queue.filter((entry) => entry.actId !== act.actId);
      await this.parts.outbox.remove([act.actId]);
      this.take(act, answer);
      if (!isWait(act.act)) this.parts.onActed?.();
    } else if ([401, 403, 404].includes(status) || field === 'closed') await this.end(sentence);
    else {
      await this.drop(act);
      this.tell(sentence ?? 'The server did not understand this act, so it was not done.', 'trouble');
    }
    return true;
  }

  /** Takes an act out that the server will not have; those behind it, which have not been sent yet, move up. */
  private async drop(act: WaitingAct): Promise<void> {
    const behind = this.queue.filter((entry) => entry.number > act.number);
    this.queue = behind.map((entry) => ({ ...entry, number: entry.number - 1 }));
    this.nextNumber--;
    await this.parts.outbox.remove([act.actId]);
    await Promise.all(this.queue.map((entry) => this.parts.outbox.put(entry)));
    this.change({ waiting: this.queue.length, online: true });
  }

  /**
   * The number is another act's. If nothing but time has passed there, all goes on behind it; if something was done,
   * the person sees it first and says whether their own acts are still wanted.
   */
  private async overtaken(act: WaitingAct, answer: Answer<View, Frame>): Promise<boolean> {
    const goesOn = answer.deeds === 0 && answer.number + 1 !== act.number;
    if (goesOn) {
      this.answered = answer.number;
      this.queue = this.queue.map((entry, i) => ({ ...entry, number: answer.number + 1 + i }));
      this.nextNumber = answer.number + 1 + this.queue.length;
      await Promise.all(this.queue.map((entry) => this.parts.outbox.put(entry)));
      return true;
    }
    this.backoff.reset();
    const deeds = this.queue.filter((entry) => !isWait(entry.act));
    const waits = this.queue.filter((entry) => isWait(entry.act));
    this.held = [...this.held, ...deeds.map((entry) => ({ ...entry, held: true as const }))];
    this.queue = [];
    await Promise.all(this.held.map((entry) => this.parts.outbox.put(entry)));
    await this.parts.outbox.remove(waits.map((entry) => entry.actId));
    this.take(act, answer);
    this.change({ resting: answer.view.running, offered: this.held.length });
    if (this.held.length === 0) this.tell(`${OTHER_TAB} You see the bench as it is now.`, 'trouble');
    return true;
  }

  private take(act: WaitingAct, answer: Answer<View, Frame>): void {
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
    void this.parts.outbox
      .keepBench?.({ runId: this.parts.runId, number: answer.number, view: answer.view })
      .catch(() => {});
    this.change({ view: answer.view, online: true, gaveUp: false, waiting: this.queue.length });
    if (answer.refusal) this.tell(answer.refusal, 'refused');
    else if (answer.note) this.tell(answer.note, 'note');
  }

  private failed(): void {
    if (this.closed) return;
    this.change({ online: false, gaveUp: !this.backoff.failed() });
  }

  private async end(sentence: string | undefined): Promise<void> {
    await this.parts.outbox.remove([...this.queue, ...this.held].map((act) => act.actId));
    this.queue = [];
    this.held = [];
    const gone =
      'This bench is no longer yours to work at. You may be signed out here: go to My work and come back.';
    this.change({ ended: true, online: true, waiting: 0, offered: 0 });
    this.tell(sentence ?? gone, 'trouble');
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
