import { Suspense, useSyncExternalStore } from 'react';

const never = () => () => {};

/**
 * What is worked out in the reader's own browser and never on the server: a notebook's formulas are typed by people, and
 * one person's must not take the server's time from all others.
 */
export function OnceAlive({ fallback, children }: { fallback: React.ReactNode; children: React.ReactNode }) {
  const alive = useSyncExternalStore(never, () => true, () => false); // prettier-ignore
  return alive ? <Suspense fallback={fallback}>{children}</Suspense> : fallback;
}
