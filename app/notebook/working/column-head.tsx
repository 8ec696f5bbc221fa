import { Popover } from 'radix-ui';
import { useId, useState } from 'react';
import type { Column, Table } from '@core/notebook/document';
import { CannotCompute } from '@core/notebook/quantity-value';
import { readFormula } from '@core/notebook/formula';
import { unitOf } from '@core/notebook/units';
import { Button, INPUT, Wrong } from '@app/ui/form';
import { shortId } from '@app/ui/new-id';
import { FormulaText, SymbolText } from '../symbol-text';
import { ALL_UNITS } from '../unit-options';
import { useWorking } from './working-context';

type Draft = Pick<Column, 'name' | 'symbol' | 'unit' | 'formula' | 'uncertainty' | 'digits'>;

/** Why a column cannot be as it was typed; undefined when it can. */
function wrongWith(draft: Draft, kind: Column['kind'], others: readonly Column[]): string | undefined {
  if (draft.symbol !== '' && !/^\p{L}[\p{L}\p{N}_]*$/u.test(draft.symbol))
    return `“${draft.symbol}” is not a symbol: a letter, then letters, digits or _, such as V_1.`;
  if (draft.symbol === '' && draft.name.trim() === '') return 'Give the column a name or a symbol.';
  if (draft.symbol !== '' && others.some((column) => column.symbol === draft.symbol))
    return `Another column here is called ${draft.symbol} already.`;
  if (!unitOf(draft.unit)) return `“${draft.unit}” is not a unit that Fen knows.`;
  if (draft.uncertainty !== '' && !/^\d*[.,]?\d+$/.test(draft.uncertainty.trim()))
    return 'The uncertainty is a number in the unit of the column, such as 0.05.';
  if (kind !== 'computed') return undefined;
  try {
    readFormula(draft.formula);
    return undefined;
  } catch (error) {
    if (error instanceof CannotCompute) return error.message;
    throw error;
  }
}

interface ColumnFormProps {
  title: string;
  start: Draft;
  kind: Column['kind'];
  others: readonly Column[];
  onSave: (draft: Draft) => void;
  onDrop?: () => void;
}

function ColumnForm({ title, start, kind, others, onSave, onDrop }: ColumnFormProps) {
  const [draft, setDraft] = useState<Draft>(start);
  const [wrong, setWrong] = useState<string>();
  const units = useId();
  const set = (change: Partial<Draft>) => setDraft({ ...draft, ...change });
  const line = (
    label: string,
    key: 'name' | 'symbol' | 'unit' | 'formula' | 'uncertainty',
    width: string,
    more = {},
  ) => (
    <label className="text-sm">
      {label}
      <input
        value={draft[key]}
        onChange={(event) => set({ [key]: event.target.value })}
        className={`${INPUT} block h-8 ${width}`}
        autoComplete="off"
        {...more}
      />
    </label>
  );
  return (
    <form
      aria-label={title}
      onSubmit={(event) => {
        event.preventDefault();
        const problem = wrongWith(draft, kind, others);
        setWrong(problem);
        if (!problem) onSave(draft);
      }}
    >
      <div className="flex flex-wrap gap-2">
        {line('Name', 'name', 'w-40', { autoFocus: true, maxLength: 80 })}
        {line('Symbol', 'symbol', 'w-20 font-mono', { maxLength: 20 })}
        {line('Unit', 'unit', 'w-24', { maxLength: 30, list: units })}
        <datalist id={units}>
          {ALL_UNITS.map((unit) => (
            <option key={unit} value={unit} />
          ))}
        </datalist>
      </div>
      {kind === 'computed' ? (
        <div className="mt-2 flex flex-wrap items-end gap-2">
          {line('Formula', 'formula', 'w-72 font-mono', { maxLength: 300, placeholder: 'm / V' })}
          <label className="text-sm">
            Digits
            <select
              value={draft.digits ?? ''}
              onChange={(event) => set({ digits: event.target.value === '' ? null : Number(event.target.value) })}
              className={`${INPUT} block h-8`}
            >
              <option value="">as the data carry</option>
              {[1, 2, 3, 4, 5, 6, 7, 8].map((digits) => (
                <option key={digits}>{digits}</option>
              ))}
            </select>
          </label>
          <p className="text-ink-soft w-full text-xs">
            With the symbols of columns and results, units and constants: 0.1000 mol/L * V_T. A whole number without
            decimals counts as exact. mean(V_T), sd, spread, sum, min, max and count take a whole column.
          </p>
        </div>
      ) : (
        <div className="mt-2">
          {line('Uncertainty of each value, ±', 'uncertainty', 'w-28 font-mono', {
            maxLength: 20,
            inputMode: 'decimal',
          })}
        </div>
      )}
      {wrong && <Wrong>{wrong}</Wrong>}
      <span className="mt-3 flex items-center gap-4">
        <Button look="main">{onDrop ? 'Save the column' : 'Add the column'}</Button>
        {onDrop && (
          <button type="button" className="text-rust min-h-6 text-sm underline" onClick={onDrop}>
            Remove the column
          </button>
        )}
      </span>
    </form>
  );
}

const PANEL = 'border-line-strong bg-paper z-30 w-[400px] max-w-[92vw] border p-3 text-left shadow';

interface ColumnHeadProps {
  table: Table;
  column: Column;
  sorted: 'up' | 'down' | null;
  onSort: (up: boolean | null) => void;
}

/** The head of a column: name, symbol over unit, how its values came about; pressed, it can be changed or sorted by. */
export function ColumnHead({ table, column, sorted, onSort }: ColumnHeadProps) {
  const { edit, closed } = useWorking();
  const [open, setOpen] = useState(false);
  const how =
    column.kind === 'computed' ? (
      <>
        = <FormulaText text={column.formula} />
      </>
    ) : column.kind === 'recorded' ? (
      'recorded'
    ) : (
      ''
    );
  const head = (
    <span className="block text-left">
      {column.name && <span className="block font-medium">{column.name}</span>}
      <span className="block whitespace-nowrap">
        <SymbolText symbol={column.symbol} />
        {column.unit && ` / ${column.unit}`}
      </span>
      <span className="text-ink-soft block max-w-28 truncate font-mono text-xs font-normal">{how || ' '}</span>
    </span>
  );
  const nextSort = sorted === null ? true : sorted === 'up' ? false : null;
  return (
    <th
      scope="col"
      className="px-1 align-bottom font-normal"
      aria-sort={sorted === null ? undefined : sorted === 'up' ? 'ascending' : 'descending'}
    >
      <span className="flex items-end gap-1">
        {closed ? (
          head
        ) : (
          <Popover.Root open={open} onOpenChange={setOpen}>
            <Popover.Trigger aria-label={`Column ${column.symbol || column.name}: change`} className="hover:text-water">
              {head}
            </Popover.Trigger>
            <Popover.Portal>
              <Popover.Content align="start" className={PANEL}>
                <ColumnForm
                  title={`Column ${column.symbol || column.name}`}
                  start={column}
                  kind={column.kind}
                  others={table.columns.filter((entry) => entry.id !== column.id)}
                  onSave={({ name, symbol, unit, formula, uncertainty, digits }) => {
                    const change = { name, symbol, unit, formula, uncertainty, digits };
                    edit({ kind: 'setColumn', table: table.id, column: column.id, change });
                    setOpen(false);
                  }}
                  onDrop={
                    column.kind === 'recorded'
                      ? undefined
                      : () => edit({ kind: 'dropColumn', table: table.id, column: column.id })
                  }
                />
              </Popover.Content>
            </Popover.Portal>
          </Popover.Root>
        )}
        <button
          type="button"
          className="text-ink-soft hover:text-water size-6 shrink-0 text-xs"
          aria-label={`Sort by ${column.symbol || column.name}`}
          onClick={() => onSort(nextSort)}
        >
          {sorted === 'up' ? '↑' : sorted === 'down' ? '↓' : '↕'}
        </button>
      </span>
    </th>
  );
}

const EMPTY: Draft = { name: '', symbol: '', unit: '', formula: '', uncertainty: '', digits: null };

/** Adds a column: one to type in, or one that is worked out. */
export function NewColumn({ table }: { table: Table }) {
  const { edit } = useWorking();
  const [open, setOpen] = useState(false);
  const [kind, setKind] = useState<'typed' | 'computed'>('computed');
  return (
    <Popover.Root open={open} onOpenChange={setOpen}>
      <Popover.Trigger
        className="text-water min-h-6 text-sm whitespace-nowrap underline"
        aria-label={`Add a column to ${table.name}`}
      >
        + column
      </Popover.Trigger>
      <Popover.Portal>
        <Popover.Content align="end" className={PANEL}>
          <fieldset className="mb-2 flex gap-4 text-sm">
            <legend className="sr-only">How its values come about</legend>
            {(['computed', 'typed'] as const).map((option) => (
              <label key={option} className="flex items-center gap-1">
                <input type="radio" checked={kind === option} onChange={() => setKind(option)} name="column-kind" />
                {option === 'computed' ? 'worked out by a formula' : 'typed by hand'}
              </label>
            ))}
          </fieldset>
          <ColumnForm
            title="New column"
            start={EMPTY}
            kind={kind}
            others={table.columns}
            onSave={(draft) => {
              const column: Column = { ...draft, id: shortId(), kind, slot: '' };
              if (edit({ kind: 'addColumn', table: table.id, column })) setOpen(false);
            }}
          />
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}
