import type { Step } from '../contract';
import { recordingsSeen } from '../recordings-seen';
import type { Film } from '../film';
import type { FlownMoving, FlownView } from '../flown-view';
import { standsAtS } from '../stretches';
import { dueTrial } from './acts';
import { running, type Bench } from './bench';
import { counterTexts, type Counters } from './counters';
import { stillOf, type Picture } from './film';
import { PS_PER_S, SLOT_IDS, SLOTS, type Filling } from './plan';

export type Moving = FlownMoving<'spheres'>;

export interface View extends FlownView<'spheres'> {
  /** Which of both gases it is filled with. */
  of: Filling;
  /** What is seen now; what follows is asked for as a film. */
  still: Film<Picture>;
  run: Bench['run'];
  jacketK: number | null;
  isOpen: boolean;
  /** What the counters show; null before anything flew. */
  counters: Counters | null;
}

export const movingOf = (bench: Bench): Moving => ({
  family: 'spheres',
  timeS: bench.timeS,
  running: running(bench),
});

export function viewOf(bench: Bench, steps: Step[]): View {
  const due = dueTrial(bench);
  return {
    ...movingOf(bench),
    movesInBrowser: true,
    ...(running(bench) && { standsAtS: standsAtS(bench.run, PS_PER_S) }),
    of: bench.of,
    still: stillOf(bench),
    fills: bench.fills,
    run: bench.run,
    jacketK: bench.jacketK,
    isOpen: bench.isOpen,
    counters: counterTexts(bench),
    task: `Your first temperature: ${bench.sample.startK} K`,
    ...recordingsSeen(bench, { slots: SLOTS, here: SLOT_IDS, due: () => due, trial: due, steps }),
    logged: [],
  };
}
