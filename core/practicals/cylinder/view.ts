import { recordingsSeen } from '../recordings-seen';
import type { Filled } from '../../physics/hard-spheres';
import type { Film } from '../film';
import type { FlownMoving, FlownView } from '../flown-view';
import type { Step } from '../contract';
import { standsAtS, type Stretch } from '../stretches';
import { dueTrial } from './acts';
import { fillingOf, running, type Bench, type Fitted } from './bench';
import { isFilmed, stillOf, type Picture } from './film';
import type { Change } from './flying';
import { lawLines } from './laws';
import { PS_PER_S, SLOTS, SLOTS_OF } from './plan';
import { counterTexts, uncertaintyTexts, type Shown } from './texts';

export type Moving = FlownMoving<'cylinder'>;

export interface View extends FlownView<'cylinder'> {
  stretch: Stretch;
  /** What it was filled with, from which a browser finds how they fly; null where that would tell what is asked for. */
  filling: Filled | null;
  /** What was done to it since. */
  changes: readonly Change[];
  /** What is seen now where there is no filling; what follows is asked for as a film. */
  still: Film<Picture> | null;
  fitted: Fitted;
  heightNm: number;
  /** What the counters show, and how uncertain that is; those that show nothing are left out. */
  counters: Shown;
  uncertainties: Shown;
  /** What is held and what changed, in words. */
  held: string;
  since: string;
}

export const movingOf = (bench: Bench): Moving => ({
  family: 'cylinder',
  timeS: bench.timeS,
  running: running(bench),
});

export function viewOf(bench: Bench, task: string, steps: Step[]): View {
  const due = dueTrial(bench);
  const slots = SLOTS_OF[bench.plan.gear];
  return {
    ...movingOf(bench),
    movesInBrowser: true,
    ...(running(bench) && { standsAtS: standsAtS(bench.stretch, PS_PER_S) }),
    filling: isFilmed(bench.plan) ? null : fillingOf(bench.plan, bench.sample, bench.seed, bench.fills),
    still: isFilmed(bench.plan) ? stillOf(bench) : null,
    fills: bench.fills,
    changes: isFilmed(bench.plan) ? [] : bench.changes,
    stretch: bench.stretch,
    fitted: bench.fitted,
    heightNm: bench.heightNm,
    counters: counterTexts(bench.counted, slots),
    uncertainties: uncertaintyTexts(bench.counted, slots),
    ...lawLines(bench),
    task,
    ...recordingsSeen(bench, { slots: SLOTS, here: slots, due: () => due, trial: due, steps }),
    logged: [],
  };
}
