import { writeReadableStreamToWritable } from '@react-router/node';
import type { NextFunction, Request as HttpRequest, Response as HttpResponse } from 'express';
import { createRequestHandler, type AppLoadContext, type ServerBuild } from 'react-router';

/** Express in front of React Router: requests whose bodies were taken in already, and pages that are whole before they are sent. */

function asked(request: HttpRequest, response: HttpResponse): Request {
  const headers = new Headers();
  for (const [key, value] of Object.entries(request.headers))
    for (const one of [value ?? []].flat()) headers.append(key, one);
  const leaving = new AbortController();
  response.once('close', () => !response.writableFinished && leaving.abort());
  const body = response.locals['body'] as Buffer<ArrayBuffer> | undefined;
  return new Request(new URL(request.originalUrl, `${request.protocol}://${request.get('host')}`), {
    method: request.method,
    headers,
    signal: leaving.signal,
    ...(request.method === 'POST' && { body: body ?? Buffer.alloc(0) }),
  });
}

/**
 * Answers with what the app makes of a request. What is made is taken in whole first; then `response.locals.made` is
 * called, so that who reads slowly holds no place in a line.
 */
export function pages(build: ServerBuild, contextOf: (request: HttpRequest, response: HttpResponse) => AppLoadContext) {
  const answer = createRequestHandler(build, process.env.NODE_ENV);
  return async (request: HttpRequest, response: HttpResponse, next: NextFunction): Promise<void> => {
    try {
      const made = await answer(asked(request, response), contextOf(request, response));
      const isStream = /text\/event-stream/i.test(made.headers.get('Content-Type') ?? '');
      const bytes = isStream ? undefined : Buffer.from(await made.arrayBuffer());
      (response.locals['made'] as (() => void) | undefined)?.();
      if (response.destroyed || response.writableEnded) return void made.body?.cancel().catch(() => {});
      response.statusMessage = made.statusText;
      response.status(made.status);
      for (const [key, value] of made.headers) response.append(key, value);
      if (bytes) return void response.end(bytes);
      response.flushHeaders();
      if (made.body) await writeReadableStreamToWritable(made.body, response);
      else response.end();
    } catch (error) {
      if (!response.destroyed) next(error);
    }
  };
}
