import { expect, test } from './test';
import { recordReading, runIdOf, select, studentBegins, teacherSets, verb } from './helpers';

test('a step is shown by a hand on another bench, can be stopped and seen again, and counts for nothing', async ({
  browser,
}) => {
  const { code, teacher } = await teacherSets(browser);
  const page = await studentBegins(browser, code, 'Ida Marram');
  const burette = page.locator('section[aria-label=Bench]').locator('[data-thing=burette]').first();
  const stood = await burette.getAttribute('aria-label');
  await page.getByRole('button', { name: 'Show me', exact: true }).first().click();
  const shown = page.getByRole('dialog', { name: 'A step is shown' });
  await expect(shown.getByTestId('shown-bench')).toBeVisible({ timeout: 20_000 });
  await expect(shown).toContainText('Nothing here counts for you');
  // By itself, until it is stopped.
  await expect(shown.getByRole('status')).toContainText(/^1 of/);
  await shown.getByRole('button', { name: 'Stop' }).click();
  const stopped = await shown.getByRole('status').innerText();
  const hand = shown.getByTestId('shown-hand');
  await expect(hand).toBeVisible();
  const { x, y } = (await hand.boundingBox()) ?? { x: 0, y: 0 };
  const room = (await shown.getByTestId('shown-bench').boundingBox()) ?? { x: 0, y: 0, width: 0, height: 0 };
  expect(x > room.x && x < room.x + room.width && y > room.y && y < room.y + room.height).toBe(true);
  // What it lies over is not reached by Tab.
  for (let i = 0; i < 30; i++) {
    await page.keyboard.press('Tab');
    expect(await page.evaluate(() => document.activeElement?.closest('[role=tablist], [role=tabpanel]'))).toBeNull();
  }
  await shown.focus();
  // Letters and arrows are not for the bench now.
  await page.keyboard.press('p');
  await page.keyboard.press('ArrowRight');
  await expect(shown.getByRole('status')).toHaveText(stopped.replace(/\n/g, ''));
  await shown.getByRole('button', { name: 'One on' }).click();
  while (await shown.getByRole('button', { name: 'One on' }).isEnabled())
    await shown.getByRole('button', { name: 'One on' }).click();
  await expect(shown.getByRole('status')).toContainText(/Wiped the tip/);
  await shown.getByRole('button', { name: 'One back' }).click();
  await shown.getByRole('button', { name: 'One on' }).click();
  await shown.getByRole('checkbox', { name: 'quickly' }).check();
  await shown.getByRole('button', { name: 'See it again' }).click();
  await expect(shown.getByRole('status')).toContainText('the bench before the step');
  await expect(shown.getByRole('button', { name: 'See it again' })).toBeVisible({ timeout: 20_000 });
  await page.keyboard.press('Escape');
  await expect(shown).toBeHidden();
  await expect(page.getByRole('button', { name: 'Show me', exact: true }).first()).toBeFocused();
  // The own bench stands as it stood, and goes on.
  expect(await burette.getAttribute('aria-label')).toBe(stood);
  await expect(page.getByTestId('method')).toContainText('0 of 6');
  await select(page, 'titrant');
  await verb(page, 'Fill the burette to');
  await teacher.goto(`/prep/runs/${runIdOf(page)}`);
  await expect(teacher.getByRole('list', { name: 'Acts in order' }).getByRole('listitem')).toHaveCount(1);

  // Any step of the list, and away again by its button.
  await page.getByTestId('method').locator('summary').click();
  await page.getByRole('button', { name: /^Show me: Read the burette/ }).click();
  await expect(shown.getByTestId('shown-bench')).toBeVisible({ timeout: 20_000 });
  await shown.getByRole('button', { name: 'Back to your notebook' }).click();

  // A word of the trade tells what it means.
  await page.locator('[data-term=meniscus]').first().click();
  await expect(page.getByRole('dialog', { name: 'What “meniscus” means' })).toContainText('curved surface');
  await page.keyboard.press('Escape');
  await expect(page.getByRole('dialog')).toBeHidden();
  const words = await page.context().newPage();
  await words.goto('/words');
  await expect(words.getByRole('term').filter({ hasText: /^meniscus$/ })).toBeVisible();
});

test('where planning is what is marked, neither brief nor bench tells the method', async ({ browser }) => {
  const { code } = await teacherSets(browser, (teacher) =>
    teacher
      .getByLabel('The method')
      .selectOption({ label: 'not told: planning is what is marked' })
      .then(() => {}),
  );
  const page = await studentBegins(browser, code, 'Tove Rill');
  await expect(page.getByRole('tabpanel', { name: 'Brief' })).toContainText('Find its concentration');
  await expect(page.getByText('The method', { exact: true })).toBeHidden();
  await expect(page.getByTestId('method')).toBeHidden();
  await expect(page.getByRole('button', { name: 'Show me' })).toBeHidden();
  await select(page, 'titrant');
  await verb(page, 'Fill the burette to');
  await expect(page.getByTestId('method')).toBeHidden();
});

test('an amount that is pressed twice in a moment counts once, and a field is selected when it is entered', async ({
  browser,
}) => {
  const { code } = await teacherSets(browser, undefined, 'A metal by its specific heat');
  const page = await studentBegins(browser, code, 'Wren Ling');
  const bench = page.getByRole('region', { name: 'Bench', exact: true });
  await page.locator('[data-thing=cup]').first().click({ force: true });
  const field = bench.getByLabel('Pour water in, amount in mL');
  await field.fill('40');
  // The press places no caret: what is typed takes the place of what stood there.
  await page.getByRole('tab', { name: 'Brief' }).click();
  await field.click();
  await page.keyboard.type('30');
  await expect(field).toHaveValue('30');
  await bench.getByRole('button', { name: 'Pour water in', exact: true }).dblclick();
  await expect(page.getByTestId('notices')).toContainText('pressed twice in a moment');
  await expect(page.locator('[data-thing=cup]')).toHaveAccessibleName(/about (28|30|32) mL/);

  // The names of all things, by one key and away by the same.
  await page.locator('[data-thing=cup]').first().focus();
  await page.keyboard.press('a');
  await expect(page.getByTestId('names')).toContainText('balance');
  await page.keyboard.press('a');
  await expect(page.getByTestId('names')).toBeHidden();

  // A thermometer says what it shows, and offers what it can mean where it is.
  await select(page, 'thermo:1');
  await expect(page.getByTestId('verbs')).toContainText('It shows the temperature of the air');
  await page.getByRole('button', { name: 'In the cup', exact: true }).click();
  await expect(page.getByRole('button', { name: /^Record the temperature of the liquid before/ })).toBeVisible();
  await expect(page.getByRole('button', { name: /^Record the temperature of the hot metal/ })).toBeHidden();

  // What stands says so; time is waited for by one press.
  await page.getByLabel('Wait at the bench').selectOption('wait 5 min');
  await expect(page.getByTestId('bench-time')).toContainText(/^5:/);
});

test('a question waits for the answer that is under way, and what is done meanwhile comes after it', async ({
  browser,
}) => {
  const { code } = await teacherSets(browser);
  const page = await studentBegins(browser, code, 'Sully Reed');
  await select(page, 'titrant');
  await verb(page, 'Fill the burette to');
  await recordReading(page, '0.50');
  await select(page, 'pipette');
  await verb(page, /^Fill/);
  await verb(page, /into the flask/);
  await select(page, 'burette');
  await verb(page, 'One drop');
  // A slow network: three things are done before the first of them is answered.
  await page.route('**/acts', async (route) => {
    await new Promise((resolve) => setTimeout(resolve, 700));
    await route.continue();
  });
  const reading = page.getByTestId('loupe').getByRole('textbox');
  await reading.fill('0.55');
  await reading.press('Enter');
  await page.locator('[data-thing=flask]').first().click({ force: true });
  await page.getByRole('button', { name: /next trial/ }).click();
  await page.locator('[data-thing=titrant]').first().click({ force: true });
  await page.getByLabel('Fill the burette to, amount in mL').fill('0.2');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('alertdialog')).toBeHidden();
  await expect(page.getByTestId('loupe')).toContainText('trial', { timeout: 10_000 });
  await expect(page.locator('section[aria-label=Bench]')).toHaveAttribute('data-waiting', '0', { timeout: 20_000 });
  await page.unroute('**/acts');
  await page.getByRole('tab', { name: 'Readings' }).click();
  await expect(page.getByRole('row', { name: /^2 / })).toBeVisible();
  await expect(page.getByRole('alertdialog')).toBeHidden();
});
