import { afterMixing, recordedC, weighed, type Habits } from '../by-hand';
import { everyHas, type Part } from '../parts';
import type { Plan } from '../plan';
import { logsOn, logsStep, readsBefore, weighsCup } from './in-the-cup';

/** The way to a salt by its heat of solution: weighed in a boat, tipped into weighed water, stirred until it has dissolved. */

/** How long the log runs on, s. */
const LOGS_ON_S = 240;

const onCard = (task: string | null, of: RegExp, otherwise: number) => Number(of.exec(task ?? '')?.[1] ?? otherwise);

export function saltParts(plan: Plan, habits: Habits = {}): Part[] {
  const { reweighs = true } = habits;
  return [
    weighsCup(
      plan,
      habits,
      (task) => onCard(task, /in about ([\d.]+) mL/, 80),
      'Weigh an empty cup, then with the water that your card says. Record both masses.',
    ),
    {
      key: 'm',
      does: 'Take salt into the boat, as much as your card says. Weigh it, and record the mass.',
      isDone: everyHas('m'),
      each: async (hands, trial) => {
        if (!reweighs) await weighed(hands, trial, 'mb', 'boat');
        await hands.act({ kind: 'scoop', g: habits.grams ?? onCard(hands.view().task, /about ([\d.]+) g/, 8) });
        await weighed(hands, trial, 'm', 'boat');
      },
    },
    ...logsStep(plan, habits),
    readsBefore(plan),
    {
      key: 'T2',
      does: 'Tip the salt in, and stir with the lid on. Record where the rise or fall ends.',
      how: [
        plan.grain === 'coarse'
          ? 'Coarse grains take some minutes to dissolve.'
          : 'Wait until the temperature has not gone on for twenty seconds.',
        ...(plan.losses ? [`Let the log run for ${LOGS_ON_S / 60} more minutes.`] : []),
      ],
      isDone: everyHas('T2'),
      each: async (hands, trial) => {
        const before = recordedC(hands, trial, 'T1');
        await hands.act({ kind: 'tip' });
        await afterMixing(hands, plan, trial, before, habits.readsAfterS);
        await logsOn(hands, plan, habits, LOGS_ON_S);
      },
    },
    {
      key: 'mb',
      does: 'Weigh the boat again, and record its mass.',
      how: ['Some of the salt clings to it. That did not dissolve.'],
      isDone: everyHas('mb'),
      each: async (hands, trial) => {
        if (reweighs) await weighed(hands, trial, 'mb', 'boat');
      },
    },
  ];
}
