import { test as base } from '@playwright/test';

export { expect } from '@playwright/test';

/**
 * A journey whose pages are closed when it is over: a bench that is left open goes on being drawn sixty times a second beside
 * all journeys that follow.
 */
export const test = base.extend<{ closesPages: void }>({
  closesPages: [
    async ({ browser }, use) => {
      await use();
      await Promise.all(browser.contexts().map((context) => context.close()));
    },
    { auto: true },
  ],
});
