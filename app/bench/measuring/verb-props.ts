import type { Act } from '@core/practicals/measuring/acts';
import type { Plan } from '@core/practicals/measuring/plan';
import type { SeenVessel, View } from '@core/practicals/measuring/view';
import type { AmountVerb } from '../use-amounts';
import type { Hands } from '../use-hands';
import type { Thing } from './things';

/** What can be done at this bench with an amount that is typed. */
export type Amount = 'pour' | 'drops' | 'pieces' | 'pipette' | 'squirt';
export const FIRST_TEXTS: Record<Amount, string> = { pour: '10', drops: '1', pieces: '1', pipette: '5.0', squirt: '2' };

interface At {
  /** The vessel that dropper and pipettes draw from. */
  from: number;
  into: number;
  lot: number;
}

/** @param own the vessel that is selected, which is poured from */
export const amountsFor = ({ from, into, lot }: At, own = from): Record<Amount, AmountVerb<Act>> => ({
  pour: { verb: 'Pour', unit: 'mL', act: (ml) => ({ kind: 'pour', from: own, to: into, ml }) },
  drops: { verb: 'Give', unit: 'drops', act: (drops) => ({ kind: 'drops', from, to: into, drops }) },
  pieces: { verb: 'Weigh', unit: 'pieces', act: (count) => ({ kind: 'weighPieces', lot, count }) },
  pipette: {
    verb: 'Graduated',
    unit: 'mL',
    act: (ml) => ({ kind: 'pipette', with: 'graduated', from, to: into, ml }),
  },
  squirt: { verb: 'Give water', unit: 'mL', act: (ml) => ({ kind: 'squirt', into, ml }) },
});

export interface VerbsProps {
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
  hands: Hands<Thing, Amount, Act>;
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
