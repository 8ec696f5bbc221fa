import { useEffect, useRef, useState } from 'react';
import { useRevalidator } from 'react-router';
import type { MovedState } from '@core/report/moved';
import { Backoff } from '@app/ui/backoff';
import { WhatMoved } from './moved';

/** Asks again for what is not worked out yet, each time after longer. */
function OnItsWay() {
  const { revalidate } = useRevalidator();
  const [ended, setEnded] = useState(false);
  const ask = useRef(revalidate);
  useEffect(() => {
    ask.current = revalidate;
  });
  useEffect(() => {
    const backoff = new Backoff(() => void ask.current().then(later));
    const later = () => setEnded(!backoff.failed());
    backoff.failed();
    return () => backoff.reset();
  }, []);
  return (
    <p className="text-ink-soft my-3" role="status">
      {ended
        ? 'What moved the results could not be worked out in some minutes. Load the page again later.'
        : 'What moved the results is being worked out.'}
    </p>
  );
}

/** What moved the results, or why it is not there. */
export function MovedOrWhyNot({ moved }: { moved: MovedState | undefined }) {
  if (moved === 'on its way') return <OnItsWay />;
  if (moved === 'not found')
    return (
      <p className="text-ink-soft my-3">
        What moved the results cannot be worked out. The run was begun with an earlier version of Fen, or working it out
        failed.
      </p>
    );
  return moved ? <WhatMoved moved={moved} /> : null;
}
