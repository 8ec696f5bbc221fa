import type { Page } from '@playwright/test';
import { expect, test } from './test';
import { amount, recordReading, select, studentBegins, tabTo, teacherSets, verb } from './helpers';

/** What is heard and where the focus is: for who works without seeing the screen, or in colours of their own. */

/** Everything that the live region says from now on, one sentence after the other. */
async function listen(page: Page): Promise<() => Promise<string[]>> {
  await page.evaluate(() => {
    const said: string[] = [];
    Object.assign(window, { said });
    const region = document.querySelector('[data-testid=telling]');
    if (!region) throw new Error('nothing is told');
    new MutationObserver(() => said.push(region.textContent ?? '')).observe(region, {
      childList: true,
      characterData: true,
      subtree: true,
    });
  });
  return () => page.evaluate(() => (window as unknown as { said: string[] }).said);
}

const focusIsSomewhere = async (page: Page, after: string) =>
  expect(
    await page.evaluate(() => document.activeElement !== document.body && document.activeElement !== null),
    after,
  ).toBe(true);

test('a bench of measuring is heard: what is poured, weighed, read, struck and worked out', async ({ browser }) => {
  test.slow();
  const { code } = await teacherSets(browser, undefined, 'Which liquid is in the bottle');
  const page = await studentBegins(browser, code, 'Ida Marram');
  const said = await listen(page);
  const thing = (name: string) => page.locator(`[data-thing="${name}"]`);
  await expect(thing('vessel:4')).toHaveAccessibleName('50 mL cylinder 4, empty');
  await select(page, 'vessel:1');
  await page.getByLabel('Pour into').selectOption({ label: '50 mL cylinder 4' });
  await amount(page, 'Pour, amount in mL', '20');
  await expect.poll(said).toContainEqual(expect.stringMatching(/^50 mL cylinder 4: liquid near (19|20|21) mL\.$/));
  await expect(thing('vessel:4')).toHaveAccessibleName(/^50 mL cylinder 4, liquid near \d+ mL$/);

  // The eye is heard where it is brought, however its slider is set.
  await select(page, 'vessel:4');
  await verb(page, 'Look at its scale');
  await page.getByLabel('Height of the eye over the surface, mm').fill('0');
  await expect.poll(said).toContain('The eye is level with the surface.');
  await expect(page.getByTestId('loupe').getByRole('img')).toHaveAccessibleName(/rings fall together/);

  // A reading that is refused: the field is marked, linked to the sentence, and what was typed is still there.
  const box = page.getByTestId('loupe').getByLabel('volume, trial 1', { exact: true });
  await box.fill('20.0 L');
  await box.press('Enter');
  await expect(box).toHaveAttribute('aria-invalid', 'true');
  await expect(box).toHaveAccessibleDescription(/is divided in mL, not “L”/);
  await expect(box).toHaveValue('20.0 L');
  await expect(box).toBeFocused();
  await box.fill('20.0');
  await expect(box).not.toHaveAttribute('aria-invalid');
  await box.press('Enter');
  await expect.poll(said).toContain('Recorded: volume, trial 1, 20.0 mL.');
  await focusIsSomewhere(page, 'a reading');
  // A refusal of something else brings nothing back that was taken.
  await select(page, 'balance');
  await verb(page, 'Take all off');
  await expect(page.getByTestId('notices')).toContainText('Nothing is on the balance.');
  await expect(page.getByTestId('loupe').getByRole('textbox')).toHaveValue('');

  // Asked, a thing says what it holds and shows.
  await select(page, 'vessel:4');
  await page.keyboard.press('w');
  await expect(page.getByTestId('notices')).toContainText(/50 mL cylinder 4, liquid near \d+ mL\./);

  // A strike: what was struck keeps the focus.
  await page.getByRole('tab', { name: 'Readings' }).click();
  await page.getByRole('button', { name: /^Strike out trial 1/ }).click();
  await page.keyboard.press('Escape');
  await expect(page.getByRole('button', { name: /^Strike out trial 1/ })).toBeFocused();
  await page.keyboard.press('Enter');
  await page.keyboard.type('misread');
  await page.keyboard.press('Enter');
  await expect.poll(said).toContain('Struck out: volume, trial 1.');
  await focusIsSomewhere(page, 'a strike');

  // It is taken again into the trial that it was struck out of.
  await page.getByTestId('loupe').getByLabel('Trial of this reading').selectOption('1');
  await box.fill('20.2');
  await box.press('Enter');
  await expect.poll(said).toContain('Recorded: volume, trial 1, 20.2 mL.');

  // What is worked out is heard, and so is what cannot be.
  await page.getByRole('tab', { name: 'Working' }).click();
  const status = page.getByRole('region', { name: /Calculations/ }).getByRole('status');
  await page.getByLabel('Calculation', { exact: true }).fill('rho = 12.3 g / 15.6 mL');
  await page.keyboard.press('Enter');
  await expect(status).toHaveText(/0\.788 g\/mL/);
  await page.getByLabel('Calculation', { exact: true }).fill('1 g + 1 mL');
  await page.keyboard.press('Enter');
  await expect(status).toHaveText(/1 g \+ 1 mL: .*(unit|cannot|add)/i);
  // Nothing unseen makes the page longer than the window.
  expect(await page.evaluate(() => document.documentElement.scrollHeight - window.innerHeight)).toBeLessThanOrEqual(0);
  await page.getByRole('button', { name: /^Remove 1 g/ }).press('Enter');
  await focusIsSomewhere(page, 'something removed');

  // Tab goes as the page of keys says: from the thing to the loupe, to its verbs, to the notebook.
  await select(page, 'vessel:4');
  const order: number[] = [];
  for (const name of [/^Move the loupe/, /^Pour, amount in mL/, /Seam between/, /^brief$|^working$/]) {
    await tabTo(page, name);
    order.push(order.length);
  }
  expect(order).toHaveLength(4);
});

test('a bench of titration is heard: levels at rest, colours, the pipette, readings', async ({ browser }) => {
  test.slow();
  const { code } = await teacherSets(browser);
  const page = await studentBegins(browser, code, 'Jory Lyme');
  const said = await listen(page);
  await select(page, 'titrant');
  await amount(page, 'Fill the burette to, amount in mL', '1');
  await expect.poll(said).toContainEqual(expect.stringMatching(/^Burette: level near 1 mL/));
  await select(page, 'pipette');
  await verb(page, 'Fill the pipette to its mark');
  await expect.poll(said).toContain('The pipette is filled to its mark, 25 mL.');
  await verb(page, 'Let it run into the flask');
  await expect.poll(said).toContainEqual(expect.stringMatching(/^Flask: about 25 mL, colourless/));
  await select(page, 'indicator:phenolphthalein');
  await amount(page, 'Add to the flask, amount in drops', '3');
  await select(page, 'flask');
  await verb(page, 'Keep swirling');
  await select(page, 'burette');
  await amount(page, 'Let in, amount in mL', '40');
  await expect.poll(said).toContainEqual(expect.stringMatching(/^Flask: about 65 mL, (deep )?pink/));
  await expect(page.locator('[data-thing=flask]')).toHaveAccessibleName(/pink, 3 drops of phenolphthalein/);
  // An amount that is none is marked, and linked to its sentence.
  const field = page.getByLabel('Let in, amount in mL');
  await field.fill('plenty');
  await field.press('Enter');
  await expect(field).toHaveAttribute('aria-invalid', 'true');
  await expect(field).toHaveAccessibleDescription(/“plenty” is not an amount/);
  await recordReading(page, '41.00');
  await expect.poll(said).toContain('Recorded: first reading, trial 1, 41.00 mL.');
});

test('in colours of the reader’s own, glass, numbers, icons and what is chosen stay visible', async ({ browser }) => {
  const { code } = await teacherSets(browser);
  const page = await studentBegins(browser, code, 'Ebb Lantern');
  await page.emulateMedia({ forcedColors: 'active', colorScheme: 'dark' });
  await select(page, 'burette');
  const seen = await page.evaluate(() => {
    const rgb = (text: string) =>
      /[\d.]+/g.exec(text) ? (text.match(/[\d.]+/g) ?? []).slice(0, 3).map(Number) : [0, 0, 0];
    const luminance = (text: string) => {
      const [r = 0, g = 0, b = 0] = rgb(text).map((value) =>
        value / 255 <= 0.03928 ? value / 255 / 12.92 : ((value / 255 + 0.055) / 1.055) ** 2.4,
      );
      return 0.2126 * r + 0.7152 * g + 0.0722 * b;
    };
    const contrast = (a: string, b: string) => {
      const [x, y] = [luminance(a), luminance(b)];
      return (Math.max(x, y) + 0.05) / (Math.min(x, y) + 0.05);
    };
    const ground = getComputedStyle(document.querySelector('.daylight') as Element).backgroundColor;
    const strokes = [...document.querySelectorAll('[data-testid=bench] svg [class*=stroke-ink], [aria-label=Tray] svg')]
      .map((element) => getComputedStyle(element).stroke)
      .filter((stroke) => stroke.startsWith('rgb'));
    const words = [
      ...document.querySelectorAll('[data-testid=verbs] button, [aria-label=Tray] span, [data-testid=loupe] text'),
    ].map((element) => getComputedStyle(element)[element instanceof SVGElement ? 'fill' : 'color']);
    const tab = (state: string) =>
      getComputedStyle(document.querySelector(`[role=tab][data-state=${state}]`) as Element).borderBottomColor;
    return {
      lines: Math.min(...strokes.map((stroke) => contrast(stroke, ground))),
      words: Math.min(...words.map((colour) => contrast(colour, ground))),
      tabs: tab('active') !== tab('inactive'),
      count: strokes.length,
    };
  });
  expect(seen.count).toBeGreaterThan(5);
  expect(seen.lines).toBeGreaterThan(3);
  expect(seen.words).toBeGreaterThan(3);
  expect(seen.tabs).toBe(true);
});
