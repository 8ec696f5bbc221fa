import { z } from 'zod';
import { DRY_SALT_IDS, HYDRATE_IDS } from '../../databook/hydrates';
import { chance } from '../../random';

export const sampleSchema = z.object({
  roomC: z.number(),
  hydrateId: z.enum(HYDRATE_IDS),
  /** The dry salt that it is mixed with, and what part of the mass is hydrate; null and 1 where it is by itself. */
  withId: z.enum(DRY_SALT_IDS).nullable(),
  part: z.number().min(0).max(1),
  /** Own amounts of this student, in words. */
  task: z.string().nullable(),
});
export type Sample = z.infer<typeof sampleSchema>;

export const roomOf = (seed: string, index: number): number =>
  Math.round(10 * (19 + 4 * chance(seed, `room ${index}`).uniform())) / 10;
