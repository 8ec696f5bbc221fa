import { useId, useState } from 'react';
import type { BenchSlot, Reading } from '@core/notebook/readings';
import { Button, INPUT } from '@app/ui/form';
import { SELECTS_ON_ENTERING } from '@app/ui/selects-on-entering';
import type { Message } from './bench-answers';
import type { AnyAct, Bench } from './use-bench';
import { useRefused } from './use-refused';

export interface ReadingBoxProps {
  /** The reading that is due. */
  slot: BenchSlot;
  trial: number;
  /** The last trial that can be recorded in. */
  last: number;
  onAct: (act: AnyAct) => void;
  /** What the bench said last. */
  message: Message | null;
  /** What has been recorded so far. */
  readings: readonly Reading[];
}

interface Recorded {
  recordableTrial: number;
  readings: readonly Reading[];
}

/** The reading of a slot that is due, at this bench. @param trial another trial than it is due in */
export function readingOf(
  bench: Pick<Bench<Recorded>, 'view' | 'message' | 'act'>,
  slot: BenchSlot | undefined,
  trial = slot?.due ?? 1,
): ReadingBoxProps | null {
  const { view, message, act: onAct } = bench;
  return slot ? { slot, trial, last: view.recordableTrial, message, readings: view.readings, onAct } : null;
}

/** What is read, typed beside what it is read from. The Readings page has the same with every choice. */
export function ReadingBox({ slot, trial: due, last, onAct, message, readings }: ReadingBoxProps) {
  const { text, type, isSent, field } = useRefused(message, readings);
  // Another trial is chosen for one reading, such as one that was struck out there.
  const [chosen, setChosen] = useState<number | null>(null);
  const trial = chosen ?? due;
  const id = useId();
  return (
    <form
      className="flex max-w-full flex-wrap items-center justify-center gap-1"
      onSubmit={(event) => {
        event.preventDefault();
        onAct({ kind: 'record', trial, which: slot.slot, text });
        isSent();
        setChosen(null);
      }}
    >
      <span className="flex basis-full items-center justify-center gap-1">
        <label htmlFor={id}>{slot.label}, trial</label>
        <select
          aria-label="Trial of this reading"
          value={trial}
          onChange={(event) => setChosen(Number(event.target.value))}
          className={`${INPUT} h-7 !py-0`}
        >
          {Array.from({ length: last }, (_, i) => (
            <option key={i}>{i + 1}</option>
          ))}
        </select>
      </span>
      <input
        id={id}
        aria-label={`${slot.label}, trial ${trial}`}
        {...field}
        {...SELECTS_ON_ENTERING}
        value={text}
        onChange={(event) => type(event.target.value)}
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
