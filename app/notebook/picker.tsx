import { Popover } from 'radix-ui';
import { useMemo, useState } from 'react';
import type { Answer, Notebook } from '@core/notebook/document';
import type { BenchRecordings } from '@core/notebook/readings';
import { pickables, trace, valueOf, type Pickable } from '@core/notebook/trace';
import { Workbook } from '@core/notebook/workbook';
import { Button } from '@app/ui/form';
import { TraceView } from './trace-view';

export function useWorkbook(notebook: Notebook, bench: BenchRecordings): Workbook {
  const { readings, trial, leftOut, logged } = bench;
  return useMemo(
    () => new Workbook(notebook, { readings, trial, leftOut, logged }),
    [notebook, readings, trial, leftOut, logged],
  );
}

/** The number as the report takes it: with a point and an ordinary minus, its uncertainty behind it. */
const asTyped = (text: string) => text.replaceAll('\u202f', ' ').replaceAll('\u2212', '-');

interface PickerProps {
  notebook: Notebook;
  bench: BenchRecordings;
  label: string;
  onPick: (answer: Answer) => void;
}

/** Puts a number of the notebook into the report, with the way back to where it came from. */
export function Picker({ notebook, bench, label, onPick }: PickerProps) {
  const [open, setOpen] = useState(false);
  return (
    <Popover.Root open={open} onOpenChange={setOpen}>
      <Popover.Trigger asChild>
        <Button type="button" aria-label={`Take from the notebook: ${label}`}>
          Take from the notebook
        </Button>
      </Popover.Trigger>
      <Popover.Portal>
        <Popover.Content
          align="end"
          sideOffset={4}
          className="border-line-strong bg-paper z-30 max-h-80 w-96 max-w-[90vw] overflow-y-auto border p-3 shadow"
        >
          <Choices
            notebook={notebook}
            bench={bench}
            onPick={(entry) => {
              onPick({ text: asTyped(entry.text), unit: entry.unit, from: entry.origin });
              setOpen(false);
            }}
          />
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}

function Choices({
  notebook,
  bench,
  onPick,
}: Pick<PickerProps, 'notebook' | 'bench'> & { onPick: (entry: Pickable) => void }) {
  const workbook = useWorkbook(notebook, bench);
  const entries = useMemo(() => pickables(workbook), [workbook]);
  if (entries.length === 0)
    return (
      <p className="text-sm">
        There is no number to take yet. Work one out on the Working page: in a column, by a line through points, or in a
        calculation.
      </p>
    );
  return (
    <ul className="text-sm">
      {entries.map((entry) => (
        <li key={JSON.stringify(entry.origin)}>
          <button
            type="button"
            className="hover:bg-mist focus:bg-mist flex w-full items-baseline gap-3 px-1 py-[3px] text-left"
            onClick={() => onPick(entry)}
          >
            <span className="min-w-0 grow">{entry.label}</span>
            <span className="text-heather font-mono whitespace-nowrap">
              {entry.text} {entry.unit}
            </span>
          </button>
        </li>
      ))}
    </ul>
  );
}

/** Where the number in a field came from: the way back, or that a hand typed it. */
export function Provenance({
  notebook,
  bench,
  answer,
}: {
  notebook: Notebook;
  bench: BenchRecordings;
  answer: Answer;
}) {
  const workbook = useWorkbook(notebook, bench);
  if (answer.text.trim() === '') return null;
  if (!answer.from) return <p className="text-ink-soft mt-1 text-sm">Typed by hand.</p>;
  const now = valueOf(workbook, answer.from);
  const way = trace(workbook, answer.from);
  if (!now || !way)
    return <p className="text-sedge mt-1 text-sm">Taken from something that is no longer in the notebook.</p>;
  const isOld = asTyped(now.text) !== answer.text || (answer.unit ?? '') !== now.unit;
  return (
    <details className="mt-1 text-sm">
      <summary>
        Taken from the notebook: {now.label}
        {isOld && (
          <span className="text-sedge">
            , which is {asTyped(now.text)} {now.unit} now
          </span>
        )}
      </summary>
      <TraceView trace={way} />
    </details>
  );
}
