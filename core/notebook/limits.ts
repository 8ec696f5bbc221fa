/** How much a notebook holds, and how a series can be drawn: apart from the schemas, for pages that need only these. */

export const LIMITS = {
  tables: 40,
  columns: 30,
  rows: 10_000,
  graphs: 40,
  calculations: 300,
  sketches: 60,
  marks: 600,
  text: 8000,
} as const;

export const SHAPES = ['points', 'joined', 'smooth', 'first derivative', 'second derivative'] as const;
