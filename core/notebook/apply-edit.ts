import type { Graph, Notebook, Row, Sketch, Table } from './document';
import type { Edit } from './edits';
import { LIMITS } from './limits';
import { weightOf } from './weight';

type Of<K extends Edit['kind']> = Extract<Edit, { kind: K }>;

type Edited = { notebook: Notebook } | { sentence: string };

interface WithId {
  id: string;
}

const changed = <T extends WithId>(list: readonly T[], wanted: string, change: (item: T) => T): T[] =>
  list.map((item) => (item.id === wanted ? change(item) : item));
const without = <T extends WithId>(list: readonly T[], gone: string): T[] => list.filter((item) => item.id !== gone);
const inserted = <T>(list: readonly T[], items: readonly T[], at = list.length): T[] => [
  ...list.slice(0, at),
  ...items,
  ...list.slice(at),
];
const put = <T extends WithId>(list: readonly T[], item: T, at?: number): T[] =>
  list.some((other) => other.id === item.id) ? changed(list, item.id, () => item) : inserted(list, [item], at);
const has = (list: readonly WithId[], wanted: string) => list.some((item) => item.id === wanted);

const gone = (what: string) => ({
  sentence: `This ${what} is no longer in the notebook. It may have been removed in another tab.`,
});
const full = (what: string, most: number) => ({
  sentence: `There can be ${most} ${what} at most. Remove one first.`,
});

function onTable(notebook: Notebook, table: string, change: (table: Table) => Table | { sentence: string }): Edited {
  const found = notebook.tables.find((item) => item.id === table);
  if (!found) return gone('table');
  const next = change(found);
  if ('sentence' in next) return next;
  return { notebook: { ...notebook, tables: changed(notebook.tables, table, () => next) } };
}

function onGraph(notebook: Notebook, graph: string, change: (graph: Graph) => Graph): Edited {
  if (!has(notebook.graphs, graph)) return gone('graph');
  return { notebook: { ...notebook, graphs: changed(notebook.graphs, graph, change) } };
}

function onSketch(notebook: Notebook, sketch: string, change: (sketch: Sketch) => Sketch): Edited {
  if (!has(notebook.sketches, sketch)) return gone('sketch');
  return { notebook: { ...notebook, sketches: changed(notebook.sketches, sketch, change) } };
}

const isOfBench = (table: Table) => table.origin === 'readings' || table.origin === 'logged';

/** A row left out or taken back in; a line of the log has no row of its own until then. */
function leaveOut(table: Table, { row: id, reason }: Of<'leaveOut'>): Table | { sentence: string } {
  const known = has(table.rows, id);
  if (!known && table.origin !== 'logged') return gone('row');
  if (!known && table.rows.length >= LIMITS.rows) return full('rows', LIMITS.rows);
  const rows = known ? table.rows : [...table.rows, { id, cells: {}, out: null }];
  return { ...table, rows: changed(rows, id, (row) => ({ ...row, out: reason })) };
}

function setCells(table: Table, cells: Of<'setCells'>['cells']): Table | { sentence: string } {
  const typed = new Set(table.columns.filter((column) => column.kind === 'typed').map((column) => column.id));
  const byRow = new Map<string, Record<string, string>>();
  for (const { row, column, text } of cells) {
    if (!typed.has(column)) continue;
    byRow.set(row, { ...byRow.get(row), [column]: text });
  }
  const rows = table.rows.map((row): Row => {
    const texts = byRow.get(row.id);
    byRow.delete(row.id);
    return texts ? { ...row, cells: { ...row.cells, ...texts } } : row;
  });
  // Rows of the readings come from the bench; what is typed beside them is kept under the same name.
  if (table.origin === 'readings') for (const [id, texts] of byRow) rows.push({ id, cells: texts, out: null });
  if (rows.length > LIMITS.rows) return full('rows', LIMITS.rows);
  return { ...table, rows };
}

function addColumn(table: Table, { column, at }: Of<'addColumn'>): Table | { sentence: string } {
  if (table.columns.length >= LIMITS.columns && !has(table.columns, column.id))
    return { sentence: `A table has ${LIMITS.columns} columns at most.` };
  return { ...table, columns: put(table.columns, column, at) };
}

function addRows(table: Table, { rows, at }: Of<'addRows'>): Table | { sentence: string } {
  const known = new Set(table.rows.map((row) => row.id));
  const fresh = rows.filter((row) => !known.has(row.id) && known.add(row.id));
  if (table.rows.length + fresh.length > LIMITS.rows)
    return { sentence: `A table has ${LIMITS.rows} rows at most. Nothing was added.` };
  return { ...table, rows: inserted(table.rows, fresh, at) };
}

/** A new answer; what stood there and was not known to who typed it is kept aside. */
function answer(notebook: Notebook, edit: Of<'answer'>): Edited {
  const before = notebook.answers[edit.key]?.text ?? '';
  const isUnknown = before.trim() !== '' && before !== edit.was && before !== edit.answer.text;
  const isNew = !Object.hasOwn(notebook.answers, edit.key);
  if (isNew && Object.keys(notebook.answers).length >= LIMITS.answers) return full('answers', LIMITS.answers);
  const displaced = isUnknown
    ? [...notebook.displaced, { key: edit.key, text: before }].slice(-20)
    : notebook.displaced;
  return {
    notebook: { ...notebook, displaced, answers: { ...notebook.answers, [edit.key]: edit.answer } },
  };
}

/** The notebook after an edit, or the sentence that says why it was not made; then nothing has changed. */
export function applyEdit(notebook: Notebook, edit: Edit): Edited {
  const next = changedBy(notebook, edit);
  if ('sentence' in next || next.notebook === notebook) return next;
  const weight = weightOf(next.notebook);
  // What makes a notebook lighter is always taken.
  if (weight > LIMITS.weight && weight > weightOf(notebook))
    return {
      sentence: 'The notebook is full: it cannot hold that much more. Remove a table that you no longer need.',
    };
  return next;
}

function changedBy(notebook: Notebook, edit: Edit): Edited {
  const { tables, graphs, calculations, sketches } = notebook;
  switch (edit.kind) {
    case 'addTable':
      if (has(tables, edit.table.id)) return { notebook };
      if (tables.length >= LIMITS.tables) return full('tables', LIMITS.tables);
      return { notebook: { ...notebook, tables: inserted(tables, [edit.table], edit.at) } };
    case 'nameTable':
      return onTable(notebook, edit.table, (table) => ({ ...table, name: edit.name }));
    case 'dropTable':
      if (tables.some((table) => table.id === edit.table && isOfBench(table)))
        return { sentence: 'The table of your readings stays. Strike out a reading instead.' };
      return { notebook: { ...notebook, tables: without(tables, edit.table) } };
    case 'addColumn':
      return onTable(notebook, edit.table, (table) => addColumn(table, edit));
    case 'setColumn':
      return onTable(notebook, edit.table, (table) =>
        has(table.columns, edit.column)
          ? { ...table, columns: changed(table.columns, edit.column, (column) => ({ ...column, ...edit.change })) }
          : gone('column'),
      );
    case 'dropColumn':
      return onTable(notebook, edit.table, (table) => ({ ...table, columns: without(table.columns, edit.column) }));
    case 'addRows':
      return onTable(notebook, edit.table, (table) => addRows(table, edit));
    case 'dropRows': {
      const dropped = new Set(edit.rows);
      return onTable(notebook, edit.table, (table) => ({
        ...table,
        rows: table.rows.filter((row) => !dropped.has(row.id)),
      }));
    }
    case 'setCells':
      return onTable(notebook, edit.table, (table) => setCells(table, edit.cells));
    case 'leaveOut':
      return onTable(notebook, edit.table, (table) => leaveOut(table, edit));
    case 'addGraph':
      if (has(graphs, edit.graph.id)) return { notebook };
      if (graphs.length >= LIMITS.graphs) return full('graphs', LIMITS.graphs);
      return { notebook: { ...notebook, graphs: inserted(graphs, [edit.graph], edit.at) } };
    case 'setGraph':
      return onGraph(notebook, edit.graph, (graph) => ({ ...graph, ...edit.change }));
    case 'dropGraph':
      return { notebook: { ...notebook, graphs: without(graphs, edit.graph) } };
    case 'putSeries':
      return onGraph(notebook, edit.graph, (graph) => ({
        ...graph,
        series: put(graph.series, edit.series, edit.at).slice(0, 8),
      }));
    case 'dropSeries':
      return onGraph(notebook, edit.graph, (graph) => ({
        ...graph,
        series: without(graph.series, edit.series),
        lines: graph.lines.filter((line) => line.series !== edit.series),
      }));
    case 'putLine':
      return onGraph(notebook, edit.graph, (graph) => ({
        ...graph,
        lines: put(graph.lines, edit.line, edit.at).slice(0, 8),
      }));
    case 'dropLine':
      return onGraph(notebook, edit.graph, (graph) => ({ ...graph, lines: without(graph.lines, edit.line) }));
    case 'putCalculation':
      if (calculations.length >= LIMITS.calculations && !has(calculations, edit.calculation.id))
        return full('calculations', LIMITS.calculations);
      return { notebook: { ...notebook, calculations: put(calculations, edit.calculation, edit.at) } };
    case 'dropCalculation':
      return { notebook: { ...notebook, calculations: without(calculations, edit.calculation) } };
    case 'addSketch':
      if (has(sketches, edit.sketch.id)) return { notebook };
      if (sketches.length >= LIMITS.sketches) return full('sketches', LIMITS.sketches);
      return { notebook: { ...notebook, sketches: inserted(sketches, [edit.sketch], edit.at) } };
    case 'nameSketch':
      return onSketch(notebook, edit.sketch, (sketch) => ({ ...sketch, name: edit.name }));
    case 'dropSketch':
      return { notebook: { ...notebook, sketches: without(sketches, edit.sketch) } };
    case 'putMark':
      return onSketch(notebook, edit.sketch, (sketch) => ({
        ...sketch,
        marks: put(sketch.marks, edit.mark, edit.at).slice(0, LIMITS.marks),
      }));
    case 'dropMark':
      return onSketch(notebook, edit.sketch, (sketch) => ({ ...sketch, marks: without(sketch.marks, edit.mark) }));
    case 'answer':
      return answer(notebook, edit);
    case 'takeDisplaced': {
      // By what it says: places shift when another tab takes one too.
      const { key, text } = edit.entry;
      return {
        notebook: { ...notebook, displaced: notebook.displaced.filter((one) => one.key !== key || one.text !== text) },
      };
    }
  }
}
