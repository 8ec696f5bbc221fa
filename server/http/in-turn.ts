import type { NextFunction, Request, Response } from 'express';

/** Pages are made a few at a time and give way to the acts and edits of those who work, which never wait here. */

/** How many pages are in the making at once; more would only take the same time from one another. */
const AT_ONCE = 2;
/** How many may wait: several classes that all load a page in the same moment. */
const WAITING_AT_MOST = 600;
/** So long a page gives way to acts that are under way, ms; then it has its turn all the same. */
const GIVES_WAY_MS = 150;

const waiting: { since: number; start: () => void }[] = [];
let making = 0;
let working = 0;
let timer: NodeJS.Timeout | undefined;

function next(): void {
  const [first] = waiting;
  if (!first || making >= AT_ONCE) return;
  const rest = first.since + GIVES_WAY_MS - performance.now();
  if (working > 0 && rest > 0) {
    timer ??= setTimeout(() => {
      timer = undefined;
      next();
    }, rest);
    return;
  }
  waiting.shift();
  making++;
  // After what has come in meanwhile.
  setImmediate(first.start);
}

/** Calls back once, when an answer is out or nobody wants it any more. */
function whenOver(response: Response, over: () => void): void {
  let isOver = false;
  const once = () => {
    if (isOver) return;
    isOver = true;
    over();
  };
  response.once('finish', once);
  response.once('close', once);
}

const isWork = (path: string) => /^\/runs\/[^/]+\/(acts|notebook)$/.test(path);

/** Counts an act or an edit as under way until it is answered. */
export function countWork(request: Request, response: Response, go: NextFunction): void {
  if (isWork(request.path)) {
    working++;
    whenOver(response, () => {
      working--;
      if (working === 0) next();
    });
  }
  go();
}

/** Lets a request for a page through when it is its turn; a sentence with 503 when far too many wait. */
export function inTurn(request: Request, response: Response, go: NextFunction): void {
  if (isWork(request.path) || request.path === '/prep/feed') return go();
  if (waiting.length >= WAITING_AT_MOST) {
    response.status(503).set('Retry-After', '5').type('text');
    return void response.send('Many are looking at this moment. Load the page again in a little while.');
  }
  const start = () => {
    const done = () => {
      making--;
      next();
    };
    // Who has gone away meanwhile wants nothing any more.
    if (response.destroyed) return done();
    whenOver(response, done);
    go();
  };
  waiting.push({ since: performance.now(), start });
  next();
}
