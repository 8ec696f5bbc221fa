import { workBy } from '../method';
import type { Habits, Hands } from './by-hand';
import { methodOf } from './method';
import type { Plan } from './plan';

export type { Habits, Hands } from './by-hand';

/** How a student works who knows the method; used for demo classes, rehearsals and tests. */
export const workWithGas = (hands: Hands, plan: Plan, habits: Habits = {}): Promise<void> =>
  workBy(methodOf(plan, habits), hands);
