import { pictureNotes } from '../../drawn-particles';
import { z } from 'zod';
import { gasOf } from '../../../databook/gases';
import { chance, shuffled } from '../../../random';
import { BOLTZMANN_ZJ_PER_K } from '../../../physics/kinetic';
import { namesLeftOpen } from '../../look-alikes';
import { askFor, askName, reportOf } from '../../report-parts';
import { drawnValue } from '../../sample-values';
import { bands, hypothesisFirst } from '../../settings-parts';
import { slotColumn, trialsTable } from '../../tables';
import { foundByImpacts, HOTTER, SQUEEZED } from '../impacts-found';
import type { Kind } from '../kind';
import { impactsMethod } from '../methods/impacts';
import { DECIMALS, SLOTS, SLOTS_OF, type Plan } from '../plan';
import type { Row } from '../rows';
import type { Sample } from '../sample';

/** Where pressure comes from: single impacts on the piston, each with its push; then how many there are, and how hard. */

const GASES = ['neon', 'nitrogen', 'oxygen', 'argon', 'krypton'] as const;
const [EDGE_NM, TOP_NM] = [30, 30];
const AREA_NM2 = EDGE_NM * EDGE_NM;
const setupSchema = z.object({
  gases: z
    .array(z.enum(GASES))
    .min(2, 'Choose at least two gases.')
    .default([...GASES])
    .meta({ label: 'Gases that it may be' }),
  hypothesis: hypothesisFirst(true),
  bandsPercent: bands([6, 12, 24]),
});
type Setup = z.infer<typeof setupSchema>;

const NUMBERS = {
  molarMass: { key: 'molarMass', label: 'Molar mass of the gas, by single impacts', unit: 'g/mol', digits: 3 },
  pressure: { key: 'pressure', label: 'Pressure on the piston, by impacts and their pushes, at what your card says', unit: 'kPa', digits: 3 },
  pushHot: { key: 'pushHot', label: `${HOTTER} times the temperature: the mean push becomes so many times as large`, unit: '', digits: 3 },
  rateHot: { key: 'rateHot', label: `${HOTTER} times the temperature: impacts in a ps become so many times as many`, unit: '', digits: 3 },
  rateSmall: { key: 'rateSmall', label: 'A third of the volume: impacts in a ps become so many times as many', unit: '', digits: 3 },
  rateMore: { key: 'rateMore', label: 'Twice the number: impacts in a ps become so many times as many', unit: '', digits: 3 },
  pushSmall: { key: 'pushSmall', label: 'A third of the volume: the mean push becomes so many times as large', unit: '', digits: 3 },
}; // prettier-ignore

const optionsOf = ({ gases }: Setup) => [...new Set(gases)].map((id) => gasOf(id).name).sort();
const likeness = (id: string) => ({
  name: gasOf(id).name,
  look: 'a gas',
  values: { molarMass: gasOf(id).molarMassGPerMol },
});

/** So many times as far off as its standard uncertainty a name is still left open: the gases lie far apart. */
const NAME_BY = 4;

/** Last digits of the counters of push and speed. */
const DIGITS = { q: 10 ** -DECIMALS.q, u: 10 ** -DECIMALS.u };
const found = (sample: Sample, rows: readonly Row[]) => foundByImpacts(sample, rows, AREA_NM2, DIGITS);

export const impacts: Kind<Setup> = {
  id: 'where-pressure-comes-from',
  title: 'Where pressure comes from',
  summary:
    'A piston is hit by particles, one at a time: the push of each, which gas it is, and how many come and how hard when it is heated or squeezed.',
  setup: setupSchema,
  room: () => 100,
  draw: ({ gases }, seed, index) => {
    const pool = [...new Set(gases)];
    const order = shuffled(pool.length, chance(seed, 'gases'));
    return {
      gasId: pool[order[index % pool.length] as number] as string,
      count: Math.round(drawnValue(150, 250, seed, index)),
      kelvin: Number(drawnValue(240, 360, seed, index + 1).toPrecision(3)),
      volumeNm3: 30 * Math.round(drawnValue(600, 800, seed, index + 2)),
      loadKPa: 100,
    };
  },
  plan: (): Plan => ({
    family: 'cylinder',
    gear: 'impacts',
    edgeNm: EDGE_NM,
    topNm: TOP_NM,
    law: null,
  }),
  task: (_, { kelvin, volumeNm3, count }) =>
    `Begin with: temperature ${kelvin} K, volume ${volumeNm3} nm³, number ${count}`,
  brief: (setup) => ({
    question: [
      'Some hundred particles of one gas fly under a piston. They hit it, one at a time.',
      'What is pressure made of? What changes when the gas is heated, squeezed, or when there is more of it?',
      'And which gas is it? All gases are drawn alike.',
      `It is one of these: ${optionsOf(setup).join(', ')}.`,
    ],
    working: [
      'A particle goes back from the piston as fast as it came. So the push is 2 m u.',
      'The push and the speed of one impact tell the mass. A mole is 6.022·10²³ particles.',
      `Pressure is all pushes together, over the time and the area. The area of the piston is ${AREA_NM2} nm².`,
      '1 yN·s in one ps on one nm² is 1000 kPa.',
      'Compare the stretches: how many impacts in a ps, and how large is their mean push?',
    ],
    know: [
      '1 yN·s is 10⁻²⁴ N·s.',
      `The cylinder is ${EDGE_NM} nm on an edge. The particles fly by the laws of motion, in real units.`,
      'There are few impacts, so the numbers waver. A long stretch is surer.',
      'One second of the bench clock is four picoseconds. Let it run faster while you wait.',
      ...pictureNotes(false),
    ],
  }),
  tables: () => [
    trialsTable(
      'rows',
      'Impacts and stretches',
      SLOTS_OF.impacts.map((slot) => slotColumn(slot, SLOTS)),
      [
        { name: 'molar mass', symbol: 'M', unit: 'g/mol', formula: '602.214 * q / (2 * u)' },
        { name: 'impacts in a ps', symbol: 'z', unit: 'ps⁻¹', formula: 'n / d' },
        { name: 'pressure by impacts', symbol: 'w', unit: 'kPa', formula: `1000 * n * p / (d * ${AREA_NM2})` },
      ],
      { x: 'u', y: 'q' },
    ),
  ],
  quantities: (setup) => [
    { ...NUMBERS.molarMass, kind: 'number' },
    { ...NUMBERS.pressure, kind: 'number' },
    { ...NUMBERS.pushHot, kind: 'number', few: true },
    { ...NUMBERS.rateHot, kind: 'number', few: true },
    { ...NUMBERS.rateSmall, kind: 'number', few: true },
    { ...NUMBERS.pushSmall, kind: 'number', few: true },
    { ...NUMBERS.rateMore, kind: 'number', few: true },
    { key: 'name', label: 'The gas', kind: 'name', options: optionsOf(setup) },
  ],
  truths: (_, { gasId, kelvin, volumeNm3, count }) => ({
    molarMass: gasOf(gasId).molarMassGPerMol,
    pressure: (1000 * count * BOLTZMANN_ZJ_PER_K * kelvin) / volumeNm3,
    pushHot: Math.sqrt(HOTTER),
    rateHot: Math.sqrt(HOTTER),
    rateSmall: 1 / SQUEEZED,
    pushSmall: 1,
    rateMore: 2,
    name: gasOf(gasId).name,
  }),
  asks: (setup) =>
    reportOf({
      measured: {
        label: 'What is the pressure on the piston made of?',
        options: [
          'All the pushes of particles that hit it',
          'The weight of the particles above the ground',
          'The push of particles on one another',
          'The speed of the fastest particle',
        ],
      },
      hypothesis: setup.hypothesis
        ? {
            label: 'Hypothesis: the gas is heated, its volume stays. Its pressure grows because',
            options: [
              'impacts are harder, and there are more of them',
              'impacts are harder, as many as before',
              'there are more impacts, as hard as before',
              'the particles grow',
            ],
          }
        : null,
      results: [
        askFor(NUMBERS.molarMass, [1, 2, 5], 'From single impacts: push and speed.'),
        askName('Which gas is it?', optionsOf(setup)),
        askFor(NUMBERS.pressure, setup.bandsPercent, 'All pushes, over time and area.'),
        askFor(NUMBERS.pushHot, setup.bandsPercent),
        askFor(NUMBERS.rateHot, setup.bandsPercent),
        askFor(NUMBERS.rateSmall, setup.bandsPercent),
        askFor(NUMBERS.pushSmall, setup.bandsPercent),
        askFor(NUMBERS.rateMore, setup.bandsPercent),
      ],
      working: 'How the mass follows from a push and a speed, and the pressure from many pushes.',
      evidence: {
        help: 'What became of the number of impacts and of their push, when it was heated and when it was squeezed? Does the pressure agree with the counter’s?',
        words: ['push'],
      },
      aims: [
        'Say what pressure is made of',
        'Get a mass from a push and a speed',
        'Tell harder impacts from more impacts',
      ],
    }),
  results: (_, sample, rows) => found(sample, rows).values,
  uncertainties: (_, sample, rows) => found(sample, rows).uncertainties,
  hints: () => {
    const hint = 'There are few impacts: more stretches, and longer ones, make it surer.';
    return {
      pressure: hint,
      pushHot: hint,
      rateHot: hint,
      rateSmall: hint,
      rateMore: hint,
      pushSmall: hint,
      molarMass: 'Read every digit of push and speed.',
    };
  },
  leftOpen: ({ gases }, _, { results, uncertainties }) => {
    const molarMass = results['molarMass'];
    const at = { name: '', look: 'a gas', values: (molarMass ? { molarMass } : {}) as Record<string, number> };
    return {
      name: namesLeftOpen([...new Set(gases)].map(likeness), at, () => NAME_BY * (uncertainties['molarMass'] ?? 0)),
    };
  },
  slips: () => [
    { key: 'once', label: 'Push = m u: that it goes back as fast was left out', quantity: 'molarMass', factor: 2 },
    {
      key: 'asTemperature',
      label: 'The push taken to grow as the temperature',
      quantity: 'pushHot',
      factor: Math.sqrt(HOTTER),
    },
    {
      key: 'allInOne',
      label: 'The growth of the pressure taken for that of the impacts',
      quantity: 'rateHot',
      factor: Math.sqrt(HOTTER),
    },
    { key: 'upsideDown', label: 'The ratio upside down', quantity: 'rateSmall', factor: SQUEEZED * SQUEEZED },
  ],
  method: () => impactsMethod,
  truth: (_, sample) => [
    { label: 'Gas', text: `${gasOf(sample.gasId).name}, ${gasOf(sample.gasId).molarMassGPerMol} g/mol` },
    { label: 'To begin with', text: `${sample.kelvin} K, ${sample.volumeNm3} nm³, ${sample.count} particles` },
  ],
  needs: ['molarMass'],
  symbols: {
    molarMass: 'M',
    pressure: 'P',
    pushHot: 'push, hot',
    rateHot: 'impacts, hot',
    rateSmall: 'impacts, squeezed',
    rateMore: 'impacts, more',
    pushSmall: 'push, squeezed',
  },
  nothingYet: 'There is nothing to go by yet. Go to a single impact on the piston, and record its push and its speed.',
};
