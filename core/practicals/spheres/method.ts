import type { HandsOf, Method } from '../method';
import type { OwnAct } from './acts';
import type { Bench } from './bench';
import { HOLE_NM, PS_PER_S, RUN_PS, SLOT_IDS, type Slot } from './plan';
import { rowsOf } from './rows';
import type { View } from './view';

/** The way from a filled vessel to what two gases have in common, and what sets them apart. */

export type Hands = HandsOf<OwnAct, View>;

/** Stretches that are asked for, and how many temperatures; hotter or colder than another by more than this part it is one of its own. */
const [STRETCHES, TEMPERATURES, APART] = [6, 3, 0.15];
/** How long they fly before a stretch is recorded, and with the hole open, ps; how often they leak. */
const [WARMS_PS, LEAKS_PS, LEAKS] = [200, 400, 3];

async function flies({ act }: Hands, ps: number): Promise<void> {
  await act({ kind: 'run', ps });
  await act({ kind: 'wait' }, ps / PS_PER_S + 0.5);
}
async function records({ act, view }: Hands, slots: readonly Slot[]): Promise<void> {
  const trial = view().recordableTrial;
  for (const which of slots) await act({ kind: 'record', trial, which });
}
const FLYING = SLOT_IDS.filter((slot) => slot !== 'g1' && slot !== 'g2');
const onCard = ({ view }: Hands) => Number(/(\d+) K/.exec(view().task)?.[1] ?? 300);
async function stretches(hands: Hands, kelvin: number, count: number): Promise<void> {
  await hands.act({ kind: 'jacket', kelvin: Math.round(kelvin) });
  await flies(hands, WARMS_PS);
  for (let i = 0; i < count; i++) {
    await flies(hands, RUN_PS.most);
    await records(hands, FLYING);
  }
}

const wholeRows = (bench: Bench) =>
  rowsOf(bench).flatMap(({ readings }) =>
    readings.E1 && readings.E2 && readings.v1 && readings.v2 ? [{ T: readings.T ?? 0, d: readings.d ?? 0 }] : [],
  );
const longRows = (bench: Bench) => wholeRows(bench).filter(({ d }) => d >= 0.99 * RUN_PS.most);

function temperaturesOf(rows: readonly { T: number }[]): number {
  let [count, last] = [0, 0];
  for (const T of rows.map((row) => row.T).sort((a, b) => a - b))
    if (T > (1 + APART) * last) [count, last] = [count + 1, T];
  return count;
}

/** @param leaks how often they are let leak, where it is not as often as the method has it */
export const methodOf = (leaks = LEAKS): Method<Bench, Hands> => [
  {
    key: 'first',
    does: 'Put a jacket around the vessel, as warm as your card says. Let them fly, and record.',
    how: [
      `First let them fly for ${WARMS_PS} ps. Then all of them have been at the warm walls.`,
      `Then let them fly for ${RUN_PS.most} ps. This is a stretch. Record all counters, and how long it was.`,
    ],
    // The mean over a stretch wavers: as near as that it is the card's.
    isDone: (bench) => wholeRows(bench).some(({ T }) => Math.abs(T / bench.sample.startK - 1) < APART),
    work: (hands) => stretches(hands, onCard(hands), STRETCHES / TEMPERATURES),
  },
  {
    key: 'three',
    does: `Record ${STRETCHES} stretches of ${RUN_PS.most} ps in all, at ${TEMPERATURES} temperatures.`,
    how: [
      'Take temperatures that lie far apart: half as warm again, then more than twice as warm.',
      `After each new jacket, let them fly for ${WARMS_PS} ps before you record.`,
    ],
    isDone: (bench) => longRows(bench).length >= STRETCHES && temperaturesOf(longRows(bench)) >= TEMPERATURES,
    work: async (hands) => {
      for (const times of [1.5, 2.5]) await stretches(hands, onCard(hands) * times, STRETCHES / TEMPERATURES);
    },
  },
  {
    key: 'leak',
    does: 'Fill the vessel afresh, open the hole, let them fly, and record how many have left.',
    how: [
      `Warm the fresh filling first, for ${WARMS_PS} ps. Then open the hole, and let them fly for ${LEAKS_PS} ps.`,
      `Do it ${LEAKS} times: the numbers are small.`,
      `The hole is in the right wall, ${HOLE_NM} nm from its middle to its edge. There is nothing behind it.`,
    ],
    isDone: (bench) => rowsOf(bench).some(({ readings: { g1, g2 } }) => (g1 ?? 0) > 0 && g2 !== undefined),
    work: async (hands) => {
      for (let leak = 0; leak < leaks; leak++) {
        await hands.act({ kind: 'refill' });
        await hands.act({ kind: 'jacket', kelvin: onCard(hands) });
        await flies(hands, WARMS_PS);
        await hands.act({ kind: 'hole', open: true });
        await flies(hands, LEAKS_PS);
        await records(hands, ['d', 'g1', 'g2']);
      }
    },
  },
];
