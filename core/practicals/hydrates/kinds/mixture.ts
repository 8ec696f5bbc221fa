import { z } from 'zod';
import { fixed } from '../../../analysis/quantity';
import { printedFormula } from '../../../chemistry/formula';
import { DRY_SALT_IDS, drySaltOf, waterPart } from '../../../databook/hydrates';
import { askFor, reportOf } from '../../report-parts';
import { drawnValue } from '../../sample-values';
import type { Kind } from '../kind';
import { meanOf, type Row } from '../rows';
import { roomOf } from '../sample';
import { bands, common, goodToKnow, hydrateIds, hydrateOf, planFor, tablesFor } from './parts';

const setupSchema = z
  .object({
    hydrate: hydrateIds.default('copper-sulfate-5').meta({ label: 'Hydrate' }),
    with: z.enum(DRY_SALT_IDS).default('potassium-sulfate').meta({ label: 'Mixed with' }),
    fromPercent: z.number().min(10).max(95).default(30).meta({ label: 'Part of hydrate from', unit: '%' }),
    toPercent: z.number().min(15).max(99).default(85).meta({ label: 'Part of hydrate to', unit: '%' }),
    ...common,
    bandsPercent: bands([2, 4, 8]),
  })
  .refine(({ fromPercent, toPercent }) => toPercent >= fromPercent + 5, {
    message: 'The highest part has to be at least 5 above the lowest.',
    path: ['toPercent'],
  });
type Setup = z.infer<typeof setupSchema>;

const PART = { key: 'part', label: 'Part of the mixture that is hydrate', unit: '%', digits: 3 };

/** Of the mass that was put in so much was lost: as a part of what the hydrate by itself would lose. */
const partOf = (setup: Setup, rows: readonly Row[]) => {
  const alone = waterPart(hydrateOf(setup.hydrate));
  return meanOf(rows, ({ m0, m1, dry }) => (100 * (m1 - dry)) / (m1 - m0) / alone);
};
const NONE: Record<string, number> = {};

export const partOfHydrate: Kind<Setup> = {
  id: 'part-of-hydrate',
  title: 'How much of a mixture is hydrate',
  summary: 'Heat a mixture of a hydrate and a dry salt. What it loses tells how much of it is hydrate.',
  setup: setupSchema,
  room: () => 250,
  draw: (setup, seed, index) => ({
    roomC: roomOf(seed, index),
    hydrateId: setup.hydrate,
    withId: setup.with as 'potassium-chloride',
    part: drawnValue(setup.fromPercent, setup.toPercent, seed, index) / 100,
    task: `Your amount: about ${(2.5 + ((index * 7) % 11) / 10).toFixed(1)} g of the mixture`,
  }),
  plan: (setup) => planFor(setup, 'the mixture'),
  brief: (setup) => ({
    question: [
      `Somebody has mixed two salts: ${hydrateOf(setup.hydrate).name} (${printedFormula(hydrateOf(setup.hydrate).stages[0]?.formula ?? '')}) and ${drySaltOf(setup.with).name}.`,
      'Only the first loses mass when it is heated: its water goes off as steam.',
      'How much of the mixture is hydrate?',
    ],
    working: [
      'The mass that was lost is water, and it came from the hydrate alone.',
      'Find the amount of water in mol. The formula tells how much hydrate held this water.',
      'Work out the mass of that hydrate. Divide it by the mass of the mixture, times 100: this is the part in %.',
    ],
    know: goodToKnow(setup.desiccator),
  }),
  tables: tablesFor,
  quantities: () => [{ ...PART, kind: 'number' }],
  truths: (_, { part }) => ({ part: 100 * part }),
  asks: (setup) =>
    reportOf({
      measured: {
        label: 'What does the mass that was lost tell?',
        options: [
          'The water of the hydrate, and by that the hydrate',
          'The mass of the dry salt that it was mixed with',
          'The mass of the hydrate itself',
          'How damp the room is',
        ],
      },
      hypothesis: setup.hypothesis
        ? {
            label: 'Hypothesis: the mixture is heated so hot that the hydrate breaks down. Its part then comes out',
            options: ['too large', 'too small', 'right all the same'],
          }
        : null,
      results: [askFor(PART, setup.bandsPercent, 'As a part of the mass of the mixture.')],
      working: 'What was lost, the hydrate that it belongs to, and its part.',
      evidence: { help: 'How do you know that all its water had gone, and nothing else?', words: ['mass'] },
      aims: [
        'Tell when a mass stays the same',
        'Work back from a part that is lost to the whole that it belongs to',
        'Say what would make the result too large',
      ],
    }),
  results: (setup, _, rows) => {
    const part = partOf(setup, rows);
    return part === undefined ? NONE : { part };
  },
  hints: () => ({
    part: 'The mass that was lost limits the result most. Take more of the mixture, or a finer balance.',
  }),
  slips: (setup, _, rows) => {
    const right = partOf(setup, rows);
    const alone = waterPart(hydrateOf(setup.hydrate));
    const slip = (key: string, label: string, value: number | undefined) =>
      right && value ? [{ key, label, quantity: PART.key, factor: value / right }] : [];
    return [
      ...slip('water', 'The part of the water, in place of the hydrate that it belongs to', right && right * alone),
      ...slip('crucible', 'The crucible’s mass left in', meanOf(rows, ({ m1, dry }) => (100 * (m1 - dry)) / m1 / alone)),
      ...slip('other', 'The part of the other salt', right && 100 - right),
      ...slip('wrongMass', 'Of the mass that was left, in place of the mass that was put in', meanOf(rows, ({ m0, m1, dry }) => (100 * (m1 - dry)) / (dry - m0) / alone)),
    ]; // prettier-ignore
  },
  truth: (_, { hydrateId, withId, part }) => [
    { label: 'What it is', text: `${hydrateOf(hydrateId).name} with ${withId ? drySaltOf(withId).name : 'nothing'}` },
    { label: 'Part of it that is hydrate', text: `${fixed(100 * part, 2)} %` },
  ],
  symbols: { part: 'w' },
  nothingYet: 'There is no part yet: record the empty crucible, the crucible with the mixture, and that after heating.',
};
