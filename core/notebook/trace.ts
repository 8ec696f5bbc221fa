import { CONSTANTS } from '../databook/constants';
import type { Column, Graph, Origin, Row, Table } from './document';
import { estimate, fittedLines, type FittedLine, type Plotted } from './graph-values';
import { inUnit, CannotCompute } from './quantity-value';
import { readingFor, trialOfRow, type Reading } from './readings';
import { withError } from './cell';
import { bySymbol, nameOf, type Workbook } from './workbook';

/** A step on the way back from a number: what it is, and what it was made of. */
export interface Trace {
  label: string;
  /** The number with its unit, or what stands in its place. */
  text: string;
  /** How it was made: a formula, or whose hand typed it. */
  how?: string;
  /** Set where the way ends at the bench: the reading, and so the moment it was taken. */
  reading?: Reading;
  from: Trace[];
}

/** A number that can be put into the report. */
export interface Pickable {
  origin: Origin;
  label: string;
  text: string;
  unit: string;
}

const MOST_ROWS = 12;
const unitBehind = (text: string, unit: string) => (text === '' ? '–' : `${text}${unit ? ` ${unit}` : ''}`);

/** Everything in the notebook that is a number of its own standing, for picking. */
export function pickables(workbook: Workbook): Pickable[] {
  const { notebook } = workbook;
  const origins: Origin[] = [
    ...notebook.calculations.map(({ id }): Origin => ({ kind: 'calculation', id })),
    ...notebook.graphs.flatMap((graph) =>
      fittedLines(workbook, graph).flatMap((fit): Origin[] => [
        ...[...fit.terms.map(({ label }) => label), ...(fit.fit ? (['first', 'last'] as const) : [])].map(
          (what): Origin => ({
            kind: 'line',
            graph: graph.id,
            line: fit.line.id,
            what,
          }),
        ),
        ...(fit.crossing
          ? (['x', 'y'] as const).map((what): Origin => ({
              kind: 'crossing',
              graph: graph.id,
              line: fit.line.id,
              what,
            }))
          : []),
        ...(fit.step ? [{ kind: 'step' as const, graph: graph.id, line: fit.line.id }] : []),
      ]),
    ),
    ...notebook.graphs.flatMap((graph) => fallsIn(workbook, graph)),
    ...notebook.tables.flatMap((table) =>
      table.columns.flatMap((column): Origin[] =>
        column.kind === 'recorded'
          ? []
          : [
              { kind: 'mean', table: table.id, column: column.id },
              { kind: 'deviation', table: table.id, column: column.id },
            ],
      ),
    ),
    ...notebook.tables.flatMap((table) =>
      table.rows.length > 40
        ? []
        : workbook.rowsOf(table).flatMap((row) =>
            table.columns.map((column): Origin => ({
              kind: 'cell',
              table: table.id,
              row: row.id,
              column: column.id,
            })),
          ),
    ),
  ];
  return origins.flatMap((origin) => {
    const found = valueOf(workbook, origin);
    return found && found.text !== '' ? [{ origin, ...found }] : [];
  });
}

/** The number at an origin as it is now; undefined when it is no longer there or has no value. */
export function valueOf(workbook: Workbook, origin: Origin): Omit<Pickable, 'origin'> | undefined {
  const place = 'table' in origin ? placeOf(workbook, origin) : undefined;
  switch (origin.kind) {
    case 'calculation': {
      const calculation = workbook.notebook.calculations.find((entry) => entry.id === origin.id);
      const result = calculation && workbook.result(calculation);
      if (!calculation || !result?.quantity) return undefined;
      return {
        label: result.symbol ?? nameOf(calculation.text).formula,
        text: result.text,
        unit: result.unit,
      };
    }
    case 'fall':
      return fallOf(workbook, origin);
    case 'line':
    case 'crossing':
    case 'step':
      return fromGraph(workbook, origin);
    case 'mean':
    case 'deviation': {
      const summary = place && workbook.summary(place.table, place.column);
      if (!summary || summary.count < 2) return undefined;
      const isMean = origin.kind === 'mean';
      const label = `${isMean ? 'mean' : 'standard deviation'} of ${columnName(place)}`;
      const text = isMean ? summary.mean : summary.deviation;
      return text === undefined ? undefined : { label, text, unit: place.column.unit };
    }
    case 'cell': {
      if (!place?.row) return undefined;
      const cell = workbook.cell(place.table, place.row, place.column);
      if (!cell.quantity) return undefined;
      const label = `${columnName(place)}, ${rowName(workbook, place.table, place.row)}`;
      return { label, text: cell.text, unit: place.column.unit };
    }
  }
}

/** A column as it stands in a list of numbers: its symbol or name, and what its table is about. */
const columnName = ({ table, column }: { table: Table; column: Column }): string =>
  `${column.symbol || column.name}${table.part === undefined ? '' : ` of ${table.part}`}`;

function placeOf(workbook: Workbook, origin: { table: string; column: string; row?: string }) {
  const table = workbook.table(origin.table);
  const column = table?.columns.find((entry) => entry.id === origin.column);
  if (!table || !column) return undefined;
  return { table, column, row: workbook.rowsOf(table).find((row) => row.id === origin.row) };
}

function rowName(workbook: Workbook, table: Table, row: Row): string {
  const trial = trialOfRow(row.id);
  return trial === undefined ? `row ${workbook.rowsOf(table).indexOf(row) + 1}` : `trial ${trial}`;
}

/** A difference of temperatures is in K, whatever they are in. */
export const differenceUnit = (unit: string) => (unit === '°C' ? 'K' : unit);

function fromGraph(workbook: Workbook, origin: Extract<Origin, { kind: 'line' | 'crossing' | 'step' }>) {
  const graph = workbook.graph(origin.graph);
  const fit = graph && fittedLines(workbook, graph).find((entry) => entry.line.id === origin.line);
  if (!fit) return undefined;
  const number = graph.lines.findIndex((line) => line.id === origin.line) + 1;
  if (origin.kind === 'line' && (origin.what === 'first' || origin.what === 'last'))
    return endOf(workbook, fit, origin.what, `${number}, ${graph.name}`);
  if (origin.kind === 'line') {
    const term = fit.terms.find((entry) => entry.label === origin.what);
    const label = origin.what === 'zero' ? `where line ${number} is 0` : `${origin.what} of line ${number}`;
    return term && { label: `${label}, ${graph.name}`, text: term.text, unit: term.unit };
  }
  if (origin.kind === 'step') {
    const { step, series } = fit;
    const what = series.yColumn.symbol || series.yColumn.name;
    return (
      step && {
        label: `step of ${what} from line ${number} to ${number + 1}, ${graph.name}`,
        text: estimate(step.step, step.error),
        unit: differenceUnit(series.yUnit),
      }
    );
  }
  if (!fit.crossing) return undefined;
  const { x, y, xError, yError } = fit.crossing;
  const isX = origin.what === 'x';
  const column = isX ? fit.series.xColumn : fit.series.yColumn;
  return {
    label: `${column.symbol || column.name} where lines ${number} and ${number + 1} cross, ${graph.name}`,
    text: isX ? estimate(x, xError) : estimate(y, yError),
    unit: isX ? fit.series.xUnit : fit.series.yUnit,
  };
}

/** Crossings of a graph that share no line, two and two: how much lower the second lies is worth a number. */
function fallsIn(workbook: Workbook, graph: Graph): Origin[] {
  const fits = fittedLines(workbook, graph);
  const crossings = fits.flatMap((fit, i) => (fit.crossing ? [{ i, id: fit.line.id }] : []));
  return crossings.flatMap(({ i, id }) =>
    crossings
      .filter((other) => other.i >= i + 2)
      .map((other): Origin => ({ kind: 'fall', graph: graph.id, line: id, to: other.id })),
  );
}

/** The y of one crossing less that of another, both uncertainties together. */
function fallOf(workbook: Workbook, { graph: graphId, line, to }: Extract<Origin, { kind: 'fall' }>) {
  const graph = workbook.graph(graphId);
  const fits = graph ? fittedLines(workbook, graph) : [];
  const [from, other] = [line, to].map((id) => fits.find((entry) => entry.line.id === id));
  if (!graph || !from?.crossing || !other?.crossing) return undefined;
  const number = (id: string) => graph.lines.findIndex((entry) => entry.id === id) + 1;
  const { yColumn, yUnit } = from.series;
  const errors = [from.crossing.yError, other.crossing.yError];
  const error = errors.some((one) => one === undefined) ? undefined : Math.hypot(...(errors as number[]));
  return {
    label: `${yColumn.symbol || yColumn.name} where lines ${number(line)} and ${number(line) + 1} cross, less where ${number(to)} and ${number(to) + 1} do, ${graph.name}`,
    text: estimate(from.crossing.y - other.crossing.y, error),
    unit: differenceUnit(yUnit),
  };
}

/** Where the stretch of a line begins or ends, as its cell has it. */
function endOf(workbook: Workbook, { points, series }: FittedLine, what: 'first' | 'last', which: string) {
  const { table, xColumn } = series;
  const end = points.reduce<Plotted | undefined>(
    (best, point) => (!best || (what === 'first' ? point.x < best.x : point.x > best.x) ? point : best),
    undefined,
  );
  const row = workbook.rowsOf(table).find(({ id }) => id === end?.row);
  if (!row) return undefined;
  const name = xColumn.symbol || xColumn.name;
  return {
    label: `${what} ${name} of line ${which}`,
    text: workbook.cell(table, row, xColumn).text,
    unit: xColumn.unit,
  };
}

/** The way back from a number to the readings it was made of. */
export function trace(workbook: Workbook, origin: Origin): Trace | undefined {
  const value = valueOf(workbook, origin);
  if (!value) return undefined;
  const head = { label: value.label, text: unitBehind(value.text, value.unit) };
  switch (origin.kind) {
    case 'calculation': {
      const calculation = workbook.notebook.calculations.find((entry) => entry.id === origin.id);
      const { formula } = nameOf(calculation?.text ?? '');
      return {
        ...head,
        how: formula,
        from: symbolTraces(workbook, formula, undefined, undefined, new Set([origin.id])),
      };
    }
    case 'line':
    case 'crossing':
    case 'fall':
    case 'step': {
      const graph = workbook.graph(origin.graph);
      const lines = graph ? fittedLines(workbook, graph) : [];
      const at = lines.findIndex((entry) => entry.line.id === origin.line);
      const to = origin.kind === 'fall' ? lines.findIndex((entry) => entry.line.id === origin.to) : -1;
      const used = [
        ...(origin.kind === 'line' ? lines.slice(at, at + 1) : lines.slice(at, at + 2)),
        ...(to < 0 ? [] : lines.slice(to, to + 2)),
      ];
      return { ...head, how: 'least squares', from: used.map((entry) => lineTrace(workbook, entry)) };
    }
    case 'mean':
    case 'deviation': {
      const place = placeOf(workbook, origin);
      return place && { ...head, from: columnTraces(workbook, place.table, place.column) };
    }
    case 'cell': {
      const place = placeOf(workbook, origin);
      return place?.row && cellTrace(workbook, place.table, place.row, place.column);
    }
  }
}

function lineTrace(workbook: Workbook, fit: ReturnType<typeof fittedLines>[number]): Trace {
  const rows = workbook.rowsOf(fit.series.table);
  const traced = fit.points.slice(0, MOST_ROWS).flatMap((point) => {
    const row = rows.find((entry) => entry.id === point.row);
    return row ? [cellTrace(workbook, fit.series.table, row, fit.series.yColumn)] : [];
  });
  return {
    label: `line through ${fit.points.length} points`,
    text: fit.equation,
    from: withRest(traced, fit.points.length),
  };
}

const withRest = (traces: Trace[], count: number): Trace[] =>
  count > traces.length ? [...traces, { label: `and ${count - traces.length} more`, text: '', from: [] }] : traces;

function columnTraces(workbook: Workbook, table: Table, column: Column): Trace[] {
  const counting = workbook
    .rowsOf(table)
    .filter((row) => row.out === null && workbook.cell(table, row, column).quantity);
  return withRest(
    counting.slice(0, MOST_ROWS).map((row) => cellTrace(workbook, table, row, column)),
    counting.length,
  );
}

function cellTrace(workbook: Workbook, table: Table, row: Row, column: Column): Trace {
  const cell = workbook.cell(table, row, column);
  const head = {
    label: `${column.symbol || column.name}, ${rowName(workbook, table, row)}`,
    text: unitBehind(cell.text, column.unit),
  };
  if (column.kind === 'computed')
    return {
      ...head,
      how: column.formula,
      from: symbolTraces(workbook, column.formula, table, row, new Set()),
    };
  const trial = trialOfRow(row.id);
  if (column.kind === 'recorded' && trial !== undefined) {
    const reading = readingFor(workbook.bench, trial, column.slot);
    return { ...head, how: reading ? `read on the ${reading.instrument}` : undefined, reading, from: [] };
  }
  const how = table.origin === 'pasted' ? 'pasted in' : table.origin === 'file' ? 'from a file' : 'typed by hand';
  return { ...head, how, from: [] };
}

function symbolTraces(
  workbook: Workbook,
  formula: string,
  table: Table | undefined,
  row: Row | undefined,
  seen: ReadonlySet<string>,
): Trace[] {
  return workbook.symbolsOf(formula).flatMap((symbol): Trace[] => {
    const own = table && bySymbol(table, symbol);
    if (table && row && own) return [cellTrace(workbook, table, row, own)];
    const named = workbook.notebook.calculations.find((entry) => nameOf(entry.text).symbol === symbol);
    if (named && !seen.has(named.id)) {
      const result = workbook.result(named);
      const { formula: inner } = nameOf(named.text);
      return [
        {
          label: symbol,
          text: unitBehind(result.text, result.unit),
          how: inner,
          from: symbolTraces(workbook, inner, undefined, undefined, new Set([...seen, named.id])),
        },
      ];
    }
    const constant = CONSTANTS.find((entry) => entry.symbol === symbol);
    if (constant)
      return [
        {
          label: constant.name,
          text: unitBehind(String(constant.value), constant.unit),
          how: constant.source,
          from: [],
        },
      ];
    const home = workbook.notebook.tables.find((entry) => bySymbol(entry, symbol));
    const column = home && bySymbol(home, symbol);
    if (!home || !column) return [];
    return [{ label: `${symbol} of ${home.name}`, text: '', from: columnTraces(workbook, home, column) }];
  });
}

/** A cell's text in its column's unit without the unit: what a spreadsheet gets. */
export function plainNumber(workbook: Workbook, table: Table, row: Row, column: Column): string {
  const cell = workbook.cell(table, row, column);
  if (column.kind !== 'computed' || !cell.quantity) return cell.text;
  try {
    const { value, last } = inUnit(cell.quantity, column.unit);
    return withError(value, last, undefined);
  } catch (error) {
    if (error instanceof CannotCompute) return '';
    throw error;
  }
}
