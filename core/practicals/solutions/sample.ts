import { z } from 'zod';
import { BENCH_SOLUTION_IDS } from '../../databook/bench-solutions';
import { CARBONATE_IDS, WEIGHED_IDS } from '../../databook/weighed-solids';
import { chance } from '../../random';

export const sampleSchema = z.object({
  roomC: z.number(),
  /** What is in the bottles A, B, C and so on, mol/L, and what their labels say beside the letter. */
  bottles: z.array(z.object({ id: z.enum(BENCH_SOLUTION_IDS), molPerL: z.number().positive(), says: z.string() })),
  /** Which reaction it is, where one is looked for; null where bottles are to be named. */
  reaction: z.string().nullable(),
  /** What this student in particular is given, in words. */
  task: z.string().nullable(),
  /** The solid that falls of the two bottles, and the volumes of them that are asked for, mL; null where no solid is weighed. */
  weighed: z
    .object({ id: z.enum(WEIGHED_IDS), volumes: z.tuple([z.number(), z.number()]).nullable() })
    .nullable()
    .default(null),
  /** What is in the jar. */
  jar: z.enum(CARBONATE_IDS).nullable().default(null),
});
export type Sample = z.infer<typeof sampleSchema>;

export const roomOf = (seed: string, index: number): number =>
  Math.round(10 * (19.5 + 3 * chance(seed, `room ${index}`).uniform())) / 10;
