import { expect, type Browser, type BrowserContext, type Page } from '@playwright/test';
import { randomUUID } from 'node:crypto';

export interface Set {
  teacher: Page;
  classId: string;
  code: string;
  assignmentUrl: string;
}

/** What a form posts, over HTTP, by whoever is signed in in this browser. @returns where it leads */
async function posts(context: BrowserContext, path: string, form: Record<string, string>): Promise<string> {
  const response = await context.request.post(path, { form, maxRedirects: 0 });
  const to = response.headers()['location'];
  if (response.status() !== 302 || !to) throw new Error(`${path} gave ${response.status()}`);
  return to;
}

const pageOf = async (context: BrowserContext, path: string) => (await context.request.get(path)).text();

const NOTHING = async () => {};

/**
 * A new teacher with a class, made over HTTP (the journey of a whole lesson signs up by hand), and the practical set for it
 * on its page, or with settings changed first.
 */
export async function teacherSets(
  browser: Browser,
  change: (teacher: Page) => Promise<void> = NOTHING,
  practical = 'Concentration of an unlabelled acid',
): Promise<Set> {
  const context = await browser.newContext();
  const teacher = await context.newPage();
  const email = `${randomUUID()}@sallowpoint.example`;
  await posts(context, '/prep/sign-up', { name: 'Mr Sandling', email, password: 'grey heron 77' });
  const made = await posts(context, '/prep', { name: 'Chemistry 6C', timeZone: 'Europe/Berlin' });
  const classId = made.split('/').at(-1) ?? '';
  const html = await pageOf(context, made);
  const code = /font-mono text-xl">([A-Z0-9]{6})</.exec(html)?.[1] ?? '';
  const id = [...html.matchAll(/\/set\/([a-z-]+)"[^>]*>Set: (?:<!-- -->)?([^<]*)</g)].find(
    ([, , title]) => title === practical,
  )?.[1];
  if (!id) throw new Error(`no practical is called ${practical}`);
  // What is changed before the page is alive would be changed back; a form that is not there whole would be sent in part.
  await teacher.goto(`${made}/set/${id}`, change === NOTHING ? { waitUntil: 'domcontentloaded' } : {});
  await change(teacher);
  await teacher.getByRole('button', { name: 'Set it for Chemistry 6C' }).click();
  await expect(teacher.getByText(/not started/).first()).toBeVisible();
  return { teacher, classId, code, assignmentUrl: teacher.url() };
}

/** What is set to be drawn: these of the list, and no others. */
export async function only(teacher: Page, setting: string, names: readonly string[]): Promise<void> {
  const group = teacher.getByRole('group', { name: setting });
  await expect(group).toBeVisible();
  for (const box of await group.getByRole('checkbox').all()) {
    const name = (await box.evaluate((one) => one.closest('label')?.textContent)) ?? '';
    await box.setChecked(names.includes(name.trim()));
  }
}

/** A new student on a browser of their own, joined over HTTP, at the bench. */
export async function studentBegins(browser: Pick<Browser, 'newContext'>, code: string, name: string): Promise<Page> {
  const context = await browser.newContext();
  const page = await context.newPage();
  await posts(context, '/join', { code, name });
  const assignment = /name="assignment" value="([^"]+)"/.exec(await pageOf(context, '/work'))?.[1] ?? '';
  await page.goto(await posts(context, '/work', { assignment }));
  await atBench(page);
  return page;
}

/** Waits until the bench is alive: its outbox open and its keys heard. */
export async function atBench(page: Page): Promise<void> {
  await expect(page.locator('[data-testid=bench]')).toBeVisible();
  await expect(page.locator('section[aria-label=Bench]')).toHaveAttribute('aria-busy', 'false');
}

export const runIdOf = (page: Page) => /runs\/([0-9a-f-]{36})/.exec(page.url())?.[1] ?? '';

/** How many single drops the server holds, as the teacher reads the run: the clock going on is none of them. */
export async function dropsHeld(teacher: Page, student: Page): Promise<number> {
  await teacher.goto(`/prep/runs/${runIdOf(student)}`);
  const acts = teacher.getByRole('list', { name: 'Acts in order' });
  await expect(acts).toContainText('filled the burette');
  const lines = await acts.getByRole('listitem').filter({ hasText: 'let one drop fall' }).allTextContents();
  return lines.reduce((sum, line) => sum + Number(/× (\d+)/.exec(line)?.[1] ?? 1), 0);
}

export async function select(page: Page, thing: string): Promise<void> {
  await page.locator(`[data-thing="${thing}"]`).focus();
}

/** When the server has answered the next act: watching what goes on is none. */
export const actAnswered = (page: Page) =>
  page.waitForResponse(
    (response) => response.url().endsWith('/acts') && response.request().postData()?.includes('"act":') === true,
    { timeout: 25_000 },
  );

/** The last act whose answer the bench shows. */
const shownAct = async (page: Page) => Number(await page.locator('[data-answered]').getAttribute('data-answered'));

/** Does what sends an act, and waits until the bench shows what came of it. */
export async function acted(page: Page, does: () => Promise<unknown>): Promise<void> {
  const before = await shownAct(page);
  await does();
  // Looked at in the page itself, which is asked once.
  await page.waitForFunction(
    (last) => {
      const { answered, waiting } = document.querySelector<HTMLElement>('[data-answered]')?.dataset ?? {};
      return Number(answered) > last && Number(waiting) === 0;
    },
    before,
    { polling: 30 },
  );
}

/** Presses a verb and waits until the bench shows it. */
export const verb = (page: Page, name: string | RegExp): Promise<void> =>
  acted(page, () =>
    page
      .getByTestId('verbs')
      .getByRole('button', { name, exact: typeof name === 'string' })
      .click(),
  );

/** Types an amount and does it. */
export const amount = (page: Page, field: string, text: string): Promise<void> =>
  acted(page, async () => {
    await page.getByLabel(field).fill(text);
    await page.getByLabel(field).press('Enter');
  });

interface Standing<View> {
  number: number;
  view: View & { timeS: number; running: boolean };
  refusal?: string;
}

/**
 * Does more of what a journey has shown already, as another machine at the same bench would: over HTTP, each act when all that
 * goes on has come to rest. The page is opened again afterwards.
 * @param acts each with what it is made of: the bench as it then stands
 */
export async function elsewhere<View>(
  page: Page,
  acts: readonly (object | ((view: View) => object[]))[],
): Promise<void> {
  const path = `/runs/${runIdOf(page)}/acts`;
  const { request } = page.context();
  let now = (await (await request.get(path)).json()) as Standing<View>;
  const send = async (data: object) => {
    now = (await (await request.post(path, { data })).json()) as Standing<View>;
    expect(now.refusal, JSON.stringify(data)).toBeUndefined();
  };
  for (const made of acts)
    for (const act of typeof made === 'function' ? (made as (view: View) => object[])(now.view) : [made]) {
      await send({ number: now.number + 1, actId: randomUUID(), atS: now.view.timeS, act });
      for (let i = 0; i < 100 && now.view.running; i++) {
        await page.waitForTimeout(150);
        await send({ after: now.number, atS: 1e9 });
      }
    }
  await page.reload();
  await atBench(page);
}

/** Reads the loupe as its words tell it, to a tenth of a division. */
export async function readLoupe(page: Page): Promise<string> {
  const loupe = page.getByTestId('loupe').getByRole('img');
  // What was just done may still be on its way to be seen.
  await expect(loupe).toHaveAccessibleName(/ mL/);
  const words = (await loupe.getAttribute('aria-label')) ?? '';
  const on = /on the mark ([\d.]+) mL/.exec(words);
  if (on) return Number(on[1]).toFixed(2);
  const between = /between the marks ([\d.]+) and [\d.]+ mL, (\d+) tenths/.exec(words);
  if (!between) throw new Error(`nothing to read: ${words}`);
  return (Number(between[1]) + Number(between[2]) / 100).toFixed(2);
}

export async function recordReading(page: Page, text: string): Promise<void> {
  await page.getByRole('tab', { name: 'Readings' }).click();
  await page.getByLabel('Burette, as you read it').fill(text);
  await acted(page, () => page.getByRole('button', { name: 'Record', exact: true }).click());
}

export const flaskColour = (page: Page) => page.getByTestId('into-flask').getByRole('img').getAttribute('aria-label');

/**
 * One trial with phenolphthalein: the most of it at once, then half millilitres, or drops when that was over 15 mL.
 * @param isOver of the colour of the flask in words; pink, unless it is the base that is in the flask
 * @returns the titre's two readings
 */
export async function titrate(
  page: Page,
  nearMl: number,
  isOver = (colour: string) => /pink/.test(colour),
): Promise<{ first: string; last: string }> {
  await select(page, 'titrant');
  await amount(page, 'Fill the burette to, amount in mL', '1');
  const first = await readLoupe(page);
  await recordReading(page, first);
  await select(page, 'pipette');
  await verb(page, 'Fill the pipette to its mark');
  await verb(page, 'Let it run into the flask');
  await select(page, 'indicator:phenolphthalein');
  await amount(page, 'Add to the flask, amount in drops', '3');
  await select(page, 'flask');
  await verb(page, 'Keep swirling');
  await select(page, 'burette');
  await amount(page, 'Let in, amount in mL', String(nearMl));
  const step = nearMl > 15 ? 'One drop' : null;
  for (let i = 0; i < 80 && !isOver((await flaskColour(page)) ?? ''); i++) {
    if (step) await verb(page, step);
    else await amount(page, 'Let in, amount in mL', '0.5');
  }
  const last = await readLoupe(page);
  await recordReading(page, last);
  return { first, last };
}

/** Answers what is asked before the work, in the brief, and goes on to the report. */
export async function prepare(page: Page, ...answers: string[]): Promise<void> {
  await page.getByRole('tab', { name: 'Brief' }).click();
  for (const name of answers) await page.getByRole('radio', { name, exact: true }).check();
  await page.getByRole('tab', { name: 'Report' }).click();
}

/** Everything that the report of the first practical asks for but its number. */
export async function writeReport(page: Page): Promise<void> {
  await prepare(page, 'The volume of titrant that just reacts with the sample', 'About as concentrated');
  for (const [label, text] of [
    ['Working', 'The same amount of acid as of base, in 25 mL.'],
    ['Claim', 'My acid is about as strong as the titrant.'],
    ['Evidence and reasoning', 'The titre was read to a tenth of a division, so the result can be trusted to that.'],
    ['How do you know?', 'One drop was enough to turn it, both times.'],
  ] as const)
    await page.getByLabel(label, { exact: true }).fill(text);
  await page.getByRole('radio', { name: 'Catch an end point to a drop' }).check();
}

/** Tabs on until the focus is on something of this name. */
export async function tabTo(page: Page, name: RegExp, key = 'Tab'): Promise<void> {
  for (let i = 0; i < 80; i++) {
    await page.keyboard.press(key);
    const focused = await page.evaluate(() => {
      const element = document.activeElement;
      if (!element) return '';
      const label = element.id ? document.querySelector(`label[for="${element.id}"]`)?.textContent : '';
      return (
        [element.getAttribute('aria-label'), label, element.closest('label')?.textContent, element.textContent].find(
          Boolean,
        ) ?? ''
      );
    });
    if (name.test(focused)) return;
  }
  throw new Error(`no way by Tab to ${name}`);
}

/** Arrows on, from one part of the notebook's to the next, until this one is open. */
export async function arrowToPart(page: Page, part: string): Promise<void> {
  for (let i = 0; i < 4; i++) {
    const open = page.locator('[role=tab]:focus[aria-selected=true]');
    await expect(open).toBeVisible();
    const name = await open.textContent();
    if (name === part.toLowerCase()) return;
    await page.keyboard.press('ArrowRight');
    await expect(open).not.toHaveText(name ?? '');
  }
  throw new Error(`no way by arrows to ${part}`);
}

/** Back by Shift and Tab to the parts of the notebook. */
export async function backToTabs(page: Page): Promise<void> {
  for (let i = 0; i < 80; i++) {
    await page.keyboard.press('Shift+Tab');
    if (await page.evaluate(() => document.activeElement?.getAttribute('role') === 'tab')) return;
  }
  throw new Error('no way back to the parts of the notebook');
}

/** Opens the Working page of the notebook. */
export async function working(page: Page): Promise<void> {
  await page.getByRole('tab', { name: 'Working' }).click();
  await expect(page.getByRole('toolbar', { name: 'Add to the notebook' })).toBeVisible();
}

/** Pastes a text into what has the focus, by the clipboard. */
export async function paste(page: Page, text: string): Promise<void> {
  await page.evaluate((block) => navigator.clipboard.writeText(block), text);
  await page.keyboard.press('Control+V');
}
