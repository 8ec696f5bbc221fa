import { Popover } from 'radix-ui';
import { useState } from 'react';
import type { Row, Table } from '@core/notebook/document';
import { lineOfRow, trialOfRow } from '@core/notebook/readings';
import { Button, INPUT } from '@app/ui/form';
import { useWorking } from './working-context';

/** The number of a row, and what can be done with it: left out with a reason, taken back in, removed. */
export function RowMenu({ table, row, name, label }: { table: Table; row: Row; name: string; label: string }) {
  const { edit, closed, onCountTrial, onDropped } = useWorking();
  const [open, setOpen] = useState(false);
  const [reason, setReason] = useState('');
  const trial = trialOfRow(row.id);
  const isOfBench = trial !== undefined || lineOfRow(row.id) !== undefined;
  if (closed) return <span className="text-ink-soft font-mono text-xs">{label}</span>;
  const leaveOut = (why: string | null) => {
    setOpen(false);
    setReason('');
    if (trial === undefined) edit({ kind: 'leaveOut', table: table.id, row: row.id, reason: why });
    else onCountTrial(trial, why);
  };
  const remove = () => {
    setOpen(false);
    if (edit({ kind: 'dropRows', table: table.id, rows: [row.id] }))
      onDropped({
        what: `${name} of ${table.name}`,
        back: () => edit({ kind: 'addRows', table: table.id, rows: [row] }),
      });
  };
  return (
    <Popover.Root open={open} onOpenChange={setOpen}>
      <Popover.Trigger
        className="text-ink-soft hover:text-water min-h-6 min-w-6 px-1 font-mono text-xs"
        aria-label={`${name}: leave out${isOfBench ? '' : ' or remove'}`}
      >
        {label}
      </Popover.Trigger>
      <Popover.Portal>
        <Popover.Content align="start" className="border-line-strong bg-paper z-30 border p-3 text-sm shadow">
          {row.out === null ? (
            <form
              className="flex items-end gap-2"
              onSubmit={(event) => {
                event.preventDefault();
                if (reason.trim() !== '') leaveOut(reason.trim());
              }}
            >
              <label>
                Leave {name} out, because
                <input
                  autoFocus
                  value={reason}
                  onChange={(event) => setReason(event.target.value)}
                  className={`${INPUT} mt-1 block w-52`}
                  maxLength={200}
                />
              </label>
              <Button disabled={reason.trim() === ''}>Leave out</Button>
            </form>
          ) : (
            <Button type="button" onClick={() => leaveOut(null)}>
              Take {name} back in
            </Button>
          )}
          {!isOfBench && (
            <button type="button" className="text-rust mt-3 min-h-6 underline" onClick={remove}>
              Remove {name}
            </button>
          )}
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}
