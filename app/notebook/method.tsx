import { Button } from '@app/ui/form';
import type { Step } from '@core/practicals/contract';

interface MethodProps {
  steps: readonly Step[];
  closed: boolean;
  onTick: (step: Step, on: boolean) => void;
  /** Has a step done before one’s eyes; left out where that is not allowed. */
  onShow?: (step: Step) => void;
}

/** The step that is due, always in sight; all steps a press away, to be ticked in any order. */
export function Method({ steps, closed, onTick, onShow }: MethodProps) {
  const due = steps.find((step) => !step.done);
  const done = steps.filter((step) => step.done).length;
  if (steps.length === 0) return null;
  return (
    <div className="border-line bg-mist flex items-start gap-3 border-b px-4 py-2 text-sm">
      <details className="grow" data-testid="method">
        <summary>
          <span className="text-ink-soft">
            {done} of {steps.length}.
          </span>{' '}
          <strong className="font-medium">{due ? due.label : 'Every step is done: work it out and hand in'}</strong>
        </summary>
        <ol className="mt-1">
          {steps.map((step) => (
            <li key={step.key} className="flex items-baseline gap-3">
              <label className="flex grow items-baseline gap-2">
                <input
                  type="checkbox"
                  checked={step.done}
                  disabled={closed}
                  onChange={(event) => onTick(step, event.target.checked)}
                />
                {step.label}
              </label>
              {onShow && (
                <button
                  type="button"
                  className="text-water min-h-6 shrink-0 underline"
                  onClick={() => onShow(step)}
                  aria-label={`Show me: ${step.label}`}
                >
                  Show me
                </button>
              )}
            </li>
          ))}
        </ol>
      </details>
      {onShow && due && (
        <Button type="button" look="quiet" className="whitespace-nowrap" onClick={() => onShow(due)}>
          Show me
        </Button>
      )}
    </div>
  );
}
