import type { Room } from '../../physics/flight';
import type { SlotEntry } from '../recordings';

const ofGauge = { instrument: 'gauge', typed: false };

/** Readings that a row can have. */
export const SLOTS = {
  T: { label: 'temperature that its energy stands for', short: 'temperature', symbol: 'T', unit: 'K', ...ofGauge },
  E: { label: 'energy of flight', short: 'energy', symbol: 'E', unit: 'zJ', ...ofGauge },
  v: { label: 'speed', short: 'speed', symbol: 'v', unit: 'm/s', ...ofGauge },
} satisfies Record<string, SlotEntry>;
export type Slot = keyof typeof SLOTS;
export const SLOT_KEYS = ['T', 'E', 'v'] as const satisfies readonly Slot[];

/** What the student may know of the setup. */
export interface Plan {
  family: 'particles';
  /** Edge of the vessel, a cube, nm. */
  edgeNm: number;
}

/** How many ps of its flight one second of the bench clock is. */
const PS_PER_S = 4;
/** Time of its flight at a bench time, ps. */
export const psAt = (timeS: number): number => timeS * PS_PER_S;

/** Whatever gas it is of, the particle is a ball of this radius, nm: its size tells nothing. */
const RADIUS_NM = 0.18;
export const roomOf = ({ edgeNm }: Pick<Plan, 'edgeNm'>): Room => ({ edgeNm, radiusNm: RADIUS_NM });
/** The hottest that the vessel bears, K. */
export const MOST_K = 3000;
/** Rows that the brief asks for. */
export const ROWS = 10;
