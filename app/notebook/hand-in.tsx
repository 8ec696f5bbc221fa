import { useEffect, useRef, useState } from 'react';
import { useFetcher } from 'react-router';
import { counted } from '@core/analysis/quantity';
import type { Ask } from '@core/report/asks';
import { Button, Wrong } from '@app/ui/form';
import { newId } from '@app/ui/new-id';
import type { Mistake } from '../session';
import type { LiveNotebook } from './use-notebook';

/** Hands the report in as it stands, once the server has all of it. */
export function useHandIn(live: LiveNotebook, known: number) {
  const fetcher = useFetcher<{ mistake?: Mistake; handedIn?: boolean }>();
  const [waiting, setWaiting] = useState(false);
  const [unkept, setUnkept] = useState(false);
  /** One id until it is known what became of it, so that what is sent twice is one hand-in. */
  const id = useRef<string>(null);
  const send = (body: object) =>
    void fetcher.submit(JSON.stringify(body), { method: 'post', encType: 'application/json' });
  const handIn = async () => {
    setWaiting(true);
    const isKept = await live.flush();
    setUnkept(!isKept);
    setWaiting(false);
    id.current ??= newId();
    if (isKept) send({ do: 'hand in', id: id.current, number: known + 1 });
  };
  useEffect(() => {
    if (fetcher.state === 'idle' && fetcher.data) id.current = null;
  }, [fetcher.state, fetcher.data]);
  const notReached: Mistake = {
    field: 'form',
    sentence:
      'The server cannot be reached, so nothing was handed in. Your report is kept here; try again in a moment.',
  };
  const answered = fetcher.state === 'idle' ? fetcher.data?.mistake : undefined;
  return {
    handIn: () => void handIn(),
    finish: () => send({ do: 'finish' }),
    busy: waiting || fetcher.state !== 'idle',
    mistake: unkept ? notReached : answered,
  };
}

/** A question that stands in the line of what is asked about, in place of a window over the page. */
function Question({
  text,
  yes,
  no,
  busy,
  onYes,
  onNo,
}: {
  text: string;
  yes: string;
  no: string;
  busy: boolean;
  onYes: () => void;
  onNo: () => void;
}) {
  return (
    <p className="flex flex-wrap items-center gap-3" role="group" aria-label={text}>
      {text}
      <Button type="button" look="main" onClick={onYes} disabled={busy} autoFocus>
        {yes}
      </Button>
      <Button type="button" look="quiet" onClick={onNo}>
        {no}
      </Button>
    </p>
  );
}

interface HandInProps {
  asks: readonly Ask[];
  handInsLeft: number;
  /** Why nothing can be handed in; null when it can. */
  shut: string | null;
  mistake: Mistake | undefined;
  busy: boolean;
  onHandIn: () => void;
  /** Goes to the field of a question, or to the readings. */
  onGo: (field: string) => void;
}

/** The button, how many times are left, and all that stands in the way, each a click from where it is put right. */
export function HandIn({ asks, handInsLeft, shut, mistake, busy, onHandIn, onGo }: HandInProps) {
  const [asked, setAsked] = useState(false);
  if (shut !== null) return <p className="text-ink-soft mb-2">{shut}</p>;
  const isLast = handInsLeft === 1;
  return (
    <>
      {asked ? (
        <Question
          text="This is your last hand-in: after it nothing more can be changed."
          yes="Hand it in"
          no="Not yet"
          busy={busy}
          onYes={() => {
            setAsked(false);
            onHandIn();
          }}
          onNo={() => setAsked(false)}
        />
      ) : (
        <div className="flex items-center gap-4">
          <Button type="button" look="main" onClick={isLast ? () => setAsked(true) : onHandIn} disabled={busy}>
            Hand in
          </Button>
          <span className="text-ink-soft text-sm">{counted(handInsLeft, 'hand-in')} left</span>
        </div>
      )}
      {mistake && !busy && <Missing mistake={mistake} asks={asks} onGo={onGo} />}
    </>
  );
}

function Missing({ mistake, asks, onGo }: Pick<HandInProps, 'asks' | 'onGo'> & { mistake: Mistake }) {
  const all = mistake.all ?? [mistake];
  const known = (field: string) => field === 'readings' || asks.some(({ key }) => key === field);
  if (!all.some(({ field }) => known(field))) return <Wrong>{mistake.sentence}</Wrong>;
  return (
    <div role="alert" className="border-rust mt-2 border-l-4 pl-3">
      <p>Not handed in yet. {all.length === 1 ? 'One thing is' : `${all.length} things are`} missing or wrong:</p>
      <ul>
        {all.map(({ field, sentence }) => (
          <li key={field}>
            <button type="button" className="text-rust min-h-6 text-left underline" onClick={() => onGo(field)}>
              {sentence}
            </button>
          </li>
        ))}
      </ul>
    </div>
  );
}

/** Who is content with what is handed in can end the run before the tries are used up. */
export function Finish({ tellsMore, busy, onFinish }: { tellsMore: boolean; busy: boolean; onFinish: () => void }) {
  const [asked, setAsked] = useState(false);
  if (!asked)
    return (
      <Button type="button" look="quiet" onClick={() => setAsked(true)}>
        {tellsMore ? 'I am done: tell me more about my result' : 'I am done with this sample'}
      </Button>
    );
  return (
    <Question
      text="This closes the run: nothing more can be handed in."
      yes="Close it"
      no="Not yet"
      busy={busy}
      onYes={onFinish}
      onNo={() => setAsked(false)}
    />
  );
}
