import { DISSOLVING } from '../core/databook/freezing';
import { expect, test } from './test';
import { linesThrough, logOf, notices, pace, stretches, untilTube, weighs, writesReport } from './heat-bench';
import { amount, paste, prepare, select, studentBegins, teacherSets, verb, working } from './helpers';

test(
  'a molar mass by freezing: pure and solution, two crossings, their difference, the name handed in',
  { tag: '@long' },
  async ({ browser }) => {
    test.slow();
    const { teacher, code, assignmentUrl } = await teacherSets(browser, undefined, 'A molar mass by freezing');
    const page = await studentBegins(browser, code, 'Frey Hollin');
    const [, solvent = '', solute = ''] =
      /about (\d+) g of .* about ([\d.]+) g of the unknown/.exec(
        (await page.getByTestId('task').textContent()) ?? '',
      ) ?? [];

    // The wrong way first: each gets a sentence, and nothing is lost.
    await select(page, 'cold');
    await amount(page, 'Set it to, amount in °C', '1000000');
    await expect(notices(page)).toContainText('from −30 to 60 °C');
    await select(page, 'substance');
    await amount(page, 'Put into the tube, about, amount in g', '0');
    await expect(notices(page)).toContainText('between 2 and 40 g');

    const empty = await weighs(page, 'tube', /^Record the mass of the empty tube/);
    await select(page, 'substance');
    await amount(page, 'Put into the tube, about, amount in g', solvent);
    const full = await weighs(page, 'tube', /^Record the mass of the tube with the solvent/);
    await select(page, 'thermo:1');
    await verb(page, 'In the tube');
    await select(page, 'bath');
    await amount(page, 'Set it to, amount in °C', '66');
    await select(page, 'cold');
    await amount(page, 'Set it to, amount in °C', '38');
    await select(page, 'tube');
    await verb(page, 'Put the air jacket on');

    const melted = async () => {
      await select(page, 'tube');
      await verb(page, 'Tube in the hot bath');
      await untilTube(page, /all of it molten/);
      await page.waitForTimeout(3000);
      await pace(page, 10);
    };
    const frozen = async () => {
      await select(page, 'tube');
      await verb(page, 'Tube in the cold bath');
      await untilTube(page, /about [3-9] tenths frozen/);
      await pace(page, 10);
    };
    await melted();
    await verb(page, 'Stirred by motor');
    await select(page, 'log');
    await amount(page, 'Log every, amount in s', '5');
    await frozen();

    await melted();
    await verb(page, 'Tube on its stand');
    await select(page, 'jar');
    await amount(page, 'Take some of it, about, amount in g', solute);
    const withIt = await weighs(page, 'boat', /^Record the mass of the boat with the unknown/);
    await select(page, 'boat');
    await verb(page, 'Tip it into the tube');
    const without = await weighs(page, 'boat', /^Record the mass of the boat afterwards/);
    await select(page, 'tube');
    await verb(page, 'Tube in the hot bath');
    await expect(page.locator('[data-thing=tube]')).not.toHaveAccessibleName(/undissolved/, { timeout: 60_000 });
    await frozen();
    await select(page, 'log');
    await verb(page, 'End the log');

    // Four lines, two to a freezing, each over a stretch that is typed.
    const log = await logOf(page);
    const [pure, solution] = [stretches(log, '1', 56), stretches(log, '2', 56)];
    const crossing = await linesThrough(page, [pure.cooling, pure.freezing, solution.cooling, solution.freezing]);
    const [first, second] = [await crossing(1), await crossing(3)];
    expect(Math.abs(first.T - 53.09)).toBeLessThan(0.2);
    expect(first.error).toBeLessThan(0.1);
    const depression = first.T - second.T;
    expect(depression).toBeGreaterThan(0.7);
    const molar = (1000 * 7.57 * (withIt - without)) / (full - empty) / depression;
    const pool = ['naphthalene', 'biphenyl', 'benzophenone', 'benzil', 'triphenylmethane', 'docosane'];
    const named = DISSOLVING.filter(({ id }) => pool.includes(id)).reduce((a, b) =>
      Math.abs(b.molarMassGPerMol - molar) < Math.abs(a.molarMassGPerMol - molar) ? b : a,
    );

    await prepare(page, 'The particles for each kilogram of solvent', 'becomes about twice as large');
    await page.getByLabel('Molar mass of the unknown', { exact: true }).fill(molar.toPrecision(3));
    await page.getByLabel('Unit of: Molar mass of the unknown').selectOption('g/mol');
    await page.getByLabel('What is the unknown?').selectOption(named.name);
    await writesReport(page, [
      'Two crossings, their difference, the molality, the molar mass.',
      `What was in the jar is ${named.name}, by its molar mass.`,
      'Each line runs through its own stretch, and the molar mass lies nearest to that of this name.',
      'My crossings are certain to a hundredth.',
    ]);
    await page.getByRole('radio', { name: 'Tell molality from concentration' }).check();
    await page.getByRole('button', { name: 'Hand in' }).click();
    await expect(page.getByTestId('told')).toContainText(/Within (4|8|15) %/);
    await expect(page.getByTestId('told')).toContainText(/Right|not rule/);

    await teacher.goto(assignmentUrl);
    await expect(teacher.getByRole('row', { name: /Frey Hollin/ })).toContainText(named.name);
  },
);

/** A cooling that freezes at 53.1 °C after 90 s: falls by 0.08 K/s, then stands. */
const READY = Array.from({ length: 24 }, (_, i) => [String(10 * i), (i < 9 ? 60.3 - 0.8 * i : 53.1).toFixed(1)]);
const rowsBy = (by: string, lead: string[] = []) => READY.map((cells) => [...lead, ...cells].join(by)).join('\n');
const BLOCKS: [string, string][] = [
  ['tabs', `t / s\tT / °C\n${rowsBy('\t')}`],
  ['semicolons and decimal commas', `t (s);T (°C)\n${rowsBy(';').replaceAll('.', ',')}`],
  ['two lines of headings', `t\tT\ns\t°C\n${rowsBy('\t')}`],
  ['units in brackets and a title', `Cooling of tube 3\t\nt [s]\tT [°C]\n${rowsBy('\t')}`],
  ['blank rows', `t / s\tT / °C\n\n${rowsBy('\t').replace('\n120', '\n\t\n\n120')}\n\n`],
  ['a shifted column', `\tt / s\tT / °C\n${rowsBy('\t', [''])}`],
];

test('a ready series pasted in six shapes is the same table each time, and its bend is found with one press', async ({
  browser,
}) => {
  test.slow();
  const { code } = await teacherSets(browser, undefined, 'A substance by its freezing point');
  const context = await browser.newContext({ permissions: ['clipboard-read', 'clipboard-write'] });
  const page = await studentBegins({ newContext: async () => context }, code, 'Pia Reedmace');
  await working(page);
  for (const [i, [what, block]] of BLOCKS.entries()) {
    await page.getByRole('button', { name: 'Paste a table' }).click();
    await page.getByLabel(/Copy the cells/).focus();
    await paste(page, block);
    const table = page.getByRole('region', { name: `table: Table ${i + 1}`, exact: true });
    await expect(table, what).toBeVisible();
    await expect(table.getByRole('columnheader').nth(1), what).toContainText('t / s');
    await expect(table.getByRole('columnheader').nth(2), what).toContainText('T / °C');
    await expect(table.getByLabel('t, row 1', { exact: true }), what).toHaveValue('0');
    await expect(table.getByLabel('T, row 1', { exact: true }), what).toHaveValue('60.3');
    await expect(table, what).toContainText(/pasted|24 rows/);
  }
  await page.getByRole('button', { name: 'New graph' }).click();
  const graph = page.getByRole('region', { name: 'graph: Graph 1' });
  await graph.getByRole('button', { name: 'Lines before and after the bend' }).click();
  const found = /t = ([\d.]+).* T = ([\d.]+)/.exec((await graph.getByTestId('crossing-1').textContent()) ?? '');
  expect(Math.abs(Number(found?.[1]) - 90)).toBeLessThan(2);
  expect(Math.abs(Number(found?.[2]) - 53.1)).toBeLessThan(0.1);

  // What stands at the ends of a stretch goes into the report by picking, as the crossing does.
  await page.getByRole('tab', { name: 'Report' }).click();
  await page.getByRole('button', { name: /^Take from the notebook: Freezing temperature/ }).click();
  await expect(page.getByRole('button', { name: /^last t of line 1/ })).toContainText(/(80|90) s/);
  await page.getByRole('button', { name: /^T where lines 1 and 2 cross/ }).click();
  await expect(page.getByLabel('Freezing temperature', { exact: true })).toHaveValue(/^53\.1/);
});
