import { useId, useState } from 'react';
import type { BenchSlot } from '@core/notebook/readings';
import { Button, INPUT } from '@app/ui/form';
import type { AnyAct } from './use-bench';

export interface ReadingBoxProps {
  /** The reading that is due. */
  slot: BenchSlot;
  trial: number;
  onAct: (act: AnyAct) => void;
}

/** What is read, typed beside what it is read from. The Readings page has the same with every choice. */
export function ReadingBox({ slot, trial, onAct }: ReadingBoxProps) {
  const [text, setText] = useState('');
  const id = useId();
  return (
    <form
      className="flex max-w-full flex-wrap items-center justify-center gap-1"
      onSubmit={(event) => {
        event.preventDefault();
        onAct({ kind: 'record', trial, which: slot.slot, text });
        setText('');
      }}
    >
      <label htmlFor={id} className="basis-full text-center">
        {slot.label}, trial {trial}
      </label>
      <input
        id={id}
        value={text}
        onChange={(event) => setText(event.target.value)}
        className={`${INPUT} !text-heather h-7 w-[4.5rem] !py-0 text-right font-mono`}
        inputMode="decimal"
        autoComplete="off"
        maxLength={40}
      />
      {slot.unit}
      <Button look="main" className="!min-h-7 !px-2" aria-label={`Record the ${slot.label}, trial ${trial}`}>
        Record
      </Button>
    </form>
  );
}
