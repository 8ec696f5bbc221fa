import { z } from 'zod';
import {
  FUSE_WIRE_IDS,
  fuseWireOf,
  molarMassOf,
  sealedKJPerG,
  SOLID_FUEL_IDS,
  solidFuelOf,
  wireJPerCm,
} from '../../../databook/combustion';
import { fixed } from '../../../analysis/quantity';
import { chance, shuffled } from '../../../random';
import { namesLeftOpen, pairObjection, type Likeness } from '../../look-alikes';
import { askFor, askName, reportOf } from '../../report-parts';
import { drawnValue } from '../../sample-values';
import { bands, hypothesisFirst } from '../../settings-parts';
import { drawnCapacity } from '../begin';
import type { Kind } from '../kind';
import { pelletParts } from '../methods/pellet';
import { methodOfParts } from '../parts';
import { WATER_J_PER_G_K as c } from '../matter';
import type { Plan } from '../plan';
import { asDrawn, meanOf, valuesOf } from '../reading/rows';
import type { Row } from '../reading/row';
import { NOTHING, roomOf, WATER } from '../sample';
import { wholeJPerK } from '../burning/sealed';
import { lossWords, losses, NO_PLAN, readability, tablesFor, thermometer } from './settings';

const STANDARD = 'benzoic-acid';
const standardKJPerG = sealedKJPerG(solidFuelOf(STANDARD));

const setupSchema = z.object({
  fuels: z
    .array(z.enum(SOLID_FUEL_IDS).exclude([STANDARD]))
    .min(2, 'Choose at least two solids: with one there is nothing to be named.')
    .default([
      'naphthalene', 'benzophenone', 'acetanilide', 'hydroquinone', 'salicylic-acid', 'adipic-acid', 'sucrose', 'glycine', 'urea',
    ])
    .meta({ label: 'Solids', help: 'Each student is given one of these; they are the names that are offered.' }),
  wire: z.enum(FUSE_WIRE_IDS).default('iron-wire').meta({ label: 'Fuse wire' }),
  thermometer: thermometer.default('digital 0.01'),
  readability: readability.default('0.001'),
  losses,
  hypothesis: hypothesisFirst(true),
  bandsPercent: bands([1, 2, 5]),
}); // prettier-ignore
type Setup = z.infer<typeof setupSchema>;

const COMMON = ['L1', 'm1', 'm2', 'T1', 'T2', 'L2'] as const;
const PER_GRAM = { key: 'perGram', label: 'Heat that a gram gives when it burns', unit: 'kJ/g', digits: 3 };
const CAPACITY = { key: 'capacity', label: 'Heat capacity of all but the water', unit: 'J/K', digits: 2 };

const planOf = (setup: Setup): Plan => ({
  ...NO_PLAN,
  vessels: ['pail'],
  sealed: { standardId: STANDARD, wireId: setup.wire },
  thermometer: setup.thermometer,
  balance: setup.readability,
  losses: setup.losses,
  slots: ['ms', ...COMMON, 'm'],
  either: [['ms'], ['m']],
  carries: ['m1', 'm2'],
  means: {
    m: 'mass of the pellet of the unknown',
    m1: 'mass of the empty pail',
    m2: 'mass of the pail with its water',
    T1: 'temperature before firing',
    T2: 'temperature after it',
  },
  heads: { m: 'unknown', m1: 'pail', m2: 'with water' },
});

/** Heat of the wire that burnt, J, mass of the water, g, and the step, K. */
function partsOf(row: Row, wireJ: number) {
  const of = valuesOf(row, COMMON);
  return of && { of, wireJ: (of.L1 - of.L2) * wireJ, waterG: of.m2 - of.m1, stepK: of.T2 - of.T1 };
}
type Parts = NonNullable<ReturnType<typeof partsOf>>;

/** How a trial is worked out: what counts as heat of the wire, and what the water takes up. */
interface Way {
  wireJ(parts: Parts): number;
  waterJPerK(parts: Parts): number;
  /** Heat capacity of the rest, where it is not what the standard tells. */
  capacity?: number;
}
const RIGHT: Way = { wireJ: ({ wireJ }) => wireJ, waterJPerK: ({ waterG }) => waterG * c };

function workedOut(setup: Setup, rows: readonly Row[], way: Way = RIGHT): Record<string, number> {
  const wire = wireJPerCm(fuseWireOf(setup.wire));
  const capacity =
    way.capacity ??
    meanOf(rows, (row) => {
      const parts = partsOf(row, wire);
      const ms = row.readings.ms?.value;
      if (!parts || ms === undefined) return undefined;
      return (1000 * ms * standardKJPerG + way.wireJ(parts)) / parts.stepK - way.waterJPerK(parts);
    });
  if (capacity === undefined) return {};
  const perGram = meanOf(rows, (row) => {
    const parts = partsOf(row, wire);
    const m = row.readings.m?.value;
    if (!parts || m === undefined || !(m > 0)) return undefined;
    return ((way.waterJPerK(parts) + capacity) * parts.stepK - way.wireJ(parts)) / m / 1000;
  });
  return { capacity, ...(perGram === undefined ? {} : { perGram }) };
}

function slipsOf(setup: Setup, rows: readonly Row[]) {
  const right = workedOut(setup, rows);
  const drawn = workedOut(
    setup,
    rows.flatMap((row) => asDrawn(row) ?? []),
  );
  const ways: { key: string; label: string; values: Record<string, number> }[] = [
    {
      key: 'drawn',
      label: 'The step drawn to the moment of firing, in place of the temperature read after it',
      values: drawn,
    },
    {
      key: 'noWire',
      label: 'The heat of the wire left out',
      values: workedOut(setup, rows, { ...RIGHT, wireJ: () => 0 }),
    },
    {
      key: 'wholeWire',
      label: 'The whole length of the wire counted as burnt',
      values: workedOut(setup, rows, { ...RIGHT, wireJ: ({ of }) => of.L1 * wireJPerCm(fuseWireOf(setup.wire)) }),
    },
    {
      key: 'noVessel',
      label: 'The heat capacity of vessel and pail left out',
      values: workedOut(setup, rows, { ...RIGHT, capacity: 0 }),
    },
    {
      key: 'pail',
      label: 'The pail weighed with the water',
      values: workedOut(setup, rows, { ...RIGHT, waterJPerK: ({ of }) => of.m2 * c }),
    },
  ];
  const found = ways.flatMap(({ key, label, values }) =>
    [PER_GRAM.key, CAPACITY.key].flatMap((quantity) => {
      const [wrong, is] = [values[quantity], right[quantity]];
      return wrong && is ? [{ key, label, quantity, factor: wrong / is }] : [];
    }),
  );
  const unit = { key: 'joule', label: 'J and kJ mistaken for one another' };
  return [
    ...found,
    { ...unit, quantity: PER_GRAM.key, factor: 1000 },
    { ...unit, quantity: CAPACITY.key, factor: 1e-3 },
  ];
}

const likeness = (id: string): Likeness => ({
  name: solidFuelOf(id).name,
  look: 'white',
  values: { perGram: sealedKJPerG(solidFuelOf(id)) },
});
const namesIn = ({ fuels }: Setup) => fuels.map((id) => solidFuelOf(id).name).sort((a, b) => a.localeCompare(b, 'en'));

const TOLD_APART = { 'glass 0.2': 0.05, 'digital 0.1': 0.04, 'digital 0.01': 0.02 };

const AGAIN_UNKNOWN = { does: 'Take fresh water, and do the same with a pellet of the unknown.' };

export const pelletInOxygen: Kind<Setup> = {
  id: 'pellet-in-oxygen',
  title: 'A pellet burnt in oxygen',
  summary: 'Burn a standard, then an unknown, in a sealed vessel under water. Name it by the heat of a gram.',
  setup: setupSchema,
  isVesselTold: false,
  unseen: { part: 0.004, kelvin: 0, ofEach: true },
  method: (plan) => methodOfParts(pelletParts(plan), 2, AGAIN_UNKNOWN),
  room: () => 300,
  draw: (setup, seed, index) => {
    const order = shuffled(setup.fuels.length, chance(seed, 'pool'));
    const solidFuelId = setup.fuels[order[index % setup.fuels.length] as number] as string;
    // As much as gives some twenty kilojoules, for which there is oxygen enough.
    const grams = Math.min(drawnValue(16, 20, seed, index) / sealedKJPerG(solidFuelOf(solidFuelId)), 1.15);
    return {
      ...roomOf(seed, index),
      ...NOTHING,
      solidFuelId,
      bottles: [WATER],
      task: `Your amounts: about ${fixed(grams, 2)} g of the unknown, about 0.75 g of the standard, in about ${660 + 10 * (index % 9)} mL of water`,
      capacity: drawnCapacity(seed, index),
    };
  },
  plan: planOf,
  objections: ({ fuels, thermometer: kind }) => {
    const sentence = pairObjection(
      fuels.map(likeness),
      (_, value) => TOLD_APART[kind] * value,
      'Leave one of them out.',
    );
    return sentence === null ? [] : [{ field: 'fuels', sentence }];
  },
  brief: (setup) => ({
    question: [
      'A jar of white powder without a label lay between the stores of the lighthouse.',
      'How much heat does one gram of it give when it burns to the end in oxygen? What is it?',
      `It is one of these: ${namesIn(setup).join(', ')}.`,
    ],
    working: [
      'Nobody knows what vessel, pail and stirrer take up. The standard tells it: its heat is known.',
      `One gram of benzoic acid gives ${fixed(standardKJPerG, 2)} kJ in a sealed vessel.`,
      `One centimetre of ${fuseWireOf(setup.wire).name} that burns gives ${fixed(wireJPerCm(fuseWireOf(setup.wire)), 1)} J.`,
      `Water takes up ${c.toFixed(2)} J for each gram and kelvin.`,
      'The heat of the unknown is that of all that was warmed, less that of the wire. Divide it by the grams.',
      'Where you burnt one more often, take the mean.',
    ],
    know: [
      'All water of the burning becomes a liquid here.',
      'What the current brings in is too little to count.',
      ...lossWords(setup.losses),
    ],
  }),
  tables: (setup) =>
    tablesFor(planOf(setup), [
      { name: 'water', symbol: 'm_w', unit: 'g', formula: 'm_2 - m_1' },
      { name: 'wire burnt', symbol: 'L', unit: 'cm', formula: 'L_1 - L_2' },
      { name: 'step', symbol: 'd', unit: 'K', formula: 'T_2 - T_1' },
    ]),
  quantities: (setup) => [
    { ...PER_GRAM, kind: 'number' },
    { ...CAPACITY, kind: 'number' },
    { key: 'name', label: 'What the unknown is', kind: 'name', options: namesIn(setup) },
  ],
  truths: (_, sample) => {
    const fuel = solidFuelOf(sample.solidFuelId ?? '');
    return { perGram: sealedKJPerG(fuel), capacity: wholeJPerK(sample.capacity), name: fuel.name };
  },
  asks: (setup) =>
    reportOf({
      measured: {
        label: 'What is the standard burnt for?',
        options: [
          'It tells what all but the water takes up',
          'It warms the vessel up, so that it is ready for the unknown',
          'It uses up the oxygen that is in the way',
          'It tells the mass of the water',
        ],
      },
      hypothesis: setup.hypothesis
        ? {
            label: 'Hypothesis: half as much oxygen is let in, and still more than enough. The step of the temperature',
            options: ['stays the same', 'becomes half as large', 'becomes twice as large', 'becomes a little larger'],
          }
        : null,
      results: [
        askFor(
          CAPACITY,
          setup.bandsPercent.map((percent) => 3 * percent),
          'From the standard: vessel, pail, stirrer and thermometer together.',
        ),
        askFor(
          PER_GRAM,
          setup.bandsPercent,
          'As a positive number: heat that is given out, in a sealed vessel, water as a liquid.',
        ),
        askName('What is the unknown?', namesIn(setup), 'Compare with what a gram of each gives.'),
      ],
      working: 'What the standard gave and what took it up; what the unknown gave, less the wire, for a gram.',
      evidence: {
        help: 'Which of the names can you not rule out, and by what? What was the oxygen for?',
        words: ['heat'],
      },
      aims: [
        'Find what a vessel takes up with a standard',
        'Draw a step of temperature to the moment of firing',
        'Say how much a mistake in the wire counts',
      ],
    }),
  results: (setup, _, rows) => workedOut(setup, rows),
  hints: () => ({
    perGram:
      'The step of the temperature and the mass of the pellet limit the result most. Press a heavier one, with oxygen enough.',
    capacity: 'It is a difference of two large numbers: burn the standard more than once.',
  }),
  leftOpen: (setup, _, { results, uncertainties }) => {
    const { perGram } = results;
    const values: Record<string, number> = perGram === undefined ? {} : { perGram };
    const found = { name: '', look: 'white', values };
    return { name: namesLeftOpen(setup.fuels.map(likeness), found, () => 2 * (uncertainties.perGram ?? 0)) };
  },
  slips: (setup, _, rows) => slipsOf(setup, rows),
  truth: (_, sample) => {
    const fuel = solidFuelOf(sample.solidFuelId ?? '');
    return [
      { label: 'What it is', text: fuel.name },
      {
        label: 'Heat of a gram',
        text: `${fixed(sealedKJPerG(fuel), 3)} kJ/g, ${fixed(sealedKJPerG(fuel) * molarMassOf(fuel), 0)} kJ/mol`,
      },
      { label: 'Heat capacity of all but the water', text: `${fixed(wholeJPerK(sample.capacity), 0)} J/K` },
    ];
  },
  pool: (_, sample) => ({ perGram: solidFuelOf(sample.solidFuelId ?? '').name }),
  symbols: { perGram: 'q', capacity: 'C' },
  nothingYet:
    'There is no whole trial of the standard yet: pellet, pail with and without water, wire before and after, and two temperatures.',
};
