import { describe, expect, inject, it } from 'vitest';
import { withApp } from './testing/with-app';
import { scene, type Visitor } from './testing/browserless';

const app = withApp();
const { database } = app;

interface Answer {
  number: number;
  of: string;
  view?: { timeS: number; logged: { t: string }[]; readings: unknown[] };
  since?: string;
  changes?: { parts: Record<string, unknown>; grown?: Record<string, number> };
  frames: { timeS: number }[];
}

async function watch(student: Visitor, runId: string, after: number, atS: number, has?: string) {
  const response = await student.postJson(`/runs/${runId}/acts`, { after, atS, has });
  const text = await response.text();
  return { status: response.status, bytes: text.length, answer: JSON.parse(text) as Answer };
}

const rowsOf = async (runId: string) =>
  (await database.query('select number from acts where run_id = $1', [runId])).rows.length;

const LOGGING = [
  { kind: 'fill', toMl: 0 },
  { kind: 'drawSample' },
  { kind: 'drainPipette' },
  { kind: 'probe', place: 'flask' },
];

/** A probe logs by itself at a pace. @returns the number of the last act and the bench time after it */
async function logging(student: Visitor, runId: string, times: number, every = 2) {
  let atS = 0;
  const acts = [...LOGGING, { kind: 'log', every, by: 's' }, { kind: 'pace', times }];
  for (const [i, act] of acts.entries()) {
    const { status, body } = await student.act(runId, i + 1, act, atS);
    expect([status, body.refusal], JSON.stringify(act)).toEqual([200, undefined]);
    atS = body.view.timeS;
  }
  return { number: acts.length, atS };
}

describe('who only watches', () => {
  it.each(inject('isLong') ? [1, 10, 60] : [1, 60])(
    'stores no row and loses nothing, twenty minutes long at %i times the pace',
    async (times) => {
      const { student, runId } = await scene(app.base, { probe: 'pH' });
      const begun = await logging(student, runId, times);
      const endS = begun.atS + 1200;
      let { answer } = await watch(student, runId, begun.number, begun.atS);
      for (let rounds = 0; (answer.view?.timeS ?? 0) < endS; rounds++) {
        expect(rounds).toBeLessThan(700);
        const until = Math.min(answer.frames.at(-1)?.timeS ?? 0, endS);
        ({ answer } = await watch(student, runId, begun.number, until));
      }
      expect(answer.frames.length).toBeGreaterThanOrEqual(9);
      const stretch = (answer.frames.at(-1)?.timeS ?? 0) - (answer.view?.timeS ?? 0);
      expect(stretch).toBeLessThanOrEqual(2 * times + 0.002);
      expect(stretch).toBeGreaterThan(1.8 * times - 0.002);
      expect(await rowsOf(runId)).toBe(begun.number);
      expect(answer.view?.logged.length).toBeGreaterThan(590);
      // Written down every few seconds: a bench that is opened after a power cut stands where it was watched to.
      await expect
        .poll(
          async () =>
            (await database.query<{ s: number | null }>('select waited_s as s from runs where id = $1', [runId]))
              .rows[0]?.s,
          { timeout: 15_000 },
        )
        .toBeCloseTo(endS, 2);
      await app.killAndRestart();
      const standing = (await (await student.fetch(`/runs/${runId}/acts`)).json()) as {
        view: { timeS: number; logged: unknown[] };
      };
      expect(standing.view.timeS).toBeCloseTo(endS + 2 * times, 2);
      expect(standing.view.logged.length).toBeGreaterThanOrEqual(answer.view?.logged.length ?? 0);
      // And an act there is folded onto all of that time.
      const act = await student.act(runId, begun.number + 1, { kind: 'recordMeter' }, standing.view.timeS);
      expect([act.body.refusal, act.body.view.timeS]).toEqual([undefined, standing.view.timeS]);
    },
  );

  it('is answered with what came to the log, however long it has grown', async () => {
    const { student, runId } = await scene(app.base, { probe: 'pH' });
    const begun = await logging(student, runId, 60);
    let seen = await watch(student, runId, begun.number, begun.atS);
    const whole = new Map<string, unknown>(Object.entries(seen.answer.view ?? {}));
    const sizes: number[] = [];
    for (let i = 0; i < 25; i++) {
      const until = seen.answer.frames[4]?.timeS ?? 0;
      const had = seen.answer.of;
      seen = await watch(student, runId, begun.number, until, had);
      const { since, changes, view } = seen.answer;
      expect([since, view]).toEqual([had, undefined]);
      const logged = whole.get('logged') as unknown[];
      for (const [key, part] of Object.entries(changes?.parts ?? {}))
        whole.set(key, key === 'logged' && logged.length > 0 ? [...logged, ...(part as unknown[])] : part);
      sizes.push(seen.bytes);
    }
    const after = await watch(student, runId, begun.number, 0);
    expect(whole.get('logged')).toEqual(after.answer.view?.logged);
    expect(after.answer.view?.logged.length).toBeGreaterThan(700);
    expect(Math.max(...sizes.slice(5))).toBeLessThan(after.bytes / 5);
    // Who holds another answer than the last gets the whole.
    expect((await watch(student, runId, begun.number, 0, seen.answer.of)).answer.view).toBeDefined();
  });

  it('finds the bench standing after six hours of bench time without an act, and going on with the next', async () => {
    const { student, runId } = await scene(app.base, { probe: 'pH' });
    const begun = await logging(student, runId, 60, 60);
    let { answer } = await watch(student, runId, begun.number, begun.atS);
    for (let rounds = 0; answer.frames.length > 0; rounds++) {
      expect(rounds).toBeLessThan(250);
      ({ answer } = await watch(student, runId, begun.number, answer.frames.at(-1)?.timeS ?? 0));
    }
    expect(answer.view?.timeS).toBeCloseTo(begun.atS + 6 * 3600, 2);
    expect(answer).toMatchObject({ note: expect.stringContaining('The bench stands as it is') as string });
    const later = await watch(student, runId, begun.number, 1e6);
    expect(later.answer.view?.timeS).toBe(answer.view?.timeS);
    const act = await student.act(runId, begun.number + 1, { kind: 'swirl' }, answer.view?.timeS);
    expect([act.body.refusal, act.body.view.timeS]).toEqual([undefined, answer.view?.timeS]);
    expect((await watch(student, runId, begun.number + 1, act.body.view.timeS)).answer.frames.length).toBeGreaterThan(
      8,
    );
  });

  it('sees what another tab did, is nobody else, and reads no rubbish', async () => {
    const { student, runId, teacher } = await scene(app.base);
    await student.act(runId, 1, { kind: 'fill', toMl: 0 });
    expect((await watch(student, runId, 0, 0)).answer.number).toBe(1);
    expect((await teacher.postJson(`/runs/${runId}/acts`, { after: 1, atS: 5 })).status).toBe(404);
    for (const rubbish of [
      { after: -1, atS: 0 },
      { after: 1, atS: 'late' },
      { after: 1, atS: -5 },
      { after: 1.5, atS: 1 },
      { after: 1, atS: 1, has: 'x'.repeat(41) },
    ])
      expect((await student.postJson(`/runs/${runId}/acts`, rubbish)).status).toBe(400);
    // With nothing going on, no time passes, whatever is claimed.
    const before = await watch(student, runId, 1, 0);
    expect((await watch(student, runId, 1, 1e6)).answer.view?.timeS).toBe(before.answer.view?.timeS);
  });
});
