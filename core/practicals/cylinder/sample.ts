import { z } from 'zod';
import { GAS_IDS } from '../../databook/gases';

/** What is drawn for a student. */
export const sampleSchema = z.object({
  gasId: z.enum(GAS_IDS),
  /** How many are in the cylinder at first. */
  count: z.number().int().positive(),
  /** What the card says to hold, or to begin with: temperature, K, volume, nm³, load, kPa. */
  kelvin: z.number().positive(),
  volumeNm3: z.number().positive(),
  loadKPa: z.number().positive(),
});
export type Sample = z.infer<typeof sampleSchema>;
