import AxeBuilder from '@axe-core/playwright';
import type { Browser, Page } from '@playwright/test';
import { expect, test } from './test';
import { amount, atBench, recordReading, runIdOf, select, studentBegins, teacherSets, verb } from './helpers';

/** Serious and critical faults by WCAG 2.2 AA, as axe finds them; of the same page in the dark, what has to do with colour. */
async function faults(page: Page, isAgain: boolean): Promise<string[]> {
  // There are no frames on these pages: all is done in the page itself, without a second one to put parts together.
  const axe = new AxeBuilder({ page }).options({ resultTypes: ['violations'] }).setLegacyMode();
  // A bench keeps its daylight: in the dark the rest of its page is another.
  if (isAgain) axe.exclude('.daylight');
  const { violations } = await (
    isAgain
      ? axe.withRules(['color-contrast', 'link-in-text-block'])
      : axe.withTags(['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa'])
  ).analyze();
  return violations
    .filter(({ impact }) => impact === 'serious' || impact === 'critical')
    .map(({ id, nodes }) => `${id}: ${nodes.map((node) => node.html.slice(0, 120)).join(' | ')}`);
}

async function inBothLights(page: Page, name: string): Promise<void> {
  for (const colorScheme of ['light', 'dark'] as const) {
    await page.emulateMedia({ colorScheme });
    expect(await faults(page, colorScheme === 'dark'), `${name}, ${colorScheme}`).toEqual([]);
  }
}

/** Something of each kind on the Working page. */
async function makeWorking(page: Page): Promise<void> {
  await page.getByRole('tab', { name: 'Working' }).click();
  await page.getByRole('button', { name: 'Paste a table' }).click();
  await page.getByLabel(/Copy the cells/).fill('t / s\tT (°C)\n0\t20,1\n1\t18,0\n2\t16,1');
  await page.getByRole('button', { name: 'Make a table of it' }).click();
  await page.getByRole('button', { name: 'New graph' }).click();
  await page.getByRole('button', { name: 'Line through all points' }).click();
  await page.getByLabel('Calculation', { exact: true }).fill('1 g + 1 mL');
  await page.keyboard.press('Enter');
  await page.getByRole('button', { name: 'Draw the scale' }).click();
  await expect(page.getByTestId('sheet')).toBeVisible();
}

test('axe finds no serious fault on the public pages', async ({ page }) => {
  test.slow();
  for (const address of ['/', '/join', '/return', '/data-book', '/prep/sign-in', '/prep/sign-up', '/nowhere']) {
    await page.goto(address);
    await inBothLights(page, address);
  }
});

test('axe finds no serious fault on a student’s screens', async ({ browser }) => {
  test.slow();
  const { code } = await teacherSets(browser);
  const student = await studentBegins(browser, code, 'Ebb Lantern');
  await select(student, 'titrant');
  await verb(student, 'Fill the burette to');
  await recordReading(student, '0.1');
  for (const part of ['Brief', 'Readings', 'Working', 'Report']) {
    await student.getByRole('tab', { name: part }).click();
    await inBothLights(student, part);
  }
  await makeWorking(student);
  await inBothLights(student, 'working with all in it');
  await student.goto(`/runs/${runIdOf(student)}/print`);
  await expect(student.getByText('Readings, in the order taken')).toBeVisible();
  await inBothLights(student, 'print');
  await student.goBack();
  await student.getByRole('button', { name: 'Keys', exact: true }).click();
  await inBothLights(student, 'keys');
  await student.goto('/work');
  await inBothLights(student, 'work');
});

test('axe finds no serious fault on a teacher’s screens', async ({ browser }) => {
  test.slow();
  const { teacher, classId, code, assignmentUrl } = await teacherSets(browser);
  await studentBegins(browser, code, 'Ebb Lantern');
  for (const address of [
    '/prep',
    `/prep/classes/${classId}`,
    `/prep/classes/${classId}/set/acid-concentration`,
    `${assignmentUrl}/report`,
    `${assignmentUrl}/pooled`,
    assignmentUrl,
  ]) {
    await teacher.goto(address);
    await inBothLights(teacher, address);
  }
  await teacher.getByRole('link', { name: 'Ebb Lantern' }).click();
  await expect(teacher.getByText('What it really is')).toBeVisible();
  await inBothLights(teacher, 'look');
  await teacher.goto(`/prep/classes/${classId}`);
  await teacher.getByRole('button', { name: 'Delete class' }).click();
  await inBothLights(teacher, 'dialog');
});

/** Benches with something chosen on them: one of each family whose bench no other page here shows. */
const BENCHES = [
  ['regular-solids', 'lot:1'],
  ['one-particle', 'vessel'],
  ['light-and-heavy', 'counters'],
  ['one-law', 'piston'],
  ['metal-by-heat', 'piece:1'],
  ['gas-over-water', 'gastube'],
  ['water-in-hydrate', 'crucible'],
  ['which-bottle', 'vessel:1'],
] as const;
const OTHER_BENCHES = [
  ['reading-a-scale', 'vessel:1'],
  ['displacement', 'lot:1'],
  ['liquid-density', 'vessel:2'],
  ['one-to-many', 'valve'],
  ['where-pressure-comes-from', 'jacket'],
  ['salt-by-heat', 'thermo:1'],
  ['freezing-point', 'tube'],
  ['pellet-in-oxygen', 'balance'],
  ['pressure-volume', 'plunger'],
  ['volume-temperature', 'syringe:2'],
  ['pressure-temperature', 'bath'],
  ['vapour-molar-mass', 'injector'],
  ['solid-yield', 'funnel'],
  ['which-react', 'vessel:1'],
] as const;

async function findsNone(browser: Browser, benches: readonly (readonly [id: string, thing: string])[]): Promise<void> {
  const { teacher, classId } = await teacherSets(browser);
  for (const [id, thing] of benches) {
    await teacher.goto(`/prep/classes/${classId}/set/${id}`);
    await teacher.getByRole('button', { name: 'Try it' }).click();
    await atBench(teacher);
    await select(teacher, thing);
    if (id === 'one-particle') await amount(teacher, 'Put a particle in, of, amount in K', '300');
    if (id === 'regular-solids')
      await teacher
        .getByRole('button', { name: /: calliper$/ })
        .first()
        .click();
    await teacher.getByRole('tab', { name: 'Readings' }).click();
    await inBothLights(teacher, id);
  }
}

test('axe finds no serious fault on a bench of each family', async ({ browser }) => {
  test.slow();
  await findsNone(browser, BENCHES);
});

test('axe finds no serious fault on the other benches', { tag: '@long' }, async ({ browser }) => {
  test.slow();
  await findsNone(browser, OTHER_BENCHES);
});
