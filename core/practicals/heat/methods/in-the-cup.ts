import { freshCup, recordTemp, stirred, untilSteady, weighed, type Habits, type Hands } from '../by-hand';
import { begunRows, everyHas, type Part } from '../parts';
import { isByEye, type Plan } from '../plan';

/** Parts that the methods at the cup share. */

/** A line of the log every so many seconds, and how long it runs before anything is combined, s. */
const [EVERY_S, BEFORE_S] = [5, 180];

const isLogging = (plan: Plan, { logs = plan.losses }: Habits) => logs && !isByEye(plan);

/** Where heat is lost: a log, by which the step can be drawn to the moment at which it began. */
export const logsStep = (plan: Plan, habits: Habits): Part[] =>
  isLogging(plan, habits)
    ? [
        {
          key: 'log',
          does: `Log the temperature every ${EVERY_S} seconds. Let the log run for ${BEFORE_S / 60} minutes.`,
          how: ['Heat finds its way out all the time. By the log you can draw the step to the moment it began.'],
          isDone: (bench) => {
            const isOn = bench.log !== null;
            const rows = begunRows(bench);
            // When the temperature after is read, it has to run on until there is something to be drawn back.
            return rows.length === 0
              ? isOn
              : rows.every(({ readings: { T2 }, drawnK }) => (T2 ? drawnK !== undefined : isOn));
          },
          each: async ({ act, view }) => {
            if (view().log === null) await act({ kind: 'log', everyS: EVERY_S });
            await act({ kind: 'wait' }, BEFORE_S);
          },
        },
      ]
    : [];

/** Lets the log run on, so that there is a stretch to be drawn back. */
export async function logsOn({ act }: Hands, plan: Plan, habits: Habits, seconds: number): Promise<void> {
  if (isLogging(plan, habits)) await act({ kind: 'wait' }, seconds);
}

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
