import { BALANCES, type Readability } from '../../instruments/balance';
import type { SlotEntry } from '../recordings';

/** Readings of a trial: the crucible, with the salt, and after each time that it was heated. */
export const SLOT_IDS = ['m0', 'm1', 'h1', 'h2', 'h3', 'h4', 'h5'] as const;
export type Slot = (typeof SLOT_IDS)[number];
export const HEATED = ['h1', 'h2', 'h3', 'h4', 'h5'] as const satisfies readonly Slot[];

/** How damp the room is: a part of what air can hold. */
export const DAMPNESS = { dry: 0.3, usual: 0.5, damp: 0.75 } as const;
type Dampness = keyof typeof DAMPNESS;

/** What stands on the bench: all of it may be told to the student. */
export interface Plan {
  family: 'hydrates';
  /** What the label of the jar says. */
  jar: string;
  balance: Readability;
  damp: Dampness;
  desiccator: boolean;
}

const slot = (label: string, short: string, symbol: string): SlotEntry => ({
  label,
  short,
  symbol,
  unit: 'g',
  instrument: 'balance',
  typed: false,
});

export const SLOTS: Record<Slot, SlotEntry> = {
  m0: slot('mass of the empty crucible', 'crucible', 'm_0'),
  m1: slot('mass of the crucible with the salt', 'with salt', 'm_1'),
  h1: slot('mass after heating', 'heated', 'h_1'),
  h2: slot('mass after heating again', 'again', 'h_2'),
  h3: slot('mass after heating a third time', 'a third time', 'h_3'),
  h4: slot('mass after heating a fourth time', 'a fourth time', 'h_4'),
  h5: slot('mass after heating a fifth time', 'a fifth time', 'h_5'),
};

export const BALANCE_IDS = Object.keys(BALANCES) as [Readability, ...Readability[]];
