import { fixed } from '../../analysis/quantity';
import type { Act } from './acts';
import { VOLUME_SLOTS, type Plan, type Slot } from './plan';
import { BATH_POINTS, BATH_ROWS, POINTS, VAPOUR_TRIALS } from './steps';
import type { View } from './view';

/** How a student works who knows the method; used for demo classes, rehearsals and tests. Sees only views. */
export interface Hands {
  /** Does an act so many seconds of bench time after the last. */
  act(act: Act, afterS?: number): Promise<void> | void;
  view(): View;
}

/** Ways of doing it otherwise; a careful student has none of them. */
export interface Habits {
  points?: number;
  /** Where the plunger stands when the gas is enclosed, and between which volumes it is set, mL. */
  startMl?: number;
  fromMl?: number;
  toMl?: number;
  /** How long is waited at each point, s. */
  waitS?: number;
  /** Whether the tube is pushed home. */
  home?: boolean;
  /** Whether the gauge is read open to the room. */
  open?: boolean;
  /** Whether plungers are turned before they are read. */
  turns?: boolean;
  /** How much liquid is injected, mL; whether its needle is stoppered for the weighings, or for the last alone. */
  shotMl?: number;
  stoppers?: boolean;
  stoppersLast?: boolean;
  /** How much metal is cut, mg; whether the height of the water and the air of the tube are read. */
  stripMg?: number;
  levels?: boolean;
  readsAir?: boolean;
  /** How far a reading by eye is off, mL: a function of the how-manieth it is. */
  misread?: (count: number) => number;
}

const SETTLED_S = 15;

const due = (view: View, slot: Slot): number => view.slots.find((one) => one.slot === slot)?.due ?? 1;

async function recordShown({ act, view }: Hands, which: Slot, afterS = 0): Promise<void> {
  await act({ kind: 'recordShown', trial: due(view(), which), which }, afterS);
}

/** Reads a syringe by eye, to a tenth of a division. */
async function readSyringe({ act, view }: Hands, which: Slot, place: number, off = 0, decimals = 1): Promise<void> {
  const text = fixed((view().plungers[place] ?? 0) + off, decimals);
  await act({ kind: 'record', trial: due(view(), which), which, text });
}

async function readRoom(hands: Hands, { open = true }: Habits): Promise<void> {
  const { act, view } = hands;
  if (view().joint !== 'off') await act({ kind: 'joint', to: 'off' });
  for (const slot of ['bar', 'room', ...(open ? (['open'] as const) : [])] as const) await recordShown(hands, slot, 1);
}

async function encloses({ act }: Hands, { home = true }: Habits): Promise<void> {
  await act({ kind: 'joint', to: 'loose' });
  if (home) await act({ kind: 'joint', to: 'home' });
}

/** Points of pressure and volume, from the largest volume down. */
export async function pressTogether(hands: Hands, _plan: Plan, habits: Habits = {}): Promise<void> {
  const { points = POINTS, startMl = 70, fromMl = 100, toMl = 30, waitS = SETTLED_S, misread = () => 0 } = habits;
  const { act } = hands;
  await readRoom(hands, habits);
  await act({ kind: 'plunger', ml: startMl });
  await encloses(hands, habits);
  for (let i = 0; i < points; i++) {
    // Evenly in 1/V, so that they lie evenly along the line.
    const ml = 1 / (1 / fromMl + (i / Math.max(points - 1, 1)) * (1 / toMl - 1 / fromMl));
    await act({ kind: 'plunger', ml });
    await act({ kind: 'wait' }, waitS);
    await readSyringe(hands, 'vol', 0, misread(i));
    await recordShown(hands, 'p');
  }
}

/** Heat that holds a bath at a temperature, as a setting of the plate: what its vessel loses. */
const holding = (celsius: number) => Math.max(0, Math.min(10, ((celsius - 21) * 2.2) / 70));

/** Brings the bath to a temperature and lets it stand there. */
export async function bringBath({ act, view }: Hands, celsius: number, waitS: number): Promise<void> {
  const now = () => Number(view().bath?.shown.replace('\u2212', '-'));
  if (celsius <= 1) {
    await act({ kind: 'heat', to: 0 });
    await act({ kind: 'ice', g: 400 });
    for (let i = 0; i < 60 && now() > 1; i++) await act({ kind: 'wait' }, 30);
  } else {
    await act({ kind: 'heat', to: 10 });
    for (let i = 0; i < 400 && now() < celsius - 1 && !view().bath?.boils; i++) await act({ kind: 'wait' }, 5);
    await act({ kind: 'heat', to: celsius > 98 ? 4 : holding(celsius) });
  }
  await act({ kind: 'wait' }, waitS);
}

/** Points of pressure and temperature from ice to boiling, and the cold jar. */
export async function warmBulb(hands: Hands, _plan: Plan, habits: Habits = {}): Promise<void> {
  const { points = BATH_POINTS, waitS = 240 } = habits;
  const { act } = hands;
  await readRoom(hands, habits);
  await encloses(hands, habits);
  await act({ kind: 'put', at: 'bath' });
  for (let i = 0; i < points; i++) {
    await bringBath(hands, (100 * i) / Math.max(points - 1, 1), waitS);
    await recordShown(hands, 't');
    await recordShown(hands, 'p');
  }
  await act({ kind: 'put', at: 'jar' });
  await act({ kind: 'wait' }, waitS);
  await recordShown(hands, 'pj');
}

/** Temperatures of four syringes in a bath: evenly from ice to boiling, then close together where one of them left its line. */
export async function warmSyringes(hands: Hands, plan: Plan, habits: Habits = {}): Promise<void> {
  const { waitS = 240, misread = () => 0 } = habits;
  const { act, view } = hands;
  const rows: { t: number; volumes: number[] }[] = [];
  const reads = async () => {
    for (let n = 1; n <= plan.syringes.length; n++) if (habits.turns ?? true) await act({ kind: 'turn', n });
    const volumes = [...view().plungers];
    rows.push({ t: Number(view().bath?.shown.replace('\u2212', '-')), volumes });
    await recordShown(hands, 't');
    for (const [place, slot] of VOLUME_SLOTS.entries())
      await readSyringe(hands, slot, place, misread(4 * rows.length + place));
  };
  for (const slot of ['bar', 'room'] as const) await recordShown(hands, slot, 1);
  for (let i = 0; i < 9; i++) {
    await bringBath(hands, 12.5 * i, waitS);
    await reads();
  }
  const { from, to } = gapIn(rows);
  // Ice brings it down to below the gap, and the plate up through it.
  await coolTo(hands, from - 3);
  for (let i = 0; i < BATH_ROWS - 9 + 1; i++) {
    await bringBath(hands, from + 1 + (i * (to - from)) / 4, waitS);
    await reads();
  }
}

/** Between which temperatures one of the syringes left the line of the others: where its volume fell most, as a part of them. */
function gapIn(rows: readonly { t: number; volumes: number[] }[]): { from: number; to: number } {
  let best = { from: 40, to: 52.5, fall: 0 };
  const share = (volumes: number[], place: number) => (volumes[place] ?? 0) / volumes.reduce((a, b) => a + b, 0);
  for (let place = 0; place < 4; place++)
    for (let i = rows.length - 1; i > 0; i--) {
      const [high, low] = [rows[i], rows[i - 1]];
      const top = rows.at(-1);
      if (!high || !low || !top) continue;
      const fall = share(low.volumes, place) / share(top.volumes, place);
      // The first that is clearly below what it was at the top.
      if (fall < 0.9) {
        if (1 - fall > best.fall) best = { from: low.t, to: high.t, fall: 1 - fall };
        break;
      }
    }
  return best;
}

/** Brings the bath down by ice, a little at a time. */
async function coolTo({ act, view }: Hands, celsius: number): Promise<void> {
  const now = () => Number(view().bath?.shown.replace('\u2212', '-'));
  await act({ kind: 'heat', to: 0 });
  for (let i = 0; i < 40 && now() > celsius; i++) {
    const grams = Math.max(20, Math.min(300, (now() - celsius) * 8));
    await act({ kind: 'ice', g: Math.round(grams) });
    for (let j = 0; j < 20 && (view().bath?.ice ?? 0) > 0; j++) await act({ kind: 'wait' }, 15);
  }
}

/** A liquid injected into a hot syringe, weighed before and after, as often as the brief asks. */
export async function injectVapour(hands: Hands, _plan: Plan, habits: Habits = {}): Promise<void> {
  const { waitS = 240, points = VAPOUR_TRIALS, shotMl = 0.17, stoppers = true, misread = () => 0 } = habits;
  const { act } = hands;
  for (const slot of ['bar', 'room'] as const) await recordShown(hands, slot, 1);
  await bringBath(hands, 100, waitS);
  const weighs = async (slot: 'm1' | 'm2', stopper: boolean) => {
    if (stopper) await act({ kind: 'stopper', on: true });
    await act({ kind: 'weigh', on: true });
    await recordShown(hands, slot, 3);
    await act({ kind: 'weigh', on: false });
  };
  for (let i = 0; i < points; i++) {
    if (i > 0) {
      await act({ kind: 'empty' });
      await act({ kind: 'wait' }, waitS);
    }
    await act({ kind: 'turn', n: 1 });
    await readSyringe(hands, 'v0', 0, misread(2 * i));
    await act({ kind: 'draw', ml: 0.3 });
    await weighs('m1', stoppers);
    if (stoppers) await act({ kind: 'stopper', on: false });
    await act({ kind: 'inject', ml: shotMl });
    await weighs('m2', stoppers || (habits.stoppersLast ?? false));
    await act({ kind: 'wait' }, waitS);
    await act({ kind: 'turn', n: 1 });
    await readSyringe(hands, 'v1', 0, misread(2 * i + 1));
    await recordShown(hands, 't');
  }
}

/** Strips of a metal dissolved in acid under a gas tube, levelled, as often as the brief asks. */
export async function collectGas(hands: Hands, plan: Plan, habits: Habits = {}): Promise<void> {
  const { waitS = 900, points = VAPOUR_TRIALS, stripMg, levels = true, readsAir = true, misread = () => 0 } = habits;
  const { act, view } = hands;
  await recordShown(hands, 'bar', 1);
  let mg = stripMg ?? 25;
  for (let i = 0; i < points; i++) {
    if (i > 0) await act({ kind: 'empty' });
    if (readsAir) await readSyringe(hands, 'v0', 0, misread(2 * i), 2);
    await act({ kind: 'cut', mg });
    await act({ kind: 'weigh', on: true });
    await recordShown(hands, 'm', 3);
    await act({ kind: 'weigh', on: false });
    await act({ kind: 'hang' });
    await act({ kind: 'wait' }, waitS);
    for (let round = 0; levels && round < 3; round++) {
      const { topMm, heightMm } = view().tube ?? { topMm: 0, heightMm: 0 };
      if (Math.abs(heightMm) > 3) await act({ kind: 'lift', mm: Math.min(Math.max(topMm - heightMm, 10), 175) });
    }
    await readSyringe(hands, 'v1', 0, misread(2 * i + 1), 2);
    if (levels) {
      const trial = due(view(), 'h');
      await act({ kind: 'record', trial, which: 'h', text: fixed(view().tube?.heightMm ?? 0, 0) });
    }
    await recordShown(hands, 't');
    // The first one tells how much of it fills most of the tube.
    const ml = view().plungers[0] ?? 40;
    if (i === 0 && stripMg === undefined && plan.balance !== null)
      mg = Math.min(300, Math.round((mg * 38) / Math.max(ml, 2)));
  }
}
