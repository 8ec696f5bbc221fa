import type { Step } from '@core/practicals/contract';

/** A run's way through its steps: a mark for each, filled when done. */
export function StepStrip({ steps }: { steps: Step[] }) {
  const done = steps.filter((step) => step.done).length;
  if (steps.length === 0) return null;
  return (
    <span role="img" aria-label={`${done} of ${steps.length} steps`} className="inline-flex items-center gap-[3px]">
      {steps.map((step) => (
        <span
          key={step.key}
          title={`${step.label}${step.done ? ': done' : ''}`}
          className={`border-reed h-3 w-2 border ${step.done ? 'bg-reed' : ''}`}
        />
      ))}
    </span>
  );
}
