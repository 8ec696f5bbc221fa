import { readFileSync } from 'node:fs';
import type { Page } from '@playwright/test';
import { expect } from './test';
import { acted, select, verb } from './helpers';

/** What journeys at the bench of heat share. */

export const balance = async (page: Page) => Number(await page.getByTestId('balance-display').first().textContent());
export const thermometer = async (page: Page, n = 1) =>
  Number((await page.getByTestId(`thermometer-${n}`).textContent())?.replace('\u2212', '-'));
export const notices = (page: Page) => page.getByTestId('notices');
/** Sets the pace of the bench clock, unless it is that. */
export async function pace(page: Page, times: number): Promise<void> {
  const clock = page.getByLabel('Pace of the bench clock');
  if (Number(await clock.inputValue()) === times) return;
  await acted(page, () => clock.selectOption(String(times)));
}

/** The bench clock, s. */
export async function clockS(page: Page): Promise<number> {
  const text = (await page.getByTestId('bench-time').textContent()) ?? '';
  return text.split(':').reduce((sum, part) => 60 * sum + Number(part), 0);
}

/** Lets a few seconds of bench time pass at sixty times the pace; goes on at the pace that was. */
async function atSixty(page: Page, seconds: number): Promise<void> {
  const times = Number(await page.getByLabel('Pace of the bench clock').inputValue());
  const from = await clockS(page);
  await pace(page, 60);
  await untilClock(page, from + seconds);
  await pace(page, times);
}

/** Waits until the bench clock shows more than this, or stands. */
async function untilClock(page: Page, until: number): Promise<void> {
  // Looked at in the page itself. A clock that shows the same for so long stands.
  await page.waitForFunction(
    ([until, standsMs]) => {
      const text = document.querySelector('[data-testid=bench-time]')?.textContent ?? '';
      const now = text.split(':').reduce((sum, part) => 60 * sum + Number(part), 0);
      const seen = (window as { clockSeen?: { now: number; sinceMs: number } }).clockSeen;
      if (seen?.now !== now) (window as { clockSeen?: object }).clockSeen = { now, sinceMs: performance.now() };
      else if (performance.now() - seen.sinceMs > standsMs) return true;
      return now > until;
    },
    [until, 3000] as const,
    { polling: 50, timeout: 60_000 },
  );
  await page.evaluate(() => delete (window as { clockSeen?: object }).clockSeen);
}

/** What can be waited by one press, s. */
const WAITS_S = [900, 600, 300, 180, 120, 60, 30, 10];

/** Lets minutes of bench time pass at once, to the nearest ten seconds above: by as many presses as that takes. */
export async function letPass(page: Page, seconds: number): Promise<void> {
  const wait = page.getByLabel('Wait at the bench');
  let left = Math.ceil(seconds / 10) * 10;
  for (const each of WAITS_S)
    for (; left >= each; left -= each) await acted(page, () => wait.selectOption(String(each)));
}

/** Until a balance, a gauge or a level has come to rest. */
export const settles = (page: Page) => atSixty(page, 4);

/** Waits until the tube is seen to be so, at sixty times the pace. */
export async function untilTube(page: Page, state: RegExp): Promise<void> {
  await pace(page, 60);
  await expect(page.locator('[data-thing=tube]')).toHaveAccessibleName(state, { timeout: 60_000 });
}

/** Weighs a thing, records it, and takes it off again. */
export async function weighs(page: Page, thing: string, recorded: RegExp): Promise<number> {
  await select(page, thing);
  await verb(page, 'Weigh it');
  await settles(page);
  await select(page, 'balance');
  await verb(page, recorded);
  const grams = await balance(page);
  await verb(page, 'Take off what stands on it');
  return grams;
}

/** Working the bench by keyboard alone. */
export function byKeys(page: Page) {
  const bench = page.getByRole('region', { name: 'Bench', exact: true });
  /** Goes by arrows to a thing of the bench. */
  const go = async (thing: string) => {
    await page.locator('[data-thing][tabindex="0"]').first().focus();
    for (let i = 0; i < 20; i++) {
      if ((await page.evaluate(() => document.activeElement?.getAttribute('data-thing'))) === thing) return;
      await page.keyboard.press('ArrowRight');
    }
    throw new Error(`no way by arrows to ${thing}`);
  };
  /** Tabs from a thing to a field or a button of its verbs, and uses it. */
  const press = async (name: RegExp, text?: string) => {
    const target = bench.getByRole(text === undefined ? 'button' : 'textbox', { name });
    for (let i = 0; i < 40; i++) {
      if (await target.first().evaluate((element) => element === document.activeElement)) break;
      await page.keyboard.press('Tab');
    }
    await expect(target.first()).toBeFocused();
    if (text !== undefined) {
      await page.keyboard.press('ControlOrMeta+a');
      await page.keyboard.type(text);
    }
    await acted(page, () => page.keyboard.press('Enter'));
  };
  const weigh = async (thing: string, name: RegExp) => {
    await go(thing);
    await press(/^Weigh it/);
    await settles(page);
    await go('balance');
    await page.keyboard.press('m');
    await expect(bench.getByRole('button', { name })).toBeVisible();
    const grams = await balance(page);
    await press(/^Take off what stands/);
    return grams;
  };
  return { bench, go, press, weigh };
}

/** The words of a report: working, claim, evidence, how one knows. */
export async function writesReport(
  page: Page,
  words: [working: string, claim: string, evidence: string, know: string],
) {
  const labels = ['Working', 'Claim', 'Evidence and reasoning', 'How do you know?'];
  for (const [i, label] of labels.entries()) await page.getByLabel(label, { exact: true }).fill(words[i] as string);
}

type Logged = { run: string; t: number; T: number }[];

/** All lines of the log, as the file of the table has them. */
export async function logOf(page: Page): Promise<Logged> {
  await page.getByRole('tab', { name: 'Working' }).click();
  const download = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Temperature curve as CSV' }).click();
  const [, ...lines] = readFileSync(await (await download).path(), 'utf8')
    .trim()
    .split('\r\n');
  return lines.map((line) => {
    const [run = '', t, T] = line.split(',');
    return { run, t: Number(t), T: Number(T) };
  });
}

/**
 * Stretches of one freezing as an eye finds them: the last degrees of the cooling, and the first of the freezing.
 * @param hotC what it was hotter than before it was cooled
 */
export function stretches(log: Logged, run: string, hotC: number) {
  const own = log.filter((line) => line.run === run);
  // From the last time that it was hot on.
  const cooled = own.slice(own.findLastIndex(({ T }) => T > hotC));
  // Half a minute in which it hardly falls, or rises: there the freezing begins.
  const begins = cooled.findIndex(({ T }, i) => T - (cooled[i + 6]?.T ?? -Infinity) < 0.3);
  const near = cooled.slice(begins, begins + 10);
  // Lowest before the crystals came, and from there on the highest: the plateau.
  const lowest = near.reduce((best, line) => (line.T < best.T ? line : best));
  const top = cooled
    .filter(({ t }) => t >= lowest.t && t < lowest.t + 100)
    .reduce((best, line) => (line.T > best.T ? line : best));
  const falling = cooled.filter(({ t, T }) => t < lowest.t && T > top.T + 0.3 && T < top.T + 4.5);
  return { cooling: [falling[0]?.t, falling.at(-1)?.t], freezing: [top.t + 10, top.t + 105] } as const;
}

/** Where two lines of a log cross, as the graph tells it. */
const CROSSING = /T = (\u2212?-?[\d.]+)(?:.±.([\d.]+))? °C/u;

/** A graph with lines through these stretches of time, or of another column. @returns where a line and the next cross, by the number of the first */
export async function linesThrough(
  page: Page,
  ends: readonly (readonly [number | undefined, number | undefined])[],
  across?: string,
) {
  await page.getByRole('button', { name: 'New graph' }).press('Enter');
  const graph = page.getByRole('region', { name: 'graph: Graph 1' });
  if (across) {
    // A graph that was made this moment is drawn anew when it is kept.
    const columns = graph.getByLabel('across, series 1 of Graph 1');
    await expect(async () => {
      if (!(await columns.isVisible())) await graph.getByText('Columns and axes').click();
      await expect(columns).toBeVisible({ timeout: 2000 });
    }).toPass({ timeout: 25_000 });
    await columns.selectOption(across);
  }
  for (const [i, end] of ends.entries()) {
    await graph.getByRole('button', { name: 'Line through all points' }).press('Enter');
    for (const [key, value] of [
      ['from', end[0]],
      ['to', end[1]],
    ] as const) {
      const field = graph.getByLabel(`Line ${i + 1} ${key}`, { exact: true });
      await field.fill(String(value));
      await field.press('Enter');
      await expect(field).toHaveValue(String(value));
    }
  }
  return async (line: number) => {
    const told = graph.getByTestId(`crossing-${line}`);
    // It is worked out a moment after the last end was typed.
    await expect(told).toContainText(CROSSING);
    const found = CROSSING.exec((await told.textContent()) ?? '');
    return { T: Number(found?.[1]?.replace('\u2212', '-')), error: Number(found?.[2]) };
  };
}
