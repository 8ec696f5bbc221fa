import type { SlotEntry } from '../recordings';

export const WHICH = ['first', 'last'] as const;
/** Readings of the balance: the boat with the solid, and what clings to it after tipping. */
export const WEIGHED = ['boat', 'left'] as const;
export type Slot = (typeof WHICH)[number] | (typeof WEIGHED)[number] | 'pH' | 'kappa';

const slot = (label: string, short: string, symbol: string, unit: string, instrument: string): SlotEntry => ({
  label,
  short,
  symbol,
  unit,
  instrument,
  typed: instrument === 'burette',
});

/** What each reading is. */
export const SLOTS: Record<Slot, SlotEntry> = {
  first: slot('first', 'first reading', 'V_1', 'mL', 'burette'),
  last: slot('last', 'last reading', 'V_2', 'mL', 'burette'),
  boat: slot('boat with solid', 'boat with solid', 'm_1', 'g', 'balance'),
  left: slot('boat after tipping', 'boat after tipping', 'm_2', 'g', 'balance'),
  pH: slot('pH', '', 'pH', '', 'pH meter'),
  kappa: slot('conductivity', 'conductivity', 'kappa', 'mS/cm', 'conductivity meter'),
};
