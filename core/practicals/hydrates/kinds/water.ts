import { z } from 'zod';
import { fixed } from '../../../analysis/quantity';
import { printedFormula } from '../../../chemistry/formula';
import { hydrateGPerMol, HYDRATES } from '../../../databook/hydrates';
import { chance, shuffled } from '../../../random';
import { askFor, reportOf } from '../../report-parts';
import { drawnValue } from '../../sample-values';
import type { Kind } from '../kind';
import { meanOf, type Row } from '../rows';
import { roomOf } from '../sample';
import {
  bands,
  common,
  goodToKnow,
  dryGPerMol,
  hydrateIds,
  hydrateOf,
  planFor,
  tablesFor,
  WATER_G_PER_MOL,
} from './parts';

const setupSchema = z.object({
  hydrates: z.array(hydrateIds).min(1, 'Choose at least one salt.').default(['copper-sulfate-5']).meta({
    label: 'Salts',
    help: 'Each student is given one of these, by its name without its water. Magnesium chloride gives off acid with its water: heated in the open it never becomes dry.',
  }),
  ...common,
  bandsPercent: bands([2, 4, 8]),
});
type Setup = z.infer<typeof setupSchema>;

const WATERS = { key: 'waters', label: 'Mol of water for a mole of the dry salt', unit: '', digits: 3 };

type Masses = { m0: number; m1: number; dry: number };
type Way = (dryGPerMol: number, masses: Masses) => number;
/** n = (mass lost / M of water) / (mass left / M of the dry salt) */
const RIGHT: Way = (perMol, { m0, m1, dry }) => (m1 - dry) / WATER_G_PER_MOL / ((dry - m0) / perMol);

const dryName = (id: string) => hydrateOf(id).dryFormula;

export const waterInHydrate: Kind<Setup> = {
  id: 'water-in-hydrate',
  title: 'How much water is in it',
  summary: 'Heat a salt until its mass stays the same. How many molecules of water did it hold for each formula unit?',
  setup: setupSchema,
  room: () => 130,
  draw: (setup, seed, index) => {
    const order = shuffled(setup.hydrates.length, chance(seed, 'pool'));
    const hydrateId = setup.hydrates[order[index % order.length] as number] as string;
    const grams = drawnValue(1.8, 3.2, seed, index);
    return {
      roomC: roomOf(seed, index),
      hydrateId,
      withId: null,
      part: 1,
      task: `Your salt: ${printedFormula(dryName(hydrateId))} with water in its crystals, about ${grams.toFixed(2)} g of it`,
    };
  },
  plan: (setup) => planFor(setup, 'the salt'),
  brief: (setup) => ({
    question: [
      'Many salts hold water in their crystals. Heat drives the water out as steam, and the mass falls.',
      'How many molecules of water belong to one formula unit of your salt?',
    ],
    working: [
      'The mass that was lost is water. The mass that is left is the dry salt.',
      'Divide each mass by its molar mass. This gives two amounts, in mol.',
      'Divide the amount of water by the amount of dry salt. Give this number with its digits: do not round it to a whole number.',
    ],
    know: goodToKnow(setup.desiccator),
  }),
  tables: tablesFor,
  quantities: () => [{ ...WATERS, kind: 'number' }],
  truths: (_, { hydrateId }) => ({ waters: hydrateOf(hydrateId).waters }),
  asks: (setup) =>
    reportOf({
      measured: {
        label: 'Which mass is divided by the molar mass of the dry salt?',
        options: [
          'The mass that is left when it has been heated to constant mass',
          'The mass that was put into the crucible',
          'The mass that was lost',
          'The mass of crucible and salt together',
        ],
      },
      hypothesis: setup.hypothesis
        ? {
            label: 'Hypothesis: some water is still in it when it is weighed last. The number of waters then comes out',
            options: ['too small', 'too large', 'right all the same'],
          }
        : null,
      results: [
        askFor(WATERS, setup.bandsPercent, 'With the digits that your masses allow: not rounded to a whole number.'),
      ],
      working: 'Both amounts, their ratio, and the whole number that it is nearest to.',
      evidence: { help: 'How do you know that it was dry, and that it had not broken down?', words: ['mass'] },
      aims: [
        'Tell when a mass stays the same',
        'Go from masses to a ratio of amounts',
        'See by its colour what a salt goes through',
      ],
    }),
  results: (_, { hydrateId }, rows) => {
    const waters = watersOf(hydrateId, rows);
    return waters === undefined ? {} : ({ waters } as Record<string, number>);
  },
  hints: () => ({
    waters: 'The mass that was lost limits the result most. Take more of the salt, or a finer balance.',
  }),
  slips: (_, { hydrateId }, rows) => {
    const right = watersOf(hydrateId, rows);
    const salt = hydrateOf(hydrateId);
    const factor = (way: Way) => {
      const wrong = watersOf(hydrateId, rows, way);
      return right && wrong ? wrong / right : undefined;
    };
    const slips = [
      { key: 'wrongMass', label: 'The mass that was put in, in place of the mass that was left', factor: factor((perMol, { m0, m1, dry }) => (m1 - dry) / WATER_G_PER_MOL / ((m1 - m0) / perMol)) },
      { key: 'crucible', label: 'The crucible’s mass left in', factor: factor((perMol, { m1, dry }) => (m1 - dry) / WATER_G_PER_MOL / (dry / perMol)) },
      { key: 'hydrate', label: 'The molar mass of the hydrate for that of the dry salt', factor: hydrateGPerMol(salt) / dryGPerMol(salt) },
      { key: 'inverted', label: 'The ratio upside down', factor: right ? 1 / right / right : undefined },
    ]; // prettier-ignore
    return slips.flatMap(({ factor: by, ...slip }) => (by ? [{ ...slip, quantity: WATERS.key, factor: by }] : []));
  },
  truth: (_, { hydrateId }) => [
    { label: 'What it is', text: hydrateOf(hydrateId).name },
    { label: 'Mol of water for a mole', text: fixed(hydrateOf(hydrateId).waters, 0) },
  ],
  pool: (_, { hydrateId }) => ({ waters: dryName(hydrateId) }),
  symbols: { waters: 'n' },
  nothingYet:
    'There is no number of waters yet: record the empty crucible, the crucible with the salt, and that after heating.',
};

function watersOf(hydrateId: string, rows: readonly Row[], way: Way = RIGHT): number | undefined {
  const perMol = dryGPerMol(hydrateOf(hydrateId));
  return meanOf(rows, (masses) => (masses.dry > masses.m0 ? way(perMol, masses) : NaN));
}

/** Salts that dry in the open. */
export const DRYING = HYDRATES.filter(({ dry }) => dry !== null).map(({ id }) => id);
