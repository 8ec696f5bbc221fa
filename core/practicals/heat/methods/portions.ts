import { afterMixing, recordedC, recordTemp, weighed, type Habits } from '../by-hand';
import { begunRows, everyHas, type Part } from '../parts';
import type { Plan } from '../plan';
import { readsBefore, weighsCup } from './in-the-cup';

/** The way to what a vessel takes up: a cool and a warm portion of water, poured together. */

/** How long the warm portion stands in the bath, s; and by how much it is warmer than the other at least, K. */
const [WARMS_S, WARMER_K] = [400, 10];

function onCard(task: string | null): { coolMl: number; warmMl: number; warmC: number } {
  const [, cool = '80', warm = '90', celsius = '60'] =
    /: ([\d.]+) mL of water from the bottle, ([\d.]+) mL of water at about ([\d.]+) °C/.exec(task ?? '') ?? [];
  return { coolMl: Number(cool), warmMl: Number(warm), warmC: Number(celsius) };
}

export function portionsParts(plan: Plan, habits: Habits = {}): Part[] {
  return [
    {
      key: 'warm',
      does: 'Warm the other portion in the beaker, in the hot bath, as your card says.',
      how: [`Stir it, with the thermometer in it. It takes some ${Math.round(WARMS_S / 60)} minutes.`],
      isDone: (bench) => {
        const rows = begunRows(bench);
        const isWarm = rows.some(
          ({ readings: { Th, T1 } }) => (Th?.value ?? 0) > (T1?.value ?? bench.sample.roomC) + WARMER_K,
        );
        return (
          isWarm || (bench.vessels.beaker.at === 'bath' && bench.vessels.beaker.liquidC > bench.sample.roomC + WARMER_K)
        );
      },
      each: async ({ act, view }) => {
        const card = onCard(view().task);
        if (view().vessels.beaker.at === 'bath') await act({ kind: 'seat', at: 'bench' });
        await act({ kind: 'pour', bottle: 1, to: 'beaker', ml: habits.warmMl ?? card.warmMl });
        await act({ kind: 'warm', what: 'bath', tempC: habits.warmC ?? card.warmC });
        await act({ kind: 'seat', at: 'bath' });
        await act({ kind: 'stir', vessel: 'beaker', how: 'motor' });
        await act({ kind: 'thermometer', n: 1, at: 'beaker' });
        await act({ kind: 'wait' }, WARMS_S);
      },
    },
    weighsCup(
      plan,
      habits,
      (task) => habits.coolMl ?? onCard(task).coolMl,
      'Weigh the empty vessel, then with the cool portion in it. Record both masses.',
    ),
    readsBefore(plan),
    {
      key: 'Th',
      does: 'Put the thermometer into the warm water, wait 40 seconds, and record.',
      how: ['Use the same thermometer for all: then its own error falls out.'],
      isDone: everyHas('Th'),
      each: async (hands, trial) => {
        await hands.act({ kind: 'thermometer', n: 1, at: 'beaker' });
        await hands.act({ kind: 'wait' }, 40);
        await recordTemp(hands, plan, trial, 'Th', 1);
        await hands.act({ kind: 'thermometer', n: 1, at: 'cup' });
      },
    },
    {
      key: 'T2',
      does: 'Pour all of the warm water over at once, and stir. Record when the temperature rises no more.',
      isDone: everyHas('T2'),
      each: async (hands, trial) => {
        const before = recordedC(hands, trial, 'T1');
        await hands.act({ kind: 'tipOver', from: 'beaker', to: 'cup', ml: 999 });
        await afterMixing(hands, plan, trial, before, habits.readsAfterS);
      },
    },
    {
      key: 'm3',
      does: 'Weigh the vessel with all that is in it, and record the mass.',
      isDone: everyHas('m3'),
      each: (hands, trial) => weighed(hands, trial, 'm3', 'cup'),
    },
  ];
}
