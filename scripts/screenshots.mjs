// Takes the pictures of docs/screenshots from a running demo: npm start in one terminal, npm run screenshots in another.
import { chromium } from '@playwright/test';
import { mkdirSync, readFileSync } from 'node:fs';
import path from 'node:path';
import { HOST, PORT, ROOT } from './lib/config.mjs';
import { ensureChromium, LAUNCH } from './lib/chromium.mjs';

const folder = path.join(ROOT, process.env.FEN_SHOTS ?? 'docs/screenshots');
const base = process.env.FEN_URL ?? `http://${HOST}:${PORT}`;
const people = JSON.parse(readFileSync(path.join(ROOT, 'scripts/demo/people.json'), 'utf8'));

ensureChromium();
mkdirSync(folder, { recursive: true });
const browser = await chromium.launch(LAUNCH);

async function open(options = {}) {
  const context = await browser.newContext({
    viewport: { width: 1280, height: 800 },
    baseURL: base,
    ...options,
  });
  return context.newPage();
}

const shoot = (page, name) => page.screenshot({ path: path.join(folder, `${name}.png`) });

async function asTeacher() {
  const page = await open();
  await page.goto('/prep/sign-in');
  await page.getByLabel('E-mail address').fill(people.teacher.email);
  await page.getByLabel('Password').fill(people.teacher.password);
  await page.getByRole('button', { name: 'Sign in' }).click();
  await page.waitForURL(/prep$/);
  return page;
}

async function teacherViews() {
  const page = await asTeacher();
  await page.getByRole('link', { name: 'Chemistry 4B' }).click();
  await page.getByRole('heading', { name: 'Chemistry 4B' }).waitFor();
  await shoot(page, 'prep-class');
  await page.getByRole('link', { name: 'Concentration of an unlabelled acid', exact: true }).click();
  await page.getByText('not started ·').waitFor();
  await shoot(page, 'prep-assignment');
  await page.getByRole('link', { name: 'Bram Oakes' }).click();
  await page.getByText('What it really is').waitFor();
  await shoot(page, 'prep-run');
  await page.getByText('Taken from the notebook').first().click();
  await page.getByRole('button', { name: 'the bench then' }).first().click();
  await page.getByTestId('moment').waitFor();
  await page.waitForTimeout(300);
  await shoot(page, 'prep-way-back');
  await page.goBack();
  await page.getByRole('link', { name: 'What the report asks for' }).click();
  await page.getByText('Begin empty').waitFor();
  await shoot(page, 'prep-compose');
  await page.goBack();
  await page.goBack();
  await page.getByRole('link', { name: 'Set: Concentration of an unlabelled acid' }).click();
  await page.getByText('What the bench holds').waitFor();
  await shoot(page, 'prep-set');
  await page.goBack();
  await page.getByRole('link', { name: 'Density by displacement', exact: true }).click();
  await page.getByRole('link', { name: 'Pooled results' }).click();
  await page.getByTestId('pool-numbers').first().waitFor();
  await page.getByText('The values, and leaving one out').click();
  await shoot(page, 'prep-pooled');
  await page.context().close();
}

/** A student who titrates by typed amounts, up to somewhere past the half. */
async function studentViews() {
  const page = await open();
  await page.goto('/return');
  await page.getByLabel('Class code').fill(people.code);
  await page.getByLabel('Your name').fill(people.student.name);
  await page.getByLabel('Your three return words').fill(people.student.words);
  await page.getByRole('button', { name: 'Come back' }).click();
  await page.getByRole('heading', { name: 'My work' }).waitFor();
  const own = page.getByRole('listitem').filter({ hasText: 'Concentration of an unlabelled acid' });
  await own.getByRole('button', { name: /Start|Go on/ }).click();
  await page.getByTestId('bench').waitFor();
  await page.waitForTimeout(600);
  const press = (label) => page.getByRole('button', { name: label, exact: true }).click();
  const pick = (thing) =>
    page
      .locator(`[data-thing="${thing}"]`)
      .first()
      .click({ position: { x: 8, y: 8 } });
  await press('Fill the burette to');
  await page.getByRole('tab', { name: 'Readings' }).click();
  await page.getByLabel('Burette, as you read it').fill('0.52');
  await press('Record');
  await pick('pipette');
  await press('Fill the pipette to its mark');
  await press('Let it run into the flask');
  await pick('indicator:phenolphthalein');
  await press('Add to the flask');
  await pick('burette');
  await page.getByLabel('Let in, amount in mL').fill('19');
  await press('Let in');
  await page.getByRole('button', { name: 'Tap stream' }).click();
  await page.waitForTimeout(1800);
  await shoot(page, 'bench-titrating');
  await page.getByRole('button', { name: 'Tap closed' }).click();
  await page.getByLabel('Burette, as you read it').fill('21.4');
  await press('Record');
  await page.waitForTimeout(600);
  await page.getByRole('tab', { name: 'Report' }).click();
  await page.getByRole('heading', { name: 'Result' }).waitFor();
  await shoot(page, 'bench-report');
  await notebookViews(page);
  await page.goto('/data-book/densities');
  await shoot(page, 'data-book');
  await page.context().close();
}

/** A cooling of wax from the lamp store, worked out beside the bench, and a drawn scale. */
async function notebookViews(page) {
  await page.getByRole('tab', { name: 'Working' }).click();
  await page.getByRole('button', { name: 'Paste a table' }).click();
  const scatter = [0.02, -0.03, 0.01, 0.02, -0.02, 0.01, 0.03, -0.01, 0, -0.02, 0.02, 0.01];
  const rows = scatter.map((error, t) => `${t}\t${((t < 6 ? 72 - 3 * t : 54.6 - 0.1 * t) + 3 * error).toFixed(2)}`);
  await page.getByLabel(/Copy the cells/).fill(['Time t / min\tTemperature of the wax T / °C', ...rows].join('\n'));
  await page.getByRole('button', { name: 'Make a table of it' }).click();
  await page.getByRole('button', { name: 'New graph' }).click();
  const graph = page.getByRole('region', { name: 'graph: Graph 1' });
  for (const [from, to] of [
    ['0', '5'],
    ['6', '11'],
  ]) {
    await graph.getByRole('button', { name: 'Line through all points' }).click();
    const line = graph.getByTestId(`line-${from === '0' ? 1 : 2}`);
    await line.getByLabel(/from$/).fill(from);
    await line.getByLabel(/to$/).fill(to);
    await line.getByLabel(/to$/).press('Enter');
  }
  await graph.getByTestId('crossing-1').waitFor();
  await graph.getByLabel('Name of this graph').scrollIntoViewIfNeeded();
  await page.getByTestId('graph-hand').scrollIntoViewIfNeeded();
  await graph.evaluate((element) => element.scrollIntoView({ block: 'start' }));
  await page.waitForTimeout(500);
  await shoot(page, 'notebook-graph');
  await page.getByLabel('Calculation', { exact: true }).fill('v = (72.0 °C - 57.0 °C) / 300 s');
  await page.keyboard.press('Enter');
  await page.getByRole('button', { name: 'Draw the scale' }).click();
  const sheet = page.getByTestId('sheet');
  await sheet.waitFor();
  await page.getByRole('radio', { name: 'Label' }).check();
  await sheet.click({ position: { x: 40, y: 130 } });
  await page.getByLabel('Text of the label').fill('bottom of the meniscus');
  await page.keyboard.press('Enter');
  await page.getByRole('radio', { name: 'Arrow' }).check();
  await sheet.evaluate((element) => element.scrollIntoView({ block: 'end' }));
  const box = await sheet.boundingBox();
  await page.mouse.move(box.x + 120, box.y + 140);
  await page.mouse.down();
  await page.mouse.move(box.x + 220, box.y + 180, { steps: 4 });
  await page.mouse.up();
  await page.waitForTimeout(400);
  await page.getByText('Kept.').waitFor();
  await page.goto(`${page.url()}/print`);
  await page.getByText('Readings, in the order taken').waitFor();
  await page.waitForTimeout(500);
  await shoot(page, 'lab-report');
}

/** A teacher's try of a practical, with hands for it. @param change what of its settings is otherwise */
async function tryIt(title, change = async () => {}) {
  const page = await asTeacher();
  await page.getByRole('link', { name: 'Chemistry 5A' }).click();
  await page.getByRole('link', { name: `Set: ${title}` }).click();
  await change(page);
  await page.getByRole('button', { name: 'Try it' }).click();
  await page.getByTestId('bench').waitFor();
  await page.waitForLoadState('networkidle');
  return {
    page,
    pick: (thing) => page.locator(`[data-thing="${thing}"]`).first().focus(),
    verb: async (name, wait = 500) => {
      const isText = typeof name === 'string';
      await page.getByTestId('verbs').getByRole('button', { name, exact: isText }).first().click();
      await page.waitForTimeout(wait);
    },
    amount: async (field, text) => {
      await page.getByLabel(field).fill(text);
      await page.getByLabel(field).press('Enter');
      await page.waitForTimeout(500);
    },
  };
}

/** A teacher's try at the bench of heat: a hot metal in cool water, its curve just after. */
async function heatView() {
  const { page, pick, verb, amount } = await tryIt('A metal by its specific heat');
  await pick('bath');
  await amount('Set it to, amount in °C', '100');
  await pick('piece:1');
  await verb('Put it into the bath');
  await pick('cup');
  await amount('Pour water in, amount in mL', '90');
  await verb('Stirred by motor');
  await verb('Put the lid on');
  for (const [thing, place] of [
    ['thermo:1', 'In the cup'],
    ['thermo:2', 'In the bath'],
  ]) {
    await pick(thing);
    await verb(place);
  }
  await pick('log');
  await amount('Log every, amount in s', '5');
  const pace = page.getByLabel('Pace of the bench clock');
  await pace.selectOption('60 times as fast');
  await page.waitForTimeout(7000);
  await pace.selectOption('10 times as fast');
  await pick('thermo:1');
  await page
    .getByTestId('verbs')
    .getByRole('button', { name: /^Record the temperature of the liquid before/ })
    .click();
  await page.waitForTimeout(500);
  await pick('piece:1');
  await verb('Put it into the cup');
  await page.waitForTimeout(6500);
  await pick('thermo:1');
  await page.getByRole('tab', { name: 'Working' }).click();
  await page.getByRole('button', { name: 'New graph' }).click();
  await page.waitForTimeout(1200);
  await shoot(page, 'bench-heat');
  await page.context().close();
}

/** A teacher's try of a hydrate: it turns from the rim inwards, the method beside it with what is done ticked. */
async function hydrateView() {
  const { page, pick, verb, amount } = await tryIt('How much water is in it');
  await pick('crucible');
  await verb('Crucible on the balance', 2800);
  await pick('balance');
  await verb(/^Record the mass of the empty crucible/);
  await pick('jar');
  await amount('Put salt in, about, amount in g', '2.6');
  await page.waitForTimeout(2800);
  await pick('balance');
  await verb(/^Record the mass of the crucible with the salt/);
  await pick('crucible');
  await verb('Lid off');
  await verb('Crucible on the gauze');
  await pick('burner');
  await amount('Set the gas to, amount of 10', '5');
  await amount('Set the air to, amount of 10', '3.5');
  await verb('Light it');
  const pace = page.getByLabel('Pace of the bench clock');
  await pace.selectOption('30 times as fast');
  await page.waitForTimeout(6200);
  await pace.selectOption('real time');
  await pick('crucible');
  await page.getByRole('tab', { name: 'Brief' }).click();
  await page.waitForTimeout(500);
  await shoot(page, 'bench-hydrate');
  await page.context().close();
}

/** A teacher's try of four gases in a bath: some temperatures read, one of the four about to leave its line. */
async function gasView() {
  const { page, pick, verb, amount } = await tryIt('Four gases in a water bath');
  const pace = (times) => page.getByLabel('Pace of the bench clock').selectOption(times);
  for (const thing of ['barometer', 'room']) {
    await pick(thing);
    await verb(/^Record/);
  }
  for (let row = 0; row < 4; row++) {
    await pick('plate');
    await amount('Set the hot plate to, amount of 10', '10');
    await pace('60');
    await page.waitForTimeout(1600);
    await amount('Set the hot plate to, amount of 10', String(1 + 0.5 * row));
    await page.waitForTimeout(2600);
    await pace('1');
    await pick('thermometer');
    await verb(/^Record/);
    for (const place of [1, 2, 3, 4]) {
      await pick(`syringe:${place}`);
      await verb('Turn its plunger', 900);
      const words = await page.getByTestId('loupe').getByRole('img').getAttribute('aria-label');
      const [, tenths = '0', below] = /(?:(\d) tenths of the way from|on) the line (\d+)/.exec(words) ?? [];
      await page.getByTestId('loupe').getByRole('textbox').fill(`${below}.${tenths}`);
      await page.getByTestId('loupe').getByRole('textbox').press('Enter');
      await page.waitForTimeout(400);
    }
  }
  await page.getByRole('tab', { name: 'Readings' }).click();
  await page.waitForTimeout(600);
  await shoot(page, 'bench-gases');
  await page.context().close();
}

/** A teacher's try of a solid: filtered off, its paper in the funnel, another one drying. */
async function filterView() {
  const { page, pick, verb, amount } = await tryIt('A solid from two solutions', async (set) => {
    for (const name of [
      'silver chloride',
      'silver chloride out of aluminium chloride',
      'barium sulfate',
      'barium chromate',
      'calcium carbonate',
    ])
      await set.getByRole('checkbox', { name, exact: true }).uncheck();
  });
  await pick('oven');
  await amount('Set it to, amount in °C', '105');
  await pick('cellulose');
  for (let i = 0; i < 3; i++) await verb('Take one');
  await pick('sheet:2');
  await verb('filter paper 2 in the oven');
  await pick('sheet:1');
  await verb('filter paper 1 on the balance', 2800);
  await verb(/^Record: mass of the paper/);
  await verb('filter paper 1 in the funnel');
  await pick('beaker');
  for (let i = 0; i < 3; i++) await verb('Put one on the bench');
  for (const [beaker, ml] of [
    ['vessel:4', '10'],
    ['vessel:5', '8'],
  ]) {
    await pick(beaker);
    for (const letter of 'AB') {
      await page.getByRole('button', { name: `From bottle ${letter}`, exact: true }).click();
      await amount('Put in, amount in mL', ml);
      await amount('Put in, amount in mL', ml);
    }
    await verb(/^Record volumes/);
  }
  await verb('Beaker on the hot plate');
  await pick('vessel:6');
  await verb('Beaker under the funnel');
  await pick('vessel:4');
  await verb('Filter it');
  await pick('sheet:1');
  await page.getByRole('tab', { name: 'Readings' }).click();
  await page.waitForTimeout(600);
  await shoot(page, 'bench-filter');
  await page.context().close();
}

/** A teacher's try with the probe: calibrated, in the flask, its curve growing beside the bench. */
async function probeView() {
  const { page, pick, verb } = await tryIt('Concentration of an unlabelled acid', (set) =>
    set.getByLabel('Probe on the tray').selectOption('pH'),
  );
  await pick('probe');
  for (const buffer of ['7.00', '4.01']) {
    await verb(`Probe: buffer ${buffer}`);
    await page.waitForTimeout(7000);
    await verb('Calibrate here');
  }
  await pick('titrant');
  await verb('Fill the burette to');
  await pick('pipette');
  await verb('Fill the pipette to its mark');
  await verb('Let it run into the flask');
  await pick('flask');
  await verb('Keep swirling');
  await pick('probe');
  await verb('Probe: flask');
  await page.waitForTimeout(3000);
  await verb('Log every');
  await pick('burette');
  await page.getByRole('tab', { name: 'Working' }).click();
  await page.getByRole('button', { name: 'New graph' }).click();
  await page.getByRole('button', { name: 'Tap stream' }).click();
  await page.waitForTimeout(24_000);
  await page.getByRole('button', { name: 'Tap closed' }).click();
  await pick('probe');
  await page.getByLabel('graph: Graph 1').evaluate((element) => element.scrollIntoView({ block: 'end' }));
  await page.waitForTimeout(1500);
  await shoot(page, 'bench-probe');
  await page.context().close();
}

/** A teacher's try of measuring: pieces under water with the eye level. */
async function measuringViews() {
  const { page, pick, verb } = await tryIt('Density by displacement');
  await pick('tap');
  await page.getByTestId('verbs').getByRole('combobox').selectOption('2');
  await verb('Tap stream', 1700);
  await verb('Tap off');
  await pick('lot:1');
  await page.getByTestId('verbs').getByLabel('Pieces', { exact: true }).fill('12');
  await verb('Weigh', 2500);
  await pick('balance');
  await verb(/^Record mass/);
  await verb('Take all off');
  await pick('lot:1');
  await page.getByTestId('verbs').getByRole('combobox').selectOption('2');
  await verb('Lower in');
  await pick('vessel:2');
  await verb('Knock at it');
  await verb('Look at its scale');
  await pick('vessel:2');
  await page.keyboard.press('e');
  await page.getByRole('tab', { name: 'Readings' }).click();
  await page.waitForTimeout(500);
  await shoot(page, 'bench-displacement');
  await page.context().close();
}

/** A gas under a pinned piston, three points of the law recorded, the pen at work. */
async function pistonView() {
  const { page, pick, amount } = await tryIt('One gas law at a time, with particles');
  await page.getByLabel('Pace of the bench clock').selectOption('60');
  const card = await page.getByTestId('task').textContent();
  await pick('jacket');
  await amount('Put a jacket around it, of, amount in K', /temperature (\d+) K/.exec(card)?.[1] ?? '300');
  const flies = async (ps) => {
    await pick('cylinder');
    await amount('Let them fly for, amount in ps', ps);
    await page.locator('[data-thing=cylinder][aria-label*="stand still"]').waitFor();
  };
  for (const nm3 of ['22000', '17000', '12500']) {
    await pick('piston');
    await amount('Pin it at, amount in nm³', nm3);
    await flies('300');
    await flies('500');
    await pick('counters');
    await page.keyboard.press('r');
    await page.waitForTimeout(1200);
  }
  await pick('piston');
  await amount('Pin it at, amount in nm³', '9500');
  await flies('200');
  await page.getByLabel('Pace of the bench clock').selectOption('10');
  await pick('cylinder');
  await amount('Let them fly for, amount in ps', '500');
  await page.getByRole('tab', { name: 'Readings' }).click();
  await page.waitForTimeout(6000);
  await pick('piston');
  await shoot(page, 'bench-piston');
  await page.context().close();
}

const wanted = process.argv[2];
if (!wanted || wanted === 'heat') await heatView();
if (!wanted || wanted === 'hydrate') await hydrateView();
if (!wanted || wanted === 'gases') await gasView();
if (!wanted || wanted === 'filter') await filterView();
if (!wanted || wanted === 'probe') await probeView();
if (!wanted || wanted === 'measuring') await measuringViews();
if (!wanted || wanted === 'piston') await pistonView();
if (!wanted || wanted === 'teacher') await teacherViews();
if (!wanted || wanted === 'student') await studentViews();
await browser.close();
