import type { Method } from '../../method';
import type { Bench } from '../bench';
import { lastTaken, measured, recordPan, taken, type Hands, type Measured } from '../by-hand';
import type { Slot } from '../plan';
import { rowsOf, type Row } from '../rows';

/** The way to where a carbonate and an acid run out together: growing amounts in as much acid each, weighed before and after. */

export interface GasHabits {
  acidMl?: number;
  /** Seconds that are waited until the beaker is weighed again, and whether it is stirred. */
  waitsS?: number;
  stirs?: boolean;
  by?: Measured;
}

/** Grams of the carbonate, one mixture after the other. */
const HALVES = [0.5, 1, 1.5, 2, 2.5, 3, 3.5, 4];
const ACID_ML = 20;

const hasAll = ({ readings }: Row, slots: readonly Slot[]) => slots.every((slot) => readings[slot] !== undefined);
/** Whether each mixture that was begun has it: it is due again with the next. */
const everyRow = (bench: Bench, slots: readonly Slot[]) => {
  const rows = rowsOf(bench);
  return rows.length > 0 && rows.every((row) => hasAll(row, slots));
};

/** @param grams of the carbonate in each mixture, where it is not as the method has it */
export function runsOutMethod(grams: readonly number[] = HALVES, habits: GasHabits = {}): Method<Bench, Hands> {
  const { acidMl = ACID_ML, waitsS = 150, stirs = true, by = 'pipette' } = habits;
  const acid = async (hands: Hands) => {
    const { act, view } = hands;
    const vessel = await taken(hands, 'beaker');
    await measured(hands, 1, vessel, acidMl, by);
    const trial = view().vessels[vessel - 1]?.trial ?? 1;
    await act({ kind: 'recordVolume', trial, vessel, which: 'vA' }, 1);
    await act({ kind: 'placeVessel', vessel, at: 'pan' }, 2);
    await recordPan(hands);
    await act({ kind: 'placeVessel', vessel, at: 'bench' }, 2);
  };
  const boatOnPan = async (hands: Hands) => {
    await hands.act({ kind: 'placeBoat', at: 'pan' }, 2);
    await recordPan(hands);
    await hands.act({ kind: 'placeBoat', at: 'bench' }, 2);
  };
  const carbonate = async (hands: Hands, g: number) => {
    await hands.act({ kind: 'scoop', g }, 3);
    await boatOnPan(hands);
    await hands.act({ kind: 'tip', to: lastTaken(hands, 'beaker') }, 3);
    await boatOnPan(hands);
  };
  const gas = async (hands: Hands) => {
    const { act } = hands;
    const vessel = lastTaken(hands, 'beaker');
    if (stirs) {
      await act({ kind: 'wait' }, waitsS / 2);
      await act({ kind: 'stir', vessel }, 1);
    }
    await act({ kind: 'placeVessel', vessel, at: 'pan' }, 2);
    await act({ kind: 'wait' }, stirs ? waitsS / 2 : waitsS);
    await recordPan(hands);
    await act({ kind: 'away', vessel }, 2);
  };
  return [
    {
      key: 'vessel',
      does: `Measure ${ACID_ML} mL of acid into a clean beaker, and record it. Weigh the beaker, and record it.`,
      how: ['The pipette takes 10 mL at the most: use it twice.'],
      isDone: (bench) => everyRow(bench, ['vA', 'm1']),
      work: acid,
    },
    {
      key: 'boat',
      does: 'Weigh carbonate in the boat. Tip it into the beaker, and weigh the empty boat.',
      how: [`Record both masses. Begin with ${HALVES[0]} g. What you put in is the difference.`],
      isDone: (bench) => everyRow(bench, ['mB', 'mE']),
      work: (hands) => carbonate(hands, grams[0] ?? 0.5),
    },
    {
      key: 'gas',
      does: 'Wait until no more gas comes, stir, and wait again. Then weigh the beaker, and record.',
      how: ['That takes two to three minutes. When you read too soon, gas is still in it.'],
      isDone: (bench) => everyRow(bench, ['m2']),
      work: gas,
    },
    {
      key: 'more',
      does: `Do the same with ${HALVES[0]} g more each time, until you have ${HALVES.length} mixtures.`,
      how: [
        'Put each beaker back on the tray when you have weighed it: there is room for six.',
        'When two in a row give the same gas, the acid has run out. Take two more.',
      ],
      isDone: (bench) =>
        rowsOf(bench).filter((row) => hasAll(row, ['vA', 'm1', 'mB', 'mE', 'm2'])).length >= HALVES.length,
      work: async (hands) => {
        for (const g of grams.slice(1)) {
          await acid(hands);
          await carbonate(hands, g);
          await gas(hands);
        }
      },
    },
  ];
}
