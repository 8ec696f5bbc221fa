const FIRST_MS = 500;
const LONGEST_MS = 60_000;
/** Some six minutes all in all. */
const TRIES = 14;

/**
 * When to try again what did not succeed: each time after twice as long, and at last not by itself any more, so that
 * whoever waits is told instead.
 */
export class Backoff {
  private tries = 0;
  private timer: ReturnType<typeof setTimeout> | undefined;

  /** @param again called when it is time; @param chance of 0 to 1, so that thirty tabs do not come back at once */
  constructor(
    private readonly again: () => void,
    private readonly chance: () => number = Math.random,
  ) {}

  /** Counts a failure, and waits longer than after the last. @returns whether it will try again by itself */
  failed(): boolean {
    clearTimeout(this.timer);
    if (++this.tries >= TRIES) return false;
    const wait = Math.min(FIRST_MS * 2 ** (this.tries - 1), LONGEST_MS);
    this.timer = setTimeout(this.again, wait * (1 + 0.2 * this.chance()));
    return true;
  }

  get failures(): number {
    return this.tries;
  }

  /** It has succeeded, or a person asks: the next failure is a first one. */
  reset(): void {
    clearTimeout(this.timer);
    this.tries = 0;
  }

  /** Not now: somebody tries at this moment. */
  pause(): void {
    clearTimeout(this.timer);
  }
}
