import { useState } from 'react';
import { Button, INPUT } from '@app/ui/form';
import type { AnyAct } from '@app/bench/use-bench';

interface CountBoxProps {
  trial: number;
  /** Why it is left out; null while it counts. */
  leftOut: string | null;
  onAct: (act: AnyAct) => void;
}

/** Leaving a trial out of the results, or taking it back in, with the reason. */
export function CountBox({ trial, leftOut, onAct }: CountBoxProps) {
  const [asking, setAsking] = useState(false);
  const [reason, setReason] = useState('');
  if (asking) {
    return (
      <form
        className="flex gap-1"
        onKeyDown={(event) => event.key === 'Escape' && setAsking(false)}
        onSubmit={(event) => {
          event.preventDefault();
          onAct({ kind: 'count', trial, counts: false, reason });
          setAsking(false);
        }}
      >
        <input
          autoFocus
          aria-label={`Why trial ${trial} does not count`}
          placeholder="why?"
          value={reason}
          onChange={(event) => setReason(event.target.value)}
          className={`${INPUT} h-7 w-28 text-sm`}
          maxLength={120}
        />
        <Button className="!min-h-7 !px-2">Leave out</Button>
      </form>
    );
  }
  const toggle = () => (leftOut === null ? setAsking(true) : onAct({ kind: 'count', trial, counts: true, reason: '' }));
  return (
    <label className="flex items-center gap-1">
      <input type="checkbox" checked={leftOut === null} onChange={toggle} />
      <span>{leftOut ?? 'counts'}</span>
    </label>
  );
}

export const READINGS_TABLE =
  'w-full border-collapse text-sm [&_td]:border-t [&_td]:border-line [&_td]:py-1 [&_td]:pr-3 [&_th]:py-1 [&_th]:pr-3 [&_th]:text-left [&_th]:font-medium [&_th]:text-ink-soft';
