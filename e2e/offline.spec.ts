import type { Page } from '@playwright/test';
import { expect, test } from './test';
import { atBench, dropsHeld, select, studentBegins, teacherSets, verb } from './helpers';

/** Waits until the page and all that it may open are kept in this browser. */
async function keptOffline(page: Page): Promise<void> {
  await expect
    .poll(
      () =>
        page.evaluate(async () => {
          const pages = await caches.open('fen-pages');
          const files = await caches.open('fen-files');
          const worker = (await navigator.serviceWorker.getRegistration())?.active?.state;
          return worker === 'activated' && (await pages.keys()).length > 0 && (await files.keys()).length > 10;
        }),
      { timeout: 30_000 },
    )
    .toBe(true);
}

test('all of a run page opens without a network, the first time as well', async ({ browser }) => {
  const { code } = await teacherSets(browser);
  const page = await studentBegins(browser, code, 'Wick Sound');
  await keptOffline(page);
  await page.context().setOffline(true);
  await page.getByRole('tab', { name: 'Working' }).click();
  await expect(page.getByRole('button', { name: 'New table' })).toBeVisible();
  await page.getByRole('tab', { name: 'Report' }).click();
  await expect(page.getByRole('button', { name: /^Take from the notebook: Concentration/ })).toBeVisible();
  // What is opened seldom is there as well: the keys, the names on the bench, what a word means.
  await page.getByRole('button', { name: 'Keys', exact: true }).click();
  await expect(page.getByRole('dialog', { name: 'Keys' })).toBeVisible();
  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: 'names', exact: true }).click();
  await expect(page.getByTestId('names')).toContainText('burette');
  await page.getByRole('tab', { name: 'Brief' }).click();
  await page.locator('[data-term=meniscus]').first().click();
  await expect(page.getByRole('dialog', { name: 'What “meniscus” means' })).toBeVisible();
  await page.context().setOffline(false);
});

test('a run that was opened once opens again without a network, and what is done then goes out with one', async ({
  browser,
}) => {
  test.slow();
  const { teacher, code } = await teacherSets(browser);
  const page = await studentBegins(browser, code, 'Wick Sound');
  await keptOffline(page);
  await select(page, 'titrant');
  await verb(page, 'Fill the burette to');
  const url = page.url();
  await page.context().setOffline(true);
  await page.goto(url);
  await atBench(page);
  // The bench is as it was seen last, though the page that is kept is older.
  await expect(page.getByTestId('method')).toContainText('1 of 6');
  await select(page, 'burette');
  for (let i = 0; i < 3; i++) await page.getByRole('button', { name: 'One drop' }).click();
  await expect(page.getByTestId('notices')).toContainText('3 acts wait here');
  await page.getByRole('tab', { name: 'Report' }).click();
  await page.getByLabel('Working', { exact: true }).fill('Written without a network.');
  await page.context().setOffline(false);
  await expect.poll(() => dropsHeld(teacher, page), { timeout: 20_000 }).toBe(3);
  await expect(page.getByText('Kept.')).toBeVisible();
  await page.reload();
  await page.getByRole('tab', { name: 'Report' }).click();
  await expect(page.getByLabel('Working', { exact: true })).toHaveValue('Written without a network.');
});

test('what is typed a moment before the tab is closed is kept, sent once, and leaves the hand-in free', async ({
  browser,
}) => {
  const { code } = await teacherSets(browser);
  const page = await studentBegins(browser, code, 'Nan Ooze');
  await page.getByRole('tab', { name: 'Report' }).click();
  await page.getByLabel('Working', { exact: true }).pressSequentially('half a thought', { delay: 10 });
  const url = page.url();
  const context = page.context();
  await page.close({ runBeforeUnload: true });
  const again = await context.newPage();
  let posts = 0;
  again.on('request', (request) => {
    const isEdit = request.url().endsWith('/notebook') && request.method() === 'POST';
    if (isEdit && !request.postData()?.includes('"edits":[]')) posts++;
  });
  await again.goto(url);
  await atBench(again);
  await again.getByRole('tab', { name: 'Report' }).click();
  await expect(again.getByLabel('Working', { exact: true })).toHaveValue('half a thought');
  await again.waitForTimeout(3000);
  expect(posts).toBeLessThanOrEqual(2);
  await expect(again.getByText('Kept.')).toBeVisible();
  await expect(again.getByLabel('Working', { exact: true })).toHaveValue('half a thought');
  await expect(again.getByRole('button', { name: 'Hand in' })).toBeEnabled();
});

test('an error page offers the way back and loads the page again by itself', async ({ browser }) => {
  const { code } = await teacherSets(browser);
  // What the service worker asks for itself is out of this test's reach, and it may be in place or not yet.
  const withoutWorker = { newContext: () => browser.newContext({ serviceWorkers: 'block' }) };
  const page = await studentBegins(withoutWorker, code, 'Hew Drang');
  await page.goto('/data-book');
  let fails = true;
  await page.route(/\/work(\.data)?(\?|$)/, (route) =>
    fails ? route.fulfill({ status: 500, contentType: 'text/plain', body: 'broken' }) : route.continue(),
  );
  await page.getByRole('link', { name: 'Fen', exact: true }).click();
  await expect(page.getByText('It is tried again by itself.')).toBeVisible();
  await expect(page.getByRole('link', { name: 'My work' })).toBeVisible();
  fails = false;
  await expect(page.getByRole('heading', { name: 'My work' })).toBeVisible({ timeout: 20_000 });
});
