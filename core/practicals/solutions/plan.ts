import { BALANCES, type Readability } from '../../instruments/balance';
import type { SlotEntry } from '../recordings';
import type { PaperKind } from './solids/paper-kinds';

export const LETTERS = ['A', 'B', 'C', 'D', 'E', 'F', 'G', 'H'] as const;
type Letter = (typeof LETTERS)[number];

/** Readings of a mixture: temperatures, pH, the portion that was analysed, what was poured of each bottle and what is left of it. */
export const VOLUME_SLOTS = ['vA', 'vB', 'vC', 'vD', 'vE', 'vF', 'vG', 'vH'] as const;
export const LEFT_SLOTS = ['nA', 'nB', 'nC', 'nD', 'nE', 'nF', 'nG', 'nH'] as const;
export const TOOL_SLOTS = ['T0', 'T', 'pH', 'K'] as const;
/** Masses: of a paper, and of it with its solid after each time in the oven; of the boat with and without what it holds; of the vessel. */
export const DRIED_SLOTS = ['h1', 'h2', 'h3', 'h4', 'h5'] as const;
export const PAPER_SLOTS = ['mP', ...DRIED_SLOTS] as const;
const JAR_SLOTS = ['m1', 'mB', 'mE', 'm2'] as const;
export const MASS_SLOTS = [...PAPER_SLOTS, ...JAR_SLOTS] as const;
export type MassSlot = (typeof MASS_SLOTS)[number];
export const isMass = (slot: string): slot is MassSlot => (MASS_SLOTS as readonly string[]).includes(slot);
export const SLOT_IDS = [...VOLUME_SLOTS, 'T0', 'T', 'pH', 'K', 'A', 'p', ...LEFT_SLOTS, ...MASS_SLOTS] as const;
export type Slot = (typeof SLOT_IDS)[number];

export const VESSEL_TYPES = ['tube', 'beaker'] as const;
type VesselType = (typeof VESSEL_TYPES)[number];

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
  cell: boolean;
  paper: boolean;
  colorimeter: boolean;
  slip: boolean;
  /** What a solid is weighed with; null where nothing is weighed. */
  balance: Readability | null;
  /** Papers on the tray: with them come funnel, wash bottle and oven. */
  papers: readonly PaperKind[];
  desiccator: boolean;
  hotPlate: boolean;
  damp: Dampness;
  /** What the label of a jar with a solid says; null where there is none. */
  jar: string | null;
}

export const BALANCE_IDS = Object.keys(BALANCES) as [Readability, ...Readability[]];
/** How damp the room is: a part of what air can hold. */
export const DAMPNESS = { dry: 0.3, usual: 0.5, damp: 0.75 } as const;
type Dampness = keyof typeof DAMPNESS;

/** Bottles of so much, mL. */
const BOTTLE_ML = { plate: 20, measured: 150, series: 400 } as const;
export function bottleMl({ measures, jar }: Plan): number {
  if (jar) return BOTTLE_ML.series;
  return measures ? BOTTLE_ML.measured : BOTTLE_ML.plate;
}

/** Bottles, beakers and what measures, and none of the other instruments. */
export const BEAKERS_ALONE = {
  family: 'solutions',
  vessels: ['beaker'],
  spotPlate: false,
  measures: true,
  thermometer: false,
  probe: false,
  cell: false,
  paper: false,
  colorimeter: false,
  slip: false,
} as const satisfies Partial<Plan>;

/** A bench of which nothing is weighed. */
export const NOTHING_WEIGHED = {
  balance: null,
  papers: [],
  desiccator: false,
  hotPlate: false,
  damp: 'usual',
  jar: null,
} as const satisfies Partial<Plan>;

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
  K: slot('conductivity of the mixture', 'conductivity', 'K', 'mS/cm', 'conductivity cell'),
  A: slot('absorbance of the mixture', 'absorbance', 'A', '', 'colorimeter'),
  p: slot('portion that was analysed', 'portion', 'P', 'mL', 'analysis slip'),
  ...lettered(LEFT_SLOTS, (letter) => slot(`amount of ${letter} left in the portion`, `${letter} left`, `n_${letter}`, 'mmol', 'analysis slip')),
  mP: slot('mass of the paper', 'paper', 'm_P', 'g', 'balance'),
  h1: slot('mass of the paper with the solid, dried', 'dried', 'h_1', 'g', 'balance'),
  h2: slot('mass after drying again', 'again', 'h_2', 'g', 'balance'),
  h3: slot('mass after drying a third time', 'a third time', 'h_3', 'g', 'balance'),
  h4: slot('mass after drying a fourth time', 'a fourth time', 'h_4', 'g', 'balance'),
  h5: slot('mass after drying a fifth time', 'a fifth time', 'h_5', 'g', 'balance'),
  m1: slot('mass of the vessel with the acid', 'with acid', 'm_1', 'g', 'balance'),
  mB: slot('mass of the boat with what is put in', 'boat full', 'm_B', 'g', 'balance'),
  mE: slot('mass of the boat when it is empty again', 'boat empty', 'm_E', 'g', 'balance'),
  m2: slot('mass of the vessel when all gas has left', 'gas gone', 'm_2', 'g', 'balance'),
}; // prettier-ignore

/** Readings that a practical with these tools has. */
export const slotsOf = ({
  bottles,
  measures,
  thermometer,
  probe,
  cell,
  colorimeter,
  slip,
  papers,
  jar,
}: Plan): Slot[] => [
  ...(measures ? VOLUME_SLOTS.slice(0, bottles) : []),
  ...(papers.length > 0 ? PAPER_SLOTS : []),
  ...(jar ? JAR_SLOTS : []),
  ...(thermometer ? (['T0', 'T'] as const) : []),
  ...(probe ? (['pH'] as const) : []),
  ...(cell ? (['K'] as const) : []),
  ...(colorimeter ? (['A'] as const) : []),
  ...(slip ? (['p', ...LEFT_SLOTS.slice(0, bottles)] as const) : []),
];
