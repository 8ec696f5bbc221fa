import type { Page } from '@playwright/test';
import { notices, pace, writesReport } from './heat-bench';
import { amount, atBench, only, prepare, select, studentBegins, teacherSets, verb } from './helpers';
import { expect, test } from './test';

/** Two gases in one vessel, which fly on the server and are seen as pictures. */

const counter = async (page: Page, slot: string) =>
  Number((await page.getByTestId(`counter-${slot}`).textContent())?.replace('\u2212', '-'));

/** Lets them fly and waits until they stand. */
async function flies(page: Page, ps: number): Promise<void> {
  await select(page, 'vessel');
  const before = Number(await page.getByTestId('flight-time').textContent());
  await amount(page, 'Let them fly for, amount in ps', String(ps));
  await expect
    .poll(async () => Number(await page.getByTestId('flight-time').textContent()), { timeout: 40_000 })
    .toBeCloseTo(before + ps, 0);
}

/** How much of the canvas is painted, and with what: a number that is another when anything has moved. */
const painted = (page: Page) =>
  page.getByTestId('flying').evaluate((element) => {
    const canvas = element as HTMLCanvasElement;
    const data = canvas.getContext('2d')?.getImageData(0, 0, canvas.width, canvas.height).data ?? [];
    let [sum, ink] = [0, 0];
    for (let i = 3; i < data.length; i += 4)
      if (data[i]) {
        ink++;
        sum = (sum + i * (data[i] ?? 0)) % 1_000_003;
      }
    return { sum, ink };
  });

test('light and heavy: they are seen to fly, though pictures stay away, are warmed, read, leak, handed in and walked back to', async ({
  browser,
}) => {
  test.slow();
  const { teacher, code, assignmentUrl } = await teacherSets(
    browser,
    async (set) => only(set, 'Gases that the other may be', ['methane', 'argon', 'xenon']),
    'Light and heavy particles',
  );
  const page = await studentBegins(browser, code, 'Brae Calder');
  const task = Number(/(\d+) K/.exec((await page.getByTestId('task').textContent()) ?? '')?.[1]);
  expect((await painted(page)).ink).toBeGreaterThan(500);

  // Nothing flew yet; too long, nothing, rubbish, too cold, shut already: a sentence each.
  await page.getByRole('button', { name: /^Record all counters/ }).click();
  await expect(notices(page)).toContainText('The counters show nothing');
  const stretch = page.getByLabel('Let them fly for, amount in ps');
  for (const [text, sentence] of [
    ['', 'Type an amount in ps first'],
    ['long', 'is not an amount'],
    ['1000000000', 'Let them fly for 1 to 500 ps'],
  ] as const) {
    await stretch.fill(text);
    await stretch.press('Enter');
    await expect(notices(page)).toContainText(sentence);
  }
  await select(page, 'jacket');
  const warm = page.getByLabel('Put a jacket around it, of, amount in K');
  await warm.fill('-300');
  await warm.press('Enter');
  await expect(notices(page)).toContainText('The jacket can be from 50 to 1500 K');
  await amount(page, 'Put a jacket around it, of, amount in K', String(task));
  await expect(page.getByTestId('jacket')).toContainText(`${task} K`);

  // They stand, and fly, and stand again when the clock is stopped; nothing is painted anew then.
  const before = await painted(page);
  await page.waitForTimeout(400);
  expect(await painted(page)).toEqual(before);
  await select(page, 'vessel');
  await amount(page, 'Let them fly for, amount in ps', '200');
  await expect.poll(async () => (await painted(page)).sum).not.toBe(before.sum);
  await page.locator('[data-thing=vessel]').press('p');
  await page.waitForTimeout(1200);
  const stopped = await painted(page);
  await page.waitForTimeout(600);
  expect(await painted(page)).toEqual(stopped);
  await page.locator('[data-thing=vessel]').press('p');
  await pace(page, 30);
  await expect(page.locator('[data-thing=vessel]')).toHaveAccessibleName(/stand still/, { timeout: 40_000 });

  let ratio = 0;
  let energies = 0;
  const kelvins = [task, Math.round(1.6 * task), Math.round(2.6 * task)];
  for (const [i, kelvin] of kelvins.entries()) {
    if (i > 0) {
      await select(page, 'jacket');
      await amount(page, 'Put a jacket around it, of, amount in K', String(kelvin));
      await flies(page, 200);
    }
    for (const times of [1, 2]) {
      await flies(page, 500);
      const trial = 2 * i + times;
      await verb(page, `Record all counters, trial ${trial}`);
      await expect(page.getByRole('button', { name: `Record all counters, trial ${trial} again` })).toBeVisible();
      expect(Math.abs((await counter(page, 'T')) / kelvin - 1)).toBeLessThan(0.25);
      ratio += (await counter(page, 'v1')) / (await counter(page, 'v2')) / 6;
      energies += (await counter(page, 'E2')) / (await counter(page, 'E1')) / 6;
    }
  }
  // Left and taken up again, they are where they were.
  const there = await painted(page);
  await page.reload();
  await atBench(page);
  await expect.poll(() => painted(page)).toEqual(there);

  // Pictures that stay away for a while are asked for again; they come, and nothing has to be loaded anew.
  await pace(page, 1);
  await page.route('**/film?*', (route) => route.abort());
  const missed = page.waitForRequest(/\/film\?/);
  await amount(page, 'Let them fly for, amount in ps', '60');
  await missed;
  expect(await painted(page)).toEqual(there);
  await page.unroute('**/film?*');
  await expect.poll(async () => (await painted(page)).sum).not.toBe(there.sum);
  await expect(page.getByText('What flies cannot be shown here')).toHaveCount(0);
  await pace(page, 30);
  await expect(page.locator('[data-thing=vessel]')).toHaveAccessibleName(/stand still/, { timeout: 40_000 });

  // Each by itself: nothing is shown of the one that is not there, and only the rest is recorded.
  await select(page, 'vessel');
  await verb(page, 'With the other alone');
  await pace(page, 60);
  await flies(page, 100);
  await expect(page.getByTestId('counter-E1')).toHaveText('–');
  await expect(page.getByTestId('counter-E2')).toHaveText(/\d/);
  await verb(page, 'With helium alone');
  await flies(page, 100);
  await expect(page.getByTestId('counter-E2')).toHaveText('–');
  await verb(page, 'Fill it afresh');
  await select(page, 'jacket');
  await amount(page, 'Put a jacket around it, of, amount in K', String(task));
  await pace(page, 30);
  await flies(page, 100);
  await page.locator('[data-thing=hole]').press('h');
  await expect(page.locator('[data-thing=hole]')).toHaveAccessibleName(/open/);
  await flies(page, 500);
  await verb(page, 'Record all counters, trial 7');
  const [light, heavy] = [await counter(page, 'g1'), await counter(page, 'g2')];
  expect(light).toBeGreaterThan(heavy);
  await expect(page.getByText('3 of 3.')).toBeVisible();

  const molar = 4.0026 * ratio ** 2;
  await prepare(page, 'The mean energy of their particles', 'half as fast');
  const fills = (label: string, text: string) => page.getByLabel(label, { exact: true }).fill(text);
  await fills('Mean energy of the other gas, as a multiple of helium’s', energies.toFixed(2));
  await fills('Mean speed of helium, as a multiple of the other’s', ratio.toPrecision(3));
  await fills('Molar mass of the other gas', molar.toPrecision(3));
  await page.getByLabel('Unit of: Molar mass of the other gas').selectOption('g/mol');
  await fills(
    'How many times as fast helium leaves through the hole',
    (Math.log(1 - light / 60) / Math.log(1 - Math.max(heavy, 1) / 60)).toPrecision(2),
  );
  const name = (
    [
      ['methane', 16],
      ['argon', 39.9],
      ['xenon', 131.3],
    ] as const
  ).reduce((best, one) => (Math.abs(Math.log(one[1] / molar)) < Math.abs(Math.log(best[1] / molar)) ? one : best))[0];
  await page.getByRole('combobox', { name: 'Which gas is it?' }).selectOption(name);
  await writesReport(page, [
    'Both ratios; the mass goes as the square of that of the speeds.',
    'Both have the same mean energy, and the other is the slower one.',
    'From stretch to stretch the energy wavered by some percent, around the same for both.',
    'I compared six stretches at three temperatures.',
  ]);
  await page.getByRole('radio', { name: 'Explain why light gases leak sooner' }).check();
  await page.getByRole('button', { name: 'Hand in' }).click();
  const verdict = page.getByTestId('told');
  await expect(verdict).toContainText(/Mean energy of the other gas.*Within (10|20) %/);
  await expect(verdict).toContainText(/Which gas is it\? \w+: (Right|Not ruled out)/);
  // The teacher walks back to the moment of a reading: they are drawn where they were.
  await teacher.goto(assignmentUrl);
  await teacher.getByRole('link', { name: 'Brae Calder' }).click();
  await expect(teacher.getByRole('list', { name: 'Acts in order' })).toContainText('let them fly for 500 ps');
});
