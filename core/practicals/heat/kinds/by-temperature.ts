import { z } from 'zod';
import { crossing } from '../../../analysis/crossing';
import { fitLine, valueAt, type LineFit, type Point } from '../../../analysis/line-fit';
import { CUP_IDS, heatVesselOf } from '../../../databook/heat-vessels';
import { soluteOf } from '../../../databook/solutes';
import { fixed } from '../../../analysis/quantity';
import { askFor, reportOf } from '../../report-parts';
import { drawnValue, threeDigitValues } from '../../sample-values';
import { bands, hypothesisFirst } from '../../settings-parts';
import { drawnCapacity } from '../begin';
import type { Kind } from '../kind';
import { byTemperatureMethod } from '../methods/by-temperature';
import type { Plan } from '../plan';
import { WATER_J_PER_G_K as c } from '../matter';
import { valuesOf } from '../reading/rows';
import type { Row } from '../reading/row';
import { NOTHING, roomOf, type Sample } from '../sample';
import { chance, shuffled } from '../../../random';
import { ACID_IDS, molPerLIn } from './pairs';
import { lossWords, losses, NO_PLAN, tablesFor, vesselWords } from './settings';

const setupSchema = z
  .object({
    acids: z
      .array(z.enum(ACID_IDS))
      .min(1, 'Choose at least one acid.')
      .default(['hydrochloric-acid', 'nitric-acid', 'acetic-acid', 'formic-acid'])
      .meta({ label: 'Acids', help: 'Each student is given one of these; what it is does not matter here.' }),
    fromMolPerL: z.number().min(0.2).max(2).default(0.5).meta({ label: 'Concentration from', unit: 'mol/L' }),
    toMolPerL: z.number().min(0.25).max(2).default(1).meta({ label: 'Concentration to', unit: 'mol/L' }),
    baseMolPerL: z.number().min(0.5).max(4).default(2).meta({ label: 'Sodium hydroxide, on its label', unit: 'mol/L' }),
    // One alone: the table works the heat out with what it takes up.
    vessel: z.enum(CUP_IDS).default('foam-cup').meta({ label: 'Vessel' }),
    thermometer: z.enum(['digital 0.1', 'digital 0.01']).default('digital 0.01').meta({ label: 'Thermometer' }),
    losses,
    hypothesis: hypothesisFirst(true),
    bandsPercent: bands([1, 2, 5]),
  })
  .superRefine((setup, context) => {
    const fail = (path: string, message: string) => context.addIssue({ code: 'custom', path: [path], message });
    if (setup.toMolPerL <= setup.fromMolPerL)
      fail('toMolPerL', 'The upper end of the range must be above the lower end.');
    else if (threeDigitValues(setup.fromMolPerL, setup.toMolPerL).length < 60)
      fail('toMolPerL', 'Widen the range: a class needs sixty different concentrations.');
    if (setup.baseMolPerL < 1.2 * setup.toMolPerL)
      fail('baseMolPerL', 'The base has to be stronger than the acid: else the cup runs over before the bend.');
  });
type Setup = z.infer<typeof setupSchema>;

const SLOTS = ['VA', 'T1', 'VB', 'T2'] as const;
const CONCENTRATION = { key: 'concentration', label: 'Concentration of the acid', unit: 'mol/L', digits: 3 };
/** Points that the brief asks for, and the fewest that a line goes through. */
const LEAST = 3;

const planOf = (setup: Setup): Plan => ({
  ...NO_PLAN,
  vessels: [setup.vessel],
  bottles: ['acid', 'base'],
  measure: 'dispenser',
  points: true,
  thermometer: setup.thermometer,
  losses: setup.losses,
  slots: [...SLOTS],
  carries: ['VA', 'T1'],
  means: { T1: 'temperature of the acid before', VB: 'volume of base so far', T2: 'temperature after it' },
});

/** Heat against volume of base, or the bare temperature, for each cup. */
function seriesOf(
  rows: readonly Row[],
  y: 'heat' | 'temperature',
  isVesselCounted = true,
): { acidMl: number; points: Point[] }[] {
  const cups = new Map<number, { acidMl: number; points: Point[] }>();
  for (const row of rows) {
    const of = valuesOf(row, SLOTS);
    const about = row.readings.T2?.about;
    if (!of || !about) continue;
    const vessel = isVesselCounted ? heatVesselOf(about.type).jPerK * row.vesselPart : 0;
    const stepK = of.T2 - of.T1;
    const series = cups.get(about.cup) ?? { acidMl: of.VA, points: [] };
    series.points.push({ x: of.VB, y: y === 'heat' ? ((of.VA + of.VB) * c + vessel) * stepK : stepK });
    cups.set(about.cup, series);
  }
  return [...cups.values()];
}

const missedBy = (line: LineFit, points: readonly Point[]) =>
  points.reduce((sum, { x, y }) => sum + (y - valueAt(line, x)) ** 2, 0);

/** Where the two lines cross that leave least over, each through three points at least. */
export function bendOf(all: readonly Point[]): number | undefined {
  const points = [...all].sort((a, b) => a.x - b.x);
  let [best, least]: [number | undefined, number] = [undefined, Infinity];
  for (let split = LEAST; split <= points.length - LEAST; split++) {
    const [before, after] = [fitLine(points.slice(0, split)), fitLine(points.slice(split))];
    const left =
      before && after ? missedBy(before, points.slice(0, split)) + missedBy(after, points.slice(split)) : Infinity;
    if (!before || !after || left >= least) continue;
    [best, least] = [crossing(before, after)?.x, left];
  }
  return best;
}

function concentrationOf(
  sample: Sample,
  rows: readonly Row[],
  y: 'heat' | 'temperature',
  isVesselCounted = true,
): number | undefined {
  const found = seriesOf(rows, y, isVesselCounted).flatMap(({ acidMl, points }) => {
    const bend = bendOf(points);
    return bend && acidMl > 0 ? [(molPerLIn(sample, 1) * bend) / acidMl] : [];
  });
  return found.length > 0 ? found.reduce((a, b) => a + b, 0) / found.length : undefined;
}

const resultsOf = (sample: Sample, rows: readonly Row[]): Record<string, number> => {
  const concentration = concentrationOf(sample, rows, 'heat');
  return concentration === undefined ? {} : { concentration };
};

export const acidByTemperature: Kind<Setup> = {
  id: 'acid-by-temperature',
  title: 'An acid by temperature alone',
  summary: 'Run a base into an unlabelled acid step by step, and find its concentration where the warming bends.',
  setup: setupSchema,
  isVesselTold: true,
  unseen: { part: 0.15, kelvin: 0 },
  method: () => byTemperatureMethod(),
  room: (setup) => threeDigitValues(setup.fromMolPerL, setup.toMolPerL).length,
  draw: (setup, seed, index) => {
    const acid = setup.acids[
      shuffled(setup.acids.length, chance(seed, 'acids'))[index % setup.acids.length] as number
    ] as string;
    return {
      ...roomOf(seed, index),
      ...NOTHING,
      bottles: [
        { liquidId: 'water', molPerL: { [acid]: drawnValue(setup.fromMolPerL, setup.toMolPerL, seed, index) } },
        { liquidId: 'water', molPerL: { 'sodium-hydroxide': setup.baseMolPerL } },
      ],
      task: null,
      capacity: drawnCapacity(seed, index),
    };
  },
  plan: planOf,
  brief: (setup) => ({
    question: [
      'A bottle from the cleaning cupboard holds an acid. It is too dark to be titrated by colour.',
      'But it grows warm with base as long as there is acid left, and no further.',
      'Find its concentration.',
    ],
    working: [
      `Draw the heat against the volume of base. The heat is ((V_a + V_b) · ${c.toFixed(2)} J/(mL·K), and the vessel) times the rise.`,
      'It goes up in a straight line, and is level after the bend.',
      'Put one line through the points before the bend, and one through those after it.',
      'Where they cross, there is as much base as there was acid: one mole for each mole.',
      ...vesselWords([setup.vessel]),
    ],
    know: [
      `The base has ${fixed(setup.baseMolPerL, 2)} mol/L.`,
      'The bare temperature bends too early, by up to a tenth: it has to warm more and more liquid.',
      ...(setup.losses ? ['Heat finds its way out all the time. The less time, the less.'] : lossWords(false)),
    ],
  }),
  tables: (setup) =>
    tablesFor(planOf(setup), [
      { name: 'rise', symbol: 'd', unit: 'K', formula: 'T_2 - T_1' },
      {
        name: 'heat',
        symbol: 'Q',
        unit: 'J',
        formula: `((V_a + V_b) * ${c.toFixed(2)} J/(mL K) + ${heatVesselOf(setup.vessel).jPerK} J/K) * d`,
      },
    ]).map((table) => (table.id === 'rows' ? { ...table, axes: { x: 'VB', y: 'c1' } } : table)),
  quantities: () => [{ ...CONCENTRATION, kind: 'number' }],
  truths: (_, sample) => ({ concentration: molPerLIn(sample, 0) }),
  asks: (setup) =>
    reportOf({
      measured: {
        label: 'Which of the two has run out beyond the bend?',
        options: ['The acid', 'The base', 'Both', 'Neither: it only grows warm more slowly'],
      },
      hypothesis: setup.hypothesis
        ? {
            label:
              'Hypothesis: what does the temperature do once the acid has run out, and more base of the room’s temperature comes?',
            options: ['It stays as it is', 'It falls slowly', 'It goes on rising, more slowly'],
          }
        : null,
      results: [
        askFor(CONCENTRATION, setup.bandsPercent, 'From the crossing of your two lines.'),
        {
          when: 'result',
          required: true,
          kind: 'graph',
          key: 'bend',
          label: 'The heat against the volume of base, with both lines',
          help: '',
        },
      ],
      working: 'The volume at the crossing, the amount of base in it, and what that makes of the acid.',
      evidence: {
        help: 'How sure are you of the crossing, and what did heat that was lost do to it?',
        words: ['heat'],
      },
      aims: [
        'Find an end point without seeing it',
        'Draw what gives straight lines',
        'Say how uncertain a crossing is',
      ],
    }),
  results: (_, sample, rows) => resultsOf(sample, rows),
  hints: () => ({ concentration: 'The crossing depends on both lines: more points on either side make it surer.' }),
  slips: (_, sample, rows) => {
    const right = resultsOf(sample, rows).concentration;
    const [raw, noVessel] = [
      concentrationOf(sample, rows, 'temperature'),
      concentrationOf(sample, rows, 'heat', false),
    ];
    const slips = [
      {
        key: 'raw',
        label: 'The bare temperature drawn in place of the heat',
        factor: right && raw ? raw / right : undefined,
      },
      {
        key: 'noVessel',
        label: 'The heat capacity of the vessel left out',
        factor: right && noVessel ? noVessel / right : undefined,
      },
      {
        key: 'upsideDown',
        label: 'Acid and base the wrong way round',
        factor: right ? (molPerLIn(sample, 1) / right) ** 2 : undefined,
      },
    ];
    return slips.flatMap(({ factor, ...slip }) => (factor ? [{ ...slip, quantity: 'concentration', factor }] : []));
  },
  truth: (_, sample) => [
    { label: 'Concentration', text: `${fixed(molPerLIn(sample, 0), 4)} mol/L` },
    { label: 'Acid', text: soluteOf(Object.keys(sample.bottles[0]?.molPerL ?? {})[0] ?? '').name },
  ],
  symbols: { concentration: 'c' },
  nothingYet: `There is no bend yet: record at least ${2 * LEAST} points of one cup, ${LEAST} of them beyond it.`,
};
