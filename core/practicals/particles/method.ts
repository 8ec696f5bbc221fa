import type { HandsOf, Method } from '../method';
import type { OwnAct } from './acts';
import type { Bench } from './bench';
import { ROWS, SLOT_KEYS } from './plan';
import { rowsOf } from './rows';
import type { View } from './view';

/** The way from an empty vessel to ten trials with a single particle. */

type Hands = HandsOf<OwnAct, View>;

const onCard = ({ view }: Hands): number => Number(/(\d+(?:\.\d+)?) K/.exec(view().task)?.[1]);

/** Temperatures that a student goes to besides, by that of the card: from low to high. */
const SPREAD = [0.4, 0.6, 0.8, 1.3, 1.6, 2.4, 2.7, 3, 3.4, 0.5];

/** Whether a trial was read at so many times the temperature on the card, to a hundredth. */
const isAt = (bench: Bench, times: number): boolean =>
  rowsOf(bench).some(({ T }) => Math.abs(T / (times * bench.sample.startK) - 1) < 0.01);

/** All three gauges, into the trial that is due. */
async function records({ act, view }: Hands): Promise<void> {
  const [first] = view().slots;
  const trial = first?.due ?? 1;
  for (const which of SLOT_KEYS) await act({ kind: 'record', trial, which }, 1);
}

export const METHOD: Method<Bench, Hands> = [
  {
    key: 'put',
    does: 'Put the particle in with the temperature on your card, and record all three gauges.',
    how: [
      'The gauges show its temperature, its energy and its speed.',
      'The three numbers that you read together are one trial.',
    ],
    isDone: (bench) => isAt(bench, 1),
    work: async (hands) => {
      await hands.act({ kind: 'putIn', kelvin: onCard(hands) });
      await records(hands);
    },
  },
  {
    key: 'double',
    does: 'Bring it to twice that temperature, and record again.',
    how: ['What is now twice as large, and what is not?'],
    isDone: (bench) => isAt(bench, 1) && isAt(bench, 2),
    work: async (hands) => {
      await hands.act({ kind: 'bring', kelvin: 2 * onCard(hands) });
      await records(hands);
    },
  },
  {
    key: 'ten',
    does: `Give and take energy, and record each time, until you have ${ROWS} trials.`,
    how: ['Go to high and to low temperatures: then the graphs are long.'],
    isDone: (bench) => rowsOf(bench).length >= ROWS,
    work: async (hands) => {
      const { act, view } = hands;
      const trials = () => view().readings.filter((r) => r.slot === 'v' && r.struck === null).length;
      const gauge = (slot: 'T' | 'E') => Number(view().gauges?.[slot] ?? 0);
      for (const times of SPREAD) {
        if (trials() >= ROWS) return;
        const zJ = gauge('E') * ((times * onCard(hands)) / (gauge('T') || 1) - 1);
        await act(
          zJ > 0 ? { kind: 'give', zJ: Number(zJ.toFixed(2)) } : { kind: 'take', zJ: Number((-zJ).toFixed(2)) },
        );
        await records(hands);
      }
    },
  },
];
