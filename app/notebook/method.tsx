import type { Step } from '@core/practicals/contract';

/** The step that is due, always in sight; all steps a press away, to be ticked in any order. */
export function Method({
  steps,
  closed,
  onTick,
}: {
  steps: Step[];
  closed: boolean;
  onTick: (step: Step, on: boolean) => void;
}) {
  const due = steps.find((step) => !step.done);
  const done = steps.filter((step) => step.done).length;
  return (
    <details className="border-line bg-mist border-b px-4 py-2 text-sm" data-testid="method">
      <summary>
        <span className="text-ink-soft">
          {done} of {steps.length}.
        </span>{' '}
        <strong className="font-medium">{due ? due.label : 'Every step is done: work it out and hand in'}</strong>
      </summary>
      <ol className="mt-1">
        {steps.map((step) => (
          <li key={step.key}>
            <label className="flex items-baseline gap-2">
              <input
                type="checkbox"
                checked={step.done}
                disabled={closed}
                onChange={(event) => onTick(step, event.target.checked)}
              />
              {step.label}
            </label>
          </li>
        ))}
      </ol>
    </details>
  );
}
