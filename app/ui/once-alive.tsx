import { Suspense, useSyncExternalStore } from 'react';

const never = () => () => {};

/** Whether the page has come alive in the reader's browser. */
export const useAlive = (): boolean =>
  useSyncExternalStore(
    never,
    () => true,
    () => false,
  );

/**
 * What is worked out in the reader's own browser and never on the server: a notebook's formulas are typed by people, and
 * one person's must not take the server's time from all others.
 */
export function OnceAlive({ fallback, children }: { fallback: React.ReactNode; children: React.ReactNode }) {
  const alive = useAlive();
  return alive ? <Suspense fallback={fallback}>{children}</Suspense> : fallback;
}
