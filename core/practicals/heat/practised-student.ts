import { workBy } from '../method';
import type { Habits, Hands } from './by-hand';
import { byTemperatureMethod } from './methods/by-temperature';
import { metalParts } from './methods/metal';
import { neutralParts } from './methods/neutral';
import { portionsParts } from './methods/portions';
import { saltParts } from './methods/salt';
import { worksTrial, type Part } from './parts';
import type { Plan } from './plan';

export type { Habits, Hands } from './by-hand';

/** One trial of each, as students do it who know the methods; used for demo classes, rehearsals and tests. */

const trialOf =
  (parts: (plan: Plan, habits: Habits) => Part[]) =>
  (hands: Hands, plan: Plan, trial: number, habits: Habits = {}): Promise<void> =>
    worksTrial(parts(plan, { logs: false, ...habits }), hands, trial);

export const carryMetal = trialOf(metalParts);
export const dissolveSalt = trialOf(saltParts);
export const mixPortions = trialOf(portionsParts);
export const neutralise = trialOf(neutralParts);
/** A series of points: base run into an acid in small portions, each read when it has come to rest. */
export const runInBase = (hands: Hands, _plan: Plan, habits: Habits = {}): Promise<void> =>
  workBy(byTemperatureMethod(habits), hands);
