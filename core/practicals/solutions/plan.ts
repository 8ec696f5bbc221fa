import type { SlotEntry } from '../recordings';

export const LETTERS = ['A', 'B', 'C', 'D', 'E', 'F', 'G', 'H'] as const;
export type Letter = (typeof LETTERS)[number];

/** Readings of a mixture: temperatures, pH, the portion that was analysed, what was poured of each bottle and what is left of it. */
export const VOLUME_SLOTS = ['vA', 'vB', 'vC', 'vD', 'vE', 'vF', 'vG', 'vH'] as const;
export const LEFT_SLOTS = ['nA', 'nB', 'nC', 'nD', 'nE', 'nF', 'nG', 'nH'] as const;
export type VolumeSlot = (typeof VOLUME_SLOTS)[number];
export type LeftSlot = (typeof LEFT_SLOTS)[number];
export const TOOL_SLOTS = ['T0', 'T', 'pH'] as const;
export type ToolSlot = (typeof TOOL_SLOTS)[number];
export const SLOT_IDS = [...VOLUME_SLOTS, 'T0', 'T', 'pH', 'A', 'p', ...LEFT_SLOTS] as const;
export type Slot = (typeof SLOT_IDS)[number];

export const VESSEL_TYPES = ['tube', 'beaker'] as const;
export type VesselType = (typeof VESSEL_TYPES)[number];

/** What stands on the bench: all of it may be told to the student. */
export interface Plan {
  family: 'solutions';
  /** How many bottles there are, called A, B, C and so on. */
  bottles: number;
  /** Vessels on the tray. */
  vessels: readonly VesselType[];
  spotPlate: boolean;
  /** Pipette and cylinder; without them there are droppers alone. */
  measures: boolean;
  thermometer: boolean;
  probe: boolean;
  paper: boolean;
  colorimeter: boolean;
  slip: boolean;
}

const slot = (label: string, short: string, symbol: string, unit: string, instrument: string): SlotEntry => ({
  label,
  short,
  symbol,
  unit,
  instrument,
  typed: false,
});

const lettered = <S extends Slot>(ids: readonly S[], make: (letter: Letter) => SlotEntry) =>
  Object.fromEntries(ids.map((id, i) => [id, make(LETTERS[i] as Letter)])) as Record<S, SlotEntry>;

export const SLOTS: Record<Slot, SlotEntry> = {
  ...lettered(VOLUME_SLOTS, (letter) => slot(`volume of ${letter}`, letter, `V_${letter}`, 'mL', 'as it was measured')),
  T0: slot('temperature before', 'before', 'T_0', '°C', 'precision thermometer'),
  T: slot('temperature of the mixture', 'mixture', 'T', '°C', 'precision thermometer'),
  pH: slot('pH of the mixture', 'pH', 'pH', '', 'pH meter'),
  A: slot('absorbance of the mixture', 'absorbance', 'A', '', 'colorimeter'),
  p: slot('portion that was analysed', 'portion', 'P', 'mL', 'analysis slip'),
  ...lettered(LEFT_SLOTS, (letter) => slot(`amount of ${letter} left in the portion`, `${letter} left`, `n_${letter}`, 'mmol', 'analysis slip')),
}; // prettier-ignore

/** Readings that a practical with these tools has. */
export const slotsOf = ({ bottles, measures, thermometer, probe, colorimeter, slip }: Plan): Slot[] => [
  ...(measures ? VOLUME_SLOTS.slice(0, bottles) : []),
  ...(thermometer ? (['T0', 'T'] as const) : []),
  ...(probe ? (['pH'] as const) : []),
  ...(colorimeter ? (['A'] as const) : []),
  ...(slip ? (['p', ...LEFT_SLOTS.slice(0, bottles)] as const) : []),
];
