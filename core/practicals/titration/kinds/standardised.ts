import { z } from 'zod';
import { significant } from '../../../analysis/quantity';

import { amountsPerGram, solidOf } from '../../../databook/solids';
import { soluteOf } from '../../../databook/solutes';
import type { SampleQuantity } from '../../../report/asks';
import type { Kind } from '../kind';
import { planOf } from '../plan';
import { probeBrief } from './acid';
import { meanOf, mmolOf, present, ratioSlips } from './mean';
import { pickOne } from './dissolved';
import { askFor, reportOf } from '../../report-parts';
import { drawnValue, threeDigitValues } from '../../sample-values';
import {
  activities,
  bands,
  BASIC_TITRANTS,
  carbonate,
  checkRange,
  checkTitres,
  concentration,
  concentrationUnit,
  DIGITS,
  indicatorsOnTray,
  mishaps,
  pipette,
  probe,
  readability,
  refining,
} from './settings';

const STANDARD = solidOf('potassium-hydrogen-phthalate');
const ACID_IDS = [
  'hydrochloric-acid',
  'nitric-acid',
  'acetic-acid',
  'formic-acid',
  'lactic-acid',
  'propanoic-acid',
] as const;

const setupSchema = z
  .object({
    titrant: z.enum(BASIC_TITRANTS).default('sodium-hydroxide').meta({ label: 'Titrant' }),
    fromTitrantMolPerL: concentration(0.09, 'Titrant concentration from', 'The label says “about”.'),
    toTitrantMolPerL: concentration(0.11, 'Titrant concentration to'),
    acids: z
      .array(z.enum(ACID_IDS))
      .min(1, 'Choose at least one acid.')
      .default(['acetic-acid', 'lactic-acid', 'hydrochloric-acid'])
      .meta({ label: 'Acids that may be drawn', help: 'For the second half: the sample.' }),
    fromMolPerL: concentration(0.08, 'Concentration of the sample from'),
    toMolPerL: concentration(0.12, 'Concentration of the sample to'),
    pipetteMl: pipette,
    readability,
    indicators: indicatorsOnTray(['methyl-red', 'bromothymol-blue', 'phenolphthalein']),
    probe: probe('none'),
    carbonate,
    mishaps,
    activities,
    unit: concentrationUnit,
    bandsPercent: bands([0.5, 1, 3]),
  })
  .superRefine(
    refining((setup, fail) => {
      if (!checkRange(setup.fromTitrantMolPerL, setup.toTitrantMolPerL, 'toTitrantMolPerL', fail)) return;
      if (!checkRange(setup.fromMolPerL, setup.toMolPerL, 'toMolPerL', fail)) return;
      const titre = (molPerL: number, base: number) => (molPerL * Number(setup.pipetteMl)) / base;
      checkTitres(
        titre(setup.fromMolPerL, setup.toTitrantMolPerL),
        titre(setup.toMolPerL, setup.fromTitrantMolPerL),
        'toMolPerL',
        fail,
      );
    }),
  );
type Setup = z.infer<typeof setupSchema>;

const sampleSchema = z.object({
  soluteId: z.string(),
  molPerL: z.number().positive(),
  titrantMolPerL: z.number().positive(),
});
type Sample = z.infer<typeof sampleSchema>;

const baseOf = (setup: Setup) =>
  ({
    key: 'base',
    label: 'Concentration of the base',
    kind: 'number',
    unit: setup.unit,
    digits: DIGITS,
  }) satisfies SampleQuantity;
const acidOf = (setup: Setup) =>
  ({
    key: 'concentration',
    label: 'Concentration of the acid',
    kind: 'number',
    unit: setup.unit,
    digits: DIGITS,
  }) satisfies SampleQuantity;

const middle = (setup: Setup) => (setup.fromTitrantMolPerL + setup.toTitrantMolPerL) / 2;

export const standardisedBase: Kind<Setup, Sample> = {
  id: 'standardised-base',
  title: 'A base whose label cannot be trusted',
  model: 3,
  summary: 'Standardise the base against a weighed primary standard first, then titrate an acid with it.',
  setup: setupSchema,
  sampleSchema,
  room: (setup) =>
    Math.min(
      threeDigitValues(setup.fromMolPerL, setup.toMolPerL).length,
      threeDigitValues(setup.fromTitrantMolPerL, setup.toTitrantMolPerL).length,
    ),
  draw: (setup, seed, index) => ({
    soluteId: pickOne(setup.acids, seed, index),
    molPerL: drawnValue(setup.fromMolPerL, setup.toMolPerL, seed, index),
    titrantMolPerL: drawnValue(setup.fromTitrantMolPerL, setup.toTitrantMolPerL, `${seed} base`, index),
  }),
  plan: (setup) =>
    planOf(setup, setup.titrant, {
      bottle: { name: 'sample bottle', lines: ['sample'] },
      pipetteMl: Number(setup.pipetteMl),
      aboutG: Number(significant(0.025 * middle(setup) * STANDARD.molarMassGPerMol, 2)),
      jar: { name: 'jar of KHP', lines: ['KHP', 'pure, dry'] },
      readability: setup.readability,
    }),
  stock: (setup, sample) => ({
    titrant: {
      soluteId: setup.titrant,
      molPerL: sample.titrantMolPerL,
      label: `about ${significant(middle(setup), 1)}`,
    },
    bottle: { [sample.soluteId]: sample.molPerL },
    solid: { perGram: amountsPerGram({ [STANDARD.id]: 1 }), insoluble: false },
    exchanged: { [sample.soluteId]: [1], 'potassium-hydrogen-phthalate': [1] },
  }),
  brief: (setup) => {
    const titrant = soluteOf(setup.titrant);
    return {
      question: [
        'The base on this shelf was made up by eye. You cannot trust its label.',
        `It says about ${significant(middle(setup), 1)} ${setup.unit}. The sample beside it is an acid with one proton.`,
        'Find the concentration of the base, and then that of the acid.',
      ],
      working: [
        `The standard is potassium hydrogen phthalate (KHP, ${STANDARD.formula}). It gives up one proton.`,
        `Its molar mass is ${STANDARD.molarMassGPerMol} g/mol. So its mass tells how much base the titre holds.`,
        `The base is ${titrant.name} (${titrant.formula}).`,
        'With its concentration, the titre of the sample tells the concentration of the acid.',
      ],
      know: probeBrief(setup.probe),
    };
  },
  quantities: (setup) => [baseOf(setup), acidOf(setup)],
  truths: (_, sample) => ({ base: sample.titrantMolPerL, concentration: sample.molPerL }),
  asks: (setup) =>
    reportOf({
      measured: {
        label: 'Why is the base standardised before the sample is titrated?',
        options: [
          'Because every result rests on its concentration',
          'Because it must be as strong as the acid',
          'Because it must be neutral',
          'Because the burette must be rinsed',
        ],
      },
      hypothesis: {
        label: 'Hypothesis: which will agree better, the trials with the standard or those with the sample?',
        options: ['Those with the standard', 'Those with the sample', 'Both alike'],
      },
      results: [askFor(baseOf(setup), setup.bandsPercent), askFor(acidOf(setup), setup.bandsPercent)],
      working: 'A few lines: from mass and titre to the base, from the base and its titre to the acid.',
      evidence: {
        help: 'Which readings bear both results out? How does an error of the first reach the second?',
        words: ['titre'],
      },
      aims: ['Weigh by difference', 'Standardise a solution', 'Work from a titre to a concentration'],
    }),
  results: (setup, _, measured) => {
    const standards = measured.filter((trial) => trial.massG !== null && trial.portions === 0);
    const samples = measured.filter((trial) => trial.portions > 0);
    const base = meanOf(standards, (trial) =>
      trial.titreMl === null ? null : (1000 * (trial.massG as number)) / STANDARD.molarMassGPerMol / trial.titreMl,
    );
    const concentration =
      base === undefined
        ? undefined
        : meanOf(samples, (trial) => {
            const mmol = mmolOf(trial, base);
            return mmol === null ? null : mmol / Number(setup.pipetteMl);
          });
    return present({ base, concentration });
  },
  slips: (_setup, _sample, measured) => [
    ...ratioSlips('base', measured, -1),
    ...ratioSlips('concentration', measured, 1),
  ],
  truth: (setup, sample) => [
    { label: 'Acid', text: soluteOf(sample.soluteId).name },
    { label: 'Concentration', text: `${significant(sample.molPerL, 4)} ${setup.unit}` },
    { label: 'Base', text: `${significant(sample.titrantMolPerL, 4)} ${setup.unit}` },
  ],
  hidden: (setup, sample) => {
    const { name, id } = soluteOf(sample.soluteId);
    const mmol = sample.molPerL * Number(setup.pipetteMl);
    return {
      words: [name, id],
      numbers: [
        sample.molPerL,
        sample.titrantMolPerL,
        1000 * sample.molPerL,
        mmol / 1000,
        mmol / sample.titrantMolPerL,
      ],
    };
  },
};
