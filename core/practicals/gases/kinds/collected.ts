import { z } from 'zod';
import { fixed } from '../../../analysis/quantity';
import { gPerMolHydrogen, RIBBON_IDS, ribbonOf } from '../../../databook/ribbons';
import { BALANCES, type Readability } from '../../../instruments/balance';
import { GAS_CONSTANT, kelvin } from '../../../physics/gas-law';
import { KPA_PER_MM } from '../../../physics/over-water';
import { vapourPressureKPa } from '../../../physics/vapour';
import { chance, shuffled } from '../../../random';
import { namesLeftOpen, pairsAlike } from '../../look-alikes';
import { askFor, askName, reportOf } from '../../report-parts';
import { drawnValue } from '../../sample-values';
import { slotColumn, trialsTable } from '../../tables';
import type { Kind } from '../kind';
import { SLOTS_OF, slotsOf, type Plan } from '../plan';
import { valueOf, type Row } from '../rows';
import { surroundingsOf, type Sample } from '../sample';
import { bands, CAUSES, celsiusForKelvin, common } from './parts';

const setupSchema = z.object({
  metals: z
    .array(z.enum(RIBBON_IDS))
    .min(1, 'Choose at least one metal.')
    .default(['magnesium', 'aluminium', 'zinc', 'iron'])
    .meta({
      label: 'Metals',
      help: 'Each student is given strips of one of these. Aluminium gives 1.5 mol of hydrogen for a mole, the others 1.',
    }),
  balance: z
    .enum(Object.keys(BALANCES) as [Readability, ...Readability[]])
    .default('0.0001')
    .meta({ label: 'Balance, reads to', unit: 'g' }),
  unit: common.unit,
  hypothesis: common.hypothesis,
  bandsPercent: bands([2, 4, 8]),
});
type Setup = z.infer<typeof setupSchema>;

const PER_MOL = { key: 'perMol', label: 'Mass of the metal that gives one mole of hydrogen', unit: 'g/mol', digits: 3 };

const planOf = ({ unit, balance }: Setup): Plan => ({
  family: 'gases',
  gear: 'collected',
  gauge: 'absolute',
  unit,
  syringes: [],
  balance,
});

interface Values {
  grams: number;
  ml: number;
  roomKPa: number;
  heightMm: number;
  waterC: number;
}
/** What a row comes to: m / n with n = P V / (R T), by what is taken for the pressure of the hydrogen alone. */
type Way = (values: Values) => number;

const over = (kPa: number, { grams, ml, waterC }: Values): number =>
  (grams * GAS_CONSTANT * kelvin(waterC)) / (kPa * ml);
const dryKPa = ({ roomKPa, heightMm, waterC }: Values): number =>
  roomKPa - KPA_PER_MM * heightMm - vapourPressureKPa(waterC);
const RIGHT: Way = (values) => over(dryKPa(values), values);

/** The mean over the rows; what was not read of level and air counts as none. */
function meanOf(rows: readonly Row[], way: Way): number | undefined {
  const found = rows.flatMap((row) => {
    const [m, v1, t, bar] = (['m', 'v1', 't', 'bar'] as const).map((slot) => valueOf(row, slot));
    if (m === undefined || v1 === undefined || t === undefined || bar === undefined) return [];
    const ml = v1 - (valueOf(row, 'v0') ?? 0);
    return ml < 1 ? [] : [way({ grams: m, ml, roomKPa: bar, heightMm: valueOf(row, 'h') ?? 0, waterC: t })];
  });
  return found.length === 0 ? undefined : found.reduce((a, b) => a + b, 0) / found.length;
}

/** Nearer than this to one another two metals are not told apart, as a part. */
const TOLD_APART = 0.05;
const likeness = (id: string) => ({
  name: ribbonOf(id).name,
  look: 'metal',
  values: { perMol: gPerMolHydrogen(ribbonOf(id)) },
});
const optionsOf = ({ metals }: Setup) => [...new Set(metals)].map((id) => ribbonOf(id).name).sort();
const metalOf = ({ metalId }: Sample) => ribbonOf(metalId ?? '');

export const gasOverWater: Kind<Setup> = {
  id: 'gas-over-water',
  title: 'A gas collected over water',
  summary: 'Dissolve a weighed strip of metal in acid, collect the hydrogen over water, and name the metal by it.',
  setup: setupSchema,
  moves: [
    CAUSES.lag,
    CAUSES.level,
    CAUSES.air,
    CAUSES.balance,
    CAUSES.settling,
    CAUSES.scale,
    CAUSES.probe,
    CAUSES.barometer,
  ],
  room: () => 150,
  draw: (setup, seed, index) => {
    const around = surroundingsOf(seed, index);
    const metals = [...new Set(setup.metals)];
    const order = shuffled(metals.length, chance(seed, 'metals'));
    return {
      ...around,
      zeroKPa: 0,
      waterC: Math.round(10 * drawnValue(15, 24, seed, index)) / 10,
      metalId: metals[order[index % metals.length] as number] as string,
    };
  },
  plan: planOf,
  objections: ({ metals }) => {
    const [pair] = pairsAlike([...new Set(metals)].map(likeness), (_, value) => TOLD_APART * value);
    return pair
      ? [
          {
            field: 'metals',
            sentence: `${pair[0].name} and ${pair[1].name} give nearly the same hydrogen for a gram, and are not told apart here. Leave one of them out.`,
          },
        ]
      : [];
  },
  brief: (setup) => ({
    question: [
      'A roll of grey strip lies in the workshop of the light. Nobody knows which metal it is.',
      'In acid it dissolves and gives hydrogen. How much hydrogen comes from one gram tells the metal.',
      `It is one of these: ${optionsOf(setup).join(', ')}.`,
    ],
    working: [
      'The volume that came is the volume at the end less the air at the beginning.',
      'The gas is damp. Take the vapour pressure of water off the pressure of the room: the data book has it.',
      'Where the water stands higher inside, take that off, too: 1 mm of water is 0.0098 kPa.',
      'What is left is the pressure of the hydrogen. Then n = P V / (R T).',
      'The mass of the strip over n is the mass that gives one mole of hydrogen.',
      'One mole of magnesium, zinc or iron gives one mole of hydrogen. One mole of aluminium gives one and a half.',
    ],
    know: ['The tube is full of dilute acid. It stands upside down in a jar of water.'],
  }),
  tables: (setup) => {
    const slots = slotsOf(planOf(setup));
    return [
      trialsTable(
        'rows',
        'Measurements',
        SLOTS_OF.collected.map((slot) => slotColumn(slot, slots)),
        [{ name: 'volume that came', symbol: 'V', unit: 'mL', formula: 'V_1 - V_0' }],
      ),
    ];
  },
  quantities: (setup) => [
    { ...PER_MOL, kind: 'number' },
    { key: 'name', label: 'What the metal is', kind: 'name', options: optionsOf(setup) },
  ],
  truths: (_, sample) => ({ perMol: gPerMolHydrogen(metalOf(sample)), name: metalOf(sample).name }),
  asks: (setup) =>
    reportOf({
      measured: {
        label: 'What has to be taken off the room’s pressure, when the water stands higher inside?',
        options: [
          'The vapour pressure of water, and the column that hangs in the tube',
          'The vapour pressure of water alone',
          'The column that hangs in the tube alone',
          'Nothing',
        ],
      },
      hypothesis: setup.hypothesis
        ? {
            label: 'Hypothesis: the vapour of the water is forgotten. The mass for one mole comes out',
            options: ['too small', 'too large', 'right all the same'],
          }
        : null,
      results: [
        askFor(PER_MOL, setup.bandsPercent, 'The mean of your trials, with the digits that they allow.'),
        askName('What is the metal?', optionsOf(setup), 'Think of how much hydrogen a mole of each gives.'),
      ],
      working: 'The pressure of the hydrogen alone, its amount, and the mass over it.',
      evidence: {
        help: 'How do you know that all of it was dissolved, and the gas no longer warm? How far do your trials differ?',
        words: ['pressure'],
      },
      aims: [
        'Tell the pressure of one gas from that of a mixture',
        'Bring a level to where it needs no correction',
        'Go from a volume of gas to an amount',
      ],
    }),
  results: (_, __, rows) => {
    const found = meanOf(rows, RIGHT);
    return found === undefined ? ({} as Record<string, number>) : { perMol: found };
  },
  hints: () => ({
    perMol:
      'The scale of the tube limits the result most. Where the strip is light, the balance does: take more of the metal.',
  }),
  leftOpen: ({ metals }, _, { results, uncertainties }) => {
    const { perMol } = results;
    const values: Record<string, number> = perMol === undefined ? {} : { perMol };
    const near = () => 2 * (uncertainties['perMol'] ?? 0);
    return { name: namesLeftOpen([...new Set(metals)].map(likeness), { name: '', look: 'metal', values }, near) };
  },
  slips: (_, __, rows) => {
    const right = meanOf(rows, RIGHT);
    const by = (way: Way) => {
      const wrong = meanOf(rows, way);
      return right && wrong ? wrong / right : undefined;
    };
    const slips = [
      {
        key: 'damp',
        label: 'The vapour of the water left in',
        factor: by((values) => over(dryKPa(values) + vapourPressureKPa(values.waterC), values)),
      },
      {
        key: 'column',
        label: 'The column in the tube left out',
        factor: by((values) => over(dryKPa({ ...values, heightMm: 0 }), values)),
      },
      { key: 'celsius', label: '°C for K', factor: by((values) => RIGHT(values) * celsiusForKelvin(values.waterC)) },
      {
        key: 'molar',
        label: '24 L for each mole, whatever the room',
        factor: by(({ grams, ml }) => (grams * 24000) / ml),
      },
    ];
    return slips.flatMap(({ factor, ...slip }) =>
      factor && Math.abs(factor - 1) > 1e-3 ? [{ ...slip, quantity: PER_MOL.key, factor }] : [],
    );
  },
  truth: (_, sample) => [
    { label: 'What it is', text: metalOf(sample).name },
    { label: 'For one mole of hydrogen', text: `${fixed(gPerMolHydrogen(metalOf(sample)), 2)} g` },
  ],
  pool: (_, sample) => ({ perMol: metalOf(sample).name }),
  symbols: { perMol: 'm/n' },
  nothingYet:
    'There is no amount of gas yet: record the barometer, the strip, the volume with the gas, and the water’s temperature.',
};
