import { Popover } from 'radix-ui';
import { Link } from 'react-router';
import { meaningOf } from '@core/words/glossary';
import type { Term } from '@core/words/terms';
import { useFocusBack } from './use-focus-back';

interface ExplainedProps {
  term: Term;
  /** Where the word stands that was pressed. */
  of: React.RefObject<HTMLButtonElement | null>;
  onClose: () => void;
}

/** What a word of the trade means, beside it. */
export default function Explained({ term, of, onClose }: ExplainedProps) {
  useFocusBack();
  return (
    <Popover.Root open onOpenChange={(open) => !open && onClose()}>
      <Popover.Anchor virtualRef={of as React.RefObject<HTMLButtonElement>} />
      <Popover.Portal>
        <Popover.Content
          sideOffset={4}
          collisionPadding={8}
          aria-label={`What “${term}” means`}
          className="border-line-strong bg-paper text-ink z-40 max-w-[36ch] border p-3 text-sm shadow"
          // The word itself has it again.
          onCloseAutoFocus={(event) => event.preventDefault()}
        >
          <p>
            <strong>{term}</strong>: {meaningOf(term)}
          </p>
          <Link to="/words" target="_blank" className="mt-1 inline-block">
            All words
          </Link>
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}
