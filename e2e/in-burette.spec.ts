import type { Page } from '@playwright/test';
import { expect, test } from './test';
import { amount, prepare, recordReading, select, studentBegins, teacherSets, titrate, verb } from './helpers';

/** The sample runs into pink base until that is colourless. @returns the titre in mL */
async function runIn(page: Page, nearMl: number): Promise<number> {
  const { first, last } = await titrate(page, nearMl, (colour) => !/pink/.test(colour));
  return Number(last) - Number(first);
}

test('the sample in the burette: begun anew, titrated into a known base, and handed in once and for all', async ({
  browser,
}) => {
  test.slow();
  const { code } = await teacherSets(
    browser,
    async (page) => {
      await page.getByLabel('acetic acid').uncheck();
      for (const acid of ['oxalic acid', 'malonic acid', 'tartaric acid']) await page.getByLabel(acid).uncheck();
      await page.getByLabel('A student may begin anew').check();
      await page.getByLabel('Hand-ins allowed').fill('1');
    },
    'An unlabelled solution in the burette',
  );
  const page = await studentBegins(browser, code, 'Kitto Vean');

  // All that may be drawn give up one: so the brief says it, and the report does not ask.
  await page.getByRole('tab', { name: 'Brief' }).click();
  await expect(page.getByText('Each molecule of it gives up one proton.')).toBeVisible();

  // A start that went wrong: the question first, then all of it again.
  await select(page, 'titrant');
  await amount(page, 'Fill the burette to, amount in mL', '3');
  await recordReading(page, '3.00');
  await page.getByRole('tab', { name: 'Brief' }).click();
  await page.getByRole('button', { name: 'Begin anew' }).click();
  await page.getByRole('button', { name: 'Go on as it is' }).click();
  await page.getByRole('tab', { name: 'Readings' }).click();
  await expect(page.getByText('3.00', { exact: true }).first()).toBeVisible();
  await page.getByRole('tab', { name: 'Brief' }).click();
  await page.getByRole('button', { name: 'Begin anew' }).click();
  await page.getByRole('button', { name: 'Begin anew' }).click();
  await page.getByRole('tab', { name: 'Readings' }).click();
  await expect(page.getByText('3.00', { exact: true })).toHaveCount(0);

  const rough = await runIn(page, 15);
  await select(page, 'flask');
  await verb(page, /next trial/);
  const titre = await runIn(page, Number((rough - 0.9).toFixed(2)));
  const found = ((0.1 * 25) / titre).toPrecision(4);

  await prepare(page, 'It is less concentrated', 'At 7');
  await expect(page.getByLabel(/^Ratio of acid/)).toHaveCount(0);
  await page.getByLabel('Concentration of the acid', { exact: true }).fill(found);
  await page.getByLabel('Unit of: Concentration of the acid').selectOption('mol/L');
  for (const [label, text] of [
    ['Working', 'The flask held 2.5 mmol of base, and so did the titre of acid.'],
    ['Claim', 'The acid is about as concentrated as the base.'],
    [
      'Evidence and reasoning',
      'The titre of the second trial was caught to a drop, and its indicator turns where a strong acid has just used up a strong base.',
    ],
    ['How do you know?', 'One drop took the last of the pink.'],
  ] as const)
    await page.getByLabel(label, { exact: true }).fill(text);
  await page.getByRole('radio', { name: 'Catch an end point to a drop' }).check();
  await page.getByRole('button', { name: 'Hand in' }).click();
  await expect(page.getByText('This is your last hand-in')).toBeVisible();
  await page.getByRole('button', { name: 'Not yet' }).click();
  await expect(page.getByTestId('told')).toHaveCount(0);
  await page.getByRole('button', { name: 'Hand in' }).click();
  await page.getByRole('button', { name: 'Hand it in' }).click();
  await expect(page.getByTestId('told')).toContainText(/Within (0.5|1|3) %/);
});
