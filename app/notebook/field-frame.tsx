import type { Answer } from '@core/notebook/document';
import type { BenchRecordings } from '@core/notebook/readings';
import type { Ask, AskOf } from '@core/report/asks';
import { Button, Wrong } from '@app/ui/form';
import type { Mistake } from '../session';
import type { LiveNotebook } from './use-notebook';

/** What the fields of all kinds of questions share: what stands in one, what is wrong with it, what another tab wrote. */

export interface FieldsProps {
  live: LiveNotebook;
  bench: BenchRecordings;
  mistake: Mistake | undefined;
  closed: boolean;
}

export type FieldProps<K extends Ask['kind']> = FieldsProps & { ask: AskOf<K> };

/** What stands in a field now, and the way to change it. */
export function useAnswer(live: LiveNotebook, key: string) {
  const answer: Answer = live.notebook.answers[key] ?? { text: '' };
  const set = (next: Answer) => live.edit({ kind: 'answer', key, answer: next, was: answer.text });
  return [answer, set] as const;
}

export const wrongAt = (mistake: Mistake | undefined, key: string) =>
  (mistake?.all ?? (mistake ? [mistake] : [])).find(({ field }) => field === key)?.sentence;

/** What was typed in another tab and written over here, with the way to have it back. */
export function Displaced({ live, askKey }: { live: LiveNotebook; askKey: string }) {
  const entry = live.notebook.displaced.find((one) => one.key === askKey);
  if (!entry) return null;
  const was = live.notebook.answers[askKey]?.text ?? '';
  return (
    <div className="border-sedge mt-1 border-l-4 pl-2 text-sm" role="status">
      <p className="text-sedge">Another tab had written here:</p>
      <p className="font-serif whitespace-pre-wrap">{entry.text}</p>
      <span className="mt-1 flex gap-2">
        <Button
          type="button"
          onClick={() => {
            live.edit({ kind: 'answer', key: askKey, answer: { text: entry.text }, was });
            live.edit({ kind: 'takeDisplaced', entry });
          }}
        >
          Take that instead
        </Button>
        <Button type="button" look="quiet" onClick={() => live.edit({ kind: 'takeDisplaced', entry })}>
          Let it go
        </Button>
      </span>
    </div>
  );
}

/** A question with its help, its field, and what is wrong with it. */
export function Frame({
  ask,
  id,
  live,
  mistake,
  children,
}: Pick<FieldsProps, 'live' | 'mistake'> & { ask: Ask; id: string; children: React.ReactNode }) {
  const wrong = wrongAt(mistake, ask.key);
  return (
    <div className="mb-5" data-ask={ask.key}>
      <label htmlFor={id} className="mb-1 block font-medium">
        {ask.label}
      </label>
      {ask.help && (
        <p id={`${id}-help`} className="text-ink-soft mb-1 text-sm">
          {ask.help}
        </p>
      )}
      {children}
      {wrong && <Wrong>{wrong}</Wrong>}
      <Displaced live={live} askKey={ask.key} />
    </div>
  );
}
