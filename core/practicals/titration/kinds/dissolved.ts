import { z } from 'zod';
import { significant } from '../../../analysis/quantity';
import { chance } from '../../../random';
import { soluteOf } from '../../../databook/solutes';
import type { Kind, Measured, Stock } from '../kind';
import { planOf, type CommonSetup, type Plan } from '../plan';
import { meanOf, mmolOf, present, ratioSlips } from './mean';
import { drawnValue, threeDigitValues } from '../../sample-values';

/** What the kinds have in common whose sample is one solute in a bottle, of unknown concentration. */

export const dissolvedSchema = z.object({ soluteId: z.string(), molPerL: z.number().positive() });
type Dissolved = z.infer<typeof dissolvedSchema>;

interface DissolvedSetup extends CommonSetup {
  fromMolPerL: number;
  toMolPerL: number;
  titrant: string;
  titrantMolPerL: number;
  pipetteMl: string;
  supplied: boolean;
}

/** One of a list, the same for the same seed and index. */
export const pickOne = <T>(pool: readonly T[], seed: string, index: number): T =>
  pool[Math.floor(chance(seed, `pick ${index}`).uniform() * pool.length)] as T;

/** A titrant whose label is exact. */
export const exactTitrant = (soluteId: string, molPerL: number): Stock['titrant'] => ({
  soluteId,
  molPerL,
  label: molPerL.toPrecision(4),
});

/** How much of the sample a flask holds that comes filled, as the brief says it. */
export const portionWords = (setup: Pick<DissolvedSetup, 'supplied' | 'pipetteMl'>): string[] =>
  setup.supplied ? [`Each flask holds exactly ${Number(setup.pipetteMl).toFixed(2)} mL of the sample.`] : [];

/** The titrant with its formula and exact concentration, as the brief says it. */
export function titrantWords(setup: Pick<DissolvedSetup, 'titrant' | 'titrantMolPerL' | 'unit'>): string {
  const { name, formula } = soluteOf(setup.titrant);
  return `${name} (${formula}) of exactly ${setup.titrantMolPerL.toPrecision(4)} ${setup.unit}`;
}

type Common = 'sampleSchema' | 'room' | 'draw' | 'plan' | 'stock' | 'results' | 'slips' | 'truth' | 'hidden';

/**
 * All that follows from a pool of solutes.
 * @param exchanged protons exchanged with the titrant at each equivalence point that can be seen
 * @param times how many times the bottle is stronger than what is titrated
 */
export function dissolved<Setup extends DissolvedSetup>(of: {
  word: string;
  pool: (setup: Setup) => readonly string[];
  exchanged: (soluteId: string) => number[];
  times?: (setup: Setup) => number;
  plan?: (setup: Setup) => Partial<Plan>;
  /** Whether the student is told which solutes it may be. */
  isTold?: (setup: Setup) => boolean;
}): Pick<Kind<Setup, Dissolved>, Common> {
  const { times = () => 1 } = of;
  return {
    sampleSchema: dissolvedSchema,
    room: (setup) => threeDigitValues(setup.fromMolPerL, setup.toMolPerL).length,
    draw: (setup, seed, index) => ({
      soluteId: pickOne(of.pool(setup), seed, index),
      molPerL: times(setup) * drawnValue(setup.fromMolPerL, setup.toMolPerL, seed, index),
    }),
    plan: (setup) =>
      planOf(setup, setup.titrant, {
        bottle: { name: 'sample bottle', lines: ['sample'] },
        pipetteMl: Number(setup.pipetteMl),
        supplied: setup.supplied,
        ...of.plan?.(setup),
      }),
    stock: (setup, sample) => ({
      titrant: exactTitrant(setup.titrant, setup.titrantMolPerL),
      bottle: { [sample.soluteId]: sample.molPerL },
      solid: null,
      exchanged: { [sample.soluteId]: of.exchanged(sample.soluteId) },
    }),
    results: (setup, _, measured: readonly Measured[]) =>
      present({
        concentration: meanOf(measured, (trial) => {
          const mmol = mmolOf(trial, setup.titrantMolPerL);
          return mmol === null ? null : (times(setup) * mmol) / Number(setup.pipetteMl);
        }),
      }),
    slips: (_setup, _sample, measured) => ratioSlips('concentration', measured, 1),
    truth: (setup, sample) => [
      { label: of.word, text: soluteOf(sample.soluteId).name },
      { label: 'Concentration', text: `${significant(sample.molPerL, 4)} ${setup.unit}` },
    ],
    hidden: (setup, sample) => {
      const { name, id, formula } = soluteOf(sample.soluteId);
      const mmol = (sample.molPerL / times(setup)) * Number(setup.pipetteMl);
      return {
        words: of.isTold?.(setup) ? [] : [name, id, formula],
        numbers: [sample.molPerL, sample.molPerL * 1000, mmol / 1000, mmol / setup.titrantMolPerL],
      };
    },
  };
}
