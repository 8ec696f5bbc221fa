import { useEffect, useRef } from 'react';
import { Button } from '@app/ui/form';

interface HoldProps {
  /** Whether it goes on as the bench has it. */
  isOn: boolean;
  onStart: () => void;
  onEnd: () => void;
  children: React.ReactNode;
}

/**
 * A button for what goes on as long as it is held, by pointer or by key. Who presses it without holding, as some aids do, begins it with
 * one press and ends it with the next.
 */
export function HoldButton({ isOn, onStart, onEnd, children }: HoldProps) {
  const holds = useRef(false);
  const end = useRef(onEnd);
  useEffect(() => {
    end.current = onEnd;
  });
  const begin = () => {
    if (holds.current) return;
    holds.current = true;
    onStart();
  };
  const stop = () => {
    if (!holds.current) return;
    holds.current = false;
    end.current();
  };
  // What is held ends with the button: another thing may be selected meanwhile.
  useEffect(
    () => () => {
      if (holds.current) end.current();
    },
    [],
  );
  return (
    <Button
      type="button"
      aria-pressed={isOn}
      onPointerDown={(event) => {
        event.currentTarget.setPointerCapture(event.pointerId);
        begin();
      }}
      onPointerUp={stop}
      onPointerCancel={stop}
      onBlur={stop}
      onKeyDown={(event) => {
        if (event.key !== ' ' && event.key !== 'Enter') return;
        event.preventDefault();
        if (!event.repeat) begin();
      }}
      onKeyUp={(event) => {
        if (event.key === ' ' || event.key === 'Enter') stop();
      }}
      onClick={(event) => {
        // A press of a pointer or a key has been seen already.
        if (event.detail === 0) (isOn ? onEnd : onStart)();
      }}
    >
      {children}
    </Button>
  );
}
