import { z } from 'zod';
import { FORMS } from './plan';

const mm = z.number().positive();

export const shapeSchema = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('block'), length: mm, width: mm, height: mm }),
  z.object({ kind: z.literal('cylinder'), diameter: mm, height: mm }),
  z.object({ kind: z.literal('sphere'), diameter: mm }),
  z.object({ kind: z.enum(FORMS) }),
]);
export type Shape = z.infer<typeof shapeSchema>;

export const lotSchema = z.object({
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

/** mL, from edges in mm. */
export function volumeOfShape(shape: Shape): number | null {
  switch (shape.kind) {
    case 'block':
      return (shape.length * shape.width * shape.height) / 1000;
    case 'cylinder':
      return (Math.PI * shape.diameter ** 2 * shape.height) / 4000;
    case 'sphere':
      return (Math.PI * shape.diameter ** 3) / 6000;
    default:
      return null;
  }
}

export const ALONG = ['length', 'width', 'height', 'diameter'] as const;
export type Along = (typeof ALONG)[number];

/** The edges that tell the volume of a shape, in the order in which they are measured. */
export const EDGES: Record<Shape['kind'], readonly Along[]> = {
  block: ['length', 'width', 'height'],
  cylinder: ['diameter', 'height'],
  sphere: ['diameter'],
  lumps: [],
  'small pieces': [],
  grains: [],
};

/** An edge of a shape, mm; undefined when it has none of that name. */
export function edgeOf(shape: Shape, along: Along): number | undefined {
  const edges: Partial<Record<Along, number>> = 'height' in shape || 'diameter' in shape ? { ...shape } : {};
  return edges[along];
}
