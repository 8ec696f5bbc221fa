/** A grid of named things against observations, as an answer holds it: a line for each row, cells with tabs between. */

type Grid = readonly (readonly string[])[];

export const gridText = (grid: Grid): string => grid.map((row) => row.join('\t')).join('\n');

/** Cells of a text, with as many rows and columns as the question has; what is not there is empty, what is too much left out. */
export function gridOf(
  text: string,
  { rows, columns }: { rows: readonly unknown[]; columns: readonly unknown[] },
): Grid {
  const lines = text.split('\n').map((line) => line.split('\t'));
  return rows.map((_, i) => columns.map((_, j) => lines[i]?.[j]?.trim() ?? ''));
}

/** The same with one cell changed. */
export const withCell = (grid: Grid, row: number, column: number, value: string): Grid =>
  grid.map((cells, i) => (i === row ? cells.map((cell, j) => (j === column ? value : cell)) : cells));

/** A cell by its row and, where there are several, its column. */
const cellName = (row: string, column: string, columns: readonly unknown[]): string =>
  columns.length > 1 ? `${row}, ${column}` : row;

/** Cells that do not stand as they should: which, what stands there, and what should. */
export function cellsAmiss(
  text: string,
  right: string,
  ask: { rows: readonly string[]; columns: readonly string[] },
): { cell: string; given: string; right: string }[] {
  const [grid, wanted] = [gridOf(text, ask), gridOf(right, ask)];
  return ask.rows.flatMap((row, i) =>
    ask.columns.flatMap((column, j) => {
      const [given = '', is = ''] = [grid[i]?.[j], wanted[i]?.[j]];
      return given === is ? [] : [{ cell: cellName(row, column, ask.columns), given, right: is }];
    }),
  );
}

/** The same in words, a line for each cell. */
export const amissText = (...of: Parameters<typeof cellsAmiss>): string =>
  cellsAmiss(...of)
    .map(({ cell, given, right }) => `${cell}: “${given}”, it is “${right}”`)
    .join('\n');

/** How many cells stand as they should, of how many. */
export function cellsRight(grid: Grid, right: Grid): { right: number; of: number } {
  const cells = right.flatMap((row, i) => row.map((cell, j) => grid[i]?.[j] === cell));
  return { right: cells.filter(Boolean).length, of: cells.length };
}
