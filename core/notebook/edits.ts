import { z } from 'zod';
import {
  answerSchema,
  calculationSchema,
  columnChangeSchema,
  columnSchema,
  displacedSchema,
  graphChangeSchema,
  graphSchema,
  lineSchema,
  markSchema,
  rowSchema,
  seriesSchema,
  sketchSchema,
  tableSchema,
} from './document';
import { LIMITS } from './limits';

const id = z.string().min(1).max(40);
/** Where among its like a thing is put; at the end where it is left out. */
const at = z.number().int().min(0).max(LIMITS.rows).optional();

/**
 * One change to a notebook. Each says as little as it can (a cell, a column's name, a mark), so that two tabs that
 * change different things both keep what they did; for the same thing, the later one holds.
 */
export const editSchema = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('addTable'), table: tableSchema, at }),
  z.object({ kind: z.literal('nameTable'), table: id, name: z.string().max(80) }),
  z.object({ kind: z.literal('dropTable'), table: id }),
  z.object({ kind: z.literal('addColumn'), table: id, column: columnSchema, at }),
  z.object({
    kind: z.literal('setColumn'),
    table: id,
    column: id,
    change: columnChangeSchema,
  }),
  z.object({ kind: z.literal('dropColumn'), table: id, column: id }),
  z.object({ kind: z.literal('addRows'), table: id, rows: z.array(rowSchema).max(LIMITS.rows), at }),
  z.object({ kind: z.literal('dropRows'), table: id, rows: z.array(id).max(LIMITS.rows) }),
  z.object({
    kind: z.literal('setCells'),
    table: id,
    cells: z.array(z.object({ row: id, column: id, text: z.string().max(120) })).max(20_000),
  }),
  z.object({ kind: z.literal('leaveOut'), table: id, row: id, reason: z.string().max(200).nullable() }),
  z.object({ kind: z.literal('addGraph'), graph: graphSchema, at }),
  z.object({
    kind: z.literal('setGraph'),
    graph: id,
    change: graphChangeSchema,
  }),
  z.object({ kind: z.literal('dropGraph'), graph: id }),
  z.object({ kind: z.literal('putSeries'), graph: id, series: seriesSchema, at }),
  z.object({ kind: z.literal('dropSeries'), graph: id, series: id }),
  z.object({ kind: z.literal('putLine'), graph: id, line: lineSchema, at }),
  z.object({ kind: z.literal('dropLine'), graph: id, line: id }),
  z.object({ kind: z.literal('putCalculation'), calculation: calculationSchema, at }),
  z.object({ kind: z.literal('dropCalculation'), calculation: id }),
  z.object({ kind: z.literal('addSketch'), sketch: sketchSchema, at }),
  z.object({ kind: z.literal('nameSketch'), sketch: id, name: z.string().max(80) }),
  z.object({ kind: z.literal('dropSketch'), sketch: id }),
  z.object({ kind: z.literal('putMark'), sketch: id, mark: markSchema, at }),
  z.object({ kind: z.literal('dropMark'), sketch: id, mark: id }),
  z.object({
    kind: z.literal('answer'),
    key: z.string().min(1).max(40),
    answer: answerSchema,
    /** What the field held when the typing began. */
    was: z.string().max(LIMITS.text),
  }),
  z.object({ kind: z.literal('takeDisplaced'), entry: displacedSchema }),
]);
export type Edit = z.infer<typeof editSchema>;
