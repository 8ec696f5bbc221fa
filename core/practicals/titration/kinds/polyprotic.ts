import { z } from 'zod';

import { soluteOf } from '../../../databook/solutes';
import type { SampleQuantity } from '../../../report/asks';
import type { Kind } from '../kind';

import { probeBrief } from './acid';
import { meanOf, present } from './mean';
import { dissolved, portionWords, titrantWords, type dissolvedSchema } from './dissolved';
import { askFor, askRatio, reportOf } from '../../report-parts';

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
  protonsGiven,
  refining,
  supplied,
} from './settings';

const ACID_IDS = [
  'sulfuric-acid',
  'oxalic-acid',
  'malonic-acid',
  'maleic-acid',
  'succinic-acid',
  'tartaric-acid',
  'malic-acid',
  'phosphoric-acid',
  'citric-acid',
] as const;

const setupSchema = z
  .object({
    acids: z
      .array(z.enum(ACID_IDS))
      .min(1, 'Choose at least one acid.')
      .default(['maleic-acid', 'malonic-acid', 'phosphoric-acid'])
      .meta({
        label: 'Acids that may be drawn',
        help: 'Two protons or three. With maleic, malonic and phosphoric acid both steps show on a curve.',
      }),
    fromMolPerL: concentration(0.04, 'Concentration from'),
    toMolPerL: concentration(0.06, 'Concentration to'),
    titrant: z.enum(BASIC_TITRANTS).default('sodium-hydroxide').meta({ label: 'Titrant' }),
    titrantMolPerL: concentration(0.1, 'Titrant concentration', 'On the label, exact.'),
    pipetteMl: pipette,
    supplied,
    indicators: indicatorsOnTray(['methyl-orange', 'bromocresol-green', 'phenolphthalein', 'thymolphthalein']),
    probe: probe('pH'),
    carbonate,
    mishaps,
    activities,
    unit: concentrationUnit,
    bandsPercent: bands([1, 2, 5]),
  })
  .superRefine(
    refining((setup, fail) => {
      if (!checkRange(setup.fromMolPerL, setup.toMolPerL, 'toMolPerL', fail)) return;
      const titre = (molPerL: number) => (molPerL * Number(setup.pipetteMl)) / setup.titrantMolPerL;
      const most = Math.max(...setup.acids.map((id) => protonsGiven(id).length));
      checkTitres(titre(setup.fromMolPerL), most * titre(setup.toMolPerL), 'titrantMolPerL', fail);
    }),
  );
type Setup = z.infer<typeof setupSchema>;

const concentrationOf = (setup: Setup) =>
  ({
    key: 'concentration',
    label: 'Concentration of the acid',
    kind: 'number',
    unit: setup.unit,
    digits: DIGITS,
  }) satisfies SampleQuantity;
const RATIO = 'Ratio of acid to base at the last equivalence point that can be seen';

const common = dissolved<Setup>({ word: 'Acid', pool: (setup) => setup.acids, exchanged: protonsGiven });

export const polyproticAcid: Kind<Setup, z.infer<typeof dissolvedSchema>> = {
  ...common,
  id: 'polyprotic-acid',
  title: 'An acid with more than one proton',
  summary:
    'Follow an acid that gives up two protons or three, by pH probe or by indicator. Find out how many, then its concentration.',
  setup: setupSchema,
  brief: (setup) => ({
    question: [
      'The keeper’s wife made ink, jam and boiler cleaner. She kept the acids for all three in one cupboard.',
      'Yours gives up more than one proton. How many, and at which pH, nobody wrote down.',
      'Find its concentration.',
    ],
    working: [
      `The titrant is ${titrantWords(setup)}.`,
      'There may be more than one equivalence point, and not each of them can be seen.',
      'Compare the volumes at which they lie. Then decide in which ratio acid and base react there.',
    ],
    know: [...portionWords(setup), ...probeBrief(setup.probe)],
  }),
  quantities: (setup) => [
    concentrationOf(setup),
    { key: 'ratio', label: RATIO, kind: 'ratio' },
    { key: 'name', label: 'Name of the acid', kind: 'name', options: ACID_IDS.map((id) => soluteOf(id).name).sort() },
    { key: 'pKa', label: 'pKa of the last proton that is seen to go', kind: 'number', unit: '', digits: 3 },
  ],
  truths: (_, sample) => {
    const { name, pKas } = soluteOf(sample.soluteId);
    const given = protonsGiven(sample.soluteId).length;
    return {
      concentration: sample.molPerL,
      ratio: `1 : ${given}`,
      name,
      pKa: pKas.filter((pKa) => pKa < 9).at(-1) as number,
    };
  },
  asks: (setup) =>
    reportOf({
      measured: {
        label: 'A two-proton acid: how do the volumes of its two equivalence points go together?',
        options: [
          'The second is twice the first',
          'The second is the first and a half',
          'They have nothing to do with each other',
          'They are the same',
        ],
      },
      hypothesis: {
        label: 'Hypothesis: how many steps will the curve show?',
        options: ['One', 'Two', 'Three'],
      },
      results: [
        askFor(concentrationOf(setup), setup.bandsPercent),
        askRatio(RATIO, 'In whole numbers, such as 1 : 1.'),
      ],
      working: 'A few lines: the volumes at which the equivalence points lie, the ratio there, the concentration.',
      evidence: {
        help: 'What of the curve or of the colours bears the ratio out? Why not another?',
        words: ['ratio'],
      },
      aims: [
        'Tell from a curve how many protons an acid gives',
        'Find an equivalence point from a derivative',
        'Work from a titre to a concentration',
      ],
    }),
  results: (setup, sample, measured) => ({
    ...common.results(setup, sample, measured),
    ...present({ pKa: meanOf(measured, (trial) => trial.halfWayPh) }),
  }),
};
