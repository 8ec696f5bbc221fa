import { FREEZING } from '../../../databook/freezing';
import type { Method, MethodStep } from '../../method';
import type { Bench } from '../bench';
import { untilSteady, weighed, type Hands } from '../by-hand';
import { EVERY_S, filled, freezesHalf, getsReady, melts, shows, type FreezingHabits } from '../freezing/by-hand';
import { freezingOfRun } from '../freezing/rows';
import { frozenPart } from '../freezing/tube';
import type { Slot } from '../plan';
import { rowsOf } from '../reading/rows';

/** The ways to a freezing temperature: of a solid, of a solvent and its solution, of two samples and their mixture. */

type Step = MethodStep<Bench, Hands>;

/** Hot baths, °C, and how far below its freezing temperature something is cooled, K. */
const [HOT_C, MOLTEN_C, BELOW_K, SAMPLES_C] = [97, 95, 20, 92];
/** The same of a solvent, and how long a solute is stirred in, s. */
const [SOLVENT_K, WARMER_K, DISSOLVES_S] = [14, 12, 240];

/** Whether the log shows where it froze: the pure, or the solution. */
const hasFrozen = (bench: Bench, isPure: boolean): boolean =>
  (bench.tube?.runs ?? []).some((run) => isPure === (run.soluteG === 0) && freezingOfRun(bench, run) !== undefined);
/** Whether a reading of it counts, whatever it comes to: what is weighed for a tube stands before its row does. */
const isRead = ({ readings, leftOut }: Bench, slot: Slot): boolean =>
  readings.some((r) => r.which === slot && r.struck === null && leftOut[r.trial] === undefined);
const isFilled = ({ tubeInG }: Bench) => tubeInG > 0;
const isMolten = (bench: Bench) => isFilled(bench) && bench.tube !== null && frozenPart(bench, bench.tube) <= 0;
const isLogged = (bench: Bench) => isFilled(bench) && (bench.log !== null || bench.logged.length > 0);

const LINES = 'A melt can cool too far before it freezes. A crystal from the jar helps: then it warms up again.';
const LOG: Pick<Step, 'key' | 'isDone'> = { key: 'log', isDone: isLogged };

export function solidMethod(habits: FreezingHabits = {}, times = 1): Method<Bench, Hands> {
  const ready = (hands: Hands) => getsReady(hands, habits.bathC ?? shows(hands) - 10 - BELOW_K, habits);
  return [
    {
      key: 'fill',
      does: 'Put as much of the solid into the tube as your card says. Put the thermometer in.',
      isDone: isFilled,
      work: (hands) =>
        filled(hands, habits.grams ?? Number(/about ([\d.]+) g/.exec(hands.view().task ?? '')?.[1] ?? 12)),
    },
    {
      key: 'melt',
      does: `Set the hot bath to ${HOT_C} °C. Melt all of it, and warm it ten degrees more.`,
      how: ['Note at what temperature it melts.'],
      isDone: (bench) => isMolten(bench) || hasFrozen(bench, true),
      work: async (hands) => {
        await hands.act({ kind: 'warm', what: 'bath', tempC: HOT_C });
        await melts(hands, MOLTEN_C);
      },
    },
    {
      ...LOG,
      does: `Set the cold bath ${BELOW_K} °C below where it melted. Log every ${EVERY_S} seconds.`,
      how: ['Put the air jacket around the tube, and stir. A bath that is too cold leaves no bend to be seen.'],
      work: ready,
    },
    {
      key: 'Tf',
      does: 'Put the tube into the cold bath, and stir until half of it is frozen.',
      how: [LINES, 'You may melt it again and repeat it. Each freezing has a number of its own in the log.'],
      isDone: (bench) => hasFrozen(bench, true),
      work: async (hands) => {
        await freezesHalf(hands);
        for (let again = 1; again < times; again++) {
          await melts(hands, MOLTEN_C);
          await freezesHalf(hands);
        }
      },
    },
  ];
}

/** @param freezesC of the solvent, by the data book; by the card where it is left out */
export function solutionMethod(habits: FreezingHabits = {}, freezesC?: number): Method<Bench, Hands> {
  const card = ({ view }: Hands) => {
    const [, grams = '15', name = '', solute = '0.2'] =
      /about ([\d.]+) g of (.*), and about ([\d.]+) g of the unknown/.exec(view().task ?? '') ?? [];
    const known = FREEZING.find((one) => one.name === name)?.freezesC;
    return { solventG: Number(grams), soluteG: Number(solute), freezesC: freezesC ?? known ?? 0 };
  };
  const molten = (hands: Hands) => melts(hands, card(hands).freezesC + 10);
  const bathC = (hands: Hands) => habits.bathC ?? card(hands).freezesC - SOLVENT_K;
  return [
    {
      key: 'm1',
      does: 'Weigh the empty tube, and record the mass.',
      isDone: (bench) => isRead(bench, 'm1'),
      work: (hands) => weighed(hands, 1, 'm1', 'tube'),
    },
    {
      key: 'm2',
      does: 'Put in as much solvent as your card says. Weigh the tube with it, and record.',
      isDone: (bench) => isRead(bench, 'm2'),
      work: async (hands) => {
        await filled(hands, habits.grams ?? card(hands).solventG);
        await weighed(hands, 1, 'm2', 'tube');
      },
    },
    {
      ...LOG,
      does: `Melt the solvent. Set the cold bath ${SOLVENT_K} °C below where it freezes. Log every ${EVERY_S} seconds.`,
      how: [
        'Put in thermometer and stirrer, and the air jacket around the tube.',
        'The data book says where it freezes.',
      ],
      work: async (hands) => {
        await hands.act({ kind: 'warm', what: 'bath', tempC: Math.max(card(hands).freezesC + WARMER_K, 30) });
        await molten(hands);
        await getsReady(hands, bathC(hands), habits);
      },
    },
    {
      key: 'T0',
      does: 'Put the tube into the cold bath, and stir until half of it is frozen.',
      how: [LINES],
      isDone: (bench) => hasFrozen(bench, true),
      work: freezesHalf,
    },
    {
      key: 'm',
      does: 'Melt it again. Weigh the boat with the unknown, as your card says, and record.',
      isDone: (bench) => isRead(bench, 'm'),
      work: async (hands) => {
        await molten(hands);
        await hands.act({ kind: 'tubeTo', at: 'stand' });
        await hands.act({ kind: 'scoop', g: habits.soluteG ?? card(hands).soluteG });
        await weighed(hands, 1, 'm', 'boat');
      },
    },
    {
      key: 'mb',
      does: 'Tip the unknown into the tube. Weigh the boat again, and record.',
      how: ['Some of it clings to the boat.'],
      isDone: (bench) => isRead(bench, 'mb'),
      work: async (hands) => {
        await hands.act({ kind: 'tip' });
        if (habits.reweighs ?? true) await weighed(hands, 1, 'mb', 'boat');
      },
    },
    {
      key: 'Tf',
      does: `Stir for ${DISSOLVES_S / 60} minutes, until all has dissolved. Freeze it in the same way.`,
      how: ['Set the cold bath 3 °C lower now. Use the same thermometer as before.'],
      isDone: (bench) => hasFrozen(bench, false),
      work: async (hands) => {
        await hands.act({ kind: 'wait' }, habits.dissolvesS ?? DISSOLVES_S);
        await untilSteady(hands, 1, 60);
        await getsReady(hands, bathC(hands) - 3, habits);
        await freezesHalf(hands);
      },
    },
  ];
}

/** Two samples by themselves and their mixture, each logged while it melts and while it freezes. */
export function samplesMethod(habits: FreezingHabits = {}): Method<Bench, Hands> {
  const { everyS = EVERY_S } = habits;
  const has = (bench: Bench, slot: Slot) => rowsOf(bench).some(({ readings }) => readings[slot]);
  const logs = async (hands: Hands, fill: (card: number[]) => readonly (readonly [grams: number, of: 1 | 2])[]) => {
    const { act, view } = hands;
    const [, ...card] =
      /about (\d+) g of a sample.* about (\d+) g of one and about (\d+) g of the other/.exec(view().task ?? '') ?? [];
    if ((view().tube?.levelMm ?? 0) > 0) {
      // It can be emptied only while it is molten.
      await melts(hands, SAMPLES_C - 2);
      await act({ kind: 'tubeTo', at: 'stand' });
      await act({ kind: 'emptyTube' });
    }
    if (!view().tube?.jacket) await act({ kind: 'jacket', on: true });
    await act({ kind: 'warm', what: 'bath', tempC: SAMPLES_C });
    for (const [grams, of] of fill(card.length > 0 ? card.map(Number) : [12, 9, 3])) await filled(hands, grams, of);
    if (view().log === null) await act({ kind: 'log', everyS });
    const melted = await melts(hands, SAMPLES_C - 2);
    await getsReady(hands, melted - 16, habits);
    await freezesHalf(hands);
  };
  return [
    {
      key: 'TA',
      does: `Log sample A every ${EVERY_S} seconds: while it melts, and while it freezes.`,
      how: [
        `Put it into the tube with thermometer and stirrer. Put the air jacket on. Set the hot bath to ${SAMPLES_C} °C.`,
        'When all is molten, set the cold bath 16 °C below where it melted. Put the tube in until half is frozen.',
      ],
      isDone: (bench) => has(bench, 'TA'),
      work: (hands) => logs(hands, ([alone = 12]) => [[alone, 1]]),
    },
    {
      key: 'TB',
      does: 'Melt it, and empty the tube. Do the same with sample B.',
      isDone: (bench) => has(bench, 'TB'),
      work: (hands) => logs(hands, ([alone = 12]) => [[alone, 2]]),
    },
    {
      key: 'TM',
      does: 'Empty the tube again. Put both samples in, as your card says, and do the same.',
      how: ['A cold bath that was right for one sample may be too warm for the mixture.'],
      isDone: (bench) => has(bench, 'TM'),
      work: (hands) =>
        logs(hands, ([, one = 9, other = 3]) => [
          [one, 1],
          [other, 2],
        ]),
    },
  ];
}
