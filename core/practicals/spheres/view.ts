import { commonView } from '../common-acts';
import type { FlownMoving, FlownView } from '../flown-view';
import { ofSlot, seenReadings, slotsHere } from '../recordings';
import { standsAtS } from '../stretches';
import { counterText } from './acts';
import { dueTrial } from './acts';
import { running, type Bench } from './bench';
import { fillingOf } from './filling';
import type { Change } from './flying';
import { PS_PER_S, SLOT_IDS, SLOTS, type Slot } from './plan';
import { stepsOf } from './steps';

export type Moving = FlownMoving<'spheres'>;

export interface View extends FlownView<'spheres', Change> {
  run: Bench['run'];
  jacketK: number | null;
  isOpen: boolean;
  /** What the counters show; null before anything flew. */
  counters: Readonly<Partial<Record<Slot, string>>> | null;
}

export const movingOf = (bench: Bench): Moving => ({
  family: 'spheres',
  timeS: bench.timeS,
  running: running(bench),
});

/** What the counters show, as text; nothing of a gas that is not there, null before anything flew. */
function countersIn(bench: Bench): View['counters'] {
  const texts = SLOT_IDS.map((slot) => [slot, counterText(bench, slot)] as const).filter(([, text]) => text !== null);
  return texts.length === 0 ? null : Object.fromEntries(texts);
}

export function viewOf(bench: Bench): View {
  const due = dueTrial(bench);
  return {
    ...movingOf(bench),
    movesInBrowser: true,
    ...(running(bench) && { standsAtS: standsAtS(bench.run, PS_PER_S) }),
    ...commonView(bench),
    filling: fillingOf(bench.plan, bench.sample, bench.seed, bench.fills, bench.of),
    fills: bench.fills,
    changes: bench.changes,
    run: bench.run,
    jacketK: bench.jacketK,
    isOpen: bench.isOpen,
    counters: countersIn(bench),
    task: `Your first temperature: ${bench.sample.startK} K`,
    readings: seenReadings(bench.readings, ofSlot(SLOTS)),
    logged: [],
    recordableTrial: due,
    slots: slotsHere(SLOTS, SLOT_IDS, () => due),
    steps: stepsOf(bench),
  };
}
