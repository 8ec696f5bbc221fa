import type { Act } from '@core/practicals/heat/acts';
import type { Plan, VolumeSlot } from '@core/practicals/heat/plan';
import type { View } from '@core/practicals/heat/view';
import type { Thing } from './things';

/** What the verbs of this bench are given, and the amounts that stand in their fields. */

/** What is poured has an amount of its own for each bottle. */
export type Pour = `pour${1 | 2 | 3 | 4}`;
export const pourOf = (bottle: number): Pour => `pour${Math.min(bottle, 4) as 1 | 2 | 3 | 4}`;

export type Amounts =
  | Pour
  | 'bath'
  | 'block'
  | 'scoop'
  | 'standard'
  | 'unknown'
  | 'wire'
  | 'oxygen'
  | 'gap'
  | 'charge'
  | 'charge2'
  | 'cold'
  | 'log'
  | VolumeSlot;
export const FIRST_AMOUNTS: Record<Amounts, string> = {
  pour1: '',
  pour2: '',
  pour3: '',
  pour4: '',
  bath: '',
  block: '',
  scoop: '',
  standard: '',
  unknown: '',
  wire: '',
  oxygen: '',
  gap: '',
  charge: '',
  charge2: '',
  cold: '',
  log: '5',
  VA: '',
  VB: '',
};

export interface VerbProps {
  selected: Thing;
  view: View;
  labels: Plan;
  amounts: Record<Amounts, string>;
  onAmount: (name: Amounts, text: string) => void;
  onAct: (act: Act) => void;
  onAmountAct: (name: Amounts, unit: string, make: (value: number) => Act) => void;
}
