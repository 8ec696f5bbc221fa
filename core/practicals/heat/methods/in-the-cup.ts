import { freshCup, recordTemp, stirred, untilSteady, weighed, type Habits } from '../by-hand';
import { everyHas, type Part } from '../parts';
import type { Plan } from '../plan';

/** Parts that the methods at the cup share. */

/** An empty cup and its liquid, weighed. */
export const weighsCup = (
  plan: Plan,
  habits: Habits,
  ml: (task: string | null) => number,
  does: string,
  how: readonly string[] = [],
): Part => ({
  key: 'm2',
  does,
  how: ['Set the balance to zero first. Take a fresh cup for each trial.', ...how],
  isDone: everyHas('m1', 'm2'),
  each: async (hands, trial) => {
    await freshCup(hands, plan, habits);
    await weighed(hands, trial, 'm1', 'cup');
    await hands.act({ kind: 'pour', bottle: 1, to: 'cup', ml: habits.ml ?? ml(hands.view().task) });
    await weighed(hands, trial, 'm2', 'cup');
    if (habits.addsMl) await hands.act({ kind: 'pour', bottle: 1, to: 'cup', ml: habits.addsMl });
    await stirred(hands, habits);
  },
});

/** The temperature before. */
export const readsBefore = (plan: Plan): Part => ({
  key: 'T1',
  does: 'Put thermometer and lid on, and stir. When the temperature is steady, record it.',
  how: ['It is steady when it has not changed for twenty seconds.'],
  isDone: everyHas('T1'),
  each: async (hands, trial) => {
    await untilSteady(hands, 1);
    await recordTemp(hands, plan, trial, 'T1', 1);
  },
});

export const AGAIN = (trials: number) => ({
  does: `Do it again with a fresh cup, until you have ${trials} whole trials.`,
});
