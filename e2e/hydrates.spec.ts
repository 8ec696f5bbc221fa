import type { Page } from '@playwright/test';
import { HYDRATES, waterPart } from '../core/databook/hydrates';
import { expect, test } from './test';
import { balance, byKeys, letPass, notices, settles, writesReport } from './heat-bench';
import { amount, atBench, prepare, select, studentBegins, teacherSets, verb } from './helpers';

const crucible = (page: Page) => page.locator('[data-thing=crucible]');
async function puts(page: Page, where: string): Promise<void> {
  await select(page, 'crucible');
  await verb(page, `Crucible ${where}`);
}

/** Weighs the crucible, and records it. */
async function weighs(page: Page, recorded: RegExp): Promise<number> {
  if (!(await crucible(page).getAttribute('aria-label'))?.includes('on the balance'))
    await puts(page, 'on the balance');
  await settles(page);
  await select(page, 'balance');
  const grams = await balance(page);
  await verb(page, recorded);
  return grams;
}

async function flame(page: Page, gas: string, air: string): Promise<void> {
  await select(page, 'burner');
  await amount(page, 'Set the gas to, amount of 10', gas);
  await amount(page, 'Set the air to, amount of 10', air);
}

/** Shuts the gas, and lets it cool in the desiccator. */
async function cools(page: Page, seconds: number): Promise<void> {
  await select(page, 'burner');
  await amount(page, 'Set the gas to, amount of 10', '0');
  await puts(page, 'in the desiccator');
  await letPass(page, seconds);
}

test(
  'an unknown hydrate is heated in rounds to constant mass and named, with wrong moves on the way',
  { tag: '@long' },
  async ({ browser }) => {
    test.slow();
    const { teacher, code, assignmentUrl } = await teacherSets(browser, undefined, 'Which hydrate is it');
    const page = await studentBegins(browser, code, 'Brae Calder');
    const grams = /about ([\d.]+) g/.exec((await page.getByTestId('task').textContent()) ?? '')?.[1] ?? '2';

    // The wrong way first: each gets a sentence, and nothing is lost.
    await select(page, 'lighter');
    await verb(page, 'Light the burner');
    await expect(notices(page)).toContainText('There is no gas to be lit');
    await select(page, 'burner');
    await amount(page, 'Set the gas to, amount of 10', '40');
    await expect(notices(page)).toContainText('from 0 to 10');
    await select(page, 'jar');
    await page.getByLabel('Put salt in, about, amount in g').fill('much');
    await page.getByRole('button', { name: 'Put salt in, about' }).click();
    await expect(notices(page)).toContainText('“much” is not an amount');
    // Salt before the empty crucible was weighed: it asks, and is told no.
    await page.getByLabel('Put salt in, about, amount in g').fill(grams);
    await page.getByRole('button', { name: 'Put salt in, about' }).click();
    await expect(page.getByText('is not recorded yet, and cannot be had back then')).toBeVisible();
    await page.getByRole('button', { name: 'Leave it as it is' }).click();

    // Dry the empty crucible over a yellow flame: soot; then blue. By hand it is let go again.
    await puts(page, 'on the triangle');
    await flame(page, '3', '0.5');
    await select(page, 'burner');
    await verb(page, 'Light it');
    await expect(page.getByTestId('flame-yellow')).toBeVisible();
    await letPass(page, 200);
    await expect(crucible(page)).toHaveAccessibleName(/soot below/);
    await page.keyboard.press('Escape');
    await puts(page, 'on the mat');
    await expect(notices(page)).toContainText('It is hot');
    await expect(crucible(page)).toHaveAccessibleName(/on the triangle/);
    await flame(page, '9', '6');
    await expect(page.getByTestId('flame-blue')).toBeVisible();
    await expect(async () => {
      await letPass(page, 240);
      await expect(crucible(page)).not.toHaveAccessibleName(/soot/);
    }).toPass({ timeout: 120_000 });
    await select(page, 'crucible');
    await page.getByRole('button', { name: 'Take it with tongs' }).click();
    await cools(page, 1500);
    const empty = await weighs(page, /^Record the mass of the empty crucible/);
    await select(page, 'jar');
    await amount(page, 'Put salt in, about, amount in g', grams);
    const full = await weighs(page, /^Record the mass of the crucible with the salt/);

    await select(page, 'crucible');
    await verb(page, 'Lid ajar');
    const first = (await crucible(page).getAttribute('aria-label')) ?? '';
    await puts(page, 'on the gauze');
    await flame(page, '2', '1.4');
    await verb(page, 'Light it');
    await letPass(page, 420);
    await expect(async () => {
      await letPass(page, 120);
      await expect(crucible(page)).not.toHaveAccessibleName(/vapour|mist/);
    }).toPass({ timeout: 150_000 });
    const masses: number[] = [];
    let last = '';
    for (const name of ['heating', 'heating again', 'heating a third time', 'heating a fourth time']) {
      if (masses.length > 0) {
        await select(page, 'crucible');
        await verb(page, 'Lid ajar');
        await puts(page, 'on the gauze');
        await flame(page, '2', '1.4');
        await verb(page, 'Light it');
        await letPass(page, 60);
      }
      await flame(page, '6', '4.5');
      await letPass(page, 800);
      last = (await crucible(page).getAttribute('aria-label')) ?? '';
      if (masses.length === 0) {
        // Hot on the balance: it creeps, and is said.
        await puts(page, 'on the balance');
        await expect(notices(page)).toContainText('The display creeps');
      }
      await cools(page, 1500);
      await select(page, 'crucible');
      await verb(page, 'Lid on');
      masses.push(await weighs(page, new RegExp(`^Record the mass after ${name}, trial 1`)));
      if (masses.length === 2) {
        await page.reload();
        await atBench(page);
        await select(page, 'crucible');
        await page.getByRole('button', { name: 'Take it with tongs' }).click();
      }
      if (Math.abs((masses.at(-2) ?? Infinity) - (masses.at(-1) ?? 0)) < 0.0025) break;
    }
    expect(masses.length).toBeGreaterThan(1);
    const part = (100 * (full - (masses.at(-1) ?? NaN))) / (full - empty);
    // By its colours first, and of those that look so by the part that it lost.
    const pool = ['copper-sulfate-5', 'iron-sulfate-7', 'cobalt-chloride-6', 'alum-12', 'calcium-sulfate-2', 'copper-chloride-2', 'barium-chloride-2', 'magnesium-sulfate-7', 'strontium-chloride-6', 'nickel-sulfate-6']; // prettier-ignore
    const looks = HYDRATES.filter(
      ({ id, stages, dry }) =>
        pool.includes(id) &&
        first.includes(`${stages[0]?.look} throughout`) &&
        last.includes(`${stages[dry ?? 0]?.look} throughout`),
    );
    const named = looks.reduce((a, b) =>
      Math.abs(100 * waterPart(b) - part) < Math.abs(100 * waterPart(a) - part) ? b : a,
    );
    expect(Math.abs(100 * waterPart(named) - part)).toBeLessThan(0.8);

    await prepare(page, 'Their colours, before, while and after they are heated', 'stays the same');
    await page.getByLabel('Part of its mass that it loses', { exact: true }).fill(part.toPrecision(3));
    await page.getByLabel('Unit of: Part of its mass that it loses').selectOption('%');
    await page.getByLabel('What is the unknown?').selectOption(named.name);
    await writesReport(page, [
      'What was lost over what was put in.',
      `What was in the jar is ${named.name}, by its colour.`,
      'Its mass did not change any more between the last two heatings, and its colour before and after is that of this salt.',
      'Two masses agreed to a digit.',
    ]);
    await page.getByRole('radio', { name: 'Hold what is measured and what is seen together' }).press('Space');
    await page.getByRole('button', { name: 'Hand in' }).click();
    await expect(page.getByTestId('told')).toContainText(/Within (1|2) %/);
    await expect(page.getByTestId('told')).toContainText('Right');
    await teacher.goto(assignmentUrl);
    await expect(teacher.getByRole('row', { name: /Brae Calder/ })).toContainText(named.name);
  },
);

test('a crucible over a flame by keyboard alone: overheated, it turns black, and that is told afterwards', async ({
  browser,
}) => {
  test.slow();
  const { teacher, code, assignmentUrl } = await teacherSets(browser, undefined, 'How much water is in it');
  const page = await studentBegins(browser, code, 'Keir Ember');
  const { go, press } = byKeys(page);
  await go('tongs');
  await page.keyboard.press('Enter');
  await expect(page.locator('[data-thing=tongs]')).toHaveAccessibleName('tongs, in the hand');
  await go('balance');
  await page.keyboard.press('Enter');
  await expect(crucible(page)).toHaveAccessibleName(/on the balance/);
  await settles(page);
  const empty = await balance(page);
  await page.keyboard.press('m');
  await expect(
    page.getByRole('button', { name: /^Record the mass of the empty crucible, trial 1 again/ }),
  ).toBeVisible();
  await go('jar');
  await press(/^Put salt in, about, amount/, '2.5');
  await settles(page);
  const full = await balance(page);
  await go('balance');
  await page.keyboard.press('m');
  await expect(
    page.getByRole('button', { name: /^Record the mass of the crucible with the salt, trial 1 again/ }),
  ).toBeVisible();
  await go('lid');
  await page.keyboard.press('o');
  await expect(crucible(page)).toHaveAccessibleName(/its lid ajar/);
  await page.keyboard.press('o');
  await expect(crucible(page)).toHaveAccessibleName(/its lid off, blue throughout/);
  await go('triangle');
  await page.keyboard.press('Enter');
  await go('burner');
  await press(/^Set the gas to, amount/, '3');
  await press(/^Set the air to, amount/, '2');
  await go('burner');
  await page.keyboard.press('i');
  await expect(page.getByTestId('flame-blue')).toBeVisible();
  await letPass(page, 240);
  await go('crucible');
  await page.keyboard.press('w');
  await expect(notices(page)).toContainText(/at the rim|throughout/);
  await press(/^Lid ajar/);
  await go('burner');
  await press(/^Set the gas to, amount/, '10');
  await press(/^Set the air to, amount/, '9.5');
  await expect(page.getByTestId('flame-roaring')).toBeVisible();
  await letPass(page, 1500);
  await expect(crucible(page)).toHaveAccessibleName(/black.*glowing red/);
  await go('burner');
  await page.keyboard.press('i');
  await go('desiccator');
  await page.keyboard.press('Enter');
  await letPass(page, 1700);
  await go('lid');
  await press(/^Lid on/);
  await go('balance');
  await page.keyboard.press('Enter');
  await settles(page);
  const left = await balance(page);
  await page.keyboard.press('m');
  await expect(page.getByRole('button', { name: /^Record the mass after heating, trial 1 again/ })).toBeVisible();

  // The method in the brief has what was done ticked: not the heating of the empty crucible, nor the one until the mass stays the same.
  await page.getByRole('tab', { name: 'Brief' }).click();
  const step = (key: string) => page.locator(`[data-step="${key}"]`);
  for (const key of ['m0', 'm1', 'h1']) await expect(step(key).getByLabel('done')).toBeVisible();
  for (const key of ['empty', 'again']) await expect(step(key).getByLabel('done')).toHaveCount(0);
  await expect(step('again')).toContainText(/5\.\s*Heat, cool and weigh again.*0\.002 g or less/s);

  const waters = (full - left) / 18.015 / ((left - empty) / 159.6);
  expect(waters).toBeGreaterThan(5.5);
  await prepare(page, 'The mass that is left when it has been heated to constant mass', 'too small');
  await page.getByLabel('Mol of water for a mole of the dry salt', { exact: true }).fill(waters.toPrecision(3));
  await writesReport(page, [
    'Both amounts and their ratio.',
    'There seem to be more waters than there can be.',
    'The mass that is left is too small: what is black in there is no dry salt any more.',
    'By its colour, and by the number itself.',
  ]);
  await page.getByRole('radio', { name: 'See by its colour what a salt goes through' }).press('Space');
  await page.getByRole('button', { name: 'Hand in' }).press('Enter');
  await expect(page.getByTestId('told')).toContainText(/outside all bands/i);
  await teacher.goto(assignmentUrl);
  await teacher.getByRole('link', { name: 'Keir Ember' }).click();
  await expect(teacher.getByText('Broken down beyond the dry salt').first()).toBeVisible({ timeout: 60_000 });
});
