import type { Act } from '@core/practicals/heat/acts';
import type { Plan } from '@core/practicals/heat/plan';
import type { View } from '@core/practicals/heat/view';
import type { Hands } from '../use-hands';
import type { Amount } from './amounts';
import type { Thing } from './things';

/** What the verbs of this bench are given. */
export interface VerbProps {
  view: View;
  labels: Plan;
  hands: Hands<Thing, Amount, Act>;
}
