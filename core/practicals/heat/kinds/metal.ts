import { z } from 'zod';
import { LIQUIDS } from '../../../databook/liquids';
import { heatVesselOf } from '../../../databook/heat-vessels';
import { MATERIALS, materialOf } from '../../../databook/materials';
import { LIQUID_HEATS, METAL_HEATS } from '../../../databook/specific-heats';
import { chance, shuffled } from '../../../random';
import { namesLeftOpen, pairObjection, type Likeness } from '../../look-alikes';
import { askFor, askName, reportOf } from '../../report-parts';
import { drawnValue } from '../../sample-values';
import { bands, hypothesisFirst } from '../../settings-parts';
import { drawnCapacity } from '../begin';
import type { Kind } from '../kind';
import { AGAIN } from '../methods/in-the-cup';
import { metalParts } from '../methods/metal';
import { methodOfParts } from '../parts';
import { FORMS, type Plan } from '../plan';
import { asDrawn, meanOf, valuesOf } from '../reading/rows';
import type { Row } from '../reading/row';
import { NOTHING, roomOf, WATER } from '../sample';
import {
  CONVENTION,
  lossWords,
  losses,
  NO_PLAN,
  readability,
  tablesFor,
  thermometer,
  vessels,
  vesselWords,
} from './settings';

/** Metals that can be given: those whose density, which makes the piece, is in the data book too. */
const GIVEN = METAL_HEATS.filter(({ id }) => MATERIALS.some((material) => material.id === id));
const METAL_IDS = GIVEN.map(({ id }) => id) as [string, ...string[]];
const heatOf = (id: string) => GIVEN.find((metal) => metal.id === id) as (typeof GIVEN)[number];
const NAMES = METAL_HEATS.map(({ name }) => name).sort((a, b) => a.localeCompare(b, 'en'));

const OTHER_LIQUIDS = LIQUID_HEATS.filter(({ id }) => id !== 'water' && LIQUIDS.some((liquid) => liquid.id === id)).map(
  ({ id }) => id,
) as [string, ...string[]];

const setupSchema = z.object({
  metals: z
    .array(z.enum(METAL_IDS))
    .min(1, 'Choose at least one metal.')
    .default(['magnesium', 'aluminium', 'titanium', 'iron', 'zinc', 'copper', 'brass', 'tin', 'lead'])
    .meta({
      label: 'Metals',
      help: 'Each student is given one of these. All metals of the data book are offered as names.',
    }),
  named: z.boolean().default(false).meta({
    label: 'The metal is named',
    help: 'For a first try: everybody is told which metal it is, and finds its specific heat capacity.',
  }),
  form: z.enum(FORMS).default('cylinders').meta({ label: 'The metal comes as' }),
  vessels: vessels(['foam-cup', 'glass-beaker']),
  heating: z
    .enum(['boiling water', 'dry block', 'boiling water and dry block'])
    .default('boiling water')
    .meta({ label: 'The metal is heated in' }),
  liquids: z
    .array(z.enum(OTHER_LIQUIDS))
    .max(3, 'At most three other liquids have room on the bench.')
    .default([])
    .meta({ label: 'Liquids on offer beside water' }),
  thermometer,
  readability,
  losses,
  hypothesis: hypothesisFirst(true),
  bandsPercent: bands([3, 5, 10]),
});
type Setup = z.infer<typeof setupSchema>;

const SLOTS = ['m', 'm1', 'm2', 'T1', 'Th', 'T2'] as const;
const HEAT = { key: 'specificHeat', label: 'Specific heat capacity of the metal', unit: 'J g⁻¹ K⁻¹', digits: 2 };

const nameOfLiquid = (id: string) => LIQUID_HEATS.find((liquid) => liquid.id === id)?.name ?? id;

const planOf = (setup: Setup): Plan => ({
  ...NO_PLAN,
  vessels: setup.vessels,
  bottles: ['water', ...setup.liquids.map(nameOfLiquid)],
  bath: setup.heating !== 'dry block',
  block: setup.heating !== 'boiling water',
  metal: { pieces: 3, form: setup.form },
  thermometer: setup.thermometer,
  thermometers: 2,
  balance: setup.readability,
  losses: setup.losses,
  slots: [...SLOTS],
  carries: ['m'],
  means: {
    T1: 'temperature of the liquid before',
    Th: 'temperature of the hot metal',
    T2: 'temperature of both together',
  },
});

/** What the liquid took up for each kelvin, as a student has it from the data book, J/K. */
const liquidJPerK = (row: Row, of: Record<'m1' | 'm2', number>) =>
  (of.m2 - of.m1) * (row.readings.T1?.about.jPerGK ?? 0);

const vesselJPerK = (row: Row) => heatVesselOf(row.readings.T2?.about.type ?? 'foam-cup').jPerK * row.vesselPart;

const heatFrom =
  (isVesselCounted = true) =>
  (row: Row): number | undefined => {
    const of = valuesOf(row, SLOTS);
    if (!of) return undefined;
    const all = liquidJPerK(row, of) + (isVesselCounted ? vesselJPerK(row) : 0);
    return (all * (of.T2 - of.T1)) / (of.m * (of.Th - of.T2));
  };

/** The same from the step that was drawn. */
const drawn = (row: Row): number | undefined => {
  const other = asDrawn(row);
  return other && heatFrom()(other);
};

const resultsOf = (rows: readonly Row[]): Record<string, number> => {
  const specificHeat = meanOf(rows, heatFrom());
  return specificHeat === undefined ? {} : { specificHeat };
};

const likeness = ({ id, name, jPerGK }: (typeof GIVEN)[number]): Likeness => ({
  name,
  look: materialOf(id).look,
  values: { specificHeat: jPerGK },
});

/** How near two may lie that a careful student tells apart, as a part: twice the best uncertainty with the thermometer. */
const TOLD_APART = { 'glass 0.2': 0.04, 'digital 0.1': 0.04, 'digital 0.01': 0.03 };

/** Values with a mistake of working, as factors of what is right. */
function slipsOf(rows: readonly Row[]) {
  const right = meanOf(rows, heatFrom());
  const factorOf = (of: (row: Row) => number | undefined) => {
    const wrong = meanOf(rows, of);
    return right && wrong ? wrong / right : undefined;
  };
  const other = (change: (of: Record<(typeof SLOTS)[number], number>, row: Row) => number) =>
    factorOf((row) => {
      const of = valuesOf(row, SLOTS);
      return of && change(of, row);
    });
  const all = (of: Record<'m1' | 'm2', number>, row: Row) => liquidJPerK(row, of) + vesselJPerK(row);
  const slips = [
    { key: 'noVessel', label: 'The heat capacity of the vessel left out', factor: factorOf(heatFrom(false)) },
    {
      key: 'sameStep',
      label: 'The step of the liquid taken for that of the metal too',
      factor: other((of, row) => all(of, row) / of.m),
    },
    {
      key: 'upsideDown',
      label: 'The steps of metal and liquid the wrong way round',
      factor: other((of, row) => (all(of, row) * (of.Th - of.T2)) / (of.m * (of.T2 - of.T1))),
    },
    {
      key: 'celsius',
      label: 'A temperature in °C in the place of a difference',
      factor: other((of, row) => (all(of, row) * (of.T2 - of.T1)) / (of.m * of.Th)),
    },
    {
      key: 'drawn',
      label: 'The step drawn to the moment of mixing, in place of the temperature read after it',
      factor: factorOf(drawn),
    },
    { key: 'kilojoule', label: 'kJ for J', factor: 1e-3 },
    { key: 'sign', label: 'The sign of a difference', factor: -1 },
  ];
  return slips.flatMap(({ factor, ...slip }) => (factor ? [{ ...slip, quantity: HEAT.key, factor }] : []));
}

export const metalByHeat: Kind<Setup> = {
  id: 'metal-by-heat',
  title: 'A metal by its specific heat',
  summary: 'Carry a hot piece of metal into cool water, follow both until they agree, and name the metal.',
  setup: setupSchema,
  isVesselTold: true,
  unseen: { part: 0.008, kelvin: 0 },
  method: (plan) => methodOfParts(metalParts(plan), 2, AGAIN(2)),
  room: () => 300,
  draw: (setup, seed, index) => {
    const order = shuffled(setup.metals.length, chance(seed, 'pool'));
    const id = setup.metals[order[index % setup.metals.length] as number] as string;
    // As large as they hold about as much heat: light for what holds much, heavy for what holds little.
    const holdsJPerK = drawnValue(22, 34, seed, index);
    const largest = Math.min(holdsJPerK / heatOf(id).jPerGK, 160);
    return {
      ...roomOf(seed, index),
      ...NOTHING,
      metal: { id, piecesG: [1, 0.72, 0.48].map((part) => part * largest) },
      bottles: [WATER, ...setup.liquids.map((liquidId) => ({ liquidId, molPerL: {} }))],
      task: setup.named ? `Your metal: ${heatOf(id).name}` : null,
      capacity: drawnCapacity(seed, index),
    };
  },
  plan: planOf,
  objections: ({ metals, thermometer: kind }) => {
    const sentence = pairObjection(
      metals.map((id) => likeness(heatOf(id))),
      (_, value) => TOLD_APART[kind] * value,
      'Leave one of them out.',
    );
    return sentence === null ? [] : [{ field: 'metals', sentence }];
  },
  brief: (setup) => ({
    question: [
      'Under the lamp stood three weights of one metal, of different size. Nobody has dared to scratch them.',
      `How much heat does it take to warm one gram by one kelvin?${setup.named ? '' : ' Which metal is it?'}`,
    ],
    working: [
      CONVENTION,
      ...(setup.liquids.length > 0 ? ['The data book has the other liquids.'] : []),
      ...vesselWords(setup.vessels),
      'What liquid and vessel took up, the metal gave.',
      `Take the mean of your trials.${setup.named ? '' : ' Compare with the data book.'}`,
    ],
    know: lossWords(setup.losses),
  }),
  tables: (setup) =>
    tablesFor(planOf(setup), [
      { name: 'liquid', symbol: 'm_l', unit: 'g', formula: 'm_2 - m_1' },
      { name: 'liquid warmed by', symbol: 'd_l', unit: 'K', formula: 'T_2 - T_1' },
      { name: 'metal cooled by', symbol: 'd_m', unit: 'K', formula: 'T_h - T_2' },
    ]),
  quantities: () => [
    { ...HEAT, kind: 'number' },
    { key: 'name', label: 'What the metal is', kind: 'name', options: NAMES },
  ],
  truths: (_, sample) => {
    const { jPerGK, name } = heatOf(sample.metal?.id ?? '');
    return { specificHeat: jPerGK, name };
  },
  asks: (setup) =>
    reportOf({
      measured: {
        label: 'Which temperature do liquid and metal have in common?',
        options: [
          'The one after, when it rises no more',
          'The one of the hot bath',
          'The one of the liquid before',
          'The mean of before and after',
        ],
      },
      hypothesis: setup.hypothesis
        ? {
            label: 'Hypothesis: hot metal comes into as much cool water by mass. Where do they meet?',
            options: [
              'Half way between them',
              'Near the temperature of the water',
              'Near the temperature of the metal',
            ],
          }
        : null,
      results: [
        askFor(HEAT, setup.bandsPercent, 'The mean of your trials, with its uncertainty.'),
        ...(setup.named
          ? []
          : [
              askName(
                'What is the metal?',
                NAMES,
                'Compare with the data book, look at it, and think of what your uncertainty leaves open.',
              ),
            ]),
      ],
      working: 'What the liquid took up, what the vessel took up, and what that makes of a gram of the metal.',
      evidence: {
        help: 'Which reading leaves most open, and which other metals can you not rule out?',
        words: ['heat'],
      },
      aims: [
        'Follow heat from one body into another',
        'Choose amounts that give a large step',
        'Say which names an uncertain value leaves open',
      ],
    }),
  results: (_, __, rows) => resultsOf(rows),
  hints: () => ({
    specificHeat: 'The step of the liquid is the smaller difference of temperature, and limits the result most.',
  }),
  leftOpen: (_, sample, { results, uncertainties }) => {
    const { specificHeat } = results;
    const values: Record<string, number> = specificHeat === undefined ? {} : { specificHeat };
    const look = materialOf(sample.metal?.id ?? '').look;
    const found = { name: '', look, values };
    // Two standard uncertainties: about one in twenty lies further off.
    return { name: namesLeftOpen(GIVEN.map(likeness), found, () => 2 * (uncertainties.specificHeat ?? 0)) };
  },
  slips: (_, __, rows) => slipsOf(rows),
  truth: (_, sample) => {
    const metal = heatOf(sample.metal?.id ?? '');
    return [
      { label: 'What it is', text: metal.name },
      { label: 'Specific heat capacity', text: `${metal.jPerGK.toFixed(metal.decimals)} J g⁻¹ K⁻¹` },
      { label: 'Pieces', text: (sample.metal?.piecesG ?? []).map((grams) => `${grams.toFixed(3)} g`).join(', ') },
    ];
  },
  pool: (_, sample) => ({ specificHeat: heatOf(sample.metal?.id ?? '').name }),
  symbols: { specificHeat: 'c' },
  nothingYet:
    'There is no whole trial yet: the mass of the metal, the cup empty and with liquid, and three temperatures.',
};
