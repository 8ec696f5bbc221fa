import { reactRouter } from '@react-router/dev/vite';
import tailwindcss from '@tailwindcss/vite';
import { defineConfig, type Plugin } from 'vite';

/** The server build has two entries, the app and a worker; React Router would give both the name of the first. */
const entriesByName = (): Plugin => ({
  name: 'entries-by-name',
  outputOptions: (options) =>
    options.entryFileNames === 'index.js' ? { ...options, entryFileNames: '[name].js' } : options,
});

export default defineConfig(({ isSsrBuild }) => ({
  plugins: [tailwindcss(), reactRouter(), entriesByName()],
  resolve: { tsconfigPaths: true },
  // Of hundreds of files some are used: bundled, the server and its workers start in a third of the time.
  ssr: { noExternal: ['mathjs', 'date-fns', '@date-fns/tz', 'zod', 'radix-ui', /^@radix-ui\//, 'pure-rand'] },
  build: {
    sourcemap: false,
    rollupOptions: isSsrBuild
      ? {
          input: {
            index: './server/http/app.ts',
            influences: './server/influences-worker.ts',
            bench: './server/bench-worker.ts',
            shown: './server/shown-worker.ts',
          },
        }
      : undefined,
  },
}));
