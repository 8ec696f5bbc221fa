import { randomUUID } from 'node:crypto';
import { beforeAll, describe, expect, it } from 'vitest';
import routes from '../app/routes';
import { withApp } from './testing/with-app';
import { scene, Visitor } from './testing/browserless';

const app = withApp();
let here: Awaited<ReturnType<typeof scene>>;
/** Others: not signed in, another class's student, a classmate, another teacher. */
let others: Record<'nobody' | 'stranger' | 'classmate' | 'otherTeacher', Visitor>;

beforeAll(async () => {
  here = await scene(app.base);
  const elsewhere = await scene(app.base);
  const classmate = new Visitor(app.base);
  await classmate.join(here.code, 'Classmate');
  others = {
    nobody: new Visitor(app.base),
    stranger: elsewhere.student,
    classmate,
    otherTeacher: elsewhere.teacher,
  };
});

/** Every address of the app, with who may not have it. Public pages have no one to turn away. */
const PUBLIC = [
  '/',
  '/join',
  '/return',
  '/leave',
  '/data-book/:part?',
  '/words',
  '/prep/sign-in',
  '/prep/sign-up',
  '/work',
  '/prep',
  '/prep/feed',
];
const OWNED_RUN = ['/runs/:runId', '/runs/:runId/acts', '/runs/:runId/notebook'];
/** Its owner’s, where their teacher allows it: tested with what is shown. */
const SHOWN_RUN = ['/runs/:runId/shown'];
/** Its owner's, when their teacher shows it: tested with pools. */
const POOLED_RUN = ['/runs/:runId/pooled'];
/** Its owner's and their teacher's. */
const SHARED_RUN = ['/runs/:runId/moment', '/runs/:runId/film', '/runs/:runId/print'];
const TEACHERS = [
  '/prep/classes/:classId',
  '/prep/classes/:classId/set/:practical',
  '/prep/assignments/:assignmentId',
  '/prep/assignments/:assignmentId/settings',
  '/prep/assignments/:assignmentId/report',
  '/prep/assignments/:assignmentId/pooled',
  '/prep/runs/:runId',
];

const address = (path: string) =>
  path
    .replace(':runId', here.runId)
    .replace(':classId', here.classId)
    .replace(':assignmentId', here.assignmentId)
    .replace(':practical', 'acid-concentration')
    .replace(':part?', 'acids');

const isWriteOnly = (path: string) => path.endsWith('notebook');

describe('roles', () => {
  it('knows every route of the app', () => {
    const all = routes.map((route) => `/${route.path ?? ''}`).sort();
    expect(all).toEqual([...PUBLIC, ...OWNED_RUN, ...SHOWN_RUN, ...SHARED_RUN, ...POOLED_RUN, ...TEACHERS].sort());
  });

  it.each(OWNED_RUN)('%s is the owner’s alone', async (path) => {
    const attempts = [
      new URLSearchParams({}),
      JSON.stringify({ number: 1, actId: randomUUID(), atS: 0, act: { kind: 'wait' } }),
      JSON.stringify({
        after: 0,
        edits: [{ id: randomUUID(), edit: { kind: 'answer', key: 'claim', answer: { text: 'mine' }, was: '' } }],
      }),
    ];
    for (const [who, visitor] of Object.entries({ ...others, teacher: here.teacher })) {
      if (!isWriteOnly(path)) expect((await visitor.fetch(address(path))).status, `${who} GET`).toBe(404);
      for (const body of attempts) {
        const response = await visitor.fetch(address(path), { method: 'POST', body });
        expect([404, 405, 411, 415], `${who} POST`).toContain(response.status);
      }
    }
    if (!isWriteOnly(path)) expect((await here.student.fetch(address(path))).status).toBe(200);
  });

  it.each(['/runs/:runId/moment?act=0&at=0', '/runs/:runId/print'])(
    '%s is for its owner and their teacher',
    async (shared) => {
      const path = address(shared);
      for (const [who, visitor] of Object.entries(others)) expect((await visitor.fetch(path)).status, who).toBe(404);
      for (const visitor of [here.student, here.teacher]) expect((await visitor.fetch(path)).status).toBe(200);
    },
  );

  it.each(TEACHERS)('%s is for its own teacher', async (path) => {
    for (const [who, visitor] of Object.entries(others)) {
      const { status, headers } = await visitor.fetch(address(path));
      if (who === 'nobody')
        expect([status, headers.get('location')]).toEqual([302, expect.stringContaining('/prep/sign-in')]);
      else expect(status, who).toBe(who === 'otherTeacher' ? 404 : 403);
    }
    expect((await here.student.fetch(address(path))).status).toBe(403);
    if (!path.endsWith('feed')) expect((await here.teacher.fetch(address(path))).status).toBe(200);
  });

  it.each([
    ['/prep/classes/:classId', { do: 'delete-class' }],
    ['/prep/classes/:classId', { do: 'renew-code' }],
    ['/prep/classes/:classId/set/:practical', { do: 'set' }],
    ['/prep/assignments/:assignmentId', { do: 'close' }],
    ['/prep/assignments/:assignmentId/report', {}],
    ['/prep/assignments/:assignmentId/pooled', { do: 'rules', shown: 'on' }],
  ])('%s %o changes nothing for others', async (path, fields) => {
    for (const visitor of [others.otherTeacher, others.classmate, here.student, others.nobody]) {
      const { status } = await visitor.post(address(path), fields);
      expect([302, 403, 404]).toContain(status);
    }
    expect(
      (await here.student.act(here.runId, 1, { kind: 'wait' }, 0, '00000000-0000-4000-8000-000000000001')).status,
    ).toBe(200);
  });

  it('refuses a student of another class a run, and a teacher the removal of a stranger', async () => {
    expect((await others.stranger.post('/work', { assignment: here.assignmentId })).status).toBe(404);
    const studentId =
      /data-student="([^"]+)"/.exec(await (await here.teacher.fetch(`/prep/classes/${here.classId}`)).text())?.[1] ??
      '';
    expect(studentId).toMatch(/^[0-9a-f-]{36}$/);
    for (const act of ['remove-student', 'renew-words']) {
      const { classId } = await scene(app.base);
      expect((await others.otherTeacher.post(`/prep/classes/${classId}`, { do: act, student: studentId })).status).toBe(
        404,
      );
    }
  });

  it('refuses writes that come from a page of another site', async () => {
    const response = await here.student.fetch('/work', {
      method: 'POST',
      body: new URLSearchParams({ assignment: here.assignmentId }),
      headers: { origin: 'https://elsewhere.example' },
    });
    expect(response.status).toBe(403);
  });

  it('sends a strict policy and keeps its cookies to itself', async () => {
    const response = await new Visitor(app.base).post('/prep/sign-up', {
      name: 'C',
      email: `${randomUUID()}@example.org`,
      password: 'a long password',
    });
    expect(response.headers.get('set-cookie')).toMatch(/HttpOnly.*SameSite=Lax/i);
    const policy = (await others.nobody.fetch('/')).headers.get('content-security-policy') ?? '';
    expect(policy).toMatch(/script-src 'self' 'nonce-[^']+'/);
    expect(policy).not.toContain('unsafe-eval');
  });
});
