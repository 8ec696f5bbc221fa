import { test as base, type Browser, type Page } from '@playwright/test';

export { expect } from '@playwright/test';

/** So many frames a second a page draws in a journey: what moves is still seen to move, and four journeys share two cores. */
const FRAMES_A_SECOND = 15;

/** Runs in the page: what is drawn frame by frame is drawn so often and no more. */
function drawSeldom(perSecond: number): void {
  window.requestAnimationFrame = (draw) => window.setTimeout(() => draw(performance.now()), 1000 / perSecond);
  window.cancelAnimationFrame = (handle) => window.clearTimeout(handle);
}

/** Waits until what is pressed on a page is heard: a page is drawn before it comes alive, later on a busy machine. */
const comesAlive = (page: Page) => page.waitForSelector('body[data-alive]', { state: 'attached', timeout: 25_000 });

/** A page that is gone to or loaded again is waited for until it is alive. */
function patient(page: Page): void {
  const goto = page.goto.bind(page);
  page.goto = async (url, options) => {
    const response = await goto(url, options);
    const isPage = response?.headers()['content-type']?.includes('text/html') === true;
    if (isPage && options?.waitUntil === undefined) await comesAlive(page);
    return response;
  };
  const reload = page.reload.bind(page);
  page.reload = async (options) => {
    const response = await reload(options);
    await comesAlive(page);
    return response;
  };
}

const seen = new WeakSet<Browser>();

/** Lets all pages of a browser draw seldom, and be alive before they are used. */
function calm(browser: Browser): void {
  if (seen.has(browser)) return;
  seen.add(browser);
  const made = browser.newContext.bind(browser);
  browser.newContext = async (options) => {
    const context = await made(options);
    await context.addInitScript(drawSeldom, FRAMES_A_SECOND);
    context.on('page', patient);
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
