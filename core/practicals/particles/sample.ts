import { z } from 'zod';
import { GAS_IDS } from '../../databook/gases';
import { chance, shuffled } from '../../random';
import { drawnValue, threeDigitValues } from '../sample-values';
import { bands, hypothesisFirst } from '../settings-parts';

/** What the teacher chooses, and what is drawn for a student. */

export const setupSchema = z
  .object({
    gases: z
      .array(z.enum(GAS_IDS))
      .min(1, 'Choose at least one gas.')
      .default(['helium', 'methane', 'neon', 'nitrogen', 'oxygen', 'argon', 'carbon-dioxide', 'krypton', 'xenon'])
      .meta({ label: 'Gases that the particle may be of', help: 'All gases of the data book are offered as names.' }),
    fromK: z.number().min(100).max(900).default(200).meta({ label: 'First temperature from', unit: 'K' }),
    toK: z.number().min(150).max(1000).default(350).meta({ label: 'First temperature to', unit: 'K' }),
    edgeNm: z.number().min(6).max(40).default(10).meta({ label: 'Edge of the vessel', unit: 'nm' }),
    hypothesis: hypothesisFirst(true),
    bandsPercent: bands([1, 2, 5]),
  })
  .superRefine((setup, context) => {
    const fail = (path: string, message: string) => context.addIssue({ code: 'custom', path: [path], message });
    if (setup.toK <= setup.fromK) fail('toK', 'The upper end of the range must be above the lower end.');
    else if (threeDigitValues(setup.fromK, setup.toK).length < 60)
      fail('toK', 'Widen the range: a class needs sixty different temperatures.');
  });
export type Setup = z.infer<typeof setupSchema>;

export const sampleSchema = z.object({
  gasId: z.enum(GAS_IDS),
  /** The temperature whose mean energy the particle is to be put in with first, K. */
  startK: z.number().positive(),
});
export type Sample = z.infer<typeof sampleSchema>;

export const roomIn = (setup: Setup): number => threeDigitValues(setup.fromK, setup.toK).length;

export function draw(setup: Setup, seed: string, index: number): Sample {
  const order = shuffled(setup.gases.length, chance(seed, 'gases'));
  const gasId = setup.gases[order[index % order.length] as number] as string;
  return { gasId, startK: Number(drawnValue(setup.fromK, setup.toK, seed, index).toPrecision(3)) };
}
