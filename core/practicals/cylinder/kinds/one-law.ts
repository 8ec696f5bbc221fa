import { pictureNotes } from '../../drawn-particles';
import { z } from 'zod';
import { gasOf } from '../../../databook/gases';
import { BOLTZMANN_ZJ_PER_K } from '../../../physics/kinetic';
import type { SampleQuantity } from '../../../report/asks';
import { chance, shuffled } from '../../../random';
import { askFor, reportOf } from '../../report-parts';
import { drawnValue } from '../../sample-values';
import { bands, hypothesisFirst } from '../../settings-parts';
import { slotColumn, trialsTable } from '../../tables';
import type { Kind } from '../kind';
import { foundByLaw, isInverse, LEAST_POINTS, ZJ } from '../law-found';
import { lawMethod } from '../methods/one-law';
import { LAW_PARTS, LAWS, SLOTS, SLOTS_OF, STATE_NAMES, type Law, type Plan, type State } from '../plan';
import type { Sample } from '../sample';

/** One law at a time: one thing is set, one is watched, the others are held by what is fitted. */

const GASES = ['neon', 'nitrogen', 'argon'] as const;
/** Edge of the ground and height of the top, nm. */
const [EDGE_NM, TOP_NM] = [30, 30];

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
  brief: ({ law }) => {
    const { set, watched } = LAW_PARTS[law];
    return {
      question: [
        'A hundred particles and more fly under a piston. They fly by the laws of motion, in real units.',
        `How does the ${STATE_NAMES[watched]} change with the ${STATE_NAMES[set]}, when nothing else changes?`,
      ],
      working: [
        `Draw ${GRAPHS[law]}. It should be a straight line through the origin.`,
        'Each point tells the constant k, from P · V = N · k · T. Take the mean.',
        '1 kPa·nm³ is 0.001 zJ. And k times Avogadro’s number is the gas constant R.',
      ],
      know: [
        `The cylinder stands upright. Its edge is ${EDGE_NM} nm, its height ${TOP_NM} nm.`,
        'What nothing holds is free. A pin holds the volume; a load holds the pressure, once the pin is out.',
        'Weight is nothing at this size, and there is nothing outside. The load is stated as a pressure.',
        ...(watched === 'V' ? ['If the piston lies against its upper stop, the load holds nothing.'] : []),
        ...(set === 'T' ? ['You may go from 50 to 1500 K: nothing condenses.'] : []),
        'The volume is the room in which the middles of the particles can be.',
        'The counters show means. They begin anew at every change. The line on the strip is the mean so far.',
        'One second of the bench clock is four picoseconds. Let it run faster while you wait.',
        ...pictureNotes(false),
      ],
    };
  },
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
  method: lawMethod,
  truth: ({ law }, sample) => [
    { label: 'Gas', text: `${gasOf(sample.gasId).name}, ${gasOf(sample.gasId).molarMassGPerMol} g/mol` },
    { label: 'To be held', text: LAW_PARTS[law].held.map((state) => told(state, sample)).join(', ') },
  ],
  pool: () => ({ factor: 'the factor', constant: 'k' }),
  needs: ['factor', 'slope'],
  symbols: { factor: 'factor', slope: 'slope', constant: 'k' },
  nothingYet: `There is no law yet: record at least ${LEAST_POINTS} stretches with all four counters, with everything held but one thing.`,
};
