import { z } from 'zod';
import { LIMITS, SHAPES } from './limits';

/** The notebook of a run beside its readings: what the student made of them. Plain JSON, the same everywhere. */

const id = z.string().min(1).max(40);
const name = z.string().max(80);
const symbol = z.string().max(20);
const unit = z.string().max(30);
const formula = z.string().max(LIMITS.formula);
const uncertainty = z.string().max(20);
const digits = z.number().int().min(1).max(12).nullable();
const residuals = z.boolean();

export const columnSchema = z.object({
  id,
  name,
  symbol,
  unit,
  /** Recorded columns are filled from the readings and cannot be typed in. */
  kind: z.enum(['typed', 'recorded', 'computed']),
  /** For a computed column. */
  formula: formula.default(''),
  /** For a recorded column: which reading of a trial it holds. */
  slot: z.string().max(40).default(''),
  /** Standard uncertainty of each value, a number in the column's unit as typed; empty for none. */
  uncertainty: uncertainty.default(''),
  /** Significant digits wanted in place of those that the data support; null for those. */
  digits: digits.default(null),
});
export type Column = z.infer<typeof columnSchema>;

/** What can be changed of a column: what is left out stays as it is, so that no default may come in its place. */
export const columnChangeSchema = z.object({ name, symbol, unit, formula, uncertainty, digits }).partial();

export const rowSchema = z.object({
  id,
  cells: z.record(id, z.string().max(120)),
  /** Why the row is left out of means, graphs and lines; null while it counts. */
  out: z.string().max(200).nullable().default(null),
});
export type Row = z.infer<typeof rowSchema>;

const ORIGINS = ['readings', 'logged', 'typed', 'pasted', 'file'] as const;

export const tableSchema = z.object({
  id,
  name,
  /** Where its numbers come from: the bench, or the student's hand, clipboard or file. */
  origin: z.enum(ORIGINS),
  /** Of several things that readings are about, the one whose rows are shown; all rows where it is left out. */
  part: z.string().max(20).optional(),
  /** Columns that a graph of it begins with. */
  axes: z.object({ x: id, y: id }).optional(),
  columns: z.array(columnSchema).max(LIMITS.columns),
  rows: z.array(rowSchema).max(LIMITS.rows),
});
export type Table = z.infer<typeof tableSchema>;

export const seriesSchema = z.object({
  id,
  table: id,
  x: id,
  y: id,
  shape: z.enum(SHAPES),
  /** Points that each value of a derivative is taken from. */
  window: z.number().int().min(3).max(51).default(3),
});
export type Series = z.infer<typeof seriesSchema>;

const ids = z.array(id).max(LIMITS.rows);

export const lineSchema = z.object({
  id,
  series: id,
  /** The stretch it is fitted over, in x; null is open. */
  from: z.number().nullable(),
  to: z.number().nullable(),
  /** Rows taken in from outside the stretch, and rows inside it left to another line. */
  also: ids.default([]),
  not: ids.default([]),
  throughOrigin: z.boolean().default(false),
  /** The moment that it and the next line are drawn to, in x: what lies between them there is the step. Left out where none is. */
  stepAt: z.number().optional(),
});
export type Line = z.infer<typeof lineSchema>;

/** Ends of an axis as typed; empty is chosen by the data. */
const range = z.object({ min: z.string().max(20), max: z.string().max(20) });

export const graphSchema = z.object({
  id,
  name,
  series: z.array(seriesSchema).max(8),
  lines: z.array(lineSchema).max(8),
  x: range,
  y: range,
  residuals: residuals.default(false),
});
export type Graph = z.infer<typeof graphSchema>;

/** What can be changed of a graph as a whole: what is left out stays as it is. */
export const graphChangeSchema = z.object({ name, x: range, y: range, residuals }).partial();

export const calculationSchema = z.object({ id, text: formula });
export type Calculation = z.infer<typeof calculationSchema>;

/** Coordinates are thousandths of the drawing's width, so that a sketch can be shown at any size. */
const place = z.tuple([z.number().min(-200).max(1200), z.number().min(-200).max(1200)]);

export const markSchema = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('free'), id, points: z.array(place).min(1).max(2000) }),
  z.object({ kind: z.literal('line'), id, from: place, to: place }),
  z.object({ kind: z.literal('arrow'), id, from: place, to: place }),
  z.object({ kind: z.literal('label'), id, at: place, text: z.string().min(1).max(120) }),
]);
export type Mark = z.infer<typeof markSchema>;

export const sketchSchema = z.object({
  id,
  name,
  /** What lies under the marks: the bench or the loupe at a moment, or nothing. */
  under: z.enum(['bench', 'loupe', 'nothing']),
  /** The moment: the number of the last act, and bench time in s. */
  act: z.number().int().min(0),
  atS: z.number().min(0),
  /** How many readings there were. */
  readings: z.number().int().min(0),
  marks: z.array(markSchema).max(LIMITS.marks),
});
export type Sketch = z.infer<typeof sketchSchema>;

/** What a number in the report was picked from. */
const originSchema = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('cell'), table: id, row: id, column: id }),
  z.object({ kind: z.literal('mean'), table: id, column: id }),
  z.object({ kind: z.literal('deviation'), table: id, column: id }),
  z.object({ kind: z.literal('calculation'), id }),
  z.object({
    kind: z.literal('line'),
    graph: id,
    line: id,
    what: z.enum(['slope', 'intercept', 'zero', 'first', 'last']),
  }),
  z.object({ kind: z.literal('crossing'), graph: id, line: id, what: z.enum(['x', 'y']) }),
  z.object({ kind: z.literal('step'), graph: id, line: id }),
  /** How much higher one crossing lies than another, each with the line after it. */
  z.object({ kind: z.literal('fall'), graph: id, line: id, to: id }),
]);
export type Origin = z.infer<typeof originSchema>;

export const answerSchema = z.object({
  text: z.string().max(LIMITS.text),
  unit: z.string().max(20).optional(),
  /** Set when the number was picked from the notebook and not changed since. */
  from: originSchema.optional(),
});
export type Answer = z.infer<typeof answerSchema>;

/** What was typed in one tab and then written over from another: kept, to be taken back. */
export const displacedSchema = z.object({ key: z.string(), text: z.string() });

export const notebookSchema = z.object({
  tables: z.array(tableSchema),
  graphs: z.array(graphSchema),
  calculations: z.array(calculationSchema),
  sketches: z.array(sketchSchema),
  answers: z.record(z.string(), answerSchema),
  displaced: z.array(displacedSchema),
});
export type Notebook = z.infer<typeof notebookSchema>;

export const emptyNotebook = (tables: Table[] = []): Notebook => ({
  tables,
  graphs: [],
  calculations: [],
  sketches: [],
  answers: {},
  displaced: [],
});
