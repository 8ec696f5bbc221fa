import { randomUUID } from 'node:crypto';
import { describe, expect, it } from 'vitest';
import { rulesSchema } from './rules';
import { mayKnow, type Standing } from './knowledge';
import { withApp } from './testing/with-app';
import type { Visitor } from './testing/browserless';
import { scene } from './testing/browserless';

const standing = (more: Partial<Standing>, rules: object = {}): Standing => ({
  rules: rulesSchema.parse({ tellTrueValue: true, ...rules }),
  closed: false,
  isOpen: true,
  isOver: false,
  truthTold: false,
  handIns: 0,
  ...more,
});
const closed = { isOpen: false, isOver: true };

describe('the one rule for what a student may know', () => {
  it.each([
    ['at work', standing({ handIns: 1 }), { truth: false, moved: false, pooled: false, handInsLeft: 2 }],
    [
      'with all hand-ins used',
      standing({ closed: true, handIns: 3 }),
      { truth: true, moved: false, pooled: true, handInsLeft: 0 },
    ],
    [
      'the same, where what moved is told then',
      standing({ closed: true }, { tellInfluences: 'when-done' }),
      { moved: true, handInsLeft: 0 },
    ],
    [
      'the same, where it never is',
      standing({ closed: true, ...closed }, { tellInfluences: 'never', tellTrueValue: false }),
      { truth: false, moved: false },
    ],
    [
      'when the assignment is closed',
      standing({ ...closed, handIns: 1 }),
      { truth: false, moved: true, pooled: true, handInsLeft: 0 },
    ],
    [
      'when it was opened again after something was told',
      standing({ truthTold: true, handIns: 1 }),
      { truth: true, handInsLeft: 0 },
    ],
    ['before the assignment opens', standing({ isOpen: false }), { moved: false, pooled: false, handInsLeft: 0 }],
  ])('%s', (_when, where, expected) => {
    expect(mayKnow(where)).toMatchObject(expected);
  });

  it('never lets anybody hand in who may know what gives the truth away', () => {
    for (const closedRun of [true, false])
      for (const isOpen of [true, false])
        for (const isOver of [true, false])
          for (const truthTold of [true, false])
            for (const handIns of [0, 1, 3])
              for (const tellInfluences of ['never', 'when-closed', 'when-done']) {
                const where = standing(
                  { closed: closedRun, isOpen: isOpen && !isOver, isOver, truthTold, handIns },
                  { tellInfluences },
                );
                const { truth, moved, pooled, handInsLeft } = mayKnow(where);
                if (truth || moved || pooled) expect(handInsLeft).toBe(0);
              }
  });
});

const app = withApp();

const ACTS = [
  { kind: 'fill', toMl: 1 },
  { kind: 'record', trial: 1, which: 'first', text: '1.00' },
  { kind: 'letIn', ml: 20 },
  { kind: 'record', trial: 1, which: 'last', text: '21.00' },
];
async function work(student: Visitor, runId: string): Promise<void> {
  for (const [i, act] of ACTS.entries()) expect((await student.act(runId, i + 1, act)).body.refusal).toBeUndefined();
  await student.answer(runId);
}
const page = async (visitor: Visitor, path: string) => (await visitor.fetch(path)).text();
/** A true value as a page of the run's student would tell it. */
const TRUTH = /It is 0\.\d+ mol\/L; yours differs by|fromReadings/;

describe('once the truth is told', () => {
  it('a run takes no more hand-ins, though the assignment is opened again and more are allowed', async () => {
    const { student, teacher, runId, assignmentId } = await scene(app.base, {
      handIns: '2',
      tellInfluences: 'when-closed',
    });
    await work(student, runId);
    expect((await student.handIn(runId)).status).toBe(200);
    expect(await page(student, `/runs/${runId}`)).not.toMatch(TRUTH);
    const send = (what: string) => teacher.post(`/prep/assignments/${assignmentId}`, { do: what });
    await send('close');
    await expect.poll(() => page(student, `/runs/${runId}`), { timeout: 20_000 }).toMatch(/fromReadings/);
    await send('open');
    const late = await student.handIn(runId);
    expect([late.status, await late.text()]).toEqual([422, expect.stringContaining('nothing more can be handed in')]);
    const more = { handIns: '9', tellBand: 'on', tellInfluences: 'when-closed' };
    expect((await teacher.post(`/prep/assignments/${assignmentId}/settings`, more)).status).toBe(302);
    expect((await student.handIn(runId)).status).toBe(422);
  });

  it('but one whose student has not looked goes on, and the due date is what it was', async () => {
    const { student, teacher, runId, assignmentId } = await scene(app.base, {
      handIns: '2',
      tellInfluences: 'when-closed',
      closesAt: '2040-03-31T12:00',
    });
    await work(student, runId);
    await student.handIn(runId);
    const send = (what: string) => teacher.post(`/prep/assignments/${assignmentId}`, { do: what });
    await send('close');
    const shut = await page(teacher, `/prep/assignments/${assignmentId}`);
    expect(shut).toMatch(/, closed .*before its time/s);
    expect((await student.handIn(runId)).status).toBe(422);
    await send('open');
    const open = await page(teacher, `/prep/assignments/${assignmentId}`);
    // Typed by the clock of Berlin, which is on summer time that day.
    expect(open).toContain('2040-03-31T10:00:00.000Z');
    expect(open).toContain('31 Mar 2040, 12:00');
    expect((await student.handIn(runId)).status).toBe(200);
  });

  it('more hand-ins open a run again that had used them up and was told nothing', async () => {
    const { student, teacher, runId, assignmentId } = await scene(app.base, { handIns: '1' });
    await work(student, runId);
    await student.handIn(runId);
    expect((await student.handIn(runId)).status).toBe(422);
    const rules = { handIns: '2', tellBand: 'on', tellInfluences: 'never' };
    await teacher.post(`/prep/assignments/${assignmentId}/settings`, rules);
    expect((await student.handIn(runId)).status).toBe(200);
    expect((await student.handIn(runId)).status).toBe(422);
    const wrong = await teacher.post(`/prep/assignments/${assignmentId}/settings`, {
      ...rules,
      handIns: '0',
      closesAt: 'soon',
    });
    expect(wrong.status).toBe(422);
  });

  it('by the results of the class as well', async () => {
    const { student, teacher, runId, assignmentId } = await scene(app.base, { handIns: '2' });
    await work(student, runId);
    await student.handIn(runId);
    await teacher.post(`/prep/assignments/${assignmentId}/pooled`, { do: 'rules', shown: 'on' });
    expect((await student.fetch(`/runs/${runId}/pooled`)).status).toBe(404);
    await teacher.post(`/prep/assignments/${assignmentId}`, { do: 'close' });
    expect((await student.fetch(`/runs/${runId}/pooled`)).status).toBe(200);
    await teacher.post(`/prep/assignments/${assignmentId}`, { do: 'open' });
    expect((await student.handIn(runId)).status).toBe(422);
  });
});

describe('a hand-in', () => {
  it('that is sent twice, or ten times at once, is one', async () => {
    const { student, runId } = await scene(app.base, { handIns: '3' });
    await work(student, runId);
    const id = randomUUID();
    const all = await Promise.all(Array.from({ length: 10 }, () => student.handIn(runId, 1, id)));
    expect(all.map(({ status }) => status)).toEqual(all.map(() => 200));
    // Another page that still thinks it is the first is told, and uses nothing up.
    expect((await student.handIn(runId, 1)).status).toBe(422);
    expect((await student.handIn(runId, 2)).status).toBe(200);
    expect((await student.handIn(runId, 3)).status).toBe(200);
  });

  it('names everything that is missing at once', async () => {
    const { student, runId } = await scene(app.base);
    const text = await (await student.handIn(runId)).text();
    for (const field of ['readings', 'measured', 'concentration', 'claim', 'aimWhy'])
      expect(text).toContain(`"${field}"`);
  });

  it('and an act at the same moment come one after the other: what is handed in is what stands', async () => {
    for (let round = 0; round < 6; round++) {
      const { student, teacher, runId } = await scene(app.base, { handIns: '1' });
      await work(student, runId);
      const strike = () => student.act(runId, 5, { kind: 'strike', trial: 1, which: 'last', reason: 'misread' });
      const [struck, handed] = await Promise.all([strike(), student.handIn(runId)]);
      const log = await page(teacher, `/prep/runs/${runId}`);
      const isKept = struck.status === 200;
      expect(log.includes('struck out trial 1')).toBe(isKept);
      // Struck first, nothing is left to hand in; handed in first, nothing can be struck any more.
      expect(isKept).toBe(handed.status === 422);
    }
  });
});

describe('beginning anew', () => {
  const stands = async (visitor: Visitor, runId: string) =>
    (await (await visitor.fetch(`/runs/${runId}/acts`)).json()) as {
      number: number;
      view: { readings: unknown[]; timeS: number };
    };

  it('is the teacher’s to allow, and leaves the log as it is', async () => {
    const { student, runId } = await scene(app.base);
    await work(student, runId);
    const refused = await student.act(runId, 5, { kind: 'startAnew' });
    expect([refused.status, refused.body.mistake?.sentence]).toEqual([422, expect.stringContaining('not allowed')]);
    const other = await scene(app.base, { freshStart: 'on', handIns: '1', tellInfluences: 'when-done' });
    await work(other.student, other.runId);
    const before = await stands(other.student, other.runId);
    expect((await other.student.act(other.runId, 5, { kind: 'startAnew' })).status).toBe(200);
    const after = await stands(other.student, other.runId);
    expect([before.view.readings.length, after.view.readings.length, after.number]).toEqual([2, 0, 5]);
    for (const [i, act] of ACTS.entries())
      expect((await other.student.act(other.runId, i + 6, act)).body.refusal).toBeUndefined();
    const moment = await other.student.fetch(`/runs/${other.runId}/moment?reading=0`);
    expect([moment.status, ((await moment.json()) as { act: number }).act]).toEqual([200, 7]);
    // Another process finds the same bench, and what moved the result is told of what stands.
    await app.killAndRestart();
    expect((await stands(other.student, other.runId)).view.readings).toHaveLength(2);
    expect((await other.student.handIn(other.runId)).status).toBe(200);
    await expect.poll(() => page(other.student, `/runs/${other.runId}`), { timeout: 20_000 }).toContain('fromReadings');
    expect(await page(other.teacher, `/prep/runs/${other.runId}`)).toContain('began anew');
  });
});
