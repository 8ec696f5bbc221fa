import { z } from 'zod';
import { heatVesselOf } from '../../../databook/heat-vessels';
import { soluteOf, type Solute } from '../../../databook/solutes';
import { mix } from '../../../chemistry/solution';
import { fixed } from '../../../analysis/quantity';
import { chance, shuffled } from '../../../random';
import { askFor, askName, reportOf } from '../../report-parts';
import { drawnValue, threeDigitValues } from '../../sample-values';
import { bands, hypothesisFirst } from '../../settings-parts';
import { drawnCapacity } from '../begin';
import { solutionIn } from '../mixing/bottles';
import type { Kind } from '../kind';
import { AGAIN } from '../methods/in-the-cup';
import { neutralParts } from '../methods/neutral';
import { methodOfParts } from '../parts';
import type { Plan } from '../plan';
import { dissolvedJ, WATER_J_PER_G_K as c } from '../matter';
import { asDrawn, meanOf, valuesOf } from '../reading/rows';
import type { Row } from '../reading/row';
import { NOTHING, roomOf, type Sample } from '../sample';
import { ACID_IDS, BASE_IDS, molPerLIn } from './pairs';
import { lossWords, losses, NO_PLAN, tablesFor, thermometer, vessels, vesselWords } from './settings';

const concentration = (molPerL: number, label: string) =>
  z
    .number()
    .min(0.2, 'At least 0.2 mol/L: less warms too little.')
    .max(2, 'At most 2 mol/L.')
    .default(molPerL)
    .meta({ label, unit: 'mol/L' });

const setupSchema = z
  .object({
    acids: z
      .array(z.enum(ACID_IDS))
      .min(1, 'Choose at least one acid.')
      .default(['hydrochloric-acid', 'nitric-acid', 'acetic-acid', 'formic-acid'])
      .meta({ label: 'Acids', help: 'Each student is given one of these with one of the bases, by name.' }),
    bases: z
      .array(z.enum(BASE_IDS))
      .min(1, 'Choose at least one base.')
      .default(['sodium-hydroxide', 'potassium-hydroxide', 'ammonia'])
      .meta({ label: 'Bases' }),
    fromMolPerL: concentration(0.8, 'Concentrations from'),
    toMolPerL: concentration(1.2, 'Concentrations to'),
    measure: z.enum(['pipette', 'cylinder']).default('pipette').meta({ label: 'Liquids are measured out with a' }),
    vessels: vessels(['foam-cup']),
    thermometer,
    losses,
    hypothesis: hypothesisFirst(true),
    bandsPercent: bands([3, 5, 10]),
  })
  .superRefine((setup, context) => {
    const fail = (message: string) => context.addIssue({ code: 'custom', path: ['toMolPerL'], message });
    if (setup.toMolPerL <= setup.fromMolPerL) fail('The upper end of the range must be above the lower end.');
    else if (threeDigitValues(setup.fromMolPerL, setup.toMolPerL).length < 60)
      fail('Widen the range: a class needs sixty different concentrations.');
  });
type Setup = z.infer<typeof setupSchema>;

const SLOTS = ['VA', 'VB', 'T1', 'T2'] as const;
const PER_MOLE = { key: 'perMole', label: 'Heat given out for each mole that reacts', unit: 'kJ/mol', digits: 3 };
const RAN_OUT = ['the acid', 'the base', 'both at once'];

const planOf = (setup: Setup): Plan => ({
  ...NO_PLAN,
  vessels: setup.vessels,
  bottles: ['acid', 'base'],
  measure: setup.measure,
  thermometer: setup.thermometer,
  losses: setup.losses,
  slots: [...SLOTS],
  means: { T1: 'temperature of the acid before', T2: 'temperature of both together' },
});

const soluteIn = ({ bottles }: Sample, index: number): Solute =>
  soluteOf(Object.keys(bottles[index]?.molPerL ?? {})[0] ?? '');

/** Heat that comes of a mole of each, at the concentrations of the bottles, kJ/mol. */
export function heatOfPair(sample: Sample): number {
  const parts = [0, 1].map((index) => solutionIn(sample, index, 1 / molPerLIn(sample, index)));
  const [acid, base] = parts as [(typeof parts)[0], (typeof parts)[0]];
  // A thousandth of a mole of each.
  return dissolvedJ(acid) + dissolvedJ(base) - dissolvedJ(mix(acid, base));
}

/** What of each was there, mol, and the heat that came of it, J. */
function heatOf(sample: Sample, row: Row) {
  const of = valuesOf(row, SLOTS);
  if (!of) return undefined;
  const [acid, base] = [(of.VA * molPerLIn(sample, 0)) / 1000, (of.VB * molPerLIn(sample, 1)) / 1000];
  const vessel = heatVesselOf(row.readings.T2?.about.type ?? 'foam-cup').jPerK * row.vesselPart;
  const stepK = of.T2 - of.T1;
  return { acid, base, vessel, stepK, of, joules: ((of.VA + of.VB) * c + vessel) * stepK };
}

const resultsOf = (sample: Sample, rows: readonly Row[]): Record<string, number> => {
  const perMole = meanOf(rows, perMoleOf(sample));
  return perMole === undefined ? {} : { perMole };
};

const perMoleOf =
  (sample: Sample) =>
  (row: Row): number | undefined => {
    const heat = heatOf(sample, row);
    return heat && heat.acid > 0 && heat.base > 0 ? heat.joules / 1000 / Math.min(heat.acid, heat.base) : undefined;
  };

function slipsOf(sample: Sample, rows: readonly Row[]) {
  const right = meanOf(rows, perMoleOf(sample));
  const factorOf = (of: (heat: NonNullable<ReturnType<typeof heatOf>>) => number) => {
    const wrong = meanOf(rows, (row) => {
      const heat = heatOf(sample, row);
      return heat && of(heat) / 1000;
    });
    return right && wrong ? wrong / right : undefined;
  };
  const drawn = meanOf(rows, (row) => {
    const other = asDrawn(row);
    return other && perMoleOf(sample)(other);
  });
  const slips = [
    { key: 'drawn', label: 'The step drawn to the moment of mixing, in place of the temperature read after it', factor: right && drawn ? drawn / right : undefined },
    { key: 'excess', label: 'Divided by what was in excess, not by what reacted', factor: factorOf(({ joules, acid, base }) => joules / Math.max(acid, base)) },
    { key: 'both', label: 'Divided by acid and base together', factor: factorOf(({ joules, acid, base }) => joules / (acid + base)) },
    { key: 'one', label: 'The volume of one of the two only', factor: factorOf(({ acid, base, vessel, stepK, of }) => ((of.VA * c + vessel) * stepK) / Math.min(acid, base)) },
    { key: 'noVessel', label: 'The heat capacity of the vessel left out', factor: factorOf(({ acid, base, stepK, of }) => ((of.VA + of.VB) * c * stepK) / Math.min(acid, base)) },
    { key: 'joule', label: 'J for kJ', factor: 1000 },
    { key: 'sign', label: 'The sign: what warms its surroundings gives heat out', factor: -1 },
  ]; // prettier-ignore
  return slips.flatMap(({ factor, ...slip }) => (factor ? [{ ...slip, quantity: PER_MOLE.key, factor }] : []));
}

export const acidWithBase: Kind<Setup> = {
  id: 'acid-with-base',
  title: 'Acid with base, and the heat of it',
  summary: 'Pour a base into an acid, find the heat for each mole that reacts, and compare pairs.',
  setup: setupSchema,
  isVesselTold: true,
  unseen: { part: 0.008, kelvin: 0 },
  method: (plan) => methodOfParts(neutralParts(plan), 2, AGAIN(2)),
  room: () => 300,
  draw: (setup, seed, index) => {
    const pairs = setup.acids.flatMap((acid) => setup.bases.map((base) => [acid, base] as const));
    const [acid, base] = pairs[
      shuffled(pairs.length, chance(seed, 'pairs'))[index % pairs.length] as number
    ] as (typeof pairs)[0];
    const three = (value: number) => Number(value.toPrecision(3));
    const acidMolPerL = three(drawnValue(setup.fromMolPerL, setup.toMolPerL, seed, index));
    const baseMolPerL = three(drawnValue(setup.fromMolPerL, setup.toMolPerL, `${seed} base`, index));
    return {
      ...roomOf(seed, index),
      ...NOTHING,
      bottles: [
        { liquidId: 'water', molPerL: { [acid]: acidMolPerL } },
        { liquidId: 'water', molPerL: { [base]: baseMolPerL } },
      ],
      task: `Your bottles: ${soluteOf(acid).name} ${acidMolPerL.toPrecision(3)} mol/L, ${soluteOf(base).name} ${baseMolPerL.toPrecision(3)} mol/L`,
      capacity: drawnCapacity(seed, index),
    };
  },
  plan: planOf,
  brief: (setup) => ({
    question: [
      'The light keeper cleaned brass with acid, and tiles with lye. He poured the rest of both into one bucket.',
      'It grew warm. How much heat do one mole of acid and one mole of base give? Your card has your pair.',
    ],
    working: [
      `One millilitre of either counts as one gram of water. It takes up ${c.toFixed(2)} J for each kelvin.`,
      ...vesselWords(setup.vessels),
      'Work out both amounts. What reacts is as much as there is of the one that runs out.',
      'Divide the heat by that amount. Give it as a positive number: heat that is given out.',
      'Take the mean of your trials, and say which of the two ran out in the last.',
    ],
    know: lossWords(setup.losses),
  }),
  tables: (setup) =>
    tablesFor(planOf(setup), [
      { name: 'together', symbol: 'V', unit: 'mL', formula: 'V_a + V_b' },
      { name: 'step', symbol: 'd', unit: 'K', formula: 'T_2 - T_1' },
    ]),
  quantities: () => [
    { ...PER_MOLE, kind: 'number' },
    { key: 'ranOut', label: 'Which of the two ran out', kind: 'name', options: RAN_OUT },
  ],
  truths: (_, sample, bench) => {
    // Of the last trial that has its temperature after: what was really in the cup then.
    const last = bench.readings.findLast(
      (r) => r.which === 'T2' && r.struck === null && bench.leftOut[r.trial] === undefined,
    );
    const [acidMl = 0, baseMl = 0] = last?.about.measuredMl ?? [];
    const [acid, base] = [acidMl * molPerLIn(sample, 0), baseMl * molPerLIn(sample, 1)];
    const ranOut =
      Math.abs(acid - base) < 0.004 * (acid + base) ? 'both at once' : acid < base ? 'the acid' : 'the base';
    return { perMole: heatOfPair(sample), ...(last && acid > 0 && base > 0 ? { ranOut } : {}) };
  },
  asks: (setup) =>
    reportOf({
      measured: {
        label: 'What is the heat divided by?',
        options: [
          'The amount of what runs out',
          'The amount of what is in excess',
          'The amounts of both together',
          'The volume of the solution',
        ],
      },
      hypothesis: setup.hypothesis
        ? {
            label:
              'Hypothesis: a weak acid is neutralised in place of a strong one, by a strong base. The heat for a mole is',
            options: ['much smaller', 'about the same', 'much larger'],
          }
        : null,
      results: [
        askFor(PER_MOLE, setup.bandsPercent, 'As a positive number. The mean of your trials, with its uncertainty.'),
        askName(
          'Which of the two had run out in your last trial?',
          RAN_OUT,
          'From the volumes and the concentrations on your card.',
        ),
      ].map((ask) => (ask.kind === 'name' ? { ...ask, key: 'ranOut', quantity: 'ranOut' } : ask)),
      working: 'Heat of the liquid and of the cup, the amount that reacted, and what that makes for a mole.',
      evidence: {
        help: 'What reacts with what here, and why is the heat as large as that of other pairs, or not?',
        words: ['heat'],
      },
      aims: [
        'Say which of two runs out',
        'Get from a temperature to kJ/mol',
        'Explain why strong acids all give the same heat',
      ],
    }),
  results: (_, sample, rows) => resultsOf(sample, rows),
  hints: () => ({
    perMole: 'The step of the temperature limits the result most. Take stronger solutions, or less in excess.',
  }),
  slips: (_, sample, rows) => slipsOf(sample, rows),
  truth: (_, sample) => [
    { label: 'Heat for a mole', text: `${fixed(heatOfPair(sample), 2)} kJ/mol` },
    { label: 'Acid and base', text: `${soluteIn(sample, 0).name}, ${soluteIn(sample, 1).name}` },
  ],
  pool: (_, sample) => ({ perMole: `${soluteIn(sample, 0).name} with ${soluteIn(sample, 1).name}` }),
  symbols: { perMole: 'ΔH' },
  nothingYet: 'There is no whole trial yet: two volumes and two temperatures, of one cup.',
};
