import type { Page } from '@playwright/test';
import { expect, test } from './test';
import { amount, select, studentBegins, teacherSets, verb, prepare } from './helpers';

/** Puts the probe somewhere and waits until its display stands still. */
async function settle(page: Page, place: string): Promise<void> {
  await page.getByRole('button', { name: `Probe: ${place}`, exact: true }).click();
  const display = page.getByTestId('ph-display');
  let before = '';
  await expect
    .poll(
      async () => {
        const now = (await display.textContent()) ?? '';
        const isStill = now !== '–' && now === before;
        before = now;
        return isStill;
      },
      { timeout: 60_000, intervals: [1500] },
    )
    .toBe(true);
}

test('an acid with two protons by pH probe: both equivalence points from the derivative, and what moved the result', async ({
  browser,
}) => {
  test.slow();
  const { teacher, code, assignmentUrl } = await teacherSets(
    browser,
    async (page) => {
      for (const acid of ['malonic acid', 'phosphoric acid']) await page.getByLabel(acid).uncheck();
      await page.getByLabel('Tell what moved the result').selectOption('when a student has no hand-in left');
    },
    'An acid with more than one proton',
  );
  const page = await studentBegins(browser, code, 'Ida Marram');
  await select(page, 'probe');
  for (const buffer of ['buffer 7.00', 'buffer 4.01']) {
    await settle(page, buffer);
    await verb(page, 'Calibrate here');
  }
  await select(page, 'titrant');
  await amount(page, 'Fill the burette to, amount in mL', '0.50');
  await select(page, 'pipette');
  await verb(page, 'Fill the pipette to its mark');
  await verb(page, 'Let it run into the flask');
  await select(page, 'flask');
  await verb(page, 'Keep swirling');
  await select(page, 'probe');
  await settle(page, 'flask');
  await amount(page, 'Log every, amount in mL', '0.25');
  await select(page, 'burette');
  // Until the pH no longer rises: well beyond the second step.
  for (let i = 0; i < 180; i++) {
    await amount(page, 'Let in, amount in mL', '0.25');
    if (Number(await page.getByTestId('ph-display').textContent()) > 12) break;
  }

  await page.getByRole('tab', { name: 'Working' }).click();
  await page.getByRole('button', { name: 'New graph' }).click();
  const graph = page.getByRole('region', { name: 'graph: Graph 1' });
  await graph.getByText('Columns and axes').click();
  await graph.getByLabel('as, series 1 of Graph 1').selectOption('first derivative');
  await graph.getByRole('button', { name: 'Highest point in view' }).click();
  await expect(graph.getByTestId('point')).toContainText('dpH/dV =');
  await graph.getByRole('button', { name: 'Keep V' }).click();
  await expect(page.getByTestId('result').first()).toContainText('mL');
  const second = Number(/= ([\d.]+) mL/.exec((await page.getByTestId('result').first().textContent()) ?? '')?.[1]);
  // The first step is the highest place of the first three quarters.
  await graph.getByLabel('Across to, Graph 1').fill(String((0.75 * second).toFixed(1)));
  await graph.getByLabel('Across to, Graph 1').press('Enter');
  await graph.getByRole('button', { name: 'Highest point in view' }).click();
  await graph.getByRole('button', { name: 'Keep V' }).click();
  await expect(page.getByTestId('result')).toHaveCount(2);
  const first = Number(/= ([\d.]+) mL/.exec((await page.getByTestId('result').nth(1).textContent()) ?? '')?.[1]);
  expect(Math.abs(second / first - 2)).toBeLessThan(0.15);
  await page.getByLabel('Calculation', { exact: true }).fill('c = 0.1000 mol/L * V_a / (2 * 25.00 mL)');
  await page.keyboard.press('Enter');
  await expect(page.getByTestId('result')).toHaveCount(3);
  const c = /= ([\d.]+) mol\/L/.exec((await page.getByTestId('result').nth(2).textContent()) ?? '')?.[1] ?? '';
  expect(c).toMatch(/^0\.0\d+$/);

  await prepare(page, 'The second is twice the first', 'Two');
  await page.getByRole('button', { name: /^Take from the notebook: Concentration/ }).click();
  await page.getByRole('button', { name: `c ${c} mol/L` }).click();
  await page.getByLabel(/^Ratio of acid to base/).fill('1 : 2');
  for (const [label, text] of [
    ['Working', 'The second step lies at twice the first, so two protons went.'],
    ['Claim', 'My acid gives up two protons, as I thought.'],
    [
      'Evidence and reasoning',
      'The derivative has two peaks, the second at twice the volume, so the ratio is one to two.',
    ],
    ['How do you know?', 'I found both peaks and kept their volumes.'],
  ] as const)
    await page.getByLabel(label, { exact: true }).fill(text);
  await page.getByRole('radio', { name: 'Find an equivalence point from a derivative' }).check();
  await page.getByRole('button', { name: 'Hand in' }).click();
  await expect(page.getByTestId('told')).toContainText('Right.');
  await expect(page.getByTestId('told')).toContainText(/Within [125] %/);
  await expect(page.getByText('What moved the result', { exact: true })).toBeHidden();
  await page.getByRole('button', { name: 'I am done: tell me more about my result' }).click();
  await page.getByRole('button', { name: 'Close it' }).click();
  const moved = page.getByTestId('moved-concentration');
  await expect(moved).toContainText('the true value');
  await expect(moved.getByRole('row', { name: /All together/ })).toContainText('%');

  await teacher.goto(assignmentUrl);
  await expect(teacher.getByRole('heading', { name: 'What moved the results of this class' })).toBeVisible();
  await teacher.getByRole('link', { name: 'Ida Marram' }).click();
  await expect(teacher.getByTestId('moved-concentration')).toContainText('All together');
});

test('two samples of different kind in one assignment, and both in the table', async ({ browser }) => {
  test.slow(); // a powder takes its time to dissolve
  const { teacher, code, assignmentUrl } = await teacherSets(browser);
  await teacher.getByText('Add a sample of another kind').click();
  await teacher.getByRole('link', { name: 'Add: How much of a powder is acid' }).click();
  await teacher.getByRole('button', { name: 'Add it to the assignment' }).click();
  await expect(teacher).toHaveURL(assignmentUrl);
  const page = await studentBegins(browser, code, 'Ida Marram');
  await expect(page.getByRole('heading', { level: 1 })).toContainText('Concentration of an unlabelled acid');
  await page.goto('/work');
  await expect(page.getByText('sample 2 of 2')).toBeVisible();
  await page.getByRole('button', { name: 'Start' }).click();
  await expect(page.getByRole('heading', { level: 1 })).toContainText('How much of a powder is acid');

  await select(page, 'jar');
  await amount(page, 'Put on the boat, about, amount in g', '0.3');
  await select(page, 'balance');
  await verb(page, 'Record: boat with solid');
  await verb(page, 'Tip it into the flask');
  await page.keyboard.press('r');
  await page.getByRole('tab', { name: 'Readings' }).click();
  await expect(page.getByText('balance, trial 1, boat after tipping')).toBeVisible();
  // It lies at the bottom until there is water.
  await expect(page.getByTestId('solid')).toBeVisible();
  await select(page, 'wash');
  await amount(page, 'Add water to the flask, amount in mL', '30');
  await select(page, 'flask');
  await verb(page, 'Keep swirling');
  await expect(page.getByTestId('solid')).toBeHidden({ timeout: 80_000 });

  await teacher.goto(assignmentUrl);
  const table = teacher.getByRole('region', { name: 'Class table' });
  await expect(table.getByRole('link', { name: 'Concentration of an unlabelled acid' })).toBeVisible();
  await table.getByRole('link', { name: 'How much of a powder is acid' }).click();
  await expect(teacher.getByText('Part by mass', { exact: true })).toBeVisible();
  await expect(teacher.getByText('tipped the solid into the flask')).toBeVisible();
});
