import { memo, useState } from 'react';
import type { AnyView } from '@core/practicals/registry';
import { ownReading, readingFor, recordingsOf, type Reading } from '@core/notebook/readings';
import { drawingOf } from '@app/bench/every-drawing';
import type { Message } from '@app/bench/bench-answers';
import type { AnyAct } from '@app/bench/use-bench';
import { useRefused } from '@app/bench/use-refused';
import { benchClock } from '@app/ui/bench-clock';
import { capital } from '@app/ui/capital';
import { Button, INPUT } from '@app/ui/form';
import { SELECTS_ON_ENTERING } from '@app/ui/selects-on-entering';
import { CountBox, READINGS_TABLE } from './count-box';
import { SeenTable } from './seen-table';

interface ReadingsProps {
  view: AnyView;
  /** What the bench said last. */
  message: Message | null;
  closed: boolean;
  onAct: (act: AnyAct) => void;
}

/** What the student reads on an instrument, typed as read. */
function RecordForm({ view, message, onAct }: Pick<ReadingsProps, 'view' | 'message' | 'onAct'>) {
  const { due } = drawingOf(view.family);
  const [chosen, setChosen] = useState<{ trial: number; slot: string } | null>(null);
  const { text, type, isSent, field } = useRefused(message, view.readings);
  const { trial, slot } = chosen ?? due(view);
  const typed = view.slots.filter((one) => one.typed);
  const here = typed.find((one) => one.slot === slot) ?? typed[0];
  if (!here) return null;
  return (
    <form
      className="bg-mist flex flex-wrap items-end gap-x-3 gap-y-2 p-3"
      onSubmit={(event) => {
        event.preventDefault();
        onAct({ kind: 'record', trial, which: here.slot, text });
        isSent();
        setChosen(null);
      }}
    >
      <label className="text-sm">
        Trial
        <select
          value={trial}
          onChange={(event) => setChosen({ slot: here.slot, trial: Number(event.target.value) })}
          className={`${INPUT} block h-8`}
        >
          {Array.from({ length: view.recordableTrial }, (_, i) => i + 1).map((number) => (
            <option key={number}>{number}</option>
          ))}
        </select>
      </label>
      <label className="text-sm">
        Reading
        <select
          value={here.slot}
          onChange={(event) => setChosen({ trial, slot: event.target.value })}
          className={`${INPUT} block h-8`}
        >
          {typed.map((one) => (
            <option key={one.slot} value={one.slot}>
              {one.label}
            </option>
          ))}
        </select>
      </label>
      <label className="text-sm">
        {capital(here.instrument)}, as you read it
        <span className="flex items-center gap-1">
          <input
            id="reading"
            {...field}
            {...SELECTS_ON_ENTERING}
            value={text}
            onChange={(event) => type(event.target.value)}
            className={`${INPUT} !text-heather h-8 w-24 text-right font-mono`}
            inputMode="decimal"
            autoComplete="off"
            maxLength={40}
          />
          {here.unit}
        </span>
      </label>
      <Button look="main">Record</Button>
    </form>
  );
}

/** Puts a reading into the trial that it belongs to. */
function MoveReading({
  reading,
  last,
  label,
  onAct,
}: {
  reading: Reading;
  last: number;
  label: string;
  onAct: (act: AnyAct) => void;
}) {
  return (
    <select
      aria-label={`Trial of the ${label}, ${reading.text} ${reading.unit}`}
      title="Move it to another trial"
      value={reading.trial}
      onChange={(event) =>
        onAct({ kind: 'move', trial: reading.trial, which: reading.slot, to: Number(event.target.value) })
      }
      className={`${INPUT} h-6 !py-0 text-xs`}
    >
      {Array.from({ length: Math.max(last, reading.trial) }, (_, i) => (
        <option key={i} value={i + 1}>
          trial {i + 1}
        </option>
      ))}
    </select>
  );
}

function StrikeButton({
  trial,
  which,
  label,
  onAct,
}: {
  trial: number;
  which: string;
  label: string;
  onAct: (act: AnyAct) => void;
}) {
  const [asking, setAsking] = useState(false);
  const [reason, setReason] = useState('');
  if (!asking) {
    return (
      <button
        type="button"
        data-strike
        className="text-water min-h-6 text-xs underline"
        onClick={() => setAsking(true)}
        aria-label={`Strike out trial ${trial}, ${label} reading`}
      >
        strike out
      </button>
    );
  }
  return (
    <form
      className="flex gap-1"
      onKeyDown={(event) => {
        if (event.key !== 'Escape') return;
        const line = event.currentTarget.closest('li');
        setAsking(false);
        setTimeout(() => line?.querySelector<HTMLElement>('[data-strike]')?.focus(), 0);
      }}
      onSubmit={(event) => {
        event.preventDefault();
        event.currentTarget.closest('li')?.focus();
        onAct({ kind: 'strike', trial, which, reason });
        setAsking(false);
      }}
    >
      <input
        autoFocus
        aria-label="Why this reading is struck out"
        placeholder="why?"
        value={reason}
        onChange={(event) => setReason(event.target.value)}
        className={`${INPUT} h-7 w-24 text-sm`}
        maxLength={120}
      />
      <Button className="!min-h-7 !px-2">Strike</Button>
    </form>
  );
}

/** Each trial with the readings that hold in it. */
function TrialTable({ view, closed, onAct }: Pick<ReadingsProps, 'view' | 'closed' | 'onAct'>) {
  const used = view.slots.filter(({ slot }) => view.readings.some((r) => r.slot === slot && r.struck === null));
  if (used.length === 0) return null;
  return (
    <table className={READINGS_TABLE}>
      <thead>
        <tr>
          <th scope="col">Trial</th>
          {/* Before the readings, so that it is in view however many there are. */}
          <th scope="col">Counts</th>
          {used.map(({ slot, label, unit }) => (
            <th key={slot} scope="col">
              {capital(label)}
              {unit && ` / ${unit}`}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {Array.from({ length: view.trial }, (_, i) => i + 1).map((number) => (
          <tr key={number} className={view.leftOut[number] === undefined ? '' : 'text-ink-soft'}>
            <th scope="row" className="border-line border-t">
              {number}
            </th>
            <td>
              {closed ? (
                (view.leftOut[number] ?? 'counts')
              ) : (
                <CountBox trial={number} leftOut={view.leftOut[number] ?? null} onAct={onAct} />
              )}
            </td>
            {used.map(({ slot }) => (
              <td
                key={slot}
                className={`font-mono ${ownReading(view, number, slot) ? '' : 'text-ink-soft'}`}
                title={ownReading(view, number, slot) ? undefined : 'carried on from an earlier trial'}
              >
                {readingFor(view, number, slot)?.text ?? '–'}
              </td>
            ))}
          </tr>
        ))}
      </tbody>
    </table>
  );
}

/** Readings in the order in which they were taken: drawn anew when one of them changes, not with the bench. */
const InOrder = memo(function InOrder({
  readings,
  slots,
  last,
  closed,
  onAct,
}: Pick<AnyView, 'readings' | 'slots'> & { last: number; closed: boolean; onAct: (act: AnyAct) => void }) {
  const labelOf = (slot: string) => slots.find((one) => one.slot === slot)?.label ?? slot;
  return (
    <ol className="text-sm">
      {readings.map((reading, i) => (
        <li key={i} tabIndex={-1} className="border-line border-t py-1">
          <div className="flex flex-wrap items-baseline gap-x-3">
            <span className="text-ink-soft min-w-10 font-mono">{benchClock(reading.atS)}</span>
            <span>
              {capital(reading.instrument)}, trial {reading.trial}, {labelOf(reading.slot)}
            </span>
            <span className={`text-heather font-mono ${reading.struck ? 'line-through' : ''}`}>
              {reading.text} {reading.unit}
            </span>
            {reading.struck ? (
              <span className="text-ink-soft">struck out: {reading.struck}</span>
            ) : (
              !closed && (
                <>
                  <MoveReading reading={reading} last={last} label={labelOf(reading.slot)} onAct={onAct} />
                  <StrikeButton
                    trial={reading.trial}
                    which={reading.slot}
                    label={labelOf(reading.slot)}
                    onAct={onAct}
                  />
                </>
              )
            )}
          </div>
          {reading.digitsNote && !reading.struck && <p className="text-sedge">{reading.digitsNote}</p>}
        </li>
      ))}
    </ol>
  );
});

/** The Readings page: what was read and when, what follows from it, and which of it counts. */
export function Readings(props: ReadingsProps) {
  const { view, closed, onAct } = props;
  const { Trials = TrialTable } = drawingOf(view.family);
  const { seen } = recordingsOf(view);
  return (
    <div className="flex flex-col gap-4">
      {!closed && <RecordForm view={view} message={props.message} onAct={onAct} />}
      <Trials {...props} />
      {view.readings.length === 0 && !seen?.length && (
        <p className="text-ink-soft">Nothing is recorded yet. What a logger writes down stands in Working.</p>
      )}
      {seen && seen.length > 0 && (
        <section>
          <h3 className="mb-1 font-serif">What was seen</h3>
          <SeenTable seen={seen} />
        </section>
      )}
      {view.readings.length > 0 && (
        <section>
          <h3 className="mb-1 font-serif">In the order taken</h3>
          <InOrder
            readings={view.readings}
            slots={view.slots}
            last={view.recordableTrial}
            closed={closed}
            onAct={onAct}
          />
        </section>
      )}
    </div>
  );
}
