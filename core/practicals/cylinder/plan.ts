import type { SlotEntry } from '../recordings';

/** What the cylinder with particles is, and which readings a trial has. */

/** How many ps of their flight one second of the bench clock is. */
export const PS_PER_S = 4;
/** A stretch that they are let fly: between these, ps. It bounds what one act makes anybody work out. */
export const RUN_PS = { least: 1, most: 500 } as const;
/** All that one filling may fly: so many ps of one particle. */
export const MOST_PARTICLE_PS = 4e6;
/** How often the vessel is filled afresh at most, in one run. */
export const MOST_FILLS = 12;
/** How much is done to one filling at most. */
export const MOST_CHANGES = 400;
/** They are looked at so often while they fly, ps. */
export const LOOK_PS = 2;
/** So far back a strip of paper shows what was seen, ps. */
export const STRIP_PS = 120;
export const JACKET_K = { least: 50, most: 1500 } as const;
/** The hottest that heat can make them, K. */
export const MOST_K = 3000;
export const COUNT = { least: 1, most: 1000 } as const;
/** What the load presses with, kPa: the harder, the more impacts there are on the piston, so that it bounds the work of an act, too. */
export const LOAD_KPA = { least: 2, most: 400 } as const;
/** No lower than this the piston is pinned, nm. */
export const LEAST_NM = 4;
/** How fast the pin takes the piston to another height, nm/ps. */
export const PIN_NM_PER_PS = 0.2;
/** How heavy the piston is, g/mol of as many as one: light, so that it follows the gas. */
export const PISTON_G_PER_MOL = 400;

/** Laws of one thing that is set and one that is watched. */
export const LAWS = [
  'pressure-volume',
  'pressure-temperature',
  'volume-temperature',
  'pressure-number',
  'volume-number',
] as const;
export type Law = (typeof LAWS)[number];

/** What can be held, set or watched. */
export const STATES = ['P', 'V', 'T', 'N'] as const;
export type State = (typeof STATES)[number];
export const STATE_NAMES: Record<State, string> = { P: 'pressure', V: 'volume', T: 'temperature', N: 'number' };

/** Of each law: what is watched, what is set, and what is held. */
export const LAW_PARTS: Record<Law, { watched: State; set: State; held: readonly State[] }> = {
  'pressure-volume': { watched: 'P', set: 'V', held: ['T', 'N'] },
  'pressure-temperature': { watched: 'P', set: 'T', held: ['V', 'N'] },
  'volume-temperature': { watched: 'V', set: 'T', held: ['P', 'N'] },
  'pressure-number': { watched: 'P', set: 'N', held: ['V', 'T'] },
  'volume-number': { watched: 'V', set: 'N', held: ['P', 'T'] },
};

const shown = (label: string, short: string, symbol: string, unit: string): SlotEntry => ({
  label,
  short,
  symbol,
  unit,
  instrument: 'counter of the cylinder',
  typed: false,
});

/** Readings of all practicals at this bench; each has some of them. */
export const SLOTS = {
  P: shown('mean pressure', 'pressure', 'P', 'kPa'),
  V: shown('mean volume', 'volume', 'V', 'nm³'),
  T: shown('mean temperature', 'temperature', 'T', 'K'),
  N: shown('number', 'number', 'N', ''),
  E: shown('mean energy', 'mean energy', 'E', 'zJ'),
  s: shown('wavering of that mean', 'wavering', 's', 'zJ'),
  v: shown('mean speed', 'mean speed', 'v', 'm/s'),
  f: shown('part above twice the mean', 'part above twice', 'f', '%'),
  n: shown('impacts on the piston', 'impacts', 'n', ''),
  p: shown('mean push', 'mean push', 'p', 'yN·s'),
  u: shown('speed, single impact', 'speed, single', 'u', 'm/s'),
  q: shown('push, single impact', 'push, single', 'q', 'yN·s'),
  d: shown('length of the stretch', 'stretch', 'd', 'ps'),
} satisfies Record<string, SlotEntry>;
export type Slot = keyof typeof SLOTS;
export const SLOT_IDS = Object.keys(SLOTS) as [Slot, ...Slot[]];

export const DECIMALS: Record<Slot, number> = {
  P: 2,
  V: 0,
  T: 1,
  N: 0,
  E: 3,
  s: 3,
  v: 1,
  f: 2,
  n: 0,
  p: 2,
  u: 1,
  q: 2,
  d: 0,
};

/** What the bench is for: the laws, where pressure comes from, from one to many. */
export type Gear = 'laws' | 'impacts' | 'many';
export const SLOTS_OF: Record<Gear, readonly Slot[]> = {
  laws: ['P', 'V', 'T', 'N', 'd'],
  impacts: ['q', 'u', 'n', 'p', 'P', 'V', 'T', 'N', 'd'],
  many: ['N', 'E', 's', 'v', 'f', 'T', 'd'],
};

/** All of it may be told: nothing that moves is hidden. */
export interface Plan {
  family: 'cylinder';
  gear: Gear;
  /** Edge of the ground and height of the top, nm: where the middles of particles can be. */
  edgeNm: number;
  topNm: number;
  /** Which law is asked for; null in other gears. */
  law: Law | null;
}

export const volumeOf = ({ edgeNm }: Pick<Plan, 'edgeNm'>, heightNm: number): number => edgeNm * edgeNm * heightNm;
