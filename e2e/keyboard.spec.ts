import type { Page } from '@playwright/test';
import { expect, test } from './test';
import { atBench, actAnswered, arrowToPart, flaskColour, readLoupe, tabTo, teacherSets } from './helpers';

/** Arrows on until this thing is selected. */
async function arrowTo(page: Page, thing: string): Promise<void> {
  for (let i = 0; i < 14; i++) {
    if ((await page.evaluate(() => document.activeElement?.getAttribute('data-thing'))) === thing) return;
    await page.keyboard.press('ArrowRight');
  }
  throw new Error(`no way by arrows to ${thing}`);
}

async function press(page: Page, key: string): Promise<void> {
  const answered = actAnswered(page);
  await page.keyboard.press(key);
  await answered;
}

/** Back from the notebook to the thing that is selected on the bench. */
async function toBench(page: Page): Promise<void> {
  for (let i = 0; i < 60; i++) {
    await page.keyboard.press('Shift+Tab');
    if (await page.evaluate(() => document.activeElement?.hasAttribute('data-thing'))) return;
  }
  throw new Error('no way back to the bench');
}

async function record(page: Page): Promise<void> {
  const reading = await readLoupe(page);
  await page.keyboard.press('r');
  await expect(page.getByLabel('Burette, as you read it')).toBeFocused();
  await page.keyboard.type(reading);
  await press(page, 'Enter');
  await toBench(page);
}

const isPink = async (page: Page) => /(faint|deep|:) ?pink|: pink/.test((await flaskColour(page)) ?? '');

test('the whole way by keyboard alone: join, titrate twice, hand in', async ({ browser }) => {
  test.setTimeout(240_000); // a hundred keys and more, each answered before the next
  const { code } = await teacherSets(browser);
  const page = await (await browser.newContext()).newPage();
  await page.goto('/join');
  await tabTo(page, /Class code/);
  await page.keyboard.type(code);
  await tabTo(page, /Your name/);
  await page.keyboard.type('Kester Wold');
  await page.keyboard.press('Enter');
  await expect(page.getByTestId('return-words')).toBeVisible();
  await tabTo(page, /to my work/);
  await page.keyboard.press('Enter');
  await expect(page.getByRole('button', { name: 'Start' })).toBeVisible();
  await tabTo(page, /^Start$/);
  await page.keyboard.press('Enter');
  await expect(page.getByTestId('bench')).toBeVisible();
  await atBench(page);

  await tabTo(page, /bottle of sodium hydroxide/);
  let roughMl = 0;
  for (const trial of [1, 2]) {
    await arrowTo(page, 'titrant');
    await press(page, 'Enter');
    await arrowTo(page, 'burette');
    await record(page);
    await arrowTo(page, 'pipette');
    await press(page, 'Enter');
    await press(page, 'Enter');
    await arrowTo(page, 'indicator:phenolphthalein');
    await press(page, 'Enter');
    await arrowTo(page, 'burette');
    await tabTo(page, /Let in, amount in mL/);
    await page.keyboard.type(trial === 1 ? '17' : String(roughMl - 1));
    await press(page, 'Enter');
    if (trial === 1) {
      // The field keeps the focus, so that Enter lets in as much again.
      await page.keyboard.press('ControlOrMeta+a');
      await page.keyboard.type('0.5');
      for (roughMl = 17; roughMl < 40 && !(await isPink(page)); roughMl += 0.5) await press(page, 'Enter');
    }
    await toBench(page);
    for (let i = 0; i < 60 && !(await isPink(page)); i++) {
      await press(page, 's');
      await arrowTo(page, 'burette');
      for (const drop of ['d', 'd', 'd']) await press(page, drop);
      await page.waitForTimeout(150);
    }
    expect(await flaskColour(page)).toContain('pink');
    await record(page);
    if (trial === 1) {
      await arrowTo(page, 'flask');
      await tabTo(page, /next trial/);
      await press(page, 'Enter');
      await toBench(page);
    }
  }
  await tabTo(page, /^(brief|readings)$/i);
  await arrowToPart(page, 'Brief');
  await tabTo(page, /^The volume of indicator/);
  const right = page.getByRole('radio', { name: /^The volume of titrant/ });
  for (let i = 0; i < 4 && !(await right.isChecked()); i++) await page.keyboard.press('ArrowDown');
  await expect(right).toBeChecked();
  await tabTo(page, /^More concentrated$/);
  await page.keyboard.press('ArrowDown');
  await tabTo(page, /^(brief|readings)$/i);
  await arrowToPart(page, 'Report');
  await tabTo(page, /^Concentration of the acid$/);
  await page.keyboard.type('0.1 mol/L');
  for (const [label, text] of [
    [/^Working$/, 'Mean titre times 0.1000 mol/L over 25 mL.'],
    [/^Claim$/, 'It is near a tenth of a mole.'],
    [/^Evidence and reasoning$/, 'Each titre was read before and after, and the two of them agree well enough.'],
  ] as const) {
    await tabTo(page, label);
    await page.keyboard.type(text);
  }
  await tabTo(page, /^Read a burette/);
  await page.keyboard.press('Space');
  await tabTo(page, /^How do you know/);
  await page.keyboard.type('I read it without the mouse, twice.');
  await tabTo(page, /^Hand in$/);
  await page.keyboard.press('Enter');
  await expect(page.getByTestId('told')).toContainText(/Within|Outside/);
});

test('keys are listed, say the colour, stop the clock, and letters can be turned off', async ({ browser }) => {
  const { code } = await teacherSets(browser);
  const page = await (await browser.newContext()).newPage();
  await page.goto('/join');
  await page.getByLabel('Class code').fill(code);
  await page.getByLabel('Your name').fill('Perrin Ayre');
  await page.getByRole('button', { name: 'Join' }).click();
  await page.getByRole('button', { name: /to my work/ }).click();
  await page.getByRole('button', { name: 'Start' }).click();
  await atBench(page);
  await page.locator('[data-thing=titrant]').focus();
  await press(page, 'Enter');
  await page.keyboard.press('c');
  await expect(page.getByTestId('notices')).toContainText('The flask is empty');
  await arrowTo(page, 'burette');
  await press(page, 'Enter');
  await expect(page.getByLabel('Tap drop by drop')).toHaveAttribute('aria-pressed', 'true');
  await press(page, 'p');
  await expect(page.getByText('bench clock stopped')).toBeVisible();
  await press(page, 'p');
  await press(page, 'x');
  await expect(page.getByLabel('Tap closed')).toHaveAttribute('aria-pressed', 'true');
  await page.keyboard.press('?');
  await expect(page.getByRole('dialog', { name: 'Keys' })).toBeVisible();
  // What had the focus has it again.
  await page.keyboard.press('Escape');
  await expect(page.locator('[data-thing=burette]').first()).toBeFocused();
  await page.keyboard.press('?');
  await page.getByLabel(/Letters act/).uncheck();
  await page.keyboard.press('Escape');
  await page.locator('[data-thing=burette]').focus();
  await page.keyboard.press('l');
  await expect(page.getByTestId('loupe')).toBeVisible();
});
