import { randomUUID } from 'node:crypto';
import { chromium, type Page } from '@playwright/test';
import { performAct } from '@server/acts';
import { presentBench } from '@server/benches';
import { tokenHash } from '@server/secrets';
import { act, type BenchRun } from './class';

const ACTS = 350;
const TABLES = 8;
const GRAPHS = 5;
const CALCULATIONS = 10;
const SKETCHES = 5;
const DROPS = 25;

/** Waits until the bench stands still, lets one drop fall and waits until the bench shows it, ms; as text, since it runs in the page. */
const ONE_DROP = `(async () => {
  const burette = document.querySelector('[data-testid=bench] [data-thing="burette"]');
  const bench = burette.closest('svg');
  const later = (ms) => new Promise((resolve) => setTimeout(resolve, ms));
  let before;
  do {
    before = bench.innerHTML;
    await later(600);
  } while (bench.innerHTML !== before);
  const start = performance.now();
  burette.dispatchEvent(new KeyboardEvent('keydown', { key: 'd', bubbles: true }));
  const painted = () => new Promise((resolve) => requestAnimationFrame(() => setTimeout(resolve, 0)));
  do await painted(); while (bench.innerHTML === before && performance.now() - start < 5000);
  return performance.now() - start;
})()`;

/** The notebook as an hour leaves it, made by the same buttons that a student presses. */
async function fillNotebook(page: Page): Promise<void> {
  const toolbar = page.getByRole('toolbar', { name: 'Add to the notebook' });
  for (let i = 1; i <= TABLES; i++) {
    const rows = Array.from({ length: 12 }, (_, row) => `${row},${(20 + i + row / 7).toFixed(2)}`);
    const buffer = Buffer.from(['t / s,T / °C', ...rows].join('\n'));
    await page
      .getByLabel('Table from a file')
      .setInputFiles({ name: `warming ${i}.csv`, mimeType: 'text/csv', buffer });
    await page.getByRole('region', { name: `table: warming ${i}` }).waitFor();
  }
  for (let i = 0; i < GRAPHS; i++) await toolbar.getByRole('button', { name: 'New graph' }).click();
  await page
    .getByTestId('plot')
    .nth(GRAPHS - 1)
    .waitFor();
  for (let i = 0; i < CALCULATIONS; i++) {
    await page.getByLabel('Calculation', { exact: true }).fill(`m_${i} = ${i + 1}.25 g * 2`);
    await page.keyboard.press('Enter');
  }
  for (let i = 0; i < SKETCHES; i++) await toolbar.getByRole('button', { name: 'Snapshot of the bench' }).click();
  await page.getByText('Kept.').waitFor();
}

/** Median and worst of some drops with the working open, ms. */
async function drops(page: Page): Promise<string> {
  await page.getByTestId('bench').locator('[data-thing="burette"]').focus();
  const times: number[] = [];
  for (let i = 0; i < DROPS; i++) times.push(Number(await page.evaluate(ONE_DROP)));
  times.sort((a, b) => a - b);
  return `median ${times[DROPS >> 1]?.toFixed(0)} ms, worst ${times[DROPS - 1]?.toFixed(0)} ms`;
}

/** From the key to the painted drop, on a bench just begun and on one after an hour's lesson. */
export async function benchLesson(base: string, run: BenchRun, cookieOf: (token: string) => string): Promise<void> {
  const { LAUNCH } = (await import(new URL('../lib/chromium.mjs', import.meta.url).href)) as {
    LAUNCH: Parameters<typeof chromium.launch>[0];
  };
  const tokens = [tokenHash(run.token)];
  let number = 0;
  let atS = 0;
  const perform = async (next: unknown) => {
    const answer = await performAct(run.runId, { number: ++number, actId: randomUUID(), atS, act: next }, tokens);
    atS = answer.view.timeS;
  };
  await perform(act(1));
  const browser = await chromium.launch(LAUNCH);
  const context = await browser.newContext({ viewport: { width: 1280, height: 800 } });
  const [name = '', value = ''] = cookieOf(run.token).split(/=(.*)/s);
  await context.addCookies([{ name, value, url: base }]);
  const page = await context.newPage();
  const open = async () => {
    await page.goto(`${base}/runs/${run.runId}`);
    await page.getByRole('tab', { name: 'Working' }).click();
    await page.getByRole('toolbar', { name: 'Add to the notebook' }).waitFor();
    await page.waitForLoadState('networkidle');
  };
  await open();
  console.log(`from the key to the painted drop, bench just begun: ${await drops(page)}`);
  await page.goto('about:blank');
  ({ number } = await presentBench(run.runId));
  // The last fills the burette again, so that there is something to let fall.
  while (number < ACTS) await perform(number === ACTS - 1 ? { kind: 'fill', toMl: 5 } : act(number + 1));
  await open();
  await fillNotebook(page);
  console.log(
    `  after ${ACTS} acts, with ${TABLES} tables, ${GRAPHS} graphs, ${CALCULATIONS} calculations, ${SKETCHES} sketches: ${await drops(page)}`,
  );
  await browser.close();
}
