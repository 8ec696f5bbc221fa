import { useVirtualizer } from '@tanstack/react-virtual';
import { useMemo, useRef, useState } from 'react';
import type { Column, Row, Table } from '@core/notebook/document';
import { readBlock, rowsFor, toClipboard, toCsv } from '@core/notebook/exchange';
import { inUnit } from '@core/notebook/quantity-value';
import { trialOfRow } from '@core/notebook/readings';
import { digitsProblem } from '@core/notebook/workbook';
import { download } from '@app/ui/download';
import { shortId } from '@app/ui/new-id';
import { ColumnHead, NewColumn } from './column-head';
import { RowMenu } from './row-menu';
import { Means } from './table-means';
import { QUIET_BUTTON, Section } from './section';
import { TypedCell } from './typed-cell';
import { useWorking } from './working-context';

/** More rows than this are drawn only where they are looked at. */
const DRAW_ALL = 60;
const ROW_PX = 27;

type Sort = { column: string; up: boolean } | null;

const ORIGINS: Record<Table['origin'], string> = {
  readings: 'from your readings',
  logged: 'logged at the bench',
  typed: 'typed by hand',
  pasted: 'pasted in',
  file: 'from a file',
};

/** Whether this reader writes a decimal comma. */
const localDecimal = (): '.' | ',' => (new Intl.NumberFormat().format(1.5).includes(',') ? ',' : '.');

/** Rows in the order wanted: by the worth of a column, texts last, rows of the same worth as they stood. */
function useSorted(table: Table, sort: Sort): Row[] {
  const { workbook } = useWorking();
  return useMemo(() => {
    const rows = workbook.rowsOf(table);
    const column = table.columns.find((entry) => entry.id === sort?.column);
    if (!sort || !column) return rows;
    const worth = new Map(rows.map((row) => [row.id, workbook.cell(table, row, column).quantity?.si ?? NaN]));
    const sign = sort.up ? 1 : -1;
    return [...rows].sort((a, b) => {
      const [x, y] = [worth.get(a.id) as number, worth.get(b.id) as number];
      if (Number.isNaN(x) || Number.isNaN(y)) return Number(Number.isNaN(x)) - Number(Number.isNaN(y));
      return sign * (x - y);
    });
  }, [workbook, table, sort]);
}

export function TableView({ table }: { table: Table }) {
  const { workbook, edit, closed, onDropped, say } = useWorking();
  const [sort, setSort] = useState<Sort>(null);
  const [copied, setCopied] = useState(false);
  const [means, setMeans] = useState(table.origin === 'readings');
  const rows = useSorted(table, sort);
  const isOfBench = table.origin === 'readings' || table.origin === 'logged';
  const isFixed = closed || isOfBench;

  const copy = async () => {
    const text = toClipboard(workbook, table, localDecimal());
    try {
      await navigator.clipboard.writeText(text);
      setCopied(true);
      setTimeout(() => setCopied(false), 2000);
    } catch {
      say('The browser did not allow copying. Save the table as a CSV file instead.');
    }
  };
  const save = () => download(new Blob([toCsv(workbook, table)], { type: 'text/csv' }), `${table.name || 'table'}.csv`);
  const drop = () => {
    if (!edit({ kind: 'dropTable', table: table.id })) return;
    onDropped({ what: table.name, back: () => edit({ kind: 'addTable', table }) });
  };

  return (
    <Section
      name={table.name}
      kind="table"
      closed={closed}
      note={`${ORIGINS[table.origin]}${rows.length > DRAW_ALL ? `, ${rows.length} rows` : ''}`}
      onName={(name) => edit({ kind: 'nameTable', table: table.id, name })}
      onDrop={isOfBench ? undefined : drop}
      actions={
        <>
          {!closed && <NewColumn table={table} />}
          <label className="no-print flex items-center gap-1">
            <input type="checkbox" checked={means} onChange={(event) => setMeans(event.target.checked)} />
            means
          </label>
          <button type="button" className={QUIET_BUTTON} onClick={() => void copy()} aria-label={`Copy ${table.name}`}>
            {copied ? 'Copied' : 'Copy'}
          </button>
          <button type="button" className={QUIET_BUTTON} onClick={save} aria-label={`${table.name} as CSV`}>
            CSV
          </button>
        </>
      }
    >
      <Grid table={table} rows={rows} sort={sort} onSort={setSort} means={means} />
      <DigitNotes table={table} />
      {!isFixed && (
        <button
          type="button"
          className={`${QUIET_BUTTON} mt-1 text-sm`}
          onClick={() => edit({ kind: 'addRows', table: table.id, rows: [{ id: shortId(), cells: {}, out: null }] })}
        >
          Add a row
        </button>
      )}
    </Section>
  );
}

function DigitNotes({ table }: { table: Table }) {
  const { workbook } = useWorking();
  const notes = table.columns.flatMap((column) => digitsProblem(workbook, table, column) ?? []);
  return notes.map((note) => (
    <p key={note} className="text-sedge text-sm">
      {note}
    </p>
  ));
}

interface GridProps {
  table: Table;
  rows: Row[];
  sort: Sort;
  onSort: (sort: Sort) => void;
  means: boolean;
}

function Grid({ table, rows, sort, onSort, means }: GridProps) {
  const { edit, workbook, say, forPaper } = useWorking();
  const area = useRef<HTMLDivElement>(null);
  const isLong = rows.length > DRAW_ALL && !forPaper;
  // eslint-disable-next-line react-hooks/incompatible-library -- the virtualizer's own functions change with it
  const virtual = useVirtualizer({
    count: isLong ? rows.length : 0,
    getScrollElement: () => area.current,
    estimateSize: () => ROW_PX,
    overscan: 12,
  });
  const drawn = isLong ? virtual.getVirtualItems().map((item) => item.index) : rows.map((_, i) => i);
  const before = isLong ? (virtual.getVirtualItems()[0]?.start ?? 0) : 0;
  const after = isLong ? virtual.getTotalSize() - (virtual.getVirtualItems().at(-1)?.end ?? 0) : 0;

  const focusCell = (row: number, column: number) => {
    if (isLong) virtual.scrollToIndex(row);
    requestAnimationFrame(() => area.current?.querySelector<HTMLElement>(`[data-cell="${row},${column}"]`)?.focus());
  };
  /** A block pasted into a cell fills this cell and those right of and below it, with new rows as needed. */
  const pasteAt = (row: number, column: number, text: string) => {
    const block = readBlock(text);
    if ('sentence' in block) return say(block.sentence);
    const isWhole = block.columns.some(({ name }, i) => name !== `column ${i + 1}`);
    const columns = table.columns
      .slice(column, column + block.columns.length)
      .filter((entry) => entry.kind === 'typed');
    if (isWhole || columns.length < block.columns.length)
      return say(
        isWhole
          ? 'This has a heading: use “Paste a table” to make a table of it.'
          : 'What was pasted is wider than the typed columns here. Nothing was changed.',
      );
    say(null);
    const fresh = Math.max(row + block.rows.length - rows.length, 0);
    const added = rowsFor(block.rows.slice(block.rows.length - fresh), columns, shortId);
    const cells = block.rows
      .slice(0, block.rows.length - fresh)
      .flatMap((texts, i) =>
        columns.map((entry, j) => ({ row: rows[row + i]?.id ?? '', column: entry.id, text: texts[j] ?? '' })),
      );
    edit({ kind: 'setCells', table: table.id, cells });
    if (fresh > 0) edit({ kind: 'addRows', table: table.id, rows: added });
  };

  return (
    <div
      ref={area}
      className={`overflow-x-auto ${isLong ? 'max-h-[420px] overflow-y-auto' : ''}`}
      tabIndex={isLong ? 0 : undefined}
      role={isLong ? 'region' : undefined}
      aria-label={isLong ? `${table.name}, ${rows.length} rows` : undefined}
    >
      <table className="border-collapse text-sm">
        <thead className="bg-paper sticky top-0 z-10">
          <tr>
            <th scope="col" className="text-ink-soft w-8 text-right font-normal">
              <span className="sr-only">row</span>
            </th>
            {table.columns.map((column) => (
              <ColumnHead
                key={column.id}
                table={table}
                column={column}
                sorted={sort?.column === column.id ? (sort.up ? 'up' : 'down') : null}
                onSort={(up) => onSort(up === null ? null : { column: column.id, up })}
              />
            ))}
          </tr>
        </thead>
        <tbody>
          {before > 0 && <tr style={{ height: before }} />}
          {drawn.map((index) => (
            <RowView
              key={rows[index]?.id}
              table={table}
              row={rows[index] as Row}
              index={index}
              count={rows.length}
              onFocusCell={focusCell}
              onPaste={pasteAt}
            />
          ))}
          {after > 0 && <tr style={{ height: after }} />}
        </tbody>
        {rows.length > 1 && means && <Means table={table} columns={table.columns} />}
      </table>
      {rows.length === 0 && (
        <p className="text-ink-soft text-sm">
          {table.origin === 'logged'
            ? 'Nothing is logged yet: put the probe or the thermometer in its place, and start the log.'
            : 'No rows yet.'}
        </p>
      )}
      {workbook.rowsOf(table).length > DRAW_ALL && <p className="sr-only">Only the rows in sight are drawn.</p>}
    </div>
  );
}

interface RowViewProps {
  table: Table;
  row: Row;
  index: number;
  count: number;
  onFocusCell: (row: number, column: number) => void;
  onPaste: (row: number, column: number, text: string) => void;
}

function RowView({ table, row, index, count, onFocusCell, onPaste }: RowViewProps) {
  const { workbook, edit, closed, pointed, point } = useWorking();
  const isPointed = pointed?.table === table.id && pointed.row === row.id;
  const isOut = row.out !== null;
  const trial = trialOfRow(row.id);
  const name = trial === undefined ? `row ${index + 1}` : `trial ${trial}`;
  const commit = (column: Column, text: string) =>
    edit({ kind: 'setCells', table: table.id, cells: [{ row: row.id, column: column.id, text }] });
  const next = (column: number) => {
    if (index === count - 1 && table.origin !== 'readings' && table.origin !== 'logged' && !closed)
      edit({ kind: 'addRows', table: table.id, rows: [{ id: shortId(), cells: {}, out: null }] });
    setTimeout(() => onFocusCell(index + 1, column), 0);
  };
  return (
    <tr
      style={{ height: ROW_PX }}
      className={`border-line border-t ${isPointed ? 'bg-mist' : ''} ${isOut ? 'text-ink-soft' : ''}`}
      onMouseEnter={() => point({ table: table.id, row: row.id })}
      onFocus={() => point({ table: table.id, row: row.id })}
      onMouseLeave={() => point(null)}
    >
      <th scope="row" className="pr-2 text-right font-normal">
        <RowMenu table={table} row={row} name={name} label={String(trial ?? index + 1)} />
      </th>
      {table.columns.map((column, at) => {
        const cell = workbook.cell(table, row, column);
        const strike = isOut ? 'line-through' : '';
        if (column.kind === 'typed' && !closed)
          return (
            <td key={column.id} className="px-[2px]">
              <TypedCell
                label={`${column.symbol || column.name}, ${name}`}
                text={row.cells[column.id] ?? ''}
                problem={cell.problem}
                struck={isOut}
                place={`${index},${at}`}
                onCommit={(text) => commit(column, text)}
                onUp={() => onFocusCell(index - 1, at)}
                onDown={(enter) => (enter ? next(at) : onFocusCell(index + 1, at))}
                onPaste={(text) => onPaste(index, at, text)}
              />
            </td>
          );
        const full = cell.quantity && column.kind === 'computed' ? fullValue(cell.quantity, column) : undefined;
        return (
          <td key={column.id} className={`px-1 text-right font-mono whitespace-nowrap ${strike}`} title={full}>
            {cell.problem ? (
              <span className="text-rust inline-block max-w-48 text-left font-sans text-xs whitespace-normal">
                {cell.problem}
              </span>
            ) : (
              <span className={column.kind === 'typed' ? 'text-heather' : ''}>{cell.text || '–'}</span>
            )}
          </td>
        );
      })}
      {isOut && <td className="pl-2 text-xs">left out: {row.out}</td>}
    </tr>
  );
}

/** The value with all that is known of it: nothing is rounded but what is shown. */
function fullValue(quantity: Parameters<typeof inUnit>[0], column: Column): string | undefined {
  try {
    return `${Number(inUnit(quantity, column.unit).value.toPrecision(12))} before rounding to its digits`;
  } catch {
    return undefined;
  }
}
