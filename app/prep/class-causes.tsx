import { fixed } from '@core/analysis/quantity';
import type { ClassCause } from '@core/report/class-results';

interface CausesProps {
  causes: { title: string; causes: ClassCause[]; runs: number; pending: number };
  named: boolean;
}

/** Which causes of error cost the class most, over the last hand-ins. */
export function Causes({ causes, named }: CausesProps) {
  const told = causes.causes.filter((cause) => cause.largestFor > 0 || cause.mostPercent >= 0.05);
  if (causes.runs === 0 && causes.pending === 0) return null;
  return (
    <section className="mb-6 max-w-[760px]">
      {named && <h3 className="font-medium">{causes.title}</h3>}
      {causes.pending > 0 && <p className="text-ink-soft text-sm">Being worked out for {causes.pending} more.</p>}
      <table className="[&_tr]:border-line w-full border-collapse text-sm [&_td]:px-2 [&_td]:py-[2px] [&_th]:py-[2px] [&_th]:text-left [&_tr]:border-t">
        <thead>
          <tr className="text-ink-soft">
            <th scope="col">Cause</th>
            <th scope="col" colSpan={2}>
              largest for
            </th>
            <th scope="col" className="!text-right">
              median
            </th>
            <th scope="col" className="!text-right">
              most
            </th>
          </tr>
        </thead>
        <tbody>
          {told.map((cause) => (
            <tr key={cause.key}>
              <th scope="row" className="font-normal">
                {cause.label}
              </th>
              <td className="font-mono whitespace-nowrap">
                {cause.largestFor} of {causes.runs}
              </td>
              <td className="w-[26%]">
                <svg viewBox="0 0 100 10" preserveAspectRatio="none" className="h-2 w-full" aria-hidden>
                  <rect width={(100 * cause.largestFor) / causes.runs} height={10} className="fill-heather" />
                </svg>
              </td>
              <td className="text-right font-mono">{fixed(cause.medianPercent, 2)} %</td>
              <td className="text-right font-mono">{fixed(cause.mostPercent, 2)} %</td>
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  );
}
