import { z } from 'zod';

import { soluteOf } from '../../../databook/solutes';
import type { SampleQuantity } from '../../../report/asks';
import type { Kind } from '../kind';
import { type Sensor } from '../plan';

import { dissolved, portionWords, titrantWords, type dissolvedSchema } from './dissolved';
import { askFor, reportOf } from '../../report-parts';

import {
  activities,
  bands,
  BASIC_TITRANTS,
  carbonate,
  checkRange,
  checkSoluble,
  checkTitres,
  concentration,
  concentrationUnit,
  DIGITS,
  idsOf,
  indicatorsOnTray,
  mishaps,
  pipette,
  probe,
  refining,
  supplied,
} from './settings';

/** An acid weaker than this has no end point that an indicator shows. */
const WEAKEST_FOR_EYES = 7;

/** Monoprotic acids of the data book that can be titrated with an indicator. */
const ACID_IDS = idsOf((s) => s.kind.endsWith('acid') && s.protons === 1 && (s.pKas[0] ?? 0) < WEAKEST_FOR_EYES);

const setupSchema = z
  .object({
    acids: z
      .array(z.enum(ACID_IDS))
      .min(1, 'Choose at least one acid.')
      .default(['hydrochloric-acid', 'nitric-acid', 'acetic-acid', 'formic-acid', 'lactic-acid'])
      .meta({
        label: 'Acids that may be drawn',
        help: 'Each student is given one of these, without its name.',
      }),
    fromMolPerL: concentration(
      0.08,
      'Concentration from',
      'Of what is titrated: after dilution, if the sample is diluted.',
    ),
    toMolPerL: concentration(0.12, 'Concentration to'),
    titrant: z.enum(BASIC_TITRANTS).default('sodium-hydroxide').meta({ label: 'Titrant' }),
    titrantMolPerL: concentration(0.1, 'Titrant concentration', 'On the label, exact.'),
    pipetteMl: pipette,
    supplied,
    dilution: z.enum(['none', 'to 100 mL', 'to 250 mL']).default('none').meta({
      label: 'The sample is diluted first',
      help: 'In a volumetric flask, one pipette of it. The sample is stronger by as much.',
    }),
    indicators: indicatorsOnTray(['methyl-orange', 'methyl-red', 'bromothymol-blue', 'phenolphthalein']),
    probe: probe('none'),
    carbonate,
    mishaps,
    activities,
    unit: concentrationUnit,
    bandsPercent: bands([0.5, 1, 3]),
  })
  .superRefine(
    refining((setup, fail) => {
      if (!checkRange(setup.fromMolPerL, setup.toMolPerL, 'toMolPerL', fail)) return;
      const titre = (molPerL: number) => (molPerL * Number(setup.pipetteMl)) / setup.titrantMolPerL;
      if (setup.dilution !== 'none' && setup.supplied)
        fail('dilution', 'Flasks that come filled leave nothing to dilute. Choose one of the two.');
      checkTitres(titre(setup.fromMolPerL), titre(setup.toMolPerL), 'titrantMolPerL', fail);
      checkSoluble(setup.acids, timesOf(setup as Setup) * setup.toMolPerL, 'acids', fail);
    }),
  );
type Setup = z.infer<typeof setupSchema>;

/** The volumetric flask that one pipette of the sample is diluted in, mL. */
const diluteToMl = (setup: Setup) => (setup.dilution === 'none' ? null : Number(setup.dilution.split(' ')[1]));
/** How many times the sample is stronger than what is titrated. */
const timesOf = (setup: Setup) => (diluteToMl(setup) ?? Number(setup.pipetteMl)) / Number(setup.pipetteMl);

const concentrationOf = (setup: Setup) =>
  ({
    key: 'concentration',
    label: 'Concentration of the acid',
    kind: 'number',
    unit: setup.unit,
    digits: DIGITS,
  }) satisfies SampleQuantity;

const common = dissolved<Setup>({
  word: 'Acid',
  pool: (setup) => setup.acids,
  exchanged: () => [1],
  times: timesOf,
  plan: (setup) => ({ diluteToMl: diluteToMl(setup) }),
});

export const acidConcentration: Kind<Setup, z.infer<typeof dissolvedSchema>> = {
  ...common,
  id: 'acid-concentration',
  title: 'Concentration of an unlabelled acid',
  summary: 'Titrate a bottle from the cleaning cupboard with a base of known concentration, until two titres agree.',
  setup: setupSchema,
  brief: (setup) => ({
    question: [
      'Sallow Point Light is becoming a museum. Its stores are full of bottles whose labels are gone.',
      'Yours came from the cleaning cupboard: an acid that gives up one proton, in water. Nobody else has this bottle.',
      'Find its concentration.',
    ],
    working: [
      `The titrant is ${titrantWords(setup)}. It takes up one proton for each ${soluteOf(setup.titrant).formula}.`,
      'Acid and base react one to one. Concentration times volume is the amount.',
      'Take the mean of the titres that count.',
      ...(setup.dilution === 'none'
        ? []
        : ['What is asked is the concentration in the bottle, before you diluted it.']),
    ],
    know: [...portionWords(setup), ...probeBrief(setup.probe)],
  }),
  quantities: (setup) => [
    concentrationOf(setup),
    { key: 'acid', label: 'Name of the acid', kind: 'name', options: ACID_IDS.map((id) => soluteOf(id).name).sort() },
    { key: 'ratio', label: 'Ratio of acid to base in the reaction', kind: 'ratio' },
  ],
  truths: (_, sample) => ({
    concentration: sample.molPerL,
    acid: soluteOf(sample.soluteId).name,
    ratio: '1 : 1',
  }),
  asks: (setup) =>
    reportOf({
      measured: {
        label: 'What has to be measured to find the concentration?',
        options: [
          'The volume of titrant that just reacts with the sample',
          'The volume of indicator that was added',
          'The time until the colour changes',
          'The volume of water in the flask',
        ],
      },
      hypothesis: {
        label: 'Hypothesis: how concentrated is your acid, next to the titrant?',
        options: ['More concentrated', 'About as concentrated', 'Less concentrated'],
      },
      results: [askFor(concentrationOf(setup), setup.bandsPercent)],
      working: 'A few lines: the equation, the amounts in mol, how you got from the titre to the concentration.',
      evidence: {
        help: 'Which readings support your claim, and why? How well do your titres agree?',
        words: ['titre'],
      },
      aims: [
        'Read a burette to a tenth of a division',
        'Catch an end point to a drop',
        'Work from a titre to a concentration',
      ],
    }),
  slips: (setup, sample, measured) => [
    ...common.slips(setup, sample, measured),
    ...(setup.dilution === 'none'
      ? []
      : [
          {
            key: 'dilution',
            label: 'The dilution left out',
            quantity: 'concentration',
            factor: 1 / timesOf(setup),
          },
        ]),
  ],
};

/** What the student is told of the probe, where there is one. */
export const probeBrief = (probe: Sensor): string[] =>
  probe === 'pH'
    ? ['You can also titrate with an indicator, and read the burette before and after.']
    : probe === 'conductivity'
      ? [
          'Water in the flask keeps the volume from changing much: then the lines are straight.',
          'You can also titrate with an indicator, and read the burette before and after.',
        ]
      : [];
