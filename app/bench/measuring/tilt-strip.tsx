import { useEffect, useRef, useState } from 'react';
import { MOST_TILT } from '@core/instruments/pouring';
import { Button } from '@app/ui/form';

/** A tilt goes out at most so often, ms, so that a hand that trembles does not fill the outbox. */
const EVERY_MS = 110;

interface TiltStripProps {
  degrees: number;
  onTilt: (degrees: number) => void;
}

/**
 * The hand on a vessel: drawn to the right it tilts, let go it is upright again. By keyboard the tilt stays where the
 * arrows leave it, until it is set upright.
 */
export function TiltStrip({ degrees, onTilt }: TiltStripProps) {
  const [held, setHeld] = useState<number | null>(null);
  const due = useRef<{ timer: ReturnType<typeof setTimeout>; degrees: number } | null>(null);
  const sentAt = useRef(0);
  const byHand = useRef(false);
  const tell = useRef(onTilt);
  useEffect(() => {
    tell.current = onTilt;
  });
  // Whatever takes the strip away, the hand sets the vessel upright.
  useEffect(
    () => () => {
      clearTimeout(due.current?.timer);
      if (byHand.current) tell.current(0);
    },
    [],
  );

  const send = (next: number) => {
    clearTimeout(due.current?.timer);
    due.current = null;
    const wait = sentAt.current + EVERY_MS - performance.now();
    if (next === 0 || wait <= 0) {
      sentAt.current = performance.now();
      tell.current(next);
      return;
    }
    const timer = setTimeout(() => {
      due.current = null;
      sentAt.current = performance.now();
      tell.current(next);
    }, wait);
    due.current = { timer, degrees: next };
  };
  const upright = () => {
    byHand.current = false;
    setHeld(null);
    send(0);
  };
  const shown = held ?? Math.round(degrees);
  return (
    <span className="flex items-center gap-2">
      <label className="flex items-center gap-2">
        Tilt
        <input
          type="range"
          min={0}
          max={MOST_TILT}
          value={shown}
          className="accent-reed w-[150px]"
          aria-valuetext={shown === 0 ? 'upright' : `${shown} degrees`}
          onPointerDown={() => (byHand.current = true)}
          onPointerUp={() => byHand.current && upright()}
          onPointerCancel={() => byHand.current && upright()}
          onBlur={() => byHand.current && upright()}
          onChange={(event) => {
            const next = Number(event.target.value);
            setHeld(byHand.current ? next : null);
            send(next);
          }}
        />
        <span className="w-10 font-mono">{shown}°</span>
      </label>
      {shown > 0 && held === null && (
        <Button type="button" look="main" onClick={upright}>
          Set upright
        </Button>
      )}
    </span>
  );
}
