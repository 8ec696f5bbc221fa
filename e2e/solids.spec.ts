import type { Page } from '@playwright/test';
import { byKeys, letPass, linesThrough, notices, pace, settles, writesReport } from './heat-bench';
import { amount, atBench, only, prepare, select, studentBegins, teacherSets, verb } from './helpers';
import { expect, test } from './test';

/** What falls is filtered off, dried and weighed; what leaves as a gas is weighed by what is lost. */

const grams = async (page: Page) =>
  Number((await page.getByTestId('balance-display').first().textContent())?.replace('\u2212', '-'));
/** Presses what may end in a sentence and not in an act. */
const presses = (page: Page, name: string) =>
  page.getByTestId('verbs').getByRole('button', { name, exact: true }).click();

/** Weighs the paper and takes it off again. */
async function weighsPaper(page: Page, recorded: string | RegExp): Promise<number> {
  await select(page, 'sheet:1');
  await verb(page, 'glass-fibre paper 1 on the balance');
  await settles(page);
  await verb(page, recorded);
  const shown = await grams(page);
  await verb(page, 'glass-fibre paper 1 on the mat');
  return shown;
}

/** A number with its unit. */
async function fills(page: Page, label: string, text: string, unit: string): Promise<void> {
  await page.getByLabel(label, { exact: true }).fill(text);
  await page.getByLabel(`Unit of: ${label}`).selectOption(unit);
}

test('a yield with filtering, washing and drying to constant mass, with wrong moves on the way', async ({
  browser,
}) => {
  test.slow();
  const { teacher, code, assignmentUrl } = await teacherSets(
    browser,
    async (set) => {
      await only(set, 'Solids that may be drawn', ['silver chloride']);
      await only(set, 'Papers on the tray', ['glass-fibre paper']);
    },
    'A solid from two solutions',
  );
  const page = await studentBegins(browser, code, 'Brae Calder');
  const task = (await page.getByTestId('task').textContent()) ?? '';
  const [, mlA, mlB] = (/(\d+) mL of A with (\d+) mL of B/.exec(task) ?? []).map(Number) as [number, number, number];
  const molar = await Promise.all(
    [1, 2].map(async (n) =>
      Number(
        /([\d.]+) mol\/L/.exec(
          (await page.locator(`[data-thing="vessel:${n}"]`).getAttribute('aria-label')) ?? '',
        )?.[1],
      ),
    ),
  );

  // The oven at ten thousand degrees, filtering with nothing there, nothing on the balance: a sentence each.
  await select(page, 'oven');
  await page.getByLabel('Set it to, amount in °C').fill('10000');
  await page.getByLabel('Set it to, amount in °C').press('Enter');
  await expect(notices(page)).toContainText('The oven goes from 40 to 300 °C');
  await amount(page, 'Set it to, amount in °C', '130');
  await select(page, 'funnel');
  await presses(page, 'Wash the solid with');
  await expect(notices(page)).toContainText('There is no paper in the funnel');
  await page.keyboard.press('r');
  await select(page, 'balance');
  await page.keyboard.press('r');
  await expect(notices(page)).toContainText('Nothing that is asked for is on the balance');

  await select(page, 'glass');
  await verb(page, 'Take one');
  const paper = await weighsPaper(page, 'Record: mass of the paper, trial 1');

  // The two solutions, in portions as the pipette gives them.
  await select(page, 'beaker');
  await verb(page, 'Put one on the bench');
  await verb(page, 'Put one on the bench');
  await select(page, 'vessel:4');
  for (const [letter, ml] of [
    ['A', mlA],
    ['B', mlB],
  ] as const) {
    await page.getByRole('button', { name: `From bottle ${letter}`, exact: true }).click();
    for (let left = ml; left > 0; left -= 10) await amount(page, 'Put in, amount in mL', String(Math.min(left, 10)));
  }
  await expect(page.locator('[data-thing="vessel:4"]')).toHaveAccessibleName(/solid, white, in curds/);
  await verb(page, /^Record volumes, trial 1/);
  for (let i = 0; i < 3; i++) await verb(page, 'Stir');
  await verb(page, 'Beaker on the hot plate');
  await letPass(page, 600);
  await expect(page.locator('[data-thing="vessel:4"]')).toHaveAccessibleName(/on the hot plate, hot/);
  // Hot glass on the balance tells nothing that is asked for.
  await verb(page, 'Beaker on the balance');
  await expect(page.getByTestId('verbs')).toContainText('its mass is not asked for here');
  await verb(page, 'Beaker on the bench');

  await presses(page, 'Filter it');
  await expect(notices(page)).toContainText('There is no paper in the funnel');
  // Carried by hand: the paper to the funnel, the other beaker under it, the first one poured on.
  await page.locator('[data-thing="sheet:1"]').dragTo(page.locator('[data-thing="funnel"]'));
  await expect(page.locator('[data-thing="sheet:1"]')).toHaveAccessibleName(/in the funnel/);
  await select(page, 'vessel:4');
  await presses(page, 'Filter it');
  await expect(notices(page)).toContainText('Nothing stands under the funnel');
  await select(page, 'vessel:5');
  await verb(page, 'Beaker under the funnel');
  await select(page, 'vessel:4');
  await verb(page, 'Filter it');
  await expect(page.locator('[data-thing="sheet:1"]')).toHaveAccessibleName(/in the funnel, wet, .* solid, white/);
  await amount(page, 'Rinse it into the funnel with, amount in mL', '8');
  await amount(page, 'Rinse it into the funnel with, amount in mL', '8');
  await select(page, 'funnel');
  await amount(page, 'Wash the solid with, amount in mL', '5');
  await amount(page, 'Wash the solid with, amount in mL', '5');

  // Nothing is lost by leaving in the middle of it.
  await page.reload();
  await atBench(page);
  await expect(page.locator('[data-thing="sheet:1"]')).toHaveAccessibleName(/in the funnel, wet/);

  const dries = async (seconds: number) => {
    await select(page, 'sheet:1');
    await verb(page, 'glass-fibre paper 1 in the oven');
    await letPass(page, seconds);
    await select(page, 'sheet:1');
    await verb(page, 'glass-fibre paper 1 in the desiccator');
    await letPass(page, 900);
  };
  await dries(1500);
  // Too warm: it creeps, and is said to; weighed again it takes the place of that.
  await select(page, 'sheet:1');
  await verb(page, 'glass-fibre paper 1 in the oven');
  await letPass(page, 240);
  await select(page, 'sheet:1');
  await verb(page, 'glass-fibre paper 1 on the balance');
  await settles(page);
  await verb(page, /^Record: mass of the paper with the solid, dried, trial 1/);
  await expect(notices(page)).toContainText('still creeping');
  await verb(page, 'glass-fibre paper 1 in the desiccator');
  await letPass(page, 900);
  const first = await weighsPaper(page, /^Record: mass of the paper with the solid, dried, trial 1/);
  await dries(600);
  const again = await weighsPaper(page, /^Record: mass after drying again, trial 1/);
  expect(Math.abs(first - again)).toBeLessThan(0.005);

  // By amounts: which runs out, what can fall, what came.
  const mmol = [(molar[0] ?? NaN) * mlA, (molar[1] ?? NaN) * mlB] as const;
  const theory = (Math.min(...mmol) / 1000) * 143.318;
  const part = (100 * (again - paper)) / theory;
  expect(Math.abs(part - 100)).toBeLessThan(3);
  await prepare(page, 'The one of whose substance the amount, by the equation, is used up first');
  await page
    .getByRole('combobox', { name: 'What runs out first' })
    .selectOption(mmol[0] < mmol[1] ? 'Bottle A' : 'Bottle B');
  await fills(page, 'Mass that can fall at most', theory.toPrecision(3), 'g');
  await fills(page, 'Yield', part.toPrecision(3), '%');
  await writesReport(page, [
    'Both amounts, the smaller one times 143.3 grams.',
    'One of the two runs out, and nearly all of it fell.',
    'The mass came to rest after the second drying, so that no water was weighed with the solid any more.',
    'I dried it until the mass stayed the same.',
  ]);
  await page.getByRole('radio', { name: 'Filter, wash and dry to constant mass' }).check();
  await page.getByRole('button', { name: 'Hand in' }).click();
  const told = page.getByTestId('told');
  await expect(told).toContainText(/What runs out first: Bottle [AB]: Right\./);
  await expect(told).toContainText(/Mass that can fall at most: [\d.]+ ?g?: Within 1 %/);
  await expect(told).toContainText(/Yield: [\d.]+ ?%?: Within [24] %/);
  await teacher.goto(assignmentUrl);
  await teacher.getByRole('link', { name: 'Brae Calder' }).click();
  await expect(teacher.getByRole('list', { name: 'Acts in order' })).toContainText('filtered vessel 4');
});

test(
  'a carbonate that runs out of acid bends where both do, by the keys of the bench',
  { tag: '@long' },
  async ({ browser }) => {
    test.slow();
    const { code } = await teacherSets(
      browser,
      async (set) => {
        await only(set, 'Carbonates that may be drawn', ['sodium carbonate']);
        await only(set, 'Acids that may be drawn', ['hydrochloric acid']);
      },
      'A reaction that runs out',
    );
    const page = await studentBegins(browser, code, 'Wren Saltings');
    const { go, press } = byKeys(page);
    const molar = Number(
      /acid, ([\d.]+) mol/.exec((await page.locator('[data-thing="vessel:1"]').getAttribute('aria-label')) ?? '')?.[1],
    );
    const key = async (name: string) => {
      await page.keyboard.press(name);
      await page.waitForTimeout(350);
    };
    // At sixty times the pace a balance comes to rest at once, and gas leaves in seconds.
    await pace(page, 60);
    const weighed = async (thing: string) => {
      await go(thing);
      await key('b');
      await page.waitForTimeout(500);
      await key('r');
      await key('b');
    };
    const mixture = async (number: number, g: string) => {
      await go('beaker');
      await key('Enter');
      await go(`vessel:${number}`);
      await press(/^Put in, amount in mL/, '10');
      await go(`vessel:${number}`);
      await key('Enter');
      await key('r');
      await weighed(`vessel:${number}`);
      await go('jar');
      await press(/^Put into the boat/, g);
      await weighed('boat');
      await go(`vessel:${number}`);
      await key('y');
      await weighed('boat');
      await go(`vessel:${number}`);
      await page.waitForTimeout(1800);
      await key('s');
      await page.waitForTimeout(1800);
      await weighed(`vessel:${number}`);
    };
    for (const [i, g] of ['0.3', '0.6', '0.9', '2', '2.4', '2.8'].entries()) await mixture(3 + i, g);
    await pace(page, 1);

    await page.getByRole('tab', { name: 'Working' }).click();
    const crossing = await linesThrough(page, [
      [0.2, 1],
      [1.8, 3.2],
    ]);
    expect(crossing).toBeDefined();
    const crossed = page.getByRole('region', { name: 'graph: Graph 1' }).getByTestId('crossing-1');
    const perMolNow = async () => {
      const bend = Number(/m_C.=.([\d.]+)/u.exec((await crossed.textContent()) ?? '')?.[1]);
      return (molar * 0.02) / (bend / 105.988);
    };
    // It is worked out a moment after the last end was typed.
    await expect.poll(async () => Math.abs((await perMolNow()) - 2)).toBeLessThan(0.12);
    const perMol = await perMolNow();

    await prepare(
      page,
      'The mass of the gas that leaves, and of the damp that leaves with it',
      'as much gas leaves as before',
    );
    await fills(page, 'Amount of acid that one mole of the carbonate uses up', perMol.toPrecision(3), 'mol');
    await page.getByLabel('Acid : carbonate, in smallest whole numbers', { exact: true }).fill('2 : 1');
    await writesReport(page, [
      'The crossing of both lines, and the acid in it.',
      'Two moles of acid are used up by one mole.',
      'Below the bend more carbonate gave more gas, and beyond it no more: the acid had run out by then.',
      'I weighed each beaker before and after.',
    ]);
    await page.getByRole('radio', { name: 'Find a bend from two lines' }).check();
    await page.getByRole('button', { name: 'Hand in' }).click();
    const told = page.getByTestId('told');
    await expect(told).toContainText(/Acid : carbonate, in smallest whole numbers: 2 : 1: Right\./);
    await expect(told).toContainText(/uses up: [\d.]+ ?(mol)?: Within \d+ %/);
  },
);
