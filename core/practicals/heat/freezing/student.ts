import { workBy } from '../../method';
import type { Hands } from '../by-hand';
import { samplesMethod, solidMethod, solutionMethod } from '../methods/freezing';
import type { FreezingHabits } from './by-hand';

export type { FreezingHabits } from './by-hand';

/** A pure solid, melted and frozen so many times. */
export const freezePure = (hands: Hands, times: number, habits: FreezingHabits = {}): Promise<void> =>
  workBy(solidMethod(habits, times), hands);

/** A solvent that is molten in the room or not, pure and then with the unknown in it. */
export const freezeSolution = (hands: Hands, freezesC: number, habits: FreezingHabits = {}): Promise<void> =>
  workBy(solutionMethod(habits, freezesC), hands);

/** Two samples by themselves and their mixture. */
export const freezeSamples = (hands: Hands, habits: FreezingHabits = {}): Promise<void> =>
  workBy(samplesMethod(habits), hands);
