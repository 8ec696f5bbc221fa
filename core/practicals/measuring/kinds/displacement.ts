import { z } from 'zod';
import { chance } from '../../../random';
import type { Kind } from '../kind';
import { displacementMethod } from '../methods/displacement';
import { FORMS, type Form } from '../sample';
import { bands, drawn, hypothesis, NO_PLAN, readability, tablesFor, solidPool, unknowns, vessels } from './settings';
import {
  chosenFrom,
  densityReport,
  lettersFor,
  SOLID_NAMES,
  solidDensityKind,
  solidObjections,
  TOLD_APART,
} from './density';

const CYLINDERS = ['cylinder-10', 'cylinder-25', 'cylinder-50', 'cylinder-100', 'beaker-100', 'beaker-250'] as const;

const setupSchema = z
  .object({
    solids: solidPool([
      'aluminium',
      'titanium',
      'zinc',
      'tin',
      'iron',
      'brass',
      'copper',
      'bismuth',
      'lead',
      'soda-lime-glass',
      'pvc',
      'ptfe',
    ]),
    form: z.enum(FORMS).default('small pieces').meta({ label: 'They come as' }),
    unknowns,
    drawn,
    vessels: vessels(['cylinder-25', 'cylinder-50', 'cylinder-100'], CYLINDERS),
    readability,
    hypothesis,
    bandsPercent: bands([2, 5, 10]),
  })
  .refine(({ solids, unknowns: count }) => solids.length >= Number(count), {
    path: ['solids'],
    message: 'Choose at least as many materials as each student is given.',
  });
type Setup = z.infer<typeof setupSchema>;

/** Mean volume of a piece, mL, and how many there are. */
const SIZES: Record<Form, { ml: number; spread: number; pieces: number }> = {
  lumps: { ml: 1.35, spread: 0.35, pieces: 8 },
  'small pieces': { ml: 0.42, spread: 0.15, pieces: 30 },
  grains: { ml: 0.16, spread: 0.2, pieces: 60 },
};

const SLOTS = ['m', 'V1', 'V2'] as const;
/** A slope wants so many points. */
const AMOUNTS = 6;

export const displacement: Kind<Setup> = {
  ...solidDensityKind<Setup>(
    ({ volumesMl }) =>
      `${volumesMl.length} pieces, together ${volumesMl.reduce((sum, ml) => sum + ml, 0).toFixed(2)} cm³`,
    true,
  ),
  id: 'displacement',
  title: 'Density by displacement',
  summary:
    'Lower lumps, pieces or grains into a cylinder of water. Plot mass against volume, and name the material by the slope.',
  setup: setupSchema,
  draw: (setup, seed, index) => {
    const source = chance(seed, `pieces ${index}`);
    const size = SIZES[setup.form];
    const lots = chosenFrom(setup.solids, Number(setup.unknowns), setup.drawn, seed, index).map((materialId) => ({
      materialId,
      shape: { kind: setup.form },
      volumesMl: Array.from({ length: size.pieces }, () => size.ml * (1 + size.spread * (2 * source.uniform() - 1))),
    }));
    return { tempC: 20, lots, bottles: [], targetMl: null };
  },
  plan: (setup) => ({
    ...NO_PLAN,
    vessels: setup.vessels,
    balance: setup.readability,
    water: true,
    sinker: true,
    lots: lettersFor(setup.unknowns),
    slots: [...SLOTS],
    carries: ['V1'],
    amounts: AMOUNTS,
    means: { m: 'mass of the pieces that are in', V1: 'volume before any piece is in' },
  }),
  objections: ({ solids }) => solidObjections(solids, TOLD_APART.displacement),
  method: displacementMethod,
  brief: (setup) => ({
    question: [
      'A drawer in the lens maker’s bench holds rivets, shot and offcuts, all mixed with dust.',
      'Nobody wrote down what they are.',
      `Find the density of ${setup.unknowns === '1' ? 'your material' : 'each material'} by the water that it pushes aside, and name it.`,
    ],
    working: [
      'The volume of the pieces is the new volume, less the volume before any piece was in.',
      'Plot mass against volume. The slope of the line is the density.',
      'The standard error of the slope tells how well you know it.',
      ...(setup.unknowns === '1' ? [] : ['Draw all materials in one graph.']),
      'Compare with the data book.',
    ],
    know: ['What is wet weighs more. Dry the pieces before you weigh them again.'],
  }),
  tables: (setup) =>
    tablesFor(
      lettersFor(setup.unknowns),
      SLOTS,
      [{ name: 'displaced', symbol: 'V_d', unit: 'mL', formula: 'V_2 - V_1' }],
      { x: 'c0', y: 'm' },
    ),
  asks: (setup) =>
    densityReport({
      letters: lettersFor(setup.unknowns),
      unit: 'g/cm³',
      names: SOLID_NAMES,
      bandsPercent: setup.bandsPercent,
      hypothesis: setup.hypothesis,
      measured: {
        label: 'What tells the volume of a lump that has no edges to measure?',
        options: [
          'How far the water rises when it is under water',
          'How much water is in the cylinder',
          'How heavy it is in air',
          'How fast it sinks',
        ],
      },
      question: {
        label: 'Hypothesis: how do mass and volume go together for one material?',
        options: [
          'Mass grows in proportion to volume',
          'Mass grows faster than volume',
          'Mass and volume have nothing to do with each other',
        ],
      },
      resultHelp: 'The slope of mass against displaced volume, with its uncertainty.',
      aims: ['Read a meniscus at the height of the eye', 'Find a density from a slope', 'Tell what limits a result'],
    }),
  nothingYet:
    'There is no trial in your Readings yet with a mass and a volume before and after. A density needs them to stand on.',
};
