import Papa from 'papaparse';
import { parseTyped } from '../analysis/quantity';
import type { Column, Row, Table } from './document';
import { LIMITS } from './limits';
import { trialOfRow } from './readings';
import { plainNumber } from './trace';
import { unitOf } from './units';
import type { Workbook } from './workbook';

/** Columns and rows that came from outside, before they have a place in a notebook. */
export interface Block {
  columns: { name: string; symbol: string; unit: string }[];
  rows: string[][];
}

type Decimal = '.' | ',';

/**
 * Reads a block as spreadsheets put it on the clipboard (tabs, quoted cells) or a CSV file (RFC 4180; a semicolon
 * divides where the comma is the decimal mark). The first line is a heading when it holds no number, with a second one of units or under a title.
 * Numbers keep their digits; a decimal comma becomes a point.
 */
export function readBlock(text: string): Block | { sentence: string } {
  if (text.length > LIMITS.weight) return { sentence: 'This is longer than a notebook can hold. Paste a part of it.' };
  const body = text
    .replace(/^\uFEFF/, '')
    .replace(/\r\n?/g, '\n')
    .replace(/\n+$/, '');
  if (body.trim() === '') return { sentence: 'There is nothing in what was pasted.' };
  if (body.includes('\u0000')) return { sentence: 'This is not text: a table of numbers is what fits here.' };
  const parsed = Papa.parse<string[]>(body, { delimiter: delimiterOf(body), skipEmptyLines: 'greedy' });
  const broken = parsed.errors.find((error) => error.type === 'Quotes');
  if (broken)
    return { sentence: `A quotation mark is not closed, near row ${(broken.row ?? 0) + 1}. Nothing was put in.` };
  const lines = parsed.data.map((cells) => cells.map((cell) => cell.trim().replace(/^'(?=[=+@-])/, '')));
  const width = lines.reduce((most, cells) => Math.max(most, cells.length), 0);
  if (width > LIMITS.columns)
    return { sentence: `This has ${width} columns; a table holds ${LIMITS.columns} at most.` };
  if (lines.length - 1 > LIMITS.rows)
    return { sentence: `This has ${lines.length} rows; a table holds ${LIMITS.rows} at most.` };
  const tooLong = lines.findIndex((cells) => cells.some((cell) => cell.length > 120));
  if (tooLong >= 0)
    return {
      sentence: `Row ${tooLong + 1} holds a text of more than 120 characters, so this is not a table of readings.`,
    };
  const { heading, body: numbers } = headed(lines, width);
  const rows = numbers.map((cells) => Array.from({ length: width }, (_, i) => asNumber(cells[i] ?? '')));
  // A column that nothing stands in came from a block that began further to the right.
  const filled = Array.from({ length: width }, (_, i) => i).filter(
    (i) => (heading[i] ?? '') !== '' || rows.some((cells) => cells[i] !== ''),
  );
  if (!rows.some((cells) => cells.some((cell) => parseTyped(cell) !== undefined)))
    return { sentence: 'There is no number in what was pasted, so no table was made.' };
  return {
    columns: filled.map((i, place) => headingOf(heading[i] ?? '', place)),
    rows: rows.map((cells) => filled.map((i) => cells[i] as string)),
  };
}

/** The first of tab, semicolon and comma that divides the first lines into equally many cells, two or more. */
function delimiterOf(text: string): string {
  const start = text.split(/\r?\n/, 20).join('\n');
  const widths = (delimiter: string) =>
    Papa.parse<string[]>(start, { delimiter, skipEmptyLines: 'greedy' }).data.map((cells) => cells.length);
  const even = ['\t', ';', ','].find((delimiter) => {
    const [first = 1, ...others] = widths(delimiter);
    return first > 1 && others.every((width) => width === first);
  });
  if (even) return even;
  if (start.includes('\t')) return '\t';
  return start.includes(';') ? ';' : ',';
}

const isNumber = (cell: string) => parseTyped(cell)?.unit === '';

const isHeading = (cells: readonly string[] | undefined): boolean =>
  cells !== undefined && !cells.some(isNumber) && cells.some((cell) => cell !== '');

/** A unit alone in a cell, as a second line of headings has them: "°C", "(s)", "[min]", "/ °C". */
function unitAlone(cell: string): string | undefined {
  const bare = /^(?:\/\s*)?[([]?\s*([^()[\]]+?)\s*[)\]]?$/u.exec(cell)?.[1] ?? '';
  return bare !== '' && unitOf(bare) !== undefined ? bare : undefined;
}

/**
 * What stands at the head of each column, and the lines under it. Headings can be on two lines: names and then units, or a title of
 * the whole and then names. A heading that is one cell short belongs to columns after one of row numbers.
 */
function headed(lines: readonly string[][], width: number): { heading: string[]; body: string[][] } {
  const [first = [], second = [], third] = lines;
  if (lines.length < 2 || !isHeading(first)) return { heading: [], body: [...lines] };
  const shifted = (cells: string[], under: readonly string[] | undefined) => {
    const isShort = cells.length === width - 1 && under?.length === width && isNumber(under[0] ?? '');
    return isShort ? ['', ...cells] : cells;
  };
  if (third === undefined || !isHeading(second)) return { heading: shifted(first, second), body: lines.slice(1) };
  const count = (cells: readonly string[]) => cells.filter((cell) => cell !== '').length;
  if (count(first) === 1 && count(second) > 1) return { heading: shifted(second, third), body: lines.slice(2) };
  const units = second.map(unitAlone);
  if (second.some((cell, i) => cell !== '' && units[i] === undefined))
    return { heading: shifted(first, second), body: lines.slice(1) };
  const names = first.map((name, i) => (units[i] === undefined ? name : `${name} / ${units[i]}`));
  return { heading: shifted(names, third), body: lines.slice(2) };
}

/** A number as Fen writes it: decimal point, no spaces or apostrophes between thousands. Other cells stay as they are. */
function asNumber(cell: string): string {
  const dense = cell.replace(/[\u00A0\u202F' ](?=\d{3}(\D|$))/g, '').replace('\u2212', '-');
  if (/^[+-]?\d{1,3}(\.\d{3})+,\d+$/.test(dense)) return dense.replaceAll('.', '').replace(',', '.');
  if (/^[+-]?\d{1,3}(,\d{3})+\.\d+$/.test(dense)) return dense.replaceAll(',', '');
  if (/^[+-]?\d*,\d+([eE][+-]?\d+)?$/.test(dense)) return dense.replace(',', '.');
  return isNumber(dense) ? dense : cell;
}

/** "Temperature T / °C", "T (°C)" or "T [°C]": name, symbol, unit. */
export function headingOf(text: string, index: number): Block['columns'][number] {
  const match = /^(.*?)\s*(?:\/\s*(\S.*)|[([]([^()[\]]+)[)\]])\s*$/u.exec(text);
  const unit = (match?.[2] ?? match?.[3] ?? '').trim();
  const isUnit = unit !== '' && unitOf(unit) !== undefined;
  const name = (isUnit ? match?.[1] : text)?.trim() ?? '';
  const last = name.split(/\s+/).at(-1) ?? '';
  const isSymbol = /^[\p{L}][\p{L}\p{N}_]{0,7}$/u.test(last) && (last.length <= 3 || /[_\d]/.test(last));
  const symbol = isSymbol ? last : '';
  const words = isSymbol && name.length > last.length ? name.slice(0, -last.length).trim() : name;
  return {
    name: (words || `column ${index + 1}`).slice(0, 80),
    symbol: symbol || madeUpSymbol(words, index),
    unit: isUnit ? unit : '',
  };
}

const madeUpSymbol = (name: string, index: number) =>
  /^\p{L}/u.test(name) ? `${name.slice(0, 1)}${index + 1}` : `x${index + 1}`;

/** A block as a table of typed columns. @param newId gives ids that nobody else has */
export function tableOf(block: Block, name: string, origin: Table['origin'], newId: () => string): Table {
  const taken = new Set<string>();
  const columns = block.columns.map(({ name, symbol, unit }, i): Column => {
    const own = taken.has(symbol) ? `${symbol}_${i + 1}` : symbol;
    taken.add(own);
    return {
      id: newId(),
      name,
      symbol: own,
      unit,
      kind: 'typed',
      formula: '',
      slot: '',
      uncertainty: '',
      digits: null,
    };
  });
  return { id: newId(), name, origin, columns, rows: rowsFor(block.rows, columns, newId) };
}

/** Rows of texts as rows of a table, cell by cell from the first column on. */
export function rowsFor(rows: string[][], columns: readonly Column[], newId: () => string): Row[] {
  return rows.map((cells) => ({
    id: newId(),
    cells: Object.fromEntries(columns.map((column, i) => [column.id, cells[i] ?? ''])),
    out: null,
  }));
}

const heading = (column: Column) =>
  `${[column.name, column.symbol].filter(Boolean).join(' ')}${column.unit ? ` / ${column.unit}` : ''}`;

/** All rows in the table's order, heading first; with the trial of readings, and why a row is left out. */
function lines(workbook: Workbook, table: Table, decimal: Decimal): string[][] {
  const local = (text: string) =>
    decimal === ',' && isNumber(text) ? text.replace('.', ',').replace('\u2212', '-') : text.replace('\u2212', '-');
  const rows = workbook.rowsOf(table);
  const tellsTrial = table.origin === 'readings';
  const tellsOut = rows.some((row) => row.out !== null);
  return [
    [...(tellsTrial ? ['trial'] : []), ...table.columns.map(heading), ...(tellsOut ? ['left out'] : [])],
    ...rows.map((row) => [
      ...(tellsTrial ? [String(trialOfRow(row.id) ?? '')] : []),
      ...table.columns.map((column) => local(plainNumber(workbook, table, row, column))),
      ...(tellsOut ? [row.out ?? ''] : []),
    ]),
  ];
}

/** What a spreadsheet would take for a formula of its own; a number with a sign is none. */
const FORMULA_LIKE = /^[=@\t\r]|^[+-](?![\d.,]+(?:[eE][+-]?\d+)?$)/;

/** For a spreadsheet's clipboard: tab-separated, numbers with the reader's own decimal mark. */
export const toClipboard = (workbook: Workbook, table: Table, decimal: Decimal): string =>
  Papa.unparse(lines(workbook, table, decimal), {
    delimiter: '\t',
    newline: '\n',
    escapeFormulae: FORMULA_LIKE,
  });

/** A CSV file by RFC 4180: CRLF, quotes where needed, decimal points. */
export const toCsv = (workbook: Workbook, table: Table): string =>
  `${Papa.unparse(lines(workbook, table, '.'), { newline: '\r\n', escapeFormulae: FORMULA_LIKE })}\r\n`;
