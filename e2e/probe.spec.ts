import { expect, test } from './test';
import { amount, select, studentBegins, teacherSets, verb } from './helpers';

test('a pH probe is calibrated and logs a curve by itself, which is drawn as it grows', async ({ browser }) => {
  test.slow();
  const { code } = await teacherSets(browser, async (teacher) => {
    await teacher.getByLabel('Probe on the tray').selectOption('pH');
  });
  const page = await studentBegins(browser, code, 'Ida Marram');
  const probe = (place: string) => page.getByRole('button', { name: `Probe: ${place}`, exact: true }).click();
  const display = page.getByTestId('ph-display');
  const settled = async (near: number) =>
    expect
      .poll(async () => Math.abs(Number(await display.textContent()) - near), { timeout: 20_000 })
      .toBeLessThan(0.04);

  await select(page, 'probe');
  await expect(page.getByTestId('verbs')).toContainText('Not calibrated');
  for (const buffer of ['7.00', '4.01']) {
    await probe(`buffer ${buffer}`);
    // Until it is calibrated it may show something else; what it shows comes to rest.
    let before = '';
    await expect
      .poll(
        async () => {
          const now = (await display.textContent()) ?? '';
          const isStill = now !== '–' && now === before;
          before = now;
          return isStill;
        },
        { timeout: 20_000, intervals: [1500] },
      )
      .toBe(true);
    await verb(page, 'Calibrate here');
    await settled(Number(buffer));
  }
  await expect(page.getByTestId('verbs')).toContainText('Calibrated in 7.00 and 4.01');

  await select(page, 'titrant');
  await amount(page, 'Fill the burette to, amount in mL', '0.50');
  await select(page, 'pipette');
  await verb(page, 'Fill the pipette to its mark');
  await verb(page, 'Let it run into the flask');
  await select(page, 'flask');
  await verb(page, 'Keep swirling');
  await select(page, 'probe');
  await probe('flask');
  await expect(display).toHaveText(/^[123]\.\d\d$/);
  await page.keyboard.press('r');
  await page.getByRole('tab', { name: 'Readings' }).click();
  await expect(page.getByText(/pH meter, trial 1/)).toBeVisible();
  await amount(page, 'Log every, amount in mL', '0.5');

  await page.getByRole('tab', { name: 'Working' }).click();
  const table = page.getByRole('region', { name: 'table: pH curve' });
  await expect(table).toContainText('logged at the bench');
  await page.getByRole('button', { name: 'New graph' }).click();
  const graph = page.getByRole('region', { name: 'graph: Graph 1' });
  await select(page, 'burette');
  await page.getByRole('button', { name: 'Tap stream' }).click();
  // The table grows and the graph with it, while the titrant runs.
  await expect.poll(() => table.getByRole('row').count(), { timeout: 20_000 }).toBeGreaterThan(8);
  const before = await graph.getByTestId('plot').innerHTML();
  await expect.poll(() => table.getByRole('row').count(), { timeout: 20_000 }).toBeGreaterThan(14);
  await expect.poll(() => graph.getByTestId('plot').innerHTML()).not.toBe(before);
  await page.getByRole('button', { name: 'Tap closed' }).click();
  await graph.getByText('Columns and axes').click();
  await graph.getByLabel('as, series 1 of Graph 1').selectOption('first derivative');
  await expect(graph.getByText('dpH/dV / 1/mL')).toBeVisible();
  await page.reload();
  await page.getByRole('tab', { name: 'Working' }).click();
  await expect.poll(() => table.getByRole('row').count()).toBeGreaterThan(14);
});
