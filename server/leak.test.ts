import { randomUUID } from 'node:crypto';
import { readdirSync, readFileSync } from 'node:fs';
import { expect, it } from 'vitest';
import { PRACTICAL_IDS, PRACTICALS, type AnyBench, type PracticalId } from '@core/practicals/registry';
import { setAssignment } from './assignments';
import { rulesSchema } from './rules';
import { withApp } from './testing/with-app';
import { scene, Visitor } from './testing/browserless';

/** All that a student's browser can ask for in a run of each practical, well under way: nothing of it tells what is hidden. */

const app = withApp();
const { database } = app;

interface Log {
  practical: PracticalId;
  setup: unknown;
  seed: string;
  index: number;
  acts: [afterS: number, act: unknown][];
}
const LOGS = new URL('../scripts/golden/logs/', import.meta.url);
const logOf = (id: PracticalId): Log =>
  JSON.parse(readFileSync(new URL(readdirSync(LOGS).filter((file) => file === `${id}-1.json`)[0] ?? '', LOGS), 'utf8'));

/** So many acts of a log are enough to have all on the bench in use. */
const ACTS = 120;

/** A run as somebody with practised hands has it, kept act by act, and the bench that it has. */
async function wellUnderWay({ practical: id, setup, seed, index, acts }: Log) {
  const { student, classId } = await scene(app.base);
  const practical = PRACTICALS[id];
  const dates = { opensAt: new Date(), closesAt: null };
  const set = practical.setup.parse(setup);
  const assignmentId = await setAssignment(classId, id, set, rulesSchema.parse({}), dates);
  const runId = await student.start(assignmentId);
  const sample = practical.sample(set, seed, index);
  await database.query('update runs set setup = $2, sample = $3, seed = $4 where id = $1', [
    runId,
    JSON.stringify(set),
    JSON.stringify(sample),
    seed,
  ]);
  let bench: AnyBench = practical.open(set, sample, seed);
  const typed: string[] = [];
  for (const [i, [afterS, sent]] of acts.slice(0, ACTS).entries()) {
    const before = bench;
    bench = bench.advance(afterS);
    const outcome = bench.perform(practical.readAct(sent));
    const refusal = 'refusal' in outcome ? outcome.refusal : null;
    if ('bench' in outcome) bench = outcome.bench;
    const { readings } = bench.addedSince(before);
    typed.push(JSON.stringify(sent));
    await database.query(
      'insert into acts (run_id, number, act_id, at_s, act, refusal, readings) values ($1, $2, $3, $4, $5, $6, $7)',
      [
        runId,
        i + 1,
        randomUUID(),
        bench.clockS,
        JSON.stringify(sent),
        refusal,
        readings.length ? JSON.stringify(readings) : null,
      ],
    );
  }
  return { student, runId, bench, number: typed.length, typed: typed.join(' ') };
}

const UUID = /[0-9a-f]{8}-[0-9a-f-]{27}/g;
const numbersIn = (text: string) =>
  [...text.replace(UUID, '').matchAll(/-?\d+(?:\.\d+)?(?:e[-+]?\d+)?/gi)].map(([number]) => number);

/** What of the hidden stands in a text: words, and numbers that agree in seven digits. */
function toldIn(text: string, { words, numbers }: ReturnType<AnyBench['secrets']>, typed: string): string[] {
  const named = words.filter((word) => word.length > 3 && !typed.includes(word) && text.includes(word));
  const hidden = numbers.filter((secret) => secret !== 0);
  const near = numbersIn(text).filter((number) =>
    hidden.some((secret) => Math.abs(Number(number) / secret - 1) <= 1e-7 && !typed.includes(number)),
  );
  return [...named, ...near];
}

it.each(PRACTICAL_IDS)('a run of %s tells nothing that is hidden, on any page, of any moment', async (id) => {
  const { student, runId, bench, number, typed } = await wellUnderWay(logOf(id));
  const from = `/runs/${runId}`;
  const pages = [`${from}.data`, from, `${from}/acts`, `${from}/print`];
  if (bench.film(bench.clockS)) pages.push(`${from}/film?from=${bench.clockS}`);
  const { readings } = bench.counted();
  for (const i of new Set(readings === 0 ? [] : [0, Math.floor(readings / 2), readings - 1]))
    pages.push(`${from}/moment?reading=${i}`);
  pages.push(`${from}/moment?act=${Math.floor(number / 2)}&at=${bench.clockS}`);
  const bodies: [string, string][] = [];
  for (const page of pages) {
    const response = await student.fetch(page);
    if (response.status !== 200) throw new Error(`${page} gave ${response.status}`);
    bodies.push([page, await response.text()]);
  }
  for (const body of [
    { after: number, atS: bench.clockS + 2 },
    { number: number + 1, actId: randomUUID(), atS: bench.clockS, act: { kind: 'pause' } },
    { number: number + 1, actId: randomUUID(), atS: bench.clockS, act: { kind: 'record', trial: 99, which: 'x' } },
  ])
    bodies.push(['act', await (await student.postJson(`${from}/acts`, body)).text()]);
  // What flies is seen by those alone who may see the bench.
  for (const page of pages.filter((one) => one.includes('/film')))
    expect((await new Visitor(app.base).fetch(page)).status).toBe(404);
  const secrets = bench.secrets();
  const told = bodies.flatMap(([page, text]) =>
    toldIn(text, secrets, typed).map((hidden) => `${page.replace(runId, '')} holds ${hidden}`),
  );
  expect(told).toEqual([]);
  expect(bodies.every(([, text]) => text.length > 20)).toBe(true);
  // The reader finds what is there to be found.
  const one = secrets.numbers.find((secret) => secret !== 0) ?? 0;
  expect(toldIn(`{"x":[1,${one}]}`, { words: [], numbers: [one] }, '')).toHaveLength(one === 0 ? 0 : 1);
});
