import type { Trace } from '@core/notebook/trace';
import { MomentButton } from './moment';

/** The way back from a number, step under step, to the readings and the bench as it stood. */
export function TraceView({ trace }: { trace: Trace }) {
  return (
    <ul className="border-line mt-1 ml-1 border-l pl-3 text-sm" data-testid="trace">
      <Step trace={trace} />
    </ul>
  );
}

function Step({ trace }: { trace: Trace }) {
  return (
    <li className="py-[1px]">
      <span className="flex flex-wrap items-baseline gap-x-2">
        <span>{trace.label}</span> {trace.text && <span className="text-heather font-mono">{trace.text}</span>}{' '}
        {trace.how && <span className="text-ink-soft">{trace.how}</span>}{' '}
        {trace.reading && <MomentButton moment={{ reading: trace.reading.index }} />}
      </span>
      {trace.from.length > 0 && (
        <ul className="border-line ml-1 border-l pl-3">
          {trace.from.map((step, i) => (
            <Step key={i} trace={step} />
          ))}
        </ul>
      )}
    </li>
  );
}
