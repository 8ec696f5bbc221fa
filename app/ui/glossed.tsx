import { useRef, useState } from 'react';
import type { Term as TradeTerm } from '@core/words/terms';
import type { Piece } from '@core/words/terms-in';
import { lazyPiece } from './lazy-piece';

/** Text whose words of the trade can be pressed: each tells what it means. */

const TERM = 'decoration-line-strong cursor-help py-px underline decoration-dotted underline-offset-4';

const Explained = lazyPiece(() => import('./explained').then((module) => module.default), null);

export const prefetchExplained = Explained.prefetch;

function Term({ term, children }: { term: TradeTerm; children: string }) {
  const button = useRef<HTMLButtonElement>(null);
  const [open, setOpen] = useState(false);
  return (
    <>
      <button
        ref={button}
        type="button"
        className={TERM}
        data-term={term}
        aria-haspopup="dialog"
        aria-expanded={open}
        onClick={() => setOpen(true)}
      >
        {children}
      </button>
      {open && <Explained term={term} of={button} onClose={() => setOpen(false)} />}
    </>
  );
}

/** A text in its pieces; see `termsIn`. */
export const Glossed = ({ of }: { of: readonly Piece[] }) =>
  of.map(({ text, term }, i) =>
    term ? (
      <Term key={i} term={term}>
        {text}
      </Term>
    ) : (
      text
    ),
  );
