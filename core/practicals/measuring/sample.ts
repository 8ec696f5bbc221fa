import { z } from 'zod';

/** How the pieces of a lot lie there. */
export const FORMS = ['lumps', 'small pieces', 'grains'] as const;
export type Form = (typeof FORMS)[number];

const mm = z.number().positive();

const shapeSchema = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('block'), length: mm, width: mm, height: mm }),
  z.object({ kind: z.literal('cylinder'), diameter: mm, height: mm }),
  z.object({ kind: z.literal('sphere'), diameter: mm }),
  z.object({ kind: z.enum(FORMS) }),
]);
export type Shape = z.infer<typeof shapeSchema>;

const lotSchema = z.object({
  materialId: z.string(),
  shape: shapeSchema,
  /** Volume of each piece, mL. */
  volumesMl: z.array(z.number().positive()).min(1).max(60),
});
export type Lot = z.infer<typeof lotSchema>;

/** What one student is given: solids, liquids in bottles, the temperature of the room, an amount and a mark to reach. */
export const sampleSchema = z.object({
  tempC: z.number(),
  lots: z.array(lotSchema),
  bottles: z.array(z.object({ liquidId: z.string(), volumeMl: z.number().positive() })),
  targetMl: z.number().nullable(),
});
export type Sample = z.infer<typeof sampleSchema>;
