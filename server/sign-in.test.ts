import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { withApp } from './testing/with-app';
import { alertsIn, Visitor } from './testing/browserless';

const app = withApp();
const { database } = app;
beforeAll(async () => {
  await database.query('delete from tries');
});
afterAll(async () => {
  await database.query('delete from tries');
});

const tries = async (visitor: Visitor, email: string, password: string) => {
  const response = await visitor.post('/prep/sign-in', { email, password });
  return response.status === 302 ? 'in' : alertsIn(await response.text());
};

describe('signing in', () => {
  it('lets nobody guess fast, and lets a teacher in who knows the password, behind the same address', async () => {
    const email = `${randomUUID()}@example.org`;
    const teacher = new Visitor(app.base);
    await teacher.signUp(email);
    const attacker = new Visitor(app.base);
    const said: string[] = [];
    for (let i = 0; i < 40; i++) said.push(await tries(attacker, email, `guess number ${i}`));
    // A few are tried; the rest wait, and none of them is looked at meanwhile.
    expect(said.filter((text) => /do not belong together/.test(text)).length).toBeLessThanOrEqual(8);
    expect(said.filter((text) => /too many wrong tries\. Wait \d+ seconds? and try again/.test(text))).not.toEqual([]);
    // While the wait lasts, however slow this machine is, the right password is not looked at either.
    await database.query("update tries set free_at = now() + interval '5 minutes' where failures > 5");
    expect(await tries(attacker, email, 'a long password')).toMatch(/Wait/);
    expect(await tries(teacher, email, 'a long password')).toBe('in');
    // The wait ends, whoever waits it out.
    await database.query('update tries set free_at = now()');
    expect(await tries(new Visitor(app.base), email, 'a long password')).toBe('in');
  });

  it('makes each wait longer than the last, up to a minute', async () => {
    const email = `${randomUUID()}@example.org`;
    const waits: number[] = [];
    for (let i = 0; i < 16; i++) {
      await database.query("update tries set free_at = now() where key like 'account%'");
      await tries(new Visitor(app.base), email, 'wrong password');
      const { rows } = await database.query<{ wait: number }>(
        `select round(extract(epoch from free_at - last_at))::int as wait from tries where key like $1`,
        [`account ${email}%`],
      );
      waits.push(rows[0]?.wait ?? 0);
    }
    expect(waits).toEqual([0, 0, 0, 0, 0, 0, 1, 2, 4, 8, 16, 32, 60, 60, 60, 60]);
  });

  it('lets five classes behind one address come back within a minute, some at their second try', async () => {
    const teacher = new Visitor(app.base);
    await teacher.signUp();
    const { code, id } = await teacher.makeClass('Many');
    const names = Array.from({ length: 150 }, (_, i) => `Student ${i}`);
    const model = new Visitor(app.base);
    const joined = await (await model.join(code, 'The Model')).text();
    const words = /data-testid="return-words"[^>]*>([a-z ]+)</.exec(joined)?.[1] ?? '';
    // All have the words of one that really joined.
    await database.query(
      `insert into students (class_id, name, name_key, words_hash)
       select $1, n, lower(n), (select words_hash from students where class_id = $1 and name = 'The Model')
       from unnest($2::text[]) as n`,
      [id, names],
    );
    const comeBack = async (name: string, i: number) => {
      const visitor = new Visitor(app.base);
      if (i % 3 === 0) expect((await visitor.post('/return', { code, name, words: 'not my words' })).status).toBe(422);
      return (await visitor.post('/return', { code, name, words })).status;
    };
    const statuses = await Promise.all(names.map(comeBack));
    expect(statuses).toEqual(statuses.map(() => 302));
  });
});

describe('return words', () => {
  it('stay until they are written down, for their own student alone', async () => {
    const teacher = new Visitor(app.base);
    await teacher.signUp();
    const { code } = await teacher.makeClass('Joining');
    const student = new Visitor(app.base);
    const shown = /data-testid="return-words"[^>]*>([a-z ]+)</;
    const first = shown.exec(await (await student.join(code, 'Ann')).text())?.[1];
    expect(first?.split(' ')).toHaveLength(3);
    expect(shown.exec(await (await student.fetch('/join')).text())?.[1]).toBe(first);
    const written = await student.post('/join', { do: 'written' });
    expect([written.status, written.headers.get('location')]).toEqual([302, '/work']);
    expect(await (await student.fetch('/join')).text()).not.toMatch(shown);
  });

  it('counts who joins from one address, lets five classes in at once, and more after a wait', async () => {
    const joins = async () => {
      const response = await new Visitor(app.base).post('/join', { code: 'nobody', name: 'Somebody' });
      return alertsIn(await response.text());
    };
    const newcomers = (count: number, ago: string) =>
      database.query(
        `insert into tries (key, failures, last_at, free_at)
         select 'newcomers ' || a, $1, now() - $2::interval, now() from unnest(array['127.0.0.1', '::1', '::ffff:127.0.0.1']) a
         on conflict (key) do update set failures = excluded.failures, last_at = excluded.last_at`,
        [count, ago],
      );
    await newcomers(399, '1 minute');
    expect(await joins()).not.toMatch(/too many/);
    expect(await joins()).toMatch(/There were too many tries. Wait 14 min and try again\./);
    await newcomers(1000, '16 minutes');
    expect(await joins()).not.toMatch(/too many/);
  });
});
