import { parentPort } from 'node:worker_threads';
import {
  PRACTICALS,
  type AnyFrame,
  type AnyLabels,
  type AnyPractical,
  type AnyView,
  type PracticalId,
} from '@core/practicals/registry';
import { showStep, type Shown } from '@core/practicals/shown';

/** What the worker is asked: a step of a practical, and a sample that nobody was given. */
export interface ShownAsked {
  practical: PracticalId;
  run: { setup: unknown; sample: unknown; seed: string };
  step: string;
}

/** Does steps of methods, one after the other, away from the event loop that answers students. */
parentPort?.on('message', ({ practical, run, step }: ShownAsked) => {
  showStep<AnyView, AnyFrame, AnyLabels>(PRACTICALS[practical] as AnyPractical, run, step)
    .then((shown: Shown<AnyView> | undefined) => parentPort?.postMessage({ result: shown ?? null }))
    .catch((error: unknown) => parentPort?.postMessage({ error: String(error) }));
});
