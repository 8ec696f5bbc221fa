import { createReadableStreamFromReadable } from '@react-router/node';
import { isbot } from 'isbot';
import { PassThrough } from 'node:stream';
import { renderToPipeableStream } from 'react-dom/server';
import { ServerRouter, type AppLoadContext, type EntryContext } from 'react-router';
import { loadDrawings } from './bench/every-drawing';

await loadDrawings();

const ABORT_MS = 10_000;

export default function handleRequest(
  request: Request,
  status: number,
  headers: Headers,
  entry: EntryContext,
  context: AppLoadContext,
): Promise<Response> {
  return new Promise((resolve, reject) => {
    let code = status;
    let started = false;
    const isWhole = isbot(request.headers.get('user-agent') ?? '');
    const send = () => {
      started = true;
      const body = new PassThrough();
      headers.set('Content-Type', 'text/html');
      headers.set('Cache-Control', 'no-store');
      resolve(new Response(createReadableStreamFromReadable(body), { headers, status: code }));
      pipe(body);
    };
    const { pipe, abort } = renderToPipeableStream(
      <ServerRouter context={entry} url={request.url} nonce={context.nonce} />,
      {
        nonce: context.nonce,
        [isWhole ? 'onAllReady' : 'onShellReady']: send,
        onShellError: reject,
        onError(error: unknown) {
          code = 500;
          if (started) console.error(error);
        },
      },
    );
    setTimeout(abort, ABORT_MS);
  });
}

/** Addresses that are none and forms that do not fit are answered, not logged; what went wrong here is. */
export function handleError(error: unknown, { request }: { request: Request }): void {
  const isAnswered = typeof error === 'object' && error !== null && 'status' in error && Number(error.status) < 500;
  if (!request.signal.aborted && !isAnswered) console.error(error);
}
