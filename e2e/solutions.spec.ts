import type { Page } from '@playwright/test';
import { BENCH_SOLUTIONS } from '../core/databook/bench-solutions';
import { pairSeen } from '../core/practicals/solutions/assignments';
import { SOLID_CLASS, type Observed } from '../core/practicals/solutions/look';
import { expect, test } from './test';
import { letPass, linesThrough, notices, pace, writesReport } from './heat-bench';
import { amount, atBench, only, prepare, select, studentBegins, teacherSets, verb } from './helpers';

const heard = async (page: Page, number: number): Promise<string> =>
  (await page.locator(`[data-thing="vessel:${number}"]`).getAttribute('aria-label')) ?? '';

/** What a student would tick of what is heard of a well. */
function ticked(words: string): Observed {
  const looks = (/solid, ([^,]+),/.exec(words)?.[1] ?? '')
    .split(' and ')
    .map((one) => /^(.*?)(?: in (\d+) tenths)?$/.exec(one));
  const most = looks.reduce((best, one) => (Number(one?.[2] ?? 0) > Number(best?.[2] ?? 0) ? one : best));
  const look = most?.[1];
  if (words.includes('gas comes off')) return look ? 'gas and a solid' : 'gas';
  return look ? SOLID_CLASS[look as keyof typeof SOLID_CLASS] : 'nothing to be seen';
}

function permutations<T>(all: readonly T[]): T[][] {
  if (all.length <= 1) return [[...all]];
  return all.flatMap((one, i) => permutations(all.filter((_, j) => j !== i)).map((rest) => [one, ...rest]));
}

const LETTERS = ['A', 'B', 'C', 'D', 'E', 'F'];
const SIX = [
  'silver-nitrate',
  'barium-chloride',
  'sodium-carbonate',
  'hydrochloric-acid',
  'copper-sulfate',
  'sodium-hydroxide',
];
const nameOf = (id: string) => BENCH_SOLUTIONS.find((one) => one.id === id)?.name ?? id;

test('six bottles are named from a grid of pairs, by keyboard alone', async ({ browser }) => {
  test.slow();
  const { teacher, code, assignmentUrl } = await teacherSets(
    browser,
    (set) => only(set, 'Solutions that may be drawn', SIX.map(nameOf)),
    'Which bottle is which',
  );
  const page = await studentBegins(browser, code, 'Brae Calder');
  await expect(page.getByTestId('task')).toContainText('barium chloride, copper(II) sulfate, hydrochloric acid');
  const at = () => page.evaluate(() => document.activeElement?.getAttribute('data-thing'));
  const go = async (thing: string) => {
    await page.locator('[data-thing][tabindex="0"]').first().focus();
    for (let i = 0; i < 40 && (await at()) !== thing; i++) await page.keyboard.press('ArrowRight');
    expect(await at()).toBe(thing);
  };
  /** Four drops of each into a well: a number chooses the bottle, Enter drops. */
  const drop = async (well: number, bottles: readonly number[]) => {
    await go(`vessel:${well}`);
    for (const bottle of bottles) {
      await page.keyboard.press(String(bottle));
      const before = await heard(page, well);
      await page.keyboard.press('Enter');
      await expect(page.locator(`[data-thing="vessel:${well}"]`)).not.toHaveAccessibleName(before, { timeout: 20_000 });
    }
  };
  const pairs = LETTERS.flatMap((_, i) => LETTERS.slice(i + 1).map((__, k) => [i + 1, i + k + 2] as const));
  const seen: Observed[] = [];
  const said: string[] = [];
  for (const [i, pair] of pairs.entries()) {
    if (i === 12) {
      // The plate is full: it is rinsed, and begun again.
      await go('plate');
      await page.keyboard.press('Enter');
      await expect(page.locator('[data-thing="vessel:8"]')).toHaveAccessibleName('well 1, empty');
    }
    const well = 8 + (i % 12);
    await drop(well, pair);
    said.push(await heard(page, well));
    seen.push(ticked(await heard(page, well)));
    if (i === 4) {
      await page.reload();
      await atBench(page);
    }
  }
  // What the first wells showed is still told, though the plate was rinsed.
  await page.getByRole('tab', { name: 'Readings' }).press('Enter');
  const remembered = page.getByTestId('seen').getByRole('row');
  await expect(remembered).toHaveCount(1 + pairs.length);
  await expect(remembered.nth(1)).toContainText(/well 1.*4 drops of bottle A, 4 drops of bottle B.*liquid/);
  await page.getByRole('tab', { name: 'Brief' }).press('Enter');
  await go(`vessel:${8 + ((pairs.length - 1) % 12)}`);
  // On asking, a well tells what went in, and not what it is.
  await page.keyboard.press('w');
  await expect(notices(page)).toContainText('Put in: 4 drops of bottle E, then 4 drops of bottle F');
  // A bottle into a bottle is no way to do it; nothing changes.
  await go('vessel:2');
  await page.keyboard.press('1');
  await page.keyboard.press('Enter');
  await expect(page.locator('[data-thing="vessel:2"]')).toHaveAccessibleName(/^bottle B, \d+ mL/);
  await go('vessel:1');
  await page.keyboard.press('i');
  await expect(notices(page)).toContainText(/The paper turns \w/);
  await page.keyboard.press('n');
  await expect(notices(page)).toContainText('no smell');

  const colour = await Promise.all(LETTERS.map(async (_, i) => (await heard(page, i + 1)).includes('blue liquid')));
  const fits = permutations(SIX).filter(
    (so) =>
      so.every((id, i) => (id === 'copper-sulfate') === colour[i]) &&
      pairs.every(([a, b], i) => pairSeen(so[a - 1] as string, so[b - 1] as string)[0]?.seen === seen[i]),
  );
  expect(fits.length, said.join('; ')).toBeGreaterThan(0);
  await prepare(page, 'Which pairs they can be, not which of the two is which');
  for (const [i, [a, b]] of pairs.entries())
    await page.getByLabel(`${LETTERS[a - 1]} + ${LETTERS[b - 1]}, Is seen`).selectOption(seen[i] as string);
  await page.getByRole('button', { name: 'Hand in' }).click();
  await expect(page.getByRole('alert').filter({ hasText: 'Fill the grid in' }).first()).toBeVisible();
  for (const [i, letter] of LETTERS.entries())
    await page.getByLabel(`Bottle ${letter}, It holds`).selectOption(nameOf(fits[0]?.[i] ?? ''));
  await writesReport(page, [
    'First the blue one, then what gave off gas.',
    'Each bottle has one name that fits all that was seen.',
    'Silver falls with chloride, carbonate and base, each in its own colour, because none of them stays dissolved with it.',
    'I wrote down what each pair ruled out.',
  ]);
  await page.getByRole('radio', { name: 'Rule out names one after the other' }).check();
  await page.getByRole('button', { name: 'Hand in' }).click();
  const told = page.getByTestId('told');
  await expect(told).toContainText(/What is in each bottle: .*: Right\./s);
  await expect(told).toContainText(/equal drops of each pair: .*: Right\./s);
  await teacher.goto(assignmentUrl);
  await expect(teacher.getByRole('row', { name: /Brae Calder/ })).toContainText('right');
});

test('coefficients of an unknown pair from a series of five mixtures, its crossing and its slips, with wrong moves on the way', async ({
  browser,
}) => {
  test.slow();
  const { teacher, code, assignmentUrl } = await teacherSets(
    browser,
    (set) => only(set, 'Reactions that may be drawn', ['silver nitrate with barium chloride']),
    'Which react, and in what ratio',
  );
  const page = await studentBegins(browser, code, 'Wren Saltings');
  const from = (letter: string) => page.getByRole('button', { name: `From bottle ${letter}`, exact: true }).click();
  const four = LETTERS.slice(0, 4);
  const molar = await Promise.all(
    four.map(async (_, i) => Number(/([\d.]+) mol\/L/.exec(await heard(page, i + 1))?.[1])),
  );

  // Which react: four drops of each pair in a well.
  const pairs = four.flatMap((_, i) => four.slice(i + 1).map((__, k) => [i, i + k + 1] as const));
  let pair: readonly [number, number] = [0, 1];
  for (const [i, both] of pairs.entries()) {
    await select(page, `vessel:${6 + i}`);
    for (const side of both) {
      await from(four[side] as string);
      await amount(page, 'Drop in, amount in drops', '4');
    }
    if ((await heard(page, 6 + i)).includes('solid')) pair = both;
  }
  const [one, two] = pair.map((i) => four[i] as string) as [string, string];
  // Two to one, either way: which of them is the silver, a first mixture tells.
  const TUBE = 18;
  const mixture = async (number: number, ml: readonly [number, number]) => {
    await select(page, 'tube');
    await verb(page, 'Put one on the bench');
    await select(page, `vessel:${number}`);
    await from(one);
    await amount(page, 'Put in, amount in mL', ml[0].toFixed(2));
    await from(two);
    await amount(page, 'Put in, amount in mL', ml[1].toFixed(2));
    await verb(page, 'Thermometer in');
    await letPass(page, 10);
    await select(page, 'thermometer');
    await verb(page, /^Record, trial/);
    await verb(page, 'Take it out');
    await select(page, `vessel:${number}`);
    await verb(page, /^Record volumes, trial/);
    await amount(page, 'Hand over, amount in mL', '2');
  };

  // Wrong moves first.
  await select(page, `vessel:1`);
  await verb(page, 'Have more of it');
  await expect(notices(page)).toContainText('Bottle A is full again.');
  await page.getByRole('button', { name: 'Have more of it' }).click();
  await expect(notices(page)).toContainText('as it was given to you with');
  await select(page, 'tube');
  await verb(page, 'Put one on the bench');
  await select(page, `vessel:${TUBE}`);
  await page.getByLabel('Put in, amount in mL').fill('5 g');
  await page.getByLabel('Put in, amount in mL').press('Enter');
  await expect(notices(page)).toContainText('This amount is in mL, not “g”');
  await page.getByLabel('Put in, amount in mL').fill('9999');
  await page.getByLabel('Put in, amount in mL').press('Enter');
  await expect(notices(page)).toContainText('The pipette gives 0.1 to 10 mL at a time');
  await page.getByLabel('What its label says').fill('long '.repeat(2000));
  await page.getByLabel('What its label says').press('Enter');
  await expect(notices(page)).toContainText('A label has room for 24 characters');
  // Dragged into the bottle beside it: said, and nothing poured.
  await page.locator('[data-thing="vessel:1"]').dragTo(page.locator('[data-thing="vessel:2"]'));
  await expect(notices(page)).toContainText('spoils all that is in it');
  await select(page, `vessel:${TUBE}`);
  await page.getByRole('button', { name: 'Back to the tray' }).click();

  await select(page, `vessel:${pair[0] + 1}`);
  await verb(page, 'Thermometer in');
  await letPass(page, 10);
  await select(page, 'thermometer');
  await verb(page, /^Record as the temperature before, trial 1/);
  await verb(page, 'Take it out');
  // Five mixtures of ten millilitres; by their concentrations half of them lie on each side of two to one, either way.
  const parts = [1.5, 3, 5, 7, 8.5] as const;
  for (const [i, ml] of parts.entries()) {
    await mixture(TUBE + i, [ml, 10 - ml]);
    if (i === 2) {
      await page.reload();
      await atBench(page);
      await expect(page.locator(`[data-thing="vessel:${TUBE}"]`)).toHaveAccessibleName(/^tube 1, .* solid, white/);
    }
  }
  await pace(page, 60);
  await expect(page.locator('[data-thing=analysis]')).toHaveAccessibleName('analysis, 5 slips there', {
    timeout: 30_000,
  });
  await pace(page, 1);
  await select(page, 'analysis');
  const left: number[][] = [];
  for (let i = 0; i < 5; i++) {
    const words = (await page.getByTestId('slip').textContent()) ?? '';
    left.push(pair.map((side) => Number(new RegExp(`${four[side]} ([\\d.]+)`).exec(words)?.[1])));
    const trial = i + 1;
    await page.getByRole('button', { name: `Record this slip, trial ${trial}` }).click();
    await expect(page.getByRole('button', { name: `Record this slip, trial ${trial}` })).toHaveCount(i < 4 ? 0 : 1);
  }
  // What went in less what is left, whole mixture over portion.
  const used = parts.map((ml, i) => [
    (molar[pair[0]] ?? NaN) * ml - 5 * (left[i]?.[0] ?? NaN),
    (molar[pair[1]] ?? NaN) * (10 - ml) - 5 * (left[i]?.[1] ?? NaN),
  ]);
  const ratio = used.reduce((sum, [a]) => sum + (a ?? NaN), 0) / used.reduce((sum, [, b]) => sum + (b ?? NaN), 0);
  const isSilverFirst = ratio > 1;
  expect(Math.abs(Math.log(ratio / (isSilverFirst ? 2 : 0.5)))).toBeLessThan(0.08);

  // The series is drawn: two lines of warming against the volume of the first cross at the same ratio.
  await page.getByRole('tab', { name: 'Working' }).click();
  const bend = (() => {
    const [a, b] = [molar[pair[0]] ?? 1, molar[pair[1]] ?? 1];
    const r = isSilverFirst ? 2 : 0.5;
    return (10 * r * b) / (r * b + a);
  })();
  const below = parts.filter((ml) => ml < bend);
  const above = parts.filter((ml) => ml > bend);
  expect(Math.min(below.length, above.length)).toBeGreaterThan(0);
  if (Math.min(below.length, above.length) > 1) {
    await linesThrough(
      page,
      [
        [below[0], below.at(-1)],
        [above[0], above.at(-1)],
      ],
      `v${one}`,
    );
    const text =
      (await page.getByRole('region', { name: 'graph: Graph 1' }).getByTestId('crossing-1').textContent()) ?? '';
    const x = Number(/V_?\w = (\d+\.?\d*)/.exec(text)?.[1] ?? /= (\d+\.?\d*)/.exec(text)?.[1]);
    expect(Math.abs(x - bend)).toBeLessThan(0.8);
  }

  await prepare(
    page,
    'In that in which their amounts are in the ratio of the coefficients',
    'less reacts, for there is less of the other',
  );
  await page.getByLabel('Ratio of the amounts that react', { exact: true }).fill(ratio.toPrecision(3));
  const counts = isSilverFirst ? [2, 1] : [1, 2];
  for (const [i, letter] of four.entries())
    await page.getByLabel(`Coefficient of ${letter}`, { exact: true }).fill(String(counts[pair.indexOf(i)] ?? 0));
  await writesReport(page, [
    'What went in less what the slips left over.',
    `${one} and ${two} react; the others stay as they are.`,
    'Of the others the whole amount was left, and nothing was seen of them with any of the bottles.',
    'I worked with the whole mixture, not the portion.',
  ]);
  await page.getByRole('radio', { name: 'Tell an amount from a concentration' }).check();
  await page.getByRole('button', { name: 'Hand in' }).click();
  const told = page.getByTestId('told');
  for (const [i, letter] of four.entries())
    await expect(told).toContainText(`Coefficient of ${letter}: ${counts[pair.indexOf(i)] ?? 0}: Right.`);
  await expect(told).toContainText(/Ratio of the amounts that react: [\d.]+: Within \d %/);
  await teacher.goto(assignmentUrl);
  await teacher.getByRole('link', { name: 'Wren Saltings' }).click();
  await expect(teacher.getByText('silver nitrate with barium chloride').first()).toBeVisible();
  await expect(teacher.getByRole('list', { name: 'Acts in order' })).toContainText('for analysis');
});

test('a yellow mixture is read at a wavelength that is typed, after the zero was set with water', async ({
  browser,
}) => {
  test.slow();
  const { code } = await teacherSets(
    browser,
    async (set) => {
      await only(set, 'Reactions that may be drawn', ['silver nitrate with potassium chromate']);
      await set.getByRole('group', { name: 'On the tray' }).getByLabel('colorimeter').check();
    },
    'Which react, and in what ratio',
  );
  const page = await studentBegins(browser, code, 'Lowri Thrift');
  const yellow = (await Promise.all([1, 2, 3, 4].map((n) => heard(page, n)))).findIndex((words) =>
    words.includes('yellow'),
  );
  expect(yellow).toBeGreaterThanOrEqual(0);
  await select(page, 'colorimeter');
  await page.getByLabel('Set the wavelength to, amount in nm').fill('5 nm');
  await page.getByLabel('Set the wavelength to, amount in nm').press('Enter');
  await expect(notices(page)).toContainText('It goes from 380 to 750 nm');
  await amount(page, 'Set the wavelength to, amount in nm', '480');
  // The zero with water, as it should be.
  await select(page, 'vessel:5');
  await verb(page, 'Fill the cuvette');
  await select(page, 'colorimeter');
  await verb(page, 'Set the zero');
  await expect(page.locator('[data-thing=colorimeter]')).toHaveAccessibleName(
    /480 nm, its cuvette from water, shows (minus )?0\.00\d/,
  );
  const shown = async () =>
    Number(
      /shows ([\d.]+)/.exec((await page.locator('[data-thing=colorimeter]').getAttribute('aria-label')) ?? '')?.[1],
    );
  const absorbances: number[] = [];
  for (const [i, ml] of [0.5, 1].entries()) {
    await select(page, 'tube');
    await verb(page, 'Put one on the bench');
    await select(page, `vessel:${18 + i}`);
    await page.getByRole('button', { name: `From bottle ${LETTERS[yellow]}`, exact: true }).click();
    await amount(page, 'Put in, amount in mL', String(ml));
    await page.getByRole('button', { name: 'From water', exact: true }).click();
    await amount(page, 'Put in, amount in mL', String(10 - ml));
    await verb(page, 'Fill the cuvette');
    await select(page, 'colorimeter');
    absorbances.push(await shown());
    await verb(page, `Record the absorbance, trial ${i + 1}`);
  }
  // Twice as much of it, twice the absorbance.
  expect(Math.abs((absorbances[1] ?? NaN) / (absorbances[0] ?? NaN) - 2)).toBeLessThan(0.15);
  await page.getByRole('tab', { name: 'Readings' }).click();
  // A display that wavers may show another last digit when it is recorded.
  await expect
    .poll(async () => {
      const cells = (await page.getByRole('cell').allInnerTexts()).map(Number);
      return cells.some((value) => Math.abs(value - (absorbances[1] ?? NaN)) < 0.01);
    })
    .toBe(true);
});

test('twenty-four vessels stand side by side, each with its label, and none covers another', async ({ browser }) => {
  test.slow();
  const { code } = await teacherSets(browser, undefined, 'Which react, and in what ratio');
  const page = await studentBegins(browser, code, 'Frey Hollin');
  await select(page, 'tube');
  for (let i = 0; i < 18; i++) await verb(page, 'Put one on the bench');
  await page.getByTestId('verbs').getByRole('button', { name: 'Put one on the bench' }).click();
  await expect(notices(page)).toContainText('The rack holds 18 tubes');
  await select(page, 'beaker');
  for (let i = 0; i < 6; i++) await verb(page, 'Put one on the bench');
  for (const number of [18, 27, 35, 36, 41]) {
    await select(page, `vessel:${number}`);
    await amount(page, 'What its label says', `mix ${number}`);
    await expect(page.locator(`[data-thing="vessel:${number}"]`)).toHaveAccessibleName(new RegExp(`“mix ${number}”`));
  }
  const rooms = await page.locator('[data-thing^="vessel:"]').evaluateAll((all) =>
    all.map((one) => {
      const { left, right, top, bottom } = (one.querySelector(':scope > rect') as Element).getBoundingClientRect();
      return { left, right, top, bottom };
    }),
  );
  expect(rooms).toHaveLength(5 + 12 + 24);
  rooms.forEach((a, i) =>
    rooms.slice(i + 1).forEach((b) => {
      const isApart =
        a.right <= b.left + 0.5 || b.right <= a.left + 0.5 || a.bottom <= b.top + 0.5 || b.bottom <= a.top + 0.5;
      expect(isApart, JSON.stringify([a, b])).toBe(true);
    }),
  );
  // A finger's breadth is more than a tube, but each is taken by itself.
  for (const { left, right } of rooms) expect(right - left).toBeGreaterThan(20);
  await expect(page.locator('[data-thing="vessel:36"]')).toBeInViewport({ ratio: 1 });
  await select(page, 'vessel:41');
  await page.keyboard.press('w');
  await expect(notices(page)).toContainText('Beaker 6 “mix 41”, empty');
});
