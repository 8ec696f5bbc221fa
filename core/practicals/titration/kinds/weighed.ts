import { z } from 'zod';
import { significant } from '../../../analysis/quantity';

import { ACID_SOLID_IDS, solidOf, type AcidSolidId } from '../../../databook/solids';
import { soluteOf } from '../../../databook/solutes';
import type { SampleQuantity } from '../../../report/asks';
import type { Kind } from '../kind';
import { planOf } from '../plan';
import { probeBrief } from './acid';
import { meanOf, mmolOf, present, ratioSlips } from './mean';
import { exactTitrant } from './dissolved';
import { powder, powderPerGram, type powderSchema } from './powder';
import { askFor, reportOf } from '../../report-parts';

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

/** Acids that dissolve well enough to be titrated by the gram, and are not strong enough to hurt. */
const POOL: AcidSolidId[] = ACID_SOLID_IDS.filter((id) => {
  const solute = Object.keys(solidOf(id).gives)[0] as string;
  return soluteOf(solute).solubleToMolPerL === undefined;
});
/** Of these, ones that are used as descaler or in a kitchen. */
const FIRST: AcidSolidId[] = ['sulfamic-acid', 'citric-acid-monohydrate', 'tartaric-acid', 'oxalic-acid-dihydrate'];

/** Mass that gives about half a burette, g. */
const aboutG = (setup: { titrantMolPerL: number; fromPercent: number; toPercent: number }, solidId: string) => {
  const { molarMassGPerMol, gives } = solidOf(solidId);
  const protons = protonsGiven(Object.keys(gives)[0] as string).length;
  const middle = (setup.fromPercent + setup.toPercent) / 200;
  return (0.025 * setup.titrantMolPerL * molarMassGPerMol) / protons / middle;
};

const middleOf = (all: readonly number[]) => (Math.min(...all) + Math.max(...all)) / 2;

const setupSchema = z
  .object({
    solids: z
      .array(z.enum(POOL as [AcidSolidId, ...AcidSolidId[]]))
      .min(1, 'Choose at least one solid.')
      .default(FIRST)
      .meta({
        label: 'What the powder may contain',
        help: 'Each student is given one of these, mixed with salt. The label names it.',
      }),
    fromPercent: z.number().min(5).max(99).default(55).meta({ label: 'Part by mass from', unit: '%' }),
    toPercent: z.number().min(5).max(99.9).default(95).meta({ label: 'Part by mass to', unit: '%' }),
    titrant: z.enum(BASIC_TITRANTS).default('sodium-hydroxide').meta({ label: 'Titrant' }),
    titrantMolPerL: concentration(0.1, 'Titrant concentration', 'On the label, exact.'),
    readability,
    indicators: indicatorsOnTray(['methyl-orange', 'bromothymol-blue', 'phenolphthalein']),
    probe: probe('none'),
    carbonate,
    mishaps,
    activities,
    unit: concentrationUnit,
    bandsPercent: bands([0.5, 1, 3]),
  })
  .superRefine(refining((setup, fail) => void checkRange(setup.fromPercent, setup.toPercent, 'toPercent', fail)));
type Setup = z.infer<typeof setupSchema>;

/** Masses to a milligram in some hundred carry three digits. */
const PERCENT = {
  key: 'percent',
  label: 'Part of the acid in the powder, by mass',
  kind: 'number',
  unit: '%',
  digits: 3,
} satisfies SampleQuantity;

const acidOf = (solidId: string) => Object.keys(solidOf(solidId).gives)[0] as string;

export const percentByMass: Kind<Setup, z.infer<typeof powderSchema>> = {
  ...powder<Setup>('salt'),
  id: 'percent-by-mass',
  title: 'How much of a powder is acid',
  model: 3,
  summary: 'Weigh out a powder of acid and salt, dissolve and titrate it, and work out its part by mass.',
  setup: setupSchema,
  plan: (setup) =>
    planOf(setup, setup.titrant, {
      aboutG: Number(significant(middleOf(setup.solids.map((id) => aboutG(setup, id))), 2)),
      jar: { name: 'jar of powder', lines: ['powder'] },
      readability: setup.readability,
    }),
  stock: (setup, sample) => ({
    titrant: exactTitrant(setup.titrant, setup.titrantMolPerL),
    bottle: {},
    solid: {
      perGram: powderPerGram(sample),
      insoluble: false,
      note: `${solidOf(sample.solidId).name} (${solidOf(sample.solidId).formula}), with salt`,
    },
    exchanged: { [acidOf(sample.solidId)]: protonsGiven(acidOf(sample.solidId)) },
  }),
  brief: (setup) => {
    const titrant = soluteOf(setup.titrant);
    return {
      question: [
        'Boiler descaler was sold to lighthouses by the sack. It was stretched with table salt.',
        'The jar names the acid in your powder. How much of it is acid, nobody says.',
        'Which part of the powder is acid, by mass?',
      ],
      working: [
        `The titrant is ${titrant.name} (${titrant.formula}) of exactly ${setup.titrantMolPerL.toPrecision(4)} ${setup.unit}.`,
        'An acid with several protons gives up all that it can. The data book has its constants.',
        'The titre gives the amount of base, and so that of the acid, and its mass.',
        'Divide by the mass of the powder that you weighed out.',
      ],
      know: probeBrief(setup.probe),
    };
  },
  quantities: () => [PERCENT, { key: 'ratio', label: 'Ratio of acid to base in the reaction', kind: 'ratio' }],
  truths: (_, sample) => ({
    percent: sample.percent,
    ratio: `1 : ${protonsGiven(acidOf(sample.solidId)).length}`,
  }),
  asks: (setup) =>
    reportOf({
      measured: {
        label: 'Which two things have to be measured in each trial?',
        options: [
          'The mass of the powder and the titre',
          'The mass of the flask and the titre',
          'The volume of water and the titre',
          'The mass of the powder and the volume of water',
        ],
      },
      hypothesis: {
        label: 'Hypothesis: how much of the powder is acid?',
        options: ['Less than half', 'Half to three quarters', 'More than three quarters'],
      },
      results: [askFor(PERCENT, setup.bandsPercent)],
      working: 'A few lines: the amount of base, the ratio, the mass of acid, its part of the powder.',
      evidence: {
        help: 'Which readings support your claim? How well do the results of your trials agree?',
        words: ['mass'],
      },
      aims: ['Weigh by difference', 'Catch an end point to a drop', 'Work from a titre to a part by mass'],
    }),
  results: (setup, sample, measured) =>
    present({
      percent: meanOf(measured, (trial) => {
        const mmol = mmolOf(trial, setup.titrantMolPerL);
        if (mmol === null || trial.massG === null || trial.massG <= 0) return null;
        return (mmol * solidOf(sample.solidId).molarMassGPerMol) / trial.massG / 10;
      }),
    }),
  slips: (_setup, _sample, measured) => ratioSlips('percent', measured, 1),
};
