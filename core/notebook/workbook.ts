import { isSeries } from '../analysis/series';
import { shownIn, typedCell, withError, type Cell } from './cell';
import { CONSTANTS } from '../databook/constants';
import { LIMITS } from './limits';
import type { Calculation, Column, Notebook, Row, Table } from './document';
import { evaluateWithError, readFormula, type Formula, type Meaning } from './formula';
import { CannotCompute, digitsOf, givenIn, inUnit, lastOf, quantityIn, type Quantity, written } from './quantity-value';
import { lineOfRow, loggedRowId, readingFor, trialOfRow, trialRowId, type BenchRecordings } from './readings';
import { usualUnit } from './units';

interface Result {
  /** The name before the equals sign, if there is one. */
  symbol: string | undefined;
  text: string;
  unit: string;
  quantity?: Quantity;
  problem?: string;
}

/** Means and the like of one column's values that count. */
interface Summary {
  count: number;
  mean: string;
  deviation: string | undefined;
  spread: string;
  digits: number;
}

/** A notebook with its readings, worked out: each value once, and only when it is asked for. */
export class Workbook {
  private readonly cells = new Map<string, Cell>();
  private readonly formulas = new Map<string, Formula | CannotCompute>();
  private readonly rowsByTable = new Map<string, Row[]>();
  private readonly results = new Map<string, Result>();
  private readonly busy = new Set<string>();
  private readonly columns = new Map<string, Quantity[]>();
  private spent = 0;

  constructor(
    readonly notebook: Notebook,
    readonly bench: BenchRecordings,
  ) {}

  table = (id: string): Table | undefined => this.notebook.tables.find((table) => table.id === id);
  graph = (id: string) => this.notebook.graphs.find((graph) => graph.id === id);

  /** A table's rows; those of the readings table are its trials. */
  rowsOf(table: Table): Row[] {
    const kept = this.rowsByTable.get(table.id);
    if (kept) return kept;
    const rows =
      table.origin === 'readings'
        ? this.trialRows(table)
        : table.origin === 'logged'
          ? this.loggedRows(table)
          : table.rows;
    this.rowsByTable.set(table.id, rows);
    return rows;
  }

  private trialRows(table: Table): Row[] {
    const trials = Array.from({ length: this.bench.trial }, (_, i) => i).filter(
      (i) => table.part === undefined || this.isAbout(i + 1, table.part),
    );
    return trials.map((i) => {
      const id = trialRowId(i + 1);
      const typed = table.rows.find((row) => row.id === id);
      return { id, cells: typed?.cells ?? {}, out: this.bench.leftOut[i + 1] ?? null };
    });
  }

  private isAbout(trial: number, part: string): boolean {
    return this.bench.readings.some((r) => r.trial === trial && r.struck === null && r.part === part);
  }

  private loggedRows(table: Table): Row[] {
    const kept = new Map(table.rows.map((row) => [row.id, row]));
    return this.bench.logged.map((_, line) => {
      const id = loggedRowId(line);
      return kept.get(id) ?? { id, cells: {}, out: null };
    });
  }

  cell(table: Table, row: Row, column: Column): Cell {
    const key = `${table.id} ${row.id} ${column.id}`;
    const kept = this.cells.get(key);
    if (kept) return kept;
    if (this.busy.has(key)) throw new CannotCompute(`The formula of “${column.symbol}” leads back to itself.`);
    this.busy.add(key);
    let cell: Cell;
    try {
      if (column.kind === 'computed') cell = this.computed(table, row, column);
      else if (column.kind === 'recorded') cell = this.recorded(row, column);
      else cell = typedCell(row.cells[column.id] ?? '', column);
    } finally {
      this.busy.delete(key);
    }
    this.cells.set(key, cell);
    return cell;
  }

  private recorded(row: Row, column: Column): Cell {
    const line = lineOfRow(row.id);
    if (line !== undefined) return typedCell(this.bench.logged[line]?.[column.slot] ?? '', column);
    const trial = trialOfRow(row.id);
    const reading = trial === undefined ? undefined : readingFor(this.bench, trial, column.slot);
    if (!reading) return { text: '' };
    return typedCell(`${reading.text} ${reading.unit}`.trim(), column, reading.text);
  }

  private computed(table: Table, row: Row, column: Column): Cell {
    try {
      const formula = this.formula(column.formula);
      // A row whose typed cells are still empty is not wrong, only not there yet.
      if (formula.symbols.some((symbol) => this.isBlank(table, row, symbol))) return { text: '' };
      const quantity = givenIn(evaluateWithError(formula, this.meaning(table, row)), column.unit);
      return { quantity, text: shownIn(quantity, column) };
    } catch (error) {
      if (error instanceof CannotCompute) return { text: '', problem: error.message };
      throw error;
    }
  }

  private isBlank(table: Table, row: Row, symbol: string): boolean {
    const column = bySymbol(table, symbol);
    if (!column) return false;
    const { text, problem } = this.cell(table, row, column);
    return text === '' && problem === undefined;
  }

  private formula(text: string): Formula {
    let formula = this.formulas.get(text);
    if (!formula) {
      try {
        formula = readFormula(text);
      } catch (error) {
        if (!(error instanceof CannotCompute)) throw error;
        formula = error;
      }
      this.formulas.set(text, formula);
    }
    if (formula instanceof CannotCompute) throw formula;
    return formula;
  }

  /** Formulas of a whole notebook end at a limit, with a sentence, and never in a page that stands still. */
  private readonly spend = (nodes: number) => {
    this.spent += nodes;
    if (this.spent > LIMITS.steps)
      throw new CannotCompute('The formulas of this notebook are too many to be worked out. Take some columns out.');
  };

  private meaning(table?: Table, row?: Row): Meaning {
    return {
      spend: this.spend,
      value: (symbol) => {
        const column = table && bySymbol(table, symbol);
        if (table && row && column) return this.needed(this.cell(table, row, column), symbol);
        return this.resultNamed(symbol) ?? constantNamed(symbol) ?? this.single(symbol);
      },
      values: (symbol) => {
        const home = table && bySymbol(table, symbol) ? table : this.notebook.tables.find((t) => bySymbol(t, symbol));
        return home && this.values(home, bySymbol(home, symbol) as Column);
      },
    };
  }

  private needed(cell: Cell, symbol: string): Quantity {
    if (cell.quantity) return cell.quantity;
    throw new CannotCompute(cell.problem ?? `${symbol} has no value in this row.`);
  }

  /** A column's symbol outside its table stands for its value when it has but one. */
  private single(symbol: string): Quantity | undefined {
    const home = this.notebook.tables.find((table) => bySymbol(table, symbol));
    if (!home) return undefined;
    const values = this.values(home, bySymbol(home, symbol) as Column);
    if (values.length === 1) return values[0];
    throw new CannotCompute(
      `${symbol} is a column with ${values.length === 0 ? 'no values' : 'several values'} that count: say which, for instance mean(${symbol}).`,
    );
  }

  private resultNamed(symbol: string): Quantity | undefined {
    const calculation = this.notebook.calculations.find((entry) => nameOf(entry.text).symbol === symbol);
    if (!calculation) return undefined;
    const result = this.result(calculation);
    if (result.quantity) return result.quantity;
    throw new CannotCompute(`${symbol} has no value yet.`);
  }

  /** All values of a column in rows that count. */
  values(table: Table, column: Column): Quantity[] {
    const key = `${table.id} ${column.id}`;
    const kept = this.columns.get(key);
    if (kept) return kept;
    const values = this.rowsOf(table).flatMap((row) => {
      if (row.out !== null) return [];
      const { quantity } = this.cell(table, row, column);
      return quantity ? [quantity] : [];
    });
    this.columns.set(key, values);
    return values;
  }

  summary(table: Table, column: Column): Summary | undefined {
    const values = this.values(table, column);
    if (values.length === 0 || isSeries(values.map(({ si }) => si))) return undefined;
    const of = (name: 'mean' | 'sd' | 'spread') =>
      readFormula(`${name}(x)`).evaluate({ value: () => undefined, values: () => values });
    const say = (quantity: Quantity) => {
      const { value, last } = inUnit(quantity, column.unit);
      return written(value, last);
    };
    try {
      const mean = of('mean');
      return {
        count: values.length,
        mean: say(mean),
        deviation: values.length > 1 ? say(of('sd')) : undefined,
        spread: say(of('spread')),
        digits: digitsOf(mean),
      };
    } catch (error) {
      if (error instanceof CannotCompute) return undefined;
      throw error;
    }
  }

  /** A line of the calculator: `c = c_T * mean(V) / 25.00 mL -> mol/L`; the name and the unit may be left out. */
  result(calculation: Calculation): Result {
    const kept = this.results.get(calculation.id);
    if (kept) return kept;
    const { symbol, formula, unit } = nameOf(calculation.text);
    const first = this.notebook.calculations.find((entry) => nameOf(entry.text).symbol === symbol);
    const key = `calculation ${calculation.id}`;
    if (this.busy.has(key)) throw new CannotCompute(`“${symbol ?? formula}” leads back to itself.`);
    this.busy.add(key);
    let result: Result;
    try {
      if (symbol !== undefined && first?.id !== calculation.id)
        throw new CannotCompute(`There is a result called ${symbol} above already. Give this one another name.`);
      const found = evaluateWithError(this.formula(formula), this.meaning());
      const given = unit ?? (found.celsius ? '°C' : usualUnit(found.dimensions));
      const quantity = givenIn(found, given);
      const { value, last, error } = inUnit(quantity, given);
      result = { symbol, quantity, unit: given, text: withError(value, last, error) };
    } catch (error) {
      if (!(error instanceof CannotCompute)) throw error;
      result = { symbol, unit: unit ?? '', text: '', problem: error.message };
    } finally {
      this.busy.delete(key);
    }
    this.results.set(calculation.id, result);
    return result;
  }

  /** What a formula refers to, for the way back from a result. */
  symbolsOf(formula: string): string[] {
    try {
      return this.formula(formula).symbols;
    } catch {
      return [];
    }
  }
}

export const bySymbol = (table: Table, symbol: string) =>
  table.columns.find((column) => column.symbol !== '' && column.symbol === symbol);

function constantNamed(symbol: string): Quantity | undefined {
  const constant = CONSTANTS.find((entry) => entry.symbol === symbol);
  if (!constant) return undefined;
  const last = constant.digits === null ? 0 : lastOf(constant.value, constant.digits);
  return quantityIn(constant.value, constant.unit, last);
}

/** The parts of a calculator line. */
export function nameOf(text: string): {
  symbol: string | undefined;
  formula: string;
  unit: string | undefined;
} {
  const [body = '', unit] = text.split(/->|→/u);
  const match = /^\s*([\p{L}][\p{L}\p{N}_]*)\s*=(.*)$/su.exec(body);
  return { symbol: match?.[1], formula: (match?.[2] ?? body).trim(), unit: unit?.trim() };
}

/** A sentence when a column is made to show digits that its data do not carry. */
export function digitsProblem(workbook: Workbook, table: Table, column: Column): string | undefined {
  if (column.kind !== 'computed' || column.digits === null) return undefined;
  const values = workbook.values(table, column).filter((value) => value.last > 0);
  const least = Math.min(...values.map(digitsOf));
  if (!Number.isFinite(least) || column.digits <= least) return undefined;
  const from = workbook
    .symbolsOf(column.formula)
    .map((symbol) => ({ symbol, column: bySymbol(table, symbol) }))
    .flatMap(({ symbol, column: source }) => {
      const digits = source ? Math.min(...workbook.values(table, source).map(digitsOf)) : Infinity;
      return Number.isFinite(digits) ? [`${symbol} has ${digits}`] : [];
    });
  return `This column shows ${column.digits} digits, and its data carry ${least}${from.length > 0 ? `: ${from.join(', ')}` : ''}.`;
}
