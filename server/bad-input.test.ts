import { randomUUID } from 'node:crypto';
import { beforeAll, describe, expect, it } from 'vitest';
import { withApp } from './testing/with-app';
import { scene, Visitor } from './testing/browserless';

const app = withApp();
let here: Awaited<ReturnType<typeof scene>>;
beforeAll(async () => {
  here = await scene(app.base);
});

/** The sentence shown on a page that came back with 422. */
async function sentence(response: Response): Promise<string> {
  expect(response.status).toBe(422);
  const html = await response.text();
  return [...html.matchAll(/role="alert"[^>]*>([^<]*)</g)].map((match) => match[1]).join(' ');
}

describe('bad input gives a sentence', () => {
  it.each([
    ['', 'Ann', /Type the class code/],
    ['ZZZZZZ', 'Ann', /No class has this code/],
    ['x'.repeat(5000), 'Ann', /No class has this code/],
    ['code', '', /Type the name/],
    ['code', 'n'.repeat(500), /at most 60 characters/],
    ['code', 'me@example.org', /does not want your e-mail/],
    ['code', 'sam  SEDGE', /add an initial/],
  ])('joining with code “%.8s” and name “%.12s”', async (code, name, expected) => {
    const response = await new Visitor(app.base).join(code === 'code' ? here.code : code, name);
    expect(await sentence(response)).toMatch(expected);
  });

  it('joining with a code that was renewed, and with the code of a deleted class', async () => {
    const { teacher, classId, code } = await scene(app.base);
    await teacher.post(`/prep/classes/${classId}`, { do: 'renew-code' });
    expect(await sentence(await new Visitor(app.base).join(code, 'Late'))).toMatch(/no longer in use/);
    const other = await scene(app.base);
    await other.teacher.post(`/prep/classes/${other.classId}`, { do: 'delete-class' });
    expect(await sentence(await new Visitor(app.base).join(other.code, 'Late'))).toMatch(/No class has this code/);
    // Who was in it is shown the door, not an error.
    const gone = await other.student.fetch('/work');
    expect([gone.status, gone.headers.get('location')]).toEqual([302, '/return?gone=1']);
  });

  it('coming back with the wrong words, and with new ones after they were renewed', async () => {
    const { teacher, classId, code } = await scene(app.base);
    const visitor = new Visitor(app.base);
    const back = (words: string) => visitor.post('/return', { code, name: 'Sam Sedge', words });
    expect(await sentence(await back(''))).toMatch(/three return words/);
    expect(await sentence(await back('one two three'))).toMatch(/not your return words/);
    const page = await (await teacher.fetch(`/prep/classes/${classId}`)).text();
    const student = /data-student="([^"]+)"/.exec(page)?.[1] ?? '';
    const renewed = await (await teacher.post(`/prep/classes/${classId}`, { do: 'renew-words', student })).text();
    const words = /\\"words\\",\\"([a-z ]+)\\"/.exec(renewed)?.[1] ?? '';
    expect(words.split(' ')).toHaveLength(3);
    expect((await back(words.toUpperCase().replaceAll(' ', ' - '))).status).toBe(302);
  });

  it.each([
    [{ fromMolPerL: 'strong' }, /“strong” is not a number/],
    [{ toMolPerL: '1e9' }, /at most 1 mol\/L/],
    [{ toMolPerL: '-1' }, /at least 0.005 mol\/L/],
    [{ toMolPerL: '0.01' }, /above the lower end/],
    [{ bandsPercent: '' }, /at least one tolerance band/],
    [{ handIns: '0' }, /At least one/],
    [{ handIns: '2.5' }, /whole number/],
    [{ pipetteMl: '33' }, /Choose one of those offered/],
    [{ opensAt: '2030-01-02T10:00', closesAt: '2030-01-01T10:00' }, /close before it opens/],
    [{ opensAt: 'soon' }, /not a date/],
  ])('setting a practical with %o', async (fields, expected) => {
    await expect(here.teacher.setPractical(here.classId, fields as Record<string, string>)).rejects.toThrow(expected);
  });

  it('acts that are none', async () => {
    for (const body of [
      '',
      'rubbish',
      '[]',
      '{"number":-1}',
      JSON.stringify({ number: 1, actId: 'x', atS: 0, act: {} }),
    ]) {
      const response = await here.student.fetch(`/runs/${here.runId}/acts`, {
        method: 'POST',
        body,
        headers: { 'Content-Type': 'application/json' },
      });
      expect(response.status).toBe(400);
    }
    const unknown = await here.student.act(here.runId, 1, { kind: 'explode' });
    expect([unknown.status, unknown.body.mistake?.sentence]).toEqual([422, expect.stringContaining('does not know')]);
  });

  it('handing in what cannot be judged, and everything about a report that is too long', async () => {
    const { student, runId } = here;
    for (const [answers, expected] of [
      [{ concentration: { text: '0.1', unit: '' } }, /without a unit/],
      [{ concentration: { text: 'plenty', unit: 'mol/L' } }, /not a number/],
      [{ concentration: { text: '25', unit: 'mL' } }, /unit of volume/],
      [{ claim: { text: 'Yes.' } }, /has one word; at least 6/],
      [{ reasoning: { text: 'It is so since it is so and it is so and it is so.' } }, /does not use/],
      [{ hypothesis: { text: ' ' } }, /Choose an answer/],
      [{}, /no titre/],
    ] as const) {
      await student.answer(runId, answers);
      const response = await student.handIn(runId);
      expect(response.status).toBe(422);
      expect(await response.text()).toMatch(expected);
    }
    expect((await student.answer(runId, { working: { text: 'x'.repeat(9000) } })).status).toBe(422);
  });

  it.each([
    ['no JSON', 'plainly not JSON', 400],
    ['no edits', { after: 0 }, 400],
    ['an unknown edit', { after: 0, edits: [{ id: randomUUID(), edit: { kind: 'erase' } }] }, 400],
    [
      'a cell without an end',
      {
        after: 0,
        edits: [
          {
            id: randomUUID(),
            edit: { kind: 'setCells', table: 't', cells: [{ row: 'r', column: 'c', text: 'x'.repeat(500) }] },
          },
        ],
      },
      422,
    ],
  ])('an edit of the notebook that is %s changes nothing', async (_what, body, status) => {
    const { student, runId } = await scene(app.base);
    const response = await student.postJson(`/runs/${runId}/notebook`, body);
    expect(response.status).toBe(status);
    expect(((await response.json()) as { mistake: { sentence: string } }).mistake.sentence).toMatch(/[.]$/);
    expect(await (await student.edit(runId, [])).json()).toEqual({ edits: [], kept: [], refused: [], more: false });
  });

  it('addresses that are none', async () => {
    for (const path of ['/runs/1', '/runs/%00', '/prep/classes/x', '/nowhere']) {
      expect((await here.teacher.fetch(path)).status).toBe(404);
    }
  });
});

describe('what a student is told', () => {
  it('is the band, never the true value while a try is left, and the value at the end if the teacher allows', async () => {
    const { student, runId } = await scene(app.base, { handIns: '2', tellTrueValue: 'on' });
    const acts = [
      { kind: 'fill', toMl: 1 },
      { kind: 'record', trial: 1, which: 'first', text: '1.00' },
      { kind: 'letIn', ml: 20 },
      { kind: 'record', trial: 1, which: 'last', text: '21.00' },
    ];
    for (const [i, act] of acts.entries()) expect((await student.act(runId, i + 1, act)).body.refusal).toBeUndefined();
    await student.answer(runId);
    const handIn = () => student.handIn(runId);
    const page = async () => (await student.fetch(`/runs/${runId}`)).text();
    expect((await handIn()).status).toBe(200);
    expect(await page()).toContain('Outside all bands');
    expect(await page()).not.toMatch(/yours differs/);
    expect((await handIn()).status).toBe(200);
    expect(await page()).toMatch(/It is 0\.\d+ mol\/L; yours differs by/);
    expect((await student.act(runId, 5, { kind: 'drop' })).body.mistake?.sentence).toMatch(/handed in and closed/);
  });
});
