import { randomUUID } from 'node:crypto';
import { describe, expect, it } from 'vitest';
import { withApp } from './testing/with-app';
import { scene } from './testing/browserless';

const app = withApp();
const { database } = app;

const kept = async (runId: string) =>
  (
    await database.query<{ number: number; act_id: string }>(
      'select number, act_id from acts where run_id = $1 order by number',
      [runId],
    )
  ).rows;

/** A titration without end: fill, sample, indicator, then drops and streams. */
function script(number: number): unknown {
  const start = [
    { kind: 'fill', toMl: 0 },
    { kind: 'drawSample' },
    { kind: 'drainPipette' },
    { kind: 'indicator', id: 'phenolphthalein', drops: 2 },
  ];
  const course = [
    { kind: 'tap', opening: 'fast drops' },
    { kind: 'wait' },
    { kind: 'tap', opening: 'closed' },
    { kind: 'drop' },
  ];
  return start[number - 1] ?? course[number % course.length];
}

describe('nothing is lost', () => {
  it('finds every acknowledged act after the server was killed, again and again, in the middle of a titration', async () => {
    const { student, runId } = await scene(app.base);
    const acknowledged: { number: number; actId: string; level: number }[] = [];
    let number = 1;
    for (let round = 0; round < 6; round++) {
      let down = false;
      // The kill falls somewhere into the stream of acts: after some of them, and a moment more or less.
      const after = acknowledged.length + 5 + round;
      let killing: Promise<void> | undefined;
      const kill = async () => {
        await new Promise((resolve) => setTimeout(resolve, 3 * round));
        down = true;
        await app.killAndRestart();
      };
      for (;;) {
        if (acknowledged.length >= after) killing ??= kill();
        const actId = randomUUID();
        const reply = await student.act(runId, number, script(number), 1e6, actId).catch(() => undefined);
        if (reply?.status === 200) acknowledged.push({ number, actId, level: reply.body.view.levelMl });
        else {
          await killing;
          // As the outbox does: the same act with the same id, which may or may not have been committed.
          const again = await student.act(runId, number, script(number), 1e6, actId);
          expect(again.status).toBe(200);
          expect(again.body.conflict).toBeUndefined();
          acknowledged.push({ number, actId, level: again.body.view.levelMl });
        }
        number++;
        if (down) break;
      }
      await killing;
    }
    const rows = await kept(runId);
    expect(rows.map((row) => row.number)).toEqual(rows.map((_, i) => i + 1));
    expect(rows.map((row) => row.act_id)).toEqual(acknowledged.map((entry) => entry.actId));
    expect(acknowledged.length).toBeGreaterThan(40);
    // The bench rebuilt from the first act on stands where the last answer said.
    await app.killAndRestart();
    const after = await student.act(runId, number, { kind: 'tick', step: 'fill', on: true });
    expect(after.body.view.levelMl).toBeGreaterThanOrEqual(acknowledged.at(-1)?.level ?? 99);
  });

  it('does an act once however often it is sent, and answers each time alike', async () => {
    const { student, runId } = await scene(app.base);
    await student.act(runId, 1, { kind: 'fill', toMl: 0 });
    const actId = randomUUID();
    const answers = await Promise.all(
      Array.from({ length: 5 }, () => student.act(runId, 2, { kind: 'drop' }, 0, actId)),
    );
    for (const { status, body } of answers) expect([status, body.number, body.conflict]).toEqual([200, 2, undefined]);
    expect(new Set(answers.map(({ body }) => body.view.levelMl)).size).toBe(1);
    expect(await kept(runId)).toHaveLength(2);
  });

  it('lets one of two tabs win and tells the other, with the bench as it is', async () => {
    const { student, runId } = await scene(app.base);
    const tabs = await Promise.all([
      student.act(runId, 1, { kind: 'fill', toMl: 0 }),
      student.act(runId, 1, { kind: 'fill', toMl: 10 }),
    ]);
    expect(tabs.map(({ body }) => body.conflict === true).sort()).toEqual([false, true]);
    expect(tabs[0]?.body.view.levelMl).toBe(tabs[1]?.body.view.levelMl);
    expect(await kept(runId)).toHaveLength(1);
  });

  it('keeps a refused act with its sentence, and gives the same refusal again', async () => {
    const { student, runId } = await scene(app.base);
    const actId = randomUUID();
    const first = await student.act(runId, 1, { kind: 'drop' }, 0, actId);
    expect(first.body.refusal).toMatch(/burette is empty/);
    expect((await student.act(runId, 1, { kind: 'drop' }, 0, actId)).body.refusal).toBe(first.body.refusal);
    expect((await student.act(runId, 2, { kind: 'fill', toMl: 0 })).body.refusal).toBeUndefined();
  });

  it('stops the bench clock at the end of the last stretch when a client falls silent with the tap open', async () => {
    const { student, runId } = await scene(app.base);
    await student.act(runId, 1, { kind: 'fill', toMl: 0 });
    const opened = await student.act(runId, 2, { kind: 'tap', opening: 'stream' });
    const standing = (await (await student.fetch(`/runs/${runId}/acts`)).json()) as {
      view: { timeS: number };
    };
    expect(standing.view.timeS - opened.body.view.timeS).toBeCloseTo(2, 6);
    // Whoever says that they saw more is believed as far as real time reaches, and no further.
    const begun = performance.now();
    const later = await student.act(runId, 3, { kind: 'tap', opening: 'closed' }, standing.view.timeS);
    expect(later.body.view.timeS).toBeCloseTo(standing.view.timeS, 6);
    await student.act(runId, 4, { kind: 'tap', opening: 'stream' }, standing.view.timeS);
    const claimed = await student.act(runId, 5, { kind: 'tap', opening: 'closed' }, 1e6);
    const passedS = claimed.body.view.timeS - standing.view.timeS;
    expect(passedS).toBeGreaterThanOrEqual(2);
    expect(passedS).toBeLessThan(2 + (performance.now() - begun) / 1000);
  });

  it('says in a sentence that an assignment is closed, and keeps what was done', async () => {
    const { teacher, student, runId, assignmentId } = await scene(app.base);
    await student.act(runId, 1, { kind: 'fill', toMl: 0 });
    await teacher.post(`/prep/assignments/${assignmentId}`, { do: 'close' });
    const refused = await student.act(runId, 2, { kind: 'drop' });
    expect([refused.status, refused.body.mistake?.sentence]).toEqual([422, expect.stringContaining('closed')]);
    expect((await student.fetch(`/runs/${runId}`)).status).toBe(200);
    expect(await kept(runId)).toHaveLength(1);
  });
});
