import { z } from 'zod';
import { significant } from '../../../analysis/quantity';
import { amountsPerGram, solidOf } from '../../../databook/solids';
import type { Kind } from '../kind';
import type { CommonSetup } from '../plan';
import { pickOne } from './dissolved';
import { drawnValue, threeDigitValues } from '../../sample-values';

/** What the kinds have in common whose sample is a powder, part of it the solid that is asked for, the rest salt. */

export const powderSchema = z.object({ solidId: z.string(), percent: z.number().positive() });
type Powder = z.infer<typeof powderSchema>;

interface PowderSetup extends CommonSetup {
  solids: readonly string[];
  fromPercent: number;
  toPercent: number;
}

export const powderPerGram = ({ solidId, percent }: Powder) =>
  amountsPerGram({ [solidId]: percent / 100, 'sodium-chloride': 1 - percent / 100 });

type Common = 'sampleSchema' | 'room' | 'draw' | 'truth' | 'hidden';

/** @param filler what the rest of the powder is called */
export const powder = <Setup extends PowderSetup>(filler: string): Pick<Kind<Setup, Powder>, Common> => ({
  sampleSchema: powderSchema,
  room: (setup) => threeDigitValues(setup.fromPercent, setup.toPercent).length,
  draw: (setup, seed, index) => ({
    solidId: pickOne(setup.solids, seed, index),
    percent: drawnValue(setup.fromPercent, setup.toPercent, seed, index),
  }),
  truth: (_, sample) => [
    { label: 'Powder', text: `${solidOf(sample.solidId).name}, with ${filler}` },
    { label: 'Part by mass', text: `${significant(sample.percent, 4)} %` },
  ],
  hidden: (_, sample) => ({ words: [], numbers: [sample.percent, sample.percent / 100] }),
});
