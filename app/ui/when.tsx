import { format } from 'date-fns';
import { useSyncExternalStore } from 'react';

const never = () => () => {};

/** A moment in the reader's own time zone; in UTC until the page is alive, so that server and browser agree. */
export function When({ at }: { at: Date | string }) {
  const alive = useSyncExternalStore(never, () => true, () => false); // prettier-ignore
  const date = new Date(at);
  const text = alive
    ? format(date, 'd MMM yyyy, HH:mm')
    : `${date.toISOString().slice(0, 16).replace('T', ' ')} UTC`;
  return <time dateTime={date.toISOString()}>{text}</time>;
}
