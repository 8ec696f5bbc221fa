import type { Notebook } from './document';
import type { Edit } from './edits';

/** Parts of a notebook are values, so each is weighed once. */
const weighed = new WeakMap<object, number>();

function weightOfPart(part: object): number {
  let weight = weighed.get(part);
  if (weight === undefined) {
    weight = JSON.stringify(part).length;
    weighed.set(part, weight);
  }
  return weight;
}

/** What a notebook weighs: the signs of its JSON, near enough. Costs the length of what has changed since it was last asked. */
export function weightOf(notebook: Notebook): number {
  const { tables, graphs, calculations, sketches, answers, displaced } = notebook;
  const parts = [...tables, ...graphs, ...calculations, ...sketches, ...Object.values(answers), ...displaced];
  return parts.reduce((sum, part) => sum + weightOfPart(part), 0);
}

/** One post of edits holds so many signs at most, one of a large table as well. */
const PIECE = 60_000;

/** Rows or cells in pieces of which none is too long for one post. */
function inPieces<T>(items: readonly T[]): T[][] {
  const pieces: T[][] = [[]];
  let size = 0;
  for (const item of items) {
    const length = JSON.stringify(item).length;
    if (size > 0 && size + length > PIECE) {
      pieces.push([]);
      size = 0;
    }
    size += length;
    pieces.at(-1)?.push(item);
  }
  return pieces;
}

/** A large edit as several that come to the same: what is pasted as a whole travels in parts. */
export function inParts(edit: Edit): Edit[] {
  if (edit.kind === 'addTable') {
    const [first = [], ...more] = inPieces(edit.table.rows);
    const table = { ...edit.table, rows: first };
    return [{ ...edit, table }, ...more.map((rows): Edit => ({ kind: 'addRows', table: table.id, rows }))];
  }
  if (edit.kind === 'addRows') return inPieces(edit.rows).map((rows) => ({ ...edit, rows }));
  if (edit.kind === 'setCells') return inPieces(edit.cells).map((cells) => ({ ...edit, cells }));
  if (edit.kind === 'dropRows') return inPieces(edit.rows).map((rows) => ({ ...edit, rows }));
  return [edit];
}
