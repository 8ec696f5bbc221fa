import { z } from 'zod';
import { significant } from '../../../analysis/quantity';
import { soluteOf } from '../../../databook/solutes';
import type { SampleQuantity } from '../../../report/asks';
import { drawnValue, threeDigitValues } from '../../sample-values';
import { askFor, askRatio, reportOf } from '../../report-parts';
import type { Kind, Measured } from '../kind';
import { planOf } from '../plan';
import { probeBrief } from './acid';
import { dissolvedSchema, pickOne } from './dissolved';
import { meanOf, present, ratioSlips } from './mean';
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
} from './settings';

/** Acids whose every proton is gone where a strong base in excess would show, and bases that a strong acid takes whole. */
const ACID_IDS = [
  'hydrochloric-acid',
  'nitric-acid',
  'acetic-acid',
  'formic-acid',
  'lactic-acid',
  'sulfuric-acid',
  'oxalic-acid',
  'malonic-acid',
  'maleic-acid',
  'succinic-acid',
  'tartaric-acid',
  'malic-acid',
] as const;
const BASE_IDS = ['sodium-hydroxide', 'potassium-hydroxide', 'ammonia', 'methylamine', 'sodium-carbonate'] as const;

const protonsOf = (soluteId: string) => Math.abs(soluteOf(soluteId).protons);

const setupSchema = z
  .object({
    unknown: z
      .enum(['acid', 'base'])
      .default('acid')
      .meta({
        label: 'In the burette is an unlabelled',
        options: { acid: 'acid, run into a known base', base: 'base, run into a known acid' },
      }),
    acids: z
      .array(z.enum(ACID_IDS))
      .min(1, 'Choose at least one acid.')
      .default(['hydrochloric-acid', 'acetic-acid', 'oxalic-acid', 'malonic-acid', 'tartaric-acid'])
      .meta({
        label: 'Acids that may be drawn',
        help: 'Where some give up one proton and some two, the report asks for the ratio; else the brief tells it.',
      }),
    bases: z
      .array(z.enum(BASE_IDS))
      .min(1, 'Choose at least one base.')
      .default(['sodium-hydroxide', 'ammonia', 'sodium-carbonate'])
      .meta({ label: 'Bases that may be drawn', help: 'Sodium carbonate takes up two protons, the others one.' }),
    fromMolPerL: concentration(
      0.08,
      'Protons in the sample from',
      'Divided by how many each molecule gives or takes, it is the concentration. So a titre tells nothing of their number.',
    ),
    toMolPerL: concentration(0.12, 'Protons in the sample to'),
    knownMolPerL: concentration(0.1, 'Concentration of the known solution', 'On its label, exact.'),
    pipetteMl: pipette,
    indicators: indicatorsOnTray(['methyl-orange', 'methyl-red', 'bromothymol-blue', 'phenolphthalein']),
    probe: probe('none'),
    mishaps,
    activities,
    unit: concentrationUnit,
    bandsPercent: bands([0.5, 1, 3]),
  })
  .superRefine(
    refining((setup, fail) => {
      if (!checkRange(setup.fromMolPerL, setup.toMolPerL, 'toMolPerL', fail)) return;
      if (setup.toMolPerL > 1.8 * setup.fromMolPerL)
        fail(
          'toMolPerL',
          'Keep the upper end below 1.8 times the lower: with one proton or two, samples would meet otherwise.',
        );
      const titre = (molPerL: number) => (setup.knownMolPerL * Number(setup.pipetteMl)) / molPerL;
      checkTitres(titre(setup.toMolPerL), titre(setup.fromMolPerL), 'knownMolPerL', fail);
    }),
  );
type Setup = z.infer<typeof setupSchema>;
type Sample = z.infer<typeof dissolvedSchema>;

const isAcid = (setup: Setup) => setup.unknown === 'acid';
const poolOf = (setup: Setup): readonly string[] => (isAcid(setup) ? setup.acids : setup.bases);
/** What is pipetted into the flask: strong, so that the end point is that of the unknown. */
const knownOf = (setup: Setup) => soluteOf(isAcid(setup) ? 'sodium-hydroxide' : 'hydrochloric-acid');

const concentrationOf = (setup: Setup) =>
  ({
    key: 'concentration',
    label: `Concentration of the ${setup.unknown}`,
    kind: 'number',
    unit: setup.unit,
    digits: DIGITS,
  }) satisfies SampleQuantity;
const ratioLabel = (setup: Setup) =>
  isAcid(setup) ? 'Ratio of acid to base in the whole reaction' : 'Ratio of base to acid in the whole reaction';

const protonCounts = (setup: Setup) => [...new Set(poolOf(setup).map(protonsOf))].sort();
/** Whether the number of protons is the student's to find: not where all that may be drawn have the same. */
const asksRatio = (setup: Setup) => protonCounts(setup).length > 1;

/** How many protons are possible, as the brief says it. */
function protonWords(setup: Setup): string {
  const verb = isAcid(setup) ? 'gives up' : 'takes up';
  return `Each molecule of it ${verb} ${protonCounts(setup)
    .map((count) => (count === 1 ? 'one proton' : 'two protons'))
    .join(' or ')}.`;
}

/** A trial in which the portion was used up by so much of the unknown, mol/L of it. */
function concentrationIn(setup: Setup, protons: number, { titreMl, portions }: Measured): number | null {
  if (titreMl === null || portions === 0) return null;
  return (setup.knownMolPerL * Number(setup.pipetteMl) * portions) / (protons * titreMl);
}

export const unknownInBurette: Kind<Setup, Sample> = {
  id: 'unknown-in-burette',
  title: 'An unlabelled solution in the burette',
  summary:
    'Fill the burette with the unlabelled acid or base itself. Run it into a known portion until the portion is used up.',
  setup: setupSchema,
  sampleSchema: dissolvedSchema,
  room: (setup) => threeDigitValues(setup.fromMolPerL, setup.toMolPerL).length,
  draw: (setup, seed, index) => {
    const soluteId = pickOne(poolOf(setup), seed, index);
    return { soluteId, molPerL: drawnValue(setup.fromMolPerL, setup.toMolPerL, seed, index) / protonsOf(soluteId) };
  },
  plan: (setup) => {
    const { name, formula } = knownOf(setup);
    return {
      ...planOf(setup, knownOf(setup).id, {
        bottle: { name: `bottle of ${name}`, lines: [formula, setup.knownMolPerL.toPrecision(4), setup.unit] },
        pipetteMl: Number(setup.pipetteMl),
        endsBasic: isAcid(setup),
      }),
      titrantName: `your ${setup.unknown}`,
      titrantFormula: 'sample',
    };
  },
  stock: (setup, sample) => ({
    titrant: { soluteId: sample.soluteId, molPerL: sample.molPerL, label: '' },
    bottle: { [knownOf(setup).id]: setup.knownMolPerL },
    solid: null,
    exchanged: { [knownOf(setup).id]: [1] },
  }),
  brief: (setup) => {
    const { name, formula } = knownOf(setup);
    return {
      question: [
        'A carboy without a label stood under the stairs. Every bottle of the store was filled from it.',
        `Yours holds an ${isAcid(setup) ? 'acid' : 'unlabelled base'} in water. Nobody else has this one.`,
        protonWords(setup),
        'Find its concentration.',
      ],
      working: [
        'This time the unlabelled solution is the titrant: it goes into the burette.',
        `In the flask is ${name} (${formula}) of exactly ${setup.knownMolPerL.toPrecision(4)} ${setup.unit}.`,
        'When the sample has used it up, both amounts are known. The more concentrated the sample, the less you need.',
      ],
      know: [
        isAcid(setup)
          ? 'A colour that was there from the start goes, and does not come back.'
          : 'A colour comes that stays.',
        ...probeBrief(setup.probe),
      ],
    };
  },
  quantities: (setup) => [
    concentrationOf(setup),
    { key: 'ratio', label: ratioLabel(setup), kind: 'ratio' },
    {
      key: 'name',
      label: `Name of the ${setup.unknown}`,
      kind: 'name',
      options: (isAcid(setup) ? ACID_IDS : BASE_IDS).map((id) => soluteOf(id).name).sort(),
    },
  ],
  truths: (_, sample) => ({
    concentration: sample.molPerL,
    ratio: `1 : ${protonsOf(sample.soluteId)}`,
    name: soluteOf(sample.soluteId).name,
  }),
  asks: (setup) =>
    reportOf({
      measured: {
        label: 'The portion in the flask is known. What does a larger titre say of the sample in the burette?',
        options: ['It is less concentrated', 'It is more concentrated', 'It gives up more protons', 'Nothing'],
      },
      hypothesis: {
        label: `Hypothesis: where will the pH be when the ${isAcid(setup) ? 'base' : 'acid'} is just used up?`,
        options: ['Below 7', 'At 7', 'Above 7'],
      },
      results: [
        ...(asksRatio(setup) ? [askRatio(ratioLabel(setup))] : []),
        askFor(concentrationOf(setup), setup.bandsPercent),
      ],
      working: 'A few lines: the equation, the amount in the flask in mol, how much of the sample used it up.',
      evidence: {
        help: 'Which readings support your claim? How do you know the ratio?',
        words: ['titre'],
      },
      aims: [
        'Tell which of two solutions belongs where',
        'Catch an end point to a drop',
        'Work from a titre to a concentration',
      ],
    }),
  results: (setup, sample, measured) =>
    present({ concentration: meanOf(measured, (trial) => concentrationIn(setup, protonsOf(sample.soluteId), trial)) }),
  slips: (setup, sample, measured) => {
    const upsideDown = meanOf(measured, (trial) => trial.titreMl);
    const right = meanOf(measured, (trial) => concentrationIn(setup, protonsOf(sample.soluteId), trial));
    return [
      ...ratioSlips('concentration', [{ ...(measured[0] as Measured), stage: protonsOf(sample.soluteId) }], 1),
      ...(upsideDown === undefined || right === undefined
        ? []
        : [
            {
              key: 'swapped',
              label: 'The volumes of burette and pipette swapped',
              quantity: 'concentration',
              factor: (upsideDown / Number(setup.pipetteMl)) ** 2,
            },
          ]),
    ];
  },
  truth: (setup, sample) => [
    { label: isAcid(setup) ? 'Acid' : 'Base', text: soluteOf(sample.soluteId).name },
    { label: 'Concentration', text: `${significant(sample.molPerL, 4)} ${setup.unit}` },
  ],
  hidden: (setup, { soluteId, molPerL }) => {
    const { name, id, formula } = soluteOf(soluteId);
    const protons = protonsOf(soluteId) * molPerL;
    return {
      words: [name, id, formula],
      numbers: [molPerL, molPerL * 1000, protons, (setup.knownMolPerL * Number(setup.pipetteMl)) / protons],
    };
  },
};
