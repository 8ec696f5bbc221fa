import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import type { Answer, BenchState, Watching } from './bench-answers';
import { BenchLine } from './bench-line';
import type { Outbox, WaitingAct } from './outbox';
import { Playback } from './playback';

interface View {
  timeS: number;
  running: boolean;
  levelMl: number;
  pace: number;
  logged?: number[];
  movesInBrowser?: true;
  standsAtS?: number;
}
type Reply = { status: number; answer?: Answer<View>; sentence?: string; field?: string };

const view = (timeS: number, running = false): View => ({ timeS, running, levelMl: timeS, pace: 1 });
const blend = (a: View, b: View, part: number) => ({
  ...a,
  levelMl: a.levelMl + part * (b.levelMl - a.levelMl),
});
const answer = (number: number, extra: Partial<Answer<View>> & { view?: View } = {}): Reply => ({
  status: 200,
  answer: { number, of: `answer ${number}`, view: view(number), frames: [], ...extra },
});

/** A line with a server that answers as told, and an outbox that can be looked into. */
function setUp(
  reply: (act: WaitingAct, nth: number) => Reply,
  start = view(0),
  left: WaitingAct[] = [],
  whileWatching: (asked: Watching & { has?: string | undefined }, nth: number) => Reply = ({ after }) => answer(after),
  elsewhere?: { number: number; view: View },
) {
  const kept = new Map(left.map((act) => [act.actId, act]));
  const sent: WaitingAct[] = [];
  const states: BenchState<View>[] = [];
  const outbox: Outbox = {
    waiting: async () => [...kept.values()],
    put: async (act) => void kept.set(act.actId, act),
    remove: async (ids) => ids.forEach((id) => kept.delete(id)),
  };
  const watched: (Watching & { has?: string | undefined })[] = [];
  const send = async (what: (WaitingAct | Watching) & { has: string | undefined }) => {
    if ('after' in what) {
      watched.push(what);
      return whileWatching(what, watched.length);
    }
    sent.push(what);
    return reply(what, sent.length);
  };
  const line = new BenchLine<View, View>({
    runId: 'run',
    number: 4,
    view: start,
    outbox,
    send,
    blend,
    onChange: (state) => states.push(state),
    look: elsewhere && (async () => elsewhere),
  });
  return { line, kept, sent, watched, last: () => states.at(-1) };
}

const waiting = (number: number, kind: string): WaitingAct => ({
  runId: 'run',
  number,
  actId: `left-${number}`,
  atS: 0,
  act: { kind },
});

beforeEach(() => void vi.useFakeTimers());
afterEach(() => void vi.useRealTimers());
const settle = (ms = 0) => vi.advanceTimersByTimeAsync(ms);

describe('the line to the bench', () => {
  it('numbers acts on from the last, sends them one by one in order, and empties the outbox', async () => {
    const { line, kept, sent, last } = setUp((act) => answer(act.number));
    await line.start();
    for (const kind of ['a', 'b', 'c']) line.act({ kind }, 0);
    expect(last()?.waiting).toBe(3);
    await settle();
    expect(sent.map((act) => [act.number, act.act])).toEqual([
      [5, { kind: 'a' }],
      [6, { kind: 'b' }],
      [7, { kind: 'c' }],
    ]);
    expect([kept.size, last()?.waiting]).toEqual([0, 0]);
  });

  it.each([
    ['cannot be reached', null],
    ['answers with an error', 503],
  ])('sends the same act again while the server %s', async (_, status) => {
    const { line, kept, sent, last } = setUp((act, nth) => {
      if (nth > 3) return answer(act.number);
      if (status === null) throw new TypeError('no network');
      return { status };
    });
    await line.start();
    line.act({ kind: 'drop' }, 0);
    await settle();
    expect([last()?.online, last()?.waiting, kept.size]).toEqual([false, 1, 1]);
    await settle(10_000);
    expect(sent).toHaveLength(4);
    expect(new Set(sent.map((act) => act.actId)).size).toBe(1);
    expect([last()?.online, last()?.waiting, kept.size]).toEqual([true, 0, 0]);
  });

  it('offers again what another tab was faster with, and does it when it is wanted', async () => {
    const { line, kept, sent, last } = setUp((act, nth) =>
      nth === 1 ? answer(9, { conflict: true, deeds: 5 }) : answer(act.number),
    );
    await line.start();
    line.act({ kind: 'drop' }, 0);
    line.act({ kind: 'swirl' }, 0);
    await settle();
    expect([last()?.offered, last()?.waiting, last()?.view.timeS]).toEqual([2, 0, 9]);
    // Kept in the browser until the person has decided, across a reload too.
    expect([...kept.values()].every((act) => act.held)).toBe(true);
    line.doOffered(0);
    await settle();
    expect(sent.slice(1).map((act) => [act.number, act.act])).toEqual([
      [10, { kind: 'drop' }],
      [11, { kind: 'swirl' }],
    ]);
    expect([last()?.offered, kept.size]).toEqual([0, 0]);
  });

  it('keeps what was offered across a reload, and lets it go when it is not wanted', async () => {
    const left = { ...waiting(5, 'drop'), held: true as const };
    const { line, kept, sent, last } = setUp((act) => answer(act.number), view(0), [left]);
    await line.start();
    await settle();
    expect([sent.length, last()?.offered]).toEqual([0, 1]);
    line.act({ kind: 'swirl' }, 0);
    await settle();
    expect(sent.map((act) => [act.number, act.act])).toEqual([[5, { kind: 'swirl' }]]);
    line.leaveOffered();
    await settle();
    expect([last()?.offered, kept.size]).toEqual([0, 0]);
  });

  it('goes on behind a number at which nothing but time has passed, as after a reload in the middle', async () => {
    const { line, kept, sent, last } = setUp((act) =>
      act.number === 5 ? answer(6, { conflict: true, deeds: 0 }) : answer(act.number),
    );
    await line.start();
    line.act({ kind: 'drop' }, 0);
    line.act({ kind: 'swirl' }, 0);
    await settle();
    expect(sent.map((act) => act.number)).toEqual([5, 7, 8]);
    expect(sent[0]?.actId).toBe(sent[1]?.actId);
    expect([last()?.offered, last()?.message, kept.size]).toEqual([0, null, 0]);
  });

  it.each([400, 413, 422])(
    'lets go of an act that is answered with %i, says why, and does those behind it',
    async (status) => {
      const { line, kept, sent, last } = setUp((act) =>
        (act.act as { kind: string }).kind === 'bad' ? { status, sentence: 'Not that.' } : answer(act.number),
      );
      await line.start();
      for (const kind of ['drop', 'bad', 'swirl']) line.act({ kind }, 0);
      await settle();
      expect(sent.map((act) => act.number)).toEqual([5, 6, 6]);
      expect([last()?.ended, last()?.message?.text, kept.size]).toEqual([false, 'Not that.', 0]);
      line.act({ kind: 'drop' }, 0);
      await settle();
      expect(sent.at(-1)?.number).toBe(7);
    },
  );

  it('stops trying at last, says so, and can be asked to leave the act that jams it', async () => {
    const { line, kept, sent, last } = setUp((act) =>
      (act.act as { kind: string }).kind === 'bad' ? { status: 500 } : answer(act.number),
    );
    await line.start();
    line.act({ kind: 'bad' }, 0);
    line.act({ kind: 'drop' }, 0);
    await settle(3_600_000);
    expect([last()?.gaveUp, last()?.waiting]).toEqual([true, 2]);
    expect(sent.length).toBeLessThan(20);
    await line.leaveFirst();
    await settle();
    expect([last()?.gaveUp, last()?.waiting, last()?.online, kept.size]).toEqual([false, 0, true, 0]);
    expect(sent.at(-1)?.number).toBe(5);
  });

  it('takes up deeds that an earlier page left, and forgets its asking for more frames', async () => {
    const { line, kept, sent } = setUp((act) => answer(act.number), view(0), [waiting(5, 'drop'), waiting(6, 'wait')]);
    await line.start();
    await settle();
    expect(sent.map((act) => act.number)).toEqual([5]);
    expect(kept.size).toBe(0);
    line.act({ kind: 'swirl' }, 0);
    await settle();
    expect(sent.at(-1)?.number).toBe(6);
  });

  it('ends with the server’s sentence when the run is closed', async () => {
    const { line, last, sent } = setUp(() => ({
      status: 422,
      sentence: 'This assignment is closed.',
      field: 'closed',
    }));
    await line.start();
    line.act({ kind: 'drop' }, 0);
    await settle();
    expect([last()?.ended, last()?.message?.text]).toEqual([true, 'This assignment is closed.']);
    line.act({ kind: 'drop' }, 0);
    await settle();
    expect(sent).toHaveLength(1);
  });

  describe('while something goes on by itself', () => {
    const frames = (from: number, pace = 1) =>
      Array.from({ length: 10 }, (_, i) => ({ timeS: from + 0.2 * pace * (i + 1) }));
    const running = (number: number, timeS: number, pace = 1) =>
      answer(number, { view: { ...view(timeS, true), pace }, frames: frames(timeS, pace) });

    it('asks on in time, by no act, but not for who has just come back', async () => {
      const { line, sent, watched, kept } = setUp((act) => running(act.number, 5), view(3, true));
      await line.start();
      line.viewAt(performance.now() + 5000);
      await settle();
      expect([sent.length, watched.length]).toEqual([0, 0]);
      line.goOn();
      await settle();
      // Whoever says that they are back sees it go on at once.
      expect(watched.map(({ after }) => after)).toEqual([4]);
      watched.length = 0;
      line.act({ kind: 'tap' }, performance.now());
      await settle();
      line.viewAt(performance.now() + 500);
      expect(watched).toHaveLength(0);
      line.viewAt(performance.now() + 1100);
      await settle();
      expect([sent.length, kept.size]).toEqual([1, 0]);
      expect(watched).toMatchObject([{ after: 5, has: 'answer 5' }]);
      expect(watched[0]?.atS).toBeCloseTo(6.1, 5);
    });

    it('shows bench time at the pace of the clock, and asks on as often as at any', async () => {
      const { line, watched } = setUp((act) => running(act.number, 100, 30));
      await line.start();
      line.act({ kind: 'pace' }, performance.now());
      await settle();
      expect(line.viewAt(performance.now() + 500).timeS).toBeCloseTo(112, 5);
      expect(line.moment(performance.now() + 500).atS).toBeCloseTo(115, 5);
      expect(watched).toHaveLength(0);
      line.viewAt(performance.now() + 1050);
      await settle();
      expect(watched[0]?.atS).toBeCloseTo(131.5, 5);
      // However long nobody answers, nothing is shown that was not told.
      expect(line.moment(performance.now() + 60_000).atS).toBeLessThanOrEqual(160);
    });

    it('stands still where the clock was stopped, before the server has heard of it', async () => {
      const { line } = setUp((act) => running(act.number, 5));
      await line.start();
      const startMs = performance.now();
      line.act({ kind: 'tap' }, startMs);
      await settle();
      line.act({ kind: 'clock', stopped: true }, startMs + 700);
      expect(line.viewAt(startMs + 1500)).toMatchObject({ timeS: line.moment(startMs + 700).atS });
      expect(line.moment(startMs + 1500).atS).toBeCloseTo(5.7, 5);
    });

    it('follows another tab, stands still where that leaves it, and says how to go on', async () => {
      const { line, watched, last } = setUp(
        (act) => answer(act.number),
        view(0),
        [],
        ({ after }) => running(after, 20),
        {
          number: 7,
          view: view(20, true),
        },
      );
      await line.start();
      await line.refresh();
      expect(last()).toMatchObject({ resting: true, view: { timeS: 20 } });
      expect(last()?.message?.text).toMatch(/another tab.*or P, lets it go on here/);
      line.viewAt(performance.now() + 5000);
      expect(watched).toHaveLength(0);
      line.goOn();
      await settle();
      expect(watched).toMatchObject([{ after: 7 }]);
    });

    it('asks for nothing more at a run that is closed, and goes on when it is open again', async () => {
      const { line, watched } = setUp((act) => running(act.number, 5));
      await line.start();
      line.act({ kind: 'tap' }, performance.now());
      await settle();
      line.fix(true);
      line.viewAt(performance.now() + 1500);
      expect(watched).toHaveLength(0);
      line.fix(false);
      line.viewAt(performance.now() + 1500);
      expect(watched).toHaveLength(1);
    });

    it('lays what changed over what it holds, and asks for the whole when that is not what was meant', async () => {
      const grown = {
        number: 5,
        of: 'next',
        frames: frames(6),
        since: 'answer 5',
        changes: { parts: { logged: [3], timeS: 6 }, grown: { logged: 2 } },
      };
      const { line, watched, last } = setUp(
        (act) => answer(act.number, { view: { ...view(5, true), logged: [1, 2] }, frames: frames(5) }),
        view(0),
        [],
        (_, nth) => ({ status: 200, answer: nth === 1 ? grown : { ...grown, since: 'something else' } }),
      );
      await line.start();
      line.act({ kind: 'log' }, performance.now());
      await settle();
      line.viewAt(performance.now() + 1100);
      await settle();
      expect(last()?.view).toMatchObject({ logged: [1, 2, 3], timeS: 6, levelMl: 5 });
      line.viewAt(performance.now() + 9000);
      await settle(400);
      expect(watched.map(({ has }) => has)).toEqual(['answer 5', 'next']);
      expect(last()?.view.logged).toEqual([1, 2, 3]);
      await settle(10_000);
      expect(watched[2]?.has).toBeUndefined();
    });

    it.each([503, 429])(
      'waits longer each time while asking is answered with %i, says so, and takes up an act at once',
      async (status) => {
        const { line, watched, sent, last } = setUp(
          (act) => running(act.number, 5),
          view(0),
          [],
          () => ({ status }),
        );
        await line.start();
        line.act({ kind: 'tap' }, performance.now());
        await settle();
        for (let i = 0; i < 3000; i++) {
          line.viewAt(performance.now() + 1100);
          await settle(1000);
        }
        expect([last()?.online, last()?.gaveUp, last()?.waiting]).toEqual([false, true, 0]);
        expect(watched.length).toBeLessThan(20);
        line.act({ kind: 'tap' }, performance.now());
        await settle();
        expect([sent.length, last()?.online, last()?.gaveUp]).toEqual([2, true, false]);
      },
    );

    it('shows what another tab did meanwhile, and does an act that was pressed while it asked', async () => {
      const { line, sent, last } = setUp(
        (act) => running(act.number, act.number),
        view(0),
        [],
        () => running(9, 20),
      );
      await line.start();
      line.act({ kind: 'tap' }, performance.now());
      await settle();
      line.viewAt(performance.now() + 1100);
      await settle();
      expect(last()).toMatchObject({ resting: true, view: { timeS: 20 } });
      expect(last()?.message?.text).toContain('another tab');
      line.act({ kind: 'swirl' }, performance.now());
      await settle();
      expect(sent.at(-1)?.number).toBe(10);
    });
  });
});

describe('playback', () => {
  it('draws levels on between frames and stands still at the last', () => {
    const playback = new Playback<View>(blend);
    playback.play([view(0, true), view(1, true), view(2, true)], 0, 1000);
    expect(playback.frameAt(1250)?.levelMl).toBeCloseTo(0.25, 9);
    expect(playback.frameAt(2500)?.levelMl).toBeCloseTo(1.5, 9);
    expect(playback.frameAt(9000)?.levelMl).toBe(2);
    expect(playback.timeAt(9000)).toBe(2);
  });
});

describe('the line to a bench that moves in the browser', () => {
  const moving = (timeS: number, more: Partial<View> = {}): View => ({
    ...view(timeS, true),
    movesInBrowser: true,
    ...more,
  });
  /** As the server answers: the view, and until when it goes on. */
  const goesOn = (number: number, timeS: number, more: Partial<View> = {}): Reply =>
    answer(number, { view: moving(timeS, more), frames: [{ timeS: 21_600 }] });
  const frames = async (line: ReturnType<typeof setUp>['line'], seconds: number) => {
    for (let i = 0; i < seconds * 4; i++) {
      await settle(250);
      line.viewAt(performance.now());
    }
  };

  it('goes on by itself, and tells the server how far it was watched every ten seconds alone', async () => {
    const { line, watched } = setUp(
      () => goesOn(5, 0),
      view(0),
      [],
      ({ after, atS }) => goesOn(after, atS),
    );
    await line.start();
    line.act({ kind: 'putIn' }, 0);
    await frames(line, 35);
    expect(line.moment(performance.now()).atS).toBeGreaterThan(34);
    expect(watched.map(({ atS }) => Math.round(atS / 10))).toEqual([1, 2, 3]);
  });

  it('asks once when all that moves there has come to stand, and no more then', async () => {
    const { line, watched } = setUp(
      () => goesOn(5, 0, { standsAtS: 3 }),
      view(0),
      [],
      ({ after, atS }) => answer(after, { view: { ...view(atS, false), movesInBrowser: true }, frames: [] }),
    );
    await line.start();
    line.act({ kind: 'run' }, 0);
    await frames(line, 2);
    expect(watched).toEqual([]);
    await frames(line, 20);
    expect(watched).toHaveLength(1);
    expect(watched[0]?.atS).toBeGreaterThan(3);
    expect(watched[0]?.atS).toBeLessThan(3.6);
  });

  it('has moved on while an answer was on its way, unless its pace has changed', async () => {
    let pace = 1;
    const { line } = setUp((act) => goesOn(act.number, act.atS, { pace }), view(0));
    await line.start();
    line.act({ kind: 'putIn' }, performance.now());
    await frames(line, 5);
    const before = line.moment(performance.now()).atS;
    line.act({ kind: 'give' }, performance.now() - 400);
    await settle();
    // The act was done four tenths of a second ago: what is seen does not go back there.
    expect(line.moment(performance.now()).atS).toBeGreaterThanOrEqual(before);
    pace = 10;
    const changed = line.moment(performance.now()).atS;
    line.act({ kind: 'pace', times: 10 }, performance.now());
    await settle();
    expect(line.moment(performance.now()).atS).toBeCloseTo(changed, 3);
    await frames(line, 2);
    expect(line.moment(performance.now()).atS).toBeGreaterThan(changed + 19);
  });

  it('goes on without a network: held still when its page is opened, and let go by who is back', async () => {
    const nobody = () => {
      throw new TypeError('no network');
    };
    const { line, last } = setUp(nobody, moving(7), [], nobody);
    await line.start();
    expect(last()?.resting).toBe(true);
    await frames(line, 3);
    expect(line.moment(performance.now()).atS).toBe(7);
    line.goOn();
    await frames(line, 4);
    expect(line.moment(performance.now()).atS).toBeGreaterThan(10.5);
    expect(last()?.online).toBe(false);
  });

  it('stands while its clock is stopped', async () => {
    const { line } = setUp((act) =>
      answer(act.number, {
        view: moving(act.atS, { running: act.number < 6 }),
        frames: act.number < 6 ? [{ timeS: 21_600 }] : [],
      }),
    );
    await line.start();
    line.act({ kind: 'putIn' }, performance.now());
    await frames(line, 3);
    line.act({ kind: 'clock', stopped: true }, performance.now());
    await settle();
    const stood = line.moment(performance.now()).atS;
    await frames(line, 30);
    expect(line.moment(performance.now()).atS).toBe(stood);
  });
});
