import { useId } from 'react';
import type { SampleQuantity } from '@core/report/asks';
import { SECTIONS } from '@core/report/sections';
import { INPUT, Wrong } from '@app/ui/form';
import { KINDS, type AskDraft } from './report-draft';

interface AskCardProps {
  draft: AskDraft;
  number: number;
  quantities: readonly SampleQuantity[];
  mistakeAt: (field: string) => string | undefined;
  onChange: (part: Partial<AskDraft>) => void;
  onUp?: () => void;
  onDown?: () => void;
  onRemove: () => void;
}

/** One question of a report while it is composed. */
export function AskCard({ draft, number, quantities, mistakeAt, onChange, onUp, onDown, onRemove }: AskCardProps) {
  const kind = KINDS.find((entry) => entry.kind === draft.kind)?.label ?? '';
  const move = 'text-water min-h-6 px-1 underline disabled:opacity-40';
  return (
    <li className="border-line mb-5 border-t pt-2" aria-label={`Question ${number}`}>
      <div className="mb-2 flex flex-wrap items-baseline gap-x-4">
        <strong className="font-serif">
          {number}. {kind}
        </strong>
        <label className="text-sm">
          <select
            aria-label={`Where question ${number} stands`}
            value={draft.when}
            onChange={(event) => {
              const when = SECTIONS.find((entry) => entry.when === event.target.value)?.when;
              if (when) onChange({ when });
            }}
            className={`${INPUT} h-8`}
          >
            {SECTIONS.map(({ when, title }) => (
              <option key={when} value={when}>
                {title}
              </option>
            ))}
          </select>
        </label>
        <label className="flex items-center gap-1 text-sm">
          <input
            type="checkbox"
            checked={draft.required}
            onChange={(event) => onChange({ required: event.target.checked })}
          />
          has to be answered
        </label>
        <span className="ml-auto flex gap-2 text-sm">
          <button type="button" className={move} onClick={onUp} disabled={!onUp} aria-label={`Question ${number} up`}>
            Up
          </button>
          <button
            type="button"
            className={move}
            onClick={onDown}
            disabled={!onDown}
            aria-label={`Question ${number} down`}
          >
            Down
          </button>
          <button
            type="button"
            className="text-rust min-h-6 underline"
            onClick={onRemove}
            aria-label={`Remove question ${number}`}
          >
            Remove
          </button>
        </span>
      </div>
      <div className="grid gap-x-6 gap-y-2 lg:grid-cols-2">
        <Line
          label="Question"
          value={draft.label}
          wrong={mistakeAt('label')}
          onValue={(label) => onChange({ label })}
        />
        <Line
          label="Help under it"
          value={draft.help}
          wrong={mistakeAt('help')}
          onValue={(help) => onChange({ help })}
        />
        <Details draft={draft} quantities={quantities} mistakeAt={mistakeAt} onChange={onChange} />
      </div>
    </li>
  );
}

interface LineProps {
  label: string;
  value: string;
  wrong: string | undefined;
  onValue: (value: string) => void;
  width?: string;
  lines?: number;
}

function Line({ label, value, wrong, onValue, width = 'w-full', lines }: LineProps) {
  const id = useId();
  const props = {
    id,
    value,
    'aria-invalid': wrong ? true : undefined,
    className: `${INPUT} ${width}`,
    onChange: (event: React.ChangeEvent<HTMLInputElement | HTMLTextAreaElement>) => onValue(event.target.value),
  } as const;
  return (
    <div data-row>
      <label htmlFor={id} className="block text-sm">
        {label}
      </label>
      {lines ? <textarea rows={lines} {...props} /> : <input autoComplete="off" {...props} />}
      {wrong && <Wrong marked>{wrong}</Wrong>}
    </div>
  );
}

type DetailsProps = Pick<AskCardProps, 'draft' | 'quantities' | 'mistakeAt' | 'onChange'>;

/** What only questions of this kind have. */
function Details({ draft, quantities, mistakeAt, onChange }: DetailsProps) {
  const line = (
    field: 'unit' | 'expected' | 'digits' | 'bands' | 'right' | 'leastWords' | 'words',
    label: string,
    width?: string,
  ) => (
    <Line
      label={label}
      value={draft[field]}
      width={width}
      wrong={mistakeAt(field)}
      onValue={(value) => onChange({ [field]: value })}
    />
  );
  const lines = (field: 'rows' | 'columns' | 'options' | 'right', label: string, count: number) => (
    <Line
      label={label}
      lines={count}
      value={draft[field]}
      wrong={mistakeAt(field)}
      onValue={(value) => onChange({ [field]: value })}
    />
  );
  switch (draft.kind) {
    case 'number':
      return (
        <>
          <Against draft={draft} quantities={quantities} onChange={onChange} />
          <div className="flex flex-wrap gap-3">
            {line('unit', 'Unit', 'w-28')}
            {draft.quantity === '' && line('expected', 'Right value, if any', 'w-32')}
            {line('digits', 'Digits expected', 'w-24')}
            {line('bands', draft.unit === '' ? 'Tolerance bands, %' : `Tolerance bands, in % or ${draft.unit}`, 'w-52')}
          </div>
        </>
      );
    case 'name':
      return (
        <>
          <Against draft={draft} quantities={quantities} onChange={onChange} />
          <Line
            label="Options, one a line"
            lines={5}
            value={draft.options}
            wrong={mistakeAt('options')}
            onValue={(options) => onChange({ options })}
          />
          {draft.quantity === '' && line('right', 'Right answer, if any')}
        </>
      );
    case 'ratio':
      return (
        <>
          <Against draft={draft} quantities={quantities} onChange={onChange} />
          {draft.quantity === '' && line('right', 'Right ratio, if any, such as 1 : 2', 'w-40')}
        </>
      );
    case 'equation':
      return (
        <>
          <Against draft={draft} quantities={quantities} onChange={onChange} />
          {draft.quantity === '' && line('right', 'Right equation; without one, any that is balanced')}
        </>
      );
    case 'grid':
      return (
        <>
          <Against draft={draft} quantities={quantities} onChange={onChange} />
          {lines('rows', 'Things, a row each: one a line', 4)}
          {lines('columns', 'Observations, a column each: one a line', 3)}
          {lines('options', 'What can stand in a cell, one a line', 4)}
          {draft.quantity === '' && lines('right', 'Right cells, if any: a line for each row, with ; between', 4)}
        </>
      );
    case 'choice':
      return (
        <>
          <Line
            label="Options, one a line"
            lines={4}
            value={draft.options}
            wrong={mistakeAt('options')}
            onValue={(options) => onChange({ options })}
          />
          <div>
            {line('right', 'Right answer, if any')}
            <label className="mt-2 flex items-center gap-1 text-sm">
              <input
                type="checkbox"
                checked={draft.ownWords}
                onChange={(event) => onChange({ ownWords: event.target.checked })}
              />
              own words are taken too
            </label>
          </div>
        </>
      );
    case 'text':
      return (
        <>
          {line('leastWords', 'Least words', 'w-24')}
          {line('words', 'Words to be used, with commas between')}
        </>
      );
    default:
      return <p className="text-ink-soft text-sm">The student chooses one from the notebook.</p>;
  }
}

function Against({ draft, quantities, onChange }: Pick<DetailsProps, 'draft' | 'quantities' | 'onChange'>) {
  const fitting = quantities.filter((quantity) => quantity.kind === draft.kind);
  return (
    <label className="block text-sm">
      Checked against
      <select
        value={draft.quantity}
        onChange={(event) => {
          const quantity = fitting.find((entry) => entry.key === event.target.value);
          const unit = quantity?.kind === 'number' ? { unit: quantity.unit } : {};
          const options = quantity && 'options' in quantity ? { options: quantity.options.join('\n') } : {};
          const grid =
            quantity?.kind === 'grid' ? { rows: quantity.rows.join('\n'), columns: quantity.columns.join('\n') } : {};
          onChange({ quantity: event.target.value, right: '', ...unit, ...options, ...grid });
        }}
        className={`${INPUT} block h-8 w-full`}
      >
        <option value="">what I give, or nothing</option>
        {fitting.map((quantity) => (
          <option key={quantity.key} value={quantity.key}>
            the sample: {quantity.label}
          </option>
        ))}
      </select>
    </label>
  );
}
