import { chromium } from '@playwright/test';
import { linearRegression } from 'simple-statistics';
import { gzipSync } from 'node:zlib';
import { crossing } from '@core/analysis/crossing';
import { derivative } from '@core/analysis/derivative';
import { fitLine, type LineFit } from '@core/analysis/line-fit';
import { chance } from '@core/random';

const COUNT = 10_000;

/** Median time of one call, ms, over as many as fit in half a second. */
function timed(work: () => unknown): number {
  const times: number[] = [];
  const end = performance.now() + 500;
  work();
  while (performance.now() < end) {
    const start = performance.now();
    work();
    times.push(performance.now() - start);
  }
  times.sort((a, b) => a - b);
  return times[Math.floor(times.length / 2)] ?? NaN;
}

/** Fits, crossings and derivatives over 10,000 points, beside a library that fits without standard errors. */
export function benchAnalysis(): void {
  const source = chance('bench', 'points');
  const points = Array.from({ length: COUNT }, (_, i) => ({
    x: i / 10,
    y: 3 - 0.02 * (i / 10) + 0.1 * source.normal(),
  }));
  const pairs = points.map(({ x, y }) => [x, y]);
  const halves = [points.slice(0, COUNT / 2), points.slice(COUNT / 2)] as const;
  const own = timed(() => fitLine(points));
  const theirs = timed(() => linearRegression(pairs));
  const cross = timed(() => crossing(fitLine(halves[0]) as LineFit, fitLine(halves[1]) as LineFit));
  const ms = (value: number) => `${value.toFixed(2)} ms`;
  console.log(
    `least squares with standard errors, ${COUNT} points: ${ms(own)}; simple-statistics, slope and intercept alone: ${ms(theirs)} (${(own / theirs).toFixed(2)} times as long)`,
  );
  console.log(`  two stretches and their crossing: ${ms(cross)}`);
  console.log(
    `  first derivative: ${ms(timed(() => derivative(points, 1)))}, over 9 points each: ${ms(timed(() => derivative(points, 1, 9)))}, second: ${ms(timed(() => derivative(points, 2)))}`,
  );
}

/** Presses the button and waits until the graph was painted; as text, since it runs in the page. */
const DRAW_ONE = `(async () => {
  const button = [...document.querySelectorAll('button')].find((one) => one.textContent === 'New graph');
  const plots = () => document.querySelectorAll('[data-testid=plot]').length;
  const before = plots();
  const start = performance.now();
  button.click();
  const painted = () => new Promise((resolve) => requestAnimationFrame(() => setTimeout(resolve, 0)));
  do await painted(); while (plots() === before);
  await painted();
  return performance.now() - start;
})()`;

/** The run page in a browser: JavaScript with the notebook closed and open, and a graph of 5,000 points. */
export async function benchNotebookPage(
  base: string,
  runId: string,
  cookie: { name: string; value: string },
): Promise<void> {
  const { LAUNCH } = (await import(new URL('../lib/chromium.mjs', import.meta.url).href)) as {
    LAUNCH: Parameters<typeof chromium.launch>[0];
  };
  const browser = await chromium.launch(LAUNCH);
  const context = await browser.newContext({ viewport: { width: 1280, height: 800 } });
  await context.addCookies([{ ...cookie, url: base }]);
  const page = await context.newPage();
  let zipped = 0;
  const read: Promise<void>[] = [];
  page.on('response', (response) => {
    if (!response.url().endsWith('.js')) return;
    read.push(response.body().then((body) => void (zipped += gzipSync(body, { level: 9 }).length)));
  });
  const size = async () => {
    await page.waitForLoadState('networkidle');
    await Promise.all(read);
    return (zipped / 1000).toFixed(0);
  };
  await page.goto(`${base}/runs/${runId}`);
  const closed = await size();
  await page.getByRole('tab', { name: 'Working' }).click();
  const toolbar = page.getByRole('toolbar', { name: 'Add to the notebook' });
  await toolbar.waitFor();
  console.log(
    `JavaScript of the run page, gzipped: ${closed} kB with the notebook’s working closed (aim under 200), ${await size()} kB with it open`,
  );

  const rows = Array.from({ length: 5000 }, (_, i) => `${i},${(20 + Math.sin(i / 300)).toFixed(3)}`);
  await page.getByLabel('Table from a file').setInputFiles({
    name: 'long.csv',
    mimeType: 'text/csv',
    buffer: Buffer.from(['t / s,T / °C', ...rows].join('\n')),
  });
  await page.getByText('5000 rows').first().waitFor();
  await page.getByText('Kept.').waitFor();
  const times: number[] = [];
  for (let round = 0; round < 5; round++) {
    const time = Number(await page.evaluate(DRAW_ONE));
    times.push(time);
    // Each round draws one graph: the one before goes first.
    await page.getByRole('button', { name: /^Remove Graph/ }).click();
  }
  times.sort((a, b) => a - b);
  console.log(
    `a graph of 5,000 points from data to painted: median ${times[2]?.toFixed(0)} ms, worst ${times[4]?.toFixed(0)} ms`,
  );
  await browser.close();
}
