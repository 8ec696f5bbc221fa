import { describe, expect, it, vi } from 'vitest';
import { placesAsText, type Film, type Picture } from '@core/practicals/film';
import { FilmHand, type Seen, type Watched } from './film-hand';

/** A page's line to the server that lets something fly for it. */

/** One that moves along x by 0.1 nm in a ps. */
const picture = (ps: number): Picture => ({ ps, places: placesAsText(Float64Array.of(0.1 * ps, 2, 4), (nm) => nm) });
const film = (from: number, to: number, step = 1, more: Partial<Film> = {}): Film => ({
  pictures: Array.from({ length: Math.round((to - from) / step) + 1 }, (_, i) => picture(from + i * step)),
  heard: [[from + 0.5, 3]],
  fills: 1,
  changes: 2,
  ...more,
});
const STRETCH = { number: 1, beganS: 10, fromPs: 0, toPs: 100 };
const FLYING: Watched<Picture> = { still: film(0, 0), stretch: STRETCH, psPerS: 4 };

function setUp() {
  const answers: { fromS: number; signal: AbortSignal; give: (film: Film) => void; fail: () => void }[] = [];
  const hand = new FilmHand<Picture>(
    (fromS, signal) =>
      new Promise((give, reject) => answers.push({ fromS, signal, give, fail: () => reject(new Error()) })),
  );
  const seen: Seen<Picture>[] = [];
  const failed = vi.fn();
  hand.addEventListener('message', ({ data }: { data: Seen<Picture> }) => seen.push(data));
  hand.addEventListener('error', failed);
  /** Lets a promise that is kept be heard of. */
  const soon = () => new Promise((resolve) => setTimeout(resolve));
  return { hand, answers, seen, failed, soon };
}

describe('pictures in the place of a worker', () => {
  it('are shown between one another, and asked for before they run out, once at a time', async () => {
    const { hand, answers, seen, soon } = setUp();
    hand.postMessage(FLYING);
    hand.postMessage({ ps: 2.25 });
    expect(seen).toEqual([]);
    expect(answers.map(({ fromS }) => fromS)).toEqual([10 + 2.25 / 4]);
    answers[0]?.give(film(2, 32));
    await soon();
    expect(seen[0]?.ps).toBe(2.25);
    expect(seen[0]?.picture.ps).toBe(2);
    expect(seen[0]?.places[0]).toBeCloseTo(0.225, 2);
    expect(seen[0]?.heard).toEqual([[0.5, 3]]);
    for (let ps = 3; ps < 17; ps++) hand.postMessage({ ps });
    expect([seen.length, answers.length]).toEqual([15, 1]);
    // Fifteen pictures are left: time for more.
    hand.postMessage({ ps: 18 });
    hand.postMessage({ ps: 19 });
    expect([seen.length, answers.length]).toEqual([17, 2]);
    expect(answers[1]?.fromS).toBe(10 + 32 / 4);
    answers[1]?.give(film(32, 62));
    await soon();
    hand.postMessage({ ps: 40 });
    expect(seen.at(-1)?.places[0]).toBeCloseTo(4, 1);
    expect(seen.at(-1)?.heard).toEqual([
      [0.5, 3],
      [2.5, 3],
      [32.5, 3],
    ]);
  });

  it('end where the stretch ends, and nothing more is asked for', async () => {
    const { hand, answers, seen, soon } = setUp();
    hand.postMessage(FLYING);
    hand.postMessage({ ps: 90 });
    answers[0]?.give(film(90, 100));
    await soon();
    for (const ps of [95, 100, 100]) hand.postMessage({ ps });
    expect(seen.map(({ ps }) => ps)).toEqual([90, 95, 100, 100]);
    expect(answers).toHaveLength(1);
  });

  it('that do not reach what is asked for are a failure, not asked for again at once', async () => {
    const { hand, answers, seen, failed, soon } = setUp();
    hand.postMessage(FLYING);
    hand.postMessage({ ps: 60 });
    answers[0]?.give(film(1, 30));
    await soon();
    expect([seen.length, answers.length, failed.mock.calls.length]).toEqual([0, 1, 1]);
  });

  it('stand still where nothing flies: what was told is shown, and the server is left alone', () => {
    const { hand, answers, seen } = setUp();
    hand.postMessage({ still: film(50, 50), stretch: null, psPerS: 4 });
    hand.postMessage({ ps: 50 });
    expect(seen).toMatchObject([{ ps: 50, heard: [[50.5, 3]] }]);
    expect(answers).toEqual([]);
  });

  it('of another filling, or none at all, are a failure, as that of a worker is', async () => {
    const { hand, answers, seen, failed, soon } = setUp();
    hand.postMessage(FLYING);
    hand.postMessage({ ps: 1 });
    answers[0]?.give(film(1, 30, 1, { changes: 3 }));
    await soon();
    expect([seen.length, failed.mock.calls.length]).toEqual([0, 1]);
    hand.postMessage({ ps: 1 });
    answers[1]?.fail();
    await soon();
    expect([seen.length, failed.mock.calls.length]).toEqual([0, 2]);
    // Told of another filling, it drops what was on its way and answers what was asked.
    hand.postMessage({ ps: 1 });
    hand.postMessage({ ...FLYING, still: film(0, 0, 1, { changes: 3 }) });
    expect(answers.at(-2)?.signal.aborted).toBe(true);
    answers.at(-2)?.give(film(1, 30));
    answers.at(-1)?.give(film(1, 30, 1, { changes: 3 }));
    await soon();
    expect([seen.length, failed.mock.calls.length]).toEqual([1, 2]);
    hand.terminate();
    hand.postMessage({ ps: 29 });
    expect([seen.length, answers.at(-1)?.signal.aborted]).toEqual([1, false]);
  });
});
