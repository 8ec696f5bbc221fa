import { expect, test } from './test';
import { atBench, dropsHeld, select, studentBegins, teacherSets, verb } from './helpers';

test('acts done while the network is cut go out once each when it is back', async ({ browser }) => {
  const { teacher, code } = await teacherSets(browser);
  const page = await studentBegins(browser, code, 'Jory Fenn');
  await select(page, 'titrant');
  await verb(page, 'Fill the burette to');
  await page.context().setOffline(true);
  await select(page, 'burette');
  for (let i = 0; i < 4; i++) await page.getByRole('button', { name: 'One drop' }).click();
  await expect(page.getByTestId('notices')).toContainText('4 acts wait here');
  await page.context().setOffline(false);
  await expect(page.getByTestId('notices')).not.toContainText('cannot be reached', { timeout: 15_000 });
  await expect.poll(() => dropsHeld(teacher, page), { timeout: 20_000 }).toBe(4);
});

test('acts of a page that was closed while the network was cut go out when it is opened again', async ({ browser }) => {
  test.slow();
  const { teacher, code } = await teacherSets(browser);
  const page = await studentBegins(browser, code, 'Nan Ooze');
  await select(page, 'titrant');
  await verb(page, 'Fill the burette to');
  await page.context().setOffline(true);
  await select(page, 'burette');
  for (let i = 0; i < 3; i++) await page.getByRole('button', { name: 'One drop' }).click();
  await expect(page.getByTestId('notices')).toContainText('3 acts wait here');
  // A browser has written down what was pressed before a hand can close its page.
  await page.waitForTimeout(500);
  const url = page.url();
  const context = page.context();
  await page.close();
  await context.setOffline(false);
  const again = await context.newPage();
  await again.goto(url);
  await atBench(again);
  await expect.poll(() => dropsHeld(teacher, again), { timeout: 20_000 }).toBe(3);
});

test('an answer that is lost on its way makes no second act', async ({ browser }) => {
  const { teacher, code } = await teacherSets(browser);
  const page = await studentBegins(browser, code, 'Ruan Leat');
  await select(page, 'titrant');
  await verb(page, 'Fill the burette to');
  let lost = 0;
  await page.route('**/acts', async (route) => {
    if (lost++ > 1) return route.continue();
    await route.fetch();
    await route.abort('connectionreset');
  });
  await select(page, 'burette');
  await page.getByRole('button', { name: 'One drop' }).click();
  await expect(page.getByTestId('notices')).toContainText('cannot be reached');
  await expect(page.getByTestId('notices')).not.toContainText('cannot be reached', { timeout: 15_000 });
  expect(lost).toBeGreaterThan(2);
  expect(await dropsHeld(teacher, page)).toBe(1);
});

test('a second tab of one browser follows the first by itself, and goes on from there', async ({ browser }) => {
  const { code } = await teacherSets(browser);
  const first = await studentBegins(browser, code, 'Tibb Carr');
  const second = await first.context().newPage();
  await second.goto(first.url());
  await atBench(second);
  await select(first, 'titrant');
  await verb(first, 'Fill the burette to');
  await expect(second.getByTestId('method')).toContainText('1 of 6');
  await select(second, 'pipette');
  await verb(second, 'Fill the pipette to its mark');
  await expect(second.getByText('The pipette is full.')).toBeVisible();
  await expect(second.getByTestId('notices')).not.toContainText('another tab');
});

test('acts done offline that another machine was faster than are offered again, and done when they are wanted', async ({
  browser,
}) => {
  const { teacher, code } = await teacherSets(browser);
  const page = await studentBegins(browser, code, 'Tibb Carr');
  await select(page, 'titrant');
  await verb(page, 'Fill the burette to');
  // The same student on another machine: the same cookies, nothing else shared.
  const elsewhere = await browser.newContext({ storageState: await page.context().storageState() });
  const other = await elsewhere.newPage();
  await other.goto(page.url());
  await atBench(other);
  await page.context().setOffline(true);
  await select(page, 'burette');
  for (let i = 0; i < 4; i++) await page.getByRole('button', { name: 'One drop' }).click();
  await expect(page.getByTestId('notices')).toContainText('4 acts wait here');
  await select(other, 'pipette');
  await verb(other, 'Fill the pipette to its mark');
  await page.context().setOffline(false);
  await expect(page.getByTestId('notices')).toContainText('4 acts of yours wait');
  await page.reload();
  await atBench(page);
  await page.getByRole('button', { name: 'Do them now' }).click();
  await expect.poll(() => dropsHeld(teacher, page), { timeout: 20_000 }).toBe(4);
  await expect(page.getByTestId('notices')).not.toContainText('wait');
});

test('a reload in the middle of the work never refuses the next act', async ({ browser }) => {
  test.slow();
  const { code } = await teacherSets(browser);
  const page = await studentBegins(browser, code, 'Rill Ebb');
  await select(page, 'titrant');
  await verb(page, 'Fill the burette to');
  for (let round = 0; round < 4; round++) {
    await select(page, 'burette');
    await page.getByLabel('Tap drop by drop').click();
    await page.waitForTimeout(900 + 130 * round);
    await page.reload();
    await atBench(page);
    await select(page, 'burette');
    await verb(page, 'Tap closed');
    await expect(page.getByLabel('Tap closed')).toHaveAttribute('aria-pressed', 'true');
    await expect(page.getByTestId('notices')).not.toContainText('another tab');
  }
});

test('a tap left open stands still for who comes back', async ({ browser }) => {
  const { code } = await teacherSets(browser);
  const page = await studentBegins(browser, code, 'Hew Drang');
  await select(page, 'titrant');
  await verb(page, 'Fill the burette to');
  await select(page, 'burette');
  await page.getByLabel('Tap stream').click();
  await page.waitForTimeout(1500);
  await page.reload();
  await atBench(page);
  await expect(page.getByTestId('notices')).toContainText('stood still while you were away');
  const level = await page.getByTestId('loupe').getByRole('img').getAttribute('aria-label');
  await page.waitForTimeout(1500);
  expect(await page.getByTestId('loupe').getByRole('img').getAttribute('aria-label')).toBe(level);
  await select(page, 'burette');
  await page.getByLabel('Tap closed').click();
  await expect(page.getByLabel('Tap closed')).toHaveAttribute('aria-pressed', 'true');
});
