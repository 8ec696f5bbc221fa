import { expect, test } from './test';
import { settles } from './heat-bench';
import { prepare, studentBegins, teacherSets, flaskColour, readLoupe } from './helpers';
import { boxOf, expectRoom, Finger, middleOf, touched } from './finger';

/** By finger alone: whatever a hand does with a mouse, to the hand-in, in both families. */

test('a liquid is weighed, poured, read, plotted and named by finger', { tag: '@long' }, async ({ browser }) => {
  test.slow();
  const { code } = await teacherSets(
    browser,
    async (page) => {
      for (const name of ['hexane', 'propan-2-ol', 'ethanol', 'toluene', 'ethyl acetate', 'glycerol'])
        await page.getByLabel(name, { exact: true }).uncheck();
    },
    'Which liquid is in the bottle',
  );
  const page = await studentBegins(touched(browser), code, 'Ida Marram');
  const finger = await Finger.on(page);
  const url = page.url();
  const display = page.getByTestId('balance-display');

  // The empty cylinder is carried onto the balance.
  await finger.carry('vessel:4', 'balance');
  await expect(display).not.toHaveText(/^[−-]?0\.0\d$/);
  await settles(page);
  await finger.select('balance');
  await finger.verb('Record mass of the empty vessel, trial 1');
  await finger.verb('Take all off');

  const density: number[] = [];
  for (const trial of [1, 2]) {
    // The bottle is held over the cylinder, and tilted for as long as the finger holds.
    await finger.carry('vessel:1', 'vessel:4');
    await finger.slide(page.getByLabel('Tilt'), 0.5, 1800);
    await expect(page.getByText('0°')).toBeVisible();
    // The eye is brought level, however high it was.
    await finger.slide(page.getByLabel('Height of the eye over the surface, mm'), 0.5);
    await expect
      .poll(() => page.getByTestId('loupe').getByRole('img').getAttribute('aria-label'))
      .toMatch(/rings fall together/);
    const words = (await page.getByTestId('loupe').getByRole('img').getAttribute('aria-label')) ?? '';
    const [, tenths = '0', line = ''] = /(?:(\d+) tenths of the way from|on) the line ([\d.]+)/.exec(words) ?? [];
    const volume = (Number(line) + Number(tenths) / 10).toFixed(1);
    await finger.type(page.getByTestId('loupe').getByLabel(`volume, trial ${trial}`, { exact: true }), volume);
    await finger.carry('vessel:4', 'balance');
    await settles(page);
    await finger.select('balance');
    await finger.verb(`Record mass with the liquid, trial ${trial}`);
    const full = Number(await display.textContent());
    await finger.verb('Take all off');
    await page.getByRole('tab', { name: 'Readings' }).tap();
    const empty = Number(await page.getByRole('row', { name: /^1 / }).locator('td').nth(1).textContent());
    density.push((full - empty) / Number(volume));
  }

  // A finger over the graph draws a line there, and the page stays.
  await page.getByRole('tab', { name: 'Working' }).tap();
  await page.getByRole('button', { name: 'New graph' }).tap();
  await page.getByLabel('Line over a stretch').tap();
  const hand = page.getByTestId('graph-hand');
  await hand.scrollIntoViewIfNeeded();
  const { x, y, width, height } = await boxOf(hand);
  await finger.drag({ x: x + 4, y: y + height / 2 }, { x: x + width - 4, y: y + height / 2 });
  await expect(page.getByTestId('line-1')).toContainText(/V from [0-9. ]*to/);
  expect(page.url()).toBe(url);

  // The knob between the pages.
  const before = (await boxOf(page.getByTestId('bench'))).width;
  const seam = await middleOf(page.getByRole('separator'));
  await finger.drag({ x: seam.x + 9, y: seam.y }, { x: seam.x - 140, y: seam.y });
  await expect.poll(async () => (await boxOf(page.getByTestId('bench'))).width).toBeLessThan(before - 60);

  await expectRoom(page, ['Brief', 'Readings', 'Working', 'Report']);
  await prepare(page, 'The difference is the mass of the liquid alone', 'The same');
  const mean = density.reduce((a, b) => a + b, 0) / density.length;
  await page.getByLabel('Density of A', { exact: true }).fill(mean.toFixed(3));
  await page.getByLabel('Unit of: Density of A').selectOption('g/mL');
  await page.getByLabel('What is A?').selectOption('water');
  for (const [label, text] of [
    ['Working', 'Mass of the liquid divided by its volume.'],
    ['Claim', 'The liquid is one of those in the data book.'],
    ['Evidence and reasoning', 'The density of both trials agrees within what the scale of the cylinder tells.'],
    ['How do you know?', 'I read the scale with the eye level.'],
  ] as const)
    await page.getByLabel(label, { exact: true }).fill(text);
  await page.getByRole('radio', { name: 'Weigh by difference' }).tap();
  await page.getByRole('button', { name: 'Hand in' }).tap();
  await expect(page.getByTestId('told')).toContainText(/Density of A.*Within [0-9.]+ %/s);
});

test('an acid is titrated by finger', async ({ browser }) => {
  test.slow();
  const { code } = await teacherSets(browser);
  const page = await studentBegins(touched(browser), code, 'Jory Lyme');
  const finger = await Finger.on(page);
  // The bottle is carried to the burette, and poured for as long as the finger holds.
  await finger.carry('titrant', 'burette');
  await finger.select('titrant');
  await finger.type(page.getByLabel('Fill the burette to, amount in mL'), '1');
  const first = await readLoupe(page);
  await finger.type(page.getByTestId('loupe').getByLabel('first, trial 1', { exact: true }), first);
  await finger.carry('pipette', 'sample');
  await finger.carry('pipette', 'flask');
  await expect(page.getByTestId('into-flask')).toBeVisible();
  await finger.carry('indicator:phenolphthalein', 'flask');
  await finger.select('flask');
  await finger.verb('Keep swirling');
  await finger.select('burette');
  await finger.type(page.getByLabel('Let in, amount in mL'), '15');
  for (let i = 0; i < 60 && !/pink/.test((await flaskColour(page)) ?? ''); i++)
    await finger.type(page.getByLabel('Let in, amount in mL'), '0.5');
  const last = await readLoupe(page);
  await finger.type(page.getByTestId('loupe').getByLabel('last, trial 1', { exact: true }), last);
  await expectRoom(page, ['Brief', 'Readings', 'Working', 'Report']);
  await page.getByRole('tab', { name: 'Readings' }).tap();
  await expect(page.getByTestId('mean')).toHaveText((Number(last) - Number(first)).toFixed(2));
  const molPerL = ((Number(last) - Number(first)) * 0.1) / 25;
  await prepare(page, 'The volume of titrant that just reacts with the sample', 'About as concentrated');
  await page.getByLabel('Concentration of the acid', { exact: true }).fill(molPerL.toFixed(4));
  await page.getByLabel('Unit of: Concentration of the acid').selectOption('mol/L');
  for (const [label, text] of [
    ['Working', 'The same amount of acid as of base, in 25 mL.'],
    ['Claim', 'My acid is about as strong as the titrant.'],
    ['Evidence and reasoning', 'The titre was read to a tenth of a division, so the result can be trusted to that.'],
    ['How do you know?', 'Half a millilitre was enough to turn it, once.'],
  ] as const)
    await page.getByLabel(label, { exact: true }).fill(text);
  await page.getByRole('radio', { name: 'Catch an end point to a drop' }).tap();
  await page.getByRole('button', { name: 'Hand in' }).tap();
  await expect(page.getByTestId('told')).toContainText(/Within [0-9.]+ %/);
});
