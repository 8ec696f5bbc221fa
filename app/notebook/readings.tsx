import { useState } from 'react';
import type { Act } from '@core/practicals/titration/acts';
import type { View } from '@core/practicals/titration/view';
import { benchClock } from '@app/ui/bench-clock';
import { Button, INPUT } from '@app/ui/form';

interface ReadingsProps {
  view: View;
  closed: boolean;
  onAct: (act: Act) => void;
}

type Which = 'first' | 'last';
/** All that a trial's readings can be of. */
type Slot = Which | 'boat' | 'left' | 'pH' | 'kappa';

/** The reading that is due: the first one missing, trial by trial. */
function dueReading(view: View): { trial: number; which: Which } {
  const trial = view.trials.find((entry) => entry.number === view.trial);
  return { trial: view.trial, which: trial?.first === null ? 'first' : 'last' };
}

/** What the student reads on the burette, typed as read. */
function RecordForm({ view, onAct }: { view: View; onAct: (act: Act) => void }) {
  const due = dueReading(view);
  const [chosen, setChosen] = useState<{ trial: number; which: Which } | null>(null);
  const [text, setText] = useState('');
  const { trial, which } = chosen ?? due;
  return (
    <form
      className="bg-mist flex flex-wrap items-end gap-x-3 gap-y-2 p-3"
      onSubmit={(event) => {
        event.preventDefault();
        onAct({ kind: 'record', trial, which, text });
        setText('');
        setChosen(null);
      }}
    >
      <label className="text-sm">
        Trial
        <select
          value={trial}
          onChange={(event) => setChosen({ which, trial: Number(event.target.value) })}
          className={`${INPUT} block h-8`}
        >
          {view.trials.map((entry) => (
            <option key={entry.number}>{entry.number}</option>
          ))}
        </select>
      </label>
      <label className="text-sm">
        Reading
        <select
          value={which}
          onChange={(event) => setChosen({ trial, which: event.target.value === 'first' ? 'first' : 'last' })}
          className={`${INPUT} block h-8`}
        >
          <option>first</option>
          <option>last</option>
        </select>
      </label>
      <label className="text-sm">
        Burette, as you read it
        <span className="flex items-center gap-1">
          <input
            id="reading"
            value={text}
            onChange={(event) => setText(event.target.value)}
            className={`${INPUT} !text-heather h-8 w-24 text-right font-mono`}
            inputMode="decimal"
            autoComplete="off"
            maxLength={40}
          />
          mL
        </span>
      </label>
      <Button look="main">Record</Button>
    </form>
  );
}

/** Leaving a trial out of the mean, or taking it back in, with the reason. */
function CountBox({ trial, onAct }: { trial: View['trials'][number]; onAct: (act: Act) => void }) {
  const [asking, setAsking] = useState(false);
  const [reason, setReason] = useState('');
  if (trial.titre === null) return null;
  if (asking) {
    return (
      <form
        className="flex gap-1"
        onSubmit={(event) => {
          event.preventDefault();
          onAct({ kind: 'count', trial: trial.number, counts: false, reason });
          setAsking(false);
        }}
      >
        <input
          autoFocus
          aria-label={`Why trial ${trial.number} does not count`}
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
  const toggle = () =>
    trial.leftOut === null
      ? setAsking(true)
      : onAct({ kind: 'count', trial: trial.number, counts: true, reason: '' });
  return (
    <label className="flex items-center gap-1">
      <input type="checkbox" checked={trial.counts} onChange={toggle} />
      <span>{trial.leftOut === null ? 'counts' : trial.leftOut}</span>
    </label>
  );
}

function StrikeButton({ trial, which, onAct }: { trial: number; which: Slot; onAct: (act: Act) => void }) {
  const [asking, setAsking] = useState(false);
  const [reason, setReason] = useState('');
  if (!asking) {
    return (
      <button
        type="button"
        className="text-water text-xs underline"
        onClick={() => setAsking(true)}
        aria-label={`Strike out trial ${trial}, ${which} reading`}
      >
        strike out
      </button>
    );
  }
  return (
    <form
      className="flex gap-1"
      onSubmit={(event) => {
        event.preventDefault();
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

const TABLE =
  'w-full border-collapse text-sm [&_td]:border-t [&_td]:border-line [&_td]:py-1 [&_td]:pr-3 [&_th]:py-1 [&_th]:pr-3 [&_th]:text-left [&_th]:font-medium [&_th]:text-ink-soft';

function TrialTable({ view, closed, onAct }: ReadingsProps) {
  const weighs = view.balance !== null;
  return (
    <table className={TABLE}>
      <thead>
        <tr>
          <th scope="col">Trial</th>
          {weighs && <th scope="col">Mass / g</th>}
          <th scope="col">First / mL</th>
          <th scope="col">Last / mL</th>
          <th scope="col">Titre / mL</th>
          <th scope="col">{weighs ? 'Counts' : 'In the mean'}</th>
        </tr>
      </thead>
      <tbody>
        {view.trials.map((trial) => (
          <tr key={trial.number} className={trial.leftOut ? 'text-ink-soft' : ''}>
            <th scope="row" className="border-line border-t">
              {trial.number}
            </th>
            {weighs && <td className="font-mono">{trial.mass ?? '–'}</td>}
            <td className="font-mono">{trial.first ?? '–'}</td>
            <td className="font-mono">{trial.last ?? '–'}</td>
            <td className="font-mono font-semibold">
              {trial.titre ??
                (trial.problem ? (
                  <span className="text-rust font-sans text-xs font-normal">{trial.problem}</span>
                ) : (
                  '–'
                ))}
            </td>
            <td>
              {closed ? trial.counts ? 'counts' : trial.leftOut : <CountBox trial={trial} onAct={onAct} />}
            </td>
          </tr>
        ))}
      </tbody>
      {view.mean && (
        <tfoot>
          <tr>
            <td colSpan={weighs ? 4 : 3} className="!border-ink !border-t-2">
              Mean of {view.mean.count} {view.mean.count === 1 ? 'titre' : 'titres'}
            </td>
            <td className="!border-ink !border-t-2 font-mono font-semibold" data-testid="mean">
              {view.mean.text}
            </td>
            <td className="!border-ink text-ink-soft !border-t-2">
              {view.mean.count > 1 && `spread ${view.mean.spread} mL`}
            </td>
          </tr>
        </tfoot>
      )}
    </table>
  );
}

const SLOTS: readonly Slot[] = ['first', 'last', 'boat', 'left', 'pH', 'kappa'];
const slotOf = (slot: string): Slot => SLOTS.find((name) => name === slot) ?? 'last';
const SLOT_WORDS: Record<Slot, string> = {
  first: ', first',
  last: ', last',
  boat: ', boat with solid',
  left: ', boat after tipping',
  pH: '',
  kappa: '',
};

/** The Readings page: what was read and when, the titres that follow, and which of them count. */
export function Readings(props: ReadingsProps) {
  const { view, closed, onAct } = props;
  return (
    <div className="flex flex-col gap-4">
      {!closed && <RecordForm view={view} onAct={onAct} />}
      <TrialTable {...props} />
      {view.readings.length > 0 && (
        <section>
          <h3 className="mb-1 font-serif">In the order taken</h3>
          <ol className="text-sm">
            {view.readings.map((reading, i) => (
              <li key={i} className="border-line border-t py-1">
                <div className="flex flex-wrap items-baseline gap-x-3">
                  <span className="text-ink-soft w-10 font-mono">{benchClock(reading.atS)}</span>
                  <span>
                    {reading.instrument}, trial {reading.trial}
                    {SLOT_WORDS[slotOf(reading.slot)]}
                  </span>
                  <span className={`text-heather font-mono ${reading.struck ? 'line-through' : ''}`}>
                    {reading.slot === 'pH' && 'pH '}
                    {reading.text} {reading.unit}
                  </span>
                  {reading.struck ? (
                    <span className="text-ink-soft">struck out: {reading.struck}</span>
                  ) : (
                    !closed && (
                      <StrikeButton trial={reading.trial} which={slotOf(reading.slot)} onAct={onAct} />
                    )
                  )}
                </div>
                {reading.digitsNote && !reading.struck && <p className="text-sedge">{reading.digitsNote}</p>}
              </li>
            ))}
          </ol>
        </section>
      )}
    </div>
  );
}
