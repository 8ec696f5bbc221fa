import { heatVesselOf, type HeatVesselId } from '../../../databook/heat-vessels';
import type { Bench } from '../bench';
import type { BurningHabits } from '../burning/habits';
import { afterMixing, freshCup, recordedC, recordTemp, stirred, untilSteady, weighed } from '../by-hand';
import { begunRows, everyHas, everyTrial, has, type Part } from '../parts';
import type { Plan } from '../plan';

/** The way to a heat of combustion in the open: a known fuel and an unknown one under the same can, in just the same way. */

/** From the wick to the can, mm; how long the lamp burns, s; and water, mL, where no card says it. */
const [GAP_MM, BURNS_S, WATER_ML] = [35, 150, 180];
/** As near as that it is that distance. */
const NEAR_MM = 5;

const onCard = (task: string | null) => Number(/about ([\d.]+) mL of water/.exec(task ?? '')?.[1] ?? WATER_ML);

export function lampParts(plan: Plan, habits: BurningHabits = {}, lampOf = (trial: number) => trial): Part[] {
  const { burnsS = BURNS_S, gapMm = GAP_MM, screen = true, openS = 0, laterMl } = habits;
  const { name } = heatVesselOf(plan.vessels[0] as HeatVesselId);
  const slotsOf = (trial: number) => (lampOf(trial) === 1 ? (['k1', 'k2'] as const) : (['b1', 'b2'] as const));
  return [
    {
      key: 'set',
      does: `Set the wick ${GAP_MM} mm under the ${name}, and put the screen around it.`,
      how: ['Leave both as they are for the other fuel.'],
      isDone: (bench) => {
        const isSo = (there: Pick<Bench, 'gapMm' | 'screen'>) =>
          there.screen && Math.abs(there.gapMm - GAP_MM) <= NEAR_MM;
        return begunRows(bench).every(({ readings: { T2 } }) => isSo(T2?.about ?? bench)) && isSo(bench);
      },
      each: async ({ act, view }) => {
        if (view().fire?.gapMm !== gapMm) await act({ kind: 'gap', mm: gapMm });
        if (view().fire?.screen !== screen) await act({ kind: 'screen', on: screen });
      },
    },
    {
      key: 'k1',
      does: 'Weigh the lamp with its cap on, and record the mass.',
      how: ['Begin with the known fuel. The cap keeps the wick from drying.'],
      isDone: (bench) => everyTrial(bench, (row) => has(row, 'k1') || has(row, 'b1')),
      each: (hands, trial) => weighed(hands, trial, slotsOf(trial)[0], 'lamp', lampOf(trial)),
    },
    {
      key: 'm2',
      does: `Weigh the ${name} empty, then with the water that your card says. Record both masses.`,
      how: ['Take fresh water each time.'],
      isDone: everyHas('m1', 'm2'),
      each: async (hands, trial) => {
        await freshCup(hands, plan, { ...habits, vessel: hands.view().vessels.cup.type });
        await weighed(hands, trial, 'm1', 'cup');
        await hands.act({ kind: 'pour', bottle: 1, to: 'cup', ml: habits.waterMl ?? onCard(hands.view().task) });
        await weighed(hands, trial, 'm2', 'cup');
        if (laterMl !== undefined) await hands.act({ kind: 'pour', bottle: 1, to: 'cup', ml: laterMl });
      },
    },
    {
      key: 'T1',
      does: 'Put thermometer and lid on, and stir. When the temperature is steady, record it.',
      isDone: everyHas('T1'),
      each: async (hands, trial) => {
        await stirred(hands, habits);
        await untilSteady(hands, 1);
        await recordTemp(hands, plan, trial, 'T1', 1);
      },
    },
    {
      key: 'T2',
      does: `Light the lamp under it, and put the cap on after ${BURNS_S} seconds. Record when it rises no more.`,
      how: ['Your card says how far to warm it, about. The cap puts the flame out. Go on stirring.'],
      isDone: everyHas('T2'),
      each: async (hands, trial) => {
        const { act } = hands;
        const n = lampOf(trial);
        const cool = recordedC(hands, trial, 'T1');
        if (openS > 0) {
          await act({ kind: 'flame', n, to: 'open' });
          await act({ kind: 'wait' }, openS);
        }
        await act({ kind: 'stand', n, at: 'can' });
        await act({ kind: 'flame', n, to: 'lit' });
        await act({ kind: 'flame', n, to: 'capped' }, burnsS);
        await afterMixing(hands, plan, trial, cool, habits.readsAfterS);
      },
    },
    {
      key: 'k2',
      does: 'Weigh the lamp again, with its cap on, and record the mass.',
      isDone: (bench) => everyTrial(bench, (row) => has(row, 'k2') || has(row, 'b2')),
      each: (hands, trial) => weighed(hands, trial, slotsOf(trial)[1], 'lamp', lampOf(trial)),
    },
  ];
}
