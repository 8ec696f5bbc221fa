import { z } from 'zod';
import { fixed } from '../../../analysis/quantity';
import { VAPOUR_IDS, vapourOf } from '../../../databook/vapours';
import { BALANCES, type Readability } from '../../../instruments/balance';
import { GAS_CONSTANT, kelvin } from '../../../physics/gas-law';
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
  liquids: z
    .array(z.enum(VAPOUR_IDS))
    .min(1, 'Choose at least one liquid.')
    .default(['acetone', 'pentane', 'hexane'])
    .meta({ label: 'Liquids', help: 'Each student is given one of these. All of them boil well below 100 °C.' }),
  balance: z
    .enum(Object.keys(BALANCES) as [Readability, ...Readability[]])
    .default('0.001')
    .meta({ label: 'Balance, reads to', unit: 'g' }),
  unit: common.unit,
  hypothesis: common.hypothesis,
  bandsPercent: bands([4, 8, 12]),
});
type Setup = z.infer<typeof setupSchema>;

const MOLAR = { key: 'molarMass', label: 'Molar mass of the liquid', unit: 'g/mol', digits: 2 };

const planOf = ({ unit, balance }: Setup): Plan => ({
  family: 'gases',
  gear: 'injected',
  gauge: 'absolute',
  unit,
  syringes: ['air'],
  balance,
});

interface Values {
  grams: number;
  ml: number;
  kPa: number;
  tempK: number;
}

/** What each row comes to: M = m R T / (P V), by whatever of it is taken. */
function meanOf(rows: readonly Row[], of: (values: Values, row: Row) => number): number | undefined {
  const found = rows.flatMap((row) => {
    const [m1, m2, v0, v1, t, bar] = (['m1', 'm2', 'v0', 'v1', 't', 'bar'] as const).map((slot) => valueOf(row, slot));
    if (m1 === undefined || m2 === undefined || v0 === undefined || v1 === undefined) return [];
    if (t === undefined || bar === undefined || v1 - v0 < 1) return [];
    return [of({ grams: m1 - m2, ml: v1 - v0, kPa: bar, tempK: kelvin(t) }, row)];
  });
  return found.length === 0 ? undefined : found.reduce((a, b) => a + b, 0) / found.length;
}

const molarMass = ({ grams, ml, kPa, tempK }: Values): number => (grams * GAS_CONSTANT * tempK) / (kPa * ml);

/** Nearer than this to one another two liquids are not told apart, as a part of their molar mass. */
const TOLD_APART = 0.07;
const likeness = (id: string) => ({
  name: vapourOf(id).name,
  look: 'clear',
  values: { molarMass: vapourOf(id).gPerMol },
});
const optionsOf = ({ liquids }: Setup) => [...new Set(liquids)].map((id) => vapourOf(id).name).sort();
const liquidOf = ({ vapourId }: Sample) => vapourOf(vapourId ?? '');

export const vapourMolarMass: Kind<Setup> = {
  id: 'vapour-molar-mass',
  title: 'Molar mass of a vapour',
  summary: 'Inject a weighed liquid into a hot syringe and read the volume of its vapour. Name it by its molar mass.',
  setup: setupSchema,
  moves: [
    CAUSES.needle,
    CAUSES.stopper,
    CAUSES.real,
    CAUSES.stick,
    CAUSES.lag,
    CAUSES.balance,
    CAUSES.settling,
    CAUSES.scale,
    CAUSES.probe,
    CAUSES.barometer,
  ],
  room: () => 150,
  draw: (setup, seed, index) => {
    const around = surroundingsOf(seed, index);
    const liquids = [...new Set(setup.liquids)];
    const order = shuffled(liquids.length, chance(seed, 'liquids'));
    const airMl = drawnValue(5, 9, seed, index);
    const mol = (around.roomKPa * airMl) / (GAS_CONSTANT * kelvin(around.roomC));
    return {
      ...around,
      zeroKPa: 0,
      gases: [{ id: 'air', mol }],
      vapourId: liquids[order[index % liquids.length] as number] as string,
    };
  },
  plan: planOf,
  objections: ({ liquids }) => {
    const [pair] = pairsAlike([...new Set(liquids)].map(likeness), (_, value) => TOLD_APART * value);
    return pair
      ? [
          {
            field: 'liquids',
            sentence: `The molar masses of ${pair[0].name} and ${pair[1].name} lie too near to one another to be told apart here. Leave one of them out.`,
          },
        ]
      : [];
  },
  brief: (setup) => ({
    question: [
      'A bottle among the lamp fuels has lost its label. The liquid in it boils below 100 °C.',
      'What is its molar mass, and which liquid is it?',
      `It is one of these: ${optionsOf(setup).join(', ')}.`,
    ],
    working: [
      'The mass of the vapour is the injector before, less the injector after.',
      'Its volume is V₁ − V₀, at the temperature of the bath and the pressure of the room.',
      'M = m R T / (P V). Take the mean of your trials.',
      'The data book has the liquids under “Vapours”.',
    ],
    know: [
      'Weigh both times in the same way: with the stopper.',
      'A vapour near its liquid takes up a little less room than an ideal gas. So M comes out a little large.',
    ],
  }),
  tables: (setup) => {
    const slots = slotsOf(planOf(setup));
    return [
      trialsTable(
        'rows',
        'Measurements',
        SLOTS_OF.injected.map((slot) => slotColumn(slot, slots)),
        [
          { name: 'vapour, mass', symbol: 'm', unit: 'g', formula: 'm_1 - m_2' },
          { name: 'vapour, volume', symbol: 'V', unit: 'mL', formula: 'V_1 - V_0' },
          { name: 'bath', symbol: 'T', unit: 'K', formula: 't' },
        ],
      ),
    ];
  },
  quantities: (setup) => [
    { ...MOLAR, kind: 'number' },
    { key: 'name', label: 'What the liquid is', kind: 'name', options: optionsOf(setup) },
  ],
  truths: (_, sample) => ({ molarMass: liquidOf(sample).gPerMol, name: liquidOf(sample).name }),
  asks: (setup) =>
    reportOf({
      measured: {
        label: 'Which volume belongs to the mass that was injected?',
        options: [
          'The volume with the vapour less that of the air before',
          'The volume with the vapour',
          'The volume of the liquid',
          'The mean of both volumes',
        ],
      },
      hypothesis: setup.hypothesis
        ? {
            label:
              'Hypothesis: a little of the liquid evaporates from the needle between injecting and weighing. The molar mass comes out',
            options: ['too large', 'too small', 'right all the same'],
          }
        : null,
      results: [
        askFor(MOLAR, setup.bandsPercent, 'The mean of your trials, with the digits that they allow.'),
        askName('What is the liquid?', optionsOf(setup)),
      ],
      working: 'Mass and volume of the vapour, temperature in K, and what they come to.',
      evidence: {
        help: 'How far do your trials differ? Which names can you not rule out?',
        words: ['volume'],
      },
      aims: [
        'Go from the volume of a gas to its amount',
        'Weigh what is lost, and keep the rest from being lost',
        'Say why real vapours take up less room',
      ],
    }),
  results: (_, __, rows) => {
    const found = meanOf(rows, molarMass);
    return found === undefined ? ({} as Record<string, number>) : { molarMass: found };
  },
  hints: () => ({
    molarMass:
      'The vapour is not quite an ideal gas: that limits the result most. Then comes the mass: use a finer balance, or more liquid.',
  }),
  leftOpen: ({ liquids }, _, { results, uncertainties }) => {
    const { molarMass: value } = results;
    const values: Record<string, number> = value === undefined ? {} : { molarMass: value };
    const near = () => 2 * (uncertainties['molarMass'] ?? 0);
    return { name: namesLeftOpen([...new Set(liquids)].map(likeness), { name: '', look: 'clear', values }, near) };
  },
  slips: (_, __, rows) => {
    const right = meanOf(rows, molarMass);
    const by = (of: (values: Values, row: Row) => number) => {
      const wrong = meanOf(rows, of);
      return right && wrong ? wrong / right : undefined;
    };
    const roomK = (row: Row) => kelvin(valueOf(row, 'room') ?? 20);
    const slips = [
      {
        key: 'celsius',
        label: '°C for K',
        factor: by((values) => molarMass(values) * celsiusForKelvin(values.tempK - kelvin(0))),
      },
      {
        key: 'air',
        label: 'The air’s volume left in',
        factor: by((values, row) => molarMass({ ...values, ml: valueOf(row, 'v1') ?? NaN })),
      },
      {
        key: 'room',
        label: 'The room’s temperature in place of the bath’s',
        factor: by((values, row) => molarMass({ ...values, tempK: roomK(row) })),
      },
      { key: 'inverted', label: 'Turned upside down', factor: right && 1 / right / right },
    ];
    return slips.flatMap(({ factor, ...slip }) => (factor ? [{ ...slip, quantity: MOLAR.key, factor }] : []));
  },
  truth: (_, sample) => [
    { label: 'What it is', text: liquidOf(sample).name },
    { label: 'Molar mass', text: `${fixed(liquidOf(sample).gPerMol, 2)} g/mol` },
  ],
  pool: (_, sample) => ({ molarMass: liquidOf(sample).name }),
  symbols: { molarMass: 'M' },
  nothingYet:
    'There is no molar mass yet: record the barometer, the injector before and after, the syringe before and after, and the bath.',
};
