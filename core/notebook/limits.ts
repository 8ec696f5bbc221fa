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
  answers: 400,
  /** Signs in a formula, nodes in its tree, and how deep they stand in one another. */
  formula: 300,
  formulaNodes: 300,
  formulaDepth: 160,
  /** Nodes that a notebook's formulas may come to when all of it is worked out. */
  steps: 4_000_000,
  /** What a notebook may weigh: signs of its JSON, near enough. */
  weight: 2_000_000,
} as const;

export const SHAPES = ['points', 'joined', 'smooth', 'first derivative', 'second derivative'] as const;
