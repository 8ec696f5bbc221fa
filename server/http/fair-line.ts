/** A line in which a few are served at once and nobody holds up the others: each has a share of their own. */

interface Rules {
  /** How many are served at once. */
  atOnce: number;
  /** How many may wait in all, and of one share. */
  waitingAtMost: number;
  waitingOfOne: (share: string) => number;
}

/**
 * Whose turn it is: the shares take turns, one of each at a time; whoever waits behind many of their own waits for those
 * alone. A share that is served is served once at a time, so that there is always a place for somebody else.
 */
export class FairLine {
  /** Who waits, and since when, ms, by share; the shares in the order of their turns. */
  private readonly waiting = new Map<string, { start: () => void; sinceMs: number }[]>();
  private readonly served = new Set<string>();
  private length = 0;

  constructor(
    private readonly rules: Rules,
    /** Whether one who has waited for so long, ms, may be served now; asked again by {@link FairLine.serve}. */
    private readonly mayBegin: (waitedMs: number) => boolean = () => true,
  ) {}

  /** @returns whether there is room to wait; `start` is called when it is one's turn, and `leave` is to be called after it */
  enter(share: string, start: () => void): boolean {
    const own = this.waiting.get(share) ?? [];
    if (this.length >= this.rules.waitingAtMost || own.length >= this.rules.waitingOfOne(share)) return false;
    own.push({ start, sinceMs: performance.now() });
    this.waiting.set(share, own);
    this.length++;
    this.serve();
    return true;
  }

  /** Of one who was served. */
  leave(share: string): void {
    this.served.delete(share);
    this.serve();
  }

  /** Serves as many as there are places for. */
  serve(): void {
    while (this.served.size < this.rules.atOnce) {
      const share = [...this.waiting.keys()].find((one) => !this.served.has(one));
      const own = this.waiting.get(share ?? '');
      const [first] = own ?? [];
      if (share === undefined || !own || !first || !this.mayBegin(performance.now() - first.sinceMs)) return;
      own.shift();
      // Behind all others, for the next of its own.
      this.waiting.delete(share);
      if (own.length > 0) this.waiting.set(share, own);
      this.length--;
      this.served.add(share);
      first.start();
    }
  }

  /** Whether anybody waits. */
  get isEmpty(): boolean {
    return this.length === 0;
  }
}
