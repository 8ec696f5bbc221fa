import { z } from 'zod';
import { aloneOf, freezingOf, LOOK_ALIKE_IDS, lookAlikeOf } from '../../../databook/freezing';
import { fixed } from '../../../analysis/quantity';
import { eutecticOf } from '../../../physics/freezing';
import { chance, shuffled } from '../../../random';
import { askFor, askName, reportOf } from '../../report-parts';
import { hypothesisFirst } from '../../settings-parts';
import { mixtureBeginsC } from '../freezing/rows';
import type { Kind } from '../kind';
import { samplesMethod } from '../methods/freezing';
import type { Plan, Slot } from '../plan';
import { meanOf, rowsOf } from '../reading/rows';
import type { Row } from '../reading/row';
import { NOTHING, roomOf, type Sample } from '../sample';
import { bandsC, curveSlips, isReady, READY_WORDS, tubeLosses } from './freezing-parts';
import { digital, logTable, NO_PLAN } from './settings';

const setupSchema = z.object({
  pairs: z
    .array(z.enum(LOOK_ALIKE_IDS))
    .min(1, 'Choose at least one pair.')
    .default([...LOOK_ALIKE_IDS])
    .meta({
      label: 'Pairs that are alike in where they melt',
      help: 'Each student is given two jars: of one pair both of them, or of one of them twice.',
      options: Object.fromEntries(LOOK_ALIKE_IDS.map((id) => [id, lookAlikeOf(id).map((one) => freezingOf(one).name).join(' and ')])),
    }),
  thermometer: digital,
  losses: tubeLosses,
  isReady,
  hypothesis: hypothesisFirst(true),
  bandsC,
}); // prettier-ignore
type Setup = z.infer<typeof setupSchema>;

const SAMPLE_A = { key: 'sampleA', label: 'Where sample A melts and freezes', unit: '°C', digits: 3 };
const MIXTURE = { key: 'mixture', label: 'Where your mixture begins to freeze', unit: '°C', digits: 3 };
const FALL = { key: 'fall', label: 'How much lower the mixture freezes than sample A', unit: '°C', digits: 2 };
const [SAME, DIFFERENT] = ['the same substance', 'two different substances'];

const planOf = (setup: Setup): Plan => ({
  ...NO_PLAN,
  bottles: [],
  bath: true,
  tube: { isSolution: false, jars: ['sample A', 'sample B'], isReady: setup.isReady },
  thermometer: setup.thermometer,
  losses: setup.losses,
});

const meanIn = (rows: readonly Row[], slot: Slot) => meanOf(rows, (row) => row.readings[slot]?.value);
const idsIn = ({ freezingId, otherFreezingId }: Sample) => [freezingId ?? '', otherFreezingId ?? ''] as const;
const isSame = (sample: Sample) => sample.freezingId === sample.otherFreezingId;

/** Where the last of a mixture freezes, °C. */
function eutecticC(sample: Sample): number {
  const [a, b] = idsIn(sample).map(freezingOf) as [ReturnType<typeof freezingOf>, ReturnType<typeof freezingOf>];
  return eutecticOf(a, { id: `${b.id}, melted`, splitsInto: 1, pairsKgPerMol: null, alone: aloneOf(b) }).tempC;
}

export const mixtureMelting: Kind<Setup> = {
  id: 'mixture-melting',
  title: 'The same or not, by a mixture',
  summary: 'Two white solids melt at the same temperature. Melt them together, and tell by that whether they are one.',
  setup: setupSchema,
  isVesselTold: false,
  // A line through what slopes ever more leaves so much open.
  unseen: { part: 0.02, kelvin: 0.03 },
  method: () => samplesMethod(),
  room: () => 300,
  draw: (setup, seed, index) => {
    const order = shuffled(2 * setup.pairs.length, chance(seed, 'pairs'));
    const drawn = order[index % order.length] as number;
    const pair = lookAlikeOf(setup.pairs[Math.floor(drawn / 2)] as string);
    const [one, other] = chance(seed, `which ${index}`).uniform() < 0.5 ? pair : [pair[1], pair[0]];
    return {
      ...roomOf(seed, index),
      ...NOTHING,
      freezingId: one,
      otherFreezingId: drawn % 2 === 0 ? one : other,
      bottles: [],
      task: `Your amounts: about ${11 + (index % 4)} g of a sample by itself. Mixture: about ${8 + (index % 3)} g of one and about ${3 + (index % 2)} g of the other`,
      capacity: 1,
    };
  },
  plan: planOf,
  brief: (setup) => ({
    question: [
      'Two jars were found without their labels: sample A and sample B. Both are white.',
      'They melt within one degree of each other. Are they the same?',
      'What dissolves in a melt makes it freeze lower, unless it is the same substance.',
    ],
    working: [
      'Draw two lines: one along the melting or freezing, one along the warming or cooling.',
      'Where they cross, there it melts. Compare A, B and the mixture.',
    ],
    know: [
      'A mixture does not stand still. It begins to melt far below where its last crystal goes.',
      'It freezes at lower and lower temperatures, down to a second halt. There all the rest freezes.',
      'The crossing at the upper end is the one that counts.',
      ...(setup.isReady ? READY_WORDS : []),
    ],
  }),
  tables: (setup) => logTable(planOf(setup)),
  quantities: () => [
    { ...SAMPLE_A, kind: 'number' },
    { ...MIXTURE, kind: 'number' },
    { ...FALL, kind: 'number' },
    { key: 'name', label: 'What sample A and sample B are', kind: 'name', options: [SAME, DIFFERENT] },
  ],
  truths: (_, sample, bench) => {
    const sampleA = freezingOf(sample.freezingId ?? '').freezesC;
    const mixture = mixtureBeginsC(bench, rowsOf(bench)) ?? sampleA;
    return { sampleA, mixture, fall: sampleA - mixture, name: isSame(sample) ? SAME : DIFFERENT };
  },
  asks: (setup) => {
    const bandsInUnit = [...setup.bandsC].sort((a, b) => a - b);
    return reportOf({
      measured: {
        label: 'Two different substances melt at the same temperature. Their mixture',
        options: [
          'melts lower, over a stretch of temperatures',
          'melts at the same temperature as each of them',
          'melts higher than each of them',
          'does not melt at all',
        ],
      },
      hypothesis: setup.hypothesis
        ? {
            label: 'Hypothesis: A and B are one substance. A mixture of one part and three',
            options: ['melts as each of them does', 'melts lower than each of them', 'melts higher than each of them'],
          }
        : null,
      results: [
        { ...askFor(SAMPLE_A, [], 'Where your two lines cross, with its uncertainty.'), bandsInUnit },
        {
          ...askFor(MIXTURE, [], 'The crossing at the upper end: where the last crystal goes, or the first comes.'),
          bandsInUnit,
        },
        askName(
          'What are sample A and sample B?',
          [SAME, DIFFERENT],
          'Hold the mixture against the samples by themselves.',
        ),
      ],
      working: 'Which stretches you drew lines through, where they cross, and how much of each was in the mixture.',
      evidence: {
        help: 'How far apart would two crossings have to be, by their uncertainties, to be different?',
        words: ['mixture'],
      },
      aims: [
        'Tell two substances apart that share a melting point',
        'Say why a mixture melts over a stretch of temperatures',
        'Hold a difference against its uncertainty',
      ],
    });
  },
  results: (_, __, rows) => {
    const [sampleA, mixture] = [meanIn(rows, 'TA'), meanIn(rows, 'TM')];
    const alone = meanOf(rows, (row) => (row.readings.TA ?? row.readings.TB)?.value);
    return {
      ...(sampleA !== undefined && { sampleA }),
      ...(mixture !== undefined && { mixture }),
      ...(mixture !== undefined && alone !== undefined && { fall: alone - mixture }),
    };
  },
  hints: () => ({
    sampleA: 'The thermometer itself may be off: by that much the crossing is uncertain.',
    mixture: 'A mixture slopes while it freezes: log more often, and follow it right after the first crystals.',
  }),
  leftOpen: (_, __, { results, uncertainties }) => {
    if (results.fall === undefined) return { name: [SAME, DIFFERENT] };
    return { name: [Math.abs(results.fall) < 3 * (uncertainties.fall ?? 0) + SHARES_C ? SAME : DIFFERENT] };
  },
  slips: (_, sample, rows) => [
    ...curveSlips(SAMPLE_A.key, 'TA', rows, meanIn(rows, 'TA')),
    ...curveSlips(MIXTURE.key, 'TM', rows, meanIn(rows, 'TM')),
    ...[meanIn(rows, 'TM')].flatMap((right) =>
      right && !isSame(sample)
        ? [
            {
              key: 'halt',
              label: 'The second halt, where all the rest freezes together, in place of the first crossing',
              quantity: MIXTURE.key,
              factor: eutecticC(sample) / right,
            },
          ]
        : [],
    ),
  ],
  truth: (_, sample) => [
    ...idsIn(sample).map((id, i) => ({
      label: `Sample ${'AB'[i]}`,
      text: `${freezingOf(id).name}, melts at ${fixed(freezingOf(id).freezesC, 2)} °C`,
    })),
    ...(isSame(sample)
      ? []
      : [{ label: 'A mixture of the two begins to melt', text: `at ${fixed(eutecticC(sample), 1)} °C` }]),
  ],
  pool: (_, sample) => ({ sampleA: freezingOf(sample.freezingId ?? '').name }),
  symbols: { sampleA: 'T_A', mixture: 'T_M', fall: 'ΔT' },
  needs: ['sampleA', 'mixture'],
  nothingYet:
    'The log has no whole melting or freezing of sample A and of a mixture yet. Some points before and after belong to each.',
};

/** Two of a pair melt up to so far apart: less than that tells nothing of a mixture, K. */
const SHARES_C = 1;
