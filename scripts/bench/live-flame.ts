import { randomUUID } from 'node:crypto';
import { chromium } from '@playwright/test';
import { performAct } from '@server/acts';
import { tokenHash } from '@server/secrets';

/** A hydrate that turns over its flame at thirty times the pace, before everybody's eyes: frames that came late, and jumps. */

const WATCHED_MS = 12_000;

/** At each frame of the page: how long since the last, the bench clock, and the colours of the rings. */
const FRAMES = `new Promise((done) => {
  const seen = [];
  let last = performance.now();
  const end = last + ${WATCHED_MS};
  const frame = (now) => {
    const clock = document.querySelector('[data-testid=bench-time]')?.textContent ?? '';
    const rings = [...document.querySelectorAll('[data-testid^=ring-]')].map((ring) => ring.getAttribute('fill'));
    seen.push({ gap: now - last, clock, rings });
    last = now;
    if (now < end) requestAnimationFrame(frame);
    else done(seen);
  };
  requestAnimationFrame(frame);
})`;

interface Frame {
  gap: number;
  clock: string;
  rings: string[];
}

const secondsOf = (clock: string) => clock.split(':').reduce((sum, part) => 60 * sum + Number(part), 0);
const parts = (fill: string) => (fill.match(/\d+/gu) ?? []).map(Number);
/** How far apart two colours are, of 255. */
const apart = (a: string, b: string) => Math.max(...parts(a).map((part, i) => Math.abs(part - (parts(b)[i] ?? part))));

export async function benchLiveFlame(
  base: string,
  run: { runId: string; token: string },
  cookieOf: (token: string) => string,
): Promise<void> {
  const tokens = [tokenHash(run.token)];
  let number = 0;
  let atS = 0;
  for (const act of [
    { kind: 'fill', g: 3 },
    { kind: 'lid', to: 'off' },
    { kind: 'put', at: 'gauze', by: 'tongs' },
    { kind: 'gas', to: 4 },
    { kind: 'air', to: 3 },
    { kind: 'pace', times: 30 },
    { kind: 'light' },
  ]) {
    const answer = await performAct(run.runId, { number: ++number, actId: randomUUID(), atS, act }, tokens);
    atS = answer.view.timeS;
  }
  const { LAUNCH } = (await import(new URL('../lib/chromium.mjs', import.meta.url).href)) as {
    LAUNCH: Parameters<typeof chromium.launch>[0];
  };
  const browser = await chromium.launch(LAUNCH);
  const context = await browser.newContext({ viewport: { width: 1280, height: 800 } });
  const [name = '', value = ''] = cookieOf(run.token).split(/=(.*)/s);
  await context.addCookies([{ name, value, url: base }]);
  const page = await context.newPage();
  await page.goto(`${base}/runs/${run.runId}`);
  await page.locator('[data-thing=burner]').focus();
  // A bench stands still for who comes back: it is set going where it stands.
  const clock = async () => secondsOf((await page.getByTestId('bench-time').textContent()) ?? '');
  const before = await clock();
  await page.waitForTimeout(2500);
  if ((await clock()) === before) await page.keyboard.press('p');
  await page.waitForTimeout(1500);
  const seen = (await page.evaluate(FRAMES)) as Frame[];
  const late = seen.filter(({ gap }) => gap > 34).length;
  const steps = seen.slice(1).map((frame, i) => {
    const before = seen[i] as Frame;
    return {
      seconds: secondsOf(frame.clock) - secondsOf(before.clock),
      colour: Math.max(0, ...frame.rings.map((fill, ring) => apart(before.rings[ring] ?? fill, fill))),
    };
  });
  const most = (of: (step: (typeof steps)[number]) => number) => Math.max(...steps.map(of));
  console.log(
    `a hydrate over its flame at 30 times the pace, ${WATCHED_MS / 1000} s: ${seen.length} frames, ${late} later than 34 ms, the longest after ${Math.max(...seen.map(({ gap }) => gap)).toFixed(0)} ms; the bench clock went on by ${(secondsOf(seen.at(-1)?.clock ?? '') - secondsOf(seen[0]?.clock ?? '')).toFixed(0)} s, from one frame to the next by ${most(({ seconds }) => seconds)} s at the most and ${Math.min(...steps.map(({ seconds }) => seconds))} at the least; no colour changed by more than ${most(({ colour }) => colour)} of 255 in a frame`,
  );
  await browser.close();
}
