import { describe, expect, it } from 'vitest';
import { withApp } from './testing/with-app';
import { scene, Visitor } from './testing/browserless';

const app = withApp();
const { database } = app;

const page = async (visitor: Visitor, path: string) => (await visitor.fetch(path)).text();
/** The words of a page, without its code and its marks. */
const textOf = (html: string) => html.replace(/<script[\s\S]*?<\/script>|<[^>]*>/g, ' ').replace(/\s+/g, ' ');

async function withTwoSamples() {
  const here = await scene(app.base);
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
  const add = `/prep/classes/${here.classId}/set/base-concentration?with=${here.assignmentId}`;
  expect((await here.teacher.fetch(add, { method: 'POST', body: form })).status).toBe(302);
  return here;
}

describe('the class table', () => {
  it('tells all that was asked and judged, and counts students who have not begun, not samples', async () => {
    const { teacher, student, code, runId, assignmentId } = await withTwoSamples();
    await new Visitor(app.base).join(code, 'Not Yet');
    const acts = [
      { kind: 'fill', toMl: 1 },
      { kind: 'record', trial: 1, which: 'first', text: '1.00' },
      { kind: 'letIn', ml: 20 },
      { kind: 'record', trial: 1, which: 'last', text: '21.00' },
    ];
    for (const [i, act] of acts.entries()) await student.act(runId, i + 1, act);
    await student.answer(runId);
    expect((await student.handIn(runId)).status).toBe(200);
    const text = textOf(await page(teacher, `/prep/assignments/${assignmentId}`));
    expect(text).toContain('1 not started');
    for (const said of ['What has to be measured', 'Concentration', 'right', 'outside', '0.2 mol/L'])
      expect(text).toContain(said);
  });

  it('stands when the first sample is taken out, and the sample that is left is the first', async () => {
    const { teacher, classId, code, assignmentId } = await withTwoSamples();
    await database.query('delete from runs where assignment_id = $1', [assignmentId]);
    const removed = await teacher.post(`/prep/assignments/${assignmentId}`, {
      do: 'remove-sample',
      sample: '1',
    });
    expect(removed.status).toBe(200);
    const table = textOf(await page(teacher, `/prep/assignments/${assignmentId}`));
    expect(table).toContain('Sam Sedge');
    for (const path of ['report', 'pooled', 'settings'])
      expect((await teacher.fetch(`/prep/assignments/${assignmentId}/${path}`)).status, path).toBe(200);
    const late = new Visitor(app.base);
    await late.join(code, 'Late');
    expect(textOf(await page(late, '/work'))).not.toMatch(/sample \d of/);
    const begun = await late.post('/work', { assignment: assignmentId });
    expect(begun.headers.get('location')).toMatch(/^\/runs\//);
    expect((await teacher.fetch(`/prep/classes/${classId}`)).status).toBe(200);
  });

  it('asks the database no more for thirty students than for three', async () => {
    const { teacher, classId, code, assignmentId } = await scene(app.base);
    const add = async (count: number, from: number) => {
      await database.query(
        `insert into students (class_id, name, name_key, words_hash)
         select $1, 'S' || n, 's' || n, '-' from generate_series($2::int, $3::int) as n`,
        [classId, from, from + count - 1],
      );
      await database.query(
        `insert into runs (assignment_id, student_id, practical, setup, rules, seed, sample, sample_number, place)
         select r.assignment_id, s.id, r.practical, r.setup, r.rules, r.seed, r.sample, s.name, 1
         from students s, lateral (select * from runs where assignment_id = $2 limit 1) r
         where s.class_id = $1 and s.name like 'S%' and s.name <> 'Sam Sedge'
         on conflict do nothing`,
        [classId, assignmentId],
      );
    };
    const asked = async () => {
      const count = async () =>
        Number(
          (
            await database.query<{ n: string }>(
              'select xact_commit as n from pg_stat_database where datname = current_database()',
            )
          ).rows[0]?.n,
        );
      await database.query('select pg_stat_clear_snapshot()');
      const before = await count();
      for (let i = 0; i < 5; i++) {
        expect((await teacher.fetch(`/prep/assignments/${assignmentId}`)).status).toBe(200);
        await new Promise((resolve) => setTimeout(resolve, 450));
      }
      // What is counted arrives a little later.
      await new Promise((resolve) => setTimeout(resolve, 1500));
      return (await count()) - before;
    };
    expect(code).toMatch(/^[A-Z0-9]{6}$/);
    await add(3, 1);
    const few = await asked();
    await add(27, 4);
    const many = await asked();
    expect(many).toBeLessThan(few + 60);
  });
});

describe('a try', () => {
  it('can be looked at and printed by the teacher whose it is, and by nobody else', async () => {
    const { teacher, student, classId } = await scene(app.base);
    const form = new URLSearchParams({
      unknowns: '1',
      form: 'small pieces',
      readability: '0.01',
      bandsPercent: '2',
      handIns: '3',
      tellInfluences: 'never',
      do: 'try',
    });
    for (const solid of ['zinc', 'lead']) form.append('solids', solid);
    form.append('vessels', 'cylinder-25');
    const made = await teacher.fetch(`/prep/classes/${classId}/set/displacement`, {
      method: 'POST',
      body: form,
    });
    const runId = made.headers.get('location')?.split('/').at(-1) ?? '';
    for (const path of [`/runs/${runId}/print`, `/prep/runs/${runId}`]) {
      expect((await teacher.fetch(path)).status, path).toBe(200);
      expect([403, 404], path).toContain((await student.fetch(path)).status);
      expect((await (await scene(app.base)).teacher.fetch(path)).status, path).toBe(404);
    }
    expect(textOf(await page(teacher, `/prep/runs/${runId}`))).toContain('A try, sample');
  });
});

describe('dates', () => {
  it('are by the clock of the class, right on both sides of a change of clocks', async () => {
    const { teacher, classId } = await scene(app.base);
    const set = async (closesAt: string) => {
      const id = await teacher.setPractical(classId, { closesAt });
      const html = await page(teacher, `/prep/assignments/${id}`);
      return /dateTime="([^"]+)">[^<]*20(?:40|41)/.exec(html)?.[1];
    };
    expect(await set('2040-03-24T23:59')).toBe('2040-03-24T22:59:00.000Z');
    expect(await set('2040-03-25T23:59')).toBe('2040-03-25T21:59:00.000Z');
    expect(await set('2041-01-10T08:00')).toBe('2041-01-10T07:00:00.000Z');
    await expect(set('2040-02-31T08:00')).rejects.toThrow(/not a date/);
    expect((await teacher.post(`/prep/classes/${classId}`, { do: 'time-zone', timeZone: 'Mars/Olympus' })).status).toBe(
      422,
    );
    expect((await teacher.post(`/prep/classes/${classId}`, { do: 'time-zone', timeZone: 'Asia/Tokyo' })).status).toBe(
      200,
    );
    expect(await set('2040-03-25T23:59')).toBe('2040-03-25T14:59:00.000Z');
  });
});

describe('the feed', () => {
  /** Hears the feed in the background: what was said of an assignment since it was last asked. */
  function ear(feed: Response) {
    const reader = (feed.body as ReadableStream<Uint8Array>).getReader();
    let text = '';
    const listen = async (): Promise<void> => {
      const next = await reader.read();
      if (next.done) return;
      text += new TextDecoder().decode(next.value);
      return listen();
    };
    listen().catch(() => {});
    return async (assignmentId: string, ms: number): Promise<boolean> => {
      const until = Date.now() + ms;
      while (!text.includes(`data: ${assignmentId}`) && Date.now() < until)
        await new Promise((resolve) => setTimeout(resolve, 50));
      const heard = text.includes(`data: ${assignmentId}`);
      text = '';
      return heard;
    };
  }

  it('goes on after the database has ended its connection', async () => {
    const { teacher, student, runId, assignmentId } = await scene(app.base);
    const stop = new AbortController();
    const feed = await teacher.fetch('/prep/feed', { signal: stop.signal });
    const hears = ear(feed);
    try {
      await student.act(runId, 1, { kind: 'wait' });
      expect(await hears(assignmentId, 10_000)).toBe(true);
      await database.query("select pg_terminate_backend(pid) from pg_stat_activity where query ilike 'listen %'");
      let number = 2;
      let heard = false;
      // It comes back by itself within some seconds; acts go on meanwhile.
      for (let i = 0; i < 20 && !heard; i++) {
        await student.act(runId, number++, { kind: 'wait' });
        heard = await hears(assignmentId, 1000);
      }
      expect(heard).toBe(true);
    } finally {
      stop.abort();
    }
  });
});
