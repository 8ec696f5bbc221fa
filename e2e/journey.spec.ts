import { expect, test } from './test';
import { recordReading, select, studentBegins, teacherSets, titrate, verb, writeReport } from './helpers';

test('a teacher sets it, a student titrates twice and hands in, the teacher sees it without reloading', async ({
  browser,
}) => {
  test.slow();
  const { teacher, code, assignmentUrl } = await teacherSets(browser);
  await teacher.goto(assignmentUrl);
  const page = await studentBegins(browser, code, 'Ida Marram');
  const row = teacher.getByRole('row', { name: /Ida Marram/ });
  await expect(row).toContainText('paused');

  const rough = await titrate(page, 12);
  await expect(row).toContainText('at it');
  const roughTitre = Number(rough.last) - Number(rough.first);
  await select(page, 'flask');
  await verb(page, /next trial/);
  const second = await titrate(page, Number((roughTitre - 0.9).toFixed(2)));
  await page.getByRole('row', { name: /^1 / }).getByRole('checkbox').click();
  await page.getByLabel('Why trial 1 does not count').fill('rough');
  await page.getByRole('button', { name: 'Leave out' }).click();
  const titre = (Number(second.last) - Number(second.first)).toFixed(2);
  await expect(page.getByTestId('mean')).toHaveText(titre);

  await page.getByRole('tab', { name: 'Report' }).click();
  const result = ((Number(titre) * 0.1) / 25).toPrecision(4);
  await page.getByRole('button', { name: 'Hand in' }).click();
  const missing = page.getByRole('alert').filter({ hasText: 'Not handed in yet' });
  await expect(missing).toContainText('Choose an answer');
  await expect(missing).toContainText('Type the value that you found');
  // Each is a click away from where it is put right, also on another page of the notebook.
  await missing.getByRole('button', { name: /What has to be measured/ }).click();
  await expect(page.getByRole('tab', { name: 'Brief' })).toHaveAttribute('aria-selected', 'true');
  await expect(page.getByRole('radio', { name: 'The volume of indicator that was added' })).toBeFocused();
  await writeReport(page);
  await page.getByRole('button', { name: 'Hand in' }).click();
  await expect(missing).toContainText('Type the value that you found');
  await page.getByLabel('Concentration of the acid', { exact: true }).fill(result);
  await page.getByRole('button', { name: 'Hand in' }).click();
  await expect(missing).toContainText('without a unit');
  await page.getByLabel('Unit of: Concentration of the acid').selectOption('mol/L');
  await page.getByRole('button', { name: 'Hand in' }).click();
  await expect(page.getByTestId('told')).toContainText(/Within (0.5|1) %/);

  await expect(row).toContainText('handed in (1 of 3)');
  await expect(row).toContainText(`${result} mol/L`);
  await expect(row).toContainText(titre);
  await row.getByRole('link').click();
  // The page waits until the run was done again with each cause switched off: the first time that takes its worker's start.
  await expect(teacher.getByText('What it really is')).toBeVisible({ timeout: 30_000 });
  await expect(teacher.getByRole('list', { name: 'Acts in order' })).toContainText('filled the burette to 1.00 mL');
});

test('readings are judged by their digits, struck out with a reason, and survive a reload', async ({ browser }) => {
  const { code } = await teacherSets(browser);
  const page = await studentBegins(browser, code, 'Tove Rill');
  await recordReading(page, '1.00');
  await expect(page.getByTestId('notices')).toContainText('meniscus is not on the scale');
  await select(page, 'titrant');
  await verb(page, 'Fill the burette to');
  await recordReading(page, '0.1');
  await expect(page.getByTestId('notices')).toContainText('one digit further');
  await page.getByRole('button', { name: 'Strike out trial 1, first reading' }).click();
  await page.getByLabel('Why this reading is struck out').fill('too few digits');
  await page.getByRole('button', { name: 'Strike', exact: true }).click();
  await expect(page.getByText('struck out: too few digits')).toBeVisible();
  await page.getByRole('tab', { name: 'Report' }).click();
  await page.getByLabel('Working', { exact: true }).fill('half a thou');
  await expect(page.getByText('Kept.')).toBeVisible();
  await page.reload();
  await page.getByRole('tab', { name: 'Readings' }).click();
  await expect(page.getByText('struck out: too few digits')).toBeVisible();
  await page.getByRole('tab', { name: 'Report' }).click();
  await expect(page.getByLabel('Working', { exact: true })).toHaveValue('half a thou');
});

test('hands do what typed amounts do: carrying, pouring, the tap, and putting one thing to the wrong other', async ({
  browser,
}) => {
  const { code } = await teacherSets(browser);
  const page = await studentBegins(browser, code, 'Bo Shingle');
  const carry = async (from: string, to: string) => {
    const [a, b] = [
      await page.locator(`[data-thing="${from}"]`).boundingBox(),
      await page.locator(`[data-thing="${to}"]`).boundingBox(),
    ];
    if (!a || !b) throw new Error('nothing to carry');
    await page.mouse.move(a.x + a.width / 2, a.y + a.height / 2);
    await page.mouse.down();
    await page.mouse.move(a.x + a.width / 2 + 20, a.y, { steps: 3 });
    await page.mouse.move(b.x + b.width / 2, b.y + b.height / 2, { steps: 5 });
    await page.mouse.up();
  };
  await carry('pipette', 'waste');
  await expect(page.getByTestId('notices')).toContainText('nothing to do with each other');
  await carry('pipette', 'sample');
  await carry('pipette', 'flask');
  await carry('indicator:phenolphthalein', 'flask');
  await expect(page.getByTestId('method')).toContainText('2 of 6');
  await select(page, 'titrant');
  const pour = page.getByRole('button', { name: 'Pour while pressed' });
  await pour.dispatchEvent('pointerdown', { pointerId: 1, button: 0 });
  await page.waitForTimeout(1500);
  await pour.dispatchEvent('pointerup', { pointerId: 1 });
  await select(page, 'burette');
  await page.getByLabel('Tap fast drops').click();
  await expect(page.getByLabel('Tap fast drops')).toHaveAttribute('aria-pressed', 'true');
  await page.waitForTimeout(1500);
  await page.getByLabel('Tap closed').click();
  await expect(page.getByTestId('into-flask')).toBeVisible();
});

test('at 1280 by 800 nothing of the bench is cut off and the page does not scroll', async ({ browser }) => {
  const { code } = await teacherSets(browser);
  const page = await studentBegins(browser, code, 'Una Spit');
  for (const thing of [
    'titrant',
    'burette',
    'flask',
    'wash',
    'pipette',
    'indicator:phenolphthalein',
    'sample',
    'waste',
  ]) {
    await select(page, thing);
    const scrolls = await page.evaluate(
      () =>
        document.documentElement.scrollHeight > window.innerHeight ||
        document.documentElement.scrollWidth > window.innerWidth,
    );
    expect(scrolls).toBe(false);
    const boxes = await page
      .locator('[data-testid=verbs] button, [data-testid=verbs] input, [data-thing]')
      .evaluateAll((all) =>
        all.map((element) => {
          const { left, right, top, bottom } = element.getBoundingClientRect();
          return left >= 0 && right <= window.innerWidth * 0.61 && top >= 0 && bottom <= window.innerHeight;
        }),
      );
    expect(boxes.every(Boolean)).toBe(true);
  }
});
