import { resolve } from 'node:path';
import { pathToFileURL } from 'node:url';
import { Worker } from 'node:worker_threads';
import { FairLine } from './http/fair-line';

/** The worker as it stands in the source, for `npm run dev` and the benchmarks. */
function fromSource(name: string): Worker {
  const file = pathToFileURL(resolve(`server/${name}-worker.ts`)).href;
  return new Worker(`import('tsx/esm/api').then(({ register }) => { register(); return import('${file}'); })`, {
    eval: true,
  });
}

interface Question<Asked, Result> {
  share: string;
  asked: Asked;
  done: (result: Result) => void;
  failed: (error: Error) => void;
}

/** Too many wait for the worker. */
export class LineFull extends Error {}

/**
 * A line to a worker that answers one question after the other, turn by turn for those who ask. It is begun when it is first
 * needed, and again when it has died or has not answered in time.
 */
export class WorkerLine<Asked, Result> {
  private worker: Worker | undefined;
  private answering: Question<Asked, Result> | undefined;
  private timer: NodeJS.Timeout | undefined;
  private readonly line: FairLine;

  /** @param name of the worker's file @param deadlineMs so long one question may take @param ofOne so many of one share may wait */
  constructor(
    private readonly name: string,
    private readonly deadlineMs: number,
    ofOne: number,
  ) {
    this.line = new FairLine({ atOnce: 1, waitingAtMost: 2_000, waitingOfOne: () => ofOne });
  }

  /** @param share whose turn it takes @throws LineFull; where it fails, or takes too long */
  ask(share: string, asked: Asked): Promise<Result> {
    return new Promise((done, failed) => {
      const question = { share, asked, done, failed };
      if (!this.line.enter(share, () => this.put(question))) failed(new LineFull('too many wait for the worker'));
    });
  }

  private put(question: Question<Asked, Result>): void {
    this.answering = question;
    const worker = (this.worker ??= this.begin());
    const late = () => this.lose(worker, new Error(`no answer within ${this.deadlineMs / 1000} s`));
    this.timer = setTimeout(late, this.deadlineMs).unref();
    worker.postMessage(question.asked);
  }

  private begin(): Worker {
    const built = process.env.NODE_ENV === 'production';
    const worker = built ? new Worker(resolve(`build/server/${this.name}.js`)) : fromSource(this.name);
    worker.on('message', ({ result, error }: { result?: Result; error?: string }) => {
      if (this.worker === worker)
        this.over(({ done, failed }) => (result === undefined ? failed(new Error(error)) : done(result)));
    });
    worker.on('error', (error) => this.lose(worker, error));
    worker.on('exit', () => this.lose(worker, new Error('the worker ended')));
    worker.unref();
    return worker;
  }

  /** Ends a worker: the next question begins another. */
  private lose(worker: Worker, error: Error): void {
    if (this.worker !== worker) return;
    this.worker = undefined;
    void worker.terminate();
    this.over(({ failed }) => failed(error));
  }

  /** Whatever has become of the question that was asked, the next one has its turn. */
  private over(then: (question: Question<Asked, Result>) => void): void {
    clearTimeout(this.timer);
    const question = this.answering;
    this.answering = undefined;
    if (!question) return;
    then(question);
    this.line.leave(question.share);
  }
}
