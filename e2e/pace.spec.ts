import type { Page } from '@playwright/test';
import { expect, test } from './test';
import { amount, atBench, readLoupe, recordReading, select, studentBegins, teacherSets } from './helpers';

/** Bench time as the page shows it, s. */
async function benchTime(page: Page): Promise<number> {
  const [minutes = 0, seconds = 0] = ((await page.getByTestId('bench-time').textContent()) ?? '')
    .split(':')
    .map(Number);
  return 60 * minutes + seconds;
}

/** Acts that go out from this page; watching is none. */
function countActs(page: Page) {
  const sent = { acts: 0, watched: 0 };
  page.on('request', (request) => {
    if (request.method() !== 'POST' || !request.url().endsWith('/acts')) return;
    if ('act' in (request.postDataJSON() as object)) sent.acts++;
    else sent.watched++;
  });
  return sent;
}

test('a titration at ten times the pace: stopped, read, gone on, left for long and taken up again', async ({
  browser,
}) => {
  const { code } = await teacherSets(browser);
  const page = await studentBegins(browser, code, 'Corrie Fleet');
  const sent = countActs(page);
  await select(page, 'titrant');
  await amount(page, 'Fill the burette to, amount in mL', '1');
  await recordReading(page, await readLoupe(page));
  await page.getByLabel('Pace of the bench clock').selectOption('10 times as fast');
  await select(page, 'burette');
  await page.getByLabel('Tap drop by drop').click();
  const before = await benchTime(page);
  const began = Date.now();
  await expect.poll(() => benchTime(page)).toBeGreaterThan(before + 25);
  // Ten times as fast as life, and no faster than that.
  expect((await benchTime(page)) - before).toBeLessThan(10 * ((Date.now() - began) / 1000) + 10);

  // Stopped, everything still works: what is read is what is recorded, however long one looks.
  await page.locator('[data-thing=burette]').focus();
  await page.keyboard.press('p');
  await expect(page.getByText('bench clock stopped')).toBeVisible();
  await page.waitForTimeout(400);
  const stood = await benchTime(page);
  const level = await readLoupe(page);
  await page.waitForTimeout(1500);
  expect([await benchTime(page), await readLoupe(page)]).toEqual([stood, level]);
  await recordReading(page, level);
  await expect(page.getByText('bench clock stopped')).toBeVisible();

  // Gone on, it runs on from there; only what was done was stored.
  await page.locator('[data-thing=burette]').focus();
  await page.keyboard.press('p');
  await expect.poll(() => benchTime(page)).toBeGreaterThan(stood + 15);
  expect([sent.acts, sent.watched >= 2]).toEqual([7, true]);

  // The page is closed in the middle: no more than the stretch that was promised runs out of the burette.
  const left = await benchTime(page);
  const url = page.url();
  const context = page.context();
  await page.close();
  await new Promise((resolve) => setTimeout(resolve, 6_000));
  const again = await context.newPage();
  await again.goto(url);
  await atBench(again);
  await expect(again.getByText(/bench clock stood still while you were away/)).toBeVisible();
  const found = await benchTime(again);
  expect(found).toBeGreaterThanOrEqual(left);
  expect(found).toBeLessThanOrEqual(left + 65);
  await again.waitForTimeout(1500);
  expect(await benchTime(again)).toBe(found);
  await again.locator('[data-thing=burette]').focus();
  await again.keyboard.press('p');
  await expect.poll(() => benchTime(again)).toBeGreaterThan(found);
  await select(again, 'burette');
  await again.getByLabel('Tap closed').click();
  await expect(again.getByLabel('Tap closed')).toHaveAttribute('aria-pressed', 'true');
});
