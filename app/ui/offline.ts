import { useEffect } from 'react';

/** Pages that were opened once, kept by the service worker; see public/sw.js. */
const PAGES = 'fen-pages';

/** When nothing else is to be done: a browser without that call gets a moment after the page stands. */
function whenIdle(work: () => void): () => void {
  if (typeof requestIdleCallback === 'undefined') {
    const timer = setTimeout(work, 1500);
    return () => clearTimeout(timer);
  }
  const handle = requestIdleCallback(work, { timeout: 5000 });
  return () => cancelIdleCallback(handle);
}

/**
 * Fetches all that this page can open, and has the service worker keep it with the page itself, so that it opens and goes
 * on without a network.
 */
export function useOffline(prefetch: () => Promise<unknown>): void {
  useEffect(() => {
    const cancel = whenIdle(() => {
      const keep = async () => {
        await prefetch();
        if (!('serviceWorker' in navigator)) return;
        await navigator.serviceWorker.register('/sw.js');
        const { active } = await navigator.serviceWorker.ready;
        const files = performance
          .getEntriesByType('resource')
          .map(({ name }) => name)
          .filter((name) => new URL(name).pathname.startsWith('/assets/'));
        active?.postMessage({ keep: [...new Set(files)], page: window.location.href });
      };
      // Without a network there is nothing to be kept, and what is kept already stays.
      keep().catch(() => {});
    });
    return cancel;
  }, [prefetch]);
}

/** Forgets the pages of whoever was signed in here. */
export function forgetPages(): void {
  if (typeof caches !== 'undefined') void caches.delete(PAGES);
}
