import type { Look } from '../../databook/materials';
import type { Readability } from '../../instruments/balance';
import type { Tool } from '../../instruments/length';
import type { SlotEntry } from '../recordings';
import type { Shape } from './sample';

export const APPEARANCES = ['clear', 'coloured', 'opaque'] as const;
export type Appearance = (typeof APPEARANCES)[number];

/** Readings that a row can have, by the symbol that stands for them. */
export const TYPED_SLOTS = ['V', 'F', 'V1', 'V2', 'Z', 'l', 'w', 'h', 'd', 'T'] as const;
export const MASS_SLOTS = ['m', 'm1', 'm2'] as const;
export type TypedSlot = (typeof TYPED_SLOTS)[number];
export type MassSlot = (typeof MASS_SLOTS)[number];
export type Slot = TypedSlot | MassSlot;

/** What stands on the bench and lies on the tray: all of it may be told to the student. */
export interface Plan {
  family: 'measuring';
  /** Vessels on the tray, by their id in the data book; one of each stands on the bench at the start. */
  vessels: string[];
  /** Bottles of liquids that stand there, by what their label says. */
  bottles: string[];
  tools: Tool[];
  balance: Readability | null;
  /** Whether there is a tap with water. */
  water: boolean;
  pipettes: boolean;
  thermometer: boolean;
  sinker: boolean;
  appearance: Appearance;
  /** Number of unknown lots, and what they are called. */
  lots: string[];
  /** Readings of a row, in the order in which they are taken. */
  slots: Slot[];
  /** Readings that hold for later trials of the same thing too, until they are taken again. */
  carries: Slot[];
  /** How many amounts, a trial for each, the brief asks for; 1 where it asks for none. */
  amounts: number;
  /** What the slots of this practical mean where that differs from the usual. */
  means: Partial<Record<Slot, string>>;
}

/** The reading that an edge is recorded as. */
export const EDGE_SLOTS = { length: 'l', width: 'w', height: 'h', diameter: 'd' } as const;

const slot = (label: string, short: string, symbol: string, unit: string, instrument = ''): SlotEntry => ({
  label,
  short,
  symbol,
  unit,
  instrument,
  typed: instrument !== 'balance',
});

/** What each reading is; where no instrument stands, it is what is looked at. */
export const SLOTS: Record<Slot, SlotEntry> = {
  V: slot('volume', 'volume', 'V', 'mL'),
  F: slot('volume after filling', 'after filling', 'V_f', 'mL'),
  V1: slot('volume before', 'before', 'V_1', 'mL'),
  V2: slot('volume after', 'after', 'V_2', 'mL'),
  Z: slot('zero of the calliper', 'zero', 'z', 'mm', 'calliper'),
  l: slot('length', 'length', 'l', 'mm'),
  w: slot('width', 'width', 'w', 'mm'),
  h: slot('height', 'height', 'h', 'mm'),
  d: slot('diameter', 'diameter', 'd', 'mm'),
  T: slot('temperature', 'temperature', 'T', '°C', 'thermometer'),
  m: slot('mass', 'mass', 'm', 'g', 'balance'),
  m1: slot('mass of the empty vessel', 'vessel', 'm_1', 'g', 'balance'),
  m2: slot('mass with the liquid', 'with liquid', 'm_2', 'g', 'balance'),
};

export const slotName = (plan: Plan, slot: Slot) => plan.means[slot] ?? SLOTS[slot].label;

export const LETTERS = ['A', 'B', 'C', 'D'];

/** What an eye tells of a lot. */
export interface LotLook {
  letter: string;
  look: Look;
  shape: Shape['kind'];
  pieces: number;
}
