import { describe, expect, it } from 'vitest';
import { PRACTICALS } from '@core/practicals/registry';
import { withApp } from './testing/with-app';
import { Visitor, type ActReply } from './testing/browserless';

const app = withApp();

const SETTINGS = {
  form: 'small pieces',
  unknowns: '1',
  readability: '0.01',
  bandsPercent: '2; 5; 10',
  handIns: '1',
  tellBand: 'on',
  tellInfluences: 'never',
  do: 'set',
};

/** Displacement of the same material for everyone, one hand-in each. @returns the assignment's id */
async function setDisplacement(teacher: Visitor, classId: string, more: Record<string, string> = {}): Promise<string> {
  const form = new URLSearchParams({ ...SETTINGS, solids: 'aluminium', vessels: 'cylinder-25', ...more });
  const response = await teacher.fetch(`/prep/classes/${classId}/set/displacement`, {
    method: 'POST',
    body: form,
  });
  if (response.status !== 302) throw new Error(`setting gave ${response.status}: ${await response.text()}`);
  return response.headers.get('location')?.split('/').at(-1) ?? '';
}

const ANSWERS = {
  measured: 'How far the water rises when it is under water',
  nameA: 'aluminium',
  working: 'Mass divided by volume.',
  claim: 'It is aluminium, as the density tells.',
  reasoning: 'The density is that of the data book within what the scale allows, and nothing else is as near.',
  aim: 'Find a density from a slope',
  aimWhy: 'I plotted mass against volume myself.',
};

/** A student joins, measures once, and hands in this density. */
async function handsIn(code: string, assignmentId: string, name: string, density: string) {
  const student = new Visitor(app.base);
  await student.join(code, name);
  const runId = await student.start(assignmentId);
  let number = 0;
  let view: ActReply['body']['view'] | undefined;
  const act = async (one: object, afterS = 0) => {
    const reply = await student.act(runId, ++number, one, (view?.timeS ?? 0) + afterS);
    if (reply.status !== 200 || reply.body.refusal) throw new Error(JSON.stringify(reply.body));
    view = reply.body.view;
  };
  await act({ kind: 'tap', into: 1, opening: 'stream' });
  await act({ kind: 'tap', into: 1, opening: 'off' }, 1);
  await act({ kind: 'record', trial: 1, which: 'V1', text: '12.00' });
  await act({ kind: 'weighPieces', lot: 1, count: 6 });
  await act({ kind: 'recordMass', trial: 1, which: 'm' }, 2);
  await act({ kind: 'offPan' });
  await act({ kind: 'put', lot: 1, count: 6, into: 1, how: 'lower' });
  await act({ kind: 'record', trial: 1, which: 'V2', text: '14.50' });
  const edits = [
    ...Object.entries(ANSWERS).map(([key, text]) => ({ kind: 'answer', key, answer: { text }, was: '' })),
    { kind: 'answer', key: 'densityA', answer: { text: density, unit: 'g/cm³' }, was: '' },
  ];
  await student.edit(runId, edits);
  const handed = await student.handIn(runId);
  if (handed.status >= 300) throw new Error(`hand-in gave ${handed.status}: ${await handed.text()}`);
  return { student, runId };
}

async function aClass() {
  const teacher = new Visitor(app.base);
  await teacher.signUp();
  const { id, code } = await teacher.makeClass('Pool class');
  const assignmentId = await setDisplacement(teacher, id);
  return { teacher, id, code, assignmentId };
}

/** The page's text without its tags. */
const textOf = async (response: Response) =>
  (await response.text())
    .replace(/<script[\s\S]*?<\/script>/g, ' ')
    .replace(/<!-- -->/g, '')
    .replace(/<[^>]+>/g, ' ');

describe('pooled results', () => {
  it('lay the class beside one another, mark what lies far off, and leave out with a reason', async () => {
    const { teacher, code, assignmentId } = await aClass();
    const values = ['2.69', '2.70', '2.71', '2.72', '2.68', '3.40'];
    const runs = [];
    for (const [i, value] of values.entries()) runs.push(await handsIn(code, assignmentId, `Student ${i + 1}`, value));
    const page = `/prep/assignments/${assignmentId}/pooled`;
    let text = await textOf(await teacher.fetch(page));
    expect(text).toContain('6 values, mean 2.82 g/cm³');
    expect(text).toMatch(/Student 6[\s\S]{0,80} 3\.40 [\s\S]{0,40}outlier/);
    expect(text).toContain('reference 2.700');

    // Nobody but the teacher sees it before it is shown; then without names, and with them.
    const first = runs[0] as (typeof runs)[number];
    const own = `/runs/${first.runId}/pooled`;
    expect((await first.student.fetch(own)).status).toBe(404);
    await teacher.post(page, { do: 'rules', shown: 'on' });
    text = await textOf(await first.student.fetch(own));
    expect(text).toContain('6 values, mean 2.82 g/cm³');
    expect(text).toContain('you');
    expect(text).not.toContain('Student 2');
    expect((await runs[1]?.student.fetch(own))?.status).toBe(404);
    await teacher.post(page, { do: 'rules', shown: 'on', named: 'on' });
    expect(await textOf(await first.student.fetch(own))).toContain('Student 2');

    const far = runs[5] as (typeof runs)[number];
    const refused = await teacher.post(page, { do: 'leave', run: far.runId, key: 'densityA', reason: ' ' });
    expect(await textOf(refused)).toContain('Say in a few words why this value is left out.');
    await teacher.post(page, {
      do: 'leave',
      run: far.runId,
      key: 'densityA',
      reason: 'air under the pieces',
    });
    text = await textOf(await teacher.fetch(page));
    expect(text).toContain('5 values, mean 2.700 g/cm³, standard deviation 0.016 g/cm³');
    expect(text).toContain('left out: air under the pieces');
    await teacher.post(page, { do: 'take', run: far.runId, key: 'densityA' });
    expect(await textOf(await teacher.fetch(page))).toContain('6 values');
  });

  it('take two classes of one teacher together, and nobody else’s', async () => {
    const { teacher, code, assignmentId } = await aClass();
    await handsIn(code, assignmentId, 'Here', '2.70');
    const other = await teacher.makeClass('Other class');
    const otherId = await setDisplacement(teacher, other.id);
    await handsIn(other.code, otherId, 'There', '2.74');
    const page = `/prep/assignments/${assignmentId}/pooled`;
    expect(await textOf(await teacher.fetch(page))).toContain('1 value, mean 2.700');
    await teacher.post(page, { do: 'rules', with: otherId });
    expect(await textOf(await teacher.fetch(page))).toContain('2 values, mean 2.720');

    const stranger = await aClass();
    await handsIn(stranger.code, stranger.assignmentId, 'Stranger', '2.60');
    const response = await teacher.post(page, { do: 'rules', with: stranger.assignmentId });
    expect(response.status).toBe(404);
    expect(await textOf(await teacher.fetch(page))).toContain('2 values');
  });

  it('are differences in percent where every sample is another', async () => {
    expect(PRACTICALS['acid-concentration'].pool({}, PRACTICALS['acid-concentration'].sample({}, 's', 0))).toEqual({});
    expect(
      PRACTICALS.displacement.pool({ solids: ['lead'] }, PRACTICALS.displacement.sample({ solids: ['lead'] }, 's', 0)),
    ).toEqual({ densityA: 'lead' });
  });
});
