import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { Backoff } from './backoff';

beforeEach(() => void vi.useFakeTimers());
afterEach(() => void vi.useRealTimers());

describe('trying again', () => {
  it('waits at least as long each time, twice as long until a minute, and ends', async () => {
    const times: number[] = [];
    let goesOn = true;
    const backoff = new Backoff(() => {
      times.push(Date.now());
      goesOn = backoff.failed();
    });
    const start = Date.now();
    backoff.failed();
    await vi.advanceTimersByTimeAsync(3_600_000);
    expect(goesOn).toBe(false);
    const waits = times.map((time, i) => time - (times[i - 1] ?? start));
    expect(waits.length).toBeGreaterThan(8);
    waits.forEach((wait, i) => expect(wait).toBeGreaterThanOrEqual(Math.min(500 * 2 ** i, 60_000)));
    expect(vi.getTimerCount()).toBe(0);
  });

  it('begins anew when it has succeeded', async () => {
    const again = vi.fn();
    const backoff = new Backoff(again, () => 0);
    for (let i = 0; i < 6; i++) backoff.failed();
    backoff.reset();
    await vi.advanceTimersByTimeAsync(100_000);
    expect(again).not.toHaveBeenCalled();
    backoff.failed();
    await vi.advanceTimersByTimeAsync(500);
    expect(again).toHaveBeenCalledOnce();
  });
});
