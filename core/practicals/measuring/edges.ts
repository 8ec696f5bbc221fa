import type { Shape } from './sample';

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
