import type { NextFunction, Request, Response } from 'express';

/** What a request must be before anything of it is read: its method, host, origin, and the kind and size of its body. */

const KB = 1024;
const JSON_TYPE = 'application/json';
const FORM_TYPES = ['application/x-www-form-urlencoded', 'multipart/form-data'];

interface BodyRule {
  path: RegExp;
  most: number;
  types: readonly string[];
}

/** The first rule that fits holds. Paths come with and without the `.data` that pages' own scripts ask for. */
const RULES: readonly BodyRule[] = [
  { path: /^\/runs\/[^/]+\/acts(\.data)?$/, most: 16 * KB, types: [JSON_TYPE] },
  { path: /^\/runs\/[^/]+\/notebook(\.data)?$/, most: 256 * KB, types: [JSON_TYPE] },
  { path: /^\/runs\/[^/]+(\.data|\/)?$/, most: 4 * KB, types: [JSON_TYPE] },
  { path: /^\/prep\/assignments\/[^/]+\/report(\.data)?$/, most: 256 * KB, types: [JSON_TYPE] },
  { path: /^\/prep\/(sign-in|sign-up)(\.data)?$/, most: 16 * KB, types: FORM_TYPES },
  { path: /^\/prep(\/|\.data|$)/, most: 256 * KB, types: FORM_TYPES },
  { path: /^\//, most: 16 * KB, types: FORM_TYPES },
];

const refuse = (response: Response, status: number, sentence: string) =>
  // What is not read must not be taken for the next request.
  void response.status(status).set('Connection', 'close').type('text').send(sentence);

/** A host name, an IPv4 or a bracketed IPv6 address, with or without a port. */
const HOST = /^(?:[a-z0-9](?:[a-z0-9.-]{0,251}[a-z0-9])?|\[[0-9a-f:.]{2,45}\])(?::\d{1,5})?$/i;
const LOOPBACK = /^(localhost|127(\.\d{1,3}){3}|\[::1\])(:\d+)?$/i;

export const isLoopback = (host: string | undefined): boolean => LOOPBACK.test(host ?? '');

/** Names that Fen answers to, from FEN_HOSTS; without it, its own machine's or, when it is reached from outside, any. */
export function hostRule(env: NodeJS.ProcessEnv): (host: string | undefined) => boolean {
  const named = (env['FEN_HOSTS'] ?? '')
    .toLowerCase()
    .split(/[\s,]+/)
    .filter(Boolean);
  const own = env['HOST'] ?? '127.0.0.1';
  const isPrivate = isLoopback(own) && env['FEN_BEHIND_PROXY'] !== '1';
  return (host) => {
    if (!host || !HOST.test(host)) return false;
    if (isLoopback(host)) return true;
    if (named.length > 0) return named.includes(host.toLowerCase().replace(/:\d+$/, ''));
    return !isPrivate;
  };
}

const knowsHost = hostRule(process.env);

/** Refuses what Fen has no answer to, in a sentence, before a byte of its body is read. */
export function admit(request: Request, response: Response, next: NextFunction): void {
  if (!knowsHost(request.get('host')))
    return refuse(response, 400, 'Fen is not at this address. Whoever runs it can add the name to FEN_HOSTS.');
  if (request.method === 'GET' || request.method === 'HEAD') return next();
  if (request.method !== 'POST') {
    response.set('Allow', 'GET, HEAD, POST');
    return refuse(response, 405, 'Fen is read and posted to, and nothing else.');
  }
  const rule = RULES.find(({ path }) => path.test(request.path)) as BodyRule;
  // Chunks have no length to be judged by; browsers send one.
  const length = Number(request.get('content-length') ?? NaN);
  if (!Number.isInteger(length)) return refuse(response, 411, 'Say how long this is, and send it again.');
  if (length > rule.most)
    return refuse(
      response,
      413,
      `This is longer than can be taken here: ${Math.ceil(length / KB)} kB, and at most ${rule.most / KB} kB. Nothing was done.`,
    );
  const type = (request.get('content-type') ?? '').split(';')[0]?.trim().toLowerCase() ?? '';
  if (length > 0 && !rule.types.includes(type))
    return refuse(response, 415, `This address takes ${rule.types[0]}, and nothing else. Nothing was done.`);
  next();
}

/** Whether an origin is this host's, and nothing but an origin: no name or password before it, no path behind it. */
function isOriginOf(origin: string, host: string | undefined): boolean {
  if (!URL.canParse(origin)) return false;
  const url = new URL(origin);
  return url.origin === origin.toLowerCase() && url.host === host?.toLowerCase();
}

/** A write from a page of another origin is refused, whatever cookie comes with it. */
export function sameOrigin(request: Request, response: Response, next: NextFunction): void {
  const reads = request.method === 'GET' || request.method === 'HEAD';
  const origin = request.get('origin');
  const site = request.get('sec-fetch-site');
  const strange =
    (origin !== undefined && !isOriginOf(origin, request.get('host'))) ||
    (origin === undefined && site !== undefined && site !== 'same-origin');
  if (reads || !strange) return next();
  response.status(403).type('text').send('This came from a page of another site, so nothing was done.');
}

/** Answers of loaders and actions are one person's at one moment: nobody keeps them. */
export function keepNothing(request: Request, response: Response, next: NextFunction): void {
  if (request.path.endsWith('.data')) response.set('Cache-Control', 'no-store');
  next();
}
