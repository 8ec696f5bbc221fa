import { useId } from 'react';
import { imbalance, readEquation } from '@core/chemistry/chemical-equation';
import { gridOf, gridText, withCell } from '@core/report/grid';
import { Formula } from '@app/ui/formula';
import { INPUT } from '@app/ui/form';
import { Frame, useAnswer, wrongAt, type FieldProps } from './field-frame';

/** Fields that few reports have: fetched when one of them does. */

/** An equation, typed on one line; under it how it is read, and whether it is balanced. */
export function EquationField({ ask, live, mistake, closed }: FieldProps<'equation'>) {
  const id = useId();
  const [answer, set] = useAnswer(live, ask.key);
  const read = answer.text.trim() === '' ? null : readEquation(answer.text);
  const note = read && ('sentence' in read ? read.sentence : imbalance(read));
  return (
    <Frame ask={ask} id={id} live={live} mistake={mistake}>
      <input
        id={id}
        value={answer.text}
        onChange={(event) => set({ text: event.target.value })}
        disabled={closed}
        placeholder="2 H2 + O2 -> 2 H2O"
        className={`${INPUT} !text-heather w-full max-w-[520px] font-mono`}
        maxLength={300}
        autoComplete="off"
        spellCheck={false}
        aria-describedby={`${id}-read`}
        aria-invalid={wrongAt(mistake, ask.key) ? true : undefined}
      />
      <p id={`${id}-read`} className="text-ink-soft mt-1 text-sm" role="status">
        {read === null ? (
          'Numbers on the line, charges at the end: Ca2+, SO4^2-. An arrow is ->.'
        ) : 'sentence' in read ? (
          read.sentence
        ) : (
          <>
            <span className="font-serif">
              <Formula>{asPrinted(answer.text)}</Formula>
            </span>
            {note ? `. ${note}` : ', balanced'}
          </>
        )}
      </p>
    </Frame>
  );
}

const asPrinted = (text: string) => text.replace(/<?[-=]+>|=/gu, '→');

/** A cell of each named thing for each observation, chosen from what is offered. */
export function GridField({ ask, live, mistake, closed }: FieldProps<'grid'>) {
  const id = useId();
  const [answer, set] = useAnswer(live, ask.key);
  const grid = gridOf(answer.text, ask);
  return (
    <Frame ask={ask} id={`${id}-0-0`} live={live} mistake={mistake}>
      <div className="overflow-x-auto" tabIndex={0} role="region" aria-label={ask.label}>
        <table className="text-sm">
          <thead>
            <tr>
              <td />
              {ask.columns.map((column) => (
                <th key={column} scope="col" className="px-2 py-1 text-left font-medium">
                  {column}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {ask.rows.map((row, i) => (
              <tr key={row} className="border-line border-t">
                <th scope="row" className="py-1 pr-3 text-left font-medium">
                  {row}
                </th>
                {ask.columns.map((column, j) => (
                  <td key={column} className="px-1 py-1">
                    <select
                      id={`${id}-${i}-${j}`}
                      aria-label={`${row}, ${column}`}
                      value={grid[i]?.[j] ?? ''}
                      disabled={closed}
                      onChange={(event) => set({ text: gridText(withCell(grid, i, j, event.target.value)) })}
                      className={`${INPUT} !text-heather h-8 py-0`}
                    >
                      <option value="">choose</option>
                      {ask.options.map((option) => (
                        <option key={option}>{option}</option>
                      ))}
                    </select>
                  </td>
                ))}
              </tr>
            ))}
          </tbody>
        </table>
      </div>
    </Frame>
  );
}
