import type { NextFunction, Request, Response } from 'express';

/** A body is taken in whole before anything is done for it, so that who sends slowly holds nothing but a socket. */

/** So long a body may take, ms: 256 kB on a network that gives each of thirty 30 kB a second. */
const BODY_MS = 10_000;

/** Takes in the body, of the length that was admitted; who takes too long for it is told so. */
export function takeBody(request: Request, response: Response, next: NextFunction): void {
  if (request.method !== 'POST') return next();
  const parts: Buffer[] = [];
  const end = (then: () => void) => {
    clearTimeout(timer);
    request.off('data', take).off('end', whole).off('error', gone).off('close', gone);
    then();
  };
  const late = () =>
    end(() => {
      response.status(408).set('Connection', 'close').type('text');
      response.send('This came too slowly, so nothing was done. Send it again.');
    });
  const timer = setTimeout(late, BODY_MS);
  // No more comes than the length that was admitted: HTTP itself ends a body there.
  const take = (part: Buffer) => void parts.push(part);
  const whole = () =>
    end(() => {
      response.locals['body'] = Buffer.concat(parts);
      next();
    });
  // Nobody is there any more to be answered.
  const gone = () => end(() => {});
  request.on('data', take).on('end', whole).on('error', gone).on('close', gone);
}
