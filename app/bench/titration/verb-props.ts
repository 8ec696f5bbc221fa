import type { Act } from '@core/practicals/titration/acts';
import type { Plan } from '@core/practicals/titration/plan';
import type { View } from '@core/practicals/titration/view';
import type { AmountVerb } from '../use-amounts';
import type { Hands } from '../use-hands';
import type { Thing } from './things';

/** What can be done at this bench with an amount that is typed. */
export type Amount = 'fillTo' | 'letIn' | 'water' | 'drops' | 'weigh' | 'logEveryMl' | 'logEveryS';

/** @param id the indicator that drops are of */
export const amountsFor = (id: string): Record<Amount, AmountVerb<Act>> => ({
  fillTo: { verb: 'Fill the burette to', unit: 'mL', act: (toMl) => ({ kind: 'fill', toMl }) },
  letIn: { verb: 'Let in', unit: 'mL', act: (ml) => ({ kind: 'letIn', ml }) },
  water: { verb: 'Add water to the flask', unit: 'mL', act: (ml) => ({ kind: 'water', ml }) },
  drops: { verb: 'Add to the flask', unit: 'drops', act: (drops) => ({ kind: 'indicator', id, drops }) },
  weigh: { verb: 'Put on the boat, about', unit: 'g', act: (g) => ({ kind: 'weigh', g }) },
  logEveryMl: { verb: 'Log every', unit: 'mL', act: (every) => ({ kind: 'log', every, by: 'mL' }) },
  logEveryS: { verb: 'Log every', unit: 's', act: (every) => ({ kind: 'log', every, by: 's' }) },
});

/** A little below the 0 mark: a hand that aims at 0 ends above it half the time, where nothing can be read. */
export const FIRST_TEXTS: Record<Amount, string> = {
  fillTo: '0.50',
  letIn: '1.00',
  water: '10',
  drops: '2',
  weigh: '0.30',
  logEveryMl: '0.50',
  logEveryS: '5',
};

export interface VerbsProps {
  view: View;
  labels: Plan;
  tap: View['tap'];
  hands: Hands<Thing, Amount, Act>;
  onLoupe: () => void;
}
