import type { Method } from '../method';
import type { Bench } from './bench';
import type { Habits, Hands } from './by-hand';
import { bulbMethod } from './methods/bulb';
import { collectedMethod } from './methods/collected';
import { injectedMethod } from './methods/injected';
import { syringeMethod } from './methods/syringe';
import { syringesMethod } from './methods/syringes';
import type { Plan } from './plan';

/** The method at each of the five benches. @param habits what a student does otherwise than the method has it */
export const methodOf = (plan: Plan, habits: Habits = {}): Method<Bench, Hands> =>
  ({
    syringe: () => syringeMethod(habits),
    bulb: () => bulbMethod(habits),
    syringes: () => syringesMethod(plan, habits),
    injected: () => injectedMethod(habits),
    collected: () => collectedMethod(plan, habits),
  })[plan.gear]();
