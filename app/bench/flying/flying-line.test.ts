import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { FlyingLine, type Hand } from './flying-line';
import { AT_IT, replaying } from './replay';

/** A page's line to the worker that lets something fly, and what such a worker does. */

class FakeWorker implements Hand {
  readonly heard: unknown[] = [];
  isDead = false;
  private readonly listeners: Record<string, ((event: { data?: unknown }) => void)[]> = {};
  postMessage(message: unknown) {
    if (!this.isDead) this.heard.push(message);
  }
  terminate() {
    this.isDead = true;
  }
  addEventListener(kind: string, listener: unknown) {
    (this.listeners[kind] ??= []).push(listener as (event: { data?: unknown }) => void);
  }
  say(data: unknown) {
    for (const listener of this.listeners['message'] ?? []) listener({ data });
  }
  fails() {
    for (const listener of this.listeners['error'] ?? []) listener({});
  }
}

function setUp() {
  const workers: FakeWorker[] = [];
  const shown: unknown[] = [];
  const state = { ps: 0, quiet: false, lost: 0, back: 0 };
  const line = new FlyingLine<object, object>({
    make: () => {
      const made = new FakeWorker();
      workers.push(made);
      return made as unknown as Hand;
    },
    psNow: () => state.ps,
    onShown: (one) => shown.push(one),
    onLost: () => state.lost++,
    onBack: () => state.back++,
    isQuiet: () => state.quiet,
  });
  let nowMs = 0;
  const frames = (ms: number) => {
    for (let end = nowMs + ms; nowMs < end;) line.frame((nowMs += 16));
  };
  const last = () => workers.at(-1) as FakeWorker;
  const questions = () => last().heard.filter((one) => 'ps' in (one as object));
  return { line, workers, shown, state, frames, last, questions };
}

const FILLING = { filling: 1 };

beforeEach(() => vi.useFakeTimers());
afterEach(() => vi.useRealTimers());

describe('the line to a worker that lets something fly', () => {
  it('asks nothing before anything flies, then one question at a time', () => {
    const { line, shown, state, frames, last, questions } = setUp();
    frames(200);
    expect(last().heard).toEqual([]);
    line.tell(FILLING);
    state.ps = 3;
    frames(200);
    expect(last().heard).toEqual([FILLING, { ps: 3 }]);
    state.ps = 4;
    frames(200);
    expect(questions()).toHaveLength(1);
    last().say({ at: 3 });
    frames(40);
    expect(shown).toEqual([{ at: 3 }]);
    expect(questions()).toEqual([{ ps: 3 }, { ps: 4 }]);
  });

  it('asks no more for what stands, but once when it was told anew or is to be drawn anew', () => {
    const { line, state, frames, last, questions } = setUp();
    line.tell(FILLING);
    state.ps = 50;
    frames(40);
    last().say({});
    frames(60_000);
    expect(questions()).toHaveLength(1);
    line.drawAnew();
    frames(40);
    last().say({});
    frames(5000);
    expect(questions()).toHaveLength(2);
    line.tell({ filling: 2 });
    frames(40);
    last().say({});
    frames(5000);
    expect(questions()).toHaveLength(3);
  });

  it('shows twice a second where little motion is wanted', () => {
    const { line, state, frames, last, questions } = setUp();
    state.quiet = true;
    line.tell(FILLING);
    for (let i = 0; i < 20; i++) {
      state.ps++;
      frames(100);
      last().say({});
    }
    expect(questions().length).toBeGreaterThanOrEqual(3);
    expect(questions().length).toBeLessThanOrEqual(5);
  });

  it('puts another in the place of one that fails or falls silent, tells it all, and goes on', () => {
    const { line, workers, shown, state, frames, last } = setUp();
    line.tell(FILLING);
    state.ps = 7;
    frames(40);
    last().fails();
    expect(workers[0]?.isDead).toBe(true);
    vi.advanceTimersByTime(499);
    expect(workers).toHaveLength(1);
    vi.advanceTimersByTime(1);
    expect(workers).toHaveLength(2);
    frames(40);
    expect(last().heard).toEqual([FILLING, { ps: 7 }]);
    // Silent, but at it: nobody takes it for dead.
    for (let i = 0; i < 5; i++) {
      frames(10_000);
      last().say(AT_IT);
    }
    expect(workers).toHaveLength(2);
    last().say({ at: 7 });
    expect(shown).toEqual([{ at: 7 }]);
    state.ps = 8;
    frames(13_000);
    vi.advanceTimersByTime(500);
    expect(workers).toHaveLength(3);
    // What the one before it still says comes from nowhere.
    workers[1]?.say({ at: 'late' });
    expect(shown).toHaveLength(1);
  });

  it('gives up after waiting longer each time, and then leaves it', () => {
    const { line, workers, state, frames, last } = setUp();
    line.tell(FILLING);
    for (const wait of [500, 1000, 2000, 4000, 8000]) {
      last().fails();
      vi.advanceTimersByTime(wait - 1);
      const before = workers.length;
      vi.advanceTimersByTime(1);
      expect(workers.length).toBe(before + 1);
    }
    expect(state.lost).toBe(0);
    last().fails();
    expect(state.lost).toBe(1);
    frames(60_000);
    vi.advanceTimersByTime(60_000);
    expect(workers).toHaveLength(6);
    // With something new to show it is tried again, and told of it.
    line.tell({ filling: 2 });
    expect([workers.length, state.back]).toEqual([7, 1]);
    frames(40);
    expect(last().heard).toEqual([{ filling: 2 }, { ps: state.ps }]);
    // With the network back, too; nothing comes of it where one is at work.
    line.again();
    expect(workers).toHaveLength(7);
    for (const wait of [500, 1000, 2000, 4000, 8000, 0]) {
      last().fails();
      vi.advanceTimersByTime(wait);
    }
    line.again();
    expect([workers.length, state.lost, state.back]).toEqual([13, 2, 2]);
  });

  it('is over when its page is left: no worker is made after that', () => {
    const { line, workers, last } = setUp();
    line.tell(FILLING);
    last().fails();
    line.close();
    vi.advanceTimersByTime(60_000);
    expect(workers).toHaveLength(1);
  });
});

/** Something that flies evenly from where it was turned. */
class Even {
  constructor(
    public timePs = 0,
    public at = 0,
    public speed = 1,
  ) {}
  copy() {
    return new Even(this.timePs, this.at, this.speed);
  }
  to(ps: number) {
    this.at += this.speed * (ps - this.timePs);
    this.timePs = ps;
  }
  change({ speed }: { atPs: number; speed: number }) {
    this.speed = speed;
  }
}

describe('a worker that lets a filling fly by what was done to it', () => {
  const worker = () => {
    const atIt = vi.fn();
    const fill = vi.fn((filling: { at: number }) => new Even(0, filling.at));
    const answer = replaying<{ at: number }, { atPs: number; speed: number }, Even, number>(fill, ({ at }) => at, atIt);
    return { answer, atIt, fill };
  };

  it('goes on from what it knows, does what is new, and begins anew for another filling', () => {
    const { answer, atIt, fill } = worker();
    expect(answer({ ps: 3 })).toBeNull();
    expect(answer({ fills: 1, filling: { at: 10 }, changes: [] })).toBeNull();
    expect(answer({ ps: 5 })).toBe(15);
    const changes = [{ atPs: 5, speed: 2 }];
    answer({ fills: 1, filling: { at: 10 }, changes });
    expect(answer({ ps: 8 })).toBe(21);
    // The clock was set back to before what was reached, but not before what was done.
    expect(answer({ ps: 6 })).toBe(17);
    answer({ fills: 1, filling: { at: 10 }, changes: [...changes, { atPs: 9, speed: 0 }] });
    expect(answer({ ps: 20 })).toBe(23);
    expect(fill).toHaveBeenCalledTimes(1);
    expect(atIt).toHaveBeenCalledTimes(2);
    answer({ fills: 2, filling: { at: 0 }, changes: [] });
    expect(answer({ ps: 4 })).toBe(4);
    // Fewer things done than it knows of: it was begun anew.
    answer({ fills: 2, filling: { at: 0 }, changes: [{ atPs: 1, speed: 5 }] });
    answer({ fills: 2, filling: { at: 0 }, changes: [] });
    expect(answer({ ps: 4 })).toBe(4);
  });
});
