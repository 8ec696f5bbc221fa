import { expect, test } from './test';
import { amount, studentBegins, teacherSets, verb } from './helpers';

test('a grid and an equation are composed, filled in, told, and read by the teacher', async ({ browser }) => {
  test.slow();
  const { teacher, code, assignmentUrl } = await teacherSets(browser, undefined, 'One particle in a vessel');
  await teacher.goto(assignmentUrl);
  await teacher.getByRole('link', { name: 'What the report asks for' }).click();
  await teacher.getByRole('button', { name: 'Begin empty' }).click();
  await teacher.getByRole('button', { name: 'A grid of things and observations' }).click();
  await teacher.getByRole('button', { name: 'A chemical equation' }).click();
  const grid = teacher.getByRole('listitem', { name: 'Question 1' });
  await grid.getByLabel('Question', { exact: true }).fill('What happens to each?');
  await grid.getByLabel(/^Things, a row each/).fill('the particle\nthe walls');
  await grid.getByLabel(/^Observations, a column each/).fill('when it is warmed\nwhen it hits');
  await grid.getByLabel('What can stand in a cell, one a line').fill('faster\nturns back\nnothing');
  await grid.getByLabel(/^Right cells/).fill('faster; turns back\nnothing');
  const equation = teacher.getByRole('listitem', { name: 'Question 2' });
  await equation.getByLabel('Question', { exact: true }).fill('How does its gas burn?');
  await equation.getByLabel(/^Right equation/).fill('H2 + O2 -> H2O');
  await teacher.getByRole('button', { name: 'Save' }).click();
  await expect(grid.getByRole('alert')).toHaveText('Give 2 lines of 2, with ; between, or none at all.');
  await expect(equation.getByRole('alert')).toContainText('It is not balanced: there are 2 O on the left');
  await grid.getByLabel(/^Right cells/).fill('faster; turns back\nnothing; nothing');
  await equation.getByLabel(/^Right equation/).fill('2 H2 + O2 -> 2 H2O');
  await teacher.getByRole('button', { name: 'Save' }).click();
  await expect(teacher.getByText('Saved.')).toBeVisible();

  const page = await studentBegins(browser, code, 'Wren Saltings');
  await amount(page, 'Put a particle in, of, amount in K', '200');
  await verb(page, 'Record all three, trial 1');
  await amount(page, 'Bring it to, amount in K', '400');
  await verb(page, 'Record all three, trial 2');
  await expect(page.getByRole('button', { name: 'Record all three again, trial 2' })).toBeVisible();
  await page.getByRole('tab', { name: 'Report' }).click();
  await page.getByRole('button', { name: 'Hand in' }).click();
  await expect(page.getByRole('alert').filter({ hasText: 'Fill the grid in' }).first()).toBeVisible();
  await page.getByLabel('the particle, when it is warmed').selectOption('faster');
  await page.getByLabel('the particle, when it hits').selectOption('turns back');
  await page.getByLabel('the walls, when it is warmed').selectOption('faster');
  await page.getByRole('button', { name: 'Hand in' }).click();
  await expect(page.getByText('Nothing stands at “the walls”, “when it hits” yet.').first()).toBeVisible();
  await page.getByLabel('the walls, when it hits').selectOption('nothing');
  const typed = page.getByLabel('How does its gas burn?');
  await typed.fill('hydrogen burns');
  await expect(page.getByText('Write an equation with one arrow').first()).toBeVisible();
  await typed.fill('H2 + O2 -> H2O');
  await expect(
    page.getByText(/It is not balanced: there are 2 O on the left and 1 on the right/).first(),
  ).toBeVisible();
  await typed.fill('O2 + 2H2 = 2H2O');
  await expect(page.getByText(', balanced')).toBeVisible();
  // What stands there is kept over a reload.
  await expect(page.getByText('Kept.')).toBeVisible();
  await page.reload();
  await page.getByRole('tab', { name: 'Report' }).click();
  await expect(page.getByLabel('the walls, when it is warmed')).toHaveValue('faster');
  await page.getByRole('button', { name: 'Hand in' }).click();
  const told = page.getByTestId('told');
  await expect(told).toContainText('3 of 4 right.');
  await expect(told).toContainText('Right.');

  await teacher.goto(assignmentUrl);
  await expect(teacher.getByText('3 of 4 right').first()).toBeVisible();
  await expect(teacher.getByText('not the walls, when it is warmed')).toBeVisible();
  await teacher.getByRole('link', { name: 'Wren Saltings' }).click();
  await expect(teacher.getByRole('row', { name: /the walls/ }).first()).toContainText('faster');
  await expect(teacher.getByText(/the walls, when it is warmed: “faster”, it is “nothing”/).first()).toBeVisible();
});
