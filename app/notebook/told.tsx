import { When } from '@app/ui/when';

/** What a student may read of a hand-in; see server/hand-ins.ts. */
export interface ToldHandIn {
  number: number;
  at: Date;
  items: {
    key: string;
    label: string;
    answer: string;
    verdict: string | null;
    digitsNote: string | null;
    truth: string | null;
  }[];
}

/** A number with its unit stays on one line. */
const isShort = (answer: string) => answer.length < 28;

/** A question keeps its own mark. */
const withColon = (label: string) => (label.endsWith('?') ? label : `${label}:`);

/** What one hand-in came to, as far as the rules tell it. */
export function ToldItems({ items }: Pick<ToldHandIn, 'items'>) {
  return items.map((item) => (
    <div key={item.key} className="mb-1">
      <p>
        {items.length > 1 && <span className="text-ink-soft">{withColon(item.label)} </span>}
        <span className={isShort(item.answer) ? 'font-mono whitespace-nowrap' : ''}>{item.answer}</span>
        {item.verdict && (
          <>
            : <strong>{item.verdict}</strong>
          </>
        )}
      </p>
      {item.truth && <p className="whitespace-pre-line">{item.truth}</p>}
      {item.digitsNote && <p className="text-sedge text-sm">{item.digitsNote}</p>}
    </div>
  ));
}

/** All hand-ins of a run, the newest first. */
export function Told({ told }: { told: readonly ToldHandIn[] }) {
  return (
    <ol className="mt-3" aria-label="Handed in" aria-live="polite">
      {told.map((entry) => (
        <li key={entry.number} className="border-heather mb-3 border-l-4 pl-3" data-testid="told">
          <ToldItems items={entry.items} />
          {!entry.items.some((item) => item.verdict) && <p>Handed in. Your teacher will look at it.</p>}
          <p className="text-ink-soft text-sm">
            Handed in <When at={entry.at} />
          </p>
        </li>
      ))}
    </ol>
  );
}
