import { useId } from 'react';
import type { Notebook } from '@core/notebook/document';
import type { Ask } from '@core/report/asks';
import { INPUT, Wrong } from '@app/ui/form';
import { lazyPiece } from '@app/ui/lazy-piece';
import { unitOptions } from './unit-options';
import { Displaced, Frame, useAnswer, wrongAt, type FieldProps, type FieldsProps } from './field-frame';

export type { FieldsProps };

const picker = () => import('./picker');
const Picker = lazyPiece(
  () => picker().then((module) => module.Picker),
  <span className="text-ink-soft text-sm">…</span>,
);
const rare = () => import('./rare-fields');
const EquationField = lazyPiece(() => rare().then((module) => module.EquationField), null);
const GridField = lazyPiece(() => rare().then((module) => module.GridField), null);
const Provenance = lazyPiece(() => picker().then((module) => module.Provenance), null);

/** Fetches what fields load when they are first shown. */
export const prefetchFields = () => Promise.all([Picker.prefetch(), Provenance.prefetch(), EquationField.prefetch()]);

/** Brings the field of a question, or the page of readings, before the eye and under the hand. */
export function goToAsk(field: string): void {
  const place = document.querySelector(field === 'readings' ? '#reading' : `[data-ask="${CSS.escape(field)}"]`);
  const control = place?.matches('input') ? place : place?.querySelector('input, select, textarea');
  place?.scrollIntoView({ block: 'center' });
  if (control instanceof HTMLElement) control.focus();
}

function NumberField({ ask, live, bench, mistake, closed }: FieldProps<'number'>) {
  const id = useId();
  const [answer, set] = useAnswer(live, ask.key);
  return (
    <Frame ask={ask} id={id} live={live} mistake={mistake}>
      <span className="flex flex-wrap items-center gap-2">
        <input
          id={id}
          value={answer.text}
          onChange={(event) => set({ text: event.target.value, unit: answer.unit })}
          disabled={closed}
          className={`${INPUT} !text-heather w-40 text-right font-mono`}
          inputMode="decimal"
          autoComplete="off"
          maxLength={60}
          aria-invalid={wrongAt(mistake, ask.key) ? true : undefined}
        />
        {ask.unit !== '' && (
          <select
            aria-label={`Unit of: ${ask.label}`}
            value={answer.unit ?? ''}
            onChange={(event) => set({ ...answer, unit: event.target.value })}
            disabled={closed}
            className={INPUT}
          >
            <option value="">unit?</option>
            {unitOptions(ask.unit).map((unit) => (
              <option key={unit}>{unit}</option>
            ))}
          </select>
        )}
        {!closed && <Picker notebook={live.notebook} bench={bench} label={ask.label} onPick={set} />}
      </span>
      <Provenance notebook={live.notebook} bench={bench} answer={answer} />
    </Frame>
  );
}

function ListField({ ask, live, mistake, closed }: FieldProps<'name'>) {
  const id = useId();
  const [answer, set] = useAnswer(live, ask.key);
  return (
    <Frame ask={ask} id={id} live={live} mistake={mistake}>
      <select
        id={id}
        value={answer.text}
        onChange={(event) => set({ text: event.target.value })}
        disabled={closed}
        className={`${INPUT} !text-heather`}
      >
        <option value="">choose</option>
        {ask.options.map((option) => (
          <option key={option}>{option}</option>
        ))}
      </select>
    </Frame>
  );
}

function RatioField({ ask, live, mistake, closed }: FieldProps<'ratio'>) {
  const id = useId();
  const [answer, set] = useAnswer(live, ask.key);
  return (
    <Frame ask={ask} id={id} live={live} mistake={mistake}>
      <input
        id={id}
        value={answer.text}
        onChange={(event) => set({ text: event.target.value })}
        disabled={closed}
        placeholder="whole numbers"
        className={`${INPUT} !text-heather w-28 font-mono`}
        maxLength={40}
        autoComplete="off"
      />
    </Frame>
  );
}

function ChoiceField({ ask, live, mistake, closed }: FieldProps<'choice'>) {
  const id = useId();
  const [answer, set] = useAnswer(live, ask.key);
  const isOwn = answer.text !== '' && !ask.options.includes(answer.text);
  const wrong = wrongAt(mistake, ask.key);
  return (
    <fieldset className="mb-5" data-ask={ask.key}>
      <legend className="mb-1 font-medium">{ask.label}</legend>
      {ask.help && <p className="text-ink-soft mb-1 text-sm">{ask.help}</p>}
      {ask.options.map((option) => (
        <label key={option} className="flex items-baseline gap-2 py-[1px]">
          <input
            type="radio"
            name={id}
            checked={answer.text === option}
            disabled={closed}
            onChange={() => set({ text: option })}
          />
          {option}
        </label>
      ))}
      {ask.ownWords && (
        <label className="flex items-center gap-2 py-[1px]">
          <input type="radio" name={id} checked={isOwn} disabled={closed} readOnly tabIndex={-1} aria-hidden />
          <input
            aria-label={`${ask.label}: in your own words`}
            placeholder="in your own words"
            value={isOwn ? answer.text : ''}
            disabled={closed}
            onChange={(event) => set({ text: event.target.value })}
            className={`${INPUT} !text-heather min-w-0 grow`}
            maxLength={300}
          />
        </label>
      )}
      {wrong && <Wrong>{wrong}</Wrong>}
      <Displaced live={live} askKey={ask.key} />
    </fieldset>
  );
}

const wordsIn = (text: string) => text.split(/\s+/u).filter((word) => /[\p{L}\p{N}]/u.test(word)).length;

function TextField({ ask, live, mistake, closed }: FieldProps<'text'>) {
  const id = useId();
  const [answer, set] = useAnswer(live, ask.key);
  const plain = answer.text.toLowerCase();
  const unused = ask.words.filter((word) => !plain.includes(word.toLowerCase()));
  const missing = Math.max(ask.leastWords - wordsIn(answer.text), 0);
  return (
    <Frame ask={ask} id={id} live={live} mistake={mistake}>
      <textarea
        id={id}
        rows={ask.leastWords > 8 ? 4 : 3}
        value={answer.text}
        onChange={(event) => set({ text: event.target.value })}
        disabled={closed}
        className={`${INPUT} !text-heather w-full font-serif`}
        maxLength={6000}
        aria-describedby={`${id}-count`}
        aria-invalid={wrongAt(mistake, ask.key) ? true : undefined}
      />
      <p id={`${id}-count`} className="text-ink-soft text-sm">
        {missing > 0 && `${missing} more ${missing === 1 ? 'word' : 'words'} at least. `}
        {unused.length > 0 && `Use: ${unused.join(', ')}.`}
      </p>
    </Frame>
  );
}

function AttachmentField({ ask, live, mistake, closed }: FieldProps<'sketch' | 'table' | 'graph'>) {
  const id = useId();
  const [answer, set] = useAnswer(live, ask.key);
  const list: { id: string; name: string }[] =
    live.notebook[
      `${ask.kind}${ask.kind === 'sketch' ? 'es' : 's'}` as keyof Pick<Notebook, 'tables' | 'graphs' | 'sketches'>
    ];
  return (
    <Frame ask={ask} id={id} live={live} mistake={mistake}>
      {list.length === 0 ? (
        <p className="text-ink-soft text-sm">
          There is no {ask.kind} in your notebook yet. Make one on the Working page, then choose it here.
        </p>
      ) : (
        <select
          id={id}
          value={answer.text}
          onChange={(event) => set({ text: event.target.value })}
          disabled={closed}
          className={`${INPUT} !text-heather`}
        >
          <option value="">choose</option>
          {list.map((item) => (
            <option key={item.id} value={item.id}>
              {item.name}
            </option>
          ))}
        </select>
      )}
    </Frame>
  );
}

/** The field that goes with a question. */
export function AskField({ ask, ...props }: FieldsProps & { ask: Ask }) {
  switch (ask.kind) {
    case 'number':
      return <NumberField ask={ask} {...props} />;
    case 'name':
      return <ListField ask={ask} {...props} />;
    case 'ratio':
      return <RatioField ask={ask} {...props} />;
    case 'equation':
      return <EquationField ask={ask} {...props} />;
    case 'grid':
      return <GridField ask={ask} {...props} />;
    case 'choice':
      return <ChoiceField ask={ask} {...props} />;
    case 'text':
      return <TextField ask={ask} {...props} />;
    default:
      return <AttachmentField ask={ask} {...props} />;
  }
}
