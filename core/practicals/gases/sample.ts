import { z } from 'zod';
import { chance } from '../../random';

export const sampleSchema = z.object({
  roomC: z.number(),
  roomKPa: z.number(),
  /** What the gauge shows too much, kPa. */
  zeroKPa: z.number(),
  /** Inside of tubing and nozzle that the syringe's scale does not count, mL. */
  innerMl: z.number(),
  /** How cold the jar is, °C. */
  jarC: z.number(),
  /** What is in the syringes of a bath, from the first, and how much; empty where there are none. */
  gases: z.array(z.object({ id: z.string(), mol: z.number() })),
  /** The water of a jar over which gas is collected, °C, and the metal that gives it. */
  waterC: z.number(),
  metalId: z.string().nullable(),
  /** The vapour that one of them holds, with a little air. */
  vapourId: z.string().nullable(),
});
export type Sample = z.infer<typeof sampleSchema>;

const rounded = (value: number, decimals: number) => Math.round(value * 10 ** decimals) / 10 ** decimals;

/** Room and gauge of one student; what a practical does not use has a value that says so. */
export function surroundingsOf(seed: string, index: number): Sample {
  const source = chance(seed, `room ${index}`);
  const roomC = rounded(19 + 4 * source.uniform(), 1);
  const roomKPa = rounded(98.6 + 4.2 * source.uniform(), 2);
  const size = 0.4 + 1.4 * source.uniform();
  const zeroKPa = rounded(source.uniform() < 0.5 ? -size : size, 3);
  return { roomC, roomKPa, zeroKPa, innerMl: 0, jarC: 0, gases: [], vapourId: null, waterC: roomC, metalId: null };
}
