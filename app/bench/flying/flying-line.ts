import { AT_IT } from './replay';

/** How often it is shown where the reader wants little motion, ms. */
const SELDOM_MS = 500;
/** A worker that is told much may have a whole run to make up for; one that is silent for so long is taken for dead, ms. */
const DEAD_MS = 12_000;
/** So often another takes its place, each after a longer wait, ms. */
const OTHERS = 5;
const WAIT_MS = 500;

/** What of a worker is needed. */
export type Hand = Pick<Worker, 'postMessage' | 'terminate' | 'addEventListener'>;

interface Parts<Shown> {
  /** Starts a worker. */
  make: () => Hand;
  /** The time of the flight that shows now, ps. */
  psNow: () => number;
  onShown: (shown: Shown) => void;
  /** None stays alive. */
  onLost: () => void;
  /** Another is tried all the same. */
  onBack: () => void;
  /** Whether the reader wants little motion. */
  isQuiet: () => boolean;
}

/**
 * The line of one page to the worker that lets something fly for it: one question at a time, by the frames of the page; none for what is drawn
 * already; another worker in the place of one that dies, after twice the wait each time, until it is given up.
 */
export class FlyingLine<Said, Shown> {
  private worker: Hand | null = null;
  private said: Said | null = null;
  private askedMs: number | null = null;
  private lastMs = -Infinity;
  private lastPs = -1;
  private isFresh = true;
  private others = 0;
  private waiting: ReturnType<typeof setTimeout> | undefined;
  private nowMs = 0;

  constructor(private readonly parts: Parts<Shown>) {
    this.start();
  }

  /** What flies: told to the worker, and to each that takes its place. */
  tell(said: Said): void {
    this.said = said;
    this.isFresh = true;
    // Given up once: with something new to show it is tried again.
    if (this.others > OTHERS) this.again();
    else this.worker?.postMessage(said);
  }

  /** Given up once, it is tried as for the first time: the network is back. */
  again(): void {
    if (this.others <= OTHERS) return;
    this.others = 0;
    this.parts.onBack();
    this.start();
  }

  /** Draws once more, though nothing moves. */
  drawAnew(): void {
    this.isFresh = true;
  }

  /** At each frame of the page. */
  frame(nowMs: number): void {
    this.nowMs = nowMs;
    const { worker } = this;
    if (!worker || this.said === null) return;
    if (this.askedMs !== null) {
      if (nowMs - this.askedMs > DEAD_MS) this.replace();
      return;
    }
    if (this.parts.isQuiet() && nowMs - this.lastMs < SELDOM_MS) return;
    const ps = this.parts.psNow();
    if (ps === this.lastPs && !this.isFresh) return;
    this.isFresh = false;
    this.lastPs = ps;
    this.askedMs = this.lastMs = nowMs;
    worker.postMessage({ ps });
  }

  close(): void {
    clearTimeout(this.waiting);
    this.worker?.terminate();
    this.worker = null;
  }

  private start(): void {
    const made = this.parts.make();
    made.addEventListener('message', (event) => {
      if (made === this.worker) this.hear((event as MessageEvent<Shown | typeof AT_IT>).data);
    });
    made.addEventListener('error', () => {
      if (made === this.worker) this.replace();
    });
    this.worker = made;
    if (this.said !== null) made.postMessage(this.said);
    this.isFresh = true;
  }

  private hear(data: Shown | typeof AT_IT): void {
    if (data === AT_IT) {
      if (this.askedMs !== null) this.askedMs = this.nowMs;
      return;
    }
    this.askedMs = null;
    this.others = 0;
    this.parts.onShown(data as Shown);
  }

  private replace(): void {
    this.worker?.terminate();
    this.worker = null;
    this.askedMs = null;
    if (++this.others > OTHERS) this.parts.onLost();
    else this.waiting = setTimeout(() => this.start(), WAIT_MS * 2 ** (this.others - 1));
  }
}
