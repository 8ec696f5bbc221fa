import type { OpenPractical } from '../live-bench';
import { PRACTICALS } from '../registry';
import { GAS_PRACTICALS } from '.';
import { movedRightly, runOf, type Start } from '../testing-run';
import type { Act } from './acts';
import type { Bench } from './bench';
import type { Plan } from './plan';
import type { Sample } from './sample';
import type { Moving, View } from './view';

/** What the tests of the bench of gases share: runs driven as the server drives them. */

export type GasesId = (typeof GAS_PRACTICALS)[keyof typeof GAS_PRACTICALS]['id'];

/** A run that is worked by hand, act by act. */
export function begun(id: string, start: Start<Sample> = {}) {
  const run = runOf<Act, Sample, Bench, View, Moving, Plan>(
    PRACTICALS[id as 'pressure-volume'] as unknown as OpenPractical<View, Moving, Plan>,
    { seed: 'gases', ...start },
  );
  const own = Object.values(GAS_PRACTICALS).find((one) => one.id === id) as (typeof GAS_PRACTICALS)['pressureVolume'];
  return { ...run, slips: () => own.slips(run.setup as never, run.sample, run.inside()) };
}
export type Run = ReturnType<typeof begun>;

/** What moved a value that was worked out rightly from the readings. */
export const moved = (run: Run, quantity: string) => movedRightly(run, quantity);
export type { Start };
