import type { Plan } from '../plan';
import { afterMixing, recordTemp, untilSteady, weighed, type Habits, type Hands } from '../practised-student';
import type { Stuff } from '../bodies';

/** How a student burns pellets and fuels who knows the methods. */

export interface BurningHabits extends Habits {
  waterMl?: number;
  /** Oxygen that is let in, bar. */
  bar?: number;
  wireCm?: number;
  /** Whether the wire is bent until it touches. */
  bends?: boolean;
  /** The wire that is put in after another was measured, cm. */
  otherWireCm?: number;
  /** A pellet that is weighed and thrown away before the one that burns, g. */
  otherGrams?: number;
  /** Water that is poured in after the pail was weighed, mL. */
  laterMl?: number;
  /** How long the lamp burns, s; and at what distance, mm. */
  burnsS?: number;
  gapMm?: number;
  screen?: boolean;
  /** How long the lamp stands open before and after, s. */
  openS?: number;
}

/** What the card of the student says of a pellet, g. */
const wanted = (task: string | null, of: Stuff): number =>
  (of === 'unknown' && Number(/about ([\d.]+) g of the unknown/.exec(task ?? '')?.[1])) || 0.75;

/** One pellet burnt in the sealed vessel. */
export async function burnPellet(
  { act, view }: Hands,
  plan: Plan,
  trial: number,
  of: Stuff,
  habits: BurningHabits = {},
): Promise<void> {
  const hands = { act, view };
  const {
    grams = wanted(view().task, of),
    waterMl = 700,
    bar = 28,
    wireCm = 10,
    bends = true,
    otherWireCm,
    otherGrams,
    laterMl,
  } = habits;
  const sealed = () => view().sealed;
  if (sealed()?.at === 'pail') await act({ kind: 'sink', to: 'stand' });
  if ((sealed()?.gaugeBar ?? 0) > 0) await act({ kind: 'vent' });
  if (!sealed()?.isOpen) await act({ kind: 'seal', closed: false });
  if (sealed()?.wire !== 'none' || sealed()?.soot) await act({ kind: 'clean' });
  if (otherGrams !== undefined) {
    await act({ kind: 'press', of, g: otherGrams });
    await weighed(hands, trial, of === 'standard' ? 'ms' : 'm', 'pellet');
    await act({ kind: 'discard' });
  }
  await act({ kind: 'press', of, g: grams });
  if (otherGrams === undefined) await weighed(hands, trial, of === 'standard' ? 'ms' : 'm', 'pellet');
  await act({ kind: 'place', to: 'vessel' });
  await act({ kind: 'wire', cm: wireCm });
  await act({ kind: 'recordLength', trial, which: 'L1' });
  if (otherWireCm !== undefined) await act({ kind: 'wire', cm: otherWireCm });
  if (bends) await act({ kind: 'bend' });
  await act({ kind: 'seal', closed: true });
  if (bar > 0) await act({ kind: 'fill', bar });
  if (view().vessels.cup.lid) await act({ kind: 'lid', vessel: 'cup', on: false });
  if (view().vessels.cup.levelMl > 0) await act({ kind: 'empty', vessel: 'cup' });
  if (trial === 1) await weighed(hands, trial, 'm1', 'cup');
  await act({ kind: 'pour', bottle: 1, to: 'cup', ml: waterMl });
  await weighed(hands, trial, 'm2', 'cup');
  if (laterMl !== undefined) await act({ kind: 'pour', bottle: 1, to: 'cup', ml: laterMl });
  await act({ kind: 'sink', to: 'pail' });
  if (view().thermometers[0]?.at !== 'cup') await act({ kind: 'thermometer', n: 1, at: 'cup' });
  await act({ kind: 'lid', vessel: 'cup', on: true });
  await act({ kind: 'stir', vessel: 'cup', how: 'motor' });
  await untilSteady(hands, 1);
  await act({ kind: 'wait' }, 120);
  const before = await recordTemp(hands, plan, trial, 'T1', 1);
  await act({ kind: 'fire' });
  await act({ kind: 'wait' }, 60);
  await afterMixing(hands, plan, trial, before, habits.readsAfterS);
  await act({ kind: 'lid', vessel: 'cup', on: false });
  await act({ kind: 'sink', to: 'stand' });
  if (bar > 0) await act({ kind: 'vent' });
  await act({ kind: 'seal', closed: false });
  if (sealed()?.wire === 'burnt') await act({ kind: 'recordLength', trial, which: 'L2' });
}

/** One fuel burnt under the can: the known one in the first lamp, the unknown one in the second. */
export async function burnLamp(
  { act, view }: Hands,
  plan: Plan,
  trial: number,
  n: 1 | 2,
  habits: BurningHabits = {},
): Promise<void> {
  const hands = { act, view };
  const { waterMl = 180, burnsS = 150, gapMm = 35, screen = true, openS = 0, stirs = true, laterMl } = habits;
  const [before, after] = n === 1 ? (['k1', 'k2'] as const) : (['b1', 'b2'] as const);
  if (view().fire?.gapMm !== gapMm) await act({ kind: 'gap', mm: gapMm });
  if (view().fire?.screen !== screen) await act({ kind: 'screen', on: screen });
  await weighed(hands, trial, before, 'lamp', n);
  const { cup } = view().vessels;
  if (view().isMixed || cup.levelMl > 0) await act({ kind: 'fresh', type: cup.type });
  await weighed(hands, trial, 'm1', 'cup');
  await act({ kind: 'pour', bottle: 1, to: 'cup', ml: waterMl });
  await weighed(hands, trial, 'm2', 'cup');
  if (laterMl !== undefined) await act({ kind: 'pour', bottle: 1, to: 'cup', ml: laterMl });
  if (view().thermometers[0]?.at !== 'cup') await act({ kind: 'thermometer', n: 1, at: 'cup' });
  await act({ kind: 'stir', vessel: 'cup', how: stirs ? 'motor' : 'off' });
  await act({ kind: 'lid', vessel: 'cup', on: true });
  await untilSteady(hands, 1);
  const cool = await recordTemp(hands, plan, trial, 'T1', 1);
  if (openS > 0) {
    await act({ kind: 'flame', n, to: 'open' });
    await act({ kind: 'wait' }, openS);
  }
  await act({ kind: 'stand', n, at: 'can' });
  await act({ kind: 'flame', n, to: 'lit' });
  await act({ kind: 'flame', n, to: 'capped' }, burnsS);
  await afterMixing(hands, plan, trial, cool, habits.readsAfterS);
  await weighed(hands, trial, after, 'lamp', n);
}
