import type { Page } from '@playwright/test';
import { byKeys, notices, pace, writesReport } from './heat-bench';
import { amount, atBench, elsewhere, only, prepare, select, studentBegins, teacherSets, verb } from './helpers';
import { expect, test } from './test';

/** A gas of particles under a piston, which flies in a worker of the browser. */

const LET_FLY = 'Let them fly for, amount in ps';
const counter = async (page: Page, slot: string) =>
  Number((await page.getByTestId(`counter-${slot}`).textContent())?.replace('\u2212', '-'));
const flown = async (page: Page) => Number(await page.getByTestId('flight-time').textContent());
const stands = (page: Page) =>
  expect(page.locator('[data-thing=cylinder]')).toHaveAccessibleName(/stand still/, { timeout: 40_000 });

/** Lets them fly and waits until they stand, and until that is drawn. */
async function flies(page: Page, ps: number): Promise<void> {
  await select(page, 'cylinder');
  const before = await flown(page);
  await amount(page, LET_FLY, String(ps));
  await expect.poll(() => flown(page), { timeout: 40_000 }).toBeCloseTo(before + ps, 0);
  await stands(page);
}

/** Records all counters, into a trial. */
async function records(page: Page, trial: number): Promise<void> {
  await select(page, 'counters');
  await verb(page, `Record all counters, trial ${trial}`);
  await expect(page.getByRole('button', { name: `Record all counters, trial ${trial} again` })).toBeVisible();
}

/** Counts what pages ask their workers from now on. */
const countQuestions = (page: Page) =>
  page.addInitScript(() => {
    const own = Worker.prototype.postMessage;
    const counted = window as unknown as { asked: number };
    counted.asked = 0;
    Worker.prototype.postMessage = function (...message: unknown[]) {
      counted.asked++;
      return (own as (...all: unknown[]) => void).apply(this, message);
    };
  });
const questions = (page: Page) => page.evaluate(() => (window as unknown as { asked: number }).asked);

/** How much of the canvas is painted, and with what: a number that is another when anything has moved. */
const painted = (page: Page) =>
  page.getByTestId('flying').evaluate((element) => {
    const canvas = element as HTMLCanvasElement;
    const data = canvas.getContext('2d')?.getImageData(0, 0, canvas.width, canvas.height).data ?? [];
    let sum = 0;
    for (let i = 3; i < data.length; i += 4) if (data[i]) sum = (sum + i * (data[i] ?? 0)) % 1_000_003;
    return sum;
  });

/** What is typed into a field of a verb, and the sentence that comes of it. */
async function refused(page: Page, field: string, those: readonly (readonly [text: string, sentence: string])[]) {
  for (const [text, sentence] of those) {
    await page.getByLabel(field).fill(text);
    await page.getByLabel(field).press('Enter');
    await expect(notices(page)).toContainText(sentence);
  }
}

test('the law of pressure and volume: wrong moves, a worker that dies, ten points, a line, the report', async ({
  browser,
}) => {
  test.slow();
  const { teacher, code, assignmentUrl } = await teacherSets(
    browser,
    undefined,
    'One gas law at a time, with particles',
  );
  const page = await studentBegins(browser, code, 'Brae Calder');
  await countQuestions(page);
  await page.reload();
  await atBench(page);
  const task = (await page.getByTestId('task').textContent()) ?? '';
  const kelvin = /temperature (\d+) K/.exec(task)?.[1] ?? '';
  await pace(page, 60);

  // Nothing flew yet; nothing, rubbish, the wrong unit, too much, through the wall: a sentence each.
  await page.getByRole('button', { name: /^Record all counters/ }).click();
  await expect(notices(page)).toContainText('The counters show nothing');
  await refused(page, LET_FLY, [
    ['', 'Type an amount in ps first'],
    ['long', 'is not an amount'],
    ['1000000000', 'Let them fly for 1 to 500 ps'],
  ]);
  await select(page, 'piston');
  await refused(page, 'Pin it at, amount in nm³', [
    ['0', 'The pin can hold a volume from 3600 to 27000 nm³'],
    ['-9000', 'The pin can hold a volume'],
    ['50000', 'The pin can hold a volume'],
  ]);
  await refused(page, 'Take the pin out, with a load of, amount in kPa', [
    ['0', 'The load can press with 2 to 400 kPa'],
  ]);
  await select(page, 'jacket');
  await refused(page, 'Put a jacket around it, of, amount in K', [
    ['0', 'The jacket can be from 50 to 1500 K'],
    ['-300', 'The jacket can be from 50 to 1500 K'],
    ['20 °C', 'This amount is in K'],
  ]);
  await refused(page, 'Give them, amount in zJ', [['1000000', 'They would be hotter than 3000 K']]);
  await refused(page, 'Take from them, amount in zJ', [['1000000', 'They do not have so much']]);
  await select(page, 'valve');
  await refused(page, 'Let in, amount in particles', [
    ['1000000000', 'the cylinder holds 1 to 1000'],
    ['0.5', 'Type a whole number'],
  ]);
  await refused(page, 'Let out, amount in particles', [['100000', 'the cylinder holds 1 to 1000']]);

  await select(page, 'jacket');
  await amount(page, 'Put a jacket around it, of, amount in K', kelvin);
  await expect(page.getByTestId('jacket')).toContainText(`${kelvin} K`);
  await expect(page.getByTestId('held')).toContainText(`the temperature (jacket of ${kelvin} K)`);

  // The first volume by hand: the piston is pulled down, and the pin holds it where it was let go.
  const piston = page.getByTestId('piston');
  const box = await piston.boundingBox();
  if (!box) throw new Error('there is no piston');
  const [x, y] = [box.x + box.width / 4, box.y + box.height - 4];
  await page.mouse.move(x, y);
  await page.mouse.down();
  await page.mouse.move(x, y + 70, { steps: 6 });
  await page.mouse.up();
  await expect(page.getByTestId('held')).toContainText(/pin at (1\d|2[0-5])\d\d\d nm³/);
  await flies(page, 300);
  const before = await painted(page);
  // Nothing is asked for and nothing drawn anew while they stand.
  await page.waitForTimeout(400);
  const asked = await questions(page);
  await page.waitForTimeout(1500);
  expect(await questions(page)).toBe(asked);
  expect(await painted(page)).toBe(before);

  // The worker dies: another takes its place, and goes on where they are.
  for (const worker of page.workers()) await worker.evaluate(() => self.close()).catch(() => undefined);
  await flies(page, 500);
  await expect.poll(() => painted(page), { timeout: 40_000 }).not.toBe(before);
  await expect(page.getByTestId('mean-line')).toHaveCount(1);
  await records(page, 1);

  const products: number[] = [];
  for (const [i, nm3] of [22_000, 18_000, 15_000].entries()) {
    await select(page, 'piston');
    await amount(page, 'Pin it at, amount in nm³', String(nm3));
    await expect(page.getByTestId('since')).toHaveText(
      `Since trial ${i + 1} you changed the volume alone: pressure against volume.`,
    );
    await flies(page, 300);
    await flies(page, 500);
    expect(await counter(page, 'V')).toBe(nm3);
    products.push(nm3 * (await counter(page, 'P')));
    await records(page, i + 2);
    if (i === 1) {
      // Left and taken up again: a new worker lets them fly to where they were.
      const there = await painted(page);
      await page.reload();
      await atBench(page);
      await expect.poll(() => painted(page), { timeout: 20_000 }).toBe(there);
    }
  }
  // Six more points of the same, at another machine.
  interface Counted {
    counters: { P: string };
    recordableTrial: number;
  }
  await elsewhere<Counted>(
    page,
    [13_000, 11_000, 9500, 8500, 7500, 6500].flatMap((nm3) => [
      { kind: 'pin', nm3 },
      { kind: 'run', ps: 300 },
      { kind: 'run', ps: 500 },
      ({ counters, recordableTrial: trial }: Counted) => {
        products.push(nm3 * Number(counters.P));
        return Object.keys(counters).map((which) => ({ kind: 'record', trial, which }));
      },
    ]),
  );
  await expect(page.getByText('3 of 3.')).toBeVisible();
  // Two things at once: the bench says what that is worth.
  await select(page, 'piston');
  await amount(page, 'Pin it at, amount in nm³', '20000');
  await select(page, 'valve');
  await amount(page, 'Let in, amount in particles', '10');
  await expect(page.getByTestId('since')).toContainText('no law of one thing alone can be seen from that');

  await page.getByRole('tab', { name: 'Working' }).click();
  await page.getByRole('button', { name: 'New graph' }).click();
  await page.getByRole('button', { name: 'Line through all points' }).click();
  const line = page.getByRole('region', { name: 'graph: Graph 1' }).getByTestId('line-1');
  // P against 1/V, as the table has them: one line.
  await expect(line).toContainText(/slope.*kPa\/nm⁻³.*R² 0\.9[89]/);
  const slope = products.reduce((sum, one) => sum + one, 0) / products.length;
  const count = Number(/number (\d+)/.exec(task)?.[1]);

  await prepare(page, 'Else nobody can tell which of them did it', 'halves');
  const fills = (label: string, text: string) => page.getByLabel(label, { exact: true }).fill(text);
  await fills('Twice the volume: the pressure becomes so many times as large', '0.500');
  await fills('P · V at what your card says', slope.toPrecision(3));
  await page.getByLabel('Unit of: P · V at what your card says').selectOption('kPa·nm³');
  await page.getByRole('combobox', { name: /P against 1\/V/ }).selectOption({ label: 'Graph 1' });
  await fills('k in P · V = N · k · T', ((0.001 * slope) / count / Number(kelvin)).toPrecision(3));
  await page.getByLabel('Unit of: k in P · V = N · k · T').selectOption('zJ/K');
  await writesReport(page, [
    'The slope of the line, over number and temperature.',
    'Twice the volume gives half of the pressure, as I said before.',
    'The points lie on a line through the origin, within what the counters themselves waver by.',
    'I held all but the volume, and saw what held it.',
  ]);
  await page.getByRole('radio', { name: 'Tell from a graph what is proportional' }).check();
  await page.getByRole('button', { name: 'Hand in' }).click();
  const verdict = page.getByTestId('told');
  await expect(verdict).toContainText(/P · V at what your card says: .*Within (4|8) %/);
  await expect(verdict).toContainText(/k in P · V = N · k · T: .*Within (4|8) %/);
  await teacher.goto(assignmentUrl);
  await teacher.getByRole('link', { name: 'Brae Calder' }).click();
  await expect(teacher.getByRole('list', { name: 'Acts in order' })).toContainText('pinned the piston at 6500 nm³');
});

test('from one particle to many, by keyboard alone', async ({ browser }) => {
  test.slow();
  const { code } = await teacherSets(browser, undefined, 'From one particle to many');
  const page = await studentBegins(browser, code, 'Brae Calder');
  const kelvin = /(\d+) K/.exec((await page.getByTestId('task').textContent()) ?? '')?.[1] ?? '';
  const { go, press } = byKeys(page);
  await pace(page, 60);
  await go('jacket');
  await press(/^Put a jacket around it/, kelvin);
  const waverings: number[] = [];
  for (const [i, [more, count]] of (
    [
      ['', 1],
      ['9', 10],
      ['190', 200],
    ] as const
  ).entries()) {
    if (more) {
      await go('valve');
      await press(/^Let in, amount/, more);
    }
    for (const ps of ['200', '500']) {
      await go('cylinder');
      const before = await flown(page);
      await press(/^Let them fly for, amount/, ps);
      await expect.poll(() => flown(page), { timeout: 40_000 }).toBeCloseTo(before + Number(ps), 0);
      await stands(page);
    }
    await go('counters');
    await page.keyboard.press('r');
    await expect(page.getByRole('button', { name: `Record all counters, trial ${i + 1} again` })).toBeVisible();
    expect(await counter(page, 'N')).toBe(count);
    waverings.push(await counter(page, 's'));
  }
  // Two hundred waver about a fourteenth as much as one.
  expect(waverings[2]).toBeLessThan((waverings[0] ?? 0) / 5);
  const mean = await counter(page, 'E');
  expect(Math.abs(mean / (0.020709735 * Number(kelvin)) - 1)).toBeLessThan(0.1);
  for (const bars of ['bars-speed', 'bars-energy'])
    await expect(page.getByTestId(bars).locator('rect').nth(3)).toBeVisible();
  // What is selected says in words what it shows.
  await page.keyboard.press('w');
  await expect(notices(page)).toContainText(/Counters, number 200, mean energy .*wavering .*part above twice/);
  await expect(page.getByText(/^1 of 4\./)).toBeVisible();
});

test('where pressure comes from: impact by impact, hotter, the gas by its name', async ({ browser }) => {
  test.slow();
  const { teacher, code, assignmentUrl } = await teacherSets(
    browser,
    (set) => only(set, 'Gases that it may be', ['neon', 'argon', 'krypton']),
    'Where pressure comes from',
  );
  const page = await studentBegins(browser, code, 'Brae Calder');
  const task = (await page.getByTestId('task').textContent()) ?? '';
  const card = (name: string) => /\d+/.exec(task.split(name)[1] ?? '')?.[0] ?? '';
  await pace(page, 60);
  await select(page, 'piston');
  await amount(page, 'Take the pin out, with a load of, amount in kPa', '60');
  await select(page, 'cylinder');
  await page.getByRole('button', { name: 'To the next impact on the piston' }).click();
  await expect(notices(page)).toContainText('Pin the piston first');
  await select(page, 'piston');
  await amount(page, 'Pin it at, amount in nm³', card('volume'));
  await select(page, 'jacket');
  await amount(page, 'Put a jacket around it, of, amount in K', card('temperature'));
  await flies(page, 300);

  const masses: number[] = [];
  for (let trial = 1; trial <= 5; trial++) {
    await select(page, 'cylinder');
    // The next may come so soon that the clock of the flight shows the same: that it is another stretch tells it.
    await verb(page, 'To the next impact on the piston');
    await expect(page.getByRole('button', { name: `Record all counters, trial ${trial}`, exact: true })).toBeVisible();
    await expect(page.getByTestId('counter-q')).toHaveText(/\d/);
    await stands(page);
    masses.push((602.214 * (await counter(page, 'q'))) / 2 / (await counter(page, 'u')));
    await records(page, trial);
    await expect(page.getByTestId('counter-P')).toHaveText('–');
  }
  const molar = masses.reduce((sum, one) => sum + one, 0) / 5;
  for (const mass of masses) expect(Math.abs(mass / molar - 1)).toBeLessThan(0.01);
  const stretch = async (trial: number) => {
    await flies(page, 300);
    await flies(page, 500);
    await records(page, trial);
    return { rate: (await counter(page, 'n')) / 500, push: await counter(page, 'p') };
  };
  const first = await stretch(6);
  await select(page, 'jacket');
  await amount(page, 'Put a jacket around it, of, amount in K', String(3 * Number(card('temperature'))));
  const hot = await stretch(7);
  expect(hot.push).toBeGreaterThan(1.4 * first.push);
  expect(hot.rate).toBeGreaterThan(1.3 * first.rate);
  // The loads and pushes are drawn one by one.
  expect(await page.getByTestId('pushes').locator('path').count()).toBeGreaterThan(20);

  const name = (
    [
      ['neon', 20.18],
      ['argon', 39.95],
      ['krypton', 83.8],
    ] as const
  ).reduce((best, one) => (Math.abs(one[1] - molar) < Math.abs(best[1] - molar) ? one : best));
  expect(Math.abs(name[1] / molar - 1)).toBeLessThan(0.01);
  await prepare(page, 'All the pushes of particles that hit it', 'impacts are harder, and there are more of them');
  const fills = async (label: string, text: string, unit?: string) => {
    await page.getByLabel(label, { exact: true }).fill(text);
    if (unit) await page.getByLabel(`Unit of: ${label}`).selectOption(unit);
  };
  await fills('Molar mass of the gas, by single impacts', molar.toPrecision(4), 'g/mol');
  await page.getByRole('combobox', { name: 'Which gas is it?' }).selectOption(name[0]);
  await fills(
    'Pressure on the piston, by impacts and their pushes, at what your card says',
    ((1000 * first.rate * first.push) / 900).toPrecision(3),
    'kPa',
  );
  await fills(
    '3 times the temperature: the mean push becomes so many times as large',
    (hot.push / first.push).toPrecision(3),
  );
  await fills(
    '3 times the temperature: impacts in a ps become so many times as many',
    (hot.rate / first.rate).toPrecision(3),
  );
  await fills('A third of the volume: impacts in a ps become so many times as many', '3.00');
  await fills('A third of the volume: the mean push becomes so many times as large', '1.00');
  await fills('Twice the number: impacts in a ps become so many times as many', '2.00');
  await writesReport(page, [
    'Push over twice the speed is the mass of one; all pushes over time and area are the pressure.',
    'It is pushed by more impacts, and by harder ones, when it is hotter.',
    'The push and the number both grew by the root of three, so that the pressure grew three times; the counter of the pressure agrees.',
    'I had five masses that were all the same.',
  ]);
  await page.getByRole('radio', { name: 'Say what pressure is made of' }).check();
  await page.getByRole('button', { name: 'Hand in' }).click();
  const verdict = page.getByTestId('told');
  await expect(verdict).toContainText(/Molar mass of the gas, by single impacts: .*Within 1 %/);
  await expect(verdict).toContainText(new RegExp(`Which gas is it\\? ${name[0]}: Right`));
  await expect(verdict).toContainText(/Pressure on the piston.*: .*Within (6|12|24) %/);
  await teacher.goto(assignmentUrl);
  await teacher.getByRole('link', { name: 'Brae Calder' }).click();
  await expect(teacher.getByRole('list', { name: 'Acts in order' })).toContainText(
    'let them fly to the next impact on the piston',
  );
});
