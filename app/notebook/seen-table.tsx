import { memo } from 'react';
import type { SeenLine } from '@core/notebook/readings';
import { benchClock } from '@app/ui/bench-clock';
import { READINGS_TABLE } from './count-box';

/** What vessels showed, in the order in which it was seen. */
export const SeenTable = memo(function SeenTable({ seen }: { seen: readonly SeenLine[] }) {
  return (
    <table className={READINGS_TABLE} data-testid="seen">
      <thead>
        <tr>
          <th scope="col">Time</th>
          <th scope="col">In</th>
          <th scope="col">Put in</th>
          <th scope="col">What showed</th>
        </tr>
      </thead>
      <tbody>
        {seen.map(({ atS, where, put, showed }, i) => (
          <tr key={i} className="align-baseline">
            <td className="text-ink-soft font-mono">{benchClock(atS)}</td>
            <td className="min-w-16">{where}</td>
            <td>{put}</td>
            <td>{showed}</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
});
