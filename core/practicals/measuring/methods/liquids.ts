import { vesselOf } from '../../../databook/vessels';
import type { Method } from '../../method';
import type { Bench } from '../bench';
import { fillsBottle, looksLevel, readLevel, readThermometer, weighsVessel, type Hands } from '../by-hand';
import type { Plan } from '../plan';
import { rowsOf } from '../rows';
import { everyRow, hasTrials, nextTrial, ofEach, unknownsOf } from './of-each';

/** The way to the density of a liquid: a vessel weighed empty and full, and the volume that is in it. */

const TRIALS = 2;
/** As much of a cylinder is filled. */
const FILL = 0.8;

export function liquidsMethod(plan: Plan): Method<Bench, Hands> {
  const isBottle = plan.vessels.includes('density-bottle');
  const types = plan.vessels.map((type, i) => ({ ...vesselOf(type), number: plan.bottles.length + i + 1 }));
  const scaled = types.filter(({ divisionMl }) => divisionMl !== null);
  const best = isBottle
    ? types.find(({ id }) => id === 'density-bottle')
    : scaled.reduce((a, b) => (b.capacityMl > a.capacityMl ? b : a), scaled[0] as (typeof scaled)[number]);
  const vessel = best?.number ?? plan.bottles.length + 1;
  const weighsEmpty = async (hands: Hands, trial: number) => {
    await hands.act({ kind: 'tare' });
    await weighsVessel(hands, vessel, 'm1', trial);
  };
  const fills = async (hands: Hands, from: number, trial: number) => {
    if (isBottle) return void (await fillsBottle(hands, from, vessel, trial));
    await hands.act({ kind: 'pour', from, to: vessel, ml: FILL * (best?.capacityMl ?? 10) });
    await looksLevel(hands, vessel);
    await hands.act({ kind: 'record', trial, which: 'V', text: readLevel(hands.view(), vessel) });
  };
  const weighsFull = (hands: Hands, trial: number) => weighsVessel(hands, vessel, 'm2', trial);
  return [
    {
      key: 'T',
      does: 'Read the thermometer, and record the temperature.',
      how: ['A liquid expands when it is warm.'],
      isDone: (bench) => rowsOf(bench).some(({ readings: { T } }) => T),
      work: async (hands) => void (await readThermometer(hands, 1)),
    },
    {
      key: 'm1',
      does: `Weigh the ${best?.name ?? 'vessel'} empty and dry, and record the mass.`,
      how: [isBottle ? 'Its stopper belongs to it, and is weighed with it.' : 'Set the balance to zero first.'],
      isDone: (bench) => everyRow(bench, ({ readings: { m1 } }) => m1 !== undefined),
      work: (hands) => weighsEmpty(hands, 1),
    },
    {
      key: 'V',
      does: isBottle
        ? 'Fill it to the top, put the stopper in, and dry it. Record the volume engraved on it.'
        : 'Pour in your liquid until it is nearly full. Read the volume, and record it.',
      how: [
        isBottle
          ? 'Filled and stoppered, it holds just that volume.'
          : 'Bring your eye level with the surface. Read to one digit beyond the divisions.',
      ],
      isDone: (bench) => everyRow(bench, ({ readings: { V } }) => V !== undefined),
      work: (hands) => fills(hands, 1, 1),
    },
    {
      key: 'm2',
      does: 'Weigh it with the liquid, and record the mass.',
      isDone: (bench) => everyRow(bench, ({ readings: { m2 } }) => m2 !== undefined),
      work: async (hands) => void (await weighsFull(hands, 1)),
    },
    {
      key: 'again',
      does: `Empty it and dry it. Do it again, until you have ${TRIALS} trials${ofEach(plan)}.`,
      how: ['Weigh it empty each time: a little liquid may cling to it.'],
      isDone: (bench) => hasTrials(bench, TRIALS),
      work: async (hands) => {
        for (const bottle of unknownsOf(plan))
          for (let trial = bottle === 1 ? 1 : 0; trial < TRIALS; trial++) {
            if (hands.view().vessels[vessel - 1]?.stoppered) await hands.act({ kind: 'stopper', vessel, on: false });
            await hands.act({ kind: 'empty', vessel });
            await hands.act({ kind: 'dry', vessel });
            const next = nextTrial(hands, ['m1', 'V', 'm2']);
            await weighsEmpty(hands, next);
            await fills(hands, bottle, next);
            await weighsFull(hands, next);
          }
      },
    },
  ];
}
