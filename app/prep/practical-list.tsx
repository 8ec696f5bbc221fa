import { useId } from 'react';
import { Link } from 'react-router';
import { INPUT } from '@app/ui/form';
import { useKept } from '@app/ui/use-kept';
import { Emblem } from './emblem';
import { foundPracticals, type Offered } from './practical-search';

interface PracticalListProps {
  practicals: readonly Offered[];
  /** Where a practical is set. */
  to: (practical: string) => string;
}

/** All that can be set, by subject: to be looked through, or searched by what it is about. */
export function PracticalList({ practicals, to }: PracticalListProps) {
  // Going back to the list finds it as it was left.
  const [text, setText] = useKept('fen-search practicals', '', 'tab');
  const id = useId();
  const found = foundPracticals(practicals, text);
  const count = found.reduce((sum, { entries }) => sum + entries.length, 0);
  return (
    <section aria-labelledby={id}>
      <div className="mb-2 flex flex-wrap items-end gap-x-6 gap-y-2">
        <h2 id={id} className="text-lg">
          Practicals
        </h2>
        <label className="ml-auto flex items-center gap-2 text-sm">
          Search
          <input
            type="search"
            value={text}
            onChange={(event) => setText(event.target.value)}
            maxLength={60}
            className={`${INPUT} h-8 w-52`}
          />
        </label>
      </div>
      <p role="status" className="text-ink-soft text-sm empty:hidden">
        {text.trim() === ''
          ? ''
          : count === 0
            ? `No practical has “${text.trim()}”. Try a substance, a piece of apparatus or a quantity.`
            : `${count} of ${practicals.length} practicals`}
      </p>
      {found.map(({ subject, entries }) => (
        <section key={subject} className="mb-5">
          <h3 className="text-ink-soft mt-3 mb-1 font-serif">{subject}</h3>
          <ul>
            {entries.map((entry) => (
              <li key={entry.id} className="border-line flex gap-4 border-t py-2">
                <Emblem practical={entry.id} />
                <div>
                  <Link to={to(entry.id)}>Set: {entry.title}</Link>
                  <p className="text-ink-soft text-sm">{entry.summary}</p>
                </div>
              </li>
            ))}
          </ul>
        </section>
      ))}
    </section>
  );
}
