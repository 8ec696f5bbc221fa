import type { Method } from '../../method';
import type { Bench } from '../bench';
import { bringBath, recordShown, type Habits, type Hands } from '../by-hand';
import { rowsOf, valueOf } from '../rows';
import { encloses, pointsOfOneFill, readsOpenGauge } from './the-room';

/** The way to absolute zero, and to how cold a jar is: one amount of air in a bulb, at eight temperatures, four cold and four hot. */

const POINTS = 8;
/** Where the halves meet, and how far they are to reach at the least, °C. */
const [MIDDLE_C, ICE_C, HOT_C] = [50, 5, 90];
const SETTLED_S = 240;

export function bulbMethod(habits: Habits = {}): Method<Bench, Hands> {
  const { points = POINTS, waitS = SETTLED_S } = habits;
  const takes = async (hands: Hands, from: number, to: number) => {
    for (let i = from; i < to; i++) {
      await bringBath(hands, (100 * i) / Math.max(points - 1, 1), waitS);
      await recordShown(hands, 't');
      await recordShown(hands, 'p');
    }
  };
  const taken = (bench: Bench): number[] =>
    pointsOfOneFill(bench, ['t', 'p'], ({ bathC }) => bathC)
      .filter((row) => row.readings.p?.about.at === 'bath')
      .map((row) => valueOf(row, 't') ?? 0);
  const half = Math.ceil(points / 2);
  return [
    readsOpenGauge(habits),
    {
      key: 'home',
      does: 'Push the tube on, and then home. Put the bulb into the bath.',
      how: ['A tube that sits lightly leaks. Leave it on to the end: pulled off, it is another amount of gas.'],
      isDone: (bench) => (bench.joint === 'home' && bench.at === 'bath') || taken(bench).length > 0,
      work: async (hands) => {
        await encloses(hands, habits);
        await hands.act({ kind: 'put', at: 'bath' });
      },
    },
    {
      key: 'cold',
      does: `Record temperature and pressure at ${POINTS / 2} temperatures, from ice to ${MIDDLE_C} °C.`,
      how: [
        'Begin with 400 g of ice in the bath. Then let the hot plate warm it, step by step.',
        `At each, turn the plate down and wait ${SETTLED_S / 60} minutes. The bath warms sooner than the gas.`,
        'A hot bath needs more heat to stay as it is.',
      ],
      isDone: (bench) => {
        const cold = taken(bench).filter((t) => t < MIDDLE_C);
        return cold.length >= POINTS / 2 && Math.min(...cold) <= ICE_C;
      },
      work: (hands) => takes(hands, 0, half),
    },
    {
      key: 'hot',
      does: `Record ${POINTS / 2} more, from ${MIDDLE_C} °C up to boiling.`,
      isDone: (bench) => {
        const hot = taken(bench).filter((t) => t >= MIDDLE_C);
        return hot.length >= POINTS / 2 && Math.max(...hot) >= HOT_C;
      },
      work: (hands) => takes(hands, half, points),
    },
    {
      key: 'jar',
      does: `Put the bulb into the cold jar, wait ${SETTLED_S / 60} minutes, and record the pressure.`,
      how: ['The tube stays on.'],
      isDone: (bench) =>
        rowsOf(bench).some(({ readings: { pj } }) => pj?.about.at === 'jar' && pj.about.joint === 'home'),
      work: async (hands) => {
        await hands.act({ kind: 'put', at: 'jar' });
        await hands.act({ kind: 'wait' }, waitS);
        await recordShown(hands, 'pj');
      },
    },
  ];
}
