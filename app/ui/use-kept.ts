import { useCallback, useSyncExternalStore } from 'react';

const hearers = new Set<() => void>();

function subscribe(hear: () => void) {
  hearers.add(hear);
  window.addEventListener('storage', hear);
  return () => {
    hearers.delete(hear);
    window.removeEventListener('storage', hear);
  };
}

/** A preference that this browser keeps, as text. */
export function useKept(key: string, fallback: string): [string, (value: string) => void] {
  const value = useSyncExternalStore(
    subscribe,
    () => localStorage.getItem(key) ?? fallback,
    () => fallback,
  );
  const set = useCallback(
    (next: string) => {
      localStorage.setItem(key, next);
      hearers.forEach((hear) => hear());
    },
    [key],
  );
  return [value, set];
}
