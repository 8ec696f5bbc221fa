import { randomUUID } from 'node:crypto';
import { chromium } from '@playwright/test';
import { performAct } from '@server/acts';
import { tokenHash } from '@server/secrets';

export const WATCHED_MS = 12_000;

/** Times between frames of the page, ms, over so long. */
export const FRAMES = `new Promise((done) => {
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

/** How a curve comes to be long, and goes on growing before everybody's eyes. */
interface Course {
  name: string;
  points: number;
  begin: readonly object[];
  /** Bench time that passes between one look and the next while nobody watches, s. */
  waitS: number;
  /** What is done before the page is opened. */
  last: readonly object[];
  /** What is pressed on the page, so that something goes on. */
  press: { thing: string; key: string };
}

const TITRATION_CURVE: Course = {
  name: 'of a titration',
  points: 2000,
  begin: [
    { kind: 'fill', toMl: 0 },
    { kind: 'drawSample' },
    { kind: 'drainPipette' },
    { kind: 'probe', place: 'flask' },
    { kind: 'log', every: 0.5, by: 's' },
  ],
  waitS: 60,
  last: [],
  // A drop at the tap sets the bench going again after it stood at rest.
  press: { thing: 'burette', key: 'd' },
};

export const HEAT_CURVE: Course = {
  name: 'of temperatures at 10 times the pace',
  points: 3000,
  begin: [
    { kind: 'pace', times: 60 },
    { kind: 'pour', bottle: 1, to: 'cup', ml: 80 },
    { kind: 'thermometer', n: 1, at: 'cup' },
    { kind: 'warm', what: 'bath', tempC: 100 },
    { kind: 'stir', vessel: 'cup', how: 'motor' },
    { kind: 'put', piece: 1, to: 'bath' },
    { kind: 'log', everyS: 1 },
  ],
  waitS: 110,
  last: [
    { kind: 'put', piece: 1, to: 'cup' },
    { kind: 'pace', times: 10 },
  ],
  // A bench stands still for who comes back.
  press: { thing: 'cup', key: 'p' },
};

/** A long curve that goes on growing while its graph is open: frames that came late. */
export async function benchLiveCurve(
  base: string,
  run: { runId: string; token: string },
  cookieOf: (token: string) => string,
  course: Course = TITRATION_CURVE,
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
  let view = await act({ kind: 'wait' });
  for (const one of course.begin) view = await act(one);
  while (view.logged.length < course.points) view = await act({ kind: 'wait' }, course.waitS);
  for (const one of course.last) await act(one);

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
  await page.locator(`[data-thing="${course.press.thing}"]`).focus();
  await page.keyboard.press(course.press.key);
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
    `a live curve ${course.name}, of ${before} points and ${grown} more in ${WATCHED_MS / 1000} s: ${gaps.length} frames, ${late} later than 34 ms, the longest after ${Math.max(...gaps).toFixed(0)} ms`,
  );
  await browser.close();
}
