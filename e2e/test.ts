import { test as base, type Browser } from '@playwright/test';

export { expect } from '@playwright/test';

/** So many frames a second a page draws in a journey: what moves is still seen to move, and four journeys share two cores. */
const FRAMES_A_SECOND = 15;

/** Runs in the page: what is drawn frame by frame is drawn so often and no more. */
function drawSeldom(perSecond: number): void {
  window.requestAnimationFrame = (draw) => window.setTimeout(() => draw(performance.now()), 1000 / perSecond);
  window.cancelAnimationFrame = (handle) => window.clearTimeout(handle);
}

const seen = new WeakSet<Browser>();

/** Lets all pages of a browser draw seldom. */
function calm(browser: Browser): void {
  if (seen.has(browser)) return;
  seen.add(browser);
  const made = browser.newContext.bind(browser);
  browser.newContext = async (options) => {
    const context = await made(options);
    await context.addInitScript(drawSeldom, FRAMES_A_SECOND);
    return context;
  };
}

/**
 * A journey whose pages are closed when it is over: a bench that is left open goes on being drawn beside all journeys that
 * follow.
 */
export const test = base.extend<{ closesPages: void }>({
  closesPages: [
    async ({ browser }, use) => {
      calm(browser);
      await use();
      await Promise.all(browser.contexts().map((context) => context.close()));
    },
    { auto: true },
  ],
});
