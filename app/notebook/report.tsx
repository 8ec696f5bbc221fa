import { useState } from 'react';
import { Link, useFetcher } from 'react-router';
import type { Ask } from '@core/report/asks';
import { SECTIONS } from '@core/report/sections';
import { Button, Wrong } from '@app/ui/form';
import { When } from '@app/ui/when';
import type { Moved } from '@core/report/moved';
import type { Mistake } from '../session';
import type { Keeping } from './notebook-line';
import { WhatMoved } from './moved';
import { AskField, type FieldsProps } from './report-fields';
import type { LiveNotebook } from './use-notebook';

/** What a student may read of a hand-in; see server/hand-ins.ts. */
export interface ToldHandIn {
  number: number;
  at: Date;
  items: {
    label: string;
    answer: string;
    verdict: string | null;
    digitsNote: string | null;
    truth: string | null;
  }[];
}

export function KeepingNote({ keeping, onTry }: { keeping: Keeping; onTry: () => void }) {
  const text =
    typeof keeping === 'object'
      ? keeping.sentence
      : {
          kept: 'Kept.',
          keeping: 'Keeping…',
          'not kept yet': 'Not kept yet: the server cannot be reached. It waits in this browser, and Fen goes on trying.',
          'gave up': 'Not kept yet: the server could not be reached for some minutes. It waits in this browser.',
        }[keeping];
  return (
    <p
      role="status"
      className={`text-sm ${keeping === 'kept' || keeping === 'keeping' ? 'text-ink-soft' : 'text-rust'}`}
    >
      {text}{' '}
      {keeping === 'gave up' && (
        <button type="button" className="text-water min-h-6 underline" onClick={onTry}>
          Try again now
        </button>
      )}
    </p>
  );
}

function Told({ told }: { told: ToldHandIn[] }) {
  return (
    <ol className="mt-5" aria-label="Handed in" aria-live="polite">
      {told.map((entry) => (
        <li key={entry.number} className="border-heather mb-3 border-l-4 pl-3" data-testid="told">
          {entry.items.map((item) => (
            <div key={item.label} className="mb-1">
              <p>
                {entry.items.length > 1 && <span className="text-ink-soft">{item.label}: </span>}
                <span className="font-mono">{item.answer}</span>
                {item.verdict && (
                  <>
                    : <strong>{item.verdict}</strong>
                  </>
                )}
              </p>
              {item.truth && <p>{item.truth}</p>}
              {item.digitsNote && <p className="text-sedge text-sm">{item.digitsNote}</p>}
            </div>
          ))}
          {!entry.items.some((item) => item.verdict) && <p>Handed in. Your teacher will look at it.</p>}
          <p className="text-ink-soft text-sm">
            Handed in <When at={entry.at} />
          </p>
        </li>
      ))}
    </ol>
  );
}

export interface ReportProps extends FieldsProps {
  runId: string;
  asks: Ask[];
  told: ToldHandIn[];
  /** What moved the numbers of the last hand-in, once that may be told. */
  moved: readonly Moved[] | undefined;
  /** Whether ending the run tells anything that is not told yet. */
  tellsMore: boolean;
  triesLeft: number;
  isOpen: boolean;
  busy: boolean;
  onHandIn: () => void;
  onFinish: () => void;
}

/** The Report page: what is asked, in order; handing it in, and what came of it. */
export function Report(props: ReportProps) {
  const { asks, told, moved, tellsMore, triesLeft, isOpen, busy, onHandIn, onFinish, runId, ...fields } =
    props;
  const { mistake, closed, live } = fields;
  const elsewhere = mistake && !asks.some((ask) => ask.key === mistake.field);
  const sections = SECTIONS.filter(({ when }) => asks.some((ask) => ask.when === when));
  return (
    <div>
      {sections.map(({ when, title }) => (
        <section key={when}>
          <h2 className="border-line mb-2 border-b text-lg">{title}</h2>
          {asks
            .filter((ask) => ask.when === when)
            .map((ask) => (
              <AskField key={ask.key} ask={ask} {...fields} />
            ))}
        </section>
      ))}
      {asks.length === 0 && <p className="mb-4">Nothing is asked in writing. Hand in when you are done.</p>}
      <Unasked asks={asks} live={live} />
      {!closed && (
        <>
          <div className="flex items-center gap-4">
            <Button type="button" look="main" onClick={onHandIn} disabled={busy || !isOpen}>
              Hand in
            </Button>
            <span className="text-ink-soft text-sm">
              {isOpen
                ? `${triesLeft} ${triesLeft === 1 ? 'hand-in' : 'hand-ins'} left`
                : 'This assignment is closed.'}
            </span>
          </div>
          {mistake && !elsewhere && (
            <Wrong>Not handed in yet: look at what is marked above. {mistake.sentence}</Wrong>
          )}
          {elsewhere && <Wrong>{mistake.sentence}</Wrong>}
          <KeepingNote keeping={live.keeping} onTry={live.tryAgain} />
        </>
      )}
      {closed && (
        <p className="mb-2">This run is handed in and closed. Everything in it stays here to be read.</p>
      )}
      <p className="mt-3 flex gap-6 text-sm">
        <Link to={`/runs/${runId}/print`} target="_blank">
          Lab report for printing
        </Link>
        <Link to="/data-book" target="_blank">
          Data book
        </Link>
      </p>
      <Told told={told} />
      {!closed && isOpen && told.length > 0 && (
        <Finish tellsMore={tellsMore} busy={busy} onFinish={onFinish} />
      )}
      {moved && <WhatMoved moved={moved} />}
    </div>
  );
}

/** Who is content with what is handed in can end the run before the tries are used up. */
function Finish({ tellsMore, busy, onFinish }: { tellsMore: boolean; busy: boolean; onFinish: () => void }) {
  const [asked, setAsked] = useState(false);
  if (!asked)
    return (
      <Button type="button" look="quiet" onClick={() => setAsked(true)}>
        {tellsMore ? 'I am done: tell me what moved my result' : 'I am done with this sample'}
      </Button>
    );
  return (
    <p className="flex flex-wrap items-center gap-3">
      This closes the run: nothing more can be handed in.
      <Button type="button" onClick={onFinish} disabled={busy}>
        Close it
      </Button>
      <Button type="button" look="quiet" onClick={() => setAsked(false)}>
        Not yet
      </Button>
    </p>
  );
}

/** Answers to questions that the teacher has taken out since: never thrown away. */
function Unasked({ asks, live }: { asks: Ask[]; live: LiveNotebook }) {
  const left = Object.entries(live.notebook.answers).filter(
    ([key, answer]) => answer.text.trim() !== '' && !asks.some((ask) => ask.key === key),
  );
  if (left.length === 0) return null;
  return (
    <details className="mb-4 text-sm">
      <summary>
        {left.length === 1 ? 'One answer' : `${left.length} answers`} to what is no longer asked
      </summary>
      {left.map(([key, answer]) => (
        <p key={key} className="text-heather mt-1 font-serif whitespace-pre-wrap">
          {answer.text} {answer.unit}
        </p>
      ))}
    </details>
  );
}

/** Hands the report in as it stands, once the server has all of it. */
export function useHandIn(live: LiveNotebook) {
  const fetcher = useFetcher<{ mistake?: Mistake; handedIn?: boolean }>();
  const [waiting, setWaiting] = useState(false);
  const [unkept, setUnkept] = useState(false);
  const handIn = async () => {
    setWaiting(true);
    const isKept = await live.flush();
    setUnkept(!isKept);
    setWaiting(false);
    if (isKept) send('hand in');
  };
  const send = (what: 'hand in' | 'finish') =>
    void fetcher.submit(JSON.stringify({ do: what }), { method: 'post', encType: 'application/json' });
  const notReached: Mistake = {
    field: 'form',
    sentence:
      'The server cannot be reached, so nothing was handed in. Your report is kept here; try again in a moment.',
  };
  const answered = fetcher.state === 'idle' ? fetcher.data?.mistake : undefined;
  return {
    handIn: () => void handIn(),
    finish: () => send('finish'),
    busy: waiting || fetcher.state !== 'idle',
    mistake: unkept ? notReached : answered,
  };
}
