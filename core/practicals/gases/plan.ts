import type { Readability } from '../../instruments/balance';
import type { SlotEntry } from '../recordings';

/** What stands at the bench of gases, and which readings a trial has. */

/** A syringe joined to a gauge; a bulb in a bath, with a gauge on its neck; four syringes in a bath; one, into which a liquid is injected; a gas tube over water. */
export type Gear = 'syringe' | 'bulb' | 'syringes' | 'injected' | 'collected';

/** How the tube with the gauge sits: off, so that both stand open to the room; pushed on lightly; pushed home. */
export const JOINTS = ['off', 'loose', 'home'] as const;
export type Joint = (typeof JOINTS)[number];

export const PLACES = ['air', 'bath', 'jar'] as const;
export type Place = (typeof PLACES)[number];

export const hasBath = ({ gear }: Pick<Plan, 'gear'>): boolean => gear !== 'syringe' && gear !== 'collected';

/** Units of pressure, with what one of each is in kPa, and how many decimals a gauge shows. */
export const PRESSURE_UNITS = {
  kPa: { kPa: 1, decimals: 1 },
  bar: { kPa: 100, decimals: 3 },
  atm: { kPa: 101.325, decimals: 3 },
  mmHg: { kPa: 101.325 / 760, decimals: 0 },
} as const;
export type PressureUnit = keyof typeof PRESSURE_UNITS;
export const PRESSURE_UNIT_IDS = Object.keys(PRESSURE_UNITS) as [PressureUnit, ...PressureUnit[]];

/** Whether a gauge shows the pressure itself, or how much it is over that of the room. */
export type GaugeKind = 'absolute' | 'over';

export const VOLUME_SLOTS = ['va', 'vb', 'vc', 'vd'] as const;
type VolumeSlot = (typeof VOLUME_SLOTS)[number];
export const SLOT_IDS = [
  'bar',
  'room',
  'open',
  'vol',
  'm',
  'm1',
  'v0',
  'm2',
  'v1',
  'h',
  't',
  ...VOLUME_SLOTS,
  'p',
  'pj',
] as const;
export type Slot = (typeof SLOT_IDS)[number];

/** Read once, and held for every trial. */
export const CARRIED: readonly Slot[] = ['bar', 'room', 'open'];
/** Read by eye on a syringe, and typed. */
export const TYPED: readonly Slot[] = ['vol', 'v0', 'v1', 'h', ...VOLUME_SLOTS];
/** Shown by the balance. */
export const MASSES: readonly Slot[] = ['m', 'm1', 'm2'];
const PRESSURES: readonly Slot[] = ['bar', 'open', 'p', 'pj'];
export const isPressure = (slot: Slot): boolean => PRESSURES.includes(slot);

/** What stands on the bench: all of it may be told to the student. */
export interface Plan {
  family: 'gases';
  gear: Gear;
  gauge: GaugeKind;
  unit: PressureUnit;
  /** What the syringes of a bath are labelled with; empty where there are none. */
  syringes: readonly string[];
  /** What the injector is weighed on; null where nothing is. */
  balance: Readability | null;
}

export const SLOTS_OF: Record<Gear, readonly Slot[]> = {
  syringe: ['bar', 'room', 'open', 'vol', 'p'],
  bulb: ['bar', 'room', 'open', 't', 'p', 'pj'],
  syringes: ['bar', 'room', 't', ...VOLUME_SLOTS],
  injected: ['bar', 'room', 'm1', 'v0', 'm2', 'v1', 't'],
  collected: ['bar', 'm', 'v0', 'v1', 'h', 't'],
};

/** The place of a syringe in a bath that a slot is read on; undefined of other slots. */
export const syringeOf = (slot: Slot): number | undefined => {
  const place = VOLUME_SLOTS.findIndex((one) => one === slot);
  return slot === 'vol' || slot === 'v0' || slot === 'v1' ? 0 : place < 0 ? undefined : place;
};

type Entry = Omit<SlotEntry, 'unit'> & { unit?: string };
const shown = (label: string, short: string, symbol: string, instrument: string, unit?: string): Entry => ({
  label,
  short,
  symbol,
  instrument,
  typed: false,
  ...(unit && { unit }),
});
const typed = (label: string, short: string, symbol: string): Entry => ({
  label,
  short,
  symbol,
  instrument: 'syringe',
  typed: true,
  unit: 'mL',
});

const ENTRIES: Record<Exclude<Slot, VolumeSlot>, Entry> = {
  bar: shown('pressure of the room', 'room, pressure', 'P_r', 'barometer'),
  room: shown('temperature of the room', 'room', 't_r', 'thermometer of the room', '°C'),
  open: shown('gauge open to the room', 'gauge, open', 'p_0', 'gauge'),
  vol: typed('volume in the syringe', 'volume', 'V'),
  m: shown('mass of the strip', 'strip', 'm', 'balance', 'g'),
  h: {
    ...typed('height of the water inside over that outside', 'higher inside', 'h'),
    instrument: 'ruler',
    unit: 'mm',
  },
  m1: shown('mass of the injector before', 'injector, before', 'm_1', 'balance', 'g'),
  v0: typed('volume of the air before', 'air', 'V_0'),
  m2: shown('mass of the injector after', 'injector, after', 'm_2', 'balance', 'g'),
  v1: typed('volume with the vapour', 'with vapour', 'V_1'),
  t: shown('temperature of the bath', 'bath', 't', 'digital thermometer', '°C'),
  p: shown('pressure on the gauge', 'gauge', 'p', 'gauge'),
  pj: shown('pressure in the cold jar', 'in the jar', 'p_j', 'gauge'),
};

/** What is called otherwise at a gas tube over water. */
const OVER_WATER = {
  v0: { ...typed('volume of the air in the tube', 'air', 'V_0'), instrument: 'gas tube' },
  v1: { ...typed('volume of the gas in the tube', 'gas', 'V_1'), instrument: 'gas tube' },
  t: shown('temperature of the water', 'water', 't', 'digital thermometer', '°C'),
};

/** What each reading is at a bench: pressures have the unit that was chosen, syringes their label. */
export function slotsOf(plan: Pick<Plan, 'unit' | 'syringes' | 'gear'>): Record<Slot, SlotEntry> {
  const entryOf = (slot: Slot): Entry => {
    const place = VOLUME_SLOTS.findIndex((one) => one === slot);
    if (plan.gear === 'collected' && slot in OVER_WATER) return OVER_WATER[slot as keyof typeof OVER_WATER];
    if (place < 0) return ENTRIES[slot as Exclude<Slot, VolumeSlot>];
    const label = plan.syringes[place] ?? 'ABCD'[place];
    return typed(`volume of ${label}`, `${label}`, `V_${'ABCD'[place]}`);
  };
  return Object.fromEntries(SLOT_IDS.map((slot) => [slot, { unit: plan.unit, ...entryOf(slot) }])) as Record<
    Slot,
    SlotEntry
  >;
}
