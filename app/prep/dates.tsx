import { TZDate } from '@date-fns/tz';
import { format } from 'date-fns';
import { INPUT, Wrong } from '@app/ui/form';
import type { SettingMistakes } from './settings';

const TYPED = /^(\d{4})-(\d\d)-(\d\d)T(\d\d):(\d\d)$/;

/**
 * A date and time as typed, by the clock of the class: right across a change of clocks.
 * @returns null for nothing typed, undefined for what is no date
 */
export function dateIn(text: string, timeZone: string): Date | null | undefined {
  if (text === '') return null;
  const match = TYPED.exec(text);
  if (!match) return undefined;
  const [year = 0, month = 0, day = 0, hour = 0, minute = 0] = match.slice(1).map(Number);
  const date = new TZDate(year, month - 1, day, hour, minute, timeZone);
  // 31 February is no day.
  if (Number.isNaN(date.getTime()) || date.getMonth() !== month - 1 || date.getDate() !== day) return undefined;
  return new Date(date.getTime());
}

/** The same the other way round, for the field. */
export const typedDate = (date: Date | null, timeZone: string): string =>
  date ? format(new TZDate(date, timeZone), "yyyy-MM-dd'T'HH:mm") : '';

/** Both dates of a form, with a sentence for each that is at fault. */
export function datesIn(form: FormData, timeZone: string, opensNow: Date) {
  const typed = (name: string) => dateIn(String(form.get(name) ?? ''), timeZone);
  const [opensAt, closesAt] = [typed('opensAt'), typed('closesAt')];
  const mistakes: SettingMistakes = {};
  if (opensAt === undefined) mistakes['opensAt'] = 'That is not a date and time.';
  if (closesAt === undefined) mistakes['closesAt'] = 'That is not a date and time.';
  if (closesAt && closesAt <= (opensAt ?? opensNow)) mistakes['closesAt'] = 'It would close before it opens.';
  return { opensAt: opensAt ?? null, closesAt: closesAt ?? null, mistakes };
}

/** When an assignment opens and closes. */
export function DateRows({
  mistakes,
  timeZone,
  opens = '',
  closes = '',
  emptyOpens,
}: {
  mistakes: SettingMistakes;
  timeZone: string;
  opens?: string;
  closes?: string;
  emptyOpens: string;
}) {
  return (['opensAt', 'closesAt'] as const).map((name) => (
    <div key={name} className="border-line grid gap-x-6 border-t py-2 sm:grid-cols-[200px_1fr]">
      <label htmlFor={name} className="font-medium">
        {name === 'opensAt' ? 'Opens' : 'Closes'}
      </label>
      <div>
        <input
          id={name}
          name={name}
          type="datetime-local"
          defaultValue={name === 'opensAt' ? opens : closes}
          className={INPUT}
          aria-invalid={mistakes[name] ? true : undefined}
        />
        <p className="text-ink-soft text-sm">
          {name === 'opensAt' ? emptyOpens : 'Empty: it stays open.'} By the clock of {timeZone}.
        </p>
        {mistakes[name] && <Wrong marked>{mistakes[name]}</Wrong>}
      </div>
    </div>
  ));
}
