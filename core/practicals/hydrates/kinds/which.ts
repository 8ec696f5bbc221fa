import { z } from 'zod';
import { fixed } from '../../../analysis/quantity';
import { waterPart } from '../../../databook/hydrates';
import { chance, shuffled } from '../../../random';
import { namesLeftOpen, pairObjection, type Likeness } from '../../look-alikes';
import { askFor, askName, reportOf } from '../../report-parts';
import { drawnValue } from '../../sample-values';
import type { Kind } from '../kind';
import { meanOf, type Row } from '../rows';
import { roomOf } from '../sample';
import { bands, common, goodToKnow, hydrateIds, hydrateOf, planFor, tablesFor } from './parts';

const setupSchema = z.object({
  hydrates: z
    .array(hydrateIds)
    .min(2, 'Choose at least two salts: with one there is nothing to be named.')
    .default(['copper-sulfate-5', 'iron-sulfate-7', 'cobalt-chloride-6', 'alum-12', 'calcium-sulfate-2', 'copper-chloride-2', 'barium-chloride-2', 'magnesium-sulfate-7', 'strontium-chloride-6', 'nickel-sulfate-6'])
    .meta({ label: 'Salts', help: 'Each student is given one of these; they are the names that are offered. Some lose nearly the same part of their mass, and are told apart by their colour.' }),
  ...common,
  bandsPercent: bands([1, 2, 4]),
}); // prettier-ignore
type Setup = z.infer<typeof setupSchema>;

const PART = { key: 'part', label: 'Part of its mass that it loses', unit: '%', digits: 3 };

const partOf = (rows: readonly Row[]) => meanOf(rows, ({ m0, m1, dry }) => (100 * (m1 - dry)) / (m1 - m0));

/** What an eye sees of it: its crystals, and what heating makes of them. */
const lookOf = (id: string): string => {
  const { stages, dry } = hydrateOf(id);
  return `${stages[0]?.look ?? ''}, then ${stages[dry ?? stages.length - 1]?.look ?? ''}`;
};
const likeness = (id: string): Likeness => ({
  name: hydrateOf(id).name,
  look: lookOf(id),
  values: { part: 100 * waterPart(hydrateOf(id)) },
});
const namesIn = ({ hydrates }: Setup) =>
  hydrates.map((id) => hydrateOf(id).name).sort((a, b) => a.localeCompare(b, 'en'));
/** Nearer than this two that look alike cannot be told apart, percentage points. */
const TOLD_APART = 0.8;
const NONE: Record<string, number> = {};

export const whichHydrate: Kind<Setup> = {
  id: 'which-hydrate',
  title: 'Which hydrate is it',
  summary: 'Heat an unknown to constant mass, watch its colours, and name it by both.',
  setup: setupSchema,
  room: () => 130,
  draw: (setup, seed, index) => {
    const order = shuffled(setup.hydrates.length, chance(seed, 'pool'));
    return {
      roomC: roomOf(seed, index),
      hydrateId: setup.hydrates[order[index % order.length] as number] as string,
      withId: null,
      part: 1,
      task: `Your amount: about ${drawnValue(1.8, 3.2, seed, index).toFixed(2)} g of the unknown`,
    };
  },
  plan: (setup) => planFor(setup, 'the unknown'),
  objections: ({ hydrates }) => {
    const sentence = pairObjection(hydrates.map(likeness), () => TOLD_APART, 'Leave one of them out.');
    return sentence === null ? [] : [{ field: 'hydrates', sentence }];
  },
  brief: (setup) => ({
    question: [
      'A salt without a label holds water in its crystals. Heat drives the water out as steam, and the mass falls.',
      'Which salt is it? Its loss of mass and its colours tell.',
      `It is one of these: ${namesIn(setup).join(', ')}.`,
    ],
    working: [
      'Divide the mass that was lost by the mass of the salt that you put in. Times 100, this is the part that was lost, in %.',
      'Compare it with the data book. The page “Hydrates” has what each salt loses, and its colours.',
    ],
    know: goodToKnow(setup.desiccator),
  }),
  tables: tablesFor,
  quantities: (setup) => [
    { ...PART, kind: 'number' },
    { key: 'name', label: 'What the unknown is', kind: 'name', options: namesIn(setup) },
  ],
  truths: (_, { hydrateId }) => ({ part: 100 * waterPart(hydrateOf(hydrateId)), name: hydrateOf(hydrateId).name }),
  asks: (setup) =>
    reportOf({
      measured: {
        label: 'Two salts lose the same part of their mass. What tells them apart at this bench?',
        options: [
          'Their colours, before, while and after they are heated',
          'The mass of the crucible',
          'How much of each was taken',
          'Nothing can',
        ],
      },
      hypothesis: setup.hypothesis
        ? {
            label: 'Hypothesis: half as much of the unknown is taken. The part of its mass that it loses',
            options: ['stays the same', 'becomes half as large', 'becomes twice as large'],
          }
        : null,
      results: [
        askFor(PART, setup.bandsPercent, 'The mass that was lost as a part of the mass that was put in.'),
        askName('What is the unknown?', namesIn(setup), 'By the part that it lost, and by its colours.'),
      ],
      working: 'The masses, what was lost, and the part.',
      evidence: {
        help: 'Which of the names can you not rule out by the mass alone? What rules them out?',
        words: ['colour'],
      },
      aims: [
        'Tell when a mass stays the same',
        'Hold what is measured and what is seen together',
        'Say why a flame has to be blue',
      ],
    }),
  results: (_, __, rows) => {
    const part = partOf(rows);
    return part === undefined ? NONE : { part };
  },
  hints: () => ({ part: 'The masses limit the result most. Take more of the salt, or a finer balance.' }),
  leftOpen: (setup, { hydrateId }, { results, uncertainties }) => {
    const { part } = results;
    const values: Record<string, number> = part === undefined ? {} : { part };
    const found = { name: '', look: lookOf(hydrateId), values };
    return { name: namesLeftOpen(setup.hydrates.map(likeness), found, () => 2 * (uncertainties.part ?? 0)) };
  },
  slips: (_, __, rows) => {
    const right = partOf(rows);
    const slip = (key: string, label: string, value: number | undefined) =>
      right && value ? [{ key, label, quantity: PART.key, factor: value / right }] : [];
    return [
      ...slip('wrongMass', 'Of the mass that was left, in place of the mass that was put in', meanOf(rows, ({ m0, m1, dry }) => (100 * (m1 - dry)) / (dry - m0))),
      ...slip('crucible', 'The crucible’s mass left in', meanOf(rows, ({ m1, dry }) => (100 * (m1 - dry)) / m1)),
      ...slip('left', 'The part that was left, in place of the part that was lost', right === undefined ? undefined : 100 - right),
    ]; // prettier-ignore
  },
  truth: (_, { hydrateId }) => [
    { label: 'What it is', text: hydrateOf(hydrateId).name },
    { label: 'Part of its mass that is water', text: `${fixed(100 * waterPart(hydrateOf(hydrateId)), 2)} %` },
  ],
  pool: (_, { hydrateId }) => ({ part: hydrateOf(hydrateId).name }),
  symbols: { part: 'w' },
  nothingYet: 'There is no part yet: record the empty crucible, the crucible with the salt, and that after heating.',
};
