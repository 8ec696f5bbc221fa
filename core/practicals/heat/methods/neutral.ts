import { afterMixing, freshCup, recordedC, stirred, type Habits } from '../by-hand';
import { everyHas, type Part } from '../parts';
import type { Plan } from '../plan';
import { readsBefore } from './in-the-cup';

/** The way to a heat of neutralisation: acid in a cup, and base that is in excess, all at once. */

/** Volumes of acid and base in one trial and in the next, mL. */
const [ACID_ML, BASE_ML] = [50, 60];

export function neutralParts(plan: Plan, habits: Habits = {}): Part[] {
  const { acidMl = ACID_ML, baseMl = BASE_ML } = habits;
  const decimals = plan.measure === 'pipette' ? 2 : 1;
  return [
    {
      key: 'VA',
      does: `Measure ${ACID_ML} mL of acid into a dry cup with the ${plan.measure}, and record the volume.`,
      isDone: everyHas('VA'),
      each: async (hands, trial) => {
        await freshCup(hands, plan, habits);
        await hands.act({ kind: 'pour', bottle: 1, to: 'cup', ml: acidMl });
        await hands.act({ kind: 'record', trial, which: 'VA', text: acidMl.toFixed(decimals) });
        await stirred(hands, habits);
      },
    },
    readsBefore(plan),
    {
      key: 'VB',
      does: `Measure ${BASE_ML} mL of base in, all at once, and record the volume.`,
      how: [
        'One of the two has to be in excess for certain. Then you know which of them runs out.',
        'The base stands in the same room, and is as warm as the acid.',
      ],
      isDone: everyHas('VB'),
      each: async (hands, trial) => {
        await hands.act({ kind: 'pour', bottle: 2, to: 'cup', ml: baseMl });
        await hands.act({ kind: 'record', trial, which: 'VB', text: baseMl.toFixed(decimals) });
      },
    },
    {
      key: 'T2',
      does: 'Stir under the lid. When the temperature rises no more, record it.',
      isDone: everyHas('T2'),
      each: async (hands, trial) => {
        await afterMixing(hands, plan, trial, recordedC(hands, trial, 'T1'), habits.readsAfterS);
      },
    },
  ];
}
