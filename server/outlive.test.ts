import { describe, expect, it } from 'vitest';
import { PRACTICALS } from '@core/practicals/registry';
import { setAssignment } from './assignments';
import { rulesSchema } from './rules';
import { withApp } from './testing/with-app';
import type { Visitor } from './testing/browserless';
import { scene } from './testing/browserless';

/** Runs that were begun under another release: their acts are changed in the database, as if the code had changed. */

const app = withApp();
const { database } = app;

const ACTS = [
  { kind: 'fill', toMl: 2 },
  { kind: 'record', trial: 1, which: 'first', text: '2.02' },
  { kind: 'drawSample' },
  { kind: 'drainPipette' },
  { kind: 'indicator', id: 'phenolphthalein', drops: 3 },
  { kind: 'letIn', ml: 22 },
  { kind: 'record', trial: 1, which: 'last', text: '24.03' },
];

async function titrated(student: Visitor, runId: string): Promise<void> {
  for (const [i, act] of ACTS.entries()) {
    const { status, body } = await student.act(runId, i + 1, act, 1e6);
    expect([status, body.refusal], act.kind).toEqual([200, undefined]);
  }
}

const change = (text: string, values: unknown[]) => database.query(text, values);
const page = async (visitor: Visitor, path: string) => (await visitor.fetch(path)).text();
const text = (html: string) =>
  html
    .replace(/<(script|style)[\s\S]*?<\/\1>/g, '')
    .replace(/<[^>]+>/g, ' ')
    .replace(/nonce="[^"]*"/g, '')
    .replace(/\s+/g, ' ')
    .trim();
const json = async (visitor: Visitor, path: string) =>
  (await visitor.fetch(path)).json() as Promise<{ view: { readings: { text: string }[]; levelMl: number } }>;
const SENTENCE = 'begun under an earlier version of Fen';

describe('a run that is open under another model than it was begun under', () => {
  it('keeps its readings, leaves out and counts what cannot be done any more, says so, and goes on', async () => {
    const { student, teacher, runId, assignmentId } = await scene(app.base);
    await titrated(student, runId);
    const before = await json(student, `/runs/${runId}/acts`);
    await change('update runs set model = 99 where id = $1', [runId]);
    // One act that is refused now, one that is unknown, and a balance that showed something else then.
    await change(`update acts set act = '{"kind": "drainPipette"}' where run_id = $1 and number = 3`, [runId]);
    await change(`update acts set act = '{"kind": "conjure"}' where run_id = $1 and number = 5`, [runId]);
    await change(`update acts set readings = '[{"text": "24.41", "value": 24.41}]' where run_id = $1 and number = 7`, [
      runId,
    ]);
    await app.killAndRestart();
    const after = await json(student, `/runs/${runId}/acts`);
    expect(before.view.readings.map((reading) => reading.text)).toEqual(['2.02', '24.03']);
    expect(after.view.readings.map((reading) => reading.text)).toEqual(['2.02', '24.41']);
    expect(text(await page(student, `/runs/${runId}`))).toContain(`${SENTENCE}. 3 acts could not be done again`);
    expect(text(await page(teacher, `/prep/runs/${runId}`))).toContain(`${SENTENCE}. 3 acts could not be done again`);
    expect(text(await page(teacher, `/prep/assignments/${assignmentId}`))).toContain('Sam Sedge');
    // What was seen when a reading was taken is what was seen.
    const moment = await json(student, `/runs/${runId}/moment?reading=1`);
    expect(moment.view.levelMl).toBeCloseTo(before.view.levelMl, 6);
    const next = await student.act(runId, 8, { kind: 'indicator', id: 'phenolphthalein', drops: 3 }, 1e6);
    expect([next.status, next.body.conflict]).toEqual([200, undefined]);
    await student.answer(runId);
    expect((await student.handIn(runId)).status).toBe(200);
    // What moved the result would be told of another bench, so it is not.
    expect((await teacher.fetch(`/prep/runs/${runId}`)).status).toBe(200);
  });

  it('whose setup cannot be read any more breaks no table, and ends its page with a sentence', async () => {
    const { student, teacher, runId, assignmentId } = await scene(app.base);
    await titrated(student, runId);
    await change(`update runs set model = 99, setup = '{"acids": "none that is known"}' where id = $1`, [runId]);
    await app.killAndRestart();
    const table = await teacher.fetch(`/prep/assignments/${assignmentId}`);
    expect([table.status, text(await table.text())]).toEqual([200, expect.stringContaining('Sam Sedge')]);
    const sent = await student.act(runId, 8, { kind: 'drop' });
    expect([sent.status, sent.body.mistake]).toMatchObject([
      422,
      { field: 'closed', sentence: expect.stringContaining('an earlier version of Fen') as string },
    ]);
    expect((await student.postJson(`/runs/${runId}/acts`, { after: 7, atS: 1 })).status).toBe(422);
    for (const [visitor, path] of [
      [student, `/runs/${runId}`],
      [teacher, `/prep/runs/${runId}`],
    ] as const) {
      const shown = await visitor.fetch(path);
      expect([path, shown.status, text(await shown.text())]).toEqual([
        path,
        410,
        expect.stringContaining('this one cannot read its bench'),
      ]);
    }
  });
});

describe('a log that goes on after the last act, under another model', () => {
  it('is what was seen: when its page is opened again, and when something is done at last', async () => {
    const { student, classId } = await scene(app.base);
    const dates = { opensAt: new Date(), closesAt: null };
    const setup = PRACTICALS['metal-by-heat'].setup.parse({});
    const runId = await student.start(
      await setAssignment(classId, 'metal-by-heat', setup, rulesSchema.parse({}), dates),
    );
    for (const [i, act] of [
      { kind: 'pace', times: 60 },
      { kind: 'thermometer', n: 1, at: 'bath' },
      { kind: 'log', everyS: 5 },
    ].entries())
      expect((await student.act(runId, i + 1, act)).body.refusal).toBeUndefined();
    const logged = async () =>
      ((await json(student, `/runs/${runId}/acts`)).view as unknown as { logged: { tempC: number }[] }).logged;
    await student.postJson(`/runs/${runId}/acts`, { after: 3, atS: 30 });
    const keptLines = async () =>
      (
        (await change('select waited_logged as lines from runs where id = $1', [runId])).rows[0] as {
          lines: { tempC: number }[] | null;
        }
      ).lines ?? [];
    await expect.poll(async () => (await keptLines()).length, { timeout: 15_000 }).toBeGreaterThan(2);
    const lines = await keptLines();
    expect((await logged()).slice(0, lines.length)).toEqual(lines);
    // As if the thermometer had shown something else then.
    const then = lines.map((line, i) => ({ ...line, tempC: 40 + i }));
    await change('update runs set model = 99, waited_logged = $2 where id = $1', [runId, JSON.stringify(then)]);
    await app.killAndRestart();
    expect((await logged()).slice(0, then.length)).toEqual(then);
    expect((await student.act(runId, 4, { kind: 'pause' }, 0)).body.refusal).toBeUndefined();
    expect((await logged()).slice(0, then.length)).toEqual(then);
    await app.killAndRestart();
    expect((await logged()).slice(0, then.length)).toEqual(then);
  }, 60_000);
});

describe('a run that is closed', () => {
  it('is what it was, for student and teacher, on paper and in the table, whatever its acts would give now', async () => {
    const { student, teacher, runId, assignmentId } = await scene(app.base, {
      handIns: '1',
      tellInfluences: 'when-done',
    });
    await titrated(student, runId);
    const { act, atS } = { act: 6, atS: 30 };
    const sketch = { id: 'snap', name: 'Snapshot 1', under: 'bench', act, atS, readings: 1, marks: [] };
    expect((await student.edit(runId, [{ kind: 'addSketch', sketch }])).status).toBe(200);
    await student.answer(runId);
    expect((await student.handIn(runId)).status).toBe(200);
    const shown = async () => ({
      student: (await page(student, `/runs/${runId}.data`)).replace(/"nonce","[^"]+"/, ''),
      print: text(await page(student, `/runs/${runId}/print`)),
      look: text(await page(teacher, `/prep/runs/${runId}`)).replace(/Acts, in order .*/, ''),
      table: text(await page(teacher, `/prep/assignments/${assignmentId}`)),
      bench: await json(student, `/runs/${runId}/acts`),
      readings: [
        await json(student, `/runs/${runId}/moment?reading=0`),
        await json(student, `/runs/${runId}/moment?reading=1`),
      ],
      snapshot: await json(student, `/runs/${runId}/moment?act=${act}&at=${atS}`),
    });
    await expect
      .poll(
        async () =>
          (await change('select view from notebook_edits where run_id = $1 and view is not null', [runId])).rows.length,
      )
      .toBe(1);
    await expect.poll(async () => (await shown()).student, { timeout: 20_000 }).toContain('fromReadings');
    await expect.poll(async () => (await shown()).table, { timeout: 20_000 }).not.toContain('Being worked out');
    const before = await shown();
    expect(before.look).toContain('24.03');
    // A release in which the burette fills to another mark and nothing else is known.
    await change(`update acts set act = '{"kind": "fill", "toMl": 20}' where run_id = $1 and number = 1`, [runId]);
    await change(
      `update acts set act = '{"kind": "conjure"}' where run_id = $1 and number > 1 and act->>'kind' not like 'record%'`,
      [runId],
    );
    await change('update runs set model = 99 where id = $1', [runId]);
    await app.killAndRestart();
    expect(await shown()).toEqual(before);
    expect(text(await page(teacher, `/prep/runs/${runId}`))).toContain('does not know any more');
  });

  it('that is opened again is worked out from its acts again, and kept anew when it is closed', async () => {
    const { student, runId } = await scene(app.base, { handIns: '2' });
    await titrated(student, runId);
    await student.answer(runId);
    expect((await student.handIn(runId)).status).toBe(200);
    expect((await student.act(runId, 8, { kind: 'letIn', ml: 1 }, 1e6)).body.refusal).toBeUndefined();
    const finish = await student.postJson(`/runs/${runId}.data`, { do: 'finish' });
    expect(finish.status).toBe(200);
    const kept = await change(
      `select kept->'number' as number, (kept->'view'->>'levelMl')::float8 as level, (select last_act from hand_ins where run_id = $1) as "lastAct" from runs where id = $1`,
      [runId],
    );
    expect(kept.rows[0]).toMatchObject({ number: 8, lastAct: 7 });
    expect((await json(student, `/runs/${runId}/acts`)).view.levelMl).toBe((kept.rows[0] as { level: number }).level);
  });
});
