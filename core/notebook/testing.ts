import type { Column, Notebook, Table } from './document';
import { emptyNotebook } from './document';
import type { BenchRecordings } from './readings';
import { Workbook } from './workbook';

/** Short ways to make notebooks for tests. */

export const NO_BENCH: BenchRecordings = { readings: [], trial: 0, leftOut: {}, logged: [] };

export const column = (symbol: string, unit = '', more: Partial<Column> = {}): Column => ({
  id: `c-${symbol}`,
  name: '',
  symbol,
  unit,
  kind: more.formula === undefined ? 'typed' : 'computed',
  formula: '',
  slot: '',
  uncertainty: '',
  digits: null,
  ...more,
});

/** A table of typed columns and rows of texts; computed columns come after those that have texts. */
export function tableWith(columns: Column[], rows: string[][], id = 'table'): Table {
  return {
    id,
    name: 'Table',
    origin: 'typed',
    columns,
    rows: rows.map((cells, i) => ({
      id: `r${i + 1}`,
      cells: Object.fromEntries(cells.map((text, j) => [(columns[j] as Column).id, text])),
      out: null,
    })),
  };
}

export const notebookWith = (...tables: Table[]): Notebook => emptyNotebook(tables);
export const workbookWith = (...tables: Table[]) => new Workbook(notebookWith(...tables), NO_BENCH);

/** The texts of a column, problems in their place. */
export function texts(workbook: Workbook, table: Table, symbol: string): string[] {
  const found = table.columns.find((entry) => entry.symbol === symbol) as Column;
  return workbook.rowsOf(table).map((row) => {
    const cell = workbook.cell(table, row, found);
    return cell.problem ?? cell.text;
  });
}

/** What a calculator line shows. */
export function worked(text: string, ...tables: Table[]): string {
  const calculation = { id: 'one', text };
  const workbook = new Workbook({ ...notebookWith(...tables), calculations: [calculation] }, NO_BENCH);
  const { text: shown, unit, problem } = workbook.result(calculation);
  return problem ?? `${shown} ${unit}`.trim();
}
