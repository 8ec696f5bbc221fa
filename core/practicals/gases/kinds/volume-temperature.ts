import { z } from 'zod';
import { fixed } from '../../../analysis/quantity';
import { fitLine } from '../../../analysis/line-fit';
import { gasName } from '../../../databook/gases';
import { GAS_CRITICAL, VAPOUR_IDS, vapourOf } from '../../../databook/vapours';
import { condensesC, GAS_CONSTANT, kelvin, KELVIN_AT_ZERO } from '../../../physics/gas-law';
import { chance, shuffled } from '../../../random';
import { namesLeftOpen, pairsAlike } from '../../look-alikes';
import { askFor, askName, reportOf } from '../../report-parts';
import { drawnValue } from '../../sample-values';
import { slotColumn, trialsTable } from '../../tables';
import { AIR_PART } from '../free';
import type { Kind } from '../kind';
import { SLOTS_OF, slotsOf, type Plan } from '../plan';
import type { Row } from '../rows';
import { surroundingsOf, type Sample } from '../sample';
import { bendOf, pointsOf } from './bend';
import { bandsIn, CAUSES, common, rising } from './parts';

const gasIds = z.enum(Object.keys(GAS_CRITICAL) as [string, ...string[]]);
const LETTERS = ['A', 'B', 'C', 'D'] as const;

const setupSchema = z.object({
  gases: z
    .array(gasIds)
    .min(3, 'Choose at least three gases.')
    .default(['air', 'helium', 'nitrogen', 'oxygen', 'argon'])
    .meta({
      label: 'Gases',
      help: 'Three of these stay gases from ice to boiling. Carbon dioxide departs most from the common line.',
    }),
  vapours: z
    .array(z.enum(VAPOUR_IDS))
    .min(1, 'Choose at least one vapour.')
    .default(['pentane', 'cyclopentane', 'acetone', 'hexane', 'cyclohexane'])
    .meta({ label: 'Vapours', help: 'One of these is in the fourth syringe, with a tenth of air.' }),
  named: z.boolean().default(false).meta({
    label: 'Gases by name',
    help: 'The first three of the gases stand on their syringes, and X on the fourth. Off, all four have letters, and which of them condenses has to be found.',
  }),
  unit: common.unit,
  hypothesis: common.hypothesis,
  bandsZeroC: bandsIn('°C', [5, 10, 20], 60, 'For absolute zero. For instance 5, 10: within 5 °C, 10 °C.').meta({
    label: 'Tolerance bands of absolute zero',
  }),
  bandsBendC: bandsIn('°C', [2, 4, 8], 20, 'For where it condenses. For instance 2, 4: within 2 °C, 4 °C.').meta({
    label: 'Tolerance bands of where it condenses',
  }),
});
type Setup = z.infer<typeof setupSchema>;

const ZERO = {
  key: 'absoluteZero',
  label: 'Temperature at which the lines of the gases meet the axis',
  unit: '°C',
  digits: 3,
};
const BEND = { key: 'condenses', label: 'Temperature at which the fourth begins to condense', unit: '°C', digits: 2 };

const labelsOf = ({ named, gases }: Setup): string[] =>
  named ? [...gases.slice(0, 3).map(gasName), 'X'] : [...LETTERS];
const planOf = (setup: Setup): Plan => ({
  family: 'gases',
  gear: 'syringes',
  gauge: 'absolute',
  unit: setup.unit,
  balance: null,
  syringes: labelsOf(setup),
});

/** The syringe that holds the vapour, from 0. */
const oddOf = ({ gases, vapourId }: Sample): number => gases.findIndex(({ id }) => id === vapourId);

/** Where a vapour with its tenth of air begins to condense in a room, °C. */
const dewC = (id: string, roomKPa: number): number => condensesC(vapourOf(id).antoine, (1 - AIR_PART) * roomKPa);

/** Where the lines of the gases that stay gases meet the axis, as the mean of them. */
function zeroOf(rows: readonly Row[], odd: number): number | undefined {
  const zeros = LETTERS.flatMap((_, place) => {
    if (place === odd) return [];
    const points = pointsOf(rows, place);
    const fit = points.length < 3 ? undefined : fitLine(points);
    return fit && Math.abs(fit.slope) > 1e-6 ? [-fit.intercept / fit.slope] : [];
  });
  return zeros.length < 3 ? undefined : zeros.reduce((a, b) => a + b, 0) / zeros.length;
}

/** So far apart two vapours are told apart by points that lie close, °C. */
const TOLD_APART_C = 4;
const USUAL_KPA = 101;
const likeness = (roomKPa: number) => (id: string) => ({
  name: vapourOf(id).name,
  look: 'a vapour',
  values: { condenses: dewC(id, roomKPa) },
});

const optionsOf = ({ vapours }: Setup) => [...new Set(vapours)].map((id) => vapourOf(id).name).sort();

export const volumeTemperature: Kind<Setup> = {
  id: 'volume-temperature',
  title: 'Four gases in a water bath',
  summary:
    'Four capped syringes from ice to boiling. Three gases go alike; one condenses on the way, and its name follows from where.',
  setup: setupSchema,
  moves: [CAUSES.stick, CAUSES.lag, CAUSES.real, CAUSES.probe, CAUSES.scale, CAUSES.barometer],
  room: () => 200,
  draw: (setup, seed, index) => {
    const around = surroundingsOf(seed, index);
    const source = chance(seed, `gases ${index}`);
    const pool = [...new Set(setup.gases)];
    const alike = setup.named ? pool : shuffled(pool.length, source).map((i) => pool[i] as string);
    const vapours = [...new Set(setup.vapours)];
    const order = shuffled(vapours.length, chance(seed, 'vapours'));
    const vapourId = vapours[order[index % vapours.length] as number] as string;
    const roomMl = drawnValue(52, 72, seed, index);
    const gases = [0, 1, 2].map((i) => ({
      id: alike[i % alike.length] as string,
      mol: (around.roomKPa * (i === 0 ? roomMl : 50 + 24 * source.uniform())) / (GAS_CONSTANT * kelvin(around.roomC)),
    }));
    const hotMl = 66 + 24 * source.uniform();
    const vapour = { id: vapourId, mol: (around.roomKPa * hotMl) / (GAS_CONSTANT * kelvin(99)) };
    const all = [...gases, vapour];
    const places = setup.named ? [0, 1, 2, 3] : shuffled(4, source);
    return { ...around, zeroKPa: 0, vapourId, gases: places.map((i) => all[i] as Sample['gases'][number]) };
  },
  plan: planOf,
  objections: ({ vapours }) => {
    const pairs = pairsAlike([...new Set(vapours)].map(likeness(USUAL_KPA)), () => TOLD_APART_C);
    const [pair] = pairs;
    return pair
      ? [
          {
            field: 'vapours',
            sentence: `${pair[0].name} and ${pair[1].name} condense too near to one another to be told apart here. Leave one of them out.`,
          },
        ]
      : [];
  },
  brief: (setup) => ({
    question: [
      'Four syringes are filled with gas and capped. All four stand in one water bath.',
      setup.named
        ? 'Three have a name on them, the fourth has an X.'
        : 'Their labels are gone. They are called A to D.',
      `Three of the gases stay gases. ${setup.named ? 'X' : 'One'} is a vapour, and it condenses when it is cold enough.`,
      'How does a volume change with temperature? Where does the vapour condense, and what is it?',
      `It is one of these: ${optionsOf(setup).join(', ')}.`,
    ],
    working: [
      'Draw V against t for all four in one graph.',
      'The lines of the three gases meet the axis of t. Take the mean of the three: it is absolute zero.',
      'The vapour follows the others as long as it is a gas. It leaves its line where it begins to condense.',
      'One tenth of what is in that syringe is air. So the vapour has nine tenths of the pressure of the room.',
      'Compare with the data book, “Vapours”: at which temperature has each liquid that vapour pressure?',
    ],
    know: ['The plungers move freely, but for their grease. So the pressure inside is that of the room.'],
  }),
  tables: (setup) => {
    const slots = slotsOf(planOf(setup));
    return [
      trialsTable(
        'rows',
        'Measurements',
        SLOTS_OF.syringes.map((slot) => slotColumn(slot, slots)),
        [],
        { x: 't', y: 'va' },
      ),
    ];
  },
  quantities: (setup) => [
    { ...ZERO, kind: 'number', few: true },
    { ...BEND, kind: 'number' },
    ...(setup.named
      ? []
      : [
          {
            key: 'odd',
            label: 'Which of the four condenses',
            kind: 'name' as const,
            options: [...LETTERS],
            few: true as const,
          },
        ]),
    { key: 'name', label: 'What the vapour is', kind: 'name', options: optionsOf(setup) },
  ],
  truths: (setup, sample) => ({
    absoluteZero: -KELVIN_AT_ZERO,
    condenses: dewC(sample.vapourId ?? '', sample.roomKPa),
    ...(setup.named ? {} : { odd: LETTERS[oddOf(sample)] ?? '' }),
    name: vapourOf(sample.vapourId ?? '').name,
  }),
  asks: (setup) =>
    reportOf({
      measured: {
        label: 'Why is each plunger turned before it is read?',
        options: [
          'Its grease holds it back, so that the gas is not at the room’s pressure',
          'The gas has to be mixed',
          'The scale is on the other side',
          'The gas warms by it',
        ],
      },
      hypothesis: setup.hypothesis
        ? {
            label: 'Hypothesis: the lines of V against t of different gases meet the axis of t',
            options: [
              'at one temperature, whatever gas it is',
              'the further left the heavier the gas is',
              'where each of them freezes',
            ],
          }
        : null,
      results: [
        {
          ...askFor(ZERO, [], 'The mean of the three that stay gases, with its uncertainty.'),
          bandsInUnit: rising(setup.bandsZeroC),
        },
        ...(setup.named
          ? []
          : [{ ...askName('Which of the four condenses?', [...LETTERS]), key: 'odd', quantity: 'odd' }]),
        {
          ...askFor(BEND, [], 'Between the last point on its line and the first below it, with its uncertainty.'),
          bandsInUnit: rising(setup.bandsBendC),
        },
        askName('What is the vapour?', optionsOf(setup), 'By where its vapour pressure is nine tenths of the room’s.'),
      ],
      working:
        'The three lines and where they meet the axis. Where the fourth leaves its line, and the vapour pressure there.',
      evidence: {
        help: 'How do you know that it condenses, and that its syringe does not leak? Which names can you not rule out?',
        words: ['line'],
      },
      aims: [
        'Lay several lines over one another and read what they share',
        'Draw a line far beyond the points, and say how sure that is',
        'Name a substance by where it condenses',
      ],
    }),
  results: (_, sample, rows) => {
    const odd = oddOf(sample);
    const [zero, bend] = [zeroOf(rows, odd), bendOf(rows, odd)];
    return { ...(zero !== undefined && { absoluteZero: zero }), ...(bend && { condenses: bend.at }) };
  },
  hints: () => ({
    absoluteZero: 'It lies far from your points: more of them near ice and near boiling make the lines surer.',
    condenses: 'It lies in the gap between two of your points: take more of them there.',
  }),
  leftOpen: ({ vapours }, { roomKPa }, { results, uncertainties }) => {
    const { condenses } = results;
    const values: Record<string, number> = condenses === undefined ? {} : { condenses };
    const found = { name: '', look: 'a vapour', values };
    const near = () => 2 * (uncertainties['condenses'] ?? 0);
    return { name: namesLeftOpen([...new Set(vapours)].map(likeness(roomKPa)), found, near) };
  },
  slips: (_, sample, rows) => {
    const odd = oddOf(sample);
    const right = zeroOf(rows, odd);
    const all = LETTERS.map((_, place) => fitLine(pointsOf(rows, place)));
    const own = all[odd];
    const bend = bendOf(rows, odd);
    const slips = [
      {
        key: 'odd',
        label: 'The line through all points of the one that condenses',
        quantity: ZERO.key,
        factor: own && right && -own.intercept / own.slope / right,
      },
      { key: 'sign', label: 'The sign left out', quantity: ZERO.key, factor: right && -1 },
      { key: 'kelvin', label: 'K for °C', quantity: BEND.key, factor: bend && (bend.at + KELVIN_AT_ZERO) / bend.at },
    ];
    return slips.flatMap(({ factor, ...slip }) => (factor && Math.abs(factor - 1) > 1e-3 ? [{ ...slip, factor }] : []));
  },
  truth: (setup, sample) => [
    ...sample.gases.map(({ id }, place) => ({
      label: `In syringe ${labelsOf(setup)[place] ?? ''}`,
      text: id === sample.vapourId ? `${vapourOf(id).name}, with a tenth of air` : gasName(id),
    })),
    { label: 'It begins to condense', text: `at ${fixed(dewC(sample.vapourId ?? '', sample.roomKPa), 1)} °C` },
  ],
  pool: (_, { vapourId }) => ({ absoluteZero: 'absolute zero', condenses: vapourOf(vapourId ?? '').name }),
  needs: ['absoluteZero'],
  symbols: { absoluteZero: 't₀', condenses: 't' },
  nothingYet: 'There are no lines yet: record the bath and all four syringes at three temperatures at least.',
};
