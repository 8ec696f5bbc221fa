import type { Method } from '../../method';
import type { Bench } from '../bench';
import { brings, flies, RESTS_PS, stretches, type Hands } from '../by-hand';
import { RUN_PS } from '../plan';
import { rowsOf, type Row } from '../rows';
import type { Sample } from '../sample';

/** The way from one particle to a thousand, at one temperature. */

/** How many stretches of each number: ten in all, of few particles more. */
const STRETCHES = [
  { count: 1, times: 3 },
  { count: 2, times: 2 },
  { count: 10, times: 2 },
  { count: 100, times: 2 },
  { count: 1000, times: 1 },
] as const;
export const NUMBERS_OF = STRETCHES.map(({ count }) => count);
const [ALONE, ...OTHERS] = STRETCHES;
const [FEW, MANY] = [OTHERS.slice(0, 2), OTHERS.slice(2)];

/** Whether a row was read of a whole stretch at the temperature of the card. */
export const isOwn = ({ kelvin }: Sample, { readings: { N, E, d }, fitted, isDisturbed }: Row): boolean =>
  !isDisturbed && Boolean(N && E && d) && Math.abs((fitted.jacketK ?? 0) / kelvin - 1) < 1e-6;

type Part = readonly { count: number; times: number }[];

const has = (bench: Bench, part: Part): boolean => {
  const whole = rowsOf(bench).filter((row) => isOwn(bench.sample, row) && (row.readings.d ?? 0) >= 0.99 * RUN_PS.most);
  return part.every(({ count, times }) => whole.filter(({ readings: { N } }) => N === count).length >= times);
};
async function takes(hands: Hands, part: Part): Promise<void> {
  for (const { count, times } of part) {
    if (count !== hands.view().fitted.count) {
      await brings(hands, count);
      await flies(hands, RESTS_PS);
    }
    await stretches(hands, 'many', times);
  }
}

/** @param most the largest number that is let in, where it is not a thousand */
export const manyMethod = (most = Infinity): Method<Bench, Hands> => {
  const upTo = (part: Part) => part.map(({ count, times }) => ({ count: Math.min(count, most), times }));
  return [
    {
      key: 'jacket',
      does: `Put the jacket of your card around the particle. Let it fly for ${RESTS_PS} ps.`,
      how: ['Then it has been at the warm walls.'],
      isDone: ({ fitted, sample, nowPs }) => nowPs > 0 && Math.abs((fitted.jacketK ?? 0) / sample.kelvin - 1) < 1e-6,
      work: async (hands) => {
        await hands.act({ kind: 'jacket', kelvin: Number(/(\d+) K/.exec(hands.view().task)?.[1] ?? 300) });
        await flies(hands, RESTS_PS);
      },
    },
    {
      key: 'first',
      does: `Record ${ALONE.times} stretches of ${RUN_PS.most} ps with one particle.`,
      how: [`Let it fly for ${RUN_PS.most} ps. This is a stretch. Then record all counters.`],
      isDone: (bench) => has(bench, [ALONE]),
      work: (hands) => takes(hands, [ALONE]),
    },
    {
      key: 'few',
      does: 'Record 2 stretches with 2 particles, and 2 stretches with 10.',
      how: [
        'Let more particles in through the valve.',
        `After each change, let them fly for ${RESTS_PS} ps before you record.`,
      ],
      isDone: (bench) => has(bench, FEW),
      work: (hands) => takes(hands, upTo(FEW)),
    },
    {
      key: 'numbers',
      does: 'Record 2 stretches with 100 particles, and 1 stretch with 1000.',
      how: ['Now you have ten stretches in all.'],
      isDone: (bench) => has(bench, MANY),
      work: (hands) => takes(hands, upTo(MANY)),
    },
  ];
};
