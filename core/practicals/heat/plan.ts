import type { HeatVesselId } from '../../databook/heat-vessels';
import type { Look } from '../../databook/materials';
import type { Readability } from '../../instruments/balance';
import { THERMOMETERS, type ThermometerKind } from '../../instruments/thermometer';
import type { SlotEntry } from '../recordings';

/** Readings that a trial can have. */
export const MASS_SLOTS = ['m', 'ms', 'mb', 'm1', 'm2', 'm3', 'k1', 'k2', 'b1', 'b2'] as const;
/** Length of the fuse wire that is put in, and of what is left of it. */
export const LENGTH_SLOTS = ['L1', 'L2'] as const;
/** Volumes of what was measured out of the first bottle and of the second, as they were read where it was measured. */
export const VOLUME_SLOTS = ['VA', 'VB'] as const;
export const TEMP_SLOTS = ['T1', 'Th', 'T2'] as const;
/** Freezing temperatures of the pure and of the solution, of two samples and of their mixture: by the log, where two lines through it cross. */
const FROZEN_SLOTS = ['T0', 'Tf', 'TA', 'TB', 'TM'] as const;
export type MassSlot = (typeof MASS_SLOTS)[number];
export type LengthSlot = (typeof LENGTH_SLOTS)[number];
export type VolumeSlot = (typeof VOLUME_SLOTS)[number];
export type TempSlot = (typeof TEMP_SLOTS)[number];
export type FrozenSlot = (typeof FROZEN_SLOTS)[number];
export type Slot = FrozenSlot | MassSlot | LengthSlot | VolumeSlot | TempSlot;

/** How pieces of a metal come. */
export const FORMS = ['cylinders', 'shot'] as const;
type Form = (typeof FORMS)[number];

/** How coarse a salt is: what is fine dissolves faster. */
export const GRAINS = ['fine', 'coarse'] as const;
type Grain = (typeof GRAINS)[number];

/** What stands on the bench and lies on the tray: all of it may be told to the student. */
export interface Plan {
  family: 'heat';
  /** Vessels on the tray that can be had fresh; the first stands on the bench at the start. */
  vessels: HeatVesselId[];
  /** Whether a beaker for warm water stands there beside it. */
  beaker: boolean;
  /** What the labels of the bottles say: liquids at the room's temperature. */
  bottles: string[];
  /** What liquids are measured out with. */
  measure: 'cylinder' | 'pipette' | 'dispenser';
  /** Set where a trial is one point of a series that is run in one cup. */
  points: boolean;
  bath: boolean;
  block: boolean;
  /** Number of pieces of the unknown metal, and how they come; null where there is none. */
  metal: { pieces: number; form: Form } | null;
  /** Whether there is a jar of salt, with a weighing boat. */
  salt: boolean;
  /** How coarse that salt is. */
  grain: Grain;
  /** The vessel that pellets are burnt in, with the wire that lights them; null where there is none. */
  sealed: { standardId: string; wireId: string } | null;
  /**
   * A test tube in which something is melted and frozen, what the labels of the jars for it say, and whether a series that a practised
   * hand took can be had; null where there is none.
   */
  tube: { isSolution: boolean; jars: string[]; isReady: boolean } | null;
  /** What the labels of the lamps say; none where there are no lamps. */
  lamps: string[];
  thermometer: ThermometerKind;
  thermometers: 1 | 2;
  balance: Readability;
  /** Whether heat is lost to the room. */
  losses: boolean;
  /** Readings of a trial, in the order in which they are taken. */
  slots: Slot[];
  /** Groups of these of which a trial has one; none where it has all of them. */
  either: Slot[][];
  /** Readings that hold for later trials too, until they are taken again. */
  carries: Slot[];
  /** What the slots of this practical mean where that differs from the usual. */
  means: Partial<Record<Slot, string>>;
  /** The same at the head of a column. */
  heads: Partial<Record<Slot, string>>;
}

/** What an eye tells of the metal. */
export type MetalLook = Extract<Look, 'grey metal' | 'red metal' | 'yellow metal'>;

const INSTRUMENTS = { g: 'balance', cm: 'rule', mL: 'pipette', '°C': 'thermometer' };

const slot = (label: string, short: string, symbol: string, unit: keyof typeof INSTRUMENTS): SlotEntry => ({
  label,
  short,
  symbol,
  unit,
  instrument: INSTRUMENTS[unit],
  typed: unit === 'mL',
});

export const SLOTS: Record<Slot, SlotEntry> = {
  m: slot('mass of the metal', 'metal', 'm', 'g'),
  mb: slot('mass of the boat afterwards', 'boat after', 'm_b', 'g'),
  m1: slot('mass of the empty cup', 'cup', 'm_1', 'g'),
  m2: slot('mass of the cup with liquid', 'with liquid', 'm_2', 'g'),
  m3: slot('mass of the cup with everything', 'with all', 'm_3', 'g'),
  ms: slot('mass of the pellet of the standard', 'standard', 'm_s', 'g'),
  k1: slot('mass of the lamp with the known fuel, before', 'known, before', 'k_1', 'g'),
  k2: slot('mass of the lamp with the known fuel, after', 'known, after', 'k_2', 'g'),
  b1: slot('mass of the lamp with the unknown fuel, before', 'unknown, before', 'b_1', 'g'),
  b2: slot('mass of the lamp with the unknown fuel, after', 'unknown, after', 'b_2', 'g'),
  L1: slot('length of the wire that is put in', 'wire', 'L_1', 'cm'),
  L2: slot('length of the wire that is left', 'wire left', 'L_2', 'cm'),
  T0: slot('freezing temperature of the pure solvent', 'pure', 'T_0', '°C'),
  Tf: slot('freezing temperature', 'freezing', 'T_f', '°C'),
  TA: slot('freezing temperature of sample A', 'sample A', 'T_A', '°C'),
  TB: slot('freezing temperature of sample B', 'sample B', 'T_B', '°C'),
  TM: slot('freezing temperature of their mixture', 'mixture', 'T_M', '°C'),
  VA: slot('volume of the acid', 'acid', 'V_a', 'mL'),
  VB: slot('volume of the base', 'base', 'V_b', 'mL'),
  T1: slot('temperature before', 'before', 'T_1', '°C'),
  Th: slot('temperature of what is hot', 'hot', 'T_h', '°C'),
  T2: slot('temperature after', 'after', 'T_2', '°C'),
};

export const slotName = (plan: Plan, which: Slot) => plan.means[which] ?? SLOTS[which].label;

export const isMass = (which: string): which is MassSlot => MASS_SLOTS.some((slot) => slot === which);

/** Whether anything is weighed: no balance stands there otherwise. */
export const hasBalance = ({ slots }: Pick<Plan, 'slots'>): boolean => slots.some(isMass);

export const isLength = (which: string): which is LengthSlot => LENGTH_SLOTS.some((slot) => slot === which);
export const isVolume = (which: string): which is VolumeSlot => VOLUME_SLOTS.some((slot) => slot === which);
export const isTemp = (which: string): which is TempSlot | FrozenSlot =>
  TEMP_SLOTS.some((slot) => slot === which) || FROZEN_SLOTS.some((slot) => slot === which);

/** Whether two samples are melted, each by itself and both together. */
export const hasSamples = ({ tube }: Pick<Plan, 'tube'>): boolean =>
  tube !== null && !tube.isSolution && tube.jars.length > 1;

/** Whether what is measured is burnt: then nothing is combined but by a flame. */
export const usesFuel = ({ sealed, lamps }: Pick<Plan, 'sealed' | 'lamps'>): boolean =>
  sealed !== null || lamps.length > 0;

/** Whether a trial is whole that has these readings. */
export const isWholeTrial = (
  { slots, either }: Pick<Plan, 'slots' | 'either'>,
  has: (slot: Slot) => boolean,
): boolean =>
  slots.every((slot) => has(slot) || either.some((group) => group.includes(slot))) &&
  (either.length === 0 || either.some((group) => group.every(has)));

/** Whether temperatures are read by eye and typed. */
export const isByEye = ({ thermometer }: Pick<Plan, 'thermometer'>): boolean =>
  'divisionC' in THERMOMETERS[thermometer].reads;

/** The slots of a plan, with what temperatures are read on there. */
export const slotsOf = (plan: Plan): Record<Slot, SlotEntry> =>
  Object.fromEntries(
    Object.entries(SLOTS).map(([key, entry]) => {
      return [
        key,
        {
          ...entry,
          label: slotName(plan, key as Slot),
          short: plan.heads[key as Slot] ?? entry.short,
          // A dispenser shows what it has given; all else is read by eye.
          ...(entry.unit === 'mL' && { instrument: plan.measure, typed: plan.measure !== 'dispenser' }),
          ...(entry.unit === '°C' && { instrument: THERMOMETERS[plan.thermometer].name, typed: isByEye(plan) }),
        },
      ];
    }),
  ) as Record<Slot, SlotEntry>;
