import { z } from 'zod';
import { significant } from '../../../analysis/quantity';

import { INSOLUBLE_IDS, solidOf } from '../../../databook/solids';
import type { SampleQuantity } from '../../../report/asks';
import type { Kind } from '../kind';
import { planOf } from '../plan';
import { meanOf, present } from './mean';
import { exactTitrant } from './dissolved';
import { powder, powderPerGram, type powderSchema } from './powder';
import { askFor, reportOf } from '../../report-parts';

import {
  activities,
  bands,
  carbonate,
  checkRange,
  concentration,
  concentrationUnit,
  indicatorsOnTray,
  mishaps,
  pipette,
  readability,
  refining,
} from './settings';

const setupSchema = z
  .object({
    solids: z
      .array(z.enum(INSOLUBLE_IDS))
      .min(1, 'Choose at least one solid.')
      .default(['calcium-carbonate'])
      .meta({ label: 'Bases that may be drawn', help: 'The label names it. They dissolve in acid only.' }),
    fromPercent: z.number().min(5).max(99).default(70).meta({ label: 'Part by mass from', unit: '%' }),
    toPercent: z.number().min(5).max(99.9).default(98).meta({ label: 'Part by mass to', unit: '%' }),
    acidMolPerL: concentration(0.3, 'Acid in excess', 'Hydrochloric acid, exact on its label.'),
    pipetteMl: pipette,
    titrantMolPerL: concentration(0.15, 'Titrant concentration', 'Sodium hydroxide, exact on its label.'),
    readability,
    indicators: indicatorsOnTray(['methyl-orange', 'bromothymol-blue', 'phenolphthalein']),
    carbonate,
    mishaps,
    activities,
    unit: concentrationUnit,
    bandsPercent: bands([1, 2, 5]),
  })
  .superRefine(
    refining((setup, fail) => {
      checkRange(setup.fromPercent, setup.toPercent, 'toPercent', fail);
      const blank = (Number(setup.pipetteMl) * setup.acidMolPerL) / setup.titrantMolPerL;
      if (blank < 20)
        fail(
          'titrantMolPerL',
          `All the acid would take only ${blank.toFixed(1)} mL of titrant. Take a weaker titrant or more acid.`,
        );
      if (blank > 90)
        fail(
          'titrantMolPerL',
          `All the acid would take ${blank.toFixed(0)} mL of titrant, and the burette holds 50. Take a stronger one.`,
        );
    }),
  );
type Setup = z.infer<typeof setupSchema>;

const percentOf = (): SampleQuantity & { kind: 'number' } => ({
  key: 'percent',
  label: 'Part of the base in the sample, by mass',
  kind: 'number',
  unit: '%',
  digits: 3,
});

/** Mass that uses up a little more than half of the acid, g. */
const aboutG = (setup: Setup, solidId: string) => {
  const part = (setup.fromPercent + setup.toPercent) / 200;
  return (0.6 * Number(setup.pipetteMl) * setup.acidMolPerL * solidOf(solidId).molarMassGPerMol) / 2000 / part;
};

const hydroxideOf = (solidId: string) => Object.keys(solidOf(solidId).gives)[0] as string;

export const backTitration: Kind<Setup, z.infer<typeof powderSchema>> = {
  ...powder<Setup>('filler'),
  id: 'back-titration',
  title: 'A base that water does not dissolve',
  model: 3,
  summary:
    'Dissolve shell lime or stomach tablets in a measured excess of acid. Titrate the acid that is left, and work back.',
  setup: setupSchema,
  plan: (setup) =>
    planOf(setup, 'sodium-hydroxide', {
      bottle: { name: 'bottle of hydrochloric acid', lines: ['HCl', setup.acidMolPerL.toPrecision(4), setup.unit] },
      pipetteMl: Number(setup.pipetteMl),
      aboutG: Math.min(...setup.solids.map((id) => Number(significant(aboutG(setup, id), 2)))),
      jar: { name: 'jar of powder', lines: ['powder'] },
      readability: setup.readability,
      warm: true,
    }),
  stock: (setup, sample) => ({
    titrant: exactTitrant('sodium-hydroxide', setup.titrantMolPerL),
    bottle: { 'hydrochloric-acid': setup.acidMolPerL },
    solid: {
      perGram: powderPerGram(sample),
      insoluble: true,
      note: `${solidOf(sample.solidId).name} (${solidOf(sample.solidId).formula})`,
    },
    exchanged: { 'hydrochloric-acid': [1], [hydroxideOf(sample.solidId)]: [-2] },
  }),
  brief: (setup) => ({
    question: [
      'The jar holds what whitened the tower’s walls, or settled the keeper’s stomach.',
      'Its label names a base that water does not dissolve. The rest of the powder is filler.',
      'Which part of the powder is base, by mass?',
    ],
    working: [
      `You add more hydrochloric acid than the base needs: exactly ${setup.pipetteMl} mL of ${setup.acidMolPerL.toPrecision(4)} ${setup.unit}.`,
      `Then you titrate the acid that is left, with sodium hydroxide (NaOH) of exactly ${setup.titrantMolPerL.toPrecision(4)} ${setup.unit}.`,
      'Acid added, less acid left, is acid used.',
      'One formula unit of the base takes up two protons. So you find the amount of the base, and its mass.',
    ],
    know: [],
  }),
  quantities: () => [percentOf(), { key: 'ratio', label: 'Ratio of the base to hydrochloric acid', kind: 'ratio' }],
  truths: (_, sample) => ({ percent: sample.percent, ratio: '1 : 2' }),
  asks: (setup) =>
    reportOf({
      measured: {
        label: 'What does the titre tell?',
        options: [
          'How much acid was left over',
          'How much acid was added',
          'How much base was in the powder',
          'How much carbon dioxide came off',
        ],
      },
      hypothesis: {
        label: 'Hypothesis: how much of the powder is base?',
        options: ['Less than three quarters', 'Three quarters to nine tenths', 'More than nine tenths'],
      },
      results: [askFor(percentOf(), setup.bandsPercent)],
      working: 'A few lines: acid added, acid left, acid used, base, its part of the powder.',
      evidence: {
        help: 'Which readings support your claim? What would gas left in the flask have done?',
        words: ['acid'],
      },
      aims: ['Weigh by difference', 'Plan with an excess', 'Work back from what is left'],
    }),
  results: (setup, sample, measured) =>
    present({
      percent: meanOf(measured, (trial) => {
        if (trial.titreMl === null || trial.massG === null || trial.massG <= 0 || trial.portions === 0) return null;
        const added = trial.portions * Number(setup.pipetteMl) * setup.acidMolPerL;
        const used = added - trial.titreMl * setup.titrantMolPerL;
        return ((used / 2) * solidOf(sample.solidId).molarMassGPerMol) / trial.massG / 10;
      }),
    }),
  slips: () =>
    [2, 0.5].map((factor) => ({
      key: 'ratio',
      label: 'The ratio in which they react',
      quantity: 'percent',
      factor,
    })),
};
