import type { NextFunction, Request, Response } from 'express';
import { FairLine } from './fair-line';
import { isAddress } from './share';

/**
 * Pages are made a few at a time, turn by turn for all who want one, and give way to the acts and edits of those who work,
 * which never wait here. Nobody holds a place by what they send or read: bodies are there before, and pages are whole after.
 */

/** How many pages are in the making at once; more would only take the same time from one another. */
const AT_ONCE = 2;
/** How many may wait: several classes that all load a page in the same moment. */
const WAITING_AT_MOST = 600;
/** Of one person: more than any page and its parts; of an address: a whole school that signs in at once. */
const OF_A_PERSON = 24;
const OF_AN_ADDRESS = 300;
/** So long a page gives way to acts that are under way, ms; then it has its turn all the same. */
const GIVES_WAY_MS = 150;

/** Who is refused hears it after so long, ms: who asks again at once asks no oftener. So many hear it late, others at once. */
const REFUSED_MS = 1_500;
const REFUSED_AT_MOST = 1_000;

let refused = 0;
let working = 0;
let timer: NodeJS.Timeout | undefined;

/** Whether a page that has waited for so long, ms, may begin now. */
function mayBegin(waitedMs: number): boolean {
  const restMs = GIVES_WAY_MS - waitedMs;
  if (working === 0 || restMs <= 0) return true;
  timer ??= setTimeout(() => {
    timer = undefined;
    line.serve();
  }, restMs + 1);
  return false;
}

const line = new FairLine(
  {
    atOnce: AT_ONCE,
    waitingAtMost: WAITING_AT_MOST,
    waitingOfOne: (share) => (isAddress(share) ? OF_AN_ADDRESS : OF_A_PERSON),
  },
  mayBegin,
);

/** A function that does it once, however often it is called. */
function once(does: () => void): () => void {
  let isDone = false;
  return () => {
    if (isDone) return;
    isDone = true;
    does();
  };
}

/** Calls back once, when an answer is out or nobody wants it any more. */
function whenOver(response: Response, over: () => void): void {
  const ended = once(over);
  response.once('finish', ended);
  response.once('close', ended);
}

const isWork = (path: string) => /^\/runs\/[^/]+\/(acts|notebook)$/.test(path);

/** Counts an act or an edit as under way until it is answered. */
export function countWork(request: Request, response: Response, go: NextFunction): void {
  if (isWork(request.path)) {
    working++;
    whenOver(response, () => {
      working--;
      if (working === 0) line.serve();
    });
  }
  go();
}

/** Says in a sentence, after a while, that far too many pages are asked for. */
function refuse(response: Response): void {
  const say = () => {
    if (response.destroyed) return;
    response.status(503).set('Retry-After', '5').type('text');
    response.send('Too many pages are asked for at this moment. Load the page again in a little while.');
  };
  if (refused >= REFUSED_AT_MOST) return say();
  refused++;
  setTimeout(() => {
    refused--;
    say();
  }, REFUSED_MS).unref();
}

/** Lets a request for a page through when it is its turn; a sentence with 503 when far too many wait. */
export function inTurn(request: Request, response: Response, go: NextFunction): void {
  if (isWork(request.path) || request.path === '/prep/feed') return go();
  const share = response.locals['share'] as string;
  const start = () => {
    const done = once(() => line.leave(share));
    // Who has gone away meanwhile wants nothing any more.
    if (response.destroyed) return setImmediate(done);
    whenOver(response, done);
    response.locals['made'] = done;
    // After what has come in meanwhile.
    setImmediate(go);
  };
  if (!line.enter(share, start)) refuse(response);
}
