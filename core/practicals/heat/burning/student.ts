import type { Hands } from '../by-hand';
import { lampParts } from '../methods/lamp';
import { pelletParts } from '../methods/pellet';
import { worksTrial } from '../parts';
import type { Plan } from '../plan';
import type { Stuff } from '../bodies';
import type { BurningHabits } from './habits';

export type { BurningHabits } from './habits';

/** One pellet burnt in the sealed vessel. */
export const burnPellet = (
  hands: Hands,
  plan: Plan,
  trial: number,
  of: Stuff,
  habits: BurningHabits = {},
): Promise<void> =>
  worksTrial(
    pelletParts(plan, { logs: false, ...habits }, () => of),
    hands,
    trial,
  );

/** One fuel burnt under the can: the known one in the first lamp, the unknown one in the second. */
export const burnLamp = (
  hands: Hands,
  plan: Plan,
  trial: number,
  n: 1 | 2,
  habits: BurningHabits = {},
): Promise<void> =>
  worksTrial(
    lampParts(plan, habits, () => n),
    hands,
    trial,
  );
