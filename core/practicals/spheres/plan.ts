import type { SlotEntry } from '../recordings';

/** What the vessel with two gases is, and which readings a trial has. */

/** How many ps of their flight one second of the bench clock is. */
export const PS_PER_S = 4;
/** A stretch that they are let fly: between these, ps. It bounds what one act makes anybody work out. */
export const RUN_PS = { least: 1, most: 500 } as const;
/** All that one filling may fly, ps. */
export const MOST_PS = 20_000;
/** How often the vessel is filled afresh at most, and how much is done to one filling: more than any lesson asks for. */
export const MOST_FILLS = 40;
export const MOST_CHANGES = 200;
/** They are looked at so often while they fly, ps. */
export const LOOK_PS = 2;
/** The hole in the right wall: what comes there with its middle within it leaves, nm. */
export const HOLE_NM = 3;
export const HOLE_WALL = 1;
/** What a jacket of water, or of something hotter or colder, can be, K. */
export const JACKET_K = { least: 50, most: 1500 } as const;

/** What the vessel is filled with: both gases, or one of them by itself. */
export const FILLINGS = ['both', 'helium', 'other'] as const;
export type Filling = (typeof FILLINGS)[number];

export const SLOT_IDS = ['T', 'E1', 'E2', 'v1', 'v2', 'd', 'g1', 'g2'] as const;
export type Slot = (typeof SLOT_IDS)[number];
/** Which of both gases a counter is of; of all of them where it is left out. */
export const GAS_OF: Readonly<Partial<Record<Slot, 0 | 1>>> = { E1: 0, E2: 1, v1: 0, v2: 1, g1: 0, g2: 1 };

/** All of it may be told: nothing that moves is hidden. */
export interface Plan {
  family: 'spheres';
  edgeNm: number;
  /** Of each gas. */
  count: number;
}

/** How many there are of helium and of the other when it is filled. */
export const countsOf = ({ count }: Plan, of: Filling): [helium: number, other: number] => [
  of === 'other' ? 0 : count,
  of === 'helium' ? 0 : count,
];

const shown = (label: string, short: string, symbol: string, unit: string): SlotEntry => ({
  label,
  short,
  symbol,
  unit,
  instrument: 'counter of the vessel',
  typed: false,
});

export const SLOTS: Record<Slot, SlotEntry> = {
  T: shown('temperature, mean of the stretch', 'temperature', 'T', 'K'),
  E1: shown('mean energy of flight, helium', 'energy, helium', 'E_1', 'zJ'),
  E2: shown('mean energy of flight, the other', 'energy, other', 'E_2', 'zJ'),
  v1: shown('mean speed, helium', 'speed, helium', 'v_1', 'm/s'),
  v2: shown('mean speed, the other', 'speed, other', 'v_2', 'm/s'),
  d: shown('how long the stretch was', 'stretch', 'd', 'ps'),
  g1: shown('left through the hole, helium', 'left, helium', 'g_1', ''),
  g2: shown('left through the hole, the other', 'left, other', 'g_2', ''),
};
export const DECIMALS: Record<Slot, number> = { T: 1, E1: 3, E2: 3, v1: 1, v2: 1, d: 0, g1: 0, g2: 0 };
