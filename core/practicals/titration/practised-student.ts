import { colourChanged } from '../../chemistry/colour';
import type { Chance } from '../../random';
import type { Act } from './acts';
import type { Plan } from './plan';
import type { View } from './view';

/** How a student works who knows the method; used for demo classes, rehearsals and load tests. Sees only views. */
export interface Habits {
  indicator: string;
  trials: number;
  /** Standard deviation of reading the scale, mL. */
  readingErrorMl: number;
  /** How many drops past the first change they notice it. */
  lateDrops: number;
}

/** Performs an act so many seconds of bench time after the last view, and gives the new view. */
export type Perform = (act: Act, afterS?: number) => Promise<View>;

async function read(
  perform: Perform,
  view: View,
  which: 'first' | 'last',
  habits: Habits,
  hand: Chance,
): Promise<View> {
  const seen = view.levelMl + habits.readingErrorMl * hand.normal();
  const text = Math.min(Math.max(seen, 0), 50).toFixed(2);
  return perform({ kind: 'record', trial: view.trial, which, text });
}

/** One trial, from a full burette to the last reading. `nearMl` is where fast running stops, if a titre is known. */
async function trial(perform: Perform, nearMl: number | null, habits: Habits, hand: Chance): Promise<View> {
  await perform({ kind: 'emptyBurette' });
  let view = await perform({ kind: 'fill', toMl: 0.3 });
  view = await perform({ kind: 'wipeTip' });
  await read(perform, view, 'first', habits, hand);
  await perform({ kind: 'drawSample' });
  await perform({ kind: 'drainPipette' });
  view = await perform({ kind: 'indicator', id: habits.indicator, drops: 3 });
  const start = view.colour;
  const startLevel = view.levelMl;
  await perform({ kind: 'keepSwirling', on: true });
  const changed = (now: View) => colourChanged(start, now.colour);
  if (nearMl !== null) {
    await perform({ kind: 'letIn', ml: nearMl });
    view = await perform({ kind: 'wait' }, 1.5);
    for (let i = 0; i < 80 && !changed(view); i++) view = await perform({ kind: 'drop' });
    for (let i = 0; i < habits.lateDrops; i++) view = await perform({ kind: 'drop' });
  } else {
    for (let i = 0; i < 60 && !changed(view) && view.levelMl - startLevel < 48; i++) {
      view = await perform({ kind: 'letIn', ml: 1 });
    }
  }
  view = await read(perform, view, 'last', habits, hand);
  return view;
}

/**
 * A rough trial that is left out, then careful ones. Ends with the view that has all readings.
 * @returns the concentration worked out from the mean titre, or null when no trial gave one
 */
export async function workThrough(
  perform: Perform,
  labels: Plan,
  habits: Habits,
  hand: Chance,
): Promise<{ view: View; molPerL: number | null }> {
  // prettier-ignore
  let view = await trial(perform, null, habits, hand);
  const rough = view.trials[0]?.titre ?? null;
  view = await perform({ kind: 'count', trial: 1, counts: false, reason: 'rough trial' });
  for (let n = 0; n < habits.trials && rough !== null; n++) {
    await perform({ kind: 'emptyFlask' });
    view = await trial(perform, Math.max(Number(rough) - 1.6, 0.1), habits, hand);
  }
  const molPerL = view.mean
    ? (Number(view.mean.text) * Number(view.titrantLabel)) / labels.pipetteMl
    : null;
  return { view, molPerL };
}
