import type { Stuff } from '../bodies';
import type { BurningHabits } from '../burning/habits';
import { afterMixing, recordedC, recordTemp, untilSteady, weighed } from '../by-hand';
import { everyHas, everyTrial, has, type Part } from '../parts';
import { logsOn, logsStep } from './in-the-cup';
import type { Plan } from '../plan';

/** The way to a heat of combustion: a pellet burnt to the end in oxygen, under water; the standard first, then the unknown. */

/** Wire, cm; oxygen, bar, and what it is at least; water where no card says it, mL; and how long it drifts before it is lit, s. */
const [WIRE_CM, OXYGEN_BAR, LEAST_BAR, WATER_ML, DRIFTS_S] = [10, 28, 24, 700, 120];

/** How long the log runs on, s. */
const LOGS_ON_S = 360;

const ofTrial = (trial: number): Stuff => (trial === 1 ? 'standard' : 'unknown');
const onCard = (task: string | null, of: RegExp, otherwise: number) => Number(of.exec(task ?? '')?.[1] ?? otherwise);
const grams = (task: string | null, of: Stuff) =>
  onCard(task, of === 'standard' ? /about ([\d.]+) g of the standard/ : /about ([\d.]+) g of the unknown/, 0.75);

/** @param stuff what is burnt in a trial, where it is not the standard first */
export function pelletParts(plan: Plan, habits: BurningHabits = {}, stuff = ofTrial): Part[] {
  const { bar = OXYGEN_BAR, wireCm = WIRE_CM, bends = true, otherWireCm, otherGrams, laterMl } = habits;
  const slotOf = (trial: number) => (stuff(trial) === 'standard' ? 'ms' : 'm');
  return [
    {
      key: 'm',
      does: 'Press a pellet, weigh it, and record its mass. Lay it in the clean, open vessel.',
      how: ['Burn the standard first, then the unknown. Your card says how much of each.'],
      isDone: (bench) => everyTrial(bench, (row) => has(row, 'ms') || has(row, 'm')),
      each: async (hands, trial) => {
        const { act, view } = hands;
        const of = stuff(trial);
        if (view().sealed?.at === 'pail') await act({ kind: 'sink', to: 'stand' });
        if ((view().sealed?.gaugeBar ?? 0) > 0) await act({ kind: 'vent' });
        if (!view().sealed?.isOpen) await act({ kind: 'seal', closed: false });
        if (view().sealed?.wire !== 'none' || view().sealed?.soot) await act({ kind: 'clean' });
        if (otherGrams !== undefined) {
          await act({ kind: 'press', of, g: otherGrams });
          await weighed(hands, trial, slotOf(trial), 'pellet');
          await act({ kind: 'discard' });
        }
        await act({ kind: 'press', of, g: habits.grams ?? grams(view().task, of) });
        if (otherGrams === undefined) await weighed(hands, trial, slotOf(trial), 'pellet');
        await act({ kind: 'place', to: 'vessel' });
      },
    },
    {
      key: 'L1',
      does: `Cut ${WIRE_CM} cm of wire, measure it, and record. Bend it until it touches the pellet.`,
      isDone: everyHas('L1'),
      each: async ({ act }, trial) => {
        await act({ kind: 'wire', cm: wireCm });
        await act({ kind: 'recordLength', trial, which: 'L1' });
        if (otherWireCm !== undefined) await act({ kind: 'wire', cm: otherWireCm });
        if (bends) await act({ kind: 'bend' });
      },
    },
    {
      key: 'fill',
      does: `Close the vessel, and let in oxygen up to ${OXYGEN_BAR} bar.`,
      how: ['With too little oxygen it does not burn to the end: soot is left.'],
      isDone: (bench) => {
        const isFull = (bench.sealed?.gaugeBar ?? 0) >= LEAST_BAR;
        return everyTrial(bench, ({ readings: { T1 } }) => (T1 ? T1.about.gaugeBar >= LEAST_BAR : isFull));
      },
      each: async ({ act }) => {
        await act({ kind: 'seal', closed: true });
        if (bar > 0) await act({ kind: 'fill', bar });
      },
    },
    {
      key: 'm2',
      does: 'Weigh the pail empty, then with the water that your card says. Record both masses.',
      how: ['The water has to cover the vessel. The mass of the empty pail holds for later trials.'],
      isDone: everyHas('m1', 'm2'),
      each: async (hands, trial) => {
        const { act, view } = hands;
        if (view().vessels.cup.lid) await act({ kind: 'lid', vessel: 'cup', on: false });
        if (view().vessels.cup.levelMl > 0) await act({ kind: 'empty', vessel: 'cup' });
        if (trial === 1) await weighed(hands, trial, 'm1', 'cup');
        const ml = habits.waterMl ?? onCard(view().task, /in about ([\d.]+) mL/, WATER_ML);
        await act({ kind: 'pour', bottle: 1, to: 'cup', ml });
        await weighed(hands, trial, 'm2', 'cup');
        if (laterMl !== undefined) await act({ kind: 'pour', bottle: 1, to: 'cup', ml: laterMl });
      },
    },
    {
      key: 'T1',
      does: 'Lower the vessel in. Put lid and thermometer on, and stir. When it hardly drifts, record.',
      how: ['Follow the temperature for some two minutes.'],
      isDone: everyHas('T1'),
      each: async (hands, trial) => {
        const { act, view } = hands;
        await act({ kind: 'sink', to: 'pail' });
        if (view().thermometers[0]?.at !== 'cup') await act({ kind: 'thermometer', n: 1, at: 'cup' });
        await act({ kind: 'lid', vessel: 'cup', on: true });
        await act({ kind: 'stir', vessel: 'cup', how: 'motor' });
        await untilSteady(hands, 1);
        await act({ kind: 'wait' }, DRIFTS_S);
        await recordTemp(hands, plan, trial, 'T1', 1);
      },
    },
    ...logsStep(plan, habits),
    {
      key: 'T2',
      does: 'Fire. Go on stirring, and record when the temperature rises no more.',
      how: plan.losses ? [`Let the log run for ${LOGS_ON_S / 60} more minutes.`] : [],
      isDone: everyHas('T2'),
      each: async (hands, trial) => {
        const before = recordedC(hands, trial, 'T1');
        await hands.act({ kind: 'fire' });
        await hands.act({ kind: 'wait' }, 60);
        await afterMixing(hands, plan, trial, before, habits.readsAfterS);
        await logsOn(hands, plan, habits, LOGS_ON_S);
      },
    },
    {
      key: 'L2',
      does: 'Lift the vessel out, let the gas out, and open it. Measure what is left of the wire.',
      how: ['Is there soot? Then leave this trial out, wipe the vessel clean, and take more oxygen.'],
      isDone: (bench) => everyTrial(bench, ({ readings: { L2 } }) => L2 !== undefined && !L2.about.soot),
      each: async ({ act, view }, trial) => {
        await act({ kind: 'lid', vessel: 'cup', on: false });
        await act({ kind: 'sink', to: 'stand' });
        if (bar > 0) await act({ kind: 'vent' });
        await act({ kind: 'seal', closed: false });
        if (view().sealed?.wire === 'burnt') await act({ kind: 'recordLength', trial, which: 'L2' });
      },
    },
  ];
}
