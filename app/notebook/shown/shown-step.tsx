import { useEffect, useRef } from 'react';
import { Button } from '@app/ui/form';
import { Player } from './player';
import { useShown } from './use-shown';

interface ShownStepProps {
  runId: string;
  step: { key: string; label: string };
  onClose: () => void;
}

/** A step of the method, done before one’s eyes on a bench beside one’s own. Nothing of it counts. */
export default function ShownStep({ runId, step, onClose }: ShownStepProps) {
  const shown = useShown(runId, step.key);
  const box = useRef<HTMLElement>(null);
  useEffect(() => box.current?.focus(), []);
  return (
    <section
      ref={box}
      tabIndex={-1}
      role="dialog"
      aria-label="A step is shown"
      className="bg-paper absolute inset-0 z-30 flex flex-col outline-none"
      onKeyDown={(event) => {
        // What is pressed here is not meant for the bench.
        event.stopPropagation();
        if (event.key === 'Escape') onClose();
      }}
    >
      <header className="border-line flex items-start gap-3 border-b px-4 py-2">
        <div className="grow">
          <h2 className="font-serif">{step.label}</h2>
          <p className="text-ink-soft text-sm">Another bench with another sample. Nothing here counts for you.</p>
        </div>
        <Button type="button" look="quiet" className="whitespace-nowrap" onClick={onClose}>
          Back to your notebook
        </Button>
      </header>
      {shown === null && (
        <p className="text-ink-soft p-4" role="status">
          The step is being done for you. This can take some seconds.
        </p>
      )}
      {typeof shown === 'string' && (
        <p className="text-rust p-4" role="status">
          {shown}
        </p>
      )}
      {shown !== null && typeof shown === 'object' && <Player shown={shown} />}
    </section>
  );
}
