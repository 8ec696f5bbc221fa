import { randomUUID } from 'node:crypto';
import { chromium } from '@playwright/test';
import { performAct } from '@server/acts';
import { tokenHash } from '@server/secrets';

const POINTS = 2000;
const WATCHED_MS = 12_000;

/** Times between frames of the page, ms, over so long. */
const FRAMES = `new Promise((done) => {
  const gaps = [];
  let last = performance.now();
  const end = last + ${WATCHED_MS};
  const frame = (now) => {
    gaps.push(now - last);
    last = now;
    if (now < end) requestAnimationFrame(frame);
    else done(gaps);
  };
  requestAnimationFrame(frame);
})`;

/** A curve of 2,000 points that goes on growing at full pace while its graph is open: frames that came late. */
export async function benchLiveCurve(
  base: string,
  run: { runId: string; token: string },
  cookieOf: (token: string) => string,
): Promise<void> {
  const tokens = [tokenHash(run.token)];
  let number = 0;
  let atS = 0;
  const act = async (next: unknown, laterS = 0) => {
    const answer = await performAct(
      run.runId,
      { number: ++number, actId: randomUUID(), atS: atS + laterS, act: next },
      tokens,
    );
    atS = answer.view.timeS;
    return answer.view;
  };
  await act({ kind: 'fill', toMl: 0 });
  await act({ kind: 'drawSample' });
  await act({ kind: 'drainPipette' });
  await act({ kind: 'probe', place: 'flask' });
  let view = await act({ kind: 'log', every: 0.5, by: 's' });
  while (view.logged.length < POINTS) view = await act({ kind: 'wait' }, 60);

  const { LAUNCH } = (await import(new URL('../lib/chromium.mjs', import.meta.url).href)) as {
    LAUNCH: Parameters<typeof chromium.launch>[0];
  };
  const browser = await chromium.launch(LAUNCH);
  const context = await browser.newContext({ viewport: { width: 1280, height: 800 } });
  const [name = '', value = ''] = cookieOf(run.token).split(/=(.*)/s);
  await context.addCookies([{ name, value, url: base }]);
  const page = await context.newPage();
  await page.goto(`${base}/runs/${run.runId}`);
  await page.getByRole('tab', { name: 'Working' }).click();
  await page.getByRole('button', { name: 'New graph' }).click();
  await page.getByTestId('plot').waitFor();
  // A drop at the tap sets the bench going again after it stood at rest.
  await page.locator('[data-thing="burette"]').focus();
  await page.keyboard.press('d');
  await page.waitForTimeout(2000);
  const rows = async () =>
    Number(
      /(\d+) rows/.exec(
        (await page
          .getByText(/\d+ rows/)
          .first()
          .textContent()) ?? '',
      )?.[1],
    );
  const before = await rows();
  const gaps = (await page.evaluate(FRAMES)) as number[];
  const grown = (await rows()) - before;
  const late = gaps.filter((gap) => gap > 34).length;
  console.log(
    `a live curve of ${before} points and ${grown} more in ${WATCHED_MS / 1000} s: ${gaps.length} frames, ${late} later than 34 ms, the longest after ${Math.max(...gaps).toFixed(0)} ms`,
  );
  await browser.close();
}
