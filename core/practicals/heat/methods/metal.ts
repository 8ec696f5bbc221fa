import { afterMixing, recordedC, recordTemp, untilSteady, weighed, type Habits } from '../by-hand';
import { begunRows, everyHas, everyTrial, has, type Part } from '../parts';
import type { Plan } from '../plan';
import { weighsCup } from './in-the-cup';

/** The way to a metal by its specific heat: weighed, heated, carried into water. */

/** Hot enough, °C; how long a piece is heated, s; and water that covers it, mL. */
const [HOT_C, HEATED_S, WATER_ML] = [90, 420, 90];

export function metalParts(plan: Plan, habits: Habits = {}): Part[] {
  const { piece = 1, weighs = piece, heatedS = HEATED_S, dawdlesS = 0 } = habits;
  const heater = plan.bath ? 'bath' : 'block';
  const [name, toC] = plan.bath ? (['bath', 100] as const) : (['dry block', 98] as const);
  return [
    {
      key: 'm',
      does: 'Choose a piece of the metal, weigh it, and record the mass.',
      how: ['Its mass holds for further trials with the same piece.'],
      isDone: everyHas('m'),
      each: async (hands, trial) => {
        const isKnown = hands.view().readings.some((r) => r.slot === 'm' && r.struck === null);
        if (!isKnown) await weighed(hands, trial, 'm', 'piece', weighs);
      },
    },
    {
      key: 'hot',
      does: `Bring the ${name} to ${toC} °C, with the second thermometer in it.`,
      isDone: (bench) => {
        const isHot = (bench[heater].setC ?? 0) >= HOT_C;
        const rows = begunRows(bench);
        return rows.length === 0 ? isHot : rows.every(({ readings: { Th } }) => (Th ? Th.value >= HOT_C : isHot));
      },
      each: async (hands) => {
        if ((hands.view()[heater].setC ?? 0) < HOT_C) await hands.act({ kind: 'warm', what: heater, tempC: toC });
        if (hands.view().thermometers[1]?.at !== heater) await hands.act({ kind: 'thermometer', n: 2, at: heater });
        await untilSteady(hands, 2);
      },
    },
    weighsCup(
      plan,
      habits,
      () => WATER_ML,
      `Weigh an empty cup, then with ${WATER_ML} mL of the liquid. Record both masses.`,
      ['The liquid has to cover the metal. With less of it, the temperature rises more.'],
    ),
    {
      key: 'Th',
      does: `Put the piece into the ${name} for ${HEATED_S / 60} minutes.`,
      how: ['It needs that time to become as hot as what is around it.'],
      isDone: (bench) =>
        bench.pieces.some(({ at }) => at === heater) ||
        everyTrial(bench, ({ readings: { Th } }) => (Th?.about.inHeaterG ?? 0) > 0),
      each: async (hands) => {
        await hands.act({ kind: 'put', piece, to: heater });
        await hands.act({ kind: 'wait' }, heatedS);
      },
    },
    {
      key: 'T1',
      does: `Record the temperature of the liquid, and that of the ${name}.`,
      how: ['Stir, with the lid on. The temperature of the liquid has to be steady.'],
      isDone: everyHas('T1', 'Th'),
      each: async (hands, trial) => {
        await recordTemp(hands, plan, trial, 'T1', 1);
        await recordTemp(hands, plan, trial, 'Th', 2);
        await hands.act({ kind: 'look', n: 1 });
      },
    },
    {
      key: 'T2',
      does: 'Carry the piece into the cup, quickly. When the temperature rises no more, record it.',
      how: ['Stir, with the lid on. Watch for twenty seconds: then liquid and metal are as warm as each other.'],
      isDone: (bench) => everyTrial(bench, (row) => has(row, 'T2') && (row.readings.T2?.about.inCupG ?? 0) > 0),
      each: async (hands, trial) => {
        if (dawdlesS > 0) await hands.act({ kind: 'put', piece, to: 'tongs' });
        await hands.act({ kind: 'put', piece, to: 'cup' }, dawdlesS);
        await afterMixing(hands, plan, trial, recordedC(hands, trial, 'T1'), habits.readsAfterS);
      },
    },
  ];
}
