import { randomUUID } from 'node:crypto';
import { describe, expect, it } from 'vitest';
import type { Edit } from '@core/notebook/edits';
import { withApp } from './testing/with-app';
import { scene, type Visitor } from './testing/browserless';

const app = withApp();

interface Answer {
  edits: { number: number; id: string; edit: Edit }[];
  refused: { id: string; sentence: string }[];
}
const sent = async (visitor: Visitor, runId: string, edits: unknown[], after = 0, ids: string[] = []) =>
  (await (await visitor.edit(runId, edits, after, ids)).json()) as Answer;
const calculation = (id: string, text: string) => ({ kind: 'putCalculation', calculation: { id, text } });
const say = (text: string, was = '') => ({ kind: 'answer', key: 'claim', answer: { text }, was });

describe('the notebook on the server', () => {
  it('keeps every acknowledged edit through kills, each once', async () => {
    const { student, runId } = await scene(app.base);
    const acknowledged: string[] = [];
    for (let round = 0; round < 3; round++) {
      const killing = new Promise<void>((resolve) =>
        setTimeout(() => void app.killAndRestart().then(resolve), 60 + 50 * round),
      );
      for (let i = 0, down = false; !down; i++) {
        const id = randomUUID();
        const edit = calculation(`k${round}-${i}`, `${i} + ${round}`);
        try {
          await sent(student, runId, [edit], 0, [id]);
        } catch {
          await killing;
          // The tab sends what was not acknowledged again, under the same id.
          await sent(student, runId, [edit], 0, [id]);
          down = true;
        }
        acknowledged.push(id);
      }
    }
    const { edits } = await sent(student, runId, []);
    expect(edits.map((entry) => entry.id)).toEqual(acknowledged);
    expect(edits.map((entry) => entry.number)).toEqual(acknowledged.map((_, i) => i + 1));
  });

  it('gives each of two tabs what the other did, and loses nothing of either', async () => {
    const { student, runId } = await scene(app.base);
    const tabs = await Promise.all(
      ['a', 'b', 'c', 'd'].map((tab) =>
        sent(student, runId, [calculation(`${tab}1`, '1'), calculation(`${tab}2`, '2')]),
      ),
    );
    for (const { refused } of tabs) expect(refused).toEqual([]);
    const { edits } = await sent(student, runId, []);
    const ids = edits.flatMap(({ edit }) => (edit.kind === 'putCalculation' ? [edit.calculation.id] : []));
    expect([...ids].sort()).toEqual(['a1', 'a2', 'b1', 'b2', 'c1', 'c2', 'd1', 'd2']);
    const later = await sent(student, runId, [], edits.length - 2);
    expect(later.edits).toEqual(edits.slice(-2));
  });

  it('refuses one edit with a sentence and keeps the others of the same post', async () => {
    const { student, runId } = await scene(app.base);
    const ids = [randomUUID(), randomUUID()];
    const answer = await sent(student, runId, [{ kind: 'dropTable', table: 'titres' }, calculation('k', '1')], 0, ids);
    expect(answer.refused).toEqual([{ id: ids[0], sentence: expect.stringContaining('stays') }]);
    expect(answer.edits.map((entry) => entry.id)).toEqual([ids[1]]);
  });

  it('keeps what another tab wrote over, and shows the page as it was left', async () => {
    const { student, runId } = await scene(app.base);
    await sent(student, runId, [say('From the first tab.')]);
    await sent(student, runId, [say('From the second tab.')]);
    const page = await (await student.fetch(`/runs/${runId}`)).text();
    expect(page).toContain('From the first tab.');
    expect(page).toContain('From the second tab.');
  });

  it('is frozen by a hand-in, and closed by the last', async () => {
    const { teacher, student, runId } = await scene(app.base, { handIns: '2' });
    const acts = [
      { kind: 'fill', toMl: 1 },
      { kind: 'record', trial: 1, which: 'first', text: '1.00' },
      { kind: 'letIn', ml: 20 },
      { kind: 'record', trial: 1, which: 'last', text: '21.00' },
    ];
    for (const [i, act] of acts.entries()) await student.act(runId, i + 1, act);
    await student.answer(runId);
    expect((await student.handIn(runId)).status).toBe(200);
    await student.answer(runId, { claim: { text: 'Now I say something quite different.' } });
    const looked = await (await teacher.fetch(`/prep/runs/${runId}`)).text();
    expect(looked).toContain('It is about as concentrated as I thought.');
    expect(looked).not.toContain('Now I say something');
    expect((await student.handIn(runId)).status).toBe(200);
    const refused = await student.answer(runId);
    expect([refused.status, await refused.text()]).toEqual([422, expect.stringContaining('handed in and closed')]);
  });

  it('shows the bench as it was when each reading was taken', async () => {
    const { teacher, student, runId } = await scene(app.base);
    const acts = [
      { kind: 'fill', toMl: 1 },
      { kind: 'record', trial: 1, which: 'first', text: '1.00' },
      { kind: 'letIn', ml: 20 },
      { kind: 'record', trial: 1, which: 'last', text: '21.00' },
      { kind: 'emptyBurette' },
    ];
    for (const [i, act] of acts.entries()) await student.act(runId, i + 1, act);
    for (const [reading, level] of [
      [0, 1],
      [1, 21],
    ] as const) {
      for (const visitor of [student, teacher]) {
        const response = await visitor.fetch(`/runs/${runId}/moment?reading=${reading}`);
        const { view } = (await response.json()) as { view: { levelMl: number; readings: unknown[] } };
        expect(Math.abs(view.levelMl - level)).toBeLessThan(0.3);
        // What was read stands in the notebook, not again in each picture.
        expect(view.readings).toEqual([]);
      }
    }
    for (const query of ['reading=2', 'reading=-1', 'act=1', 'act=x&at=0', '']) {
      expect((await student.fetch(`/runs/${runId}/moment?${query}`)).status).toBe(404);
    }
  });

  it('keeps the answers of those who have begun when the teacher asks for something else', async () => {
    const { teacher, student, runId, assignmentId } = await scene(app.base);
    await student.answer(runId, { claim: { text: 'My claim before the change.' } });
    const draft = {
      key: 'mood',
      kind: 'text',
      label: 'How was it?',
      help: '',
      when: 'after',
      required: true,
      quantity: '',
      unit: '',
      expected: '',
      digits: '',
      bands: '',
      options: '',
      right: '',
      ownWords: false,
      leastWords: '2',
      words: '',
    };
    const compose = (body: unknown) => teacher.postJson(`/prep/assignments/${assignmentId}/report.data`, body);
    expect((await compose([{ ...draft, label: '' }])).status).toBe(422);
    expect((await compose([{ ...draft, kind: 'number', unit: 'furlong!' }])).status).toBe(422);
    expect((await compose([{ key: 5 }])).status).toBe(400);
    expect((await compose([draft])).status).toBe(200);
    const page = await (await student.fetch(`/runs/${runId}`)).text();
    expect(page).toContain('How was it?');
    expect(page).not.toContain('What do you say about your sample');
    expect(page).toContain('My claim before the change.');
    expect((await compose('own')).status).toBe(200);
    expect(await (await student.fetch(`/runs/${runId}`)).text()).toContain('What do you say about your sample');
  });
});
