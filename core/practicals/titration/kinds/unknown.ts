import { z } from 'zod';
import { significant } from '../../../analysis/quantity';

import {
  ACID_SOLID_IDS,
  ACID_SOLIDS,
  amountsPerGram,
  solidOf,
  type AcidSolidId,
  type Solid,
} from '../../../databook/solids';
import { soluteOf } from '../../../databook/solutes';
import type { SampleQuantity } from '../../../report/asks';
import { namesLeftOpen, pairObjection, type Likeness, type Nearness } from '../../look-alikes';
import type { Kind } from '../kind';
import { planOf } from '../plan';
import { probeBrief } from './acid';
import { meanOf, mmolOf, present, ratioSlips } from './mean';
import { exactTitrant, pickOne } from './dissolved';
import { askFor, askName, reportOf } from '../../report-parts';
import { drawnValue, threeDigitValues } from '../../sample-values';
import {
  activities,
  bands,
  BASIC_TITRANTS,
  carbonate,
  checkRange,
  concentration,
  concentrationUnit,
  indicatorsOnTray,
  mishaps,
  probe,
  protonsGiven,
  readability,
  refining,
} from './settings';

const setupSchema = z
  .object({
    acids: z
      .array(z.enum(ACID_SOLID_IDS as [AcidSolidId, ...AcidSolidId[]]))
      .min(1, 'Choose at least one acid.')
      .default([
        'mandelic-acid',
        'phenoxyacetic-acid',
        'phenylacetic-acid',
        'glycolic-acid',
        'chloroacetic-acid',
        'furoic-acid',
        'levulinic-acid',
        'crotonic-acid',
        'potassium-hydrogen-phthalate',
      ])
      .meta({
        label: 'Acids that may be drawn',
        help: 'The student chooses among all of the data book’s solid acids. Those with two protons are harder.',
      }),
    titrant: z.enum(BASIC_TITRANTS).default('sodium-hydroxide').meta({ label: 'Titrant' }),
    fromTitrantMolPerL: concentration(
      0.09,
      'Titrant concentration from',
      'Another for each student, exact on its label.',
    ),
    toTitrantMolPerL: concentration(0.11, 'Titrant concentration to'),
    readability,
    indicators: indicatorsOnTray(['phenolphthalein']),
    probe: probe('pH'),
    carbonate,
    mishaps,
    activities,
    unit: concentrationUnit,
    bandsPercent: bands([2, 3, 5]),
  })
  .superRefine(
    refining(
      (setup, fail) => void checkRange(setup.fromTitrantMolPerL, setup.toTitrantMolPerL, 'toTitrantMolPerL', fail),
    ),
  );
type Setup = z.infer<typeof setupSchema>;

const sampleSchema = z.object({ solidId: z.string(), titrantMolPerL: z.number().positive() });
type Sample = z.infer<typeof sampleSchema>;

const MOLAR_MASS = {
  key: 'molarMass',
  label: 'Molar mass of the acid',
  kind: 'number',
  unit: 'g/mol',
  digits: 3,
} satisfies SampleQuantity;
const PKA = {
  key: 'pKa',
  label: 'pKa of its last proton',
  kind: 'number',
  unit: '',
  digits: 3,
} satisfies SampleQuantity;
const NAMES = ACID_SOLIDS.map((solid) => solid.name).sort();

const soluteIn = (solidId: string) => Object.keys(solidOf(solidId).gives)[0] as string;

/** The constant of the last proton that comes off before pH 9. */
function lastPka(solidId: string): number {
  const id = soluteIn(solidId);
  const { pKas, kind, protons } = soluteOf(id);
  const hidden = kind === 'salt' ? pKas.length - protons : 0;
  return pKas[hidden + protonsGiven(id).length - 1] as number;
}

/** Half-way pH and pKa differ by what the ions do to each other: about a tenth. */
const PKA_APART = 0.15;

const likeness = ({ id, name, molarMassGPerMol }: Solid): Likeness => ({
  name,
  look: 'white',
  values: { molarMass: molarMassGPerMol, pKa: lastPka(id) },
});

export const unknownAcid: Kind<Setup, Sample> = {
  id: 'unknown-acid',
  title: 'Which acid is it?',
  model: 3,
  summary: 'Weigh out a pure solid acid and log its curve with a pH probe. Name it by its molar mass and its pKa.',
  setup: setupSchema,
  sampleSchema,
  room: (setup) => threeDigitValues(setup.fromTitrantMolPerL, setup.toTitrantMolPerL).length,
  draw: (setup, seed, index) => {
    const molPerL = drawnValue(setup.fromTitrantMolPerL, setup.toTitrantMolPerL, seed, index);
    // The label is exact: what it says is what is in the bottle.
    return { solidId: pickOne(setup.acids, seed, index), titrantMolPerL: Number(molPerL.toPrecision(4)) };
  },
  plan: (setup) =>
    planOf(setup, setup.titrant, {
      aboutG: 0.3,
      jar: { name: 'jar of crystals', lines: ['sample'] },
      readability: setup.readability,
    }),
  stock: (setup, sample) => ({
    titrant: exactTitrant(setup.titrant, sample.titrantMolPerL),
    bottle: {},
    solid: { perGram: amountsPerGram({ [sample.solidId]: 1 }), insoluble: false },
    exchanged: { [soluteIn(sample.solidId)]: protonsGiven(soluteIn(sample.solidId)) },
  }),
  brief: (setup) => {
    const titrant = soluteOf(setup.titrant);
    return {
      question: [
        'A jar of white crystals stood behind the chart table. It is one pure acid.',
        'Find its molar mass and the pKa of its last proton, and name it.',
      ],
      working: [
        `The titrant is ${titrant.name} (${titrant.formula}). Its label gives its concentration, exactly.`,
        'The mass and the amount of base at the equivalence point tell the molar mass.',
        'Half-way to the equivalence point the pH is the pKa, but for what ions do to each other.',
        'An acid with two protons has half its mass for each.',
        'The data book lists everything that the store ever held. Some acids differ in one of the two only.',
      ],
      know: probeBrief(setup.probe),
    };
  },
  quantities: () => [
    MOLAR_MASS,
    PKA,
    { key: 'name', label: 'Name of the acid', kind: 'name', options: NAMES },
    { key: 'ratio', label: 'Ratio of acid to base in the reaction', kind: 'ratio' },
  ],
  truths: (_, sample) => ({
    molarMass: solidOf(sample.solidId).molarMassGPerMol,
    pKa: lastPka(sample.solidId),
    name: solidOf(sample.solidId).name,
    ratio: `1 : ${protonsGiven(soluteIn(sample.solidId)).length}`,
  }),
  asks: (setup) =>
    reportOf({
      measured: {
        label: 'What does the equivalence point tell together with the mass?',
        options: [
          'The mass for each mole of protons',
          'The strength of the acid',
          'The number of protons',
          'The density of the crystals',
        ],
      },
      hypothesis: {
        label: 'Hypothesis: is your acid stronger or weaker than acetic acid?',
        options: ['Stronger', 'About as strong', 'Weaker'],
      },
      results: [
        askFor(MOLAR_MASS, setup.bandsPercent),
        askFor(PKA, setup.bandsPercent, 'A bare number, from your curve.'),
        askName('Name of the acid', NAMES, 'From the data book.'),
      ],
      working: 'A few lines: from mass and equivalence volume to the molar mass; where on the curve you found the pKa.',
      evidence: {
        help: 'Which acids of the data book come near, and what speaks against them?',
        words: ['molar mass', 'pKa'],
      },
      aims: ['Weigh by difference', 'Find an equivalence point from a derivative', 'Tell two like substances apart'],
    }),
  results: (_, sample, measured) =>
    present({
      molarMass: meanOf(measured, (trial) => {
        const mmol = mmolOf(trial, sample.titrantMolPerL);
        return mmol === null || trial.massG === null ? null : (1000 * trial.massG) / mmol;
      }),
      pKa: meanOf(measured, (trial) => trial.halfWayPh),
    }),
  leftOpen: (_setup, _sample, { results: { molarMass, pKa }, uncertainties }) => {
    if (molarMass === undefined || pKa === undefined) return { name: [] };
    const found = { name: '', look: 'white', values: { molarMass, pKa } };
    const near: Nearness = (key) =>
      key === 'pKa' ? Math.max(2 * (uncertainties.pKa ?? 0), PKA_APART) : 2 * (uncertainties.molarMass ?? 0);
    return { name: namesLeftOpen(ACID_SOLIDS.map(likeness), found, near) };
  },
  objections: ({ acids }) => {
    const near: Nearness = (key, value) => (key === 'pKa' ? PKA_APART : 0.01 * value);
    const sentence = pairObjection(
      acids.map((id) => likeness(solidOf(id))),
      near,
      'Leave one of them out.',
    );
    return sentence === null ? [] : [{ field: 'acids', sentence }];
  },
  slips: (_setup, _sample, measured) => ratioSlips('molarMass', measured, -1),
  truth: (_, sample) => [
    { label: 'Acid', text: solidOf(sample.solidId).name },
    {
      label: 'Molar mass and pKa',
      text: `${solidOf(sample.solidId).molarMassGPerMol} g/mol, ${significant(lastPka(sample.solidId), 3)}`,
    },
  ],
  hidden: (_, sample) => {
    const { name, id, formula, molarMassGPerMol } = solidOf(sample.solidId);
    return { words: [id, ...(NAMES.includes(name) ? [] : [name]), formula], numbers: [molarMassGPerMol] };
  },
};
