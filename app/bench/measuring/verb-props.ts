import type { Act } from '@core/practicals/measuring/acts';
import type { Plan } from '@core/practicals/measuring/plan';
import type { SeenVessel, View } from '@core/practicals/measuring/view';
import type { Thing } from './things';

/** Amounts as typed, kept while other things are selected. */
export interface Amounts {
  pour: string;
  drops: string;
  pieces: string;
  pipette: string;
  squirt: string;
  label: string;
}
export const FIRST_AMOUNTS: Amounts = {
  pour: '10',
  drops: '1',
  pieces: '1',
  pipette: '5.0',
  squirt: '2',
  label: '',
};

export interface VerbsProps {
  selected: Thing;
  view: View;
  labels: Plan;
  /** The vessel that is poured, lowered or dropped into. */
  into: number;
  onInto: (number: number) => void;
  /** The vessel that dropper and pipettes draw from. */
  from: number;
  onFrom: (number: number) => void;
  /** The lot that the tools measure. */
  lot: number;
  onLot: (lot: number) => void;
  amounts: Amounts;
  onAmount: (name: keyof Amounts, text: string) => void;
  onAct: (act: Act) => void;
  onAmountAct: (name: keyof Amounts, unit: string, act: (value: number) => Act) => void;
}

/** The trial that a reading of a slot goes into. */
export const dueTrial = (view: View, slot: string): number =>
  view.slots.find((one) => one.slot === slot)?.due ?? view.trial;

/** What the verbs of one kind of thing are made with. */
export interface PartProps {
  props: VerbsProps;
  verb: (label: string, act: Act) => React.ReactNode;
  target: (label: string, except: number | null, which?: (vessel: SeenVessel) => boolean) => React.ReactNode;
}
