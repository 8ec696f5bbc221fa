import { z } from 'zod';
import { materialOf } from '../../../databook/materials';
import { chance, type Chance } from '../../../random';
import type { Kind } from '../kind';
import { regularMethod } from '../methods/regular';
import { volumeOfShape } from '../edges';
import type { Shape } from '../sample';
import { bands, drawn, hypothesis, NO_PLAN, readability, tablesFor, solidPool, unknowns } from './settings';
import {
  chosenFrom,
  densityReport,
  lettersFor,
  SOLID_NAMES,
  solidDensityKind,
  solidObjections,
  TOLD_APART,
} from './density';

const setupSchema = z
  .object({
    solids: solidPool([
      'magnesium',
      'aluminium',
      'titanium',
      'zinc',
      'tin',
      'iron',
      'brass',
      'copper',
      'lead',
      'nylon',
      'acrylic',
      'pvc',
      'ptfe',
      'polypropylene',
    ]),
    unknowns,
    drawn,
    shapes: z
      .array(z.enum(['block', 'cylinder', 'sphere']))
      .min(1, 'Choose at least one shape.')
      .default(['block', 'cylinder', 'sphere'])
      .meta({ label: 'Shapes that may be drawn' }),
    tools: z
      .enum(['ruler and calliper', 'calliper', 'ruler'])
      .default('ruler and calliper')
      .meta({ label: 'Tools for lengths' }),
    readability,
    hypothesis,
    bandsPercent: bands([1, 3, 5]),
  })
  .refine(({ solids, unknowns: count }) => solids.length >= Number(count), {
    path: ['solids'],
    message: 'Choose at least as many materials as each student is given.',
  });
type Setup = z.infer<typeof setupSchema>;

const SLOTS = ['m', 'l', 'w', 'h', 'd'] as const;
const ZERO = 'Z' as const;

const slotsFor = (tools: Setup['tools']) => (tools === 'ruler' ? [...SLOTS] : [ZERO, ...SLOTS]);

/** Heavier than this no piece is: so that any balance carries it, g. */
const MOST_G = 160;

/** The same shape, so much smaller that it is not too heavy. */
function carried(shape: Shape, densityGPerMl: number): Shape {
  const massG = (volumeOfShape(shape) as number) * densityGPerMl;
  const part = Math.min(Math.cbrt(MOST_G / massG), 1);
  if (shape.kind === 'sphere') return { ...shape, diameter: shape.diameter * part };
  if (shape.kind === 'cylinder') return { ...shape, diameter: shape.diameter * part, height: shape.height * part };
  if (shape.kind === 'block')
    return { ...shape, length: shape.length * part, width: shape.width * part, height: shape.height * part };
  return shape;
}

function shapeFrom(kind: 'block' | 'cylinder' | 'sphere', source: Chance): Shape {
  const between = (least: number, most: number) => least + (most - least) * source.uniform();
  if (kind === 'sphere') return { kind, diameter: between(15, 28) };
  if (kind === 'cylinder') return { kind, diameter: between(12, 22), height: between(25, 50) };
  return { kind, length: between(28, 50), width: between(18, 26), height: between(9, 16) };
}

const solids = solidDensityKind<Setup>(
  ({ shape, volumesMl }) => `${shape.kind} of ${(volumesMl[0] as number).toFixed(3)} cm³`,
);

/** What taking the diameter for the radius makes of a density, by how often it stands in the volume. */
const RADIUS_SLIP: Partial<Record<Shape['kind'], number>> = { cylinder: 1 / 4, sphere: 1 / 8 };

export const regularSolids: Kind<Setup> = {
  ...solids,
  id: 'regular-solids',
  title: 'What are these blocks made of',
  summary:
    'Weigh blocks, cylinders and balls, measure them with ruler and calliper, and name the material by its density.',
  setup: setupSchema,
  draw: (setup, seed, index) => {
    const source = chance(seed, `pieces ${index}`);
    const ids = chosenFrom(setup.solids, Number(setup.unknowns), setup.drawn, seed, index);
    const lots = ids.map((materialId) => {
      const kind = setup.shapes[Math.floor(source.uniform() * setup.shapes.length)] as Setup['shapes'][number];
      const shape = carried(shapeFrom(kind, source), materialOf(materialId).densityGPerMl);
      return { materialId, shape, volumesMl: [volumeOfShape(shape) as number] };
    });
    return { tempC: 20, lots, bottles: [], targetMl: null };
  },
  plan: (setup) => ({
    ...NO_PLAN,
    tools: setup.tools === 'ruler and calliper' ? ['ruler', 'calliper'] : [setup.tools],
    balance: setup.readability,
    lots: lettersFor(setup.unknowns),
    slots: slotsFor(setup.tools),
    carries: ['m', ZERO],
  }),
  objections: ({ solids: pool, tools }) =>
    solidObjections(pool, tools === 'ruler' ? TOLD_APART.ruler : TOLD_APART.calliper),
  method: regularMethod,
  brief: (setup) => ({
    question: [
      'The fittings of the lamp room were made from whatever the workshop had.',
      'The museum wants to know what they are made of before anything is polished.',
      `Find the density of ${setup.unknowns === '1' ? 'your piece' : 'each piece'}, and name the material.`,
    ],
    working: [
      'Work out the volume from the edges, and the density from mass and volume.',
      'Say how uncertain the density is. Which reading limits it most?',
      'Compare with the data book.',
    ],
    know: ['1 cm³ is 1000 mm³.'],
  }),
  tables: (setup) => tablesFor(lettersFor(setup.unknowns), slotsFor(setup.tools)),
  asks: (setup) =>
    densityReport({
      letters: lettersFor(setup.unknowns),
      unit: 'g/cm³',
      names: SOLID_NAMES,
      bandsPercent: setup.bandsPercent,
      hypothesis: setup.hypothesis,
      measured: {
        label: 'What has to be measured to find the density of a regular solid?',
        options: [
          'Its mass and its edges or diameter',
          'Its mass alone',
          'Its edges and its temperature',
          'Its weight in water alone',
        ],
      },
      question: {
        label: 'Hypothesis: two pieces of one material, one twice as large. How do their densities compare?',
        options: ['The larger one is twice as dense', 'Both have the same density', 'The smaller one is denser'],
      },
      resultHelp: 'With its uncertainty, such as 2.70 ± 0.02.',
      aims: [
        setup.tools === 'ruler' ? 'Read a ruler to one digit beyond its divisions' : 'Read a vernier',
        'Tell which reading limits a result',
        'Name a material by its density',
      ],
    }),
  slips: (setup, sample, rows) => [
    ...(solids.slips?.(setup, sample, rows) ?? []),
    ...sample.lots.flatMap(({ shape }, i) => {
      const factor = RADIUS_SLIP[shape.kind];
      const quantity = `density${lettersFor(setup.unknowns)[i]}`;
      return factor === undefined
        ? []
        : [{ key: 'radius', label: 'The diameter taken for the radius', quantity, factor }];
    }),
  ],
  nothingYet:
    'There is no trial in your Readings yet with a mass and the lengths that a volume needs. A density needs both to stand on.',
};
