import { describe, expect, it } from 'vitest';
import { z } from 'zod';
import { asSent, type SentShown } from '@core/practicals/shown';
import type { AnyView } from '@core/practicals/registry';
import { maybeRow, pool } from './db';
import { withApp } from './testing/with-app';
import { scene, Visitor } from './testing/browserless';

const app = withApp();

/** Asks until it is there, as the page does. */
async function shown(visitor: Visitor, runId: string, step: string) {
  for (;;) {
    const response = await visitor.fetch(`/runs/${runId}/shown?step=${step}`);
    if (response.status !== 202) return response;
    await new Promise((resolve) => setTimeout(resolve, 100));
  }
}

const changeMethod = async (teacher: Visitor, assignmentId: string, method: string) => {
  const fields = { handIns: '3', tellBand: 'on', practice: 'on', tellInfluences: 'never', method };
  const response = await teacher.post(`/prep/assignments/${assignmentId}/settings`, {
    ...fields,
    opens: '',
    closes: '',
  });
  expect(response.status, await response.clone().text()).toBe(302);
};

const stepsIn = async (visitor: Visitor, runId: string) => {
  const { view } = (await (await visitor.fetch(`/runs/${runId}/acts`)).json()) as { view: AnyView };
  return view.steps.map(({ key }) => key);
};

describe('a step that is shown', () => {
  it('is done with another sample, for the run’s owner alone, and leaves the run as it was', async () => {
    const { student, runId, teacher } = await scene(app.base, { method: 'shown' });
    const count = () =>
      maybeRow(pool(), z.object({ acts: z.number() }), 'select count(*)::int as acts from acts where run_id = $1', [
        runId,
      ]);
    const [before, steps] = [await count(), await stepsIn(student, runId)];
    const response = await shown(student, runId, steps[0] ?? '');
    expect(response.status).toBe(200);
    const { scenes } = asSent((await response.json()) as SentShown<AnyView>);
    expect(scenes.length).toBeGreaterThan(1);
    expect(await count()).toEqual(before);
    for (const other of [teacher, new Visitor(app.base)])
      expect((await shown(other, runId, steps[0] ?? '')).status).toBe(404);
    for (const none of ['', 'no-such-step', 'x'.repeat(5_000)])
      expect((await shown(student, runId, none)).status).toBe(404);
  });

  it('is not where the teacher does not allow it, from the moment on that it is said', async () => {
    const { student, teacher, runId, assignmentId } = await scene(app.base, { method: 'shown' });
    const [first = ''] = await stepsIn(student, runId);
    await changeMethod(teacher, assignmentId, 'ticked');
    const refused = await shown(student, runId, first);
    expect(refused.status).toBe(410);
    expect(await refused.text()).toContain('without showing');
    expect(await stepsIn(student, runId)).toContain(first);
  });
});

describe('a method that is not told', () => {
  const FIRST = 'Rinse the burette with titrant';
  it('stands in nothing that the browser is sent, be it page, answer or practice', async () => {
    const { student, teacher, runId, assignmentId } = await scene(app.base, { method: 'shown' });
    const page = async (id: string) => (await student.fetch(`/runs/${id}`)).text();
    expect(await page(runId)).toContain(FIRST);
    await changeMethod(teacher, assignmentId, 'none');
    expect(await stepsIn(student, runId)).toEqual([]);
    const practice = await student.post('/work', { assignment: assignmentId, do: 'practise' });
    const practiceId = practice.headers.get('location')?.split('/').at(-1) ?? '';
    for (const id of [runId, practiceId]) {
      const { body } = await student.act(id, 1, { kind: 'fill', toMl: 1 });
      expect(body.view).toMatchObject({ steps: [] });
      expect(JSON.stringify(body)).not.toContain(FIRST);
      for (const path of ['', '.data', '/print', '/acts', '/moment?act=1&at=0'])
        expect(await (await student.fetch(`/runs/${id}${path}`)).text(), path).not.toContain(FIRST);
    }
    // Its teacher sees how far everybody is.
    expect(await (await teacher.fetch(`/prep/assignments/${assignmentId}`)).text()).toMatch(/\d of \d+ steps/);
  });

  it('stands in the brief alone, without ticks, where that is chosen', async () => {
    const { student, runId } = await scene(app.base, { method: 'told' });
    expect(await stepsIn(student, runId)).toEqual([]);
    expect(await (await student.fetch(`/runs/${runId}`)).text()).toContain(FIRST);
  });
});
