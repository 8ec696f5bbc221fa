import { availableParallelism } from 'node:os';
import { defineConfig } from 'vitest/config';

/** `npm run test:long`: all the students, other seeds each time, ten times the rounds. */
const isLong = process.env['FEN_LONG'] === '1';

export default defineConfig({
  resolve: { tsconfigPaths: true },
  test: {
    // As many as there are cores; the rule is one fewer, which leaves one of two idle.
    maxWorkers: Math.max(availableParallelism(), 2),
    provide: { isLong },
    projects: [
      // A machine that is busy with other things takes ten times as long; what hangs is found all the same.
      {
        extends: true,
        test: {
          name: 'core',
          include: ['core/**/*.test.ts'],
          setupFiles: ['./core/testing-seed.ts'],
          testTimeout: 120_000,
          // Core keeps nothing between calls, so that its files are read once for all tests of a worker.
          isolate: false,
        },
      },
      {
        extends: true,
        test: {
          name: 'app',
          include: ['app/**/*.test.ts', 'app/**/*.test.tsx'],
          setupFiles: ['./core/testing-seed.ts'],
          testTimeout: 60_000,
          isolate: false,
        },
      },
      {
        extends: true,
        test: {
          name: 'server',
          include: ['server/**/*.test.ts', 'scripts/**/*.test.ts'],
          globalSetup: ['./server/testing/global-setup.ts'],
          testTimeout: 60_000,
          hookTimeout: 60_000,
          // The app that they talk to is a process of its own; what they hold themselves is of a worker and its database.
          isolate: false,
        },
      },
    ],
  },
});
