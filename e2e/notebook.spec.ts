import { readFileSync } from 'node:fs';
import type { Locator, Page } from '@playwright/test';
import { expect, test } from './test';
import {
  atBench,
  paste,
  recordReading,
  select,
  studentBegins,
  teacherSets,
  titrate,
  verb,
  working,
  writeReport,
} from './helpers';

/** Drags over a part of a graph, from one share of its width to another. */
async function dragOver(page: Page, graph: Locator, from: number, to: number): Promise<void> {
  const hand = graph.getByTestId('graph-hand');
  await hand.scrollIntoViewIfNeeded();
  const box = await hand.boundingBox();
  if (!box) throw new Error('the graph is not there');
  const y = box.y + box.height / 2;
  await page.mouse.move(box.x + box.width * from, y);
  await page.mouse.down();
  await page.mouse.move(box.x + (box.width * (from + to)) / 2, y);
  await page.mouse.move(box.x + box.width * to, y);
  await page.mouse.up();
}

// Falls by 2.0 a minute to 8, then by 0.1: the stretches meet at t = 6.0, T = 8.0. Scatter of a few hundredths.
const SCATTER = [0.02, -0.03, 0.01, 0.02, -0.02, 0.01, 0.03, -0.01, 0, -0.02, 0.02, 0.01];
const COOLING = SCATTER.map((error, t) => [t, (t < 6 ? 20 - 2 * t : 8.6 - 0.1 * t) + error] as const);
const BLOCK = [
  'Zeit t / min\tTemperatur T (°C)',
  ...COOLING.map(([t, T]) => `${t}\t${T.toFixed(2).replace('.', ',')}`),
];

test('a cooling table from a spreadsheet: two stretches, a point moved between them, their crossing reported', async ({
  browser,
}) => {
  test.slow();
  const { code } = await teacherSets(browser);
  const context = await browser.newContext({
    locale: 'de-DE',
    permissions: ['clipboard-read', 'clipboard-write'],
  });
  const page = await studentBegins({ newContext: async () => context }, code, 'Marl Sandlark');
  await working(page);
  await page.getByRole('button', { name: 'Paste a table' }).click();
  await page.getByLabel(/Copy the cells/).focus();
  await paste(page, BLOCK.join('\r\n'));
  const table = page.getByRole('region', { name: 'table: Table 1' });
  await expect(table.getByLabel('T, row 1', { exact: true })).toHaveValue('20.02');
  await expect(table.getByRole('columnheader').nth(2)).toContainText('T / °C');

  await page.getByRole('button', { name: 'New graph' }).click();
  const graph = page.getByRole('region', { name: 'graph: Graph 1' });
  await graph.getByLabel('Line over a stretch').check();
  await dragOver(page, graph, 0.005, 0.52);
  await expect(page.getByTestId('line-1')).toContainText('7 points');
  await dragOver(page, graph, 0.55, 0.99);
  await expect(page.getByTestId('line-2')).toContainText('5 points');
  const crossing = page.getByTestId('crossing-1');
  const before = await crossing.textContent();
  // The point at t = 6 belongs to the second stretch: pointed at by arrow keys, moved by a press.
  await graph.getByLabel('Point at').check();
  await graph.getByTestId('graph-hand').focus();
  for (let i = 0; i < 7; i++) await page.keyboard.press('ArrowRight');
  await expect(page.getByTestId('point')).toContainText('t = 6 min');
  await page.getByRole('button', { name: 'Move to line 2' }).click();
  await expect(page.getByTestId('line-1')).toContainText('6 points');
  await expect(page.getByTestId('line-2')).toContainText('6 points');
  await expect(crossing).not.toHaveText(before ?? '');
  const [, t, tError, T, TError] =
    /t = ([\d.]+).±.([\d.]+) min, T = ([\d.]+).±.([\d.]+)/.exec((await crossing.textContent()) ?? '') ?? [];
  expect(Math.abs(Number(t) - 6)).toBeLessThan(3 * Number(tError));
  expect(Math.abs(Number(T) - 8)).toBeLessThan(3 * Number(TError));
  expect(Number(tError)).toBeLessThan(0.05);

  // Into the report, with its uncertainty and its way back.
  await page.getByRole('tab', { name: 'Report' }).click();
  await page.getByRole('button', { name: /^Take from the notebook/ }).click();
  await page.getByRole('button', { name: /^t where lines 1 and 2 cross/ }).click();
  await expect(page.getByLabel('Concentration of the acid', { exact: true })).toHaveValue(`${t} ± ${tError}`);
  await page.getByText('Taken from the notebook: t where').click();
  await expect(page.getByTestId('trace')).toContainText('T, row 1 20.02 °C pasted in');

  // The bend in one press: two lines more, which meet where those by hand do; taken away again.
  await working(page);
  await graph.getByRole('button', { name: 'Lines before and after the bend' }).click();
  await expect(page.getByTestId('line-4')).toContainText(/[567] points/);
  const meets = /t = ([\d.]+)/.exec((await page.getByTestId('crossing-3').textContent()) ?? '')?.[1];
  expect(Math.abs(Number(meets) - 6)).toBeLessThan(0.1);
  for (const number of [4, 3]) await graph.getByRole('button', { name: `Remove line ${number}` }).click();
  await expect(page.getByTestId('line-3')).toBeHidden();

  // And out again as it came.
  await working(page);
  await page.getByRole('button', { name: 'Copy Table 1' }).click();
  await expect(page.getByRole('button', { name: 'Copy Table 1' })).toHaveText('Copied');
  const copied = await page.evaluate(() => navigator.clipboard.readText());
  expect(copied.replaceAll('\r', '')).toBe(BLOCK.join('\n').replace('(°C)', '/ °C'));
  const download = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Table 1 as CSV' }).click();
  expect(readFileSync(await (await download).path(), 'utf8')).toContain(
    'Zeit t / min,Temperatur T / °C\r\n0,20.02\r\n',
  );
});

test('a titration through the notebook, handed in and printed; the teacher walks back to the reading and the bench then', async ({
  browser,
}) => {
  test.slow();
  const { teacher, code, assignmentUrl } = await teacherSets(browser);
  const page = await studentBegins(browser, code, 'Ida Marram');
  const rough = await titrate(page, 12);
  const roughTitre = Number(rough.last) - Number(rough.first);
  await select(page, 'flask');
  await verb(page, /next trial/);
  const careful = await titrate(page, Number((roughTitre - 0.9).toFixed(2)));
  const titre = (Number(careful.last) - Number(careful.first)).toFixed(2);

  await working(page);
  const titres = page.getByRole('region', { name: 'table: Titres' });
  await titres.getByRole('button', { name: 'trial 1: leave out' }).click();
  await page.getByLabel('Leave trial 1 out, because').fill('rough');
  await page.getByRole('button', { name: 'Leave out', exact: true }).click();
  await expect(titres.getByText('left out: rough')).toBeVisible();
  await page.getByLabel('Calculation', { exact: true }).fill('c = 0.1000 mol/L * mean(V_T) / 25.00 mL');
  await page.keyboard.press('Enter');
  const c = ((Number(titre) * 0.1) / 25).toPrecision(4);
  await expect(page.getByTestId('result')).toHaveText(`= ${c} mol/L`);

  await page.getByRole('button', { name: 'Snapshot of the bench' }).click();
  const sheet = page.getByTestId('sheet');
  await expect(page.getByRole('region', { name: 'sketch: Snapshot 1' }).getByText(/Read by then/)).toContainText(
    `last, ${careful.last} mL`,
  );
  await page.getByRole('radio', { name: 'Label' }).check();
  await sheet.click({ position: { x: 60, y: 50 } });
  await page.getByLabel('Text of the label').fill('the end point');
  await page.keyboard.press('Enter');
  await page.getByRole('radio', { name: 'Arrow' }).check();
  await sheet.focus();
  for (const key of ['ArrowLeft', 'Enter', 'ArrowLeft', 'ArrowLeft', 'ArrowDown', 'Enter'])
    await page.keyboard.press(key);
  await expect(sheet.locator('text')).toHaveText('the end point');

  await writeReport(page);
  await page.getByRole('button', { name: /^Take from the notebook/ }).click();
  await page.getByRole('button', { name: `c ${c} mol/L` }).click();
  await page.getByRole('button', { name: 'Hand in' }).click();
  await expect(page.getByTestId('told')).toContainText(/Within (0.5|1) %/);

  const paper = await page.context().newPage();
  await paper.goto(`${page.url()}/print`);
  await expect(paper.getByRole('heading', { name: 'Readings, in the order taken' })).toBeVisible();
  await expect(paper.getByRole('img', { name: /Snapshot 1, labelled: the end point/ })).toBeVisible();
  expect((await paper.pdf({ format: 'A4' })).length).toBeGreaterThan(20_000);

  await teacher.goto(assignmentUrl);
  await teacher.getByRole('link', { name: 'Ida Marram' }).click();
  await teacher.getByText(/^Taken from the notebook: c/).click();
  const way = teacher.getByTestId('trace');
  await expect(way).toContainText(`V_T, trial 2 ${titre} mL V_2 - V_1`);
  const step = way.getByRole('listitem').filter({ hasText: `V_2, trial 2` }).last();
  await expect(step).toContainText(`${careful.last} mL`);
  await step.getByRole('button', { name: 'the bench then' }).click();
  await expect(teacher.getByTestId('moment').getByRole('img', { name: /meniscus lies/ })).toBeVisible();
});

test('nonsense gets a sentence and changes nothing else', async ({ browser }) => {
  const { code } = await teacherSets(browser);
  const page = await studentBegins(browser, code, 'Tove Rill');
  await working(page);
  await page.getByRole('button', { name: 'Paste a table' }).click();
  await page.getByLabel(/Copy the cells/).fill('a poem\nof two lines');
  await page.getByRole('button', { name: 'Make a table of it' }).click();
  await expect(page.getByRole('alert')).toContainText('no number');
  await page.getByLabel(/Copy the cells/).fill('m / g\tV / mL\n7.91\t1.0\n16.02\t2.0');
  await page.getByRole('button', { name: 'Make a table of it' }).click();
  const table = page.getByRole('region', { name: 'table: Table 1' });
  await table.getByRole('button', { name: 'Add a column to Table 1' }).click();
  const form = page.getByRole('form', { name: 'New column' });
  for (const [formula, unit, sentence] of [
    ['m / ', '', /cannot be read/],
    ['m / V', 'spoons', /not a unit/],
    ['sin(m)', '', /not a function/],
  ] as const) {
    await form.getByLabel('Symbol').fill('d');
    await form.getByLabel('Formula').fill(formula);
    await form.getByLabel('Unit').fill(unit);
    await form.getByRole('button', { name: 'Add the column' }).click();
    await expect(form.getByRole('alert')).toContainText(sentence);
  }
  await form.getByLabel('Formula').fill('m / V');
  await form.getByLabel('Unit').fill('mol');
  await form.getByRole('button', { name: 'Add the column' }).click();
  await expect(table.getByText('cannot be given in mol').first()).toBeVisible();
  await table.getByRole('button', { name: 'Column d: change' }).click();
  await page.getByRole('form', { name: 'Column d' }).getByLabel('Unit').fill('g/mL');
  await page.getByRole('form', { name: 'Column d' }).getByLabel('Digits').selectOption('5');
  await page.getByRole('button', { name: 'Save the column' }).click();
  await expect(table).toContainText('shows 5 digits, and its data carry 2');
  await table.getByLabel('V, row 2', { exact: true }).fill('two');
  await table.getByLabel('V, row 2', { exact: true }).press('Enter');
  await expect(table.getByText('“two” is not a number.')).toBeVisible();
  await expect(table.getByText('7.9100')).toBeVisible();
  await page
    .getByLabel('Table from a file')
    .setInputFiles({ name: 'x.csv', mimeType: 'text/csv', buffer: Buffer.from([0, 1, 2, 255]) });
  await expect(page.getByRole('alert')).toContainText('not text');
  await page.getByRole('button', { name: 'Remove Table 1' }).click();
  await page.getByRole('button', { name: 'Put it back' }).click();
  await expect(table.getByLabel('V, row 2', { exact: true })).toHaveValue('two');
});

test('two tabs on one notebook lose nothing, and five thousand rows stay usable', async ({ browser }) => {
  test.slow();
  const { code } = await teacherSets(browser);
  const one = await studentBegins(browser, code, 'Nan Drift');
  const two = await one.context().newPage();
  await two.goto(one.url());
  await atBench(two);
  await working(one);
  await working(two);
  await one.getByLabel('Calculation', { exact: true }).fill('a = 1.50 g');
  await one.keyboard.press('Enter');
  await two.getByLabel('Calculation', { exact: true }).fill('b = 2.50 g');
  await two.keyboard.press('Enter');
  for (const tab of [one, two])
    await expect
      .poll(
        () =>
          tab
            .getByLabel('Calculation, kept')
            .evaluateAll((lines) => lines.map((line) => (line as HTMLInputElement).value).sort()),
        { timeout: 20_000 },
      )
      .toEqual(['a = 1.50 g', 'b = 2.50 g']);

  // One cell in both: it is told, and what does not hold can be had.
  await one.getByRole('button', { name: 'Paste a table' }).click();
  await one.getByLabel(/Copy the cells/).fill('m / g\tV / mL\n7.91\t1.0');
  await one.getByRole('button', { name: 'Make a table of it' }).click();
  const cellIn = (tab: Page) => tab.getByLabel('V, row 1', { exact: true }).last();
  await expect(cellIn(two)).toHaveValue('1.0');
  // Both without a network, so that neither sees the other's.
  await two.context().setOffline(true);
  await cellIn(two).fill('3.3');
  await cellIn(two).press('Enter');
  await cellIn(one).fill('2.2');
  await cellIn(one).press('Enter');
  await two.context().setOffline(false);
  const isTold = (tab: Page) => tab.getByText('One cell was filled in two tabs.').isVisible();
  await expect.poll(async () => (await isTold(one)) || (await isTold(two)), { timeout: 40_000 }).toBe(true);
  const told = (await isTold(two)) ? two : one;
  const holds = await cellIn(told).inputValue();
  await told.getByRole('button', { name: `Take “${holds === '2.2' ? '3.3' : '2.2'}”` }).click();
  for (const tab of [one, two]) await expect(cellIn(tab)).toHaveValue(holds === '2.2' ? '3.3' : '2.2');

  const rows = Array.from({ length: 5000 }, (_, i) => `${i}\t${(20 + Math.sin(i / 300)).toFixed(3)}`);
  await one.getByLabel('Table from a file').setInputFiles({
    name: 'long.csv',
    mimeType: 'text/csv',
    buffer: Buffer.from(['t / s\tT / °C', ...rows].join('\n')),
  });
  const table = one.getByRole('region', { name: 'table: long' });
  await expect(table.getByText('from a file, 5000 rows')).toBeVisible();
  await table.getByLabel('T, row 3', { exact: true }).fill('21.000');
  await table.getByLabel('T, row 3', { exact: true }).press('Enter');
  await expect(table.getByLabel('T, row 4', { exact: true })).toBeFocused();
  await expect(one.getByText('Kept.')).toBeVisible({ timeout: 30_000 });
  await one.reload();
  await working(one);
  await expect(table.getByLabel('T, row 3', { exact: true })).toHaveValue('21.000');
});

test('a teacher composes a report from an empty one, and changes it after some have begun', async ({ browser }) => {
  const { teacher, code, assignmentUrl } = await teacherSets(browser);
  await teacher.goto(assignmentUrl);
  await teacher.getByRole('link', { name: 'What the report asks for' }).click();
  await teacher.getByRole('button', { name: 'Begin empty' }).click();
  await teacher.getByRole('button', { name: 'A number', exact: true }).click();
  await teacher.getByRole('button', { name: 'A name from a list' }).click();
  await teacher.getByRole('button', { name: 'A short text' }).click();
  await teacher.getByRole('button', { name: 'Save' }).click();
  await expect(teacher.getByRole('alert').first()).toContainText('Nothing was saved yet');
  await teacher
    .getByRole('listitem', { name: 'Question 3' })
    .getByLabel('Question', { exact: true })
    .fill('What surprised you?');
  await teacher.getByRole('button', { name: 'Save' }).click();
  await expect(teacher.getByText('Saved.')).toBeVisible();

  const page = await studentBegins(browser, code, 'Ebb Lantern');
  await recordReading(page, '1.00');
  await page.getByRole('tab', { name: 'Report' }).click();
  await page.getByLabel('What surprised you?').fill('That it turned all at once, after one drop.');
  await expect(page.getByText('Kept.')).toBeVisible();

  await teacher.getByRole('button', { name: 'Remove question 2' }).click();
  await teacher.getByRole('button', { name: 'Question 2 up' }).click();
  await teacher.getByRole('button', { name: 'A whole-number ratio' }).click();
  await teacher.getByRole('button', { name: 'Save' }).click();
  await expect(teacher.getByText('Saved.')).toBeVisible();
  await page.reload();
  await page.getByRole('tab', { name: 'Report' }).click();
  await expect(page.getByLabel('What surprised you?')).toHaveValue('That it turned all at once, after one drop.');
  await expect(page.getByLabel('Name of the acid')).toHaveCount(0);
  await page.getByLabel('Ratio of acid to base in the reaction').fill('2 : 2');
  await page.getByLabel('Concentration of the acid', { exact: true }).fill('0.1 mol/L');
  await page.getByRole('button', { name: 'Hand in' }).click();
  await expect(page.getByRole('alert').filter({ hasText: 'no titre' })).toBeVisible();
});
