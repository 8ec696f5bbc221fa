import { useState } from 'react';
import { CONSTANTS } from '@core/databook/constants';
import { Button, INPUT } from '@app/ui/form';
import { shortId } from '@app/ui/new-id';
import { FormulaText } from '../symbol-text';
import { Section } from './section';
import { useWorking } from './working-context';

/** The calculator: each line stays, with its result, and can be used by name further on. */
export function Calculator() {
  const { workbook, edit, closed } = useWorking();
  const { calculations } = workbook.notebook;
  const [text, setText] = useState('');
  const last = calculations.at(-1);
  const told = last && workbook.result(last);
  if (closed && calculations.length === 0) return null;
  return (
    <Section name="Calculations" kind="calculations" closed={closed}>
      {!closed && (
        <p role="status" className="sr-only">
          {told && last && `${last.text}: ${told.problem ?? `${told.text} ${told.unit}`}`}
        </p>
      )}
      <ol>
        {calculations.map((calculation) => {
          const { text: result, unit, problem } = workbook.result(calculation);
          return (
            <li key={calculation.id} className="border-line flex flex-wrap items-baseline gap-x-3 border-b py-1">
              <Line
                text={calculation.text}
                closed={closed}
                onCommit={(next) => edit({ kind: 'putCalculation', calculation: { ...calculation, text: next } })}
              />
              {problem ? (
                <span className="text-rust text-sm">{problem}</span>
              ) : (
                <span className="font-mono font-semibold" data-testid="result">
                  = {result} {unit}
                </span>
              )}
              {!closed && (
                <button
                  type="button"
                  className="text-rust ml-auto min-h-6 text-sm underline"
                  aria-label={`Remove ${calculation.text}`}
                  onClick={() => edit({ kind: 'dropCalculation', calculation: calculation.id })}
                >
                  Remove
                </button>
              )}
            </li>
          );
        })}
      </ol>
      {!closed && (
        <form
          className="mt-2 flex gap-2"
          onSubmit={(event) => {
            event.preventDefault();
            if (text.trim() === '') return;
            edit({ kind: 'putCalculation', calculation: { id: shortId(), text: text.trim() } });
            setText('');
          }}
        >
          <input
            aria-label="Calculation"
            value={text}
            onChange={(event) => setText(event.target.value)}
            placeholder="name = formula, for instance with mean(V)"
            className={`${INPUT} !text-heather min-w-0 grow font-mono`}
            maxLength={300}
            autoComplete="off"
          />
          <Button>Work out</Button>
        </form>
      )}
      {!closed && (
        <details className="mt-1 text-sm">
          <summary className="text-ink-soft">What a line can hold</summary>
          <p>
            Numbers with units, and results by their name. Columns as mean(V), sd(V), se(V), spread(V), sum(V), min,
            max, count. Also sqrt, ln, log10, exp. “→ unit” or “-&gt; unit” at the end chooses the unit. A whole number
            without decimals counts as exact.
          </p>
          <table className="mt-1 text-sm">
            <tbody>
              {CONSTANTS.map(({ symbol, name, value, unit, source }) => (
                <tr key={symbol}>
                  <td className="pr-3 font-mono">{symbol}</td>
                  <td className="pr-3">{name}</td>
                  <td className="font-mono" title={source}>
                    {value} {unit}
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
        </details>
      )}
    </Section>
  );
}

function Line({ text, closed, onCommit }: { text: string; closed: boolean; onCommit: (text: string) => void }) {
  const [typed, setTyped] = useState<string | null>(null);
  if (closed)
    return (
      <span className="text-heather">
        <FormulaText text={text} />
      </span>
    );
  const commit = () => {
    if (typed !== null && typed.trim() !== '' && typed !== text) onCommit(typed.trim());
    setTyped(null);
  };
  return (
    <input
      aria-label="Calculation, kept"
      value={typed ?? text}
      size={Math.max((typed ?? text).length, 8)}
      onChange={(event) => setTyped(event.target.value)}
      onBlur={commit}
      onKeyDown={(event) => event.key === 'Enter' && event.currentTarget.blur()}
      maxLength={300}
      className="text-heather hover:border-line-strong max-w-full rounded-[2px] border border-transparent bg-transparent font-mono"
    />
  );
}
