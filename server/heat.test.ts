import { randomUUID } from 'node:crypto';
import { expect, it } from 'vitest';
import { z } from 'zod';
import { burnPellet } from '@core/practicals/heat/burning/student';
import { carryMetal, dissolveSalt, type Hands } from '@core/practicals/heat/practised-student';
import type { Plan } from '@core/practicals/heat/plan';
import type { View } from '@core/practicals/heat/view';
import { PRACTICALS, type PracticalId } from '@core/practicals/registry';
import { addSample } from './assignments';
import { classTable } from './class-table';
import { maybeRow, pool } from './db';
import { startRun, standingView } from './runs';
import { withApp } from './testing/with-app';
import { scene, type Visitor } from './testing/browserless';

/** Runs at the bench of heat, by posts as a browser sends them. */

const app = withApp();

const idRow = z.object({ id: z.string() });
const idOf = async (text: string, value: string) => (await maybeRow(pool(), idRow, text, [value]))?.id ?? '';

/** A student's hands at a run, at sixty times the pace: time is believed as far as it can have been watched. */
async function handsAt(student: Visitor, runId: string): Promise<Hands> {
  let { view, number } = (await standingView(runId, 'shown')) as { view: View; number: number };
  const send = async (act: object, atS: number) => {
    const reply = await student.act(runId, ++number, act, atS);
    expect(reply.body.refusal, JSON.stringify(act)).toBeUndefined();
    ({ view } = (await standingView(runId, 'shown')) as { view: View });
  };
  await send({ kind: 'pace', times: 60 }, 0);
  return {
    view: () => view,
    act: async (act, afterS = 0) => {
      for (let leftS = afterS, before = -1; leftS > 0.01 && view.timeS > before;) {
        before = view.timeS;
        await send({ kind: 'wait' }, before + leftS);
        leftS -= view.timeS - before;
      }
      await send(act, view.timeS);
    },
  };
}

it('a metal, a salt, a pellet and a titration stand in one examination, and the teacher sees all four in the table', async () => {
  const { student, assignmentId, runId: titration } = await scene(app.base);
  const teacherId = await idOf(
    'select k.teacher_id as id from classes k join assignments a on a.class_id = k.id where a.id = $1',
    assignmentId,
  );
  const studentId = await idOf('select student_id as id from runs where id = $1', titration);
  for (const id of ['metal-by-heat', 'salt-by-heat', 'pellet-in-oxygen'] as PracticalId[])
    await addSample(teacherId, assignmentId, id, PRACTICALS[id].setup.parse({}));
  const plan = (id: PracticalId) => PRACTICALS[id].labels(PRACTICALS[id].setup.parse({})) as Plan;
  const metal = await handsAt(student, await startRun(studentId, assignmentId, 2));
  await carryMetal(metal, plan('metal-by-heat'), 1);
  const salt = await handsAt(student, await startRun(studentId, assignmentId, 3));
  await dissolveSalt(salt, plan('salt-by-heat'), 1);
  const pellet = await handsAt(student, await startRun(studentId, assignmentId, 4));
  for (const of of ['standard', 'unknown'] as const)
    await burnPellet(pellet, plan('pellet-in-oxygen'), of === 'standard' ? 1 : 2, of);

  const { table } = await classTable(teacherId, assignmentId);
  const own = table.filter(({ runId }) => runId !== null);
  expect(own.map(({ title }) => title)).toEqual([
    'Concentration of an unlabelled acid',
    'A metal by its specific heat',
    'A salt that dissolves',
    'A pellet burnt in oxygen',
  ]);
  expect(own[1]?.results[0]).toMatch(/^c = \d\.\d+ J g⁻¹ K⁻¹$/u);
  expect(own[2]?.results[0]).toMatch(/^q = −?\d+\.?\d* J\/g$/u);
  expect(own[3]?.results.join('; ')).toMatch(/C = \d+\.?\d* J\/K; q = \d+\.\d+ kJ\/g/u);
  expect(new Set(own.map(({ sampleNumber }) => sampleNumber)).size).toBe(4);
});

it('an answer does not grow with the log', async () => {
  const { student, assignmentId, runId: titration } = await scene(app.base);
  const teacherId = await idOf(
    'select k.teacher_id as id from classes k join assignments a on a.class_id = k.id where a.id = $1',
    assignmentId,
  );
  const studentId = await idOf('select student_id as id from runs where id = $1', titration);
  await addSample(teacherId, assignmentId, 'salt-by-heat', PRACTICALS['salt-by-heat'].setup.parse({}));
  const runId = await startRun(studentId, assignmentId, 2);
  const hands = await handsAt(student, runId);
  await hands.act({ kind: 'pour', bottle: 1, to: 'cup', ml: 80 });
  await hands.act({ kind: 'thermometer', n: 1, at: 'cup' });
  await hands.act({ kind: 'log', everyS: 1 });
  await hands.act({ kind: 'wait' }, 2400);
  expect(hands.view().logged.length).toBeGreaterThan(2000);
  const { number, view } = (await standingView(runId, 'shown')) as { number: number; view: View };
  // Whoever says that they hold the last answer gets what came to it.
  const first = await student.act(runId, number + 1, { kind: 'wait' }, view.timeS);
  const { of } = first.body as unknown as { of: string };
  const sent = { number: number + 2, actId: randomUUID(), atS: view.timeS, act: { kind: 'wait' } };
  const next = await (await student.postJson(`/runs/${runId}/acts`, { ...sent, has: of })).text();
  expect(JSON.stringify(first.body).length).toBeGreaterThan(60_000);
  expect(next.length).toBeLessThan(12_000);
  expect(JSON.parse(next)).toMatchObject({ number: number + 2 });
});
