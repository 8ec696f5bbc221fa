import { z } from 'zod';
import { GASES } from '../../databook/gases';
import { chance, shuffled } from '../../random';
import { drawnValue } from '../sample-values';
import { bands, hypothesisFirst } from '../settings-parts';

/** Gases that may be the other one: heavier than helium, and no two so near that a vessel of this size cannot tell them. */
const HEAVY = GASES.filter(({ molarMassGPerMol }) => molarMassGPerMol > 10).map(({ id }) => id) as [
  string,
  ...string[],
];

export const setupSchema = z.object({
  gases: z
    .array(z.enum(HEAVY))
    .min(1, 'Choose at least one gas.')
    .default(['methane', 'nitrogen', 'argon', 'krypton', 'xenon'])
    .meta({
      label: 'Gases that the other may be',
      help: 'They are told apart by a few percent of their molar mass: leave out what lies nearer.',
    }),
  count: z.number().int().min(30).max(80).default(60).meta({ label: 'Particles of each gas' }),
  edgeNm: z.number().min(16).max(40).default(24).meta({ label: 'Edge of the vessel', unit: 'nm' }),
  hypothesis: hypothesisFirst(true),
  bandsPercent: bands([6, 12, 24]),
});
export type Setup = z.infer<typeof setupSchema>;

export const sampleSchema = z.object({
  /** The gas beside helium. */
  gasId: z.enum(HEAVY),
  /** The temperature that this student begins with, K. */
  startK: z.number(),
});
export type Sample = z.infer<typeof sampleSchema>;

export function draw(setup: Setup, seed: string, index: number): Sample {
  const gases = [...new Set(setup.gases)];
  const order = shuffled(gases.length, chance(seed, 'gases'));
  const gasId = gases[order[index % gases.length] as number] as string;
  return { gasId, startK: Number(drawnValue(220, 380, seed, index).toPrecision(3)) };
}
