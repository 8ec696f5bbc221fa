import { parentPort } from 'node:worker_threads';
import {
  PRACTICALS,
  type AnyFrame,
  type AnyLabels,
  type AnyPractical,
  type AnyView,
  type PracticalId,
} from '@core/practicals/registry';
import { showStep, toSend, type SentShown } from '@core/practicals/shown';
import { otherSample } from './other-sample';

/** What the worker is asked: a step of a practical as it is set. */
export interface ShownAsked {
  practical: PracticalId;
  setup: unknown;
  step: string;
}

export interface ShownAnswer extends SentShown<AnyView> {
  labels: AnyLabels;
}

/** The same for all of a class. */
const SEED = 'shown';

async function answer({ practical: id, setup, step }: ShownAsked): Promise<ShownAnswer> {
  const practical: AnyPractical = PRACTICALS[id];
  const run = { ...otherSample(id, setup, SEED), seed: SEED };
  const shown = await showStep<AnyView, AnyFrame, AnyLabels>(practical, run, step);
  if (!shown) throw new Error('the method has no such step');
  return { ...toSend(shown), labels: practical.labels(run.setup) };
}

/** Does steps of methods, one after the other, away from the event loop that answers students. */
parentPort?.on('message', (asked: ShownAsked) => {
  answer(asked)
    .then((result) => parentPort?.postMessage({ result }))
    .catch((error: unknown) => parentPort?.postMessage({ error: String(error) }));
});
