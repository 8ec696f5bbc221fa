// Serves Fen: the built app, or with --dev the source through Vite with hot reload. Wants DATABASE_URL.
import express from 'express';
import { HOST, PORT, ROOT } from './lib/config.mjs';

const dev = process.argv.includes('--dev');
process.env.NODE_ENV = dev ? 'development' : 'production';

const server = express();
server.disable('x-powered-by');

if (dev) {
  const vite = await (await import('vite')).createServer({ root: ROOT, server: { middlewareMode: true } });
  server.use(vite.middlewares);
  server.use(async (request, response, next) => {
    try {
      const { app } = await vite.ssrLoadModule('./server/http/app.ts');
      return app(request, response, next);
    } catch (error) {
      vite.ssrFixStacktrace(error);
      next(error);
    }
  });
} else {
  const { app } = await import('../build/server/index.js');
  server.use(app);
}

const listening = server.listen(PORT, HOST, (error) => {
  if (error) {
    const inUse = error.code === 'EADDRINUSE';
    console.error(
      inUse
        ? `Port ${PORT} is in use. Stop what uses it, or choose another: PORT=${PORT + 1} npm start`
        : error.message,
    );
    process.exit(2);
  }
  process.send?.('listening');
});

// Who sends the head of a request, or the whole of it, ever so slowly holds a socket so long and no longer.
listening.headersTimeout = 10_000;
listening.requestTimeout = 20_000;
listening.maxConnections = 2_000;

for (const signal of ['SIGINT', 'SIGTERM']) {
  process.once(signal, () => {
    listening.close();
    listening.closeAllConnections();
    // Whatever was acknowledged is committed, so there is nothing to wait for.
    process.exit(0);
  });
}
// When the starter is gone without a word, so are we.
process.once('disconnect', () => process.exit(0));
