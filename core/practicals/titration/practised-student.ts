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
  /** Mass that they weigh out where something is weighed, g. */
  grams?: number;
  /** Whether they weigh the boat again after tipping. */
  weighsBack?: boolean;
  /** What of the mishaps at a burette they see and set right; all unless it is said otherwise. */
  sees?: readonly ('bubble' | 'funnel' | 'wall')[];
  /** Whether they warm the flask where it can be warmed. */
  warms?: boolean;
}

/** Performs an act so many seconds of bench time after the last view, and gives the new view. */
export type Perform = (act: Act, afterS?: number) => Promise<View>;

/** What goes into the flask of a trial. */
type Filling = readonly ('solid' | 'bottle')[];

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

/** Weighs a portion out and tips it into the flask. @returns the mass that the balance told, g */
async function weighOut(perform: Perform, habits: Habits): Promise<number> {
  await perform({ kind: 'wipeBoat' });
  const full = await perform({ kind: 'weigh', g: habits.grams ?? 0.3 });
  await perform({ kind: 'recordMass', which: 'boat' });
  const tipped = await perform({ kind: 'tip' });
  const shown = (view: View) => Number(view.balance?.replace('\u2212', '-'));
  if (habits.weighsBack === false) return shown(full);
  await perform({ kind: 'recordMass', which: 'left' });
  return shown(full) - shown(tipped);
}

async function fillFlask(perform: Perform, plan: Plan, filling: Filling, habits: Habits): Promise<number> {
  const grams = filling.includes('solid') ? await weighOut(perform, habits) : 1;
  if (filling.includes('bottle') && plan.supplied) await perform({ kind: 'takeFlask' });
  else if (filling.includes('bottle')) {
    await perform({ kind: plan.diluteToMl === null ? 'drawSample' : 'drawDiluted' });
    await perform({ kind: 'drainPipette' });
  }
  if (!filling.includes('solid')) return grams;
  await perform({ kind: 'water', ml: 30 });
  await perform({ kind: 'keepSwirling', on: true });
  // Until nothing lies on the bottom any more.
  let view = await perform({ kind: 'wait' }, 30);
  for (let i = 0; i < 20 && view.solid && !plan.warm; i++) view = await perform({ kind: 'wait' }, 10);
  if (plan.warm && habits.warms !== false) await perform({ kind: 'warm' });
  else if (plan.warm) for (let i = 0; i < 30; i++) await perform({ kind: 'wait' }, 10);
  return grams;
}

/** One trial, from a full burette to the last reading. `nearMl` is where fast running stops, if a titre is known. */
async function trial(
  perform: Perform,
  plan: Plan,
  filling: Filling,
  nearMl: ((grams: number) => number) | null,
  habits: Habits,
  hand: Chance,
): Promise<{ view: View; grams: number }> {
  await perform({ kind: 'emptyBurette' });
  await perform({ kind: 'rinseBurette', with: 'titrant' });
  let view = await perform({ kind: 'fill', toMl: 0.3 });
  const { sees = ['bubble', 'funnel', 'wall'] } = habits;
  if (view.funnel && sees.includes('funnel')) view = await perform({ kind: 'funnelOut' });
  if (view.bubble && sees.includes('bubble')) await perform({ kind: 'runOut' });
  view = await perform({ kind: 'wipeTip' });
  await read(perform, view, 'first', habits, hand);
  const grams = await fillFlask(perform, plan, filling, habits);
  view = await perform({ kind: 'indicator', id: habits.indicator, drops: 3 });
  const start = view.colour;
  const startLevel = view.levelMl;
  await perform({ kind: 'keepSwirling', on: true });
  const changed = (now: View) => colourChanged(start, now.colour);
  if (nearMl !== null) {
    await perform({ kind: 'letIn', ml: Math.max(nearMl(grams), 0.1) });
    view = await perform({ kind: 'wait' }, 1.5);
    if (view.wall && sees.includes('wall')) view = await perform({ kind: 'water', ml: 5 }, 1.5);
    for (let i = 0; i < 120 && !changed(view); i++) view = await perform({ kind: 'drop' });
    for (let i = 0; i < habits.lateDrops; i++) view = await perform({ kind: 'drop' });
  } else {
    for (let i = 0; i < 60 && !changed(view) && view.levelMl - startLevel < 48; i++) {
      view = await perform({ kind: 'letIn', ml: 1 });
    }
  }
  view = await read(perform, view, 'last', habits, hand);
  return { view, grams };
}

/** How far before the expected end point fast running stops, mL. */
const IN_TIME_ML = 1.7;

/** A rough trial that is left out, then careful ones; the flask is emptied after each but the last. */
async function series(perform: Perform, plan: Plan, filling: Filling, habits: Habits, hand: Chance): Promise<View> {
  const rough = await trial(perform, plan, filling, null, habits, hand);
  const number = rough.view.trial;
  const titre = Number(rough.view.trials[number - 1]?.titre ?? NaN);
  let view = await perform({ kind: 'count', trial: number, counts: false, reason: 'rough trial' });
  // In a back titration more solid leaves less to titrate: a student aims lower then, and drop by drop.
  const margin = plan.warm ? 4 : IN_TIME_ML;
  const near = (grams: number) => (plan.warm ? titre : (titre * grams) / rough.grams) - margin;
  for (let n = 0; n < habits.trials && Number.isFinite(titre); n++) {
    await perform({ kind: 'emptyFlask' });
    ({ view } = await trial(perform, plan, filling, near, habits, hand));
  }
  return view;
}

/** The whole practical by indicator: where there is a standard and a sample, the standard first. */
export async function workThrough(
  perform: Perform,
  plan: Plan,
  habits: Habits,
  hand: Chance,
): Promise<{ view: View; molPerL: number | null }> {
  const both = plan.jar !== null && plan.bottle !== null;
  const fillings: Filling[] =
    both && !plan.warm
      ? [['solid'], ['bottle']]
      : [[...(plan.jar ? (['solid'] as const) : []), ...(plan.bottle ? (['bottle'] as const) : [])]];
  if (plan.diluteToMl !== null) {
    await perform({ kind: 'drawSample' });
    await perform({ kind: 'drainToVolumetric' });
    await perform({ kind: 'makeUp' });
  }
  let view = await series(perform, plan, fillings[0] as Filling, habits, hand);
  if (fillings[1]) {
    await perform({ kind: 'emptyFlask' });
    view = await series(perform, plan, fillings[1], habits, hand);
  }
  const molPerL = view.mean ? (Number(view.mean.text) * Number(view.titrantLabel)) / plan.pipetteMl : null;
  return { view, molPerL };
}

/** Calibrates the probe in two buffers, or the cell in its standard, as it should be done. */
async function calibrateProbe(perform: Perform, plan: Plan): Promise<void> {
  const places = plan.probe === 'conductivity' ? (['standard'] as const) : (['buffer 7.00', 'buffer 4.01'] as const);
  for (const place of places) {
    await perform({ kind: 'probe', place });
    await perform({ kind: 'calibrate' }, 15);
  }
}

/** A curve logged from a full burette until the pH no longer rises, with the sample in the flask. */
export async function logCurve(
  perform: Perform,
  plan: Plan,
  habits: Pick<Habits, 'grams' | 'weighsBack'>,
  { everyMl, toMl, calibrated }: { everyMl: number; toMl: number; calibrated: boolean },
): Promise<View> {
  if (calibrated) await calibrateProbe(perform, plan);
  await perform({ kind: 'rinseBurette', with: 'titrant' });
  await perform({ kind: 'fill', toMl: 0.5 });
  await perform({ kind: 'wipeTip' });
  const filling: Filling = plan.jar ? ['solid'] : ['bottle'];
  await fillFlask(perform, plan, filling, { indicator: '', trials: 1, readingErrorMl: 0, lateDrops: 0, ...habits });
  await perform({ kind: 'water', ml: 20 });
  await perform({ kind: 'probe', place: 'flask' });
  await perform({ kind: 'keepSwirling', on: true });
  let view = await perform({ kind: 'log', every: everyMl, by: 'mL' }, 15);
  for (let ml = 0; ml < toMl && view.levelMl < 49; ml += everyMl)
    view = await perform({ kind: 'letIn', ml: everyMl }, 6);
  return perform({ kind: 'wait' }, 6);
}
