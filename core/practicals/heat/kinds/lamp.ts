import { z } from 'zod';
import { LAMP_FUEL_IDS, lampFuelOf, openKJPerG } from '../../../databook/combustion';
import { heatVesselOf } from '../../../databook/heat-vessels';
import { fixed } from '../../../analysis/quantity';
import { chance, shuffled } from '../../../random';
import { namesLeftOpen, pairObjection, type Likeness } from '../../look-alikes';
import { askFor, askName, reportOf } from '../../report-parts';
import { bands, hypothesisFirst } from '../../settings-parts';
import type { Bench } from '../bench';
import { drawnCapacity } from '../begin';
import type { Kind } from '../kind';
import { lampParts } from '../methods/lamp';
import { methodOfParts } from '../parts';
import { caughtPart, FIRST_GAP_MM } from '../burning/lamps';
import { WATER_J_PER_G_K as c } from '../matter';
import type { Plan } from '../plan';
import { asDrawn, meanOf, valuesOf } from '../reading/rows';
import type { Row } from '../reading/row';
import { NOTHING, roomOf, WATER } from '../sample';
import { CONVENTION, losses, NO_PLAN, readability, tablesFor, thermometer, vesselWords } from './settings';

const CANS = ['metal-can', 'glass-beaker'] as const;

const setupSchema = z
  .object({
    known: z.enum(LAMP_FUEL_IDS).default('ethanol').meta({ label: 'Known fuel, in everybody’s first lamp' }),
    fuels: z
      .array(z.enum(LAMP_FUEL_IDS))
      .min(2, 'Choose at least two fuels: with one there is nothing to be named.')
      .default(['methanol', 'ethyl-acetate', 'acetone', 'butan-1-ol', 'hexane'])
      .meta({
        label: 'Unknown fuels',
        help: 'Each student is given one of these; they are the names that are offered.',
      }),
    vessel: z.enum(CANS).default('metal-can').meta({ label: 'Vessel over the flame' }),
    thermometer,
    readability,
    losses: losses.meta({
      label: 'Heat is lost to the room',
      help: 'Off for a first lesson: then all heat of the flame comes to the can and stays there.',
    }),
    hypothesis: hypothesisFirst(true),
    bandsPercent: bands([4, 8, 15]),
  })
  .refine(({ known, fuels }) => !fuels.includes(known), {
    message: 'The known fuel is among the unknown ones. Take it out there.',
    path: ['fuels'],
  });
type Setup = z.infer<typeof setupSchema>;

const COMMON = ['m1', 'm2', 'T1', 'T2'] as const;
const PER_GRAM = {
  key: 'perGram',
  label: 'Heat that a gram gives in the open, its water as steam',
  unit: 'kJ/g',
  digits: 2,
};
const CAUGHT = { key: 'caught', label: 'Part of the flame’s heat that can and water took up', unit: '%', digits: 2 };

const planOf = (setup: Setup): Plan => ({
  ...NO_PLAN,
  vessels: [setup.vessel],
  lamps: [`lamp with ${lampFuelOf(setup.known).name}`, 'lamp with the unknown'],
  thermometer: setup.thermometer,
  balance: setup.readability,
  losses: setup.losses,
  slots: ['k1', 'm1', 'm2', 'T1', 'T2', 'k2', 'b1', 'b2'],
  either: [
    ['k1', 'k2'],
    ['b1', 'b2'],
  ],
  means: {
    m1: `mass of the empty ${heatVesselOf(setup.vessel).name}`,
    m2: `mass of the ${heatVesselOf(setup.vessel).name} with its water`,
    T1: 'temperature before the flame',
    T2: 'temperature after it',
  },
  heads: { m1: 'can', m2: 'with water' },
});

type Way = (parts: {
  waterG: number;
  stepK: number;
  vessel: number;
  of: Record<(typeof COMMON)[number], number>;
}) => number;
/** Heat that water and can took up, J. */
const RIGHT: Way = ({ waterG, vessel, stepK }) => (waterG * c + vessel) * stepK;

function perGramOf(
  setup: Setup,
  row: Row,
  slots: readonly ['k1', 'k2'] | readonly ['b1', 'b2'],
  way: Way,
): number | undefined {
  const [of, fuel] = [valuesOf(row, COMMON), valuesOf<'k1' | 'k2' | 'b1' | 'b2'>(row, slots)];
  if (!of || !fuel) return undefined;
  const grams = (fuel[slots[0]] ?? NaN) - (fuel[slots[1]] ?? NaN);
  if (!(grams > 0)) return undefined;
  const vessel = heatVesselOf(setup.vessel).jPerK * row.vesselPart;
  return way({ waterG: of.m2 - of.m1, stepK: of.T2 - of.T1, vessel, of }) / 1000 / grams;
}

function workedOut(setup: Setup, rows: readonly Row[], way: Way = RIGHT): Record<string, number> {
  const known = meanOf(rows, (row) => perGramOf(setup, row, ['k1', 'k2'], way));
  if (known === undefined) return {};
  const part = known / openKJPerG(lampFuelOf(setup.known));
  const unknown = meanOf(rows, (row) => perGramOf(setup, row, ['b1', 'b2'], way));
  return { caught: 100 * part, ...(unknown === undefined ? {} : { perGram: unknown / part }) };
}

function slipsOf(setup: Setup, rows: readonly Row[]) {
  const right = workedOut(setup, rows);
  const part = (right.caught ?? 0) / 100;
  const drawn = workedOut(
    setup,
    rows.flatMap((row) => asDrawn(row) ?? []),
  );
  const ways: { key: string; label: string; values: Record<string, number> }[] = [
    { key: 'drawn', label: 'The step drawn to the moment of lighting, in place of the temperature read after it', values: drawn },
    { key: 'noVessel', label: 'The heat capacity of the vessel left out', values: workedOut(setup, rows, ({ waterG, stepK }) => waterG * c * stepK) },
    { key: 'withCan', label: 'The vessel weighed with the water', values: workedOut(setup, rows, ({ of, stepK, vessel }) => (of.m2 * c + vessel) * stepK) },
  ]; // prettier-ignore
  const found = ways.flatMap(({ key, label, values }) =>
    [PER_GRAM.key, CAUGHT.key].flatMap((quantity) => {
      const [wrong, is] = [values[quantity], right[quantity]];
      return wrong && is ? [{ key, label, quantity, factor: wrong / is }] : [];
    }),
  );
  return [
    ...found,
    ...(part > 0
      ? [
          {
            key: 'allCaught',
            label: 'As if all of the heat had come to the water',
            quantity: PER_GRAM.key,
            factor: part,
          },
        ]
      : []),
    { key: 'joule', label: 'J for kJ', quantity: PER_GRAM.key, factor: 1000 },
    { key: 'asPart', label: 'A part of one in place of percent', quantity: CAUGHT.key, factor: 0.01 },
  ];
}

/** The part of the heat that was caught where the known fuel burnt last. */
function caughtOfKnown({ losses: isLossy }: Setup, { readings, gapMm, screen }: Bench): number {
  const live = readings.filter(({ struck }) => struck === null);
  const after = live.findLast(({ which }) => which === 'k2');
  const warmed = live.findLast(({ which, trial }) => which === 'T2' && trial === after?.trial);
  return warmed?.about.caught ?? (isLossy ? caughtPart(gapMm, screen) : 1);
}

const likeness = (id: string): Likeness => ({
  name: lampFuelOf(id).name,
  look: 'clear',
  values: { perGram: openKJPerG(lampFuelOf(id)) },
});
const namesIn = ({ fuels }: Setup) => fuels.map((id) => lampFuelOf(id).name).sort((a, b) => a.localeCompare(b, 'en'));
/** Two fuels are told apart from so far on, as a part: no two flames burn alike. */
const TOLD_APART = 0.12;

const AGAIN_OTHER = { does: 'Take fresh water, and do the same with the unknown fuel.' };

export const lampFuels: Kind<Setup> = {
  id: 'lamp-fuels',
  title: 'Fuels in a lamp',
  summary:
    'Warm water over a known fuel, then over an unknown one. Most of the heat is lost, and still it can be named.',
  setup: setupSchema,
  isVesselTold: true,
  unseen: { part: 0.022, kelvin: 0, ofEach: true },
  method: (plan) => methodOfParts(lampParts(plan), 2, AGAIN_OTHER),
  room: () => 300,
  draw: (setup, seed, index) => {
    const order = shuffled(setup.fuels.length, chance(seed, 'pool'));
    const fuel = setup.fuels[order[index % setup.fuels.length] as number] as string;
    return {
      ...roomOf(seed, index),
      ...NOTHING,
      lampFuelIds: [setup.known, fuel],
      bottles: [WATER],
      task: `Your amounts: about ${140 + 5 * (index % 13)} mL of water each time, warmed by about ${12 + (index % 7)} K`,
      capacity: drawnCapacity(seed, index),
    };
  },
  plan: planOf,
  objections: ({ fuels }) => {
    const sentence = pairObjection(fuels.map(likeness), (_, value) => TOLD_APART * value, 'Leave one of them out.');
    return sentence === null ? [] : [{ field: 'fuels', sentence }];
  },
  brief: (setup) => ({
    question: [
      'The lamp of the harbour burnt what was at hand. Nobody knows what is in the can at the back.',
      'How much heat does one gram of it give, and which fuel is it?',
      `It is one of these: ${namesIn(setup).join(', ')}.`,
    ],
    working: [
      CONVENTION,
      ...vesselWords([setup.vessel]),
      `In the open, one gram of ${lampFuelOf(setup.known).name} gives ${fixed(openKJPerG(lampFuelOf(setup.known)), 2)} kJ. The water of its flame leaves as steam.`,
      ...(setup.losses
        ? [
            'Most of the heat goes past the can. The known fuel tells which part of it is caught.',
            'The same part is caught of the unknown, if all else is the same.',
          ]
        : []),
      'Give the heat of the unknown in the same way, as a positive number. Take the mean of your trials.',
      'Compare with the data book, “Fuels for lamps”.',
    ],
    know: setup.losses ? [] : ['In this laboratory no heat goes past the can, nor to the room later.'],
  }),
  tables: (setup) =>
    tablesFor(planOf(setup), [
      { name: 'water', symbol: 'm_w', unit: 'g', formula: 'm_2 - m_1' },
      { name: 'step', symbol: 'd', unit: 'K', formula: 'T_2 - T_1' },
    ]),
  quantities: (setup) => [
    { ...PER_GRAM, kind: 'number' },
    { ...CAUGHT, kind: 'number' },
    { key: 'name', label: 'What the unknown fuel is', kind: 'name', options: namesIn(setup) },
  ],
  truths: (setup, sample, bench) => {
    const fuel = lampFuelOf(sample.lampFuelIds[1] ?? '');
    return { perGram: openKJPerG(fuel), caught: 100 * caughtOfKnown(setup, bench), name: fuel.name };
  },
  asks: (setup) =>
    reportOf({
      measured: {
        label: 'Why is a known fuel burnt as well?',
        options: [
          'It tells what part of the heat comes to the water',
          'It warms the can, so that nothing is lost later on',
          'It tells the mass of the unknown fuel',
          'It cleans the wick',
        ],
      },
      hypothesis: setup.hypothesis
        ? {
            label:
              'Hypothesis: the can hangs twice as high over the flame. The heat that a gram of fuel gives to the water',
            options: ['becomes smaller', 'stays the same', 'becomes larger'],
          }
        : null,
      results: [
        askFor(
          CAUGHT,
          setup.bandsPercent.map((percent) => 2 * percent),
          'From the known fuel.',
        ),
        askFor(PER_GRAM, setup.bandsPercent, 'As a positive number: heat that is given out, its water as steam.'),
        askName(
          'What is the unknown fuel?',
          namesIn(setup),
          'Compare with what a gram of each gives, its water as steam.',
        ),
      ],
      working: 'Heat of water and can for a gram of each fuel, and how the known one tells about the other.',
      evidence: {
        help: 'Which of the fuels can you not rule out? What had to be the same both times, and was it?',
        words: ['heat'],
      },
      aims: [
        'Compare two things so that what is lost is the same',
        'Say what becomes of the water of a flame',
        'Get from two temperatures to kJ/g',
      ],
    }),
  results: (setup, _, rows) => workedOut(setup, rows),
  hints: () => ({ perGram: 'No two flames burn alike: burn each fuel more than once.' }),
  leftOpen: (setup, _, { results, uncertainties }) => {
    const { perGram } = results;
    const values: Record<string, number> = perGram === undefined ? {} : { perGram };
    const found = { name: '', look: 'clear', values };
    return { name: namesLeftOpen(setup.fuels.map(likeness), found, () => 2 * (uncertainties.perGram ?? 0)) };
  },
  slips: (setup, _, rows) => slipsOf(setup, rows),
  truth: (setup, sample) => {
    const fuel = lampFuelOf(sample.lampFuelIds[1] ?? '');
    return [
      { label: 'What the unknown fuel is', text: fuel.name },
      { label: 'Heat of a gram, water as steam', text: `${fixed(openKJPerG(fuel), 2)} kJ/g` },
      ...(setup.losses
        ? [{ label: 'Caught at first', text: `${fixed(100 * caughtPart(FIRST_GAP_MM, false), 0)} % of the heat` }]
        : []),
    ];
  },
  pool: (_, sample) => ({ perGram: lampFuelOf(sample.lampFuelIds[1] ?? '').name }),
  symbols: { perGram: 'q', caught: 'caught' },
  nothingYet:
    'There is no whole trial of the known fuel yet: its lamp before and after, the can empty and with water, two temperatures.',
};
