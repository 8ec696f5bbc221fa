import { z } from 'zod';
import { densityAt, LIQUID_IDS, LIQUIDS, liquidOf, type LiquidEntry } from '../../../databook/liquids';
import { chance } from '../../../random';
import type { Likeness } from '../../look-alikes';
import type { Kind } from '../kind';
import { liquidsMethod } from '../methods/liquids';
import { bands, drawn, hypothesis, NO_PLAN, readability, tablesFor, unknowns, vessels } from './settings';
import {
  chosenFrom,
  densitiesLeftOpen,
  densityKind,
  densityReport,
  lettersFor,
  LIQUID_NAMES,
  objectionTo,
  TOLD_APART,
  unknownsTruth,
} from './density';

const setupSchema = z
  .object({
    liquids: z
      .array(z.enum(LIQUID_IDS))
      .min(1, 'Choose at least one liquid.')
      .default([
        'water',
        'hexane',
        'propan-2-ol',
        'ethanol',
        'toluene',
        'ethyl-acetate',
        'ethane-1-2-diol',
        'glycerol',
        'sucrose-20',
        'brine-10',
        'brine-20',
      ])
      .meta({ label: 'Liquids that may be drawn' }),
    unknowns,
    drawn,
    temperature: z.enum(['20 °C', 'another for each student']).default('20 °C').meta({
      label: 'Temperature of the room',
      help: 'Away from 20 °C the density is another: the data book tells how much.',
    }),
    vessels: vessels(['cylinder-10', 'cylinder-25', 'cylinder-50', 'beaker-100', 'density-bottle']),
    pipettes: z.boolean().default(false).meta({ label: 'Pipettes on the tray' }),
    readability,
    hypothesis,
    bandsPercent: bands([0.5, 1, 3]),
  })
  .refine(({ liquids, unknowns: count }) => liquids.length >= Number(count), {
    path: ['liquids'],
    message: 'Choose at least as many liquids as each student is given.',
  });
type Setup = z.infer<typeof setupSchema>;

/** All are clear: only their density tells them apart. */
const likeness = (entry: LiquidEntry, tempC: number): Likeness => ({
  name: entry.name,
  look: 'clear',
  values: { density: densityAt(entry, tempC) },
});

const SLOTS = ['T', 'm1', 'V', 'm2'] as const;

export const liquidDensity: Kind<Setup> = {
  ...densityKind<Setup>('g/mL', LIQUID_NAMES),
  id: 'liquid-density',
  title: 'Which liquid is in the bottle',
  summary: 'Pour a liquid into a weighed vessel, read its volume, and name it by its density at its temperature.',
  setup: setupSchema,
  draw: (setup, seed, index) => {
    const source = chance(seed, `bottles ${index}`);
    const ids = chosenFrom(setup.liquids, Number(setup.unknowns), setup.drawn, seed, index);
    const bottles = ids.map((liquidId) => ({ liquidId, volumeMl: 205 + 30 * source.uniform() }));
    const tempC = setup.temperature === '20 °C' ? 20 : 14 + 16 * source.uniform();
    return { tempC, lots: [], bottles, targetMl: null };
  },
  plan: (setup) => ({
    ...NO_PLAN,
    vessels: setup.vessels,
    bottles: lettersFor(setup.unknowns),
    balance: setup.readability,
    thermometer: true,
    water: true,
    pipettes: setup.pipettes,
    slots: [...SLOTS],
    carries: ['T', 'm1'],
  }),
  leftOpen: ({ unknowns: count }, { bottles, tempC }, found) =>
    densitiesLeftOpen(
      lettersFor(count),
      LIQUIDS.map((entry) => likeness(entry, tempC)),
      bottles.map(() => 'clear'),
      found,
    ),
  objections: ({ liquids, vessels: tray }) => {
    const [by, more] = tray.includes('density-bottle')
      ? (['density bottle', 'Leave one of them out.'] as const)
      : (['cylinder', 'Leave one of them out, or put the density bottle on the tray.'] as const);
    return objectionTo(
      'liquids',
      liquids.map((id) => likeness(liquidOf(id), 20)),
      TOLD_APART[by],
      more,
    );
  },
  method: liquidsMethod,
  brief: (setup) => ({
    question: [
      'The lamp store of the lighthouse is full of bottles. Their labels have fallen off, and all are clear.',
      'There are lamp fuels, solvents, brine from the ice house, and syrup from the kitchen.',
      `Find the density of ${setup.unknowns === '1' ? 'your liquid' : 'each liquid'}, and name it.`,
    ],
    working: [
      'The mass of the liquid is the full vessel less the empty one.',
      'Density is mass over volume. Take the mean of your trials.',
      'The data book has densities at 20 °C, and how they change with temperature.',
      'Give the density at the temperature that you read.',
    ],
    know: ['The empty mass and the temperature hold for later trials, until you record others.'],
  }),
  tables: (setup) =>
    tablesFor(
      lettersFor(setup.unknowns),
      SLOTS,
      [
        { name: 'liquid', symbol: 'm', unit: 'g', formula: 'm_2 - m_1' },
        { name: 'density', symbol: 'rho', unit: 'g/mL', formula: 'm / V' },
      ],
      { x: 'V', y: 'c0' },
    ),
  truths: (setup, sample) =>
    Object.fromEntries(
      lettersFor(setup.unknowns).flatMap((letter, i) => {
        const liquid = liquidOf(sample.bottles[i]?.liquidId ?? '');
        return [
          [`density${letter}`, densityAt(liquid, sample.tempC)],
          [`name${letter}`, liquid.name],
        ];
      }),
    ),
  asks: (setup) =>
    densityReport({
      letters: lettersFor(setup.unknowns),
      unit: 'g/mL',
      names: LIQUID_NAMES,
      bandsPercent: setup.bandsPercent,
      hypothesis: setup.hypothesis,
      measured: {
        label: 'Why is the vessel weighed twice?',
        options: [
          'The difference is the mass of the liquid alone',
          'To see whether the balance is right',
          'Because the first weighing is always wrong',
          'To find the volume of the vessel',
        ],
      },
      question: {
        label: 'Hypothesis: you pour out half of the liquid. What is the density of the rest?',
        options: ['Half as large', 'The same', 'Twice as large'],
      },
      resultHelp: 'At the temperature that you read, with its uncertainty.',
      aims: ['Weigh by difference', 'Read a meniscus at the height of the eye', 'Take the temperature into account'],
    }),
  truth: (setup, sample) =>
    unknownsTruth(
      sample.bottles.map(({ liquidId, volumeMl }, i) => {
        const liquid = liquidOf(liquidId);
        return {
          letter: lettersFor(setup.unknowns)[i] ?? '',
          name: liquid.name,
          density: densityAt(liquid, sample.tempC).toFixed(4),
          more: `${volumeMl.toFixed(0)} mL in the bottle`,
        };
      }),
      `g/mL at ${sample.tempC.toFixed(1)} °C`,
    ),
  // In rooms of different temperature the same liquid has different densities.
  pool: (setup, sample) =>
    setup.temperature === '20 °C'
      ? Object.fromEntries(
          sample.bottles.map(({ liquidId }, i) => [`density${lettersFor(setup.unknowns)[i]}`, liquidOf(liquidId).name]),
        )
      : {},
  nothingYet: 'There is no trial in your Readings yet with a volume and two masses. A density needs them to stand on.',
};
