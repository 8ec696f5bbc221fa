import type { Method } from '../../method';
import type { Bench } from '../bench';
import { measuresEdges, readTool, weighsPiece, type Hands } from '../by-hand';
import { EDGES } from '../edges';
import { EDGE_SLOTS, type Plan, type Slot } from '../plan';
import { rowsOf } from '../rows';
import { everyRow, hasTrials, nextTrial, ofEach, unknownsOf } from './of-each';

/** The way to the density of a regular solid: its mass, and every edge that its volume needs, twice. */

const TRIALS = 2;
const EDGE_KEYS: readonly Slot[] = Object.values(EDGE_SLOTS);

export function regularMethod(plan: Plan): Method<Bench, Hands> {
  const tool = plan.tools.includes('calliper') ? 'calliper' : 'ruler';
  const each = ofEach(plan);
  const piece = each === '' ? 'the piece' : `each piece${each}`;
  const edges = async (hands: Hands, after: readonly Slot[]) => {
    const first = nextTrial(hands, after);
    for (const [i, lot] of unknownsOf(plan).entries()) await measuresEdges(hands, lot, tool, first + i);
  };
  return [
    ...(tool === 'calliper'
      ? [
          {
            key: 'Z',
            does: 'Close the calliper on nothing, read it, and record its zero.',
            how: ['A calliper need not stand at zero when it is closed. Take its zero off every length.'],
            isDone: (bench: Bench) => rowsOf(bench).some(({ readings: { Z } }) => Z),
            work: async ({ act, view }: Hands) => {
              await act({ kind: 'closeJaws' });
              await act({ kind: 'record', trial: 1, which: 'Z', text: readTool(view(), 'calliper') });
            },
          },
        ]
      : []),
    {
      key: 'm',
      does: `Weigh ${piece}, and record the mass.`,
      how: [
        'Set the balance to zero first. Wait until the display stands still.',
        ...(each === '' ? [] : ['Give each piece a trial of its own.']),
      ],
      isDone: (bench) => everyRow(bench, ({ readings: { m } }) => m !== undefined),
      work: async (hands) => {
        for (const lot of unknownsOf(plan)) await weighsPiece(hands, lot, lot);
      },
    },
    {
      key: 'l',
      does: `Measure every edge or diameter that the volume needs${each}.`,
      how: [
        tool === 'calliper'
          ? 'The calliper is the finer tool. Read its vernier: the line that meets a line of the scale.'
          : 'Read the ruler to one digit beyond its divisions.',
      ],
      isDone: (bench) =>
        everyRow(
          bench,
          ({ shape, readings }) => shape !== null && EDGES[shape].every((along) => readings[EDGE_SLOTS[along]]),
        ),
      work: (hands) => edges(hands, EDGE_KEYS),
    },
    {
      key: 'again',
      does: `Measure ${piece} once more, in another trial.`,
      how: ['Its mass holds for its other trials, too.'],
      isDone: (bench) => hasTrials(bench, TRIALS),
      work: (hands) => edges(hands, plan.slots),
    },
  ];
}
