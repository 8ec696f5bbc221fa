import http from 'node:http';
import { beforeAll, describe, expect, it } from 'vitest';
import { hostRule } from './http/admission';
import { withApp } from './testing/with-app';
import { scene, Visitor } from './testing/browserless';

const app = withApp();
let here: Awaited<ReturnType<typeof scene>>;
beforeAll(async () => {
  here = await scene(app.base);
});

/** A request that a browser would not make. */
function raw(
  options: http.RequestOptions,
  body?: string,
): Promise<{ status: number; text: string; headers: http.IncomingHttpHeaders }> {
  return new Promise((resolve, reject) => {
    const { hostname, port } = new URL(app.base);
    const request = http.request({ hostname, port, agent: false, ...options }, (response) => {
      let text = '';
      response.on('data', (chunk: Buffer) => (text += chunk.toString()));
      response.on('end', () => resolve({ status: response.statusCode ?? 0, text, headers: response.headers }));
    });
    request.on('error', reject);
    request.end(body);
  });
}

const JSON_HEADERS = { 'Content-Type': 'application/json' };
const acts = () => `/runs/${here.runId}/acts`;

describe('what is not read', () => {
  it.each([
    ['an act', () => acts(), 17_000],
    ['edits', () => `/runs/${here.runId}/notebook`, 263_000],
    ['a hand-in', () => `/runs/${here.runId}.data`, 5_000],
    ['a form of nobody', () => '/join', 17_000],
    ['a password', () => '/prep/sign-in', 17_000],
    ['a report', () => `/prep/assignments/${here.assignmentId}/report.data`, 263_000],
  ])('%s that is too long, said in a sentence before it is sent', async (_what, path, length) => {
    const isForm = /join|sign-in/.test(path());
    const type = isForm ? 'application/x-www-form-urlencoded' : 'application/json';
    // Only the head is sent: whoever waited for the body would wait for ever.
    const answer = await new Promise<{ status: number; text: string }>((resolve, reject) => {
      const { hostname, port } = new URL(app.base);
      const request = http.request(
        {
          hostname,
          port,
          path: path(),
          method: 'POST',
          agent: false,
          headers: { 'Content-Type': type, 'Content-Length': length },
        },
        (response) => {
          let text = '';
          response.on('data', (chunk: Buffer) => (text += chunk.toString()));
          response.on('end', () => resolve({ status: response.statusCode ?? 0, text }));
        },
      );
      request.on('error', reject);
      request.flushHeaders();
    });
    expect(answer.status).toBe(413);
    expect(answer.text).toMatch(/longer than can be taken.*Nothing was done\.$/);
  });

  it('a body of unknown length, a strange kind of body, and any other method', async () => {
    const chunked = await raw(
      { method: 'POST', path: acts(), headers: { ...JSON_HEADERS, 'Transfer-Encoding': 'chunked' } },
      '{}',
    );
    expect(chunked.status).toBe(411);
    for (const [path, type] of [
      [acts(), 'text/plain'],
      [acts(), 'application/x-www-form-urlencoded'],
      ['/join', 'application/json'],
      ['/join', 'text/xml'],
    ] as const) {
      const { status, text } = await raw(
        { method: 'POST', path, headers: { 'Content-Type': type, 'Content-Length': 2 } },
        '{}',
      );
      expect([status, text]).toEqual([415, expect.stringMatching(/Nothing was done\.$/)]);
    }
    for (const method of ['TRACE', 'PUT', 'DELETE', 'PATCH', 'OPTIONS']) {
      const { status, headers } = await raw({ method, path: '/' });
      expect([method, status, headers.allow]).toEqual([method, 405, 'GET, HEAD, POST']);
    }
  });

  it('anything of a run by nobody, a stranger, or a student’s token under the teacher’s name', async () => {
    const deep = '['.repeat(8000) + ']'.repeat(8000);
    const stranger = (await scene(app.base)).student;
    for (const visitor of [new Visitor(app.base), stranger])
      for (const path of [acts(), `/runs/${here.runId}/notebook`, `/runs/${here.runId}.data`]) {
        const body = path.endsWith('.data') ? '[]' : deep;
        expect((await visitor.fetch(path, { method: 'POST', body, headers: JSON_HEADERS })).status).toBe(404);
      }
    const asTeacher = here.student.cookie().replace('fen_student', 'fen_teacher');
    const { status } = await raw({ path: acts(), headers: { cookie: asTeacher } });
    expect(status).toBe(404);
  });

  it('JSON that is deeper than anything of Fen’s, or none', async () => {
    for (const body of [
      '['.repeat(5000) + ']'.repeat(5000),
      `{"a":${'{"a":'.repeat(30)}1${'}'.repeat(31)}`,
      'rubbish',
      '',
    ]) {
      const response = await here.student.fetch(acts(), { method: 'POST', body, headers: JSON_HEADERS });
      expect(response.status).toBe(400);
      expect(await response.text()).toContain('Fen did not understand what was sent.');
    }
    for (const body of [{}, { do: 'erase' }, { do: 'hand in' }, { do: 'hand in', id: 'x', number: 1 }, []])
      expect((await here.student.postJson(`/runs/${here.runId}.data`, body)).status).toBe(400);
  });

  it('a host that is none, or not this one', async () => {
    for (const host of ['evil.example', 'localhost.evil.example', 'a b', 'x/y', '127.0.0.1.example:80']) {
      const { status, text } = await raw({ path: '/', headers: { host } });
      expect([host, status]).toEqual([host, 400]);
      if (text) expect(text).toMatch(/not at this address/);
    }
    expect((await raw({ path: '/', headers: { host: 'localhost:4310' } })).status).toBe(200);
  });

  it.each([
    [{}, 'school.example', false],
    [{ HOST: '0.0.0.0' }, 'school.example', true],
    [{ FEN_BEHIND_PROXY: '1' }, 'school.example', true],
    [{ FEN_HOSTS: 'fen.school.example, lab.example' }, 'lab.example:8080', true],
    [{ FEN_HOSTS: 'fen.school.example', HOST: '0.0.0.0' }, 'evil.example', false],
    [{ FEN_HOSTS: 'fen.school.example' }, '127.0.0.1:4310', true],
    [{ HOST: '0.0.0.0' }, 'user@evil.example', false],
  ])('hosts with %o: %s is %s', (env, host, isKnown) => {
    expect(hostRule(env)(host)).toBe(isKnown);
  });
});

describe('what is kept', () => {
  it('no cache keeps what a loader answers', async () => {
    for (const path of [`/runs/${here.runId}.data`, '/work.data', '/work']) {
      const response = await here.student.fetch(path);
      expect([path, response.headers.get('cache-control')]).toEqual([path, 'no-store']);
    }
  });

  it('a NUL and half a sign are cleaned on the way in, in edits, acts and forms alike', async () => {
    const { student, teacher, classId, runId } = await scene(app.base);
    const dirty = 'a\0b\ud83d';
    const edits = [{ kind: 'answer', key: 'claim', answer: { text: dirty }, was: '' }];
    const answer = (await (await student.edit(runId, edits)).json()) as {
      kept: string[];
      edits: { edit: { answer: { text: string } } }[];
    };
    expect([answer.kept.length, answer.edits[0]?.edit.answer.text]).toEqual([1, 'ab']);
    const act = await student.act(runId, 1, { kind: 'strike', trial: 1, which: 'first', reason: dirty });
    expect([act.status, typeof act.body.refusal]).toEqual([200, 'string']);
    const form = await teacher.post(`/prep/classes/${classId}`, { do: 'time-zone', timeZone: dirty });
    expect(form.status).toBe(422);
    expect((await student.fetch(`/runs/${runId}`)).status).toBe(200);
  });

  it('a number that skips some is told the next one, and an edit kept already is told so', async () => {
    const { student, runId } = await scene(app.base);
    const skipped = await student.act(runId, 7, { kind: 'wait' });
    expect([skipped.status, skipped.body.conflict, skipped.body.number]).toEqual([200, true, 0]);
    expect((await student.act(runId, 1, { kind: 'wait' })).body.conflict).toBeUndefined();
    const edit = { kind: 'putCalculation', calculation: { id: 'c', text: '1' } };
    const id = '11111111-2222-4333-8444-555555555555';
    const first = (await (await student.edit(runId, [edit], 0, [id])).json()) as { kept: string[] };
    const again = (await (await student.edit(runId, [edit], 1, [id])).json()) as { kept: string[]; edits: unknown[] };
    expect([first.kept, again.kept, again.edits]).toEqual([[id], [id], []]);
  });

  it('a notebook grows no heavier than it may, whatever is put into it', async () => {
    const { student, runId } = await scene(app.base);
    const text = 'x'.repeat(120);
    const columns = Array.from({ length: 30 }, (_, i) => ({
      id: `c${i}`,
      name: '',
      symbol: `s${i}`,
      unit: '',
      kind: 'typed',
    }));
    await student.edit(runId, [
      { kind: 'addTable', table: { id: 't', name: 'T', origin: 'typed', columns, rows: [] } },
    ]);
    const cells = Object.fromEntries(columns.map(({ id }) => [id, text]));
    let refused = '';
    for (let round = 0; round < 20 && refused === ''; round++) {
      const rows = Array.from({ length: 45 }, (_, i) => ({ id: `r${round}-${i}`, cells, out: null }));
      const answer = (await (await student.edit(runId, [{ kind: 'addRows', table: 't', rows }])).json()) as {
        refused: { sentence: string }[];
      };
      refused = answer.refused[0]?.sentence ?? '';
    }
    expect(refused).toMatch(/The notebook is full/);
    expect((await student.edit(runId, [{ kind: 'dropTable', table: 't' }])).status).toBe(200);
  });
});
