import { z } from 'zod';
import { heatVesselOf, CUP_IDS } from '../../../databook/heat-vessels';
import { chance } from '../../../random';
import { askFor, reportOf } from '../../report-parts';
import { drawnValue } from '../../sample-values';
import { hypothesisFirst } from '../../settings-parts';
import { drawnCapacity } from '../begin';
import type { Kind } from '../kind';
import { AGAIN } from '../methods/in-the-cup';
import { portionsParts } from '../methods/portions';
import { methodOfParts } from '../parts';
import { WATER_J_PER_G_K as c } from '../matter';
import { asDrawn, meanOf, valuesOf } from '../reading/rows';
import type { Row } from '../reading/row';
import { NOTHING, roomOf, WATER } from '../sample';
import { CONVENTION, lossWords, losses, NO_PLAN, readability, tablesFor, thermometer } from './settings';

const setupSchema = z.object({
  vessel: z.enum(CUP_IDS).default('glass-beaker').meta({
    label: 'Vessel',
    help: 'What a foam cup takes up hardly stands out of the uncertainty of a glass thermometer: that, too, is a result.',
  }),
  thermometer,
  readability,
  losses,
  hypothesis: hypothesisFirst(true),
  bandsJPerK: z
    .array(z.number().positive('A band is a number above 0.').max(100, 'A band is at most 100 J/K.'))
    .min(1, 'Give at least one tolerance band.')
    .max(4, 'Give at most four tolerance bands.')
    .default([5, 10, 20])
    .meta({ label: 'Tolerance bands', unit: 'J/K', help: 'For instance 5, 10: within 5 J/K, 10 J/K.' }),
});
type Setup = z.infer<typeof setupSchema>;

const CAPACITY = { key: 'capacity', label: 'Heat capacity of the vessel', unit: 'J/K', digits: 2 };
const SLOTS = ['m1', 'm2', 'm3', 'T1', 'Th', 'T2'] as const;

const planOf = (setup: Setup) => ({
  ...NO_PLAN,
  vessels: [setup.vessel],
  beaker: true,
  bath: true,
  thermometer: setup.thermometer,
  balance: setup.readability,
  losses: setup.losses,
  slots: [...SLOTS],
  means: {
    m2: 'mass of the cup with the cool water',
    m3: 'mass of the cup with both portions',
    T1: 'temperature of the cool water',
    Th: 'temperature of the warm water',
    T2: 'temperature of both together',
  },
});

/** What the warm portion gave and the cool one did not take: by the vessel, for each kelvin that it was warmed. */
function capacityOf(row: Row): number | undefined {
  const of = valuesOf(row, SLOTS);
  if (!of) return undefined;
  const gave = (of.m3 - of.m2) * c * (of.Th - of.T2);
  const took = (of.m2 - of.m1) * c * (of.T2 - of.T1);
  return (gave - took) / (of.T2 - of.T1);
}

const resultsOf = (rows: readonly Row[]): Record<string, number> => {
  const capacity = meanOf(rows, capacityOf);
  return capacity === undefined ? {} : { capacity };
};

/** The same with a mistake in it, as a factor of what is right. */
function slipped(rows: readonly Row[], of: (row: Row) => number | undefined): number | undefined {
  const [right, wrong] = [meanOf(rows, capacityOf), meanOf(rows, of)];
  return right && wrong ? wrong / right : undefined;
}

export const portions: Kind<Setup> = {
  id: 'two-portions',
  title: 'Two portions of water',
  summary: 'Pour warm water into cool, predict where they meet, and find what the vessel has kept for itself.',
  setup: setupSchema,
  isVesselTold: false,
  unseen: { part: 0, kelvin: 0.1 },
  method: (plan) => methodOfParts(portionsParts(plan), 2, AGAIN(2)),
  room: () => 300,
  draw: (_, seed, index) => {
    const coolMl = Math.round(drawnValue(60, 110, seed, index));
    const source = chance(seed, `portions ${index}`);
    const warmMl = 60 + Math.round(50 * source.uniform());
    const warmC = 45 + Math.round(20 * source.uniform());
    return {
      ...roomOf(seed, index),
      ...NOTHING,
      bottles: [WATER],
      task: `Your portions: ${coolMl} mL of water from the bottle, ${warmMl} mL of water at about ${warmC} °C`,
      capacity: drawnCapacity(seed, index),
    };
  },
  plan: planOf,
  brief: (setup) => ({
    question: [
      'What does the calorimeter of the light keeper’s laboratory keep for itself?',
      'You find it with nothing but water. First predict at what temperature both portions will meet.',
    ],
    working: [
      CONVENTION,
      'The warm portion gave more heat than the cool one took. The vessel took the rest.',
      'Divide that by the kelvins that the vessel was warmed: it is its heat capacity.',
      'Take the mean of your trials, with its uncertainty.',
    ],
    know: [
      'The amounts on your card are about. What counts is what you weigh.',
      'Stirrer and thermometer count as parts of the vessel.',
      'Is the uncertainty as large as the value? Then that is what you have found: say so.',
      ...lossWords(setup.losses),
    ],
  }),
  tables: (setup) =>
    tablesFor(planOf(setup), [
      { name: 'cool water', symbol: 'm_c', unit: 'g', formula: 'm_2 - m_1' },
      { name: 'warm water', symbol: 'm_w', unit: 'g', formula: 'm_3 - m_2' },
      { name: 'cool one warmed by', symbol: 'd_c', unit: 'K', formula: 'T_2 - T_1' },
      { name: 'warm one cooled by', symbol: 'd_w', unit: 'K', formula: 'T_h - T_2' },
    ]),
  quantities: () => [{ ...CAPACITY, kind: 'number' }],
  truths: (setup, sample) => ({ capacity: heatVesselOf(setup.vessel).jPerK * sample.capacity }),
  asks: (setup) => {
    const report = reportOf({
      measured: {
        label: 'What tells that the vessel took up heat?',
        options: [
          'The two meet at a lower temperature than their own amounts would give',
          'The two meet exactly half way',
          'The water weighs less afterwards',
          'The vessel feels warm from outside',
        ],
      },
      hypothesis: setup.hypothesis
        ? {
            label: 'Hypothesis: where will the two portions meet?',
            options: [
              'Half way between them',
              'Nearer to the larger one',
              'Nearer to the warmer one',
              'Nearer to the cooler one',
            ],
          }
        : null,
      results: [
        {
          ...askFor(CAPACITY, [], 'The mean of your trials, with its uncertainty.'),
          bandsInUnit: [...setup.bandsJPerK].sort((a, b) => a - b),
        },
      ],
      working: 'What the warm portion gave, what the cool one took, and what is left for the vessel.',
      evidence: { help: 'How sure are you of the vessel, and what of your reading leaves most open?', words: ['heat'] },
      aims: [
        'Predict where two temperatures meet',
        'Say where heat went that is missing',
        'Judge whether a small difference means anything',
      ],
    });
    const predicted = {
      when: 'before' as const,
      required: true,
      kind: 'number' as const,
      key: 'predicted',
      label: 'Predicted temperature at which your two portions meet',
      help: 'Worked out from your own amounts and temperatures, before you pour.',
      quantity: null,
      unit: '°C',
      expected: null,
      digits: null,
      bandsPercent: [],
      bandsInUnit: [],
    };
    const at = report.findIndex(({ when }) => when !== 'before');
    return [...report.slice(0, at), predicted, ...report.slice(at)];
  },
  results: (_, __, rows) => resultsOf(rows),
  hints: () => ({
    capacity: 'It depends on small differences of temperature: the last digit of the thermometer counts most.',
  }),
  slips: (_, __, rows) => {
    const noCool = slipped(rows, (row) => {
      const of = valuesOf(row, SLOTS);
      return of && ((of.m3 - of.m2) * c * (of.Th - of.T2)) / (of.T2 - of.T1);
    });
    const total = slipped(rows, (row) => {
      const of = valuesOf(row, SLOTS);
      return of && (of.m3 - of.m2) * c * (of.Th - of.T2) - (of.m2 - of.m1) * c * (of.T2 - of.T1);
    });
    const drawn = slipped(rows, (row) => {
      const other = asDrawn(row);
      return other && capacityOf(other);
    });
    return [
      ...(drawn
        ? [
            {
              key: 'drawn',
              label: 'The step drawn to the moment of mixing, in place of the temperature read after it',
              quantity: 'capacity',
              factor: drawn,
            },
          ]
        : []),
      ...(noCool ? [{ key: 'cool', label: 'The cool water left out', quantity: 'capacity', factor: noCool }] : []),
      ...(total
        ? [
            {
              key: 'total',
              label: 'Not divided by how much the vessel was warmed',
              quantity: 'capacity',
              factor: total,
            },
          ]
        : []),
      {
        key: 'sign',
        label: 'The sign: what was given and what was taken the other way round',
        quantity: 'capacity',
        factor: -1,
      },
    ];
  },
  truth: (setup, sample) => [
    { label: 'Heat capacity', text: `${(heatVesselOf(setup.vessel).jPerK * sample.capacity).toFixed(1)} J/K` },
    { label: 'Vessel', text: heatVesselOf(setup.vessel).name },
  ],
  symbols: { capacity: 'C' },
  nothingYet: 'There is no whole trial yet: three masses and three temperatures, of one cup.',
};
