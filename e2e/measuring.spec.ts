import type { Page } from '@playwright/test';
import { expect, test } from './test';
import { settles } from './heat-bench';
import { amount, arrowToPart, backToTabs, select, studentBegins, tabTo, teacherSets, verb, prepare } from './helpers';

const loupeWords = async (page: Page) =>
  (await page.getByTestId('loupe').getByRole('img').getAttribute('aria-label')) ?? '';

/** What the loupe tells of a graduated vessel, to a tenth of a division. */
async function readVolume(page: Page, division: number): Promise<string> {
  const words = await loupeWords(page);
  const decimals = division >= 1 ? 1 : 2;
  const on = /on the line ([\d.]+) mL/.exec(words);
  if (on) return Number(on[1]).toFixed(decimals);
  const between = /(\d+) tenths of the way from the line ([\d.]+) up/.exec(words);
  if (!between) throw new Error(`nothing to read: ${words}`);
  return (Number(between[2]) + (Number(between[1]) * division) / 10).toFixed(decimals);
}

/** What the loupe tells of a calliper: the mark before the vernier's zero, and the vernier's own. */
async function readCalliper(page: Page): Promise<string> {
  const [, whole, mark] = /after the (\d+) mm mark\. Mark (\d+) of/.exec(await loupeWords(page)) ?? [];
  if (whole === undefined) throw new Error('no calliper to read');
  return (Number(whole) + 0.05 * Number(mark)).toFixed(2);
}

/** Records what was read, in the reading that is due. */
async function record(page: Page, text: string): Promise<void> {
  await page.getByRole('tab', { name: 'Readings' }).click();
  const answered = page.waitForResponse((response) => response.url().endsWith('/acts'));
  await page.getByLabel(/as you read it/).fill(text);
  await page.getByRole('button', { name: 'Record', exact: true }).click();
  await answered;
  await page.waitForTimeout(100);
}

async function writeAfterwards(page: Page, aim: string, claim: string): Promise<void> {
  for (const [label, text] of [
    ['Working', 'Mass divided by volume, with as many digits as the readings allow.'],
    ['Claim', claim],
    [
      'Evidence and reasoning',
      'The density lies nearest to that of the data book, within what the division of each scale allows.',
    ],
    ['How do you know?', 'I read every scale to a tenth of its division.'],
  ] as const)
    await page.getByLabel(label, { exact: true }).fill(text);
  await page.getByRole('radio', { name: aim }).check();
}

test('a block by calliper and balance, named from the data book', async ({ browser }) => {
  test.slow();
  const { teacher, code, assignmentUrl } = await teacherSets(
    browser,
    async (page) => {
      for (const name of [
        'aluminium',
        'zinc',
        'tin',
        'iron',
        'brass',
        'copper',
        'nylon',
        'acrylic',
        'polyvinyl',
        'polytetra',
        'polypropylene',
      ])
        await page.getByLabel(new RegExp(`^${name}`)).uncheck();
    },
    'What are these blocks made of',
  );
  const page = await studentBegins(browser, code, 'Ida Marram');

  // Lifted from its dish to the balance by hand.
  const dish = await page.locator('[data-thing="lot:1"]').boundingBox();
  const pan = await page.locator('[data-thing="balance"]').boundingBox();
  if (!dish || !pan) throw new Error('the bench is not drawn');
  await page.mouse.move(dish.x + dish.width / 2, dish.y + dish.height / 2);
  await page.mouse.down();
  await page.mouse.move(pan.x + pan.width / 2, pan.y + pan.height / 2, { steps: 8 });
  await page.mouse.up();
  const display = page.getByTestId('balance-display');
  await expect(display).not.toHaveText(/^[−-]?0\.0\d$/);
  await settles(page);
  await select(page, 'balance');
  const mass = Number(await display.textContent());
  await verb(page, 'Record mass, trial 1');
  await verb(page, 'Take all off');

  await select(page, 'lot:1');
  const edges: Record<string, number> = {};
  for (const edge of ['length', 'width', 'height', 'diameter']) {
    const button = page.getByTestId('verbs').getByRole('button', { name: `${edge}: calliper`, exact: true });
    if ((await button.count()) === 0) continue;
    await verb(page, `${edge}: calliper`);
    const read = await readCalliper(page);
    edges[edge] = Number(read);
    await record(page, read);
    await select(page, 'lot:1');
  }
  const { length = 0, width = 0, height = 0, diameter = 0 } = edges;
  const volume =
    (length
      ? length * width * height
      : height
        ? (Math.PI / 4) * diameter ** 2 * height
        : (Math.PI / 6) * diameter ** 3) / 1000;
  const density = mass / volume;

  const book = await page.context().newPage();
  await book.goto('/data-book/densities');
  const rows = book.getByRole('region', { name: 'Table: Solids, by density' }).getByRole('row');
  let name = '';
  let closest = Infinity;
  for (const row of (await rows.allInnerTexts()).slice(1)) {
    const [material = '', value] = row.split('\t');
    const away = Math.abs(Number(value) - density);
    if (away < closest) [closest, name] = [away, material];
  }
  expect(['magnesium', 'titanium', 'lead']).toContain(name);

  await prepare(page, 'Its mass and its edges or diameter', 'Both have the same density');
  await page.getByLabel('Density of A', { exact: true }).fill(density.toFixed(6));
  await page.getByLabel('Unit of: Density of A').selectOption('g/cm³');
  await page.getByLabel('What is A?').selectOption(name);
  await writeAfterwards(page, 'Read a vernier', `The piece is made of ${name}, as its density tells.`);
  await page.getByRole('button', { name: 'Hand in' }).click();
  const told = page.getByTestId('told');
  await expect(told).toContainText('Right.');
  await expect(told).toContainText(/Within [13] %/);
  await expect(told).toContainText(
    /By your readings the value is uncertain by about .* The coarsest reading of your best trial is/,
  );

  await teacher.goto(assignmentUrl);
  await teacher.getByRole('link', { name: 'Ida Marram' }).click();
  await expect(teacher.getByText(/held A in the calliper/).first()).toBeVisible();
});

/** Arrows on until this thing is selected. */
async function arrowTo(page: Page, thing: string): Promise<void> {
  for (let i = 0; i < 24; i++) {
    if ((await page.evaluate(() => document.activeElement?.getAttribute('data-thing'))) === thing) return;
    await page.keyboard.press('ArrowRight');
  }
  throw new Error(`no way by arrows to ${thing}`);
}

/** A verb found by Tab and pressed by Enter. */
async function keyVerb(page: Page, name: RegExp): Promise<void> {
  const answered = page.waitForResponse((response) => response.url().endsWith('/acts'));
  for (let i = 0; i < 30; i++) {
    await page.keyboard.press('Tab');
    const text = await page.evaluate(
      () => document.activeElement?.getAttribute('aria-label') ?? document.activeElement?.textContent ?? '',
    );
    if (name.test(text)) {
      await page.keyboard.press('Enter');
      await answered;
      await page.waitForTimeout(100);
      return;
    }
  }
  throw new Error(`no way by Tab to ${name}`);
}

async function backTo(page: Page, thing: string): Promise<void> {
  for (let i = 0; i < 60; i++) {
    if (await page.evaluate(() => document.activeElement?.hasAttribute('data-thing'))) break;
    await page.keyboard.press('Shift+Tab');
  }
  await arrowTo(page, thing);
}

test(
  'six amounts by displacement, by keyboard, and their slope handed in with its uncertainty',
  { tag: '@long' },
  async ({ browser }) => {
    // Some hundred acts, each with its own keys.
    test.setTimeout(300_000);
    const { code } = await teacherSets(browser, undefined, 'Density by displacement');
    const page = await studentBegins(browser, code, 'Tove Rill');
    const vessel = 'vessel:1';
    await page.locator('[data-thing="tap"]').focus();
    await page.keyboard.press('Enter');
    await page.waitForTimeout(800);
    await keyVerb(page, /^Tap stream$/);
    await page.waitForTimeout(600);
    await page.keyboard.press('x');
    await backTo(page, vessel);
    await page.keyboard.press('Enter');
    await page.waitForTimeout(300);
    await page.keyboard.press('e');
    await expect.poll(() => loupeWords(page)).toMatch(/rings fall together/);
    const before = await readVolume(page, 0.5);
    await keyVerb(page, /^Weigh$/);
    await page.waitForTimeout(2300);
    await backTo(page, 'balance');
    await page.keyboard.press('t');
    await page.waitForTimeout(400);

    for (let row = 1; row <= 6; row++) {
      await backTo(page, 'lot:1');
      await tabTo(page, /^Pieces/);
      await page.keyboard.press('Control+A');
      await page.keyboard.type('4');
      await keyVerb(page, /^Lower in$/);
      await backTo(page, vessel);
      await keyVerb(page, /^Knock at it$/);
      await backTo(page, vessel);
      await keyVerb(page, /^Knock at it$/);
      await page.waitForTimeout(2200);
      await backTo(page, 'balance');
      await page.keyboard.press('r');
      await page.waitForTimeout(250);
      const after = await readVolume(page, 0.5);
      // The volume before the first piece holds for all that follow.
      for (const text of row === 1 ? [before, after] : [after]) {
        await backTo(page, vessel);
        await page.keyboard.press('r');
        await expect(page.locator('#reading')).toBeFocused();
        const answered = page.waitForResponse((response) => response.url().endsWith('/acts'));
        await page.keyboard.type(text);
        await page.keyboard.press('Enter');
        await answered;
        await page.waitForTimeout(120);
      }
    }

    // The rest by keys as well, by what is heard of each thing alone.
    const toPart = async (part: string) => {
      await tabTo(page, /^(brief|readings|working|report)$/);
      await arrowToPart(page, part);
    };
    const pressOn = async (name: RegExp) => {
      await tabTo(page, name);
      await page.keyboard.press('Enter');
      await page.waitForTimeout(250);
    };
    const choose = async (name: RegExp) => {
      await tabTo(page, name);
      await page.keyboard.press('Space');
    };
    await toPart('working');
    const table = page.getByRole('region', { name: 'table: Measurements' });
    await expect(table.getByRole('row')).toHaveCount(10);
    await pressOn(/^New graph$/);
    const graph = page.getByRole('region', { name: 'graph: Graph 1' });
    // It begins with the axes that the brief names.
    await expect(graph.getByLabel(/^across, series 1/).locator('option:checked')).toHaveText('V_d');
    await expect(graph.getByLabel(/^up, series 1/).locator('option:checked')).toHaveText('m');
    await pressOn(/^Line through all points$/);
    await expect(page.getByTestId('line-1')).toContainText('6 points');

    await backToTabs(page);
    await arrowToPart(page, 'brief');
    await choose(/^How much water/);
    await expect(page.getByRole('radio', { name: 'How far the water rises when it is under water' })).toBeVisible();
    for (
      let i = 0;
      i < 4 && !(await page.getByRole('radio', { name: 'How far the water rises when it is under water' }).isChecked());
      i++
    )
      await page.keyboard.press('ArrowDown');
    await choose(/^Mass grows/);
    for (
      let i = 0;
      i < 4 && !(await page.getByRole('radio', { name: 'Mass grows in proportion to volume' }).isChecked());
      i++
    )
      await page.keyboard.press('ArrowDown');
    await backToTabs(page);
    await arrowToPart(page, 'report');
    await pressOn(/^Take from the notebook: Density of A/);
    await pressOn(/^slope/);
    await expect(page.getByLabel('Density of A', { exact: true })).toHaveValue(/^[\d.]+ ± [\d.]+$/);
    const [, slope = '', error = ''] =
      /^([\d.]+) ± ([\d.]+)$/.exec(await page.getByLabel('Density of A', { exact: true }).inputValue()) ?? [];
    expect(Number(error) / Number(slope)).toBeLessThan(0.06);
    await tabTo(page, /^What is A\?/);
    await page.keyboard.press('ArrowDown');
    for (const [label, text] of [
      [/^Working/, 'Mass divided by volume, with as many digits as the readings allow.'],
      [/^Claim/, 'Mass grows in proportion to volume, as I said.'],
      [
        /^Evidence and reasoning/,
        'The density is the slope, and its standard error is within what each division allows.',
      ],
    ] as const) {
      await tabTo(page, label);
      await page.keyboard.type(text);
    }
    await choose(/^Find a density from a slope|^Read a meniscus/);
    for (let i = 0; i < 4 && !(await page.getByRole('radio', { name: 'Find a density from a slope' }).isChecked()); i++)
      await page.keyboard.press('ArrowDown');
    await tabTo(page, /^How do you know/);
    await page.keyboard.type('I read every scale to a tenth of its division.');
    await pressOn(/^Hand in$/);
    await expect(page.getByTestId('told')).toContainText(/Within (2|5|10) %/);
    expect(await page.evaluate(() => document.activeElement !== document.body)).toBe(true);
  },
);

test('a scale read, brought to the mark by drops, sketched and labelled', async ({ browser }) => {
  test.slow();
  const { code } = await teacherSets(
    browser,
    async (page) => {
      await page.getByLabel('Amount in the bottle from').fill('12');
      await page.getByLabel('Amount in the bottle to').fill('24');
    },
    'Reading a scale',
  );
  const page = await studentBegins(browser, code, 'Marl Sandlark');
  const mark = Number(/([\d.]+) mL/.exec((await page.getByTestId('task').textContent()) ?? '')?.[1]);
  // The 25 mL cylinder suits any of these amounts.
  await select(page, 'vessel:1');
  await page.getByLabel('Pour into').selectOption({ label: '25 mL cylinder 3' });
  await select(page, 'vessel:3');
  await verb(page, 'Look at its scale');
  // By hand: pressed, drawn to the right, held there, let go.
  await select(page, 'vessel:1');
  const slider = page.getByRole('slider', { name: 'Tilt' });
  const box = await slider.boundingBox();
  if (!box) throw new Error('nothing to tilt');
  const y = box.y + box.height / 2;
  await page.mouse.move(box.x + 6, y);
  await page.mouse.down();
  await page.mouse.move(box.x + box.width * 0.86, y, { steps: 12 });
  await expect.poll(() => loupeWords(page), { intervals: [100] }).toMatch(/(from|on) the line ([3-9]|1\d|2[0-4])/);
  await page.mouse.up();
  // Let go, it stands upright again: nothing more runs, though the bottle is not empty.
  await expect(slider).toHaveValue('0');
  await page.waitForTimeout(800);
  const stopped = await loupeWords(page);
  await page.waitForTimeout(1500);
  expect(await loupeWords(page)).toBe(stopped);
  await amount(page, 'Pour, amount in mL', '100');
  await expect(page.getByTestId('notices')).toContainText('That was all that ran out of it.');
  await expect.poll(() => loupeWords(page)).toMatch(/not level with the surface/);
  await page.keyboard.press('e');
  await select(page, 'vessel:3');
  await page.keyboard.press('e');
  await expect.poll(() => loupeWords(page)).toMatch(/rings fall together/);
  const volume = await readVolume(page, 0.5);
  await record(page, volume);

  // Out by an amount, then by drops, back into the bottle.
  await select(page, 'vessel:3');
  await page.getByLabel('Pour into').selectOption({ label: 'bottle of rain water' });
  const over = Number(volume) - mark - 0.5;
  if (over > 0.1) await amount(page, 'Pour, amount in mL', over.toFixed(1));
  for (let i = 0; i < 40; i++) {
    const left = Number(await readVolume(page, 0.5)) - mark;
    if (Math.abs(left) < 0.03) break;
    await select(page, left > 0 ? 'vessel:3' : 'vessel:1');
    if (left < 0) await page.getByLabel('Pour into').selectOption({ label: '25 mL cylinder 3' });
    else await page.getByLabel('Pour into').selectOption({ label: 'bottle of rain water' });
    await amount(page, 'By dropper, amount in drops', Math.abs(left) > 0.3 ? '5' : '1');
  }
  const filled = await readVolume(page, 0.5);
  expect(Math.abs(Number(filled) - mark)).toBeLessThan(0.06);
  await record(page, filled);

  await page.getByRole('tab', { name: 'Working' }).click();
  await page.getByRole('button', { name: 'Draw the scale' }).click();
  const sheet = page.getByTestId('sheet');
  await page.getByRole('radio', { name: 'Label' }).check();
  await sheet.click({ position: { x: 60, y: 50 } });
  await page.getByLabel('Text of the label').fill('lowest point of the meniscus');
  await page.keyboard.press('Enter');
  await expect(sheet.locator('text').last()).toHaveText('lowest point of the meniscus');

  await prepare(page, 'Level with the surface');
  await page.getByLabel('Which cylinder suits your amount best?').selectOption('25 mL measuring cylinder');
  await page.getByLabel('How many divisions lie between two numbers on it?', { exact: true }).fill('10');
  await page.getByLabel('What is one division worth?', { exact: true }).fill('0.5');
  await page.getByLabel('Unit of: What is one division worth?').selectOption('mL');
  await page.getByLabel('Volume that you were given', { exact: true }).fill(volume);
  await page.getByLabel('Unit of: Volume that you were given').selectOption('mL');
  await page.getByLabel('Volume after you brought it to your mark', { exact: true }).fill(filled);
  await page.getByLabel('Unit of: Volume after you brought it to your mark').selectOption('mL');
  await page.getByLabel(/^The scale with the surface/).selectOption({ index: 1 });
  await writeAfterwards(page, 'Bring a liquid to a mark', 'Both of my readings are good to a tenth of a division.');
  await page.getByRole('button', { name: 'Hand in' }).click();
  const told = page.getByTestId('told');
  await expect(told).toContainText('Right.');
  await expect(told).toContainText('Within 0.5 %');
});
