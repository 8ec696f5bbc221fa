import { resolve } from 'node:path';
import { pathToFileURL } from 'node:url';
import { Worker } from 'node:worker_threads';
import type { Influences } from '@core/practicals/influences';
import type { Asked } from './influences-worker';

/** The line to the worker that does runs again, one question after the other. */

/** So long one question may take, ms; a careful run takes a quarter of a second. */
const DEADLINE_MS = 60_000;

interface Question {
  asked: Asked;
  done: (result: Influences[]) => void;
  failed: (error: Error) => void;
}

const waiting: Question[] = [];
let answering: Question | undefined;
let worker: Worker | undefined;
let timer: NodeJS.Timeout | undefined;

/** The worker as it stands in the source, for `npm run dev` and the benchmarks. */
function fromSource(): Worker {
  const file = pathToFileURL(resolve('server/influences-worker.ts')).href;
  return new Worker(`import('tsx/esm/api').then(({ register }) => { register(); return import('${file}'); })`, {
    eval: true,
  });
}

/** Whatever has become of the question that is asked, the next one has its turn. */
function over(then: (question: Question) => void): void {
  clearTimeout(timer);
  const question = answering;
  answering = undefined;
  if (question) then(question);
  next();
}

/** Ends the worker: the next question begins another. */
function lose(lost: Worker, error: Error): void {
  if (worker !== lost) return;
  worker = undefined;
  void lost.terminate();
  over(({ failed }) => failed(error));
}

/** The one worker, begun when it is first needed and again when it has died. */
function theWorker(): Worker {
  if (worker) return worker;
  const started =
    process.env.NODE_ENV === 'production' ? new Worker(resolve('build/server/influences.js')) : fromSource();
  started.on('message', ({ result, error }: { result?: Influences[]; error?: string }) => {
    if (worker !== started) return;
    over(({ done, failed }) => (result ? done(result) : failed(new Error(error))));
  });
  started.on('error', (error) => lose(started, error));
  started.on('exit', () => lose(started, new Error('the worker ended')));
  started.unref();
  return (worker = started);
}

function next(): void {
  if (answering) return;
  answering = waiting.shift();
  if (!answering) return;
  const asked = theWorker();
  timer = setTimeout(() => lose(asked, new Error(`no answer within ${DEADLINE_MS / 1000} s`)), DEADLINE_MS).unref();
  asked.postMessage(answering.asked);
}

/** Does a run again, cause by cause, in the worker. @throws where it fails, or takes longer than its deadline */
export function askWorker(asked: Asked): Promise<Influences[]> {
  return new Promise((done, failed) => {
    waiting.push({ asked, done, failed });
    next();
  });
}
