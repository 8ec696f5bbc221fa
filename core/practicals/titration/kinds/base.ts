import { z } from 'zod';

import { soluteOf } from '../../../databook/solutes';
import type { SampleQuantity } from '../../../report/asks';
import type { Kind } from '../kind';

import { probeBrief } from './acid';

import { dissolved, portionWords, titrantWords, type dissolvedSchema } from './dissolved';
import { askFor, reportOf } from '../../report-parts';

import {
  activities,
  bands,
  checkRange,
  checkTitres,
  concentration,
  concentrationUnit,
  DIGITS,
  indicatorsOnTray,
  mishaps,
  pipette,
  probe,
  refining,
  supplied,
} from './settings';

/** Bases that a strong acid titrates: one proton each, but for the carbonate, which takes up two. */
const BASE_IDS = [
  'ammonia',
  'methylamine',
  'ethylamine',
  'ethanolamine',
  'tris',
  'sodium-hydroxide',
  'potassium-hydroxide',
  'sodium-carbonate',
] as const;

const setupSchema = z
  .object({
    bases: z
      .array(z.enum(BASE_IDS))
      .min(1, 'Choose at least one base.')
      .default(['ammonia', 'methylamine', 'ethanolamine', 'tris'])
      .meta({
        label: 'Bases that may be drawn',
        help: 'Each student is given one of these. Sodium carbonate takes up two protons: the ratio is the trap.',
      }),
    named: z.boolean().default(true).meta({
      label: 'The pool is told',
      help: 'On, the brief says which bases it may be. Off, it says only how many protons are possible.',
    }),
    fromMolPerL: concentration(0.08, 'Concentration from'),
    toMolPerL: concentration(0.12, 'Concentration to'),
    titrant: z.enum(['hydrochloric-acid', 'nitric-acid']).default('hydrochloric-acid').meta({ label: 'Titrant' }),
    titrantMolPerL: concentration(0.1, 'Titrant concentration', 'On the label, exact.'),
    pipetteMl: pipette,
    supplied,
    indicators: indicatorsOnTray(['methyl-orange', 'methyl-red', 'bromocresol-green', 'phenolphthalein']),
    probe: probe('none'),
    mishaps,
    activities,
    unit: concentrationUnit,
    bandsPercent: bands([0.5, 1, 3]),
  })
  .superRefine(
    refining((setup, fail) => {
      if (!checkRange(setup.fromMolPerL, setup.toMolPerL, 'toMolPerL', fail)) return;
      const titre = (molPerL: number) => (molPerL * Number(setup.pipetteMl)) / setup.titrantMolPerL;
      const most = Math.max(...setup.bases.map(protonsOf));
      checkTitres(titre(setup.fromMolPerL), most * titre(setup.toMolPerL), 'titrantMolPerL', fail);
    }),
  );
type Setup = z.infer<typeof setupSchema>;

const concentrationOf = (setup: Setup) =>
  ({
    key: 'concentration',
    label: 'Concentration of the base',
    kind: 'number',
    unit: setup.unit,
    digits: DIGITS,
  }) satisfies SampleQuantity;

const protonsOf = (soluteId: string) => Math.abs(soluteOf(soluteId).protons);

const among = (ids: readonly string[]) =>
  ids
    .map((id) => soluteOf(id))
    .map(({ name, formula }) => `${name} (${formula})`)
    .join(', ');

export const baseConcentration: Kind<Setup, z.infer<typeof dissolvedSchema>> = {
  ...dissolved<Setup>({
    word: 'Base',
    pool: (setup) => setup.bases,
    exchanged: (id) => Array.from({ length: protonsOf(id) }, (_, i) => i + 1),
    isTold: (setup) => setup.named,
  }),
  id: 'base-concentration',
  title: 'Concentration of an unlabelled base',
  summary:
    'Titrate a weak base from the lamp room with a strong acid. The end point lies in the acid: which indicator suits?',
  setup: setupSchema,
  brief: (setup) => {
    const most = Math.max(...setup.bases.map(protonsOf));
    return {
      question: [
        'The lamp room was cleaned with whatever took off soot and grease.',
        'Your bottle holds a base in water. Its label is gone, and nobody else has this bottle.',
        'Find its concentration.',
        setup.named
          ? `The store’s list has these: ${among(setup.bases)}.`
          : `It takes up ${most === 1 ? 'one proton' : 'one proton or two'}.`,
      ],
      working: [
        `The titrant is ${titrantWords(setup)}.`,
        'Take the mean of the titres that count. Concentration times volume is the amount.',
        ...(most === 1 ? [] : ['A base that takes up two protons needs twice as much acid.']),
      ],
      know: [...portionWords(setup), ...probeBrief(setup.probe)],
    };
  },
  quantities: (setup) => [
    concentrationOf(setup),
    { key: 'name', label: 'Name of the base', kind: 'name', options: BASE_IDS.map((id) => soluteOf(id).name).sort() },
    { key: 'ratio', label: 'Ratio of base to acid in the whole reaction', kind: 'ratio' },
  ],
  truths: (_, sample) => ({
    concentration: sample.molPerL,
    name: soluteOf(sample.soluteId).name,
    ratio: `1 : ${protonsOf(sample.soluteId)}`,
  }),
  asks: (setup) =>
    reportOf({
      measured: {
        label: 'Which indicator suits a weak base and a strong acid?',
        options: [
          'One that changes in the acid, near the equivalence point',
          'One that changes at pH 7 exactly',
          'One that changes well above pH 8',
          'Any, if enough drops are added',
        ],
      },
      hypothesis: {
        label: 'Hypothesis: where will the pH be at the equivalence point?',
        options: ['Below 7', 'At 7', 'Above 7'],
      },
      results: [askFor(concentrationOf(setup), setup.bandsPercent)],
      working: 'A few lines: the equation, the amounts in mol, how you got from the titre to the concentration.',
      evidence: {
        help: 'Which readings support your claim? Why did you trust the indicator that you chose?',
        words: ['titre'],
      },
      aims: [
        'Choose an indicator for a titration',
        'Catch an end point to a drop',
        'Work from a titre to a concentration',
      ],
    }),
};
