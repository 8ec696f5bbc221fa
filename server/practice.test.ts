import { describe, expect, it } from 'vitest';
import { z } from 'zod';
import { BENCH_REACTIONS } from '@core/databook/bench-reactions';
import { PRACTICAL_IDS, PRACTICALS } from '@core/practicals/registry';
import { setAssignment } from './assignments';
import { rulesSchema } from './rules';
import { maybeRow, pool } from './db';
import { startPractice } from './practice';
import { withApp } from './testing/with-app';
import { scene, Visitor } from './testing/browserless';

/** Practising counts for nothing, tells all of its own sample, and never touches the one that counts. */

const app = withApp();

const ACTS = [
  { kind: 'fill', toMl: 1 },
  { kind: 'record', trial: 1, which: 'first', text: '1.00' },
  { kind: 'letIn', ml: 20 },
  { kind: 'record', trial: 1, which: 'last', text: '21.00' },
];
const sampleRow = z.object({ sample: z.object({ molPerL: z.number() }), seed: z.string() });
const sampleOf = async (runId: string) =>
  (await maybeRow(pool(), sampleRow, 'select sample, seed from runs where id = $1', [runId])) as z.infer<
    typeof sampleRow
  >;
const page = async (visitor: Visitor, path: string) => (await visitor.fetch(path)).text();
const practise = async (student: Visitor, assignment: string) => {
  const response = await student.post('/work', { assignment, do: 'practise' });
  return {
    status: response.status,
    runId: response.headers.get('location')?.split('/').at(-1) ?? '',
    text: response.status === 302 ? '' : await response.text(),
  };
};

async function handedIn(student: Visitor, runId: string) {
  for (const [i, act] of ACTS.entries()) expect((await student.act(runId, i + 1, act)).body.refusal).toBeUndefined();
  // Only the number is needed: writing about it is not what is practised.
  await student.edit(runId, [
    { kind: 'answer', key: 'concentration', answer: { text: '0.2', unit: 'mol/L' }, was: '' },
  ]);
  expect((await student.handIn(runId)).status).toBe(200);
}

describe('a practice run', () => {
  it('counts for nothing, is told whole, and leaves the sample that counts as it was', async () => {
    const { student, teacher, assignmentId, runId, classId } = await scene(app.base, {
      practice: 'on',
      tellBand: 'on',
      tellInfluences: 'never',
    });
    const before = await sampleOf(runId);
    const { runId: practice } = await practise(student, assignmentId);
    expect(practice).not.toBe(runId);
    const own = await sampleOf(practice);
    expect([own.sample.molPerL, own.seed]).not.toContain(before.sample.molPerL);
    expect(own.seed).not.toBe(before.seed);

    expect(await page(student, `/runs/${practice}`)).toContain('it counts for nothing');
    expect(await page(student, `/runs/${practice}`)).not.toContain('fromReadings');
    await handedIn(student, practice);
    const told = await page(student, `/runs/${practice}`);
    expect(told).toMatch(/It is 0\.\d+ mol\/L; yours differs by/);
    await expect.poll(() => page(student, `/runs/${practice}`), { timeout: 20_000 }).toContain('fromReadings');
    expect((await student.handIn(practice)).status).toBe(422);

    // The teacher's table and results know nothing of it, and the run that counts goes on as if nothing had been.
    const table = await page(teacher, `/prep/assignments/${assignmentId}`);
    expect(table).not.toContain(practice);
    expect(table).not.toContain('1 of 3');
    expect(await page(teacher, `/prep/classes/${classId}`)).not.toContain(practice);
    expect(await sampleOf(runId)).toEqual(before);
    expect(await page(student, `/runs/${runId}`)).not.toMatch(/It is 0\.\d+ mol\/L/);
    expect((await student.act(runId, 1, { kind: 'fill', toMl: 1 })).status).toBe(200);
    expect((await teacher.fetch(`/runs/${practice}`)).status).toBe(404);
  });

  it('is had as often as liked, each on another sample, and only the newest are kept', async () => {
    const { student, assignmentId } = await scene(app.base, { practice: 'on' });
    const seen: number[] = [];
    for (let i = 0; i < 5; i++) {
      const { runId } = await practise(student, assignmentId);
      seen.push((await sampleOf(runId)).sample.molPerL);
      expect(await page(student, '/work')).toContain('Go on practising');
      await handedIn(student, runId);
      expect(await page(student, '/work')).toContain('>Practise<');
    }
    expect(new Set(seen).size).toBe(5);
    const kept = await maybeRow(
      pool(),
      z.object({ count: z.number() }),
      'select count(*)::int from runs where practice_of = $1',
      [assignmentId],
    );
    expect(kept?.count).toBe(2);
  });

  it('does not tell of the one that counts by what it is not: reactions and letters are drawn as if there were no other', async () => {
    const { student, classId } = await scene(app.base, { practice: 'on' });
    const setup = PRACTICALS['which-react'].setup.parse({});
    const dates = { opensAt: new Date(), closesAt: null };
    const assignmentId = await setAssignment(
      classId,
      'which-react',
      setup,
      rulesSchema.parse({ practice: true }),
      dates,
    );
    const runId = await student.start(assignmentId);
    const row = z.object({
      sample: z.object({ reaction: z.string(), bottles: z.array(z.object({ id: z.string() })) }),
    });
    const pairOf = async (id: string) => {
      const found = (await maybeRow(pool(), row, 'select sample from runs where id = $1', [id])) as z.infer<typeof row>;
      const sides = BENCH_REACTIONS.find((one) => one.id === found.sample.reaction)?.sides ?? [];
      const letters = found.sample.bottles.flatMap((bottle, i) =>
        sides.some((side) => side.id === bottle.id) ? [i] : [],
      );
      return { reaction: found.sample.reaction, letters };
    };
    const counted = await pairOf(runId);
    expect(counted.letters).toHaveLength(2);
    let shared = 0;
    const reactions = new Set<string>();
    const owner = await maybeRow(
      pool(),
      z.object({ id: z.uuid() }),
      'select student_id as id from runs where id = $1',
      [runId],
    );
    // So often that one of thirty reactions is missed once in a thousand runs of this test.
    const times = 200;
    for (let i = 0; i < times; i++) {
      const practice = await startPractice(owner?.id ?? '', assignmentId, null);
      const own = await pairOf(practice);
      reactions.add(own.reaction);
      if (own.letters.some((letter) => counted.letters.includes(letter))) shared++;
      // A new one is had when this one is put aside.
      await pool().query('update runs set closed_at = now() where id = $1', [practice]);
    }
    // Five of six pairs of four bottles share one with any given pair; and the reaction that counts comes as any other does.
    expect(shared).toBeGreaterThan(times / 2);
    expect(reactions).toContain(counted.reaction);
  });

  it('has one of two names as often as the other: which of two bottles runs out first', async () => {
    const { student, classId } = await scene(app.base, { practice: 'on' });
    const setup = PRACTICALS['solid-yield'].setup.parse({});
    const dates = { opensAt: new Date(), closesAt: null };
    const rules = rulesSchema.parse({ practice: true });
    const assignmentId = await setAssignment(classId, 'solid-yield', setup, rules, dates);
    await student.start(assignmentId);
    const firsts: unknown[] = [];
    for (let i = 0; i < 20; i++) {
      const { runId: practice } = await practise(student, assignmentId);
      const found = await maybeRow(pool(), z.object({ sample: z.unknown() }), 'select sample from runs where id = $1', [
        practice,
      ]);
      firsts.push(PRACTICALS['solid-yield'].open(setup, found?.sample, 'practice').truths()['first']);
      await pool().query('update runs set closed_at = now() where id = $1', [practice]);
    }
    // All alike one time in half a million, were it by chance; and always, were the one that counts kept clear of.
    expect(new Set(firsts).size).toBe(2);
  });

  it('can be begun before the run that counts, which then gets its own sample', async () => {
    const { student: first, teacher, assignmentId, code } = await scene(app.base, { practice: 'on' });
    const late = new Visitor(app.base);
    await late.join(code, 'Late Lyme');
    const { runId: practice } = await practise(late, assignmentId);
    const counted = await late.start(assignmentId);
    expect((await sampleOf(practice)).sample.molPerL).not.toBe((await sampleOf(counted)).sample.molPerL);
    // Nobody else's, and not for who is not in the class.
    expect((await first.fetch(`/runs/${practice}`)).status).toBe(404);
    const { student: stranger } = await scene(app.base, { practice: 'on' });
    expect((await practise(stranger, assignmentId)).status).toBe(404);
    // Nor when it is closed, or where the teacher has left it out.
    await teacher.post(`/prep/assignments/${assignmentId}`, { do: 'close' });
    expect((await practise(late, assignmentId)).text).toContain('nothing to practise for');
    const { student, assignmentId: without } = await scene(app.base);
    expect((await practise(student, without)).text).toContain('has set this without practising');
    expect(await page(student, '/work')).not.toContain('Practise first');
  });

  it('tells nothing of a sample that the whole class has: it is drawn from elsewhere then', async () => {
    const { student, code, classId, teacher } = await scene(app.base, { practice: 'on' });
    const fields = new URLSearchParams({
      solids: 'zinc',
      unknowns: '1',
      readability: '0.01',
      form: 'small pieces',
      bandsPercent: '2; 5',
      vessels: 'cylinder-50',
      handIns: '3',
      tellInfluences: 'never',
      practice: 'on',
      do: 'set',
    });
    const set = await teacher.fetch(`/prep/classes/${classId}/set/displacement`, { method: 'POST', body: fields });
    const assignmentId = set.headers.get('location')?.split('/').at(-1) ?? '';
    expect(code).toMatch(/^[A-Z0-9]{6}$/);
    const counted = await student.start(assignmentId);
    const owner = await maybeRow(
      pool(),
      z.object({ studentId: z.uuid() }),
      'select student_id as "studentId" from runs where id = $1',
      [counted],
    );
    const names = new Set<unknown>();
    for (let i = 0; i < 16; i++) {
      const practice = await startPractice(owner?.studentId ?? '', assignmentId, null);
      const row = await maybeRow(
        pool(),
        z.object({ setup: z.unknown(), sample: z.unknown() }),
        'select setup, sample from runs where id = $1',
        [practice],
      );
      names.add(PRACTICALS.displacement.open(row?.setup, row?.sample, 'x').truths().nameA);
    }
    // One of a whole pool by chance, not always the one that the class has, and not always another.
    expect(names.size).toBeGreaterThan(4);
  });

  it('is had in every practical as it comes, and of two names each comes as often, whichever the one that counts is', async () => {
    const { student, classId } = await scene(app.base);
    const rules = rulesSchema.parse({ practice: true });
    const dates = { opensAt: new Date(), closesAt: null };
    for (const id of PRACTICAL_IDS) {
      const assignmentId = await setAssignment(classId, id, PRACTICALS[id].setup.parse({}), rules, dates);
      expect([id, (await practise(student, assignmentId)).status]).toEqual([id, 302]);
    }
    const setup = PRACTICALS['freezing-point'].setup.parse({ substances: ['naphthalene', 'dichlorobenzene'] });
    const assignmentId = await setAssignment(classId, 'freezing-point', setup, rules, dates);
    await student.start(assignmentId);
    const found: unknown[] = [];
    for (let i = 0; i < 24; i++) {
      const { runId: practice } = await practise(student, assignmentId);
      const row = await maybeRow(pool(), z.object({ sample: z.unknown() }), 'select sample from runs where id = $1', [
        practice,
      ]);
      found.push(PRACTICALS['freezing-point'].open(setup, row?.sample, 'practice').truths()['name']);
      await pool().query('update runs set closed_at = now() where id = $1', [practice]);
    }
    // All alike once in four million, were it by chance.
    expect(new Set(found).size).toBe(2);
  });
});
