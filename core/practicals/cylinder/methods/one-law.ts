import type { Method } from '../../method';
import type { OwnAct } from '../acts';
import type { Bench } from '../bench';
import { brings, flies, onCard, RESTS_PS, stretches, type Hands } from '../by-hand';
import { distinct, heldAt, pointsOf } from '../laws';
import { LAW_PARTS, RUN_PS, STATE_NAMES, type Law, type Plan, type State } from '../plan';
import { rowsOf } from '../rows';

/** The way to a gas law: all is held but two things; ten values of one of them, five small and five large. */

/** Points that are asked for. */
export const POINTS = 10;
/** Least and largest value of what is set, in the unit of its counter. */
const RANGES: Record<Law, readonly [least: number, most: number]> = {
  'pressure-volume': [6000, 22_000],
  'pressure-temperature': [120, 600],
  'volume-temperature': [120, 480],
  'pressure-number': [60, 240],
  'volume-number': [60, 240],
};
const UNITS: Record<State, string> = { P: ' kPa', V: ' nm³', T: ' K', N: '' };
const HOLDS: Record<State, string> = {
  T: 'A jacket holds the temperature.',
  V: 'A pin through the piston holds the volume.',
  P: 'A load on the piston holds the pressure. It takes the pin out.',
  N: 'The shut valve holds the number. There are as many inside as your card says.',
};
const SETS: Record<State, string> = {
  V: 'Pin the piston at another volume for each point.',
  T: 'Put on another jacket for each point.',
  N: 'Let particles in or out through the valve for each point.',
  P: 'Lay on another load for each point.',
};

/** So many values between two, by even factors. */
const between = ([least, most]: readonly [number, number], count: number): number[] =>
  Array.from({ length: count }, (_, i) => Number((least * (most / least) ** (i / (count - 1))).toPrecision(3)));
const middleOf = ([least, most]: readonly [number, number]) => Math.sqrt(least * most);

/** What the card says of a state. Of a volume what the pin holds, the height, nm. */
const ofCard = ({ sample, plan }: Bench, state: State): number =>
  ({
    P: sample.loadKPa,
    V: sample.volumeNm3 / plan.edgeNm / plan.edgeNm,
    T: sample.kelvin,
    N: sample.count,
  })[state];
const isAsCard = (bench: Bench, fitted: Bench['fitted'], states: readonly State[]) =>
  states.every((state) => Math.abs((heldAt(fitted, state) ?? 0) / ofCard(bench, state) - 1) < 1e-3);

/** Sets one thing to a value. */
async function sets(hands: Hands, state: State, value: number): Promise<void> {
  if (state === 'N') return brings(hands, value);
  const act: OwnAct =
    state === 'T'
      ? { kind: 'jacket', kelvin: value }
      : state === 'V'
        ? { kind: 'pin', nm3: value }
        : { kind: 'load', kPa: value };
  await hands.act(act);
}

/** @param points how many are taken in all, where it is not as many as the method has it */
export function lawMethod({ law: asked }: Pick<Plan, 'law'>, points = POINTS): Method<Bench, Hands> {
  const law = asked ?? 'pressure-volume';
  const { set, watched, held } = LAW_PARTS[law];
  const range = RANGES[law];
  const values = between(range, points);
  const halves = [
    values.filter((value) => value < middleOf(range)),
    values.filter((value) => value >= middleOf(range)),
  ];
  const takes = async (hands: Hands, half: readonly number[]) => {
    for (const value of half) {
      await sets(hands, set, value);
      await flies(hands, RESTS_PS);
      await stretches(hands, 'laws', 1);
    }
  };
  /** What was set for the points of whole stretches with all else as on the card, in the unit of its counter. */
  const taken = (bench: Bench): number[] =>
    pointsOf(law, rowsOf(bench)).flatMap(({ fitted, readings }) => {
      const value = heldAt(fitted, set) ?? 0;
      const isWhole = (readings.d ?? 0) >= 0.99 * RUN_PS.most;
      return isWhole && isAsCard(bench, fitted, held) ? [set === 'V' ? value * bench.plan.edgeNm ** 2 : value] : [];
    });
  const [least, most] = range;
  const [lower = [], upper = []] = halves;
  const from = (half: readonly number[]) => `from ${half[0]} to ${half.at(-1)}${UNITS[set]}`;
  const count = POINTS / 2;
  return [
    {
      key: 'fit',
      does: `Hold the ${held.map((state) => STATE_NAMES[state]).join(' and the ')} as your card says.`,
      how: [
        ...held.map((state) => HOLDS[state]),
        `Then let the particles fly for ${held.includes('P') ? RUN_PS.most : RESTS_PS} ps: they come to rest.`,
      ],
      isDone: (bench) => taken(bench).length > 0 || (bench.nowPs > 0 && isAsCard(bench, bench.fitted, held)),
      work: async (hands) => {
        for (const state of held) {
          const value = onCard(hands, STATE_NAMES[state]);
          if (value !== undefined && state !== 'N') await sets(hands, state, value);
        }
        await flies(hands, held.includes('P') ? RUN_PS.most : RESTS_PS);
      },
    },
    {
      key: 'low',
      does: `Record ${count} points with a small ${STATE_NAMES[set]}: ${from(lower)}.`,
      how: [
        SETS[set],
        `Let them fly for ${RESTS_PS} ps, so that they come to rest.`,
        `Then let them fly for ${RUN_PS.most} ps, and record all counters. That is one point.`,
        `Watch the ${STATE_NAMES[watched]}. Change nothing else: two things changed at once tell no law.`,
      ],
      isDone: (bench) => distinct(taken(bench).filter((value) => value < middleOf(range))) >= count,
      work: (hands) => takes(hands, lower),
    },
    {
      key: 'high',
      does: `Record ${count} more points with a large ${STATE_NAMES[set]}: ${from(upper)}.`,
      how: [`From the smallest to the largest it should be a factor of three or more.`],
      isDone: (bench) => {
        const all = taken(bench);
        const large = all.filter((value) => value >= middleOf(range));
        return distinct(large) >= count && Math.max(...all) / least >= Math.min(2.7, most / least);
      },
      work: (hands) => takes(hands, upper),
    },
  ];
}
