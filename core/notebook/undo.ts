import type { Column, Graph, Notebook, Row, Table } from './document';
import type { Edit } from './edits';

interface WithId {
  id: string;
}

const indexOf = (list: readonly WithId[], id: string) => list.findIndex((item) => item.id === id);

/** Those of a thing's properties that a change names, as they are before it. */
function before<T extends object>(thing: T, change: Partial<T>): Partial<T> {
  return Object.fromEntries(Object.entries(thing).filter(([key]) => key in change)) as Partial<T>;
}

/** A thing put back where it was, or as it was, after it was put, changed or dropped. */
function putBack<T extends WithId>(
  list: readonly T[],
  id: string,
  put: (item: T, at: number) => Edit,
  drop: () => Edit,
): Edit[] {
  const at = indexOf(list, id);
  const item = list[at];
  return [item ? put(item, at) : drop()];
}

function rowsBack(table: Table, ids: readonly string[]): Edit[] {
  const gone = new Set(ids);
  // Each run of neighbours in one piece, from the top, so that every place is right when its turn comes.
  const runs: { at: number; rows: Row[] }[] = [];
  table.rows.forEach((row, at) => {
    if (!gone.has(row.id)) return;
    const last = runs.at(-1);
    if (last && last.at + last.rows.length === at) last.rows.push(row);
    else runs.push({ at, rows: [row] });
  });
  return runs.map(({ at, rows }) => ({ kind: 'addRows', table: table.id, rows, at }));
}

function onTable(table: Table, edit: Edit & { table: string | Table }): Edit[] {
  switch (edit.kind) {
    case 'nameTable':
      return [{ ...edit, name: table.name }];
    case 'addColumn':
      return putBack(
        table.columns,
        edit.column.id,
        (column, at) => ({ kind: 'addColumn', table: table.id, column, at }),
        () => ({ kind: 'dropColumn', table: table.id, column: edit.column.id }),
      );
    case 'setColumn': {
      const column = table.columns.find(({ id }) => id === edit.column);
      return column ? [{ ...edit, change: before<Column>(column, edit.change) }] : [];
    }
    case 'dropColumn':
      return putBack(
        table.columns,
        edit.column,
        (column, at) => ({ kind: 'addColumn', table: table.id, column, at }),
        () => edit,
      );
    case 'addRows': {
      const fresh = edit.rows.filter((row) => indexOf(table.rows, row.id) < 0).map((row) => row.id);
      return fresh.length > 0 ? [{ kind: 'dropRows', table: table.id, rows: fresh }] : [];
    }
    case 'dropRows':
      return rowsBack(table, edit.rows);
    case 'setCells': {
      const rows = new Map(table.rows.map((row) => [row.id, row]));
      const cells = edit.cells.map(({ row, column }) => ({
        row,
        column,
        text: rows.get(row)?.cells[column] ?? '',
      }));
      return [{ ...edit, cells }];
    }
    case 'leaveOut':
      return [{ ...edit, reason: table.rows.find(({ id }) => id === edit.row)?.out ?? null }];
    default:
      return [];
  }
}

function onGraph(graph: Graph, edit: Edit & { graph: string | Graph }): Edit[] {
  const line = (id: string) =>
    putBack(
      graph.lines,
      id,
      (item, at) => ({ kind: 'putLine', graph: graph.id, line: item, at }),
      () => ({ kind: 'dropLine', graph: graph.id, line: id }),
    );
  const series = (id: string) =>
    putBack(
      graph.series,
      id,
      (item, at) => ({ kind: 'putSeries', graph: graph.id, series: item, at }),
      () => ({ kind: 'dropSeries', graph: graph.id, series: id }),
    );
  /** A series that is taken away takes its lines along, those too that waited for it. */
  const withLines = (id: string) => [
    ...series(id),
    ...graph.lines.filter((one) => one.series === id).flatMap((one) => line(one.id)),
  ];
  switch (edit.kind) {
    case 'setGraph':
      return [{ ...edit, change: before<Graph>(graph, edit.change) }];
    case 'putSeries':
      return withLines(edit.series.id);
    case 'dropSeries':
      return withLines(edit.series);
    case 'putLine':
      return line(edit.line.id);
    case 'dropLine':
      return line(edit.line);
    default:
      return [];
  }
}

/**
 * What takes an edit back: edits that leave the notebook, to which it was made, as it was before it. Empty where there is
 * nothing to take back.
 * @param notebook before the edit
 */
export function undoOf(notebook: Notebook, edit: Edit): Edit[] {
  const { tables, graphs, calculations, sketches, answers } = notebook;
  switch (edit.kind) {
    case 'addTable':
      return indexOf(tables, edit.table.id) < 0 ? [{ kind: 'dropTable', table: edit.table.id }] : [];
    case 'dropTable':
      return putBack(
        tables,
        edit.table,
        (table, at) => ({ kind: 'addTable', table, at }),
        () => edit,
      );
    case 'addGraph':
      return indexOf(graphs, edit.graph.id) < 0 ? [{ kind: 'dropGraph', graph: edit.graph.id }] : [];
    case 'dropGraph':
      return putBack(
        graphs,
        edit.graph,
        (graph, at) => ({ kind: 'addGraph', graph, at }),
        () => edit,
      );
    case 'putCalculation':
      return putBack(
        calculations,
        edit.calculation.id,
        (calculation, at) => ({ kind: 'putCalculation', calculation, at }),
        () => ({ kind: 'dropCalculation', calculation: edit.calculation.id }),
      );
    case 'dropCalculation':
      return putBack(
        calculations,
        edit.calculation,
        (calculation, at) => ({ kind: 'putCalculation', calculation, at }),
        () => edit,
      );
    case 'addSketch':
      return indexOf(sketches, edit.sketch.id) < 0 ? [{ kind: 'dropSketch', sketch: edit.sketch.id }] : [];
    case 'dropSketch':
      return putBack(
        sketches,
        edit.sketch,
        (sketch, at) => ({ kind: 'addSketch', sketch, at }),
        () => edit,
      );
    case 'nameSketch': {
      const sketch = sketches.find(({ id }) => id === edit.sketch);
      return sketch ? [{ ...edit, name: sketch.name }] : [];
    }
    case 'putMark':
    case 'dropMark': {
      const marks = sketches.find(({ id }) => id === edit.sketch)?.marks ?? [];
      const id = edit.kind === 'putMark' ? edit.mark.id : edit.mark;
      const { sketch } = edit;
      return putBack(
        marks,
        id,
        (mark, at) => ({ kind: 'putMark', sketch, mark, at }),
        () => ({ kind: 'dropMark', sketch, mark: id }),
      );
    }
    case 'answer': {
      const was = answers[edit.key] ?? { text: '' };
      return [{ kind: 'answer', key: edit.key, answer: was, was: edit.answer.text }];
    }
    // What another tab had written stays let go of: it was shown, and a choice was made.
    case 'takeDisplaced':
      return [];
    default: {
      if ('table' in edit) {
        const table = tables.find(({ id }) => id === edit.table);
        return table ? onTable(table, edit) : [];
      }
      const graph = graphs.find(({ id }) => id === edit.graph);
      return graph ? onGraph(graph, edit) : [];
    }
  }
}

/** An edit in few words, for the button that takes it back. */
export function nameOfEdit(edit: Edit): string {
  switch (edit.kind) {
    case 'dropTable':
      return 'a table removed';
    case 'dropGraph':
      return 'a graph removed';
    case 'dropColumn':
      return 'a column removed';
    case 'dropRows':
      return 'rows removed';
    case 'dropSketch':
      return 'a sketch removed';
    case 'dropCalculation':
      return 'a calculation removed';
    case 'dropLine':
      return 'a line removed';
    case 'dropSeries':
      return 'a series removed';
    case 'dropMark':
      return 'a mark removed';
    case 'setCells':
      return 'what was typed';
    case 'answer':
      return 'an answer';
    case 'leaveOut':
      return edit.reason === null ? 'a row taken in' : 'a row left out';
    default:
      return 'the last change';
  }
}
