import compression from 'compression';
import express, { type NextFunction, type Request, type Response } from 'express';
import helmet from 'helmet';
import { randomBytes } from 'node:crypto';
import type { ServerBuild } from 'react-router';
import { admit, isLoopback, keepNothing, sameOrigin } from './admission';
import { takeBody } from './body';
import { countWork, inTurn } from './in-turn';
import { pages } from './pages';
import { findShare } from './share';

declare module 'react-router' {
  interface AppLoadContext {
    /** For the few inline scripts that React Router needs to start a page. */
    nonce: string;
    /** Where the request came from, for rate limits. */
    address: string;
    /** Whether cookies can be kept to encrypted connections. */
    secure: boolean;
  }
}

const dev = process.env.NODE_ENV === 'development';

const headers = helmet({
  contentSecurityPolicy: {
    useDefaults: false,
    directives: {
      defaultSrc: ["'self'"],
      scriptSrc: dev
        ? ["'self'", "'unsafe-inline'"]
        : ["'self'", (_, response) => `'nonce-${(response as Response).locals['nonce']}'`],
      // Drawings and the primitives' focus guards set style attributes.
      styleSrc: ["'self'", "'unsafe-inline'"],
      imgSrc: ["'self'", 'data:'],
      fontSrc: ["'self'"],
      connectSrc: dev ? ["'self'", 'ws:'] : ["'self'"],
      objectSrc: ["'none'"],
      baseUri: ["'none'"],
      formAction: ["'self'"],
      frameAncestors: ["'none'"],
    },
  },
  strictTransportSecurity: false,
  referrerPolicy: { policy: 'same-origin' },
});

function securityHeaders(request: Request, response: Response, next: NextFunction): void {
  response.locals['nonce'] = randomBytes(16).toString('base64');
  headers(request, response, next);
}

// The build itself, not a function that gives it: from a function, every request derives all routes anew.
const build = (await import('virtual:react-router/server-build')) as ServerBuild;
const handle = pages(build, (request, response) => ({
  nonce: String(response.locals['nonce'] ?? ''),
  address: request.ip ?? 'unknown',
  secure: request.secure || (process.env.FEN_BEHIND_PROXY === '1' && !isLoopback(request.get('host'))),
}));

export const app = express();
app.disable('x-powered-by');
if (process.env.FEN_BEHIND_PROXY === '1') app.set('trust proxy', 1);
app.use(admit, sameOrigin, keepNothing, takeBody, countWork);
// An act's answer is a few kilobytes of JSON and no page: neither squeezed, nor looked for among files, nor under the
// policy of pages.
app.post(/^\/runs\/[^/]+\/acts$/, (request, response, next) => {
  response.set('X-Content-Type-Options', 'nosniff');
  void handle(request, response, next);
});
// An event stream must not wait in a compressor.
app.use(
  compression({
    filter: (request, response) => request.path !== '/prep/feed' && compression.filter(request, response),
  }),
);
if (!dev) {
  app.use('/assets', express.static('build/client/assets', { immutable: true, maxAge: '1y' }));
  app.use(express.static('build/client', { maxAge: '1h', index: false }));
}
app.use(securityHeaders);
app.use(findShare, inTurn);
app.use(handle);
