import { z } from 'zod';
import { fixed } from '../../../analysis/quantity';
import { benchSolutionOf } from '../../../databook/bench-solutions';
import { BENCH_REACTION_IDS, BENCH_REACTIONS, reactionOf, type BenchReaction } from '../../../databook/bench-reactions';
import { chance, shuffled } from '../../../random';
import type { Ask } from '../../../report/asks';
import { askFor, reportOf } from '../../report-parts';
import { drawnValue } from '../../sample-values';
import { bands, hypothesisFirst } from '../../settings-parts';
import { column, slotColumn, trialsTable } from '../../tables';
import type { Kind } from '../kind';
import { ratioMethod } from '../methods/ratio';
import { LETTERS, NOTHING_WEIGHED, slotsOf, SLOTS, type Plan } from '../plan';
import { pairOf, ratioOf } from '../rows';
import { roomOf, type Sample } from '../sample';
import { drawable, reactionsIn } from './ratio-pool';

const TOOLS = ['slip', 'thermometer', 'colorimeter', 'filter', 'probe', 'cell', 'paper', 'plate'] as const;
/** What tells how much reacted: without any of them there is no ratio. */
const TELLING = ['slip', 'thermometer', 'colorimeter', 'filter'] as const;

const setupSchema = z.object({
  reactions: z
    .array(z.enum(BENCH_REACTION_IDS))
    .min(1, 'Choose at least one reaction.')
    .default([
      'silver-chromate',
      'lead-iodide',
      'silver-barium-chloride',
      'silver-aluminium-chloride',
      'sulfuric-acid',
      'iodine-thiosulfate',
      'iron-permanganate',
      'magnesium-hydroxide',
      'silver-oxalate',
    ])
    .meta({
      label: 'Reactions that may be drawn',
      help: 'Two of a student’s bottles react; the others react with nothing there. Reactions are left out that too few others can stand beside. Without the analysis, so are those that neither warm enough nor lose their colour.',
      options: Object.fromEntries(BENCH_REACTIONS.map(({ id, name }) => [id, name])),
    }),
  bottles: z.enum(['3', '4', '5']).default('4').meta({ label: 'Bottles for each student' }),
  tools: z
    .array(z.enum(TOOLS))
    .refine(
      (all) => TELLING.some((tool) => all.includes(tool)),
      'Put the analysis, the thermometer, the colorimeter or the balance on the tray. Without any of them nothing tells how much reacts.',
    )
    .default(['slip', 'thermometer', 'paper', 'plate'])
    .meta({
      label: 'On the tray',
      help: 'The analysis tells what is left over. The thermometer tells how far a reaction went. The colorimeter tells what is left of a coloured one. The balance tells how much of a solid fell. With funnel, oven and balance mixtures are made in beakers alone, without tubes and plate.',
      options: {
        slip: 'analysis of a portion',
        thermometer: 'precision thermometer',
        probe: 'pH meter',
        cell: 'conductivity cell',
        colorimeter: 'colorimeter',
        filter: 'funnel, oven and balance',
        paper: 'indicator paper',
        plate: 'spot plate',
      },
    }),
  isNamed: z
    .boolean()
    .default(false)
    .meta({ label: 'The labels tell what the solutions are', help: 'Then the chemical equation is asked for, too.' }),
  hypothesis: hypothesisFirst(true),
  bandsPercent: bands([2, 4, 8]),
});
type Setup = z.infer<typeof setupSchema>;

const RATIO = { key: 'ratio', label: 'Ratio of the amounts that react', unit: '', digits: 3 };
const coefficient = (letter: string) => ({ key: `k${letter}`, label: `Coefficient of ${letter}`, unit: '', digits: 1 });
const lettersOf = ({ bottles }: Setup) => LETTERS.slice(0, Number(bottles));

const planFor = ({ bottles, tools }: Setup): Plan => ({
  family: 'solutions',
  bottles: Number(bottles),
  // Where so much stands, there is no room for a rack and a plate.
  vessels: tools.includes('filter') ? ['beaker'] : ['tube', 'beaker'],
  spotPlate: tools.includes('plate') && !tools.includes('filter'),
  measures: true,
  thermometer: tools.includes('thermometer'),
  probe: tools.includes('probe'),
  cell: tools.includes('cell'),
  paper: tools.includes('paper'),
  colorimeter: tools.includes('colorimeter'),
  slip: tools.includes('slip'),
  ...NOTHING_WEIGHED,
  ...(tools.includes('filter') ? WEIGHING : {}),
});

/** Coefficients of A, B, C …: 0 of what does not react. */
function coefficientsOf(sample: Sample): number[] {
  const pair = pairOf(sample);
  return sample.bottles.map((_, i) => pair?.counts[pair.at.indexOf(i)] ?? 0);
}

const trueRatio = (sample: Sample): number => {
  const pair = pairOf(sample);
  return pair ? pair.counts[0] / pair.counts[1] : NaN;
};

/** What comes with a funnel. */
const WEIGHING = { balance: '0.001', papers: ['glass'], desiccator: true, hotPlate: true, damp: 'usual' } as const;

const NONE: Record<string, number> = {};

export const whichReact: Kind<Setup> = {
  id: 'which-react',
  title: 'Which react, and in what ratio',
  summary:
    'Two of several solutions react. Find them, and by a series of mixtures the whole numbers in which they react.',
  setup: setupSchema,
  room: () => 400,
  draw: (setup, seed, index) => {
    const able = drawable(setup);
    const pool = able.length > 0 ? able : reactionsIn(setup);
    const order = shuffled(pool.length, chance(seed, 'pool'));
    const reaction = pool[order[index % order.length] as number] as BenchReaction;
    const source = chance(seed, `bottles ${index}`);
    const beside = shuffled(reaction.others.length, source)
      .slice(0, Number(setup.bottles) - 2)
      .map((at) => ({ id: reaction.others[at] as Sample['bottles'][number]['id'], from: 0.08, to: 0.2 }));
    const all = [...reaction.sides, ...beside];
    const bottles = shuffled(all.length, source).map((at) => {
      const { id, from, to } = all[at] as (typeof all)[number];
      // As its label says, to three digits.
      const molPerL = Number(drawnValue(from, to, `${seed} ${index} ${at}`, index).toPrecision(3));
      const said = `${molPerL.toPrecision(3)} mol/L`;
      return { id, molPerL, says: setup.isNamed ? `${benchSolutionOf(id).name}, ${said}` : said };
    });
    return { roomC: roomOf(seed, index), bottles, reaction: reaction.id, task: null, weighed: null, jar: null };
  },
  plan: planFor,
  objections: (setup) =>
    drawable(setup).length > 0
      ? []
      : [
          {
            field: 'reactions',
            sentence: setup.tools.includes('slip')
              ? `Beside none of these ${Number(setup.bottles) - 2} solutions can stand that react with nothing: take fewer bottles, or other reactions.`
              : 'None of these warms enough for the thermometer, or loses its colour for the colorimeter. Put the analysis on the tray, or take other reactions.',
          },
        ],
  brief: (setup) => {
    const plan = planFor(setup);
    return {
      question: [
        `Two of the ${setup.bottles} solutions react with each other, in a ratio of small whole numbers.`,
        'The others react with nothing that stands here.',
        'Which two react, and in what ratio?',
        setup.isNamed
          ? 'The labels say what is in the bottles, and how much of it.'
          : 'The labels do not say what is in the bottles. They say how much is dissolved, in mol/L.',
      ],
      working: [
        'Turn volumes into amounts: concentration times volume.',
        ...(plan.slip ? ['What went in, less what is left, has reacted. Work it out for the whole mixture.'] : []),
        ...(plan.thermometer || plan.colorimeter || plan.papers.length > 0
          ? [
              `Draw ${plan.papers.length > 0 ? 'the mass of the solid' : plan.thermometer ? 'the warming' : 'the absorbance'} against the part of the first solution by volume. There are two lines.`,
              'They cross where both solutions run out together.',
            ]
          : []),
        'The ratio is that of the amounts: the bottle with the earlier letter over the other.',
        'The coefficients are the smallest whole numbers in that ratio. What does not react has 0.',
        ...(setup.isNamed ? ['Write the equation with formulas, and whole numbers before them.'] : []),
      ],
      know: [
        ...(plan.probe || plan.paper
          ? ['Acids and bases: indicator paper or pH tells on which side of the ratio a mixture lies.']
          : []),
        ...(plan.cell
          ? [
              'The conductivity cell tells how well a mixture conducts. Its scale is off by some percent, always the same.',
            ]
          : []),
        'All mixtures have the same volume, so that you can compare them.',
      ],
    };
  },
  tables: (setup) => {
    const plan = planFor(setup);
    return [
      trialsTable(
        'rows',
        'Mixtures',
        slotsOf(plan).map((slot) => slotColumn(slot, SLOTS)),
        plan.papers.length > 0
          ? [column('mS', { kind: 'computed', name: 'solid', symbol: 'm_S', unit: 'g', formula: 'h_1 - m_P' })]
          : plan.thermometer
            ? [column('dT', { kind: 'computed', name: 'warmer by', symbol: 'd_T', unit: '°C', formula: 'T - T_0' })]
            : [],
        plan.papers.length > 0
          ? { x: 'vA', y: 'mS' }
          : plan.thermometer
            ? { x: 'vA', y: 'dT' }
            : plan.colorimeter
              ? { x: 'vA', y: 'A' }
              : undefined,
      ),
    ];
  },
  quantities: (setup) => [
    { ...RATIO, kind: 'number', few: true },
    ...lettersOf(setup).map((letter) => ({
      ...coefficient(letter),
      kind: 'number' as const,
      exact: true as const,
      few: true as const,
    })),
    { key: 'equation', label: 'The equation', kind: 'equation' },
  ],
  truths: (_, sample) => ({
    ratio: trueRatio(sample),
    ...Object.fromEntries(coefficientsOf(sample).map((count, i) => [`k${LETTERS[i]}`, count])),
    equation: reactionOf(sample.reaction ?? '')?.equation ?? '',
  }),
  asks: (setup) =>
    reportOf({
      measured: {
        label: 'In which mixture of a series has the most of both reacted?',
        options: [
          'In that in which their amounts are in the ratio of the coefficients',
          'In that with equal volumes of both',
          'In that with the most of the stronger solution',
          'In all alike: the volume is the same',
        ],
      },
      hypothesis: setup.hypothesis
        ? {
            label: 'Hypothesis: beyond the mixture in which both run out, with still more of one of them,',
            options: [
              'less reacts, for there is less of the other',
              'the same amount reacts',
              'more reacts, for there is more of it',
            ],
          }
        : null,
      results: [
        askFor(
          RATIO,
          setup.bandsPercent,
          'Amount of the reacting bottle with the earlier letter, divided by that of the other.',
        ),
        ...lettersOf(setup).map((letter): Ask => ({
          ...askFor(coefficient(letter), [1], 'A whole number; 0 where it does not react.'),
          digits: null,
        })),
        ...(setup.isNamed
          ? [
              {
                when: 'result',
                required: true,
                kind: 'equation',
                key: 'equation',
                label: 'The equation',
                help: 'With the formulas of the substances.',
                quantity: 'equation',
                right: null,
              } satisfies Ask,
            ]
          : []),
      ],
      working: 'The volumes, the amounts, what was left and what reacted.',
      evidence: { help: 'Which two react, and how do you know that the others do not?', words: ['amount'] },
      aims: [
        'Tell an amount from a concentration',
        'Say which of two runs out first',
        'Find a ratio from a series of mixtures',
      ],
    }),
  results: (_, sample, rows) => {
    const ratio = ratioOf(rows, sample);
    return ratio === undefined ? NONE : { ratio };
  },
  hints: () => ({
    ratio: 'The mixtures in which much is left over tell least: take some nearer to where both run out.',
  }),
  slips: (_, sample, rows) => {
    const pair = pairOf(sample);
    const right = ratioOf(rows, sample);
    if (!pair || right === undefined) return [];
    const [one, two] = pair.at.map((i) => sample.bottles[i]?.molPerL ?? NaN) as [number, number];
    return [
      { key: 'volumes', label: 'Volumes in place of amounts', quantity: RATIO.key, factor: two / one },
      { key: 'upsideDown', label: 'The ratio upside down', quantity: RATIO.key, factor: 1 / right ** 2 },
    ];
  },
  truth: (_, sample) => [
    { label: 'What reacts', text: reactionOf(sample.reaction ?? '')?.name ?? '' },
    ...sample.bottles.map(({ id, molPerL }, i) => ({
      label: `Bottle ${LETTERS[i]}`,
      text: `${benchSolutionOf(id).name}, ${fixed(molPerL, 4)} mol/L`,
    })),
  ],
  symbols: { ratio: 'r' },
  nothingYet:
    'There is no ratio yet: record the volumes of a mixture of the two that react, and what its slip, the thermometer, the colorimeter or the balance tells.',
  method: (plan) => ratioMethod(plan),
};
