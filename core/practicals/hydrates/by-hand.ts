import type { Act } from './acts';
import type { Plan, Slot } from './plan';
import type { View } from './view';

/** What a student's hands do at this bench, by views alone. */
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
export async function flame({ act, view }: Hands, gas: number, air: number): Promise<void> {
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

export async function cools(hands: Hands, plan: Plan, { coolS = 1500, coolsAt }: Habits): Promise<void> {
  const { act } = hands;
  await act({ kind: 'gas', to: 0 });
  await act({ kind: 'put', at: coolsAt ?? (plan.desiccator ? 'desiccator' : 'mat'), by: 'tongs' });
  await act({ kind: 'wait' }, coolS);
}

/** Weighs the crucible with its lid, and records it. @returns what the balance showed */
export async function weighs({ act, view }: Hands, which: Slot, lid: 'on' | 'off' = 'on'): Promise<number> {
  if (view().crucible.lid !== lid) await act({ kind: 'lid', to: lid });
  await act({ kind: 'put', at: 'pan', by: 'tongs' });
  const trial = view().recordableTrial;
  await act({ kind: 'recordMass', trial, which }, REST_S);
  return Number(view().readings.findLast((r) => r.slot === which && r.struck === null)?.text);
}

/** What stands on the pan already: with its lid on, as it was before. */
export async function weighsThere({ act, view }: Hands, which: Slot): Promise<void> {
  if (view().crucible.lid !== 'on') await act({ kind: 'lid', to: 'on' });
  await act({ kind: 'recordMass', trial: view().recordableTrial, which }, REST_S);
}
