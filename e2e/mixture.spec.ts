import { expect, test } from './test';
import { byKeys, letPass, linesThrough, logOf, notices, stretches, untilTube, writesReport } from './heat-bench';
import { amount, atBench, prepare, select, studentBegins, teacherSets, verb } from './helpers';

test(
  'the same or not, by keyboard alone: a sample, then the mixture of two, and what the halt lower down means',
  { tag: '@long' },
  async ({ browser }) => {
    test.slow();
    const { teacher, code, assignmentUrl } = await teacherSets(
      browser,
      // What melts low melts soon.
      (page) => page.getByRole('checkbox', { name: 'biphenyl and stearic acid' }).uncheck(),
      'The same or not, by a mixture',
    );
    const page = await studentBegins(browser, code, 'Mere Sundew');
    const { go, press } = byKeys(page);
    const task = (await page.getByTestId('task').textContent()) ?? '';
    const [, alone = '', most = '', least = ''] =
      /about (\d+) g of a sample.* about (\d+) g of one and about (\d+) g of the other/.exec(task) ?? [];

    /** Melts and freezes what is in the tube: in the end some of it is frozen. */
    const meltsAndFreezes = async () => {
      await go('tube');
      await press(/^Tube in the hot bath/);
      await untilTube(page, /all of it molten/);
      await letPass(page, 300);
      await go('tube');
      // From the hot bath one key takes it to the cold one.
      await page.keyboard.press('Enter');
      await untilTube(page, /in the cold bath, about [3-9] tenths frozen/);
      // Some minutes more of its freezing, for a line.
      await letPass(page, 300);
    };

    await go('substance');
    await press(/^Put sample A into the tube, about, amount/, alone);
    await press(/^Put sample A into the tube, about, amount/, '3');
    await expect(notices(page)).toContainText('There is some of it in already');
    await go('thermo:1');
    await page.keyboard.press('Enter');
    await expect(page.locator('[data-thing="thermo:1"]')).toHaveAccessibleName(/in the tube/);
    await go('bath');
    await press(/^Set it to, amount/, '78');
    await go('cold');
    await press(/^Set it to, amount/, '26');
    await go('tube');
    await press(/^Put the air jacket on/);
    await page.keyboard.press('g');
    await expect(page.getByTestId('log-state')).toHaveText('logger: a line every 5 s');
    await meltsAndFreezes();

    // The log rests while it is melted to be emptied: that is no part of a cooling.
    await go('tube');
    await page.keyboard.press('g');
    await expect(page.getByTestId('log-state')).not.toHaveText('logger: a line every 5 s');
    await press(/^Tube in the hot bath/);
    await untilTube(page, /all of it molten/);
    await press(/^Tube on its stand/);
    await press(/^Empty it/);
    await expect(page.locator('[data-thing=tube]')).toHaveAccessibleName(/empty/);
    await press(/^Put sample A into the tube, about, amount/, most);
    await go('second');
    await press(/^Put sample B into the tube, about, amount/, least);
    await go('cold');
    await press(/^Set it to, amount/, '5');
    await go('tube');
    await press(/^Put the air jacket on/);
    await page.keyboard.press('g');
    await expect(page.getByTestId('log-state')).toHaveText('logger: a line every 5 s');
    await page.reload();
    await atBench(page);
    await meltsAndFreezes();
    await expect(page.getByText('Every step is done', { exact: false })).toBeHidden();

    const log = await logOf(page);
    const hottest = (run: string) => Math.max(...log.filter((line) => line.run === run).map(({ T }) => T));
    const of = (run: string) => stretches(log, run, hottest(run) - 1.5);
    const [sample, mixture] = [of('1'), of('2')];
    const crossing = await linesThrough(page, [sample.cooling, sample.freezing, mixture.cooling, mixture.freezing]);
    const [first, second] = [await crossing(1), await crossing(3)];
    const same = Math.abs(first.T - second.T) < 1;

    await prepare(page, 'melts lower, over a stretch of temperatures', 'melts as each of them does');
    for (const [label, value] of [
      ['Where sample A melts and freezes', first.T],
      ['Where your mixture begins to freeze', second.T],
    ] as const) {
      await page.getByLabel(label, { exact: true }).fill(value.toFixed(1));
      await page.getByLabel(`Unit of: ${label}`).selectOption('°C');
    }
    await page
      .getByLabel('What are sample A and sample B?')
      .selectOption(same ? 'the same substance' : 'two different substances');
    await writesReport(page, [
      'Two lines through each freezing, and where they cross.',
      same ? 'Both jars hold one and the same substance.' : 'The two jars hold two different substances.',
      `The mixture freezes ${(first.T - second.T).toFixed(1)} °C lower than sample A, and each crossing is certain to a tenth.`,
      'By the uncertainties of my crossings.',
    ]);
    await page.getByRole('radio', { name: 'Say why a mixture melts over a stretch of temperatures' }).press('Space');
    await page.getByRole('button', { name: 'Hand in' }).press('Enter');
    await expect(page.getByTestId('told')).toContainText(/Within (0\.5|1|2) °C/);
    await expect(page.getByTestId('told')).toContainText('Right');

    await teacher.goto(assignmentUrl);
    await expect(teacher.getByRole('row', { name: /Mere Sundew/ })).toContainText(
      same ? 'the same substance' : 'two different substances',
    );
  },
);

test('a ready series of one’s own: one press, two lines, the name, for a class without time at the bench', async ({
  browser,
}) => {
  test.slow();
  const { code } = await teacherSets(
    browser,
    (page) => page.getByLabel('A ready series is on offer').check(),
    'A substance by its freezing point',
  );
  const page = await studentBegins(browser, code, 'Fern Rede');
  // Who has begun already works on by themselves.
  await select(page, 'substance');
  await amount(page, 'Put into the tube, about, amount in g', '5');
  await select(page, 'log');
  await verb(page, 'Take the ready series');
  await expect(notices(page)).toContainText('as it was at the start');
  await select(page, 'bath');
  await amount(page, 'Set it to, amount in °C', '97');
  await select(page, 'tube');
  await verb(page, 'Tube in the hot bath');
  await untilTube(page, /all of it molten/);
  // Stirring by hand goes on as long as the button is held, by pointer or by key.
  const hold = page.getByRole('button', { name: 'Hold to stir by hand' });
  const tube = page.locator('[data-thing=tube]');
  await hold.hover();
  await page.mouse.down();
  await expect(tube).toHaveAccessibleName(/stirred by hand/);
  await page.mouse.up();
  await expect(tube).not.toHaveAccessibleName(/stirred/);
  await hold.focus();
  await page.keyboard.down(' ');
  await expect(tube).toHaveAccessibleName(/stirred by hand/);
  await page.keyboard.up(' ');
  await expect(tube).not.toHaveAccessibleName(/stirred/);
  await verb(page, 'Tube on its stand');
  await verb(page, 'Empty it');
  await expect(page.locator('[data-thing=tube]')).toHaveAccessibleName(/empty/);
  await select(page, 'log');
  await verb(page, 'Take the ready series');
  await expect(notices(page)).toContainText('A practised hand has worked');
  await page.reload();
  await atBench(page);
  await select(page, 'log');
  await expect(page.getByRole('button', { name: 'Take the ready series' })).toBeHidden();

  const log = await logOf(page);
  const { cooling, freezing } = stretches(log, log.at(-1)?.run ?? '', Math.max(...log.map(({ T }) => T)) - 1.5);
  const crossing = await linesThrough(page, [cooling, freezing]);
  const { T } = await crossing(1);
  const pool = {
    naphthalene: 80.26,
    succinonitrile: 58.06,
    'p-dichlorobenzene': 53.09,
    benzophenone: 47.9,
    phenol: 40.89,
  };
  const [name] = Object.entries(pool).reduce((a, b) => (Math.abs(b[1] - T) < Math.abs(a[1] - T) ? b : a));
  await prepare(page, 'Freezing gives out as much heat as goes to the bath', 'at the same temperature');
  await page.getByLabel('Freezing temperature', { exact: true }).fill(T.toFixed(1));
  await page.getByLabel('Unit of: Freezing temperature').selectOption('°C');
  await page.getByLabel('What is the substance?').selectOption(name);
  await writesReport(page, [
    'A line through the cooling and one through the freezing.',
    `The solid in my jar is ${name}.`,
    'Each line runs through its own stretch, and the crossing lies nearest to this name.',
    'My crossing is certain to a tenth.',
  ]);
  await page.getByRole('radio', { name: 'Find where two lines cross, with its uncertainty' }).press('Space');
  await page.getByRole('button', { name: 'Hand in' }).click();
  await expect(page.getByTestId('told')).toContainText(/Within (0\.5|1) °C/);
  await expect(page.getByTestId('told')).toContainText('Right');
});
