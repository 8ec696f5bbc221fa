import { pictureNotes } from '../../drawn-particles';
import { z } from 'zod';
import { fitLine } from '../../../analysis/line-fit';
import { t95 } from '../../../analysis/student-t';
import { gasOf } from '../../../databook/gases';
import { energyAt, speedOf } from '../../../physics/kinetic';
import { chance, shuffled } from '../../../random';
import { askFor, reportOf } from '../../report-parts';
import { drawnValue } from '../../sample-values';
import { bands, hypothesisFirst } from '../../settings-parts';
import { slotColumn, trialsTable } from '../../tables';
import type { Kind } from '../kind';
import { distinct } from '../laws';
import { isOwn, manyMethod } from '../methods/many';
import { SLOTS, SLOTS_OF, type Plan } from '../plan';
import { weighted, type Row } from '../rows';
import type { Sample } from '../sample';

/** From one particle to many: what stays, what wavers less and less, and what is spread as ever. */

const GASES = ['neon', 'nitrogen', 'argon'] as const;
const [EDGE_NM, TOP_NM] = [20, 20];
/** By how many times the number is to grow in what is asked. */
const TIMES = 100;
/** Of a gas: part with more than twice the mean energy (y = E/kT above 3: erfc √3 + 2 √(3/π) e⁻³), %, and mean speed over the root of its mean square, √(8/3π). */
const ABOVE_PERCENT = 11.161;
const SPEED_RATIO = Math.sqrt(8 / (3 * Math.PI));

const METHOD = manyMethod();

const setupSchema = z.object({ hypothesis: hypothesisFirst(true), bandsPercent: bands([5, 10, 20]) });
type Setup = z.infer<typeof setupSchema>;

const ASKED = {
  energy: { key: 'energy', label: 'Mean energy of one particle at the temperature of your card', unit: 'zJ', digits: 3 },
  wavering: { key: 'wavering', label: 'A hundred times as many: the mean energy wavers so many times as much', unit: '', digits: 2 },
  above: { key: 'above', label: 'Part of the particles with more than twice the mean energy', unit: '%', digits: 2 },
  speeds: { key: 'speeds', label: 'Mean speed, as a part of the speed that goes with the mean energy', unit: '', digits: 3 },
}; // prettier-ignore

/** So many particles seen for so long: what a row weighs. */
const weight = ({ readings: { N, d } }: Row): number => (N ?? 0) * (d ?? 0);

/** Mean time from wall to wall, ps: after that a particle has forgotten its energy. */
const betweenWalls = ({ gasId, kelvin }: Sample): number =>
  (1000 * EDGE_NM) / (1.5 * SPEED_RATIO * 1000 * speedOf(energyAt(kelvin), gasOf(gasId).molarMassGPerMol));

function found(sample: Sample, rows: readonly Row[]) {
  const own = rows.filter((row) => isOwn(sample, row));
  const [values, uncertainties]: [Record<string, number>, Record<string, number>] = [{}, {}];
  const seen = own.reduce((sum, row) => sum + weight(row), 0) / (2 * betweenWalls(sample));
  /** One particle's spread, as a part of what is asked: over so many independent looks. */
  const put = (key: string, value: number | undefined, spread: number) => {
    if (value === undefined) return;
    values[key] = value;
    uncertainties[key] = (value * spread) / Math.sqrt(Math.max(seen, 1));
  };
  put(
    'energy',
    weighted(own, ({ readings }) => readings.E, weight),
    Math.sqrt(2 / 3),
  );
  put(
    'above',
    weighted(own, ({ readings }) => readings.f, weight),
    Math.sqrt(100 / ABOVE_PERCENT - 1),
  );
  const molar = gasOf(sample.gasId).molarMassGPerMol;
  const ratio = ({ readings: { E, v, N } }: Row) =>
    E && v && (N ?? 0) >= 10 ? v / 1000 / speedOf(E, molar) : undefined;
  put('speeds', weighted(own, ratio, weight), 0.2);
  const points = own.flatMap(({ readings: { N, s } }) => (N && s ? [{ x: Math.log(N), y: Math.log(s) }] : []));
  if (distinct(points.map(({ x }) => Math.exp(x))) >= 3) {
    const fit = fitLine(points);
    if (fit) {
      const factor = TIMES ** fit.slope;
      values['wavering'] = factor;
      if (fit.slopeError !== undefined)
        uncertainties['wavering'] = (Math.log(TIMES) * factor * fit.slopeError * t95(points.length - 2)) / 2;
    }
  }
  return { values, uncertainties };
}

export const many: Kind<Setup> = {
  id: 'one-to-many',
  title: 'From one particle to many',
  summary:
    'One particle, two, ten, a hundred, a thousand at one temperature: what wavers less and less, what stays, and how speeds and energies are spread.',
  setup: setupSchema,
  room: () => 100,
  draw: (_, seed, index) => {
    const order = shuffled(GASES.length, chance(seed, 'gases'));
    return {
      gasId: GASES[order[index % GASES.length] as number] as string,
      count: 1,
      kelvin: Number(drawnValue(240, 360, seed, index).toPrecision(3)),
      volumeNm3: EDGE_NM * EDGE_NM * TOP_NM,
      loadKPa: 100,
    };
  },
  plan: (): Plan => ({ family: 'cylinder', gear: 'many', edgeNm: EDGE_NM, topNm: TOP_NM, law: null }),
  task: (_, { gasId, kelvin }) =>
    `${gasOf(gasId).name.replace(/^./, (c) => c.toUpperCase())}. Your temperature: ${kelvin} K`,
  brief: () => ({
    question: [
      'Temperature belongs to very many particles. How many are very many?',
      'You begin with one particle in a vessel, and let in more and more. The temperature stays.',
      'What stays the same then, and what wavers less and less?',
    ],
    working: [
      'Draw the logarithm of the wavering against the logarithm of the number.',
      'The slope tells by what the wavering falls when there are a hundred times as many particles.',
      'E = ½ m v² gives the speed that goes with the mean energy. It is not the mean speed: compare them.',
      'The data book has the molar mass.',
    ],
    know: [
      `The vessel is a cube. Its edge is ${EDGE_NM} nm.`,
      'A particle that comes off a warm wall has a new speed, by chance. Particles of a gas that warm have such speeds.',
      'The counters show means over the stretch: the energy of one particle, its speed, and how many are there.',
      'The wavering is how much the mean energy of all of them changes from look to look.',
      'One counter shows the part of the particles with more than twice the mean energy.',
      'The bars show how often each speed, or energy, was seen. The line is what theory says of very many particles.',
      'One second of the bench clock is four picoseconds. Let it run faster while you wait.',
      ...pictureNotes(true),
    ],
  }),
  tables: () => [
    trialsTable(
      'rows',
      'Stretches',
      SLOTS_OF.many.map((slot) => slotColumn(slot, SLOTS)),
      [
        { name: 'logarithm of the number', symbol: 'x', unit: '', formula: 'log(N)' },
        { name: 'logarithm of the wavering', symbol: 'y', unit: '', formula: 'log(s)' },
      ],
      { x: 'c0', y: 'c1' },
    ),
  ],
  quantities: () => [
    { ...ASKED.energy, kind: 'number' },
    { ...ASKED.wavering, kind: 'number', few: true },
    { ...ASKED.above, kind: 'number', few: true },
    { ...ASKED.speeds, kind: 'number', few: true },
  ],
  truths: (_, { kelvin }) => ({
    energy: energyAt(kelvin),
    wavering: 1 / Math.sqrt(TIMES),
    above: ABOVE_PERCENT,
    speeds: SPEED_RATIO,
  }),
  asks: ({ hypothesis, bandsPercent }) =>
    reportOf({
      measured: {
        label: 'What becomes steadier the more particles there are?',
        options: [
          'The mean energy of all of them',
          'The energy of each of them',
          'The speed of the fastest of them',
          'The temperature of the jacket',
        ],
      },
      hypothesis: hypothesis
        ? {
            label: 'Hypothesis: there are a hundred times as many particles. The mean energy of one of them',
            options: [
              'is the same, and wavers a tenth as much',
              'is the same, and wavers as much',
              'is the same, and wavers a hundredth as much',
              'is a hundred times as large',
            ],
          }
        : null,
      results: [
        askFor(ASKED.energy, bandsPercent, 'The mean over your stretches; those of many particles count for more.'),
        askFor(
          ASKED.wavering,
          bandsPercent.map((band) => Math.min(3 * band, 50)),
          'By your graph.',
        ),
        {
          when: 'result',
          required: true,
          kind: 'graph',
          key: 'graph',
          label: 'The logarithm of the wavering against that of the number',
          help: '',
        },
        askFor(
          ASKED.above,
          bandsPercent.map((band) => Math.min(2 * band, 50)),
          'From stretches with many particles.',
        ),
        askFor(ASKED.speeds, bandsPercent, 'From stretches with many particles.'),
      ],
      working: 'How the graph gives the factor, and how you came to both speeds.',
      evidence: {
        help: 'From how many particles on do the bars follow the line? What is the same for one particle and for a thousand?',
        words: ['mean'],
      },
      aims: [
        'Say how many particles a temperature needs',
        'Tell a mean from what one particle does',
        'Read a spread of speeds',
      ],
    }),
  results: (_, sample, rows) => found(sample, rows).values,
  uncertainties: (_, sample, rows) => found(sample, rows).uncertainties,
  hints: () => {
    const hint = 'Stretches with many particles, and longer ones, make it surer.';
    return {
      energy: hint,
      above: hint,
      speeds: hint,
      wavering: 'More stretches, from one particle to a thousand, make it surer.',
    };
  },
  slips: () => [
    {
      key: 'asNumber',
      label: 'The wavering taken to fall as the number grows',
      quantity: 'wavering',
      factor: 1 / Math.sqrt(TIMES),
    },
    { key: 'upsideDown', label: 'The ratio upside down', quantity: 'wavering', factor: TIMES },
    { key: 'onlyKT', label: 'E = kT in place of E = 3/2 kT', quantity: 'energy', factor: 2 / 3 },
    {
      key: 'speedUpsideDown',
      label: 'The ratio upside down',
      quantity: 'speeds',
      factor: 1 / SPEED_RATIO / SPEED_RATIO,
    },
  ],
  method: () => METHOD,
  truth: (_, sample) => [
    { label: 'Gas', text: `${gasOf(sample.gasId).name}, ${gasOf(sample.gasId).molarMassGPerMol} g/mol` },
    { label: 'Temperature', text: `${sample.kelvin} K` },
  ],
  needs: ['energy', 'wavering'],
  symbols: { energy: 'E', wavering: 's, × 100', above: 'above', speeds: 'v/v(E)' },
  nothingYet:
    'There is nothing to compare yet. Put on the jacket of your card, and record stretches of at least three numbers of particles.',
};
