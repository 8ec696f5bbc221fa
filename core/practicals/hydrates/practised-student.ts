import type { Act } from './acts';
import { HEATED, type Plan, type Slot } from './plan';
import type { View } from './view';

/** How a student works who knows the method; used for demo classes, rehearsals and tests. Sees only views. */
export interface Hands {
  /** Does an act so many seconds of bench time after the last. */
  act(act: Act, afterS?: number): Promise<void> | void;
  view(): View;
}

/** Ways of doing it otherwise; a careful student has none of them. */
export interface Habits {
  grams?: number;
  /** Gas and air of the strong flame, and where it is heated. */
  gas?: number;
  air?: number;
  on?: 'triangle' | 'gauze';
  lid?: 'on' | 'ajar' | 'off';
  /** How long it is heated strongly, s, and how often at the most. */
  heatS?: number;
  rounds?: number;
  /** How long it cools, s, and where. */
  coolS?: number;
  coolsAt?: 'desiccator' | 'mat';
  /** Whether the empty crucible is heated before it is weighed. */
  heatsEmpty?: boolean;
  /** Whether the lid is on for the weighing of the empty crucible. */
  emptyLid?: 'on' | 'off';
  /** Whether it is warmed by a small flame first. */
  gentle?: boolean;
}

/** Long enough for the balance to come to rest, s. */
const REST_S = 4;
/** Two masses are the same that differ by no more than this many of its last digits. */
const SAME = 2;

async function flame({ act, view }: Hands, gas: number, air: number): Promise<void> {
  // Air that a small flame does not bear is taken away before the gas, and let in after it.
  if (view().burner.gas > gas) {
    await act({ kind: 'air', to: air });
    await act({ kind: 'gas', to: gas });
  } else {
    await act({ kind: 'gas', to: gas });
    await act({ kind: 'air', to: air });
  }
  if (view().flame === 'none' && gas > 0) await act({ kind: 'light' });
}

async function cools(hands: Hands, plan: Plan, { coolS = 1500, coolsAt }: Habits): Promise<void> {
  const { act } = hands;
  await act({ kind: 'gas', to: 0 });
  await act({ kind: 'put', at: coolsAt ?? (plan.desiccator ? 'desiccator' : 'mat'), by: 'tongs' });
  await act({ kind: 'wait' }, coolS);
}

/** Weighs the crucible with its lid, and records it. @returns what the balance showed */
async function weighs({ act, view }: Hands, which: Slot, lid: 'on' | 'off' = 'on'): Promise<number> {
  if (view().crucible.lid !== lid) await act({ kind: 'lid', to: lid });
  await act({ kind: 'put', at: 'pan', by: 'tongs' });
  const trial = view().recordableTrial;
  await act({ kind: 'recordMass', trial, which }, REST_S);
  return Number(view().readings.findLast((r) => r.slot === which && r.struck === null)?.text);
}

/** One trial: crucible, salt, and as many heatings as it takes until the mass stays the same. */
export async function dryOut(hands: Hands, plan: Plan, habits: Habits = {}): Promise<void> {
  const { act, view } = hands;
  const { gas = 6, air = 4.5, on = 'gauze', lid = 'ajar', heatS = 720, rounds = HEATED.length } = habits;
  if (habits.heatsEmpty ?? true) {
    await act({ kind: 'put', at: 'triangle', by: 'tongs' });
    await flame(hands, 3, 2.2);
    await act({ kind: 'wait' }, 300);
    await cools(hands, plan, habits);
  }
  await weighs(hands, 'm0', habits.emptyLid);
  const asked = Number(/about ([\d.]+) g/.exec(view().task ?? '')?.[1] ?? 2.5);
  await act({ kind: 'fill', g: habits.grams ?? asked });
  await weighsThere(hands, 'm1');
  let last = NaN;
  for (const which of HEATED.slice(0, rounds)) {
    if (view().crucible.lid !== lid) await act({ kind: 'lid', to: lid });
    await act({ kind: 'put', at: on, by: 'tongs' });
    if (habits.gentle ?? true) {
      await flame(hands, 2, 1.4);
      await act({ kind: 'wait' }, which === 'h1' ? 300 : 60);
      // As long as it steams, a small flame is enough.
      for (let i = 0; i < 60 && view().crucible.steams; i++) await act({ kind: 'wait' }, 30);
    }
    await flame(hands, gas, air);
    await act({ kind: 'wait' }, heatS);
    await cools(hands, plan, habits);
    const now = await weighs(hands, which);
    if (Math.abs(now - last) <= SAME * Number(plan.balance) + 1e-9) return;
    last = now;
  }
}

/** What stands on the pan already: with its lid on, as it was before. */
async function weighsThere({ act, view }: Hands, which: Slot): Promise<void> {
  if (view().crucible.lid !== 'on') await act({ kind: 'lid', to: 'on' });
  await act({ kind: 'recordMass', trial: view().recordableTrial, which }, REST_S);
}
