import type { Plotted, PlottedSeries } from './graph-values';
import { nameOf, type Workbook } from './workbook';

/** The first of V_a, V_b, … that nothing in the notebook is called yet. */
function freeSymbol(workbook: Workbook, stem: string): string {
  const { notebook } = workbook;
  const taken = new Set([
    ...notebook.calculations.map(({ text }) => nameOf(text).symbol),
    ...notebook.tables.flatMap((table) => table.columns.map((column) => column.symbol)),
  ]);
  for (let i = 0; ; i++) {
    const symbol = `${stem}_${String.fromCharCode(97 + (i % 26)).repeat(1 + Math.floor(i / 26))}`;
    if (!taken.has(symbol)) return symbol;
  }
}

/**
 * A coordinate of a point as a line of the calculator, with the digits that its row has: "V_a = 12.60 mL".
 * @returns undefined for what is no cell of the row: the height of a derivative
 */
export function keptPoint(
  workbook: Workbook,
  series: PlottedSeries,
  point: Plotted,
  axis: 'x' | 'y',
): string | undefined {
  if (axis === 'y' && series.series.shape.endsWith('derivative')) return undefined;
  const column = axis === 'x' ? series.xColumn : series.yColumn;
  const row = workbook.rowsOf(series.table).find((entry) => entry.id === point.row);
  const text = row && workbook.cell(series.table, row, column).text;
  if (!text) return undefined;
  const stem = /^[A-Za-z]\w*$/.test(column.symbol) ? column.symbol : axis;
  const plain = text.replace(',', '.').replaceAll('\u2212', '-');
  return `${freeSymbol(workbook, stem)} = ${plain}${column.unit ? ` ${column.unit}` : ''}`;
}

/** The highest point of a series between two ends of the axis across. */
export function highestBetween(series: PlottedSeries, from: number, to: number): Plotted | undefined {
  return series.points
    .filter(({ x }) => x >= from && x <= to)
    .reduce<Plotted | undefined>((best, point) => (best === undefined || point.y > best.y ? point : best), undefined);
}
