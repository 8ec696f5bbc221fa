import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { advanceByEvents, advanceBySteps } from './time-passes';

/** A tank that runs out as e^(−kt) from 1 and is filled again when it is down to a quarter: each time after ln 4 / k. */
interface Tank {
  timeS: number;
  paused: boolean;
  level: number;
  filled: number;
}
const K = 0.05;
const FULL: Tank = { timeS: 0, paused: false, level: 1, filled: 0 };
const PERIOD_S = Math.log(4) / K;
const running = (tank: Tank, seconds: number) =>
  advanceByEvents(tank, seconds, {
    next: ({ level }) => ({ inS: Math.log(4 * level) / K, event: 'low' }),
    flow: (now, s) => ({ ...now, level: now.level * Math.exp(-K * s), timeS: now.timeS + s }),
    happen: (now) => ({ ...now, level: 1, filled: now.filled + 1 }),
  });

const seconds = fc.double({ min: 0, max: 500, noNaN: true });
const splits = fc.array(seconds, { minLength: 1, maxLength: 12 });
const sum = (parts: readonly number[]) => parts.reduce((total, part) => total + part, 0);

describe('time that passes from event to event', () => {
  it('is what the closed form says, however it is split', () => {
    fc.assert(
      fc.property(splits, (parts) => {
        const total = sum(parts);
        const since = total % PERIOD_S;
        // At the very moment of an event rounding may put it on either side.
        fc.pre(since > 1e-6 && PERIOD_S - since > 1e-6);
        const now = parts.reduce(running, FULL);
        expect(now.timeS).toBeCloseTo(total, 8);
        expect(now.filled).toBe(Math.floor(total / PERIOD_S));
        expect(now.level).toBeCloseTo(Math.exp(-K * since), 8);
        expect(running(FULL, total)).toMatchObject({ filled: now.filled });
      }),
    );
  });

  it('does not pass while the clock is stopped, nor backwards', () => {
    const stopped = { ...FULL, paused: true };
    expect(running(stopped, 100)).toBe(stopped);
    for (const none of [0, -5, NaN]) expect(running(FULL, none)).toBe(FULL);
  });
});

describe('time that passes by steps', () => {
  interface Count {
    timeS: number;
    paused: boolean;
    at: number[];
  }
  const counting = (bench: Count, s: number, stepS: number) =>
    advanceBySteps(bench, s, stepS, (now) => ({ ...now, at: [...now.at, now.timeS] }));
  const NONE: Count = { timeS: 0, paused: false, at: [] };

  it('steps at each multiple once, the last moment among them, however it is split', () => {
    // Multiples of 1/64 s, so that a sum of them is exact.
    const ticks = fc.array(fc.nat(640), { maxLength: 12 });
    fc.assert(
      fc.property(ticks, fc.constantFrom(0.25, 0.5, 1.5), (parts, stepS) => {
        const total = sum(parts) / 64;
        const now = parts.reduce((bench, part) => counting(bench, part / 64, stepS), NONE);
        expect(now.at).toEqual(Array.from({ length: Math.floor(total / stepS) }, (_, i) => (i + 1) * stepS));
        expect(now.timeS).toBe(total);
      }),
    );
  });

  it('only the clock moves while nothing goes on, and not that while it is stopped', () => {
    expect(counting(NONE, 30, Infinity)).toEqual({ ...NONE, timeS: 30 });
    const stopped = { ...NONE, paused: true };
    expect(counting(stopped, 30, 1)).toBe(stopped);
  });
});
