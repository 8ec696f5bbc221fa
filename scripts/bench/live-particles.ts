import { randomUUID } from 'node:crypto';
import { chromium } from '@playwright/test';
import { performAct } from '@server/acts';
import { tokenHash } from '@server/secrets';
import { FRAMES, WATCHED_MS } from './live-curve';

/** Particles that fly before everybody's eyes, ten and a thousand of them: frames that came late, and what the page itself works for each. */
export async function benchLiveParticles(
  base: string,
  run: { runId: string; token: string },
  cookieOf: (token: string) => string,
): Promise<void> {
  const tokens = [tokenHash(run.token)];
  let number = 0;
  let atS = 0;
  const act = async (next: unknown) => {
    const answer = await performAct(run.runId, { number: ++number, actId: randomUUID(), atS, act: next }, tokens);
    atS = answer.view.timeS;
  };
  const { LAUNCH } = (await import(new URL('../lib/chromium.mjs', import.meta.url).href)) as {
    LAUNCH: Parameters<typeof chromium.launch>[0];
  };
  await act({ kind: 'jacket', kelvin: 300 });
  const browser = await chromium.launch(LAUNCH);
  const context = await browser.newContext({ viewport: { width: 1280, height: 800 } });
  const [name = '', value = ''] = cookieOf(run.token).split(/=(.*)/s);
  await context.addCookies([{ name, value, url: base }]);
  for (const more of [9, 990]) {
    await act({ kind: 'letIn', count: more });
    const page = await context.newPage();
    await page.goto(`${base}/runs/${run.runId}`);
    await page.locator('[data-thing=cylinder]').waitFor();
    await page.waitForLoadState('networkidle');
    const session = await context.newCDPSession(page);
    await session.send('Performance.enable');
    const worked = async () => {
      const { metrics } = (await session.send('Performance.getMetrics')) as {
        metrics: { name: string; value: number }[];
      };
      const ms = (name: string) => 1000 * (metrics.find((one) => one.name === name)?.value ?? NaN);
      return {
        all: ms('TaskDuration'),
        script: ms('ScriptDuration'),
        layout: ms('LayoutDuration') + ms('RecalcStyleDuration'),
      };
    };
    await page.locator('[data-thing=cylinder]').focus();
    await page.keyboard.press('f');
    await page.waitForTimeout(2000);
    const before = await worked();
    const gaps = (await page.evaluate(FRAMES)) as number[];
    const after = await worked();
    const each = (what: keyof typeof after) => ((after[what] - before[what]) / gaps.length).toFixed(1);
    const late = gaps.filter((gap) => gap > 34).length;
    const count = await page.getByTestId('counter-N').textContent();
    console.log(
      `${count} particles that fly, ${WATCHED_MS / 1000} s: ${gaps.length} frames, ${late} later than 34 ms, the longest after ${Math.max(...gaps).toFixed(0)} ms; the page itself works ${each('all')} ms a frame (aim 4), ${each('script')} of it in scripts, ${each('layout')} in styles and layout`,
    );
    await page.close();
    // What was pressed on the page was one act.
    number++;
    atS += 1e4;
  }
  await browser.close();
}
