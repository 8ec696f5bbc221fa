import { dissolvingOf, freezingOf } from '../../../databook/freezing';
import { fixed } from '../../../analysis/quantity';
import { chance, shuffled } from '../../../random';
import { namesLeftOpen, pairObjection } from '../../look-alikes';
import { askFor, askName, reportOf } from '../../report-parts';
import { drawnValue } from '../../sample-values';
import { trialsTable, slotColumn } from '../../tables';
import type { Kind } from '../kind';
import { solutionMethod } from '../methods/freezing';
import { slotsOf, type Plan } from '../plan';
import { valuesOf } from '../reading/rows';
import { NOTHING, roomOf } from '../sample';
import { READY_WORDS } from './freezing-parts';
import {
  likeness,
  molarOf,
  mostK,
  particlesPerUnit,
  rowsThatTell,
  seemingIn,
  SLOTS,
  WANTS_K,
  type Way,
} from './molar-mass-reckoned';
import { setupSchema, solventsIn, type Setup } from './molar-mass-setup';
import { logTable, NO_PLAN } from './settings';

const MOLAR = { key: 'molarMass', label: 'Molar mass of the unknown', unit: 'g/mol', digits: 3 };
const planOf = (setup: Setup): Plan => ({
  ...NO_PLAN,
  bottles: [],
  bath: true,
  salt: true,
  tube: {
    isSolution: true,
    jars: solventsIn(setup).length > 1 ? solventsIn(setup).map((id) => freezingOf(id).name) : ['the solvent'],
    isReady: setup.isReady,
  },
  thermometers: setup.twoThermometers ? 2 : 1,
  thermometer: setup.thermometer,
  balance: setup.readability,
  losses: setup.losses,
  slots: ['m1', 'm2', 'm', 'mb'],
  means: {
    m1: 'mass of the empty tube',
    m2: 'mass of the tube with the solvent',
    m: 'mass of the boat with the unknown',
    mb: 'mass of the boat afterwards',
    Tf: 'freezing temperature of the solution',
  },
  heads: { m1: 'tube', m2: 'with solvent', m: 'boat', mb: 'boat after' },
});

const namesIn = ({ solutes }: Setup) =>
  solutes.map((id) => dissolvingOf(id).name).sort((a, b) => a.localeCompare(b, 'en'));
const TOLD_APART = 0.09;
const NONE: Record<string, number> = {};

export const molarMassByFreezing: Kind<Setup> = {
  id: 'molar-mass-by-freezing',
  title: 'A molar mass by freezing',
  summary:
    'Freeze a solvent, pure and with an unknown dissolved in it. How much lower it freezes tells the molar mass.',
  setup: setupSchema,
  isVesselTold: false,
  // The equation for little of a solute is out by a hundredth or two; so is a line through what slopes ever more.
  unseen: { part: 0.025, kelvin: 0 },
  model: 2,
  method: () => solutionMethod(),
  room: () => 300,
  draw: (setup, seed, index) => {
    const order = shuffled(setup.solutes.length, chance(seed, 'pool'));
    const dissolvingId = setup.solutes[order[index % setup.solutes.length] as number] as string;
    const solventG = 14 + (index % 5);
    const wanted = drawnValue(WANTS_K[setup.thermometer][0], WANTS_K[setup.thermometer][1], seed, index);
    const gramsIn = (solvent: string) =>
      (Math.min(wanted, mostK(solvent, dissolvingId)) / freezingOf(solvent).kfKKgPerMol / 1000) *
      solventG *
      dissolvingOf(dissolvingId).molarMassGPerMol;
    const [first = '', second] = solventsIn(setup).map((id) => String(Number(gramsIn(id).toPrecision(2))));
    const inSecond = second ? `; in ${freezingOf(setup.second).name}, about ${second} g of it` : '';
    return {
      ...roomOf(seed, index),
      ...NOTHING,
      freezingId: setup.solvent,
      otherFreezingId: setup.second === 'none' ? null : setup.second,
      dissolvingId,
      bottles: [],
      task: `Your amounts: about ${solventG} g of ${freezingOf(setup.solvent).name}, and about ${first} g of the unknown${inSecond}`,
      capacity: 1,
    };
  },
  plan: planOf,
  objections: (setup) => {
    const sentence = pairObjection(
      setup.solutes.map((id) => likeness(setup, id)),
      (_, value) => TOLD_APART * value,
      'Leave one of them out.',
    );
    return sentence === null ? [] : [{ field: 'solutes', sentence }];
  },
  brief: (setup) => {
    const { name, kfKKgPerMol } = freezingOf(setup.solvent);
    return {
      question: [
        'Salt keeps the harbour from freezing. Everything that dissolves does so, by the number of its particles.',
        `How heavy is one mole of the unknown in the jar? You count its particles in ${name}.`,
        `It is one of these: ${namesIn(setup).join(', ')}.`,
      ],
      working: [
        'Draw two lines through each freezing: one through the cooling, one through the freezing.',
        'Where they cross, it begins to freeze. A solution freezes at lower and lower temperatures, so its line slopes.',
        'The depression is the freezing temperature of the pure solvent, less that of the solution.',
        `It is the cryoscopic constant times the molality. For ${name} the constant is ${kfKKgPerMol} K kg/mol.`,
        'The molality is moles for each kilogram of solvent, not of solution.',
        'The amount and the mass of what dissolved give the molar mass.',
      ],
      know: [
        'Each freezing has a number of its own in the log. You may repeat both.',
        ...(setup.second === 'none'
          ? []
          : [
              `There is a second solvent: ${freezingOf(setup.second).name}, ${freezingOf(setup.second).kfKKgPerMol} K kg/mol.`,
              'What goes in pairs counts as half as many particles, and seems twice as heavy.',
              'Do the two molar masses differ? Then ask in which solvent the unknown stays whole.',
            ]),
        ...(setup.twoThermometers ? ['Two thermometers hang there. Each is off by an amount of its own.'] : []),
        ...(setup.isReady ? READY_WORDS : []),
      ],
    };
  },
  tables: (setup) => {
    const plan = planOf(setup);
    const slots = slotsOf(plan);
    return [
      trialsTable(
        'rows',
        'Masses',
        plan.slots.map((slot) => slotColumn(slot, slots)),
        [
          { name: 'solvent', symbol: 'm_l', unit: 'g', formula: 'm_2 - m_1' },
          { name: 'unknown', symbol: 'm_s', unit: 'g', formula: 'm - m_b' },
        ],
      ),
      ...logTable(plan),
    ];
  },
  quantities: (setup) => [
    { ...MOLAR, kind: 'number' },
    { key: 'name', label: 'What the unknown is', kind: 'name', options: namesIn(setup) },
  ],
  truths: (_, sample) => {
    const solute = dissolvingOf(sample.dissolvingId ?? '');
    return { molarMass: solute.molarMassGPerMol, name: solute.name };
  },
  asks: (setup) =>
    reportOf({
      measured: {
        label: 'What does the depression of the freezing temperature count?',
        options: [
          'The particles for each kilogram of solvent',
          'The grams for each kilogram of solvent',
          'The particles for each litre of solution',
          'The molar mass, whatever the amounts are',
        ],
      },
      hypothesis: setup.hypothesis
        ? {
            label: 'Hypothesis: twice as much of the unknown is dissolved. The depression',
            options: [
              'becomes about twice as large',
              'stays the same',
              'becomes half as large',
              'becomes four times as large',
            ],
          }
        : null,
      results: [
        askFor(
          MOLAR,
          setup.bandsPercent,
          'From the cryoscopic constant, both masses and the difference of your two crossings.',
        ),
        askName('What is the unknown?', namesIn(setup), 'Compare with the molar mass of each.'),
      ],
      working: 'Both crossings, their difference, the molality, and the molar mass.',
      evidence: {
        help: 'Which of the names can you not rule out? What would a pair, or ions, do to the number?',
        words: ['line'],
      },
      aims: [
        'Find where two lines cross, with its uncertainty',
        'Tell molality from concentration',
        'Say why the line of a solution slopes while it freezes',
      ],
    }),
  results: (setup, sample, rows) => {
    const molarMass = molarOf(setup, rowsThatTell(setup, sample, rows));
    return molarMass === undefined ? NONE : { molarMass };
  },
  hints: () => ({
    molarMass: 'The difference of the two crossings limits the result most. Log more often, or dissolve more.',
  }),
  leftOpen: (setup, _, { results, uncertainties }, rows) => {
    const found = { name: '', look: 'white', values: seemingIn(setup, rows) };
    // Each is as uncertain, for its part, as the one that is told.
    const part = (uncertainties.molarMass ?? 0) / (results.molarMass ?? 1);
    const candidates = setup.solutes.map((id) => likeness(setup, id, rows));
    return { name: namesLeftOpen(candidates, found, (_key, value) => 2 * part * value) };
  },
  slips: (setup, sample, all) => {
    const rows = rowsThatTell(setup, sample, all);
    const right = molarOf(setup, rows);
    const factor = (way: Way) => {
      const wrong = molarOf(setup, rows, way);
      return right && wrong ? wrong / right : undefined;
    };
    const told = rows.findLast((row) => valuesOf(row, SLOTS));
    const solvent = solventsIn(setup)[(told?.jar ?? 1) - 1];
    const perUnit = particlesPerUnit(setup, sample.dissolvingId ?? '', solvent, told);
    const slips = [
      { key: 'solution', label: 'The mass of the solution in place of that of the solvent', factor: factor((kf, of) => (1000 * kf * (of.m - of.mb)) / (of.m2 - of.m1 + of.m - of.mb) / (of.T0 - of.Tf)) },
      { key: 'boat', label: 'The boat weighed with the unknown', factor: factor((kf, of) => (1000 * kf * of.m) / (of.m2 - of.m1) / (of.T0 - of.Tf)) },
      { key: 'gram', label: 'Grams for kilograms of the solvent', factor: 1e-3 },
      { key: 'upsideDown', label: 'The quotient upside down: mol for a gram', factor: right ? 1 / right / right : undefined },
      ...(Math.abs(perUnit - 1) > 0.05 ? [{ key: 'particles', label: 'Allowed for what goes in pairs, or comes apart', factor: perUnit }] : []),
    ]; // prettier-ignore
    return slips.flatMap(({ factor: by, ...slip }) => (by ? [{ ...slip, quantity: MOLAR.key, factor: by }] : []));
  },
  truth: (setup, sample) => {
    const solute = dissolvingOf(sample.dissolvingId ?? '');
    return [
      { label: 'What it is', text: solute.name },
      { label: 'Molar mass', text: `${fixed(solute.molarMassGPerMol, 2)} g/mol` },
      ...solventsIn(setup).map((id) => ({
        label: `Particles for each formula unit, about, in ${freezingOf(id).name}`,
        text: fixed(particlesPerUnit(setup, solute.id, id), 2),
      })),
    ];
  },
  pool: (_, sample) => ({ molarMass: dissolvingOf(sample.dissolvingId ?? '').name }),
  symbols: { molarMass: 'M' },
  nothingYet:
    'There is no molar mass yet: weigh tube, solvent and unknown, and log a freezing of the pure solvent and one of the solution.',
};
