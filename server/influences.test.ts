import { describe, expect, it } from 'vitest';
import { withApp } from './testing/with-app';
import { scene, Visitor } from './testing/browserless';

const app = withApp();

/** A titration of one trial with readings, so that a result follows. */
async function titrated(student: Visitor, runId: string): Promise<void> {
  const acts = [
    { kind: 'fill', toMl: 0.5 },
    { kind: 'record', trial: 1, which: 'first', text: '0.50' },
    { kind: 'drawSample' },
    { kind: 'drainPipette' },
    { kind: 'indicator', id: 'phenolphthalein', drops: 3 },
    { kind: 'letIn', ml: 25 },
    { kind: 'record', trial: 1, which: 'last', text: '25.50' },
  ];
  let atS = 0;
  for (const [i, act] of acts.entries()) {
    const { status, body } = await student.act(runId, i + 1, act, atS);
    expect([status, body.refusal], act.kind).toEqual([200, undefined]);
    atS = body.view.timeS;
  }
  await student.answer(runId);
}

const TOLD = 'What moved the result';
/** Pages do not wait for it: it is there a moment later. */
const LATER = { timeout: 20_000 };
const page = async (visitor: Visitor, path: string) => (await visitor.fetch(path)).text();

describe('what moved a result', () => {
  it('is told when the last try is used up, to the student and before that to the teacher', async () => {
    const { student, teacher, runId, assignmentId } = await scene(app.base, {
      handIns: '2',
      tellInfluences: 'when-done',
    });
    await titrated(student, runId);
    expect((await student.handIn(runId)).status).toBe(200);
    expect(await page(student, `/runs/${runId}`)).not.toContain('fromReadings');
    await expect.poll(() => page(teacher, `/prep/runs/${runId}`), LATER).toContain(TOLD);
    expect((await student.handIn(runId)).status).toBe(200);
    await expect.poll(() => page(student, `/runs/${runId}`), LATER).toContain('fromReadings');
    const told = await page(student, `/runs/${runId}`);
    // 0.2 where the readings come to 0.1 mol/L: twice as much.
    expect(told).toContain('The ratio in which they react');
    await expect
      .poll(() => page(teacher, `/prep/assignments/${assignmentId}`), LATER)
      .toContain('What moved the results of this class');
  });

  it('is told to who ends the run before, once something is handed in', async () => {
    const { student, runId } = await scene(app.base, { handIns: '3', tellInfluences: 'when-done' });
    await titrated(student, runId);
    const finish = () => student.postJson(`/runs/${runId}.data`, { do: 'finish' });
    expect(await (await finish()).text()).toContain('Nothing is handed in yet');
    await student.handIn(runId);
    expect((await finish()).status).toBe(200);
    await expect.poll(() => page(student, `/runs/${runId}`), LATER).toContain('fromReadings');
    expect((await student.handIn(runId)).status).toBe(422);
  });

  it('is not told where the teacher does not want it', async () => {
    const { student, runId } = await scene(app.base, { handIns: '1' });
    await titrated(student, runId);
    await student.handIn(runId);
    expect(await page(student, `/runs/${runId}`)).not.toContain('fromReadings');
  });
});

describe('several samples in one assignment', () => {
  it('are begun one by one, each with a report of its own, and stay when somebody has begun', async () => {
    const { teacher, student, classId, code, assignmentId, runId } = await scene(app.base);
    const add = `/prep/classes/${classId}/set/base-concentration?with=${assignmentId}`;
    const form = new URLSearchParams({
      fromMolPerL: '0.08',
      toMolPerL: '0.12',
      titrant: 'hydrochloric-acid',
      titrantMolPerL: '0.1',
      pipetteMl: '25',
      probe: 'none',
      unit: 'mol/L',
      bandsPercent: '1',
      do: 'set',
    });
    form.append('bases', 'ammonia');
    form.append('indicators', 'methyl-red');
    expect((await teacher.fetch(add, { method: 'POST', body: form })).status).toBe(302);
    // A sample of a stranger's assignment, or into another class, is nobody's business.
    const elsewhere = await scene(app.base);
    expect((await elsewhere.teacher.fetch(add, { method: 'POST', body: form })).status).toBe(404);
    const into = `/prep/classes/${classId}/set/base-concentration?with=${elsewhere.assignmentId}`;
    expect((await teacher.fetch(into, { method: 'POST', body: form })).status).toBe(404);

    const begin = async (who: Visitor, sample: string) =>
      (await who.post('/work', { assignment: assignmentId, sample })).headers.get('location')?.split('/').at(-1);
    const second = await begin(student, '2');
    expect(second).toMatch(/^[0-9a-f-]{36}$/);
    expect(second).not.toBe(runId);
    expect(await begin(student, '2')).toBe(second);
    for (const nonsense of ['3', '0', 'x', '1e9'])
      expect((await student.post('/work', { assignment: assignmentId, sample: nonsense })).status).toBe(404);
    expect(await page(student, `/runs/${second}`)).toContain('Concentration of an unlabelled base');
    expect(await page(student, '/work')).toContain('sample ');

    const remove = (place: string) =>
      teacher.post(`/prep/assignments/${assignmentId}`, { do: 'remove-sample', sample: place });
    expect(await (await remove('2')).text()).toContain('has begun this sample');
    const report = await teacher.fetch(`/prep/assignments/${assignmentId}/report?sample=2`);
    expect(await report.text()).toContain('Concentration of the base');
    expect((await teacher.fetch(`/prep/assignments/${assignmentId}/report?sample=9`)).status).toBe(404);
    const other = new Visitor(app.base);
    await other.join(code, 'Late Comer');
    expect(await page(other, '/work')).toContain('Concentration of an unlabelled base');
  });
});
