import type { Method } from '../../method';
import type { Bench } from '../bench';
import { stirred, untilSteady, type Habits, type Hands } from '../by-hand';
import { begunRows } from '../parts';

/** The way to an acid by temperature alone: base in portions, a point after each, until well beyond the bend. */

/** Acid, portions of base, mL; points that are asked for, and how many after the last rise. */
const [ACID_ML, PORTION_ML, POINTS, LEVEL] = [50, 3, 12, 6];
const [PORTIONS, RESTS_S] = [17, 15];

export function byTemperatureMethod(habits: Habits = {}): Method<Bench, Hands> {
  const { acidMl = ACID_ML, portionMl = PORTION_ML, portions = PORTIONS } = habits;
  const temperatures = (bench: Bench) => begunRows(bench).flatMap(({ readings: { T2 } }) => T2?.value ?? []);
  const records = ({ act, view }: Hands, afterS = 0) =>
    act({ kind: 'recordPoint', trial: view().recordableTrial }, afterS);
  return [
    {
      key: 'acid',
      does: `Measure ${ACID_ML} mL of the acid into the cup. When the temperature is steady, record the point.`,
      how: ['Put thermometer and lid on, and stir. This point is the beginning.'],
      isDone: (bench) => begunRows(bench).some(({ readings: { VA, T1 } }) => VA && T1),
      work: async (hands) => {
        await hands.act({ kind: 'pour', bottle: 1, to: 'cup', ml: acidMl });
        await stirred(hands, habits);
        await untilSteady(hands, 1);
        await records(hands);
      },
    },
    {
      key: 'points',
      does: `Run in base, ${PORTION_ML} mL at a time. After each, wait ${RESTS_S} seconds and record the point.`,
      how: [
        `Take at least ${POINTS} points. Go on until ${LEVEL} points in a row have not risen.`,
        'The dispenser shows how much base there is by now. Work briskly: heat finds its way out.',
      ],
      isDone: (bench) => {
        const all = temperatures(bench);
        const top = all.indexOf(Math.max(...all));
        return all.length >= POINTS && all.length - 1 - top >= LEVEL;
      },
      work: async (hands) => {
        for (let i = 0; i < portions; i++) {
          await hands.act({ kind: 'pour', bottle: 2, to: 'cup', ml: portionMl });
          await records(hands, RESTS_S);
        }
      },
    },
  ];
}
