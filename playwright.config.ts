import { defineConfig } from '@playwright/test';
import { LAUNCH } from './scripts/lib/chromium.mjs';

const port = Number(process.env.FEN_E2E_PORT ?? 4377);

/** Journeys through the real interface, on the built app and the database that DATABASE_URL names. */
export default defineConfig({
  testDir: 'e2e',
  // Four workers, a server and a database share two cores, and others may share them too: what is there is found at once, and
  // only what is missing waits so long.
  timeout: 100_000,
  expect: { timeout: 25_000 },
  // Most of a journey is waiting for answers: four of them keep two cores at work.
  workers: 4,
  fullyParallel: true,
  forbidOnly: true,
  retries: 0,
  // Journeys of many minutes of bench time, each beside a shorter one of its family, are those of `npm run test:long`.
  ...(process.env.FEN_LONG === '1' ? { grep: /@long/ } : { grepInvert: /@long/ }),
  reporter: [['list'], ['json', { outputFile: 'test-results/browser.json' }]],
  use: {
    baseURL: `http://127.0.0.1:${port}`,
    viewport: { width: 1280, height: 800 },
    launchOptions: LAUNCH,
    actionTimeout: 25_000,
  },
  webServer: {
    command: 'node scripts/serve.mjs',
    url: `http://127.0.0.1:${port}/data-book`,
    env: { PORT: String(port), HOST: '127.0.0.1' },
    reuseExistingServer: false,
  },
});
