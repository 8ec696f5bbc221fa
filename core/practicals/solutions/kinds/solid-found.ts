import { z } from 'zod';
import { fixed } from '../../../analysis/quantity';
import { benchSolutionOf } from '../../../databook/bench-solutions';
import { weighedOf } from '../../../databook/weighed-solids';
import { chance, shuffled } from '../../../random';
import { askFor, reportOf } from '../../report-parts';
import { drawnValue } from '../../sample-values';
import { bands } from '../../settings-parts';
import type { Kind } from '../kind';
import { weighedMethod, type Mixing } from '../methods/weighed';
import type { Row } from '../rows';
import { roomOf, type Sample } from '../sample';
import { weighedGPerMol } from '../solids/left-behind';
import { common, meanOf, planFor, solidG, tablesFor } from './weighed-parts';

/** What can be found by weighing: the solution that it is in, and the solid that falls of it. */
const UNKNOWNS = {
  chloride: { id: 'silver-chloride', unknown: 'sodium-chloride' },
  sulfate: { id: 'barium-sulfate', unknown: 'sodium-sulfate' },
  oxalate: { id: 'calcium-oxalate', unknown: 'potassium-oxalate' },
} as const;
type Unknown = keyof typeof UNKNOWNS;
const UNKNOWN_IDS = Object.keys(UNKNOWNS) as [Unknown, ...Unknown[]];

const setupSchema = z.object({
  unknowns: z
    .array(z.enum(UNKNOWN_IDS))
    .min(1, 'Choose at least one.')
    .default([...UNKNOWN_IDS])
    .meta({
      label: 'Concentration to be found of',
      help: 'Each student has one of them. Calcium oxalate keeps the water of its crystals up to 130 °C. At 200 °C it has lost it, and only glass-fibre paper lasts.',
      options: { chloride: 'a chloride', sulfate: 'a sulfate', oxalate: 'an oxalate' },
    }),
  ...common,
  bandsPercent: bands([1, 2, 4]),
});
type Setup = z.infer<typeof setupSchema>;

const MOLAR = { key: 'molar', label: 'Concentration of A', unit: 'mol/L', digits: 3 };

/** Concentration of what was measured of A, by one mixture, mol/L. */
function molarIn(row: Row, sample: Sample): number | undefined {
  const solid = solidG(row);
  const ml = row.readings.vA?.value;
  if (!solid || !ml || !sample.weighed) return undefined;
  const { sides, makes } = weighedOf(sample.weighed.id);
  const count = sides.find(({ id }) => id === sample.bottles[0]?.id)?.count ?? 1;
  return ((solid.g / weighedGPerMol(sample, solid.isTurned)) * count) / makes / (ml / 1000);
}

/** mL of A, and of B: enough for the strongest A. */
const MIXED_ML = [20, 30] as const;
const MIXING: Mixing = {
  does: `Measure ${MIXED_ML[0]} mL of A into a beaker, and add ${MIXED_ML[1]} mL of B. Record the volumes.`,
  how: ['The pipette takes 10 mL at the most: use it several times. Then stir.'],
};

export const solidFound: Kind<Setup> = {
  id: 'solid-found',
  title: 'A concentration by weighing',
  summary:
    'All of a chloride, sulfate or oxalate is made to fall, filtered, dried and weighed. The mass tells the concentration.',
  setup: setupSchema,
  room: () => 400,
  draw: (setup, seed, index) => {
    const order = shuffled(setup.unknowns.length, chance(seed, 'unknowns'));
    const { id, unknown } = UNKNOWNS[setup.unknowns[order[index % order.length] as number] as Unknown];
    const reagent = weighedOf(id).sides.find((one) => one.id !== unknown)?.id ?? 'silver-nitrate';
    const molPerL = drawnValue(0.06, 0.16, `${seed} unknown`, index);
    const known = Number((0.15 + 0.04 * chance(seed, `reagent ${index}`).uniform()).toPrecision(3));
    return {
      roomC: roomOf(seed, index),
      bottles: [
        { id: unknown, molPerL, says: `${benchSolutionOf(unknown).name}, to be found` },
        { id: reagent, molPerL: known, says: `${benchSolutionOf(reagent).name}, ${known.toPrecision(3)} mol/L` },
      ],
      reaction: null,
      weighed: { id, volumes: null },
      jar: null,
      task: null,
    };
  },
  plan: planFor,
  objections: (setup) =>
    setup.balance === '0.01'
      ? [
          {
            field: 'balance',
            sentence: 'Some 0.3 g are weighed: to a hundredth of a gram that is too coarse. Take a finer balance.',
          },
        ]
      : [],
  brief: (setup) => ({
    question: [
      'Bottle A holds a salt. Its name stands on the label, but nobody knows how much is dissolved.',
      'Bottle B makes all of it fall as a solid. Find the concentration of A.',
    ],
    working: [
      'The mass of the solid is the dried paper with it, less the dry paper.',
      'Divide by the molar mass of the solid: that is its amount.',
      'The equation tells the amount of the salt in the 20 mL of A.',
      ...(setup.unknowns.includes('oxalate')
        ? [
            'Calcium oxalate falls with one water in its crystals. It keeps this water at 105 °C.',
            'In a hotter oven it loses it: the data book (“Solutions that react”) says where. Use the form that you weighed.',
          ]
        : []),
    ],
    know: ['Has all of it fallen? Let it settle, and add a little more of B. Nothing may fall any more.'],
  }),
  tables: (setup) => tablesFor(planFor(setup)),
  quantities: () => [{ ...MOLAR, kind: 'number' }],
  truths: (_, sample) => ({ molar: sample.bottles[0]?.molPerL ?? NaN }),
  hidden: (sample) => [sample.bottles[0]?.molPerL ?? 0],
  asks: (setup) =>
    reportOf({
      measured: {
        label: 'Why is B added in excess?',
        options: [
          'So that all of what is to be found falls',
          'So that the solid becomes heavier by B',
          'So that the solid dries faster',
          'So that nothing clings to the beaker',
        ],
      },
      hypothesis: setup.hypothesis
        ? {
            label: 'Hypothesis: if the solid is weighed before it is dry, the concentration comes out',
            options: ['too large', 'too small', 'the same, for only the amount of A counts'],
          }
        : null,
      results: [askFor(MOLAR, setup.bandsPercent)],
      working: 'The mass of the solid, its amount, the amount in A, and the concentration.',
      evidence: { help: 'How do you know that all has fallen, and that the solid was dry and clean?', words: ['mass'] },
      aims: ['Let a solid fall whole', 'Filter, wash and dry to constant mass', 'Go from a mass to a concentration'],
    }),
  results: (_, sample, rows) => {
    const molar = meanOf(rows, (row) => molarIn(row, sample));
    return molar === undefined ? ({} as Record<string, number>) : { molar };
  },
  hints: () => ({ molar: 'A second portion of A would tell how well yours agree.' }),
  slips: (_, sample, rows) => {
    const [row] = rows.filter((one) => molarIn(one, sample));
    const solid = row && solidG(row);
    if (!row || !solid || !sample.weighed) return [];
    const { loses } = weighedOf(sample.weighed.id);
    const mP = row.readings.mP?.value ?? 0;
    const other = weighedGPerMol(sample, solid.isTurned) / weighedGPerMol(sample, !solid.isTurned);
    return [
      {
        key: 'paper',
        label: 'The mass of the paper not taken off',
        quantity: MOLAR.key,
        factor: (solid.g + mP) / solid.g,
      },
      ...(loses ? [{ key: 'form', label: 'Molar mass of the other form', quantity: MOLAR.key, factor: other }] : []),
    ];
  },
  truth: (_, sample) => [
    {
      label: 'Bottle A',
      text: `${benchSolutionOf(sample.bottles[0]?.id ?? '').name}, ${fixed(sample.bottles[0]?.molPerL ?? NaN, 4)} mol/L`,
    },
    { label: 'What falls', text: weighedOf(sample.weighed?.id ?? '').equation },
  ],
  symbols: { molar: 'c_A' },
  nothingYet: 'There is no concentration yet: record the volume of A, the paper, and the paper with its dried solid.',
  method: (plan) => weighedMethod(plan, () => MIXED_ML, {}, MIXING),
};
