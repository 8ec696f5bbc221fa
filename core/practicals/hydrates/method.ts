import type { Method } from '../method';
import { isConstantMass, sameWithinG } from '../on-balance';
import type { Bench } from './bench';
import { cools, flame, weighs, weighsThere, type Habits, type Hands } from './by-hand';
import { molIn } from './crucible';
import { HEATED, type Plan } from './plan';
import { massesOf, rowsOf, type Row } from './rows';

/** What the three practicals of hydrates have in common: the way from a damp crucible to a dry salt. */

/** What heating alone does to some salts, g: two masses that differ by no more are the same. */
const SAME_G = 0.002;
/** A crucible is dry that holds less water than this, g. */
const DRY_G = 0.003;
const MINUTES = { empty: 5, gentle: 5, strong: 12, cool: 25 };

const heatedMasses = ({ readings }: Row): number[] => HEATED.flatMap((slot) => readings[slot]?.value ?? []);

/** @param habits what a student does otherwise than the method has it */
export function methodOf(plan: Plan, habits: Habits = {}): Method<Bench, Hands> {
  const {
    gas = 6,
    air = 4.5,
    on = 'gauze',
    lid = 'ajar',
    heatS = 60 * MINUTES.strong,
    rounds = HEATED.length,
  } = habits;
  const within = sameWithinG(plan.balance, SAME_G);
  const cooled = plan.desiccator ? 'in the desiccator' : 'on the mat';
  const heats = async (hands: Hands, isFirst: boolean): Promise<void> => {
    const { act, view } = hands;
    if (view().crucible.lid !== lid) await act({ kind: 'lid', to: lid });
    await act({ kind: 'put', at: on, by: 'tongs' });
    if (habits.gentle ?? true) {
      await flame(hands, 2, 1.4);
      await act({ kind: 'wait' }, isFirst ? 60 * MINUTES.gentle : 60);
      // As long as it steams, a small flame is enough.
      for (let i = 0; i < 60 && view().crucible.steams; i++) await act({ kind: 'wait' }, 30);
    }
    await flame(hands, gas, air);
    await act({ kind: 'wait' }, heatS);
    await cools(hands, plan, habits);
  };
  return [
    {
      key: 'empty',
      does: 'Heat the empty crucible, then let it cool.',
      how: [
        'A new crucible is damp, and water has mass.',
        `Put it on the triangle. Gas 3 and air 2.2 give a small blue flame: heat for ${MINUTES.empty} minutes.`,
        `Close the gas. Let it cool ${cooled} for ${MINUTES.cool} minutes. Always use the tongs.`,
      ],
      isDone: ({ crucible, readings }) =>
        (molIn(crucible) === 0 && crucible.dampG < DRY_G) ||
        readings.some(({ struck, which, about }) => which === 'm0' && struck === null && about.dampG < DRY_G),
      work: async (hands) => {
        if (!(habits.heatsEmpty ?? true)) return;
        await hands.act({ kind: 'put', at: 'triangle', by: 'tongs' });
        await flame(hands, 3, 2.2);
        await hands.act({ kind: 'wait' }, 60 * MINUTES.empty);
        await cools(hands, plan, habits);
      },
    },
    {
      key: 'm0',
      does: 'Weigh the cold crucible with its lid on, and record the mass.',
      how: ['Wait until the display stands still.', 'Weigh it in the same way every time: always with the lid.'],
      isDone: (bench) => rowsOf(bench).some(({ readings }) => readings.m0),
      work: async (hands) => void (await weighs(hands, 'm0', habits.emptyLid)),
    },
    {
      key: 'm1',
      does: 'Put the salt in. Weigh crucible, lid and salt, and record the mass.',
      how: ['Your card says how much salt to take.'],
      isDone: (bench) => rowsOf(bench).some(({ readings }) => readings.m1),
      work: async (hands) => {
        const asked = Number(/about ([\d.]+) g/.exec(hands.view().task ?? '')?.[1] ?? 2.5);
        await hands.act({ kind: 'fill', g: habits.grams ?? asked });
        await weighsThere(hands, 'm1');
      },
    },
    {
      key: 'h1',
      does: 'Heat the salt gently, then strongly. Let it cool, weigh it, and record the mass.',
      how: [
        'Put the crucible on the gauze, with its lid ajar: steam gets out, and nothing jumps out.',
        `Begin with gas 2 and air 1.4, for ${MINUTES.gentle} minutes and until no steam rises.`,
        `Then give gas 6 and at once air 4.5, for ${MINUTES.strong} minutes. A flame without air leaves soot.`,
        `Close the gas. Let it cool ${cooled} for ${MINUTES.cool} minutes. Put the lid on before you weigh.`,
      ],
      isDone: (bench) => rowsOf(bench).some(({ readings }) => readings.h1),
      work: async (hands) => {
        await heats(hands, true);
        await weighs(hands, 'h1');
      },
    },
    {
      key: 'again',
      does: 'Heat, cool and weigh again, until the mass stays the same.',
      how: [
        `Two masses are the same when they differ by ${within} g or less.`,
        'If the mass still falls, water was left: do it once more.',
      ],
      isDone: (bench) => rowsOf(bench).some((row) => massesOf(row) && isConstantMass(heatedMasses(row), within)),
      work: async (hands) => {
        const recorded = () =>
          hands
            .view()
            .readings.filter((r) => r.slot.startsWith('h') && r.struck === null)
            .map(({ text }) => Number(text));
        for (const which of HEATED.slice(1, rounds)) {
          await heats(hands, false);
          await weighs(hands, which);
          if (isConstantMass(recorded(), within)) return;
        }
      },
    },
  ];
}
