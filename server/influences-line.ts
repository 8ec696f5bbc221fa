import type { Influences } from '@core/practicals/influences';
import type { Asked } from './influences-worker';
import { WorkerLine } from './worker-line';

/** One question may take a minute; a careful run takes a quarter of a second. */
const line = new WorkerLine<Asked, Influences[]>('influences', 60_000, 2_000);

/** Does a run again, cause by cause, in the worker. @throws where it fails, or takes longer than its deadline */
export const askWorker = (asked: Asked): Promise<Influences[]> => line.ask('', asked);
