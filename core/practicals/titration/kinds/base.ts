import { z } from 'zod';
import { significant } from '../../../analysis/quantity';
import { chance } from '../../../random';
import { soluteOf } from '../../../databook/solutes';
import type { SampleQuantity } from '../../../report/asks';
import type { Kind } from '../kind';
import { planOf } from '../plan';
import { probeBrief } from './acid';
import { meanOf, mmolOf, present, ratioSlips } from './mean';
import { askFor, reportOf } from './report';
import { drawnValue, threeDigitValues } from './sample-values';
import { activities, bands, checkRange, checkTitres, concentration, concentrationUnit, DIGITS, indicatorsOnTray, mishaps, pipette, probe, refining, supplied } from './settings'; // prettier-ignore

/** Bases that a strong acid titrates: one proton each, but for the carbonate, which takes up two. */
const BASE_IDS = ['ammonia', 'methylamine', 'ethylamine', 'ethanolamine', 'tris', 'sodium-hydroxide', 'potassium-hydroxide', 'sodium-carbonate'] as const; // prettier-ignore

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
    titrant: z
      .enum(['hydrochloric-acid', 'nitric-acid'])
      .default('hydrochloric-acid')
      .meta({ label: 'Titrant' }),
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
      const most = Math.max(...setup.bases.map((id) => Math.abs(soluteOf(id).protons)));
      checkTitres(titre(setup.fromMolPerL), most * titre(setup.toMolPerL), 'titrantMolPerL', fail);
    }),
  );
type Setup = z.infer<typeof setupSchema>;

const sampleSchema = z.object({ soluteId: z.string(), molPerL: z.number().positive() });
type Sample = z.infer<typeof sampleSchema>;

const concentrationOf = (setup: Setup) =>
  ({ key: 'concentration', label: 'Concentration of the base', kind: 'number', unit: setup.unit, digits: DIGITS }) satisfies SampleQuantity; // prettier-ignore

const protonsOf = (sample: Sample) => Math.abs(soluteOf(sample.soluteId).protons);

const among = (ids: readonly string[]) =>
  ids
    .map((id) => soluteOf(id))
    .map(({ name, formula }) => `${name} (${formula})`)
    .join(', ');

export const baseConcentration: Kind<Setup, Sample> = {
  id: 'base-concentration',
  title: 'Concentration of an unlabelled base',
  summary:
    'Titrate a weak base from the lamp room with a strong acid: the end point lies in the acid, and the indicator must follow it there.',
  setup: setupSchema,
  sampleSchema,
  room: (setup) => threeDigitValues(setup.fromMolPerL, setup.toMolPerL).length,
  draw: (setup, seed, index) => {
    const pick = Math.floor(chance(seed, `base ${index}`).uniform() * setup.bases.length);
    return {
      soluteId: setup.bases[pick] as string,
      molPerL: drawnValue(setup.fromMolPerL, setup.toMolPerL, seed, index),
    };
  },
  plan: (setup) =>
    planOf(setup, setup.titrant, {
      bottle: { name: 'sample bottle', lines: ['sample'] },
      pipetteMl: Number(setup.pipetteMl),
      supplied: setup.supplied,
    }),
  stock: (setup, sample) => ({
    titrant: {
      soluteId: setup.titrant,
      molPerL: setup.titrantMolPerL,
      label: setup.titrantMolPerL.toPrecision(4),
    },
    bottle: { [sample.soluteId]: sample.molPerL },
    solid: null,
    exchanged: { [sample.soluteId]: Array.from({ length: protonsOf(sample) }, (_, i) => i + 1) },
  }),
  brief: (setup) => {
    const titrant = soluteOf(setup.titrant);
    const most = Math.max(...setup.bases.map((id) => Math.abs(soluteOf(id).protons)));
    return [
      'The lamp room was cleaned with whatever took off soot and grease. Your bottle holds a base in water, its label gone. Nobody else has this bottle.',
      setup.named
        ? `The store’s list has these: ${among(setup.bases)}.`
        : `It takes up ${most === 1 ? 'one proton' : 'one proton or two'}.`,
      `Find its concentration. On the bench stand a 50 mL burette, ${setup.supplied ? `flasks that hold ${Number(setup.pipetteMl).toFixed(2)} mL of the sample each` : `a ${setup.pipetteMl} mL pipette`} and ${titrant.name} (${titrant.formula}) of exactly ${setup.titrantMolPerL.toPrecision(4)} ${setup.unit}.`,
      'Think before you choose an indicator: what is in the flask at the equivalence point, and is that neutral?',
      ...probeBrief(setup.probe),
      'Read the burette before and after each trial, to a tenth of a division. One quick trial, then at least two with care. Titres agree when they lie within 0.10 mL.',
    ];
  },
  quantities: (setup) => [
    concentrationOf(setup),
    { key: 'name', label: 'Name of the base', kind: 'name', options: BASE_IDS.map((id) => soluteOf(id).name).sort() },
    { key: 'ratio', label: 'Ratio of base to acid in the whole reaction', kind: 'ratio' },
  ], // prettier-ignore
  truths: (_, sample) => ({
    concentration: sample.molPerL,
    name: soluteOf(sample.soluteId).name,
    ratio: `1 : ${protonsOf(sample)}`,
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
      working:
        'A few lines: the equation, the amounts in mol, how you got from the titre to the concentration.',
      evidence: {
        help: 'Which readings bear the claim out? Why did you trust the indicator that you chose?',
        words: ['titre'],
      },
      aims: [
        'Choose an indicator for a titration',
        'Catch an end point to a drop',
        'Work from a titre to a concentration',
      ],
    }),
  results: (setup, _, measured) =>
    present({
      concentration: meanOf(measured, (trial) => {
        const mmol = mmolOf(trial, setup.titrantMolPerL);
        return mmol === null ? null : mmol / Number(setup.pipetteMl);
      }),
    }),
  slips: (_setup, _sample, measured) => ratioSlips('concentration', measured, 1),
  truth: (setup, sample) => [
    { label: 'Base', text: soluteOf(sample.soluteId).name },
    { label: 'Concentration', text: `${significant(sample.molPerL, 4)} ${setup.unit}` },
  ],
  hidden: (setup, sample) => {
    const solute = soluteOf(sample.soluteId);
    const mmol = sample.molPerL * Number(setup.pipetteMl);
    return {
      words: setup.named ? [] : [solute.name, solute.id, solute.formula],
      numbers: [sample.molPerL, sample.molPerL * 1000, mmol / 1000, mmol / setup.titrantMolPerL],
    };
  },
};
