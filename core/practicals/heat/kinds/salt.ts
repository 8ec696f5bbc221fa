import { z } from 'zod';
import { heatVesselOf } from '../../../databook/heat-vessels';
import { SALT_IDS, saltOf, solutionJPerG, type Salt } from '../../../databook/salts';
import { fixed } from '../../../analysis/quantity';
import { chance, shuffled } from '../../../random';
import { namesLeftOpen, pairObjection, type Likeness } from '../../look-alikes';
import { askFor, askName, reportOf } from '../../report-parts';
import { drawnValue } from '../../sample-values';
import { bands, hypothesisFirst } from '../../settings-parts';
import { drawnCapacity } from '../begin';
import type { Kind } from '../kind';
import { AGAIN } from '../methods/in-the-cup';
import { saltParts } from '../methods/salt';
import { methodOfParts } from '../parts';
import { GRAINS, type Plan } from '../plan';
import { WATER_J_PER_G_K as c } from '../matter';
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

const setupSchema = z.object({
  salts: z
    .array(z.enum(SALT_IDS))
    .min(2, 'Choose at least two salts: with one there is nothing to be named.')
    .default([
      'ammonium-nitrate', 'ammonium-chloride', 'sodium-nitrate', 'sodium-nitrite', 'potassium-bromide', 'potassium-iodide',
      'sodium-acetate', 'sodium-acetate-3-water', 'lithium-chloride', 'lithium-chloride-1-water', 'potassium-acetate',
    ])
    .meta({ label: 'Salts', help: 'Each student is given one of these; they are the names that are offered.' }),
  grain: z.enum(GRAINS).default('fine').meta({
    label: 'Grain of the salt',
    help: 'Coarse grains take about three times as long to dissolve.',
  }),
  vessels: vessels(['foam-cup']),
  thermometer,
  readability,
  losses,
  hypothesis: hypothesisFirst(true),
  bandsPercent: bands([3, 5, 10]),
}); // prettier-ignore
type Setup = z.infer<typeof setupSchema>;

const SLOTS = ['m', 'mb', 'm1', 'm2', 'T1', 'T2'] as const;
const PER_GRAM = { key: 'perGram', label: 'Heat that a gram takes up when it dissolves', unit: 'J/g', digits: 2 };
const PER_MOLE = { key: 'perMole', label: 'Enthalpy of solution of the salt that it is', unit: 'kJ/mol', digits: 2 };

const planOf = (setup: Setup): Plan => ({
  ...NO_PLAN,
  vessels: setup.vessels,
  salt: true,
  grain: setup.grain,
  thermometer: setup.thermometer,
  balance: setup.readability,
  losses: setup.losses,
  slots: [...SLOTS],
  means: {
    m: 'mass of the boat with the salt',
    mb: 'mass of the boat afterwards',
    m2: 'mass of the cup with the water',
    T1: 'temperature of the water before',
    T2: 'temperature of the solution',
  },
  heads: { m: 'boat' },
});

const vesselJPerK = (row: Row) => heatVesselOf(row.readings.T2?.about.type ?? 'foam-cup').jPerK * row.vesselPart;

/** Heat that the salt took up, J, and the mass of it, g: where it cools, it takes up. */
function heatOf(row: Row) {
  const of = valuesOf(row, SLOTS);
  if (!of) return undefined;
  const [waterG, saltG, stepK] = [of.m2 - of.m1, of.m - of.mb, of.T2 - of.T1];
  return { waterG, saltG, stepK, joules: -(waterG * c + vesselJPerK(row)) * stepK, of };
}

const perGramOf = (row: Row): number | undefined => {
  const heat = heatOf(row);
  return heat && heat.saltG > 0 ? heat.joules / heat.saltG : undefined;
};

const resultsOf = (saltId: string | null, rows: readonly Row[]): Record<string, number> => {
  const perGram = meanOf(rows, perGramOf);
  if (perGram === undefined || !saltId) return {};
  return { perGram, perMole: (perGram * saltOf(saltId).molarMassGPerMol) / 1000 };
};

const likeness = (salt: Salt): Likeness => ({
  name: salt.name,
  look: 'white',
  values: { perGram: solutionJPerG(salt) },
});

const TOLD_APART = { 'glass 0.2': 0.06, 'digital 0.1': 0.05, 'digital 0.01': 0.04 };

function drawnFactor(rows: readonly Row[], right: number | undefined): number | undefined {
  const value = meanOf(rows, (row) => {
    const other = asDrawn(row);
    return other && perGramOf(other);
  });
  return right && value ? value / right : undefined;
}

function slipsOf(saltId: string | null, rows: readonly Row[]) {
  const right = meanOf(rows, perGramOf);
  const factorOf = (of: (heat: NonNullable<ReturnType<typeof heatOf>>) => number) => {
    const wrong = meanOf(rows, (row) => {
      const heat = heatOf(row);
      return heat && heat.saltG > 0 ? of(heat) : undefined;
    });
    return right && wrong ? wrong / right : undefined;
  };
  const slips = [
    { key: 'sign', label: 'The sign: what takes up heat makes its surroundings colder', factor: -1 },
    {
      key: 'drawn',
      label: 'The step drawn to the moment of mixing, in place of the temperature read after it',
      factor: drawnFactor(rows, right),
    },
    { key: 'kilojoule', label: 'J and kJ mistaken for one another', factor: 1e-3 },
    {
      key: 'solution',
      label: 'The mass of the solution in place of that of the water',
      factor: factorOf(({ joules, saltG, stepK }) => (joules - saltG * c * stepK) / saltG),
    },
    {
      key: 'noVessel',
      label: 'The heat capacity of the vessel left out',
      factor: factorOf(({ waterG, saltG, stepK }) => (-waterG * c * stepK) / saltG),
    },
    {
      key: 'saltOnly',
      label: 'The mass of the salt in place of that of the water',
      factor: factorOf(({ stepK }) => -c * stepK),
    },
    {
      key: 'boat',
      label: 'The boat weighed with the salt',
      factor: factorOf(({ joules, of }) => joules / of.m),
    },
  ];
  const perGram = slips.flatMap(({ factor, ...slip }) => (factor ? [{ ...slip, quantity: 'perGram', factor }] : []));
  const perMole = perGram.map((slip) => ({ ...slip, quantity: 'perMole' }));
  const molar = saltId ? saltOf(saltId).molarMassGPerMol : 0;
  return [
    ...perGram,
    ...perMole,
    ...(molar > 0
      ? [{ key: 'asGram', label: 'The mass of the salt for its amount', quantity: 'perMole', factor: 1 / molar }]
      : []),
  ];
}

export const saltByHeat: Kind<Setup> = {
  id: 'salt-by-heat',
  title: 'A salt that dissolves',
  summary: 'Dissolve a salt, see how far the temperature falls or rises, and name it by its heat of solution.',
  setup: setupSchema,
  isVesselTold: true,
  unseen: { part: 0.026, kelvin: 0 },
  method: (plan) => methodOfParts(saltParts(plan), 2, AGAIN(2)),
  room: () => 300,
  draw: (setup, seed, index) => {
    const order = shuffled(setup.salts.length, chance(seed, 'pool'));
    const saltId = setup.salts[order[index % setup.salts.length] as number] as string;
    const salt = saltOf(saltId);
    // As much as moves a hundred grams of water by some five kelvin, and dissolves in them by far.
    const wantsG = (drawnValue(4, 6, seed, index) * 430) / Math.abs(solutionJPerG(salt));
    const grams = Math.max(2, Math.min(wantsG, 12, salt.solubilityG / 4));
    return {
      ...roomOf(seed, index),
      ...NOTHING,
      saltId,
      bottles: [WATER],
      task: `Your amounts: about ${fixed(grams, 1)} g of the salt in about ${70 + ((7 * index) % 31)} mL of water`,
      capacity: drawnCapacity(seed, index),
    };
  },
  plan: planOf,
  objections: ({ salts, thermometer: kind }) => {
    const sentence = pairObjection(
      salts.map((id) => likeness(saltOf(id))),
      (_, value) => Math.abs(TOLD_APART[kind] * value),
      'Leave one of them out.',
    );
    return sentence === null ? [] : [{ field: 'salts', sentence }];
  },
  brief: (setup) => ({
    question: [
      `Salts kept the instrument cases dry. The damp has taken their labels, and all are white${setup.grain === 'coarse' ? ', in coarse grains' : ''}.`,
      'Some warm the water when they dissolve, others cool it. How much, for each gram? Which salt is yours?',
      `It is one of these: ${setup.salts.map((id) => saltOf(id).name).join(', ')}.`,
    ],
    working: [
      CONVENTION,
      ...vesselWords(setup.vessels),
      'What water and vessel lost, the salt took up. That counts as positive.',
      'Divide by the grams that dissolved, and take the mean of your trials.',
      'The data book has enthalpies of solution for one mole, in much water.',
    ],
    know: lossWords(setup.losses),
  }),
  tables: (setup) =>
    tablesFor(planOf(setup), [
      { name: 'salt', symbol: 'm_s', unit: 'g', formula: 'm - m_b' },
      { name: 'water', symbol: 'm_w', unit: 'g', formula: 'm_2 - m_1' },
      { name: 'step', symbol: 'd', unit: 'K', formula: 'T_2 - T_1' },
    ]),
  quantities: (setup) => [
    { ...PER_GRAM, kind: 'number' },
    { ...PER_MOLE, kind: 'number' },
    { key: 'name', label: 'What the salt is', kind: 'name', options: namesIn(setup) },
  ],
  truths: (_, sample) => {
    const salt = saltOf(sample.saltId ?? '');
    return { perGram: solutionJPerG(salt), perMole: salt.enthalpyKJPerMol, name: salt.name };
  },
  asks: (setup) =>
    reportOf({
      measured: {
        label: 'A salt cools the water that it dissolves in. Which way does heat go?',
        options: [
          'From the water into the salt that dissolves',
          'From the salt into the water',
          'From the room into the water, and so the water cools',
          'Nowhere: it is only a feeling',
        ],
      },
      hypothesis: setup.hypothesis
        ? {
            label: 'Hypothesis: twice as much of the salt is dissolved in as much water. The step of the temperature',
            options: [
              'stays the same',
              'becomes about twice as large',
              'becomes half as large',
              'becomes four times as large',
            ],
          }
        : null,
      results: [
        askFor(
          PER_GRAM,
          setup.bandsPercent,
          'Positive where the solution becomes colder. The mean of your trials, with its uncertainty.',
        ),
        askName('What is the salt?', namesIn(setup), 'Compare with what a gram of each should take up.'),
        askFor(PER_MOLE, setup.bandsPercent, 'From your own J/g and the molar mass of the salt that you named.'),
      ],
      working: 'What water and vessel lost or gained, and what that makes for a gram and for a mole.',
      evidence: { help: 'Which of the salts can you not rule out, and by what?', words: ['heat'] },
      aims: [
        'Tell which way heat went, with its sign',
        'Get from a temperature to kJ/mol',
        'Draw a step of temperature to the moment of mixing',
      ],
    }),
  results: (_, sample, rows) => resultsOf(sample.saltId, rows),
  hints: () => ({ perGram: 'The step of the temperature limits the result most. Take more salt, or less water.' }),
  leftOpen: (setup, _, { results, uncertainties }) => {
    const { perGram } = results;
    const values: Record<string, number> = perGram === undefined ? {} : { perGram };
    const candidates = setup.salts.map((id) => likeness(saltOf(id)));
    return {
      name: namesLeftOpen(candidates, { name: '', look: 'white', values }, () => 2 * (uncertainties.perGram ?? 0)),
    };
  },
  slips: (_, sample, rows) => slipsOf(sample.saltId, rows),
  truth: (_, sample) => {
    const salt = saltOf(sample.saltId ?? '');
    return [
      { label: 'What it is', text: salt.name },
      {
        label: 'Heat of solution',
        text: `${fixed(solutionJPerG(salt), 1)} J/g, ${fixed(salt.enthalpyKJPerMol, 2)} kJ/mol`,
      },
    ];
  },
  pool: (_, sample) => ({ perGram: saltOf(sample.saltId ?? '').name }),
  symbols: { perGram: 'q', perMole: 'ΔH' },
  nothingYet:
    'There is no whole trial yet: the boat before and after, the cup empty and with water, and two temperatures.',
};

const namesIn = ({ salts }: Setup) => salts.map((id) => saltOf(id).name).sort((a, b) => a.localeCompare(b, 'en'));
