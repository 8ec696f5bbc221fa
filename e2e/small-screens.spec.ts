import type { Page } from '@playwright/test';
import { expect, test } from './test';
import { amount, atBench, select, studentBegins, teacherSets, verb } from './helpers';

const SIZES = [
  { width: 1280, height: 625 },
  { width: 1024, height: 768 },
  { width: 768, height: 1024 },
  { width: 390, height: 844 },
];

const boxOf = async (page: Page, selector: string) => {
  const box = await page.locator(selector).first().boundingBox();
  if (!box) throw new Error(`${selector} is not drawn`);
  return box;
};
type Box = Awaited<ReturnType<typeof boxOf>>;

const meet = (a: Box, b: Box) =>
  Math.max(0, Math.min(a.x + a.width, b.x + b.width) - Math.max(a.x, b.x)) *
  Math.max(0, Math.min(a.y + a.height, b.y + b.height) - Math.max(a.y, b.y));

/** The loupe lies on the bench whole, and leaves the things free that it can leave free. */
async function loupeIsClear(page: Page, clearOf: string[]): Promise<void> {
  const bench = await boxOf(page, '[data-testid=bench]');
  const loupe = await boxOf(page, '[data-testid=loupe]');
  expect(loupe.x).toBeGreaterThanOrEqual(bench.x - 1);
  expect(loupe.y).toBeGreaterThanOrEqual(bench.y - 1);
  expect(loupe.x + loupe.width).toBeLessThanOrEqual(bench.x + bench.width + 1);
  expect(loupe.y + loupe.height).toBeLessThanOrEqual(bench.y + bench.height + 1);
  for (const thing of clearOf) expect(meet(loupe, await boxOf(page, thing)), thing).toBeLessThan(60);
}

// Many sizes one after the other, each drawn anew.
test.describe.configure({ timeout: 150_000 });

test('a titration can be read and recorded at the bench itself, at every size', async ({ browser }) => {
  test.slow();
  const { code } = await teacherSets(browser);
  const page = await studentBegins(browser, code, 'Ida Marram');
  await select(page, 'titrant');
  await amount(page, 'Fill the burette to, amount in mL', '1');
  for (const size of SIZES) {
    await page.setViewportSize(size);
    await expect(page.getByTestId('bench')).toBeVisible();
    await page.waitForTimeout(300);
    await loupeIsClear(page, ['[data-thing=wash]', '[data-thing=sample]', '[data-thing=titrant]']);
    // The box to type in stands under what is read.
    const box = page.getByTestId('loupe').getByLabel(/^first, trial 1$/);
    await expect(box).toBeInViewport({ ratio: 1 });
    await box.fill('1.00');
    await box.press('Enter');
    await expect(page.getByTestId('loupe').getByLabel(/^last, trial 1$/)).toBeVisible();
    if (size.width < 720) await page.getByRole('button', { name: 'Notebook' }).click();
    await page.getByRole('tab', { name: 'Readings' }).click();
    await page.getByRole('button', { name: 'Strike out trial 1, first reading' }).click();
    await page.getByLabel('Why this reading is struck out').press('Escape');
    await expect(page.getByLabel('Why this reading is struck out')).toBeHidden();
    await page.getByRole('button', { name: 'Strike out trial 1, first reading' }).click();
    await page.getByLabel('Why this reading is struck out').fill('for the next size');
    await page.getByRole('button', { name: 'Strike', exact: true }).click();
    await expect(page.getByRole('button', { name: 'Strike out trial 1, first reading' })).toBeHidden();
  }
});

test('the loupe of measuring leaves the task and the vessels free, and stays where it is put', async ({ browser }) => {
  const { code } = await teacherSets(browser, undefined, 'Reading a scale');
  const page = await studentBegins(browser, code, 'Ida Marram');
  for (const size of SIZES) {
    await page.setViewportSize(size);
    await page.waitForTimeout(300);
    await loupeIsClear(page, ['[data-testid=task]', '[data-thing="vessel:1"]']);
  }
  await page.setViewportSize({ width: 1280, height: 800 });
  await page.waitForTimeout(300);
  const own = await boxOf(page, '[data-testid=loupe]');
  const grip = page.getByRole('button', { name: /^Move the loupe/ });
  await grip.hover();
  await page.mouse.down();
  await page.mouse.move(200, 500, { steps: 6 });
  await page.mouse.up();
  const put = await boxOf(page, '[data-testid=loupe]');
  await grip.press('ArrowRight');
  await expect.poll(async () => (await boxOf(page, '[data-testid=loupe]')).x).toBeGreaterThan(put.x + 8);
  await page.reload();
  await atBench(page);
  expect(Math.abs((await boxOf(page, '[data-testid=loupe]')).y - put.y)).toBeLessThan(30);
  await page.getByRole('button', { name: /^Move the loupe/ }).press('Home');
  // Back where it stands by itself.
  await expect.poll(async () => Math.abs((await boxOf(page, '[data-testid=loupe]')).y - own.y)).toBeLessThan(8);
  expect(Math.abs((await boxOf(page, '[data-testid=loupe]')).x - own.x)).toBeLessThan(8);
});

test('a tablet that is turned shows both pages again, and names on the tray keep apart', async ({ browser }) => {
  const { code } = await teacherSets(browser, async (page) => {
    for (const name of ['thymolphthalein', 'bromocresol green', 'chlorophenol red'])
      await page.getByLabel(name).check();
  });
  const page = await studentBegins(browser, code, 'Ida Marram');
  await page.setViewportSize({ width: 600, height: 1024 });
  await page.getByRole('button', { name: 'Notebook' }).click();
  await expect(page.getByTestId('bench')).toBeHidden();
  await page.setViewportSize({ width: 1024, height: 600 });
  await expect(page.getByTestId('bench')).toBeVisible();
  await expect(page.getByRole('tab', { name: 'Brief' })).toBeVisible();
  for (const width of [1280, 1024]) {
    await page.setViewportSize({ width, height: 768 });
    const labels = await page.locator('[data-thing^="indicator:"] > span').all();
    const boxes = await Promise.all(labels.map((label) => label.boundingBox()));
    const drawn = await Promise.all(
      labels.map((label) =>
        label.evaluate((span) => {
          const range = document.createRange();
          range.selectNodeContents(span);
          const { x, y, width: wide, height } = range.getBoundingClientRect();
          return { x, y, width: wide, height };
        }),
      ),
    );
    expect(boxes.length).toBeGreaterThan(5);
    for (const [i, a] of drawn.entries()) for (const b of drawn.slice(i + 1)) expect(meet(a, b)).toBe(0);
  }
});

test('a column can be added in sight, a change taken back, and an act that would lose work is asked about', async ({
  browser,
}) => {
  const { code } = await teacherSets(browser);
  const page = await studentBegins(browser, code, 'Ida Marram');
  await page.setViewportSize({ width: 1024, height: 768 });
  await page.getByRole('tab', { name: 'Working' }).click();
  await page.getByRole('button', { name: 'New table' }).click();
  await expect(page.getByRole('button', { name: 'Add a column to Table 1' })).toBeInViewport();
  await page.getByLabel('x, row 1').fill('2 500');
  await page.getByLabel('x, row 1').press('Enter');
  await page.getByRole('button', { name: 'Remove Table 1' }).click();
  await expect(page.getByLabel('x, row 1')).toBeHidden();
  await page.getByRole('button', { name: 'Take back: a table removed' }).click();
  await expect(page.getByLabel('x, row 1')).toHaveValue('2 500');
  await page.getByRole('button', { name: /^Take back/ }).click();
  await expect(page.getByLabel('x, row 1')).toHaveValue('');

  await select(page, 'titrant');
  await verb(page, 'Fill the burette to');
  await page
    .getByTestId('loupe')
    .getByLabel(/^first, trial 1$/)
    .fill('0.50');
  await page
    .getByTestId('loupe')
    .getByRole('button', { name: /^Record/ })
    .click();
  await select(page, 'pipette');
  await verb(page, 'Fill the pipette to its mark');
  await verb(page, 'Let it run into the flask');
  await select(page, 'flask');
  await page.getByRole('button', { name: /next trial/ }).click();
  const question = page.getByRole('alertdialog');
  await expect(question).toContainText('Trial 1 has no last reading yet');
  await question.getByRole('button', { name: 'Leave it as it is' }).click();
  await expect(question).toBeHidden();
  await page.getByRole('button', { name: /next trial/ }).click();
  await question.getByRole('button', { name: 'Empty it' }).click();
  await expect(page.getByTestId('loupe').getByRole('textbox', { name: /trial 2$/ })).toBeVisible();
});

test('made four times as large, the loupe and the verbs stand in one view, and nothing is cut off', async ({
  browser,
}) => {
  const { code } = await teacherSets(browser);
  const page = await studentBegins(browser, code, 'Tove Rill');
  await select(page, 'titrant');
  await amount(page, 'Fill the burette to, amount in mL', '1');
  // 1280 × 800 at 400 %.
  await page.setViewportSize({ width: 320, height: 200 });
  await expect.poll(async () => (await boxOf(page, '[data-testid=loupe]')).width).toBeGreaterThan(300);
  const [loupe, verbs] = [await boxOf(page, '[data-testid=loupe]'), await boxOf(page, '[data-testid=verbs]')];
  expect(loupe.y + loupe.height).toBeLessThanOrEqual(verbs.y + 1);
  expect(verbs.y + verbs.height - loupe.y).toBeLessThanOrEqual(200);
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(320);
  // What is there can be used there.
  await page.getByTestId('verbs').scrollIntoViewIfNeeded();
  const box = page.getByTestId('loupe').getByLabel('first, trial 1', { exact: true });
  await box.fill('1.00');
  await box.press('Enter');
  await expect(page.getByTestId('loupe').getByLabel('last, trial 1', { exact: true })).toBeVisible();
});
