import { UNATTENDED_S } from '@core/practicals/bench-clock';
import { Backoff } from '@app/ui/backoff';
import { newId } from '@app/ui/new-id';
import { ToldView, type Answer, type BenchState, type Message, type Parts, type Watching } from './bench-answers';
import type { WaitingAct } from './outbox';
import { Playback, type Timed } from './playback';

/** A view that runs is asked on for after so much of its frames has played, s of real time. */
const ASK_ON_AFTER_S = 1;
/** One that moves in the browser needs no frames: the server is only told how far it was watched, s. */
const TELL_AFTER_S = 10;
/** While somebody only watches, the bench is kept for a page without a network this often, ms. */
const KEEP_EACH_MS = 10_000;
const FOLLOWS = 'This bench was worked at in another tab or on another machine.';
const OTHER_TAB = 'Something was done at this bench in another tab or on another machine first.';

/**
 * One tab's line to the bench on the server: acts get their number, wait in the outbox, and go one by one; answers
 * bring the view and the frames that follow. Nothing leaves the outbox before it is acknowledged.
 */
export class BenchLine<
  Frame extends Timed,
  View extends Frame & { pace: number; movesInBrowser?: true; standsAtS?: number },
> {
  private state: BenchState<View>;
  private queue: WaitingAct[] = [];
  private heldBack: WaitingAct[] = [];
  private nextNumber: number;
  private answered: number;
  private sending = false;
  private readonly told = new ToldView<View>();
  private keptMs = -Infinity;
  private fixed = false;
  private readonly backoff = new Backoff(() => void this.pump());
  private closed = false;
  private readonly playback: Playback<Frame>;

  constructor(private readonly parts: Parts<View, Frame>) {
    this.playback = new Playback(parts.blend);
    this.nextNumber = parts.number + 1;
    this.answered = parts.number;
    this.state = {
      view: parts.view,
      answered: parts.number,
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
    if (this.state.resting && !this.fixed)
      this.tell('The bench clock stood still while you were away. Any act, or P, lets it go on.', 'note');
    this.heldBack = left.filter((entry) => entry.held);
    this.queue = [...left.filter((entry) => !entry.held), ...this.queue];
    this.change({ offered: this.heldBack.length });
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
    if (found.view.running) this.tell(`${FOLLOWS} Any act here, or P, lets it go on here.`, 'note');
  }

  private catchUp(number: number, view: View): void {
    this.answered = number;
    this.nextNumber = number + 1;
    this.told.forget();
    this.playback.play([view], view.timeS, performance.now());
    this.change({ view, resting: view.running });
  }

  /** The run is closed, or open again: what goes on by itself at a closed one is not asked for. */
  fix(isFixed: boolean): void {
    this.fixed = isFixed;
  }

  /** Somebody is back: what was held still while nobody was here goes on. */
  goOn(): void {
    this.change({ resting: false, message: null });
    const nowMs = performance.now();
    const { view } = this.state;
    const atS = this.playback.timeAt(nowMs);
    // What moves here needs nobody to let it go on.
    if (view.movesInBrowser && view.running)
      this.playback.play([view, { ...view, timeS: atS + UNATTENDED_S }], atS, nowMs, view.pace);
    void this.watchOn(atS);
  }

  /** Does what was held back, after what was done first. */
  doOffered(nowMs: number): void {
    const again = this.heldBack.map(({ act }, i): WaitingAct => ({
      runId: this.parts.runId,
      number: this.nextNumber + i,
      actId: newId(),
      atS: this.playback.timeAt(nowMs),
      act,
    }));
    const gone = this.heldBack.map((entry) => entry.actId);
    this.heldBack = [];
    this.nextNumber += again.length;
    this.queue.push(...again);
    this.change({ offered: 0, waiting: this.queue.length, resting: false, message: null });
    void Promise.all(again.map((entry) => this.parts.outbox.put(entry)))
      .then(() => this.parts.outbox.remove(gone))
      .then(() => this.pump());
  }

  /** Lets go of what was held back. */
  leaveOffered(): void {
    void this.parts.outbox.remove(this.heldBack.map((entry) => entry.actId));
    this.heldBack = [];
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
    // The clock is stopped where it was seen to be, not where it would be when the server has heard of it.
    if (act.kind === 'clock' && act.stopped) this.playback.stop(nowMs);
    this.change({ waiting: this.queue.length, resting: false, message: null });
    // Somebody is here and acts: what could not be reached is tried at once.
    this.backoff.reset();
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
      !this.state.resting &&
      !this.fixed;
    const afterS = view.movesInBrowser ? TELL_AFTER_S : ASK_ON_AFTER_S;
    // Where all of it stands by now, there is something to be told.
    const stands = view.standsAtS !== undefined && time > view.standsAtS;
    if (quiet && view.running && (stands || time - view.timeS >= afterS * view.pace)) void this.watchOn(time);
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
    // With nothing to send, what is tried again is only whether the server is there.
    if (this.queue.length === 0)
      return this.state.online ? undefined : this.watchOn(this.playback.timeAt(performance.now()));
    this.sending = true;
    while (this.queue.length > 0 && !this.closed) {
      const next = this.queue[0] as WaitingAct;
      const reached = await this.sendOne(next);
      if (!reached) break;
    }
    this.sending = false;
  }

  /** What goes on is asked for up to here and on; nothing is done at the bench by it. */
  private async watchOn(atS: number): Promise<void> {
    if (this.sending || this.closed) return;
    this.sending = true;
    const result = await this.reach({ after: this.answered, atS });
    this.sending = false;
    if (!result) return;
    const { answer, sentence } = result;
    if (answer && answer.number !== this.answered) {
      const others = this.told.open(answer).view;
      this.catchUp(answer.number, others);
      this.change({ online: true });
      this.tell(`${OTHER_TAB} You see the bench as it is now.`, 'trouble');
    } else if (answer) this.take(answer, true);
    else await this.end(sentence);
    // An act that was done meanwhile waits for this answer.
    if (this.queue.length > 0) void this.pump();
  }

  /** @returns undefined when the server could not be reached: it is tried again later */
  private async reach(sent: WaitingAct | Watching) {
    try {
      const result = await this.parts.send({ ...sent, has: this.told.has });
      const { answer, status, field } = result;
      // Watching is never wrong, so an answer that is none is the server's trouble.
      const isNone = 'after' in sent && !answer && !isOver(status, field);
      if (status >= 500 || isNone) throw new Error(String(status));
      if (answer && !this.told.canOpen(answer)) throw new Error('changes of another view');
      this.backoff.reset();
      return result;
    } catch {
      // Whatever was wrong with the last answer, the next one is whole.
      this.told.forget();
      this.failed();
      return undefined;
    }
  }

  private async sendOne(act: WaitingAct): Promise<boolean> {
    const result = await this.reach(act);
    if (!result) return false;
    const { answer, status, sentence, field } = result;
    if (answer?.conflict) return this.overtaken(act, answer);
    if (answer) {
      this.queue = this.queue.filter((entry) => entry.actId !== act.actId);
      await this.parts.outbox.remove([act.actId]);
      this.take(answer, isWait(act.act));
      if (!isWait(act.act)) this.parts.onActed?.();
    } else if (isOver(status, field)) await this.end(sentence);
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
  private async overtaken(act: WaitingAct, answer: Answer<View>): Promise<boolean> {
    const goesOn = answer.deeds === 0 && answer.number + 1 !== act.number;
    if (goesOn) {
      this.told.open(answer);
      this.answered = answer.number;
      this.queue = this.queue.map((entry, i) => ({ ...entry, number: answer.number + 1 + i }));
      this.nextNumber = answer.number + 1 + this.queue.length;
      await Promise.all(this.queue.map((entry) => this.parts.outbox.put(entry)));
      return true;
    }
    const deeds = this.queue.filter((entry) => !isWait(entry.act));
    const waits = this.queue.filter((entry) => isWait(entry.act));
    this.heldBack = [...this.heldBack, ...deeds.map((entry) => ({ ...entry, held: true as const }))];
    this.queue = [];
    await Promise.all(this.heldBack.map((entry) => this.parts.outbox.put(entry)));
    await this.parts.outbox.remove(waits.map((entry) => entry.actId));
    this.take(answer, false);
    this.change({ resting: this.state.view.running, offered: this.heldBack.length });
    if (this.heldBack.length === 0) this.tell(`${OTHER_TAB} You see the bench as it is now.`, 'trouble');
    return true;
  }

  /** @param carriesOn whether nothing was done, so that what is playing goes on as it plays */
  private take(answer: Answer<View>, carriesOn: boolean): void {
    const nowMs = performance.now();
    const { view, frames } = this.told.open(answer);
    this.answered = answer.number;
    const shown = this.playback.timeAt(nowMs);
    // What moves here has moved on while the answer was on its way.
    const hasMovedOn = carriesOn || (view.movesInBrowser && view.pace === this.state.view.pace);
    const from = hasMovedOn ? Math.max(shown, view.timeS) : view.timeS;
    if (this.state.resting) {
      // Nobody is watching: the bench stands where the stretch ends.
      const end = frames.at(-1) ?? view;
      this.playback.play([end], end.timeS, nowMs);
    } else {
      this.playback.play([view, ...frames], from, nowMs, view.pace);
    }
    if (answer.conflict || this.queue.length === 0) this.nextNumber = answer.number + 1;
    this.keep(answer.number, view, carriesOn);
    this.change({ view, answered: answer.number, online: true, gaveUp: false, waiting: this.queue.length });
    if (answer.refusal) this.tell(answer.refusal, 'refused');
    else if (answer.note) this.tell(answer.note, 'note');
  }

  /** The bench as it is seen, for a page that is opened without a network. */
  private keep(number: number, view: View, isSeldom: boolean): void {
    const nowMs = performance.now();
    if (isSeldom && nowMs - this.keptMs < KEEP_EACH_MS) return;
    this.keptMs = nowMs;
    void this.parts.outbox.keepBench?.({ runId: this.parts.runId, number, view }).catch(() => {});
  }

  private failed(): void {
    if (this.closed) return;
    this.change({ online: false, gaveUp: !this.backoff.failed() });
  }

  private async end(sentence: string | undefined): Promise<void> {
    await this.parts.outbox.remove([...this.queue, ...this.heldBack].map((act) => act.actId));
    this.queue = [];
    this.heldBack = [];
    const gone = 'This bench is no longer yours to work at. You may be signed out here: go to My work and come back.';
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

const isOver = (status: number, field: string | undefined) => [401, 403, 404].includes(status) || field === 'closed';

/** Pages of before asking on was no act have left such acts in outboxes. */
function isWait(act: unknown): boolean {
  return typeof act === 'object' && act !== null && 'kind' in act && act.kind === 'wait';
}
