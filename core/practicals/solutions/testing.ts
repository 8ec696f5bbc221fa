import type { OpenPractical } from '../live-bench';
import { PRACTICALS } from '../registry';
import { movedRightly, runOf, type Start } from '../testing-run';
import type { Act } from './acts';
import type { Bench } from './bench';
import type { Plan } from './plan';
import type { Sample } from './sample';
import type { Moving, View } from './view';

/** What the tests of the bench of solutions share: runs driven as the server drives them. */

export type SolutionsId = 'which-react' | 'which-bottle' | 'solid-yield' | 'solid-found' | 'runs-out';

/** A run that is worked by hand, act by act. */
export function begun(id: SolutionsId, start: Start<Sample> = {}) {
  const run = runOf<Act, Sample, Bench, View, Moving, Plan>(
    PRACTICALS[id] as unknown as OpenPractical<View, Moving, Plan>,
    { seed: 'solutions', ...start },
  );
  /** How uncertain a result is by what was read. */
  const uncertainty = (quantity = 'ratio') => run.support()[quantity]?.uncertainty ?? NaN;
  return { ...run, uncertainty };
}
export type Run = ReturnType<typeof begun>;

/** What moved a value that was worked out rightly from the readings. */
export const moved = (run: Run, quantity = 'ratio') => movedRightly(run, quantity);
