import { reactRouter } from '@react-router/dev/vite';
import tailwindcss from '@tailwindcss/vite';
import { defineConfig } from 'vite';

export default defineConfig(({ isSsrBuild }) => ({
  plugins: [tailwindcss(), reactRouter()],
  resolve: { tsconfigPaths: true },
  build: {
    sourcemap: false,
    rollupOptions: isSsrBuild
      ? { input: { index: './server/http/app.ts', influences: './server/influences-worker.ts' } }
      : undefined,
  },
}));
