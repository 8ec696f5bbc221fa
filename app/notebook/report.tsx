import { memo, useEffect, useRef } from 'react';
import { Form, Link } from 'react-router';
import { counted } from '@core/analysis/quantity';
import type { Ask } from '@core/report/asks';
import type { MovedState } from '@core/report/moved';
import { SECTIONS } from '@core/report/sections';
import { Button } from '@app/ui/form';
import { lazyPiece } from '@app/ui/lazy-piece';
import { Finish, HandIn } from './hand-in';
import type { Keeping } from './notebook-line';
import { AskField, type FieldsProps } from './report-fields';
import { Told, type ToldHandIn } from './told';
import type { LiveNotebook } from './use-notebook';

/** What moved the results is there only after a hand-in. */
const MovedOrWhyNot = lazyPiece(() => import('./moved-or-why-not').then((module) => module.MovedOrWhyNot), null);
export const prefetchMoved = MovedOrWhyNot.prefetch;

export function KeepingNote({ keeping, onTry }: { keeping: Keeping; onTry: () => void }) {
  const text =
    typeof keeping === 'object'
      ? keeping.sentence
      : {
          kept: 'Kept.',
          keeping: 'Keeping…',
          'not kept yet':
            'Not kept yet: the server cannot be reached. It waits in this browser, and Fen goes on trying.',
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

interface ReportProps extends FieldsProps {
  /** The assignment and sample that it is to practise for; null of a run that counts. */
  practiceOf: { assignment: string; sample: number } | null;
  runId: string;
  /** The part of the data book that the practical needs. */
  book: string;
  asks: Ask[];
  told: readonly ToldHandIn[];
  /** What moved the numbers of the last hand-in, once that may be told. */
  moved: MovedState | undefined;
  /** Whether ending the run tells anything that is not told yet. */
  tellsMore: boolean;
  handInsLeft: number;
  /** Whether something was told that gives the true value away. */
  truthTold: boolean;
  isOpen: boolean;
  busy: boolean;
  onHandIn: () => void;
  onFinish: () => void;
  /** Goes to the field of a question, or to the readings. */
  onGo: (field: string) => void;
}

function whyShut({ closed, isOpen, truthTold }: Pick<ReportProps, 'closed' | 'isOpen' | 'truthTold'>): string | null {
  if (closed) return 'This run is handed in and closed. Everything in it stays here to be read.';
  if (truthTold) return 'The true value can be told from what is shown, so nothing more can be handed in.';
  return isOpen
    ? null
    : 'This assignment is closed, so nothing can be handed in. Everything in it stays here to be read.';
}

/** The fields of one part of what is asked. */
export const AskSection = memo(function AskSection({
  when,
  asks,
  ...fields
}: FieldsProps & { when: Ask['when']; asks: readonly Ask[] }) {
  const here = asks.filter((ask) => ask.when === when);
  if (here.length === 0) return null;
  return (
    <section>
      <h2 className="border-line mb-2 border-b text-lg">{SECTIONS.find((entry) => entry.when === when)?.title}</h2>
      {here.map((ask) => (
        <AskField key={ask.key} ask={ask} {...fields} />
      ))}
    </section>
  );
});

/** The preparing answers, which are given in the brief. */
function Prepared({ asks, live, onGo }: Pick<ReportProps, 'asks' | 'live' | 'onGo'>) {
  const before = asks.filter((ask) => ask.when === 'before');
  const [first] = before;
  if (!first) return null;
  const open = before.filter((ask) => !live.notebook.answers[ask.key]?.text.trim()).length;
  return (
    <p className="text-ink-soft mb-4 text-sm">
      {open === 0
        ? 'What was to be thought of before is answered in the brief.'
        : `${counted(open, 'question')} from before the work ${open === 1 ? 'is' : 'are'} still open.`}{' '}
      <button type="button" className="text-water min-h-6 underline" onClick={() => onGo(first.key)}>
        To the brief
      </button>
    </p>
  );
}

/** The Report page: what is asked, in order; handing it in, and what came of it. */
export function Report(props: ReportProps) {
  const {
    asks,
    told,
    moved,
    tellsMore,
    handInsLeft,
    truthTold,
    isOpen,
    busy,
    onHandIn,
    onFinish,
    onGo,
    runId,
    book,
    practiceOf,
    ...fields
  } = props;
  const { mistake, closed, live } = fields;
  const shut = whyShut({ closed, isOpen, truthTold });
  const newest = useRef<HTMLDivElement>(null);
  const count = useRef(told.length);
  useEffect(() => {
    // What was just said of a hand-in stands where the eye is.
    if (told.length > count.current) newest.current?.scrollIntoView({ block: 'center' });
    count.current = told.length;
  }, [told.length]);
  return (
    <div>
      <Prepared asks={asks} live={live} onGo={onGo} />
      <AskSection when="result" asks={asks} {...fields} />
      <AskSection when="after" asks={asks} {...fields} />
      {asks.length === 0 && <p className="mb-4">Nothing is asked in writing. Hand in when you are done.</p>}
      <Unasked asks={asks} live={live} />
      <HandIn {...{ asks, handInsLeft, shut, mistake, busy, onHandIn, onGo }} />
      {!closed && <KeepingNote keeping={live.keeping} onTry={live.tryAgain} />}
      <div ref={newest}>
        <Told told={told} />
      </div>
      {shut === null && told.length > 0 && <Finish tellsMore={tellsMore} busy={busy} onFinish={onFinish} />}
      <MovedOrWhyNot moved={moved} />
      {practiceOf && closed && <PractiseAgain {...practiceOf} />}
      <p className="mt-3 flex gap-6 text-sm">
        <Link to={`/runs/${runId}/print`} target="_blank">
          Lab report for printing
        </Link>
        <Link to={`/data-book/${book}`} target="_blank">
          Data book
        </Link>
      </p>
    </div>
  );
}

/** Another sample to practise on, or the one that counts. */
function PractiseAgain({ assignment, sample }: { assignment: string; sample: number }) {
  return (
    <div className="my-4 flex flex-wrap items-center gap-3">
      <Form method="post" action="/work" reloadDocument>
        <input type="hidden" name="assignment" value={assignment} />
        <input type="hidden" name="sample" value={sample} />
        <Button look="main" name="do" value="practise">
          Practise on another sample
        </Button>
      </Form>
      <Link to="/work">To my work, where the sample that counts is</Link>
    </div>
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
      <summary>{left.length === 1 ? 'One answer' : `${left.length} answers`} to what is no longer asked</summary>
      {left.map(([key, answer]) => (
        <p key={key} className="text-heather mt-1 font-serif whitespace-pre-wrap">
          {answer.text} {answer.unit}
        </p>
      ))}
    </details>
  );
}
