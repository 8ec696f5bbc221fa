import { tz } from '@date-fns/tz';
import { format } from 'date-fns';
import { useSyncExternalStore } from 'react';

const never = () => () => {};

/**
 * A moment by the clock of a place; without one, by the reader's own, and in UTC until the page is alive, so that server
 * and browser agree.
 */
export function When({ at, zone }: { at: Date | string; zone?: string }) {
  const alive = useSyncExternalStore(
    never,
    () => true,
    () => false,
  );
  const date = new Date(at);
  const text =
    zone !== undefined
      ? format(date, 'd MMM yyyy, HH:mm', { in: tz(zone) })
      : alive
        ? format(date, 'd MMM yyyy, HH:mm')
        : `${date.toISOString().slice(0, 16).replace('T', ' ')} UTC`;
  return <time dateTime={date.toISOString()}>{text}</time>;
}
