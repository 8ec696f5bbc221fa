import type { Column, Table } from '@core/notebook/document';
import { useWorking } from './working-context';

/** Mean, deviation and spread of each column, under a table. */
export function Means({ table, columns }: { table: Table; columns: Column[] }) {
  const { workbook, closed } = useWorking();
  const summaries = columns.map((column) => workbook.summary(table, column));
  if (!summaries.some((summary) => summary && summary.count > 1)) return null;
  const lines = [
    { label: 'mean', of: (s: NonNullable<(typeof summaries)[number]>) => s.mean },
    { label: 's', of: (s: NonNullable<(typeof summaries)[number]>) => s.deviation ?? '' },
    { label: 'spread', of: (s: NonNullable<(typeof summaries)[number]>) => s.spread },
  ];
  return (
    <tfoot>
      {lines.map(({ label, of }, i) => (
        <tr key={label} className={i === 0 ? 'border-ink border-t-2' : ''}>
          <th scope="row" className="text-ink-soft pr-2 text-right text-xs font-normal">
            {label === 's' ? <abbr title="sample standard deviation">s</abbr> : label}
          </th>
          {summaries.map((summary, j) => (
            <td
              key={columns[j]?.id}
              className={`px-1 text-right font-mono ${i === 0 ? 'font-semibold' : 'text-ink-soft'}`}
            >
              {summary && summary.count > 1 ? of(summary) : ''}
            </td>
          ))}
          {!closed && <td className="text-ink-soft pl-2 text-xs">{i === 0 ? countNote(summaries) : ''}</td>}
        </tr>
      ))}
    </tfoot>
  );
}

function countNote(summaries: ({ count: number } | undefined)[]): string {
  const counts = [...new Set(summaries.flatMap((summary) => (summary ? [summary.count] : [])))];
  return counts.length === 1 ? `of ${counts[0]}` : '';
}
