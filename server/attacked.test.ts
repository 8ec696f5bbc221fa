import { randomUUID } from 'node:crypto';
import net from 'node:net';
import { describe, expect, it } from 'vitest';
import { worked } from '@core/practicals/heat/testing';
import { PRACTICALS } from '@core/practicals/registry';
import { setAssignment } from './assignments';
import { rulesSchema } from './rules';
import { withApp } from './testing/with-app';
import { scene, Visitor } from './testing/browserless';

/** What somebody can do to everybody else, and what is kept all the same. */

const app = withApp();
const { database } = app;

/** A socket that sends the head of a request and one byte of its body. */
function slowSocket(path: string, type: string): net.Socket {
  const { hostname, port } = new URL(app.base);
  const socket = net.connect(Number(port), hostname);
  socket.on('error', () => {});
  socket.write(
    `POST ${path} HTTP/1.1\r\nHost: ${hostname}:${port}\r\nContent-Type: ${type}\r\nContent-Length: 100\r\n\r\nx`,
  );
  return socket;
}

const answerOf = (socket: net.Socket) =>
  new Promise<string>((resolve) => {
    let text = '';
    socket.on('data', (part) => (text += part.toString()));
    socket.on('close', () => resolve(text));
  });

describe('who sends slowly, or much', () => {
  it('holds nobody up with bodies that do not come, and is told after ten seconds', async () => {
    const { student } = await scene(app.base);
    const sockets = Array.from({ length: 20 }, () => slowSocket('/join', 'application/x-www-form-urlencoded'));
    const answers = sockets.map(answerOf);
    // While all twenty are open, a page of somebody else is made.
    expect((await student.fetch('/work')).status).toBe(200);
    expect(sockets.every((socket) => !socket.destroyed)).toBe(true);
    const [first] = await Promise.all(answers);
    expect(first).toMatch(/^HTTP\/1\.1 408[\s\S]*This came too slowly/);
  }, 40_000);

  it('is refused beyond a few pages at once, and everybody else has theirs', async () => {
    const { student, teacher, assignmentId } = await scene(app.base);
    const many = Array.from({ length: 300 }, () => student.fetch('/work').then(({ status }) => status));
    expect((await teacher.fetch(`/prep/assignments/${assignmentId}`)).status).toBe(200);
    const found = await Promise.all(many);
    expect(found.filter((status) => status === 503).length).toBeGreaterThan(100);
    expect(found.filter((status) => status === 200).length).toBeGreaterThan(10);
    expect((await student.fetch('/work')).status).toBe(200);
  }, 40_000);
});

describe('connections to the database that end', () => {
  it('end nothing else: idle ones, and ones that somebody has, again and again', async () => {
    const { student, runId } = await scene(app.base);
    await student.act(runId, 1, { kind: 'fill', toMl: 0 });
    let next = 2;
    for (let round = 0; round < 5; round++) {
      const acting = (async () => {
        for (let i = 0; i < 8; i++) {
          const { status } = await student.act(runId, next, { kind: 'drop' });
          if (status === 200) next++;
        }
      })();
      await database.query(
        `select pg_terminate_backend(pid) from pg_stat_activity where datname = current_database() and pid <> pg_backend_pid()`,
      );
      await acting;
    }
    await expect
      .poll(async () => (await student.act(runId, next, { kind: 'drop' })).status, { timeout: 20_000 })
      .toBe(200);
    const kept = await database.query('select count(*)::int as n from acts where run_id = $1', [runId]);
    expect((kept.rows[0] as { n: number }).n).toBe(next);
  }, 60_000);
});

/** A class that has set another practical, and its first student's run. */
async function running(practical: keyof typeof PRACTICALS) {
  const { student, teacher, classId } = await scene(app.base);
  const setup = PRACTICALS[practical].setup.parse({});
  const dates = { opensAt: new Date(), closesAt: null };
  const assignmentId = await setAssignment(classId, practical, setup, rulesSchema.parse({}), dates);
  return { student, teacher, runId: await student.start(assignmentId) };
}

describe('what is kept', () => {
  it('of particles that have flown a hundred times is there again soon after a power cut, from a state that was kept', async () => {
    const { student, runId } = await running('one-to-many');
    let atS = 0;
    const acts: unknown[] = [{ kind: 'letIn', count: 398 }];
    for (let i = 0; i < 12; i++)
      acts.push({ kind: 'run', ps: 60 }, { kind: 'pace', times: 60 }, { kind: 'pace', times: 1 });
    for (const [i, act] of acts.entries()) {
      const { status, body } = await student.act(runId, i + 1, act, atS + 100);
      expect([i, status]).toEqual([i, 200]);
      atS = body.view.timeS;
    }
    const state = await database.query('select number from bench_states where run_id = $1', [runId]);
    expect(state.rows).toHaveLength(1);
    const before = await (await student.fetch(`/runs/${runId}/acts`)).json();
    await app.killAndRestart();
    expect(await (await student.fetch(`/runs/${runId}/acts`)).json()).toEqual(before);
    // With what is kept gone, the acts give the same.
    await database.query('delete from bench_states where run_id = $1', [runId]);
    await app.killAndRestart();
    expect(await (await student.fetch(`/runs/${runId}/acts`)).json()).toEqual(before);
  }, 120_000);

  it('of an act that makes two readings: each is found again at its own moment', async () => {
    const { student, runId } = await running('acid-by-temperature');
    const all = (await worked('acid-by-temperature')).acts.map(({ act }) => act as { kind: string });
    const acts = all.slice(0, all.findIndex(({ kind }) => kind === 'recordPoint') + 1);
    expect(acts.length).toBeGreaterThan(2);
    let number = 0;
    for (const act of acts) {
      const { status } = await student.act(runId, ++number, act, 1e6);
      expect(status).toBe(200);
    }
    const rows = await database.query<{ n: number }>(
      `select coalesce(jsonb_array_length(readings), 0) as n from acts where run_id = $1 order by number`,
      [runId],
    );
    const made = rows.rows.reduce((sum, { n }) => sum + n, 0);
    const { view } = (await (await student.fetch(`/runs/${runId}/acts`)).json()) as { view: { readings: unknown[] } };
    expect(made).toBe(view.readings.length);
    expect(rows.rows.at(-1)?.n).toBe(2);
    for (let i = 0; i < made; i++) expect((await student.fetch(`/runs/${runId}/moment?reading=${i}`)).status).toBe(200);
    expect((await student.fetch(`/runs/${runId}/moment?reading=${made}`)).status).toBe(404);
  });

  it('of three hundred hand-ins of one report that is ready, sent at once: one', async () => {
    const { student, runId } = await scene(app.base, { handIns: '3' });
    for (const [i, act] of [
      { kind: 'fill', toMl: 1 },
      { kind: 'record', trial: 1, which: 'first', text: '1.00' },
      { kind: 'letIn', ml: 20 },
      { kind: 'record', trial: 1, which: 'last', text: '21.00' },
    ].entries())
      await student.act(runId, i + 1, act);
    await student.answer(runId);
    const body = { do: 'hand in', number: 1 };
    const all = await Promise.all(
      Array.from({ length: 300 }, () => student.postJson(`/runs/${runId}.data`, { ...body, id: randomUUID() })),
    );
    const statuses = all.map(({ status }) => status);
    expect(statuses.filter((status) => status === 200)).toHaveLength(1);
    expect(statuses.every((status) => [200, 422, 503].includes(status))).toBe(true);
    const kept = await database.query('select count(*)::int as n from hand_ins where run_id = $1', [runId]);
    expect(kept.rows).toEqual([{ n: 1 }]);
  }, 60_000);

  it('of readings without end: so many, and what was seen with each, not all that was read before', async () => {
    const { student, runId } = await scene(app.base);
    await student.act(runId, 1, { kind: 'fill', toMl: 1 });
    for (let i = 0; i < 60; i++)
      await student.act(runId, i + 2, { kind: 'record', trial: 1, which: 'first', text: `1.${10 + (i % 80)}` });
    const sizes = await database.query<{ size: number }>(
      `select length(view::text) as size from acts where run_id = $1 and view is not null order by number`,
      [runId],
    );
    const [first, last] = [sizes.rows[0]?.size ?? 0, sizes.rows.at(-1)?.size ?? 0];
    expect(sizes.rows.length).toBe(60);
    expect(last).toBeLessThan(1.2 * first);
  });
});

describe('who is nobody any more', () => {
  it('watches nothing from the moment on at which they sign out, are removed, or have new words', async () => {
    const here = await scene(app.base);
    const watch = (visitor: Visitor, runId: string) => visitor.postJson(`/runs/${runId}/acts`, { after: 0, atS: 0 });
    expect((await watch(here.student, here.runId)).status).toBe(200);
    const cookie = here.student.cookie();
    await here.student.post('/leave', { role: 'student' });
    const after = await fetch(`${app.base}/runs/${here.runId}/acts`, {
      method: 'POST',
      headers: { cookie, 'Content-Type': 'application/json' },
      body: JSON.stringify({ after: 0, atS: 0 }),
    });
    expect(after.status).toBe(404);

    const other = await scene(app.base);
    expect((await watch(other.student, other.runId)).status).toBe(200);
    const page = await (await other.teacher.fetch(`/prep/classes/${other.classId}`)).text();
    const student = /data-student="([^"]+)"/.exec(page)?.[1] ?? '';
    await other.teacher.post(`/prep/classes/${other.classId}`, { do: 'renew-words', student });
    expect((await watch(other.student, other.runId)).status).toBe(404);
    // Removed twice, as from two tabs: a sentence, and the class is still there.
    await other.teacher.post(`/prep/classes/${other.classId}`, { do: 'remove-student', student });
    const again = await other.teacher.post(`/prep/classes/${other.classId}`, { do: 'remove-student', student });
    expect([again.status, await again.text()]).toEqual([422, expect.stringContaining('not in the class any more')]);
  });

  it('is nobody by an origin with a name before the host, and no way leads out of Fen or out of an address', async () => {
    const { student, runId } = await scene(app.base);
    const host = new URL(app.base).host;
    for (const origin of [
      `http://evil@${host}`,
      `http://evil:pw@${host}`,
      `http://${host}/path`,
      `http://${host}.evil.example`,
    ])
      expect([
        origin,
        (
          await student.fetch(`/runs/${runId}/acts`, {
            method: 'POST',
            body: '{}',
            headers: { origin, 'Content-Type': 'application/json' },
          })
        ).status,
      ]).toEqual([origin, 403]);
    expect((await student.edit(runId, [], 3e9)).status).toBe(422);
    const email = `${randomUUID()}@example.org`;
    await new Visitor(app.base).signUp(email);
    for (const to of ['/prep/ключ', '/prep\nSet-Cookie: x=1', '//evil.example', '/prep/\u202e']) {
      const signed = await new Visitor(app.base).post(`/prep/sign-in?to=${encodeURIComponent(to)}`, {
        email,
        password: 'a long password',
      });
      expect([to, signed.status]).toEqual([to, 302]);
      expect(signed.headers.get('location')).toMatch(/^\/prep/);
      expect(signed.headers.get('set-cookie')).not.toContain('x=1');
    }
  });
});
