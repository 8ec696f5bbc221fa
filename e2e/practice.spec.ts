import { expect, test } from './test';
import { amount, atBench, readLoupe, recordReading, select, studentBegins, teacherSets, verb } from './helpers';

/** Playing before it counts, as often as liked; and two assignments of one practical, told apart. */

test('a student practises, is told all, practises again, and starts what counts with another sample', async ({
  browser,
}) => {
  test.slow();
  const { teacher, code, assignmentUrl, classId } = await teacherSets(browser);
  const page = await studentBegins(browser, code, 'Ida Marram');
  const counted = await page.locator('h1').textContent();
  await page.getByRole('link', { name: 'Fen', exact: true }).click();
  await page.getByRole('button', { name: 'Practise', exact: true }).click();
  await atBench(page);
  await expect(page.locator('h1')).toContainText('practice: it counts for nothing');
  const first = await page.locator('h1').textContent();
  expect(first).not.toContain(/sample (\d+)/.exec(counted ?? '')?.[1]);

  await select(page, 'titrant');
  await amount(page, 'Fill the burette to, amount in mL', '1');
  await recordReading(page, await readLoupe(page));
  await select(page, 'pipette');
  await verb(page, 'Fill the pipette to its mark');
  await verb(page, 'Let it run into the flask');
  await select(page, 'burette');
  await amount(page, 'Let in, amount in mL', '20');
  await recordReading(page, await readLoupe(page));
  await page.getByRole('tab', { name: 'Report' }).click();
  // Only what can be checked is asked for.
  await page.getByLabel('Concentration of the acid', { exact: true }).fill('0.0701 ± 0.0001');
  await page.getByLabel('Unit of: Concentration of the acid').selectOption('mol/L');
  await page.getByRole('button', { name: 'Hand in' }).click();
  await page.getByRole('button', { name: 'Hand it in' }).click();
  await expect(page.getByTestId('told')).toContainText(
    /It is 0\.\d+ mol\/L; yours differs by .* That is more than twice the stated ± 0\.0001 mol\/L\./,
  );
  await expect(page.getByRole('region', { name: 'What moved the result' })).toContainText(
    /nothing in the flask that shows the end/,
  );

  await page.getByRole('button', { name: 'Practise on another sample' }).click();
  await atBench(page);
  await expect(page.locator('h1')).toContainText('practice');
  expect(await page.locator('h1').textContent()).not.toBe(first);
  await page.getByRole('link', { name: 'Fen', exact: true }).click();
  await page.getByRole('link', { name: 'Go on practising' }).click();
  await atBench(page);
  await page.getByRole('link', { name: 'Fen', exact: true }).click();
  await page.getByRole('button', { name: 'Go on', exact: true }).click();
  await atBench(page);
  expect(await page.locator('h1').textContent()).toBe(counted);
  // Nothing was recorded or handed in there.
  await page.getByRole('tab', { name: 'Report' }).click();
  await expect(page.getByText('3 hand-ins left')).toBeVisible();
  await teacher.goto(assignmentUrl);
  await expect(teacher.getByRole('row', { name: /Ida Marram/ })).not.toContainText('of 3)');

  // The same practical set a second time: by its number and its sample it is told from the first.
  await teacher.goto(`/prep/classes/${classId}/set/acid-concentration`);
  await teacher
    .getByRole('switch', { name: 'Students may practise' })
    .or(teacher.getByLabel('Students may practise'))
    .first()
    .uncheck();
  await teacher.getByRole('button', { name: 'Set it for Chemistry 6C' }).click();
  await expect(teacher.getByText(/not started/).first()).toBeVisible();
  await page.goto('/work');
  const entries = page
    .getByRole('listitem')
    .filter({ has: page.getByRole('heading', { name: 'Concentration of an unlabelled acid' }) });
  await expect(entries).toHaveCount(2);
  await expect(entries.nth(0).getByRole('heading')).toHaveText('Concentration of an unlabelled acid (2)');
  await expect(entries.nth(0)).toContainText('not started');
  await expect(entries.nth(0).getByRole('button', { name: /Practise/ })).toHaveCount(0);
  await expect(entries.nth(1)).toContainText(/sample no\. \d+/);
});
