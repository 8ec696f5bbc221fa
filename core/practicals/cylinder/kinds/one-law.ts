import { z } from 'zod';
import { gasOf } from '../../../databook/gases';
import { BOLTZMANN_ZJ_PER_K } from '../../../physics/kinetic';
import type { SampleQuantity } from '../../../report/asks';
import { chance, shuffled } from '../../../random';
import { askFor, reportOf } from '../../report-parts';
import { drawnValue } from '../../sample-values';
import { bands, hypothesisFirst } from '../../settings-parts';
import { slotColumn, trialsTable } from '../../tables';
import type { Step } from '../../contract';
import type { Kind } from '../kind';
import { foundByLaw, isInverse, LEAST_POINTS, ZJ } from '../law-found';
import { distinct, heldAt, pointsOf } from '../laws';
import { LAW_PARTS, LAWS, RUN_PS, SLOTS, SLOTS_OF, STATE_NAMES, type Law, type Plan, type State } from '../plan';
import type { Row } from '../rows';
import type { Sample } from '../sample';

/** One law at a time: one thing is set, one is watched, the others are held by what is fitted. */

const GASES = ['neon', 'nitrogen', 'argon'] as const;
/** Edge of the ground and height of the top, nm. */
const [EDGE_NM, TOP_NM] = [30, 30];
/** Points that the brief asks for. */
export const POINTS = 10;

const NAMES: Record<Law, string> = {
  'pressure-volume': 'pressure and volume',
  'pressure-temperature': 'pressure and temperature',
  'volume-temperature': 'volume and temperature',
  'pressure-number': 'pressure and number',
  'volume-number': 'volume and number',
};

const setupSchema = z.object({
  law: z.enum(LAWS).default('pressure-volume').meta({ label: 'Law', options: NAMES }),
  hypothesis: hypothesisFirst(true),
  bandsPercent: bands([4, 8, 16]),
});
type Setup = z.infer<typeof setupSchema>;

const planOf = ({ law }: Setup): Plan => ({
  family: 'cylinder',
  gear: 'laws',
  edgeNm: EDGE_NM,
  topNm: TOP_NM,
  law,
});

const UNITS: Record<Law, string> = {
  'pressure-volume': 'kPa·nm³',
  'pressure-temperature': 'kPa/K',
  'volume-temperature': 'nm³/K',
  'pressure-number': 'kPa',
  'volume-number': 'nm³',
};
const GRAPHS: Record<Law, string> = {
  'pressure-volume': 'P against 1/V',
  'pressure-temperature': 'P against T',
  'volume-temperature': 'V against T',
  'pressure-number': 'P against N',
  'volume-number': 'V against N',
};

const CONSTANT = { key: 'constant', label: 'k in P · V = N · k · T', unit: 'zJ/K', digits: 3 };
const factorOf = (law: Law) => {
  const { watched, set } = LAW_PARTS[law];
  return {
    key: 'factor',
    label: `Twice the ${STATE_NAMES[set]}: the ${STATE_NAMES[watched]} becomes so many times as large`,
    unit: '',
    digits: 3,
  };
};
const slopeOf = (law: Law) => ({
  key: 'slope',
  label: isInverse(law) ? 'P · V at what your card says' : `Slope of ${GRAPHS[law]} at what your card says`,
  unit: UNITS[law],
  digits: 3,
});

/** What a slope is by P V = N k T, where the others are held so. Pressures in kPa, volumes in nm³. */
function slopeAt(law: Law, { P, V, T, N }: Record<State, number>): number {
  const k = BOLTZMANN_ZJ_PER_K / ZJ;
  return {
    'pressure-volume': N * k * T,
    'pressure-temperature': (N * k) / V,
    'volume-temperature': (N * k) / P,
    'pressure-number': (k * T) / V,
    'volume-number': (k * T) / P,
  }[law];
}

const cardOf = ({ count, kelvin, volumeNm3, loadKPa }: Sample): Record<State, number> => ({
  P: loadKPa,
  V: volumeNm3,
  T: kelvin,
  N: count,
});
const UNIT_OF: Record<State, string> = { P: ' kPa', V: ' nm³', T: ' K', N: '' };

/** What the card says of a state that is held. */
const told = (state: State, sample: Sample): string =>
  `${STATE_NAMES[state]} ${cardOf(sample)[state]}${UNIT_OF[state]}`;

function stepsOf(law: Law, sample: Sample, ticked: readonly string[], rows: readonly Row[]): Step[] {
  const { set, watched, held } = LAW_PARTS[law];
  const points = pointsOf(law, rows);
  const asCard = (row: Row) =>
    held.every((state) => Math.abs((heldAt(row.fitted, state) ?? 0) / own(state, sample) - 1) < 1e-3);
  const step = (key: string, label: string, done: boolean): Step => ({
    key,
    label,
    done: done || ticked.includes(key),
  });
  const good = points.filter(asCard);
  return [
    step(
      'fit',
      `Fit what holds ${held.map((state) => `the ${told(state, sample)}`).join(' and ')}; let them come to rest`,
      good.length > 0,
    ),
    step(
      'first',
      `Let them fly for ${RUN_PS.most} ps, and record all counters`,
      good.some(({ readings }) => (readings.d ?? 0) >= 0.99 * RUN_PS.most),
    ),
    step(
      'ten',
      `${POINTS} such trials, each with another ${STATE_NAMES[set]}, over a factor of three; the ${STATE_NAMES[watched]} is watched`,
      distinct(good.map(({ readings }) => readings[set] ?? 0)) >= POINTS && spanOf(good, set) >= 2.7,
    ),
  ];
}

/** A value of the card as what is fitted holds it: of a volume the height. */
const own = (state: State, sample: Sample): number =>
  state === 'V' ? sample.volumeNm3 / EDGE_NM / EDGE_NM : cardOf(sample)[state];

function spanOf(rows: readonly Row[], state: State): number {
  const values = rows.map(({ readings }) => readings[state] ?? NaN);
  return Math.max(...values) / Math.min(...values);
}

const HOW_SET: Record<Law, string> = {
  'pressure-volume': 'Pin the piston at one volume after another.',
  'pressure-temperature':
    'Pin the piston, and change the temperature of the jacket. From 50 to 1500 K is allowed, and nothing condenses.',
  'volume-temperature':
    'Take the pin out by laying on the load, and change the temperature of the jacket. Where the gas would need more room than there is, the piston lies against its upper stop: then the load holds nothing.',
  'pressure-number': 'Pin the piston, and let particles in or out through the valve.',
  'volume-number': 'Take the pin out by laying on the load, and let particles in or out through the valve.',
};
const HYPOTHESES: Record<Law, readonly string[]> = {
  'pressure-volume': ['halves', 'stays the same', 'falls by less than half', 'doubles'],
  'pressure-temperature': ['doubles', 'stays the same', 'grows by less than half', 'becomes four times as large'],
  'volume-temperature': ['doubles', 'stays the same', 'grows by less than half', 'halves'],
  'pressure-number': ['doubles', 'stays the same', 'grows by less than half', 'halves'],
  'volume-number': ['doubles', 'stays the same', 'grows by less than half', 'halves'],
};

export const oneLaw: Kind<Setup> = {
  id: 'one-law',
  title: 'One gas law at a time, with particles',
  summary:
    'A gas of a hundred particles and more under a piston: hold what has to be held, set one thing, watch one other, and find the law from ten points.',
  setup: setupSchema,
  room: () => 100,
  draw: (_, seed, index) => {
    const order = shuffled(GASES.length, chance(seed, 'gases'));
    return {
      gasId: GASES[order[index % GASES.length] as number] as string,
      count: Math.round(drawnValue(100, 160, seed, index)),
      kelvin: Number(drawnValue(240, 360, seed, index + 1).toPrecision(3)),
      volumeNm3: 10 * Math.round(drawnValue(1200, 1800, seed, index + 2)),
      loadKPa: Number(drawnValue(50, 70, seed, index + 3).toPrecision(3)),
    };
  },
  plan: planOf,
  task: ({ law }, sample) =>
    `${gasOf(sample.gasId).name.replace(/^./, (c) => c.toUpperCase())}. Hold: ${LAW_PARTS[law ?? 'pressure-volume'].held.map((state) => told(state, sample)).join(', ')}`,
  brief: ({ law }) => [
    `In an upright cylinder with an edge of ${EDGE_NM} nm and a height of ${TOP_NM} nm a hundred particles and more fly under a piston. Nothing of it is hidden: they fly by the laws of motion, in real units, and come off one another and off what is around them. (Volume is here the room in which their middles can be; they come off the walls when their surfaces touch.)`,
    'What is fitted holds one thing each: a jacket the temperature, a pin through the piston the volume, a load on the piston the pressure as soon as the pin is out, and the shut valve the number. What nothing holds is free. At this size weight is nothing: the load presses with a force that is stated as a pressure, and outside there is nothing.',
    `Your card says what to hold. ${HOW_SET[law]} Everything else stays: two things changed at once tell no law.`,
    `After each change let them fly for 300 ps, so that they come to rest (a piston that has just been unpinned needs another 500), and then for ${RUN_PS.most} ps, over which the counters take the means; at every change they begin anew. The pen draws the pressure as it flutters, the line on its strip is the mean so far. Record all counters by one press. One second of the bench clock is four ps: let it run faster while you wait.`,
    `Take ${POINTS} points with as much between the smallest and the largest ${STATE_NAMES[LAW_PARTS[law].set]} as you can, at least a factor of three. Draw ${GRAPHS[law]}: it should be a straight line through the origin.`,
    'From P · V = N · k · T each point tells the constant k. (1 kPa·nm³ is 0.001 zJ; k times Avogadro’s number is R.)',
  ],
  tables: ({ law }) => [
    trialsTable(
      'rows',
      'Stretches',
      SLOTS_OF.laws.map((slot) => slotColumn(slot, SLOTS)),
      [
        { name: 'one over the volume', symbol: 'r', unit: 'nm⁻³', formula: '1 / V' },
        { name: 'P · V', symbol: 'w', unit: 'kPa·nm³', formula: 'P * V' },
        { name: 'k', symbol: 'k', unit: 'zJ/K', formula: '0.001 * P * V / (N * T)' },
      ],
      isInverse(law) ? { x: 'c0', y: 'P' } : { x: LAW_PARTS[law].set, y: LAW_PARTS[law].watched },
    ),
  ],
  quantities: ({ law }): SampleQuantity[] => [
    { ...factorOf(law), kind: 'number', few: true },
    { ...slopeOf(law), kind: 'number' },
    { ...CONSTANT, kind: 'number', few: true },
  ],
  truths: ({ law }, sample) => ({
    factor: isInverse(law) ? 0.5 : 2,
    slope: slopeAt(law, cardOf(sample)),
    constant: BOLTZMANN_ZJ_PER_K,
  }),
  asks: ({ law, hypothesis, bandsPercent }) => {
    const { watched, set } = LAW_PARTS[law];
    return reportOf({
      measured: {
        label: 'Why may only one thing be changed from point to point?',
        options: [
          'Else nobody can tell which of them did it',
          'Else the particles would escape',
          'Else the counters would not begin anew',
          'Else the jacket would break',
        ],
      },
      hypothesis: hypothesis
        ? {
            label: `Hypothesis: the ${STATE_NAMES[set]} is doubled. The ${STATE_NAMES[watched]}`,
            options: [...(HYPOTHESES[law] ?? [])],
          }
        : null,
      results: [
        askFor(factorOf(law), bandsPercent, 'By your graph, with its uncertainty.'),
        askFor(slopeOf(law), bandsPercent, 'By the line through the origin, with its uncertainty.'),
        { when: 'result', required: true, kind: 'graph', key: 'graph', label: GRAPHS[law], help: '' },
        askFor(CONSTANT, bandsPercent, 'The mean over your trials. The data book has it.'),
      ],
      working: 'How the line gave the slope, and how k follows from your points.',
      evidence: {
        help: 'How far do your points lie from the line, and how much do the counters waver by themselves? Does the line go through the origin?',
        words: ['line'],
      },
      aims: [
        'Hold all but two things still, and know what holds them',
        'Tell from a graph what is proportional',
        'Say how sure a mean is that wavers',
      ],
    });
  },
  results: ({ law }, _, rows) => foundByLaw(law, rows).values,
  uncertainties: ({ law }, _, rows) => foundByLaw(law, rows).uncertainties,
  hints: () => {
    const hint = 'Means of few particles waver: more points, longer stretches, and a wider range make it surer.';
    return { factor: hint, slope: hint, constant: hint };
  },
  slips: ({ law }) => [
    { key: 'wrongWay', label: 'The law upside down', quantity: 'factor', factor: isInverse(law) ? 4 : 0.25 },
    { key: 'unit', label: 'kPa·nm³ taken for zJ', quantity: 'constant', factor: 1000 },
    {
      key: 'withThreeHalves',
      label: 'The energy of a particle, 3/2 k T, in place of k T',
      quantity: 'constant',
      factor: 1.5,
    },
  ],
  steps: ({ plan, sample, ticked }, rows) => stepsOf(plan.law ?? 'pressure-volume', sample, ticked, rows),
  truth: ({ law }, sample) => [
    { label: 'Gas', text: `${gasOf(sample.gasId).name}, ${gasOf(sample.gasId).molarMassGPerMol} g/mol` },
    { label: 'To be held', text: LAW_PARTS[law].held.map((state) => told(state, sample)).join(', ') },
  ],
  pool: () => ({ factor: 'the factor', constant: 'k' }),
  needs: ['factor', 'slope'],
  symbols: { factor: 'factor', slope: 'slope', constant: 'k' },
  nothingYet: `There is no law yet: record at least ${LEAST_POINTS} stretches with all four counters, with everything held but one thing.`,
};
