import { useState } from 'react';
import { Button } from '@app/ui/form';
import type { Bench } from './use-bench';

/** Everything on the bench as it was at the beginning: asked once, since what is there is gone then. */
export function StartAnew({ onAct }: { onAct: Bench['act'] }) {
  const [asked, setAsked] = useState(false);
  if (!asked)
    return (
      <Button type="button" look="quiet" onClick={() => setAsked(true)}>
        Begin anew
      </Button>
    );
  return (
    <p className="flex flex-wrap items-center gap-3">
      The bench stands as at the beginning then, with the same sample, and your readings are gone.
      <Button
        type="button"
        look="grave"
        onClick={() => {
          setAsked(false);
          onAct({ kind: 'startAnew' });
        }}
      >
        Begin anew
      </Button>
      <Button type="button" look="quiet" onClick={() => setAsked(false)}>
        Go on as it is
      </Button>
    </p>
  );
}
