import type { Method } from '../../method';
import type { Bench } from '../bench';
import { coloursOf, pairsSeen } from '../by-eye';
import type { Hands } from '../by-hand';
import type { Plan } from '../plan';
import { triedPairs } from '../tried';

/** The way to names: every pair of bottles in drops, then more of one than of the other. */

/** Pairs that gave a solid, as “1 2”: students remember what they saw. */
const remembered = new WeakMap<Hands, ReadonlySet<string>>();

export function bottlesMethod(plan: Plan): Method<Bench, Hands> {
  const all = (plan.bottles * (plan.bottles - 1)) / 2;
  return [
    {
      key: 'pairs',
      does: 'Put four drops of two bottles together in one well. Do so for every pair.',
      how: [
        'Look for a solid and its colour, for a gas, or for another colour.',
        'Each well has a white half and a dark half. White shows on the dark one.',
        'The loupe shows the well that you choose. The key W says in words what is there.',
        plan.paper
          ? 'Look at each bottle by itself, too. Indicator paper tells acids and bases, and some have a smell.'
          : 'Look at each bottle by itself, too. Some have a smell.',
      ],
      isDone: (bench) => triedPairs(bench).pairs >= all,
      work: async (hands) => {
        const seen = await pairsSeen(hands, plan.bottles, await coloursOf(hands, plan.bottles), [4, 4]);
        remembered.set(hands, new Set([...seen].flatMap(([pair, what]) => (what.includes('solid') ? [pair] : []))));
      },
    },
    {
      key: 'excess',
      does: 'Where names are still open, try two drops of one with twelve of the other, both ways.',
      how: ['Some solids dissolve again when there is more of one of the two.'],
      isDone: (bench) => triedPairs(bench).inExcess > 0,
      work: async (hands) => {
        const pairs = remembered.get(hands) ?? new Set(['1 2']);
        const alone = await coloursOf(hands, plan.bottles);
        await pairsSeen(hands, plan.bottles, alone, [2, 12], pairs);
        await pairsSeen(hands, plan.bottles, alone, [12, 2], pairs);
      },
    },
  ];
}
