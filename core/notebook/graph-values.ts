import { crossing, type Crossing } from '../analysis/crossing';
import { equalAreasAt, stepAt, type Step } from '../analysis/step';
import { derivative } from '../analysis/derivative';
import { fitLine, valueAt, type LineFit, type Point } from '../analysis/line-fit';
import type { Column, Graph, Line, Series, Table } from './document';
import { CannotCompute, inUnit, lastOf, written } from './quantity-value';
import { withError } from './cell';
import type { Workbook } from './workbook';

/** A point of a graph, tied to its row. */
export interface Plotted extends Point {
  row: string;
}

export interface PlottedSeries {
  series: Series;
  table: Table;
  xColumn: Column;
  yColumn: Column;
  points: Plotted[];
  xLabel: string;
  yLabel: string;
  xUnit: string;
  yUnit: string;
}

/** A quantity over its unit, as axes and column heads say it. */
const quantityLabel = ({ name, symbol, unit }: Column) =>
  `${[name, plainSymbol(symbol)].filter(Boolean).join(' ') || '?'}${unit ? ` / ${unit}` : ''}`;

const LOWERED = '₀₁₂₃₄₅₆₇₈₉';

/** A symbol without marks of its writing, where nothing can be set below the line: V₁ for V_1, Vd for V_d. */
const plainSymbol = (symbol: string): string =>
  symbol.replace(/_(\w+)/u, (_, below: string) => below.replace(/\d/gu, (digit) => LOWERED[Number(digit)] ?? digit));

const perUnit = (y: string, x: string, order: 1 | 2) => {
  const top = order === 1 ? y || '1' : y || '1';
  if (x === '') return y;
  const bottom = /[\s/·]/.test(x) ? `(${x})` : x;
  return `${top}/${bottom}${order === 2 ? '²' : ''}`;
};

/** The points of a series in the units of its columns; rows left out, and cells that are no numbers, are not among them. */
export function plottedSeries(workbook: Workbook, series: Series): PlottedSeries | undefined {
  const table = workbook.table(series.table);
  const xColumn = table?.columns.find((column) => column.id === series.x);
  const yColumn = table?.columns.find((column) => column.id === series.y);
  if (!table || !xColumn || !yColumn) return undefined;
  const points: Plotted[] = [];
  for (const row of workbook.rowsOf(table)) {
    if (row.out !== null) continue;
    const x = numberIn(workbook, table, row, xColumn);
    const y = numberIn(workbook, table, row, yColumn);
    if (x !== undefined && y !== undefined) points.push({ x, y, row: row.id });
  }
  const plain = { series, table, xColumn, yColumn, xLabel: quantityLabel(xColumn), xUnit: xColumn.unit };
  const order = series.shape === 'first derivative' ? 1 : series.shape === 'second derivative' ? 2 : undefined;
  if (!order) {
    const isLine = series.shape === 'joined' || series.shape === 'smooth';
    if (isLine) points.sort((a, b) => a.x - b.x);
    return { ...plain, points, yLabel: quantityLabel(yColumn), yUnit: yColumn.unit };
  }
  const rows = new Map(points.map((point) => [point.x, point.row]));
  const derived = derivative(points, order, series.window);
  const yUnit = perUnit(yColumn.unit, xColumn.unit, order);
  const d = order === 1 ? 'd' : 'd²';
  const yLabel = `${d}${yColumn.symbol || yColumn.name}/d${xColumn.symbol || xColumn.name}${order === 2 ? '²' : ''}${yUnit ? ` / ${yUnit}` : ''}`;
  return {
    ...plain,
    points: derived.map((point) => ({ ...point, row: rows.get(point.x) ?? '' })),
    yLabel,
    yUnit,
  };
}

function numberIn(workbook: Workbook, table: Table, row: Parameters<Workbook['cell']>[1], column: Column) {
  const { quantity } = workbook.cell(table, row, column);
  if (!quantity) return undefined;
  try {
    return inUnit(quantity, column.unit).value;
  } catch (error) {
    if (error instanceof CannotCompute) return undefined;
    throw error;
  }
}

/** Whether a point is on this line's stretch, or was moved to it. */
export function isOnLine(line: Line, point: Plotted): boolean {
  if (line.also.includes(point.row)) return true;
  if (line.not.includes(point.row)) return false;
  return (line.from === null || point.x >= line.from) && (line.to === null || point.x <= line.to);
}

export interface FittedLine {
  line: Line;
  series: PlottedSeries;
  points: Plotted[];
  fit: LineFit | undefined;
  /** Where it crosses the line after it on the graph. */
  crossing: Crossing | undefined;
  /** How far the line after it lies over it at the moment that both are drawn to. */
  step: Step | undefined;
  /** "y = 1.234 + 0.567 x", with units and standard errors in {@link terms}. */
  equation: string;
  /** Slope, intercept, and where the line is zero, which may lie far beyond its points. */
  terms: { label: 'slope' | 'intercept' | 'zero'; text: string; unit: string }[];
  residuals: Plotted[];
}

/** The lines of a graph, fitted, in order; each with its crossing with the next one. */
export function fittedLines(workbook: Workbook, graph: Graph): FittedLine[] {
  const plotted = new Map(graph.series.map((series) => [series.id, plottedSeries(workbook, series)]));
  const lines = graph.lines.flatMap((line) => {
    const series = plotted.get(line.series);
    return series ? [fitted(line, series)] : [];
  });
  return lines.map((line, i) => {
    const next = lines[i + 1];
    const comparable = next && next.series.xUnit === line.series.xUnit && next.series.yUnit === line.series.yUnit;
    if (!comparable || !line.fit || !next.fit) return line;
    const { stepAt: at } = line.line;
    return {
      ...line,
      crossing: crossing(line.fit, next.fit),
      step: at === undefined ? undefined : stepAt(line.fit, next.fit, at),
    };
  });
}

/** The moment of a slow step between two lines of one series, by equal areas; undefined where there is none. */
export function slowStepAt(one: FittedLine, two: FittedLine): number | undefined {
  if (!one.fit || !two.fit || one.series.series.id !== two.series.series.id) return undefined;
  const xs = (fit: FittedLine) => fit.points.map(({ x }) => x);
  const [from, to] = [Math.max(...xs(one)), Math.min(...xs(two))];
  const between = one.series.points.filter(({ x }) => x >= from && x <= to).sort((a, b) => a.x - b.x);
  return equalAreasAt(between, one.fit, two.fit);
}

/** The axis of x as a line: where another crosses it, that one is zero. */
const AXIS: LineFit = {
  slope: 0,
  intercept: 0,
  slopeError: 0,
  interceptError: 0,
  covariance: 0,
  residualDeviation: 0,
  rSquared: 1,
  count: 0,
  throughOrigin: false,
};

function fitted(line: Line, series: PlottedSeries): FittedLine {
  const points = series.points.filter((point) => isOnLine(line, point));
  const fit = fitLine(points, line.throughOrigin);
  const bare = { line, series, points, fit, crossing: undefined, step: undefined };
  if (!fit) return { ...bare, equation: '', terms: [], residuals: [] };
  const y = series.yColumn.symbol || 'y';
  const x = series.xColumn.symbol || 'x';
  const slope = withError(fit.slope, lastOf(fit.slope, 5), undefined);
  const intercept = withError(Math.abs(fit.intercept), lastOf(fit.intercept, 5), undefined);
  const slopeUnit = perUnit(series.yUnit, series.xUnit, 1);
  const zero = crossing(fit, AXIS);
  return {
    ...bare,
    equation: line.throughOrigin
      ? `${y} = ${slope} ${x}`
      : `${y} = ${slope} ${x} ${fit.intercept < 0 ? '−' : '+'} ${intercept}`,
    terms: [
      { label: 'slope', text: estimate(fit.slope, fit.slopeError), unit: slopeUnit },
      ...(line.throughOrigin
        ? []
        : [
            {
              label: 'intercept' as const,
              text: estimate(fit.intercept, fit.interceptError),
              unit: series.yUnit,
            },
            ...(zero ? [{ label: 'zero' as const, text: estimate(zero.x, zero.xError), unit: series.xUnit }] : []),
          ]),
    ],
    residuals: points.map((point) => ({ ...point, y: point.y - valueAt(fit, point.x) })),
  };
}

/** An estimate with its standard error to two digits; without one, to five. */
export function estimate(value: number, error: number | undefined): string {
  if (error === undefined) return written(value, lastOf(value, 5));
  // An error that is nothing but rounding in the arithmetic would ask for digits that do not exist.
  if (error <= Math.abs(value) * 1e-9) return written(value, lastOf(value, 6));
  return withError(value, 0, error);
}
