import type { Page } from '@playwright/test';
import { expect, test } from './test';
import { atBench, studentBegins, teacherSets } from './helpers';

/** Presses a button of a dialog by pointer, or by Tab and Enter alone. */
async function answer(page: Page, name: string, how: 'pointer' | 'keys'): Promise<void> {
  const dialog = page.getByRole('alertdialog');
  await expect(dialog).toBeVisible();
  const button = dialog.getByRole('button', { name, exact: true });
  if (how === 'pointer') return button.click();
  for (let i = 0; i < 4; i++) {
    if (await button.evaluate((element) => element === document.activeElement)) break;
    await page.keyboard.press('Tab');
  }
  await expect(button).toBeFocused();
  await page.keyboard.press('Enter');
}

for (const how of ['pointer', 'keys'] as const)
  test(`students are removed and a class is deleted, once it was asked, by ${how}`, async ({ browser }) => {
    const { teacher, classId, code } = await teacherSets(browser);
    for (const name of ['Ida Marram', 'Jory Fenn']) {
      const page = await (await browser.newContext()).newPage();
      await page.goto('/join');
      await page.getByLabel('Class code').fill(code);
      await page.getByLabel('Your name').fill(name);
      await page.getByRole('button', { name: 'Join' }).click();
      await expect(page.getByTestId('return-words')).toBeVisible();
    }
    await teacher.goto(`/prep/classes/${classId}`);
    const press = async (name: string) => {
      const button = teacher.getByRole('button', { name, exact: true });
      if (how === 'pointer') return button.click();
      await button.focus();
      await teacher.keyboard.press('Enter');
    };
    await press('Remove Ida Marram');
    await answer(teacher, 'Keep', how);
    await expect(teacher.getByText('Ida Marram')).toBeVisible();
    await press('Remove Ida Marram');
    await teacher.keyboard.press('Escape');
    await expect(teacher.getByText('Ida Marram')).toBeVisible();
    await press('Remove Ida Marram');
    await answer(teacher, 'Remove', how);
    await expect(teacher.getByText('Ida Marram')).toBeHidden();
    await expect(teacher.getByText('Jory Fenn')).toBeVisible();
    await teacher.reload();
    await expect(teacher.getByText('Ida Marram')).toBeHidden();
    await press('Delete class');
    await answer(teacher, 'Keep', how);
    await expect(teacher.getByText('Jory Fenn')).toBeVisible();
    await press('Delete class');
    await answer(teacher, 'Delete class', how);
    await expect(teacher).toHaveURL(/\/prep$/);
    await expect(teacher.getByText('Chemistry 6C')).toBeHidden();
  });

/** Says yes to what is asked once. */
const saysYes = (page: Page, label: string) =>
  page.getByRole('alertdialog').getByRole('button', { name: label, exact: true }).click();

test('new words stand where the button is and stay until they are put away; the code is renewed; dates have a clock', async ({
  browser,
}) => {
  const { teacher, classId, code } = await teacherSets(browser);
  await studentBegins(browser, code, 'Ida Marram');
  await teacher.goto(`/prep/classes/${classId}`);
  await teacher.getByRole('button', { name: 'New return words for Ida Marram' }).click();
  await saysYes(teacher, 'New words');
  const row = teacher.getByRole('listitem').filter({ hasText: 'Ida Marram' });
  await expect(row).toContainText(/New return words: \w+ \w+ \w+/);
  const words = /New return words: (\w+ \w+ \w+)/.exec((await row.textContent()) ?? '')?.[1] ?? '';
  // Asked first: who says no keeps the code.
  await teacher.getByRole('button', { name: 'New code' }).click();
  await teacher.getByRole('button', { name: 'Leave it as it is' }).click();
  await expect(teacher.getByText(code)).toBeVisible();
  await teacher.getByRole('button', { name: 'New code' }).click();
  await saysYes(teacher, 'New code');
  await expect(teacher.getByText(code)).toBeHidden();
  await expect(row).toContainText(words);
  await teacher.reload();
  await expect(row).toContainText(words);
  await teacher.getByRole('button', { name: 'Put the words of Ida Marram away' }).click();
  await expect(row).not.toContainText(words);
  await teacher.reload();
  await expect(row).not.toContainText(words);
  await teacher.getByLabel('Dates are by the clock of').fill('Mars/Olympus');
  await teacher.getByRole('button', { name: 'Keep', exact: true }).click();
  await expect(teacher.getByText('That is not a time zone')).toBeVisible();
  await teacher.getByLabel('Dates are by the clock of').fill('Europe/Lisbon');
  await teacher.getByRole('button', { name: 'Keep', exact: true }).click();
  await expect(teacher.getByText('That is not a time zone')).toBeHidden();
});

test('what was set comes back after a try, and rules and dates can be changed afterwards', async ({ browser }) => {
  const { teacher, classId, assignmentUrl } = await teacherSets(browser);
  await teacher.goto(`/prep/classes/${classId}/set/displacement`);
  await teacher.getByLabel('They come as').selectOption('grains');
  await teacher.getByLabel('tin', { exact: true }).uncheck();
  await teacher.getByLabel('Hand-ins allowed').fill('7');
  await teacher.getByRole('button', { name: 'Try it' }).click();
  await atBench(teacher);
  await teacher.reload();
  await teacher.getByRole('link', { name: 'Back to its settings' }).click();
  await expect(teacher.getByRole('link', { name: 'Chemistry 6C' })).toBeVisible();
  await expect(teacher.getByLabel('Hand-ins allowed')).toHaveValue('7');
  await expect(teacher.getByLabel('They come as')).toHaveValue('grains');
  await expect(teacher.getByLabel('tin', { exact: true })).not.toBeChecked();
  await teacher.reload();
  await expect(teacher.getByLabel('Hand-ins allowed')).toHaveValue('7');

  await teacher.goto(assignmentUrl);
  await teacher.getByRole('link', { name: 'Settings, rules and dates' }).click();
  await expect(teacher.getByText('Acids that may be drawn')).toBeVisible();
  await expect(teacher.getByText('hydrochloric acid, nitric acid, acetic acid')).toBeVisible();
  await teacher.getByLabel('Hand-ins allowed').fill('0');
  await teacher.getByRole('button', { name: 'Keep these' }).click();
  await expect(teacher.getByText('At least one.')).toBeVisible();
  await teacher.getByLabel('Hand-ins allowed').fill('5');
  await teacher.getByLabel('Closes').fill('2040-05-01T16:00');
  // Another tab changes them meanwhile: it is said, and both can be had.
  const other = await teacher.context().newPage();
  await other.goto(teacher.url());
  await other.getByLabel('Name of the assignment').fill('Acids, second try');
  await other.getByRole('button', { name: 'Keep these' }).click();
  await expect(other.getByRole('status').filter({ hasText: 'The settings are kept' })).toBeVisible();
  await expect(other.getByRole('heading', { name: 'Acids, second try' })).toBeVisible();
  await other.close();
  await teacher.getByRole('button', { name: 'Keep these' }).click();
  await expect(teacher.getByText('were changed in another tab')).toBeVisible();
  await teacher.getByRole('button', { name: 'Keep mine all the same' }).click();
  await expect(teacher).toHaveURL(`${assignmentUrl}?kept`);
  await expect(teacher.getByText('1 May 2040, 16:00')).toBeVisible();
  await teacher.getByRole('button', { name: 'Close now' }).click();
  await saysYes(teacher, 'Close now');
  await expect(teacher.getByText(/before its time, which is/)).toBeVisible();
  await teacher.getByRole('button', { name: 'Open again' }).click();
  await saysYes(teacher, 'Open again');
  await expect(teacher.getByText(/before its time/)).toBeHidden();
  await expect(teacher.getByText('1 May 2040, 16:00')).toBeVisible();
  await teacher.getByRole('button', { name: 'Delete this assignment' }).click();
  await saysYes(teacher, 'Delete');
  await expect(teacher).toHaveURL(new RegExp(`/prep/classes/${classId}$`));
});

test('a report that is not saved yet is there after leaving and loading again', async ({ browser }) => {
  const { teacher, assignmentUrl } = await teacherSets(browser);
  await teacher.goto(`${assignmentUrl}/report`);
  await teacher.getByRole('button', { name: 'Remove question 2' }).click();
  await teacher.getByRole('listitem', { name: 'Question 1' }).getByLabel('Question', { exact: true }).fill('Mine?');
  await expect(teacher.getByText('Not saved yet.')).toBeVisible();
  await teacher.goto(assignmentUrl);
  await teacher.goBack();
  await expect(teacher.getByRole('heading', { name: 'What the report asks for' })).toBeVisible();
  await teacher.reload();
  await expect(
    teacher.getByRole('listitem', { name: 'Question 1' }).getByLabel('Question', { exact: true }),
  ).toHaveValue('Mine?');
  await teacher.getByRole('button', { name: 'Save' }).click();
  await expect(teacher.getByText('Saved.')).toBeVisible();
  await teacher.reload();
  await expect(teacher.getByText('Not saved yet.')).toBeHidden();
  await expect(
    teacher.getByRole('listitem', { name: 'Question 1' }).getByLabel('Question', { exact: true }),
  ).toHaveValue('Mine?');
});

test('eight live tables of one browser leave connections for everything else, and all of them live', async ({
  browser,
}) => {
  test.slow();
  const { teacher, code, assignmentUrl } = await teacherSets(browser);
  const tabs = [teacher];
  for (let i = 0; i < 7; i++) {
    const tab = await teacher.context().newPage();
    await tab.goto(assignmentUrl);
    await expect(tab.getByText('Nobody is in this class yet.')).toBeVisible();
    tabs.push(tab);
  }
  await studentBegins(browser, code, 'Ida Marram');
  for (const tab of tabs.slice(0, 3)) {
    await tab.bringToFront();
    await expect(tab.getByText('Ida Marram')).toBeVisible({ timeout: 15_000 });
  }
  // The tab that holds the connection goes; another takes over.
  await teacher.close();
  await studentBegins(browser, code, 'Jory Fenn');
  const last = tabs.at(-1) as Page;
  await last.bringToFront();
  await expect(last.getByText('Jory Fenn')).toBeVisible({ timeout: 15_000 });
});

test('a table of thirty rows is printed whole on A4, for the student and for the teacher', async ({ browser }) => {
  test.slow();
  const { teacher, code, assignmentUrl } = await teacherSets(browser);
  const page = await studentBegins(browser, code, 'Ida Marram');
  await page.getByRole('tab', { name: 'Working' }).click();
  const rows = Array.from({ length: 30 }, (_, i) => `${i}.25\t${i * 2}.50\t${i * 3}.75\t${i}.00\t${i + 100}.5`);
  await page.getByRole('button', { name: 'Paste a table' }).click();
  await page.getByLabel(/Copy the cells/).fill(['t / s\tT / °C\tV / mL\tm / g\tp / kPa', ...rows].join('\n'));
  const kept = page.waitForResponse(
    (response) => response.url().endsWith('/notebook') && response.request().method() === 'POST',
  );
  await page.getByRole('button', { name: 'Make a table of it' }).click();
  await kept;
  await expect(page.getByText('Kept.')).toBeVisible();
  const runId = /runs\/([0-9a-f-]{36})/.exec(page.url())?.[1];
  await teacher.goto(assignmentUrl);
  for (const reader of [page, teacher]) {
    await reader.goto(`/runs/${runId}/print`);
    await reader.emulateMedia({ media: 'print' });
    await reader.setViewportSize({ width: 680, height: 1000 });
    const table = reader.getByRole('region', { name: /^table: Table/ });
    await expect(table.getByRole('row')).toHaveCount(31);
    const box = await table.locator('table').boundingBox();
    expect(box && box.x + box.width).toBeLessThanOrEqual(680);
    // The table with its heading is no higher than the paper, so that it need not be divided.
    expect((await table.boundingBox())?.height).toBeLessThan(1000);
  }
});
