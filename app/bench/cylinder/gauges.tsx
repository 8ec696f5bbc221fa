import { SLOTS, type Slot } from '@core/practicals/cylinder/plan';
import type { Shown } from '@core/practicals/cylinder/texts';

/** What the counters show of the stretch, each with how uncertain it is. */
export function Gauges({
  slots,
  counters,
  uncertainties,
}: {
  slots: readonly Slot[];
  counters: Shown;
  uncertainties: Shown;
}) {
  return (
    <dl className="grid grid-cols-[1fr_auto_auto_auto] items-baseline gap-x-2 text-sm" data-testid="counters">
      {slots.map((slot) => (
        <div key={slot} className="contents">
          <dt>{SLOTS[slot].short}</dt>
          <dd className="text-right font-mono tabular-nums" data-testid={`counter-${slot}`}>
            {counters[slot] ?? '–'}
          </dd>
          <dd className="text-ink-soft font-mono tabular-nums">
            {uncertainties[slot] ? `± ${uncertainties[slot]}` : ''}
          </dd>
          <dd className="text-ink-soft">{SLOTS[slot].unit}</dd>
        </div>
      ))}
    </dl>
  );
}
