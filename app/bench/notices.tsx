import { counted } from '@core/analysis/quantity';
import { termsIn } from '@core/words/terms-in';
import { Button } from '@app/ui/form';
import { Glossed } from '@app/ui/glossed';
import type { Bench } from './use-bench';
import { WORDS_ID } from './use-refused';

const LINK = 'text-water min-h-6 px-1 underline';

/** Something of one's own that others were faster than: it is asked, not lost. */
function Offered({ bench }: { bench: Bench }) {
  const one = bench.offered === 1;
  return (
    <span className="text-rust">
      Something was done at this bench in another tab or on another machine first; you see it as it is now.{' '}
      {one ? 'An act of yours waits' : `${bench.offered} acts of yours wait`}.
      <button type="button" className={LINK} onClick={bench.doOffered}>
        Do {one ? 'it' : 'them'} now
      </button>
      <button type="button" className={LINK} onClick={bench.leaveOffered}>
        Leave {one ? 'it' : 'them'}
      </button>
    </span>
  );
}

/** The network is away: what waits, and what a person can do once Fen has stopped trying. */
function Waiting({ bench }: { bench: Bench }) {
  const one = bench.waiting === 1;
  const acts = `${counted(bench.waiting, 'act')} ${one ? 'waits' : 'wait'} here`;
  const goOut = bench.gaveUp ? '.' : ` and ${one ? 'goes' : 'go'} out when it can.`;
  return (
    <span className="text-rust">
      The server cannot be reached. {bench.waiting > 0 ? acts + goOut : 'The bench stands still until it can.'}{' '}
      {bench.gaveUp && (
        <>
          <button type="button" className={LINK} onClick={bench.tryAgain}>
            Try again now
          </button>
          {bench.waiting > 0 && (
            <button type="button" className={LINK} onClick={bench.leaveFirst}>
              Leave the first one out
            </button>
          )}
        </>
      )}
    </span>
  );
}

interface NoticesProps {
  bench: Bench;
  /** What the page itself has to say, where that is newer than what the bench said. */
  said: string | null;
  doubt: Doubt | null;
  onDoubtOver: () => void;
}

/** What the bench has to say: a refusal, a note, the network. Read out as it appears; the newest shows. */
export function Notices({ bench, said, doubt, onDoubtOver }: NoticesProps) {
  const { online, offered } = bench;
  const message = doubt || said ? null : bench.message;
  const tone = message?.tone === 'note' ? 'text-sedge' : 'text-rust';
  return (
    <div className="grow text-sm" data-testid="notices">
      <div role="status" id={WORDS_ID}>
        {!online && <Waiting bench={bench} />}
        {offered > 0 && <Offered bench={bench} />}
        {message && (
          <span className={tone}>
            <Glossed of={termsIn(message.text)} />
          </span>
        )}
        {!doubt && said && <span className="text-sedge">{said}</span>}
      </div>
      {doubt && <DoubtLine doubt={doubt} onClose={onDoubtOver} />}
    </div>
  );
}

/** An act that would destroy work, asked about where it was pressed. */
export interface Doubt {
  sentence: string;
  /** What the button says that does it all the same. */
  verb: string;
  goOn: () => void;
}

function DoubtLine({ doubt, onClose }: { doubt: Doubt; onClose: () => void }) {
  return (
    <p role="alertdialog" aria-label={doubt.sentence} className="flex flex-wrap items-center gap-2">
      <span className="text-sedge">{doubt.sentence}</span>
      <Button
        type="button"
        look="grave"
        onClick={() => {
          onClose();
          doubt.goOn();
        }}
      >
        {doubt.verb}
      </Button>
      <Button type="button" look="quiet" autoFocus onClick={onClose}>
        Leave it as it is
      </Button>
    </p>
  );
}
