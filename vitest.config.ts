import { defineConfig } from 'vitest/config';

export default defineConfig({
  resolve: { tsconfigPaths: true },
  test: {
    projects: [
      // A machine that is busy with other things takes ten times as long; what hangs is found all the same.
      {
        extends: true,
        test: { name: 'core', include: ['core/**/*.test.ts', 'app/**/*.test.ts'], testTimeout: 120_000 },
      },
      {
        extends: true,
        test: {
          name: 'server',
          include: ['server/**/*.test.ts', 'scripts/**/*.test.ts'],
          globalSetup: ['./server/testing/global-setup.ts'],
          testTimeout: 60_000,
          hookTimeout: 20_000,
          fileParallelism: false,
        },
      },
    ],
  },
});
