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

const STORES = { browser: () => localStorage, tab: () => sessionStorage };

/** Text that this browser keeps, for itself or for one tab: a preference, something not yet put away. */
export function useKept(
  key: string,
  fallback: string,
  by: keyof typeof STORES = 'browser',
): [string, (value: string) => void] {
  const value = useSyncExternalStore(
    subscribe,
    () => STORES[by]().getItem(key) ?? fallback,
    () => fallback,
  );
  const set = useCallback(
    (next: string) => {
      STORES[by]().setItem(key, next);
      hearers.forEach((hear) => hear());
    },
    [key, by],
  );
  return [value, set];
}
