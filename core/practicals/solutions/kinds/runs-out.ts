import { z } from 'zod';
import { fixed } from '../../../analysis/quantity';
import type { Point } from '../../../analysis/line-fit';
import { gramsPerMol } from '../../../chemistry/molar-mass';
import { benchSolutionOf } from '../../../databook/bench-solutions';
import { carbonateOf, CARBONATE_IDS, CARBONATES, protonsTaken } from '../../../databook/weighed-solids';
import { chance, shuffled } from '../../../random';
import type { Truths } from '../../../report/asks';
import { askFor, askRatio, reportOf } from '../../report-parts';
import { drawnValue } from '../../sample-values';
import { bands, hypothesisFirst } from '../../settings-parts';
import { slotColumn, trialsTable } from '../../tables';
import type { Kind } from '../kind';
import { runsOutMethod } from '../methods/runs-out';
import { BALANCE_IDS, BEAKERS_ALONE, NOTHING_WEIGHED, slotsOf, SLOTS, type Plan } from '../plan';
import { bendOf, type Row } from '../rows';
import { roomOf, type Sample } from '../sample';
import { protonsOf } from '../solids/left-behind';

const ACIDS = ['hydrochloric-acid', 'nitric-acid', 'sulfuric-acid'] as const;

const setupSchema = z.object({
  carbonates: z
    .array(z.enum(CARBONATE_IDS))
    .min(1, 'Choose at least one carbonate.')
    .default([...CARBONATE_IDS])
    .meta({
      label: 'Carbonates that may be drawn',
      options: Object.fromEntries(CARBONATES.map(({ id, name }) => [id, name])),
    }),
  acids: z
    .array(z.enum(ACIDS))
    .min(1, 'Choose at least one acid.')
    .default(['hydrochloric-acid', 'sulfuric-acid'])
    .meta({
      label: 'Acids that may be drawn',
      help: 'Calcium carbonate and sulfuric acid never come together: the solid that falls stops the reaction.',
      options: Object.fromEntries(ACIDS.map((id) => [id, benchSolutionOf(id).name])),
    }),
  asked: z
    .enum(['ratio', 'concentration'])
    .default('ratio')
    .meta({
      label: 'To be found',
      help: 'Where the label of the acid tells its concentration and not its name, the bend gives the ratio. Where it tells the name, the bend gives the concentration.',
      options: { ratio: 'the ratio that reacts', concentration: 'the concentration of the acid' },
    }),
  balance: z.enum(BALANCE_IDS).default('0.001').meta({ label: 'Balance, reads to', unit: 'g' }),
  hypothesis: hypothesisFirst(true),
  bandsPercent: bands([3, 6, 10]),
});
type Setup = z.infer<typeof setupSchema>;

const PER_MOL = {
  key: 'perMol',
  label: 'Amount of acid that one mole of the carbonate uses up',
  unit: 'mol',
  digits: 3,
};
const MOLAR = { key: 'molar', label: 'Concentration of the acid', unit: 'mol/L', digits: 3 };

/** Pairs that can be drawn: calcium sulfate would cover what is left of the solid. */
const pairsOf = ({ carbonates, acids }: Setup) =>
  carbonates.flatMap((jar) =>
    acids.flatMap((acid) => (jar === 'calcium-carbonate' && acid === 'sulfuric-acid' ? [] : [{ jar, acid }])),
  );

const jarWords = (jar: string) => {
  const { name, formula } = carbonateOf(jar);
  return `${name}, ${fixed(gramsPerMol(formula), 2)} g/mol`;
};

/** What the label of the jar says is the student's own; the bench says only that there is one. */
const planFor = ({ balance }: Setup): Plan => ({
  ...NOTHING_WEIGHED,
  ...BEAKERS_ALONE,
  bottles: 1,
  balance,
  jar: 'carbonate',
});

/** mol of acid that one of the carbonate uses up. */
const truePerMol = ({ jar, bottles }: Sample): number =>
  jar ? protonsTaken(carbonateOf(jar)) / protonsOf(bottles[0]?.id ?? '') : NaN;

/** What a mixture tells, for a litre of acid: mol of carbonate put in, and g of gas that left. */
function pointOf({ readings }: Row, { jar }: Sample): Point | undefined {
  const { vA, mB, mE, m1, m2 } = readings;
  if (!vA || !mB || !mE || !m1 || !m2 || !jar || vA.value <= 0) return undefined;
  const grams = mB.value - mE.value;
  const litres = vA.value / 1000;
  return {
    x: grams / gramsPerMol(carbonateOf(jar).formula) / litres,
    y: (m1.value + grams - m2.value) / litres,
  };
}

/** So much carbonate for a litre of acid nobody takes, mol. */
const MOST = 20;
const LEAST_MIXTURES = 4;

function bendIn(rows: readonly Row[], sample: Sample): number | undefined {
  const points = rows.flatMap((row) => pointOf(row, sample) ?? []);
  return points.length < LEAST_MIXTURES ? undefined : bendOf(points, MOST);
}

const ratioText = (perMol: number): string => (perMol >= 1 ? `${perMol} : 1` : `1 : ${1 / perMol}`);

export const runsOut: Kind<Setup> = {
  id: 'runs-out',
  title: 'A reaction that runs out',
  summary:
    'Growing amounts of a carbonate in the same amount of acid. The gas that leaves is weighed, and the bend tells the ratio.',
  setup: setupSchema,
  room: () => 400,
  draw: (setup, seed, index) => {
    const pairs = pairsOf(setup);
    const order = shuffled(Math.max(pairs.length, 1), chance(seed, 'pairs'));
    const { jar, acid } = pairs[order[index % order.length] as number] ?? {
      jar: 'sodium-carbonate',
      acid: 'hydrochloric-acid',
    };
    const range: [number, number] = acid === 'sulfuric-acid' ? [0.5, 0.9] : [0.9, 1.7];
    const drawn = drawnValue(...range, `${seed} acid`, index);
    const isAsked = setup.asked === 'concentration';
    const molPerL = isAsked ? drawn : Number(drawn.toPrecision(3));
    const sample: Sample = {
      roomC: roomOf(seed, index),
      bottles: [
        {
          id: acid,
          molPerL,
          says: isAsked ? `${benchSolutionOf(acid).name}, to be found` : `acid, ${molPerL.toPrecision(3)} mol/L`,
        },
      ],
      reaction: null,
      weighed: null,
      jar,
      task: null,
    };
    const per = truePerMol(sample);
    return {
      ...sample,
      task: `Yours: ${jarWords(jar)}${isAsked ? `; acid and carbonate react ${ratioText(per)}` : ''}.`,
    };
  },
  plan: planFor,
  objections: (setup) => [
    ...(pairsOf(setup).length === 0
      ? [
          {
            field: 'acids',
            sentence:
              'Calcium carbonate needs an acid that makes no solid with calcium: add another acid, or another carbonate.',
          },
        ]
      : []),
    ...(setup.balance === '0.01'
      ? [
          {
            field: 'balance',
            sentence:
              'Half a gram of gas is weighed as a difference: to a hundredth of a gram that is too coarse. Take a finer balance.',
          },
        ]
      : []),
  ],
  brief: (setup) => ({
    question:
      setup.asked === 'ratio'
        ? [
            'The bottle holds an acid without a name. Its label tells the concentration.',
            'The jar holds a carbonate. Its label stands over the bench.',
            'How much of the acid does one mole of the carbonate use up?',
          ]
        : [
            'The bottle holds an acid. Find its concentration.',
            'The jar holds a carbonate. Its label, and the ratio in which both react, stand over the bench.',
          ],
    working: [
      'Carbon dioxide leaves, and the beaker becomes lighter by it.',
      'While acid is left, more carbonate gives more gas. When the acid has run out, more carbonate gives no more.',
      'Draw the mass of the gas against the mass of the carbonate: there are two lines.',
      'Where they cross, acid and carbonate run out together.',
    ],
    know: [
      'Some gas stays dissolved, and some damp leaves with the gas: the same in each mixture.',
      'Both lines are moved by that. The place where they cross is not.',
    ],
  }),
  tables: (setup) => [
    trialsTable(
      'rows',
      'Mixtures',
      slotsOf(planFor(setup)).map((slot) => slotColumn(slot, SLOTS)),
      [
        { name: 'carbonate', symbol: 'm_C', unit: 'g', formula: 'm_B - m_E' },
        { name: 'gas', symbol: 'm_G', unit: 'g', formula: 'm_1 + m_B - m_E - m_2' },
      ],
      { x: 'c0', y: 'c1' },
    ),
  ],
  quantities: ({ asked }) =>
    asked === 'ratio'
      ? [
          { ...PER_MOL, kind: 'number', few: true },
          { key: 'ratio', label: 'Acid : carbonate, in whole numbers', kind: 'ratio' },
        ]
      : [{ ...MOLAR, kind: 'number' }],
  truths: ({ asked }, sample): Truths =>
    asked === 'ratio'
      ? { perMol: truePerMol(sample), ratio: ratioText(truePerMol(sample)) }
      : { molar: sample.bottles[0]?.molPerL ?? NaN },
  hidden: (sample) => [sample.bottles[0]?.molPerL ?? 0],
  asks: (setup) =>
    reportOf({
      measured: {
        label: 'What does the beaker lose while it fizzes?',
        options: [
          'The mass of the gas that leaves, and of the damp that leaves with it',
          'The mass of the carbonate that was put in',
          'The mass of the acid that is used up',
          'Nothing: mass is kept',
        ],
      },
      hypothesis: setup.hypothesis
        ? {
            label: 'Hypothesis: with still more carbonate, when the acid has run out,',
            options: ['as much gas leaves as before', 'more gas leaves', 'less gas leaves'],
          }
        : null,
      results:
        setup.asked === 'ratio'
          ? [
              askFor(PER_MOL, setup.bandsPercent, 'By where your two lines cross.'),
              askRatio('Acid : carbonate, in smallest whole numbers', 'Such as 2 : 1.'),
            ]
          : [askFor(MOLAR, setup.bandsPercent, 'By where your two lines cross.')],
      working: 'The amounts of carbonate, the gas, the two lines, and where they cross.',
      evidence: { help: 'How do the two lines show what ran out, on which side of the bend?', words: ['acid'] },
      aims: ['Weigh a gas by what is lost', 'Find a bend from two lines', 'Say which of two has run out'],
    }),
  results: (setup, sample, rows) => {
    const x = bendIn(rows, sample);
    if (x === undefined) return {} as Record<string, number>;
    return setup.asked === 'ratio'
      ? { perMol: (sample.bottles[0]?.molPerL ?? NaN) / x }
      : { molar: truePerMol(sample) * x };
  },
  hints: () => {
    const hint = 'More mixtures near the bend, on both sides of it, would tell it best.';
    return { perMol: hint, molar: hint };
  },
  slips: (setup, sample, rows) => {
    if (bendIn(rows, sample) === undefined) return [];
    const per = truePerMol(sample);
    return setup.asked === 'ratio'
      ? [{ key: 'upsideDown', label: 'The ratio upside down', quantity: PER_MOL.key, factor: 1 / per ** 2 }].filter(
          ({ factor }) => factor !== 1,
        )
      : [{ key: 'unused', label: 'The ratio left out', quantity: MOLAR.key, factor: 1 / per }].filter(
          ({ factor }) => factor !== 1,
        );
  },
  truth: (_, sample) => [
    {
      label: 'Acid',
      text: `${benchSolutionOf(sample.bottles[0]?.id ?? '').name}, ${fixed(sample.bottles[0]?.molPerL ?? NaN, 4)} mol/L`,
    },
    { label: 'Carbonate', text: jarWords(sample.jar ?? '') },
    { label: 'Acid : carbonate', text: ratioText(truePerMol(sample)) },
  ],
  symbols: { perMol: 'r', molar: 'c' },
  nothingYet:
    'There is no bend yet. Record at least two mixtures before it and two after it, each with all its masses.',
  method: () => runsOutMethod(),
};
