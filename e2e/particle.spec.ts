import type { Page } from '@playwright/test';
import { expect, test } from './test';
import { amount, atBench, prepare, runIdOf, select, studentBegins, teacherSets, verb } from './helpers';

/** Where the particle is drawn. */
async function place(page: Page): Promise<[number, number]> {
  const ball = page.getByTestId('particle');
  return [Number(await ball.getAttribute('cx')), Number(await ball.getAttribute('cy'))];
}

const flightPs = async (page: Page) => Number(await page.getByTestId('flight-time').textContent());
const gauge = (page: Page, slot: 'T' | 'E' | 'v') => page.getByTestId(`gauge-${slot}`);
const valueOf = async (page: Page, slot: 'T' | 'E' | 'v') => Number(await gauge(page, slot).textContent());

async function graphOf(page: Page, number: number, x: string, y: string): Promise<void> {
  await page.getByRole('button', { name: 'New graph' }).click();
  const graph = page.getByRole('region', { name: `graph: Graph ${number}` });
  await graph.getByText('Columns and axes').click();
  await graph.getByLabel(`across, series 1 of Graph ${number}`).selectOption({ label: x });
  await graph.getByLabel(`up, series 1 of Graph ${number}`).selectOption({ label: y });
}

test('one particle: it flies by itself, is stopped and read, given energy, handed in and walked back to', async ({
  browser,
}) => {
  test.slow();
  const { teacher, code, assignmentUrl } = await teacherSets(browser, undefined, 'One particle in a vessel');
  const page = await studentBegins(browser, code, 'Sanne Fleck');
  const task = Number(/([\d.]+) K/.exec((await page.getByTestId('task').textContent()) ?? '')?.[1]);
  const watched: number[] = [];
  page.on('request', (request) => {
    if (request.url().endsWith('/acts') && request.postData()?.includes('"after":')) watched.push(Date.now());
  });

  // Nothing is there to be read before one is put in.
  await select(page, 'v');
  await page.keyboard.press('r');
  await expect(page.getByTestId('notices')).toContainText('the vessel is empty');
  await select(page, 'vessel');
  await amount(page, 'Put a particle in, of, amount in K', String(task));
  await expect(gauge(page, 'T')).toHaveText(task.toFixed(1));

  // It moves without the server being asked for it.
  const from = await flightPs(page);
  const [x, y] = await place(page);
  await expect.poll(() => flightPs(page)).toBeGreaterThan(from + 8);
  expect(await place(page)).not.toEqual([x, y]);
  expect(watched.length).toBeLessThan(2);

  // Stopped, it stands, and all that is read and done at the bench goes on.
  await page.locator('[data-thing=vessel]').focus();
  await page.keyboard.press('p');
  await expect(page.getByText('bench clock stopped')).toBeVisible();
  await page.waitForTimeout(500);
  const stood = [await flightPs(page), await place(page)];
  await verb(page, 'Record all three, trial 1');
  await expect(page.getByRole('button', { name: 'Record all three again, trial 1' })).toBeVisible();
  await amount(page, 'Bring it to, amount in K', String(2 * task));
  await expect(gauge(page, 'T')).toHaveText((2 * task).toFixed(1));
  await page.locator('[data-thing=vessel]').focus();
  await page.keyboard.press('r');
  await expect(page.getByRole('button', { name: 'Record all three again, trial 2' })).toBeVisible();
  expect([await flightPs(page), await place(page)]).toEqual(stood);
  const [energy, speed] = [await valueOf(page, 'E'), await valueOf(page, 'v')];

  // Seen from another side, it is in the same place of its vessel, and nothing was done.
  await page.getByLabel('turn the vessel').focus();
  await page.keyboard.press('ArrowRight');
  await expect.poll(async () => (await place(page)).join()).not.toBe((stood[1] as number[]).join());

  // On again, ten times as fast; energy given and taken by keys.
  await page.locator('[data-thing=vessel]').focus();
  await page.keyboard.press('p');
  await page.getByLabel('Pace of the bench clock').selectOption('10 times as fast');
  for (let trial = 3; trial <= 10; trial++) {
    const before = await gauge(page, 'E').textContent();
    await page.locator('[data-thing=vessel]').focus();
    await page.keyboard.press(trial === 5 ? 't' : 'g');
    await expect(gauge(page, 'E')).not.toHaveText(before ?? '');
    await page.keyboard.press('r');
    await expect(page.getByRole('button', { name: `Record all three again, trial ${trial}` })).toBeVisible();
  }
  await expect(page.getByText('Every step is done')).toBeVisible();

  // A page that is opened again holds it still until somebody is there.
  await page.reload();
  await atBench(page);
  await expect(page.getByText(/bench clock stood still while you were away/)).toBeVisible();
  const rest = await flightPs(page);
  await page.locator('[data-thing=vessel]').focus();
  await page.keyboard.press('p');
  await expect.poll(() => flightPs(page)).toBeGreaterThan(rest + 20);

  await page.getByRole('tab', { name: 'Working' }).click();
  await graphOf(page, 1, 'T', 'E');
  await graphOf(page, 2, 'r', 'v');

  await page.getByLabel('Calculation', { exact: true }).fill('k = mean(E) / mean(T) -> zJ/K');
  await page.keyboard.press('Enter');
  await expect(page.getByTestId('result')).toHaveText(/^= 0\.0207\d* zJ\/K$/);

  await prepare(page, 'What its energy of flight stands for', 'It grows by less than half');
  const number = async (label: string, text: string, unit?: string) => {
    await page.getByLabel(label, { exact: true }).fill(text);
    if (unit) await page.getByLabel(`Unit of: ${label}`).selectOption(unit);
  };
  await number('Twice the temperature: the energy becomes so many times as large', '2.00');
  await number('Twice the temperature: the speed becomes so many times as large', '1.41');
  await page
    .getByRole('button', { name: /^Take from the notebook/ })
    .nth(2)
    .click();
  await page.getByRole('button', { name: /^k 0\.0207/ }).click();
  // M = 2 E N_A / v², in grams.
  const molarMass = (2 * energy * 602_214) / speed ** 2;
  await number('Molar mass of the gas that the particle is of', molarMass.toPrecision(3), 'g/mol');
  const masses = {
    helium: 4,
    methane: 16.04,
    neon: 20.18,
    nitrogen: 28.01,
    oxygen: 32,
    argon: 39.95,
    'carbon dioxide': 44.01,
    krypton: 83.8,
    xenon: 131.3,
  };
  const [name = ''] = Object.entries(masses).find(([, mass]) => Math.abs(mass / molarMass - 1) < 0.01) ?? [];
  await page.getByLabel('Which gas is the particle of?').selectOption(name);
  await page.getByLabel('The energy against the temperature').selectOption({ label: 'Graph 1' });
  await page.getByLabel('The speed against the root of the temperature').selectOption({ label: 'Graph 2' });
  for (const [label, text] of [
    ['Working', 'The mass is twice the energy over the square of the speed.'],
    ['Claim', 'The energy doubles with the temperature, the speed does not.'],
    [
      'Evidence and reasoning',
      'The energy lies on a line with the temperature through the origin, the speed with its root.',
    ],
    ['How do you know?', 'Both lines went through all ten points.'],
  ] as const)
    await page.getByLabel(label, { exact: true }).fill(text);
  await page.getByRole('radio', { name: 'Tell from a graph what is proportional' }).check();
  await page.getByRole('button', { name: 'Hand in' }).click();
  const told = page.getByTestId('told');
  await expect(told).toContainText('Right.');
  await expect(told.getByText(/Within 1 %/)).toHaveCount(4);

  // The teacher reads it, and walks back to the vessel as it was.
  await teacher.goto(assignmentUrl);
  await teacher.getByRole('link', { name: 'Sanne Fleck' }).click();
  await expect(teacher.getByText(/gave it 1 zJ/).first()).toBeVisible();
  await expect(teacher.getByText(new RegExp(`^${name}, `))).toBeVisible();
  await teacher.getByText(/^Taken from the notebook: k/).click();
  const step = teacher.getByTestId('trace').getByRole('listitem').filter({ hasText: 'T, trial 2' }).last();
  await step.getByRole('button', { name: 'the bench then' }).click();
  const then = teacher.getByTestId('moment');
  await expect(then.getByTestId('gauge-T')).toHaveText((2 * task).toFixed(1));
  // Where it stood when the clock was stopped: seen from where everybody looks first, that is where it was drawn then.
  const [cx, cy] = stood[1] as [number, number];
  expect(Number(await then.getByTestId('particle').getAttribute('cx'))).toBeCloseTo(cx, 0);
  expect(Number(await then.getByTestId('particle').getAttribute('cy'))).toBeCloseTo(cy, 0);
  await page.goto(`/runs/${runIdOf(page)}/print`);
  await expect(page.getByText('Readings, in the order taken')).toBeVisible();
  await expect(page.getByText(`${task.toFixed(1)} K`).first()).toBeVisible();
});
