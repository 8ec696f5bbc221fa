import { Popover } from 'radix-ui';
import { Link } from 'react-router';
import type { GlossaryWord } from '@core/words/glossary';
import type { Piece } from '@core/words/terms-in';

/** Text whose words of the trade can be pressed: each tells what it means. */

const TERM = 'decoration-line-strong cursor-help underline decoration-dotted underline-offset-4';

function Term({ word, children }: { word: GlossaryWord; children: string }) {
  return (
    <Popover.Root>
      <Popover.Trigger className={TERM} data-term={word.term}>
        {children}
      </Popover.Trigger>
      <Popover.Portal>
        <Popover.Content
          sideOffset={4}
          collisionPadding={8}
          aria-label={`What “${word.term}” means`}
          className="border-line-strong bg-paper text-ink z-40 max-w-[36ch] border p-3 text-sm shadow"
        >
          <p>
            <strong>{word.term}</strong>: {word.says}
          </p>
          <Link to="/words" target="_blank" className="mt-1 inline-block">
            All words
          </Link>
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}

/** A text in its pieces; see `termsIn`. */
export const Glossed = ({ of }: { of: readonly Piece[] }) =>
  of.map(({ text, word }, i) =>
    word ? (
      <Term key={i} word={word}>
        {text}
      </Term>
    ) : (
      text
    ),
  );
