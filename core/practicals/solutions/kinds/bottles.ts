import { z } from 'zod';
import { BENCH_SOLUTION_IDS, BENCH_SOLUTIONS, benchSolutionOf } from '../../../databook/bench-solutions';
import { chance } from '../../../random';
import { gridText } from '../../../report/grid';
import type { Ask } from '../../../report/asks';
import { reportOf } from '../../report-parts';
import { hypothesisFirst } from '../../settings-parts';
import { bottleMolPerL, drawnSet, pairSeen } from '../assignments';
import type { Kind } from '../kind';
import { bottlesMethod } from '../methods/bottles';
import { OBSERVED } from '../look';
import { LETTERS, NOTHING_WEIGHED, type Plan } from '../plan';
import { roomOf, type Sample } from '../sample';
import { triedPairs } from '../tried';

const POOL = [
  'silver-nitrate', 'lead-nitrate', 'barium-chloride', 'copper-sulfate', 'iron-chloride', 'zinc-sulfate', 'aluminium-nitrate',
  'magnesium-sulfate', 'calcium-chloride', 'sodium-carbonate', 'sodium-hydroxide', 'hydrochloric-acid', 'sulfuric-acid', 'ammonia',
  'potassium-iodide', 'sodium-chloride', 'potassium-chromate', 'potassium-thiocyanate', 'sodium-sulfate',
] as const; // prettier-ignore

const setupSchema = z.object({
  pool: z
    .array(z.enum(BENCH_SOLUTION_IDS))
    .min(5, 'Choose at least five solutions.')
    .default([...POOL])
    .meta({
      label: 'Solutions that may be drawn',
      help: 'Only sets are given out in which each pair is plain to see, and one assignment of names is possible.',
      options: Object.fromEntries(BENCH_SOLUTIONS.map(({ id, name }) => [id, name])),
    }),
  bottles: z.enum(['5', '6', '7', '8']).default('6').meta({ label: 'Bottles for each student' }),
  paper: z.boolean().default(true).meta({ label: 'Indicator paper on the tray' }),
  tubes: z
    .boolean()
    .default(true)
    .meta({ label: 'Test tubes on the tray', help: 'For more than a few drops, and for smelling.' }),
  evidence: z.boolean().default(true).meta({
    label: 'The evidence is asked for as a grid',
    help: 'What was seen of each pair, beside the name of each bottle.',
  }),
  hypothesis: hypothesisFirst(false),
});
type Setup = z.infer<typeof setupSchema>;

const namesIn = ({ pool }: Setup): string[] =>
  pool.map((id) => benchSolutionOf(id).name).sort((a, b) => a.localeCompare(b, 'en'));

const lettersOf = ({ bottles }: Setup) => LETTERS.slice(0, Number(bottles));
const bottleRows = (setup: Setup) => lettersOf(setup).map((letter) => `Bottle ${letter}`);

const pairsOf = <T>(all: readonly T[]): [T, T][] => all.flatMap((a, i) => all.slice(i + 1).map((b): [T, T] => [a, b]));
const pairRows = (setup: Setup) => pairsOf(lettersOf(setup)).map(([a, b]) => `${a} + ${b}`);

const NAMES = { key: 'names', label: 'What is in each bottle', columns: ['It holds'] };
const SEEN = { key: 'seen', label: 'What is seen of equal drops of each pair', columns: ['Is seen'] };

const gridAsk = (
  { key, label, columns }: typeof NAMES,
  rows: string[],
  options: readonly string[],
  help: string,
): Ask => ({
  when: 'result',
  required: true,
  kind: 'grid',
  key,
  label,
  help,
  quantity: key,
  rows,
  columns,
  options: [...options],
  right: null,
});

/** A class has room where a set can be told at all: each set can stand in any order. */
const ROOM = 400;

const planFor = ({ bottles, paper, tubes }: Setup): Plan => ({
  family: 'solutions',
  bottles: Number(bottles),
  vessels: tubes ? ['tube'] : [],
  spotPlate: true,
  measures: false,
  thermometer: false,
  probe: false,
  cell: false,
  paper,
  colorimeter: false,
  slip: false,
  ...NOTHING_WEIGHED,
});

const truthsOf = ({ bottles }: Sample) => ({
  names: gridText(bottles.map(({ id }) => [benchSolutionOf(id).name])),
  seen: gridText(pairsOf(bottles).map(([a, b]) => [pairSeen(a.id, b.id)[0]?.seen ?? ''])),
});

export const whichBottle: Kind<Setup> = {
  id: 'which-bottle',
  title: 'Which bottle is which',
  summary: 'Bottles whose labels fell off are put together drop by drop, and each is named by what is seen.',
  setup: setupSchema,
  room: () => ROOM,
  draw: (setup, seed, index) => {
    const source = chance(seed, `set ${index}`);
    const ids =
      drawnSet(setup.pool, Number(setup.bottles), setup.paper, source) ?? setup.pool.slice(0, Number(setup.bottles));
    const names = ids.map((id) => benchSolutionOf(id).name).sort((a, b) => a.localeCompare(b, 'en'));
    return {
      roomC: roomOf(seed, index),
      bottles: ids.map((id) => ({ id: id as Sample['bottles'][number]['id'], molPerL: bottleMolPerL(id), says: '' })),
      reaction: null,
      weighed: null,
      jar: null,
      task: `Yours are, in no order: ${names.join(', ')}`,
    };
  },
  plan: planFor,
  objections: (setup) => {
    if (new Set(setup.pool).size < Number(setup.bottles))
      return [{ field: 'pool', sentence: `Choose at least ${setup.bottles} solutions: as many as there are bottles.` }];
    const isThere = drawnSet(setup.pool, Number(setup.bottles), setup.paper, chance('objections', 'set')) !== undefined;
    return isThere
      ? []
      : [
          {
            field: 'pool',
            sentence: `No ${setup.bottles} of these can be told apart by what is on the tray. Add others.`,
          },
        ];
  },
  brief: (setup) => ({
    question: [
      `The labels of ${setup.bottles} bottles fell off. What they were is known, but not which is which.`,
      'Your own list of names stands over the bench. Find the name of each bottle.',
    ],
    working: [
      'The data book (“Solutions that react”) says what falls out of what, and its colours.',
      'Rule out names that do not fit what you saw.',
      'There is one answer that fits everything you can see, and no other.',
    ],
    know: [
      'A solid counts by its own colour, whatever colour the liquid has.',
      'Acids, bases and carbonates are stronger here than the salts.',
    ],
  }),
  tables: () => [],
  quantities: (setup) => [
    { ...NAMES, kind: 'grid', rows: bottleRows(setup), options: namesIn(setup) },
    { ...SEEN, kind: 'grid', rows: pairRows(setup), options: [...OBSERVED] },
  ],
  truths: (_, sample) => truthsOf(sample),
  asks: (setup) =>
    reportOf({
      measured: {
        label: 'Two colourless solutions give a white solid. What does that tell by itself?',
        options: [
          'Which pairs they can be, not which of the two is which',
          'What each of them is',
          'That both were salts of the same metal',
          'That one of them was an acid',
        ],
      },
      hypothesis: setup.hypothesis
        ? {
            label: 'Hypothesis: which bottle will show a change with the most others?',
            options: [
              'A bottle with a coloured liquid',
              'A bottle with a salt of a heavy metal',
              'A bottle with an acid',
            ],
          }
        : null,
      results: [
        ...(setup.evidence
          ? [gridAsk(SEEN, pairRows(setup), OBSERVED, 'Four drops of each. A solid counts by its own colour.')]
          : []),
        gridAsk(NAMES, bottleRows(setup), namesIn(setup), 'Your own list stands over the bench.'),
      ],
      working: 'In which order you ruled names out, and by which pairs.',
      evidence: {
        help: 'Take the two bottles that were hardest to tell apart: what told them?',
        words: ['because'],
      },
      aims: [
        'Say what a mixture tells and what it does not',
        'Rule out names one after the other',
        'Plan which pair to try next',
      ],
    }),
  results: () => ({}),
  needs: [],
  untried: (bench) =>
    triedPairs(bench).pairs > 0 ? undefined : 'Nothing has been put together yet: try two bottles in a well first.',
  truth: (_, { bottles }) => [
    {
      label: 'In the bottles',
      text: bottles.map(({ id }, i) => `${LETTERS[i]} ${benchSolutionOf(id).name}`).join(', '),
    },
  ],
  method: bottlesMethod,
  nothingYet: 'Nothing has been put together yet: try two bottles in a well first.',
};
