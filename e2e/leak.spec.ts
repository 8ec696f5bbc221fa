import type { Response } from '@playwright/test';
import { expect, test } from './test';
import { existsSync, readFileSync } from 'node:fs';
import path from 'node:path';
import pg from 'pg';
import { PRACTICALS } from '../core/practicals/registry';
import { runIdOf, select, studentBegins, teacherSets, titrate, verb, writeReport } from './helpers';

/** Numbers in a text, as a reader of the traffic would find them. */
const numbersIn = (text: string) =>
  [...text.matchAll(/-?\d+(?:\.\d+)?(?:e[-+]?\d+)?/gi)].map(([number]) => Number(number));

/** Whether a number is a hidden one to as many digits as would tell it. */
const isNear = (number: number, secret: number): boolean =>
  Math.abs(number / secret - 1) < (Math.abs(secret) > 1 ? 2e-5 : 2e-4);

/** Files that are the same for everyone, byte by byte what the build made, cannot tell one sample from another. */
function isBuiltFile(url: URL, body: Buffer): boolean {
  try {
    return readFileSync(path.join('build/client', url.pathname)).equals(body);
  } catch {
    return false;
  }
}

test('nothing that a student’s browser receives in a full run gives the sample away', async ({ browser }) => {
  test.slow();
  const { code } = await teacherSets(browser);
  const context = await browser.newContext();
  const bodies: { url: string; text: string }[] = [];
  const keep = (url: URL, headers: object, body: Buffer) => {
    if (!isBuiltFile(url, body))
      bodies.push({ url: url.pathname, text: JSON.stringify(headers) + body.toString('utf8') });
  };
  // The answer to a form cannot be asked for twice, and the page may be gone before it was read: it is read on its way.
  await context.route(
    () => true,
    async (route) => {
      if (route.request().method() === 'GET') return route.fallback();
      const response = await route.fetch({ maxRedirects: 0 });
      const body = await response.body();
      keep(new URL(response.url()), response.headers(), body);
      await route.fulfill({ response, body });
    },
  );
  const reading: Promise<void>[] = [];
  const take = async (response: Response) => {
    if (response.request().method() !== 'GET') return;
    const url = new URL(response.url());
    // The browser keeps fonts to itself; they are files of the build.
    if (response.request().resourceType() === 'font' && existsSync(path.join('build/client', url.pathname))) return;
    const read = await Promise.race([
      response.body().catch(() => null),
      new Promise<null>((none) => setTimeout(none, 30_000, null)),
    ]);
    // A page that went away takes its bodies with it. What was only read can be asked for again: a file's name holds a hash
    // of what is in it, and a loader tells the same student the same, or later more.
    const body = read ?? (await (await context.request.get(response.url())).body());
    keep(url, await response.allHeaders(), body);
  };
  const listen = (response: Response) => void reading.push(take(response));
  context.on('response', listen);

  const page = await studentBegins({ newContext: async () => context }, code, 'Elowen Dyke');
  const { first, last } = await titrate(page, 12);
  await select(page, 'flask');
  await verb(page, /next trial/);
  await select(page, 'burette');
  await verb(page, 'Part of a drop');
  await page.reload();
  await page.getByRole('tab', { name: 'Working' }).click();
  await page.getByRole('button', { name: 'Snapshot of the bench' }).click();
  await expect(page.getByTestId('sheet')).toBeVisible();
  await writeReport(page);
  await page.getByLabel('Concentration of the acid', { exact: true }).fill('0.5');
  await page.getByLabel('Unit of: Concentration of the acid').selectOption('mol/L');
  await page.getByRole('button', { name: 'Hand in' }).click();
  await expect(page.getByTestId('told')).toContainText('Outside all bands');
  const bad = await page.request.post(`/runs/${runIdOf(page)}/acts`, { data: 'rubbish' });
  bodies.push({ url: 'error', text: await bad.text() });
  await page.goto(`/runs/${runIdOf(page)}/print`);
  await expect(page.getByText('Readings, in the order taken')).toBeVisible();
  await page.waitForLoadState('networkidle');
  await page.goto('/work');
  await page.waitForLoadState('networkidle');
  context.off('response', listen);
  await Promise.all(reading);

  const database = new pg.Client({ connectionString: process.env.DATABASE_URL });
  await database.connect();
  const { rows } = await database.query<{
    practical: 'acid-concentration';
    setup: unknown;
    sample: unknown;
    seed: string;
    assignment_seed: string;
  }>(
    'select r.practical, r.setup, r.sample, r.seed, a.seed as assignment_seed from runs r join assignment_samples a on a.assignment_id = r.assignment_id and a.place = r.place where r.id = $1',
    [bodies.map(({ url }) => /runs\/([0-9a-f-]{36})/.exec(url)?.[1]).find(Boolean)],
  );
  await database.end();
  const run = rows[0];
  if (!run) throw new Error('the run is not in the database');
  const { words, numbers } = PRACTICALS[run.practical].open(run.setup, run.sample, run.seed).secrets();

  expect(bodies.length).toBeGreaterThan(15);
  expect(bodies.filter(({ url }) => url.endsWith('/acts')).length).toBeGreaterThan(15);
  // A piece of glassware that happens to be true to its label cannot be told from what is engraved on it.
  const hidden = numbers.filter((secret) => !isNear(Number(secret.toPrecision(2)), secret));
  expect(hidden.length).toBeGreaterThan(numbers.length / 2);
  const own = [Number(first), Number(last), Number(last) - Number(first)];
  const told: string[] = [];
  for (const { url, text } of bodies) {
    for (const word of [...words, run.assignment_seed, 'soluteId', '"molPerL"', 'pKa', 'scaleError']) {
      if (text.toLowerCase().includes(word.toLowerCase())) told.push(`${url} holds ${word}`);
    }
    // The meniscus that is seen passes a hidden titre by chance, and a colour is three whole numbers; all else counts.
    const rest = text.replace(/"levelMl":-?[\d.]+|"colour":\[[\d,]+\]/g, '');
    for (const number of numbersIn(rest)) {
      // What the student read is theirs, and may well come close to a true value.
      if (own.some((value) => Math.abs(number - value) < 0.006)) continue;
      for (const secret of hidden) {
        if (isNear(number, secret)) told.push(`${url} holds ${number}, near the hidden ${secret}`);
      }
    }
  }
  expect(told).toEqual([]);
});

test('the build ships no source maps and no server code', async ({ request }) => {
  const html = await (await request.get('/join')).text();
  const scripts = [...html.matchAll(/\/assets\/[^"']+\.js/g)].map(([file]) => file);
  expect(scripts.length).toBeGreaterThan(2);
  for (const file of new Set(scripts)) {
    const text = await (await request.get(file)).text();
    expect(text).not.toMatch(/sourceMappingURL|insert into acts|argon2|drawnValue/);
    expect((await request.get(`${file}.map`)).status()).toBe(404);
  }
});
