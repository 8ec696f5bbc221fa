import { z } from 'zod';
import { FREEZING_IDS, freezingOf } from '../../../databook/freezing';
import { fixed } from '../../../analysis/quantity';
import { chance, shuffled } from '../../../random';
import { fusionJPerG } from '../../../physics/freezing';
import { namesLeftOpen, pairObjection, type Likeness } from '../../look-alikes';
import { askFor, askName, reportOf } from '../../report-parts';
import { hypothesisFirst } from '../../settings-parts';
import type { Kind } from '../kind';
import { solidMethod } from '../methods/freezing';
import type { Plan } from '../plan';
import { meanOf } from '../reading/rows';
import type { Row } from '../reading/row';
import { NOTHING, roomOf } from '../sample';
import { bandsC, curveSlips, isReady, READY_WORDS, tubeLosses } from './freezing-parts';
import { digital, logTable, NO_PLAN } from './settings';

const setupSchema = z.object({
  substances: z
    .array(z.enum(FREEZING_IDS))
    .min(2, 'Choose at least two substances: with one there is nothing to be named.')
    .default(['naphthalene', 'succinonitrile', 'dichlorobenzene', 'benzophenone', 'phenol'])
    .meta({ label: 'Substances', help: 'Each student is given one of these; they are the names that are offered.' }),
  thermometer: digital,
  losses: tubeLosses,
  hypothesis: hypothesisFirst(true),
  isReady,
  bandsC,
});
type Setup = z.infer<typeof setupSchema>;

const FREEZES = { key: 'freezes', label: 'Freezing temperature', unit: '°C', digits: 3 };

const planOf = (setup: Setup): Plan => ({
  ...NO_PLAN,
  bottles: [],
  bath: true,
  tube: { isSolution: false, jars: ['the solid'], isReady: setup.isReady },
  thermometer: setup.thermometer,
  losses: setup.losses,
});

const freezesOf = (rows: readonly Row[]) => meanOf(rows, (row) => row.readings.Tf?.value);

const likeness = (id: string): Likeness => ({
  name: freezingOf(id).name,
  look: 'white',
  values: { freezes: freezingOf(id).freezesC },
});
const namesIn = ({ substances }: Setup) =>
  substances.map((id) => freezingOf(id).name).sort((a, b) => a.localeCompare(b, 'en'));
const TOLD_APART_C = 1.2;
const NONE: Record<string, number> = {};

export const freezingPoint: Kind<Setup> = {
  id: 'freezing-point',
  title: 'A substance by its freezing point',
  summary: 'Melt a white solid, log it while it cools and freezes, and name it by where two lines cross.',
  setup: setupSchema,
  isVesselTold: false,
  // A line through a cooling that slows down leaves so much open where it is drawn on.
  unseen: { part: 0, kelvin: 0.03 },
  model: 2,
  method: () => solidMethod(),
  room: () => 300,
  draw: (setup, seed, index) => {
    const order = shuffled(setup.substances.length, chance(seed, 'pool'));
    return {
      ...roomOf(seed, index),
      ...NOTHING,
      freezingId: setup.substances[order[index % setup.substances.length] as number] as string,
      bottles: [],
      task: `Your amount: about ${10 + (index % 6)} g of the solid`,
      capacity: 1,
    };
  },
  plan: planOf,
  objections: ({ substances }) => {
    const sentence = pairObjection(substances.map(likeness), () => TOLD_APART_C, 'Leave one of them out.');
    return sentence === null ? [] : [{ field: 'substances', sentence }];
  },
  brief: (setup) => ({
    question: [
      'A jar of the dispensary has lost its label. What is in it is white and solid, and melts in hot water.',
      'At which temperature does it freeze, and what is it?',
      `It is one of these: ${namesIn(setup).join(', ')}.`,
    ],
    working: [
      'Draw one line through the cooling, and one through the freezing. Where they cross, it begins to freeze.',
      'Points near the bend, and points below it, belong to neither line.',
      'Compare with the data book, “What freezes”.',
    ],
    know: setup.isReady ? READY_WORDS : [],
  }),
  tables: (setup) => logTable(planOf(setup)),
  quantities: (setup) => [
    { ...FREEZES, kind: 'number' },
    { key: 'name', label: 'What the substance is', kind: 'name', options: namesIn(setup) },
  ],
  truths: (_, sample) => {
    const { freezesC, name } = freezingOf(sample.freezingId ?? '');
    return { freezes: freezesC, name };
  },
  asks: (setup) =>
    reportOf({
      measured: {
        label: 'Why does the temperature stand still while a pure substance freezes?',
        options: [
          'Freezing gives out as much heat as goes to the bath',
          'The thermometer is frozen in',
          'The bath has become as warm as the tube',
          'No heat goes out any more',
        ],
      },
      hypothesis: setup.hypothesis
        ? {
            label: 'Hypothesis: twice as much of the substance is taken. It freezes',
            options: ['at the same temperature', 'at a higher temperature', 'at a lower temperature'],
          }
        : null,
      results: [
        {
          ...askFor(FREEZES, [], 'Where your two lines cross, with its uncertainty.'),
          bandsInUnit: [...setup.bandsC].sort((a, b) => a - b),
        },
        askName('What is the substance?', namesIn(setup), 'Compare with where each of them freezes.'),
      ],
      working: 'Which stretches you drew lines through, and where they cross.',
      evidence: {
        help: 'Which of the names can you not rule out? Did it cool below its freezing point first?',
        words: ['line'],
      },
      aims: [
        'See where a line bends, and where it only wavers',
        'Find where two lines cross, with its uncertainty',
        'Explain why a melt can be colder than it freezes',
      ],
    }),
  results: (_, __, rows) => {
    const freezes = freezesOf(rows);
    return freezes === undefined ? NONE : { freezes };
  },
  hints: () => ({ freezes: 'The thermometer itself may be off: by that much the crossing is uncertain.' }),
  leftOpen: (setup, _, { results, uncertainties }) => {
    const { freezes } = results;
    const values: Record<string, number> = freezes === undefined ? {} : { freezes };
    const found = { name: '', look: 'white', values };
    return { name: namesLeftOpen(setup.substances.map(likeness), found, () => 2 * (uncertainties.freezes ?? 0)) };
  },
  slips: (_, __, rows) => curveSlips(FREEZES.key, 'Tf', rows, freezesOf(rows)),
  truth: (_, sample) => {
    const substance = freezingOf(sample.freezingId ?? '');
    return [
      { label: 'What it is', text: substance.name },
      {
        label: 'It freezes',
        text: `at ${fixed(substance.freezesC, 2)} °C, with ${fixed(fusionJPerG(substance), 0)} J for a gram`,
      },
    ];
  },
  pool: (_, sample) => ({ freezes: freezingOf(sample.freezingId ?? '').name }),
  symbols: { freezes: 'T' },
  nothingYet:
    'There is no freezing in the log yet, with some points before and after it: melt it, log it, and let it freeze.',
};
