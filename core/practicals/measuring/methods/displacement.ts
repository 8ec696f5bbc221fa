import { vesselOf } from '../../../databook/vessels';
import type { Method } from '../../method';
import type { Bench, KeptReading } from '../bench';
import { fillsOnBalance, knocks, looksLevel, readLevel, recordsMass, type Hands } from '../by-hand';
import type { Plan } from '../plan';
import { rowsOf } from '../rows';
import { everyRow, hasTrials, nextTrial, ofEach, unknownsOf } from './of-each';

/** The way to a density by displacement: growing amounts in a cylinder that stands on the balance, set to zero. */

/** A cylinder that holds water and all pieces; the bubbles that a reading may have left; and the least that is water in it, mL. */
const [ROOMY_ML, BUBBLES_ML, LEAST_ML] = [40, 0.01, 4];
const isWithoutAir = ({ which, struck, about }: KeptReading) =>
  which !== 'V2' || struck !== null || about.airMl <= BUBBLES_ML;

function cylinderOf({ vessels }: Plan): { number: number; name: string } {
  const all = vessels.map((type, i) => ({ ...vesselOf(type), number: i + 1 }));
  const roomy = all.filter(({ capacityMl }) => capacityMl >= ROOMY_ML);
  const best = (roomy.length > 0 ? roomy : all).reduce((a, b) =>
    (roomy.length > 0 ? b.capacityMl < a.capacityMl : b.capacityMl > a.capacityMl) ? b : a,
  );
  return { number: best.number, name: best.name };
}

export function displacementMethod(plan: Plan): Method<Bench, Hands> {
  const { number: vessel, name } = cylinderOf(plan);
  const reads = async (hands: Hands) => {
    await looksLevel(hands, vessel);
    const trial = nextTrial(hands, ['V1', 'V2', 'm']);
    await hands.act({ kind: 'record', trial, which: 'V1', text: readLevel(hands.view(), vessel) });
  };
  /** Part of a lot, as evenly as it goes, into as many amounts as are asked for. */
  const share = (hands: Hands, lot: number, left: number) => {
    const onDish = hands.view().lots[lot - 1]?.onDish ?? 0;
    return left === 1 ? onDish : Math.max(1, Math.floor(onDish / left));
  };
  const adds = async (hands: Hands, lot: number, left: number) => {
    const { act, view } = hands;
    const trial = nextTrial(hands, ['V2', 'm']);
    const count = share(hands, lot, left);
    await act({ kind: 'put', lot, count, into: vessel, how: 'lower' });
    if (view().vessels[vessel - 1]?.lying.some(({ floats }) => floats)) {
      if (view().sinkerAt === null) {
        // With the sinker in, the volume before is another.
        await act({ kind: 'fish', vessel });
        await act({ kind: 'dryPieces', lot });
        await act({ kind: 'sinker', vessel, on: true });
        await act({ kind: 'tare' });
        await act({ kind: 'record', trial, which: 'V1', text: readLevel(view(), vessel) });
        await act({ kind: 'put', lot, count, into: vessel, how: 'lower' });
      }
      await act({ kind: 'tie', vessel });
    }
    await knocks(hands, vessel);
    await recordsMass(hands, 'm', trial);
    await act({ kind: 'record', trial, which: 'V2', text: readLevel(view(), vessel) });
  };
  return [
    {
      key: 'fill',
      does: `Fill the ${name} nearly half with water, and put it on the balance.`,
      how: ['Set the balance to zero. Then it shows the mass of the pieces alone.'],
      isDone: (bench) =>
        rowsOf(bench).some(({ readings: { V1 } }) => V1) ||
        bench.vessels.some(({ liquid }) => liquid.volumeMl > LEAST_ML),
      work: (hands) => fillsOnBalance(hands, vessel),
    },
    {
      key: 'V1',
      does: 'Read the volume before any piece is in, and record it.',
      how: [
        'Bring your eye level with the surface. Read the lowest point, to one digit beyond the divisions.',
        'This volume holds for every trial that follows, until you read another.',
      ],
      isDone: (bench) => everyRow(bench, ({ readings: { V1 } }) => V1 !== undefined),
      work: reads,
    },
    {
      key: 'again',
      does: `Lower pieces in, knock at the glass, record mass and volume. Do so for ${plan.amounts} amounts${ofEach(plan)}.`,
      how: [
        'Each amount is a trial: add more pieces each time. Record mass and volume of all that is in by then.',
        'What is dropped splashes. Air hides under small pieces: knock three times before each reading.',
        'Pieces that float? Take them out and dry them. Put the sinker in first, and read again.',
      ],
      isDone: (bench) => hasTrials(bench, plan.amounts) && bench.readings.every(isWithoutAir),
      work: async (hands) => {
        for (const lot of unknownsOf(plan)) {
          if (lot > 1) {
            await hands.act({ kind: 'empty', vessel });
            await fillsOnBalance(hands, vessel);
            await reads(hands);
          }
          for (let left = plan.amounts; left > 0; left--) await adds(hands, lot, left);
          await hands.act({ kind: 'offPan' });
        }
      },
    },
  ];
}
