import { useEffect, useState } from 'react';
import { Backoff } from './backoff';
import { Button } from './form';

/** Tries whether the page is to be had again, each time after longer, and loads it when it is. */
export function TryAgain() {
  const [ended, setEnded] = useState(false);
  useEffect(() => {
    const look = async () => {
      const response = await fetch(window.location.href, {
        method: 'HEAD',
        signal: AbortSignal.timeout(10_000),
      });
      if (response.status >= 500) throw new Error(String(response.status));
      window.location.reload();
    };
    const failed = () => setEnded(!backoff.failed());
    const tries = () => void look().catch(failed);
    const backoff = new Backoff(tries);
    // Not at once: whatever has just failed would fail again.
    backoff.failed();
    window.addEventListener('online', tries);
    return () => {
      backoff.reset();
      window.removeEventListener('online', tries);
    };
  }, []);
  return (
    <p className="mt-3 flex items-center gap-4" role="status">
      {ended ? 'It was tried for some minutes.' : 'It is tried again by itself.'}
      <Button type="button" onClick={() => window.location.reload()}>
        Load the page again now
      </Button>
    </p>
  );
}
