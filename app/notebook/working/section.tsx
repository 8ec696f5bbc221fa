import { useState } from 'react';
import { INPUT } from '@app/ui/form';

interface SectionProps {
  name: string;
  kind: string;
  closed: boolean;
  note?: string;
  onName?: (name: string) => void;
  onDrop?: () => void;
  actions?: React.ReactNode;
  children: React.ReactNode;
}

/** One thing in the notebook: its name, what can be done with it, and itself. */
export function Section({ name, kind, closed, note, onName, onDrop, actions, children }: SectionProps) {
  const [typed, setTyped] = useState<string | null>(null);
  const commit = () => {
    const next = typed?.trim();
    if (next && next !== name) onName?.(next);
    setTyped(null);
  };
  return (
    <section className="mb-7" aria-label={`${kind}: ${name}`}>
      <header className="border-ink mb-1 flex flex-wrap items-baseline gap-x-4 border-b-2 pb-1">
        {closed || !onName ? (
          <h3 className="grow text-lg">{name}</h3>
        ) : (
          <input
            aria-label={`Name of this ${kind}`}
            value={typed ?? name}
            onChange={(event) => setTyped(event.target.value)}
            onBlur={commit}
            onKeyDown={(event) => event.key === 'Enter' && event.currentTarget.blur()}
            maxLength={80}
            className={`${INPUT} hover:border-line-strong min-w-24 grow !border-transparent !px-0 font-serif text-lg focus:!px-1`}
          />
        )}
        {note && <span className="text-ink-soft text-sm">{note}</span>}
        <span className="flex gap-3 text-sm">
          {actions}
          {!closed && onDrop && (
            <button
              type="button"
              className="text-rust min-h-6 underline"
              onClick={onDrop}
              aria-label={`Remove ${name}`}
            >
              Remove
            </button>
          )}
        </span>
      </header>
      {children}
    </section>
  );
}

export const QUIET_BUTTON = 'min-h-6 min-w-6 text-water underline disabled:opacity-50';
